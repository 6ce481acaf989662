#pragma once

#include <QDialog>
#include <string>

#include "select/walk.h"
#include "tasks/worker.h"

class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;

/// A folder in figures: number, size, newest, largest things below it, empty folders, and folders over a size; what is listed
/// can be picked.
class FactsDialog final : public QDialog {
    Q_OBJECT

public:
    FactsDialog(const std::string& folder, QWidget* parent);

signals:
    void pickRequested(const std::vector<std::string>& paths);
    void folderRequested(const std::string& path);

private:
    void measure();
    void show_(const tavlo::FolderFacts& facts, bool last);

    std::string folder_;
    QLabel* figures_;
    QLineEdit* size_;
    QListWidget* list_;
    QPushButton* pick_;
    LatestWorker worker_;
};
