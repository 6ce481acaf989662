#include "tasks/outcome_tree.h"

#include <algorithm>
#include <string>
#include <unordered_set>

#include "files/natural.h"

using namespace tavlo;

namespace {

Share share_of(const Item& item, Outcome outcome) {
    switch (outcome) {
        case Outcome::overwritten: return Share::overwrite;
        case Outcome::renamed: return Share::rename;
        case Outcome::merged: return Share::merge;
        case Outcome::undecided: return Share::undecided;
        case Outcome::failed: return Share::failed;
        case Outcome::skipped: return item.collision && item.collision->finding == Finding::same ? Share::same : Share::skip;
        case Outcome::removed: return Share::leave;
        case Outcome::planned:
        case Outcome::created:
        case Outcome::restored: return Share::created;
    }
    return Share::created;
}

}  // namespace

Share share_of(const Item& item) { return share_of(item, item.outcome); }

std::optional<Shares> OutcomeTree::sharesBy(const Wishes& before, const Wishes& now) const {
    const auto outcomes = outcomes_by(*plan, before, now);
    if (!outcomes) return std::nullopt;
    Shares out = shares;
    for (std::size_t at = 0; at < outcomes->size(); ++at) {
        const Item& item = plan->items[plan->colliding[at]];
        --out[static_cast<std::size_t>(share_of(item))];
        ++out[static_cast<std::size_t>(share_of(item, (*outcomes)[at]))];
    }
    return out;
}

std::shared_ptr<const OutcomeTree> OutcomeTree::make(std::shared_ptr<const Plan> plan, std::shared_ptr<const Destination> destination) {
    auto tree = std::make_shared<OutcomeTree>();
    tree->folders.resize(std::max<std::size_t>(1, plan->targets.size()));
    tree->arriving.resize(tree->folders.size());
    std::vector<bool> shown(tree->folders.size());
    for (ItemId id = 0; id < plan->items.size(); ++id) {
        const Item& item = plan->items[id];
        ++tree->shares[static_cast<std::size_t>(share_of(item))];
        const bool again = item.inside != no_folder && item.outcome == Outcome::merged && shown[item.inside];
        if (item.inside != no_folder) shown[item.inside] = true;
        if (!again) tree->folders[item.folder].push_back({id, nullptr, item.inside});
        if (arrives(item.outcome) && item.inside == no_folder)
            for (FolderId at = item.folder; at != no_folder; at = plan->targets.parent(at)) ++tree->arriving[at];
    }
    for (FolderId id = 0; id < tree->folders.size() && destination; ++id) {
        const HeldFolder* held = destination->folder(id == 0 ? std::string() : plan->targets.path_in_root(id));
        if (held == nullptr) continue;
        auto& nodes = tree->folders[id];
        std::unordered_set<std::string> wanted;
        for (const OutcomeNode& node : nodes) wanted.insert(held->key(plan->name(plan->items[node.item])));
        for (const Held& entry : held->things())
            if (!wanted.contains(held->key(entry.name))) nodes.push_back({no_item, &entry, no_folder});
    }
    const auto name = [&](const OutcomeNode& node) -> const std::string& {
        return node.item == no_item ? node.held->name : plan->name(plan->items[node.item]);
    };
    const auto is_folder = [&](const OutcomeNode& node) {
        return (node.item == no_item ? node.held->status.type : plan->entry(plan->items[node.item]).status.type) == FileType::folder;
    };
    for (auto& nodes : tree->folders)
        std::stable_sort(nodes.begin(), nodes.end(), [&](const OutcomeNode& a, const OutcomeNode& b) {
            if (is_folder(a) != is_folder(b)) return is_folder(a);
            return natural_less(name(a), name(b));
        });
    tree->plan = std::move(plan);
    tree->destination = std::move(destination);
    return tree;
}
