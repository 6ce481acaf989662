// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <set>
#include <stop_token>
#include <string>
#include <vector>

#include "keep/run_lock.h"

namespace tavlo {

/// The turn on drives, between programs: who has it reads and writes there, the others wait. Kept as locks in
/// the state folder that end with the process that holds them, however that ends.
class DriveTurn {
public:
    /// drives  as drives_of() tells them
    /// errors  name_taken: another program has the turn on one of them; else as RunLock::take()
    static Result<DriveTurn> take(const std::string& state_folder, const std::set<std::uint64_t>& drives);
    /// Asks until it has it, a few times a second.
    /// waits   told once, if it has to wait
    /// errors  cancelled: it was told to stop; as take()
    static Result<DriveTurn> wait(const std::string& state_folder, const std::set<std::uint64_t>& drives,
                                  const std::stop_token& stop, const std::function<void()>& waits = {});

private:
    std::vector<RunLock> locks_;
};

}  // namespace tavlo
