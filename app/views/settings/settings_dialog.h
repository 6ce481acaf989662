// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>

#include "tasks/settings.h"

class QCheckBox;
class QComboBox;
class QFormLayout;
class QSpinBox;

/// All that can be set for the whole program, in one place.
class SettingsDialog final : public QDialog {
    Q_OBJECT

public:
    explicit SettingsDialog(const Settings& now, QWidget* parent = nullptr);
    Settings wanted() const;

private:
    QFormLayout* section(const QString& heading);
    void buildLooks();
    void buildBatch();
    void buildRuns();
    void buildKeeping();
    QSpinBox* addNumber(QFormLayout& rows, const QString& words, const QString& unit, const QString& none,
                        int most, const char* name);

    const Settings before_;
    QComboBox* looks_ = nullptr;
    QComboBox* rule_ = nullptr;
    QCheckBox* early_ = nullptr;
    QCheckBox* reads_back_ = nullptr;
    QSpinBox* limit_ = nullptr;
    QComboBox* safe_days_ = nullptr;
    QSpinBox* safe_limit_ = nullptr;
    QSpinBox* receipt_days_ = nullptr;
};
