#include "run/safe_slots.h"

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
    if (volume == volumes_.end()) volume = volumes_.emplace(shelf, volume_at(disk_, std::string(parent_of(entry.stored)))).first;
    return entry_now(records_, volume->second, std::move(entry));
}

Result<std::shared_ptr<const Handle>> SafeSlots::shelf(const SafeEntry& now) {
    const std::string path = shelf_of(now);
    if (const auto known = shelves_.find(path); known != shelves_.end()) return known->second;
    auto opened = open_shelf(disk_, now);
    if (!opened) return failure(opened.error());
    if (auto touched = durable_.touch(now.identity.device, *opened); !touched) return failure(touched.error());
    if (shelves_.size() >= most_held) shelves_.clear();
    return shelves_.emplace(path, std::make_shared<const Handle>(std::move(*opened))).first->second;
}

Result<Handle> SafeSlots::open(const SafeEntry& now) {
    const auto in = shelf(now);
    return in ? open_slot(disk_, **in, now) : Result<Handle>(failure(in.error()));
}

void SafeSlots::drop(const SafeEntry& gone) {
    const auto in = shelf(gone);
    if (!in) return;
    (void)disk_.remove_empty_folder(**in, std::string(name_of(parent_of(gone.stored))));
    durable_.changed(gone.identity.device, *in);
    const std::string path = shelf_of(gone);
    if (safes_to_tidy_.contains(path) || safes_to_tidy_.size() >= most_held) return;
    if (auto safe = disk_.open_folder_in(**in, "..")) safes_to_tidy_.emplace(path, std::make_unique<const Handle>(std::move(*safe)));
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
