// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "bare.h"

#include <dirent.h>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <fstream>
#include <string_view>

namespace fs = std::filesystem;

double seconds(const std::function<void()>& work) {
    ::sync();
    const auto began = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
}

double median(std::vector<double> values) {
    std::sort(values.begin(), values.end());
    return values[values.size() / 2];
}

void check(bool good, const std::string& what) {
    if (good) return;
    std::perror(what.c_str());
    std::exit(1);
}

void make_files(const fs::path& folder, int files, std::size_t bytes, int in_each_folder) {
    const std::string content(bytes, 'x');
    for (int i = 0; i < files; ++i) {
        const fs::path place = folder / std::to_string(i / in_each_folder);
        if (i % in_each_folder == 0) fs::create_directories(place);
        std::ofstream(place / ("file-" + std::to_string(i))) << content;
    }
}

void bare_copy(const fs::path& from, const fs::path& to, bool sync_each) {
    std::vector<char> buffer(1 << 20);
    for (const auto& folder : fs::directory_iterator(from)) {
        const fs::path into = to / folder.path().filename();
        fs::create_directories(into);
        for (const auto& entry : fs::directory_iterator(folder.path())) {
            const int in = ::open(entry.path().c_str(), O_RDONLY);
            struct stat s {};
            check(in >= 0 && ::fstat(in, &s) == 0, entry.path());
            const int out =
                ::open((into / entry.path().filename()).c_str(), O_WRONLY | O_CREAT | O_EXCL, 0600);
            for (ssize_t got = 0; (got = ::read(in, buffer.data(), buffer.size())) > 0;)
                check(::write(out, buffer.data(), static_cast<std::size_t>(got)) == got, "write");
            const timespec times[2] = {s.st_atim, s.st_mtim};
            check(::fchmod(out, s.st_mode & 07777U) == 0 && ::futimens(out, times) == 0, "attributes");
            if (sync_each) check(::fsync(out) == 0, "fsync");
            ::close(out);
            ::close(in);
        }
    }
}

void bare_move(const fs::path& from, const fs::path& to) {
    for (const auto& folder : fs::directory_iterator(from)) {
        const fs::path into = to / folder.path().filename();
        fs::create_directories(into);
        for (const auto& entry : fs::directory_iterator(folder.path()))
            check(::renameat2(AT_FDCWD, entry.path().c_str(), AT_FDCWD,
                              (into / entry.path().filename()).c_str(), RENAME_NOREPLACE) == 0,
                  "rename");
        check(::rmdir(folder.path().c_str()) == 0, "rmdir");
    }
}

std::uint64_t bare_walk(int folder) {
    std::uint64_t entries = 0;
    DIR* stream = ::fdopendir(folder);
    check(stream != nullptr, "list");
    while (const dirent* entry = ::readdir(stream)) {
        const std::string_view name = entry->d_name;
        if (name == "." || name == "..") continue;
        struct statx s {};
        check(::statx(folder, entry->d_name, AT_SYMLINK_NOFOLLOW, STATX_BASIC_STATS, &s) == 0, "statx");
        ++entries;
        if (S_ISDIR(s.stx_mode))
            entries += bare_walk(::openat(folder, entry->d_name, O_RDONLY | O_DIRECTORY));
    }
    ::closedir(stream);
    return entries;
}

void bare_read(const fs::path& from, const fs::path& to) {
    std::vector<char> one(1 << 20);
    std::vector<char> two(1 << 20);
    for (const auto& folder : fs::directory_iterator(from))
        for (const auto& entry : fs::directory_iterator(folder.path())) {
            const int a = ::open(entry.path().c_str(), O_RDONLY);
            const int b = ::open((to / folder.path().filename() / entry.path().filename()).c_str(), O_RDONLY);
            for (ssize_t got = 0; (got = ::read(a, one.data(), one.size())) > 0;)
                check(::read(b, two.data(), two.size()) == got &&
                          std::memcmp(one.data(), two.data(), static_cast<std::size_t>(got)) == 0,
                      "read");
            ::close(a);
            ::close(b);
        }
}

void write_large(const fs::path& path, std::uint64_t bytes) {
    std::ofstream out(path);
    const std::string piece(1 << 20, 'y');
    for (std::uint64_t done = 0; done < bytes; done += piece.size()) out << piece;
}

std::uint64_t memory_bytes() {
    std::ifstream statm("/proc/self/statm");
    std::uint64_t pages = 0;
    statm >> pages >> pages;
    return pages * static_cast<std::uint64_t>(::sysconf(_SC_PAGESIZE));
}
