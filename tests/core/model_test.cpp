// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>

#include <algorithm>
#include <filesystem>
#include <map>
#include <optional>

#include "files/path.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/loop.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Random trees, batches and rules against a model of a few lines: what holds whatever comes. RapidCheck makes
// a failure small.

using namespace tavlo;

namespace {

struct Situation {
    std::map<std::string, std::string> from;  ///< contents by path below a source folder
    std::map<std::string, std::string> to;    ///< contents by path below the destination
    bool moves = false;
    Decision decision = Decision::undecided;
    Structure structure{};
    bool keeps_way = false;  ///< the folder `from` of the sources
    Clearing clearing = Clearing::none;
    std::vector<std::uint64_t> undone_first{};  ///< items that are undone before the others, counted round
    bool across = false;                        ///< the destination lies on another file system
    bool comes_back = false;  ///< that goes after the run, and comes back under another number
    bool mounted = false;     ///< a third one is mounted at the folder `a` of the destination
};

std::ostream& operator<<(std::ostream& out, const Situation& s) {
    out << (s.moves ? "move" : "copy") << ' ' << to_text(s.decision)
        << (s.structure.contents ? " contents" : "") << (s.structure.flatten ? " flat" : "") << " subfolders "
        << static_cast<int>(s.structure.subfolders) << (s.keeps_way ? " keeping the way" : "") << " clearing "
        << static_cast<int>(s.clearing);
    out << (s.across ? " across" : "") << (s.comes_back ? ", comes back under another number" : "")
        << (s.mounted ? " with a mount in the destination" : "");
    for (const auto part : s.undone_first) out << " undone first " << part;
    out << '\n';
    for (const auto& [path, bytes] : s.from) out << "  from " << path << " = " << bytes << '\n';
    for (const auto& [path, bytes] : s.to) out << "  to " << path << " = " << bytes << '\n';
    return out;
}

/// Few names, so that they meet; a name may be a file here and a folder there.
rc::Gen<std::map<std::string, std::string>> trees(const std::vector<std::string>& tops) {
    const auto path = rc::gen::apply(
        [](const std::string& top, const std::vector<std::string>& below) {
            std::string out = top;
            for (const auto& name : below) out += "/" + name;
            return out;
        },
        rc::gen::elementOf(tops),
        rc::gen::resize(2, rc::gen::nonEmpty(rc::gen::container<std::vector<std::string>>(
                               rc::gen::element<std::string>("a", "b", "c.txt")))));
    return rc::gen::container<std::map<std::string, std::string>>(
        path, rc::gen::element<std::string>("", "one", "two", "three!"));
}

/// Writes what can stand together: a path below a file is left out.
void write(const TempFolder& temp, const std::string& top, const std::map<std::string, std::string>& files) {
    temp.folder(top);
    for (const auto& [below, bytes] : files) {
        bool fits = !std::filesystem::is_directory(temp.path(top + "/" + below));
        for (std::string above(parent_of(below)); !above.empty(); above = std::string(parent_of(above)))
            fits = fits && !std::filesystem::is_regular_file(temp.path(top + "/" + above));
        if (fits) temp.write(top + "/" + below, bytes);
    }
}

void check(const Situation& situation) {
    TempFolder temp("/dev/shm");
    std::optional<DiskThatComesBack> disk;
    if (situation.across && situation.comes_back) disk.emplace(temp.path(), temp.path("to"));
    if (disk && !disk->mounted) disk.reset();  // it may not be mounted here
    const Mount second = situation.across && !disk ? Mount::memory(temp.path("to")) : Mount();
    write(temp, "from", situation.from);
    const bool mountable = situation.mounted && situation.clearing == Clearing::none;
    const Mount third = mountable ? Mount::memory(temp.path("to/a")) : Mount();
    write(temp, "to", situation.to);
    Jobs jobs(temp.path("state"));
    Job job;
    job.operation = situation.moves ? Operation::move : Operation::copy;
    for (const char* top : {"one", "two"})
        if (temp.has(std::string("from/") + top))
            job.what.sources.push_back(temp.path(std::string("from/") + top));
    RC_PRE(!job.what.sources.empty());
    job.into = temp.path("to");
    job.structure = situation.structure;
    if (situation.keeps_way) job.structure.kept_from = temp.path();
    job.policy.otherwise = situation.decision;
    job.clearing = situation.clearing;
    const TreeOptions names_and_bytes{.folder_times = false, .hard_links = true};
    const Tree from = tree_of(temp.path("from"), names_and_bytes);
    const Tree to = tree_of(temp.path("to"), names_and_bytes);

    KnownContents known;
    auto batch = std::make_shared<const Batch>(value(gather(*jobs.disk, job.what.sources)));
    const Outlook seen = value(look_ahead(*jobs.disk, job, std::move(batch), known));
    RC_ASSERT(compare_pairs(*jobs.disk, *seen.plan, known, nullptr).has_value());
    const Outlook outlook = plan_again(job, seen, known);
    if (outlook.plan->items.size() == outlook.plan->leaving.size() && situation.clearing != Clearing::none) {
        RC_ASSERT(!outlook.refusals.empty());  // nothing arrives: that would only empty the destination
        return;
    }
    RC_ASSERT(outlook.refusals.empty());
    // what other rules would come to is foretold as they then come
    for (const auto decision : {Decision::undecided, Decision::skip, Decision::overwrite, Decision::rename}) {
        Job other = job;
        other.policy.otherwise = decision;
        const auto foretold = outcomes_by(*outlook.plan, wishes_of(job), wishes_of(other));
        if (!foretold) continue;
        const Outlook then = plan_again(other, outlook, known);
        RC_ASSERT(then.plan->colliding == outlook.plan->colliding);
        for (std::size_t at = 0; at < foretold->size(); ++at)
            RC_ASSERT(then.plan->items[then.plan->colliding[at]].outcome == (*foretold)[at]);
    }
    // the plan never gives one name to two, and what it says comes true
    std::map<std::string, int> names;
    for (const Item& item : outlook.plan->items)
        if (item.outcome == Outcome::created || item.outcome == Outcome::renamed)
            ++names[outlook.plan->final_path(item)];
    for (const auto& [name, count] : names) RC_ASSERT(count == 1);
    const Ran ran = jobs.carry_out(*outlook.plan);
    if (situation.clearing == Clearing::all)  // nothing stands but what has arrived
        for (const auto& [path, what] : tree_of(temp.path("to"), names_and_bytes))
            RC_ASSERT(std::any_of(ran.items.begin(), ran.items.end(), [&](const ReceiptItem& item) {
                return (arrives(item.result) || item.result == Outcome::merged) &&
                       item.place() == temp.path("to/" + path);
            }));
    for (std::size_t outcome = 0; outcome < outcome_count; ++outcome)
        RC_ASSERT(ran.head.totals.by_outcome[outcome] == outlook.plan->totals.by_outcome[outcome]);
    // (a folder that a twin had replaced took with it what had arrived in it)
    const bool twins_replaced = std::any_of(ran.items.begin(), ran.items.end(), [](const ReceiptItem& item) {
        return item.collision && item.collision->finding == Finding::twin &&
               item.result == Outcome::overwritten;
    });
    for (const ReceiptItem& item : ran.items) {
        if (twins_replaced) break;
        const bool there = std::filesystem::exists(item.place());
        if (arrives(item.result) || item.result == Outcome::merged) RC_ASSERT(there);
        if (item.result == Outcome::removed && situation.clearing == Clearing::extra) RC_ASSERT(!there);
    }
    // undecided and skipped sources stay, and a copy leaves all of them
    if (!situation.moves) RC_ASSERT(tree_of(temp.path("from"), names_and_bytes) == from);
    for (const ReceiptItem& item : ran.items)
        if (item.result == Outcome::undecided || item.result == Outcome::skipped)
            RC_ASSERT(std::filesystem::exists(item.source));
    // and the undo brings everything back, be it in two parts, and from a disk that has another number by now
    if (disk && !mountable) RC_ASSERT(disk->come_back());
    if (!situation.undone_first.empty() && !ran.items.empty()) {
        std::vector<std::uint64_t> chosen;
        for (const auto part : situation.undone_first) chosen.push_back(part % ran.items.size());
        const Ran some = jobs.carry_out(value(prepare_undo(*jobs.disk, *jobs.store, ran.head.id, chosen)));
        RC_ASSERT(some.of(Outcome::failed) + some.of(Outcome::undecided) == 0U);
    }
    if (value(jobs.store->receipt(ran.head.id)).undone_by.empty()) {
        const Ran undone = jobs.undo(ran.head.id);
        RC_ASSERT(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0U);
    }
    RC_ASSERT(tree_of(temp.path("from"), names_and_bytes) == from);
    RC_ASSERT(tree_of(temp.path("to"), names_and_bytes) == to);
}

}  // namespace

TEST_CASE("whatever is copied or moved by whatever rule comes out as planned, and undo brings it all back",
          "[disk][model]") {
    const bool holds = rc::check("random situations", [] {
        Situation situation;
        situation.from = *trees({"one", "two"});
        situation.to = *rc::gen::oneOf(trees({"one", "two"}), trees({"a", "b", "one"}));
        situation.moves = *rc::gen::arbitrary<bool>();
        situation.decision =
            *rc::gen::element(Decision::undecided, Decision::skip, Decision::overwrite, Decision::rename);
        situation.keeps_way = *rc::gen::element(false, false, true);
        situation.clearing =
            *rc::gen::element(Clearing::none, Clearing::none, Clearing::extra, Clearing::all);
        if (*rc::gen::arbitrary<bool>())
            situation.undone_first = *rc::gen::container<std::vector<std::uint64_t>>(rc::gen::inRange(0, 64));
        situation.across = *rc::gen::element(false, false, true);
        situation.comes_back = *rc::gen::element(false, true);
        situation.mounted = *rc::gen::element(false, false, false, true);
        situation.structure.contents = *rc::gen::arbitrary<bool>();
        situation.structure.subfolders =
            *rc::gen::element(Subfolders::all, Subfolders::filled, Subfolders::none);
        situation.structure.flatten = *rc::gen::element(false, false, true);
        if (situation.structure.flatten) situation.structure.subfolders = Subfolders::all;
        RC_CLASSIFY(!situation.undone_first.empty(), "undone in two parts");
        RC_CLASSIFY(situation.across && situation.comes_back,
                    "on a disk that comes back under another number");
        RC_LOG() << situation;
        check(situation);
    });
    CHECK(holds);
}
