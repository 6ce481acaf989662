// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractButton>
#include <QWidget>
#include <vector>

/// The places to be, at the far left.
enum class PlaceToBe { bench, collisions, runs, receipts, safe, jobs, sizes };

class PlaceStrip final : public QWidget {
    Q_OBJECT

public:
    explicit PlaceStrip(QWidget* parent = nullptr);
    void setPlace(PlaceToBe place);
    /// Something waits there; 0: nothing.
    void setCount(PlaceToBe place, std::uint64_t count);

signals:
    void placeChosen(PlaceToBe place);

private:
    std::vector<QAbstractButton*> buttons_;
};
