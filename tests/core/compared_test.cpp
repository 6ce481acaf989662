// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <set>

#include "files/encodings.h"
#include "select/name_list.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// What is found out by reading pairs, and remembered; and texts as people send them.

using namespace tavlo;

namespace {

/// Remembers what it is told, and what it was asked.
class Memory final : public ContentsMemory {
public:
    Result<bool> recall_all(KnownContents& known, std::size_t pairs) override {
        if (!is_small || pairs == 0) return false;
        ++read_whole;
        for (const auto& [pair, same] : told) known.learn(pair, same);
        return true;
    }
    Result<void> recall(const std::vector<Pair>& pairs, KnownContents& known) override {
        asked += pairs.size();
        for (const auto& [pair, same] : told)
            if (std::find(pairs.begin(), pairs.end(), pair) != pairs.end()) known.learn(pair, same);
        return {};
    }
    Result<void> remember(const std::vector<std::pair<Pair, bool>>& found) override {
        told.insert(told.end(), found.begin(), found.end());
        return {};
    }
    bool is_small = false;  // enough to be read as a whole
    std::size_t read_whole = 0;
    std::size_t asked = 0;
    std::vector<std::pair<Pair, bool>> told;
};

class CountsOpens final : public ForwardingFileSystem {
public:
    Result<tavlo::OpenedFile> open_file(const Handle& folder, const std::string& name) override {
        ++opened;
        return disk->open_file(folder, name);
    }
    int opened = 0;
};

std::string utf16(std::u16string_view text, bool big) {
    std::string bytes;
    for (const char16_t unit : text) {
        const char high = static_cast<char>(unit >> 8);
        const char low = static_cast<char>(unit & 0xff);
        bytes += big ? std::string{high, low} : std::string{low, high};
    }
    return bytes;
}

}  // namespace

TEST_CASE("what was compared before a stop is remembered, and not read again", "[disk][same]") {
    TempFolder temp;
    constexpr int count = 40;
    for (int number = 0; number < count; ++number) {
        temp.write("from/" + std::to_string(number), "same length " + std::to_string(number % 10));
        temp.write("to/" + std::to_string(number), "same length " + std::to_string(number % 5));
    }
    Job job = copy({temp.path("from")}, temp.path("to"));
    job.structure.contents = true;
    CountsOpens disk;
    Memory memory;
    KnownContents known;
    const auto batch = std::make_shared<const Batch>(value(gather(disk, job.what.sources)));
    const Outlook seen = value(look_ahead(disk, job, batch, known));
    REQUIRE(seen.plan->not_compared.size() == count);
    disk.opened = 0;
    std::stop_source stop;
    const auto stopped =
        compare_pairs(disk, *seen.plan, known, &memory, stop.get_token(), [&](std::size_t done) {
            if (done == 15) stop.request_stop();
        });
    REQUIRE_FALSE(stopped);
    CHECK(stopped.error().fault == Fault::cancelled);
    CHECK(memory.told.size() == 15);
    CHECK(memory.asked == count);
    // another program goes on with what was found out
    disk.opened = 0;
    KnownContents fresh;
    std::vector<std::size_t> reported;
    REQUIRE(compare_pairs(disk, *seen.plan, fresh, &memory, {},
                          [&](std::size_t done) { reported.push_back(done); }));
    CHECK(disk.opened == 2 * (count - 15));
    CHECK(memory.told.size() == count);
    REQUIRE(reported.size() == count);
    CHECK(reported.back() == count);
    const Outlook outlook = plan_again(job, seen, fresh);
    int same = 0;
    for (const ItemId id : outlook.plan->colliding) {
        const Item& item = outlook.plan->items[id];
        const int number = std::stoi(outlook.plan->name(item));
        const bool is_same = number % 10 == number % 5;
        CHECK((item.collision->finding == Finding::same) == is_same);
        CHECK(fresh.same(outlook.plan->pair(item)) == is_same);
        same += is_same ? 1 : 0;
    }
    CHECK(same == count / 2);
}

TEST_CASE("what is remembered is asked for before it is planned, so that nothing is left to compare",
          "[disk][same]") {
    TempFolder temp;
    for (const char* name : {"one", "two", "in/three", "in/four"}) {
        temp.write("from/" + std::string(name), "as long");
        temp.write("to/" + std::string(name), name == std::string("two") ? "unlike!" : "as long");
    }
    temp.write("from/longer", "as long and more");
    temp.write("to/longer", "as long");
    temp.write("from/empty", "");
    temp.write("to/empty", "");
    Job job = copy({temp.path("from")}, temp.path("to"));
    job.structure.contents = true;
    CountsOpens disk;
    Memory memory;
    const auto batch = std::make_shared<const Batch>(value(gather(disk, job.what.sources)));
    const auto first = [&] {
        KnownContents known;
        const Outlook seen = value(look_ahead(disk, job, batch, known, &memory));
        CHECK(seen.plan->not_compared.size() == 4);
        REQUIRE(compare_pairs(disk, *seen.plan, known, &memory));
        return plan_again(job, seen, known);
    }();
    REQUIRE(memory.told.size() == 4);
    disk.opened = 0;
    memory.asked = 0;
    KnownContents known;
    const Outlook seen = value(look_ahead(disk, job, batch, known, &memory));
    CHECK(disk.opened == 0);
    CHECK(memory.asked == 4);  // not of other sizes, and not of files that hold nothing
    CHECK(seen.plan->not_compared.empty());
    REQUIRE(seen.plan->items.size() == first.plan->items.size());
    for (ItemId id = 0; id < seen.plan->items.size(); ++id) {
        const Item& item = seen.plan->items[id];
        CHECK(item.outcome == first.plan->items[id].outcome);
        REQUIRE((item.collision != nullptr) == (first.plan->items[id].collision != nullptr));
        if (item.collision) CHECK(item.collision->finding == first.plan->items[id].collision->finding);
    }
    // one that has changed since is another pair
    temp.write("to/in/three", "not as before");
    temp.write("to/in/three", "AS LONG");
    KnownContents again;
    CHECK(value(look_ahead(disk, job, batch, again, &memory)).plan->not_compared.size() == 1);
    // little enough is read as a whole while the destination is looked at: once, as long as nothing is known
    memory.is_small = true;
    memory.asked = 0;
    KnownContents all;
    CHECK(value(look_ahead(disk, job, batch, all, &memory)).plan->not_compared.size() == 1);
    CHECK(memory.read_whole == 1);
    CHECK(memory.asked == 0);
    CHECK(value(look_ahead(disk, job, batch, all, &memory)).plan->not_compared.size() == 1);
    CHECK(memory.read_whole == 1);
    CHECK(memory.asked == 1);
}

TEST_CASE("a pair is known by all that tells it from another, and by nothing less", "[same]") {
    KnownContents known;
    const Pair pair{{1, 2, 3, 4}, {5, 6, 7, 8}, 9, 10};
    known.learn(pair, true);
    CHECK(known.same(pair) == true);
    std::vector<Pair> others(10, pair);
    others[0].incoming.device = 0;
    others[1].incoming.inode = 0;
    others[2].incoming.size_bytes = 0;
    others[3].incoming.modified_ns = 0;
    others[4].held.device = 0;
    others[5].held.inode = 0;
    others[6].held.size_bytes = 0;
    others[7].held.modified_ns = 0;
    others[8].incoming_changed_ns = 0;
    others[9].held_changed_ns = 0;
    for (const Pair& other : others) CHECK(known.same(other) == std::nullopt);
    CHECK(known.same({pair.held, pair.incoming, 10, 9}) == std::nullopt);  // which is which counts
    known.learn(pair, false);
    CHECK(known.same(pair) == false);
    CHECK(known.problem(pair) == nullptr);
    known.learn_problem(others[0], {Fault::io, 0, "cannot be read", "/there"});
    REQUIRE(known.problem(others[0]) != nullptr);
    CHECK(known.problem(others[0])->path == "/there");
    CHECK(known.problem(pair) == nullptr);
}

TEST_CASE("a text is read as UTF-16 where it says so or is plainly so, and is left alone where it is not",
          "[select][list]") {
    const std::u16string names = u"permit-1.pdf\r\nRöhre 2.pdf\n\U0001F6A2 3.pdf";
    const std::string plain = "permit-1.pdf\r\nRöhre 2.pdf\n\U0001F6A2 3.pdf";
    CHECK(without_utf16("\xff\xfe" + utf16(names, false)) == plain);
    CHECK(without_utf16("\xfe\xff" + utf16(names, true)) == plain);
    CHECK(without_utf16(utf16(names, false)) == plain);
    CHECK(without_utf16(utf16(names, true)) == plain);
    CHECK(without_utf16("\xef\xbb\xbf" + plain) == plain);
    CHECK(without_utf16(plain) == plain);
    CHECK(without_utf16("").empty());
    CHECK(without_utf16("\xff\xfe").empty());
    CHECK(without_utf16("a") == "a");
    CHECK(without_utf16(std::string("a\0b", 3)) == std::string("a\0b", 3));  // a NUL alone makes no UTF-16
    CHECK(without_utf16("\xff\xfe" + utf16(u"ab", false) + "x") ==
          "ab\xef\xbf\xbd");  // cut in the middle of a letter
    const std::string half = "\xff\xfe" + utf16(std::u16string(1, u'\xd83d'), false) + utf16(u"a", false);
    CHECK(without_utf16(half).ends_with("a"));  // half of a pair is no letter, and nothing after it is lost
    CHECK(from_latin1("R\xf6hre \x80 5") == "Röhre € 5");
    // in one list each line is read by itself
    const std::vector<std::string> there{"Röhre.pdf", "R\xf6hre-raw.pdf", "plain.pdf"};
    const auto found = match_list("R\xf6hre.pdf\nR\xf6hre-raw.pdf\nplain.pdf\nRöhre.pdf", there);
    REQUIRE(found.size() == 4);
    CHECK(found[0].fits == std::vector<std::size_t>{0});
    CHECK(found[1].fits == std::vector<std::size_t>{1});
    CHECK(found[2].fits == std::vector<std::size_t>{2});
    CHECK(found[3].fits == std::vector<std::size_t>{0});
    CHECK(found[0].text == "Röhre.pdf");
    CHECK(found[3].line == 4);
}
