// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recover/settler.h"

#include <unistd.h>

#include <algorithm>
#include <functional>
#include <memory>

#include "files/contents.h"
#include "files/folder_tree.h"
#include "files/own.h"
#include "files/path.h"
#include "names/names.h"
#include "recover/rest.h"
#include "run/durable.h"
#include "run/placing.h"
#include "run/safe_folder.h"
#include "run/trash.h"
#include "run/volumes.h"

namespace tavlo {

namespace {

constexpr unsigned most_numbers_tried =
    10'000;  // of names counted up, when looking for the one that was taken

/// Finds out of each open item whether it was done, and clears away what was half-way.
class Settler {
public:
    Settler(FileSystem& disk, const ReceiptHead& head, std::map<std::uint64_t, PendingItem> pending,
            std::vector<Intent> intents, std::map<std::uint64_t, WhereItLies> folders)
        : disk_(disk),
          head_(head),
          pending_(std::move(pending)),
          folders_(std::move(folders)),
          paths_(tree_, head_.roots),
          handles_(disk, tree_, 64),
          trash_(disk, head.id, head.started_ns) {
        for (Intent& intent : intents) intents_.emplace(intent.number, std::move(intent));
    }

    /// returns  the records of what was found done, all of it durable by then
    Result<RunRecords> run() {
        for (const auto& [number, intent] : intents_)
            if (const auto item = pending_.find(number);
                item != pending_.end() && item->second.role != Role::renamed)
                settle(number, intent);
        for (const auto& [number, item] : pending_) {
            const auto intent = intents_.find(number);
            if (item.role == Role::renamed && intent != intents_.end()) settle(number, intent->second);
            const bool moves = item.action == Action::move && arrives(item.outcome);
            if (intent == intents_.end() && moves)
                settle_rename(number, item);  // plain renames have no note: the thing itself tells
            // what lies in it is where it is, whether it has its new name by now or not
            if (item.role == Role::renamed)
                folders_.try_emplace(number, WhereItLies{item.source, source_of(item)});
        }
        // a source goes only once its copy, and its name, are durable: whatever was so before, was on the way
        // when the run ended
        if (auto settled = durable_.settle(); !settled) return failure(settled.error());
        for (const auto& [number, placed] : with_source_) {
            const PendingItem& item = pending_.at(number);
            if (!settle_source(item, true)) continue;
            done(number, item, parent_of(placed.path), placed.placed, intents_.at(number).hash);
        }
        trash_.tidy();
        if (auto settled = durable_.settle(); !settled) return failure(settled.error());
        return std::move(records_);
    }

    std::optional<SlotOrigin> origin_of(const std::string& stored) const {
        for (const auto& [number, intent] : intents_) {
            const auto item = pending_.find(number);
            if (item == pending_.end() || intent.slot != parent_of(stored)) continue;
            const bool takes_away = intent.kind == Intent::Kind::take_away;
            if (takes_away && name_of(item->second.source) != name_of(stored))
                continue;  // of another of those that share the slot
            return SlotOrigin{intent.entry,
                              takes_away ? item->second.source
                                         : join(folder_of(item->second), name_of(item->second.final_path))};
        }
        return std::nullopt;
    }

private:
    Result<std::shared_ptr<const Handle>> open(const std::string& folder) {
        return handles_.open(paths_.at(folder));
    }

    /// Where the item was to go: below the folder that it comes in, wherever that is by now.
    std::string folder_of(const PendingItem& item) const {
        if (item.parent)
            if (const auto folder = folders_.find(*item.parent); folder != folders_.end())
                return item.role == Role::renamed ? folder->second.of(std::string(parent_of(item.source)))
                                                  : folder->second.place;
        return std::string(parent_of(item.role == Role::renamed ? item.source : item.final_path));
    }

    /// Where it was: what is renamed where it lies is in the folder that it comes in, wherever that is by
    /// now.
    std::string source_of(const PendingItem& item) const {
        if (item.role == Role::renamed) return join(folder_of(item), name_of(item.source));
        return item.real.empty() ? item.source : item.real;
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
        if (!placed) placed = find_displaced(item, intent, name);
        if (placed && intent.kind == Intent::Kind::link) finish_link(item, **folder, *placed);
        if (!placed) {
            if (intent.removes_source) (void)settle_source(item, false);
            return;
        }
        touch(*folder);
        if (intent.removes_source)
            with_source_.emplace_back(number, InPlace{join((*folder)->path(), placed->name), *placed});
        else
            done(number, item, (*folder)->path(), *placed, intent.hash);
    }

    /// What was found done must be durable before it is noted, or before anything rests on it.
    void touch(const std::shared_ptr<const Handle>& folder) {
        const auto status = disk_.status(*folder);
        if (status && durable_.touch(status->id.device, *folder)) durable_.changed(status->id.device, folder);
    }

    /// It was in place, and a later twin of the batch has displaced it since: then it lies in that one's
    /// slot.
    std::optional<Placed> find_displaced(const PendingItem& item, const Intent& intent,
                                         const std::string& name) {
        if (intent.fresh.inode == 0) return std::nullopt;
        for (const auto& [number, later] : intents_) {
            if (later.slot.empty() || later.number == intent.number || later.kind == Intent::Kind::take_away)
                continue;
            if (!(later.expected == intent.fresh)) continue;
            const auto slot = disk_.open_folder(later.slot);
            const auto there = slot ? disk_.status(*slot, name) : Result<Status>(failure(slot.error()));
            if (!there || !is_expected(*there, intent.fresh)) continue;
            Placed placed{name, *there};
            const auto own = intent.slot.empty() ? Result<Handle>(failure(Fault::not_found, "", ""))
                                                 : disk_.open_folder(intent.slot);
            const auto old = own ? disk_.status(*own, name) : Result<Status>(failure(own.error()));
            if (old && is_expected(*old, intent.expected))
                placed.set_aside = entry_for(intent.entry, intent.slot, join(folder_of(item), name), *old);
            return placed;
        }
        return std::nullopt;
    }

    /// The slot alone tells: the folder that the thing lay in may be gone by now too.
    void settle_taken_away(std::uint64_t number, const PendingItem& item, const Intent& intent) {
        if (item.shelf == Shelf::trash) return settle_trashed(number, item, intent);
        const std::string name(name_of(item.source));
        const auto slot = disk_.open_folder(intent.slot);
        const auto there = slot ? disk_.status(*slot, name) : Result<Status>(failure(slot.error()));
        if (slot) touch_path(intent.slot);
        if (there && is_expected(*there, intent.expected))
            done(number, item, parent_of(item.source),
                 {name, *there, entry_for(intent.entry, intent.slot, item.source, *there)}, {});
        else
            drop(intent.slot);
    }

    void settle_trashed(std::uint64_t number, const PendingItem& item, const Intent& intent) {
        const std::string kept = trash_.settle(intent.slot, intent.name, item.source, intent.expected);
        touch_path(intent.slot);
        touch_path(join(parent_of(intent.slot), "info"));
        const auto files =
            kept.empty() ? Result<Handle>(failure(Fault::not_found, "", "")) : disk_.open_folder(intent.slot);
        if (const auto there = files ? disk_.status(*files, kept) : Result<Status>(failure(files.error())))
            done(number, item, intent.slot, {kept, *there}, {});
    }

    bool is_fresh(const PendingItem& item, const Intent& intent, const Handle& folder,
                  const std::string& name, const Status& status) {
        switch (intent.kind) {
            case Intent::Kind::link: {
                const auto points_at = disk_.read_link(folder, name);
                return status.type == FileType::link && points_at && *points_at == item.points_at;
            }
            case Intent::Kind::folder: return status.type == FileType::folder && status.mode == 0700;
            // all of it: an inode's number alone may have been given to somebody's file since, or theirs be
            // the bytes in it by now
            case Intent::Kind::copy:
                return intent.fresh.inode != 0 && status.id == intent.fresh &&
                       holds_what_was_read(intent, folder, name, status);
            case Intent::Kind::rename:
            case Intent::Kind::take_away: break;
        }
        return intent.fresh.inode != 0 && is_still_it(status, intent.fresh);
    }

    /// Where inodes do not last, size and date could be another's: the bytes tell.
    bool holds_what_was_read(const Intent& intent, const Handle& folder, const std::string& name,
                             const Status& status) {
        if (status.id.inodes_last() || intent.hash.empty()) return true;
        const auto file = disk_.open_file(folder, name);
        const auto hash =
            file ? hash_of(disk_, file->file, Meter{}) : Result<std::string>(failure(file.error()));
        return hash && *hash == intent.hash;
    }

    void touch_path(const std::string& folder) {
        if (auto opened = disk_.open_folder(folder))
            touch(std::make_shared<const Handle>(std::move(*opened)));
    }

    /// A free name was to be taken: the one planned, or one counted up from it.
    std::optional<Placed> find_placed(const PendingItem& item, const Intent& intent, const Handle& folder,
                                      const std::string& planned) {
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

    std::optional<Placed> settle_replacement(const PendingItem& item, const Intent& intent,
                                             const Handle& folder, const std::string& name) {
        const auto slot = disk_.open_folder(intent.slot);
        if (!slot) return find_placed(item, intent, folder, name);
        touch_path(intent.slot);
        const std::string half = name_while_traded(name);
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
            return Placed{name, *at_target,
                          entry_for(intent.entry, intent.slot, join(folder.path(), name), *in_slot)};
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
        (void)disk_.set_link_attributes(folder, placed.name,
                                        {item.mode, ::geteuid(), ::getegid(), modified_ns, modified_ns, {}});
        if (const auto status = disk_.status(folder, placed.name)) placed.status = *status;
    }

    /// What waited in the slot goes back to where it was.
    void withdraw(const PendingItem& item, const Intent& intent, const Handle& slot,
                  const std::string& name) {
        switch (intent.kind) {
            case Intent::Kind::rename:
                if (const auto source = open(std::string(parent_of(source_of(item)))))
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
            if (!copied || away->id != item.identity || is_being_written(**folder, leaving)) {
                (void)move_seen(disk_, **folder, leaving, **folder, name, away->id);
                return !copied;
            }
            touch(*folder);
            return remove_seen(disk_, **folder, leaving).has_value();
        }
        const auto here = disk_.status(**folder, name);
        if (!copied || !here || here->id != item.identity)
            return true;  // another one by now: not ours to remove
        if (is_being_written(**folder, name)) return true;
        if (!move_seen(disk_, **folder, name, **folder, leaving, here->id)) return false;
        return settle_source(item, copied);
    }

    bool is_being_written(const Handle& folder, const std::string& name) {
        const auto file = disk_.open_file(folder, name);
        return file && disk_.writer(file->file) == Writer::some;
    }

    void settle_rename(std::uint64_t number, const PendingItem& item) {
        const auto folder = open(folder_of(item));
        if (!folder) return;
        Intent intent;
        intent.kind = Intent::Kind::rename;
        intent.fresh = item.identity;
        const std::string name(name_of(item.final_path));
        // a source that still stands where it was, was not moved: its other name is another hard link
        const std::string path = source_of(item);
        if (const auto source = open(std::string(parent_of(path))))
            if (const auto here = disk_.status(**source, std::string(name_of(path)));
                here && is_still_it(*here, item.identity))
                return;
        if (const auto placed = find_placed(item, intent, **folder, name)) {
            if (item.shelf == Shelf::trash)
                if (const auto from = open(std::string(parent_of(path))))
                    trash_.gave_back(**from, std::string(name_of(path)));
            touch(*folder);
            done(number, item, (*folder)->path(), *placed, {});
        }
    }

    void done(std::uint64_t number, const PendingItem& item, std::string_view folder, const Placed& placed,
              const std::string& hash) {
        ReceiptItem out;
        out.source = item.source;
        out.target = item.target;
        const bool goes = item.action == Action::take_away;
        const bool has_place = (!goes && !is_packed(item.action)) || item.shelf == Shelf::trash;
        if (const auto place = join(folder, placed.name); has_place && place != item.target)
            out.final_path = place;
        out.type = item.type;
        out.size_bytes = item.identity.size_bytes;
        out.modified_ns = item.identity.modified_ns;
        out.action = item.action;
        out.role = item.role;
        out.shelf = item.shelf;
        out.hash = hash;
        out.moved_whole = item.action == Action::move && (item.whole || item.along);
        if (item.type == FileType::file && item.links > 1) out.linked_source = item.identity;
        if (item.collides)
            out.collision = ReceiptCollision{item.finding, item.held.size_bytes, item.held.modified_ns,
                                             item.decision, item.elsewhere};
        out.after = placed.status.id;
        out.after_mode = placed.status.mode;
        out.after_status_changed_ns = placed.status.status_changed_ns;
        if (is_packed(item.action))
            out.result = Outcome::created;  // once its archive has its name; what is noted here is that its
                                            // source has gone
        else if (goes)
            out.result = Outcome::removed;
        else if (traits_of(head_.operation).puts_back)
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
        if (item.takes_back && item.action != Action::make_folder)
            records_.taken_back.push_back(*item.takes_back);
        if (item.role == Role::renamed) folders_[number] = {item.source, out.place()};
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
    std::map<std::uint64_t, WhereItLies> folders_;  ///< where they are, by number
    FolderTree tree_;
    FolderPaths paths_;
    FolderHandles handles_;
    Trash trash_;
    Durable durable_{disk_};
    RunRecords records_;
    struct InPlace {
        std::string path;
        Placed placed;
    };
    /// copies in place, whose sources are to go
    std::vector<std::pair<std::uint64_t, InPlace>> with_source_;
};

}  // namespace

Result<SettledRun> settle_open_items(FileSystem& disk, const ReceiptHead& head,
                                     std::map<std::uint64_t, PendingItem> pending,
                                     std::vector<Intent> intents,
                                     std::map<std::uint64_t, WhereItLies> folders) {
    const auto settler =
        std::make_shared<Settler>(disk, head, std::move(pending), std::move(intents), std::move(folders));
    auto records = settler->run();
    if (!records) return failure(records.error());
    return SettledRun{std::move(*records),
                      [settler](const std::string& stored) { return settler->origin_of(stored); }};
}

}  // namespace tavlo
