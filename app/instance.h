// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDBusConnection>
#include <QDBusContext>
#include <QObject>
#include <QStringList>
#include <QVariantMap>
#include <string>
#include <vector>

/// The one program of a person's desktop: it has the name on the session bus, and opens what those that are
/// started later were to open (org.freedesktop.Application; Desktop Entry Specification 1.5, "D-Bus
/// Activation"). Where there is no bus, each start is a program of its own.
class Instance final : public QObject, protected QDBusContext {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.Application")

public:
    /// state_folder  that of this program: one with another is another's
    Instance(QDBusConnection bus, std::string state_folder, QObject* parent = nullptr);
    ~Instance() override;

    /// Has the name from now on. returns  false: another has it, or there is no bus
    bool claim();
    /// Asks the one that has the name to open these, or a window if there are none.
    /// returns  false: nobody has it, or not with this state folder
    bool handOver(const std::vector<std::string>& places) const;

public slots:
    // what the bus calls
    void Activate(const QVariantMap& platform);
    void Open(const QStringList& uris, const QVariantMap& platform);
    void ActivateAction(const QString& name, const QVariantList& parameters, const QVariantMap& platform);

signals:
    void windowWanted();
    void placesWanted(const std::vector<std::string>& places);

private:
    /// Theirs is another state folder: they are told so, and nothing is opened.
    bool isOfAnother(const QVariantMap& platform);

    QDBusConnection bus_;
    const std::string state_folder_;
    bool has_name_ = false;
};
