// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QApplication>
#include <QElapsedTimer>
#include <QEvent>
#include <QMetaEnum>
#include <algorithm>
#include <cstdio>
#include <map>
#include <string>
#include <utility>
#include <vector>

/// Knows which events took longest by themselves, without those that they were handed on as.
class MeasuredApplication final : public QApplication {
public:
    using QApplication::QApplication;
    bool notify(QObject* receiver, QEvent* event) override {
        const bool is_plain = receiver->metaObject() == &QWidget::staticMetaObject;  // of a list, say
        const QObject* whose = is_plain && receiver->parent() != nullptr ? receiver->parent() : receiver;
        const Kind kind{whose->metaObject(), event->type()};
        const double before = std::exchange(inner_ms_, 0);
        QElapsedTimer clock;
        clock.start();
        const bool done = QApplication::notify(receiver, event);
        const double all = static_cast<double>(clock.nsecsElapsed()) / 1e6;
        took_ms_[kind] += all - inner_ms_;
        inner_ms_ = before + all;
        return done;
    }
    using Kind = std::pair<const QMetaObject*, QEvent::Type>;
    using Took = std::map<Kind, double>;
    /// Of the events since it was last asked.
    Took take() { return std::exchange(took_ms_, {}); }

private:
    double inner_ms_ = 0;
    Took took_ms_;
};

/// The longest of them, in words.
inline std::string longest_of(const MeasuredApplication::Took& took) {
    std::vector<std::pair<double, MeasuredApplication::Kind>> sorted;
    for (const auto& [kind, ms] : took) sorted.emplace_back(ms, kind);
    std::sort(sorted.rbegin(), sorted.rend());
    std::string out;
    for (const auto& [ms, kind] : sorted) {
        if (ms < 0.3) break;
        const char* type = QMetaEnum::fromType<QEvent::Type>().valueToKey(kind.second);
        char one[160];
        std::snprintf(one, sizeof one, ", %s %s %.1f", kind.first->className(),
                      type == nullptr ? "own" : type, ms);
        out += one;
    }
    return out;
}
