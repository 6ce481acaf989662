// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <vector>

#include "command_line.h"
#include "names/steps.h"

/// The options that give new names: steps, whose order counts, and what goes for all of them.
class NameStepOptions {
public:
    explicit NameStepOptions(CommandLine& line);
    /// Takes the steps out of the words, before the line is read: what comes after a step is its text,
    /// whatever it looks like.
    std::vector<std::string> take(std::vector<std::string> words);
    /// Once the line is read. What means nothing is refused.
    tavlo::Naming read() const;

private:
    void add(const std::string& name, const std::vector<std::string>& values);

    tavlo::Naming naming_;
    std::optional<std::string> count_from_;
    std::optional<std::string> count_by_;
};
