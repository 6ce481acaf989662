// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <optional>

#include "job/saved_job.h"

class QLabel;
class QLineEdit;
class QPushButton;
class QRadioButton;
class SavedJobs;

/// Keeps what is asked for as a saved job: under which name, and what it takes when it runs again. Closes
/// once it is kept.
class KeepJobDialog final : public QDialog {
    Q_OBJECT

public:
    /// job     with its sources
    /// as_now  the same, taking what then fits in a folder; nullopt: there is no such way to say it
    KeepJobDialog(SavedJobs& jobs, const tavlo::Job& job, const std::optional<tavlo::Job>& as_now,
                  QWidget* parent);

private:
    void offerWays(class QVBoxLayout& column);
    tavlo::SavedJob wanted() const;
    void refresh();
    void keep(bool replaces);

    SavedJobs& jobs_;
    const tavlo::Job job_;
    const std::optional<tavlo::Job> as_now_;
    QLineEdit* name_;
    QRadioButton* these_ = nullptr;
    QRadioButton* what_fits_ = nullptr;
    QLabel* sentence_;
    QLabel* note_;
    QPushButton* keep_;
    bool is_taken_ = false;  ///< the name is another job's, and the button replaces that
};
