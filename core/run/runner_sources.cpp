// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/path.h"
#include "names/names.h"
#include "run/runner.h"

namespace tavlo {

// Sources of a move between file systems: they go last, and what is known of them is what is seen.

namespace {
constexpr unsigned max_names_for_returned =
    100;  // counted up, where somebody has the name of one that comes back
}  // namespace

/// The copy is durable and verified: the source goes, if it still is what was copied. It is first given a
/// name of our own, so that a file that somebody put in its place at the last instant is seen and put back,
/// not removed.
void Runner::remove_source(Work& work) {
    if (!work.placed) return;
    const auto folder = source_folder(work.item);
    if (!folder) return take_back(work, folder.error());
    const Identity& read = work.copy ? work.copy->source.id : entry(work.item).status.id;
    if (auto touched = durable_.touch(read.device, **folder); !touched)
        return take_back(work, touched.error());
    const std::string leaving = leaving_name(head_.id, number(work.item));
    if (auto away = move_seen(disk_, **folder, source_name(work.item), **folder, leaving, read); !away)
        return take_back(work, away.error());
    const auto now = disk_.status(**folder, leaving);
    if (!now) return take_back(work, now.error());
    if (now->id != read)
        return take_back(work, {Fault::changed_meanwhile, 0, "changed after it was read",
                                plan_.source_path(item(work.item))});
    if (work.copy) {
        const auto opened = disk_.open_file(**folder, leaving);
        if (opened && disk_.writer(opened->file) == Writer::some)
            return take_back(work, {Fault::refused, 0, "is open for writing elsewhere, and stays",
                                    plan_.source_path(item(work.item))});
    }
    if (auto gone = remove_seen(disk_, **folder, leaving); !gone) return take_back(work, gone.error());
    settle_moved(work);
}

void Runner::settle_moved(Work& work) {
    note_taken_from(work.item);
    if (const auto folder = source_folder(work.item)) changed_in(entry(work.item).status.id.device, *folder);
    settle_placed(work.item, *work.placed);
}

/// What there is to be seen of a source that was to go; it has its name again where it had the one it leaves
/// by.
Runner::Standing Runner::source_standing(const Work& work) {
    const auto folder = source_folder(work.item);
    if (!folder) return Standing::unknown;
    const Identity& read = work.copy ? work.copy->source.id : entry(work.item).status.id;
    const std::string leaving = leaving_name(head_.id, number(work.item));
    if (const auto away = disk_.status(**folder, leaving)) {
        std::string back = source_name(work.item);
        auto moved = move_seen(disk_, **folder, leaving, **folder, back, away->id);
        for (unsigned count = 2;
             !moved && moved.error().fault == Fault::name_taken && count < max_names_for_returned; ++count) {
            back =
                numbered_name(source_name(work.item), FileType::file, count);  // somebody has its name by now
            moved = move_seen(disk_, **folder, leaving, **folder, back, away->id);
        }
        if (!moved) return Standing::unknown;
        return away->id == read ? Standing::whole : Standing::other;
    } else if (away.error().fault != Fault::not_found) {
        return Standing::unknown;
    }
    const auto here = disk_.status(**folder, source_name(work.item));
    if (!here) return here.error().fault == Fault::not_found ? Standing::gone : Standing::unknown;
    return here->id == read ? Standing::whole : Standing::other;
}

/// A source that could not go stays, so its copy goes again, and what the copy had displaced comes back; but
/// only while the source is seen standing, whole. Of one that is gone the copy is all there is; of one that
/// was changed it goes to the Safe (promise 12).
void Runner::take_back(Work& work, Error why) {
    if (!work.placed) return fail(work.item, why);
    const Standing standing = source_standing(work);
    if (standing == Standing::gone) return settle_moved(work);
    const auto into = targets_.open(item(work.item).folder);
    const std::string place = into ? join((*into)->path(), work.placed->name) : work.placed->name;
    const auto copy_stays = [&] {
        why.fault = Fault::io;
        why.step += "; its copy stays at " + place;
        if (work.placed->set_aside) {
            records_.set_aside.push_back(*work.placed->set_aside);
            receipt_item(work.item).set_aside = work.placed->set_aside->id;
        }
        fail(work.item, why);
    };
    if (!into || standing == Standing::unknown) return copy_stays();
    const auto own = safe_->slot(**into);
    if (!own) return copy_stays();
    const auto away = set_aside(disk_, *own, **into, work.placed->name, work.placed->status.id);
    if (!away) {
        note_left_in(*own, work.item);
        return copy_stays();
    }
    for (const auto& changed : {*into, own->folder, own->shelf}) changed_in(own->device, changed);
    const bool dropped = standing == Standing::whole && remove_seen(disk_, *own->folder, work.placed->name);
    if (dropped) SafeFolder::drop(disk_, *own);
    if (!dropped) {
        records_.set_aside.push_back(*away);
        receipt_item(work.item).set_aside = away->id;
        why.step += "; its copy lies in the Safe";
    }
    if (work.placed->set_aside) bring_displaced_back(*work.placed, **into, why, work.item);
    fail(work.item, why);
}

void Runner::bring_displaced_back(const Placed& placed, const Handle& into, Error& why, ItemId id) {
    const SafeEntry& old = *placed.set_aside;
    auto slot = open_slot(disk_, old);
    const auto back =
        slot ? move_seen(disk_, *slot, std::string(name_of(old.stored)), into, placed.name, old.identity)
             : Result<void>(failure(slot.error()));
    if (back) {
        changed_in(old.identity.device, std::make_shared<const Handle>(std::move(*slot)));
        return;
    }
    records_.set_aside.push_back(old);
    receipt_item(id).set_aside = old.id;
    why.fault = Fault::io;
    why.step += "; what was there before lies in the Safe";
}

}  // namespace tavlo
