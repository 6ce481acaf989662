// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>
#include <sys/stat.h>

#include <ctime>
#include <filesystem>
#include <map>
#include <set>

#include "files/path.h"
#include "keep/documents.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// How receipts and the Safe's index are kept: against models of a few lines, and how much room they take.

using namespace tavlo;

namespace {

ReceiptHead head_of(const std::string& id, const std::string& undoes = {}) {
    ReceiptHead head;
    head.id = id;
    head.destination = "/there";
    head.started_ns = now_ns();
    head.undoes = undoes;
    head.undoes_some = !undoes.empty();
    if (!undoes.empty()) head.operation = Operation::undo;
    return head;
}

PendingItem planned(std::uint64_t number) {
    PendingItem item;
    item.number = number;
    item.source = "/from/" + std::to_string(number);
    item.target = "/there/" + std::to_string(number);
    return item;
}

ReceiptItem item_of(std::uint64_t number, Outcome result, std::uint64_t size) {
    ReceiptItem item;
    item.source = "/from/" + std::to_string(number);
    item.target = "/there/" + std::to_string(number);
    item.type = number % 7 == 0 ? FileType::folder : FileType::file;
    item.size_bytes = size;
    item.result = result;
    item.error = result == Outcome::failed ? "a reason" : "";
    item.hash = "xxh3-128:" + std::to_string(number);
    item.collision = number % 5 == 0
                         ? std::optional(ReceiptCollision{Finding::older, 3, -4, Decision::rename})
                         : std::nullopt;
    return item;
}

Result<void> begin(Store& store, const ReceiptHead& head, std::uint64_t count) {
    return store.begin(head, count, [](std::uint64_t number) { return planned(number); });
}

std::uint64_t room_of(const TempFolder& temp) {
    std::uint64_t bytes = 0;
    for (const auto& file : std::filesystem::directory_iterator(temp.path("state")))
        if (file.is_regular_file()) bytes += file.file_size();
    return bytes;
}

constexpr std::uint64_t items_planned = 2500;  // over more rows than are packed ahead

/// What a store should answer, kept in the plainest way.
struct Model {
    std::map<std::uint64_t, ReceiptItem> items;
    std::set<std::uint64_t> taken_back;

    std::uint64_t bytes() const {
        std::uint64_t sum = 0;
        for (const auto& [number, item] : items)
            if (item.type == FileType::file && arrives(item.result)) sum += item.size_bytes;
        return sum;
    }
};

void agree(Store& store, const std::string& id, const Model& model) {
    std::uint64_t at = 0;
    auto read = store.each_item(id, [&](ReceiptItem&& item) {
        RC_ASSERT(item.source == "/from/" + std::to_string(at));
        const auto meant = model.items.find(at);
        RC_ASSERT(item.result == (meant == model.items.end() ? Outcome::planned : meant->second.result));
        if (meant != model.items.end()) {
            RC_ASSERT(item.hash == meant->second.hash);
            RC_ASSERT(item.not_kept == meant->second.not_kept);
            RC_ASSERT(item.size_bytes == meant->second.size_bytes);
            RC_ASSERT(item.collision.has_value() == meant->second.collision.has_value());
        }
        ++at;
    });
    RC_ASSERT(read.has_value());
    RC_ASSERT(at == items_planned);
    std::vector<std::uint64_t> backwards;
    auto reversed = store.each_settled(id, Store::Order::backwards, [&](std::uint64_t number, ReceiptItem&&) {
        backwards.push_back(number);
    });
    RC_ASSERT(reversed.has_value());
    std::vector<std::uint64_t> meant;
    for (auto item = model.items.rbegin(); item != model.items.rend(); ++item) meant.push_back(item->first);
    RC_ASSERT(backwards == meant);
    RC_ASSERT(value(store.pending(id)).size() == items_planned - model.items.size());
    const auto so_far = value(store.so_far(id));
    RC_ASSERT(so_far.first == model.items.size());
    RC_ASSERT(so_far.second == items_planned);
    const std::vector<std::uint64_t> taken_back(model.taken_back.begin(), model.taken_back.end());
    RC_ASSERT(value(store.taken_back(id)) == taken_back);
    for (const Outcome result : {Outcome::created, Outcome::failed, Outcome::undecided}) {
        std::vector<std::uint64_t> so;
        for (const auto& [number, item] : model.items)
            if (item.result == result) so.push_back(number);
        RC_ASSERT(value(store.numbers_with(id, result)) == so);
    }
    std::map<std::string, std::uint64_t> lost;
    for (const auto& [number, item] : model.items)
        if (!item.not_kept.empty()) ++lost[item.not_kept];
    const auto told = value(store.not_kept(id));
    const std::map<std::string, std::uint64_t> told_lost(told.begin(), told.end());
    RC_ASSERT(told_lost == lost);
}

}  // namespace

TEST_CASE(
    "a receipt answers as a list of its items would, whatever is recorded, reopened, taken back in whatever "
    "order",
    "[keep][model]") {
    const bool holds = rc::check("random records", [] {
        const TempFolder temp("/dev/shm");
        const auto store = value(Store::open(temp.path("state")));
        RC_ASSERT(begin(*store, head_of("run"), items_planned).has_value());
        RC_ASSERT(
            begin(*store, head_of("undo", "run"), 1).has_value());  // what it undoes has no journal any more
        std::vector<PendingItem> all;
        for (std::uint64_t number = 0; number < items_planned; ++number) all.push_back(planned(number));
        RC_ASSERT(store->reopen("run", all).has_value());
        Model model;
        const int groups = *rc::gen::inRange(1, 12);
        for (int group = 0; group < groups; ++group) {
            RunRecords records;
            const auto numbers = *rc::gen::container<std::vector<std::uint64_t>>(
                rc::gen::inRange<std::uint64_t>(0, items_planned));
            for (const auto number : numbers) {
                const auto result = *rc::gen::element(Outcome::created, Outcome::failed, Outcome::undecided,
                                                      Outcome::skipped);
                const auto item = item_of(number, result, *rc::gen::inRange<std::uint64_t>(0, 1000));
                records.items.emplace_back(number, item);
                model.items.insert_or_assign(number, item);
            }
            for (const auto number : *rc::gen::container<std::vector<std::uint64_t>>(
                     rc::gen::inRange<std::uint64_t>(0, items_planned))) {
                if (!model.items.contains(number)) continue;
                records.not_kept.emplace_back(number, "owner");
                model.items.at(number).not_kept = "owner";
            }
            RC_ASSERT(store->record("run", records).has_value());
            RunRecords back;
            for (const auto number : *rc::gen::container<std::vector<std::uint64_t>>(
                     rc::gen::inRange<std::uint64_t>(0, items_planned))) {
                if (!model.items.contains(number)) continue;
                back.taken_back.push_back(number);
                model.taken_back.insert(number);
            }
            RC_ASSERT(store->record("undo", back).has_value());
            agree(*store, "run", model);
        }
        ReceiptHead head = head_of("run");
        head.state = RunState::stopped;
        const Totals totals = value(store->finish(head)).totals;
        RC_ASSERT(totals.items == items_planned);
        RC_ASSERT(totals.bytes == model.bytes());
        RC_ASSERT(totals.of(Outcome::planned) == items_planned - model.items.size());
    });
    CHECK(holds);
}

TEST_CASE(
    "the Safe's index answers as a list of its entries would, a part at a time too, while some of them go",
    "[keep][model]") {
    const bool holds = rc::check("random versions", [] {
        const TempFolder temp("/dev/shm");
        const auto store = value(Store::open(temp.path("state")));
        std::map<std::string, SafeEntry> model;
        const int count = *rc::gen::inRange(0, 60);
        for (int which = 0; which < count; ++which) {
            SafeEntry entry;
            entry.receipt = *rc::gen::element<std::string>("run-1", "run-2", "run-3");
            const bool is_shared = *rc::gen::arbitrary<bool>();
            const std::string slot =
                (is_shared ? "shared" : "own") + std::to_string(is_shared ? which / 5 : which);
            entry.id = entry.receipt + "." + slot + (is_shared ? "-" + std::to_string(which) : "");
            entry.original =
                "/there/" + std::string(which % 3 == 0 ? "\xff deep/" : "") + std::to_string(which);
            // as they are laid now, and as an older version might have
            entry.stored =
                *rc::gen::element<std::string>("/safe/" + entry.receipt + "/" + slot,
                                               "/other/x/" + std::to_string(which)) +
                "/" + *rc::gen::element<std::string>(std::string(name_of(entry.original)), "another name");
            entry.type = *rc::gen::element(FileType::file, FileType::folder, FileType::link);
            entry.identity = {5, std::uint64_t{100} + static_cast<unsigned>(which),
                              *rc::gen::inRange<std::uint64_t>(0, 1 << 20), -7};
            entry.set_aside_ns = *rc::gen::inRange(1, 5);
            entry.boot = "a boot";
            entry.since_boot_ns = 77;
            RunRecords records;
            records.set_aside.push_back(entry);
            RC_ASSERT(store->record(entry.receipt, records).has_value());
            model[entry.id] = entry;
        }
        const auto some = *rc::gen::container<std::vector<int>>(rc::gen::inRange(0, 60));
        const std::set<int> gone(some.begin(), some.end());
        std::vector<std::string> ids;
        int at = 0;
        for (const auto& [id, entry] : std::map<std::string, SafeEntry>(model))
            if (gone.contains(at++)) {
                ids.push_back(id);
                model.erase(id);
            }
        RC_ASSERT(store->forget_safe_entries(ids).has_value());
        RC_ASSERT(value(store->safe_count()) == model.size());
        std::set<std::string> seen;
        for (std::string last;;) {  // and more go while they are gone through
            const auto part = value(store->some_safe_entries(last, 7));
            if (part.empty()) break;
            last = part.back().id;
            for (const SafeEntry& entry : part) {
                const SafeEntry& meant = model.at(entry.id);
                RC_ASSERT(seen.insert(entry.id).second);
                RC_ASSERT(entry.original == meant.original);
                RC_ASSERT(entry.stored == meant.stored);
                RC_ASSERT(entry.type == meant.type);
                RC_ASSERT(entry.identity == meant.identity);
                RC_ASSERT(entry.set_aside_ns == meant.set_aside_ns);
                RC_ASSERT(entry.boot == meant.boot);
                RC_ASSERT(value(store->safe_entry(entry.id)).stored == meant.stored);
            }
        }
        RC_ASSERT(seen.size() == model.size());
        const auto all = value(store->safe_entries());
        const auto newer = [](const SafeEntry& one, const SafeEntry& other) {
            return one.set_aside_ns > other.set_aside_ns;
        };
        RC_ASSERT(std::is_sorted(all.begin(), all.end(), newer));
        for (const std::string run : {"run-1", "run-2", "none"}) {
            SafeAmount amount;
            std::set<std::string> shelves;
            for (const auto& [id, entry] : model) {
                if (entry.receipt != run) continue;
                ++amount.versions;
                if (entry.type == FileType::file) amount.bytes += entry.identity.size_bytes;
                shelves.emplace(parent_of(parent_of(entry.stored)));
            }
            const SafeAmount told = value(store->safe_amount_of(run));
            RC_ASSERT(told.versions == amount.versions);
            RC_ASSERT(told.bytes == amount.bytes);
            const auto where = value(store->shelves_of(run));
            const std::set<std::string> told_shelves(where.begin(), where.end());
            RC_ASSERT(told_shelves == shelves);
        }
        ids.clear();
        for (const auto& [id, entry] : model) ids.push_back(id);
        RC_ASSERT(store->forget_safe_entries(ids).has_value());
        RC_ASSERT(value(store->safe_entries()).empty());
    });
    CHECK(holds);
}

TEST_CASE("a version's id is of its receipt: another is not taken into the index", "[keep]") {
    const TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    for (const std::string id : {"run", "run.", "other.1", "runs.1"}) {
        RunRecords records;
        records.set_aside.push_back(
            {id, "/there/a", "/safe/run/1/a", "run", FileType::file, {1, 2, 3, 4}, 1, {}, 0});
        CHECK_FALSE(store->record("run", records));
    }
    CHECK(value(store->safe_entries()).empty());
    CHECK_FALSE(store->safe_entry("run.1"));
    CHECK_FALSE(store->safe_entry(""));
}

TEST_CASE("what a run needed while it went is given back to the disk, and a receipt is small",
          "[keep][room]") {
    const TempFolder temp;
    constexpr std::uint64_t count = 20'000;
    const auto store = value(Store::open(temp.path("state")));
    const auto empty = room_of(temp);
    ReceiptHead head = head_of("run");
    REQUIRE(begin(*store, head, count));
    RunRecords records;
    for (std::uint64_t number = 0; number < count; ++number) {
        ReceiptItem item = item_of(number, Outcome::created, number);
        item.source = "/home/office/Inbox/Harbour desk/folder " + std::to_string(number / 1000) + "/permit-" +
                      std::to_string(number) + ".pdf";
        item.target = "/mnt/archive/2031/Permits/folder " + std::to_string(number / 1000) + "/permit-" +
                      std::to_string(number) + ".pdf";
        item.after = {64'768, 1'000'000 + number * 17, number,
                      1'900'000'000'000'000'000 + static_cast<std::int64_t>(number * 7'654'321)};
        item.after_status_changed_ns = item.after.modified_ns + 12'345'678;
        records.items.emplace_back(number, std::move(item));
        if (records.items.size() < 512 && number + 1 < count) continue;
        REQUIRE(store->record(head.id, records));
        records = {};
    }
    const auto while_it_goes = room_of(temp);
    head.state = RunState::done;
    REQUIRE(store->finish(head));
    const auto kept = room_of(temp) - empty;
    CHECK(kept < count * 100);  // a row for each took 350 bytes
    CHECK(room_of(temp) < while_it_goes);
    head.finished_ns = 1;
    CHECK(value(store->forget_receipts(now_ns())) == 1);
    CHECK(room_of(temp) < empty + kept / 10);
}

TEST_CASE("moments are written as UTC, whichever they are", "[kept]") {
    CHECK(utc_text(0) == "1970-01-01T00:00:00.000000000Z");
    CHECK(utc_text(-1) == "1969-12-31T23:59:59.999999999Z");
    CHECK(utc_text(1'930'471'447'000'000'005) == "2031-03-05T10:04:07.000000005Z");
    CHECK(utc_text(951'782'400'000'000'000) == "2000-02-29T00:00:00.000000000Z");
    CHECK(utc_text(INT64_MAX) == "2262-04-11T23:47:16.854775807Z");
    CHECK(utc_text(INT64_MIN) == "1677-09-21T00:12:43.145224192Z");
    CHECK(rc::check("as the C library has it", [](std::int64_t ns) {
        constexpr std::int64_t second = 1'000'000'000;
        const auto at = static_cast<std::time_t>((ns - ((ns % second) + second) % second) / second);
        std::tm parts{};
        RC_PRE(ns > INT64_MIN + second);
        ::gmtime_r(&at, &parts);
        char text[32];
        std::strftime(text, sizeof text, "%Y-%m-%dT%H:%M:%S", &parts);
        RC_ASSERT(utc_text(ns).substr(0, 19) == text);
    }));
}
