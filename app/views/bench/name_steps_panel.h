// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <string>
#include <vector>

#include "names/steps.h"
#include "tasks/worker.h"

class Bench;
class EditorRows;
class QCheckBox;
class ExampleNames;
class QLabel;
class QMenu;
class QPushButton;

/// The steps that make new names, edited beside the sentence, and what they make of a few names that tell
/// most.
class NameStepsPanel final : public QWidget {
    Q_OBJECT

public:
    NameStepsPanel(Bench& bench, std::string state_folder, QWidget* parent = nullptr);
    /// Opens it, with a first step where there is none, and puts the keys into it.
    void begin();

signals:
    void said(const QString& words);

private:
    QWidget* buildSteps();
    QWidget* buildExamples();
    void add(const tavlo::NameStep& step);
    void show(const tavlo::Naming& naming);
    tavlo::Naming naming() const;
    void stepsChanged();
    void refresh();
    void showExamples();
    void fillSets();
    void keepSet();
    void pasteTable();
    void writeTable();

    Bench& bench_;
    const std::string state_folder_;
    tavlo::Naming shown_;
    bool asked_for_ = false;  ///< of a copy or a move: somebody has opened it
    EditorRows* steps_;
    QCheckBox* whole_names_;
    QPushButton* add_;
    QMenu* sets_;
    QLabel* misses_;
    ExampleNames* examples_;
    EachWorker worker_;
};
