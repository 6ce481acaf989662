// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/pick_box.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "models/folder_model.h"
#include "text.h"
#include "theme/theme.h"
#include "views/parts/elided_label.h"
#include "views/parts/flow_layout.h"
#include "views/parts/row_view.h"
#include "views/parts/spacing.h"

using tavlo::FileType;

namespace {
constexpr std::size_t most_shown = 3;
}

PickBox::PickBox(FolderModel& model, RowView& list, QWidget* parent)
    : QWidget(parent), model_(model), list_(list) {
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::none, Gap::close);
    auto* row = new QHBoxLayout;
    row->setSpacing(Gap::beside);
    box_ = new QLineEdit;
    box_->setObjectName(QStringLiteral("pickBox"));
    box_->setAccessibleName(tr("Pick by typing a part of a name"));
    box_->setPlaceholderText(tr("Pick by typing…"));
    box_->setFixedWidth(box_->fontMetrics().horizontalAdvance(box_->placeholderText()) + 34);
    box_->setProperty("own", true);
    box_->installEventFilter(this);
    state_ = new ElidedLabel;
    state_->setObjectName(QStringLiteral("pickState"));
    state_->setSizePolicy(QSizePolicy::Ignored,
                          QSizePolicy::Preferred);  // the list keeps its width, whatever is said
    row->addWidget(box_);
    row->addWidget(state_, 1);
    column->addLayout(row);
    auto* added = new QWidget;
    added_row_ = new FlowLayout(Gap::close);
    added->setLayout(added_row_);
    column->addWidget(added);
    added->hide();
    connect(box_, &QLineEdit::textEdited, this, &PickBox::narrow);
    connect(&model_, &FolderModel::narrowed, this, [this] {
        if (!box_->text().isEmpty()) narrow();
    });
    reset();
}

void PickBox::focusBox() {
    box_->setFocus();
    box_->selectAll();
}

void PickBox::reset() {
    if (std::erase_if(added_, [](const Added& one) { return one.folder.empty(); }) > 0) showAdded();
    box_->clear();
    chosen_ = false;
    say(tr("a few characters, then Return"), false);
}

void PickBox::keepAdded(
    const std::function<bool(const std::string& folder, const std::string& name)>& in_batch) {
    const auto gone = [&](const Added& one) {
        return !one.folder.empty() && !in_batch(one.folder, one.name);
    };
    if (std::erase_if(added_, gone) > 0) showAdded();
}

void PickBox::say(const QString& words, bool warning) {
    state_->setText(words);
    set_tone(*state_, warning ? "amber" : "muted");
}

void PickBox::narrow() {
    chosen_ = false;
    const QString typed = box_->text();
    const auto left = model_.narrow(typed);
    if (typed.isEmpty()) return reset();
    if (!left) return say(tr("the names are still being read"), true);
    if (*left == 0) return say(tr("no name here has “%1”").arg(typed), true);
    if (*left > 1) return say(tr("%Ln left: type on, or arrows", nullptr, static_cast<int>(*left)), false);
    list_.setCurrentIndex(model_.index(0, 0));
    const bool in = model_.index(0, 0).data(FolderModel::PickedRole).toBool();
    const QString name = model_.index(0, 0).data().toString();
    say(in ? tr("%1 is in the batch already").arg(name) : tr("Return adds %1").arg(name), false);
}

/// One row, or the one that the arrows chose: anything else adds nothing, and says why.
void PickBox::add() {
    if (box_->text().isEmpty()) return;
    const int rows = model_.rowCount();
    const int row = rows == 1 ? 0 : chosen_ ? list_.currentIndex().row() : -1;
    if (row < 0 || row >= rows) {
        if (rows > 1) return say(tr("%Ln left, nothing added: type on", nullptr, rows), true);
        narrow();
        added_.push_front(
            {{}, to_bytes(box_->text())});  // so that what was not found can still be seen later
        if (added_.size() > most_shown) added_.pop_back();
        showAdded();
        box_->selectAll();  // the next name replaces it
        return;
    }
    const Added added{model_.folderOf(row), model_.row(row).name};
    emit picked(added.folder, added.name);
    added_.push_front(added);
    if (added_.size() > most_shown) added_.pop_back();
    box_->clear();
    chosen_ = false;
    (void)model_.narrow({});
    showAdded();
    say(tr("added; the next one…"), false);
}

void PickBox::choose(int step) {
    if (model_.rowCount() == 0) return;
    const int now = chosen_ ? list_.currentIndex().row() : -1;
    const int row = std::clamp(now + step, 0, model_.rowCount() - 1);
    list_.setCurrentIndex(model_.index(row, 0));
    chosen_ = !box_->text().isEmpty();
    if (chosen_) say(tr("Return adds %1").arg(model_.index(row, 0).data().toString()), false);
}

void PickBox::showAdded() {
    while (QLayoutItem* item = added_row_->takeAt(0)) {
        if (item->widget() != nullptr) item->widget()->deleteLater();
        delete item;
    }
    added_row_->parentWidget()->setVisible(!added_.empty());
    if (added_.empty()) return;
    auto* words = new QLabel(tr("Last:"));
    set_tone(*words, "muted");
    added_row_->addWidget(words);
    for (const Added& one : added_) {
        if (one.folder.empty()) {
            auto* missing = new QLabel(tr("“%1” not found").arg(shown(one.name)));
            missing->setObjectName(QStringLiteral("pickMissing"));
            set_tone(*missing, "amber");
            added_row_->addWidget(missing);
            continue;
        }
        auto* button = new QPushButton(list_.fontMetrics().elidedText(shown(one.name), Qt::ElideMiddle, 130) +
                                       QStringLiteral("  ×"));
        button->setObjectName(QStringLiteral("pickTakeBack"));
        button->setProperty("plain", true);
        button->setToolTip(tr("Take %1 out of the batch again").arg(shown(one.name)));
        button->setAccessibleName(tr("Take %1 out of the batch again").arg(shown(one.name)));
        connect(button, &QPushButton::clicked, this, [this, one] {
            emit taken(one.folder, one.name);
            std::erase_if(added_, [&](const Added& known) {
                return known.folder == one.folder && known.name == one.name;
            });
            showAdded();
            box_->setFocus();
        });
        added_row_->addWidget(button);
    }
}

bool PickBox::eventFilter(QObject* watched, QEvent* event) {
    if (watched != box_ || event->type() != QEvent::KeyPress) return QWidget::eventFilter(watched, event);
    switch (static_cast<QKeyEvent*>(event)->key()) {
        case Qt::Key_Return:
        case Qt::Key_Enter: add(); return true;
        case Qt::Key_Down: choose(1); return true;
        case Qt::Key_Up: choose(-1); return true;
        case Qt::Key_Escape:
            (void)model_.narrow({});
            reset();
            return true;
        default: return false;
    }
}
