// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/contact_sheet.h"

#include <QMouseEvent>
#include <QPainter>

#include "archive/members.h"
#include "models/folder_model.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/button_row.h"
#include "views/parts/mirrored.h"
#include "views/parts/row_delegates.h"

using namespace tavlo;

namespace {

constexpr int gap = 5;  // between a cell's edge and its card, and within the card
constexpr double picture_lines = 7;
constexpr int mark = FolderDelegate::mark_width;

int text_height() { return lines(2.4); }

ThumbnailCache::Size size_for(const QWidget& view) {
    return lines(picture_lines) * 1.4 * view.devicePixelRatioF() > 256 ? ThumbnailCache::Size::x_large
                                                                       : ThumbnailCache::Size::large;
}

}  // namespace

ContactSheet::ContactSheet(FolderModel& model, QItemSelectionModel& selection, ThumbnailCache kept,
                           QWidget* parent)
    : DragsOut(parent), model_(model), thumbnails_(std::move(kept), size_for(*this)) {
    setObjectName(QStringLiteral("contactSheet"));
    setAccessibleName(tr("Files in this folder, as small pictures"));
    setModel(&model_);
    delete selectionModel();  // the one of its own, which the list's takes the place of
    setSelectionModel(&selection);
    setSelectionBehavior(SelectRows);
    setSelectionMode(ExtendedSelection);
    setFrameShape(NoFrame);
    setFlow(LeftToRight);
    setWrapping(true);
    setResizeMode(Adjust);
    setUniformItemSizes(true);
    setLayoutMode(Batched);  // a folder of 100,000 is not laid out in one go
    setBatchSize(5000);
    setVerticalScrollMode(ScrollPerPixel);
    setTabKeyNavigation(false);
    setMouseTracking(false);
    auto* delegate = new ContactDelegate(*this);
    setItemDelegate(delegate);
    connect(delegate, &ContactDelegate::pickToggled, this, &ContactSheet::pickToggled);
    connect(&thumbnails_, &Thumbnails::changed, viewport(), qOverload<>(&QWidget::update));
}

ThumbnailCache::Of ContactSheet::fileAt(int row) const {
    return {model_.path(model_.index(row, 0)), model_.row(row).status.id.modified_ns};
}

/// As many columns as there is room for, which share it.
void ContactSheet::layOutCells() {
    const int wanted = static_cast<int>(lines(picture_lines) * 1.3);
    const int room = viewport()->width() - 2;
    const int columns = std::max(1, room / wanted);
    const QSize cell(room / columns, lines(picture_lines) + text_height() + 4 * gap);
    if (gridSize() != cell) setGridSize(cell);
}

void ContactSheet::wishForWhatIsOnView() {
    const QSize cell = gridSize();
    if (!cell.isValid()) return;
    const int columns = std::max(1, (viewport()->width() - 2) / cell.width());
    const int first = verticalOffset() / cell.height() * columns;
    const int end = std::min(model_.rowCount(), first + (viewport()->height() / cell.height() + 2) * columns);
    std::vector<ThumbnailCache::Of> files;
    for (int row = first; row < end; ++row) {
        const Status& status = model_.row(row).status;
        if (status.type == FileType::file && !is_packed(status.id)) files.push_back(fileAt(row));
    }
    thumbnails_.wish(std::move(files));
}

void ContactSheet::paintEvent(QPaintEvent* event) {
    wishForWhatIsOnView();
    DragsOut::paintEvent(event);
}

void ContactSheet::resizeEvent(QResizeEvent* event) {
    layOutCells();
    DragsOut::resizeEvent(event);
}

void ContactSheet::focusInEvent(QFocusEvent* event) {
    DragsOut::focusInEvent(event);
    viewport()->update();
}

void ContactSheet::focusOutEvent(QFocusEvent* event) {
    DragsOut::focusOutEvent(event);
    viewport()->update();
}

QSize ContactDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const {
    return sheet_.gridSize();
}

void ContactDelegate::paintPicture(QPainter& painter, const QRect& frame, const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    if (const QPixmap* pixmap = sheet_.thumbnails().of(sheet_.fileAt(index.row()))) {
        const QSize size = pixmap->size().scaled(frame.size(), Qt::KeepAspectRatio).boundedTo(pixmap->size());
        QRect at(QPoint(0, 0), size);
        at.moveCenter(frame.center());
        painter.setRenderHint(QPainter::SmoothPixmapTransform);
        painter.drawPixmap(at, *pixmap);
        return;
    }
    // what has no picture is said by its kind
    QRect card(0, 0, std::min(frame.width(), frame.height() * 3 / 4), frame.height() * 3 / 4);
    card.moveCenter(frame.center());
    painter.setPen(theme.line);
    painter.setBrush(theme.field);
    painter.drawRoundedRect(card, 4, 4);
    painter.setPen(theme.muted);
    painter.setFont(small_font(painter.font()));
    painter.drawText(card.adjusted(gap, gap, -gap, -gap), Qt::AlignCenter | Qt::TextWordWrap,
                     index.siblingAtColumn(number(FolderColumn::kind)).data().toString());
}

void ContactDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                            const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    const bool picked = index.data(FolderModel::PickedRole).toBool();
    const bool selected = option.state.testFlag(QStyle::State_Selected);
    const bool current = sheet_.hasFocus() && index.row() == sheet_.currentIndex().row();
    const QRect card = option.rect.adjusted(gap / 2, gap / 2, -gap / 2, -gap / 2);
    painter->save();
    if (selected || picked) painter->fillRect(card, selected ? theme.selection : theme.accent_wash);
    if (picked)
        painter->fillRect(mirrored(card, QRect(card.topLeft(), QSize(4, card.height()))), theme.accent);
    if (selected || current) {
        painter->setPen(current ? theme.accent : theme.edge);
        painter->setBrush(Qt::NoBrush);
        painter->drawRect(card.adjusted(0, 0, -1, -1));
    }
    painter->setFont(option.font);
    const QRect inner = mirrored(card, card.adjusted(mark, gap, -gap, -gap));
    paintPicture(*painter, QRect(inner.topLeft(), QSize(inner.width(), inner.height() - text_height() - gap)),
                 index);
    const bool folder = index.data(FolderModel::TypeRole).toInt() == static_cast<int>(FileType::folder);
    const QFont font = strong_font(option.font, folder);
    painter->setFont(font);
    painter->setPen(theme.ink);
    const QRect text(inner.left(), inner.bottom() - text_height(), inner.width(), text_height() / 2);
    const QString mark_of =
        index.data(FolderModel::CameInRole).toBool() ? came_in_mark() + QLatin1Char(' ') : QString();
    const QString name = mark_of + index.data().toString() + (folder ? QStringLiteral("/") : QString());
    painter->drawText(text, Qt::AlignHCenter | Qt::AlignVCenter,
                      painter->fontMetrics().elidedText(name, Qt::ElideMiddle, text.width()));
    painter->setFont(small_font(option.font));
    painter->setPen(picked || selected ? theme.ink : theme.muted);
    const QString when = index.siblingAtColumn(number(FolderColumn::changed)).data().toString();
    painter->drawText(text.translated(0, text.height()), Qt::AlignHCenter | Qt::AlignVCenter,
                      painter->fontMetrics().elidedText(when, Qt::ElideRight, text.width()));
    painter->restore();
}

bool ContactDelegate::editorEvent(QEvent* event, QAbstractItemModel* model,
                                  const QStyleOptionViewItem& option, const QModelIndex& index) {
    if (event->type() == QEvent::MouseButtonPress) {
        const auto* mouse = static_cast<QMouseEvent*>(event);
        const QRect strip(option.rect.topLeft(), QSize(mark, option.rect.height()));
        if (mouse->button() == Qt::LeftButton &&
            mirrored(option.rect, strip).contains(mouse->position().toPoint())) {
            emit pickToggled(index);
            return true;
        }
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}
