// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/undo_renames.h"

#include <unordered_map>

#include "files/path.h"

namespace tavlo {

namespace {

bool is_renamed(const ReceiptItem& item) {
    return item.role == Role::renamed || item.role == Role::makes_room;
}

class RenameUndoer {
public:
    explicit RenameUndoer(UndoBasis& basis)
        : basis_(basis), batch_(std::make_shared<Batch>()), folders_(batch_->folders, roots_of(basis)) {}

    Result<Plan> run(FileSystem& disk) {
        basis_.each(Store::Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
            const bool counts =
                basis_.chosen.empty() || (number < basis_.chosen.size() && basis_.chosen[number]);
            if (counts && took_effect(item) && is_renamed(item)) add(number, item);
        });
        std::vector<Destination> roots;
        for (FolderId id = 0; id < batch_->folders.size(); ++id) {
            if (batch_->folders.parent(id) != no_folder) continue;
            auto looked = look_at_destination(disk, batch_->folders.name(id));
            if (!looked) return failure(looked.error());
            roots.push_back(std::move(*looked));
        }
        const Layout layout =
            lay_out_in_place(*batch_, [&](EntryId id) { return std::optional(Wanted{old_names_[id]}); });
        const auto surveyed = survey(disk, std::move(roots), layout.as_it_stands());
        if (!surveyed) return failure(surveyed.error());
        Wishes wishes;
        wishes.operation = Operation::rename;
        Plan plan = make_plan(wishes, batch_, layout, *surveyed, {});
        plan.operation = Operation::undo;
        plan.undoes = basis_.head.id;
        plan.undoes_some = basis_.some;
        for (ItemId id = 0; id < plan.items.size(); ++id) finish(plan.items[id]);
        bring_versions_back(plan);
        plan.totals = total(plan);
        return plan;
    }

private:
    static std::vector<std::string> roots_of(const UndoBasis& basis) { return basis.head.roots; }

    void add(std::uint64_t number, const ReceiptItem& was) {
        const std::string& place = was.place();
        const auto now = basis_.look(place);
        Entry entry;
        entry.folder = folders_.at(std::string(parent_of(place)));
        entry.name = std::string(name_of(place));
        entry.status.type = was.type;
        entry.status.id = was.after;
        for (std::string above(parent_of(place)); entry.parent == no_entry && above != "/";
             above = std::string(parent_of(above)))
            if (const auto folder = by_place_.find(above); folder != by_place_.end())
                entry.parent = folder->second;
        const bool is_it = now && (was.type == FileType::folder ? now->status.id.could_be(was.after)
                                                                : now->status.id == was.after);
        if (is_it && !basis_.is_changed(was, now->status)) {
            entry.status = now->status;
            if (!now->points_at.empty()) entry.extras.make().points_at = now->points_at;
            if (was.type == FileType::folder) entry.inside = folders_.at(place);
        } else {
            entry.extras.make().problem = std::make_shared<const Error>(
                Error{Fault::changed_meanwhile, 0, now ? "was changed since" : "is no longer there", place});
        }
        if (was.type == FileType::folder)
            by_place_.emplace(place, static_cast<EntryId>(batch_->entries.size()));
        batch_->entries.push_back(std::move(entry));
        old_names_.emplace_back(name_of(was.source));
        numbers_.push_back(static_cast<ItemId>(number));
        versions_.push_back(was.set_aside);
    }

    void finish(Item& item) {
        item.takes_back = numbers_[item.entry];
        if (item.outcome == Outcome::created) item.outcome = Outcome::restored;
        const bool is_changed = item.problem() && item.problem()->fault == Fault::changed_meanwhile;
        if (item.outcome == Outcome::failed && is_changed) item.outcome = Outcome::undecided;
        if (item.outcome == Outcome::undecided && !item.problem())
            item.add_extras().problem =
                std::make_shared<const Error>(Error{Fault::changed_meanwhile, 0, "its old name is taken",
                                                    batch_->source_path(batch_->entries[item.entry])});
    }

    /// Each to the name that its displacer gives up; so after that one.
    void bring_versions_back(Plan& plan) {
        auto batch = std::make_shared<Batch>(*batch_);
        FolderPaths shelves(batch->folders, basis_.shelves());
        const auto renames = static_cast<ItemId>(plan.items.size());
        for (ItemId id = 0; id < renames; ++id) {
            const EntryId of = plan.items[id].entry;
            if (versions_[of].empty() || !arrives(plan.items[id].outcome)) continue;
            const auto version = basis_.version(versions_[of]);
            const auto stored = version ? basis_.look(version->stored) : std::nullopt;
            Entry entry;
            entry.name = batch_->entries[of].name;
            entry.folder = batch_->entries[of].folder;
            entry.status.type = plan.entry(plan.items[id]).status.type;
            Item item;
            item.folder = plan.items[id].folder;
            item.action = Action::move;
            if (stored && version) {
                entry.folder = shelves.at(std::string(parent_of(version->stored)));
                entry.name = std::string(name_of(version->stored));
                entry.status = stored->status;
                if (!stored->points_at.empty()) entry.extras.make().points_at = stored->points_at;
                item.outcome = Outcome::restored;
                item.whole = stored->status.type == FileType::folder;
                item.add_extras().entry_of_safe = version->id;
                if (entry.name != batch_->entries[of].name) item.add_extras().name = batch_->entries[of].name;
            } else {
                item.outcome = Outcome::failed;
                item.add_extras().problem = std::make_shared<const Error>(
                    Error{Fault::not_found, 0, "its version " + versions_[of] + " is no longer in the Safe",
                          batch_->source_path(batch_->entries[of])});
            }
            item.entry = static_cast<EntryId>(batch->entries.size());
            batch->entries.push_back(std::move(entry));
            plan.steps.push_back({static_cast<ItemId>(plan.items.size()), false});
            plan.items.push_back(std::move(item));
        }
        plan.batch = std::move(batch);
    }

    UndoBasis& basis_;
    std::shared_ptr<Batch> batch_;
    FolderPaths folders_;
    std::unordered_map<std::string, EntryId> by_place_;  ///< folders
    // by entry
    std::vector<std::string> old_names_;
    std::vector<ItemId> numbers_;
    std::vector<std::string> versions_;
};

}  // namespace

bool renamed_in_place(UndoBasis& basis) {
    std::optional<bool> first;
    basis.each(Store::Order::forwards, [&](std::uint64_t, const ReceiptItem& item) {
        if (!first) first = item.role == Role::renamed;
    });
    return first.value_or(false);
}

Result<Plan> plan_undo_renames(FileSystem& disk, UndoBasis& basis) { return RenameUndoer(basis).run(disk); }

}  // namespace tavlo
