// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <unordered_map>
#include <unordered_set>
#include <utility>

#include "files/path.h"
#include "undo/undo_plan.h"

namespace tavlo {

namespace {

bool goes_back_to_another_file_system(const ReceiptItem& item) {
    return item.action == Action::move && item.linked_source.inode != 0 &&
           item.linked_source.device != item.after.device;
}
std::string inode_of(const ReceiptItem& item) {
    return std::to_string(item.after.device) + ':' + std::to_string(item.after.inode);
}

}  // namespace

std::vector<bool> choose(const std::vector<ReceiptItem>& items, const std::vector<std::uint64_t>& numbers,
                         const std::vector<std::uint64_t>& taken_back) {
    const bool some = !numbers.empty();
    std::vector<bool> chosen(items.size(), !some);
    std::unordered_set<std::string> places;
    std::unordered_set<std::string> folders;
    std::unordered_set<std::string> links;  // names of one file: apart they would come back as two
    std::unordered_map<std::string, int> wanted;
    for (const ReceiptItem& item : items)
        if (took_effect(item)) ++wanted[item.place()];
    const auto take = [&](std::size_t number) {
        const ReceiptItem& item = items[number];
        chosen[number] = true;
        places.insert(item.place());
        if (goes_back_to_another_file_system(item)) links.insert(inode_of(item));
        // a folder above it may have been displaced by a twin since: that one goes first
        for (std::string at(parent_of(item.place())); at != "/" && !at.empty();
             at = std::string(parent_of(at)))
            if (const auto several = wanted.find(at); several != wanted.end() && several->second > 1)
                places.insert(at);
        if (item.type == FileType::folder) folders.insert(item.place());
    };
    const auto hangs_on_chosen = [&](const ReceiptItem& item) {
        if (places.contains(item.place())) return true;
        if (goes_back_to_another_file_system(item) && links.contains(inode_of(item))) return true;
        for (std::string at(parent_of(item.place())); at != "/" && !at.empty();
             at = std::string(parent_of(at)))
            if (folders.contains(at)) return true;
        return false;
    };
    for (const auto number : numbers)
        if (number < items.size()) take(static_cast<std::size_t>(number));
    for (bool grew = some; std::exchange(grew, false);)
        for (std::size_t number = 0; number < items.size(); ++number)
            if (!chosen[number] && took_effect(items[number]) && hangs_on_chosen(items[number])) {
                take(number);
                grew = true;
            }
    for (const auto number : taken_back)
        if (number < items.size()) chosen[static_cast<std::size_t>(number)] = false;
    return chosen;
}

}  // namespace tavlo
