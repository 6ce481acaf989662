// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/desktop_looks.h"

#include <QDBusMessage>
#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>

namespace {

const auto service = QStringLiteral("org.freedesktop.portal.Desktop");
const auto place = QStringLiteral("/org/freedesktop/portal/desktop");
const auto settings = QStringLiteral("org.freedesktop.portal.Settings");
const auto appearance = QStringLiteral("org.freedesktop.appearance");
const auto color_scheme = QStringLiteral("color-scheme");

enum Wish : uint { none, dark, light };

}  // namespace

DesktopLooks::DesktopLooks(QDBusConnection session, QObject* parent) : QObject(parent) {
    if (!session.isConnected()) return;
    session.connect(service, place, settings, QStringLiteral("SettingChanged"), this,
                    SLOT(changed(QDBusMessage)));
    auto ask = QDBusMessage::createMethodCall(service, place, settings, QStringLiteral("Read"));
    ask << appearance << color_scheme;
    auto* answer = new QDBusPendingCallWatcher(session.asyncCall(ask), this);
    connect(answer, &QDBusPendingCallWatcher::finished, this, [this, answer] {
        const QDBusPendingReply<QDBusVariant> reply = *answer;
        if (reply.isValid()) take(reply.value().variant());
        answer->deleteLater();
    });
}

void DesktopLooks::changed(const QDBusMessage& message) {
    const QVariantList said = message.arguments();
    if (said.size() == 3 && said[0].toString() == appearance && said[1].toString() == color_scheme)
        take(said[2]);
}

void DesktopLooks::take(QVariant value) {
    while (value.canConvert<QDBusVariant>())
        value = value.value<QDBusVariant>().variant();  // Read() wraps it twice
    const uint wish = value.toUInt();
    emit wished(wish == Wish::dark || wish == Wish::light ? std::optional(wish == Wish::dark) : std::nullopt);
}
