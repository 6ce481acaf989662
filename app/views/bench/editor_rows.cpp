// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/editor_rows.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QMouseEvent>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"

namespace {
constexpr int most_on_view = 5;
constexpr double row_in_lines = 2.1;
}  // namespace

EditorRow::EditorRow(const QString& take_out, QWidget* parent) : QWidget(parent) {
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(Inset::row);
    row->setSpacing(Gap::beside);
    grip_ = new QLabel(this);
    grip_->setObjectName(QStringLiteral("rowGrip"));
    grip_->setFixedWidth(30);
    grip_->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    grip_->setCursor(Qt::SizeVerCursor);
    grip_->setToolTip(tr("Drag to another place; or Alt+Up, Alt+Down anywhere in the line"));
    grip_->installEventFilter(this);
    set_tone(*grip_, "muted");
    row->addWidget(grip_);
    fields_ = new QHBoxLayout;
    space_out(fields_, Inset::none, Gap::beside);
    row->addLayout(fields_, 1);
    auto* away = new QPushButton(tr("Take out"), this);
    away->setObjectName(QStringLiteral("rowAway"));
    away->setAccessibleName(take_out);
    row->addWidget(away);
    connect(away, &QPushButton::clicked, this, &EditorRow::removeRequested);
    watchFields();
}

void EditorRow::setNumber(int number) {
    grip_->setText(tr("%1.").arg(number));
    setAccessibleName(tr("Line %1: %2").arg(QString::number(number), words()));
}

void EditorRow::watchFields() {
    for (QWidget* field : findChildren<QWidget*>()) field->installEventFilter(this);
}

/// The line follows the pointer, a place at a time; and the keys, which a list of choices would open by.
bool EditorRow::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        if (key->modifiers() == Qt::AltModifier && (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down)) {
            emit moveRequested(key->key() == Qt::Key_Up ? -1 : 1);
            return true;
        }
    }
    if (watched == grip_ && event->type() == QEvent::MouseButtonPress)
        dragged_from_ = static_cast<QMouseEvent*>(event)->globalPosition().toPoint().y();
    if (watched == grip_ && event->type() == QEvent::MouseMove) {
        const int moved = static_cast<QMouseEvent*>(event)->globalPosition().toPoint().y() - dragged_from_;
        if (std::abs(moved) >= height()) {
            dragged_from_ += moved > 0 ? height() : -height();
            emit moveRequested(moved > 0 ? 1 : -1);
        }
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

EditorRows::EditorRows(int width, QWidget* parent) : QScrollArea(parent) {
    auto* inside = new QWidget;
    lines_ = new QVBoxLayout(inside);
    space_out(lines_, Inset::none, Gap::none);
    lines_->addStretch(1);
    setObjectName(QStringLiteral("editorRows"));
    setWidget(inside);
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFixedWidth(width);
    number();
}

void EditorRows::add(EditorRow* row) {
    connect(row, &EditorRow::changed, this, &EditorRows::changed);
    connect(row, &EditorRow::nextRequested, this, &EditorRows::nextRequested);
    connect(row, &EditorRow::removeRequested, this, [this, row] { takeOut(*row); });
    connect(row, &EditorRow::moveRequested, this, [this, row](int by) { move(*row, by); });
    lines_->insertWidget(static_cast<int>(rows_.size()), row);
    rows_.push_back(row);
    number();
}

void EditorRows::keep(std::size_t count) {
    for (std::size_t at = count; at < rows_.size(); ++at) {
        rows_[at]->hide();
        rows_[at]->deleteLater();
    }
    rows_.resize(std::min(count, rows_.size()));
    number();
}

void EditorRows::number() {
    for (std::size_t at = 0; at < rows_.size(); ++at) rows_[at]->setNumber(static_cast<int>(at) + 1);
    setFixedHeight(std::clamp(static_cast<int>(rows_.size()), 2, most_on_view) * lines(row_in_lines));
}

void EditorRows::move(EditorRow& row, int by) {
    const auto at = std::find(rows_.begin(), rows_.end(), &row) - rows_.begin();
    const auto to = at + by;
    if (to < 0 || to >= static_cast<std::ptrdiff_t>(rows_.size())) return;
    std::swap(rows_[static_cast<std::size_t>(at)], rows_[static_cast<std::size_t>(to)]);
    QWidget* focused = focusWidget();
    lines_->removeWidget(&row);
    lines_->insertWidget(static_cast<int>(to), &row);
    if (focused != nullptr) focused->setFocus();
    number();
    emit changed();
}

void EditorRows::takeOut(EditorRow& row) {
    const auto at = std::find(rows_.begin(), rows_.end(), &row);
    const auto place = static_cast<std::size_t>(at - rows_.begin());
    rows_.erase(at);
    row.deleteLater();
    number();
    emit changed();
    if (rows_.empty())
        emit lastTakenOut();
    else
        rows_[std::min(place, rows_.size() - 1)]->focusFirstField();
}
