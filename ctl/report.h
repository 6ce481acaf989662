// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <map>
#include <string>
#include <utility>

#include "arguments.h"
#include "keep/store.h"
#include "progress_line.h"
#include "run/run.h"

// What is said of a run, and the status that it ends with.

enum Exit { done = 0, some_failed = 1, refused = 2, some_undecided = 3, stopped = 4 };

int exit_for(const tavlo::Totals& totals);
int exit_for(const tavlo::ReceiptHead& head);
int worse(int one, int other);  ///< the one of two that outweighs the other: stopped, failed, undecided, done

int refuse_for(const tavlo::Error& error);  ///< says it, and answers refused
int failed_for(const tavlo::Error& error);  ///< the same of something that was under way

std::string summary(const tavlo::Totals& totals);
std::string local_time(std::int64_t ns);

/// Whether it is said how far something is: asked for, or on a terminal. What else is written goes to
/// `beside`, and would be in its way where that is a terminal.
bool shows_progress(const Arguments& arguments, std::FILE* beside = nullptr);

/// What the target could not keep is said once, not silently dropped.
void print_not_kept(tavlo::Store& store, const std::string& receipt);

int print_plan(const tavlo::Plan& plan, bool json);

/// The events of a run, said as they come: what failed, what stays undecided, how far it is.
class RunReport {
public:
    /// plan  where there is one: names what the twins of an item are
    RunReport(const Arguments& arguments, ProgressLine& progress, const tavlo::Plan* plan = nullptr);
    tavlo::RunEvents events();
    void end();
    bool has_begun() const { return begun_; }

private:
    void name_undecided(tavlo::ItemId id, const tavlo::ReceiptItem& item);
    std::string why_undecided(tavlo::ItemId id, const tavlo::ReceiptItem& item);
    /// Another item of the batch that wants the same name; no_item where that is not known.
    tavlo::ItemId twin_of(tavlo::ItemId id);

    const Arguments& arguments_;
    ProgressLine& progress_;
    const tavlo::Plan* plan_;
    bool begun_ = false;
    std::uint64_t undecided_ = 0;
    /// the first two that want a name
    std::map<std::pair<tavlo::FolderId, std::string>, std::pair<tavlo::ItemId, tavlo::ItemId>> twins_;
};

/// The receipt of a run that is through, and its status.
int print_receipt(tavlo::Store& store, const tavlo::ReceiptHead& head, const Arguments& arguments);

/// totals  where they are wanted
int carry_out_and_report(
    tavlo::Store& store, const Arguments& arguments, ProgressLine& progress, tavlo::RunOptions wanted,
    const tavlo::Plan* plan,
    const std::function<tavlo::Result<tavlo::ReceiptHead>(const tavlo::RunOptions&, const tavlo::RunEvents&)>&
        work,
    tavlo::Totals* totals = nullptr);
int carry_out_plan(tavlo::FileSystem& disk, tavlo::Store& store, const tavlo::Plan& plan,
                   const Arguments& arguments, ProgressLine& progress, tavlo::RunOptions wanted,
                   tavlo::Totals* totals = nullptr);
