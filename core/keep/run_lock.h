// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "files/handle.h"
#include "files/result.h"

namespace tavlo {

/// Says to every other process that a run is alive; the kernel lets go of it when the process ends, however
/// it ends (fcntl(2), open file description locks).
class RunLock {
public:
    /// errors   name_taken: another process holds it
    static Result<RunLock> take(const std::string& state_folder, const std::string& receipt);
    /// Asks, without being in the way of others who ask.
    static bool is_held(const std::string& state_folder, const std::string& receipt);
    /// Leaves with a lock, for as long as it is held, which places its run works on. A help for other runs:
    /// where it cannot be written they know of none.
    static void tell_places(const std::string& state_folder, const std::string& receipt,
                            const std::vector<std::string>& places);
    /// The same of all locks that are held by now, but for this one.
    static std::vector<std::string> places_of_others(const std::string& state_folder,
                                                     const std::string& receipt);
    RunLock(RunLock&&) noexcept = default;
    RunLock& operator=(RunLock&&) = delete;
    ~RunLock();

private:
    explicit RunLock(Handle file) : file_(std::move(file)) {}
    Handle file_;
};

}  // namespace tavlo
