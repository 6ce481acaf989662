// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QStringListModel>
#include <functional>
#include <string>

#include "tasks/begun_folders.h"
#include "tasks/worker.h"

class QCompleter;
class QLineEdit;

/// Offers, while a path is typed into a line, the folders that begin so; read on another thread.
class FolderCompleter final : public QObject {
    Q_OBJECT

public:
    /// path_of   what the text of the line means: an absolute path, or "" for none
    FolderCompleter(QLineEdit& line, std::function<std::string()> path_of);

    /// Tells of the folder that stands in the line, and offers nothing.
    void look() { ask(line_.text(), false); }

signals:
    void looked(const BegunFolders& found);  ///< what there is of the folder typed so far

private:
    void ask(const QString& text, bool offers);

    QLineEdit& line_;
    std::function<std::string()> path_of_;
    QStringListModel folders_;
    QCompleter* completer_;
    LatestWorker worker_;
};

/// What a person typed as a path: "~" is home, a relative one begins at `base`. "" stays "".
std::string typed_path(const QString& text, const std::string& base);
