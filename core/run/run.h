#pragma once

#include <functional>
#include <optional>
#include <stop_token>
#include <string>

#include "files/file_system.h"
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
    Verify verify = Verify::automatic;
    std::stop_token stop{};  ///< heard between items and inside large files
};

/// What a run reports while it goes, on the thread that carries it out.
struct RunEvents {
    std::function<void(const ReceiptHead&)> begun{};
    std::function<void(ItemId, const ReceiptItem&)> item{};  ///< once for each item, when it is settled
    std::function<void(std::uint64_t)> bytes{};              ///< bytes since the last call
};

/// Carries a plan out and keeps the receipt. The only thing in Tavlo that changes a disk.
///
/// Promises (docs/safety.md): nothing is replaced but what was agreed on, and that goes to the Safe; no half file gets
/// a name; a source goes only after its copy is durable and verified; what cannot be done fails alone, with its reason.
/// errors   only where nothing more can be recorded (the state folder is full); everything up to there is in the receipt
Result<ReceiptHead> carry_out(FileSystem& disk, Store& store, const Plan& plan, const RunOptions& options, const RunEvents& events = {});

}  // namespace tavlo
