// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <chrono>

#include "tasks/run_lane.h"

// What a lane says of itself, the same in the run line and on the page of runs.

/// 0 to 1, by bytes where there are any, else by items.
double done_part(const LaneStatus& status);
/// "136 of 212 items · 1.1 of 1.7 GB"
QString amounts_words(const LaneStatus& status);
QString rate_words(double bytes_per_second);
/// "12 s left", "about 4 min left"
QString left_words(std::chrono::seconds left);
/// "paused", "waiting", …
QString state_words(LaneState state);
/// What a person can do about a fault; empty where nothing is known to help.
QString remedy_words(std::optional<tavlo::Fault> fault);
