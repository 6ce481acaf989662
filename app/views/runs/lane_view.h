// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QPointer>
#include <QWidget>

#include "tasks/run_lane.h"

class QPushButton;
class Runs;

/// One run on the page of runs: its sentence, how far it is, its rate over the last minute, and what can be
/// done with it.
class LaneView final : public QWidget {
    Q_OBJECT

public:
    LaneView(Runs& runs, RunLane& lane, QWidget* parent = nullptr);
    RunLane* lane() const { return lane_; }
    void setCurrent(bool current);
    void refresh();
    QSize sizeHint() const override;

signals:
    void chosen();
    /// To the lane above (-1), or below (1).
    void left(int by);
    void receiptRequested(const std::string& receipt);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QRect mirrored(const QRect& part) const;  ///< where it is from right to left
    bool needsSomebody() const;
    void paintSentence(class QPainter& painter, const QRect& text) const;
    void paintState(class QPainter& painter, const QRect& words) const;
    void placeButtons();
    QString details() const;
    void askStop();
    void showMore();
    void pauseOrGoOn();

    Runs& runs_;
    QPointer<RunLane> lane_;
    QPushButton* pause_;
    QPushButton* first_;
    QPushButton* receipt_;
    QPushButton* stop_;
    QPushButton* more_;
    QPushButton* close_;
    QWidget* buttons_;
    bool current_ = false;
    std::optional<LaneState> told_;  ///< the state that its accessible name has
};
