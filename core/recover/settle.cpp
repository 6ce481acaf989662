// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recover/settle.h"

#include <algorithm>
#include <unordered_map>

#include "recover/recover.h"
#include "recover/rest.h"

namespace tavlo {

namespace {

bool does_something(const Item& item) { return arrives(item.outcome) || item.outcome == Outcome::removed; }

}  // namespace

Result<Settlement> settlement_of(Store& store, const std::string& receipt, const Plan& plan) {
    const auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (!head->undone_by.empty()) return failure(Fault::refused, "was undone", receipt);
    if (head->state != RunState::done) return failure(Fault::refused, "has not ended", receipt);
    std::unordered_map<std::string, std::uint64_t> open;     // by source
    std::unordered_map<std::string, std::uint64_t> folders;  // that stand by now, by source
    std::uint64_t number = 0;
    const auto read = store.each_item(receipt, [&](ReceiptItem&& item) {
        const bool is_open = item.result == Outcome::undecided || item.result == Outcome::failed;
        if (is_open)
            open.emplace(item.source, number);
        else if (item.type == FileType::folder && (arrives(item.result) || item.result == Outcome::merged))
            folders.emplace(item.source, number);
        ++number;
    });
    if (!read) return failure(read.error());
    Settlement settlement;
    if (plan.traits().packs) return settlement;  // an archive that is there is not added to
    settlement.complete = plan.operation == head->operation && plan.destination == head->destination;
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        const Item& item = plan.items[id];
        const auto found = plan.leaves(item) ? open.end() : open.find(plan.source_path(item));
        if (found == open.end()) {
            if (does_something(item)) settlement.complete = false;
            continue;
        }
        if (item.outcome == Outcome::undecided || item.outcome == Outcome::failed) continue;
        PendingItem pending = pending_item(plan, id);
        pending.number = found->second;
        pending.parent.reset();
        if (item.parent != no_item) {
            const std::string parent = plan.source_path(plan.items[item.parent]);
            if (const auto standing = folders.find(parent); standing != folders.end())
                pending.parent = standing->second;
            else if (const auto settled = open.find(parent); settled != open.end())
                pending.parent = settled->second;
            else
                settlement.complete = false;
        }
        settlement.items.push_back(std::move(pending));
    }
    std::sort(settlement.items.begin(), settlement.items.end(),
              [](const auto& a, const auto& b) { return a.number < b.number; });
    return settlement;
}

Result<ReceiptHead> carry_on_settled(FileSystem& disk, Store& store, const std::string& receipt,
                                     const Settlement& settlement, const RunOptions& options,
                                     const RunEvents& events) {
    {
        const auto lock = store.lock(receipt);
        if (!lock) return failure(lock.error());
        if (auto reopened = store.reopen(receipt, settlement.items); !reopened)
            return failure(reopened.error());
    }
    return resume(disk, store, receipt, options, events);
}

}  // namespace tavlo
