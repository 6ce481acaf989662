// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/run_lock.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <filesystem>

#include "files/path.h"
#include "files/small_file.h"

namespace tavlo {

namespace {

/// A lock on the whole file, held by the open file and not by the process (fcntl(2), open file description
/// locks): asking for one takes none, so it is in nobody's way.
bool lock_whole(int descriptor, int command, struct flock& lock) {
    lock = {};
    lock.l_type = F_WRLCK;
    lock.l_whence = SEEK_SET;
    return ::fcntl(descriptor, command, &lock) == 0;
}

constexpr std::string_view begin_of_name = "run-";
constexpr std::string_view end_of_name = ".lock";

std::string lock_path(const std::string& state_folder, const std::string& receipt) {
    return join(state_folder, std::string(begin_of_name) + receipt + std::string(end_of_name));
}

std::string receipt_of(std::string_view name) {
    if (!name.starts_with(begin_of_name) || !name.ends_with(end_of_name)) return {};
    name.remove_prefix(begin_of_name.size());
    return std::string(name.substr(0, name.size() - end_of_name.size()));
}

}  // namespace

bool RunLock::is_held(const std::string& state_folder, const std::string& receipt) {
    const std::string path = lock_path(state_folder, receipt);
    const Handle file(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NOFOLLOW), path);
    struct flock found {};
    return file.is_open() && lock_whole(file.descriptor(), F_OFD_GETLK, found) && found.l_type != F_UNLCK;
}

Result<RunLock> RunLock::take(const std::string& state_folder, const std::string& receipt) {
    const std::string path = lock_path(state_folder, receipt);
    for (;;) {
        const int fd = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0600);
        if (fd < 0) return failure(system_error(errno, "lock the run", path));
        Handle file(fd, path);
        struct flock lock {};
        if (!lock_whole(fd, F_OFD_SETLK, lock)) {
            if (errno == EAGAIN || errno == EACCES)
                return failure(Fault::name_taken, "is still going on", receipt);
            return failure(system_error(errno, "lock the run", path));
        }
        // whoever held it last has removed the file: a lock on a file without a name keeps nobody out
        struct stat mine {};
        struct stat named {};
        if (::fstat(fd, &mine) == 0 && ::stat(path.c_str(), &named) == 0 && mine.st_ino == named.st_ino)
            return RunLock(std::move(file));
    }
}

void RunLock::tell_places(const std::string& state_folder, const std::string& receipt,
                          const std::vector<std::string>& places) {
    std::string text;
    for (const auto& place : places) text.append(place) += '\0';
    // into the file that is locked: one put in its place would be another
    const std::string path = lock_path(state_folder, receipt);
    const Handle file(::open(path.c_str(), O_WRONLY | O_CLOEXEC | O_NOFOLLOW), path);
    if (!file.is_open() || ::ftruncate(file.descriptor(), 0) != 0) return;
    for (std::size_t at = 0; at < text.size();) {
        const auto written = ::write(file.descriptor(), text.data() + at, text.size() - at);
        if (written <= 0) return;
        at += static_cast<std::size_t>(written);
    }
}

std::vector<std::string> RunLock::places_of_others(const std::string& state_folder,
                                                   const std::string& receipt) {
    std::vector<std::string> places;
    std::error_code error;
    for (std::filesystem::directory_iterator at(state_folder, error), end; !error && at != end;
         at.increment(error)) {
        const std::string other = receipt_of(at->path().filename().native());
        if (other.empty() || other == receipt) continue;
        const auto text = read_small_file(at->path().native());
        if (!text || text->empty() || !is_held(state_folder, other)) continue;
        for (std::size_t from = 0; from < text->size();) {
            const auto end_of_place = std::min(text->find('\0', from), text->size());
            places.push_back(text->substr(from, end_of_place - from));
            from = end_of_place + 1;
        }
    }
    return places;
}

RunLock::~RunLock() {
    if (file_.is_open()) ::unlink(file_.path().c_str());
}

}  // namespace tavlo
