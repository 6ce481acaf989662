// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <optional>

#include "job/saved_job.h"
#include "tasks/instruction_file.h"

class Bench;
class QLabel;
class QPushButton;

/// Above the bench while a step of a saved job is on it, to be seen or to be changed: says which, and puts it
/// back, or leaves the job as it was; what was on the bench before comes back in any case.
class JobBanner final : public QWidget {
    Q_OBJECT

public:
    explicit JobBanner(Bench& bench, QWidget* parent = nullptr);
    enum class For { seeing, changing };
    void show(const tavlo::SavedJob& job, std::size_t step, For what);

signals:
    void changed(const tavlo::SavedJob& job);
    void left(const std::string& job);

private:
    struct Shown {
        tavlo::SavedJob job;
        std::size_t step;
        std::int64_t at_ns;
        Instruction before;  ///< what was on the bench
    };
    void putBack();
    void leave();

    Bench& bench_;
    std::optional<Shown> shown_;
    QLabel* words_;
    QPushButton* put_back_;
    QPushButton* leave_;
};
