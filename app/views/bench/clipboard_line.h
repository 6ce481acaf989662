// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>

#include "tasks/file_clips.h"
#include "tasks/worker.h"

class QLabel;
class QPushButton;

/// What the clipboard holds, from where, since when, and whether it was cut or copied: on view before it is
/// pasted. Nothing while it holds no files.
class ClipboardLine final : public QWidget {
    Q_OBJECT

public:
    explicit ClipboardLine(QWidget* parent = nullptr);
    const FileClip& clip() const { return clip_; }

signals:
    void pasteRequested(bool move);

private:
    void look();
    void refresh(std::size_t missing);

    FileClip clip_;
    QString since_;
    QLabel* words_;
    QPushButton* copy_;
    QPushButton* move_;
    LatestWorker worker_;
};
