// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/jobs.h"

using namespace tavlo;

const ReceiptItem& Ran::item(const std::string& target) const {
    for (const ReceiptItem& item : items)
        if (item.target == target) return item;
    FAIL("no item wants " << target);
    return items.front();
}

Ran Jobs::carry_out(const Plan& plan, const RunOptions& options) {
    Ran ran;
    ran.head = value(tavlo::carry_out(*disk, *store, plan, options));
    const auto read =
        store->each_item(ran.head.id, [&](ReceiptItem&& item) { ran.items.push_back(std::move(item)); });
    REQUIRE(read);
    // as many items come out as went in, each with one result
    REQUIRE(ran.items.size() == plan.items.size());
    std::uint64_t counted = 0;
    for (const auto outcome : ran.head.totals.by_outcome) counted += outcome;
    REQUIRE(counted == plan.totals.items);
    return ran;
}

Ran Jobs::run(const Asked& asked, const RunOptions& options) {
    const Outlook outlook = value(prepare(*disk, asked));
    for (const Error& refusal : outlook.refusals) FAIL(describe(refusal));
    return carry_out(*outlook.plan, options);
}

Ran Jobs::run_after(const Asked& asked, const std::function<void()>& meanwhile) {
    const Outlook outlook = value(prepare(*disk, asked));
    meanwhile();
    return carry_out(*outlook.plan);
}

Ran Jobs::undo(const std::string& receipt) { return carry_out(value(prepare_undo(*disk, *store, receipt))); }

Job copy(std::vector<std::string> sources, std::string destination) {
    Job job;
    job.what.sources = std::move(sources);
    job.into = std::move(destination);
    return job;
}

Job move(std::vector<std::string> sources, std::string destination) {
    Job job = copy(std::move(sources), std::move(destination));
    job.operation = Operation::move;
    return job;
}

Job with(Job job, Decision otherwise) {
    job.policy.otherwise = otherwise;
    return job;
}
