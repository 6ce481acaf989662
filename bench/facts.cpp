// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fmt/format.h>
#include <unistd.h>

#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <functional>
#include <string>

#include "facts/learn.h"
#include "job/elsewhere.h"
#include "job/prepare.h"
#include "keep/store.h"
#include "support/fact_files.h"

// facts FOLDER: what it costs to have photos tell when and where they were taken, against a bare loop that
// reads their first 64 KiB; the second time, from what is remembered; and looking for files under other
// names. FOLDER should lie on a file system in memory.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

constexpr std::size_t head_bytes = 64 * 1024;

double seconds(const std::function<void()>& work) {
    const auto began = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
}

void check(bool good, const char* what) {
    if (good) return;
    std::fprintf(stderr, "%s\n", what);
    std::exit(1);
}

void write(const fs::path& path, const std::string& bytes) {
    std::ofstream out(path, std::ios::binary);
    out << bytes;
}

void read_bare(const fs::path& folder) {
    std::string bytes(head_bytes, '\0');
    for (const auto& entry : fs::directory_iterator(folder)) {
        const int file = ::open(entry.path().c_str(), O_RDONLY | O_CLOEXEC);
        check(file >= 0 && ::read(file, bytes.data(), bytes.size()) > 0, "cannot be read");
        ::close(file);
    }
}

void facts(const fs::path& place, int photos) {
    const fs::path folder = place / "photos";
    fs::create_directories(folder);
    for (int at = 0; at < photos; ++at)
        write(folder / fmt::format("quay-{:05}.jpg", at),
              photo_bytes({.taken = fmt::format("{}:05:02 09:14:{:02}", 2029 + at % 3, at % 60),
                           .make = "Ostrel",
                           .model = "Q7",
                           .place = std::pair(57.3 + at % 100 * 0.004, -4.0 - at % 70 * 0.005),
                           .behind = std::string(256 * 1024, static_cast<char>('a' + at % 26))}));
    const auto disk = make_disk();
    const auto batch = gather(*disk, {folder.string()});
    const auto store = Store::open((place / "state").string());
    check(batch && store, "cannot be gathered");
    const auto files = files_of(*batch);
    const auto learn = [&] {
        KnownFileFacts known;
        check(learn_facts(*disk, *batch, files, known, store->get()).has_value() &&
                  known.size() == files.size(),
              "tell nothing");
        const FileFacts* one = known.find(batch->entries[files.front()].status);
        check(one != nullptr && one->find("town") != nullptr, "know no town");
    };
    read_bare(folder);
    const double bare = seconds([&] { read_bare(folder); });
    const double first = seconds(learn);
    const double again = seconds(learn);
    fmt::print(
        "facts of {} photos       {:6.2f} s, bare reading of 64 KiB each {:.2f} s: {:.2f}; again, from the "
        "store {:.2f} s\n",
        photos, first, bare, first / bare, again);
}

void elsewhere(const fs::path& place, int there, int incoming) {
    const fs::path archive = place / "archive";
    const fs::path news = place / "news";
    for (int at = 0; at < there; ++at) {
        const fs::path folder = archive / std::to_string(at / 1000);
        if (at % 1000 == 0) fs::create_directories(folder);
        write(folder / fmt::format("img-{}.jpg", at),
              fmt::format("{:08}", at) + std::string(2000 + static_cast<std::size_t>(at % 997), 'x'));
    }
    fs::create_directories(news);
    for (int at = 0; at < incoming; ++at) {
        const int is = at % 2 == 0 ? at * 7 : there + at;  // half of them are there
        write(news / fmt::format("new-{}.jpg", at),
              fmt::format("{:08}", is) + std::string(2000 + static_cast<std::size_t>(is % 997), 'x'));
    }
    const auto disk = make_disk();
    const auto batch = gather(*disk, {news.string()});
    const auto store = Store::open((place / "state").string());
    check(batch && store, "cannot be gathered");
    std::size_t read = 0;
    const auto look = [&] {
        KnownContents known;
        check(find_elsewhere(*disk, *batch, archive.string(), known, store->get(), {},
                             [&](std::size_t, std::size_t of) { read = of; })
                  .has_value(),
              "cannot be looked for");
    };
    const double first = seconds(look);
    const double again = seconds(look);
    fmt::print("{} new among {}       {:6.2f} s, {} files of equal size; again, from the store {:.2f} s\n",
               incoming, there, first, read, again);
}

}  // namespace

int main(int count, char** words) {
    if (count != 2) {
        std::fprintf(stderr, "usage: facts FOLDER\n");
        return 2;
    }
    const fs::path place = fs::path(words[1]) / "tavlo-facts-bench";
    fs::remove_all(place);
    facts(place, 10'000);
    elsewhere(place, 100'000, 5'000);
    fs::remove_all(place);
}
