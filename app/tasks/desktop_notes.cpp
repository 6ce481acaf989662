// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/desktop_notes.h"

#include <QDBusMessage>
#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>
#include <QFileInfo>
#include <QVariantMap>

#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {
const auto application_id = QStringLiteral("io.github.tavlo.Tavlo");  // of the desktop entry, and of the icon
constexpr qint64 long_ms = 10'000;                                    // of a run whose end is worth a word
}  // namespace

DesktopNotes::DesktopNotes(QDBusConnection session, QDBusConnection system, QObject* parent)
    : QObject(parent), session_(std::move(session)), system_(std::move(system)) {}

QDBusConnection DesktopNotes::sessionBus() {
    const QString runtime = qEnvironmentVariable("XDG_RUNTIME_DIR");
    const bool is_there = !qEnvironmentVariableIsEmpty("DBUS_SESSION_BUS_ADDRESS") ||
                          (!runtime.isEmpty() && QFileInfo::exists(runtime + QStringLiteral("/bus")));
    return is_there ? QDBusConnection::sessionBus() : QDBusConnection(QString());
}

void DesktopNotes::runsBegan() {
    if (!began_.isValid()) began_.start();
    if (wanted_ || !system_.isConnected()) return;
    wanted_ = true;
    QDBusMessage call = QDBusMessage::createMethodCall(
        QStringLiteral("org.freedesktop.login1"), QStringLiteral("/org/freedesktop/login1"),
        QStringLiteral("org.freedesktop.login1.Manager"), QStringLiteral("Inhibit"));
    call << QStringLiteral("sleep:shutdown") << tr("Tavlo") << tr("Files are being copied or moved")
         << QStringLiteral("block");
    auto* watcher = new QDBusPendingCallWatcher(system_.asyncCall(call), this);
    connect(watcher, &QDBusPendingCallWatcher::finished, this, [this](QDBusPendingCallWatcher* done) {
        const QDBusPendingReply<QDBusUnixFileDescriptor> reply = *done;
        done->deleteLater();
        if (!reply.isError() && wanted_)
            awake_ = reply.value();  // ended meanwhile: it is closed with the reply
    });
}

void DesktopNotes::runsEnded() {
    wanted_ = false;
    awake_ = QDBusUnixFileDescriptor();
    began_.invalidate();
}

void DesktopNotes::showProgress(std::optional<double> part) {
    const int percent = part ? static_cast<int>(*part * 100) : -1;
    if (percent == shown_percent_ || !session_.isConnected()) return;
    shown_percent_ = percent;
    QDBusMessage update = QDBusMessage::createSignal(QStringLiteral("/io/github/tavlo/runs"),
                                                     QStringLiteral("com.canonical.Unity.LauncherEntry"),
                                                     QStringLiteral("Update"));
    update << QStringLiteral("application://io.github.tavlo.Tavlo.desktop")
           << QVariantMap{{QStringLiteral("progress"), part.value_or(0)},
                          {QStringLiteral("progress-visible"), part.has_value()}};
    session_.send(update);
}

void DesktopNotes::runEnded(const ReceiptHead& head, bool looked_at) {
    if (looked_at) return;
    const auto open = head.totals.of(Outcome::undecided) + head.totals.of(Outcome::failed);
    if (!head.waits_for.empty()) return notify(tr("A run is paused"), shown(head.waits_for));
    if (open > 0)
        return notify(tr("A run has ended, and %Ln items need you", nullptr, static_cast<int>(open)),
                      receipt_title(head));
    if (began_.isValid() && began_.elapsed() >= long_ms) notify(tr("A run is done"), receipt_title(head));
}

void DesktopNotes::notify(const QString& summary, const QString& body) {
    if (!session_.isConnected()) return;
    QDBusMessage call = QDBusMessage::createMethodCall(
        QStringLiteral("org.freedesktop.Notifications"), QStringLiteral("/org/freedesktop/Notifications"),
        QStringLiteral("org.freedesktop.Notifications"), QStringLiteral("Notify"));
    const QVariantMap hints{{QStringLiteral("desktop-entry"), application_id}};
    call << tr("Tavlo") << 0U << application_id << summary << body.toHtmlEscaped() << QStringList() << hints
         << -1;
    session_.asyncCall(call);
}
