// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/picks.h"

#include <random>
#include <set>

#include "support/catch.h"

using Change = Picks::Change;
using Names = Picks::Names;

TEST_CASE(
    "what is in hand is counted once, however often it is picked, and a change tells what of it was new",
    "[picks]") {
    Picks picks;
    CHECK(picks.empty());
    CHECK(*picks.note(Change::of("/desk", {"b", "a"}, true)).names == Names{"b", "a"});
    CHECK(*picks.note(Change::of("/desk", {"a", "c"}, true)).names == Names{"c"});
    CHECK(picks.note(Change::of("/desk", {"a"}, true)).names->empty());
    CHECK(picks.count() == 3);
    CHECK(picks.in("/desk") == 3);
    CHECK(picks.in("/elsewhere") == 0);
    CHECK(picks.contain("/desk", "c"));
    CHECK_FALSE(picks.contain("/elsewhere", "c"));
    CHECK(*picks.note(Change::of("/desk", {"a", "x"}, false)).names == Names{"a"});
    CHECK(picks.paths() == Names{"/desk/b", "/desk/c"});
    (void)picks.note(Change::of("/desk", {"b", "c"}, false));
    CHECK(picks.empty());
    CHECK(picks.folders().empty());
}

TEST_CASE("a change of what is in hand, reversed, gives back what was, bytes that are no text too",
          "[picks]") {
    std::mt19937 random(7);
    Picks picks;
    std::set<std::string> model;
    std::vector<Change> made;
    for (int turn = 0; turn < 500; ++turn) {
        const std::string folder = "/f" + std::to_string(random() % 3);
        Names names;
        for (unsigned count = random() % 4; count > 0; --count)
            names.push_back(std::string("n\xff") + std::to_string(random() % 9));
        const bool in = random() % 2 == 0;
        std::sort(names.begin(), names.end());
        names.erase(std::unique(names.begin(), names.end()), names.end());
        for (const auto& name : names)
            in ? (void)model.insert(folder + "/" + name) : (void)model.erase(folder + "/" + name);
        made.push_back(picks.note(Change::of(folder, names, in)));
        CHECK(picks.count() == model.size());
        for (int number = 0; number < 9; ++number) {
            const std::string name = std::string("n\xff") + std::to_string(number);
            CHECK(picks.contain(folder, name) == model.contains(folder + "/" + name));
        }
    }
    const Names now = picks.paths();
    CHECK(std::set<std::string>(now.begin(), now.end()) == model);
    for (auto change = made.rbegin(); change != made.rend(); ++change) (void)picks.note(change->reversed());
    CHECK(picks.empty());
    for (const Change& change : made) (void)picks.note(change);
    CHECK(picks.paths() == now);
}

TEST_CASE("what it takes to hold these paths and nothing else", "[picks]") {
    Picks picks;
    (void)picks.note(Change::of("/a", {"1", "2"}, true));
    (void)picks.note(Change::of("/b", {"3"}, true));
    for (const Change& change : picks.changesTo({"/b/3", "/c/4", "/top"})) (void)picks.note(change);
    CHECK(picks.paths() == Names{"/top", "/b/3", "/c/4"});
    CHECK(picks.folders() == Names{"/", "/b", "/c"});
    for (const Change& change : picks.changesTo({})) (void)picks.note(change);
    CHECK(picks.empty());
}

TEST_CASE("archives alone are told by their names, in every folder", "[picks]") {
    Picks picks;
    CHECK_FALSE(picks.areArchivesAlone());
    (void)picks.note(Change::of("/a", {"year.zip", "old.tar.gz"}, true));
    CHECK(picks.areArchivesAlone());
    (void)picks.note(Change::of("/b", {"note.txt"}, true));
    CHECK_FALSE(picks.areArchivesAlone());
}
