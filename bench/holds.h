// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QApplication>
#include <QElapsedTimer>
#include <QTemporaryDir>
#include <QTimer>
#include <algorithm>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <memory>

#include "theme/theme.h"
#include "translations.h"

/// For how long the interface's thread was held at the most in each step: the longest time between two turns
/// of its event loop, seen by a timer of 1 ms.
class Holds {
public:
    Holds() {
        timer_.setInterval(1);
        timer_.setTimerType(Qt::PreciseTimer);
        QObject::connect(&timer_, &QTimer::timeout, [this] { turn(); });
        timer_.start();
    }
    void begin() {
        longest_ = 0;
        turns_ = 0;
        over_16_ = 0;
        step_.start();
        clock_.start();
    }
    void end(const char* step) {
        turn();
        std::printf("%-44s %9.1f ms in all, held at most %6.1f ms, over 16 ms: %d of %d turns\n", step,
                    static_cast<double>(step_.nsecsElapsed()) / 1e6, longest_, over_16_, turns_);
    }

private:
    void turn() {
        const double held = static_cast<double>(clock_.nsecsElapsed()) / 1e6;
        longest_ = std::max(longest_, held);
        if (held > 16) ++over_16_;
        ++turns_;
        clock_.start();
    }
    QTimer timer_;
    QElapsedTimer clock_;
    QElapsedTimer step_;
    double longest_ = 0;
    int over_16_ = 0;
    int turns_ = 0;
};

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
        application_ = std::make_unique<QApplication>(count, words);
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
    std::unique_ptr<QApplication> application_;
};
