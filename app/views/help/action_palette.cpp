// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/help/action_palette.h"

#include <QAction>
#include <QHeaderView>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMenu>
#include <QMenuBar>
#include <QTreeWidget>
#include <QVBoxLayout>
#include <algorithm>

namespace {

/// Without its mnemonic, and without the key that is written behind some.
QString plain(QString text) {
    text = text.section(QLatin1Char('\t'), 0, 0);
    return text.remove(QLatin1Char('&'));
}

QString key_of(const QAction& action) {
    const QString written = action.text().section(QLatin1Char('\t'), 1, 1);
    return written.isEmpty() ? action.shortcut().toString(QKeySequence::NativeText) : written;
}

void collect(const QList<QAction*>& from, const QString& where,
             std::vector<std::pair<QString, QAction*>>& found) {
    for (QAction* action : from) {
        if (action->isSeparator() || !action->isVisible()) continue;
        const QString words = where.isEmpty() ? plain(action->text())
                                              : ActionPalette::tr("%1: %2").arg(where, plain(action->text()));
        if (const QMenu* menu = action->menu())
            collect(menu->actions(), words, found);
        else
            found.emplace_back(words, action);
    }
}

}  // namespace

ActionPalette::ActionPalette(const QMenuBar& menus, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("palette"));
    setWindowTitle(tr("Find an action"));
    resize(560, 420);
    auto* column = new QVBoxLayout(this);
    line_ = new QLineEdit;
    line_->setObjectName(QStringLiteral("paletteLine"));
    line_->setPlaceholderText(tr("A few letters of what is to be done"));
    line_->setAccessibleName(tr("Find an action"));
    line_->installEventFilter(this);
    list_ = new QTreeWidget;
    list_->setObjectName(QStringLiteral("paletteList"));
    list_->setAccessibleName(tr("Actions"));
    list_->setHeaderHidden(true);
    list_->setColumnCount(2);
    list_->setRootIsDecorated(false);
    list_->setUniformRowHeights(true);
    list_->setFrameShape(QFrame::NoFrame);
    list_->header()->setStretchLastSection(false);
    list_->header()->setSectionResizeMode(0, QHeaderView::Stretch);
    list_->header()->setSectionResizeMode(1, QHeaderView::ResizeToContents);
    column->addWidget(line_);
    column->addWidget(list_, 1);
    collect(menus.actions(), {}, actions_);
    connect(line_, &QLineEdit::textChanged, this, &ActionPalette::narrow);
    connect(line_, &QLineEdit::returnPressed, this, &ActionPalette::choose);
    connect(list_, &QTreeWidget::itemActivated, this, &ActionPalette::choose);
    narrow();
}

/// All words must be there, whatever their order.
void ActionPalette::narrow() {
    const QStringList wanted = line_->text().split(QLatin1Char(' '), Qt::SkipEmptyParts);
    list_->clear();
    for (std::size_t at = 0; at < actions_.size(); ++at) {
        const auto& [words, action] = actions_[at];
        if (!std::all_of(wanted.begin(), wanted.end(), [&words = words](const QString& one) {
                return words.contains(one, Qt::CaseInsensitive);
            }))
            continue;
        auto* item = new QTreeWidgetItem(list_, {words, key_of(*action)});
        item->setData(0, Qt::UserRole, static_cast<int>(at));
        item->setDisabled(!action->isEnabled());
        item->setTextAlignment(1, Qt::AlignRight);
    }
    for (int row = 0; row < list_->topLevelItemCount(); ++row)
        if (!list_->topLevelItem(row)->isDisabled()) return list_->setCurrentItem(list_->topLevelItem(row));
}

void ActionPalette::choose() {
    const QTreeWidgetItem* item = list_->currentItem();
    if (item == nullptr || item->isDisabled()) return;
    chosen_ = actions_[static_cast<std::size_t>(item->data(0, Qt::UserRole).toInt())].second;
    accept();
}

bool ActionPalette::eventFilter(QObject* watched, QEvent* event) {
    if (watched == line_ && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Down || key == Qt::Key_Up || key == Qt::Key_PageDown || key == Qt::Key_PageUp) {
            QCoreApplication::sendEvent(list_, event);
            return true;
        }
    }
    return QDialog::eventFilter(watched, event);
}
