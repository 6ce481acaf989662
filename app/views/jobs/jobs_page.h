// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <memory>
#include <string>

#include "tasks/saved_jobs.h"

class JobRuns;
class JobsModel;
class QLabel;
class QListView;
class QPushButton;
class QStackedWidget;
class QTreeWidget;
class QVBoxLayout;

/// Saved jobs: each with its steps, how it went, and when it runs; run, seen first, changed, scheduled,
/// forgotten.
class JobsPage final : public QWidget {
    Q_OBJECT

public:
    JobsPage(SavedJobs& jobs, JobRuns& runs, QWidget* parent = nullptr);
    void refresh() { jobs_.list(); }
    /// The one of this name is the one on view, now or once it is there.
    void show_(const std::string& name);

signals:
    void seeRequested(const tavlo::SavedJob& job, std::size_t step);
    void changeRequested(const tavlo::SavedJob& job, std::size_t step);
    /// What is on the bench is to become one more step.
    void addFromBenchRequested(const tavlo::SavedJob& job);
    void receiptRequested(const std::string& receipt);
    /// What a run of it left undecided is to be settled.
    void settleRequested(const tavlo::ReceiptHead& head);
    void said(const QString& words);

private:
    void buildLeft(QVBoxLayout& column);
    void buildRight(QVBoxLayout& column);
    class QHBoxLayout* buildHead();
    void buildQuestion();
    QWidget* buildSteps();
    void buildPast();
    void takeList(std::shared_ptr<const std::vector<KeptJob>> jobs);
    void showCurrent();
    void showHead(const KeptJob& job);
    void showSteps(const KeptJob& job);
    void showRuns(const KeptJob& job);
    void fillMore();
    void fillAdd();
    void askWhen();
    void askName();
    void askForget();
    void readIn();
    void writeOut();
    void editStep(std::size_t at);
    void addNote();
    void replace(const tavlo::SavedJob& job);  ///< keeps it as it has become
    const KeptJob* current() const;

    SavedJobs& jobs_;
    JobRuns& runs_;
    JobsModel* model_;
    QListView* list_;
    QLabel* none_;
    QStackedWidget* pages_;
    QLabel* title_;
    QLabel* when_;
    QLabel* concerns_;
    QPushButton* run_;
    QPushButton* when_button_;
    QPushButton* more_;
    QPushButton* add_;
    QVBoxLayout* step_column_;
    QLabel* runs_title_;
    QTreeWidget* past_;
    QPushButton* settle_;
    QWidget* question_;
    QLabel* question_words_;
    std::string wanted_;
};
