// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <cstdint>
#include <memory>
#include <string>
#include <vector>

#include "facts/summary.h"
#include "job/name_examples.h"
#include "job/prepare.h"
#include "tasks/outcome_tree.h"

/// One thing that was picked.
struct PickedRow {
    std::string folder;
    std::string name;
    tavlo::FileType type = tavlo::FileType::file;
    std::uint64_t bytes = 0;  ///< of a folder: of all files below it
    std::uint64_t files = 0;
    std::int64_t modified_ns = 0;
};

/// All that was picked, and what it comes to.
struct PickedRows {
    std::vector<PickedRow> rows;
    std::uint64_t files = 0;
    std::uint64_t bytes = 0;
    std::size_t folders = 0;  ///< that it comes from
};

/// What is known of the batch in hand, once it has been gathered and planned.
struct BenchView {
    std::shared_ptr<const tavlo::Job> job{};       ///< that the outcome is of, with its sources
    std::shared_ptr<const tavlo::Batch> batch{};   ///< null while nothing was gathered
    std::shared_ptr<const OutcomeTree> outcome{};  ///< null without a destination
    std::shared_ptr<const PickedRows> picks{};
    Shares shares{};  ///< the balance; for a moment ahead of the outcome where just the rules have changed
    tavlo::Room room{};
    std::vector<QString> misses{};    ///< lines of tables of names that fit nothing
    std::vector<QString> refusals{};  ///< why this may not be run
    std::uint64_t made = 0;           ///< items that are folders which the run makes, and nobody has in hand
    std::uint64_t impossible_names = 0;          ///< items whose names the destination cannot hold
    std::vector<tavlo::NameExample> examples{};  ///< what the steps of new names make of some of the batch
    bool has_folders = false;                    ///< a folder is in the batch, so subfolders matter
    bool comparing = false;                      ///< pairs are still being read
    /// What is known of the batch's files, where somebody wants to see it.
    std::shared_ptr<const std::vector<tavlo::FactSummary>> facts{};
    std::uint64_t files = 0;       ///< and links, that the facts are of
    std::uint64_t being_told = 0;  ///< files whose facts are being read; 0: none are
    std::uint64_t told = 0;        ///< of these, those that were
    std::uint64_t looked_for = 0;  ///< files that may be there under other names, being read
    std::uint64_t looked_at = 0;   ///< of these, those that were
    bool isReading() const { return comparing || being_told > 0 || looked_for > 0; }
};
