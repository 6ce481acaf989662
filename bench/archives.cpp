// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <archive.h>
#include <archive_entry.h>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <functional>
#include <vector>

#include "archive/archive_files.h"
#include "bare.h"
#include "files/handle.h"
#include "job/prepare.h"
#include "keep/store.h"
#include "run/run.h"

// Packing and taking out, against libarchive(3) doing the same with nothing promised: archives_bench FOLDER

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

constexpr int files = 20'000;
constexpr std::size_t file_bytes = 4096;
constexpr int rounds = 3;

void bare_pack(const fs::path& from, const fs::path& to, bool zip) {
    archive* out = archive_write_new();
    if (zip) {
        archive_write_set_format_zip(out);
        archive_write_set_options(out, "zip:compression-level=1");
    } else {
        archive_write_set_format_pax_restricted(out);
    }
    check(archive_write_open_filename(out, to.c_str()) == ARCHIVE_OK, "opening an archive");
    std::vector<char> bytes(file_bytes);
    for (const auto& one : fs::recursive_directory_iterator(from)) {
        struct stat seen {};
        check(::stat(one.path().c_str(), &seen) == 0, "stat");
        archive_entry* entry = archive_entry_new();
        archive_entry_copy_stat(entry, &seen);
        archive_entry_set_pathname(entry, one.path().lexically_relative(from.parent_path()).c_str());
        check(archive_write_header(out, entry) == ARCHIVE_OK, "a header");
        if (one.is_regular_file()) {
            const int fd = ::open(one.path().c_str(), O_RDONLY);
            const auto got = ::read(fd, bytes.data(), bytes.size());
            ::close(fd);
            check(archive_write_data(out, bytes.data(), static_cast<std::size_t>(got)) == got, "bytes");
        }
        archive_entry_free(entry);
    }
    archive_write_close(out);
    archive_write_free(out);
}

/// to  empty: it is only read
void bare_unpack(const fs::path& packed, const fs::path& to) {
    archive* in = archive_read_new();
    archive_read_support_format_zip(in);
    archive_read_support_format_tar(in);
    check(archive_read_open_filename(in, packed.c_str(), 1 << 16) == ARCHIVE_OK, "opening an archive");
    std::vector<char> bytes(file_bytes);
    archive_entry* entry = nullptr;
    while (archive_read_next_header(in, &entry) == ARCHIVE_OK) {
        const fs::path path = to / archive_entry_pathname(entry);
        if (archive_entry_filetype(entry) == AE_IFDIR) {
            if (!to.empty()) fs::create_directories(path);
            continue;
        }
        const auto got = archive_read_data(in, bytes.data(), bytes.size());
        check(got >= 0, "bytes");
        if (to.empty()) continue;
        const int fd = ::open(path.c_str(), O_WRONLY | O_CREAT | O_EXCL, 0644);
        check(fd >= 0 && ::write(fd, bytes.data(), static_cast<std::size_t>(got)) == got, "writing");
        ::close(fd);
    }
    archive_read_free(in);
}

/// returns  of packing, after how many seconds the archive was whole, before it is read back
double engine(const fs::path& state, Operation operation, const fs::path& from, const fs::path& to) {
    const auto begun = std::chrono::steady_clock::now();
    auto written = begun;
    const auto disk = make_disk_with_archives();
    const auto store = Store::open(state);
    check(store.has_value(), "state");
    Job job;
    job.operation = operation;
    job.what.sources = {from};
    job.into = to;
    job.press = Press::fast;
    const auto outlook = prepare(*disk, Asked{job}, store->get());
    check(outlook && outlook->refusals.empty(), "plan");
    RunOptions options;
    options.press = Press::fast;
    RunEvents events;
    events.archived = [&](std::uint64_t) { written = std::chrono::steady_clock::now(); };
    const auto head = carry_out(*disk, **store, *outlook->plan, options, events);
    if (!head) std::fprintf(stderr, "%s: %s\n", head.error().path.c_str(), head.error().step.c_str());
    int failed = 0;  // of which the first say enough
    if (head && head->totals.of(Outcome::failed) > 0)
        check((*store)
                  ->each_item(head->id,
                              [&](ReceiptItem&& item) {
                                  if (item.result == Outcome::failed && ++failed < 4)
                                      std::fprintf(stderr, "%s: %s\n", item.source.c_str(),
                                                   item.error.c_str());
                              })
                  .has_value(),
              "receipt");
    check(head && head->totals.of(Outcome::failed) == 0 && head->totals.of(Outcome::created) >= files, "run");
    return std::chrono::duration<double>(written - begun).count();
}

void row(const char* work, double bare, double ours) {
    std::printf("%-48s bare %7.3f s   ours %7.3f s   %5.2f times\n", work, bare, ours, ours / bare);
    std::fflush(stdout);
}

}  // namespace

int main(int count, char** words) {
    if (count != 2) {
        std::fprintf(stderr, "usage: archives_bench FOLDER\n");
        return 2;
    }
    raise_handle_limit();
    const fs::path place = fs::path(words[1]) / "tavlo-archives-bench";
    fs::remove_all(place);
    const fs::path from = place / "scans";
    for (int number = 0; number < files; ++number) {
        const fs::path folder = from / std::to_string(number / 500);
        if (number % 500 == 0) fs::create_directories(folder);
        std::string bytes(file_bytes, 'x');
        for (std::size_t at = 0; at < bytes.size(); at += 3)
            bytes[at] = static_cast<char>(number * 31 + static_cast<int>(at * 7));
        std::ofstream(folder / ("scan-" + std::to_string(number) + ".pdf")) << bytes;
    }
    for (const bool zip : {false, true}) {
        const fs::path packed = place / (zip ? "ours.zip" : "ours.tar");
        const fs::path bare = place / (zip ? "bare.zip" : "bare.tar");
        std::vector<double> packing;
        std::vector<double> reading;
        std::vector<double> writing;
        std::vector<double> ours;
        std::vector<double> taking;
        std::vector<double> ours_out;
        for (int round = 0; round < rounds; ++round) {
            packing.push_back(seconds([&] { bare_pack(from, bare, zip); }));
            reading.push_back(packing.back() + seconds([&] { bare_unpack(bare, {}); }));
            double written = 0;
            ours.push_back(
                seconds([&] { written = engine(place / "state", Operation::pack, from, packed); }));
            writing.push_back(written);
            fs::create_directories(place / "out");
            taking.push_back(seconds([&] { bare_unpack(packed, place / "out"); }));
            fs::remove_all(place / "out");
            ours_out.push_back(
                seconds([&] { engine(place / "state", Operation::unpack, packed, place / "out"); }));
            for (const auto& gone : {place / "out", packed, bare}) fs::remove_all(gone);
        }
        const char* kind = zip ? "zip" : "tar";
        row((std::string("pack 20000 files of 4 KiB into ") + kind).c_str(), median(packing),
            median(writing));
        row("  ours reading it back too", median(packing), median(ours));
        row("  both reading it back", median(reading), median(ours));
        row((std::string("unpack them from ") + kind).c_str(), median(taking), median(ours_out));
    }
    fs::remove_all(place);
}
