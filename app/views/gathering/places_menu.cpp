// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/places_menu.h"

#include <QDir>
#include <QSettings>
#include <QStandardPaths>
#include <QStorageInfo>

#include "text.h"

namespace {

const auto bookmarks_key = QStringLiteral("bookmarks");
const auto recent_key = QStringLiteral("recentFolders");
constexpr int most_recent = 8;

/// File systems of the machine's own making, where nobody keeps files.
bool is_for_people(const QStorageInfo& volume) {
    static const QList<QByteArray> others{"proc",    "sysfs",    "devtmpfs", "devpts",  "cgroup", "cgroup2",   "securityfs",
                                          "debugfs", "tracefs",  "bpf",      "pstore",  "mqueue", "hugetlbfs", "configfs",
                                          "fusectl", "efivarfs", "squashfs", "overlay", "autofs", "ramfs"};
    const QString root = volume.rootPath();
    if (root.startsWith(QStringLiteral("/run/")) && !root.startsWith(QStringLiteral("/run/media/"))) return false;
    for (const char* system : {"/dev", "/proc", "/sys", "/etc/"})
        if (root.startsWith(QLatin1String(system))) return false;
    return volume.isValid() && volume.isReady() && volume.bytesTotal() > 0 && !others.contains(volume.fileSystemType());
}

}  // namespace

void remember_folder(const std::string& path) {
    const QString text = shown(path);
    if (to_bytes(text) != path) return;  // settings hold text, which not every path is
    QSettings settings;
    QStringList recent = settings.value(recent_key).toStringList();
    recent.removeAll(text);
    recent.prepend(text);
    settings.setValue(recent_key, recent.mid(0, most_recent));
}

PlacesMenu::PlacesMenu(const std::string& here, const std::string& destination, QWidget* parent) : QMenu(parent) {
    const auto standard = [](QStandardPaths::StandardLocation place) { return QStandardPaths::writableLocation(place); };
    add(tr("Home"), QDir::homePath());
    add(tr("Desktop"), standard(QStandardPaths::DesktopLocation));
    add(tr("Documents"), standard(QStandardPaths::DocumentsLocation));
    add(tr("Downloads"), standard(QStandardPaths::DownloadLocation));
    add(tr("Pictures"), standard(QStandardPaths::PicturesLocation));
    add(tr("Music"), standard(QStandardPaths::MusicLocation));
    add(tr("Videos"), standard(QStandardPaths::MoviesLocation));
    if (!destination.empty()) add(tr("Destination: %1").arg(short_path(destination)), shown(destination));
    addSection(tr("Volumes"));
    volumes_ = addAction(tr("looking…"));
    volumes_->setEnabled(false);

    QSettings settings;
    const QStringList bookmarks = settings.value(bookmarks_key).toStringList();
    addSection(tr("Bookmarks"));
    for (const QString& path : bookmarks) add(path, path);
    const QString now = shown(here);
    const bool known = bookmarks.contains(now);
    addAction(known ? tr("Take this folder out of the bookmarks") : tr("Bookmark this folder"), this, [now, known, bookmarks] {
        QStringList list = bookmarks;
        known ? static_cast<void>(list.removeAll(now)) : list.append(now);
        QSettings().setValue(bookmarks_key, list);
    });
    const QStringList recent = settings.value(recent_key).toStringList();
    addSection(tr("Recent folders"));
    for (const QString& path : recent)
        if (path != now) add(short_path(to_bytes(path), 4), path);

    const auto find_volumes = [](const std::stop_token&) {  // a volume may be slow to answer, or never do
        QList<std::pair<QString, QString>> found;
        for (const QStorageInfo& volume : QStorageInfo::mountedVolumes()) {
            if (!is_for_people(volume)) continue;
            const QString name = volume.isRoot() ? tr("File system") : volume.displayName();
            found.append({tr("%1 · %2 free of %3")
                              .arg(name, size_text(static_cast<std::uint64_t>(volume.bytesAvailable())),
                                   size_text(static_cast<std::uint64_t>(volume.bytesTotal()))),
                          volume.rootPath()});
        }
        return found;
    };
    worker_.ask(this, find_volumes, [this](const QList<std::pair<QString, QString>>& found) {
        for (const auto& [words, path] : found) add(words, path, volumes_);
        removeAction(volumes_);
    });
}

void PlacesMenu::add(const QString& words, const QString& path, QAction* before) {
    if (path.isEmpty()) return;
    auto* action = new QAction(QString(words).replace(QLatin1Char('&'), QStringLiteral("&&")), this);
    action->setToolTip(path);
    connect(action, &QAction::triggered, this, [this, path] { emit chosen(to_bytes(path)); });
    before != nullptr ? insertAction(before, action) : addAction(action);
}
