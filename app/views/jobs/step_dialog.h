// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <vector>

#include "job/saved_job.h"

class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;

/// The places of a step, which may hold the date of the run; of a note, its file and its line. Says what each
/// comes to today.
class StepDialog final : public QDialog {
    Q_OBJECT

public:
    StepDialog(const tavlo::JobStep& step, const std::string& job, QWidget* parent);
    /// As it was changed; what it says was read back, so its paths are whole.
    const tavlo::JobStep& step() const { return step_; }

private:
    QLineEdit* line(QFormLayout& form, const QString& label, const QString& text, const char* name);
    void refresh();
    tavlo::JobStep typed() const;

    tavlo::JobStep step_;
    const std::string job_;
    std::vector<QLineEdit*> sources_;
    QLineEdit* into_ = nullptr;  ///< of a note: its file
    QLineEdit* words_ = nullptr;
    QLabel* today_ = nullptr;
    QPushButton* use_ = nullptr;
};
