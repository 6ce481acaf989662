// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/kill_scene.h"

#include <signal.h>
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cstdio>
#include <filesystem>

#include "support/catch.h"

int run_tavloctl_for(const std::string& tavloctl, const std::string& state,
                     const std::vector<std::string>& words, long microseconds) {
    const pid_t child = ::fork();
    if (child == 0) {
        const rlimit few_handles{64, 64};  // so that many groups are on their way, one behind the other
        if (::setrlimit(RLIMIT_NOFILE, &few_handles) != 0) ::_exit(126);
        if (::freopen("/dev/null", "w", stdout) == nullptr || ::freopen("/dev/null", "w", stderr) == nullptr)
            ::_exit(126);
        std::vector<std::string> line(words);
        line.emplace_back("--state");
        line.push_back(state);
        std::string program = tavloctl;
        std::vector<char*> argv{program.data()};
        for (auto& word : line) argv.push_back(word.data());
        argv.push_back(nullptr);
        ::execv(tavloctl.c_str(), argv.data());
        ::_exit(127);
    }
    if (microseconds >= 0) {
        ::usleep(static_cast<useconds_t>(microseconds));
        ::kill(child, SIGKILL);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : -1;
}

int make_kill_scene(const TempFolder& temp, const std::string& from, const std::string& to) {
    for (int i = 0; i < 60; ++i) {
        const std::string name = "box/" + std::to_string(i % 6) + "/file-" + std::to_string(i);
        temp.write(from + "/" + name,
                   "incoming " + std::to_string(i) + std::string(static_cast<std::size_t>(i * 700), 'x'));
        temp.date(from + "/" + name, 1'900'000'000 + i);
        if (i % 3 == 0) {
            temp.write(to + "/" + name, "held " + std::to_string(i));
            temp.date(to + "/" + name, i % 2 == 0 ? 1'800'000'000 : 1'950'000'000);  // older, newer
        }
    }
    temp.link(from + "/box/link", "0/file-0");
    temp.date(from + "/box/link", 1'900'000'100);
    std::filesystem::create_hard_link(temp.path(from + "/box/1/file-1"), temp.path(from + "/box/again"));
    temp.folder(from + "/box/empty");
    temp.write(to + "/box/0/extra", "not of the batch");
    temp.write(to + "/extra/deep/file", "nor this");
    for (const char* extra : {"/box/0/extra", "/extra/deep/file"}) temp.date(to + extra, 1'700'000'000);
    return 70;  // 60 files, 6 folders for them, the box, the empty one, a link, a second name
}

std::string differences(const Tree& now, const Tree& then) {
    std::string lines;
    for (const auto& [path, what] : then)
        if (const auto found = now.find(path); found == now.end())
            lines += "gone: " + path + "\n";
        else if (found->second != what)
            lines += path + ": " + found->second + ", was " + what + "\n";
    for (const auto& [path, what] : now)
        if (!then.contains(path)) lines += "new: " + path + ": " + what + "\n";
    return lines;
}

void check_no_litter(const std::string& folder) {
    for (const auto& entry : std::filesystem::recursive_directory_iterator(folder)) {
        CAPTURE(entry.path());
        CHECK(entry.path().filename().string().find(".tavlo-part-") == std::string::npos);
    }
}
