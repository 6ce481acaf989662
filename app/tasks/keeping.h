// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>
#include <cstdint>
#include <string>

#include "keep/store.h"
#include "tasks/worker.h"

/// How long things are kept, as the user has set it. Nothing goes by itself unless an age was set.
struct KeepingRules {
    int safe_days = 0;             ///< versions older than this leave the Safe; 0: until somebody empties it
    std::uint64_t safe_limit = 0;  ///< bytes in the Safe above which there is a warning; 0: none
    /// receipts of runs that ended before are forgotten, but for those the Safe hangs on; 0: none
    int receipt_days = 0;

    static KeepingRules load();
    void save() const;
};

/// Sees to it at each start, off the interface's thread, and says what it did.
class Keeping final : public QObject {
    Q_OBJECT

public:
    explicit Keeping(std::string state_folder, QObject* parent = nullptr)
        : QObject(parent), state_folder_(std::move(state_folder)) {}
    void apply(const KeepingRules& rules);
    /// Warns where the Safe takes more than it may, once for each time that it comes to that.
    void lookAtSafe(const KeepingRules& rules);

signals:
    void said(const QString& words);

private:
    void tell(const QString& words);
    void warn(tavlo::Store& store, const KeepingRules& rules);

    std::string state_folder_;
    bool is_over_ = false;  ///< the worker's: the Safe took too much, the last time
    EachWorker worker_;
};
