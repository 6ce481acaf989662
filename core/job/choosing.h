// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <optional>
#include <vector>

#include "batch/gather.h"
#include "job/job.h"

namespace tavlo {

/// What a job takes in hand, and what of its list could not be met: lines that fit nothing, or that there are
/// no lines.
struct Chosen {
    Batch batch;
    std::vector<Error> misses;
    std::shared_ptr<const KnownFileFacts> facts{};  ///< what files have told so that they could be chosen
};

/// Gathers the sources, and leaves what was not asked for.
/// now_ns  that relative dates are counted from
/// memory  of what files told before; may be null
/// told    called now and then with how many files have told, and of how many
/// errors  as gather(); refused: criteria that cannot be read, a kind that is not there; the list cannot be
///         read
Result<Chosen> gather_chosen(FileSystem& disk, const Job& job, std::int64_t now_ns,
                             const GatherOptions& options = {}, FactsMemory* memory = nullptr,
                             const std::function<void(std::size_t, std::size_t)>& told = {});

/// From which size on folders are chosen; nullopt: they are not, by size. errors: refused: it is no size
Result<std::optional<std::uint64_t>> folder_size_from(const Selection& what);

/// How a job's sources are gathered: through links or not, with what is in them or without.
GatherOptions gathering_of(const Job& job, GatherOptions options = {});

}  // namespace tavlo
