// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSplitter>
#include <QWidget>
#include <initializer_list>

#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"

// What pages are put together from, each named for its style and for whoever looks for it.

/// A part of a page with a ground of its own in the style sheet.
inline QWidget* ground(const char* name) {
    auto* widget = new QWidget;
    widget->setObjectName(QLatin1String(name));
    widget->setAttribute(Qt::WA_StyledBackground);
    return widget;
}

/// Parts below one another, edge to edge.
inline QVBoxLayout* column_on(QWidget* widget) {
    auto* column = new QVBoxLayout(widget);
    space_out(column, Inset::none, Gap::none);
    return column;
}

/// Things beside one another, as far from the edges of their part as the headings and feet of all pages are.
inline QHBoxLayout* inset_row(const QMargins& inset = Inset::panel) {
    auto* row = new QHBoxLayout;
    space_out(row, inset, Gap::beside);
    return row;
}

inline QPushButton* named_button(const char* name, const QString& words = {}, const QString& tip = {}) {
    auto* button = new QPushButton(words);
    button->setObjectName(QLatin1String(name));
    button->setToolTip(tip);
    return button;
}

inline QLabel* named_label(const char* name, const char* tone = "", const QString& words = {}) {
    auto* label = new QLabel(words);
    label->setObjectName(QLatin1String(name));
    label->setWordWrap(true);
    set_tone(*label, tone);
    return label;
}

struct SplitPart {
    QWidget* widget;
    int pixels;          ///< as it begins
    bool grows = false;  ///< takes what more there is
};

/// Parts side by side, or above one another, with a border that can be moved. They are read out as they stand: a
/// splitter puts each new one below those it has, and so turns them round.
inline QSplitter* split(Qt::Orientation along, std::initializer_list<SplitPart> parts) {
    auto* splitter = new QSplitter(along);
    splitter->setHandleWidth(1);
    splitter->setChildrenCollapsible(false);
    QList<int> sizes;
    for (const SplitPart& part : parts) {
        splitter->addWidget(part.widget);
        splitter->setStretchFactor(splitter->count() - 1, part.grows ? 1 : 0);
        sizes << part.pixels;
    }
    splitter->setSizes(sizes);
    for (int at = 0; at < splitter->count(); ++at) splitter->widget(at)->raise();
    for (int at = 0; at < splitter->count(); ++at) splitter->handle(at)->raise();  // which reaches over them
    return splitter;
}

/// Without marking the text up, which would be laid out as a document.
inline void make_bold(QWidget& widget) { widget.setFont(strong_font(widget.font())); }

/// A line that narrows a list down.
inline QLineEdit* narrowing_line(const char* name, const QString& accessible_name,
                                 const QString& placeholder) {
    auto* line = new QLineEdit;
    line->setObjectName(QLatin1String(name));
    line->setAccessibleName(accessible_name);
    line->setPlaceholderText(placeholder);
    line->setClearButtonEnabled(true);
    return line;
}
