// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QListView>
#include <QStyledItemDelegate>

#include "tasks/thumbnails.h"
#include "views/parts/drags_out.h"

class FolderModel;

/// The folder's list as small pictures, to gather by eye: the same rows, the same selection, the same marks.
class ContactSheet final : public DragsOut<QListView> {
    Q_OBJECT

public:
    /// kept  where the desktop keeps its small pictures
    ContactSheet(FolderModel& model, QItemSelectionModel& selection, ThumbnailCache kept,
                 QWidget* parent = nullptr);
    const Thumbnails& thumbnails() const { return thumbnails_; }
    ThumbnailCache::Of fileAt(int row) const;

signals:
    void pickToggled(const QModelIndex& index);

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    void layOutCells();
    void wishForWhatIsOnView();

    FolderModel& model_;
    Thumbnails thumbnails_;
};

/// One cell of a contact sheet: the small picture, the name below it, when it changed, and the mark of what
/// is in the batch.
class ContactDelegate final : public QStyledItemDelegate {
    Q_OBJECT

public:
    explicit ContactDelegate(ContactSheet& sheet) : QStyledItemDelegate(&sheet), sheet_(sheet) {}
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

signals:
    void pickToggled(const QModelIndex& index);

protected:
    bool editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                     const QModelIndex& index) override;

private:
    void paintPicture(QPainter& painter, const QRect& frame, const QModelIndex& index) const;

    ContactSheet& sheet_;
};
