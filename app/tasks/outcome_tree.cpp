// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/outcome_tree.h"

#include <algorithm>
#include <string>
#include <unordered_set>

#include "files/natural.h"

using namespace tavlo;

namespace {

constexpr std::int64_t week_ns = 7 * std::int64_t{86'400'000'000'000};

Share share_of(const Item& item, Outcome outcome) {
    switch (outcome) {
        case Outcome::overwritten: return Share::overwrite;
        case Outcome::renamed: return Share::rename;
        case Outcome::merged: return Share::merge;
        case Outcome::undecided: return Share::undecided;
        case Outcome::failed: return Share::failed;
        case Outcome::skipped:
            return item.collision && item.collision->finding == Finding::same ? Share::same : Share::skip;
        case Outcome::removed: return Share::leave;
        case Outcome::planned:
        case Outcome::created:
        case Outcome::restored: return Share::created;
    }
    return Share::created;
}

}  // namespace

Share share_of(const Item& item) { return share_of(item, item.outcome); }

std::vector<ItemRows> rows_of(const Plan& plan) {
    std::vector<ItemRows> rows;
    rows.reserve(plan.items.size());
    for (const Item& item : plan.items) {
        ItemRows& row = rows.emplace_back();
        row.share = share_of(item);
        row.old_name = item.role == Role::renamed && plan.final_name(item) != plan.entry(item).name;
        const bool own_pair = item.collision && !item.collision->shared && item.outcome != Outcome::failed;
        row.held_line = own_pair && row.share != Share::same;
    }
    return rows;
}

bool are_single(const std::vector<ItemRows>& rows, bool with_held) {
    return std::none_of(rows.begin(), rows.end(),
                        [&](const ItemRows& one) { return one.old_name || (with_held && one.held_line); });
}

std::optional<Shares> OutcomeTree::sharesBy(const Wishes& before, const Wishes& now) const {
    const auto outcomes = outcomes_by(*plan, before, now);
    if (!outcomes) return std::nullopt;
    Shares out = shares;
    for (std::size_t at = 0; at < outcomes->size(); ++at) {
        const Item& item = plan->items[plan->colliding[at]];
        --out[static_cast<std::size_t>(rows[plan->colliding[at]].share)];
        ++out[static_cast<std::size_t>(share_of(item, (*outcomes)[at]))];
    }
    return out;
}

bool OutcomeTree::is_unread(FolderId folder) const {
    return plan->standing && (!survey || survey->folder(standing(), folder) == nullptr);
}

namespace {

/// What lies in each item that leaves, at any depth: as the batch was counted.
std::vector<Weight> weights_of(const Plan& plan) {
    std::vector<ItemId> item_of(plan.batch->entries.size(), no_item);
    for (ItemId id = 0; id < plan.items.size(); ++id)
        if (plan.items[id].outcome == Outcome::removed) item_of[plan.items[id].entry] = id;
    std::vector<Weight> weights(plan.items.size());
    for (EntryId id = 0; id < plan.batch->entries.size(); ++id) {  // parents come before children
        const Entry& entry = plan.batch->entries[id];
        if (item_of[id] == no_item && entry.parent != no_entry) item_of[id] = item_of[entry.parent];
        if (item_of[id] == no_item || entry.status.type == FileType::folder) continue;
        ++weights[item_of[id]].files;
        if (entry.status.type == FileType::file) weights[item_of[id]].bytes += entry.status.id.size_bytes;
    }
    return weights;
}

/// What arrives, leaves or stays under a name, put into its folder.
void place_items(OutcomeTree& tree) {
    const Plan& plan = *tree.plan;
    std::vector<bool> shown(tree.folders.size());
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        const Item& item = plan.items[id];
        if (item.role == Role::archive) continue;  // what will be in it is shown
        ++tree.shares[static_cast<std::size_t>(tree.rows[id].share)];
        const bool again = item.inside != no_folder && item.outcome == Outcome::merged && shown[item.inside];
        if (item.inside != no_folder) shown[item.inside] = true;
        // what leaves goes whole: it can be opened all the same
        const FolderId inside =
            item.role == Role::leaves && plan.standing ? plan.entry(item).inside : item.inside;
        if (!again) tree.folders[item.folder].push_back({id, inside, nullptr});
        if (arrives(item.outcome) && item.inside == no_folder)
            for (FolderId at = item.folder; at != no_folder; at = plan.targets.parent(at))
                ++tree.arriving[at];
    }
}

/// What is there in a folder, and keeps its name.
void place_held(OutcomeTree& tree, const HeldFolder& held, std::vector<OutcomeNode>& nodes,
                std::int64_t now_ns) {
    const Plan& plan = *tree.plan;
    std::unordered_set<std::string> wanted;
    wanted.reserve(nodes.size() * (plan.standing ? 2 : 1));
    for (const OutcomeNode& node : nodes) {
        const Item& item = plan.items[node.item];
        wanted.insert(held.key(plan.name(item)));
        if (plan.standing) wanted.insert(held.key(plan.entry(item).name));
    }
    for (const Held& entry : held.things()) {
        if (wanted.contains(held.key(entry.name))) continue;
        nodes.push_back({no_item, no_folder, &entry});
        if (entry.status.type == FileType::folder) continue;
        ++tree.staying;
        if (entry.status.id.modified_ns > now_ns - week_ns) ++tree.staying_new;
    }
}

/// Folders first, each kind in natural order.
void sort_nodes(const Plan& plan, std::vector<OutcomeNode>& nodes) {
    struct Sorted {
        const std::string* name;
        bool is_folder;
        OutcomeNode node;
    };
    std::vector<Sorted> sorted;
    sorted.reserve(nodes.size());
    for (const OutcomeNode& node : nodes) {
        const bool is_held = node.item == no_item;
        const FileType type =
            is_held ? node.held->status.type : plan.entry(plan.items[node.item]).status.type;
        sorted.push_back(
            {is_held ? &node.held->name : &plan.name(plan.items[node.item]), type == FileType::folder, node});
    }
    const auto before = [](const Sorted& a, const Sorted& b) {
        return a.is_folder != b.is_folder ? a.is_folder : natural_less(*a.name, *b.name);
    };
    if (std::is_sorted(sorted.begin(), sorted.end(), before)) return;
    std::stable_sort(sorted.begin(), sorted.end(), before);
    std::transform(sorted.begin(), sorted.end(), nodes.begin(), [](const Sorted& one) { return one.node; });
}

}  // namespace

void add_rows(std::vector<OutcomeRow>& rows, const OutcomeNode& node, const ItemRows& wanted, int depth,
              bool with_held) {
    rows.emplace_back(OutcomeRow::Arriving, depth, node);
    const OutcomeNode beside{node.item, no_folder, nullptr};
    if (wanted.old_name) rows.emplace_back(OutcomeRow::OldName, depth, beside);
    if (wanted.held_line && with_held) rows.emplace_back(OutcomeRow::HeldLine, depth, beside);
}

namespace {

/// Folders that nobody has listed have numbers where they are shown: with one of those there is nothing to be
/// made ahead.
std::vector<OutcomeRow> first_rows_of(const OutcomeTree& tree, const std::vector<OutcomeNode>& nodes) {
    std::vector<OutcomeRow> rows;
    rows.reserve(nodes.size() * (tree.plan->standing ? 2 : 1));
    for (const OutcomeNode& node : nodes) {
        if (node.item != no_item && node.folder != no_folder && tree.is_unread(node.folder)) return {};
        if (node.item == no_item && node.held->status.type == FileType::folder) return {};
        if (node.item != no_item)
            add_rows(rows, node, tree.rows[node.item], 0, true);
        else if (node.held->name.front() != '.')
            rows.emplace_back(OutcomeRow::Existing, 0, OutcomeNode{no_item, no_folder, node.held});
    }
    return rows;
}

}  // namespace

std::shared_ptr<const OutcomeTree> OutcomeTree::make(std::shared_ptr<const Plan> plan,
                                                     std::shared_ptr<const Survey> survey,
                                                     std::int64_t now_ns) {
    auto tree = std::make_shared<OutcomeTree>();
    tree->plan = plan;
    tree->survey = survey;
    tree->rows = rows_of(*plan);
    tree->single_rows = are_single(tree->rows, true);
    if (!plan->standing && survey)
        tree->destination = {survey, plan->traits().packs ? &survey->roots.back() : &survey->roots.front()};
    const FolderTree& standing = tree->standing();
    tree->folders.resize(std::max<std::size_t>(1, plan->targets.size()));
    tree->arriving.resize(tree->folders.size());
    place_items(*tree);
    if (plan->traits().takes_away) tree->weights = weights_of(*plan);
    for (const Weight& weight : tree->weights) {
        tree->leaving.files += weight.files;
        tree->leaving.bytes += weight.bytes;
    }
    for (FolderId id = 0; id < tree->folders.size(); ++id) {
        // of an archive what will be in it is shown, and not what lies around it
        const bool is_top =
            standing.size() > id && standing.parent(id) == no_folder && (id == 0 || !plan->traits().packs);
        if (is_top && (!plan->standing || !tree->folders[id].empty())) tree->tops.push_back(id);
        const bool lies_around = plan->traits().packs && id != 0;
        const HeldFolder* held =
            survey && id < standing.size() && !lies_around ? survey->folder(standing, id) : nullptr;
        if (held != nullptr) place_held(*tree, *held, tree->folders[id], now_ns);
    }
    for (auto& nodes : tree->folders) sort_nodes(*plan, nodes);
    if (tree->tops.size() == 1) tree->first_rows = first_rows_of(*tree, tree->folders[tree->tops.front()]);
    return tree;
}
