// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "command_line.h"
#include "job/saved_job.h"

/// What a command line asks for. Everything unusable is an error, and nothing has been touched by then.
struct Arguments {
    enum class Command : std::uint8_t {
        copy,
        move,
        rename,
        remove,
        pack,
        unpack,
        facts,
        jobs,
        job_save,
        job_show,
        job_forget,
        run,
        schedule,
        receipts,
        receipt,
        check,
        undo,
        recover,
        safe_list,
        safe_restore,
        safe_empty
    };

    Command command = Command::copy;
    tavlo::Job job{};
    std::string saved{};    ///< a saved job: its name, or, for `run` and `job save`, a file
    bool replaces = false;  ///< job save: one of that name goes
    tavlo::Schedule schedule{};
    bool never = false;  ///< schedule: not by itself any more
    std::string id{};    ///< a receipt or a Safe entry; of safe empty: the undo whose versions go
    std::string into{};  ///< safe restore: another folder
    std::optional<std::uint64_t> older_than_days{};
    std::string state_folder{};
    bool plan_only = false;
    bool while_counting = false;  ///< copies begin before everything is counted
    enum class ShowProgress : std::uint8_t { automatic, always, never };
    ShowProgress progress = ShowProgress::automatic;
    bool quiet = false;   ///< nothing on standard error but errors
    bool notify = false;  ///< run: the desktop says so where something needs a person
    bool json = false;
    bool verbose = false;

    /// What it asks for is `job`.
    bool makes_job() const { return command <= Command::unpack; }
    /// It changes something; else it only answers.
    bool carries_out() const {
        const bool does = makes_job() || command == Command::undo || command == Command::recover ||
                          command == Command::run || command == Command::safe_restore ||
                          command == Command::safe_empty;
        return does && !plan_only;
    }
};

/// exit     0: help was asked for and `text` is it; 2: refused, `text` is why
struct NotToRun {
    int exit = 2;
    std::string text;
};

tl::expected<Arguments, NotToRun> read_arguments(int count, char** words);

/// What a command takes, in the order of its help. command  one of all_commands()
std::vector<OptionHelp> options_of(std::string_view command);
