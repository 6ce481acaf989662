// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/in_use.h"

#include <algorithm>

#include "files/ancestors.h"
#include "files/path.h"

namespace tavlo {

namespace {

constexpr std::size_t most_folders = 256;  // named one by one; of more, the folders that they lie in are

std::string with_all_in_it(std::string folder) {
    if (folder.empty() || folder.back() != '/') folder += '/';
    return folder;
}

bool holds(const std::vector<Identity>& things, const Identity& one) {
    return std::any_of(things.begin(), things.end(),
                       [&](const Identity& other) { return other.same_thing(one); });
}

/// A folder and those above it; of one that is not there, those that are.
struct Chain {
    bool is_there = false;
    std::vector<Identity> things{};
};
Chain chain_of(FileSystem& disk, std::string path) {
    auto opened = disk.open_folder(path);
    const bool is_there = opened.has_value();
    for (; !opened && path != "/"; opened = disk.open_folder(path)) path = std::string(parent_of(path));
    if (!opened) return {};
    auto things = ancestors(disk, std::move(*opened));
    if (!things || things->empty()) return {};
    return {is_there, std::move(*things)};
}

}  // namespace

std::vector<std::string> places_in_use(const Plan& plan, const std::vector<std::string>& roots) {
    std::vector<std::string> places(roots);
    const auto& entries = plan.batch->entries;
    for (const Item& item : plan.items) {
        const bool is_folder = item.role == Role::made || plan.entry(item).status.type == FileType::folder;
        const bool is_top = item.parent == no_item && is_folder && item.outcome != Outcome::skipped;
        if (!is_top) continue;
        if (item.entry < entries.size() && item.role != Role::made)
            places.push_back(with_all_in_it(plan.source_path(item)));
        if (plan.traits().makes_destination && !plan.leaves(item))
            places.push_back(with_all_in_it(plan.final_path(item)));
        if (places.size() <= roots.size() + most_folders) continue;
        places.clear();
        for (const auto& root : roots) places.push_back(with_all_in_it(root));
        break;
    }
    return places;
}

bool is_in_use(FileSystem& disk, const Handle& folder, const std::vector<std::string>& places) {
    if (places.empty()) return false;
    auto same = disk.open_folder_in(folder, ".");
    const auto above =
        same ? ancestors(disk, std::move(*same)) : Result<std::vector<Identity>>(failure(same.error()));
    if (!above || above->empty()) return false;
    return std::any_of(places.begin(), places.end(), [&](const std::string& place) {
        const bool whole = place.size() > 1 && place.back() == '/';
        const Chain chain = chain_of(disk, whole ? place.substr(0, place.size() - 1) : place);
        return holds(chain.things, above->front()) ||
               (whole && chain.is_there && holds(*above, chain.things.front()));
    });
}

}  // namespace tavlo
