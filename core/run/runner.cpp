// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/runner.h"

#include <unistd.h>

#include <algorithm>
#include <set>

#include "archive/members.h"
#include "files/ancestors.h"
#include "files/own.h"
#include "files/parallel.h"
#include "files/path.h"
#include "keep/journal.h"
#include "run/in_use.h"
#include "run/new_run.h"

namespace tavlo {

namespace {

std::vector<Identity> source_folders(const Batch& batch) {
    std::vector<Identity> ids;
    for (const Entry& entry : batch.entries)
        if (entry.parent == no_entry && entry.status.type == FileType::folder) ids.push_back(entry.status.id);
    return ids;
}

/// An archive is read from one end to the other, by one.
bool takes_out(const Plan& plan) {
    const auto& entries = plan.batch->entries;
    return std::any_of(entries.begin(), entries.end(),
                       [](const Entry& entry) { return is_packed(entry.status.id); });
}

}  // namespace

Result<ReceiptHead> carry_out(FileSystem& disk, Store& store, const Plan& plan, const RunOptions& options,
                              const RunEvents& events) {
    return Runner(disk, store, plan, nullptr, options, events).run();
}

Result<ReceiptHead> carry_on(FileSystem& disk, Store& store, const Plan& plan, const Resumption& resumption,
                             const RunOptions& options, const RunEvents& events) {
    return Runner(disk, store, plan, &resumption, options, events).run();
}

Runner::Runner(FileSystem& disk, Store& store, const Plan& plan, const Resumption* resumption,
               const RunOptions& options, const RunEvents& events)
    : disk_(disk),
      store_(store),
      plan_(plan),
      traits_(plan.traits()),
      resumption_(resumption),
      options_(options),
      reads_in_order_(takes_out(plan)),
      events_(events),
      finals_(plan.standing ? *plan.standing : plan.finals),
      sources_(disk, plan.batch->folders),
      targets_(disk, finals_),
      durable_(disk),
      results_(plan.items.size(), Outcome::planned),
      carried_(plan.items.size()),
      group_files_(most_in_a_group(options)),
      copy_instead_(plan.items.size()),
      took_from_(plan.batch->folders.size()),
      stagers_((options.threads != 0 ? options.threads : useful_threads()) - 1),
      settlers_(options.threads == 1 ? 0 : 2) {}

Result<ReceiptHead> Runner::run() {
    if (auto begun = begin(); !begun) return failure(begun.error());
    if (std::any_of(plan_.items.begin(), plan_.items.end(),
                    [](const Item& one) { return one.action == Action::take_away; }))
        if (auto records = disk_.open_folder(store_.folder()))
            if (auto above = ancestors(disk_, std::move(*records))) above_records_ = std::move(*above);
    wait_while_held();  // one that waits for its turn is in the journal, and has touched nothing
    RunLock::tell_places(store_.folder(), head_.id, places_in_use(plan_, head_.roots));
    const bool goes_elsewhere = traits_.makes_destination && !should_stop();
    const auto destination = goes_elsewhere ? make_destination() : Result<void>{};
    if (destination) {
        if (auto gone = go_through_items(); !gone) return failure(gone.error());
    } else {
        for (ItemId id = 0; id < plan_.items.size(); ++id)
            stays_as_it_is(id) ? settle_at_once(id) : fail(id, destination.error());
    }
    if (options_.more_follows && !should_stop()) {
        if (auto written = write_records(); !written) return failure(written.error());
        return head_;
    }
    if (!to_finish_
             .empty())  // a folder that has its own permissions would not be known for this run's any more
        if (auto written = write_records(); !written) return failure(written.error());
    finish_folders();
    give_back_lent();
    give_dates_back();
    if (auto removed = remove_emptied_folders(); !removed) return failure(removed.error());
    if (auto ended = end(); !ended) return failure(ended.error());
    return head_;
}

Result<void> Runner::begin() {
    if (resumption_ != nullptr) {
        head_ = resumption_->head;
    } else {
        auto fresh = new_run(store_, plan_.operation, plan_.destination, plan_.may_lose, options_);
        if (!fresh) return failure(fresh.error());
        head_ = std::move(fresh->head);
        lock_.emplace(std::move(fresh->lock));
        head_.undoes = plan_.undoes;
        head_.undoes_some = plan_.undoes_some;
        std::set<std::string> roots;
        if (!plan_.destination.empty()) roots.insert(plan_.destination);
        for (const FolderTree* tree : {&plan_.batch->folders, &plan_.targets})
            for (FolderId id = 0; id < tree->size(); ++id)
                if (tree->parent(id) == no_folder) roots.insert(tree->name(id));
        head_.roots.assign(roots.begin(), roots.end());
        if (events_.named) events_.named(head_.id);
        rows_left_alone_ = rows_left_alone();
        const auto opened = [this](std::uint64_t number) -> OpenedItem {
            const auto id = static_cast<ItemId>(number);
            if (stays_as_it_is(id)) return left_alone(id);
            return pending_item(plan_, id);
        };
        if (auto begun = store_.begin(head_, plan_.items.size(), opened); !begun) return begun;
    }
    head_.totals = {};
    if (events_.begun) {
        ReceiptHead planned = head_;
        planned.totals = plan_.totals;
        events_.begun(planned);
    }
    safe_ = std::make_unique<SafeFolder>(
        disk_, head_.id, traits_.reads_sources ? source_folders(*plan_.batch) : std::vector<Identity>{});
    trash_ = std::make_unique<Trash>(disk_, head_.id, head_.started_ns);
    const bool packs_away =
        traits_.packs && std::any_of(plan_.items.begin(), plan_.items.end(),
                                     [](const Item& one) { return one.action == Action::pack_away; });
    if (traits_.removes_emptied_folders || packs_away)
        for (const EntryId id : plan_.dissolved) remember_source_folder(id);
    if (resumption_ != nullptr) {
        for (const FolderRest& rest : resumption_->rest) take_up(rest);
        for (const PlacedLink& link : resumption_->links)
            first_of_links_[link_key(link.source)] = {link.folder, link.name, link.placed, link.hash};
    }
    remember_dates();
    return note_volumes();
}

void Runner::changed_in(std::uint64_t device, const std::shared_ptr<const Handle>& folder) {
    if (durable_.touch(device, *folder)) durable_.changed(device, folder);
}

/// A folder that the run had made before it was interrupted still has to get its attributes, and its source
/// may be empty.
void Runner::take_up(const FolderRest& rest) {
    const auto source = sources_.open(plan_.batch->entries[rest.source].inside);
    auto attributes = source ? disk_.attributes(**source) : Result<Attributes>(failure(source.error()));
    if (!attributes) return;  // gone by now: what it was like is no longer to be known
    attributes->modified_ns = rest.modified_ns;
    if (rest.mode) attributes->mode = *rest.mode;
    if ((traits_.removes_emptied_folders || traits_.packs) && rest.moves) {
        emptied_.push_back({rest.source, *attributes});
        took_from_[plan_.batch->entries[rest.source].inside] = true;
    }
    if (rest.made != no_folder) to_finish_.push_back({rest.made, std::move(*attributes), rest.number});
}

/// Made by this run before it was interrupted: still as private as a folder is while it is filled, but for
/// one that is like nothing else.
bool Runner::is_left_from_before(const Status& folder, bool is_new) const {
    return resumption_ != nullptr && folder.type == FileType::folder && (is_new || folder.mode == 0700) &&
           folder.owner == ::geteuid() && folder.status_changed_ns >= head_.started_ns - kernel_tick_ns;
}

/// Makes the destination and the folders above it that are missing, each by a call that cannot replace
/// anything.
Result<void> Runner::make_destination() {
    std::vector<std::string> missing;
    std::string existing = traits_.packs ? std::string(parent_of(plan_.destination)) : plan_.destination;
    auto handle = disk_.open_folder(existing);
    while (!handle && handle.error().fault == Fault::not_found && existing != "/") {
        missing.emplace_back(name_of(existing));
        existing = std::string(parent_of(existing));
        handle = disk_.open_folder(existing);
    }
    if (!handle) return failure(handle.error());
    for (auto name = missing.rbegin(); name != missing.rend(); ++name) {
        if (auto made = disk_.make_folder(*handle, *name, 0777);
            !made && made.error().fault != Fault::name_taken)
            return made;
        auto inside = disk_.open_folder_in(*handle, *name);
        if (!inside) return failure(inside.error());
        const auto status = disk_.status(*inside);
        if (!status) return failure(status.error());
        records_.folders.push_back({true, inside->path(), {}, status->id});
        if (auto around = disk_.open_folder_in(*handle, "."))
            changed_in(status->id.device, std::make_shared<const Handle>(std::move(*around)));
        handle = std::move(inside);
    }
    const auto status = disk_.status(*handle);
    if (!status) return failure(status.error());
    if (traits_.packs) return {};
    if (const Identity& known = finals_.identity(0); known.inode != 0 && !status->id.could_be(known))
        return failure(Fault::changed_meanwhile, "is no longer the folder that was looked at",
                       plan_.destination);
    finals_.set_identity(0, status->id);
    return {};
}

/// In their order, or in the plan's own where names are given up for others. A ring of those that was begun
/// is brought to its end.
Result<void> Runner::go_through_items() {
    const std::size_t steps = plan_.steps.empty() ? plan_.items.size() : plan_.steps.size();
    for (std::size_t at = 0; at < steps; ++at) {
        wait_while_held();
        if (should_stop() && !parked_.empty())
            if (auto flushed = flush(); !flushed) return flushed;
        if (should_stop() && parked_.empty()) break;
        const auto next = plan_.steps.empty() ? Ordered::Step{static_cast<ItemId>(at)} : plan_.steps[at];
        if (auto done = next.parks ? park(next.which) : step(next.which); !done) return done;
        if (auto gone_on = go_on_with_group(); !gone_on) return gone_on;
    }
    if (resumption_ != nullptr && resumption_->archive &&
        !packed_.empty())  // that has its name, or not, from before
        if (auto settled = settle_packed(); !settled) return settled;
    if (auto flushed = flush(); !flushed) return flushed;
    while (!parked_.empty())
        fail(parked_.begin()->first, {Fault::io, 0, "the name that it was to have did not come free", ""});
    return {};
}

Result<void> Runner::step(ItemId id) {
    if (results_[id] != Outcome::planned) return {};
    if (stays_as_it_is(id)) {
        settle_at_once(id);
        return {};
    }
    const Item& it = item(id);
    if (it.parks) (void)is_parked(id);  // before the run was interrupted
    if (it.outcome == Outcome::failed) {
        fail(id, *it.problem());
        return {};
    }
    if (it.outcome == Outcome::skipped || it.outcome == Outcome::undecided) {
        settle(id, it.outcome);
        return {};
    }
    if (it.role == Role::archive) return step_archive(id);
    if (is_packed(it.action)) {
        packed_.push_back(id);
        return {};
    }
    receipt_item(id);
    if (follows_its_folder(id)) return {};
    const bool carried = it.along && carried_[it.parent];
    const bool is_folder = entry(id).status.type == FileType::folder;
    // names are taken and given up in the plan's order: what is in the group comes before a folder that needs
    // them
    const bool needs_order = it.collision != nullptr || traits_.in_order;
    // a source that is to go once its copy is durable still holds the name that this item wants
    // (and in an undo, what an item takes away may have to come back first)
    const bool waits_for_name = group_.stands_in_the_way(plan_, it) || behind_.stands_in_the_way(plan_, it);
    const bool removes =
        it.action == Action::remove_folder;  // in its order within the group, once sources have left it
    const bool waits_for_group = removes ? group_.has_sources_that_leave() || behind_.has_sources_that_leave()
                                         : waits_for_name || (is_folder && needs_order);
    if (waits_for_group)
        if (auto flushed = flush(); !flushed) return flushed;
    if (carried)
        step_carried(id);
    else if (removes)
        step_removal(id);
    else if (it.action == Action::take_away)
        step_away(id);
    else if (is_folder || it.action == Action::make_folder)
        step_folder(id);
    else if (const auto into = targets_.open(it.folder); into)
        step_file(id, *into);
    else
        fail(id, into.error());
    if (!group_.works.empty() && group_.works.back().item == id) {
        if (group_.works.back().remove_source || removes || it.action == Action::take_away ||
            it.role == Role::makes_room)
            group_.leaving.insert(plan_.source_path(it));
        if (traits_.in_order && it.action == Action::move) group_.arriving.insert(plan_.final_path(it));
    }
    return {};
}

/// What Tavlo itself rests on, what another run works on, and what is no part of the thing, stays.
void Runner::step_away(ItemId id) {
    const auto same = [&](const Identity& one) { return one.same_thing(entry(id).status.id); };
    const char* stays = std::any_of(above_records_.begin(), above_records_.end(), same)
                            ? "holds Tavlo's own records, and stays"
                        : holds_a_safe(id) ? "holds versions that were set aside, and stays"
                        : holds_mounts(id) ? "holds a mount of another file system, and stays"
                        : is_busy(id)      ? "is being read or written by another run, and stays"
                                           : nullptr;
    if (stays == nullptr) return group_.add({id, Work::Kind::take_away});
    fail(id, {Fault::refused, 0, stays, plan_.source_path(item(id))});
}

/// The folder that is to leave, opened.
Result<Handle> Runner::inside_of(ItemId id) {
    const auto from = source_folder(id);
    return from ? disk_.open_folder_in(**from, source_name(id)) : failure(from.error());
}

/// A folder that was the highest one that could be written, once: its versions are known by where they lie.
bool Runner::holds_a_safe(ItemId id) {
    if (entry(id).status.type != FileType::folder) return false;
    const auto inside = inside_of(id);
    if (!inside || !disk_.status(*inside, safe_folder_name())) return false;
    return is_own(disk_, *inside, safe_folder_name());
}

/// Another run reads or writes in it, or it is part of what that one reads or writes. Asked for each folder
/// anew: a run may have begun since.
bool Runner::is_busy(ItemId id) {
    if (entry(id).status.type != FileType::folder) return false;
    const auto places = RunLock::places_of_others(store_.folder(), head_.id);
    if (places.empty()) return false;
    const auto inside = inside_of(id);
    return inside && is_in_use(disk_, *inside, places);
}

/// Something is mounted in it, at any depth: whoever put it there, and whenever. Where that cannot be found
/// out, it counts as so.
bool Runner::holds_mounts(ItemId id) {
    if (entry(id).status.type != FileType::folder) return false;
    const auto inside = inside_of(id);
    if (!inside) return inside.error().fault != Fault::not_found;
    const auto mounts = disk_.mounts_below(*inside);
    return !mounts || !mounts->empty();
}

/// What is to be replaced is a folder in which something is mounted by now.
Result<void> Runner::may_leave(ItemId id, const Handle& folder, const std::string& name) {
    if (!item(id).collision || item(id).collision->held.type != FileType::folder) return {};
    const auto inside = disk_.open_folder_in(folder, name);
    if (!inside) return {};  // something else stands there now: that is looked at where it is replaced
    const auto mounts = disk_.mounts_below(*inside);
    if (mounts && mounts->empty()) return {};
    return failure(Fault::refused, "would overwrite what holds a mount of another file system",
                   inside->path());
}

/// What comes in a folder that did not arrive after all does not arrive either.
bool Runner::follows_its_folder(ItemId id) {
    if (item(id).parent == no_item || is_renamed(id)) return false;
    const Outcome of_folder = results_[item(id).parent];
    if (of_folder == Outcome::failed)
        fail(id,
             {Fault::not_found, 0, "the folder it comes in could not be made", plan_.source_path(item(id))});
    else if (of_folder == Outcome::undecided)
        leave_undecided(id, "the folder it comes in is undecided");
    else if (of_folder == Outcome::skipped)
        settle(id, Outcome::skipped);
    else
        return false;
    return true;
}

/// What a decision was made about: what holds the name, or the twin that this run has put there since.
Identity Runner::expected_at(ItemId id, const std::string& place) const {
    const Item& it = item(id);
    if (!it.collision) return {};
    if (it.collision->finding == Finding::twin)
        if (const auto before = placed_twins_.find(place); before != placed_twins_.end())
            return before->second;
    return it.collision->held.id;
}

}  // namespace tavlo
