// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/folder_completer.h"

#include <QAbstractItemView>
#include <QCompleter>
#include <QDir>
#include <QLineEdit>

#include "files/path.h"
#include "tasks/begun_folders.h"
#include "text.h"

using namespace tavlo;

FolderCompleter::FolderCompleter(QLineEdit& line, std::function<std::string()> path_of)
    : QObject(&line), line_(line), path_of_(std::move(path_of)), completer_(new QCompleter(&folders_, this)) {
    completer_->setCompletionMode(QCompleter::PopupCompletion);
    completer_->popup()->setObjectName(QStringLiteral("completions"));  // the style sheet has a ground for it
    completer_->setCaseSensitivity(Qt::CaseSensitive);
    line_.setCompleter(completer_);
    connect(&line_, &QLineEdit::textEdited, this, [this](const QString& text) { ask(text, true); });
}

void FolderCompleter::ask(const QString& text, bool offers) {
    const std::string path = path_of_();
    const bool inside = text.endsWith(QLatin1Char('/'));
    worker_.ask(
        this, [path, inside](const std::stop_token& stop) { return begun_folders(path, inside, stop); },
        [this, text, inside, offers](const BegunFolders& found) {
            if (line_.text() != text) return;
            QStringList list;
            const QString head = inside ? text : text.left(text.lastIndexOf(QLatin1Char('/')) + 1);
            for (const auto& name : found.names) list << head + shown(name);
            folders_.setStringList(list);
            emit looked(found);
            if (!offers) return;
            if (line_.isVisible() && line_.hasFocus() && !list.isEmpty()) completer_->complete();
        });
}

std::string typed_path(const QString& text, const std::string& base) {
    const QString path = text.trimmed();
    if (path.isEmpty()) return {};
    if (path == QStringLiteral("~") || path.startsWith(QStringLiteral("~/")))
        return normalised(to_bytes(QDir::homePath() + path.mid(1)), "/");
    return normalised(to_bytes(path), base);
}
