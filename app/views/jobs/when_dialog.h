// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <optional>
#include <vector>

#include "tasks/saved_jobs.h"

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QRadioButton;
class QTimeEdit;

/// When a saved job runs by itself, in words, with the next three times.
class WhenDialog final : public QDialog {
    Q_OBJECT

public:
    WhenDialog(SavedJobs& jobs, const KeptJob& job, QWidget* parent);
    /// nullopt: only when somebody runs it
    std::optional<tavlo::Schedule> schedule() const;

private:
    class QGridLayout* buildWays();
    class QHBoxLayout* buildTime();
    void showTimes(const std::string& asked, const std::vector<std::int64_t>& times, const QString& why);
    enum class Way { never, working_days, daily, weekly, monthly, arrival, calendar };
    QRadioButton* add(class QGridLayout& grid, Way way, const QString& words, const char* name);
    void begin(const std::optional<tavlo::Schedule>& now);
    void refresh();
    std::string expression() const;  ///< of the calendar; empty: none
    Way way() const;

    SavedJobs& jobs_;
    std::vector<QRadioButton*> ways_;
    QTimeEdit* time_;
    QComboBox* weekday_;
    QLineEdit* calendar_;
    QLabel* next_;
    QPushButton* use_;
};
