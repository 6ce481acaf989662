// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recover/rest.h"

#include <algorithm>
#include <map>
#include <unordered_map>

#include "files/path.h"

namespace tavlo {

namespace {

/// The folders of the targets under the names asked for and the names they have, by one number.
class TargetFolders {
public:
    TargetFolders(Plan& plan, const std::vector<std::string>& roots) : plan_(plan), roots_(roots) {}

    FolderId at(const std::string& asked, const std::string& final_path) {
        const auto known = known_.find({asked, final_path});
        if (known != known_.end()) return known->second;
        const auto below = [&](const std::string& path) {
            return path != "/" && std::find(roots_.begin(), roots_.end(), path) == roots_.end() &&
                   std::any_of(roots_.begin(), roots_.end(),
                               [&](const auto& root) { return is_within(path, root); });
        };
        FolderId id = no_folder;
        if (below(asked) && below(final_path)) {
            const FolderId above = at(std::string(parent_of(asked)), std::string(parent_of(final_path)));
            id = plan_.targets.add(above, std::string(name_of(asked)));
            plan_.finals.add(above, std::string(name_of(final_path)));
        } else {
            id = plan_.targets.add_root(asked);
            plan_.finals.add_root(final_path);
        }
        known_.emplace(std::pair(asked, final_path), id);
        return id;
    }

private:
    Plan& plan_;
    const std::vector<std::string>& roots_;
    std::map<std::pair<std::string, std::string>, FolderId> known_;
};

/// Puts a plan together from what a run has left.
class RestPlanner {
public:
    RestPlanner(const ReceiptHead& head, const std::vector<PendingItem>& pending)
        : roots_(roots_of(head, pending)), sources_(batch_->folders, roots_), targets_(rest_.plan, roots_) {
        Plan& plan = rest_.plan;
        plan.operation = head.operation;
        plan.destination = head.destination;
        plan.undoes = head.undoes;
        plan.undoes_some = head.undoes_some;
        plan.may_lose = head.may_lose;
        rest_.resumption.head = head;
        if (!head.destination.empty()) targets_.at(head.destination, head.destination);
        renames_some_ = std::any_of(pending.begin(), pending.end(),
                                    [](const auto& item) { return item.role == Role::renamed; });
    }

    /// What is done already matters for what is not: where folders are by now, what is to be linked to, what
    /// has to be finished.
    void take_up(std::uint64_t number, const ReceiptItem& item) {
        if (item.type == FileType::file && arrives(item.result) && item.linked_source.inode != 0) {
            const FolderId folder =
                targets_.at(std::string(parent_of(item.target)), std::string(parent_of(item.place())));
            rest_.resumption.links.push_back(
                {item.linked_source, folder, std::string(name_of(item.place())), item.after, item.hash});
        }
        if (item.role == Role::archive) {
            rest_.resumption.archive = item.result;
            rest_.resumption.archive_place = item.place();
        }
        if (item.type == FileType::folder && item.action != Action::pack) take_up_folder(number, item);
    }

    void add(const PendingItem& was) {
        add_entry(was);
        const auto id = static_cast<ItemId>(rest_.plan.items.size());
        item_of_[was.number] = id;
        rest_.resumption.numbers.push_back(was.number);
        Item& item = rest_.plan.items.emplace_back();
        item.entry = static_cast<EntryId>(batch_->entries.size() - 1);
        place(was, id);
        item.action = was.action;
        item.outcome = was.outcome;
        item.whole = was.whole;
        item.role = was.role;
        item.shelf = was.shelf;
        item.parks = was.parks;
        item.along = was.along && item.parent != no_item;
        if (was.collides) {
            item.collision = std::make_unique<Collision>();
            item.collision->finding = was.finding;
            item.collision->decision = was.decision;
            item.collision->held.type = was.held_type;
            item.collision->held.id = was.held;
            item.collision->held_by_batch = was.held_by_batch;
            item.collision->shared = was.shared;
            if (!was.elsewhere.empty())
                item.collision->extras.make().elsewhere = std::make_shared<const std::string>(was.elsewhere);
        }
        if (!was.problem.empty())
            item.add_extras().problem =
                std::make_shared<const Error>(Error{Fault::refused, 0, was.problem, was.source});
        if (was.attributes)
            item.add_extras().attributes = std::make_shared<const Attributes>(*was.attributes);
        if (!was.entry_of_safe.empty()) item.add_extras().entry_of_safe = was.entry_of_safe;
        if (was.takes_back) item.takes_back = static_cast<ItemId>(*was.takes_back);
    }

    Rest done() && {
        Plan& plan = rest_.plan;
        plan.batch = std::move(batch_);
        if (renames_some_) {
            plan.standing = plan.finals;
            plan.steps = order(renames_, places_.size()).steps;
        }
        if (plan.steps.empty()) plan.steps = in_reading_order(plan);
        plan.totals = total(plan);
        return std::move(rest_);
    }

private:
    static std::vector<std::string> roots_of(const ReceiptHead& head,
                                             const std::vector<PendingItem>& pending) {
        std::vector<std::string> roots = head.roots;
        for (const PendingItem& item : pending)
            if (!item.entry_of_safe.empty()) roots.emplace_back(parent_of(item.source));
        return roots;
    }

    void take_up_folder(std::uint64_t number, const ReceiptItem& item) {
        const bool stands = arrives(item.result) || item.result == Outcome::merged;
        if ((stands && !is_packed(item.action)) || item.role == Role::renamed)
            place_of_folder_[number] = {item.source, item.place()};
        // a folder that an undo made again is its own model: it has its attributes, but for the date
        const bool goes = item.action == Action::move || item.action == Action::pack_away;
        const bool fills = item.action == Action::copy || goes || item.action == Action::make_folder;
        const bool is_new = item.role == Role::made && traits_of(rest_.plan.operation).comes_from_batch;
        if (!stands || !fills || is_new || item.moved_whole || item.role == Role::renamed ||
            !item.brought_back.empty())
            return;
        Entry entry;
        entry.folder = sources_.at(std::string(parent_of(item.source)));
        entry.inside = sources_.at(item.source);
        entry.name = std::string(name_of(item.source));
        entry.status.type = FileType::folder;
        entry.status.id.modified_ns = item.modified_ns;
        batch_->entries.push_back(std::move(entry));
        FolderRest folder{static_cast<EntryId>(batch_->entries.size() - 1), no_folder, item.modified_ns,
                          number, goes};
        if (item.action == Action::make_folder) folder.mode = item.after_mode;
        if (item.result != Outcome::merged && item.action != Action::pack_away)
            folder.made = targets_.at(item.target, item.place());
        rest_.resumption.rest.push_back(folder);
    }

    void add_entry(const PendingItem& was) {
        Entry entry;
        entry.folder = sources_.at(std::string(parent_of(was.source)));
        entry.name = std::string(name_of(was.source));
        entry.status.type = was.type;
        entry.status.id = was.identity;
        entry.status.mode = was.mode & 07777U;
        entry.status.links = was.links;
        if (!was.points_at.empty()) entry.extras.make().points_at = was.points_at;
        if (!was.real.empty())
            entry.extras.make().real =
                Place{sources_.at(std::string(parent_of(was.real))), std::string(name_of(was.real))};
        const bool is_entered = was.action == Action::copy || is_packed(was.action) ||
                                (was.action == Action::move && was.role == Role::arrives);
        if (was.type == FileType::folder && is_entered) entry.inside = sources_.at(was.source);
        batch_->entries.push_back(std::move(entry));
    }

    /// Below the folder that it comes in, wherever that is by now.
    void place(const PendingItem& was, ItemId id) {
        Item& item = rest_.plan.items[id];
        const Entry& entry = batch_->entries[item.entry];
        std::string folder(parent_of(was.role == Role::renamed ? was.source : was.final_path));
        if (was.parent) {
            if (const auto parent = item_of_.find(*was.parent); parent != item_of_.end())
                item.parent = parent->second;
            if (const auto place = place_of_folder_.find(*was.parent); place != place_of_folder_.end())
                folder = was.role == Role::renamed ? place->second.of(folder) : place->second.place;
        }
        item.folder = targets_.at(std::string(parent_of(was.target)), folder);
        const std::string name(name_of(was.target));
        if (name != entry.name) item.add_extras().name = name;
        if (name_of(was.final_path) != name)
            item.add_extras().final_name = std::string(name_of(was.final_path));
        if (entry.inside != no_folder || was.action == Action::make_folder)
            item.inside = targets_.at(was.target, join(folder, name_of(was.final_path)));
        if (renames_some_) take_up_rename(was, id, folder);
    }

    void take_up_rename(const PendingItem& was, ItemId id, const std::string& folder) {
        const bool takes_name = was.role == Role::renamed && arrives(was.outcome);
        const std::string place = join(folder, name_of(was.source));
        const bool in_case_alone =
            was.parks && folded(name_of(was.source)) == folded(name_of(was.final_path));
        // places by the folders' names of before: by those of now one that waits under a hidden name would
        // have that of another
        const auto place_at = [&](const std::string& path) { return places_.at(no_folder, path); };
        renames_.push_back(
            !takes_name     ? Rename{}
            : in_case_alone ? by_a_hidden_name(place_at(was.source))
                            : Rename{place_at(was.source), place_at(join(std::string(parent_of(was.source)),
                                                                         name_of(was.final_path)))});
        if (was.role != Role::renamed) return;
        place_of_folder_[was.number] = {was.source, place};
        if (was.type == FileType::folder) rest_.plan.items[id].inside = targets_.at(was.target, place);
    }

    Rest rest_;
    std::shared_ptr<Batch> batch_ = std::make_shared<Batch>();
    const std::vector<std::string> roots_;
    FolderPaths sources_;
    TargetFolders targets_;
    /// by number; of a settled one, whatever was planned
    std::unordered_map<std::uint64_t, WhereItLies> place_of_folder_;
    std::unordered_map<std::uint64_t, ItemId> item_of_;  ///< by number
    bool renames_some_ = false;
    PlaceTable places_;  ///< by their paths
    std::vector<Rename> renames_;
};

}  // namespace

Rest plan_rest(const ReceiptHead& head, const std::vector<PendingItem>& pending,
               const std::vector<std::pair<std::uint64_t, ReceiptItem>>& settled) {
    RestPlanner planner(head, pending);
    for (const auto& [number, item] : settled) planner.take_up(number, item);
    for (const PendingItem& item : pending) planner.add(item);
    return std::move(planner).done();
}

}  // namespace tavlo
