// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/store.h"

#include <atomic>
#include <filesystem>
#include <thread>

#include "keep/name_search.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// What lasts: the journal of a run, its receipt, the Safe's index, what was compared.

using namespace tavlo;

namespace {

ReceiptHead head_of(const std::string& id) {
    ReceiptHead head;
    head.id = id;
    head.destination = "/there/\xff";
    head.sentence = "Copy 600 items into There";
    head.started_ns = now_ns();
    head.roots = {"/", "/there/\xff"};
    return head;
}

PendingItem pending_of(std::uint64_t number) {
    PendingItem item;
    item.number = number;
    item.source = "/from/\xff" + std::to_string(number);
    item.target = "/there/" + std::to_string(number);
    item.final_path = item.target;
    item.identity = {1, number + 10, 100, -5};
    item.mode = 0640;
    item.collides = number % 3 == 0;
    item.finding = number % 3 == 0 ? std::optional(Finding::newer) : std::nullopt;
    item.decision = Decision::overwrite;
    item.outcome = Outcome::overwritten;
    if (number == 7) item.attributes = Attributes{0750, 1, 2, 3, 4, {{"user.x", std::string("a\0b", 3)}}};
    if (number > 0) item.parent = 0;
    return item;
}

ReceiptItem done(const PendingItem& pending) {
    ReceiptItem item;
    item.source = pending.source;
    item.target = pending.target;
    item.size_bytes = pending.identity.size_bytes;
    item.result = Outcome::created;
    return item;
}

Result<void> begin(Store& store, const ReceiptHead& head, std::uint64_t count) {
    return store.begin(head, count, [](std::uint64_t number) { return pending_of(number); });
}

}  // namespace

TEST_CASE("what is still to do is what was planned less what was done, field for field", "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    const ReceiptHead head = head_of("20310502-091407-aaaa");
    REQUIRE(begin(*store, head, 600));  // over two rows of the journal
    CHECK(value(store->pending(head.id)).size() == 600);
    RunRecords records;
    for (std::uint64_t number : {0U, 5U, 255U, 256U, 599U})
        records.items.emplace_back(number, done(pending_of(number)));
    Intent intent;
    intent.number = 6;
    intent.kind = Intent::Kind::take_away;
    intent.slot = "/there/.safe/\xff";
    intent.removes_source = true;
    intent.hash = "xxh3-128:00";
    REQUIRE(store->record(head.id, records, {intent}));
    const auto left = value(store->pending(head.id));
    REQUIRE(left.size() == 595);
    CHECK(left.front().number == 1);
    CHECK(left[6].number == 8);
    const PendingItem& seventh = left[5];
    const PendingItem meant = pending_of(7);
    CHECK(seventh.source == meant.source);
    CHECK(seventh.identity == meant.identity);
    CHECK(seventh.parent == meant.parent);
    REQUIRE(seventh.attributes);
    CHECK(seventh.attributes->extended == meant.attributes->extended);
    CHECK(left[1].finding == std::nullopt);
    CHECK(left[2].finding == Finding::newer);
    const auto intents = value(store->intents(head.id));
    REQUIRE(intents.size() == 1);
    CHECK(intents[0].slot == intent.slot);
    CHECK(intents[0].kind == Intent::Kind::take_away);
    // a receipt shows both, in their order
    std::uint64_t number = 0;
    std::uint64_t planned = 0;
    REQUIRE(store->each_item(head.id, [&](ReceiptItem&& item) {
        CHECK(item.source == pending_of(number).source);
        planned += item.result == Outcome::planned ? 1U : 0U;
        ++number;
    }));
    CHECK(number == 600);
    CHECK(planned == 595);
    // the next group's intentions take the place of these
    REQUIRE(store->record(head.id, {}, {}));
    CHECK(value(store->intents(head.id)).empty());
}

TEST_CASE("the totals are counted from the items, and a run that is done has no journal left", "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    ReceiptHead head = head_of("20310502-091407-bbbb");
    REQUIRE(begin(*store, head, 4));
    RunRecords records;
    for (std::uint64_t number = 0; number < 3; ++number)
        records.items.emplace_back(number, done(pending_of(number)));
    records.not_kept.emplace_back(1, "owner");
    REQUIRE(store->record(head.id, records));
    head.state = RunState::stopped;
    head.waits_for = "/there: the disk is full";
    head = value(store->finish(head));
    CHECK(head.totals.items == 4);
    CHECK(head.totals.of(Outcome::created) == 3);
    CHECK(head.totals.of(Outcome::planned) == 1);
    CHECK(head.totals.bytes == 300);
    CHECK(value(store->not_kept(head.id)) ==
          std::vector<std::pair<std::string, std::uint64_t>>{{"owner", 1}});
    REQUIRE(value(store->unfinished()).size() == 1);
    CHECK(value(store->unfinished())[0].waits_for == head.waits_for);
    records = {};
    records.items.emplace_back(3, done(pending_of(3)));
    REQUIRE(store->record(head.id, records));
    head.state = RunState::done;
    head.waits_for.clear();
    CHECK(value(store->finish(head)).totals.of(Outcome::created) == 4);
    CHECK(value(store->unfinished()).empty());
    CHECK(value(store->pending(head.id)).empty());
    CHECK(value(store->receipt(head.id)).destination == "/there/\xff");
    const auto unknown = store->receipt("20310502-000000-zzzz");
    REQUIRE_FALSE(unknown);
    CHECK(unknown.error().fault == Fault::not_found);
}

TEST_CASE("two programs write one state folder at once, and neither loses a word", "[keep]") {
    TempFolder temp;
    REQUIRE(Store::open(temp.path("state")));
    std::vector<std::string> problems(2);
    const auto work = [&](int which) {
        const auto store = Store::open(temp.path("state"));
        for (int run = 0; store && run < 20; ++run) {
            const ReceiptHead head =
                head_of("20310502-0914" + std::to_string(10 + run) + "-" + (which == 0 ? "left" : "rite"));
            if (auto begun = begin(**store, head, 30); !begun)
                problems[static_cast<std::size_t>(which)] = describe(begun.error());
            RunRecords records;
            for (std::uint64_t number = 0; number < 30; ++number)
                records.items.emplace_back(number, done(pending_of(number)));
            if (auto written = (*store)->record(head.id, records); !written)
                problems[static_cast<std::size_t>(which)] = describe(written.error());
        }
    };
    {
        const std::jthread other([&] { work(1); });
        work(0);
    }
    CHECK(problems[0].empty());
    CHECK(problems[1].empty());
    const auto store = value(Store::open(temp.path("state")));
    const auto heads = value(store->receipts());
    CHECK(heads.size() == 40);
    for (const ReceiptHead& head : heads) CHECK(value(store->pending(head.id)).empty());
}

TEST_CASE("a run that is alive is nobody else's to go on with", "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    auto lock = store->lock("20310502-091407-cccc");
    REQUIRE(lock);
    const auto second = value(Store::open(temp.path("state")))->lock("20310502-091407-cccc");
    REQUIRE_FALSE(second);
    CHECK(second.error().fault == Fault::name_taken);
    CHECK(store->lock("20310502-091407-dddd"));
}

TEST_CASE("pairs that were compared are recalled as long as both are as they were", "[keep][same]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    const auto pair = [](std::uint64_t inode, std::int64_t changed) {
        Status a;
        a.id = {1, inode, 5, 100};
        a.status_changed_ns = changed;
        Status b;
        b.id = {1, inode + 1000, 5, 200};
        return pair_of(a, b);
    };
    std::vector<std::pair<Pair, bool>> found;
    for (std::uint64_t inode = 0; inode < 500; ++inode) found.emplace_back(pair(inode, 7), inode % 2 == 0);
    REQUIRE(store->remember(found));
    KnownContents known;
    REQUIRE(store->recall({pair(4, 7), pair(5, 7), pair(6, 8), pair(9999, 7)}, known));
    CHECK(known.same(pair(4, 7)) == true);
    CHECK(known.same(pair(5, 7)) == false);
    CHECK(known.same(pair(6, 8)) == std::nullopt);  // touched since, whatever its date says
    CHECK(known.same(pair(9999, 7)) == std::nullopt);
}

TEST_CASE(
    "many pairs are recalled as few are, in whatever order they are asked for, or all there are at once",
    "[keep][same]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    const auto pair = [](std::uint64_t inode, std::int64_t changed) {
        Status a;
        a.id = {1, inode, 5, 100};
        a.status_changed_ns = changed;
        Status b;
        b.id = {1, inode + 100'000, 5, 200};
        return pair_of(a, b);
    };
    std::vector<std::pair<Pair, bool>> found;
    for (std::uint64_t inode = 0; inode < 6000; ++inode) found.emplace_back(pair(inode, 7), inode % 3 == 0);
    REQUIRE(store->remember(found));
    std::vector<Pair> asked;
    for (std::uint64_t inode = 8000; inode-- > 3000;) asked.push_back(pair(inode, inode % 5 == 0 ? 8 : 7));
    asked.push_back(asked.front());
    const auto few = std::vector<Pair>(asked.begin(), asked.begin() + 5000 / 8);
    for (const bool all : {false, true}) {  // a few of them are looked for one by one
        KnownContents known;
        if (all)
            CHECK(value(store->recall_all(known, asked.size())));
        else
            REQUIRE_FALSE(value(store->recall_all(known, few.size())));
        CHECK(known.same(pair(5999, 7)).has_value() == all);
        REQUIRE(store->recall(all ? asked : few, known));
        for (std::uint64_t inode = 0; inode < 8000; ++inode) {
            const bool is_asked = all || std::find(few.begin(), few.end(), pair(inode, 7)) != few.end();
            CAPTURE(inode, all);
            CHECK(known.same(pair(inode, 7)) ==
                  (is_asked && inode < 6000 ? std::optional(inode % 3 == 0) : std::nullopt));
            CHECK(known.same(pair(inode, 8)) == std::nullopt);
        }
    }
}

TEST_CASE(
    "which runs touched a name is found by words, begun words and parts that stand together, newest first",
    "[search]") {
    TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("from/permit-0416-north-quay.pdf", "x");
    temp.write("from/permit-0417.pdf", "y");
    temp.write("from/\xff odd ø.txt", "z");
    const Ran first =
        jobs.run(copy({temp.path("from/permit-0416-north-quay.pdf"), temp.path("from/permit-0417.pdf")},
                      temp.path("to/Permits")));
    const Ran second =
        jobs.run(move({temp.path("to/Permits/permit-0416-north-quay.pdf"), temp.path("from/\xff odd ø.txt")},
                      temp.path("to/Archive")));
    const auto search = value(NameSearch::open(temp.path("state")));
    REQUIRE(search->follow(*jobs.store));
    const auto found = [&](const char* words) {
        std::string runs;
        for (const NameHit& hit : value(search->find(words, 100)))
            runs += (hit.receipt == first.head.id ? "1." : "2.") + std::to_string(hit.number) + " ";
        return runs;
    };
    CHECK(found("permit-0416") == "2.0 1.0 ");
    CHECK(found("0416") == "2.0 1.0 ");
    CHECK(found("nor") == "2.0 1.0 ");
    CHECK(found("quay-north") == "");
    CHECK(found("north 0416 archive") == "2.0 ");
    CHECK(found("permit-04") == "2.0 1.1 1.0 ");
    CHECK(found("ODD") == "2.1 ");
    CHECK(found("\" OR * - ^") == "");
    CHECK(found("") == "");
    jobs.undo(second.head.id);
    REQUIRE(search->follow(*jobs.store));
    CHECK(value(search->find("0416", 100)).size() == 3);
    CHECK(value(search->find("0416", 2)).size() == 2);
    // damaged, it is made again
    temp.write("state/names.sqlite", "no database at all, but long enough to look like something");
    std::filesystem::remove(temp.path("state/names.sqlite-wal"));
    const auto again = value(NameSearch::open(temp.path("state")));
    REQUIRE(again->follow(*jobs.store));
    CHECK(value(again->find("0416", 100)).size() == 3);
}

TEST_CASE("a window onto a receipt shows what was done and what is planned, by number", "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    const ReceiptHead head = head_of("run");
    REQUIRE(begin(*store, head, 1000));
    RunRecords records;
    for (const std::uint64_t number : {300U, 301U, 700U})
        records.items.emplace_back(number, done(pending_of(number)));
    records.items.back().second.result = Outcome::failed;
    records.items.back().second.fault = Fault::unreachable;
    REQUIRE(store->record(head.id, records));
    CHECK(value(store->so_far(head.id)) == std::pair<std::uint64_t, std::uint64_t>(3, 1000));
    const auto page = value(store->some_items(head.id, 250, 100));
    REQUIRE(page.size() == 100);
    CHECK(page.begin()->first == 250);
    CHECK(page.at(300).result == Outcome::created);
    CHECK(page.at(302).result == Outcome::planned);
    CHECK(page.at(302).source == pending_of(302).source);
    CHECK(value(store->some_items(head.id, 990, 100)).size() == 10);
    CHECK(value(store->some_items(head.id, 700, 1)).at(700).fault == Fault::unreachable);
    CHECK(value(store->numbers_with(head.id, Outcome::failed)) == std::vector<std::uint64_t>{700});
    CHECK(value(store->numbers_with(head.id, Outcome::planned)).size() == 997);
    // one that stands for what was not counted is far from the others
    REQUIRE(store->extend(head.id, {}, pending_of(rest_number)));
    CHECK(value(store->some_items(head.id, rest_number, 1)).size() == 1);
    CHECK(value(store->some_items(head.id, 900, 512)).size() == 100);
}

TEST_CASE("items of which nothing is done are in the receipt from the beginning, and counted with the others",
          "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    ReceiptHead head = head_of("run");
    const auto is_left_alone = [](std::uint64_t number) { return number < 512 || number == 700; };
    const auto left_alone = [](std::uint64_t number) {
        ReceiptItem item = done(pending_of(number));
        item.result = Outcome::skipped;
        return item;
    };
    REQUIRE(store->begin(head, 1000, [&](std::uint64_t number) -> OpenedItem {
        if (is_left_alone(number)) return left_alone(number);
        return pending_of(number);
    }));
    CHECK(value(store->so_far(head.id)) == std::pair<std::uint64_t, std::uint64_t>(513, 1000));
    CHECK(value(store->numbers_with(head.id, Outcome::skipped)).size() == 513);
    const auto left = value(store->pending(head.id));
    REQUIRE(left.size() == 487);
    CHECK(left.front().number == 512);
    std::uint64_t next = 0;
    REQUIRE(store->each_item(head.id, [&](ReceiptItem&& item) {
        CHECK(item.source == pending_of(next).source);
        CHECK((item.result == Outcome::skipped) == is_left_alone(next));
        ++next;
    }));
    CHECK(next == 1000);
    const auto page = value(store->some_items(head.id, 690, 20));
    REQUIRE(page.size() == 20);
    CHECK(page.at(700).result == Outcome::skipped);
    CHECK(page.at(701).result == Outcome::planned);
    RunRecords records;
    for (const PendingItem& item : left) records.items.emplace_back(item.number, done(item));
    records.items.pop_back();
    REQUIRE(store->record(head.id, records));
    head.state = RunState::stopped;
    Totals totals = value(store->finish(head)).totals;
    CHECK(totals.items == 1000);
    CHECK(totals.of(Outcome::skipped) == 513);
    CHECK(totals.of(Outcome::planned) == 1);

    // two of them far from one another are to be done again: the others are still there
    REQUIRE(store->reopen(head.id, {pending_of(5), pending_of(900)}));
    CHECK(value(store->so_far(head.id)) == std::pair<std::uint64_t, std::uint64_t>(997, 999));
    CHECK(value(store->some_items(head.id, 890, 20)).size() == 20);
    CHECK(value(store->some_items(head.id, 900, 1)).at(900).result == Outcome::planned);
    totals = value(store->finish(head)).totals;
    CHECK(totals.items == 999);
    CHECK(totals.of(Outcome::planned) == 2);
}

TEST_CASE("what an undo took back is known by item, and all of it counts as undone once nothing is left",
          "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    ReceiptHead head = head_of("run");
    REQUIRE(begin(*store, head, 3));
    RunRecords records;
    for (const std::uint64_t number : {0U, 1U, 2U})
        records.items.emplace_back(number, done(pending_of(number)));
    records.items[2].second.result = Outcome::skipped;  // there is nothing of it to take back
    REQUIRE(store->record(head.id, records));
    head.state = RunState::done;
    REQUIRE(store->finish(head));
    for (const std::uint64_t number : {0U, 1U}) {
        ReceiptHead undo = head_of("undo-" + std::to_string(number));
        undo.operation = Operation::undo;
        undo.undoes = head.id;
        undo.undoes_some = true;
        REQUIRE(begin(*store, undo, 1));
        RunRecords back;
        back.items.emplace_back(0, done(pending_of(0)));
        back.items[0].second.result = Outcome::removed;
        back.taken_back.push_back(number);
        REQUIRE(store->record(undo.id, back));
        undo.state = RunState::done;
        CHECK(value(store->receipt(undo.id)).undoes_some);
        CHECK(value(store->receipt(head.id)).undone_by.empty());
        REQUIRE(store->finish(undo));
        CHECK(value(store->taken_back(head.id)).size() == number + 1);
    }
    CHECK(value(store->receipt(head.id)).undone_by == "undo-1");
}

TEST_CASE("asking whether a run is alive is in nobody's way", "[keep]") {
    TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    CHECK_FALSE(store->is_alive("run"));
    CHECK(std::filesystem::directory_iterator(temp.path("state")) != std::filesystem::directory_iterator());
    std::vector<std::jthread> asking;
    for (int thread = 0; thread < 3; ++thread)
        asking.emplace_back([&](const std::stop_token& end) {
            const auto own = value(Store::open(temp.path("state")));
            while (!end.stop_requested()) (void)own->is_alive("run");
        });
    for (int turn = 0; turn < 200; ++turn) {
        const auto lock = store->lock("run");
        REQUIRE(lock);
        CHECK(value(Store::open(temp.path("state")))->is_alive("run"));
    }
    asking.clear();
    CHECK_FALSE(store->is_alive("run"));
}

TEST_CASE(
    "runs of several programs at once, in one state folder and one destination, each keep a true receipt",
    "[disk][keep]") {
    TempFolder temp;
    constexpr int programs = 4;
    constexpr int files = 150;
    for (int program = 0; program < programs; ++program)
        for (int file = 0; file < files; ++file)
            temp.write("from/" + std::to_string(program) + "/" + std::to_string(program) + "-" +
                           std::to_string(file),
                       "bytes");
    std::atomic<int> good = 0;
    std::array<std::string, programs> why;
    {
        std::vector<std::jthread> going;
        for (int program = 0; program < programs; ++program)
            going.emplace_back([&, program] {
                const auto disk = make_disk();
                const auto store = Store::open(temp.path("state"));
                Job job = copy({temp.path("from/" + std::to_string(program))}, temp.path("to"));
                job.structure.contents = true;
                const auto outlook = store ? prepare(*disk, job) : Result<Outlook>(failure(store.error()));
                const auto head = outlook ? carry_out(*disk, **store, *outlook->plan, {})
                                          : Result<ReceiptHead>(failure(outlook.error()));
                if (!head) why[static_cast<std::size_t>(program)] = describe(head.error());
                if (head && head->totals.of(Outcome::created) == files) ++good;
            });
    }
    CAPTURE(why);
    CHECK(good == programs);
    Jobs jobs(temp.path("state"));
    for (const ReceiptHead& head : value(jobs.store->receipts()))
        CHECK(jobs.undo(head.id).of(Outcome::removed) >= files);
    // the folder goes with the undo of the run that made it, if that one is the last to be undone
    CHECK((!temp.has("to") || std::filesystem::is_empty(temp.path("to"))));
}
