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

// The work from a script, as the contract says.

using Json = nlohmann::json;

namespace {

const Json& item_for(const Json& document, const std::string& target) {
    for (const auto& item : document["items"])
        if (item["target"] == target) return item;
    FAIL("no item wants " << target);
    return document["items"][0];
}

}  // namespace

TEST_CASE("the job from a script: plan, copy, check, undo, each as the contract says", "[ctl]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("from/box/new", "1");
    temp.write("from/box/same", "22");
    temp.write("from/box/newer", "333");
    temp.write("from/box/older", "4444");
    temp.write("to/box/same", "22");
    temp.write("to/box/newer", "three");
    temp.write("to/box/older", "four!");
    temp.date("to/box/newer", 1'000'000'000, 5);
    temp.date("to/box/older", 2'500'000'000, 5);
    const Tree from = tree_of(temp.path("from"));
    const Tree to = tree_of(temp.path("to"), {.folder_times = false});
    const std::vector<std::string> job{"copy",   temp.path("from/box"), "--into", temp.path("to"),
                                       "--when", "newer=overwrite",     "--when", "older=rename",
                                       "--when", "same=skip",           "--json"};
    auto planned = job;
    planned.emplace_back("--plan");
    const Answer plan = tavloctl.run(planned);
    CHECK(plan.status == 0);
    CHECK(plan.json()["document"] == "plan");
    CHECK(plan.json()["tavlo"] == 1);
    const Json planned_document = plan.json();
    for (const auto& item : planned_document["items"]) CHECK(item["result"] == "planned");
    CHECK(plan.json()["totals"]["overwritten"] == 1);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == to);
    CHECK_FALSE(temp.has("xdg"));  // a plan changes nothing at all

    const Answer ran = tavloctl.run(job);
    CHECK(ran.status == 0);
    const Json receipt = ran.json();
    CHECK(receipt["state"] == "done");
    CHECK(receipt["operation"] == "copy");
    CHECK(receipt["totals"] == Json{{"items", 5},
                                    {"bytes", 8},
                                    {"created", 1},
                                    {"overwritten", 1},
                                    {"renamed", 1},
                                    {"skipped", 1},
                                    {"merged", 1},
                                    {"undecided", 0},
                                    {"failed", 0},
                                    {"removed", 0},
                                    {"restored", 0}});
    const Json over = item_for(receipt, temp.path("to/box/newer"));
    CHECK(over["result"] == "overwritten");
    CHECK(over["collision"]["finding"] == "newer");
    CHECK(over["collision"]["size"] == 5);
    CHECK(over["collision"]["modified"] == "2001-09-09T01:46:40.000000005Z");
    CHECK(item_for(receipt, temp.path("to/box/older"))["final"] == temp.path("to/box/older-2"));
    // the receipt against the disk
    for (const auto& item : receipt["items"]) {
        const std::string place = item.value("final", item["target"].get<std::string>());
        CHECK(std::filesystem::exists(place));
        if (item["result"] == "created" || item["result"] == "overwritten" || item["result"] == "renamed")
            CHECK(std::filesystem::file_size(place) == item["size"]);
    }
    const std::string id = receipt["id"];
    CHECK(tavloctl.run({"receipt", id, "--json"}).json() == receipt);
    CHECK(tavloctl.run({"receipts", "--json"}).json()["receipts"][0]["id"] == id);
    const Json safe = tavloctl.run({"safe", "--json"}).json();
    REQUIRE(safe["entries"].size() == 1);
    CHECK(safe["entries"][0]["id"] == over["set_aside"]);
    CHECK(safe["entries"][0]["original"] == temp.path("to/box/newer"));
    CHECK(std::filesystem::exists(safe["entries"][0]["stored"].get<std::string>()));
    CHECK(tavloctl.run({"check", id}).status == 0);
    temp.write("to/box/new", "X");
    const Answer differs = tavloctl.run({"check", id, "--json"});
    CHECK(differs.status == 1);
    CHECK(differs.json()["totals"] == Json{{"items", 5}, {"differs", 1}});
    CHECK(item_for(differs.json(), temp.path("to/box/new"))["differs"] == "bytes");

    CHECK(tavloctl.run({"undo", id, "--plan"}).status == 3);  // one was changed since
    const Answer undone = tavloctl.run({"undo", id, "--json"});
    CHECK(undone.status == 3);
    CHECK(undone.json()["operation"] == "undo");
    CHECK(undone.json()["totals"]["restored"] == 1);
    CHECK(undone.json()["totals"]["removed"] == 1);
    CHECK(undone.json()["totals"]["undecided"] == 1);
    std::filesystem::remove(temp.path("to/box/new"));
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == to);
    CHECK(tree_of(temp.path("from")) == from);
    CHECK(tavloctl.run({"undo", id}).status == 2);
}

TEST_CASE("the status says how it went", "[ctl]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("from/a", "new");
    temp.write("to/a", "held");
    CHECK(tavloctl.run({"copy", temp.path("from/a"), "--into", temp.path("to")}).status == 3);
    CHECK(tavloctl.run({"copy", temp.path("from/a"), "--into", temp.path("to"), "--on-collision", "skip"})
              .status == 0);
    REQUIRE(::mkfifo(temp.path("from/pipe").c_str(), 0600) == 0);
    const Answer both =
        tavloctl.run({"copy", temp.path("from"), "--contents", "--into", temp.path("to"), "--json"});
    CHECK(both.status == 1);
    CHECK(both.err == "tavloctl: " + temp.path("from/a") + ": undecided: the name is taken, finding older: " +
                          temp.path("to/a") + "\ntavloctl: " + temp.path("from/pipe") +
                          ": is a fifo, socket or device, which is left alone\n");
    CHECK(both.json()["totals"]["undecided"] == 1);
    CHECK(temp.read("to/a") == "held");
    CHECK(tavloctl.run({"copy", temp.path("from"), "--into", temp.path("to"), "--plan"}).status == 1);
}

TEST_CASE("words after -- and odd names are sources, bytes that are no text are given exactly", "[ctl]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("from/-rf", "1");
    temp.write("from/[a,b]", "2");
    temp.write("from/bad\xff\nname", "3");
    std::filesystem::current_path(temp.path("from"));
    CHECK(tavloctl.run({"copy", "--into", temp.path("to"), "--", "-rf", "[a,b]"}).status == 0);
    CHECK(temp.read("to/-rf") == "1");
    CHECK(temp.read("to/[a,b]") == "2");
    const Json receipt = tavloctl.run({"copy", "bad\xff\nname", "--into", "../to", "--json"}).json();
    CHECK(receipt["items"][0]["source"] == temp.path("from/bad") + "\uFFFD\nname");
    CHECK(receipt["items"][0].contains("source_bytes"));
    CHECK(receipt["destination"] == temp.path("to"));
    const Answer missing = tavloctl.run({"copy", "no\nsuch\x01", "--into", "../to"});
    CHECK(missing.err == "tavloctl: " + temp.path("from/no\\nsuch\\x01") + ": is not there\n");
    std::filesystem::current_path("/");
}

TEST_CASE("versions come back from the Safe, and go for good only when asked", "[ctl][safe]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("from/a", "new");
    temp.write("to/a", "old one");
    const Json receipt = tavloctl
                             .run({"copy", temp.path("from/a"), "--into", temp.path("to"), "--on-collision",
                                   "overwrite", "--json"})
                             .json();
    const std::string entry = receipt["items"][0]["set_aside"];
    CHECK(tavloctl.run({"safe", "restore", entry}).status == 3);
    CHECK(temp.read("to/a") == "new");
    CHECK(tavloctl.run({"safe", "empty", "--older-than", "30"}).status == 0);
    CHECK(tavloctl.run({"safe", "restore", entry, "--into", temp.path("elsewhere")}).status == 0);
    CHECK(temp.read("elsewhere/a") == "old one");
    CHECK(tavloctl.run({"safe", "--json"}).json()["entries"].empty());
    temp.write("from/a", "newer still");
    tavloctl.run({"move", temp.path("from/a"), "--into", temp.path("to"), "--on-collision", "overwrite"});
    CHECK_FALSE(temp.has("from/a"));
    const Json entries = tavloctl.run({"safe", "--json"}).json()["entries"];
    REQUIRE(entries.size() == 1);
    CHECK(tavloctl.run({"safe", "empty"}).status == 0);
    CHECK_FALSE(std::filesystem::exists(entries[0]["stored"].get<std::string>()));
}

TEST_CASE("files are chosen by name, size, date, kind, number, expression and list", "[ctl][select]") {
    TempFolder temp;
    temp.write("from/permit-0120.pdf", std::string(3000, 'a'));
    temp.write("from/permit-0121.pdf", "b");
    temp.write("from/sub/photo-0121.JPG", "c");
    temp.write("from/sub/notes.txt", "d");
    temp.write("from/drafts/permit-0122-draft.pdf", "e");
    temp.folder("from/empty");
    temp.date("from/permit-0121.pdf", 1'700'000'000);
    const Script script(temp);
    const auto arriving = [&](std::vector<std::string> options, int status = 0) {
        options.insert(options.begin(),
                       {"copy", temp.path("from"), "--into", temp.path("to"), "--plan", "--json"});
        const Answer answer = script.run(options);
        CAPTURE(answer.err);
        CHECK(answer.status == status);
        std::string names;
        const Json document = answer.json();
        for (const auto& item : document["items"])
            names += item["target"].get<std::string>().substr(temp.path("to/").size()) +
                     (item["type"] == "folder" ? "/ " : " ");
        return names;
    };
    CHECK(arriving({"--name", "*.pdf", "--not-name", "*draft*"}) ==
          "from/ from/permit-0120.pdf from/permit-0121.pdf ");
    CHECK(arriving({"--larger", "2K"}) == "from/ from/permit-0120.pdf ");
    CHECK(arriving({"--changed-before", "2024-01-01"}) == "from/ from/permit-0121.pdf ");
    CHECK(arriving({"--kind", "pictures"}) == "from/ from/sub/ from/sub/photo-0121.JPG ");
    CHECK(arriving({"--number", "121-121", "--subfolders", "all"}) ==
          "from/ from/drafts/ from/empty/ from/permit-0121.pdf from/sub/ from/sub/photo-0121.JPG ");
    CHECK(arriving({"--regex", "^n.*s\\.", "--flatten"}) == "notes.txt ");
    CHECK(arriving({"--name", "nothing*"}).empty());
    temp.write("list.txt", "120\npermit-0121.pdf, NOTES\n\nmissing.pdf\n");
    CHECK(arriving({"--list", temp.path("list.txt")}, 1) ==
          "from/ from/permit-0120.pdf from/permit-0121.pdf from/sub/ from/sub/notes.txt ");
    // and the run, which says what nothing fitted
    const Answer moved =
        script.run({"move", temp.path("from"), "--into", temp.path("to"), "--list", temp.path("list.txt")});
    CHECK(moved.status == 1);
    CHECK(moved.err.find("line 4: nothing fits 'missing.pdf'") != std::string::npos);
    CHECK(temp.read("to/from/sub/notes.txt") == "d");
    CHECK(temp.has("from/sub/photo-0121.JPG"));
    for (const std::vector<std::string>& wrong : {std::vector<std::string>{"--larger", "big"},
                                                  {"--changed-after", "2031-02-30"},
                                                  {"--kind", "furniture"},
                                                  {"--regex", "("},
                                                  {"--number", "9-1"},
                                                  {"--list", temp.path("no list")},
                                                  {"--larger", "1", "--larger", "2"}}) {
        std::vector<std::string> words{"copy", temp.path("from"), "--into", temp.path("other")};
        words.insert(words.end(), wrong.begin(), wrong.end());
        const Answer refused = script.run(words);
        CAPTURE(wrong);
        CHECK(refused.status == 2);
        CHECK(refused.out.empty());
        CHECK(std::count(refused.err.begin(), refused.err.end(), '\n') == 1);
    }
    CHECK_FALSE(temp.has("other"));
}

TEST_CASE("what else is in the destination leaves it when asked, is told of, and comes back",
          "[ctl][leaving]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("from/box/kept", "1");
    temp.write("to/box/kept", "1");
    temp.write("to/box/extra", "22");
    temp.write("to/more/deep", "333");
    const Tree to = tree_of(temp.path("to"), {.folder_times = false});
    const std::vector<std::string> job{"copy",   temp.path("from/box"), "--into",  temp.path("to"),
                                       "--when", "same=skip",           "--clear", "extra",
                                       "--json"};
    auto planned = job;
    planned.emplace_back("--plan");
    const Json plan = tavloctl.run(planned).json();
    CHECK(plan["totals"]["removed"] == 2);
    CHECK(plan["totals"]["bytes"] == 0);  // nothing arrives
    CHECK(Json(item_for(plan, temp.path("to/more")))["type"] == "folder");
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == to);
    const Answer ran = tavloctl.run(job);
    CHECK(ran.status == 0);
    const Json receipt = ran.json();
    const Json left = item_for(receipt, temp.path("to/more"));
    CHECK(left["result"] == "removed");
    CHECK(left["source"] == left["target"]);
    CHECK(left["collision"].is_null());
    CHECK_FALSE(left["set_aside"].get<std::string>().empty());
    CHECK_FALSE(temp.has("to/more"));
    CHECK_FALSE(temp.has("to/box/extra"));
    const Json document = tavloctl.run({"safe", "--json"}).json();
    CHECK(document["entries"].size() == 2);
    CHECK(tavloctl.run({"undo", receipt["id"].get<std::string>()}).status == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == to);
}

TEST_CASE("folders on the way are kept, and a copy that begins while it is counted ends the same", "[ctl]") {
    TempFolder temp;
    Script tavloctl(temp);
    temp.write("office/2031/May/a", "a");
    temp.write("office/2030/b", "b");
    CHECK(tavloctl
              .run({"copy", temp.path("office/2031/May/a"), temp.path("office/2030/b"), "--into",
                    temp.path("to"), "--keep-from", temp.path("office")})
              .status == 0);
    CHECK(temp.read("to/2031/May/a") == "a");
    CHECK(temp.read("to/2030/b") == "b");
    temp.write("[a,b]", "odd");
    CHECK(tavloctl.run({"copy", temp.path("[a,b]"), "--into", temp.path("odd"), temp.path("office/2030")})
              .status == 0);
    CHECK(temp.read("odd/[a,b]") == "odd");
    CHECK(temp.read("odd/2030/b") == "b");
    for (int i = 0; i < 1500; ++i)
        temp.write("many/" + std::to_string(i % 7) + "/" + std::to_string(i), std::to_string(i));
    temp.write("there/many/3/3", "held");
    const Answer counted = tavloctl.run({"copy", temp.path("many"), "--into", temp.path("there"),
                                         "--while-counting", "--on-collision", "overwrite", "--json"});
    CHECK(counted.status == 0);
    const Json receipt = counted.json();
    CHECK(receipt["totals"]["items"] == 1508);
    CHECK(receipt["totals"]["overwritten"] == 1);
    CHECK(receipt["state"] == "done");
    CHECK(tavloctl.run({"check", receipt["id"].get<std::string>()}).status == 0);
    CHECK(tree_of(temp.path("there/many"), {.folder_times = false}) ==
          tree_of(temp.path("many"), {.folder_times = false}));
}

TEST_CASE("recovery answers with the worst status, whatever the order of the runs", "[ctl]") {
    TempFolder temp;
    Script script(temp);
    const bool waits_first = GENERATE(false, true);
    const Mount disk = Mount::memory(temp.path("disk"));
    NEEDS(disk)
    // one run waits for a disk that has gone, another is completed
    const auto interrupt = [&](const std::string& from, const std::string& to) {
        for (int i = 0; i < 2000; ++i) temp.write(from + "/" + std::to_string(i), std::string(8'000, 'x'));
        const pid_t child = ::fork();
        if (child == 0) {
            ::setenv("XDG_STATE_HOME", temp.path("xdg").c_str(), 1);
            ::execl(TAVLOCTL, TAVLOCTL, "copy", temp.path(from).c_str(), "--into", temp.path(to).c_str(),
                    static_cast<char*>(nullptr));
            ::_exit(127);
        }
        while (!temp.has(to + "/" + from)) ::usleep(1000);
        ::kill(child, SIGKILL);
        ::waitpid(child, nullptr, 0);
    };
    if (waits_first) interrupt("one", "disk/to");
    interrupt("two", "to");
    if (!waits_first) interrupt("one", "disk/to");
    REQUIRE(::umount2(disk.path.c_str(), 0) == 0);
    const Mount another = Mount::image("ext4", temp.path("image"), disk.path, 16);
    NEEDS(another)
    const Answer recovered = script.run({"recover"});
    CHECK(recovered.status == 1);
    CHECK(recovered.err.find(disk.path) != std::string::npos);
    CHECK(recovered.err.find("waits for its volume") != std::string::npos);
    CHECK(temp.has("to/two/1999"));
    CHECK_FALSE(temp.has("disk/to"));
}

TEST_CASE("an undo says what lies in the Safe by it, and that can go once the source is seen to hold it",
          "[ctl]") {
    TempFolder temp;
    Script script(temp);
    temp.write("from/a", "12345");
    const Json ran = script.run({"copy", temp.path("from"), "--into", temp.path("to"), "--json"}).json();
    const Answer undo = script.run({"undo", ran["id"]});
    CHECK(undo.status == 0);
    CHECK(undo.out.find("1 of them lie in the Safe now, 5 bytes") != std::string::npos);
    const std::string id = script.run({"receipts", "--json"}).json()["receipts"][0]["id"];
    CHECK(script.run({"safe", "empty", "--of", ran["id"]}).status == 2);  // that is no undo
    CHECK(script.run({"safe", "empty", "--older-than", "150000"}).out.find("0 versions") !=
          std::string::npos);
    CHECK(script.run({"safe", "empty", "--of", id}).out.find("1 versions removed") != std::string::npos);
    CHECK(script.run({"safe", "--json"}).json()["entries"].empty());
}
