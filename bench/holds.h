#pragma once

#include <QElapsedTimer>
#include <QTimer>
#include <algorithm>
#include <cstdio>

/// For how long the interface's thread was held at the most in each step: the longest time between two turns of its event loop,
/// seen by a timer of 1 ms.
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
