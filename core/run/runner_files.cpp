// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <unistd.h>

#include <algorithm>
#include <cerrno>

#include "files/parallel.h"
#include "files/path.h"
#include "names/names.h"
#include "run/runner.h"

namespace tavlo {

std::string Runner::link_key(const Identity& id) {
    return std::to_string(id.device) + ':' + std::to_string(id.inode);
}

Result<std::shared_ptr<const Handle>> Runner::source_folder(ItemId id) {
    if (plan_.leaves(item(id)) || is_renamed(id)) return targets_.open(item(id).folder);
    return sources_.open(entry(id).real() ? entry(id).real()->folder : entry(id).folder);
}

std::string Runner::source_name(ItemId id) const {
    if (const auto hidden = parked_.find(id); hidden != parked_.end()) return hidden->second;
    return entry(id).real() ? entry(id).real()->name : entry(id).name;
}

void Runner::note_taken_from(ItemId id) {
    if (!plan_.leaves(item(id)) && !is_renamed(id))
        took_from_[plan_.batch->place_of(entry(id)).folder] = true;
}

/// The next twin that wants this name is decided about against what is there by then.
void Runner::note_twin(ItemId id, const Placed& placed) {
    const Item& it = item(id);
    if (it.collision && it.collision->finding == Finding::twin)
        placed_twins_[finals_.path_of(it.folder, placed.name)] = placed.status.id;
}

/// The name of a hard-linked file that was placed first, or is about to be; none where that failed.
Runner::PlacedFile Runner::first_of_link(ItemId id) const {
    const auto found = first_of_links_.find(link_key(entry(id).status.id));
    return found == first_of_links_.end() ? PlacedFile{} : found->second;
}

/// A decision is about two things: when the incoming one is no longer the one that was compared, it does not
/// hold.
bool Runner::is_the_agreed_source(ItemId id, const Status& now) {
    const Status& then = entry(id).status;
    if (now.type != then.type ||
        !(then.id.inodes_last() ? now.id.same_thing(then.id) : now.id.could_be(then.id))) {
        fail(id,
             {Fault::changed_meanwhile, 0, "is another one than was looked at", plan_.source_path(item(id))});
        return false;
    }
    if ((item(id).collision || item(id).role == Role::makes_room) && now.id != then.id) {
        leave_undecided(id, "changed after the decision was taken");
        return false;
    }
    return true;
}

bool Runner::still_the_agreed_source(ItemId id, const Handle& folder) {
    const auto now = disk_.status(folder, source_name(id));
    if (!now) {
        fail(id, now.error());
        return false;
    }
    return is_the_agreed_source(id, *now);
}

void Runner::step_file(ItemId id, const std::shared_ptr<const Handle>& into) {
    const Item& it = item(id);
    const auto from = source_folder(id);
    if (!from) return fail(id, from.error());
    const bool moves = it.action == Action::move;
    const FileType type = entry(id).status.type;
    const bool is_named_only = traits_.puts_back || is_renamed(id);  // and not read
    const Error special{Fault::unsupported, 0, "is a fifo, socket or device, which is left alone",
                        plan_.source_path(it)};
    if (type == FileType::other && !is_named_only) return fail(id, special);
    if (finals_.identity(it.folder).device == 0)
        if (const auto status = disk_.status(*into)) finals_.set_identity(it.folder, status->id);
    if (auto touched = durable_.touch(finals_.identity(it.folder).device, *into); !touched)
        return fail(id, touched.error());
    const bool renames = is_renamed(id) || (moves && !copy_instead_[id] &&
                                            entry(id).status.id.device == finals_.identity(it.folder).device);
    const bool links = type == FileType::file && entry(id).status.links > 1 &&
                       first_of_links_.contains(link_key(entry(id).status.id));
    Work work{id};
    if (renames) {
        work.kind = Work::Kind::rename;
        work.from = *from;
        ++group_.waiting;
        return group_.add(std::move(work));
    }
    const bool is_read = type == FileType::file && !links;  // then it is looked at as it is opened
    if (!is_read && !still_the_agreed_source(id, **from)) return;
    if (type == FileType::other) return fail(id, special);
    if (moves)
        if (auto may = disk_.may_write(**from); !may) return fail(id, may.error());
    work.remove_source = moves;
    if (type == FileType::link) {
        const Status& status = entry(id).status;
        work.kind = Work::Kind::link;
        work.link_attributes = Attributes{status.mode,        status.owner,          status.group,
                                          status.accessed_ns, status.id.modified_ns, {}};
    } else if (links) {
        work.kind = Work::Kind::hard_link;
    } else {
        work.from = *from;
        work.into = into;
        ++group_.waiting;
        group_.waiting_bytes += entry(id).status.id.size_bytes;
        group_.bytes += entry(id).status.id.size_bytes;
        // known from now on, so that its other names in the group become links to it; where it is not placed
        // after all, they are staged themselves
        if (entry(id).status.links > 1) first_of_links_[link_key(entry(id).status.id)] = {};
    }
    group_.add(std::move(work));
}

bool Runner::reads_back(const Work& work) const {
    return options_.verify == Verify::read_back ||
           (work.remove_source && options_.verify == Verify::automatic);
}

/// Reads and writes the files that wait for it, and looks at what is to be renamed. Meanwhile the group before
/// takes its names.
Result<void> Runner::stage_waiting() {
    struct Waits {
        Work* work;
        std::string name;  // of its source, which other threads do not ask for while names are taken here
    };
    std::vector<Waits> copies;
    std::vector<Waits> renames;
    for (Work& work : group_.works)
        if (work.from)
            (work.kind == Work::Kind::rename ? renames : copies).push_back({&work, source_name(work.item)});
    std::vector<std::optional<Result<StagedCopy>>> staged(copies.size());
    std::vector<Staging> staging;
    Turnstile order;  // what lies in an archive is read from one end to the other
    for (const auto& [work, name] : copies) {
        // where inodes do not last, a file is known again by its hash
        const bool by_hash = !finals_.identity(item(work->item).folder).inodes_last();
        staging.push_back({reads_back(*work) || work->remove_source || by_hash, work->remove_source,
                           head_.may_lose, part_name(head_.id, parts_++), reads_in_order_ ? &order : nullptr,
                           staging.size()});
    }
    const auto stage = [&](std::size_t at) {
        const auto& [work, name] = copies[at];
        staged[at].emplace(stage_copy(disk_, *work->from, name, *work->into, staging[at], meter()));
        if (reads_in_order_) order.pass(at);
    };
    std::vector<std::optional<Result<Status>>> seen(renames.size());
    const auto look = [&](std::size_t at) {
        seen[at].emplace(disk_.status(*renames[at].work->from, renames[at].name));
    };
    Turns turns(stagers_, copies.size() + renames.size(), [&](std::size_t at) {
        if (at >= copies.size()) return look(at - copies.size());
        say_at_hand(copies[at].work->item);
        stage(at);
    });
    turns.help_while([&] { return waits_for_behind(); });
    const auto placed = finish_behind();
    turns.finish();
    // one that found no room while a larger neighbour had taken it for a moment has its turn alone
    for (std::size_t at = 0; at < copies.size() && copies.size() > 1; ++at) {
        const Work& work = *copies[at].work;
        if (staged[at]->has_value() || staged[at]->error().fault != Fault::no_space) continue;
        const auto volume = disk_.volume(*work.into);
        if (!volume || volume->free_bytes < entry(work.item).status.allocated_bytes) continue;
        staging[at].part_name = part_name(head_.id, parts_++);
        stage(at);
    }
    for (std::size_t at = 0; at < copies.size(); ++at) take_staged(*copies[at].work, std::move(*staged[at]));
    for (std::size_t at = 0; at < renames.size(); ++at) take_seen(*renames[at].work, *seen[at]);
    group_.waiting = 0;
    group_.waiting_bytes = 0;
    return placed;
}

void Runner::take_seen(Work& work, const Result<Status>& seen) {
    work.from.reset();
    if (!seen) fail(work.item, seen.error());
    work.dropped = !seen || !is_the_agreed_source(work.item, *seen);
}

void Runner::take_staged(Work& work, Result<StagedCopy> staged) {
    const ItemId id = work.item;
    work.from.reset();
    work.into.reset();
    work.dropped = true;
    if (!staged) return fail(id, staged.error());
    if (!is_the_agreed_source(id, staged->source)) return;
    work.dropped = false;
    ReceiptItem& out = receipt_item(id);
    out.size_bytes = staged->source.id.size_bytes;
    out.modified_ns = staged->source.id.modified_ns;
    out.hash = staged->hash;
    out.not_kept = listed(staged->not_kept);
    if (entry(id).status.links > 1) {
        PlacedFile& first = first_of_links_[link_key(entry(id).status.id)];
        first.id = staged->fresh;
        first.hash = staged->hash;
    }
    work.copy.emplace(std::move(*staged));
}

/// Which name is counted up from, should the planned one be taken by then; empty where nothing was to be
/// renamed.
std::string Runner::count_from(ItemId id) const {
    const Item& it = item(id);
    if (it.outcome != Outcome::renamed) return {};
    return counted_from(plan_.name(it), plan_.final_name(it),
                        it.inside == no_folder ? FileType::file : FileType::folder);
}

Ready Runner::ready_for(Work& work) {
    switch (work.kind) {
        case Work::Kind::staged: return staged_copy(work);
        case Work::Kind::hard_link: return further_name(work.item);
        case Work::Kind::link: return link_again(work);
        case Work::Kind::rename:
        case Work::Kind::take_away:
        case Work::Kind::remove_folder: break;
    }
    return renaming(work.item);
}

/// What was made goes again if it is not to stand there after all.
std::function<Result<void>(const Handle&, const std::string&)> Runner::unlinking() {
    return [this](const Handle& folder, const std::string& name) { return remove_seen(disk_, folder, name); };
}

Ready Runner::staged_copy(Work& work) {
    return {[this, &work](const Handle& folder, const std::string& name) {
                return disk_.take_free_name(work.copy->staged, folder, name);
            },
            unlinking(),
            [this, &work](const Handle&, const std::string&, const Status& there) {
                const Staged& staged = work.copy->staged;
                if (there.type != FileType::file || there.id != work.copy->fresh) return false;
                if (staged.part_name().empty()) return true;
                const auto part = disk_.status(staged.folder(), staged.part_name());
                return !part && part.error().fault == Fault::not_found;
            }};
}

/// Another name of a file that has arrived.
Ready Runner::further_name(ItemId id) {
    return {[this, id](const Handle& folder, const std::string& name) -> Result<void> {
                const PlacedFile first = first_of_link(id);
                if (first.name.empty())
                    return failure(Fault::other_file_system, "its other name did not arrive", "");
                const auto holder = targets_.open(first.folder);
                if (!holder) return failure(holder.error());
                const auto now = disk_.status(**holder, first.name);
                if (!now || now->id != first.id)
                    return failure(Fault::other_file_system, "its other name is gone", "");
                auto linked = disk_.link_file(**holder, first.name, folder, name);
                const auto fault = linked ? Fault::io : linked.error().fault;
                if (linked || fault == Fault::name_taken || fault == Fault::no_space) return linked;
                // a file system without hard links: a copy of its own then
                if (fault == Fault::unsupported || fault == Fault::no_permission)
                    return failure(Fault::other_file_system, "cannot hold two names of a file", "");
                return linked;
            },
            unlinking(),
            [this, id](const Handle&, const std::string&, const Status& there) {
                const PlacedFile first = first_of_link(id);
                return there.id.inodes_last() && there.type == FileType::file && there.id == first.id;
            }};
}

Ready Runner::link_again(Work& work) {
    const ItemId id = work.item;
    return {[this, id, &work](const Handle& folder, const std::string& name) -> Result<void> {
                if (auto made = disk_.make_link(folder, name, entry(id).points_at()); !made) {
                    const auto& why = made.error();
                    if (why.fault != Fault::unsupported && why.code != EPERM) return made;
                    return failure(Fault::unsupported, "is a link, which the destination cannot hold", "");
                }
                // a link that is there without its date is there all the same
                if (!disk_.set_link_attributes(folder, name, *work.link_attributes))
                    receipt_item(id).not_kept = "times";
                return {};
            },
            unlinking(),
            [this, id, began = now_ns()](const Handle& folder, const std::string& name, const Status& there) {
                const auto points_at = disk_.read_link(folder, name);
                return there.type == FileType::link && there.owner == ::geteuid() && points_at &&
                       *points_at == entry(id).points_at() &&
                       there.status_changed_ns >= began - kernel_tick_ns;
            }};
}

/// Something that is renamed: it appears where it goes, and withdraws to where it was.
Ready Runner::renaming(ItemId id) {
    return {[this, id](const Handle& folder, const std::string& name) -> Result<void> {
                const auto from = source_folder(id);
                if (!from) return failure(from.error());
                return disk_.move_to_free_name(**from, source_name(id), folder, name);
            },
            [this, id](const Handle& folder, const std::string& name) -> Result<void> {
                const auto from = source_folder(id);
                if (!from) return failure(from.error());
                return move_seen(disk_, folder, name, **from, source_name(id), entry(id).status.id);
            },
            [this, id](const Handle&, const std::string&, const Status& there) {
                const auto from = source_folder(id);
                if (!from || !is_still_it(there, entry(id).status.id)) return false;
                const auto left = disk_.status(**from, source_name(id));
                return !left && left.error().fault == Fault::not_found;
            }};
}

void Runner::place(Work& work) {
    const ItemId id = work.item;
    const Item& it = item(id);
    if (work.kind == Work::Kind::take_away) return take_away(work);
    if (work.kind == Work::Kind::remove_folder) return remove_folder(id);
    const auto into = targets_.open(it.folder);
    if (!into) return fail(id, into.error());
    const auto& name = plan_.final_name(it);
    const Ready ready = ready_for(work);
    const std::string place = finals_.path_of(it.folder, name);
    const FileType type = it.inside == no_folder ? FileType::file : FileType::folder;
    const auto try_it = [&]() -> Result<Placed> {
        if (auto may = work.slot ? may_leave(id, **into, name) : Result<void>{}; !may)
            return failure(may.error());
        return work.slot ? place_over(disk_, *work.slot, **into, name, expected_at(id, place), ready)
                         : place_at_free_name(disk_, **into, name, count_from(id), type, ready);
    };
    auto placed = try_it();
    if (!placed && placed.error().fault == Fault::no_permission && lend_write(*into)) placed = try_it();
    if (!placed) {
        note_left_in(work.slot, id);
        const Fault fault = placed.error().fault;
        if (fault == Fault::name_taken) return leave_undecided(id, "the name was taken meanwhile");
        if (fault == Fault::changed_meanwhile) return leave_undecided(id, reason(placed.error()));
        if (fault != Fault::other_file_system || copy_instead_[id] || is_renamed(id))
            return fail(id, placed.error());
        // a mount of the same device, or a first name that is gone: copy instead
        copy_instead_[id] = true;
        first_of_links_.erase(link_key(entry(id).status.id));
        work.remove_source = false;
        again_.push_back(id);
        return;
    }
    if (work.kind == Work::Kind::rename && !is_still_it(placed->status, entry(id).status.id)) {
        if (auto back = ready.withdraw(**into, placed->name); !back) return fail(id, back.error());
        return fail(
            id, {Fault::changed_meanwhile, 0, "is another one than was looked at", plan_.source_path(it)});
    }
    note_twin(id, *placed);
    work.target = *into;
    note_changed(work, *placed);
    if (work.kind == Work::Kind::rename) {
        note_taken_from(id);
        if (entry(id).status.type == FileType::file) say_bytes(entry(id).status.id.size_bytes);
    }
    if (work.kind == Work::Kind::staged && entry(id).status.links > 1)
        first_of_links_[link_key(entry(id).status.id)] = {it.folder, placed->name, placed->status.id,
                                                          work.copy->hash};
    if (work.kind == Work::Kind::hard_link) receipt_item(id).hash = first_of_link(id).hash;
    if (!work.remove_source) return settle_placed(id, *placed);
    // the receipt waits until the source is gone; what is known so far is kept with it
    work.placed = *placed;
}

/// Names have changed in these folders.
void Runner::note_changed(const Work& work, const Placed& placed) {
    const std::uint64_t device = placed.status.id.device;
    changed_in(device, work.target);
    if (work.slot) {
        changed_in(device, work.slot->folder);
        changed_in(device, work.slot->shelf);
    }
    if (work.kind == Work::Kind::rename)
        if (const auto from = source_folder(work.item)) changed_in(device, *from);
}

/// Whatever lies in a slot is found again in the Safe, whatever became of its item (promise 14).
void Runner::note_left_in(const std::optional<Slot>& slot, ItemId id) {
    if (!slot || slot->entry.empty()) return;  // in the trash it lies where anybody sees it
    const Item& it = item(id);
    const auto names = slot->shared ? std::vector<Name>{{entry(id).name}}
                                    : disk_.list(*slot->folder).value_or(std::vector<Name>{});
    for (const Name& name : names) {
        const auto status = disk_.status(*slot->folder, name.bytes);
        if (!status) continue;
        const std::string original = it.action == Action::take_away
                                         ? plan_.source_path(it)
                                         : finals_.path_of(it.folder, plan_.final_name(it));
        SafeEntry entry = entry_for(slot->entry, slot->path, original, *status);
        entry.stored = join(slot->path, name.bytes);
        records_.set_aside.push_back(std::move(entry));
        receipt_item(id).set_aside = slot->entry;
        return;
    }
}

/// Somebody who may not write a folder of their own may say so: an undo does, for as long as it works there.
bool Runner::lend_write(const std::shared_ptr<const Handle>& folder) {
    constexpr std::uint32_t own_write = 0300;
    if (!traits_.lends_write) return false;
    const auto status = disk_.status(*folder);
    if (!status || status->owner != ::geteuid() || (status->mode & own_write) == own_write) return false;
    if (!disk_.set_mode(*folder, status->mode | own_write)) return false;
    lent_.emplace_back(folder, status->mode);
    return true;
}

void Runner::take_away(Work& work) {
    const Entry& source = entry(work.item);
    const auto folder = source_folder(work.item);
    if (!folder) return fail(work.item, folder.error());
    Keeper& keeper = this->keeper(work.item);
    const auto put = [&] { return keeper.keep(*work.slot, **folder, source.name, leaving_as(work.item)); };
    auto kept = put();
    if (!kept && kept.error().fault == Fault::no_permission && lend_write(*folder)) {
        if (!work.slot->shared) {  // the first was dropped
            auto again = keeper.slot_for(**folder, source.name, source.status.type);
            if (!again) return fail(work.item, again.error());
            work.slot = std::move(*again);
        }
        kept = put();
    }
    if (!kept) note_left_in(work.slot, work.item);
    if (!kept && is_packed(item(work.item).action))
        return fail(work.item,
                    {kept.error().fault, 0, "is in the archive, and stays: " + reason(kept.error()),
                     plan_.source_path(item(work.item))});
    if (!kept && (kept.error().fault == Fault::changed_meanwhile || kept.error().fault == Fault::not_found))
        return leave_undecided(work.item, "was changed since");
    if (!kept) return fail(work.item, kept.error());
    for (const auto& changed : {*folder, work.slot->folder, work.slot->shelf})
        changed_in(source.status.id.device, changed);
    if (kept->version) {
        receipt_item(work.item).set_aside = kept->version->id;
        records_.set_aside.push_back(std::move(*kept->version));
    } else {
        receipt_item(work.item).final_path = kept->place;
        receipt_item(work.item).after = kept->id;
    }
    if (is_packed(item(work.item).action)) note_taken_from(work.item);
    settle(work.item, Outcome::created);
}

}  // namespace tavlo
