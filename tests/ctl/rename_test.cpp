// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <filesystem>

#include "script.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// tavloctl rename, and new names on the way, as a script uses them.

TEST_CASE("a batch gets new names where it is, and has the old ones again", "[rename]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* name : {"img-1.JPG", "img-2.JPG", "img-3.JPG"})
        temp.write(std::string("in/") + name, name);
    const Tree before = tree_of(temp.path("in"), {.folder_times = false});
    const auto plan = script.run({"rename", temp.path("in"), "--contents", "--add-to-numbers", "1",
                                  "--extension", "lower", "--plan", "--json"});
    CHECK(plan.status == 0);
    CHECK(plan.json()["operation"] == "rename");
    CHECK_FALSE(plan.json().contains("destination"));
    CHECK(plan.json()["totals"]["created"] == 3);
    CHECK(tree_of(temp.path("in"), {.folder_times = false}) == before);
    const auto ran = script.run(
        {"rename", temp.path("in"), "--contents", "--add-to-numbers", "1", "--extension", "lower", "--json"});
    CHECK(ran.status == 0);
    CHECK(temp.read("in/img-2.jpg") == "img-1.JPG");
    CHECK(temp.read("in/img-4.jpg") == "img-3.JPG");
    const auto undone = script.run({"undo", ran.json()["id"].get<std::string>(), "--json"});
    CHECK(undone.status == 0);
    CHECK_FALSE(undone.json().contains("destination"));
    CHECK(tree_of(temp.path("in"), {.folder_times = false}) == before);
}

TEST_CASE("the order of the steps is the order of the words, and a step's text is what comes after it",
          "[rename]") {
    TempFolder temp;
    const Script script(temp);
    temp.write("in/A.txt", "a");
    temp.write("in/-- b", "b");
    CHECK(
        script.run({"rename", temp.path("in/A.txt"), "--prefix", "--case", "--case", "lower", "--suffix=-=x"})
            .status == 0);
    CHECK(temp.read("in/--casea-=x.txt") == "a");
    CHECK(
        script.run({"rename", "--replace", "-", "+", "--case", "upper", "--", temp.path("in/-- b")}).status ==
        0);
    CHECK(temp.read("in/++ B") == "b");
}

TEST_CASE("what is undecided, impossible or names nothing shows in the status, and the rest is done",
          "[rename]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* name : {"a1", "a2", "b2", "c0"}) temp.write(std::string("in/") + name, name);
    temp.write("names", "a1\tz1\nnever\tx\n");
    const auto by_table =
        script.run({"rename", temp.path("in"), "--contents", "--names-from", temp.path("names")});
    CHECK(by_table.status == 1);
    CHECK(by_table.err.find("line 2: nothing is named 'never'") != std::string::npos);
    CHECK(temp.read("in/z1") == "a1");
    const auto taken = script.run({"rename", temp.path("in/a2"), "--replace", "a", "b"});
    CHECK(taken.status == 3);
    CHECK(temp.read("in/b2") == "b2");
    CHECK(script.run({"rename", temp.path("in/a2"), "--replace", "a", "b", "--on-collision", "rename"})
              .status == 0);
    CHECK(temp.read("in/b2-2") == "a2");
    const auto below_zero =
        script.run({"rename", temp.path("in/c0"), temp.path("in/b2"), "--add-to-numbers", "-1"});
    CHECK(below_zero.status == 1);
    CHECK(temp.read("in/b1") == "b2");
    CHECK(temp.read("in/c0") == "c0");
}

TEST_CASE("names that mean nothing are refused in one line, and nothing is touched", "[rename]") {
    TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "a");
    temp.write("bad table", "no tab here\n");
    const std::vector<std::vector<std::string>> requests{{},
                                                         {"--prefix"},
                                                         {"--replace", "", "x"},
                                                         {"--replace", "x"},
                                                         {"--replace-regex", "(", "x"},
                                                         {"--replace-regex", "a", "\\1"},
                                                         {"--case", "random"},
                                                         {"--add-to-numbers", "one"},
                                                         {"--prefix", "x", "--which-numbers", "all"},
                                                         {"--name-as", "{colour}"},
                                                         {"--name-as", "{n"},
                                                         {"--names-from", temp.path("nothing")},
                                                         {"--names-from", temp.path("bad table")},
                                                         {"--prefix", "x", "--count-from", "-1"},
                                                         {"--prefix", "x", "--into", temp.path("to")}};
    for (const auto& words : requests) {
        std::vector<std::string> all{"rename", temp.path("in/a")};
        all.insert(all.end(), words.begin(), words.end());
        const auto refused = script.run(all);
        CAPTURE(words, refused.err);
        CHECK(refused.status == 2);
        CHECK(std::count(refused.err.begin(), refused.err.end(), '\n') == 1);
        CHECK(refused.out.empty());
    }
    CHECK(temp.read("in/a") == "a");
    CHECK_FALSE(std::filesystem::exists(temp.path("to")));
}

TEST_CASE("on the way to where they go files get new names, and their folders keep theirs", "[rename]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* file : {"in/Case 1/A.TXT", "in/Case 1/B.TXT"}) temp.write(file, file);
    CHECK(script
              .run({"copy", temp.path("in"), "--contents", "--into", temp.path("to"), "--name-as",
                    "{n:3} {name:lower}{ext:lower}"})
              .status == 0);
    CHECK(temp.read("to/Case 1/001 a.txt") == "in/Case 1/A.TXT");
    CHECK(temp.read("to/Case 1/002 b.txt") == "in/Case 1/B.TXT");
}
