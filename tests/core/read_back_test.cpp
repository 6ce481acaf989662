// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <mutex>
#include <set>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

using namespace tavlo;

// What is written is read back from the disk, some files ahead of the one that is compared.

namespace {

constexpr int file_count = 300;  // several times what is asked for ahead

class Disk final : public ForwardingFileSystem {
public:
    std::string spoilt;  ///< the file with these bytes reads back otherwise once it is dropped from memory
    std::string cannot_drop;  ///< what memory holds of the file with these bytes stays there
    int before_the_first_read = 0;
    int asked_for = 0;

    Result<void> forget_cached(const Handle& file) override {
        const std::lock_guard lock(mutex_);
        if (bytes_of(file) == cannot_drop) return tavlo::failure(tavlo::Fault::io, "drop cached bytes", "");
        dropped_.insert(file.descriptor());
        return disk->forget_cached(file);
    }
    void read_ahead(const Handle& file, std::uint64_t length_bytes) override {
        const std::lock_guard lock(mutex_);
        if (dropped_.contains(file.descriptor()) && length_bytes >= bytes_of(file).size()) ++asked_for;
        disk->read_ahead(file, length_bytes);
    }
    Result<std::size_t> read_at(const Handle& file, std::uint64_t offset,
                                std::span<std::byte> into) override {
        auto got = disk->read_at(file, offset, into);
        const std::lock_guard lock(mutex_);
        if (dropped_.empty()) return got;
        if (before_the_first_read == 0) before_the_first_read = static_cast<int>(dropped_.size());
        if (dropped_.contains(file.descriptor()) && got && *got > 0 && bytes_of(file) == spoilt)
            into[0] ^= std::byte{1};
        return got;
    }

private:
    std::string bytes_of(const Handle& file) {
        std::string bytes(64, '\0');
        const auto got = disk->read_at(file, 0, std::as_writable_bytes(std::span(bytes)));
        bytes.resize(got ? *got : 0);
        return bytes;
    }
    std::mutex mutex_;
    std::set<int> dropped_;
};

struct Office {
    Office() : jobs(temp.path("state")) {
        for (int i = 0; i < file_count; ++i) temp.write("from/box/" + std::to_string(i), text(i));
        plan = value(prepare(*jobs.disk, copy({temp.path("from/box")}, temp.path("to")))).plan;
    }
    static std::string text(int number) { return "page " + std::to_string(number); }
    Ran run_on(std::unique_ptr<Disk> disk) {
        jobs.disk = std::move(disk);
        RunOptions options;
        options.verify = Verify::read_back;
        return jobs.carry_out(*plan, options);
    }
    TempFolder temp;
    Jobs jobs;
    std::shared_ptr<const Plan> plan;
};

}  // namespace

TEST_CASE("reading back asks for some files before it reads the first of them, and for each",
          "[disk][readback]") {
    Office office;
    auto disk = std::make_unique<Disk>();
    const Disk& seen = *disk;
    const Ran ran = office.run_on(std::move(disk));
    CHECK(ran.of(Outcome::created) == file_count + 1);
    CHECK(seen.asked_for == file_count);
    CHECK(seen.before_the_first_read > 8);           // so that the disk has something to do
    CHECK(seen.before_the_first_read < file_count);  // and memory is not filled with what is read later
}

TEST_CASE("of many that are read back the one that differs fails, wherever it is, and no other",
          "[disk][readback]") {
    Office office;
    const int which = GENERATE(0, 63, 64, 65, file_count - 1);
    const bool drops = GENERATE(false, true);
    auto disk = std::make_unique<Disk>();
    (drops ? disk->spoilt : disk->cannot_drop) = Office::text(which);
    const Ran ran = office.run_on(std::move(disk));
    CHECK(ran.of(Outcome::created) == file_count);
    CHECK(ran.of(Outcome::failed) == 1);
    const ReceiptItem& failed = ran.item(office.temp.path("to/box/" + std::to_string(which)));
    CHECK(failed.result == Outcome::failed);
    CHECK(failed.error.find(drops ? "reads back otherwise" : "drop cached bytes") != std::string::npos);
    CHECK_FALSE(office.temp.has("to/box/" + std::to_string(which)));
}
