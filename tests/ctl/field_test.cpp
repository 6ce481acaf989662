// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>

#include "script.h"
#include "support/catch.h"
#include "support/tree.h"

// tavloctl in the field: help, lists, what it says of itself, few handles.

using Json = nlohmann::json;

namespace {

bool has(const std::string& text, const std::string& part) { return text.find(part) != std::string::npos; }

/// What was written over and over on one line, as it was last.
std::string progress_of(const Answer& answer) {
    std::string all = answer.err;
    std::string last;
    for (auto at = all.find("\r\033[K"); at != std::string::npos; at = all.find("\r\033[K")) {
        all = all.substr(at + 4);
        if (const auto line = all.substr(0, all.find('\r')); !line.empty() && line.front() != '\n')
            last = line;
    }
    return last;
}

std::string utf16(const std::string& ascii, bool little, bool marked) {
    std::string out = !marked ? "" : little ? "\xff\xfe" : "\xfe\xff";
    for (const char c : ascii) out += little ? std::string{c, '\0'} : std::string{'\0', c};
    return out;
}

}  // namespace

TEST_CASE(
    "each command's help names its options in groups, with values and defaults, and shows three examples",
    "[ctl][help]") {
    TempFolder temp;
    Script script(temp);
    const Answer overview = script.run({"--help"});
    CHECK(overview.status == 0);
    const std::vector<std::vector<std::string>> commands{
        {"copy"},  {"move"}, {"rename"},  {"remove"}, {"receipts"},        {"receipt"},
        {"check"}, {"undo"}, {"recover"}, {"safe"},   {"safe", "restore"}, {"safe", "empty"}};
    for (const auto& command : commands) {
        std::string name;
        for (const auto& word : command) name += (name.empty() ? "" : " ") + word;
        CAPTURE(name);
        CHECK(has(overview.out, "tavloctl " + name));
        auto words = command;
        words.emplace_back("--help");
        const Answer help = script.run(words);
        CHECK(help.status == 0);
        CHECK(help.err.empty());
        CHECK(has(help.out, "--state FOLDER"));
        const auto examples = help.out.substr(help.out.find("\nExamples\n"));
        CHECK(std::count(examples.begin(), examples.end(), '\n') == 5);
        CHECK(has(examples, "  tavloctl " + name));
        for (const char* raw : {"REQUIRED", "[OPTIONS]", "Usage", "Print this help"})
            CHECK_FALSE(has(help.out, raw));
        for (std::size_t at = 0, end = 0; (end = help.out.find('\n', at)) != std::string::npos; at = end + 1)
            CHECK(end - at <= 100);
    }
    const std::string copy = script.run({"copy", "--help"}).out;
    for (const char* part : {"--on-collision undecided|skip|overwrite|rename", "(default: undecided)",
                             "same-date", "pictures", "--verify read-back|none",
                             "--progress auto|always|never", "--lose-attributes", "Where a name is taken"})
        CHECK(has(copy, part));
    CHECK(has(script.run({"safe", "empty", "--help"}).out, "--older-than DAYS"));
    CHECK_FALSE(temp.has("xdg"));  // asking makes nothing
}

TEST_CASE("a line that cannot be read is refused in words of its own, naming the option or the word",
          "[ctl][help]") {
    TempFolder temp;
    temp.write("a", "1");
    Script script(temp);
    const std::string a = temp.path("a");
    const std::string to = temp.path("to");
    const std::vector<std::pair<std::vector<std::string>, std::string>> lines{
        {{"copy", a, "--into"}, "--into wants FOLDER"},
        {{"copy", a}, "--into is required"},
        {{"copy", "--into", to}, "SOURCE is required"},
        {{"copy", a, "--into", to, "--into", to}, "--into may be given once only"},
        {{"copy", a, "--into", to, "--contents", "--contents"}, "--contents may be given once only"},
        {{"copy", a, "--into", to, "--into-folder", to}, "there is no option '--into-folder'"},
        {{"copy", "--json=maybe", a, "--into", to}, "--json cannot be read as it stands"},
        {{"copy", a, "--into", to, "--progress", "often"}, "auto, always, never"},
        {{"copy", a, "--into", to, "--list"}, "--list wants FILE"},
        {{"receipt"}, "ID is required"},
        {{"receipt", "one", "two"}, "no use for 'two'"},
        {{"safe", "empty", "--older-than", "many"}, "not 'many'"},
        {{"safe", "empty", "--older-than", "-1"}, "--older-than wants"},
        {{"safe", "empty", "--older-than", "99999999999999999999"}, "--older-than wants a number of days"},
        {{"safe", "fill"}, "no command 'safe fill'"},
        {{"undo", "x", "--", "y"}, "no use for 'y'"}};
    for (const auto& [line, words] : lines) {
        const Answer answer = script.run(line);
        CAPTURE(line, answer.err);
        CHECK(answer.status == 2);
        CHECK(answer.out.empty());
        CHECK(std::count(answer.err.begin(), answer.err.end(), '\n') == 1);
        CHECK(has(answer.err, words));
    }
    CHECK_FALSE(temp.has("to"));
}

TEST_CASE("a list is read from standard input, and in the encodings that people send", "[ctl][list]") {
    TempFolder temp;
    temp.write("from/permit-1.pdf", "1");
    temp.write("from/permit-2.pdf", "2");
    temp.write("from/Qu\xc3\xa9rie.txt", "of a name in UTF-8");
    temp.write("from/raw-\xe9.txt", "of a name that is no UTF-8");
    Script script(temp);
    const auto chosen = [&](const std::string& list, int status = 0) {
        const Answer answer = script.run({"copy", temp.path("from"), "--contents", "--into", temp.path("to"),
                                          "--list", "-", "--json", "--plan"},
                                         list);
        CAPTURE(list, answer.err);
        CHECK(answer.status == status);
        std::string names;
        const Json plan = answer.status == 2 ? Json() : answer.json();
        for (const auto& item : plan["items"])
            names += std::filesystem::path(item["source"].get<std::string>()).filename().string() + "|";
        return names;
    };
    CHECK(chosen("permit-2.pdf\n") == "permit-2.pdf|");
    for (const bool little : {false, true})
        for (const bool marked : {false, true})
            CHECK(chosen(utf16("permit-1.pdf\r\npermit-2.pdf\r\n", little, marked)) ==
                  "permit-1.pdf|permit-2.pdf|");
    CHECK(chosen("\xef\xbb\xbfpermit-1.pdf\n") == "permit-1.pdf|");
    CHECK(chosen("Qu\xe9rie.txt\n") == "Qu\xc3\xa9rie.txt|");                             // Latin-1
    CHECK(chosen("raw-\xe9.txt\npermit-1.pdf") == "permit-1.pdf|raw-\xef\xbf\xbd.txt|");  // the very bytes
    CHECK(chosen(utf16("gone.pdf", true, true), 1).empty());

    for (const char* empty : {"", "\n \r\n\t\n", "\xff\xfe"}) {
        const Answer answer =
            script.run({"copy", temp.path("from"), "--contents", "--into", temp.path("to"), "--list", "-"},
                       std::string(empty));
        CHECK(answer.status == 1);
        CHECK(answer.err == "tavloctl: standard input: the list names nothing\n");
    }
    temp.write("empty.txt", "");
    const Answer file = script.run({"copy", temp.path("from"), "--contents", "--into", temp.path("to"),
                                    "--list", temp.path("empty.txt")});
    CHECK(file.status == 1);
    CHECK(file.err == "tavloctl: " + temp.path("empty.txt") + ": the list names nothing\n");
    CHECK_FALSE(temp.has("to/permit-1.pdf"));
    temp.write("from/-", "a file of that name");
    const auto words = std::vector<std::string>{"copy",          temp.path("from"), "--contents", "--into",
                                                temp.path("to"), "--list",          "not there"};
    CHECK(script.run(words).status == 2);
}

TEST_CASE("it is said how far a run is, a look back, an undo, an emptying, where that is asked for",
          "[ctl][progress]") {
    TempFolder temp;
    for (int i = 0; i < 300; ++i) temp.write("from/" + std::to_string(i), std::string(1000, 'x'));
    Script script(temp);
    const Answer copy =
        script.run({"copy", temp.path("from"), "--into", temp.path("to"), "--progress", "always", "--json"});
    CHECK(has(progress_of(copy), " of 301 items, "));
    CHECK(has(copy.err, "counting: "));
    const std::string id = copy.json()["id"];
    CHECK(script.run({"copy", temp.path("from"), "--into", temp.path("to2"), "--progress", "never"})
              .err.empty());
    CHECK(script.run({"copy", temp.path("from"), "--into", temp.path("to3")})
              .err.empty());  // it is no terminal
    CHECK(
        script.run({"copy", temp.path("from"), "--into", temp.path("to4"), "--progress", "always", "--quiet"})
            .err.empty());
    for (int i = 0; i < 5; ++i) temp.write("to/from/" + std::to_string(i), std::string(1000, 'y'));
    CHECK(has(
        script.run({"copy", temp.path("from"), "--into", temp.path("to"), "--progress", "always", "--plan"})
            .err,
        " of 300 pairs"));
    CHECK(has(progress_of(script.run({"check", id, "--progress", "always"})), "checking: "));
    CHECK(has(progress_of(script.run({"receipt", id, "--progress", "always"})), " of 301 items"));
    const Answer undo = script.run({"undo", id, "--progress", "always", "--json"});
    CHECK(has(undo.err, "looking: "));
    CHECK(undo.status == 3);
    const Answer empty = script.run({"safe", "empty", "--progress", "always"});
    CHECK(has(progress_of(empty), " of 295 versions"));
    CHECK(has(empty.out, "295 versions removed"));
}

TEST_CASE("the plan of an undo says of a folder that holds something that it stays, as the undo then does",
          "[ctl][undo]") {
    TempFolder temp;
    temp.write("from/deep/a", "1");
    temp.write("from/other/b", "2");
    Script script(temp);
    const std::string id =
        script.run({"copy", temp.path("from"), "--into", temp.path("to"), "--json"}).json()["id"];
    temp.write("to/from/deep/of somebody else", "3");
    const Json plan = script.run({"undo", id, "--plan", "--json"}).json();
    const Json ran = script.run({"undo", id, "--json"}).json();
    CHECK(plan["totals"] == ran["totals"]);
    CHECK(ran["totals"]["removed"] == 3);
    CHECK(ran["totals"]["skipped"] == 3);
    REQUIRE(plan["items"].size() == ran["items"].size());
    for (std::size_t at = 0; at < ran["items"].size(); ++at) {
        CAPTURE(plan["items"][at]);
        CHECK(plan["items"][at]["source"] == ran["items"][at]["source"]);
        CHECK(plan["items"][at].contains("error") == (ran["items"][at]["result"] == "skipped"));
    }
    CHECK(temp.read("to/from/deep/of somebody else") == "3");
    CHECK_FALSE(temp.has("to/from/other"));
}

TEST_CASE("undecided twins are named with the source that each stands against", "[ctl]") {
    TempFolder temp;
    temp.write("one/report", "1");
    temp.write("two/report", "22");
    Script script(temp);
    const Answer ran =
        script.run({"copy", temp.path("one"), temp.path("two"), "--contents", "--into", temp.path("to")});
    CHECK(ran.status == 3);
    CHECK(has(ran.err, temp.path("one/report") + ": undecided: a twin: " + temp.path("two/report")));
    CHECK(has(ran.err, temp.path("two/report") + ": undecided: a twin: " + temp.path("one/report")));
    const Answer plan = script.run(
        {"copy", temp.path("one"), temp.path("two"), "--contents", "--into", temp.path("to"), "--plan"});
    CHECK(has(plan.out, "(twin)  from " + temp.path("one/report")));
    CHECK(has(plan.out, "(twin)  from " + temp.path("two/report")));
}

TEST_CASE("a tree deeper than files may be open at a time is copied, overwritten, taken back and removed",
          "[ctl][handles]") {
    TempFolder temp;
    std::string below = "from";
    for (int level = 0; level < 200; ++level) {
        below += "/d";
        temp.write(below + "/file", std::to_string(level));
    }
    for (int i = 0; i < 150; ++i) temp.write("from/flat-" + std::to_string(i), "flat");
    const Tree from = tree_of(temp.path("from"));
    Script script(temp);
    script.limit_handles(64);
    const std::vector<std::string> copy{"copy", temp.path("from"), "--into", temp.path("to"), "--json"};
    CHECK(script.run(copy).status == 0);
    CHECK(tree_of(temp.path("to/from")) == from);
    auto overwriting = copy;
    overwriting.insert(overwriting.end(), {"--on-collision", "overwrite"});
    const Json over = script.run(overwriting).json();
    CHECK(over["totals"]["overwritten"] == 350);
    CHECK(over["totals"]["failed"] == 0);
    CHECK(script.run({"undo", over["id"]}).status == 0);
    auto clearing = copy;
    clearing.insert(clearing.end(), {"--clear", "all"});
    CHECK(script.run(clearing).status == 0);
    CHECK(script.run({"move", temp.path("to"), "--into", temp.path("moved")}).status == 0);
    const Answer empty = script.run({"safe", "empty"});  // the whole tree is one version there
    CHECK(empty.status == 0);
    CHECK(empty.err.empty());
    CHECK(tree_of(temp.path("moved/to/from"), {.folder_times = false}) ==
          tree_of(temp.path("from"), {.folder_times = false}));
}
