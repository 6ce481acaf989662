// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <unistd.h>

#include <QDBusContext>
#include <QDBusMessage>
#include <QDBusVariant>
#include <QFile>
#include <QIcon>
#include <QProcess>
#include <QStandardPaths>
#include <QVariantMap>
#include <future>

#include "instance.h"
#include "support/catch.h"
#include "tasks/desktop_looks.h"
#include "tasks/desktop_notes.h"
#include "theme/theme.h"
#include "window_driver.h"

using namespace tavlo;

/// Stands in for the desktop: takes notifications, and gives what keeps a machine awake.
class StandIn final : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.Notifications")

public:
    QStringList summaries;

    QList<QVariantMap> updates;

public slots:
    void Update(const QString&, const QVariantMap& properties) { updates << properties; }
    uint Notify(const QString&, uint, const QString&, const QString& summary, const QString&,
                const QStringList&, const QVariantMap&, int) {
        summaries << summary;
        return 1;
    }
};

/// A bus of the test's own.
class Bus {
public:
    Bus() {
        if (QStandardPaths::findExecutable(QStringLiteral("dbus-daemon")).isEmpty()) {
            WARN("skipped: there is no dbus-daemon");
            return;
        }
        daemon_.start(QStringLiteral("dbus-daemon"), {QStringLiteral("--session"), QStringLiteral("--nofork"),
                                                      QStringLiteral("--print-address=1")});
        REQUIRE(daemon_.waitForReadyRead(10'000));
        address_ = QString::fromLocal8Bit(daemon_.readLine()).trimmed();
    }
    ~Bus() {
        for (const auto& name : names_) QDBusConnection::disconnectFromBus(name);
        daemon_.kill();
        daemon_.waitForFinished(5'000);
    }
    Bus(const Bus&) = delete;
    Bus& operator=(const Bus&) = delete;

    bool isThere() const { return !address_.isEmpty(); }
    QDBusConnection connection(const char* name) const {
        names_ << QString::fromLatin1(name);
        return QDBusConnection::connectToBus(address_, names_.last());
    }

private:
    QProcess daemon_;
    QString address_;
    mutable QStringList names_;
};

class Awake final : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.login1.Manager")

public:
    int read_end = -1;
    QString what;

public slots:
    QDBusUnixFileDescriptor Inhibit(const QString& wanted, const QString&, const QString&, const QString&) {
        what = wanted;
        int ends[2] = {-1, -1};
        if (::pipe2(ends, O_NONBLOCK | O_CLOEXEC) != 0) return {};
        read_end = ends[0];
        const QDBusUnixFileDescriptor given(ends[1]);
        ::close(ends[1]);
        return given;
    }
};

/// Stands in for the portal's settings.
class Portal final : public QObject {
    Q_OBJECT
    Q_CLASSINFO("D-Bus Interface", "org.freedesktop.portal.Settings")

public:
    uint scheme = 1;

public slots:
    QDBusVariant Read(const QString& space, const QString& key) {
        const bool known =
            space == QLatin1String("org.freedesktop.appearance") && key == QLatin1String("color-scheme");
        return QDBusVariant(QVariant::fromValue(QDBusVariant(known ? scheme : 99U)));
    }
};

TEST_CASE("the program has its icon with it, for where none is installed", "[desktop]") {
    const QIcon icon(QStringLiteral(":/icon.svg"));
    CHECK(QFile::exists(QStringLiteral(":/icon.svg")));
    CHECK_FALSE(icon.pixmap(64).isNull());
}

TEST_CASE("light and dark follow the desktop's setting as it changes", "[desktop]") {
    const Bus bus;
    if (!bus.isThere()) return;
    auto desk = bus.connection("desk");
    Portal portal;
    REQUIRE(desk.registerObject(QStringLiteral("/org/freedesktop/portal/desktop"), &portal,
                                QDBusConnection::ExportAllSlots));
    REQUIRE(desk.registerService(QStringLiteral("org.freedesktop.portal.Desktop")));
    // this program answers itself: the call is carried out by the test's own event loop
    DesktopLooks looks(bus.connection("window"));
    std::vector<std::optional<bool>> wishes;
    QObject::connect(&looks, &DesktopLooks::wished, [&](std::optional<bool> dark) {
        wishes.push_back(dark);
        desktop_wants(dark);
        apply_theme(*qApp, ThemeChoice::system);
    });
    REQUIRE(WindowDriver::wait([&] { return wishes.size() == 1; }));
    CHECK(Theme::current().dark);
    const auto change = [&](uint now) {
        auto changed = QDBusMessage::createSignal(QStringLiteral("/org/freedesktop/portal/desktop"),
                                                  QStringLiteral("org.freedesktop.portal.Settings"),
                                                  QStringLiteral("SettingChanged"));
        changed << QStringLiteral("org.freedesktop.appearance") << QStringLiteral("color-scheme")
                << QVariant::fromValue(QDBusVariant(now));
        REQUIRE(desk.send(changed));
    };
    // said again until it is heard: who listens is known to the bus a moment after the listening began
    const auto becomes = [&](uint now, std::optional<bool> wish) {
        return WindowDriver::wait([&] {
            change(now);
            return wishes.back() == wish;
        });
    };
    CHECK(becomes(2, false));
    CHECK_FALSE(Theme::current().dark);
    CHECK(becomes(1, true));
    CHECK(Theme::current().dark);
    CHECK(becomes(0, std::nullopt));
    // what somebody has chosen holds, whatever the desktop says
    desktop_wants(true);
    apply_theme(*qApp, ThemeChoice::light);
    CHECK_FALSE(Theme::current().dark);
    desktop_wants(std::nullopt);
}

TEST_CASE(
    "the desktop hears of long runs, how far they are, and of those that need somebody, and stays awake "
    "while one goes on",
    "[desktop]") {
    const Bus bus;
    if (!bus.isThere()) return;
    QDBusConnection desktop = bus.connection("desktop");
    QDBusConnection ours = bus.connection("ours");
    REQUIRE(desktop.isConnected());
    StandIn stand_in;
    Awake awake;
    REQUIRE(desktop.registerObject(QStringLiteral("/org/freedesktop/Notifications"), &stand_in,
                                   QDBusConnection::ExportAllSlots));
    REQUIRE(desktop.registerObject(QStringLiteral("/org/freedesktop/login1"), &awake,
                                   QDBusConnection::ExportAllSlots));
    REQUIRE(desktop.registerService(QStringLiteral("org.freedesktop.Notifications")));
    REQUIRE(desktop.registerService(QStringLiteral("org.freedesktop.login1")));
    {
        DesktopNotes notes(ours, ours);
        notes.runsBegan();
        notes.runsBegan();  // another one: the machine is asked once
        REQUIRE(WindowDriver::wait([&] { return awake.read_end >= 0; }));
        CHECK(awake.what == "sleep:shutdown");
        QTest::qWait(50);
        char byte = 0;
        CHECK(::read(awake.read_end, &byte, 1) == -1);  // somebody holds the other end
        ReceiptHead head;
        head.totals.by_outcome[static_cast<std::size_t>(Outcome::undecided)] = 2;
        notes.runEnded(head, true);  // somebody looks: not a word
        notes.runEnded(head, false);
        notes.runEnded({}, false);  // short, and nothing is open
        head.waits_for = "/disk: is full";
        notes.runEnded(head, false);
        REQUIRE(WindowDriver::wait([&] { return stand_in.summaries.size() == 2; }));
        CHECK(stand_in.summaries[0] == "A run has ended, and 2 items need you");
        CHECK(stand_in.summaries[1] == "A run is paused");
        REQUIRE(desktop.connect({}, {}, QStringLiteral("com.canonical.Unity.LauncherEntry"),
                                QStringLiteral("Update"), &stand_in, SLOT(Update(QString, QVariantMap))));
        for (const double part : {0.25, 0.2501, 0.5}) notes.showProgress(part);  // not twice the same percent
        notes.showProgress(std::nullopt);
        REQUIRE(WindowDriver::wait([&] { return stand_in.updates.size() == 3; }));
        CHECK(stand_in.updates[1].value(QStringLiteral("progress")).toDouble() == 0.5);
        CHECK(stand_in.updates[1].value(QStringLiteral("progress-visible")).toBool());
        CHECK_FALSE(stand_in.updates[2].value(QStringLiteral("progress-visible")).toBool());
        notes.runsEnded();
        CHECK(WindowDriver::wait([&] { return ::read(awake.read_end, &byte, 1) == 0; }));  // let go
    }
    ::close(awake.read_end);
}

TEST_CASE("a later start has its places opened by the program that is there, bytes that are no text too",
          "[desktop]") {
    const Bus bus;
    if (!bus.isThere()) return;
    Instance first(bus.connection("first"), "/state");
    CHECK_FALSE(first.handOver({"/tmp"}));  // nobody has the name
    REQUIRE(first.claim());
    int windows = 0;
    std::vector<std::string> opened;
    QObject::connect(&first, &Instance::windowWanted, [&] { ++windows; });
    QObject::connect(&first, &Instance::placesWanted,
                     [&](const std::vector<std::string>& places) { opened = places; });
    const auto later = [&](const std::string& state, const std::vector<std::string>& places) {
        auto asked = std::async(std::launch::async, [&, state] {
            return Instance(bus.connection("later"), state).handOver(places);
        });
        REQUIRE(WindowDriver::wait(
            [&] { return asked.wait_for(std::chrono::seconds(0)) == std::future_status::ready; }));
        return asked.get();
    };
    CHECK(later("/state", {}));
    CHECK(windows == 1);
    CHECK(later("/state", {"/tmp/a b", "/tmp/bad\xff%"}));
    CHECK(opened == std::vector<std::string>{"/tmp/a b", "/tmp/bad\xff%"});
    CHECK_FALSE(later("/of/another", {"/tmp/c"}));  // which is a program of its own
    CHECK(opened.size() == 2);
    Instance second(bus.connection("second"), "/state");
    CHECK_FALSE(second.claim());
}

#include "desktop_test.moc"
