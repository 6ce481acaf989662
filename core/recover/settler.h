// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside run/ only.

#include <cstdint>
#include <functional>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "keep/store.h"
#include "recover/rest.h"

namespace tavlo {

/// What an intention says of something that lies in a slot: its entry in the Safe, and the place that it came
/// from.
struct SlotOrigin {
    std::string entry;
    std::string original;
};

/// What was found out of an interrupted run's open items.
struct SettledRun {
    RunRecords records;  ///< of what was found done, all of it durable
    /// Of a thing in one of the run's slots, by its path; nullopt: no intention tells.
    std::function<std::optional<SlotOrigin>(const std::string& stored)> origin_of;
};

/// Finds out of each open item whether it was done, and clears away what was half-way.
/// pending  what has no result, by number; intents: what groups were about to do
/// folders  settled ones that hold what is still to come, by number
/// errors   what was found done cannot be made durable
Result<SettledRun> settle_open_items(FileSystem& disk, const ReceiptHead& head,
                                     std::map<std::uint64_t, PendingItem> pending,
                                     std::vector<Intent> intents,
                                     std::map<std::uint64_t, WhereItLies> folders);

}  // namespace tavlo
