// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string_view>

#include "batch/batch.h"
#include "facts/known_file_facts.h"
#include "names/pattern.h"
#include "select/kinds.h"

namespace tavlo {

/// What is known of the entries of a batch, for patterns: by their names and looks, and by what files have
/// told.
class EntryFacts {
public:
    /// now_ns  the start of the run
    /// told    may be null: then nothing that is in files is known
    /// said    by somebody, ahead of all else
    EntryFacts(const Batch& batch, Kinds kinds, std::int64_t now_ns,
               std::shared_ptr<const KnownFileFacts> told = nullptr, FactsSaid said = {})
        : batch_(batch),
          kinds_(std::move(kinds)),
          now_ns_(now_ns),
          told_(std::move(told)),
          said_(std::move(said)) {}
    /// name  that it has at the time
    /// n     the counter
    std::optional<Fact> find(EntryId entry, std::string_view name, std::uint64_t n,
                             std::string_view fact) const;

private:
    std::optional<Fact> of_name(std::string_view name, FileType type, std::string_view fact) const;
    std::string folders(const Entry& entry) const;
    const Fact* said(const Entry& entry, std::string_view fact) const;

    const Batch& batch_;
    Kinds kinds_;
    std::int64_t now_ns_;
    std::shared_ptr<const KnownFileFacts> told_;
    FactsSaid said_;
};

}  // namespace tavlo
