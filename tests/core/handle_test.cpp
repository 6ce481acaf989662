// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/handle.h"

#include <fcntl.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <fstream>
#include <functional>

#include "support/catch.h"

using namespace tavlo;

namespace {

/// In a process of its own, which has a table and a limit of its own. returns its exit status
int apart(const std::function<int()>& what) {
    const pid_t child = ::fork();
    if (child == 0) ::_exit(what());
    int status = 0;
    ::waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : -1;
}

void limit(rlim_t soft, rlim_t hard) {
    const rlimit both{soft, hard};
    if (::setrlimit(RLIMIT_NOFILE, &both) != 0) ::_exit(100);
}

std::size_t room_in_table() {
    std::ifstream status("/proc/self/status");
    for (std::string line; std::getline(status, line);)
        if (line.starts_with("FDSize:")) return std::stoul(line.substr(7));
    return 0;
}

}  // namespace

TEST_CASE("a program may have as many handles open as a run has use for, and as the machine allows",
          "[files]") {
    rlimit now{};
    REQUIRE(::getrlimit(RLIMIT_NOFILE, &now) == 0);
    if (now.rlim_max < 4096) {
        WARN("skipped: no more than " << now.rlim_max << " handles here");
        return;
    }
    CHECK(apart([] {  // as a desktop starts its programs
              limit(1024, 4096);
              raise_handle_limit();
              return handle_limit() == 4096 && room_in_table() >= 4096 ? 0 : 1;
          }) == 0);
    CHECK(apart([] {  // as many as there may be, and that is few
              limit(256, 256);
              raise_handle_limit();
              return handle_limit() == 256 && room_in_table() >= 256 ? 0 : 1;
          }) == 0);
    if (now.rlim_max < 20'000) return;
    CHECK(apart([] {
              limit(1024, 20'000);
              raise_handle_limit();
              return handle_limit() == 16 * 1024 && room_in_table() >= 8 * 1024 ? 0 : 1;
          }) == 0);
    CHECK(apart([] {  // somebody wants more: that is left alone
              limit(20'000, 20'000);
              raise_handle_limit();
              return handle_limit() == 20'000 ? 0 : 1;
          }) == 0);
    CHECK(apart([] {  // and nothing is open that was not
              raise_handle_limit();
              return ::fcntl(8 * 1024 - 1, F_GETFD) == -1 ? 0 : 1;
          }) == 0);
}
