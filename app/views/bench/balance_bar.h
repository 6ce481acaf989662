// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <array>
#include <optional>

#include "models/outcome_model.h"

class Bench;
class QHBoxLayout;
class QLabel;
class QPushButton;

/// One bar in proportion, split by what comes of the items, with the numbers under it. A click on a part
/// shows just those.
class BalanceBar final : public QWidget {
    Q_OBJECT

public:
    explicit BalanceBar(Bench& bench, QWidget* parent = nullptr);

signals:
    void shareChosen(std::optional<Share> share);

protected:
    void paintEvent(QPaintEvent* event) override;
    void changeEvent(QEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    QSize minimumSizeHint() const override { return {400, sizeHint().height()}; }

private:
    void refresh();
    QString noteWords() const;
    void refreshRoom();
    void fitLegend();
    void choose(std::optional<Share> share);
    QRect barRect() const;
    std::vector<std::pair<Share, QRect>> parts() const;

    Bench& bench_;
    std::array<std::uint64_t, share_count> counts_{};
    std::array<QPushButton*, share_count> legend_{};
    QLabel* note_;
    QLabel* room_;
    std::optional<Share> chosen_;
};

/// A share's colour in the bar.
QColor share_colour(Share share);
