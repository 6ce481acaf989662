// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <array>
#include <string>

#include "plan/policy.h"

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

/// A rule of one's own: what happens for each finding, and for smaller, same-sized and larger incoming files.
class OwnRuleDialog final : public QDialog {
    Q_OBJECT

public:
    OwnRuleDialog(const tavlo::Policy& rule, QWidget* parent);
    tavlo::Policy rule() const;

private:
    QComboBox* box(const QString& what, std::optional<tavlo::Decision> now);

    std::array<std::array<QComboBox*, tavlo::size_relation_count>, tavlo::finding_count> boxes_{};
};

/// A pattern for new names, with what it makes of an example.
class NamePatternDialog final : public QDialog {
    Q_OBJECT

public:
    NamePatternDialog(const std::string& pattern, QWidget* parent);
    std::string pattern() const;

private:
    void refresh();

    QLineEdit* line_;
    QLabel* preview_;
    QPushButton* use_;
};
