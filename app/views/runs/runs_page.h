// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QPointer>
#include <QWidget>
#include <string>
#include <vector>

#include "tasks/run_lane.h"

class LaneView;
class ElidedLabel;
class QLabel;
class QLineEdit;
class QListView;
class QPushButton;
class QScrollArea;
class QVBoxLayout;
class RatePlot;
class RowView;
class RunFaultsModel;
class RunLogModel;
class Runs;

/// All runs in lanes, in the order in which they have the drives; below, what the chosen one has done so far,
/// and what needs somebody.
class RunsPage final : public QWidget {
    Q_OBJECT

public:
    explicit RunsPage(Runs& runs, QWidget* parent = nullptr);
    /// How far all that is not through is together, 0 to 1.
    double doneInAll() const;
    /// Faults that nobody has said anything about, and runs that wait for something.
    std::uint64_t needsSomebody() const;

protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

signals:
    void receiptRequested(const std::string& receipt);
    void said(const QString& words);

private:
    void buildHead(QVBoxLayout& page);
    void buildLanes(QVBoxLayout& page);
    QWidget* buildDone();
    QWidget* buildNeeds();
    void connectParts();
    void followLanes();
    void showLanes();
    void refresh();
    void choose(RunLane* lane);
    void showFaults();
    void showNothingYet();
    void wish(RunFault::Wish wish);

    Runs& runs_;
    QLabel* title_;
    QPushButton* limit_;
    QPushButton* pause_all_;
    QPushButton* clear_;
    QScrollArea* scroll_;
    QVBoxLayout* column_;
    std::vector<LaneView*> views_;
    QPointer<RunLane> current_;
    bool is_behind_ = false;  ///< lanes have come that have no view yet
    QLabel* empty_;
    QWidget* below_;
    QLineEdit* filter_;
    RowView* list_;
    RunLogModel* log_;
    ElidedLabel* order_;
    QLabel* nothing_yet_;
    RatePlot* plot_;
    QWidget* needs_;
    QPointer<RunLane> needed_somebody_;  ///< the lane that it was shown for
    QLabel* faults_title_;
    QListView* faults_;
    RunFaultsModel* faults_model_;
    QPushButton* again_;
    QPushButton* leave_;
};
