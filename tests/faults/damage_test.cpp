// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <SQLiteCpp/SQLiteCpp.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <random>
#include <sstream>

#include "files/path.h"
#include "keep/documents.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/every_call.h"
#include "support/jobs.h"
#include "support/older_state.h"
#include "support/rounds.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Receipts and journals that are damaged, or newer, and names of any bytes. TAVLO_FUZZ says how many of each
// (200).

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

std::string bytes_of(const std::string& path) {
    std::ifstream in(path, std::ios::binary);
    std::ostringstream out;
    out << in.rdbuf();
    return out.str();
}

/// A state folder with a run that came to its end and one that was interrupted; copied where `state` says.
void make_state(const TempFolder& temp, const std::string& state) {
    class Dies final : public EveryCall {
        std::optional<Error> before_call() override {
            if (++calls_ > 40) throw std::runtime_error("the process ends here");
            return std::nullopt;
        }
        int calls_ = 0;
    };
    for (int i = 0; i < 20; ++i) temp.write("from/box/" + std::to_string(i), "incoming " + std::to_string(i));
    for (int i = 0; i < 20; i += 2)
        temp.write("to/box/" + std::to_string(i), "held, longer " + std::to_string(i));
    const auto disk = make_disk();
    const auto store = value(Store::open(state));
    const auto job = with(copy({temp.path("from/box")}, temp.path("to")), Decision::overwrite);
    REQUIRE(carry_out(*disk, *store, *value(prepare(*disk, job)).plan, {}));
    Dies dies;
    RunOptions options;
    options.threads = 1;
    const auto again = with(move({temp.path("from/box")}, temp.path("to")), Decision::rename);
    CHECK_THROWS(carry_out(dies, *store, *value(prepare(*disk, again)).plan, options));
}

/// Reads everything that a store has to say. Whatever comes, it comes as values or as errors.
void read_all(const std::string& state) {
    const auto store = Store::open(state);
    if (!store) return;
    for (const auto& heads : {(*store)->receipts(), (*store)->unfinished()}) {
        if (!heads) continue;
        for (const ReceiptHead& head : *heads) {
            std::ostringstream document;
            (void)write_receipt(document, head, **store);
            (void)(*store)->pending(head.id);
            (void)(*store)->intents(head.id);
            (void)(*store)->folders(head.id);
            (void)prepare_undo(*make_disk(), **store, head.id);
        }
    }
    (void)(*store)->safe_entries();
}

}  // namespace

TEST_CASE("a damaged state folder is an error that names it, never a crash, and nothing is touched by it",
          "[fault][damage]") {
    TempFolder temp("/dev/shm");
    make_state(temp, temp.path("state"));
    {
        SQLite::Database whole(temp.path("state/tavlo.sqlite"), SQLite::OPEN_READWRITE);
        whole.exec("pragma wal_checkpoint(truncate)");
    }
    const std::string good = bytes_of(temp.path("state/tavlo.sqlite"));
    REQUIRE(good.size() > 10'000);
    const Tree before = tree_of(temp.path("to"));
    const unsigned seed = std::random_device{}();
    CAPTURE(seed);
    std::mt19937_64 random(seed);
    const auto below = [&](std::size_t most) { return static_cast<std::size_t>(random() % most); };
    for (int round = 0; round < rounds("TAVLO_FUZZ", 200); ++round) {
        std::string bad = good;
        if (round % 10 == 0) {
            bad.resize(below(bad.size()));
        } else {
            for (std::size_t hits = 1 + below(20); hits > 0; --hits)
                bad[below(bad.size())] = static_cast<char>(random());
        }
        fs::remove_all(temp.path("bad"));
        temp.write("bad/tavlo.sqlite", bad);
        read_all(temp.path("bad"));
    }
    CHECK(tree_of(temp.path("to")) == before);
    (void)recover(*make_disk(), *value(Store::open(temp.path("state"))));
}

TEST_CASE("a damaged journal is not believed, and a newer one is left alone", "[fault][damage]") {
    TempFolder temp("/dev/shm");
    make_state(temp, temp.path("state"));
    const auto change = [&](const std::string& statement) {
        SQLite::Database database(temp.path("state/tavlo.sqlite"), SQLite::OPEN_READWRITE);
        database.exec(statement);
    };
    const auto names_the_state = [&](const Error& error) {
        return error.fault == Fault::corrupt && describe(error).find(temp.path("state")) != std::string::npos;
    };
    const auto disk = make_disk();
    change("update pending set items = substr(items, 1, length(items) - 3) || x'000000'");
    {
        const auto store = value(Store::open(temp.path("state")));
        const Tree before = tree_of(temp.path("to"));
        const Recovered recovered = value(recover(*disk, *store));
        CHECK(recovered.completed.empty());
        REQUIRE(recovered.problems.size() == 1);
        CHECK(names_the_state(recovered.problems[0]));
        CHECK(tree_of(temp.path("to")) == before);
    }
    change("pragma user_version = 99");
    const auto newer = Store::open(temp.path("state"));
    REQUIRE_FALSE(newer);
    CHECK(names_the_state(newer.error()));
    CHECK(describe(newer.error()).find("newer version") != std::string::npos);
}

TEST_CASE("names of any bytes are copied, said in the documents byte for byte, and undone",
          "[fault][names]") {
    const unsigned seed = std::random_device{}();
    CAPTURE(seed);
    std::mt19937_64 random(seed);
    TempFolder temp("/dev/shm");
    temp.folder("from");
    for (int i = 0; i < rounds("TAVLO_FUZZ", 200); ++i) {
        std::string name;
        for (std::size_t length = 1 + random() % (i % 20 == 0 ? 255 : 12); name.size() < length;) {
            const char byte = static_cast<char>(random());
            if (byte != '/' && byte != '\0') name += byte;
        }
        if (name != "." && name != "..") temp.write("from/" + name, name);
    }
    Jobs jobs(temp.path("state"));
    const Tree from = tree_of(temp.path("from"));
    const Ran ran = jobs.run(copy({temp.path("from")}, temp.path("to")));
    CHECK(tree_of(temp.path("to/from")) == from);
    CHECK(ran.of(Outcome::created) == from.size() + 1);
    std::ostringstream text;
    REQUIRE(write_receipt(text, ran.head, *jobs.store));
    const auto document = nlohmann::json::parse(text.str());
    REQUIRE(document["items"].size() == ran.items.size());
    for (std::size_t i = 0; i < ran.items.size(); ++i) {
        const auto& item = document["items"][i];
        CHECK(item["source"].get<std::string>() == to_utf8(ran.items[i].source));
        CHECK(item.contains("source_bytes") == !is_utf8(ran.items[i].source));
    }
    jobs.undo(ran.head.id);
    CHECK_FALSE(temp.has("to/from"));
}

TEST_CASE(
    "the state of an older version is taken over: receipts, the Safe, and from schema 3 on what it left "
    "interrupted",
    "[damage][older]") {
    const int schema = GENERATE(2, 3, 4, 5, 6);
    const bool interrupted = GENERATE(false, true);
    TempFolder temp;
    const std::string state = temp.path("state");
    CAPTURE(schema, interrupted);
    if (interrupted) {
        make_state(temp, state);
    } else {
        temp.write("from/box/1", "incoming");
        temp.write("to/box/1", "held, longer");
        temp.write("from/box/roster", "incoming");
        temp.write("to/box/roster/of 2031", "a folder that makes room");
        Asked asked = with(copy({temp.path("from/box")}, temp.path("to")), Decision::overwrite);
        const auto first = value(prepare(*make_disk(), asked)).plan;
        for (const ItemId id : first->colliding)
            if (first->name(first->items[id]) == "roster")
                asked.decisions.add(first->source_path(first->items[id]),
                                    {first->pair(first->items[id]), Decision::rename, {}, {}, true});
        const auto plan = value(prepare(*make_disk(), asked)).plan;
        REQUIRE(carry_out(*make_disk(), *value(Store::open(state)), *plan, {}));
        REQUIRE(temp.has("to/box/roster-2/of 2031"));
    }
    const auto before = [&] {
        const auto store = value(Store::open(state));
        return std::pair(value(store->receipts()), value(store->safe_entries()));
    }();
    make_older(state, schema);
    auto store = Store::open(state);
    if (interrupted && schema == 2) {
        REQUIRE_FALSE(store);
        CHECK(describe(store.error()).find("older version of Tavlo") != std::string::npos);
        return;
    }
    REQUIRE(store);
    const auto disk = make_disk();
    const auto recovered = value(recover(*disk, **store));
    CHECK(recovered.problems.empty());
    CHECK(recovered.completed.size() == (interrupted ? 1 : 0));
    if (interrupted) {
        CHECK(recovered.completed.front().totals.of(Outcome::failed) == 0);
        CHECK(recovered.completed.front().totals.of(Outcome::renamed) == 20);
    }
    // the versions that were set aside are found, and come back with the undo of what had displaced them
    const auto now = value((*store)->safe_entries());
    REQUIRE(now.size() == before.second.size());
    for (std::size_t at = 0; at < now.size(); ++at) {
        CHECK(now[at].id == before.second[at].id);
        CHECK(now[at].original == before.second[at].original);
        CHECK(now[at].stored == before.second[at].stored);
        CHECK(now[at].identity == before.second[at].identity);
    }
    for (const ReceiptHead& head : value((*store)->receipts())) {
        const Plan plan = value(prepare_undo(*disk, **store, head.id));
        const ReceiptHead undone = value(carry_out(*disk, **store, plan, {}));
        CHECK(undone.totals.of(Outcome::failed) + undone.totals.of(Outcome::undecided) == 0);
    }
    for (int i = 0; i < 20 && interrupted; ++i)
        CHECK(temp.read("from/box/" + std::to_string(i)) == "incoming " + std::to_string(i));
    CHECK(temp.read(interrupted ? "to/box/2" : "to/box/1").starts_with("held, longer"));
    if (!interrupted) CHECK(temp.read("to/box/roster/of 2031") == "a folder that makes room");
    (void)empty_safe(*disk, **store);
}
