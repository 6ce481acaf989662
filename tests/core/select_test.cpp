// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>

#include <ctime>

#include "select/amounts.h"
#include "select/criteria.h"
#include "select/name_list.h"
#include "select/numbers.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

Status file_of(std::uint64_t size_bytes, std::int64_t modified_ns) {
    Status status;
    status.type = FileType::file;
    status.id.size_bytes = size_bytes;
    status.id.modified_ns = modified_ns;
    return status;
}

bool fits(const Criteria& criteria, const std::string& name, const Status& status = file_of(10, 0)) {
    return value(Selector::make(criteria, Kinds())).fits(name, status);
}

Criteria words(const char* text, bool match_case = false) {
    Criteria criteria;
    criteria.words = text;
    criteria.match_case = match_case;
    return criteria;
}

const std::int64_t now = 1'950'000'000'000'000'000;

}  // namespace

TEST_CASE("a filter line: words, patterns of which one must fit, and what is left out", "[select]") {
    CHECK(fits(words("permit 04"), "permit-0412.PDF"));
    CHECK_FALSE(fits(words("permit 05"), "permit-0412.pdf"));
    CHECK(fits(words("*.pdf *.odt"), "a.odt"));
    CHECK_FALSE(fits(words("*.pdf *.odt"), "a.txt"));
    CHECK(fits(words("*.pdf -draft"), "permit.pdf"));
    CHECK_FALSE(fits(words("*.pdf -draft"), "permit-Draft.pdf"));
    CHECK_FALSE(fits(words("-*.tmp"), "a.tmp"));
    CHECK(fits(words("scan-00[1-3]?.pdf"), "scan-0024.pdf"));
    CHECK_FALSE(fits(words("Permit", true), "permit"));
    Criteria regex;
    regex.regex = "^(invoice|bill)-\\d{3}\\.";
    CHECK(fits(regex, "bill-123.pdf"));
    CHECK_FALSE(fits(regex, "bill-1234.pdf"));
    regex.regex = "(unclosed";
    const auto refused = Selector::make(regex, Kinds());
    REQUIRE_FALSE(refused);
    CHECK(describe(refused.error()).find("(unclosed") != std::string::npos);
}

TEST_CASE("numbers in names, with or without leading zeros", "[select]") {
    Criteria criteria;
    criteria.number = {120, 135};
    CHECK(fits(criteria, "permit-0120.pdf"));
    CHECK(fits(criteria, "2031-135"));
    CHECK_FALSE(fits(criteria, "permit-1201.pdf"));
    CHECK_FALSE(fits(criteria, "permit.pdf"));
    Criteria odd;
    odd.parity = Parity::odd;
    CHECK(fits(odd, "page-2-of-007"));
    CHECK_FALSE(fits(odd, "page-7-of-8"));
    CHECK(numbers_in("99999999999999999999999-1").front().value == UINT64_MAX);
    CHECK(without_leading_zeros("a0041b000c0-10") == "a41b0c0-10");
}

TEST_CASE("kinds by extension, as built in and as somebody changed them", "[select]") {
    Kinds kinds;
    CHECK(kinds.of("scan.JPG")->name == "pictures");
    CHECK(kinds.of("back.tar.gz")->name == "archives");
    CHECK(kinds.of("README") == nullptr);
    CHECK(kinds.of(".pdf") == nullptr);
    REQUIRE(kinds.change("# ours\nscans: PDF .tiff\nvideo:\naudio: mp3\n", "kinds"));
    CHECK(kinds.find("video") == nullptr);
    CHECK(Kinds::has(*kinds.find("scans"), "a.Tiff"));
    CHECK_FALSE(Kinds::has(*kinds.find("audio"), "a.wav"));
    const auto wrong = kinds.change("pictures jpg\n", "/there/kinds");
    REQUIRE_FALSE(wrong);
    CHECK(describe(wrong.error()).find("line 1") != std::string::npos);
    Kinds again;
    REQUIRE(again.change(kinds.to_text(), "kinds"));
    CHECK(again.all() == kinds.all());
}

TEST_CASE("sizes, dates and ranges as people write them", "[select]") {
    CHECK(size_from_text("500") == 500U);
    CHECK(size_from_text("20K") == 20U * 1024);
    CHECK(size_from_text("1.5M") == 1536U * 1024);
    CHECK(size_from_text("2gb") == std::uint64_t{2} << 30);
    for (const char* wrong : {"", "K", "1.5", "1..5M", "-3", "ten", "99999999999P", "1 2"})
        CHECK_FALSE(size_from_text(wrong));
    std::tm day{};
    day.tm_year = 131;
    day.tm_mon = 4;
    day.tm_mday = 2;
    day.tm_isdst = -1;
    const std::int64_t midnight = std::int64_t{std::mktime(&day)} * 1'000'000'000;
    CHECK(time_from_text("2031-05-02", now) == midnight);
    CHECK(time_from_text("2031-05-02T09:30", now) == midnight + 34'200'000'000'000);
    CHECK(time_from_text("30d", now) == now - std::int64_t{30} * 86'400'000'000'000);
    // Wednesday, 14 May 2031, at three in the afternoon
    day.tm_mday = 14;
    day.tm_hour = 15;
    const std::int64_t afternoon = std::int64_t{std::mktime(&day)} * 1'000'000'000;
    for (const auto& [word, date] :
         {std::pair("this-day", "2031-05-14"), std::pair("last-day", "2031-05-13"),
          std::pair("this-week", "2031-05-12"), std::pair("last-week", "2031-05-05"),
          std::pair("this-month", "2031-05-01"), std::pair("last-month", "2031-04-01"),
          std::pair("this-year", "2031-01-01")}) {
        CAPTURE(word);
        CHECK(time_from_text(word, afternoon) == time_from_text(date, now));
    }
    for (const char* wrong :
         {"", "2031-02-30", "2031-5-2", "2031-05-02T9", "2031-05-02T25:00", "yesterday", "d", "2031-05-02x"})
        CHECK_FALSE(time_from_text(wrong, now));
    CHECK(range_from_text("120-135") == std::pair<std::uint64_t, std::uint64_t>(120, 135));
    CHECK(range_from_text("0007") == std::pair<std::uint64_t, std::uint64_t>(7, 7));
    for (const char* wrong : {"", "-", "9-1", "a-b", "1-", "1-2-3"}) CHECK_FALSE(range_from_text(wrong));
}

TEST_CASE("all criteria together let through what a plain model does", "[select]") {
    const bool holds = rc::check("criteria", [] {
        Criteria criteria;
        const auto sometimes = [] { return *rc::gen::inRange(0, 3) == 0; };
        if (sometimes()) criteria.larger_than = *rc::gen::inRange(0, 20);
        if (sometimes()) criteria.smaller_than = *rc::gen::inRange(0, 20);
        if (sometimes()) criteria.changed_from_ns = *rc::gen::inRange(0, 20);
        if (sometimes()) criteria.changed_before_ns = *rc::gen::inRange(0, 20);
        if (sometimes()) criteria.kinds = {"pictures", "sheets"};
        if (sometimes()) criteria.only_empty = true;
        const auto from = *rc::gen::inRange(0, 30);
        if (sometimes()) criteria.number = {from, from + *rc::gen::inRange(0, 10)};
        const auto number = *rc::gen::inRange(0, 40);
        const auto extension = *rc::gen::element<std::string>("jpg", "csv", "txt");
        const auto size = static_cast<std::uint64_t>(*rc::gen::inRange(0, 20));
        const auto date = *rc::gen::inRange(0, 20);
        bool expected = true;
        expected = expected && !(criteria.larger_than && size <= *criteria.larger_than);
        expected = expected && !(criteria.smaller_than && size >= *criteria.smaller_than);
        expected = expected && !(criteria.changed_from_ns && date < *criteria.changed_from_ns);
        expected = expected && !(criteria.changed_before_ns && date >= *criteria.changed_before_ns);
        expected = expected && (criteria.kinds.empty() || extension != "txt");
        expected = expected && (!criteria.only_empty || size == 0);
        const auto n = static_cast<std::uint64_t>(number);
        expected =
            expected && (!criteria.number || (n >= criteria.number->first && n <= criteria.number->second));
        RC_ASSERT(fits(criteria, "file-" + std::string(n % 3, '0') + std::to_string(number) + "." + extension,
                       file_of(size, date)) == expected);
    });
    CHECK(holds);
}

TEST_CASE("a pasted list: each thing it asks for is found, fits several, or is not found", "[select][list]") {
    const std::vector<std::string> names{"permit-0412-north-quay.pdf",
                                         "permit-0413-fuel-jetty.pdf",
                                         "permit-0120.pdf",
                                         "permit-0121.pdf",
                                         "invoice-41.pdf",
                                         "Crew roster, May.ods",
                                         "Notes.txt",
                                         "notes.pdf",
                                         "scan-412.png"};
    const auto state = [&](const std::string& text) {
        std::string out;
        for (const ListedName& one : match_list(text, names)) {
            out += (out.empty() ? "" : "; ") + one.text + "=";
            for (const auto fit : one.fits) out += names[fit] + "|";
        }
        return out;
    };
    CHECK(state("permit-0120.pdf\r\n\r\n  - permit-0121  \n") ==
          "permit-0120.pdf=permit-0120.pdf|; permit-0121=permit-0121.pdf|");
    CHECK(state("Crew roster, May.ods") == "Crew roster, May.ods=Crew roster, May.ods|");
    CHECK(state("\"permit-0120.pdf\", 'NOTES.TXT'") ==
          "permit-0120.pdf=permit-0120.pdf|; NOTES.TXT=Notes.txt|");
    CHECK(state("notes") == "notes=Notes.txt|notes.pdf|");
    CHECK(state("412") == "412=permit-0412-north-quay.pdf|scan-412.png|");
    CHECK(state("00041") == "00041=invoice-41.pdf|");
    CHECK(state("permit-412") == "permit-412=permit-0412-north-quay.pdf|");
    CHECK(state("permit-41") == "permit-41=");
    CHECK(state("120-122") == "120=permit-0120.pdf|; 121=permit-0121.pdf|; 122=");
    CHECK(state("120\u2013121") == "120=permit-0120.pdf|; 121=permit-0121.pdf|");
    CHECK(state("/home/office/permit-0413-fuel-jetty.pdf") ==
          "/home/office/permit-0413-fuel-jetty.pdf=permit-0413-fuel-jetty.pdf|");
    CHECK(state("paid\tpermit-0120\t218 KB") == "permit-0120=permit-0120.pdf|");
    CHECK(state("413\t2 May") == "413=permit-0413-fuel-jetty.pdf|");
    CHECK(state("120;121;gone") == "120=permit-0120.pdf|; 121=permit-0121.pdf|; gone=");
    CHECK(match_list("a\n\nb", names)[1].line == 3);
    CHECK(match_list("1-4000000000", names).size() == 1);
}
