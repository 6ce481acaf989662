// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/what_was_done.h"

#include <algorithm>

#include "files/path.h"

namespace tavlo {

bool took_effect(const ReceiptItem& item) { return arrives(item.result) || item.result == Outcome::removed; }

WhatWasDone::WhatWasDone(UndoBasis& basis) : basis_(basis) { go_through(); }

bool WhatWasDone::counts(std::uint64_t number, const ReceiptItem& item) const {
    if (is_packed(item.action) && item.set_aside.empty())
        return false;  // nothing on the disk has changed by it
    return took_effect(item) &&
           (basis_.chosen.empty() || (number < basis_.chosen.size() && basis_.chosen[number]));
}

void WhatWasDone::go_through() {
    std::vector<std::string> folder_places;
    basis_.each(Store::Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
        if (!took_effect(item)) return;
        const bool was_removed =
            item.result == Outcome::removed && traits_of(basis_.head.operation).comes_from_batch;
        if ((item.action == Action::move && !came_out_of_trash(item)) || was_removed ||
            item.action == Action::pack_away) {
            const std::string parent(parent_of(item.source));
            sources_of_moves_.insert(parent);
            if (counts(number, item) && item.brought_back.empty()) goes_back_into_.insert(parent);
        }
        if (lies_in_trash(item)) trashes_.emplace(parent_of(item.place()));
        if (item.type == FileType::folder && item.moved_whole) moved_whole_ = true;
        if (!counts(number, item)) return;
        named_.add(item.place());
        if (item.source != item.place()) named_.add(item.source);
        wanted_.add(item.place());
        // folders go last, in one sweep; but where one had taken its place from a twin, or got it from what
        // made room, everything goes in reverse
        if (made_room(item)) in_order_ = true;
        if (item.type != FileType::folder) return;
        has_folders_ = true;
        folder_places.push_back(item.place());
    });
    for (const FolderTrace& trace : basis_.folders) named_.add(trace.path);
    named_.settle();
    wanted_.settle();
    in_order_ = in_order_ || std::any_of(folder_places.begin(), folder_places.end(),
                                         [&](const auto& path) { return wanted_.contain(path); });
}

std::vector<std::string> WhatWasDone::roots() const {
    std::set<std::string> all(basis_.head.roots.begin(), basis_.head.roots.end());
    // a folder that was tidied away is reached from the nearest one that is still there
    for (const auto& parent : sources_of_moves_) {
        std::string at = parent;
        if (at == "/" || basis_.look(at)) continue;
        for (; at != "/" && !basis_.look(at); at = std::string(parent_of(at))) all.erase(at);
        all.insert(at);
    }
    std::vector<std::string> roots(all.begin(), all.end());
    for (auto& shelf : basis_.shelves()) roots.push_back(std::move(shelf));
    roots.insert(roots.end(), trashes_.begin(), trashes_.end());
    return roots;
}

bool WhatWasDone::something_goes_back_into(const std::string& folder) {
    if (needed_.empty())
        basis_.each(Store::Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
            if (!counts(number, item)) return;
            for (std::string at(parent_of(item.source)); needed_.insert(at).second && at != "/";)
                at = std::string(parent_of(at));
        });
    return needed_.contains(folder);
}

// before there were roles, that was in an undo any folder that moved whole
bool WhatWasDone::made_room(const ReceiptItem& item) const {
    if (came_out_of_trash(item)) return false;
    const bool was_put_back_whole =
        traits_of(basis_.head.operation).puts_back && item.type == FileType::folder && item.moved_whole;
    return item.role == Role::makes_room ||
           (was_put_back_whole && item.action == Action::move && item.brought_back.empty());
}

bool WhatWasDone::put(const std::string& place) const {
    bool found = false;
    basis_.each(Store::Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
        found = found || (counts(number, item) && item.result != Outcome::removed && item.place() == place);
    });
    return found;
}

std::optional<Attributes> WhatWasDone::attributes_of_moved(const ReceiptItem& was) {
    const auto is_it = [&](const std::string& path) {
        const auto seen = basis_.look(path);
        return seen && seen->status.id.could_be(was.after);
    };
    if (is_it(was.place())) return basis_.attributes(was.place());
    if (!folder_versions_) folder_versions_ = basis_.folder_versions();
    for (const SafeEntry& version : *folder_versions_)
        if (is_it(version.stored)) return basis_.attributes(version.stored);
    return std::nullopt;
}

}  // namespace tavlo
