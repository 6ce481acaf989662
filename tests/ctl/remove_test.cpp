// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>
#include <set>

#include "script.h"
#include "support/catch.h"
#include "support/environment.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// tavloctl remove, as a script uses it.

TEST_CASE("what is removed lies in the Safe, a folder whole, and comes back with the undo", "[remove]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* file : {"in/box/a", "in/box/sub/b", "in/c", "in/stays"}) temp.write(file, file);
    std::filesystem::create_symlink("nowhere", temp.path("in/link"));
    const Tree before = tree_of(temp.path("in"), {.folder_times = false});
    const std::vector<std::string> sources{temp.path("in/box"), temp.path("in/c"), temp.path("in/link")};
    std::vector<std::string> words{"remove", "--json"};
    words.insert(words.end(), sources.begin(), sources.end());
    words.push_back("--plan");
    const auto plan = script.run(words);
    CHECK(plan.status == 0);
    CHECK(plan.json()["items"].size() == 3);
    CHECK(plan.json()["totals"]["removed"] == 3);
    CHECK_FALSE(plan.json().contains("destination"));
    CHECK(tree_of(temp.path("in"), {.folder_times = false}) == before);
    words.pop_back();
    const auto ran = script.run(words);
    CHECK(ran.status == 0);
    for (const auto& item : ran.items()) {
        CHECK(item["result"] == "removed");
        CHECK(item.contains("set_aside"));
    }
    CHECK(tree_of(temp.path("in")).size() == 1);
    CHECK(script.run({"undo", ran.json()["id"].get<std::string>()}).status == 0);
    CHECK(tree_of(temp.path("in"), {.folder_times = false}) == before);
}

TEST_CASE("the contents of a folder go, or the files in it that are chosen, and then folders stay",
          "[remove]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* file : {"in/a.tmp", "in/b.txt", "in/sub/c.tmp", "in/sub/deep/d.tmp"})
        temp.write(file, file);
    CHECK(script.run({"remove", temp.path("in"), "--name", "*.tmp"}).status == 0);
    CHECK(temp.has("in/b.txt"));
    CHECK_FALSE(temp.has("in/a.tmp"));
    CHECK(std::filesystem::is_directory(temp.path("in/sub/deep")));
    CHECK(std::filesystem::is_empty(temp.path("in/sub/deep")));
    const auto ran = script.run({"remove", temp.path("in"), "--contents", "--json"});
    CHECK(ran.json()["totals"]["items"] == 2);
    CHECK(std::filesystem::is_empty(temp.path("in")));
    CHECK(script.run({"undo", ran.json()["id"].get<std::string>()}).status == 0);
    CHECK(temp.has("in/b.txt"));
    CHECK(std::filesystem::is_directory(temp.path("in/sub/deep")));
}

TEST_CASE("what must stay is refused by name: the home folder, Tavlo's records, the root, what they lie in",
          "[remove]") {
    TempFolder temp;
    const Script script(temp);
    temp.write("xdg/tavlo/x", "x");
    temp.write("in/a", "a");
    for (const auto& what : {temp.path("xdg/tavlo"), temp.path("xdg"), temp.path(), std::string("/"),
                             std::string(std::getenv("HOME"))}) {
        const auto refused = script.run({"remove", what});
        CAPTURE(what, refused.err);
        CHECK(refused.status == 2);
        CHECK(refused.err.find(what) != std::string::npos);
    }
    CHECK(temp.has("in/a"));
    CHECK(script.run({"remove", temp.path("in/nothing")}).status == 2);
    CHECK(script.run({"remove", temp.path("in/a"), "--to", "nowhere"}).status == 2);
}

TEST_CASE("a mount stays, and so does what holds one", "[remove]") {
    TempFolder temp;
    const Script script(temp);
    std::filesystem::create_directories(temp.path("in/box/mounted"));
    const Mount mount = Mount::memory(temp.path("in/box/mounted"));
    NEEDS(mount)
    temp.write("in/box/mounted/a", "a");
    for (const char* what : {"in/box/mounted", "in/box", "in"})
        CHECK(script.run({"remove", temp.path(what)}).status == 2);
    CHECK(temp.has("in/box/mounted/a"));
    CHECK(script.run({"remove", temp.path("in/box/mounted"), "--contents"}).status == 0);
    CHECK_FALSE(temp.has("in/box/mounted/a"));
}

TEST_CASE("an outer folder takes what lies in it along, and that is no item of its own", "[remove]") {
    TempFolder temp;
    const Script script(temp);
    temp.write("in/box/a", "a");
    const auto ran = script.run({"remove", temp.path("in/box/a"), temp.path("in/box"), "--json"});
    CHECK(ran.status == 0);
    CHECK(ran.json()["items"].size() == 1);
    CHECK(script.run({"undo", ran.json()["id"].get<std::string>()}).status == 0);
    CHECK(temp.read("in/box/a") == "a");
}

TEST_CASE("folders left out by name stay with all that is in them, whatever is done with the rest",
          "[remove][select]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* file : {"in/a", "in/Drafts/b", "in/sub/Drafts/c", "in/sub/d", "in/empty/x", "Drafts/e"})
        temp.write(file, file);
    std::filesystem::remove(temp.path("in/empty/x"));
    CHECK(script
              .run({"copy", temp.path("in"), temp.path("Drafts"), "--into", temp.path("to"), "--not-below",
                    "Dra*"})
              .status == 0);
    CHECK(temp.has("to/in/a"));
    CHECK(temp.has("to/in/sub/d"));
    CHECK(temp.has("to/in/empty"));
    CHECK(temp.has("to/Drafts/e"));  // a source itself is none inside one
    CHECK_FALSE(temp.has("to/in/Drafts"));
    CHECK_FALSE(temp.has("to/in/sub/Drafts"));
    CHECK(
        script.run({"move", temp.path("in"), "--into", temp.path("moved"), "--not-below", "Drafts"}).status ==
        0);
    CHECK(temp.read("in/Drafts/b") == "in/Drafts/b");
    CHECK(temp.read("moved/in/sub/d") == "in/sub/d");
    CHECK(script.run({"remove", temp.path("to"), "--not-below", "sub"}).status == 0);
    CHECK(temp.has("to/in/sub/d"));
    CHECK_FALSE(temp.has("to/in/a"));
    CHECK(std::filesystem::is_directory(temp.path("to/Drafts")));
}

TEST_CASE("even and odd are asked of the last number in a name, without its extension", "[remove][select]") {
    TempFolder temp;
    const Script script(temp);
    for (const char* file :
         {"in/5 x.mp3", "in/page 2 of 10.mp3", "in/none.mp4", "in/99999999999999999999998.txt"})
        temp.write(file, file);
    const auto even = script
                          .run({"copy", temp.path("in"), "--contents", "--into", temp.path("to"), "--number",
                                "even", "--plan", "--json"})
                          .json();
    CHECK(even["totals"]["items"] == 2);
    const auto odd = script
                         .run({"copy", temp.path("in"), "--contents", "--into", temp.path("to"), "--number",
                               "odd", "--plan", "--json"})
                         .json();
    REQUIRE(odd["items"].size() == 1);
    CHECK(odd["items"][0]["source"] == temp.path("in/5 x.mp3"));
    CHECK(script.run({"copy", temp.path("in"), "--into", temp.path("to"), "--number", "3-3", "--plan"})
              .out.find("mp3") == std::string::npos);
    CHECK(script.run({"copy", temp.path("in"), "--into", temp.path("to"), "--number", "prime"}).status == 2);
}

TEST_CASE("folders are chosen by what is in them: the large ones, the empty ones, each whole, the outermost",
          "[remove][choose]") {
    TempFolder temp;
    const Script script(temp);
    temp.write("in/large/a", std::string(3000, 'a'));
    temp.write("in/large/deep/b", std::string(3000, 'b'));
    temp.write("in/exact/c", std::string(4096, 'c'));
    temp.write("in/small/d", "d");
    temp.folder("in/empty/inner");
    temp.folder("in/small/nothing");
    temp.folder("in/with-link");
    std::filesystem::create_symlink("nowhere", temp.path("in/with-link/link"));
    const auto sources = [](const Answer& ran) {
        std::set<std::string> names;
        for (const auto& item : ran.items()) names.insert(item["source"].get<std::string>());
        return names;
    };
    CHECK(sources(script.run({"remove", temp.path("in"), "--contents", "--folders-larger", "4K", "--plan",
                              "--json"})) == std::set<std::string>{temp.path("in/large")});
    CHECK(sources(script.run({"remove", temp.path("in"), "--folders-larger", "4K", "--plan", "--json"})) ==
          std::set<std::string>{temp.path("in")});  // a source can be one
    CHECK(sources(script.run({"remove", temp.path("in"), "--empty-folders", "--plan", "--json"})) ==
          std::set<std::string>{temp.path("in/empty"), temp.path("in/small/nothing")});
    // of a folder that is left out nothing is known, so what holds it is not empty
    temp.write("in/empty/Drafts/x", "x");
    CHECK(sources(script.run({"remove", temp.path("in/empty"), "--empty-folders", "--not-below", "Drafts",
                              "--plan", "--json"})) == std::set<std::string>{temp.path("in/empty/inner")});
    CHECK(
        script
            .run({"copy", temp.path("in"), "--folders-larger", "4K", "--contents", "--into", temp.path("to")})
            .status == 0);
    CHECK(temp.read("to/large/deep/b") == std::string(3000, 'b'));
    CHECK_FALSE(temp.has("to/exact"));
    for (const std::vector<std::string>& wrong :
         {std::vector<std::string>{"--folders-larger", "4K", "--name", "*"},
          {"--empty-folders", "--list", "x"},
          {"--folders-larger", "big"},
          {"--empty-folders", "--folders-larger", "1"}}) {
        std::vector<std::string> words{"remove", temp.path("in")};
        words.insert(words.end(), wrong.begin(), wrong.end());
        CHECK(script.run(words).status == 2);
    }
    CHECK(temp.has("in/large"));
}

TEST_CASE("to the trash, as a script sees it", "[remove][trash]") {
    TempFolder temp;
    const Script script(temp);
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    temp.write("in/a", "a");
    temp.write("in/box/b", "b");
    const auto ran = script.run({"remove", temp.path("in"), "--contents", "--to", "trash", "--json"});
    CHECK(ran.status == 0);
    for (const auto& item : ran.items()) {
        CHECK(item["result"] == "removed");
        CHECK_FALSE(item.contains("set_aside"));
        CHECK(std::filesystem::exists(item["final"].get<std::string>()));
    }
    CHECK(script.run({"safe", "--json"}).json()["entries"].empty());
    std::filesystem::remove_all(temp.path("data/Trash/files/box"));
    std::filesystem::remove(temp.path("data/Trash/info/box.trashinfo"));
    const auto undone = script.run({"undo", ran.json()["id"].get<std::string>(), "--json"});
    CHECK(undone.status == 1);
    CHECK(temp.read("in/a") == "a");
    CHECK(undone.json()["totals"]["failed"] == 1);
}
