// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/names.h"

#include <set>

#include "files/natural.h"
#include "files/path.h"
#include "select/name_filter.h"
#include "support/catch.h"

using namespace tavlo;

TEST_CASE("a new name keeps the extension and counts up", "[names]") {
    CHECK(numbered_name("report.pdf", FileType::file, 2) == "report-2.pdf");
    CHECK(numbered_name("archive.tar.gz", FileType::file, 2) == "archive-2.tar.gz");
    CHECK(numbered_name("README", FileType::file, 3) == "README-3");
    CHECK(numbered_name(".profile", FileType::file, 2) == ".profile-2");
    CHECK(numbered_name(".config.json", FileType::file, 2) == ".config-2.json");
    CHECK(numbered_name("Permits 2031.old", FileType::folder, 2) == "Permits 2031.old-2");
    CHECK(numbered_name("trailing.", FileType::file, 2) == "trailing.-2");
    CHECK(free_name("a.txt", FileType::file, {}, {}, [](const std::string& name) {
              return name == "a-2.txt" || name == "a-3.txt";
          }) == "a-4.txt");
}

TEST_CASE("a new name over 255 bytes is cut in its stem, never inside a character", "[names]") {
    std::string stem;
    for (int i = 0; i < 125; ++i) stem += "ø";  // two bytes each
    const std::string name = numbered_name(stem + ".txt", FileType::file, 10);
    CHECK(name.size() <= 255);
    CHECK(name.size() >= 253);
    CHECK(is_utf8(name));
    CHECK(name.ends_with("-10.txt"));
    CHECK(numbered_name(std::string(255, 'x'), FileType::file, 2) == std::string(253, 'x') + "-2");
    CHECK(numbered_name("a." + std::string(253, 'e'), FileType::file, 2).size() == 255);
}

TEST_CASE("what a volume cannot hold is said", "[names]") {
    Volume plain;
    Volume fat;
    fat.forbidden_in_names = "\\:*?\"<>|";
    fat.max_name_bytes = 765;
    CHECK(name_problem("two\nlines", plain).empty());
    CHECK(name_problem("bad\xff", plain).empty());
    CHECK_FALSE(name_problem(std::string(256, 'x'), plain).empty());
    CHECK(name_problem("plain.txt", fat).empty());
    CHECK_FALSE(name_problem("who?.txt", fat).empty());
    CHECK_FALSE(name_problem("trailing.", fat).empty());
    CHECK_FALSE(name_problem("bad\xff", fat).empty());
    CHECK_FALSE(name_problem("two\nlines", fat).empty());
}

TEST_CASE("paths are bytes, and become text only for people", "[names]") {
    CHECK(printable("a\nb\tc\x01") == "a\\nb\\tc\\x01");
    CHECK(to_utf8("ok\xff\xfe!") == "ok\xEF\xBF\xBD\xEF\xBF\xBD!");
    CHECK(normalised("../x//./y/", "/a/b") == "/a/x/y");
    CHECK(normalised("/../..", "/") == "/");
    CHECK(is_within("/a/b", "/a"));
    CHECK_FALSE(is_within("/ab", "/a"));
    CHECK(folded("STRASSE") == folded("strasse"));
    CHECK(folded("Å") == folded("å"));
}

TEST_CASE("lists are in natural order", "[names]") {
    CHECK(natural_less("invoice-9", "invoice-10"));
    CHECK(natural_less("invoice-09", "invoice-10"));
    CHECK_FALSE(natural_less("invoice-10", "invoice-9"));
    CHECK(natural_less("Apple", "banana"));
    CHECK(natural_less("a", "a1"));
    CHECK(natural_less("a01", "a1") != natural_less("a1", "a01"));
    CHECK_FALSE(natural_less("same", "same"));
}

TEST_CASE("a filter line lets through the names that fit all its words", "[names]") {
    CHECK(NameFilter("").fits("anything"));
    CHECK(NameFilter("PERMIT 041").fits("permit-0413.pdf"));
    CHECK_FALSE(NameFilter("permit 041").fits("permit-0423.pdf"));
    CHECK(NameFilter("*.pdf").fits("A.PDF"));
    CHECK_FALSE(NameFilter("*.pdf").fits("a.pdf.txt"));
    CHECK(NameFilter("*.pdf -draft").fits("final.pdf"));
    CHECK_FALSE(NameFilter("*.pdf -draft").fits("draft.pdf"));
    CHECK(glob_matches("roster-[0-4]?.csv", "roster-31.csv"));
    CHECK_FALSE(glob_matches("roster-[!0-4]?.csv", "roster-31.csv"));
    CHECK(glob_matches("?", "ø"));
    CHECK(glob_matches("a*b*c", "aXbYbZc"));
    CHECK(glob_matches("[x", "[x"));
    CHECK_FALSE(glob_matches("*a", "bab"));
    CHECK(glob_matches("*\xff*",
                       "bad\xff"
                       "byte"));
}

TEST_CASE("new names by date or by a pattern, free of what is there", "[names]") {
    const NameSource source{1'935'565'200'000'000'000, "Harbour desk"};  // some day of 2031
    const std::set<std::string> held{"report.pdf", "Harbour desk report.pdf"};
    const auto taken = [&](const std::string& name) { return held.contains(name); };
    const auto made = [&](const char* pattern, const std::string& name = "report.pdf") {
        return free_name(name, FileType::file, {NewNames::Scheme::pattern, pattern}, source, taken);
    };
    CHECK(made("{name} from {folder}{ext}") == "report from Harbour desk.pdf");
    CHECK(made("{folder} {name}{ext}") == "Harbour desk report-2.pdf");  // taken: counted up
    CHECK(made("{name} ({n}){ext}") == "report (2).pdf");
    CHECK(made("{folder}/{name}") == "report-2.pdf");  // no name at all: by number
    CHECK(made("{name}{ext}", std::string(255, 'x')).size() <= 255);
    const std::string dated =
        free_name("a.tar.gz", FileType::file, {NewNames::Scheme::date, {}}, source, taken);
    CHECK(dated.starts_with("a 2031-05-0"));
    CHECK(dated.ends_with(".tar.gz"));
    CHECK(pattern_problem("{name}-{n}{ext}").empty());
    for (const char* wrong : {"", "a/b", "{name", "{nome}", "all the same{ext}"})
        CHECK_FALSE(pattern_problem(wrong).empty());
    CHECK(counted_from("report.pdf", "report-7.pdf", FileType::file) == "report.pdf");
    CHECK(counted_from("report.pdf", "report 2031.pdf", FileType::file) == "report 2031.pdf");
}
