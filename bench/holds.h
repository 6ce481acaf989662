// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <time.h>

#include <QElapsedTimer>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <memory>
#include <string>

#include "files/handle.h"
#include "files/parallel.h"
#include "measured_application.h"
#include "stolen_time.h"
#include "theme/theme.h"
#include "translations.h"

/// For how long the interface's thread was held at the most in each step: the longest time between two turns
/// of its event loop, seen by a timer of 1 ms; and how much of that it worked, the rest being waiting for a
/// processor, or for another thread; and at what. A turn in which the machine's host kept a processor for so long
/// that it would have been a short one is counted apart: no program can help that.
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
        stolen_from_ = 0;
        step_.start();
        start();
    }
    void end(const char* step) {
        turn();
        QCoreApplication::processEvents();
        turn();
        std::printf(
            "%-44s %9.1f ms in all, held at most %6.1f ms (%.1f of them work%s), over 16 ms: %d of %d "
            "turns; the host kept a processor in %d more\n",
            step, static_cast<double>(step_.nsecsElapsed()) / 1e6, longest_, worked_, at_.c_str(), over_16_,
            turns_, stolen_from_);
    }

private:
    void turn() {
        const double held = static_cast<double>(clock_.nsecsElapsed()) / 1e6;
        const double worked = worked_ms() - worked_before_;
        const MeasuredApplication::Took took = static_cast<MeasuredApplication*>(qApp)->take();
        ++turns_;
        if (held > 16 && worked <= 16 && held - (stolen_.ms() - stolen_before_) <= 16) {
            ++stolen_from_;
        } else {
            if (held > 16) ++over_16_;
            if (held > longest_) {
                longest_ = held;
                worked_ = worked;
                at_ = longest_of(took);
            }
        }
        start();
    }
    void start() {
        stolen_before_ = stolen_.ms();
        worked_before_ = worked_ms();
        clock_.start();
    }
    /// This thread's time on a processor.
    static double worked_ms() {
        timespec time{};
        ::clock_gettime(CLOCK_THREAD_CPUTIME_ID, &time);
        return static_cast<double>(time.tv_sec) * 1e3 + static_cast<double>(time.tv_nsec) / 1e6;
    }
    StolenTime stolen_;
    QTimer timer_;
    QElapsedTimer clock_;
    QElapsedTimer step_;
    double longest_ = 0;
    double worked_ = 0;
    double worked_before_ = 0;
    double stolen_before_ = 0;
    std::string at_;
    int over_16_ = 0;
    int turns_ = 0;
    int stolen_from_ = 0;
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
