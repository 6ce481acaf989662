// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/words.h"

namespace tavlo {

/// What a run, a recovery or a retry may rely on, said of a whole plan; they ask for this, not for what the
/// operation is called.
struct Traits {
    /// its sources are files that somebody took in hand, not what an earlier run has left
    bool comes_from_batch = false;
    bool reads_sources = false;            ///< folders of them hold no Safe, which it would read too
    bool makes_destination = false;        ///< with the folders above it, where it is missing
    bool removes_emptied_folders = false;  ///< source folders that are empty once it is through go
    /// an item may want a name that the one before it gives up: none overtakes another
    bool in_order = false;
    bool puts_back = false;   ///< what arrives was there before: it is "restored"
    bool takes_away = false;  ///< what is in hand leaves, and nothing of it arrives
    bool packs = false;       ///< what is in hand goes into one archive, which takes its name at the end
    /// folders of one's own that may not be written are made so, for as long as it works in them
    bool lends_write = false;
    bool can_be_retried = false;  ///< what failed can be asked for again by itself
    bool opens_archives = false;  ///< archives in hand are the folders that they hold
};

constexpr Traits traits_of(Operation operation) noexcept {
    switch (operation) {
        case Operation::copy:
            return {.comes_from_batch = true,
                    .reads_sources = true,
                    .makes_destination = true,
                    .can_be_retried = true};
        case Operation::move:
            return {.comes_from_batch = true,
                    .reads_sources = true,
                    .makes_destination = true,
                    .removes_emptied_folders = true,
                    .can_be_retried = true};
        case Operation::undo: return {.in_order = true, .puts_back = true, .lends_write = true};
        case Operation::remove: return {.comes_from_batch = true, .takes_away = true};
        case Operation::rename: return {.comes_from_batch = true, .in_order = true};
        case Operation::make: return {.comes_from_batch = true};
        case Operation::unpack:
            return {.comes_from_batch = true,
                    .makes_destination = true,
                    .can_be_retried = true,
                    .opens_archives = true};
        case Operation::pack:
            return {
                .comes_from_batch = true, .reads_sources = true, .makes_destination = true, .packs = true};
        case Operation::restore: return {.makes_destination = true, .puts_back = true};
    }
    return {};
}

}  // namespace tavlo
