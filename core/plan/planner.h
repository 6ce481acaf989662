// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside plan/ only.

#include <unordered_set>

#include "plan/place_table.h"
#include "plan/plan.h"

namespace tavlo {

/// make_plan() while it works: once through the arrivals, in their order, or, where they are renamed, each
/// after the one whose name it wants.
class Planner {
public:
    /// keeping  by arrival of a layout in place: those that are known to keep their names
    Planner(const Wishes& wishes, std::shared_ptr<const Batch> batch, const Layout& layout,
            const Survey& survey, const KnownContents& known, const std::vector<bool>& keeping);
    Plan run() &&;
    /// Those of a layout in place that were taken for ones that give up their names, and do not; to be
    /// planned again with that known.
    const std::vector<std::uint32_t>& misjudged() const { return misjudged_; }

private:
    /// What stands at a name while the items that want it are gone through in order.
    struct Claim {
        std::uint32_t wanted_by = 0;
        bool any_not_folder = false;
        /// the first two arrivals that want it, to show each one its rival
        std::uint32_t first = UINT32_MAX;
        std::uint32_t second = UINT32_MAX;
        ItemId holder = no_item;  ///< the item of the batch that has it so far
    };

    // planner.cpp: what becomes of each
    void find_twins();
    Claim* twin_claim(std::uint32_t at);
    const Held* held_at(FolderId folder, std::string_view name);
    void decide(std::uint32_t at);
    bool shares_folder_decision(Item& item);
    bool cannot_be_done(Item& item, std::uint32_t at);
    void meet_held(Item& item, ItemId id, const Held& held);
    void meet_elsewhere(Item& item, ItemId id);
    void meet(Item& item, ItemId id, std::optional<Finding> finding, const FileState& held,
              bool held_by_batch);
    void apply_decision(Item& item);
    void settle_twin(Item& item, ItemId id, Claim& claim, const Held* held);
    void enter_folder(Item& item, ItemId id, const Held* held);
    void settle_finals();
    void mark_whole_folders();

    // planner_names.cpp: new names, nobody else's
    std::string untaken(FolderId folder, FileType type, const std::string& name);
    std::string new_name(FolderId folder, const std::string& name, const FileState& status,
                         const std::string& from);
    bool is_taken(FolderId folder, const std::string& name);
    std::string folder_name(const Entry& entry) const;

    // planner_leaving.cpp: what is there and leaves, or makes room
    void make_room(const Item& incoming);
    void put_rooms_first();
    void leave(FolderId folder, const HeldFolder* held, const std::unordered_set<std::string>& wanted);
    void leave_nothing_extra();
    void decide_leaving();
    bool holds_mount(FolderId folder, const std::string& name) const;
    bool is_of_the_volume(std::string_view name) const;

    // planner_in_place.cpp: what gets another name where it is
    void decide_in_place();
    void decide_in_place(std::uint32_t at);
    bool keeps_name(std::uint32_t at) const;
    bool gives_up(std::uint32_t at, const Held& held);
    Rename rename_of(ItemId id);
    void settle_steps();

    std::string fold(FolderId folder, std::string_view name) const;
    PlaceId place_of(FolderId folder, std::string_view name);
    const Volume& volume(FolderId folder) const { return survey_.root(folder).volume; }
    const HeldFolder* folder_there(FolderId folder) const {
        return survey_.folder(layout_.as_it_stands(), folder);
    }
    const std::string& wanted(const Arrival& arrival) const { return layout_.name(*plan_.batch, arrival); }
    static bool is_folder(const Arrival& arrival) { return arrival.inside != no_folder; }

    const Layout& layout_;
    const Survey& survey_;
    const Wishes& wishes_;
    const KnownContents& known_;
    const std::vector<bool>& keeping_;
    Plan plan_;
    ItemId first_arrival_ = 0;              ///< items before it leave the destination
    const PairDecision* single_ = nullptr;  ///< about the pair at hand
    std::vector<Item> rooms_;
    std::vector<Entry> rooms_entries_;
    PlaceTable places_;                    ///< that are wanted by several, or given up
    std::vector<PlaceId> wants_;           ///< by arrival; empty: nothing can be wanted by two
    std::vector<PlaceId> has_;             ///< by arrival of a layout in place: what it may give up
    std::vector<Claim> claims_;            ///< by place
    std::vector<const HeldFolder*> held_;  ///< by folder of the targets: what stands there already
    std::vector<std::size_t> looked_at_;   ///< by such a folder: about where the last name was found
    std::vector<ItemId> made_by_;          ///< by folder of the targets: the item that makes it
    std::vector<std::unordered_set<std::string>> wanted_names_;
    std::vector<std::unordered_set<std::string>> new_names_;
    std::vector<std::uint32_t> giving_;  ///< by place: the arrival of a layout in place that may give it up
    std::vector<bool> decided_;          ///< by such an arrival
    std::vector<std::uint32_t> misjudged_;
};

}  // namespace tavlo
