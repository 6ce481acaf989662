// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/collisions/text_pair.h"

#include <QHBoxLayout>
#include <QPlainTextEdit>
#include <QScrollBar>
#include <QTextBlock>
#include <QTimer>

#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"

TextPair::TextPair(QWidget* parent) : QWidget(parent) {
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::none, Gap::apart);
    const auto pane = [&](const char* name, const QString& words) {
        auto* made = new QPlainTextEdit;
        made->setObjectName(QLatin1String(name));
        made->setAccessibleName(words);
        made->setReadOnly(true);
        made->setTabChangesFocus(true);
        made->setLineWrapMode(QPlainTextEdit::NoWrap);
        made->setFont(text_font(font()));
        row->addWidget(made);
        return made;
    };
    left_ = pane("pairTextLeft", tr("Text of the incoming one"));
    right_ = pane("pairTextRight", tr("Text of the one there now"));
    for (const auto& [one, other] : {std::pair(left_, right_), std::pair(right_, left_)}) {
        connect(one->verticalScrollBar(), &QScrollBar::valueChanged, other->verticalScrollBar(),
                &QScrollBar::setValue);
        connect(one->horizontalScrollBar(), &QScrollBar::valueChanged, other->horizontalScrollBar(),
                &QScrollBar::setValue);
    }
}

void TextPair::setRows(const std::vector<Differences::Row>& rows, bool cut) {
    rows_ = rows;
    QStringList left;
    QStringList right;
    for (const auto& one : rows) {
        left << one.left;
        right << one.right;
    }
    if (cut) {
        left << tr("… only the beginning was compared");
        right << QString();
    }
    left_->setPlainText(left.join(QLatin1Char('\n')));
    right_->setPlainText(right.join(QLatin1Char('\n')));
    mark();
    left_->moveCursor(QTextCursor::Start);
    // once both are laid out, so that they scroll to the same place
    if (!rows_.empty() && rows_.front().how == Differences::How::same)
        QTimer::singleShot(0, this, &TextPair::goToNextDifference);
}

void TextPair::goToNextDifference() {
    const int from = left_->textCursor().blockNumber();
    const int count = static_cast<int>(rows_.size());
    for (int step = 1; step <= count; ++step) {
        const int at = (from + step) % count;
        const bool begins = at == 0 || rows_[static_cast<std::size_t>(at) - 1].how == Differences::How::same;
        if (rows_[static_cast<std::size_t>(at)].how == Differences::How::same || !begins) continue;
        left_->setTextCursor(QTextCursor(left_->document()->findBlockByNumber(at)));
        left_->centerCursor();
        right_->verticalScrollBar()->setValue(left_->verticalScrollBar()->value());
        return;
    }
}

void TextPair::mark() {
    const Theme& theme = Theme::current();
    for (QPlainTextEdit* pane : {left_, right_}) {
        QList<QTextEdit::ExtraSelection> marks;
        for (std::size_t at = 0; at < rows_.size(); ++at) {
            const auto how = rows_[at].how;
            if (how == Differences::How::same) continue;
            const bool missing =
                how == (pane == left_ ? Differences::How::only_right : Differences::How::only_left);
            QTextEdit::ExtraSelection line;
            line.format.setBackground(missing ? theme.ground : theme.amber_wash);
            line.format.setProperty(QTextFormat::FullWidthSelection, true);
            line.cursor = QTextCursor(pane->document()->findBlockByNumber(static_cast<int>(at)));
            marks << line;
        }
        pane->setExtraSelections(marks);
    }
}

void TextPair::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange) mark();  // whose colours are the theme's
    QWidget::changeEvent(event);
}
