// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFrame>

#include "job/saved_job.h"

class QMenu;

/// A step of a saved job as a card: its number, its sentence, and what can be done with it.
class StepCard final : public QFrame {
    Q_OBJECT

public:
    /// at, of  its number, from 0, and how many there are
    StepCard(const tavlo::JobStep& step, int at, int of, QWidget* parent = nullptr);

signals:
    void seeRequested();
    void changeRequested();  ///< on the bench; of a note, its file and its line
    void placesRequested();  ///< where it takes from, and where it goes to
    void moveRequested(int by);
    void changed(const tavlo::JobStep& step);  ///< switched on or off, or what comes of a fault
    void removeRequested();

private:
    void fillMenu(QMenu& menu);

    const tavlo::JobStep step_;
    const int at_;
    const int of_;
};
