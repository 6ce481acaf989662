// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <set>
#include <utility>

#include "files/looker.h"
#include "keep/store.h"
#include "run/safe_slots.h"
#include "run/volumes.h"
#include "undo/undo_plan.h"

namespace tavlo {

/// A past run as its undo is planned on: its receipt read from the store, with the numbers that its volumes
/// have now, and the places as they are on the disk.
class PastRun final : public UndoBasis {
public:
    /// errors   the receipt cannot be read
    static Result<std::unique_ptr<PastRun>> read(FileSystem& disk, Store& store, ReceiptHead head);

    /// Only these are taken back, and what hangs on them; empty: all. What an undo has had already never is.
    Result<void> choose(const std::vector<std::uint64_t>& only);
    /// Called after each item that was looked at, with the number so far and of all.
    void on_progress(std::function<void(std::uint64_t, std::uint64_t)> looked_at) {
        looked_at_ = std::move(looked_at);
    }
    /// What could not be read of the receipt on the way: then the plan is none.
    const Result<void>& trouble() const { return trouble_; }

    void each(Store::Order order,
              const std::function<void(std::uint64_t, const ReceiptItem&)>& take) override;
    std::optional<Seen> look(const std::string& path) override;
    bool is_changed(const ReceiptItem& item, const Status& now) override;
    std::optional<Attributes> attributes(const std::string& path) override;
    std::optional<std::size_t> names_in(const std::string& path) override;
    std::optional<SafeEntry> version(const std::string& id) override;
    std::vector<SafeEntry> folder_versions() override;
    std::vector<std::string> shelves() override { return shelves_; }

private:
    PastRun(FileSystem& disk, Store& store, ReceiptHead of, const std::vector<VolumeRecord>& volumes,
            std::vector<std::string> shelves);
    bool was_left_so_by_later_run(const Status& now);
    std::optional<bool> holds_the_same(const ReceiptItem& item);

    FileSystem& disk_;
    Store& store_;
    VolumesNow volumes_;
    std::vector<std::string> shelves_;
    Looker look_;
    SafeSlots slots_;
    std::function<void(std::uint64_t, std::uint64_t)> looked_at_{};
    std::uint64_t looked_ = 0;
    /// files by inode and time of status change
    std::optional<std::set<std::pair<std::uint64_t, std::int64_t>>> left_later_{};
    Result<void> trouble_{};
};

}  // namespace tavlo
