// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>

#include "job/job.h"

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

/// Where an archive is to be, under which name, in which format, and what becomes of what is in it.
class PackDialog final : public QDialog {
    Q_OBJECT

public:
    /// job  of Operation::pack
    PackDialog(const tavlo::Job& job, QWidget* parent);
    /// The same job as it is wanted now.
    tavlo::Job job() const;

private:
    class QFormLayout* buildForm();
    void refresh();
    std::string path() const;

    tavlo::Job job_;
    QLineEdit* folder_;
    QLineEdit* name_;
    QComboBox* format_;
    QLabel* about_;
    QComboBox* press_;
    QCheckBox* removes_;
    QLabel* note_;
    QPushButton* use_;
};
