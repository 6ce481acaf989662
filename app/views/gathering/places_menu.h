// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QMenu>
#include <string>
#include <utility>
#include <vector>

#include "tasks/worker.h"

/// Places to go to: home and the desktop's own folders, mounted volumes with what they have free, the
/// bookmarks that the desktop's programs share, recent folders.
class PlacesMenu final : public QMenu {
    Q_OBJECT

public:
    PlacesMenu(const std::string& here, const std::string& destination, QWidget* parent);

signals:
    void chosen(const std::string& path);
    void bookmarkRequested(const std::string& path, bool kept);

private:
    using Places = std::vector<std::pair<QString, std::string>>;
    struct Found {
        Places own;  ///< the desktop's own folders of this user, as far as they are there
        Places volumes;
        Places bookmarks;
        bool own_moved = false;  ///< what Tavlo kept by itself is among them now
    };
    static Found find_places();
    void show_(const Found& found);
    void add(const QString& words, const std::string& path, QAction* before = nullptr);

    const std::string here_;
    QAction* looking_;
    QAction* below_home_;
    QAction* below_volumes_;
    QAction* below_bookmarks_;
    LatestWorker worker_;
};

/// The folders shown last, newest first, kept from one start to the next.
void remember_folder(const std::string& path);
