// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>

#include "tasks/looker_process.h"

class QPlainTextEdit;

/// Two texts side by side, line beside line, with those that differ set off; they scroll together.
class TextPair final : public QWidget {
    Q_OBJECT

public:
    explicit TextPair(QWidget* parent = nullptr);
    void setRows(const std::vector<Differences::Row>& rows, bool cut);
    /// To the next line that differs, from the top again.
    void goToNextDifference();

protected:
    void changeEvent(QEvent* event) override;

private:
    void mark();

    std::vector<Differences::Row> rows_;
    QPlainTextEdit* left_;
    QPlainTextEdit* right_;
};
