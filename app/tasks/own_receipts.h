// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <mutex>
#include <set>
#include <string>

/// Receipts that runs of this program work on, or have worked on: so that whoever finds one in the journal does
/// not take it for another program's. Written by the threads of lanes, read by the interface's.
class OwnReceipts {
public:
    void add(const std::string& receipt) {
        const std::scoped_lock lock(mutex_);
        receipts_.insert(receipt);
    }
    bool has(const std::string& receipt) const {
        const std::scoped_lock lock(mutex_);
        return receipts_.contains(receipt);
    }

private:
    mutable std::mutex mutex_;
    std::set<std::string> receipts_;
};
