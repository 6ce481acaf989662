// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/helper.h"

#include <fcntl.h>
#include <spawn.h>
#include <sys/socket.h>
#include <sys/wait.h>
#include <unistd.h>

#include <array>
#include <cerrno>
#include <csignal>

#include "files/path.h"

extern char** environ;

namespace tavlo {

namespace {

constexpr int not_loaded = 127;  // the status of a program whose loader gave up, ld.so(8)
constexpr int handed_as = 3;

}  // namespace

std::string helper_program(const std::string& name) {
    std::array<char, 4096> self{};
    const auto length = ::readlink("/proc/self/exe", self.data(), self.size());
    const std::string folder(
        parent_of(std::string_view(self.data(), length > 0 ? static_cast<std::size_t>(length) : 0)));
    const std::string beside = join(folder, name);
    if (::access(beside.c_str(), X_OK) == 0) return beside;
    return join(join(folder, TAVLO_HELPERS_FROM_PROGRAMS), name);
}

std::vector<std::string> missing_helpers(const std::vector<std::string>& names) {
    std::vector<std::string> missing;
    for (const auto& name : names)
        if (::access(helper_program(name).c_str(), X_OK) != 0) missing.push_back(name);
    return missing;
}

Result<HelperProcess> HelperProcess::start(const std::string& program, const std::vector<std::string>& words,
                                           int handed) {
    std::array<int, 2> ends{};
    if (::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends.data()) != 0)
        return failure(system_error(errno, "make a socket for", program));
    HelperProcess helper;
    helper.program_ = program;
    helper.socket_ = Handle(ends[0], program);
    const Handle theirs(ends[1], program);
    posix_spawn_file_actions_t actions{};
    ::posix_spawn_file_actions_init(&actions);
    ::posix_spawn_file_actions_adddup2(&actions, theirs.descriptor(), STDIN_FILENO);
    ::posix_spawn_file_actions_adddup2(&actions, theirs.descriptor(), STDOUT_FILENO);
    ::posix_spawn_file_actions_addopen(&actions, STDERR_FILENO, "/dev/null", O_WRONLY, 0);
    if (handed >= 0) ::posix_spawn_file_actions_adddup2(&actions, handed, handed_as);
    std::vector<std::string> line{program};
    line.insert(line.end(), words.begin(), words.end());
    std::vector<char*> arguments;
    for (std::string& word : line) arguments.push_back(word.data());
    arguments.push_back(nullptr);
    const int error =
        ::posix_spawn(&helper.process_, program.c_str(), &actions, nullptr, arguments.data(), environ);
    ::posix_spawn_file_actions_destroy(&actions);
    if (error != 0) {
        helper.process_ = -1;
        if (error == ENOENT)
            return failure(Fault::not_found, "is missing: Tavlo is not completely installed", program);
        return failure(system_error(error, "start", program));
    }
    return helper;
}

HelperProcess& HelperProcess::operator=(HelperProcess&& other) noexcept {
    if (this == &other) return *this;
    (void)end();
    process_ = std::exchange(other.process_, -1);
    socket_ = std::move(other.socket_);
    program_ = std::move(other.program_);
    return *this;
}

int HelperProcess::end() {
    int status = 0;
    if (process_ <= 0) return status;
    ::kill(process_, SIGKILL);
    while (::waitpid(process_, &status, 0) < 0 && errno == EINTR) {
    }
    process_ = -1;
    return status;
}

Result<void> HelperProcess::end_and_tell() {
    const int status = end();
    if (WIFEXITED(status) && WEXITSTATUS(status) == not_loaded)
        return failure(Fault::unsupported, "cannot be loaded: a library of it is missing", program_);
    return {};
}

Result<ProgramAnswer> ask_program(const std::vector<std::string>& words) {
    std::array<int, 2> ends{};
    if (::pipe2(ends.data(), O_CLOEXEC) != 0)
        return failure(system_error(errno, "make a pipe for", words.front()));
    const Handle ours(ends[0], words.front());
    Handle theirs(ends[1], words.front());
    posix_spawn_file_actions_t actions{};
    ::posix_spawn_file_actions_init(&actions);
    ::posix_spawn_file_actions_addopen(&actions, STDIN_FILENO, "/dev/null", O_RDONLY, 0);
    ::posix_spawn_file_actions_adddup2(&actions, theirs.descriptor(), STDOUT_FILENO);
    ::posix_spawn_file_actions_adddup2(&actions, theirs.descriptor(), STDERR_FILENO);
    std::vector<std::string> line = words;
    std::vector<char*> arguments;
    for (std::string& word : line) arguments.push_back(word.data());
    arguments.push_back(nullptr);
    pid_t process = -1;
    const int error =
        ::posix_spawnp(&process, line.front().c_str(), &actions, nullptr, arguments.data(), environ);
    ::posix_spawn_file_actions_destroy(&actions);
    if (error != 0) return failure(system_error(error, "start", words.front()));
    theirs.close();
    ProgramAnswer answer;
    std::array<char, 4096> piece{};
    for (ssize_t got = 1; got != 0;) {
        got = ::read(ours.descriptor(), piece.data(), piece.size());
        if (got < 0 && errno != EINTR) break;
        if (got > 0) answer.text.append(piece.data(), static_cast<std::size_t>(got));
    }
    int status = 0;
    while (::waitpid(process, &status, 0) < 0 && errno == EINTR) {
    }
    answer.status = WIFEXITED(status) ? WEXITSTATUS(status) : -1;
    return answer;
}

}  // namespace tavlo
