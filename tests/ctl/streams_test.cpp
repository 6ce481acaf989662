// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <signal.h>
#include <sys/mount.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cerrno>
#include <filesystem>

#include "script.h"
#include "support/catch.h"
#include "support/mounts.h"
#include "support/tree.h"

// tavloctl and who started it: signals, outputs that fail, several of it at once.

using Json = nlohmann::json;

namespace {

pid_t start(const TempFolder& temp, std::vector<std::string> words) {
    const pid_t child = ::fork();
    if (child == 0) {
        errno = 0;
        if (::nice(19) == -1 && errno != 0) ::_exit(126);  // it gives way to who watches it
        ::setenv("XDG_STATE_HOME", temp.path("xdg").c_str(), 1);
        if (::freopen("/dev/null", "w", stdout) == nullptr) ::_exit(126);
        words.insert(words.begin(), TAVLOCTL);
        std::vector<char*> arguments;
        for (std::string& word : words) arguments.push_back(word.data());
        arguments.push_back(nullptr);
        ::execv(TAVLOCTL, arguments.data());
        ::_exit(127);
    }
    return child;
}

/// Starts a copy of so many files from "from" into "to", and comes back once it is under way.
pid_t start_copy(const TempFolder& temp, int files) {
    for (int i = 0; i < files; ++i) temp.write("from/" + std::to_string(i), std::string(20'000, 'x'));
    const pid_t child = start(temp, {"copy", temp.path("from"), "--into", temp.path("to")});
    while (!std::filesystem::exists(temp.path("to/from"))) ::usleep(1000);
    return child;
}

}  // namespace

TEST_CASE("a signal stops between two items, what is done is in the receipt", "[ctl]") {
    TempFolder temp;
    const pid_t child = start_copy(temp, 4000);
    ::kill(child, SIGTERM);
    int status = 0;
    ::waitpid(child, &status, 0);
    REQUIRE(WIFEXITED(status));
    CHECK(WEXITSTATUS(status) == 4);
    Script tavloctl(temp);
    const Json heads = tavloctl.run({"receipts", "--json"}).json()["receipts"];
    REQUIRE(heads.size() == 1);
    CHECK(heads[0]["state"] == "stopped");
    const Json receipt = tavloctl.run({"receipt", heads[0]["id"], "--json"}).json();
    CHECK(receipt["items"].size() == 4001);
    for (const auto& item : receipt["items"])
        CHECK(temp.has(item["target"].get<std::string>().substr(temp.path().size() + 1)) ==
              (item["result"] == "created"));
    SECTION("and can be undone, after which nothing is left to go on with") {
        CHECK(tavloctl.run({"undo", heads[0]["id"]}).status == 0);
        CHECK_FALSE(temp.has("to"));
        CHECK(tavloctl.run({"recover", "--json"}).json()["receipts"].empty());
    }
    SECTION("and the rest can be gone on with, under the same receipt") {
        const Answer recovered = tavloctl.run({"recover", "--json"});
        CHECK(recovered.status == 0);
        CHECK(recovered.json()["document"] == "recovery");
        CHECK(recovered.json()["receipts"][0]["id"] == heads[0]["id"]);
        CHECK(recovered.json()["receipts"][0]["state"] == "done");
        CHECK(recovered.json()["receipts"][0]["totals"]["created"] == 4001);
        CHECK(tree_of(temp.path("to/from")) == tree_of(temp.path("from")));
        CHECK(tavloctl.run({"recover"}).out == "nothing to recover\n");
    }
}

TEST_CASE("a signal stops an undo between two items, too, and recover brings it to its end", "[ctl]") {
    const int signal = GENERATE(SIGTERM, SIGINT, SIGHUP);
    CAPTURE(signal);
    TempFolder temp;
    int status = 0;
    ::waitpid(start_copy(temp, 4000), &status, 0);
    REQUIRE(status == 0);
    const Script tavloctl(temp);
    const std::string id = tavloctl.run({"receipts", "--json"}).json()["receipts"][0]["id"];
    const pid_t child = start(temp, {"undo", id});
    const auto left = [&] {
        return std::distance(std::filesystem::directory_iterator(temp.path("to/from")), {});
    };
    while (left() == 4000) ::usleep(200);
    ::kill(child, signal);
    ::waitpid(child, &status, 0);
    REQUIRE(WIFEXITED(status));
    CHECK(WEXITSTATUS(status) == 4);
    CHECK(temp.has("to/from"));
    CHECK(tavloctl.run({"recover"}).status == 0);
    CHECK_FALSE(temp.has("to/from"));
}

TEST_CASE("a run that is alive is left alone by recover", "[ctl]") {
    TempFolder temp;
    const pid_t child = start_copy(temp, 3000);
    ::kill(child, SIGSTOP);
    Script tavloctl(temp);
    const auto before = tree_of(temp.path("to")).size();
    const Answer recovered = tavloctl.run({"recover", "--json"});
    CHECK(recovered.status == 0);
    CHECK(recovered.err.find("is still going on") != std::string::npos);
    CHECK(recovered.json()["receipts"].empty());
    CHECK(tree_of(temp.path("to")).size() == before);
    ::kill(child, SIGCONT);
    int status = 0;
    ::waitpid(child, &status, 0);
    CHECK(WEXITSTATUS(status) == 0);
    CHECK(tree_of(temp.path("to/from")) == tree_of(temp.path("from")));
}

TEST_CASE("a run that goes on is said to, and its undo is refused by name", "[ctl]") {
    TempFolder temp;
    Script script(temp);
    const pid_t child = start_copy(temp, 3000);
    ::kill(child, SIGSTOP);  // so that it is sure to go on
    const Json heads = script.run({"receipts", "--json"}).json();
    const auto& head = heads["receipts"][0];
    CHECK(head["state"] == "interrupted");
    CHECK(head["goes_on"] == true);
    CHECK(script.run({"receipts"}).out.find("goes on") != std::string::npos);
    const Answer undo = script.run({"undo", head["id"]});
    CHECK(undo.status == 2);
    CHECK(undo.err.find(head["id"].get<std::string>()) != std::string::npos);
    ::kill(child, SIGCONT);
    int status = 0;
    ::waitpid(child, &status, 0);
    CHECK(WEXITSTATUS(status) == 0);
    CHECK_FALSE(script.run({"receipts", "--json"}).json()["receipts"][0].contains("goes_on"));
}

TEST_CASE("an output that is full, closed, or a pipe that nobody reads does not touch the run",
          "[ctl][streams]") {
    TempFolder temp;
    for (int i = 0; i < 600; ++i) temp.write("from/" + std::to_string(i), "x");
    const auto how = GENERATE(as<std::string>(), "full", "closed", "no reader");
    CAPTURE(how);
    int ends[2];
    REQUIRE(::pipe(ends) == 0);
    ::close(ends[0]);
    const pid_t child = ::fork();
    if (child == 0) {
        ::setenv("XDG_STATE_HOME", temp.path("xdg").c_str(), 1);
        for (const int stream : {STDOUT_FILENO, STDERR_FILENO}) {
            if (how == "closed") ::close(stream);
            if (how == "no reader") ::dup2(ends[1], stream);
            if (how == "full") ::dup2(::open("/dev/full", O_WRONLY), stream);
        }
        ::execl(TAVLOCTL, TAVLOCTL, "copy", temp.path("from").c_str(), "--into", temp.path("to").c_str(),
                "--verbose", static_cast<char*>(nullptr));
        ::_exit(127);
    }
    ::close(ends[1]);
    int status = 0;
    ::waitpid(child, &status, 0);
    CHECK(WIFEXITED(status));
    CHECK(WEXITSTATUS(status) == 0);
    Script script(temp);
    const Json head = script.run({"receipts", "--json"}).json()["receipts"][0];
    CHECK(head["state"] == "done");
    CHECK(head["totals"]["created"] == 601);
    for (int i = 0; i < 600; ++i) REQUIRE(temp.read("to/from/" + std::to_string(i)) == "x");
}

TEST_CASE("a line that drops ends a run as a wish to stop does, unless it was to be ignored",
          "[ctl][streams]") {
    TempFolder temp;
    const bool ignored = GENERATE(false, true);
    ::signal(SIGHUP, ignored ? SIG_IGN : SIG_DFL);  // whoever has started the tests
    const pid_t child = start_copy(temp, 3000);
    ::signal(SIGHUP, SIG_DFL);
    ::kill(child, SIGHUP);
    int status = 0;
    ::waitpid(child, &status, 0);
    REQUIRE(WIFEXITED(status));
    CHECK(WEXITSTATUS(status) == (ignored ? 0 : 4));
    Script script(temp);
    CHECK(script.run({"recover"}).status == 0);
    CHECK(temp.has("to/from/2999"));
}
