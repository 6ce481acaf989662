// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <initializer_list>

#include "keep/receipt.h"

class QLabel;
class QProgressBar;
class QPushButton;
class RunLane;
class Runs;

/// The bottom line: the run that goes on, with progress, pause and stop, and how many others there are; after
/// it what came of it. It stands there at rest too, as high as ever: what is above it must not move away under
/// a hand that has just started something.
class RunLine final : public QWidget {
    Q_OBJECT

public:
    explicit RunLine(Runs& runs, QWidget* parent = nullptr);
    /// One line about something small that was done; not while a run is going on.
    void say(const QString& words);
    QSize sizeHint() const override { return withRoomForButtons(QWidget::sizeHint()); }
    QSize minimumSizeHint() const override { return withRoomForButtons(QWidget::minimumSizeHint()); }

signals:
    void receiptRequested(const std::string& receipt);
    void runsRequested();
    void showRequested(const std::string& receipt);  ///< what it brought in, where that is

private:
    QSize withRoomForButtons(const QSize& size) const;
    void rest();
    void refresh();
    void announce();
    void showOnly(std::initializer_list<QWidget*> wanted);
    RunLane* laneAtHand() const;
    void showEnd(const tavlo::ReceiptHead& head);
    void offer(const std::vector<tavlo::ReceiptHead>& heads);
    void goOn();
    void showProblem(const QString& why);

    Runs& runs_;
    QLabel* words_;
    QProgressBar* bar_;
    QLabel* amounts_;
    QPushButton* pause_;
    QPushButton* stop_;
    QPushButton* all_;
    QPushButton* details_;
    QPushButton* there_;
    QPushButton* go_on_;
    QPushButton* close_;
    std::string receipt_;
    std::vector<std::pair<std::string, QString>> to_go_on_;  ///< receipts and sentences
};
