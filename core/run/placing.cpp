// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/placing.h"

#include "files/path.h"
#include "keep/store.h"
#include "names/names.h"

namespace tavlo {

bool is_expected(const Status& found, const Identity& expected) {
    return found.type == FileType::folder ? found.id.could_be(expected) : found.id == expected;
}

bool is_still_it(const Status& found, const Identity& then) {
    return then.inodes_last() ? found.id.same_thing(then) : is_expected(found, then);
}

namespace {

Error changed(const Handle& folder, const std::string& name) {
    return {Fault::changed_meanwhile, 0, "is not the one that the decision was made about",
            join(folder.path(), name)};
}

/// A call that failed may have been carried out: then the thing stands there.
Result<void> appear(FileSystem& disk, const Ready& ready, const Handle& folder, const std::string& name) {
    auto appeared = ready.appear(folder, name);
    if (appeared || appeared.error().fault == Fault::cancelled) return appeared;
    const auto there = disk.status(folder, name);
    if (there && ready.is_it(folder, name, *there)) return {};
    return appeared;
}

/// And one that failed to take it away again may have done so.
Result<void> withdraw(FileSystem& disk, const Ready& ready, const Handle& folder, const std::string& name) {
    auto back = ready.withdraw(folder, name);
    if (back) return back;
    const auto there = disk.status(folder, name);
    if (!there && there.error().fault == Fault::not_found) return {};
    return back;
}

/// What has just taken its name is there, whatever a look at it says: so one that fails is taken again before
/// the item counts as failed, and then it says where the thing may stand.
Result<Status> look_at_placed(FileSystem& disk, const Handle& folder, const std::string& name) {
    auto status = disk.status(folder, name);
    if (!status) status = disk.status(folder, name);
    if (status) return status;
    Error error = status.error();
    error.step += "; it was put in place, and may stand at " + join(folder.path(), name);
    return failure(std::move(error));
}

/// For file systems without RENAME_EXCHANGE: the old one goes first, so the name is free for an instant;
/// should somebody take it then, that one stays, the new one goes back, and the old one is put back where it
/// can be or stays in the Safe.
Result<void> trade_in_two_steps(FileSystem& disk, const Handle& slot, const Handle& folder,
                                const std::string& name) {
    const std::string kept = name_while_traded(name);
    const auto old = disk.status(folder, name);
    const auto fresh = disk.status(slot, name);
    if (!old || !fresh) return failure(old ? fresh.error() : old.error());
    if (auto away = move_seen(disk, folder, name, slot, kept, old->id); !away) return away;
    if (auto taken = move_seen(disk, slot, name, folder, name, fresh->id); !taken) {
        if (auto back = move_seen(disk, slot, kept, folder, name, old->id); !back) {
            Error error = back.error();
            error.step += "; what was there lies in " + slot.path();
            return failure(std::move(error));
        }
        return taken;
    }
    return move_seen(disk, slot, kept, slot, name, old->id);
}

}  // namespace

std::string name_while_traded(const std::string& name) {
    return name.size() < 250 ? name + ".old" : name.substr(0, 250) + ".old";
}

Result<void> move_seen(FileSystem& disk, const Handle& from, const std::string& name, const Handle& to,
                       const std::string& new_name, const Identity& moved) {
    auto done = disk.move_to_free_name(from, name, to, new_name);
    if (done) return done;
    const auto left = disk.status(from, name);
    const auto there = disk.status(to, new_name);
    const bool is_gone = !left && left.error().fault == Fault::not_found;
    if (is_gone && there && there->id.could_be(moved)) return {};
    return done;
}

Result<void> remove_seen(FileSystem& disk, const Handle& folder, const std::string& name) {
    auto done = disk.remove_file(folder, name);
    if (done) return done;
    const auto left = disk.status(folder, name);
    if (!left && left.error().fault == Fault::not_found) return {};
    return done;
}

Result<void> trade(FileSystem& disk, const Handle& slot, const Handle& folder, const std::string& name) {
    auto traded = disk.exchange(slot, name, folder, name);
    if (traded || traded.error().fault != Fault::unsupported) return traded;
    return trade_in_two_steps(disk, slot, folder, name);
}

SafeEntry entry_for(const std::string& id, const std::string& slot_path, const std::string& original,
                    const Status& status) {
    SafeEntry entry;
    entry.id = id;
    entry.original = original;
    entry.stored = join(slot_path, name_of(original));
    entry.receipt = id.substr(0, id.rfind('.'));
    entry.type = status.type;
    entry.identity = status.id;
    return entry;
}

Result<Placed> place_at_free_name(FileSystem& disk, const Handle& folder, const std::string& name,
                                  const std::string& count_from, FileType type, const Ready& ready) {
    std::string candidate = name;
    auto taken = appear(disk, ready, folder, candidate);
    for (unsigned number = 2; !count_from.empty() && !taken && taken.error().fault == Fault::name_taken;
         ++number) {
        candidate = numbered_name(count_from, type, number);
        taken = appear(disk, ready, folder, candidate);
    }
    if (!taken) return failure(taken.error());
    const auto status = look_at_placed(disk, folder, candidate);
    if (!status) return failure(status.error());
    return Placed{candidate, *status};
}

Result<Placed> place_over(FileSystem& disk, const Slot& slot, const Handle& folder, const std::string& name,
                          const Identity& expected, const Ready& ready) {
    const auto now = disk.status(folder, name);
    const auto unused = [&](Error error) {
        SafeFolder::drop(disk, slot);
        return failure(std::move(error));
    };
    if (!now && now.error().fault == Fault::not_found) {
        SafeFolder::drop(disk, slot);
        return place_at_free_name(disk, folder, name, {}, FileType::file, ready);
    }
    if (!now) return unused(now.error());
    if (!is_expected(*now, expected)) return unused(changed(folder, name));
    if (auto waiting = appear(disk, ready, *slot.folder, name); !waiting) return unused(waiting.error());
    const auto give_up = [&](Error error) -> Result<Placed> {
        // should this fail too, the new one stays in the Safe's slot: nothing is lost, and the item says so
        if (auto back = withdraw(disk, ready, *slot.folder, name); !back) {
            error.fault = Fault::io;  // nothing that going on would mend
            error.step += "; what should have arrived lies in " + slot.path;
        }
        return unused(std::move(error));
    };
    const auto has_traded = [&] {
        const auto in_slot = disk.status(*slot.folder, name);
        return in_slot && is_expected(*in_slot, expected);
    };
    if (auto traded = trade(disk, *slot.folder, folder, name); !traded && !has_traded()) {
        Error error = traded.error();
        if (error.fault == Fault::not_found) error.fault = Fault::changed_meanwhile;
        return give_up(std::move(error));
    }
    const auto out = disk.status(*slot.folder, name);
    if (!out || !is_expected(*out, expected)) {
        if (auto back = trade(disk, *slot.folder, folder, name); !back) {
            Error error = back.error();
            error.step += "; what stood there lies in " + slot.path;
            return failure(std::move(error));
        }
        return give_up(out ? changed(folder, name) : out.error());
    }
    const auto placed = look_at_placed(disk, folder, name);
    if (!placed) return failure(placed.error());
    return Placed{name, *placed, entry_for(slot.entry, slot.path, join(folder.path(), name), *out)};
}

Result<SafeEntry> set_aside(FileSystem& disk, const Slot& slot, const Handle& folder, const std::string& name,
                            const Identity& expected) {
    const auto now = disk.status(folder, name);
    const auto unused = [&](Error error) {
        SafeFolder::drop(disk, slot);
        return failure(std::move(error));
    };
    if (!now) return unused(now.error());
    if (!is_expected(*now, expected)) return unused(changed(folder, name));
    if (auto moved = move_seen(disk, folder, name, *slot.folder, name, now->id); !moved)
        return unused(moved.error());
    const auto out = disk.status(*slot.folder, name);
    if (!out || !is_expected(*out, expected)) {
        if (auto back = disk.move_to_free_name(*slot.folder, name, folder, name); !back) {
            Error error = back.error();
            error.step += "; what stood there lies in " + slot.path;
            return failure(std::move(error));
        }
        return unused(out ? changed(folder, name) : out.error());
    }
    return entry_for(slot.entry, slot.path, join(folder.path(), name), *out);
}

}  // namespace tavlo
