// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "arguments.h"
#include "command_line.h"

/// The options that choose files, as words. What they mean is asked of them once the line is read, so that
/// what means nothing is refused; what goes into the job is the words.
class SelectionOptions {
public:
    explicit SelectionOptions(CommandLine& line);
    void read(tavlo::Selection& out) const;

private:
    tavlo::CriteriaText files_;
    std::vector<std::string> not_below_;
    std::optional<std::string> folders_larger_;
    bool empty_folders_ = false;
    std::optional<std::string> list_;
};
