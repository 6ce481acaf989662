// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/decisions.h"

#include <rapidcheck.h>

#include <filesystem>
#include <map>
#include <set>

#include "files/path.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Decisions about single pairs: which hold, for which pair, and what a new name comes to.

using namespace tavlo;

namespace {

Asked with_single(Asked asked, const Plan& plan, const std::string& source, PairDecision decision) {
    for (const ItemId id : plan.colliding)
        if (plan.source_path(plan.items[id]) == source) {
            decision.pair = plan.pair(plan.items[id]);
            asked.decisions.add(source, decision);
            return asked;
        }
    FAIL("no collision for " << source);
    return asked;
}

}  // namespace

TEST_CASE(
    "of many strokes the last one about a path holds, for its own pair only, and a copy keeps what it had",
    "[decisions]") {
    const bool holds = rc::check("strokes", [] {
        Decisions decisions;
        std::map<std::string, PairDecision> model;
        const auto strokes = *rc::gen::container<std::vector<std::vector<int>>>(
            rc::gen::container<std::vector<int>>(rc::gen::inRange(0, 12)));
        std::uint64_t number = 0;
        for (const auto& paths : strokes) {
            const Decisions before = decisions;
            Decisions::Stroke stroke;
            for (const int path : paths) {
                PairDecision decision;
                decision.pair.incoming.inode = ++number;
                if (number % 5 == 0) decision.decision.reset();
                stroke.insert_or_assign(std::to_string(path), decision);
            }
            const auto model_before = model;
            for (const auto& [path, decision] : stroke) model.insert_or_assign(path, decision);
            const auto at_most = stroke.size() + number % 3;
            if (number % 2 == 0)
                decisions.add(std::move(stroke));
            else  // put together when it is asked for, once
                decisions.add(at_most, [stroke, asked = std::make_shared<int>()] {
                    RC_ASSERT(++*asked == 1);
                    return stroke;
                });
            if (*rc::gen::arbitrary<bool>()) continue;  // several may wait to be asked for
            for (const auto& [path, decision] : model_before) {
                const auto* found = before.find(path, decision.pair);
                RC_ASSERT((found != nullptr) == decision.decision.has_value());
            }
        }
        std::size_t standing = 0;
        for (const auto& [path, decision] : model) {
            const auto* found = decisions.find(path, decision.pair);
            RC_ASSERT((found != nullptr) == decision.decision.has_value());
            Pair other = decision.pair;
            other.held.inode = 99;
            RC_ASSERT(decisions.find(path, other) == nullptr);
            if (decision.decision) ++standing;
        }
        std::size_t each = 0;
        decisions.each([&](const std::string& path, const PairDecision& decision) {
            ++each;
            RC_ASSERT(model.at(path).pair == decision.pair);
        });
        RC_ASSERT(each == standing);
    });
    CHECK(holds);
}

TEST_CASE("the one that is there gets another name, and the incoming one its place, undo turns it round",
          "[disk][decisions]") {
    const bool moves = GENERATE(false, true);
    TempFolder temp;
    temp.write("from/report.pdf", "incoming");
    temp.write("from/box/inner", "a folder meets a file");
    temp.write("from/file", "a file meets a folder");
    temp.write("to/report.pdf", "held");
    temp.write("to/report-2.pdf", "taken too");
    temp.write("to/box", "a file");
    temp.write("to/file/inside", "a folder");
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    Jobs jobs(temp.path("state"));
    const std::vector<std::string> sources{temp.path("from/report.pdf"), temp.path("from/box"),
                                           temp.path("from/file")};
    Asked asked = moves ? move(sources, temp.path("to")) : copy(sources, temp.path("to"));
    const auto plan = value(prepare(*jobs.disk, asked)).plan;
    PairDecision make_way{{}, Decision::rename, {}, {}, true};
    asked = with_single(asked, *plan, temp.path("from/report.pdf"), make_way);
    asked = with_single(asked, *plan, temp.path("from/box"), make_way);
    make_way.name = "the old folder";
    asked = with_single(asked, *plan, temp.path("from/file"), make_way);
    const Ran ran = jobs.run(asked);
    CHECK(ran.of(Outcome::renamed) == 3);
    CHECK(ran.of(Outcome::created) == 4);
    CHECK(temp.read("to/report.pdf") == "incoming");
    CHECK(temp.read("to/report-3.pdf") == "held");
    CHECK(temp.read("to/box/inner") == "a folder meets a file");
    CHECK(temp.read("to/box-2") == "a file");
    CHECK(temp.read("to/file") == "a file meets a folder");
    CHECK(temp.read("to/the old folder/inside") == "a folder");
    const Tree after = tree_of(temp.path("to"), {.folder_times = false});
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::undecided) + undone.of(Outcome::failed) == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == before);
    const Ran again = jobs.undo(undone.head.id);
    CHECK(again.of(Outcome::undecided) + again.of(Outcome::failed) == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == after);
}

TEST_CASE("what is to make room and was changed meanwhile stays, and so does the incoming one",
          "[disk][decisions]") {
    TempFolder temp;
    temp.write("from/a", "incoming");
    temp.write("to/a", "held");
    Jobs jobs(temp.path("state"));
    Asked asked = copy({temp.path("from/a")}, temp.path("to"));
    asked = with_single(asked, *value(prepare(*jobs.disk, asked)).plan, temp.path("from/a"),
                        {{}, Decision::rename, {}, {}, true});
    const Ran ran = jobs.run_after(asked, [&] { temp.write("to/a", "held, and a day's work"); });
    CHECK(ran.of(Outcome::undecided) == 2);
    CHECK(temp.read("to/a") == "held, and a day's work");
    CHECK_FALSE(temp.has("to/a-2"));
}

TEST_CASE(
    "a name that was typed is taken as it is, counted up where somebody has it, made where it cannot be",
    "[disk][decisions]") {
    TempFolder temp;
    for (const char* name : {"a", "b", "c"}) {
        temp.write(std::string("from/") + name, "incoming");
        temp.write(std::string("to/") + name, "held");
    }
    temp.write("to/taken", "x");
    Jobs jobs(temp.path("state"));
    Asked asked = copy({temp.path("from/a"), temp.path("from/b"), temp.path("from/c")}, temp.path("to"));
    const auto plan = value(prepare(*jobs.disk, asked)).plan;
    for (const auto& [source, name] :
         {std::pair("from/a", "mine"), {"from/b", "taken"}, {"from/c", "../out"}})
        asked = with_single(asked, *plan, temp.path(source), {{}, Decision::rename, {}, name, false});
    jobs.run(asked);
    CHECK(temp.read("to/mine") == "incoming");
    CHECK(temp.read("to/taken-2") == "incoming");
    CHECK(temp.read("to/c-2") == "incoming");
    CHECK_FALSE(temp.has("out"));
}

TEST_CASE(
    "whatever is decided in whatever order, no name goes to two, and no decision to a pair it was not made "
    "for",
    "[disk][decisions]") {
    TempFolder temp("/dev/shm");
    std::vector<std::string> sources;
    for (const char* top : {"one", "two"})
        for (const char* name : {"a", "b", "b-2", "c/d", "e"}) {
            temp.write(std::string(top) + "/" + name, std::string(top) + name);
            if (std::string(name) != "c/d") sources.push_back(temp.path(std::string(top) + "/" + name));
        }
    sources.push_back(temp.path("one/c"));
    for (const char* name : {"a", "b", "c", "e/inside"}) temp.write(std::string("to/") + name, "held");
    const auto disk = make_disk();
    const auto batch = std::make_shared<const Batch>(value(gather(*disk, sources)));
    const bool holds = rc::check("sequences of decisions", [&] {
        Asked asked = copy(sources, temp.path("to"));
        KnownContents known;
        Outlook outlook = value(look_ahead(*disk, asked, batch, known));
        const auto turns = *rc::gen::inRange(1, 8);
        std::map<std::string, PairDecision> last;
        for (int turn = 0; turn < turns; ++turn) {
            Decisions::Stroke stroke;
            for (const ItemId id : outlook.plan->colliding) {
                if (*rc::gen::arbitrary<bool>()) continue;
                PairDecision decision;
                decision.pair = outlook.plan->pair(outlook.plan->items[id]);
                if (*rc::gen::inRange(0, 5) == 0)
                    decision.pair.held.size_bytes += 1;  // made for a pair that was another
                decision.decision = *rc::gen::element(Decision::undecided, Decision::skip,
                                                      Decision::overwrite, Decision::rename);
                decision.name = *rc::gen::element<std::string>("", "a", "b-2", "new");
                decision.renames_held = *rc::gen::arbitrary<bool>();
                stroke.insert_or_assign(outlook.plan->source_path(outlook.plan->items[id]), decision);
                last.insert_or_assign(outlook.plan->source_path(outlook.plan->items[id]), decision);
            }
            asked.decisions.add(std::move(stroke));
            outlook = plan_again(asked, outlook, known);
            std::set<std::string> names;
            std::set<std::string> making_room;
            for (const Item& item : outlook.plan->items) {
                if (item.role == Role::makes_room) making_room.insert(outlook.plan->source_path(item));
                const bool takes_name = item.outcome == Outcome::created || item.outcome == Outcome::renamed;
                if (takes_name) RC_ASSERT(names.insert(outlook.plan->final_path(item)).second);
                // a name that is taken is held by nothing, or by what makes room
                if (takes_name)
                    RC_ASSERT(!temp.has(outlook.plan->final_path(item).substr(temp.path().size() + 1)) ||
                              making_room.contains(outlook.plan->final_path(item)));
                if (!item.collision || item.collision->shared) continue;
                const auto decided = last.find(outlook.plan->source_path(item));
                const bool stands = decided != last.end() && decided->second.pair == outlook.plan->pair(item);
                RC_ASSERT(item.collision->by_hand == stands);
                RC_ASSERT(item.collision->decision ==
                          (stands ? *decided->second.decision : Decision::undecided));
            }
        }
    });
    CHECK(holds);
}
