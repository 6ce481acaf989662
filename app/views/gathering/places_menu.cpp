// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/places_menu.h"

#include <QDir>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>
#include <QStorageInfo>

#include "tasks/desktop_bookmarks.h"
#include "text.h"

namespace {

const auto own_bookmarks_key = QStringLiteral("bookmarks");
const auto recent_key = QStringLiteral("recentFolders");
constexpr int most_recent = 8;

/// File systems of the machine's own making, where nobody keeps files.
bool is_for_people(const QStorageInfo& volume) {
    static const QList<QByteArray> others{"proc",     "sysfs",      "devtmpfs",  "devpts",   "cgroup",
                                          "cgroup2",  "securityfs", "debugfs",   "tracefs",  "bpf",
                                          "pstore",   "mqueue",     "hugetlbfs", "configfs", "fusectl",
                                          "efivarfs", "squashfs",   "overlay",   "autofs",   "ramfs"};
    const QString root = volume.rootPath();
    if (root.startsWith(QStringLiteral("/run/")) && !root.startsWith(QStringLiteral("/run/media/")))
        return false;
    for (const char* system : {"/dev", "/proc", "/sys", "/etc/"})
        if (root.startsWith(QLatin1String(system))) return false;
    return volume.isValid() && volume.isReady() && volume.bytesTotal() > 0 &&
           !others.contains(volume.fileSystemType());
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

PlacesMenu::PlacesMenu(const std::string& here, const std::string& destination, QWidget* parent)
    : QMenu(parent), here_(here) {
    add(tr("Home"), to_bytes(QDir::homePath()));
    if (!destination.empty()) add(tr("Destination: %1").arg(short_path(destination)), destination);
    below_home_ = addSection(tr("Volumes"));
    looking_ = addAction(tr("looking…"));
    looking_->setEnabled(false);
    below_volumes_ = addSection(tr("Bookmarks"));
    below_bookmarks_ = addSection(tr("Recent folders"));
    for (const QString& path : QSettings().value(recent_key).toStringList())
        if (to_bytes(path) != here_) add(short_path(to_bytes(path), 4), to_bytes(path));
    // those that Tavlo kept by itself before go to the others
    const auto find = [own = QSettings().value(own_bookmarks_key).toStringList()](const std::stop_token&) {
        bool moved = true;
        for (const QString& path : own) moved = keep_bookmark(to_bytes(path), true) && moved;
        Found found = find_places();
        found.own_moved = moved && !own.isEmpty();
        return found;
    };
    worker_.ask(this, find, [this](const Found& found) {
        if (found.own_moved) QSettings().remove(own_bookmarks_key);
        show_(found);
    });
}

/// What must be asked of a disk, which may be slow to answer, or never do.
PlacesMenu::Found PlacesMenu::find_places() {
    Found found;
    const auto own = [&](const QString& words, QStandardPaths::StandardLocation place) {
        const QString path = QStandardPaths::writableLocation(place);
        if (path != QDir::homePath() && QFileInfo(path).isDir()) found.own.push_back({words, to_bytes(path)});
    };
    own(tr("Desktop"), QStandardPaths::DesktopLocation);
    own(tr("Documents"), QStandardPaths::DocumentsLocation);
    own(tr("Downloads"), QStandardPaths::DownloadLocation);
    own(tr("Pictures"), QStandardPaths::PicturesLocation);
    own(tr("Music"), QStandardPaths::MusicLocation);
    own(tr("Videos"), QStandardPaths::MoviesLocation);
    for (const Bookmark& one : desktop_bookmarks())
        found.bookmarks.push_back({one.name.isEmpty() ? short_path(one.path) : one.name, one.path});
    for (const QStorageInfo& volume : QStorageInfo::mountedVolumes()) {
        if (!is_for_people(volume)) continue;
        const QString name = volume.isRoot() ? tr("File system") : volume.displayName();
        found.volumes.push_back(
            {tr("%1 · %2 free of %3")
                 .arg(name, size_text(static_cast<std::uint64_t>(volume.bytesAvailable())),
                      size_text(static_cast<std::uint64_t>(volume.bytesTotal()))),
             to_bytes(volume.rootPath())});
    }
    return found;
}

void PlacesMenu::show_(const Found& found) {
    for (const auto& [words, path] : found.own) add(words, path, below_home_);
    for (const auto& [words, path] : found.volumes) add(words, path, below_volumes_);
    removeAction(looking_);
    bool known = false;
    for (const auto& [words, path] : found.bookmarks) {
        add(words, path, below_bookmarks_);
        known = known || path == here_;
    }
    auto* keep =
        new QAction(known ? tr("Take this folder out of the bookmarks") : tr("Bookmark this folder"), this);
    insertAction(below_bookmarks_, keep);
    connect(keep, &QAction::triggered, this, [this, known] { emit bookmarkRequested(here_, !known); });
}

void PlacesMenu::add(const QString& words, const std::string& path, QAction* before) {
    auto* action = new QAction(QString(words).replace(QLatin1Char('&'), QStringLiteral("&&")), this);
    action->setToolTip(shown(path));
    connect(action, &QAction::triggered, this, [this, path] { emit chosen(path); });
    before != nullptr ? insertAction(before, action) : addAction(action);
}
