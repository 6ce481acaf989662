// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <string>
#include <vector>

#include "names/folder_levels.h"

class Bench;
class EditorRows;
class QLabel;
class QMenu;
class QPushButton;

/// The folders that files are sorted into by what they tell, level by level, edited beside the sentence.
class FolderLevelsPanel final : public QWidget {
    Q_OBJECT

public:
    explicit FolderLevelsPanel(Bench& bench, QWidget* parent = nullptr);
    /// Opens it, with levels that fit the batch where there is none, and puts the keys into it.
    void begin();

signals:
    void said(const QString& words);

private:
    QWidget* buildLevels();
    void add(const tavlo::FolderLevel& level);
    void show(const std::string& pattern);
    void use(const std::string& pattern);
    void levelsChanged();
    void refresh();
    void showFacts();
    void fillFacts();
    void fillSets();
    void keepSet();
    std::vector<tavlo::FolderLevel> levels() const;

    Bench& bench_;
    std::string shown_;
    EditorRows* rows_;
    QPushButton* add_;
    QMenu* facts_;
    QMenu* sets_;
    QLabel* words_;
};
