// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QMenu>
#include <string>

#include "tasks/worker.h"

/// Places to go to: home and the desktop's own folders, mounted volumes with what they have free, bookmarks, recent folders.
class PlacesMenu final : public QMenu {
    Q_OBJECT

public:
    PlacesMenu(const std::string& here, const std::string& destination, QWidget* parent);

signals:
    void chosen(const std::string& path);

private:
    void add(const QString& words, const QString& path, QAction* before = nullptr);

    QAction* volumes_;
    LatestWorker worker_;
};

/// The folders shown last, newest first, kept from one start to the next.
void remember_folder(const std::string& path);
