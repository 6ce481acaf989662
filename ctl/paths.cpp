// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "paths.h"

#include <sys/stat.h>
#include <unistd.h>

#include <cstdlib>
#include <memory>
#include <string_view>

#include "command_line.h"
#include "files/home.h"
#include "files/path.h"

namespace {

std::string current_folder() {
    const std::unique_ptr<char, decltype(&std::free)> path(::getcwd(nullptr, 0), &std::free);
    if (!path) refuse("the current folder cannot be found");
    return path.get();
}

bool is_folder(const std::string& path) {
    struct stat status {};
    return ::stat(path.c_str(), &status) == 0 && S_ISDIR(status.st_mode);
}

}  // namespace

std::string absolute(const std::string& path) {
    if (path.empty()) refuse("an empty path names nothing");
    const std::string whole = tavlo::join(path.front() == '/' ? "" : current_folder(), path);
    if ((whole + '/').find("/../") == std::string::npos) return tavlo::normalised(whole, "/");
    std::string known = "/";
    std::string_view rest = whole;
    while (!rest.empty()) {
        const auto slash = rest.find('/');
        const auto part = rest.substr(0, slash);
        rest = slash == std::string_view::npos ? std::string_view{} : rest.substr(slash + 1);
        if (part != "..") {
            known = tavlo::normalised(part.empty() ? "." : part, known);
            continue;
        }
        const std::unique_ptr<char, decltype(&std::free)> real(::realpath(known.c_str(), nullptr),
                                                               &std::free);
        known = std::string(tavlo::parent_of(real ? std::string(real.get()) : known));
    }
    return known;
}

std::string source_path(const std::string& path) {
    std::string whole = absolute(path);
    if (path.back() == '/' && whole != "/") whole += '/';
    return whole;
}

std::string folder_that_is_there(const std::string& option, const std::string& path) {
    const std::string whole = absolute(path);
    if (!is_folder(whole)) refuse(option + ": " + tavlo::printable(whole) + " is no folder that is there");
    return whole;
}

std::string usual_state_folder() {
    const char* state = std::getenv("XDG_STATE_HOME");
    if (state != nullptr && state[0] == '/') return tavlo::join(state, "tavlo");
    const std::string home = tavlo::home_folder();
    if (home.size() <= 1 || !is_folder(home))
        refuse("there is no home folder to keep the state in (HOME" +
               (home.empty() ? std::string(" is not set") : ": " + tavlo::printable(home)) +
               "): set HOME or XDG_STATE_HOME, or give --state FOLDER");
    return tavlo::join(home, ".local/state/tavlo");
}

std::string program_path() {
    const std::unique_ptr<char, decltype(&std::free)> path(::realpath("/proc/self/exe", nullptr), &std::free);
    return path ? path.get() : "tavloctl";
}
