// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "files/forwarding.h"
#include "job/prepare.h"
#include "keep/store.h"
#include "run/run.h"
#include "support/catch.h"
#include "undo/take_back.h"

/// The real disk; tests override the calls they want to disturb.
class ForwardingFileSystem : public tavlo::Forwarding {
public:
    using Handle = tavlo::Handle;
    using Staged = tavlo::Staged;
    template <class T>
    using Result = tavlo::Result<T>;

    ForwardingFileSystem() : Forwarding(tavlo::make_disk()) {}
};

/// What is true of every receipt, and of a failure, in the words of the test that asked.
template <class T>
T value(tavlo::Result<T> result) {
    if (!result) FAIL(tavlo::describe(result.error()));
    return std::move(*result);
}

/// A run as a test asks for it, with the receipt it left.
struct Ran {
    tavlo::ReceiptHead head;
    std::vector<tavlo::ReceiptItem> items;

    const tavlo::ReceiptItem& item(const std::string& target) const;  ///< by the place first asked for
    std::uint64_t of(tavlo::Outcome outcome) const { return head.totals.of(outcome); }
};

/// Runs and undoes with a store of its own.
class Jobs {
public:
    explicit Jobs(const std::string& state_folder) : store(value(tavlo::Store::open(state_folder))) {}
    /// What a test set aside would else stay in the Safe of whoever runs the tests.
    ~Jobs() { (void)tavlo::empty_safe(*tavlo::make_disk(), *store); }
    Jobs(const Jobs&) = delete;
    Jobs& operator=(const Jobs&) = delete;

    Ran run(const tavlo::Asked& asked, const tavlo::RunOptions& options = {});
    /// Plans on the real disk, then lets `meanwhile` happen, then runs.
    Ran run_after(const tavlo::Asked& asked, const std::function<void()>& meanwhile);
    Ran carry_out(const tavlo::Plan& plan, const tavlo::RunOptions& options = {});
    Ran undo(const std::string& receipt);

    std::unique_ptr<tavlo::FileSystem> disk = tavlo::make_disk();
    std::unique_ptr<tavlo::Store> store;
};

tavlo::Job copy(std::vector<std::string> sources, std::string destination);
tavlo::Job move(std::vector<std::string> sources, std::string destination);
tavlo::Job with(tavlo::Job job, tavlo::Decision otherwise);
