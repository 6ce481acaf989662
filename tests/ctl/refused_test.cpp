// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <signal.h>
#include <sys/mount.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <filesystem>

#include "script.h"
#include "support/catch.h"
#include "support/mounts.h"
#include "support/tree.h"

// What tavloctl refuses, and where it keeps its state.

using Json = nlohmann::json;

namespace {

/// As it is, with the environment of the test.
int run_tavloctl(const std::vector<std::string>& words, const TempFolder& temp) {
    const pid_t child = ::fork();
    if (child == 0) {
        if (::freopen(temp.path("out").c_str(), "w", stdout) == nullptr ||
            ::freopen("/dev/null", "w", stderr) == nullptr)
            ::_exit(126);
        std::vector<std::string> line{TAVLOCTL};
        line.insert(line.end(), words.begin(), words.end());
        std::vector<char*> argv;
        for (auto& word : line) argv.push_back(word.data());
        argv.push_back(nullptr);
        ::execv(TAVLOCTL, argv.data());
        ::_exit(127);
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : -1;
}

}  // namespace

TEST_CASE("bad requests leave everything as it was, with one clear line", "[ctl][refused]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("from/a", "x");
    temp.folder("to");
    temp.write("file", "x");
    const std::string a = temp.path("from/a");
    const std::string to = temp.path("to");
    const Tree before = tree_of(temp.path());
    const std::vector<std::vector<std::string>> requests{
        {},
        {"frobnicate"},
        {"copy"},
        {"copy", a},
        {"copy", "--into", to},
        {"copy", "", "--into", to},
        {"copy", temp.path("missing"), "--into", to},
        {"copy", a, temp.path("missing"), "--into", to},
        {"copy", a, "--into", temp.path("file")},
        {"copy", a, "--into", temp.path("file/below")},
        {"copy", a, "--into", temp.path("from")},
        {"copy", temp.path("from"), "--into", temp.path("from/deeper")},
        {"copy", a, "--into", to, "--into", to},
        {"copy", a, "--into", to, "--flatten", "--flatten"},
        {"copy", a, "--into", to, "--flatten", "--subfolders", "all"},
        {"copy", a, "--into", to, "--subfolders", "some"},
        {"copy", a, "--into", to, "--links", "maybe"},
        {"copy", a, "--into", to, "--clear", "most"},
        {"copy", temp.path("from"), "--into", temp.path(), "--clear", "extra"},
        {"copy", a, "--into", to, "--flatten", "--keep-from", temp.path()},
        {"move", a, "--into", to, "--while-counting"},
        {"copy", a, "--into", to, "--while-counting", "--plan"},
        {"copy", a, "--into", to, "--while-counting", "--name", "*"},
        {"copy", temp.path("missing"), "--into", to, "--while-counting"},
        {"copy", temp.path("from"), "--into", temp.path("from/deeper"), "--while-counting"},
        {"copy", a, "--into", to, "--on-collision", "explode"},
        {"copy", a, "--into", to, "--when", "newer"},
        {"copy", a, "--into", to, "--when", "fresh=skip"},
        {"copy", a, "--into", to, "--when", "newer=undecided"},
        {"copy", a, "--into", to, "--when", "newer=skip", "--when", "newer=rename"},
        {"copy", a, "--into", to, "--nonsense"},
        {"copy", a, "--into", to, "--state", temp.path("file")},
        {"copy", a, "--into", to, "--json", "--json"},
        {"receipt", "no-such-receipt", "--json"},
        {"check", "no-such-receipt"},
        {"undo", "no-such-receipt"},
        {"safe", "restore", "no-such-entry"},
        {"safe", "burn"},
        {"safe", "empty", "--older-than", "soon"},
        {"run", temp.path("job.json")},
    };
    for (const auto& job : requests) {
        std::string line;
        for (const auto& word : job) line += " '" + word + "'";
        CAPTURE(line);
        const Answer answer = tavloctl.run(job);
        CHECK(answer.status == 2);
        CHECK(answer.out.empty());
        CHECK(answer.err.starts_with("tavloctl: "));
        CHECK(std::count(answer.err.begin(), answer.err.end(), '\n') == 1);
        std::filesystem::remove_all(temp.path("xdg"));
        CHECK(tree_of(temp.path()) == before);
    }
}

TEST_CASE(
    "empty words, links that lead nowhere and folders into themselves are refused, in one line that names "
    "them",
    "[ctl]") {
    TempFolder temp;
    Script script(temp);
    temp.write("from/sub/deep/a", "a");
    temp.link("nowhere", "not/there");
    const auto refused = [&](const std::vector<std::string>& words, const std::string& named) {
        const Answer answer = script.run(words);
        CAPTURE(words, answer.err);
        CHECK(answer.status == 2);
        CHECK(answer.out.empty());
        CHECK(std::count(answer.err.begin(), answer.err.end(), '\n') == 1);
        CHECK(answer.err.find(named) != std::string::npos);
    };
    refused({"copy", temp.path("from"), "--into", ""}, "--into");
    refused({"copy", temp.path("from"), "--into", temp.path("to"), "--state", ""}, "--state");
    refused({"receipts", "--state", ""}, "--state");
    refused({"safe", "restore", "x", "--into", ""}, "--into");
    refused({"copy", "", "--into", temp.path("to")}, "SOURCE");
    refused({"copy", temp.path("from/sub/deep/a"), "--into", temp.path("nowhere")}, temp.path("nowhere"));
    refused({"copy", temp.path("from/sub/deep/a"), "--into", temp.path("nowhere/below")},
            temp.path("nowhere"));
    refused({"copy", temp.path("from"), "--into", temp.path("from/sub/deep")}, "is a folder into itself");
    refused({"copy", temp.path("from"), "--into", temp.path("from/sub/deep/not/there")},
            "is a folder into itself");
    refused({"move", temp.path("from"), "--into", temp.path("from")}, "is a folder into itself");
    refused({"copy", temp.path("from"), "--contents", "--into", temp.path("from/sub")},
            "is a folder into itself");
    CHECK_FALSE(temp.has("to"));
    CHECK_FALSE(temp.has("not"));
}

TEST_CASE("a state folder that cannot be made or written is said to be that, and nothing is touched",
          "[ctl][refused]") {
    TempFolder temp;
    temp.write("from/a", "1");
    temp.write("a file", "2");
    Script script(temp);
    const std::vector<std::string> unusable{"/proc/state", temp.path("a file"), temp.path("a file/below")};
    for (const auto& state : unusable) {
        const Answer answer =
            script.run({"copy", temp.path("from"), "--into", temp.path("to"), "--state", state});
        CAPTURE(state, answer.err);
        CHECK(answer.status == 2);
        CHECK(answer.out.empty());
        CHECK(answer.err.starts_with("tavloctl: the state cannot be kept there: " +
                                     state.substr(0, state.rfind("/below"))));
    }
    CHECK_FALSE(temp.has("to"));
    temp.write(
        "damaged/tavlo.sqlite",
        "no database at all, but long enough to be looked at as one, line by line by line by line by line");
    const Answer damaged = script.run({"receipts", "--state", temp.path("damaged")});
    CHECK(damaged.status == 2);
    CHECK(damaged.err.find("damaged/tavlo.sqlite") != std::string::npos);
}

TEST_CASE("the state is kept nowhere that nobody asked for, and --state may stand first", "[ctl]") {
    TempFolder temp;
    Script script(temp);
    const auto run_with_home = [&](const std::string& home, const std::vector<std::string>& words) {
        ::unsetenv("XDG_STATE_HOME");
        const std::string before = ::getenv("HOME") == nullptr ? "" : ::getenv("HOME");
        ::setenv("HOME", home.c_str(), 1);
        const int status = run_tavloctl(words, temp);
        ::setenv("HOME", before.c_str(), 1);
        return status;
    };
    CHECK(run_with_home(temp.path("not there"), {"receipts"}) == 2);
    CHECK_FALSE(temp.has("not there"));
    temp.folder("home");
    CHECK(run_with_home(temp.path("home"), {"receipts"}) == 0);
    CHECK(temp.has("home/.local/state/tavlo"));
    CHECK(script.run({"--state", temp.path("other"), "receipts"}).status == 0);
    CHECK(temp.has("other/tavlo.sqlite"));
    CHECK(script.run({"--state=" + temp.path("third"), "safe", "empty"}).status == 0);
    CHECK(temp.has("third/tavlo.sqlite"));
    CHECK(script
              .run({"copy", temp.path("home"), "--into", temp.path("to"), "--keep-from",
                    temp.path("not there")})
              .status == 2);
    const Answer word =
        script.run({"copy", temp.path("home"), "--into", temp.path("to"), "--when", "bigger=skip"});
    CHECK(word.err.find("same-date") != std::string::npos);
}
