// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <functional>

class QSocketNotifier;

/// Hears when the program is asked to end (SIGTERM, SIGINT, SIGHUP), so that it can end in order.
class EndSignals final : public QObject {
public:
    /// asked  is called from the event loop, once for each signal
    explicit EndSignals(std::function<void()> asked, QObject* parent = nullptr);

private:
    std::function<void()> asked_;
    QSocketNotifier* notifier_ = nullptr;
};
