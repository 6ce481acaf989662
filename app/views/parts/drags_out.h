// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractItemView>
#include <QApplication>
#include <QDrag>
#include <QMimeData>
#include <QMouseEvent>
#include <functional>
#include <memory>
#include <utility>

/// A view whose selected things can be dragged out of it: a press on one of them begins a drag; anywhere else
/// it selects, as without.
template <class View>
class DragsOut : public View {
public:
    using View::View;
    /// What is dragged out; without it nothing is.
    void setDragSource(std::function<QMimeData*()> source) { drag_source_ = std::move(source); }
    /// What would be dragged out now; null: nothing can be.
    std::unique_ptr<QMimeData> dragged() const {
        return std::unique_ptr<QMimeData>(drag_source_ ? drag_source_() : nullptr);
    }

protected:
    void mousePressEvent(QMouseEvent* event) override {
        const QModelIndex index = this->indexAt(event->position().toPoint());
        const bool selected = index.isValid() && this->selectionModel()->isSelected(index);
        may_drag_ = drag_source_ && selected && event->button() == Qt::LeftButton &&
                    event->modifiers() == Qt::NoModifier;
        pressed_at_ = event->position().toPoint();
        if (!may_drag_) View::mousePressEvent(event);
    }
    void mouseMoveEvent(QMouseEvent* event) override {
        if (!may_drag_) return View::mouseMoveEvent(event);
        if ((event->position().toPoint() - pressed_at_).manhattanLength() < QApplication::startDragDistance())
            return;
        may_drag_ = false;
        auto* drag = new QDrag(this);
        drag->setMimeData(drag_source_());
        drag->exec(Qt::CopyAction);  // what is dragged elsewhere is never taken away here
    }
    void mouseReleaseEvent(QMouseEvent* event) override {
        if (!std::exchange(may_drag_, false)) return View::mouseReleaseEvent(event);
        QMouseEvent press(QEvent::MouseButtonPress, event->position(), event->globalPosition(),
                          Qt::LeftButton, Qt::LeftButton, Qt::NoModifier);
        View::mousePressEvent(&press);  // it was a click after all
        View::mouseReleaseEvent(event);
    }

private:
    std::function<QMimeData*()> drag_source_;
    bool may_drag_ = false;
    QPoint pressed_at_;
};
