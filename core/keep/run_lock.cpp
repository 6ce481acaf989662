// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/run_lock.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>

#include "files/path.h"

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

std::string lock_path(const std::string& state_folder, const std::string& receipt) {
    return join(state_folder, "run-" + receipt + ".lock");
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

RunLock::~RunLock() {
    if (file_.is_open()) ::unlink(file_.path().c_str());
}

}  // namespace tavlo
