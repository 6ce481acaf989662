// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFrame>
#include <memory>
#include <string>
#include <vector>

#include "select/name_list.h"
#include "tasks/worker.h"

class FolderModel;
class QLabel;
class QPlainTextEdit;
class QPushButton;
class QTableWidget;

/// Picks what a pasted list names: each thing it asks for is found, fits several, or is not found. Nothing is
/// added before it is confirmed.
class ListPanel final : public QFrame {
    Q_OBJECT

public:
    explicit ListPanel(FolderModel& model, QWidget* parent = nullptr);
    /// With what the clipboard holds, where that is text.
    void open();

signals:
    void confirmed(const std::vector<std::pair<std::string, std::string>>& folder_and_name);
    void closed();

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    struct Candidate {
        std::string folder;
        std::string name;
    };
    struct Answer {
        std::vector<tavlo::ListedName> listed;
        std::vector<Candidate> candidates;
    };
    void buildLists(class QVBoxLayout& column);
    void read();
    void show_(std::shared_ptr<const Answer> answer);
    void refreshCount();
    void openFile();
    QString report() const;
    std::vector<std::pair<std::string, std::string>> chosen() const;

    FolderModel& model_;
    QPlainTextEdit* text_;
    QTableWidget* table_;
    QLabel* counts_;
    QPushButton* add_;
    QPushButton* all_;
    std::shared_ptr<const Answer> answer_;
    LatestWorker worker_;
};
