#pragma once

#include <string>

#include "run/prepare.h"
#include "tasks/collision_rule.h"

/// What was asked for besides the batch, kept from one start of the program to the next. A decision holds only while its pair
/// is that pair, so what changed on the disk meanwhile is undecided again.
struct Instruction {
    tavlo::Request request;  ///< without its sources
    CollisionRule rule = CollisionRule::ask;
    tavlo::Rules own;  ///< of the rule `own`
};

/// JSON, one line.
std::string to_text(const Instruction& instruction);
/// errors   corrupt: it is no instruction that this version knows
tavlo::Result<Instruction> instruction_from_text(const std::string& text, const std::string& path);

tavlo::Result<void> save_instruction(const std::string& state_folder, const std::string& text);
tavlo::Result<Instruction> load_instruction(const std::string& state_folder);
