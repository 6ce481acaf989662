// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <memory>
#include <string>
#include <variant>
#include <vector>

#include "job/growing.h"

namespace errands {

struct CarryOut {
    std::shared_ptr<const tavlo::Plan> plan;
    std::string continues{};  ///< the receipt that it may be gone on with under (settlement_of())
};
struct CarryOutCounting {  ///< while the batch is still being counted
    tavlo::Asked asked;
};
struct DoJob {  ///< from its sources on: gathered and planned when it is its turn, carried out with nobody
                ///< asked
    tavlo::Job job;
};
struct GoOn {  ///< what was left of a run
    std::string receipt;
};
struct TakeBack {
    std::string receipt;
};
struct TryAgain {  ///< what failed of a run, or these of that
    std::string receipt;
    std::vector<std::uint64_t> numbers{};
};
struct LeaveFailed {  ///< what failed of a run, or these of that, is left as it is
    std::string receipt;
    std::vector<std::uint64_t> numbers{};
};

struct RemoveForGood {  ///< versions in the Safe, by their ids; it has no receipt, and no undo
    std::shared_ptr<const std::vector<std::string>> versions;
};

}  // namespace errands

/// What a lane is to carry out: a sentence for people, and one of these.
struct Errand {
    QString sentence;
    std::variant<errands::CarryOut, errands::CarryOutCounting, errands::DoJob, errands::GoOn,
                 errands::TakeBack, errands::TryAgain, errands::LeaveFailed, errands::RemoveForGood>
        what{};
    std::shared_ptr<const tavlo::Job> job{};  ///< that it came of; null where it came of none
    bool at_once = false;                     ///< it is small, and waits for no other run

    template <class One>
    const One* as() const {
        return std::get_if<One>(&what);
    }
    /// Of the run that it takes up or takes back; empty: it begins one.
    std::string receipt() const {
        return std::visit(
            [](const auto& errand) -> std::string {
                if constexpr (requires { errand.receipt; }) return errand.receipt;
                return {};
            },
            what);
    }
    /// It takes up a run that has ended, and has its receipt already.
    bool is_of_ended_run() const {
        return as<errands::TryAgain>() != nullptr || as<errands::LeaveFailed>() != nullptr;
    }
};
