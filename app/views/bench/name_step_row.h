// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "names/steps.h"
#include "views/bench/editor_rows.h"

class ElidedLabel;
class QComboBox;
class QHBoxLayout;
class QLabel;
class QLineEdit;
class QSpinBox;

/// One step of new names: what it does, as a word that can be chosen, its fields, and what becomes of one
/// example by it.
class NameStepRow final : public EditorRow {
    Q_OBJECT

public:
    /// What a step can be, in the order in which it is offered.
    enum class Kind { in_front, behind, replace, expression, letters, numbers, extension, pattern, table };
    static QString words(Kind kind);  ///< with its letter for a menu
    static constexpr int kind_count = 9;
    static tavlo::NameStep usual(Kind kind);  ///< as one begins with it

    NameStepRow(const tavlo::NameStep& step, const tavlo::Naming& counters, QWidget* parent = nullptr);
    tavlo::NameStep step() const;
    /// A pattern counts: from and by.
    bool counts() const;
    std::uint64_t countFrom() const;
    std::uint64_t countBy() const;
    /// problem  why the step means nothing, or nothing for this name
    void showExample(const QString& before, const QString& after, const QString& problem);
    void focusFirstField() override;

private:
    QString words() const override;
    Kind kind() const;
    void build(const tavlo::NameStep& step);
    QLineEdit* addField(const QString& name, const QString& text, int width);
    QComboBox* addChoice(const QString& name, const QStringList& words, int current);
    void buildExtension(const std::string& text);
    void buildPattern(const std::string& pattern);
    QSpinBox* addNumber(const QString& name, int least, int value);
    QLabel* addWords(const QString& words);
    void chooseTable();

    tavlo::Naming counters_;
    QComboBox* kind_;
    QWidget* fields_ = nullptr;
    QHBoxLayout* in_fields_ = nullptr;
    QLineEdit* first_ = nullptr;
    QLineEdit* second_ = nullptr;
    QComboBox* choice_ = nullptr;
    QSpinBox* by_ = nullptr;
    QSpinBox* from_ = nullptr;
    QSpinBox* step_by_ = nullptr;
    ElidedLabel* example_;
};
