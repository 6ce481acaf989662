// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/member_copies.h"

#include <QDir>
#include <QFile>
#include <QStandardPaths>
#include <algorithm>
#include <span>

#include "archive/archive_files.h"
#include "archive/format.h"
#include "archive/members.h"
#include "files/path.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr std::uint64_t most_bytes = std::uint64_t{64} << 20;
constexpr std::size_t piece_bytes = std::size_t{1} << 20;

/// By the names of the folders above it: it is seen whether it does once they are opened.
bool may_lie_in_archive(std::string_view path) {
    for (path = parent_of(path); path.size() > 1; path = parent_of(path))
        if (looks_like_archive(name_of(path))) return true;
    return false;
}

/// returns  whether all of it is in `copy`
bool copied(FileSystem& disk, const std::string& path, QFile& copy, const std::stop_token& stop) {
    const auto folder = disk.open_folder(std::string(parent_of(path)));
    const auto file = folder ? disk.open_file(*folder, std::string(name_of(path)))
                             : Result<OpenedFile>(failure(folder.error()));
    if (!file || !is_packed(file->status.id) || file->status.id.size_bytes > most_bytes ||
        !copy.open(QIODevice::WriteOnly))
        return false;
    std::vector<std::byte> piece(piece_bytes);
    for (std::uint64_t at = 0; at < file->status.id.size_bytes && !stop.stop_requested();) {
        const auto got = disk.read_at(file->file, at, piece);
        if (!got || *got == 0) return false;
        if (copy.write(reinterpret_cast<const char*>(piece.data()), static_cast<qint64>(*got)) !=
            static_cast<qint64>(*got))
            return false;
        at += *got;
    }
    return !stop.stop_requested();
}

}  // namespace

void MemberCopies::want(QObject* who, const Paths& paths, std::function<void(const Paths&)> then) {
    if (std::none_of(paths.begin(), paths.end(), may_lie_in_archive)) {
        if (worker_)
            worker_->post([](const std::stop_token&) {});  // what was wanted before is wanted no more
        return then(paths);
    }
    if (!worker_) worker_ = std::make_unique<LatestWorker>();
    const QString runtime = QStandardPaths::writableLocation(QStandardPaths::RuntimeLocation);
    copies_ = std::make_shared<QTemporaryDir>(
        QDir(runtime.isEmpty() ? QDir::tempPath() : runtime).filePath(QStringLiteral("tavlo-XXXXXX")));
    worker_->ask(
        who,
        [paths, copies = copies_](const std::stop_token& stop) {
            const auto disk = make_disk_with_archives();
            Paths found = paths;
            int number = 0;
            for (auto& path : found) {
                if (!may_lie_in_archive(path)) continue;
                const QString folder =
                    copies->filePath(QString::number(number++));  // two of one name do not meet
                QFile copy(QDir(folder).filePath(shown(name_of(path))));
                if (copies->isValid() && QDir().mkpath(folder) && copied(*disk, path, copy, stop))
                    path = to_bytes(copy.fileName());
            }
            return found;
        },
        [then = std::move(then)](const Paths& found) { then(found); });
}
