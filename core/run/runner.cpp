#include "run/runner.h"

#include <unistd.h>

#include <algorithm>
#include <set>

#include "files/ancestors.h"
#include "files/own.h"
#include "files/path.h"
#include "run/parallel.h"
#include "run/pending_plan.h"

namespace tavlo {

namespace {

// a group is bounded in files, bytes and time, so that little is at stake and progress stays smooth
constexpr std::size_t group_files = 512;
constexpr std::size_t most_unrecorded = 4096;  // of items that need no note before they are done
constexpr std::uint64_t group_most_bytes = 64 * 1024 * 1024;
constexpr std::chrono::milliseconds group_time{1000};
constexpr std::chrono::milliseconds said_at_most_every{50};  // of the file at hand

std::vector<Identity> source_folders(const Batch& batch) {
    std::vector<Identity> ids;
    for (const Entry& entry : batch.entries)
        if (entry.parent == no_entry && entry.status.type == FileType::folder) ids.push_back(entry.status.id);
    return ids;
}

}  // namespace

Result<ReceiptHead> carry_out(FileSystem& disk, Store& store, const Plan& plan, const RunOptions& options, const RunEvents& events) {
    return Runner(disk, store, plan, nullptr, options, events).run();
}

Result<ReceiptHead> carry_on(FileSystem& disk, Store& store, const Plan& plan, const Resumption& resumption, const RunOptions& options,
                             const RunEvents& events) {
    return Runner(disk, store, plan, &resumption, options, events).run();
}

Runner::Runner(FileSystem& disk, Store& store, const Plan& plan, const Resumption* resumption, const RunOptions& options,
               const RunEvents& events)
    : disk_(disk),
      store_(store),
      plan_(plan),
      resumption_(resumption),
      options_(options),
      threads_(options.threads != 0 ? options.threads : useful_threads()),
      events_(events),
      finals_(plan.finals),
      sources_(disk, plan.batch->folders),
      targets_(disk, finals_),
      durable_(disk),
      results_(plan.items.size(), Outcome::planned),
      carried_(plan.items.size()),
      copy_instead_(plan.items.size()),
      took_from_(plan.batch->folders.size()) {}

Result<ReceiptHead> Runner::run() {
    if (auto begun = begin(); !begun) return failure(begun.error());
    if (!plan_.leaving.empty())
        if (auto records = disk_.open_folder(store_.folder()))
            if (auto above = ancestors(disk_, std::move(*records))) above_records_ = std::move(*above);
    wait_while_held();  // one that waits for its turn is in the journal, and has touched nothing
    const bool goes_elsewhere = plan_.operation != Operation::undo && !should_stop();
    const auto destination = goes_elsewhere ? make_destination() : Result<void>{};
    for (ItemId id = 0; id < plan_.items.size(); ++id) {
        wait_while_held();
        if (should_stop()) break;
        if (!destination) {
            fail(id, destination.error());
            continue;
        }
        if (auto stepped = step(id); !stepped) return failure(stepped.error());
    }
    if (auto flushed = flush(); !flushed) return failure(flushed.error());
    if (options_.more_follows && !should_stop()) {
        if (auto written = write_records(); !written) return failure(written.error());
        return head_;
    }
    if (!to_finish_.empty())  // a folder that has its own permissions would not be known for this run's any more
        if (auto written = write_records(); !written) return failure(written.error());
    finish_folders();
    give_back_lent();
    if (auto removed = remove_emptied_folders(); !removed) return failure(removed.error());
    if (auto ended = end(); !ended) return failure(ended.error());
    return head_;
}

Result<void> Runner::begin() {
    if (resumption_ != nullptr) {
        head_ = resumption_->head;
    } else {
        head_.started_ns = now_ns();
        head_.id = new_receipt_id(head_.started_ns);
        head_.operation = plan_.operation;
        head_.sentence = options_.sentence;
        head_.destination = plan_.destination;
        head_.undoes = plan_.undoes;
        head_.undoes_some = plan_.undoes_some;
        head_.may_lose = plan_.may_lose;
        head_.verify = static_cast<std::uint8_t>(options_.verify);
        std::set<std::string> roots{plan_.destination};
        for (const FolderTree* tree : {&plan_.batch->folders, &plan_.targets})
            for (FolderId id = 0; id < tree->size(); ++id)
                if (tree->parent(id) == no_folder) roots.insert(tree->name(id));
        head_.roots.assign(roots.begin(), roots.end());
        auto locked = store_.lock(head_.id);
        if (!locked) return failure(locked.error());
        lock_.emplace(std::move(*locked));
        ItemId next = 0;
        const auto pending = [&]() -> std::optional<PendingItem> {
            if (next == plan_.items.size()) return std::nullopt;
            return pending_item(plan_, next++);
        };
        if (auto begun = store_.begin(head_, pending); !begun) return begun;
    }
    head_.totals = {};
    if (events_.begun) {
        ReceiptHead planned = head_;
        planned.totals = plan_.totals;
        events_.begun(planned);
    }
    const bool reads_sources = plan_.operation == Operation::copy || plan_.operation == Operation::move;
    safe_ = std::make_unique<SafeFolder>(disk_, head_.id, reads_sources ? source_folders(*plan_.batch) : std::vector<Identity>{});
    if (plan_.operation == Operation::move)
        for (const EntryId id : plan_.dissolved) remember_source_folder(id);
    if (resumption_ != nullptr) {
        for (const FolderRest& rest : resumption_->rest) take_up(rest);
        for (const PlacedLink& link : resumption_->links)
            first_of_links_[link_key(link.source)] = {link.folder, link.name, link.placed, link.hash};
    }
    return note_volumes();
}

/// Before anything is touched: on which file systems, by what they are.
Result<void> Runner::note_volumes() {
    RunRecords records;
    records.volumes = volumes_of(disk_, plan_);
    if (resumption_ != nullptr) {
        const auto known = store_.volumes(head_.id);
        if (!known) return failure(known.error());
        std::erase_if(records.volumes, [&](const VolumeRecord& one) {
            return std::any_of(known->begin(), known->end(), [&](const VolumeRecord& other) {
                return one.device == other.device && one.identity == other.identity;
            });
        });
        if (records.volumes.empty()) return {};
    }
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

void Runner::changed_in(std::uint64_t device, const std::shared_ptr<const Handle>& folder) {
    if (durable_.touch(device, *folder)) durable_.changed(device, folder);
}

/// A folder that the run had made before it was interrupted still has to get its attributes, and its source may be empty.
void Runner::take_up(const FolderRest& rest) {
    const auto source = sources_.open(plan_.batch->entries[rest.source].inside);
    auto attributes = source ? disk_.attributes(**source) : Result<Attributes>(failure(source.error()));
    if (!attributes) return;  // gone by now: what it was like is no longer to be known
    attributes->modified_ns = rest.modified_ns;
    if (rest.mode) attributes->mode = *rest.mode;
    if (plan_.operation == Operation::move && rest.moves) {
        emptied_.push_back({rest.source, *attributes});
        took_from_[plan_.batch->entries[rest.source].inside] = true;
    }
    if (rest.made != no_folder) to_finish_.push_back({rest.made, std::move(*attributes), rest.number});
}

/// Made by this run before it was interrupted: still as private as a folder is while it is filled.
bool Runner::is_left_from_before(const Status& folder) const {
    return resumption_ != nullptr && folder.type == FileType::folder && folder.mode == 0700 && folder.owner == ::geteuid() &&
           folder.status_changed_ns >= head_.started_ns - kernel_tick_ns;
}

/// Makes the destination and the folders above it that are missing, each by a call that cannot replace anything.
Result<void> Runner::make_destination() {
    std::vector<std::string> missing;
    std::string existing = plan_.destination;
    auto handle = disk_.open_folder(existing);
    while (!handle && handle.error().fault == Fault::not_found && existing != "/") {
        missing.emplace_back(name_of(existing));
        existing = std::string(parent_of(existing));
        handle = disk_.open_folder(existing);
    }
    if (!handle) return failure(handle.error());
    for (auto name = missing.rbegin(); name != missing.rend(); ++name) {
        if (auto made = disk_.make_folder(*handle, *name, 0777); !made && made.error().fault != Fault::name_taken) return made;
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
    if (const Identity& known = finals_.identity(0); known.inode != 0 && !status->id.could_be(known))
        return failure(Fault::changed_meanwhile, "is no longer the folder that was looked at", plan_.destination);
    finals_.set_identity(0, status->id);
    return {};
}

Result<void> Runner::step(ItemId id) {
    const Item& it = item(id);
    receipt_item(id);
    switch (it.outcome) {
        case Outcome::skipped:
        case Outcome::undecided: settle(id, it.outcome); return {};
        case Outcome::failed: fail(id, *it.problem); return {};
        default: break;
    }
    if (follows_its_folder(id)) return {};
    const bool carried = it.along && carried_[it.parent];
    const bool is_folder = entry(id).status.type == FileType::folder;
    // names are taken and given up in the plan's order: what is in the group comes before a folder that needs them
    const bool needs_order = it.collision != nullptr || plan_.operation == Operation::undo;
    // a source that is to go once its copy is durable still holds the name that this item wants
    // (and in an undo, what an item takes away may have to come back first)
    const bool waits_for_name =
        (!leaving_.empty() && leaving_.contains(plan_.final_path(it))) || (!arriving_.empty() && arriving_.contains(plan_.source_path(it)));
    const bool removes = it.action == Action::remove_folder;  // in its order within the group, once sources have left it
    const bool waits_for_group = removes ? some_source_leaves() : waits_for_name || (is_folder && needs_order);
    if (waits_for_group && !group_.empty())
        if (auto flushed = flush(); !flushed) return flushed;
    if (carried) {
        step_carried(id);
    } else if (removes) {
        step_removal(id);
    } else if (it.action == Action::take_away) {
        const auto same = [&](const Identity& one) { return one.same_thing(entry(id).status.id); };
        if (std::any_of(above_records_.begin(), above_records_.end(), same))
            fail(id, {Fault::refused, 0, "holds Tavlo's own records, and stays", plan_.source_path(it)});
        else if (plan_.leaves(it) && holds_a_safe(id))
            fail(id, {Fault::refused, 0, "holds versions that were set aside, and stays", plan_.source_path(it)});
        else if (holds_mounts(id))
            fail(id, {Fault::refused, 0, "holds a mount of another file system, and stays", plan_.source_path(it)});
        else
            group_.push_back({id, Work::Kind::take_away});
    } else if (is_folder || it.action == Action::make_folder) {
        step_folder(id);
    } else {
        const auto into = targets_.open(it.folder);
        if (into)
            step_file(id, *into);
        else
            fail(id, into.error());
    }
    if (group_.size() == 1) group_began_ = std::chrono::steady_clock::now();
    if (!group_.empty() && group_.back().item == id) {
        if (group_.back().remove_source || removes || it.action == Action::take_away || it.makes_room)
            leaving_.insert(plan_.source_path(it));
        if (plan_.operation == Operation::undo && it.action == Action::move) arriving_.insert(plan_.final_path(it));
    }
    const bool full = group_.size() >= group_files || group_bytes_ >= group_most_bytes || records_.items.size() + ready_.items.size() >= most_unrecorded ||
                      (!group_.empty() && std::chrono::steady_clock::now() - group_began_ > group_time);
    return full ? flush() : Result<void>{};
}

/// A folder that was the highest one that could be written, once: its versions are known by where they lie.
bool Runner::holds_a_safe(ItemId id) {
    if (entry(id).status.type != FileType::folder) return false;
    const auto from = source_folder(id);
    const auto inside = from ? disk_.open_folder_in(**from, source_name(id)) : Result<Handle>(failure(from.error()));
    if (!inside || !disk_.status(*inside, safe_folder_name())) return false;
    return is_own(disk_, *inside, safe_folder_name());
}

/// Something is mounted in it, at any depth: whoever put it there, and whenever. Where that cannot be found out, it counts as so.
bool Runner::holds_mounts(ItemId id) {
    if (entry(id).status.type != FileType::folder) return false;
    const auto from = source_folder(id);
    const auto inside = from ? disk_.open_folder_in(**from, source_name(id)) : Result<Handle>(failure(from.error()));
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
    return failure(Fault::refused, "would overwrite what holds a mount of another file system", inside->path());
}

/// What comes in a folder that did not arrive after all does not arrive either.
bool Runner::follows_its_folder(ItemId id) {
    if (item(id).parent == no_item) return false;
    switch (results_[item(id).parent]) {
        case Outcome::failed:
            fail(id, {Fault::not_found, 0, "the folder it comes in could not be made", plan_.source_path(item(id))});
            return true;
        case Outcome::undecided: leave_undecided(id, "the folder it comes in is undecided"); return true;
        case Outcome::skipped: settle(id, Outcome::skipped); return true;
        default: return false;
    }
}

Result<void> Runner::flush() {
    // a rename that met another file system comes back as a copy, in a group of its own
    while (!group_.empty()) {
        stage_waiting();
        if (auto noted = make_durable_and_note(); !noted) return noted;
        for (Work& work : group_)
            if (!work.dropped && results_[work.item] == Outcome::planned) place(work);
        if (some_source_leaves()) {
            const auto durable = durable_.settle();
            for (Work& work : group_)
                if (work.remove_source && !work.dropped && results_[work.item] == Outcome::planned)
                    durable ? remove_source(work) : take_back(work, durable.error());
        }
        group_.clear();
        leaving_.clear();
        arriving_.clear();
        group_bytes_ = 0;
        for (const ItemId id : std::exchange(again_, {})) {
            const auto into = targets_.open(item(id).folder);
            if (into)
                step_file(id, *into);
            else
                fail(id, into.error());
        }
    }
    return records_.items.size() + ready_.items.size() >= most_unrecorded ? write_records() : Result<void>{};
}

bool Runner::some_source_leaves() const {
    return std::any_of(group_.begin(), group_.end(), [](const Work& work) { return work.remove_source; });
}

/// What a decision was made about: what holds the name, or the twin that this run has put there since.
Identity Runner::expected_at(ItemId id, const std::string& place) const {
    const Item& it = item(id);
    if (!it.collision) return {};
    if (it.collision->finding == Finding::twin)
        if (const auto before = placed_twins_.find(place); before != placed_twins_.end()) return before->second;
    return it.collision->held.id;
}

/// Writes the journal, and waits where another program keeps it locked.
template <class Write>
Result<void> Runner::persist(Write write) {
    for (;;) {
        auto written = write();
        if (written || written.error().fault != Fault::locked || options_.stop.stop_requested()) return written;
        if (events_.waits) events_.waits(written.error());
    }
}

namespace {

void append(RunRecords& to, RunRecords&& more) {
    const auto move_all = [](auto& into, auto& from) {
        into.insert(into.end(), std::make_move_iterator(from.begin()), std::make_move_iterator(from.end()));
    };
    move_all(to.items, more.items);
    move_all(to.folders, more.folders);
    move_all(to.set_aside, more.set_aside);
    move_all(to.used_up, more.used_up);
    move_all(to.taken_back, more.taken_back);
    move_all(to.not_kept, more.not_kept);
    move_all(to.volumes, more.volumes);
    more = {};
}

/// Intentions stand in the journal until what came of them does.
void forget_recorded(std::vector<Intent>& noted, const RunRecords& recorded) {
    std::unordered_set<std::uint64_t> numbers;
    for (const auto& [number, item] : recorded.items) numbers.insert(number);
    std::erase_if(noted, [&](const Intent& intent) { return numbers.contains(intent.number); });
}

}  // namespace

/// Before anything takes a name: what the group is about to do, durable in the journal. A plain rename needs no note:
/// where the source is tells on its own whether it was done.
/// records  of what is durable on its own volumes
Result<void> Runner::journal_group(RunRecords records) {
    std::vector<Intent> intents;
    std::unordered_map<std::string, Identity> twins;  // by place: what an earlier one of this group will have put there
    for (Work& work : group_) {
        if (work.dropped || results_[work.item] != Outcome::planned) continue;
        if (work.kind == Work::Kind::remove_folder) continue;
        const Item& it = item(work.item);
        Intent intent{number(work.item), Intent::Kind::copy, entry(work.item).status.id, {}, {}, {}, work.remove_source, {}};
        const bool needs_slot = replaces(it) || work.kind == Work::Kind::take_away;
        const auto around = work.kind == Work::Kind::take_away ? source_folder(work.item) : targets_.open(it.folder);
        if (!around) {
            fail(work.item, around.error());
            continue;
        }
        const std::string place = join(finals_.path(it.folder), plan_.final_name(it));
        switch (work.kind) {
            case Work::Kind::staged:
                intent.fresh = work.copy->fresh;
                intent.hash = work.copy->hash;
                break;
            case Work::Kind::hard_link: {
                const PlacedFile first = first_of_link(work.item);
                intent.fresh = first.id;
                intent.hash = first.hash;
                break;
            }
            case Work::Kind::link:
                intent.kind = Intent::Kind::link;
                intent.fresh = {};
                break;
            case Work::Kind::rename: intent.kind = Intent::Kind::rename; break;
            case Work::Kind::take_away: intent.kind = Intent::Kind::take_away; break;
            case Work::Kind::remove_folder: break;
        }
        intent.expected = work.kind == Work::Kind::take_away ? entry(work.item).status.id : expected_at(work.item, place);
        if (const auto twin = twins.find(place); twin != twins.end()) intent.expected = twin->second;
        if (it.collision && it.collision->finding == Finding::twin) twins[place] = intent.fresh;
        if (needs_slot) {
            auto slot = safe_->slot(**around);
            if (!slot) {
                fail(work.item, slot.error());
                continue;
            }
            intent.slot = slot->path;
            intent.entry = slot->entry;
            work.slot = std::move(*slot);
        }
        if (needs_slot || work.kind != Work::Kind::rename) intents.push_back(std::move(intent));
    }
    // together with what groups before have done: until it is recorded, their own intentions stand for it
    forget_recorded(noted_, records);
    noted_.insert(noted_.end(), std::make_move_iterator(intents.begin()), std::make_move_iterator(intents.end()));
    if (intents.empty() && records.items.empty() && records.folders.empty()) return {};
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

/// The sync of a whole volume has failed: for something of ours, or for what others write there? Each folder is asked by itself; where one
/// says so too, the receipt does not say that what changed in it was done.
void Runner::names_are_not_durable(RunRecords& records, const Error& why) {
    std::unordered_map<std::string, bool> durable;
    const auto is_durable = [&](const std::string& place) {
        const auto [found, fresh] = durable.try_emplace(std::string(parent_of(place)), true);
        if (!fresh) return found->second;
        const auto folder = disk_.open_folder(found->first);
        const auto synced = folder ? disk_.sync(*folder) : Result<void>(failure(folder.error()));
        const bool is_gone = !folder && folder.error().fault == Fault::not_found;
        return found->second = synced.has_value() || is_gone;
    };
    for (auto& [number, item] : records.items) {
        if (!arrives(item.result) && item.result != Outcome::removed) continue;
        if (is_durable(item.place()) && (item.action != Action::move || is_durable(item.source))) continue;
        item.result = Outcome::failed;
        item.error = "may not have reached the disk: " + reason_and_step(why);
        item.fault = why.fault;
        records.taken_back.clear();
        if (head_.problem.empty()) head_.problem = "some of it may not have reached the disk: " + describe(why);
    }
}

/// The same for a folder, which takes its name by itself.
Result<Slot> Runner::journal_replacement(ItemId id, const Handle& into, Intent::Kind kind, const Identity& fresh) {
    auto slot = safe_->slot(into);
    if (!slot) return slot;
    const std::string place = join(finals_.path(item(id).folder), plan_.final_name(item(id)));
    const Intent intent{number(id), kind, fresh, expected_at(id, place), slot->path, slot->entry, false, {}};
    if (auto noted = persist([&] { return store_.intend(head_.id, intent); }); !noted) return failure(noted.error());
    noted_.push_back(intent);
    return slot;
}

/// All that was done, once it is durable.
Result<void> Runner::write_records() {
    if (auto settled = durable_.settle(); !settled) names_are_not_durable(records_, settled.error());
    append(ready_, std::move(records_));
    const bool nothing = ready_.items.empty() && ready_.folders.empty() && ready_.set_aside.empty() && ready_.used_up.empty() &&
                         ready_.not_kept.empty() && ready_.volumes.empty();
    if (nothing) return {};
    forget_recorded(noted_, ready_);
    const RunRecords records = std::exchange(ready_, {});
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

/// Attributes and times of the folders that were made, deepest first, now that nothing more goes into them.
void Runner::finish_folders() {
    for (auto folder = to_finish_.rbegin(); folder != to_finish_.rend(); ++folder) {
        const auto handle = targets_.open(folder->folder);
        if (!handle) continue;  // gone or swapped since: it is not ours to touch any more
        const auto lost = disk_.set_attributes(**handle, folder->attributes);
        const std::string names = lost ? listed(*lost) : std::string("attributes");
        if (folder->number && !names.empty()) records_.not_kept.emplace_back(*folder->number, names);
        changed_in(finals_.identity(folder->folder).device, *handle);
    }
}

/// Where a volume could not be synced as a whole: each folder that was finished by itself.
bool Runner::durable_by_folders() {
    return std::all_of(to_finish_.begin(), to_finish_.end(), [&](const FolderToFinish& folder) {
        const auto handle = targets_.open(folder.folder);
        return !handle || disk_.sync(**handle);
    });
}

/// Folders that had to be written for a while have the permissions that they had.
void Runner::give_back_lent() {
    for (auto folder = lent_.rbegin(); folder != lent_.rend(); ++folder) (void)disk_.set_mode(*folder->first, folder->second);
    lent_.clear();
}

/// After a move the source folders that have become empty by it go, deepest first. What they were like is noted first, so
/// that an undo can make them again whatever happens in between; of one that stays the note says nothing new.
Result<void> Runner::remove_emptied_folders() {
    std::vector<bool> may_be_empty = took_from_;
    for (auto source = emptied_.rbegin(); source != emptied_.rend(); ++source) {
        const Entry& folder = plan_.batch->entries[source->entry];
        if (!may_be_empty[folder.inside]) continue;
        may_be_empty[folder.folder] = true;
        records_.folders.push_back({false, plan_.batch->source_path(folder), source->attributes, {}});
    }
    if (auto written = write_records(); !written) return written;
    for (auto source = emptied_.rbegin(); source != emptied_.rend(); ++source) {
        const Entry& folder = plan_.batch->entries[source->entry];
        if (!took_from_[folder.inside]) continue;
        const auto parent = sources_.open(folder.folder);
        if (!parent) continue;
        const auto now = disk_.status(**parent, folder.name);
        const bool known = folder.status.id.inode != 0;  // not where an interrupted run is gone on with
        if (!now || (known && !now->id.could_be(folder.status.id))) continue;
        if (!disk_.remove_empty_folder(**parent, folder.name)) continue;  // it still holds something, and stays
        changed_in(now->id.device, *parent);
        took_from_[folder.folder] = true;
        sources_.forget(folder.inside);
    }
    return {};
}

Result<void> Runner::end() {
    // what was not reached stays in the journal, and can be gone on with
    const bool complete = std::none_of(results_.begin(), results_.end(), [](Outcome result) { return result == Outcome::planned; });
    safe_->tidy();
    tidy_used_slots();
    // what was done is durable before the receipt says so: names taken, and names that went
    if (auto settled = durable_.settle(); !settled) {
        names_are_not_durable(records_, settled.error());
        // attributes of folders, and sources that went, have no record of their own
        if (head_.problem.empty() && !durable_by_folders())
            head_.problem = "its end may not have reached the disk: " + describe(settled.error());
    }
    if (auto written = write_records(); !written) return written;
    head_.state = complete ? RunState::done : RunState::stopped;
    head_.waits_for = !complete && stuck_ ? describe(*stuck_) : std::string();
    head_.finished_ns = now_ns();
    return persist([&]() -> Result<void> {
        auto finished = store_.finish(head_);
        if (!finished) return failure(finished.error());
        head_ = std::move(*finished);
        return {};
    });
}

/// The slots that versions were brought back from hold nothing any more.
void Runner::tidy_used_slots() {
    for (const Item& it : plan_.items) {
        if (it.extras().entry_of_safe.empty()) continue;
        const std::string slot = plan_.batch->folders.path(plan_.entry(it).folder);
        const std::string shelf(parent_of(slot));
        if (const auto above = disk_.open_folder(shelf)) (void)disk_.remove_empty_folder(*above, std::string(name_of(slot)));
        if (const auto safe = disk_.open_folder(std::string(parent_of(shelf))))
            (void)disk_.remove_empty_folder(*safe, std::string(name_of(shelf)));
    }
}

Meter Runner::meter() {
    return {options_.stop,
            [this](std::uint64_t bytes) {
                const std::lock_guard lock(reporting_);
                if (events_.bytes) events_.bytes(bytes);
            },
            options_.pace};
}

void Runner::say_at_hand(ItemId id) {
    if (!events_.at_hand) return;
    const std::lock_guard lock(reporting_);
    const auto now = std::chrono::steady_clock::now();
    if (now - said_at_hand_ < said_at_most_every) return;
    said_at_hand_ = now;
    events_.at_hand(plan_.source_path(item(id)));
}

ReceiptItem& Runner::receipt_item(ItemId id) {
    const auto [found, fresh] = open_.try_emplace(id);
    ReceiptItem& out = found->second;
    if (!fresh) return out;
    const Item& it = item(id);
    const Entry& source = entry(id);
    out.source = plan_.source_path(it);
    out.target = plan_.target_path(it);
    out.type = source.status.type;
    out.size_bytes = source.status.id.size_bytes;
    out.modified_ns = source.status.id.modified_ns;
    out.action = it.action;
    if (source.status.type == FileType::file && source.status.links > 1) out.linked_source = source.status.id;
    if (it.collision)
        out.collision = ReceiptCollision{it.collision->finding, it.collision->held.id.size_bytes, it.collision->held.id.modified_ns,
                                         it.collision->decision};
    return out;
}

/// What went is "removed"; what an undo put back is "restored".
Outcome Runner::wording(ItemId id, Outcome result) const {
    if (result != Outcome::created && result != Outcome::overwritten && result != Outcome::renamed) return result;
    const Action action = item(id).action;
    if (action == Action::take_away || action == Action::remove_folder) return Outcome::removed;
    return plan_.operation == Operation::copy || plan_.operation == Operation::move ? result : Outcome::restored;
}

void Runner::settle(ItemId id, Outcome result) {
    ReceiptItem out = std::move(receipt_item(id));
    open_.erase(id);
    results_[id] = wording(id, result);
    out.result = results_[id];
    head_.totals.count(out.result);
    if (arrives(out.result) && out.type == FileType::file) head_.totals.bytes += out.size_bytes;
    if (events_.item) events_.item(id, out);
    if (const auto& number_there = item(id).extras().takes_back) {
        // a folder that is made again is taken back once what it became is gone
        const bool took_back = out.result == Outcome::removed || (out.result == Outcome::restored && out.action != Action::make_folder);
        if (took_back) records_.taken_back.push_back(*number_there);
        const bool missing = out.result == Outcome::failed || out.result == Outcome::undecided;
        if (out.action == Action::make_folder && missing) not_made_again_.insert(*number_there);
    }
    records_.items.emplace_back(number(id), std::move(out));
}

void Runner::settle_placed(ItemId id, const Placed& placed) {
    const Item& it = item(id);
    ReceiptItem& out = receipt_item(id);
    const std::string place = join(finals_.path(it.folder), placed.name);
    if (place != out.target) out.final_path = place;
    out.after = placed.status.id;
    out.after_mode = placed.status.mode;
    out.after_status_changed_ns = placed.status.status_changed_ns;
    if (placed.set_aside) {
        out.set_aside = placed.set_aside->id;
        records_.set_aside.push_back(*placed.set_aside);
    }
    if (!it.extras().entry_of_safe.empty()) {
        out.brought_back = it.extras().entry_of_safe;
        records_.used_up.push_back(it.extras().entry_of_safe);
    }
    Outcome result = placed.name == plan_.name(it) ? Outcome::created : Outcome::renamed;
    if (placed.set_aside) result = Outcome::overwritten;
    settle(id, result);
}

void Runner::fail(ItemId id, const Error& error) {
    if (error.fault == Fault::cancelled) return;  // it stays planned: as before
    const bool can_wait = error.fault == Fault::no_space || error.fault == Fault::unreachable;
    if (can_wait && options_.pause_when_stuck && item(id).outcome != Outcome::failed) {
        if (!stuck_) stuck_ = error;
        return;
    }
    ReceiptItem& out = receipt_item(id);
    out.error = reason_and_step(error);
    out.fault = error.fault;
    if (!error.path.empty() && error.path != out.source) out.error += ": " + error.path;
    settle(id, Outcome::failed);
}

std::optional<Finding> Runner::fresh_finding(ItemId id, const Held& held) {
    KnownContents known;
    auto finding = compare(entry(id), held, known, plan_.batch->time_step_ns);
    if (finding) return finding;
    const auto source = source_folder(id);
    const auto target = targets_.open(item(id).folder);
    if (!source || !target) return std::nullopt;
    const auto a = disk_.open_file(**source, source_name(id));
    const auto b = disk_.open_file(**target, held.name);
    if (!a || !b) return std::nullopt;
    const auto same = same_bytes(disk_, a->file, b->file, Meter{options_.stop, {}});
    if (!same) return std::nullopt;
    known.learn(pair_of(entry(id).status, held.status), *same);
    return compare(entry(id), held, known, plan_.batch->time_step_ns);
}

void Runner::leave_undecided(ItemId id, const std::string& why) {
    ReceiptItem& out = receipt_item(id);
    out.error = why;
    const auto folder = targets_.open(item(id).folder);
    const auto& name = plan_.final_name(item(id));
    if (folder) {
        if (const auto status = disk_.status(**folder, name)) {
            Held held{name, *status, {}};
            if (status->type == FileType::link)
                if (auto points_at = disk_.read_link(**folder, name)) held.points_at = std::move(*points_at);
            const auto finding =
                item(id).collision && item(id).collision->finding == Finding::twin ? std::optional(Finding::twin) : fresh_finding(id, held);
            out.collision = ReceiptCollision{finding, status->id.size_bytes, status->id.modified_ns, Decision::undecided};
        }
    }
    if (out.collision) out.collision->decision = Decision::undecided;
    settle(id, Outcome::undecided);
}

}  // namespace tavlo
