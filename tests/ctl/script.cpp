// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "script.h"

#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <filesystem>

Answer Script::run(std::vector<std::string> words, const std::optional<std::string>& input) const {
    const std::string out = temp_.path("stdout");
    const std::string err = temp_.path("stderr");
    const std::string in = temp_.path("stdin");
    if (input) temp_.write("stdin", *input);
    const pid_t child = ::fork();
    if (child == 0) {
        ::setenv("XDG_STATE_HOME", temp_.path("xdg").c_str(), 1);
        if (::freopen(out.c_str(), "w", stdout) == nullptr || ::freopen(err.c_str(), "w", stderr) == nullptr)
            ::_exit(126);
        if (input && ::freopen(in.c_str(), "r", stdin) == nullptr) ::_exit(126);
        const rlimit limit{most_handles_, most_handles_};
        if (most_handles_ != 0 && ::setrlimit(RLIMIT_NOFILE, &limit) != 0) ::_exit(126);
        std::string program = TAVLOCTL;
        std::vector<char*> argv{program.data()};
        for (auto& word : words) argv.push_back(word.data());
        argv.push_back(nullptr);
        ::execv(TAVLOCTL, argv.data());
        ::_exit(127);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    Answer answer{WIFEXITED(status) ? WEXITSTATUS(status) : 128 + WTERMSIG(status), temp_.read("stdout"),
                  temp_.read("stderr")};
    for (const auto& path : {out, err, in}) std::filesystem::remove(path);
    return answer;
}
