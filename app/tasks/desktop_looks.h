// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusVariant>
#include <QObject>
#include <optional>

/// Whether the desktop asks for dark looks, now and as it changes its mind: the setting color-scheme of
/// org.freedesktop.appearance (XDG Desktop Portal, org.freedesktop.portal.Settings). Where there is no
/// portal, nothing is ever said; no call is waited for.
class DesktopLooks final : public QObject {
    Q_OBJECT

public:
    explicit DesktopLooks(QDBusConnection session, QObject* parent = nullptr);

signals:
    /// dark  nullopt: the desktop has no wish
    void wished(std::optional<bool> dark);

private slots:
    void changed(const QDBusMessage& message);

private:
    void take(QVariant value);
};
