#include "views/folder_completer.h"

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
    completer_->setCaseSensitivity(Qt::CaseSensitive);
    line_.setCompleter(completer_);
    connect(&line_, &QLineEdit::textEdited, this, &FolderCompleter::complete);
}

void FolderCompleter::complete(const QString& text) {
    const std::string path = path_of_();
    const bool inside = text.endsWith(QLatin1Char('/'));
    worker_.post([this, text, path, inside](const std::stop_token& stop) {
        const BegunFolders found = begun_folders(path, inside, stop);
        if (stop.stop_requested()) return;
        QStringList list;
        const QString head = inside ? text : text.left(text.lastIndexOf(QLatin1Char('/')) + 1);
        for (const auto& name : found.names) list << head + shown(name);
        QMetaObject::invokeMethod(
            this,
            [this, text, list, exists = found.exists] {
                if (line_.text() != text) return;
                folders_.setStringList(list);
                emit looked(exists);
                if (line_.isVisible() && line_.hasFocus() && !list.isEmpty()) completer_->complete();
            },
            Qt::QueuedConnection);
    });
}

std::string typed_path(const QString& text, const std::string& base) {
    const QString path = text.trimmed();
    if (path.isEmpty()) return {};
    if (path == QStringLiteral("~") || path.startsWith(QStringLiteral("~/")))
        return normalised(to_bytes(QDir::homePath() + path.mid(1)), "/");
    return normalised(to_bytes(path), base);
}
