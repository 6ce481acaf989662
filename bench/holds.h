// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <time.h>

#include <QApplication>
#include <QElapsedTimer>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <algorithm>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <memory>
#include <string>
#include <utility>

#include "files/handle.h"
#include "files/parallel.h"
#include "theme/theme.h"
#include "translations.h"

/// Knows the event that took longest by itself, without those that it was handed on as.
class MeasuredApplication final : public QApplication {
public:
    using QApplication::QApplication;
    bool notify(QObject* receiver, QEvent* event) override {
        const bool is_plain = receiver->metaObject() == &QWidget::staticMetaObject;  // of a list, say
        const QObject* whose = is_plain && receiver->parent() != nullptr ? receiver->parent() : receiver;
        const std::string what =
            std::string(whose->metaObject()->className()) + " " + std::to_string(event->type());
        const double before = std::exchange(inner_ms_, 0);
        QElapsedTimer clock;
        clock.start();
        const bool done = QApplication::notify(receiver, event);
        const double all = static_cast<double>(clock.nsecsElapsed()) / 1e6;
        if (all - inner_ms_ > longest_ms_) {
            longest_ms_ = all - inner_ms_;
            longest_ = what;
        }
        inner_ms_ = before + all;
        return done;
    }
    /// Of those since it was last asked: whose, and its type (QEvent::Type).
    std::string take_longest() {
        longest_ms_ = 0;
        return std::exchange(longest_, {});
    }

private:
    double inner_ms_ = 0;
    double longest_ms_ = 0;
    std::string longest_;
};

/// For how long the interface's thread was held at the most in each step: the longest time between two turns
/// of its event loop, seen by a timer of 1 ms; and how much of that it worked, the rest being waiting for a
/// processor, or for another thread; and at what.
class Holds {
public:
    Holds() {
        timer_.setInterval(1);
        timer_.setTimerType(Qt::PreciseTimer);
        QObject::connect(&timer_, &QTimer::timeout, [this] { turn(); });
        timer_.start();
    }
    /// A person begins with the next step once the one before is drawn.
    void begin() {
        QElapsedTimer drawn;
        for (drawn.start(); drawn.elapsed() < 100;)
            QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
        longest_ = 0;
        worked_ = 0;
        turns_ = 0;
        over_16_ = 0;
        step_.start();
        start();
    }
    void end(const char* step) {
        turn();
        QCoreApplication::processEvents();
        turn();
        std::printf(
            "%-44s %9.1f ms in all, held at most %6.1f ms (%.1f of them work; %s), over 16 ms: %d of %d "
            "turns\n",
            step, static_cast<double>(step_.nsecsElapsed()) / 1e6, longest_, worked_, at_.c_str(), over_16_,
            turns_);
    }

private:
    void turn() {
        const double held = static_cast<double>(clock_.nsecsElapsed()) / 1e6;
        const std::string at = static_cast<MeasuredApplication*>(qApp)->take_longest();
        if (held > longest_) {
            longest_ = held;
            worked_ = worked_ms() - worked_before_;
            at_ = at;
        }
        if (held > 16) ++over_16_;
        ++turns_;
        start();
    }
    void start() {
        worked_before_ = worked_ms();
        clock_.start();
    }
    /// This thread's time on a processor.
    static double worked_ms() {
        timespec time{};
        ::clock_gettime(CLOCK_THREAD_CPUTIME_ID, &time);
        return static_cast<double>(time.tv_sec) * 1e3 + static_cast<double>(time.tv_nsec) / 1e6;
    }
    QTimer timer_;
    QElapsedTimer clock_;
    QElapsedTimer step_;
    double longest_ = 0;
    double worked_ = 0;
    double worked_before_ = 0;
    std::string at_;
    int over_16_ = 0;
    int turns_ = 0;
};

/// A button pressed and let go of, as a person does: the window has its turns between the two.
inline void press(QWidget* button) {
    QTest::mousePress(button, Qt::LeftButton);
    QCoreApplication::processEvents();
    QTest::mouseRelease(button, Qt::LeftButton);
}

/// What is measured in a window, as "PROGRAM FOLDER [FILES]" asks: the application, settings of its own, and
/// a place below FOLDER that is gone at the end.
class Measured {
public:
    Measured(int& count, char** words, int usual_files) {
        if (count < 2) {
            std::fprintf(stderr, "usage: %s FOLDER [FILES]\n", words[0]);
            std::exit(2);
        }
        if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
        qputenv("XDG_CONFIG_HOME", settings_.path().toUtf8());
        application_ = std::make_unique<MeasuredApplication>(count, words);
        tavlo::raise_handle_limit();  // as the application does
        tavlo::work_in_short_turns();
        install_translations(*application_);
        apply_theme(*application_, ThemeChoice::light);
        place = std::filesystem::path(words[1]) / "tavlo-measured";
        files = count > 2 ? std::atoi(words[2]) : usual_files;
    }
    ~Measured() { std::filesystem::remove_all(place); }
    Measured(const Measured&) = delete;
    Measured& operator=(const Measured&) = delete;

    std::filesystem::path place;
    int files = 0;

private:
    QTemporaryDir settings_;
    std::unique_ptr<MeasuredApplication> application_;
};
