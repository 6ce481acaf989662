#include "run/recover.h"

#include <unistd.h>

#include <algorithm>
#include <map>

#include "files/folder_tree.h"
#include "files/path.h"
#include "plan/names.h"
#include "run/pending_plan.h"
#include "run/placing.h"

namespace tavlo {

namespace {

constexpr unsigned most_numbers_tried = 10'000;  // of names counted up, when looking for the one that was taken

/// Finds out of each open item whether it was done, and clears away what was half-way.
class Settler {
public:
    Settler(FileSystem& disk, const ReceiptHead& head, std::map<std::uint64_t, PendingItem> pending, std::vector<Intent> intents,
            const std::map<std::uint64_t, std::string>& folders)
        : disk_(disk), head_(head), pending_(std::move(pending)), folders_(folders), paths_(tree_, head_.roots), handles_(disk, tree_, 64) {
        for (Intent& intent : intents) intents_.emplace(intent.number, std::move(intent));
    }

    /// returns  the records of what was found done
    RunRecords run() {
        for (const auto& [number, intent] : intents_)
            if (pending_.contains(number)) settle(number, intent);
        for (const auto& [number, item] : pending_)  // plain renames have no note: the thing itself tells
            if (!intents_.contains(number) && item.action == Action::move && arrives(item.outcome)) settle_rename(number, item);
        return std::move(records_);
    }

private:
    Result<std::shared_ptr<const Handle>> open(const std::string& folder) { return handles_.open(paths_.at(folder)); }

    /// Where the item was to go: below the folder that it comes in, wherever that is by now.
    std::string folder_of(const PendingItem& item) const {
        if (item.parent)
            if (const auto folder = folders_.find(*item.parent); folder != folders_.end()) return folder->second;
        return std::string(parent_of(item.final_path));
    }

    void settle(std::uint64_t number, const Intent& intent) {
        const PendingItem& item = pending_.at(number);
        if (intent.kind == Intent::Kind::take_away) return settle_taken_away(number, item, intent);
        const auto folder = open(folder_of(item));
        if (!folder) return;
        const std::string name(name_of(item.final_path));
        std::optional<Placed> placed;
        if (intent.slot.empty())
            placed = find_placed(item, intent, **folder, name);
        else
            placed = settle_replacement(item, intent, **folder, name);
        if (placed && intent.kind == Intent::Kind::link) finish_link(item, **folder, *placed);
        if (intent.removes_source && !settle_source(item, placed.has_value())) return;
        if (placed) done(number, item, (*folder)->path(), *placed, intent.hash);
    }

    /// The slot alone tells: the folder that the thing lay in may be gone by now too.
    void settle_taken_away(std::uint64_t number, const PendingItem& item, const Intent& intent) {
        const std::string name(name_of(item.source));
        const auto slot = disk_.open_folder(intent.slot);
        const auto there = slot ? disk_.status(*slot, name) : Result<Status>(failure(slot.error()));
        if (there && is_expected(*there, intent.expected))
            done(number, item, parent_of(item.source), {name, *there, entry_for(intent.entry, intent.slot, item.source, *there)}, {});
        else
            drop(intent.slot);
    }

    bool is_fresh(const PendingItem& item, const Intent& intent, const Handle& folder, const std::string& name, const Status& status) {
        switch (intent.kind) {
            case Intent::Kind::link: {
                const auto points_at = disk_.read_link(folder, name);
                return status.type == FileType::link && points_at && *points_at == item.points_at;
            }
            case Intent::Kind::folder: return status.type == FileType::folder && status.mode == 0700;
            // all of it: an inode's number alone may have been given to somebody's file since, or theirs be the bytes in it by now
            case Intent::Kind::copy: return intent.fresh.inode != 0 && status.id == intent.fresh;
            case Intent::Kind::rename:
            case Intent::Kind::take_away: break;
        }
        return intent.fresh.inode != 0 && status.id.same_thing(intent.fresh);
    }

    /// A free name was to be taken: the one planned, or one counted up from it.
    std::optional<Placed> find_placed(const PendingItem& item, const Intent& intent, const Handle& folder, const std::string& planned) {
        std::string name = planned;
        const std::string base = counted_from(std::string(name_of(item.target)), planned, item.type);
        for (unsigned number = 2; number < most_numbers_tried; ++number) {
            const auto status = disk_.status(folder, name);
            if (status && is_fresh(item, intent, folder, name, *status)) return Placed{name, *status};
            if (!status || item.outcome != Outcome::renamed) return std::nullopt;
            name = numbered_name(base, item.type, number);
        }
        return std::nullopt;
    }

    std::optional<Placed> settle_replacement(const PendingItem& item, const Intent& intent, const Handle& folder, const std::string& name) {
        const auto slot = disk_.open_folder(intent.slot);
        if (!slot) return find_placed(item, intent, folder, name);
        const std::string half = name.size() < 250 ? name + ".old" : name.substr(0, 250) + ".old";  // see trade_in_two_steps
        if (const auto old = disk_.status(*slot, half); old && is_expected(*old, intent.expected)) {
            const auto at_target = disk_.status(folder, name);
            const bool arrived = at_target && is_fresh(item, intent, folder, name, *at_target);
            if (arrived)
                (void)disk_.move_to_free_name(*slot, half, *slot, name);
            else
                (void)disk_.move_to_free_name(*slot, half, folder, name);
        }
        auto in_slot = disk_.status(*slot, name);
        auto at_target = disk_.status(folder, name);
        const bool arrived = at_target && is_fresh(item, intent, folder, name, *at_target);
        if (in_slot && arrived && is_expected(*in_slot, intent.expected))
            return Placed{name, *at_target, entry_for(intent.entry, intent.slot, join(folder.path(), name), *in_slot)};
        if (in_slot && arrived) {  // traded with something that nothing was agreed about: back with it
            if (!trade(disk_, *slot, folder, name)) return std::nullopt;
            in_slot = disk_.status(*slot, name);
            at_target = disk_.status(folder, name);
        }
        if (in_slot && is_fresh(item, intent, *slot, name, *in_slot)) withdraw(item, intent, *slot, name);
        drop(intent.slot);
        if (!in_slot && arrived) return Placed{name, *at_target};  // the name was free after all
        return std::nullopt;
    }

    /// A link takes its name and then its date; it may have been interrupted between the two.
    void finish_link(const PendingItem& item, const Handle& folder, Placed& placed) {
        const auto modified_ns = item.identity.modified_ns;
        if (placed.status.id.modified_ns == modified_ns) return;
        (void)disk_.set_link_attributes(folder, placed.name, {item.mode, ::geteuid(), ::getegid(), modified_ns, modified_ns, {}});
        if (const auto status = disk_.status(folder, placed.name)) placed.status = *status;
    }

    /// What waited in the slot goes back to where it was.
    void withdraw(const PendingItem& item, const Intent& intent, const Handle& slot, const std::string& name) {
        switch (intent.kind) {
            case Intent::Kind::rename:
                if (const auto source = open(std::string(parent_of(item.source))))
                    (void)disk_.move_to_free_name(slot, name, **source, std::string(name_of(item.source)));
                break;
            case Intent::Kind::folder: (void)disk_.remove_empty_folder(slot, name); break;
            case Intent::Kind::copy:
            case Intent::Kind::link: (void)disk_.remove_file(slot, name); break;
            case Intent::Kind::take_away: break;
        }
    }

    /// The source of a move between file systems: gone with its copy in place, else where it was.
    /// returns  whether the item can be settled now
    bool settle_source(const PendingItem& item, bool copied) {
        const std::string path = item.real.empty() ? item.source : item.real;
        const auto folder = open(std::string(parent_of(path)));
        if (!folder) return copied;
        const std::string name(name_of(path));
        const std::string leaving = leaving_name(head_.id, item.number);
        if (const auto away = disk_.status(**folder, leaving)) {
            if (!copied || away->id != item.identity) {
                (void)disk_.move_to_free_name(**folder, leaving, **folder, name);
                return !copied;
            }
            return disk_.remove_file(**folder, leaving).has_value();
        }
        const auto here = disk_.status(**folder, name);
        if (!copied || !here || here->id != item.identity) return true;  // another one by now: not ours to remove
        if (!disk_.move_to_free_name(**folder, name, **folder, leaving)) return false;
        return settle_source(item, copied);
    }

    void settle_rename(std::uint64_t number, const PendingItem& item) {
        const auto folder = open(folder_of(item));
        if (!folder) return;
        Intent intent;
        intent.kind = Intent::Kind::rename;
        intent.fresh = item.identity;
        const std::string name(name_of(item.final_path));
        // a source that still stands where it was, was not moved: its other name is another hard link
        const std::string path = item.real.empty() ? item.source : item.real;
        if (const auto source = open(std::string(parent_of(path))))
            if (const auto here = disk_.status(**source, std::string(name_of(path))); here && here->id.same_thing(item.identity)) return;
        if (const auto placed = find_placed(item, intent, **folder, name)) done(number, item, (*folder)->path(), *placed, {});
    }

    void done(std::uint64_t number, const PendingItem& item, std::string_view folder, const Placed& placed, const std::string& hash) {
        ReceiptItem out;
        out.source = item.source;
        out.target = item.target;
        const bool stays = item.action == Action::take_away;
        if (const auto place = join(folder, placed.name); !stays && place != item.target) out.final_path = place;
        out.type = item.type;
        out.size_bytes = item.identity.size_bytes;
        out.modified_ns = item.identity.modified_ns;
        out.action = item.action;
        out.hash = hash;
        out.moved_whole = item.whole || item.along;
        if (item.type == FileType::file && item.links > 1) out.linked_source = item.identity;
        if (item.collides) out.collision = ReceiptCollision{item.finding, item.held.size_bytes, item.held.modified_ns, item.decision};
        out.after = placed.status.id;
        out.after_mode = placed.status.mode;
        out.after_status_changed_ns = placed.status.status_changed_ns;
        const bool transfer = head_.operation == Operation::copy || head_.operation == Operation::move;
        if (stays)
            out.result = Outcome::removed;
        else if (!transfer)
            out.result = Outcome::restored;
        else if (placed.set_aside)
            out.result = Outcome::overwritten;
        else
            out.result = placed.name == name_of(item.target) ? Outcome::created : Outcome::renamed;
        if (placed.set_aside) {
            out.set_aside = placed.set_aside->id;
            records_.set_aside.push_back(*placed.set_aside);
        }
        if (!item.entry_of_safe.empty()) {
            out.brought_back = item.entry_of_safe;
            records_.used_up.push_back(item.entry_of_safe);
        }
        if (item.takes_back && item.action != Action::make_folder) records_.taken_back.push_back(*item.takes_back);
        records_.items.emplace_back(number, std::move(out));
    }

    void drop(const std::string& slot) {
        if (const auto shelf = disk_.open_folder(std::string(parent_of(slot))))
            (void)disk_.remove_empty_folder(*shelf, std::string(name_of(slot)));
    }

    FileSystem& disk_;
    const ReceiptHead& head_;
    std::map<std::uint64_t, PendingItem> pending_;
    std::map<std::uint64_t, Intent> intents_;
    const std::map<std::uint64_t, std::string>& folders_;
    FolderTree tree_;
    FolderPaths paths_;
    FolderHandles handles_;
    RunRecords records_;
};

Result<ReceiptHead> recover_one(FileSystem& disk, Store& store, const std::string& id, const RunOptions& options, const RunEvents& events) {
    auto head = store.receipt(id);
    if (!head) return head;
    auto pending = store.pending(id);
    if (!pending) return failure(pending.error());
    if (options.more_follows)  // what stands for the rest is no item while the rest is being counted
        std::erase_if(*pending, [](const PendingItem& item) { return item.number == rest_number; });
    auto intents = store.intents(id);
    if (!intents) return failure(intents.error());
    std::vector<std::pair<std::uint64_t, ReceiptItem>> settled;
    std::map<std::uint64_t, std::string> folders;
    const auto read_settled = [&]() -> Result<void> {
        settled.clear();
        std::uint64_t number = 0;
        return store.each_item(id, [&](ReceiptItem&& item) {
            const bool stands = arrives(item.result) || item.result == Outcome::merged;
            if (item.type == FileType::folder && stands) folders[number] = item.place();
            const bool matters = item.type == FileType::folder || item.linked_source.inode != 0;
            if (matters && item.result != Outcome::planned) settled.emplace_back(number, std::move(item));
            ++number;
        });
    };
    if (auto read = read_settled(); !read) return failure(read.error());
    if (!pending->empty()) {
        std::map<std::uint64_t, PendingItem> open;
        for (const PendingItem& item : *pending) open.emplace(item.number, item);
        const RunRecords done = Settler(disk, *head, std::move(open), std::move(*intents), folders).run();
        if (auto recorded = store.record(id, done); !recorded) return failure(recorded.error());
        pending = store.pending(id);
        if (!pending) return failure(pending.error());
        if (options.more_follows) std::erase_if(*pending, [](const PendingItem& item) { return item.number == rest_number; });
        if (auto read = read_settled(); !read) return failure(read.error());
    }
    const Rest rest = plan_rest(*head, *pending, settled);
    return carry_on(disk, store, rest.plan, rest.resumption, options, events);
}

}  // namespace

Result<ReceiptHead> resume_held(FileSystem& disk, Store& store, const std::string& receipt, const RunOptions& options,
                                const RunEvents& events) {
    return recover_one(disk, store, receipt, options, events);
}

Result<ReceiptHead> resume(FileSystem& disk, Store& store, const std::string& receipt, const RunOptions& options, const RunEvents& events) {
    const auto lock = store.lock(receipt);
    if (!lock) return failure(lock.error());
    return recover_one(disk, store, receipt, options, events);
}

Result<std::vector<ReceiptHead>> interrupted_runs(Store& store) {
    auto unfinished = store.unfinished();
    if (!unfinished) return unfinished;
    std::vector<ReceiptHead> interrupted;
    for (ReceiptHead& head : *unfinished)
        if (head.state == RunState::interrupted && !store.is_alive(head.id)) interrupted.push_back(std::move(head));
    return interrupted;
}

Result<Recovered> recover(FileSystem& disk, Store& store, const RunOptions& options, const RunEvents& events) {
    const auto unfinished = store.unfinished();
    if (!unfinished) return failure(unfinished.error());
    Recovered recovered;
    for (const ReceiptHead& head : *unfinished) {
        auto completed = resume(disk, store, head.id, options, events);
        if (completed)
            recovered.completed.push_back(std::move(*completed));
        else if (completed.error().fault == Fault::name_taken && completed.error().path == head.id)
            recovered.alive.push_back(head.id);
        else
            recovered.problems.push_back(completed.error());
        if (options.stop.stop_requested()) break;
    }
    return recovered;
}

}  // namespace tavlo
