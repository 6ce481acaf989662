// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/safe_slots.h"

#include <utility>

#include "files/path.h"
#include "run/safe_folder.h"

namespace tavlo {

namespace {

constexpr std::size_t most_held = 64;  // handles

std::string shelf_of(const SafeEntry& entry) { return std::string(parent_of(parent_of(entry.stored))); }

}  // namespace

SafeEntry SafeSlots::now(SafeEntry entry) {
    if (receipt_ != entry.receipt) {
        auto records = store_.volumes(entry.receipt);
        if (!records) return entry;
        receipt_ = entry.receipt;
        records_ = std::move(*records);
    }
    const std::string shelf = shelf_of(entry);
    auto volume = volumes_.find(shelf);
    if (volume == volumes_.end())
        volume = volumes_.emplace(shelf, volume_at(disk_, std::string(parent_of(entry.stored)))).first;
    return entry_now(records_, volume->second, std::move(entry));
}

Result<std::shared_ptr<const Handle>> SafeSlots::shelf(const SafeEntry& now) {
    const std::string path = shelf_of(now);
    if (const auto known = shelves_.find(path); known != shelves_.end()) return known->second;
    auto opened = open_shelf(disk_, now);
    if (!opened) return failure(opened.error());
    if (auto touched = durable_.touch(now.identity.device, *opened); !touched)
        return failure(touched.error());
    if (shelves_.size() >= most_held) shelves_.clear();
    return shelves_.emplace(path, std::make_shared<const Handle>(std::move(*opened))).first->second;
}

Result<std::shared_ptr<const Handle>> SafeSlots::open(const SafeEntry& now) {
    const auto path = parent_of(now.stored);
    if (slot_ != nullptr && path == slot_path_) {
        if (auto lies = lies_in(disk_, *slot_, now); !lies) return failure(lies.error());
        return slot_;
    }
    const auto in = shelf(now);
    if (!in) return failure(in.error());
    auto opened = open_slot(disk_, **in, now);
    if (!opened) return failure(opened.error());
    slot_path_ = path;
    slot_ = std::make_shared<const Handle>(std::move(*opened));
    return slot_;
}

void SafeSlots::drop(const SafeEntry& gone) {
    if (to_drop_.empty() || parent_of(to_drop_.back().stored) != parent_of(gone.stored))
        to_drop_.push_back(gone);
}

Result<void> SafeSlots::settle() {
    slot_.reset();
    for (const SafeEntry& gone : std::exchange(to_drop_, {})) {
        const auto in = shelf(gone);
        if (!in) return failure(in.error());  // nothing is known to be durable then
        const std::string slot(parent_of(gone.stored));
        if (!disk_.remove_empty_folder(
                **in,
                std::string(name_of(slot))))  // it holds others still: what left it is to be durable there
            if (auto folder = disk_.open_folder_in(**in, std::string(name_of(slot))))
                durable_.changed(gone.identity.device, std::make_shared<const Handle>(std::move(*folder)));
        durable_.changed(gone.identity.device, *in);
        const std::string path = shelf_of(gone);
        if (safes_to_tidy_.contains(path) || safes_to_tidy_.size() >= most_held) continue;
        if (auto safe = disk_.open_folder_in(**in, ".."))
            safes_to_tidy_.emplace(path, std::make_unique<const Handle>(std::move(*safe)));
    }
    return durable_.settle();
}

void SafeSlots::tidy() {
    for (const auto& [shelf, safe] : safes_to_tidy_) {
        (void)disk_.remove_empty_folder(*safe, std::string(name_of(shelf)));
        if (const auto around = disk_.open_folder_in(*safe, ".."))
            (void)disk_.remove_empty_folder(*around, std::string(name_of(parent_of(shelf))));
    }
    safes_to_tidy_.clear();
    shelves_.clear();
}

}  // namespace tavlo
