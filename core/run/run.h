// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>
#include <stop_token>
#include <string>

#include "archive/format.h"
#include "files/file_system.h"
#include "files/pace.h"
#include "keep/store.h"
#include "plan/plan.h"

namespace tavlo {

enum class Verify : std::uint8_t {
    automatic,  ///< read back what moves between file systems, nothing else
    read_back,
    none,
};

struct RunOptions {
    std::string sentence{};  ///< what was asked for, for the receipt's head
    std::string job{};       ///< the same as a document (job/document.h)
    Verify verify = Verify::automatic;
    Press press = Press::normal;  ///< of an archive that is made
    std::stop_token stop{};       ///< heard between items and inside large files
    Pace* pace = nullptr;         ///< holds or limits the run, heard as the stop is; null: as fast as it can
    /// A full disk, or one that has gone away, ends the run as stopped, with what it waits for, instead of
    /// failing item by item; it can be gone on with once there is room again.
    bool pause_when_stuck = false;
    /// The run goes on with another plan after this one: its folders stay as private as while they are
    /// filled, and it has not ended.
    bool more_follows = false;
    unsigned threads = 0;  ///< that read and write files at a time; 0: as many as are useful; 1: nothing is
                           ///< done beside anything else
    std::size_t group_files = 0;  ///< files that become durable together, at most; 0: as many as are useful
};

/// What a run reports while it goes: by one thread at a time, `bytes` and `at_hand` also by others than the one
/// that carries it out.
struct RunEvents {
    /// what the receipt will be called, before anybody can find the run in the journal
    std::function<void(const std::string&)> named{};
    /// with the totals that are planned; again for each part of a run that grows
    std::function<void(const ReceiptHead&)> begun{};
    std::function<void(ItemId, const ReceiptItem&)> item{};  ///< once for each item, when it is settled
    /// Where it is set: in place of item() for most of what was planned to be skipped, which then costs no more
    /// than being counted.
    std::function<void(ItemId)> skipped{};
    std::function<void(std::uint64_t)> bytes{};  ///< bytes since the last call
    /// how large the archive that is made has become, in bytes
    std::function<void(std::uint64_t)> archived{};
    /// path of a file that is begun with; not of each, but of some each second
    std::function<void(const std::string&)> at_hand{};
    /// for another program that keeps the state locked; again every few seconds
    std::function<void(const Error&)> waits{};
};

/// Carries a plan out and keeps the receipt. The only thing in Tavlo that changes a disk.
///
/// Promises (docs/safety.md): nothing is replaced but what was agreed on, and that goes to the Safe; no half
/// file gets a name; a source goes only after its copy is durable and verified; what cannot be done fails
/// alone, with its reason.
/// errors   only where nothing more can be recorded (the state folder is full); everything up to there is in
///          the receipt
Result<ReceiptHead> carry_out(FileSystem& disk, Store& store, const Plan& plan, const RunOptions& options,
                              const RunEvents& events = {});

/// A folder that an interrupted run has made or taken from, and has not finished.
struct FolderRest {
    EntryId source = no_entry;  ///< in the batch
    /// in the targets: gets the source's attributes; none where it was there before
    FolderId made = no_folder;
    std::int64_t modified_ns = 0;         ///< the source's, before anything was taken from it
    std::uint64_t number = 0;             ///< of the folder's item in the receipt
    bool moves = false;                   ///< the source goes once it is empty
    std::optional<std::uint32_t> mode{};  ///< what it is to have in the end, where the source does not tell
};

/// A file that an interrupted run has put in place, and that other names of the batch are to be linked to.
struct PlacedLink {
    Identity source;
    FolderId folder = no_folder;  ///< in the targets
    std::string name;
    Identity placed;
    std::string hash;
};

/// What goes on with a run under its own receipt.
struct Resumption {
    ReceiptHead head;
    std::vector<std::uint64_t> numbers;  ///< of the plan's items in the receipt
    std::vector<FolderRest> rest;
    std::vector<PlacedLink> links;
    std::optional<Outcome> archive{};  ///< of the one that the items are packed into, where it is settled
    std::string archive_place{};
};

/// Carries out what was left of a run, as recover() has planned it. Whoever calls holds the run's lock.
Result<ReceiptHead> carry_on(FileSystem& disk, Store& store, const Plan& plan, const Resumption& resumption,
                             const RunOptions& options, const RunEvents& events = {});

}  // namespace tavlo
