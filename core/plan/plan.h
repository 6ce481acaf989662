// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "batch/batch.h"
#include "layout/layout.h"
#include "plan/order.h"
#include "plan/policy.h"
#include "plan/traits.h"
#include "survey/contents.h"
#include "survey/destination.h"

namespace tavlo {

using ItemId = std::uint32_t;
inline constexpr ItemId no_item = UINT32_MAX;

/// An item wants a name that is taken. A million can be in memory at a time: so one is small.
struct Collision {
    /// of what holds the name, or will by then: in the destination, or another item of the batch
    [[no_unique_address]] FileState held;
    std::optional<Finding> finding;  ///< nullopt: same size, not compared yet
    Decision decision = Decision::undecided;
    bool held_by_batch : 1 = false;
    bool shared : 1 = false;      ///< it is the folder's that this item comes in
    bool by_hand : 1 = false;     ///< decided for this pair, not by a rule
    bool held_stays : 1 = false;  ///< what holds the name is a mount, or holds one: it is not overwritten
    /// the one that is there gets a new name, by an item of its own that comes before
    bool renames_held : 1 = false;

    /// The pair that a decision is tied to, where it is not what the item and `held` make (Plan::pair()): the
    /// folder's that it comes in, or that of before a twin took the name.
    const std::shared_ptr<const Pair>& decided_on() const { return extras.get().decided_on; }
    /// Of that finding: the place of `held`.
    const std::shared_ptr<const std::string>& elsewhere() const { return extras.get().elsewhere; }

    struct Extras {
        std::shared_ptr<const Pair> decided_on{};
        std::shared_ptr<const std::string> elsewhere{};
    };
    Rare<Extras> extras{};
};

/// What is done with the thing itself.
enum class Action : std::uint8_t {
    copy,       ///< the target gets the same; the source stays
    move,       ///< the source becomes the target
    take_away,  ///< the source goes to the Safe, or the trash (undo of a copy, what leaves the destination,
                ///< what is removed)
    remove_folder,  ///< the source, a folder, goes if it is empty (undo of a made folder)
    make_folder,    ///< a new folder; or one that a run removed, with the attributes it had (undo of a move)
    pack,           ///< what it is and holds is written into the archive of the plan; the source stays
    pack_away,  ///< the same, and once the archive has its name the source goes to the Safe; a folder, empty
                ///< by then, for good
};

/// What an item is to its plan.
enum class Role : std::uint8_t {
    arrives,     ///< a thing of the batch, or a version, that gets a place
    leaves,      ///< goes out of its folder, to the Safe, the trash or, an empty folder, for good
    makes_room,  ///< holds a name, and gets another where it is, so that one that arrives can have it; or
                 ///< gets its old one back
    on_the_way,  ///< a folder that is not in hand itself, and comes along so that its name is kept
    renamed,     ///< gets another name where it is, a folder with all that is in it
    made,        ///< a folder that no source stands for: a new one, or one that an undo makes again
    archive,     ///< what the others are packed into; it comes after them
};
inline constexpr bool is_packed(Action action) {
    return action == Action::pack || action == Action::pack_away;
}

/// What few items have, and a million can do without.
struct ItemExtras {
    std::string name{};                              ///< the name asked for, where it is not the entry's own
    std::string final_name{};                        ///< where a decision gives it another
    std::string entry_of_safe{};                     ///< the Safe entry that this brings back
    std::shared_ptr<const Attributes> attributes{};  ///< make_folder: what it is to have
    std::shared_ptr<const Error> problem{};          ///< why it fails, or stays undecided
};

/// One thing of the batch and what is to come of it. Immutable once the plan stands.
class Item {
public:
    EntryId entry = no_entry;     ///< in the batch, or, from the batch's size on, in Plan::leaving
    ItemId parent = no_item;      ///< the item of the folder that it comes in
    FolderId folder = no_folder;  ///< in Plan::targets
    FolderId inside = no_folder;  ///< a folder's own node in Plan::targets
    ItemId takes_back = no_item;  ///< in an undo: the item's number in the receipt that is undone
    Action action = Action::copy;
    Role role = Role::arrives;
    Outcome outcome = Outcome::created;
    Shelf shelf = Shelf::safe;  ///< where it goes to, of what is taken away; where it lies, of what comes
                                ///< back from there
    bool parks = false;  ///< waits under a hidden name for the one that it wants; Plan::steps says when
    bool whole = false;  ///< a folder that moves with all that is in it by one rename
    bool along = false;  ///< comes along inside such a folder
    std::unique_ptr<Collision> collision{};

    const ItemExtras& extras() const { return extras_.get(); }
    ItemExtras& add_extras() { return extras_.make(); }
    const std::shared_ptr<const Error>& problem() const { return extras().problem; }

private:
    Rare<ItemExtras> extras_{};
};

/// Nothing is done for it: it is skipped, or not decided about.
inline bool leaves_alone(const Item& item) {
    return item.outcome == Outcome::skipped || item.outcome == Outcome::undecided;
}

/// Whether the item takes a name that is held, and puts what holds it into the Safe.
inline bool replaces(const Item& item) {
    if (item.outcome == Outcome::overwritten) return true;
    return item.outcome == Outcome::restored && item.collision &&
           item.collision->decision == Decision::overwrite;
}

/// Of the items that people count: an archive that the others are packed into is none.
struct Totals {
    std::uint64_t items = 0;
    std::uint64_t bytes = 0;  ///< sizes of the files that arrive
    std::array<std::uint64_t, outcome_count> by_outcome{};

    std::uint64_t of(Outcome outcome) const { return by_outcome[static_cast<std::size_t>(outcome)]; }
    void count(Outcome outcome) { ++by_outcome[static_cast<std::size_t>(outcome)]; }
    Totals& operator+=(const Totals& more) {
        items += more.items;
        bytes += more.bytes;
        for (std::size_t at = 0; at < outcome_count; ++at) by_outcome[at] += more.by_outcome[at];
        return *this;
    }
};

/// Whether an outcome means that the thing ends up in the destination.
constexpr bool arrives(Outcome outcome) {
    return outcome == Outcome::created || outcome == Outcome::overwritten || outcome == Outcome::renamed ||
           outcome == Outcome::restored;
}

/// What will happen to each item of a batch: data, handed on by pointer, never changed.
struct Plan {
    Operation operation = Operation::copy;
    std::string destination;
    std::shared_ptr<const Batch> batch;
    std::vector<Entry> leaving{};  ///< of the destination: what goes to the Safe or makes room; where it lies
                                   ///< is its item's folder
    bool folds_case = false;       ///< the destination holds names that differ in case alone for one
    FolderTree targets;            ///< by the names asked for; 0 is the destination
    FolderTree finals;             ///< the same folders, by the names they will have
    /// The same folders as they lie before the run, where it renames them; none: it does not.
    std::optional<FolderTree> standing{};
    std::vector<Item> items;
    /// The order to carry them out in, where it is not their own; an item that parks is in it twice.
    std::vector<Ordered::Step> steps{};
    std::vector<EntryId> dissolved{};  ///< source folders that are no items, and go when a move empties them
    Totals totals;
    std::vector<ItemId> colliding;     ///< items with a collision, in their order
    std::vector<ItemId> not_compared;  ///< those of them whose pair must be read before its finding is known
    std::string undoes{};              ///< the receipt that this undoes
    bool undoes_some = false;          ///< chosen items of it only
    bool may_lose = false;             ///< as in Wishes

    Traits traits() const { return traits_of(operation); }
    /// The item is something of the destination, not of the batch: it leaves, or makes room.
    bool leaves(const Item& item) const { return item.entry >= batch->entries.size(); }
    const Entry& entry(const Item& item) const {
        return leaves(item) ? leaving[item.entry - batch->entries.size()] : batch->entries[item.entry];
    }
    const std::string& name(const Item& item) const {
        return item.extras().name.empty() ? entry(item).name : item.extras().name;
    }
    const std::string& final_name(const Item& item) const {
        return item.extras().final_name.empty() ? name(item) : item.extras().final_name;
    }
    Pair pair(const Item& item) const;  ///< of one that collides: what a decision about it is tied to
    std::string source_path(const Item& item) const {
        return leaves(item) ? target_path(item) : batch->source_path(entry(item));
    }
    std::string target_path(const Item& item) const;  ///< the place first asked for
    std::string final_path(const Item& item) const;   ///< the place it gets
};

/// What each colliding item of a plan would come to by other wishes, in the order of Plan::colliding; in the
/// time that these take, not the whole plan. nullopt where it takes a new plan to say: twins hang on one
/// another, and so does what is cleared.
/// before  what the plan was made by
std::optional<std::vector<Outcome>> outcomes_by(const Plan& plan, const Wishes& before, const Wishes& now);

/// Adds up what came of the items.
Totals total(const Plan& plan);

/// Computes a plan. Pure: no disk, no clock; the same input gives the same plan.
/// As many items come out as arrivals went in, in their order; before them what makes room for them, after
/// them what leaves the destination, or before them where it is emptied first.
Plan make_plan(const Wishes& wishes, std::shared_ptr<const Batch> batch, const Layout& layout,
               const Survey& survey, const KnownContents& known);

/// The finding for a pair that are not two folders; nullopt: both must be read first.
/// time_step_ns  the coarser step of the two file systems: closer dates count as the same
std::optional<Finding> compare(const Entry& incoming, const Held& held, const KnownContents& known,
                               std::int64_t time_step_ns);

}  // namespace tavlo
