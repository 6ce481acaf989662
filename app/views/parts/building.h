// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QWidget>
#include <initializer_list>

#include "theme/theme.h"

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
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    return column;
}

/// Things beside one another, as far from the edges of their part as the headings and feet of all pages are.
/// left  by default as far as the text of lists
inline QHBoxLayout* inset_row(int spacing = 8, int left = 14) {
    auto* row = new QHBoxLayout;
    row->setContentsMargins(left, 9, 14, 8);
    row->setSpacing(spacing);
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

/// Without marking the text up, which would be laid out as a document.
inline void make_bold(QWidget& widget) {
    QFont bold = widget.font();
    bold.setWeight(QFont::DemiBold);
    widget.setFont(bold);
}

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
