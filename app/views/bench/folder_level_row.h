// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "names/folder_levels.h"
#include "views/bench/editor_rows.h"

class ElidedLabel;
class QComboBox;
class QLineEdit;

/// One level of the folders that files are sorted into: a fact, how it is written, and what stands where it
/// is not known.
class FolderLevelRow final : public EditorRow {
    Q_OBJECT

public:
    explicit FolderLevelRow(const tavlo::FolderLevel& level, QWidget* parent = nullptr);
    tavlo::FolderLevel level() const;
    /// known_of, files  how many know the fact; nothing is said where that is not known yet
    void showKnown(std::uint64_t known_of, std::uint64_t files, const QString& values);
    void focusFirstField() override;

private:
    QString words() const override;
    void addFacts(QComboBox& box) const;
    void fillFormats(const std::string& format);

    QComboBox* fact_ = nullptr;     ///< null: a text of its own
    QComboBox* format_ = nullptr;   ///< of a date; its text can be typed
    QComboBox* or_else_ = nullptr;  ///< shown where a second fact stands in
    QLineEdit* otherwise_ = nullptr;
    QLineEdit* text_ = nullptr;
    ElidedLabel* known_;
};
