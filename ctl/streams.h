// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <stop_token>
#include <string>
#include <thread>

// What a program has to do with who started it. An output that fails never touches a run.

/// Standard input, output and error are open from here on, if only to answer with an error: else the next
/// file that is opened would be one of them. A pipe whose reader has gone is an error of writing, not the end
/// (signal(7), SIGPIPE).
void guard_streams();

/// One line on standard error; nothing where that fails.
void say(const std::string& text);
/// Text as it is, on standard error or output.
void put(std::FILE* stream, const std::string& text);

/// SIGINT, SIGTERM and SIGHUP become a stop between items; blocked in every thread but the one that waits for
/// them. One that was ignored when the program was started stays so (nohup(1)).
class StopOnSignal {
public:
    StopOnSignal();
    ~StopOnSignal();
    StopOnSignal(const StopOnSignal&) = delete;
    StopOnSignal& operator=(const StopOnSignal&) = delete;
    std::stop_token token() const { return source_.get_token(); }

private:
    std::stop_source source_;
    std::jthread waiter_;
};
