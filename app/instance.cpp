// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "instance.h"

#include <QDBusConnectionInterface>
#include <QDBusMessage>

#include "tasks/file_clips.h"

namespace {

const auto bus_name = QStringLiteral("io.github.tavlo.Tavlo");
const auto object_path = QStringLiteral("/io/github/tavlo/Tavlo");
const auto interface_name = QStringLiteral("org.freedesktop.Application");
const auto state_key = QStringLiteral("io.github.tavlo.state");
constexpr int answer_ms = 2000;

QByteArray as_bytes(const std::string& path) { return {path.data(), static_cast<qsizetype>(path.size())}; }

}  // namespace

Instance::Instance(QDBusConnection bus, std::string state_folder, QObject* parent)
    : QObject(parent), bus_(std::move(bus)), state_folder_(std::move(state_folder)) {}

Instance::~Instance() {
    if (!has_name_) return;
    bus_.unregisterObject(object_path);
    bus_.unregisterService(bus_name);
}

bool Instance::claim() {
    if (has_name_ || !bus_.isConnected()) return has_name_;
    // before the name: whoever finds it is answered
    if (!bus_.registerObject(object_path, this, QDBusConnection::ExportAllSlots)) return false;
    has_name_ = bus_.registerService(bus_name);
    if (!has_name_) bus_.unregisterObject(object_path);
    return has_name_;
}

bool Instance::handOver(const std::vector<std::string>& places) const {
    if (!bus_.isConnected() || has_name_ || !bus_.interface()->isServiceRegistered(bus_name)) return false;
    QDBusMessage call =
        QDBusMessage::createMethodCall(bus_name, object_path, interface_name,
                                       places.empty() ? QStringLiteral("Activate") : QStringLiteral("Open"));
    if (!places.empty()) {
        QStringList uris;
        for (const auto& place : places) uris << QString::fromLatin1(uri_of(place));
        call << uris;
    }
    QVariantMap platform{{state_key, as_bytes(state_folder_)}};
    // what the desktop gave this start, so that the window may come to the front
    if (const auto token = qEnvironmentVariable("XDG_ACTIVATION_TOKEN"); !token.isEmpty())
        platform[QStringLiteral("activation-token")] = token;
    if (const auto id = qEnvironmentVariable("DESKTOP_STARTUP_ID"); !id.isEmpty())
        platform[QStringLiteral("desktop-startup-id")] = id;
    call << platform;
    return bus_.call(call, QDBus::Block, answer_ms).type() == QDBusMessage::ReplyMessage;
}

bool Instance::isOfAnother(const QVariantMap& platform) {
    if (const auto token = platform.value(QStringLiteral("activation-token")).toString(); !token.isEmpty())
        qputenv("XDG_ACTIVATION_TOKEN", token.toUtf8());
    const QVariant state = platform.value(state_key);
    if (!state.isValid() || state.toByteArray() == as_bytes(state_folder_)) return false;
    sendErrorReply(QDBusError::AccessDenied, QStringLiteral("another state folder"));
    return true;
}

void Instance::Activate(const QVariantMap& platform) {
    if (!isOfAnother(platform)) emit windowWanted();
}

void Instance::Open(const QStringList& uris, const QVariantMap& platform) {
    if (isOfAnother(platform)) return;
    std::vector<std::string> places;
    for (const auto& uri : uris)
        if (auto path = path_from_uri(uri.toLatin1()); !path.empty()) places.push_back(std::move(path));
    places.empty() ? emit windowWanted() : emit placesWanted(places);
}

void Instance::ActivateAction(const QString& name, const QVariantList& /*parameters*/,
                              const QVariantMap& platform) {
    if (name == QStringLiteral("new-window"))
        Activate(platform);
    else
        sendErrorReply(QDBusError::UnknownMethod, QStringLiteral("there is no such action"));
}
