#include <algorithm>
#include <unordered_map>
#include <unordered_set>

#include "files/path.h"
#include "names/names.h"
#include "plan/plan.h"

namespace tavlo {

std::string Plan::target_path(const Item& item) const { return join(targets.path(item.folder), name(item)); }
Pair Plan::pair(const Item& item) const {
    const Collision& collision = *item.collision;
    return collision.decided_on ? *collision.decided_on : pair_of(entry(item).status, collision.held_by_batch ? Status{} : collision.held);
}
std::string Plan::final_path(const Item& item) const { return join(finals.path(item.folder), final_name(item)); }

Totals total(const Plan& plan) {
    Totals totals;
    totals.items = plan.items.size();
    for (const Item& item : plan.items) {
        totals.count(item.outcome);
        const Status& status = plan.entry(item).status;
        if (arrives(item.outcome) && status.type == FileType::file) totals.bytes += status.id.size_bytes;
    }
    return totals;
}

std::optional<Finding> compare(const Entry& incoming, const Held& held, const KnownContents& known, std::int64_t time_step_ns) {
    const Status& a = incoming.status;
    const Status& b = held.status;
    if (a.type != b.type) return Finding::type;
    if (a.id.same_thing(b.id)) return Finding::same;  // two names of one file
    if (a.type == FileType::link && incoming.points_at == held.points_at) return Finding::same;
    if (a.type == FileType::file && a.id.size_bytes == b.id.size_bytes) {
        // no bytes are the same bytes; but what comes through a server may say that it has none, and have some
        const bool surely_empty = a.id.size_bytes == 0 && a.id.inodes_last() && b.id.inodes_last();
        const auto same = surely_empty ? std::optional(true) : known.same(pair_of(a, b));
        if (!same) return std::nullopt;
        if (*same) return Finding::same;
    }
    const auto gap = a.id.modified_ns - b.id.modified_ns;
    if (gap == 0 || std::abs(gap) < time_step_ns) return Finding::same_date;
    return gap > 0 ? Finding::newer : Finding::older;
}

namespace {

/// What stands at a name while the items that want it are gone through in order.
struct Claim {
    std::uint32_t wanted_by = 0;
    bool any_not_folder = false;
    std::uint32_t first = UINT32_MAX;  ///< the first two arrivals that want it, to show each one its rival
    std::uint32_t second = UINT32_MAX;
    ItemId holder = no_item;  ///< the item of the batch that has it so far
};

class Planner {
public:
    Planner(const Wishes& wishes, std::shared_ptr<const Batch> batch, const Layout& layout, const Destination& destination,
            const KnownContents& known)
        : layout_(layout), destination_(destination), wishes_(wishes), known_(known) {
        plan_.operation = wishes.operation;
        plan_.destination = destination.path;
        plan_.batch = std::move(batch);
        plan_.targets = layout.targets;
        plan_.dissolved = layout.dissolved;
        plan_.folds_case = destination.volume.folds_case;
        plan_.may_lose = wishes.may_lose;
        for (FolderId id = 0; id < layout.targets.size(); ++id)
            if (const HeldFolder* held = destination.folder(layout.targets.path_in_root(id))) plan_.targets.set_identity(id, held->id);
    }

    Plan run() && {
        find_twins();
        held_.resize(plan_.targets.size(), nullptr);
        if (wishes_.clearing != Clearing::all) held_[0] = destination_.folder("");
        made_by_.resize(plan_.targets.size(), no_item);
        new_names_.resize(plan_.targets.size());
        plan_.items.reserve(layout_.arrivals.size());
        if (wishes_.clearing == Clearing::all) leave(0, destination_.folder(""), {});
        first_arrival_ = static_cast<ItemId>(plan_.items.size());
        for (std::uint32_t at = 0; at < layout_.arrivals.size(); ++at) decide(at);
        put_rooms_first();
        if (wishes_.clearing == Clearing::extra) leave_nothing_extra();
        settle_finals();
        for (ItemId id = 0; id < plan_.items.size(); ++id)
            if (plan_.items[id].collision) plan_.colliding.push_back(id);
        if (plan_.traits().removes_emptied_folders && layout_.whole_folders) mark_whole_folders();
        plan_.totals = total(plan_);
        return std::move(plan_);
    }

private:
    std::string key(FolderId folder, std::string_view name) const {
        return std::to_string(folder) + '/' + (destination_.volume.folds_case ? folded(name) : std::string(name));
    }

    bool is_folder(const Arrival& arrival) const { return arrival.inside != no_folder; }

    void find_twins() {
        for (std::uint32_t id = 0; id < layout_.arrivals.size(); ++id) {
            const Arrival& arrival = layout_.arrivals[id];
            if (!layout_.several_feed[arrival.folder]) continue;
            Claim& claim = claims_[key(arrival.folder, plan_.batch->entries[arrival.entry].name)];
            ++claim.wanted_by;
            claim.any_not_folder |= !is_folder(arrival);
            if (claim.first == UINT32_MAX)
                claim.first = id;
            else if (claim.second == UINT32_MAX)
                claim.second = id;
        }
    }

    Claim* twin_claim(const Arrival& arrival) {
        if (!layout_.several_feed[arrival.folder]) return nullptr;
        Claim& claim = claims_.at(key(arrival.folder, plan_.batch->entries[arrival.entry].name));
        return claim.wanted_by > 1 && claim.any_not_folder ? &claim : nullptr;
    }

    void decide(std::uint32_t at) {
        const Arrival& arrival = layout_.arrivals[at];
        const ItemId id = first_arrival_ + at;
        Item& item = plan_.items.emplace_back();
        item.entry = arrival.entry;
        item.parent = arrival.parent == UINT32_MAX ? no_item : first_arrival_ + arrival.parent;
        item.folder = arrival.folder;
        item.inside = arrival.inside;
        const bool is_way = plan_.entry(item).way;
        item.action = wishes_.operation == Operation::move && !is_way ? Action::move : Action::copy;
        item.role = is_way ? Role::on_the_way : Role::arrives;
        if (shares_folder_decision(item) || cannot_be_done(item)) return;
        if (item.outcome == Outcome::renamed) {  // under the nearest name that the destination can hold
            if (is_folder(arrival)) enter_folder(item, id, nullptr);
            return;
        }
        const Entry& entry = plan_.entry(item);
        const HeldFolder* folder = held_[item.folder];
        const Held* held = folder == nullptr ? nullptr : folder->find(entry.name);
        if (is_folder(arrival) && made_by_[item.inside] != no_item) {
            item.outcome = Outcome::merged;  // with the one that another folder of the batch makes
            if (const auto& name = plan_.items[made_by_[item.inside]].extras().final_name; !name.empty())
                item.add_extras().final_name = name;
        } else if (Claim* claim = twin_claim(arrival)) {
            settle_twin(item, id, *claim, held);
        } else if (is_folder(arrival) && (held == nullptr || held->status.type == FileType::folder)) {
            item.outcome = held != nullptr ? Outcome::merged : Outcome::created;
        } else if (held != nullptr) {
            const auto step = std::max(destination_.volume.time_step_ns, plan_.batch->time_step_ns);
            const auto finding = compare(entry, *held, known_, step);
            const auto unread = finding ? nullptr : known_.problem(pair_of(entry.status, held->status));
            if (unread) {
                item.outcome = Outcome::failed;
                item.problem = unread;
            } else {
                meet(item, id, finding, held->status, false);
                apply_decision(item);
            }
        }
        if (is_folder(arrival)) enter_folder(item, id, held);
    }

    /// What comes in a folder that does not arrive does not arrive either, and for the same reason.
    bool shares_folder_decision(Item& item) {
        if (item.parent == no_item) return false;
        const Item& folder = plan_.items[item.parent];
        if (folder.collision && (folder.collision->finding == Finding::type || folder.collision->finding == Finding::twin)) {
            item.collision = std::make_unique<Collision>(*folder.collision);
            item.collision->shared = true;
            if (!item.collision->decided_on) item.collision->decided_on = std::make_shared<const Pair>(plan_.pair(folder));
        }
        switch (folder.outcome) {
            case Outcome::skipped:
            case Outcome::undecided: item.outcome = folder.outcome; return true;
            case Outcome::failed:
                item.outcome = Outcome::failed;
                item.problem = folder.problem;
                return true;
            default: return false;
        }
    }

    bool cannot_be_done(Item& item) {
        const Entry& entry = plan_.entry(item);
        const auto fail = [&](std::shared_ptr<const Error> problem) {
            item.outcome = Outcome::failed;
            item.problem = std::move(problem);
            return true;
        };
        const auto because = [&](Fault fault, std::string why) {
            return fail(std::make_shared<const Error>(Error{fault, 0, std::move(why), plan_.source_path(item)}));
        };
        if (entry.problem) return fail(entry.problem);
        if (entry.status.type == FileType::other) return because(Fault::unsupported, "is a fifo, socket or device, which is left alone");
        if (entry.status.type == FileType::link && !destination_.volume.holds_links)
            return because(Fault::unsupported, "is a link, which the destination cannot hold");
        if (auto problem = name_problem(entry.name, destination_.volume); !problem.empty()) {
            if (!wishes_.policy.adapt_names) return because(Fault::name_not_possible, std::move(problem));
            item.outcome = Outcome::renamed;
            item.add_extras().final_name =
                untaken(item.folder, entry.status.type, possible_name(entry.name, entry.status.type, destination_.volume));
        }
        if (entry.status.type == FileType::file && entry.status.id.size_bytes > destination_.volume.max_file_bytes)
            return because(Fault::no_space, "is larger than a file can be in the destination");
        return false;
    }

    void meet(Item& item, ItemId id, std::optional<Finding> finding, const Status& held, bool held_by_batch) {
        item.collision = std::make_unique<Collision>();
        item.collision->finding = finding;
        item.collision->held = held;
        item.collision->held_by_batch = held_by_batch;
        item.collision->held_stays =
            !held_by_batch && held.type == FileType::folder && (held.mount_point || holds_mount(item.folder, plan_.name(item)));
        const Pair pair = plan_.pair(item);
        single_ = wishes_.decisions.empty() ? nullptr : wishes_.decisions.find(plan_.source_path(item), pair);
        item.collision->by_hand = single_ != nullptr;
        item.collision->decision = single_ != nullptr ? *single_->decision : wishes_.policy.decide(pair, finding);
        if (!finding) plan_.not_compared.push_back(id);
    }

    /// The name itself, or counted up from it until nothing there and nothing of the batch has it.
    std::string untaken(FolderId folder, FileType type, const std::string& name) {
        std::string candidate = name;
        for (unsigned number = 2; is_taken(folder, candidate); ++number)
            candidate = numbered_name(name, type, number, destination_.volume.max_name_bytes);
        new_names_[folder].insert(fold(candidate));
        return candidate;
    }

    void apply_decision(Item& item) {
        const Entry& entry = plan_.entry(item);
        switch (item.collision->decision) {
            case Decision::undecided: item.outcome = Outcome::undecided; break;
            case Decision::skip: item.outcome = Outcome::skipped; break;
            case Decision::overwrite:
                item.outcome = item.collision->held_stays ? Outcome::failed : Outcome::overwritten;
                if (!item.collision->held_stays) break;
                item.problem = std::make_shared<const Error>(
                    Error{Fault::refused, 0, "would overwrite a mount of another file system, or what holds one", plan_.target_path(item)});
                break;
            case Decision::rename:
                if (single_ != nullptr && single_->renames_held && item.collision->finding != Finding::twin) {
                    item.outcome = Outcome::created;
                    item.collision->renames_held = true;
                    make_room(item);
                } else {
                    item.outcome = Outcome::renamed;
                    item.add_extras().final_name = new_name(item.folder, entry.name, entry.status, folder_name(entry));
                }
                break;
        }
    }

    /// A free name by the decision's own words, its scheme, or the policy's; nobody else's from now on.
    std::string new_name(FolderId folder, const std::string& name, const Status& status, const std::string& from) {
        const auto taken = [&](const std::string& one) { return is_taken(folder, one); };
        const NewNames& scheme = single_ != nullptr && single_->new_names ? *single_->new_names : wishes_.policy.new_names;
        std::string made = single_ != nullptr ? single_->name : std::string();
        const bool usable = !made.empty() && made.find('/') == std::string::npos && made != "." && made != ".." &&
                            name_problem(made, destination_.volume).empty();
        if (!usable)
            made = free_name(name, status.type, scheme, {status.id.modified_ns, from}, taken, destination_.volume.max_name_bytes);
        else if (taken(made))  // somebody else has it by now: counted up from it
            made = free_name(made, status.type, {}, {status.id.modified_ns, from}, taken, destination_.volume.max_name_bytes);
        new_names_[folder].insert(fold(made));
        return made;
    }

    /// The one that holds the name gets another one, by an item that is put before the others in the end.
    void make_room(const Item& incoming) {
        const Held& held = *held_[incoming.folder]->find(plan_.entry(incoming).name);
        Entry& entry = rooms_entries_.emplace_back();
        entry.name = held.name;
        entry.status = held.status;
        entry.points_at = held.points_at;
        Item& item = rooms_.emplace_back();
        item.folder = incoming.folder;
        item.action = Action::move;
        item.outcome = Outcome::renamed;
        item.role = Role::makes_room;
        item.whole = held.status.type == FileType::folder;
        const std::string& folder = plan_.targets.name(incoming.folder);
        item.add_extras().final_name = new_name(incoming.folder, held.name, held.status, std::string(name_of(folder)));
    }

    void put_rooms_first() {
        const auto rooms = static_cast<ItemId>(rooms_.size());
        if (rooms == 0) return;
        for (ItemId id = 0; id < rooms; ++id)
            rooms_[id].entry = static_cast<EntryId>(plan_.batch->entries.size() + plan_.leaving.size() + id);
        std::move(rooms_entries_.begin(), rooms_entries_.end(), std::back_inserter(plan_.leaving));
        plan_.items.insert(plan_.items.begin(), std::make_move_iterator(rooms_.begin()), std::make_move_iterator(rooms_.end()));
        for (ItemId id = rooms; id < plan_.items.size(); ++id)
            if (plan_.items[id].parent != no_item) plan_.items[id].parent += rooms;
        for (ItemId& id : plan_.not_compared) id += rooms;
        for (ItemId& id : made_by_)
            if (id != no_item) id += rooms;
    }

    /// Goes on with what stands at a name that several of the batch want (contract: Twins).
    void settle_twin(Item& item, ItemId id, Claim& claim, const Held* held) {
        const bool by_batch = held == nullptr;
        const Item* holder = claim.holder == no_item ? nullptr : &plan_.items[claim.holder];
        const auto rival = first_arrival_ + claim.first == id ? claim.second : claim.first;
        const Status& status = held != nullptr ? held->status : plan_.batch->entries[layout_.arrivals[rival].entry].status;
        const bool is_free = held == nullptr && holder == nullptr;
        meet(item, id, Finding::twin, status, by_batch);
        // decided for this one: it, and no other, is meant
        const bool takes_it =
            item.collision->by_hand ? item.collision->decision == Decision::overwrite : item.collision->decision != Decision::undecided;
        if (is_free && takes_it) {
            item.outcome = Outcome::created;
        } else {
            apply_decision(item);
            if (item.outcome == Outcome::overwritten && holder != nullptr) {
                item.collision->decided_on = std::make_shared<const Pair>(plan_.pair(item));
                item.collision->held = plan_.entry(*holder).status;
                item.collision->held_by_batch = true;
            }
        }
        if (item.outcome == Outcome::created || item.outcome == Outcome::overwritten) claim.holder = id;
    }

    /// What a folder of the destination holds goes to the Safe, but for names that are wanted.
    void leave(FolderId folder, const HeldFolder* held, const std::unordered_set<std::string>& wanted) {
        if (held == nullptr) return;
        std::vector<const Held*> leaving;
        for (const Held& one : held->things())
            if (!wanted.contains(held->key(one.name)) && !(folder == 0 && is_of_the_volume(one.name))) leaving.push_back(&one);
        for (const Held* one : leaving) {
            Item& item = plan_.items.emplace_back();
            item.entry = static_cast<EntryId>(plan_.batch->entries.size() + plan_.leaving.size());
            Entry& entry = plan_.leaving.emplace_back();
            entry.name = one->name;
            entry.status = one->status;
            entry.points_at = one->points_at;
            item.folder = folder;
            item.action = Action::take_away;
            item.role = Role::leaves;
            item.outcome = Outcome::removed;
            const bool holds = !one->status.mount_point && holds_mount(folder, one->name);
            if (!one->status.mount_point && !holds) continue;
            item.outcome = Outcome::failed;
            item.problem = std::make_shared<const Error>(
                Error{Fault::refused, 0,
                      holds ? "holds a mount of another file system, and stays" : "is a mount of another file system, and stays",
                      plan_.target_path(item)});
        }
    }

    /// Something is mounted below it, at any depth.
    bool holds_mount(FolderId folder, const std::string& name) const {
        if (destination_.mounts.empty()) return false;
        const std::string path = join(plan_.targets.path_in_root(folder), name);
        return std::any_of(destination_.mounts.begin(), destination_.mounts.end(),
                           [&](const std::string& mount) { return mount != path && is_within(mount, path); });
    }

    /// What a file system keeps at its top for itself and for the desktop's trash (freedesktop.org Trash specification 1.0).
    bool is_of_the_volume(std::string_view name) const {
        const auto& up = destination_.ancestors;
        const bool at_top = up.size() < 2 || up[0].device != up[1].device;
        return at_top && (name == "lost+found" || name == ".Trash" || name.starts_with(".Trash-"));
    }

    void leave_nothing_extra() {
        std::vector<std::unordered_set<std::string>> wanted(plan_.targets.size());
        for (const Arrival& arrival : layout_.arrivals)
            if (const HeldFolder* held = held_[arrival.folder])
                wanted[arrival.folder].insert(held->key(plan_.batch->entries[arrival.entry].name));
        for (FolderId folder = 0; folder < plan_.targets.size(); ++folder) leave(folder, held_[folder], wanted[folder]);
    }

    void enter_folder(Item& item, ItemId id, const Held* held) {
        const bool stands = item.outcome == Outcome::merged && held != nullptr && held->status.type == FileType::folder;
        if (stands) held_[item.inside] = destination_.folder(plan_.targets.path_in_root(item.inside));
        if (item.outcome == Outcome::created || item.outcome == Outcome::renamed || item.outcome == Outcome::overwritten)
            made_by_[item.inside] = id;
        if (!stands) plan_.targets.set_identity(item.inside, {});
    }

    std::string fold(std::string_view name) const { return destination_.volume.folds_case ? folded(name) : std::string(name); }

    std::string folder_name(const Entry& entry) const {
        const FolderId folder = entry.folder;
        return plan_.batch->folders.parent(folder) == no_folder ? std::string(name_of(plan_.batch->folders.name(folder)))
                                                                : plan_.batch->folders.name(folder);
    }

    bool is_taken(FolderId folder, const std::string& name) {
        if (held_[folder] != nullptr && held_[folder]->find(name) != nullptr) return true;
        if (wanted_names_.empty()) {  // made once, when the first item is renamed
            wanted_names_.resize(plan_.targets.size());
            for (const Arrival& arrival : layout_.arrivals)
                wanted_names_[arrival.folder].insert(fold(plan_.batch->entries[arrival.entry].name));
        }
        const auto folded_name = fold(name);
        return wanted_names_[folder].contains(folded_name) || new_names_[folder].contains(folded_name);
    }

    /// The folders of the targets by the names that they will have.
    void settle_finals() {
        for (FolderId id = 0; id < plan_.targets.size(); ++id) {
            if (plan_.targets.parent(id) == no_folder) {
                plan_.finals.add_root(plan_.targets.name(id), plan_.targets.identity(id));
                continue;
            }
            const ItemId maker = made_by_[id];
            plan_.finals.add(plan_.targets.parent(id), maker == no_item ? plan_.targets.name(id) : plan_.final_name(plan_.items[maker]),
                             plan_.targets.identity(id));
        }
    }

    /// A folder whose place is free, and all of which is in the batch and arrives, moves by one rename.
    void mark_whole_folders() {
        std::vector<bool> whole(plan_.items.size(), true);
        for (auto id = static_cast<ItemId>(plan_.items.size()); id-- > 0;) {
            const Item& item = plan_.items[id];
            const Entry& entry = plan_.entry(item);
            const bool special = entry.status.type == FileType::other && !entry.problem && item.outcome == Outcome::failed;
            const bool at_top =
                item.outcome == Outcome::created || item.outcome == Outcome::renamed || item.outcome == Outcome::overwritten;
            const bool fed_once = item.inside == no_folder || !layout_.several_feed[item.inside];
            const bool can = whole[id] && entry.complete && !entry.real && fed_once && (special || at_top) &&
                             entry.status.id.device == destination_.volume.device;
            whole[id] = can;
            if (item.parent == no_item) continue;
            const bool plain = special || (item.outcome == Outcome::created && (!item.collision || item.collision->shared));
            if (!can || !plain) whole[item.parent] = false;
        }
        for (ItemId id = 0; id < plan_.items.size(); ++id) {
            Item& item = plan_.items[id];
            if (plan_.leaves(item)) continue;
            const Item* parent = item.parent == no_item ? nullptr : &plan_.items[item.parent];
            item.along = parent != nullptr && (parent->whole || parent->along);
            item.whole = whole[id] && item.inside != no_folder && !item.along;
            if (item.along && item.outcome == Outcome::failed) {  // special files come along, unopened
                item.outcome = Outcome::created;
                item.problem.reset();
            }
        }
    }

    const Layout& layout_;
    const Destination& destination_;
    const Wishes& wishes_;
    const KnownContents& known_;
    Plan plan_;
    ItemId first_arrival_ = 0;              ///< items before it leave the destination
    const PairDecision* single_ = nullptr;  ///< about the pair at hand
    std::vector<Item> rooms_;
    std::vector<Entry> rooms_entries_;
    std::unordered_map<std::string, Claim> claims_;
    std::vector<const HeldFolder*> held_;  ///< by folder of the targets: what stands there already
    std::vector<ItemId> made_by_;          ///< by folder of the targets: the item that makes it
    std::vector<std::unordered_set<std::string>> wanted_names_;
    std::vector<std::unordered_set<std::string>> new_names_;
};

}  // namespace

Plan make_plan(const Wishes& wishes, std::shared_ptr<const Batch> batch, const Layout& layout, const Destination& destination,
               const KnownContents& known) {
    return Planner(wishes, std::move(batch), layout, destination, known).run();
}

}  // namespace tavlo
