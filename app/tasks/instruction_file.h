// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

#include "job/job.h"

/// What was asked for besides the batch, kept from one start of the program to the next. A decision holds
/// only while its pair is that pair, so what changed on the disk meanwhile is undecided again.
struct Instruction {
    tavlo::Job job;  ///< without its sources
    tavlo::Decisions decisions{};
    tavlo::Policy own{};  ///< of the rule `own`, whether it is the one that stands or not
    tavlo::TypedNames typed{};
    tavlo::FactsSaid said{};
};

std::string to_text(const Instruction& instruction);
/// errors   corrupt: it is no instruction that this version knows
tavlo::Result<Instruction> instruction_from_text(const std::string& text, const std::string& path);

tavlo::Result<void> save_instruction(const std::string& state_folder, const std::string& text);
tavlo::Result<Instruction> load_instruction(const std::string& state_folder);
