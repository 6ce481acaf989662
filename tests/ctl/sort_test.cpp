// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>

#include "script.h"
#include "support/catch.h"
#include "support/fact_files.h"
#include "support/temp_folder.h"

// tavloctl facts, --sort-into, --with and --look-elsewhere, as a script uses them.

TEST_CASE("facts of files, as JSON and as lines, what is not there is said", "[facts]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("Éclair 12.jpg",
               photo_bytes({.taken = "2031:05:02 09:14:07", .make = "Ostrel", .model = "Q7"}));
    temp.date("Éclair 12.jpg", 1'900'000'000);
    temp.write("plain", "x");
    const auto told = script.run({"facts", temp.path("Éclair 12.jpg"), temp.path("plain"), "--json"});
    CHECK(told.status == 0);
    CHECK(told.json()["document"] == "facts");
    const auto files = told.json()["files"];
    REQUIRE(files.size() == 2);
    CHECK(files[0]["path"] == temp.path("Éclair 12.jpg"));
    const auto facts = files[0]["facts"];
    CHECK(facts["name"] == "Éclair 12");
    CHECK(facts["ext"] == ".jpg");
    CHECK(facts["initial"] == "E");
    CHECK(facts["kind"] == "pictures");
    CHECK(facts["taken"] == "2031-05-02T09:14:07");
    CHECK(facts["camera"] == "Ostrel Q7");
    CHECK(facts["width"] == 40);
    CHECK(facts["number"] == 12);
    for (const char* none : {"n", "now", "town", "artist", "folders"}) CHECK_FALSE(facts.contains(none));
    CHECK(files[1]["facts"]["size"] == 1);
    CHECK_FALSE(files[1]["facts"].contains("ext"));
    CHECK(files[1]["facts"].contains("owner"));
    const auto lines = script.run({"facts", temp.path("plain"), temp.path("not there")});
    CHECK(lines.status == 1);
    CHECK(lines.out.starts_with(temp.path("plain") + "\n"));
    CHECK(lines.out.find("\nsize\t1\n") != std::string::npos);
    CHECK(lines.err.find(temp.path("not there")) != std::string::npos);
    CHECK(script.run({"facts"}).status == 2);
}

TEST_CASE("folders that a pattern makes stand in the documents, without a source", "[sort]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a.jpg", photo_bytes({.taken = "2031:05:02 09:14:07"}));
    temp.write("in/deep/b.txt", "b");
    const std::vector<std::string> words{"copy",          temp.path("in"), "--into",
                                         temp.path("to"), "--sort-into",   "{taken:%Y|=undated}/{kind}",
                                         "--json"};
    auto planned = words;
    planned.emplace_back("--plan");
    for (const auto& answer : {script.run(planned), script.run(words)}) {
        CAPTURE(answer.err);
        CHECK(answer.status == 0);
        const auto items = answer.items();
        REQUIRE(items.size() == 6);
        CHECK(items[0]["source"].is_null());
        CHECK(items[0]["type"] == "folder");
        CHECK(items[0]["target"] == temp.path("to/2031"));
        CHECK(items[0]["result"] == (answer.json()["document"] == "plan" ? "planned" : "created"));
        CHECK(items[1]["target"] == temp.path("to/2031/pictures"));
        CHECK(items[2]["source"] == temp.path("in/a.jpg"));
        CHECK(items[2]["target"] == temp.path("to/2031/pictures/a.jpg"));
        CHECK(items[5]["target"] == temp.path("to/undated/documents/b.txt"));
    }
    CHECK(temp.read("to/undated/documents/b.txt") == "b");
    const auto again = script.run({"copy", temp.path("in"), "--into", temp.path("to"), "--sort-into", "{ext}",
                                   "--prefix", "p-", "--with", "taken=2031-*", "--json"});
    CHECK(again.items().size() == 2);
    CHECK(temp.has("to/.jpg/p-a.jpg"));
}

TEST_CASE("what cannot be sorted by, or goes with no sorting, is refused and named", "[sort]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "a");
    const auto refused = [&](std::vector<std::string> more) {
        std::vector<std::string> words{"copy", temp.path("in"), "--into", temp.path("to")};
        words.insert(words.end(), more.begin(), more.end());
        const auto answer = script.run(words);
        CAPTURE(more);
        CHECK(answer.status == 2);
        CHECK_FALSE(temp.has("to"));
        return answer.err;
    };
    CHECK(refused({"--sort-into", "{townn}"}).find("--sort-into") != std::string::npos);
    CHECK(refused({"--sort-into", "{taken"}).find("character 1") != std::string::npos);
    CHECK(refused({"--sort-into", "a//b"}).find("level") != std::string::npos);
    CHECK(refused({"--sort-into", "{ext}", "--flatten"}).find("--flatten") != std::string::npos);
    CHECK(refused({"--sort-into", "{ext}", "--subfolders", "all"}).find("--subfolders") != std::string::npos);
    CHECK(refused({"--sort-into", "{ext}", "--keep-from", temp.path()}).find("--keep-from") !=
          std::string::npos);
    CHECK(refused({"--with", "townn=x"}).find("--with") != std::string::npos);
    CHECK(refused({"--when", "elsewher=skip"}).find("elsewhere") != std::string::npos);
    CHECK(script.run({"rename", temp.path("in/a"), "--sort-into", "{ext}"}).status == 2);
}

TEST_CASE("what is there under another name is said in the documents, with its place", "[elsewhere]") {
    const TempFolder temp;
    const Script script(temp);
    temp.write("in/a", "the same bytes");
    temp.write("to/deep/b", "the same bytes");
    const auto ran = script.run({"move", temp.path("in"), "--contents", "--into", temp.path("to"),
                                 "--look-elsewhere", "--when", "elsewhere=skip", "--json"});
    CHECK(ran.status == 0);
    const auto item = ran.items()[0];
    CHECK(item["result"] == "skipped");
    CHECK(item["collision"]["finding"] == "elsewhere");
    CHECK(item["collision"]["held"] == temp.path("to/deep/b"));
    CHECK(temp.read("in/a") == "the same bytes");
    CHECK(script.run({"receipt", ran.json()["id"].get<std::string>(), "--json"}).items()[0] == item);
}
