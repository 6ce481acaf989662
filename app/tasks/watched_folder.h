// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QSocketNotifier>
#include <QTimer>
#include <memory>
#include <string>
#include <vector>

#include "files/folder_watch.h"
#include "tasks/worker.h"

/// Says, a moment after the last of a burst, that something in a folder was changed, by whomever.
class WatchedFolder final : public QObject {
    Q_OBJECT

public:
    explicit WatchedFolder(QObject* parent = nullptr);
    /// Watches another folder, or with "" none, and some more with it. The disk is asked on another thread.
    void watch(const std::string& path, const std::vector<std::string>& more = {});
    /// Takes a watch that was set before the folder was read, so that nothing is missed in between.
    void take(std::shared_ptr<tavlo::FolderWatch> watch);
    bool isWatching() const { return watch_ != nullptr; }

signals:
    void changed();

private:
    std::string path_;
    std::vector<std::string> more_;
    std::shared_ptr<tavlo::FolderWatch> watch_;
    std::unique_ptr<QSocketNotifier> notifier_;
    QTimer settle_;
    LatestWorker worker_;
};
