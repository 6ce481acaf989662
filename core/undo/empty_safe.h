// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "files/pace.h"
#include "keep/store.h"

namespace tavlo {

// Removes versions from the Safe for good. This is the one place where Tavlo destroys anything, and only when
// asked. Nothing that is mounted, or lies on another device, goes with it, at any depth.

struct Emptied {
    std::vector<std::string> removed;  ///< ids
    std::vector<Error> problems;       ///< what could not be removed, or stays, with the reason
};

/// How far it is: versions looked at, of how many.
using EmptyProgress = std::function<void(std::uint64_t, std::uint64_t)>;

/// older_than_days  only versions of so many days and more, by clocks that can be trusted (Ages); nullopt:
///                  all
Result<Emptied> empty_safe(FileSystem& disk, Store& store,
                           std::optional<std::uint64_t> older_than_days = std::nullopt,
                           const EmptyProgress& progress = {});
/// How it goes on with many: what it tells, and how it is steered.
struct Removing {
    EmptyProgress progress{};
    std::function<void(const SafeEntry&)> removed{};  ///< each that went, once it has gone durably
    std::stop_token stop{};                           ///< between two versions; what went is gone
    Pace* pace = nullptr;                             ///< held: it waits between two
};
/// The same for versions that were chosen.
Result<Emptied> remove_versions(FileSystem& disk, Store& store, const std::vector<std::string>& entries,
                                const Removing& how = {});
/// The same for what the undo of a copy took away, as far as the bytes are proved to stand in the copy's
/// source.
/// undo     the receipt of the undo
/// errors   not_found; refused: it is no undo
Result<Emptied> remove_proved(FileSystem& disk, Store& store, const std::string& undo,
                              const EmptyProgress& progress = {});

}  // namespace tavlo
