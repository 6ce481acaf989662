// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "ending.h"

#include <fcntl.h>
#include <unistd.h>

#include <QSocketNotifier>
#include <array>
#include <csignal>

namespace {

std::array<int, 2> ends{-1, -1};

/// A handler may do next to nothing (signal-safety(7)): it says so on a pipe. Programs that are started from
/// here do not inherit it.
void note(int) {
    const char byte = 0;
    (void)!::write(ends[1], &byte, 1);
}

}  // namespace

EndSignals::EndSignals(std::function<void()> asked, QObject* parent)
    : QObject(parent), asked_(std::move(asked)) {
    if (::pipe2(ends.data(), O_CLOEXEC | O_NONBLOCK) != 0) return;
    notifier_ = new QSocketNotifier(ends[0], QSocketNotifier::Read, this);
    connect(notifier_, &QSocketNotifier::activated, this, [this] {
        char byte = 0;
        while (::read(ends[0], &byte, 1) == 1) asked_();
    });
    struct sigaction action {};
    action.sa_handler = note;
    action.sa_flags = SA_RESTART;
    for (const int signal : {SIGTERM, SIGINT, SIGHUP}) {
        struct sigaction before {};
        if (::sigaction(signal, nullptr, &before) == 0 && before.sa_handler == SIG_IGN)
            continue;  // as nohup(1) wants it
        ::sigaction(signal, &action, nullptr);
    }
}
