// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>

/// How many system calls this thread, and those that it starts meanwhile, make while something is done; nullopt
/// where they may not be counted (which takes root, and a kernel with tracepoints). They take a little longer
/// while they are counted: so nothing is timed beside it.
/// source: perf_event_open(2), tracepoint raw_syscalls:sys_enter
std::optional<double> system_calls(const std::function<void()>& work);
