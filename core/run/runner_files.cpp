#include <unistd.h>

#include <algorithm>
#include <thread>

#include "files/path.h"
#include "plan/names.h"
#include "run/parallel.h"
#include "run/runner.h"

namespace tavlo {

namespace {

// few files are made durable one by one; more with one call for the whole file system
constexpr std::ptrdiff_t few_files = 8;
// so much waits until it is read and written, so that a group's time is kept
constexpr std::size_t staged_at_once = 64;
constexpr std::uint64_t staged_at_once_bytes = 8 * 1024 * 1024;

}  // namespace

std::string Runner::link_key(const Identity& id) { return std::to_string(id.device) + ':' + std::to_string(id.inode); }

Result<std::shared_ptr<const Handle>> Runner::source_folder(ItemId id) {
    if (plan_.leaves(item(id))) return targets_.open(item(id).folder);
    return sources_.open(entry(id).real ? entry(id).real->folder : entry(id).folder);
}

const std::string& Runner::source_name(ItemId id) const { return entry(id).real ? entry(id).real->name : entry(id).name; }

void Runner::note_taken_from(ItemId id) {
    if (!plan_.leaves(item(id))) took_from_[plan_.batch->place_of(entry(id)).folder] = true;
}

/// The next twin that wants this name is decided about against what is there by then.
void Runner::note_twin(ItemId id, const Placed& placed) {
    const Item& it = item(id);
    if (it.collision && it.collision->finding == Finding::twin)
        placed_twins_[join(finals_.path(it.folder), placed.name)] = placed.status.id;
}

/// The name of a hard-linked file that was placed first, or is about to be; none where that failed.
Runner::PlacedFile Runner::first_of_link(ItemId id) const {
    const auto found = first_of_links_.find(link_key(entry(id).status.id));
    return found == first_of_links_.end() ? PlacedFile{} : found->second;
}

/// A decision is about two things: when the incoming one is no longer the one that was compared, it does not hold.
bool Runner::is_the_agreed_source(ItemId id, const Status& now) {
    const Status& then = entry(id).status;
    if (now.type != then.type || !now.id.same_thing(then.id)) {
        fail(id, {Fault::changed_meanwhile, 0, "is another one than was looked at", plan_.source_path(item(id))});
        return false;
    }
    if ((item(id).collision || item(id).makes_room) && now.id != then.id) {
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
    const bool taking_back = plan_.operation == Operation::undo || plan_.operation == Operation::restore;
    const FileType type = entry(id).status.type;
    const Error special{Fault::unsupported, 0, "is a fifo, socket or device, which is left alone", plan_.source_path(it)};
    if (type == FileType::other && !taking_back) return fail(id, special);
    if (finals_.identity(it.folder).device == 0)
        if (const auto status = disk_.status(*into)) finals_.set_identity(it.folder, status->id);
    const bool renames = moves && !copy_instead_[id] && entry(id).status.id.device == finals_.identity(it.folder).device;
    const bool links = type == FileType::file && entry(id).status.links > 1 && first_of_links_.contains(link_key(entry(id).status.id));
    const bool is_read = type == FileType::file && !renames && !links;  // then it is looked at as it is opened
    if (!is_read && !still_the_agreed_source(id, **from)) return;
    if (renames) {
        group_.push_back({id, Work::Kind::rename});
        return;
    }
    if (type == FileType::other) return fail(id, special);
    if (moves)
        if (auto may = disk_.may_write(**from); !may) return fail(id, may.error());
    Work work{id};
    work.remove_source = moves;
    if (type == FileType::link) {
        const Status& status = entry(id).status;
        work.kind = Work::Kind::link;
        work.link_attributes = Attributes{status.mode, status.owner, status.group, status.accessed_ns, status.id.modified_ns, {}};
    } else if (links) {
        work.kind = Work::Kind::hard_link;
    } else {
        work.from = *from;
        work.into = into;
        ++waiting_;
        waiting_bytes_ += entry(id).status.id.size_bytes;
        group_bytes_ += entry(id).status.id.size_bytes;
        // known from now on, so that its other names in the group become links to it; where it is not placed after all,
        // they are staged themselves
        if (entry(id).status.links > 1) first_of_links_[link_key(entry(id).status.id)] = {};
    }
    group_.push_back(std::move(work));
    if (waiting_ >= staged_at_once || waiting_bytes_ >= staged_at_once_bytes) stage_waiting();
}

bool Runner::reads_back(const Work& work) const {
    return options_.verify == Verify::read_back || (work.remove_source && options_.verify == Verify::automatic);
}

/// Reads and writes the files that wait for it, some at a time.
void Runner::stage_waiting() {
    std::vector<Work*> waiting;
    for (Work& work : group_)
        if (work.from) waiting.push_back(&work);
    std::vector<std::optional<Result<StagedCopy>>> staged(waiting.size());
    in_parallel(threads_, waiting.size(), [&](std::size_t at) {
        const Work& work = *waiting[at];
        say_at_hand(work.item);
        staged[at].emplace(
            stage_copy(disk_, *work.from, source_name(work.item), *work.into, reads_back(work) || work.remove_source, meter()));
    });
    // one that found no room while a larger neighbour had taken it for a moment has its turn alone
    for (std::size_t at = 0; at < waiting.size() && waiting.size() > 1; ++at) {
        Work& work = *waiting[at];
        if (staged[at]->has_value() || staged[at]->error().fault != Fault::no_space) continue;
        const auto volume = disk_.volume(*work.into);
        if (!volume || volume->free_bytes < entry(work.item).status.allocated_bytes) continue;
        staged[at].emplace(
            stage_copy(disk_, *work.from, source_name(work.item), *work.into, reads_back(work) || work.remove_source, meter()));
    }
    for (std::size_t at = 0; at < waiting.size(); ++at) take_staged(*waiting[at], std::move(*staged[at]));
    waiting_ = 0;
    waiting_bytes_ = 0;
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

/// Before anything takes a name: the group's bytes are durable, what is to be verified is read back, and the journal says what
/// is about to happen. The journal is written while the disk works on the bytes.
Result<void> Runner::make_durable_and_note() {
    const auto staged = std::count_if(group_.begin(), group_.end(), [](const Work& work) { return work.copy.has_value(); });
    Result<void> noted;
    if (staged > few_files) {
        const auto any = std::find_if(group_.begin(), group_.end(), [](const Work& work) { return work.copy.has_value(); });
        Result<void> synced;
        {
            const std::jthread syncing([&] { synced = disk_.sync_volume(any->copy->staged.file()); });
            noted = journal_group();
        }
        if (!synced)
            for (Work& work : group_) drop(work, synced.error());
    } else {
        for (Work& work : group_)
            if (work.copy)
                if (auto synced = disk_.sync(work.copy->staged.file()); !synced) drop(work, synced.error());
        noted = journal_group();
    }
    for (Work& work : group_)
        if (work.copy && !work.dropped && reads_back(work))
            if (auto verified = verify_staged(disk_, *work.copy, meter()); !verified) drop(work, verified.error());
    return noted;
}

/// Nothing of it takes a name.
void Runner::drop(Work& work, const Error& why) {
    if (work.dropped || results_[work.item] != Outcome::planned) return;
    work.dropped = true;
    if (work.slot) SafeFolder::drop(disk_, *work.slot);
    fail(work.item, why);
}

/// Which name is counted up from, should the planned one be taken by then; empty where nothing was to be renamed.
std::string Runner::count_from(ItemId id) const {
    const Item& it = item(id);
    if (it.outcome != Outcome::renamed) return {};
    return counted_from(plan_.name(it), plan_.final_name(it), it.inside == no_folder ? FileType::file : FileType::folder);
}

Ready Runner::ready_for(Work& work) {
    const ItemId id = work.item;
    const auto unlink = [this](const Handle& folder, const std::string& name) { return disk_.remove_file(folder, name); };
    switch (work.kind) {
        case Work::Kind::staged:
            return {[this, &work](const Handle& folder, const std::string& name) {
                        return disk_.take_free_name(work.copy->staged, folder, name);
                    },
                    unlink};
        case Work::Kind::hard_link:
            return {[this, id](const Handle& folder, const std::string& name) -> Result<void> {
                        const PlacedFile first = first_of_link(id);
                        if (first.name.empty()) return failure(Fault::other_file_system, "its other name did not arrive", "");
                        const auto holder = targets_.open(first.folder);
                        if (!holder) return failure(holder.error());
                        const auto now = disk_.status(**holder, first.name);
                        if (!now || now->id != first.id) return failure(Fault::other_file_system, "its other name is gone", "");
                        return disk_.link_file(**holder, first.name, folder, name);
                    },
                    unlink};
        case Work::Kind::link:
            return {[this, id, &work](const Handle& folder, const std::string& name) -> Result<void> {
                        if (auto made = disk_.make_link(folder, name, entry(id).points_at); !made) return made;
                        // a link that is there without its date is there all the same
                        if (!disk_.set_link_attributes(folder, name, *work.link_attributes)) receipt_item(id).not_kept = "times";
                        return {};
                    },
                    unlink};
        case Work::Kind::rename:
        case Work::Kind::take_away:
        case Work::Kind::remove_folder: break;
    }
    return {[this, id](const Handle& folder, const std::string& name) -> Result<void> {
                const auto from = source_folder(id);
                if (!from) return failure(from.error());
                return disk_.move_to_free_name(**from, source_name(id), folder, name);
            },
            [this, id](const Handle& folder, const std::string& name) -> Result<void> {
                const auto from = source_folder(id);
                if (!from) return failure(from.error());
                return disk_.move_to_free_name(folder, name, **from, source_name(id));
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
    const std::string place = join(finals_.path(it.folder), name);
    const FileType type = it.inside == no_folder ? FileType::file : FileType::folder;
    const auto placed = work.slot ? place_over(disk_, *work.slot, **into, name, expected_at(id, place), ready)
                                  : place_at_free_name(disk_, **into, name, count_from(id), type, ready);
    if (!placed) {
        switch (placed.error().fault) {
            case Fault::other_file_system:  // a mount of the same device, or a first name that is gone: copy instead
                if (copy_instead_[id]) return fail(id, placed.error());
                copy_instead_[id] = true;
                first_of_links_.erase(link_key(entry(id).status.id));
                work.remove_source = false;
                again_.push_back(id);
                return;
            case Fault::name_taken: return leave_undecided(id, "the name was taken meanwhile");
            case Fault::changed_meanwhile: return leave_undecided(id, reason(placed.error()));
            default: return fail(id, placed.error());
        }
    }
    if (work.kind == Work::Kind::rename && !placed->status.id.same_thing(entry(id).status.id)) {
        if (auto back = ready.withdraw(**into, placed->name); !back) return fail(id, back.error());
        return fail(id, {Fault::changed_meanwhile, 0, "is another one than was looked at", plan_.source_path(it)});
    }
    note_twin(id, *placed);
    if (work.kind == Work::Kind::rename) {
        note_taken_from(id);
        if (events_.bytes && entry(id).status.type == FileType::file) events_.bytes(entry(id).status.id.size_bytes);
    }
    if (work.kind == Work::Kind::staged && entry(id).status.links > 1)
        first_of_links_[link_key(entry(id).status.id)] = {it.folder, placed->name, placed->status.id, work.copy->hash};
    if (work.kind == Work::Kind::hard_link) receipt_item(id).hash = first_of_link(id).hash;
    if (!work.remove_source) return settle_placed(id, *placed);
    // the receipt waits until the source is gone; what is known so far is kept with it
    work.placed = *placed;
}

void Runner::take_away(Work& work) {
    const Entry& source = entry(work.item);
    const auto folder = source_folder(work.item);
    if (!folder) return fail(work.item, folder.error());
    const auto entry = set_aside(disk_, *work.slot, **folder, source.name, source.status.id);
    if (!entry && (entry.error().fault == Fault::changed_meanwhile || entry.error().fault == Fault::not_found))
        return leave_undecided(work.item, "was changed since");
    if (!entry) return fail(work.item, entry.error());
    receipt_item(work.item).set_aside = entry->id;
    records_.set_aside.push_back(*entry);
    settle(work.item, Outcome::created);
}

/// The copy is durable and verified: the source goes, if it still is what was copied. It is first given a name of our
/// own, so that a file that somebody put in its place at the last instant is seen and put back, not removed.
void Runner::remove_source(Work& work) {
    if (!work.placed) return;
    const auto folder = source_folder(work.item);
    if (!folder) return take_back(work, folder.error());
    const std::string leaving = leaving_name(head_.id, number(work.item));
    if (auto away = disk_.move_to_free_name(**folder, source_name(work.item), **folder, leaving); !away)
        return take_back(work, away.error());
    const auto put_back = [&](Error why) {
        if (auto back = disk_.move_to_free_name(**folder, leaving, **folder, source_name(work.item)); !back) {
            why.fault = Fault::io;
            why.step += "; the source now has the name " + leaving;
        }
        take_back(work, std::move(why));
    };
    const auto now = disk_.status(**folder, leaving);
    if (!now) return put_back(now.error());
    const Identity& read = work.copy ? work.copy->source.id : entry(work.item).status.id;
    if (now->id != read) return put_back({Fault::changed_meanwhile, 0, "changed after it was read", plan_.source_path(item(work.item))});
    if (auto gone = disk_.remove_file(**folder, leaving); !gone) return put_back(gone.error());
    note_taken_from(work.item);
    settle_placed(work.item, *work.placed);
}

/// A source that could not go stays, so its copy goes again; what the copy had displaced comes back.
void Runner::take_back(Work& work, Error why) {
    if (!work.placed) return fail(work.item, why);
    const auto into = targets_.open(item(work.item).folder);
    if (into) {
        const auto own = safe_->slot(**into);
        auto away =
            own ? set_aside(disk_, *own, **into, work.placed->name, work.placed->status.id) : Result<SafeEntry>(failure(own.error()));
        if (!away) {
            why.fault = Fault::io;
            why.step += "; its copy stays at " + join((*into)->path(), work.placed->name);
        } else {
            const auto slot = disk_.open_folder(std::string(parent_of(away->stored)));
            if (slot) (void)disk_.remove_file(*slot, work.placed->name);
            SafeFolder::drop(disk_, *own);
            if (work.placed->set_aside) {
                const auto old = disk_.open_folder(std::string(parent_of(work.placed->set_aside->stored)));
                const auto back =
                    old ? disk_.move_to_free_name(*old, work.placed->name, **into, work.placed->name) : Result<void>(failure(old.error()));
                if (!back) {
                    records_.set_aside.push_back(*work.placed->set_aside);
                    receipt_item(work.item).set_aside = work.placed->set_aside->id;
                    why.fault = Fault::io;
                    why.step += "; what was there before lies in the Safe";
                }
            }
        }
    }
    fail(work.item, why);
}

}  // namespace tavlo
