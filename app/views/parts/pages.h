// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QStackedWidget>

/// Pages, one of them on view, in all the room that there is. They do not say how high they would be at a
/// width: whenever a text of the window changed, the words of each page would be measured anew for that.
class Pages final : public QStackedWidget {
    Q_OBJECT

public:
    using QStackedWidget::QStackedWidget;
    bool hasHeightForWidth() const override { return false; }
};
