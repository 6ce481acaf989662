// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <utility>

#include "tasks/worker.h"

/// Where something large goes that is not shown any more: a million names take their time to go, which is not
/// the interface's thread's.
class Retirement {
public:
    void take(std::shared_ptr<const void> large) {
        if (large == nullptr) return;
        worker_.post([large = std::move(large)](const std::stop_token&) mutable { large.reset(); });
    }

private:
    EachWorker worker_;
};
