// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>

#include "tasks/run_lane.h"

/// Carries a lane's errand out, on the lane's thread.
/// counted  how far the counting is, of a run that grows
RunEnd carry_out_errand(const std::string& state_folder, const Errand& errand,
                        const tavlo::RunOptions& options, tavlo::RunEvents events,
                        const std::function<void(const tavlo::Counted&)>& counted,
                        const std::function<void(tavlo::ItemId, tavlo::Outcome)>& settled);

/// The drives that an errand reads from and writes to.
std::set<std::uint64_t> drives_of(const std::string& state_folder, const Errand& errand);

/// What failed of a run that has ended, with the numbers in its receipt; at most so many.
std::vector<RunFault> faults_of(const std::string& state_folder, const std::string& receipt,
                                std::size_t most);
