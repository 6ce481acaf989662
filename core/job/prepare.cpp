// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/prepare.h"

#include <fmt/format.h>

#include <algorithm>
#include <set>
#include <utility>

#include "batch/keep_way.h"
#include "facts/learn.h"
#include "files/ahead.h"
#include "files/contents.h"
#include "files/parallel.h"
#include "files/path.h"
#include "job/choosing.h"
#include "job/elsewhere.h"
#include "job/making.h"
#include "job/naming.h"
#include "job/packing.h"
#include "job/refusals.h"
#include "job/removal.h"
#include "job/sorting.h"
#include "keep/store.h"

namespace tavlo {

namespace {

// below this, reading both costs less than asking where they lie
constexpr std::uint64_t worth_a_map = 1024 * 1024;
constexpr std::size_t recalled_at_a_time = 131072;
constexpr std::size_t remembered_at_a_time = 16384;

// where inodes do not last, nothing tells that a file is still as it was when it was compared
bool can_be_remembered(const Pair& pair) { return pair.incoming.inodes_last() && pair.held.inodes_last(); }

/// What is remembered of the files that will meet others of their size. Asked for before it is planned: so
/// where most was compared before, one plan is all that there is to make.
void recall_pairs(const Outlook& seen, KnownContents& known, ContentsMemory* memory) {
    if (memory == nullptr) return;
    const FolderTree& folders = seen.layout->as_it_stands();
    std::vector<Pair> pairs;
    FolderId at = no_folder;
    const HeldFolder* there = nullptr;
    std::size_t near = 0;
    for (const Arrival& arrival : seen.layout->arrivals) {
        const FileState& incoming = seen.batch->entries[arrival.entry].status;
        if (incoming.type != FileType::file || incoming.id.size_bytes == 0) continue;
        if (arrival.folder != std::exchange(at, arrival.folder)) {
            there = seen.survey->folder(folders, at);
            near = 0;
        }
        const Held* held =
            there == nullptr ? nullptr : there->find(seen.layout->name(*seen.batch, arrival), near);
        if (held == nullptr || held->status.type != FileType::file ||
            held->status.id.size_bytes != incoming.id.size_bytes || held->status.id.same_thing(incoming.id))
            continue;
        const Pair pair = pair_of(incoming, held->status);
        if (!can_be_remembered(pair) || known.same(pair)) continue;
        if (pairs.empty() && known.is_empty())
            if (const auto all = memory->recall_all(known, seen.layout->arrivals.size()); all && *all) return;
        pairs.push_back(pair);
    }
    if (!pairs.empty()) (void)memory->recall(pairs, known);  // what cannot be recalled is read again
}

/// All that is remembered, read while a destination is looked at: where nothing is known yet, and it is not much
/// for so many as may meet others there. Of very many the thread that it is read by would keep memory of its own.
class RecalledAhead {
public:
    RecalledAhead(ContentsMemory* memory, KnownContents& known, std::size_t arrivals) {
        constexpr std::size_t that_may_meet_none = 4;
        constexpr std::size_t most = 65536;
        if (memory == nullptr || !known.is_empty()) return;
        recalled_ =
            thread_.ask<bool>([memory, &known, pairs = std::min(arrivals / that_may_meet_none, most)] {
                return memory->recall_all(known, pairs).value_or(false);
            });
    }
    ~RecalledAhead() {
        if (recalled_) recalled_->drop();
    }
    RecalledAhead(const RecalledAhead&) = delete;
    RecalledAhead& operator=(const RecalledAhead&) = delete;
    /// returns  whether all of it is known by now
    bool wait() const { return recalled_ && recalled_->take(); }

private:
    std::shared_ptr<Ahead<bool>> recalled_;
    AheadThreads thread_{useful_threads() - 1 > 0 ? 1U : 0U};
};

}  // namespace

Outlook plan_again(const Asked& asked, const Outlook& before, const KnownContents& known) {
    if (asked.job.operation == Operation::pack) return pack_again(asked, before);
    Outlook outlook = before;
    auto plan = std::make_shared<const Plan>(
        make_plan(wishes_of(asked), before.batch, *before.layout, *before.survey, known));
    outlook.refusals.clear();
    outlook.plan = plan;
    if (before.layout->standing) {
        outlook.refusals = before.refusals;  // they hang on the places alone
        return outlook;
    }
    refuse_into_itself(*plan, asked.job.structure, *before.destination, outlook.refusals);
    keep_outermost(outlook.refusals);
    refuse_onto_itself(*plan, outlook.refusals);
    refuse_leaving_sources(*plan, *before.destination, asked.job.clearing, outlook.refusals);
    refuse_without_room(*plan, *before.destination, outlook.refusals);
    return outlook;
}

Result<Outlook> look_ahead(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch,
                           KnownContents& known, ContentsMemory* memory, std::stop_token stop) {
    if (asked.job.operation == Operation::rename) {
        auto given = give_names(asked, *batch, now_ns());
        if (!given) return failure(given.error());
        auto seen =
            look_ahead_in_place(disk, wishes_of(asked), std::move(batch), given->wanted, known, memory, stop);
        if (seen) seen->misses = std::move(given->misses);
        return seen;
    }
    if (asked.job.operation == Operation::pack)
        return look_at_packing(disk, asked, std::move(batch), std::move(stop));
    if (asked.job.operation == Operation::remove)
        return look_at_removal(disk, asked, std::move(batch), known);
    if (asked.job.operation == Operation::make)
        batch = std::make_shared<const Batch>(folders_to_make(asked.job));
    auto looked = look_at_destination(disk, asked.job.into);
    if (!looked) return failure(looked.error());
    if (!asked.job.structure.kept_from.empty() && !asked.job.structure.flatten) {
        auto kept = keep_way(disk, *batch, asked.job.structure.kept_from);
        if (!kept) return failure(kept.error());
        batch = std::make_shared<const Batch>(std::move(*kept));
    }
    Outlook seen;
    const bool gives_names = !asked.job.naming.empty() || !asked.typed.empty();
    auto given = gives_names ? give_names(asked, *batch, now_ns()) : Result<NamesGiven>(NamesGiven{});
    if (!given) return failure(given.error());
    seen.misses = std::move(given->misses);
    const bool folds_case = looked->volume.folds_case;
    if (asked.job.structure.sort_into.empty()) {
        seen.layout = std::make_shared<const Layout>(
            lay_out(*batch, asked.job.into, asked.job.structure, folds_case, given->wanted));
    } else {
        auto sorted = sort_by_facts(asked, *batch, now_ns(), folds_case);
        if (!sorted) return failure(sorted.error());
        seen.layout = std::make_shared<const Layout>(lay_out_sorted(*sorted, asked.job.into, given->wanted));
        batch = std::make_shared<const Batch>(std::move(sorted->batch));
    }
    const RecalledAhead recalled(looked->exists ? memory : nullptr, known, seen.layout->arrivals.size());
    std::vector<Destination> roots;
    roots.push_back(std::move(*looked));
    auto surveyed = survey(disk, std::move(roots), seen.layout->targets, stop);
    const bool all_recalled = recalled.wait();
    if (!surveyed) return failure(surveyed.error());
    seen.batch = std::move(batch);
    seen.survey = std::make_shared<const Survey>(std::move(*surveyed));
    seen.destination = {seen.survey, &seen.survey->roots.front()};
    if (!all_recalled) recall_pairs(seen, known, memory);
    return plan_again(asked, seen, known);
}

Result<Survey> survey_in_place(FileSystem& disk, const Batch& batch, const Layout& layout,
                               std::stop_token stop) {
    std::vector<Destination> roots;
    const FolderTree& folders = batch.folders;
    for (FolderId id = 0; id < folders.size(); ++id) {
        if (folders.parent(id) != no_folder) continue;
        auto looked = look_at_destination(disk, folders.name(id));
        if (!looked) return failure(looked.error());
        roots.push_back(std::move(*looked));
    }
    std::vector<bool> matters(folders.size());
    for (const Arrival& arrival : layout.arrivals) matters[arrival.folder] = true;
    return survey(disk, std::move(roots), layout.as_it_stands(), std::move(stop), matters);
}

bool differs_in_names_alone(const Job& one, const Job& other) {
    return one.operation == Operation::rename && other.operation == Operation::rename &&
           one.what == other.what && one.structure == other.structure;
}

Result<Outlook> name_again(const Asked& asked, const Outlook& before, const KnownContents& known) {
    auto given = give_names(asked, *before.batch, now_ns());
    if (!given) return failure(given.error());
    Outlook seen = before;
    seen.misses = std::move(given->misses);
    seen.layout = std::make_shared<const Layout>(lay_out_in_place(*before.batch, given->wanted));
    seen.plan = std::make_shared<const Plan>(
        make_plan(wishes_of(asked), before.batch, *seen.layout, *before.survey, known));
    return seen;
}

Result<Outlook> look_ahead_in_place(FileSystem& disk, const Wishes& wishes,
                                    std::shared_ptr<const Batch> batch, const WantedName& wanted,
                                    KnownContents& known, ContentsMemory* memory, std::stop_token stop) {
    Outlook seen;
    seen.layout = std::make_shared<const Layout>(lay_out_in_place(*batch, wanted));
    auto surveyed = survey_in_place(disk, *batch, *seen.layout, stop);
    if (!surveyed) return failure(surveyed.error());
    seen.batch = std::move(batch);
    seen.survey = std::make_shared<const Survey>(std::move(*surveyed));
    seen.destination = {seen.survey, &seen.survey->roots.front()};
    recall_pairs(seen, known, memory);
    seen.plan =
        std::make_shared<const Plan>(make_plan(wishes, seen.batch, *seen.layout, *seen.survey, known));
    return seen;
}

namespace {

/// Reads the two of a pair.
class PairReader {
public:
    PairReader(FileSystem& disk, const Plan& plan, std::stop_token stop)
        : disk_(disk),
          plan_(plan),
          stop_(std::move(stop)),
          sources_(disk, plan.batch->folders),
          targets_(disk, plan.standing ? *plan.standing : plan.targets) {}

    Result<bool> same(const Item& item) {
        const Place place = plan_.batch->place_of(plan_.entry(item));
        const auto from = sources_.open(place.folder);
        if (!from) return failure(from.error());
        const auto into = targets_.open(item.folder);
        if (!into) return failure(into.error());
        const auto a = disk_.open_file(**from, place.name);
        if (!a) return failure(a.error());
        const auto b = disk_.open_file(**into, plan_.name(item));
        if (!b) return failure(b.error());
        const bool large =
            a->status.id.size_bytes >= worth_a_map && a->status.id.device == b->status.id.device;
        if (large && a->status.id.size_bytes == b->status.id.size_bytes &&
            disk_.share_all_blocks(a->file, b->file))
            return true;
        return same_bytes(disk_, a->file, b->file, Meter{stop_, {}});
    }

private:
    FileSystem& disk_;
    const Plan& plan_;
    std::stop_token stop_;
    FolderHandles sources_;
    FolderHandles targets_;
};

/// Those of one date before others, and small ones before large ones, so that much is known soon.
std::vector<ItemId> most_promising_first(const Plan& plan) {
    constexpr std::uint64_t of_other_date = std::uint64_t{1} << 63;
    std::vector<std::pair<std::uint64_t, ItemId>> ranked;
    ranked.reserve(plan.not_compared.size());
    for (const ItemId id : plan.not_compared) {
        const Pair pair = plan.pair(plan.items[id]);
        const bool same_date = pair.incoming.modified_ns == pair.held.modified_ns;
        ranked.emplace_back(pair.incoming.size_bytes | (same_date ? 0 : of_other_date), id);
    }
    std::sort(ranked.begin(), ranked.end());
    std::vector<ItemId> items;
    items.reserve(ranked.size());
    for (const auto& [rank, id] : ranked) items.push_back(id);
    return items;
}

}  // namespace

Result<void> compare_pairs(FileSystem& disk, const Plan& plan, KnownContents& known, ContentsMemory* memory,
                           std::stop_token stop, const std::function<void(std::size_t)>& compared) {
    const std::vector<ItemId> items = most_promising_first(plan);
    PairReader reader(disk, plan, stop);
    std::vector<std::pair<Pair, bool>> found;
    const auto remember = [&] {  // a help for next time, no more
        if (memory != nullptr && !found.empty()) (void)memory->remember(found);
        found.clear();
    };
    for (std::size_t at = 0; at < items.size(); ++at) {
        if (memory != nullptr && at % recalled_at_a_time == 0) {
            std::vector<Pair> some;
            for (std::size_t next = at; next < std::min(at + recalled_at_a_time, items.size()); ++next)
                if (const Pair pair = plan.pair(plan.items[items[next]]); can_be_remembered(pair))
                    some.push_back(pair);
            (void)memory->recall(some, known);  // what cannot be recalled is read again
        }
        const Item& item = plan.items[items[at]];
        const Pair pair = plan.pair(item);
        if (!known.same(pair)) {
            const auto answer = reader.same(item);
            if (answer) {
                known.learn(pair, *answer);
                if (can_be_remembered(pair)) found.emplace_back(pair, *answer);
            } else if (answer.error().fault == Fault::cancelled) {
                remember();
                return failure(answer.error());
            } else {
                known.learn_problem(pair, answer.error());
            }
        }
        if (compared) compared(at + 1);
        if (found.size() == remembered_at_a_time) remember();
    }
    remember();
    return {};
}

Result<Outlook> prepare(FileSystem& disk, Asked asked, std::shared_ptr<const Batch> batch, Store* memory,
                        std::stop_token stop, const PrepareEvents& events) {
    if (needs_file_facts(asked.job)) {
        auto told =
            asked.facts ? std::make_shared<KnownFileFacts>(*asked.facts) : std::make_shared<KnownFileFacts>();
        if (auto learnt = learn_facts(disk, *batch, files_of(*batch), *told, memory, stop, events.told);
            !learnt)
            return failure(learnt.error());
        asked.facts = std::move(told);
    }
    KnownContents known;
    auto outlook = look_ahead(disk, asked, std::move(batch), known, memory, stop);
    if (!outlook || !outlook->refusals.empty()) return outlook;
    if (asked.job.look_elsewhere && outlook->destination->exists) {
        auto found = find_elsewhere(disk, *outlook->batch, asked.job.into, known, memory, stop, events.read);
        if (!found) return failure(found.error());
        outlook = plan_again(asked, *outlook, known);
    }
    if (outlook->plan->not_compared.empty()) return outlook;
    const auto each = [&, of = outlook->plan->not_compared.size()](std::size_t done) {
        if (events.compared) events.compared(done, of);
    };
    if (auto all = compare_pairs(disk, *outlook->plan, known, memory, stop, each); !all)
        return failure(all.error());
    outlook->plan.reset();  // a plan of a million is not held twice
    return plan_again(asked, *outlook, known);
}

Result<Outlook> prepare(FileSystem& disk, Asked asked, Store* memory, std::stop_token stop,
                        const PrepareEvents& events) {
    auto chosen = gather_chosen(disk, asked.job, now_ns(), {.stop = stop, .on_progress = events.counted},
                                memory, events.told);
    if (!chosen) return failure(chosen.error());
    if (events.gathered) events.gathered();
    if (!asked.facts) asked.facts = std::move(chosen->facts);
    auto outlook = prepare(disk, std::move(asked), std::make_shared<const Batch>(std::move(chosen->batch)),
                           memory, stop, events);
    if (outlook)
        outlook->misses.insert(outlook->misses.begin(), chosen->misses.begin(), chosen->misses.end());
    return outlook;
}

}  // namespace tavlo
