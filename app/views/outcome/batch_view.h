// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>

#include "tasks/worker.h"

class BatchModel;
class Bench;
class QLabel;
class QPushButton;
class RowView;

/// What is in hand, as a list: sorted, looked through, taken out of, written to a file and read again.
class BatchView final : public QWidget {
    Q_OBJECT

public:
    explicit BatchView(Bench& bench, QWidget* parent = nullptr);

signals:
    void said(const QString& words);
    void folderRequested(const std::string& path);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void refresh();
    std::vector<std::string> selectedPaths() const;
    void takeOut();
    void exportTo();
    void load();

    Bench& bench_;
    BatchModel* model_;
    RowView* list_;
    QLabel* totals_;
    QLabel* empty_;
    QPushButton* take_out_;
    QPushButton* export_;
    QPushButton* clear_;
    EachWorker worker_;
};
