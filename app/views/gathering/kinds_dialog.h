// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>

#include "select/kinds.h"
#include "tasks/worker.h"

class QLabel;
class QPlainTextEdit;

/// Which extensions make which kind, as text; kept in kinds_file().
class KindsDialog final : public QDialog {
    Q_OBJECT

public:
    KindsDialog(const tavlo::Kinds& kinds, QWidget* parent);

signals:
    void saved();

private:
    void save();

    QPlainTextEdit* text_;
    QLabel* problem_;
    LatestWorker worker_;
};
