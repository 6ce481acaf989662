// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/growing.h"

#include <algorithm>
#include <set>

#include "batch/gather.h"
#include "batch/part.h"
#include "files/path.h"
#include "keep/journal.h"
#include "recover/recover.h"
#include "run/new_run.h"

namespace tavlo {

namespace {

constexpr std::size_t first_part = 1000;  // entries; the next parts are as large as all before them together

/// One run while its batch grows: each part is planned by itself, with the folders that it comes in; what cannot
/// begin waits for the last one.
class Grower {
public:
    Grower(FileSystem& disk, Store& store, const Asked& asked, const RunOptions& options,
           const RunEvents& events)
        : disk_(disk),
          store_(store),
          asked_(asked),
          job_(asked.job),
          options_(options),
          events_(events),
          gathering_(disk, asked.job.what.sources, {.stop = options.stop}) {}

    Result<ReceiptHead> run(const std::function<void(const Counted&)>& counted) {
        for (bool all = false; !all;) {
            const auto from = static_cast<EntryId>(whole().entries.size());
            const auto read = gathering_.read_on(std::max<std::size_t>(first_part, from));
            if (!read)
                return began_ ? stop_counting(read.error()) : Result<ReceiptHead>(failure(read.error()));
            all = *read;
            for (EntryId id = from; id < whole().entries.size(); ++id) waiting_.push_back(id);
            if (auto planned = all ? plan_rest() : plan_part(from); !planned)
                return began_ ? stop_counting(planned.error())
                              : Result<ReceiptHead>(failure(planned.error()));
            if (all) bytes_waiting_ = 0;  // they are in this plan again
            const std::uint64_t bytes = bytes_noted_ + bytes_waiting_ + outlook_.plan->totals.bytes;
            if (counted) counted({whole().entries.size(), bytes, all});
            if (auto noted = note_part(all); !noted) return failure(noted.error());
            RunOptions part = options_;
            part.more_follows = !all;
            auto head = resume_held(disk_, store_, head_.id, part, events_);
            if (!head || all || options_.stop.stop_requested() || head->state == RunState::stopped)
                return head;
        }
        return failure(Fault::refused, "nothing was asked for", job_.into);
    }

    Batch counted() && { return std::move(gathering_).finish(); }

private:
    const Batch& whole() const { return gathering_.batch(); }

    /// Of what is new since the last part, against the destination as it is by now.
    Result<void> plan_part(EntryId from) {
        return plan({std::lower_bound(waiting_.begin(), waiting_.end(), from), waiting_.end()}, nullptr);
    }

    /// Of all that could not begin before everything is known.
    Result<void> plan_rest() {
        if (auto planned = plan(waiting_, &store_); !planned) return planned;
        if (outlook_.plan->not_compared.empty()) return {};
        if (auto compared = compare_pairs(disk_, *outlook_.plan, known_, &store_, options_.stop); !compared)
            return compared;
        outlook_ = plan_again(asked_, outlook_, known_);
        return {};
    }

    Result<void> plan(const std::vector<EntryId>& which, ContentsMemory* memory) {
        Part part = part_of(whole(), which);
        part_ = std::move(part.whole);
        auto outlook = look_ahead(disk_, asked_, std::make_shared<const Batch>(std::move(part.batch)), known_,
                                  memory, options_.stop);
        if (!outlook) return failure(outlook.error());
        outlook_ = std::move(*outlook);
        if (!began_ && !outlook_.refusals.empty()) return failure(outlook_.refusals.front());
        if (outlook_.destination->volume.folds_case)
            return failure(Fault::refused, "folds case, so everything is counted first", job_.into);
        return {};
    }

    std::uint64_t& number_of(const Item& item) { return numbers_[part_[item.entry]]; }

    /// What can begin: it collides with nothing, and so does the folder that it comes in.
    bool can_begin(const Item& item) {
        const bool plain = (item.outcome == Outcome::created || item.outcome == Outcome::merged) &&
                           !item.collision && !item.problem();
        return plain && (item.parent == no_item || number_of(outlook_.plan->items[item.parent]) != not_noted);
    }

    Result<void> note_part(bool last) {
        const Plan& plan = *outlook_.plan;
        numbers_.resize(whole().entries.size(), not_noted);
        std::vector<PendingItem> part;
        for (ItemId id = 0; id < plan.items.size(); ++id) {
            const Item& planned = plan.items[id];
            if (number_of(planned) != not_noted) continue;  // a folder of an earlier part
            PendingItem item = pending_item(plan, id);
            const bool begins = last || can_begin(planned);
            if (arrives(planned.outcome) && item.type == FileType::file)
                (begins ? bytes_noted_ : bytes_waiting_) += item.identity.size_bytes;
            if (!begins) continue;
            item.number = number_of(planned) = next_++;
            if (item.parent) item.parent = number_of(plan.items[planned.parent]);
            part.push_back(std::move(item));
        }
        std::erase_if(waiting_, [this](EntryId id) { return numbers_[id] != not_noted; });
        if (!began_)
            if (auto begun = begin(); !begun) return begun;
        return store_.extend(head_.id, part, last ? std::nullopt : std::optional(rest()));
    }

    Result<void> begin() {
        auto fresh = new_run(store_, job_.operation, job_.into, job_.may_lose, options_);
        if (!fresh) return failure(fresh.error());
        head_ = std::move(fresh->head);
        lock_.emplace(std::move(fresh->lock));
        std::set<std::string> roots{job_.into};
        for (const auto& source : job_.what.sources) roots.emplace(parent_of(source));
        head_.roots.assign(roots.begin(), roots.end());
        if (events_.named) events_.named(head_.id);
        // killed before the first part is noted, it must not pass for a run that had nothing to do
        if (auto begun = store_.begin(head_, 1, [this](std::uint64_t) { return rest(); }); !begun)
            return begun;
        began_ = true;
        if (events_.begun) events_.begun(head_);
        return {};
    }

    /// Stands in the journal for what is not counted yet.
    PendingItem rest() const {
        PendingItem rest;
        rest.number = rest_number;
        rest.source = job_.what.sources.back();
        rest.target = join(job_.into, name_of(rest.source));
        rest.final_path = rest.target;
        rest.type = FileType::other;
        rest.outcome = Outcome::failed;
        rest.problem =
            "was still being counted when the run ended: what this receipt does not list was not looked at";
        return rest;
    }

    /// What was counted so far is brought to its end; the rest is said to be missing.
    Result<ReceiptHead> stop_counting(const Error& why) {
        PendingItem missing = rest();
        missing.problem = "could not be counted to its end: " + describe(why);
        if (auto noted = store_.extend(head_.id, {}, missing); !noted) return failure(noted.error());
        return resume_held(disk_, store_, head_.id, options_, events_);
    }

    static constexpr std::uint64_t not_noted = UINT64_MAX;

    FileSystem& disk_;
    Store& store_;
    const Asked& asked_;
    const Job& job_;
    const RunOptions& options_;
    const RunEvents& events_;
    Gathering gathering_;
    KnownContents known_;
    std::vector<EntryId> waiting_{};  ///< that are not noted, in their order
    std::vector<EntryId> part_{};     ///< what is planned: by entry of the part, its number in the whole
    Outlook outlook_;                 ///< of that part
    ReceiptHead head_;
    std::optional<RunLock> lock_;
    bool began_ = false;
    std::vector<std::uint64_t> numbers_;  ///< in the receipt, by entry of the whole
    std::uint64_t next_ = 0;
    std::uint64_t bytes_noted_ = 0;  ///< of files that arrive
    std::uint64_t bytes_waiting_ = 0;
};

}  // namespace

std::string reason_to_wait(const Job& job) {
    if (job.operation != Operation::copy) return "a move is planned whole";
    if (job.what.chooses_files()) return "some of the files are chosen";
    if (job.what.chooses_folders()) return "folders are chosen by what is in them";
    if (job.what.follow_links) return "links are followed";
    if (job.clearing != Clearing::none) return "something is to leave the destination";
    if (!job.naming.empty()) return "new names are given";
    if (job.look_elsewhere) return "what is there under other names is looked for";
    if (!job.structure.sort_into.empty()) return "files are sorted by what they tell";
    if (job.structure.flatten || job.structure.contents) return "several could want one name";
    if (job.structure.subfolders != Subfolders::all) return "subfolders are left out by what is in them";
    if (!job.structure.kept_from.empty()) return "folders on the way are kept";
    std::set<std::string_view> names;
    for (const auto& source : job.what.sources) {
        if (source.ends_with('/')) return "a link is followed";
        if (!names.insert(name_of(source)).second) return "several could want one name";
    }
    return job.what.sources.empty() ? "nothing is in hand" : std::string();
}

std::string reason_to_wait(const Asked& asked) {
    if (!asked.decisions.empty()) return "single pairs are decided about";
    if (!asked.typed.empty()) return "new names are given";
    return reason_to_wait(asked.job);
}

Result<ReceiptHead> carry_out_growing(FileSystem& disk, Store& store, const Asked& asked,
                                      const RunOptions& options, const RunEvents& events,
                                      const std::function<void(const Counted&)>& counted,
                                      std::shared_ptr<const Batch>* batch) {
    if (const auto why = reason_to_wait(asked); !why.empty())
        return failure(Fault::refused, "is to be counted first: " + why, asked.job.into);
    Grower grower(disk, store, asked, options, events);
    auto head = grower.run(counted);
    if (batch != nullptr) *batch = std::make_shared<const Batch>(std::move(grower).counted());
    return head;
}

}  // namespace tavlo
