// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/temp_folder.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <time.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <mutex>
#include <sstream>

#include "support/catch.h"

namespace fs = std::filesystem;

namespace {

/// A date later than any this program gave before. The kernel's own dates of two files that are written in
/// one tick of its clock (some ms) are the same, so that "older" is "of the same date" now and then.
timespec next_date() {
    static std::mutex one_at_a_time;
    static timespec last{};
    const std::lock_guard<std::mutex> lock(one_at_a_time);
    timespec now{};
    ::clock_gettime(CLOCK_REALTIME_COARSE, &now);
    timespec next{last.tv_sec, last.tv_nsec + 1000};
    if (next.tv_nsec >= 1'000'000'000) next = {next.tv_sec + 1, 0};
    const bool caught_up =
        now.tv_sec > next.tv_sec || (now.tv_sec == next.tv_sec && now.tv_nsec > next.tv_nsec);
    return last = caught_up ? now : next;
}

}  // namespace

TempFolder::TempFolder(const std::string& where) {
    std::string pattern = (where.empty() ? fs::temp_directory_path().string() : where) + "/tavlo-testXXXXXX";
    REQUIRE(::mkdtemp(pattern.data()) != nullptr);
    path_ = pattern;
}

TempFolder::~TempFolder() {
    std::error_code ignored;
    for (fs::recursive_directory_iterator
             entry(path_, fs::directory_options::skip_permission_denied, ignored),
         end;
         entry != end; entry.increment(ignored))
        if (entry->is_directory(ignored) && !entry->is_symlink(ignored))
            fs::permissions(entry->path(), fs::perms::owner_all, fs::perm_options::add, ignored);
    fs::remove_all(path_, ignored);
}

std::string TempFolder::path(const std::string& below) const {
    return below.empty() ? path_ : path_ + "/" + below;
}

std::string TempFolder::write(const std::string& below, const std::string& bytes) const {
    fs::create_directories(fs::path(path(below)).parent_path());
    std::ofstream out(path(below), std::ios::binary);
    out << bytes;
    out.close();
    REQUIRE(out.good());
    const timespec written = next_date();
    date(below, written.tv_sec, written.tv_nsec);
    return path(below);
}

std::string TempFolder::folder(const std::string& below) const {
    fs::create_directories(path(below));
    return path(below);
}

std::string TempFolder::link(const std::string& below, const std::string& points_at) const {
    fs::create_directories(fs::path(path(below)).parent_path());
    fs::create_symlink(points_at, path(below));
    return path(below);
}

std::string TempFolder::read(const std::string& below) const {
    std::ifstream in(path(below), std::ios::binary);
    if (!in) return "(none)";
    std::ostringstream bytes;
    bytes << in.rdbuf();
    return bytes.str();
}

bool TempFolder::has(const std::string& below) const { return fs::exists(fs::symlink_status(path(below))); }

void TempFolder::date(const std::string& below, long seconds, long nanoseconds) const {
    const timespec times[2] = {{seconds, nanoseconds}, {seconds, nanoseconds}};
    REQUIRE(::utimensat(AT_FDCWD, path(below).c_str(), times, AT_SYMLINK_NOFOLLOW) == 0);
}

ino_t TempFolder::inode(const std::string& below) const {
    struct stat s {};
    REQUIRE(::lstat(path(below).c_str(), &s) == 0);
    return s.st_ino;
}
