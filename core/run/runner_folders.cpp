// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <unistd.h>

#include "files/path.h"
#include "run/runner.h"

namespace tavlo {

namespace {
constexpr std::uint32_t while_filling = 0700;  // ours alone until its own attributes come, last
constexpr std::uint32_t usual_mode = 0777;     // as far as the process's mask lets it
}  // namespace

void Runner::step_folder(ItemId id) {
    const Item& it = item(id);
    const auto into = targets_.open(it.folder);
    if (!into) return fail(id, into.error());
    if (it.whole && move_whole_folder(id, **into)) return;
    if (results_[id] != Outcome::planned) return;
    if (it.action == Action::move && !is_renamed(id)) remember_source_folder(it.entry);
    if (it.outcome == Outcome::merged)
        merge_folder(id, **into);
    else
        make_folder(id, **into);
    const bool placed = results_[id] != Outcome::failed && results_[id] != Outcome::undecided;
    if (placed && it.action == Action::move && entry(id).inside != no_folder)
        took_from_[entry(id).inside] = true;
}

void Runner::merge_folder(ItemId id, const Handle& into) {
    const auto& name = finals_.name(item(id).inside);
    const auto now = disk_.status(into, name);
    if (!now && now.error().fault == Fault::not_found) return make_folder(id, into);  // it went meanwhile
    if (!now) return fail(id, now.error());
    if (now->type != FileType::folder)
        return leave_undecided(id, "something else than a folder stands here now");
    const Identity& known = finals_.identity(item(id).inside);
    if (known.inode == 0 || (!now->id.inodes_last() && known.could_be(now->id)))
        finals_.set_identity(item(id).inside, now->id);
    const auto opened = targets_.open(item(id).inside);
    if (!opened) return fail(id, opened.error());
    if (const auto place = finals_.path_of(item(id).folder, name); place != receipt_item(id).target)
        receipt_item(id).final_path = place;
    receipt_item(id).after = now->id;
    receipt_item(id).after_mode = now->mode;
    settle(id, Outcome::merged);
}

void Runner::make_folder(ItemId id, const Handle& into) {
    const Item& it = item(id);
    const bool is_new =
        it.role == Role::made && !it.extras().attributes;  // like nothing that was there before
    Attributes attributes;
    if (const auto& wanted = it.extras().attributes) {
        attributes = *wanted;
    } else if (!is_new) {
        const auto source = sources_.open(entry(id).inside);
        if (!source) return fail(id, source.error());
        auto read = disk_.attributes(**source);
        if (!read) return fail(id, read.error());
        attributes = std::move(*read);
    }
    if (auto touched = durable_.touch(finals_.identity(it.folder).device, into); !touched)
        return fail(id, touched.error());
    const std::uint32_t mode = is_new ? usual_mode : while_filling;
    const Ready ready{
        [&](const Handle& folder, const std::string& name) { return disk_.make_folder(folder, name, mode); },
        [&](const Handle& folder, const std::string& name) {
            return disk_.remove_empty_folder(folder, name);
        },
        [&, began = now_ns()](const Handle& folder, const std::string& name, const Status& there) {
            const bool looks_fresh = there.type == FileType::folder && there.owner == ::geteuid() &&
                                     there.status_changed_ns >= began - kernel_tick_ns &&
                                     (is_new || there.mode == while_filling);
            const auto opened =
                looks_fresh ? disk_.open_folder_in(folder, name) : Result<Handle>(failure(Fault::io, "", ""));
            const auto names =
                opened ? disk_.list(*opened) : Result<std::vector<Name>>(failure(Fault::io, "", ""));
            return names && names->empty();
        }};
    const auto& name = plan_.final_name(it);
    auto placed = place_folder(id, into, Intent::Kind::folder, {}, ready);
    if (!placed && placed.error().fault == Fault::name_taken) {
        const auto now = disk_.status(into, name);
        if (now && is_left_from_before(*now, is_new))
            return is_new ? note_made(id, {name, *now}) : finish_making(id, {name, *now}, attributes);
        if (now && now->type == FileType::folder) return merge_folder(id, into);  // two folders never collide
        return leave_undecided(id, "the name was taken meanwhile");
    }
    if (!placed && placed.error().fault == Fault::changed_meanwhile)
        return leave_undecided(id, reason(placed.error()));
    if (!placed) return fail(id, placed.error());
    if (is_new) return note_made(id, *placed);
    if (auto lost = would_lose(id, *placed, into, attributes); !lost) {
        (void)disk_.remove_empty_folder(into, placed->name);
        return fail(id, lost.error());
    }
    finish_making(id, std::move(*placed), attributes);
}

/// A folder of a move between file systems, whose source goes once it is empty: what its target cannot keep
/// would be gone.
Result<void> Runner::would_lose(ItemId id, const Placed& placed, const Handle& into,
                                const Attributes& attributes) {
    const bool goes =
        item(id).action == Action::move && entry(id).status.id.device != placed.status.id.device;
    if (!goes || head_.may_lose || placed.set_aside ||
        (attributes.extended.empty() && attributes.unread.empty()))
        return {};
    const auto made = disk_.open_folder_in(into, placed.name);
    if (!made) return failure(made.error());
    const auto lost = disk_.cannot_hold(*made, attributes);
    if (lost.empty()) return {};
    return failure(Fault::unsupported,
                   "would lose " + lost.front() + ", which the destination cannot keep, and stays",
                   plan_.source_path(item(id)));
}

/// It stands, and what goes into it finds it.
void Runner::note_made(ItemId id, const Placed& placed) {
    const FolderId inside = item(id).inside;
    note_twin(id, placed);
    if (inside != no_folder) {
        finals_.rename(inside, placed.name);
        finals_.set_identity(inside, placed.status.id);
        targets_.forget(inside);
    }
    if (const auto around = targets_.open(item(id).folder)) changed_in(placed.status.id.device, *around);
    settle_placed(id, placed);
}

/// The same of one that has its attributes once it is filled.
void Runner::finish_making(ItemId id, Placed placed, const Attributes& attributes) {
    const FolderId inside = item(id).inside;
    placed.status.mode = attributes.mode & 07777U;
    note_made(id, placed);
    if (inside != no_folder) {
        to_finish_.push_back({inside, attributes, number(id)});
        // nothing else knows what a folder that is made again was like: so it has it from the start
        if (item(id).extras().attributes)
            if (const auto made = targets_.open(inside)) {
                Attributes while_it_fills = attributes;
                while_it_fills.mode |= while_filling;
                (void)disk_.set_attributes(**made, while_it_fills);
            }
    }
}

Result<Placed> Runner::place_folder(ItemId id, const Handle& into, Intent::Kind kind, const Identity& fresh,
                                    const Ready& ready) {
    const auto& name = plan_.final_name(item(id));
    if (!replaces(item(id)))
        return place_at_free_name(disk_, into, name, count_from(id), FileType::folder, ready);
    if (auto may = may_leave(id, into, name); !may) return failure(may.error());
    const auto slot = journal_replacement(id, into, kind, fresh);
    if (!slot) return failure(slot.error());
    auto placed =
        place_over(disk_, *slot, into, name, expected_at(id, finals_.path_of(item(id).folder, name)), ready);
    if (!placed) note_left_in(*slot, id);
    if (placed)
        for (const auto& changed : {slot->folder, slot->shelf}) changed_in(slot->device, changed);
    return placed;
}

/// One rename for a folder and all that is in it. false: another file system after all, item by item then.
bool Runner::move_whole_folder(ItemId id, const Handle& into) {
    const Item& it = item(id);
    const auto from = source_folder(id);
    if (!from) {
        fail(id, from.error());
        return true;
    }
    const auto now = disk_.status(**from, source_name(id));
    if (!now || !now->id.could_be(entry(id).status.id)) {
        fail(id, now ? Error{Fault::changed_meanwhile, 0, "is another folder than the one that was looked at",
                             plan_.source_path(it)}
                     : now.error());
        return true;
    }
    if (auto touched = durable_.touch(now->id.device, **from); !touched) {
        fail(id, touched.error());
        return true;
    }
    const bool can_go_by_items = it.inside != no_folder && it.role == Role::arrives;
    if (can_go_by_items && holds_mounts(id)) return false;  // mounted since it was looked at: that stays
    const Ready ready = renaming(id);
    const auto try_it = [&] {
        return place_folder(id, into, Intent::Kind::rename, entry(id).status.id, ready);
    };
    auto placed = try_it();
    if (!placed && placed.error().fault == Fault::no_permission)
        if (const auto around = targets_.open(it.folder); around && lend_write(*around)) placed = try_it();
    // item by item then: to another file system, or merged with a folder that stands there now
    if (!placed && can_go_by_items && placed.error().fault == Fault::other_file_system) return false;
    if (!placed && can_go_by_items && placed.error().fault == Fault::name_taken) return false;
    if (!placed &&
        (placed.error().fault == Fault::changed_meanwhile || placed.error().fault == Fault::name_taken)) {
        leave_undecided(id, reason(placed.error()));
        return true;
    }
    if (!placed) {
        fail(id, placed.error());
        return true;
    }
    carried_[id] = true;
    note_twin(id, *placed);
    note_taken_from(id);
    changed_in(placed->status.id.device, *from);
    if (const auto around = targets_.open(it.folder)) changed_in(placed->status.id.device, *around);
    sources_.forget(entry(id).inside);
    if (it.inside != no_folder) {
        targets_.forget(it.inside);
        finals_.rename(it.inside, placed->name);
        finals_.set_identity(it.inside, placed->status.id);
    }
    receipt_item(id).moved_whole = true;
    settle_placed(id, *placed);
    return true;
}

/// An item that came along inside a renamed folder: looked at in its new place, so that the receipt is true.
void Runner::step_carried(ItemId id) {
    const Item& it = item(id);
    carried_[id] = true;
    const auto folder = targets_.open(it.folder);
    const auto& name = plan_.name(it);
    auto status = folder ? disk_.status(**folder, name) : Result<Status>(failure(folder.error()));
    // where it cannot be looked at, it is what it was: the rename has moved it, whatever the look says
    if (!status && status.error().fault != Fault::not_found) status = entry(id).status;
    if (!status)
        return fail(id, {Fault::changed_meanwhile, 0, "was taken away while its folder moved",
                         plan_.source_path(it)});
    if (it.inside != no_folder) finals_.set_identity(it.inside, status->id);
    receipt_item(id).moved_whole = true;
    if (status->type == FileType::file) say_bytes(status->id.size_bytes);
    settle_placed(id, {name, *status});
}

void Runner::remember_source_folder(EntryId entry) {
    const Entry& folder = plan_.batch->entries[entry];
    const auto handle = sources_.open(folder.inside);
    auto attributes = handle ? disk_.attributes(**handle) : Result<Attributes>(failure(handle.error()));
    if (attributes) emptied_.push_back({entry, std::move(*attributes)});
}

/// Undo of a folder that was made: it goes when it is empty again. What it was like is noted before, with its
/// group, so that an undo of the undo can make it again whatever happens in between; of one that stays the
/// note says nothing new.
void Runner::step_removal(ItemId id) {
    if (item(id).takes_back != no_item && not_made_again_.contains(item(id).takes_back))
        return fail(id, {Fault::refused, 0, "stays, as the folder that it was could not be made again",
                         plan_.source_path(item(id))});
    const Entry& source = entry(id);
    const auto parent = sources_.open(source.folder);
    const auto handle =
        parent ? disk_.open_folder_in(**parent, source.name) : Result<Handle>(failure(parent.error()));
    if (handle)
        if (auto attributes = disk_.attributes(*handle))
            records_.folders.push_back({false, plan_.source_path(item(id)), std::move(*attributes), {}});
    group_.add({id, Work::Kind::remove_folder});
}

void Runner::remove_folder(ItemId id) {
    const Entry& source = entry(id);
    const auto parent = sources_.open(source.folder);
    const auto now = parent ? disk_.status(**parent, source.name) : Result<Status>(failure(parent.error()));
    // it went before the run was interrupted, and what it had displaced may be back in its place by now
    const bool gone = now ? !now->id.could_be(source.status.id) : now.error().fault == Fault::not_found;
    if (gone && resumption_ != nullptr) return settle(id, Outcome::created);
    if (!now) return fail(id, now.error());
    if (now->type != FileType::folder || !now->id.could_be(source.status.id))
        return leave_undecided(id, "is another one than was made");
    auto removed = disk_.remove_empty_folder(**parent, source.name);
    if (!removed && removed.error().fault == Fault::no_permission && lend_write(*parent))
        removed = disk_.remove_empty_folder(**parent, source.name);
    const auto left =
        removed ? Result<Status>(failure(Fault::not_found, "", "")) : disk_.status(**parent, source.name);
    if (!left && left.error().fault == Fault::not_found) removed = Result<void>{};
    if (!removed && removed.error().fault == Fault::name_taken) {
        // one that was made writable before the undo was interrupted, so that it could be emptied, is as it
        // was again
        if (resumption_ != nullptr && now->mode == (source.status.mode | 0300U) &&
            now->mode != source.status.mode)
            if (const auto inside = disk_.open_folder_in(**parent, source.name))
                (void)disk_.set_mode(*inside, source.status.mode);
        receipt_item(id).error = "still holds something, and stays";
        return settle(id, Outcome::skipped);
    }
    if (!removed) return fail(id, removed.error());
    changed_in(now->id.device, *parent);
    settle(id, Outcome::created);
}

}  // namespace tavlo
