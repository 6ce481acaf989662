// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cstring>
#include <filesystem>
#include <random>

#include "archive/reader.h"
#include "support/archives.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/rounds.h"
#include "support/temp_folder.h"

// One archive read in two ways, its list and then its files, or all of it once through, tells the same.

using namespace tavlo;

namespace {

struct Told {
    std::vector<PackedThing> things{};
    std::vector<std::string> bytes{};  ///< by thing; of a file as far as they could be read
    bool is_damaged = false;           ///< or no archive at all
};

bool has_bytes(const PackedThing& thing) {
    return thing.type == FileType::file && !thing.is_hard_link && thing.problem.empty();
}

Handle opened(const TempFolder& temp, const std::string& name) {
    const auto disk = make_disk();
    const auto folder = value(disk->open_folder(temp.path()));
    return std::move(value(disk->open_file(folder, name)).file);
}

Told once_through(const TempFolder& temp, const std::string& name) {
    Told told;
    ArchiveReader reader(opened(temp, name));
    const auto end = reader.read_through(
        [&](PackedThing&& thing) -> Result<void> {
            told.bytes.emplace_back();
            told.things.push_back(std::move(thing));
            return {};
        },
        [&](std::uint64_t offset, std::span<const std::byte> bytes) -> Result<void> {
            REQUIRE_FALSE(told.things.empty());
            std::string& of = told.bytes.back();
            CHECK(offset >= of.size());  // what is left out is holes
            of.resize(offset);
            of.append(reinterpret_cast<const char*>(bytes.data()), bytes.size());
            return {};
        });
    told.is_damaged = !end || !end->damage.empty();
    for (std::size_t at = 0; at < told.things.size() && !told.is_damaged; ++at)
        if (has_bytes(told.things[at])) {
            CHECK(told.bytes[at].size() <= told.things[at].size_bytes);
            told.bytes[at].resize(told.things[at].size_bytes);
        }
    return told;
}

Told by_its_list(const TempFolder& temp, const std::string& name) {
    Told told;
    ArchiveReader reader(opened(temp, name));
    auto list = reader.list();
    told.is_damaged = !list || !list->end.damage.empty();
    if (!list) return told;
    told.things = std::move(list->things);
    for (std::size_t at = 0; at < told.things.size(); ++at) {
        std::vector<std::byte> piece(100'000);
        std::string& bytes = told.bytes.emplace_back();
        if (!has_bytes(told.things[at])) continue;
        const auto got = reader.read(at, told.things[at], 0, piece);
        if (got) bytes.assign(reinterpret_cast<const char*>(piece.data()), *got);
        told.is_damaged = told.is_damaged || !got;
    }
    return told;
}

void check_same(const Told& one, const Told& other) {
    CHECK(one.is_damaged == other.is_damaged);
    if (one.is_damaged || other.is_damaged) return;
    REQUIRE(one.things.size() == other.things.size());
    for (std::size_t at = 0; at < one.things.size(); ++at) {
        CAPTURE(at, one.things[at].path);
        CHECK(one.things[at].path == other.things[at].path);
        CHECK(one.things[at].type == other.things[at].type);
        CHECK(one.things[at].size_bytes == other.things[at].size_bytes);
        CHECK(one.bytes[at] == other.bytes[at]);
    }
}

void make_archives(const TempFolder& temp) {
    by_python(temp.path(), R"(
import random
random.seed(7)
text = [bytes(random.choices(b'abcdefgh \n', k=random.randrange(0, 9000))) for _ in range(12)]
with zipfile.ZipFile('a.zip', 'w', zipfile.ZIP_DEFLATED) as z:
    for i, t in enumerate(text): z.writestr('d%d/f%d' % (i % 3, i), t)
with zipfile.ZipFile('stored.zip', 'w') as z:
    for i, t in enumerate(text): z.writestr('f%d' % i, t)
for kind in ('', 'gz', 'xz', 'bz2'):
    with tarfile.open('a.tar' + ('.' + kind if kind else ''), 'w:' + kind) as tar:
        for i, t in enumerate(text): member(tar, 'd%d/f%d' % (i % 3, i), t)
        member(tar, 'again', type=tarfile.LNKTYPE, linkname='d0/f0')
        member(tar, 'link', type=tarfile.SYMTYPE, linkname='d1/f1')
)");
    write_archive(temp.path("a.7z"), "7zip", {{"d/f", std::string(50'000, 'x')}, {"d/g", "gee"}});
}

}  // namespace

TEST_CASE("an archive that is read once through tells what its list and its files tell", "[archive]") {
    const TempFolder temp;
    make_archives(temp);
    for (const char* name : {"a.zip", "stored.zip", "a.tar", "a.tar.gz", "a.tar.xz", "a.tar.bz2", "a.7z"}) {
        CAPTURE(name);
        const Told told = once_through(temp, name);
        CHECK_FALSE(told.is_damaged);
        CHECK(told.things.size() >= 2);
        check_same(told, by_its_list(temp, name));
    }
}

TEST_CASE("what is damaged is damaged whichever way it is read", "[archive][fuzz]") {
    const TempFolder temp("/dev/shm");
    make_archives(temp);
    std::mt19937 random(31);
    for (const char* name : {"a.zip", "stored.zip", "a.tar", "a.tar.gz", "a.tar.xz", "a.tar.bz2"}) {
        const std::string whole = temp.read(name);
        for (int round = 0; round < rounds("TAVLO_FUZZ", 20); ++round) {
            CAPTURE(name, round);
            std::string bytes = whole;
            for (unsigned flip = 0; flip <= random() % 3; ++flip)
                bytes[random() % bytes.size()] ^= static_cast<char>(1U << (random() % 8));
            if (random() % 4 == 0) bytes.resize(random() % bytes.size() + 1);
            temp.write("broken", bytes);
            check_same(once_through(temp, "broken"), by_its_list(temp, "broken"));
        }
    }
}

TEST_CASE("who takes what an archive holds can end it, with a reason of its own", "[archive]") {
    const TempFolder temp;
    make_archives(temp);
    const bool at_bytes = GENERATE(false, true);
    int taken = 0;
    ArchiveReader reader(opened(temp, "a.tar.gz"));
    const auto stops = [&](bool here) -> Result<void> {
        if (!here || ++taken < 3) return {};
        return failure(Fault::cancelled, "enough", "here");
    };
    const auto end =
        reader.read_through([&](PackedThing&&) { return stops(!at_bytes); },
                            [&](std::uint64_t, std::span<const std::byte>) { return stops(at_bytes); });
    REQUIRE_FALSE(end);
    CHECK(end.error().step == "enough");
    CHECK(taken == 3);
    CHECK(value(reader.list()).things.size() == 14);  // and go on with the archive
}
