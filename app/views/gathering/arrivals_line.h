// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <memory>

#include "tasks/arrivals.h"

class ElidedLabel;
class QPushButton;

/// Says above the list what came in with which run, while one looks at the place where it came in.
class ArrivalsLine final : public QWidget {
    Q_OBJECT

public:
    explicit ArrivalsLine(QWidget* parent = nullptr);
    /// null: nothing is to be said any more
    void show_(const std::shared_ptr<const Arrivals>& arrivals);

signals:
    void onlyTheseToggled(bool on);
    void closed();

private:
    ElidedLabel* words_;
    QPushButton* only_;
};
