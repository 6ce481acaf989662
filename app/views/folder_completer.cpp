#include "views/folder_completer.h"

#include <QCompleter>
#include <QDir>
#include <QLineEdit>
#include <algorithm>

#include "files/file_system.h"
#include "files/natural.h"
#include "files/own.h"
#include "files/path.h"
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
        const auto disk = make_disk();
        const std::string folder = inside ? path : std::string(parent_of(path));
        const std::string begin = inside ? std::string() : std::string(name_of(path));
        std::vector<std::string> found;
        bool exists = false;
        if (const auto handle = disk->open_folder(folder)) {
            if (const auto names = disk->list(*handle))
                for (const Name& name : *names) {
                    if (stop.stop_requested()) return;
                    if (name.hint != FileType::folder || is_own(*disk, *handle, name.bytes)) continue;
                    exists |= name.bytes == begin;
                    if (name.bytes.starts_with(begin)) found.push_back(name.bytes);
                }
            exists |= inside;
        }
        std::sort(found.begin(), found.end(), natural_less);
        QStringList list;
        const QString head = inside ? text : text.left(text.lastIndexOf(QLatin1Char('/')) + 1);
        for (const auto& name : found) list << head + shown(name);
        QMetaObject::invokeMethod(
            this,
            [this, text, list, exists] {
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
