// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <sys/types.h>

#include <string>
#include <utility>
#include <vector>

#include "files/handle.h"
#include "files/result.h"

namespace tavlo {

/// Where a helper of Tavlo's is: beside this program, as it is built; else where it is installed, as seen from this
/// program.
std::string helper_program(const std::string& name);

/// Those of the helpers that cannot be started.
std::vector<std::string> missing_helpers(const std::vector<std::string>& names = {"tavlo-facts",
                                                                                  "tavlo-archive"});

/// A process of its own for what a hostile file may bring down, spoken to through a socket on its standard
/// input and output.
class HelperProcess {
public:
    /// handed   a descriptor that it gets as number 3; -1: none
    /// errors   not_found, no_permission: the program; no room for a process
    static Result<HelperProcess> start(const std::string& program, const std::vector<std::string>& words = {},
                                       int handed = -1);
    ~HelperProcess() { (void)end(); }
    HelperProcess(HelperProcess&& other) noexcept
        : process_(std::exchange(other.process_, -1)),
          socket_(std::move(other.socket_)),
          program_(std::move(other.program_)) {}
    HelperProcess& operator=(HelperProcess&& other) noexcept;

    int descriptor() const { return socket_.descriptor(); }
    /// Ends it, whatever it is at. returns  how it ended, if it had by itself (waitpid(2)); else that it was
    /// killed
    int end();
    /// The same, and why nothing can be had of it. errors  unsupported: it could not be loaded
    Result<void> end_and_tell();

private:
    HelperProcess() = default;
    pid_t process_ = -1;
    Handle socket_;
    std::string program_;
};

/// What another program said, on its standard output and error together, and how it ended.
struct ProgramAnswer {
    int status = 0;  ///< its own, 0 for success; -1 where it was killed
    std::string text;
};
/// Runs a program of the system, found by its name, to its end; it reads nothing.
/// errors  not_found: it is not there
Result<ProgramAnswer> ask_program(const std::vector<std::string>& words);

}  // namespace tavlo
