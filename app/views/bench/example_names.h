// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <vector>

/// A few names with what becomes of them, one below the other: the old one pale, an arrow, the new one strong.
/// Each has half of the room, and is shortened in its middle.
class ExampleNames final : public QWidget {
    Q_OBJECT

public:
    enum class Kind { changes, collides, stays, fails };
    struct Example {
        QString was;
        QString becomes;  ///< or why it cannot
        Kind kind = Kind::changes;
        bool operator==(const Example&) const = default;
    };

    explicit ExampleNames(QWidget* parent = nullptr);
    void show_(std::vector<Example> examples);
    const std::vector<Example>& examples() const { return examples_; }
    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    int rowHeight() const;

    std::vector<Example> examples_;
};
