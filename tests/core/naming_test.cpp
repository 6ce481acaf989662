// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/naming.h"

#include <fmt/format.h>
#include <rapidcheck.h>

#include <fstream>
#include <sstream>

#include "facts/entry_facts.h"
#include "job/choosing.h"
#include "job/document.h"
#include "names/letters.h"
#include "names/name_table.h"
#include "names/steps.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// How a name becomes another one.

using namespace tavlo;

namespace {

std::string named(const std::string& name, std::vector<NameStep> steps, bool whole = false,
                  FileType type = FileType::file) {
    auto namer = value(Namer::make({std::move(steps), whole},
                                   [](const std::string&) { return std::string("a.txt\tb.txt\n"); }));
    const auto made =
        namer.name(name, type, [](std::string_view fact, std::string_view now) -> std::optional<Fact> {
            if (fact == "name") return Fact(std::string(now.substr(0, now.find('.'))));
            if (fact == "n") return Fact(std::uint64_t{7});
            return std::nullopt;
        });
    return made ? *made : "(" + made.error().step + ")";
}

using Which = AddToNumbers::Which;

}  // namespace

TEST_CASE("each step does what it says, to the name without its extension", "[names]") {
    const auto [name, step, meant] = GENERATE(table<std::string, NameStep, std::string>({
        {"scan.pdf", Affix{"permit-"}, "permit-scan.pdf"},
        {"scan.tar.gz", Affix{"-x", true}, "scan-x.tar.gz"},
        {".profile", Affix{"-x", true}, ".profile-x"},
        {"a.a.txt", Replace{"a", "bb"}, "bb.bb.txt"},
        {"aaa.aaa", Replace{"aa", ""}, "a.aaa"},
        {"2031-05-02.txt", ReplaceRegex{R"((\d+)-(\d+)-(\d+))", R"(\3.\2.\1)"}, "02.05.2031.txt"},
        {"x.txt", ReplaceRegex{"^", "y"}, "yx.txt"},
        {"GROSSE Straße.TXT", LetterCase{LetterCase::To::upper}, "GROSSE STRASSE.TXT"},
        {"ÄÖ Σ.TXT", LetterCase{LetterCase::To::lower}, "äö σ.TXT"},
        {"USA report of élan", LetterCase{LetterCase::To::title}, "USA Report Of Élan"},
        {"don't 2nd x-ray", LetterCase{LetterCase::To::title}, "Don't 2nd X-Ray"},
        {"\xff"
         "aß",
         LetterCase{LetterCase::To::upper},
         "\xff"
         "ASS"},
        {"img-007 of 99.jpg", AddToNumbers{1, Which::all}, "img-008 of 100.jpg"},
        {"img-007 of 99.jpg", AddToNumbers{1, Which::first}, "img-008 of 99.jpg"},
        {"img-007 of 99.jpg", AddToNumbers{-99, Which::last}, "img-007 of 00.jpg"},
        {"img-007.mp3", AddToNumbers{-8, Which::all}, "(a number in its name would fall below 0)"},
        {"99999999999999999999999", AddToNumbers{1, Which::all}, "100000000000000000000000"},
        {"10000000000000000000000", AddToNumbers{-1, Which::all}, "09999999999999999999999"},
        {"0", AddToNumbers{INT64_MIN, Which::all}, "(a number in its name would fall below 0)"},
        {"9223372036854775809", AddToNumbers{INT64_MIN, Which::all}, "0000000000000000001"},
        {"5 x.mp3", AddToNumbers{1, Which::all}, "6 x.mp3"},
        {"none.txt", AddToNumbers{5, Which::last}, "none.txt"},
        {"a.JPG", Extension{"lower"}, "a.jpg"},
        {"a.jpg", Extension{"upper"}, "a.JPG"},
        {"a.tar.gz", Extension{"zip"}, "a.zip"},
        {"README", Extension{"txt"}, "README.txt"},
        {"a.txt", Extension{""}, "a"},
        {"a.txt", NameAs{"{n:3} {name}{{x}}"}, "007 a{x}"},
        {"a.txt", NamesFrom{"table"}, "b.txt"},
        {"c.txt", NamesFrom{"table"}, "c.txt"},
    }));
    CAPTURE(name, meant);
    CHECK(named(name, {step}) == meant);
}

TEST_CASE("steps go one on the other, and whole names are meant where that is said", "[names]") {
    CHECK(named("A.TXT", {LetterCase{LetterCase::To::lower}, Affix{"x-"}, Replace{"x-a", "Y"}}) == "Y.TXT");
    CHECK(named("A.TXT", {LetterCase{LetterCase::To::lower}}, true) == "a.txt");
    CHECK(named("A.TXT", {Affix{".x", true}}, true) == "A.TXT.x");
    CHECK(named("a", {Extension{"txt"}, NamesFrom{"table"}, Affix{"1-"}}) == "1-b.txt");
    CHECK(named("Permits 2031.old", {Affix{"-x", true}, Extension{"zip"}}, false, FileType::folder) ==
          "Permits 2031.old-x");
    CHECK(named("a.txt", {Affix{"b.", true}}) == "ab..txt");
}

TEST_CASE("steps that mean nothing are refused, each by its name", "[names]") {
    const auto [step, name] =
        GENERATE(table<NameStep, std::string>({{Replace{"", "x"}, "replace"},
                                               {ReplaceRegex{"(", "x"}, "replace_regex"},
                                               {ReplaceRegex{"a", R"(\1)"}, "replace_regex"},
                                               {Extension{".txt"}, "extension"},
                                               {NameAs{"{colour}"}, "name_as"}}));
    const auto made = Namer::make({{step}}, [](const std::string&) { return std::string(); });
    REQUIRE_FALSE(made);
    CHECK(made.error().path == name);
}

TEST_CASE("a pattern writes the first fact that is known, cleaned, and says what it cannot read",
          "[names][pattern]") {
    const auto facts = [](std::string_view fact) -> std::optional<Fact> {
        if (fact == "name") return Fact(std::string(" Élan/\nx "));
        if (fact == "size") return Fact(std::uint64_t{42});
        if (fact == "folders") return Fact(std::string("a/b"));
        if (fact == "kind") return Fact(std::string("  "));
        return std::nullopt;
    };
    const auto filled = [&](std::string_view text) { return value(Pattern::parse(text)).fill(facts, true); };
    CHECK(filled("{name}") == "Élan__x");
    CHECK(filled("{name:upper}") == "ÉLAN__X");
    CHECK(filled("{size:5}|{size}") == "00042|42");
    CHECK(filled("{folders}/x") == "a/b/x");
    CHECK(filled("{kind}") == "unknown");
    CHECK(filled("{kind|owner|=none of these}{ext}") == "none of these");
    CHECK(filled("{owner|=}{{}}") == "{}");
    CHECK(value(Pattern::parse("{ext}")).fill(facts, false) == "unknown");
    for (const auto& [text, where] : {std::pair("a{name", "character 2"),
                                      {"}", "character 1"},
                                      {"{}", "character 2"},
                                      {"x{date:}", "character 8"},
                                      {"{n:x}", "character 4"},
                                      {"{name:wide}", "character 7"},
                                      {"{name|taste}", "character 7"}}) {
        CAPTURE(text);
        const auto parsed = Pattern::parse(text);
        REQUIRE_FALSE(parsed);
        CHECK(parsed.error().step.find(where) != std::string::npos);
    }
}

TEST_CASE("initials are capitals without marks, digits stand together, and so does all else", "[names]") {
    for (const auto& [name, initial] : {std::pair("élan", "E"),
                                        {"Öl", "O"},
                                        {"9 lives", "0-9"},
                                        {"_x", "#"},
                                        {"", "#"},
                                        {"\xff", "#"},
                                        {"жук", "Ж"}})
        CHECK(initial_of(name) == initial);
}

TEST_CASE("a table is read as lists are, and says which of its lines met nothing", "[names]") {
    auto table = value(NameTable::read("a\tb\r\nc d\te\tf\n\nnever\tx\n", "names.txt"));
    REQUIRE(table->find("a") != nullptr);
    CHECK(*table->find("a") == "b");
    CHECK(*table->find("c d") == "e\tf");
    CHECK(table->find("b") == nullptr);
    const auto misses = table->misses();
    REQUIRE(misses.size() == 1);
    CHECK(misses[0].step == "line 4: nothing is named 'never'");
    CHECK(misses[0].path == "names.txt");
    CHECK_FALSE(NameTable::read("a\tb\nno tab\n", "t"));
    CHECK_FALSE(NameTable::read("a\tb\na\tc\n", "t"));
    CHECK(NameTable::read("a\tb\na\tb\n", "t"));
}

TEST_CASE("a number that grows and shrinks by the same is the number, with no fewer digits", "[names]") {
    const bool holds = rc::check("sums", [] {
        const auto number = *rc::gen::arbitrary<std::uint64_t>();
        const auto by = *rc::gen::inRange<std::int64_t>(0, INT64_MAX);
        const std::string digits =
            std::string(*rc::gen::inRange<std::size_t>(0, 5), '0') + std::to_string(number);
        const std::string there = named(digits, {AddToNumbers{by, Which::all}});
        RC_ASSERT(there.size() >= digits.size());
        const std::string back = named(there, {AddToNumbers{-by, Which::all}});
        RC_ASSERT(back.substr(std::min(back.find_first_not_of('0'), back.size() - 1)) ==
                  std::to_string(number));
    });
    CHECK(holds);
}

TEST_CASE("what is meant gets names in the batch's order, with facts of its own", "[names][disk]") {
    TempFolder temp;
    for (const char* file : {"box/b 5 x.txt", "box/a.jpg", "box/sub/c"}) temp.write(file, file);
    temp.date("box/a.jpg", 1'935'565'647);
    Job job;
    job.operation = Operation::rename;
    job.structure.contents = true;
    job.naming.steps = {NameAs{"{n:2} {folder} {folders|=top} {number|kind|=-} {size} {ext}"}};
    job.naming.count_from = 8;
    job.naming.count_by = 2;
    const auto names = [&] {
        const Batch batch = value(gather(*make_disk(), {temp.path("box")}, gathering_of(job)));
        const auto given = value(give_names(Asked(job), batch, 0));
        std::vector<std::string> all;
        for (EntryId id = 0; id < batch.entries.size(); ++id)
            if (const auto wanted = given.wanted(id)) all.push_back(wanted->name);
        return all;
    };
    CHECK(names() ==
          std::vector<std::string>{"08 box top pictures 9 .jpg", "10 box top 5 13 .txt", "12 sub sub - 9 "});
    job.structure.folders_too = true;
    CHECK(names().size() == 4);
    job.structure.subfolders = Subfolders::none;
    CHECK(names().size() == 3);
    job.structure.contents = false;
    job.naming.steps = {NameAs{"{date:%Y}{now:%Y}{initial}{owner|=x}"}};
    CHECK(names().size() == 1);
}

TEST_CASE("new names on the way: files get them, folders keep theirs, two that want one are twins",
          "[names][disk]") {
    TempFolder temp;
    for (const char* file : {"box/A.TXT", "box/a.txt", "box/Sub/B.TXT"}) temp.write(file, file);
    Jobs jobs(temp.path("state"));
    const bool moves = GENERATE(false, true);
    Job job = moves ? move({temp.path("box")}, temp.path("to")) : copy({temp.path("box")}, temp.path("to"));
    job.naming.steps = {LetterCase{LetterCase::To::lower}, Extension{"lower"}, Affix{"x-"}};
    const Ran first = jobs.run(job);
    CHECK(first.of(Outcome::undecided) == 2);
    CHECK(temp.read("to/box/Sub/x-b.txt") == "box/Sub/B.TXT");
    CHECK(first.item(temp.path("to/box/Sub/x-b.txt")).result == Outcome::created);
    job.policy.otherwise = Decision::rename;
    job.what.sources = {temp.path("box/A.TXT"), temp.path("box/a.txt")};
    job.into = temp.path("to2");
    const Ran second = jobs.run(job);
    CHECK(temp.read("to2/x-a.txt") == "box/A.TXT");
    CHECK(temp.read("to2/x-a-2.txt") == "box/a.txt");
    CHECK(jobs.undo(second.head.id).of(moves ? Outcome::restored : Outcome::removed) >= 2);
    CHECK(temp.read("box/A.TXT") == "box/A.TXT");
}

TEST_CASE("the manuals have every fact that patterns know", "[names]") {
    const auto manual = [](const std::string& name) {
        std::ifstream in(std::string(DOCS) + name);
        std::ostringstream text;
        text << in.rdbuf();
        return text.str();
    };
    std::string facts = "| fact | what it says |\n|---|---|\n";
    for (const KnownFact& fact : known_facts())
        if (fact.of == KnownFact::Of::all) facts += fmt::format("| `{}` | {} |\n", fact.name, fact.about);
    CHECK(manual("/names.md").find(facts + "\n") != std::string::npos);
    const std::string in_files = manual("/sorting.md");
    for (const KnownFact& fact : known_facts()) {
        CAPTURE(std::string(fact.name));
        CHECK((fact.of == KnownFact::Of::all ||
               in_files.find(fmt::format("`{}`", fact.name)) != std::string::npos));
    }
}
