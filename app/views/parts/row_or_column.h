// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QBoxLayout>
#include <QEvent>
#include <QWidget>

/// Has the parts of a row stand below one another where there is little room for them side by side.
class RowOrColumn final : public QObject {
public:
    /// of     what the row lies in
    /// roomy  how wide that is to be for a row, in pixels
    RowOrColumn(QWidget& of, QBoxLayout& row, int roomy) : QObject(&of), row_(row), roomy_(roomy) {
        of.installEventFilter(this);
    }

protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() == QEvent::Resize)
            row_.setDirection(static_cast<QWidget*>(watched)->width() >= roomy_ ? QBoxLayout::LeftToRight
                                                                                : QBoxLayout::TopToBottom);
        return QObject::eventFilter(watched, event);
    }

private:
    QBoxLayout& row_;
    int roomy_;
};
