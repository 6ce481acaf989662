// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "streams.h"

#include <fcntl.h>
#include <signal.h>
#include <unistd.h>

#include <cstdio>

namespace {
constexpr int wakes = SIGUSR1;  // only the thread that waits
}

void guard_streams() {
    for (const int stream : {STDIN_FILENO, STDOUT_FILENO, STDERR_FILENO})
        if (::fcntl(stream, F_GETFD) == -1)
            (void)::open("/dev/null",
                         stream == STDIN_FILENO ? O_WRONLY : O_RDONLY);  // the lowest that is free
    ::signal(SIGPIPE, SIG_IGN);
}

void put(std::FILE* stream, const std::string& text) {
    (void)std::fwrite(text.data(), 1, text.size(), stream);
}

void say(const std::string& text) { put(stderr, "tavloctl: " + text + "\n"); }

StopOnSignal::StopOnSignal() {
    sigset_t signals{};
    sigemptyset(&signals);
    sigaddset(&signals, wakes);
    for (const int one : {SIGINT, SIGTERM, SIGHUP}) {
        struct sigaction before {};
        if (::sigaction(one, nullptr, &before) == 0 && before.sa_handler != SIG_IGN) sigaddset(&signals, one);
    }
    pthread_sigmask(SIG_BLOCK, &signals, nullptr);
    waiter_ = std::jthread([this, signals](const std::stop_token& end) {
        int signal = 0;
        while (!end.stop_requested())
            if (sigwait(&signals, &signal) == 0 && signal != wakes) source_.request_stop();
    });
}

StopOnSignal::~StopOnSignal() {
    waiter_.request_stop();
    pthread_kill(waiter_.native_handle(), wakes);
}
