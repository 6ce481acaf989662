#include "keep/run_lock.h"

#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <chrono>
#include <thread>

#include "files/path.h"

namespace tavlo {

namespace {

constexpr int tries = 10;
constexpr std::chrono::milliseconds between_tries{10};

std::string lock_path(const std::string& state_folder, const std::string& receipt) {
    return join(state_folder, "run-" + receipt + ".lock");
}

}  // namespace

bool RunLock::is_held(const std::string& state_folder, const std::string& receipt) {
    const std::string path = lock_path(state_folder, receipt);
    const Handle file(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NOFOLLOW), path);
    return file.is_open() && ::flock(file.descriptor(), LOCK_SH | LOCK_NB) != 0 && errno == EWOULDBLOCK;
}

Result<RunLock> RunLock::take(const std::string& state_folder, const std::string& receipt) {
    const std::string path = lock_path(state_folder, receipt);
    for (int attempt = 1;; ++attempt) {
        const int fd = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC | O_NOFOLLOW, 0600);
        if (fd < 0) return failure(system_error(errno, "lock the run", path));
        Handle file(fd, path);
        if (::flock(fd, LOCK_EX | LOCK_NB) != 0) {
            if (errno == EWOULDBLOCK && attempt < tries) {
                std::this_thread::sleep_for(between_tries);
                continue;
            }
            if (errno == EWOULDBLOCK) return failure(Fault::name_taken, "is still going on", receipt);
            return failure(system_error(errno, "lock the run", path));
        }
        // whoever held it last has removed the file: a lock on a file without a name keeps nobody out
        struct stat mine {};
        struct stat named {};
        if (::fstat(fd, &mine) == 0 && ::stat(path.c_str(), &named) == 0 && mine.st_ino == named.st_ino) return RunLock(std::move(file));
    }
}

RunLock::~RunLock() {
    if (file_.is_open()) ::unlink(file_.path().c_str());
}

}  // namespace tavlo
