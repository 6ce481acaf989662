// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDBusConnection>
#include <QDBusUnixFileDescriptor>
#include <QElapsedTimer>
#include <QObject>
#include <optional>

#include "keep/receipt.h"

/// Tells the desktop about runs: how far they are, no sleep while one goes on (org.freedesktop.login1,
/// Inhibit), and a word when a long one has ended, or one needs somebody, while nobody looks (Desktop
/// Notifications Specification 1.2). Where a desktop offers neither, nothing happens; no call is waited for.
class DesktopNotes final : public QObject {
    Q_OBJECT

public:
    DesktopNotes(QDBusConnection session, QDBusConnection system, QObject* parent = nullptr);
    /// The session's own bus where there is one; none is started for this.
    static QDBusConnection sessionBus();
    void runsBegan();
    /// Nothing goes on any more.
    void runsEnded();
    /// How far what goes on is, 0 to 1, for the launcher's entry where the desktop shows that (a signal that
    /// several launchers listen to, com.canonical.Unity.LauncherEntry.Update); nullopt: nothing to show.
    /// Tells it at most a few times a second.
    void showProgress(std::optional<double> part);
    /// looked_at  the window is the active one
    void runEnded(const tavlo::ReceiptHead& head, bool looked_at);

private:
    void notify(const QString& summary, const QString& body);

    QDBusConnection session_;
    QDBusConnection system_;
    QDBusUnixFileDescriptor awake_;  ///< as long as it is open, the machine stays awake
    bool wanted_ = false;
    int shown_percent_ = -1;
    QElapsedTimer began_;
};
