// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "arguments.h"
#include "files/file_system.h"
#include "keep/store.h"

// What each command does. All answer with the status that the program ends with.

/// store  null where only a plan is asked for
/// totals  of what came of it, or would; null: nobody asks
int transfer(tavlo::FileSystem& disk, tavlo::Store* store, const Arguments& arguments,
             tavlo::Totals* totals = nullptr);

/// A saved job, step by step.
int run_job(tavlo::FileSystem& disk, tavlo::Store* store, const Arguments& arguments);
int list_jobs(tavlo::Store& store, const Arguments& arguments);
int save_job(const Arguments& arguments);
int show_job(const Arguments& arguments);
int forget_job(const Arguments& arguments);
int schedule_job(const Arguments& arguments);

int show_facts(tavlo::FileSystem& disk, const Arguments& arguments);

int list_receipts(tavlo::Store& store, const Arguments& arguments);
int show_receipt(tavlo::Store& store, const Arguments& arguments);
int check(tavlo::FileSystem& disk, tavlo::Store& store, const Arguments& arguments);
int undo(tavlo::FileSystem& disk, tavlo::Store& store, const Arguments& arguments);
int recover_runs(tavlo::FileSystem& disk, tavlo::Store& store, const Arguments& arguments);

int list_safe(tavlo::Store& store, const Arguments& arguments);
int restore(tavlo::FileSystem& disk, tavlo::Store& store, const Arguments& arguments);
int empty(tavlo::FileSystem& disk, tavlo::Store& store, const Arguments& arguments);
