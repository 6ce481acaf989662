#include "run/placing.h"

#include "files/path.h"
#include "keep/store.h"
#include "plan/names.h"

namespace tavlo {

bool is_expected(const Status& found, const Identity& expected) {
    if (!found.id.same_thing(expected)) return false;
    return found.type == FileType::folder || found.id == expected;
}

namespace {

Error changed(const Handle& folder, const std::string& name) {
    return {Fault::changed_meanwhile, 0, "is not the one that the decision was made about", join(folder.path(), name)};
}

/// What has just taken its name is there, whatever a look at it says: so one that fails is taken again before the item counts as failed,
/// and then it says where the thing may stand.
Result<Status> look_at_placed(FileSystem& disk, const Handle& folder, const std::string& name) {
    auto status = disk.status(folder, name);
    if (!status) status = disk.status(folder, name);
    if (status) return status;
    Error error = status.error();
    error.step += "; it was put in place, and may stand at " + join(folder.path(), name);
    return failure(std::move(error));
}

/// For file systems without RENAME_EXCHANGE: the old one goes first, so the name is free for an instant; should somebody
/// take it then, that one stays, the new one goes back, and the old one is put back where it can be or stays in the Safe.
Result<void> trade_in_two_steps(FileSystem& disk, const Handle& slot, const Handle& folder, const std::string& name) {
    const std::string kept = name.size() < 250 ? name + ".old" : name.substr(0, 250) + ".old";
    if (auto away = disk.move_to_free_name(folder, name, slot, kept); !away) return away;
    if (auto taken = disk.move_to_free_name(slot, name, folder, name); !taken) {
        if (auto back = disk.move_to_free_name(slot, kept, folder, name); !back) return back;
        return taken;
    }
    return disk.move_to_free_name(slot, kept, slot, name);
}

}  // namespace

Result<void> trade(FileSystem& disk, const Handle& slot, const Handle& folder, const std::string& name) {
    auto traded = disk.exchange(slot, name, folder, name);
    if (traded || traded.error().fault != Fault::unsupported) return traded;
    return trade_in_two_steps(disk, slot, folder, name);
}

std::string leaving_name(const std::string& receipt, std::uint64_t item) { return ".tavlo-part-" + receipt + "-" + std::to_string(item); }

SafeEntry entry_for(const std::string& id, const std::string& slot_path, const std::string& original, const Status& status) {
    SafeEntry entry;
    entry.id = id;
    entry.original = original;
    entry.stored = join(slot_path, name_of(original));
    entry.receipt = id.substr(0, id.rfind('.'));
    entry.type = status.type;
    entry.identity = status.id;
    entry.set_aside_ns = now_ns();
    return entry;
}

Result<Placed> place_at_free_name(FileSystem& disk, const Handle& folder, const std::string& name, const std::string& count_from,
                                  FileType type, const Ready& ready) {
    std::string candidate = name;
    auto taken = ready.appear(folder, candidate);
    for (unsigned number = 2; !count_from.empty() && !taken && taken.error().fault == Fault::name_taken; ++number) {
        candidate = numbered_name(count_from, type, number);
        taken = ready.appear(folder, candidate);
    }
    if (!taken) return failure(taken.error());
    const auto status = look_at_placed(disk, folder, candidate);
    if (!status) return failure(status.error());
    return Placed{candidate, *status};
}

Result<Placed> place_over(FileSystem& disk, const Slot& slot, const Handle& folder, const std::string& name, const Identity& expected,
                          const Ready& ready) {
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
    if (auto waiting = ready.appear(slot.folder, name); !waiting) return unused(waiting.error());
    const auto give_up = [&](Error error) -> Result<Placed> {
        // should this fail too, the new one stays in the Safe's slot: nothing is lost, and the item says so
        if (auto back = ready.withdraw(slot.folder, name); !back) {
            error.fault = Fault::io;  // nothing that going on would mend
            error.step += "; what should have arrived lies in " + slot.path;
        }
        return unused(std::move(error));
    };
    if (auto traded = trade(disk, slot.folder, folder, name); !traded) {
        Error error = traded.error();
        if (error.fault == Fault::not_found) error.fault = Fault::changed_meanwhile;
        return give_up(std::move(error));
    }
    const auto out = disk.status(slot.folder, name);
    if (!out || !is_expected(*out, expected)) {
        if (auto back = trade(disk, slot.folder, folder, name); !back) return failure(back.error());
        return give_up(out ? changed(folder, name) : out.error());
    }
    const auto placed = look_at_placed(disk, folder, name);
    if (!placed) return failure(placed.error());
    return Placed{name, *placed, entry_for(slot.entry, slot.path, join(folder.path(), name), *out)};
}

Result<SafeEntry> set_aside(FileSystem& disk, const Slot& slot, const Handle& folder, const std::string& name, const Identity& expected) {
    const auto now = disk.status(folder, name);
    const auto unused = [&](Error error) {
        SafeFolder::drop(disk, slot);
        return failure(std::move(error));
    };
    if (!now) return unused(now.error());
    if (!is_expected(*now, expected)) return unused(changed(folder, name));
    if (auto moved = disk.move_to_free_name(folder, name, slot.folder, name); !moved) return unused(moved.error());
    const auto out = disk.status(slot.folder, name);
    if (!out || !is_expected(*out, expected)) {
        if (auto back = disk.move_to_free_name(slot.folder, name, folder, name); !back) return failure(back.error());
        return unused(out ? changed(folder, name) : out.error());
    }
    return entry_for(slot.entry, slot.path, join(folder.path(), name), *out);
}

}  // namespace tavlo
