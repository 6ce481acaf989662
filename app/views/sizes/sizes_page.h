// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <memory>
#include <string>
#include <vector>

#include "select/weigh.h"
#include "tasks/watched_folder.h"
#include "tasks/worker.h"

class QButtonGroup;
class ElidedLabel;
class QLabel;
class QLineEdit;
class QPushButton;
class QTreeView;
class SizesModel;

/// What stands out below a folder: sizes as bars, folders that open, the largest files, empty folders,
/// folders over a size. What is found goes into the batch. It follows the disk.
class SizesPage final : public QWidget {
    Q_OBJECT

public:
    explicit SizesPage(QWidget* parent = nullptr);
    /// Weighs a folder, and shows it; the same one is weighed again only where it has changed.
    void weigh(const std::string& folder);
    const std::string& folder() const { return folder_; }
    SizesModel& model() const { return *model_; }
    bool isWeighing() const { return weighing_; }

signals:
    void pickRequested(const std::vector<std::string>& paths);
    void removeRequested(const std::vector<std::string>& paths);  ///< they are picked, to be removed
    void folderRequested(const std::string& folder);              ///< to be looked at on the gathering side
    void weighed();

private:
    void buildHead(class QVBoxLayout& column);
    void buildFoot(class QVBoxLayout& column);
    void work();
    void take(std::shared_ptr<const tavlo::Weighed> weighed);
    void choose();
    void watch();
    void refreshWords();
    std::vector<std::string> selectedPaths() const;
    std::vector<std::string> openFolders() const;

    std::string folder_;
    bool weighing_ = false;
    QString problem_;
    SizesModel* model_;
    QTreeView* tree_;
    ElidedLabel* title_;
    QLabel* figures_;
    QLabel* empty_;
    QButtonGroup* shows_;
    QLineEdit* over_;
    QPushButton* up_;
    QPushButton* pick_;
    QPushButton* remove_;
    QLabel* chosen_;
    WatchedFolder watched_;
    LatestWorker worker_;
};
