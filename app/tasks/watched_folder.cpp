// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/watched_folder.h"

using namespace tavlo;

namespace {
constexpr int settle_ms = 300;
}

WatchedFolder::WatchedFolder(QObject* parent) : QObject(parent) {
    settle_.setSingleShot(true);
    settle_.setInterval(settle_ms);
    connect(&settle_, &QTimer::timeout, this, &WatchedFolder::changed);
}

void WatchedFolder::watch(const std::string& path, const std::vector<std::string>& more) {
    if (path == path_ && more == more_ && (path.empty() || watch_)) return;
    more_ = more;
    if (path !=
        path_) {  // the same folder is watched on until the new watch stands, so that nothing is missed
        notifier_.reset();
        watch_.reset();
    }
    path_ = path;
    if (path.empty()) return;
    worker_.post([this, path, more](const std::stop_token&) {
        auto opened = FolderWatch::on(path);
        if (!opened) return;
        for (const auto& one : more)
            if (!opened->add(one))
                break;  // more than the system lets us watch: the others are read again by hand
        later(this, [this, path, more, watch = std::make_shared<FolderWatch>(std::move(*opened))] {
            if (path == path_ && more == more_) take(watch);
        });
    });
}

void WatchedFolder::take(std::shared_ptr<FolderWatch> watch) {
    if (watch_ && watch_->drain() && !settle_.isActive()) settle_.start();
    notifier_.reset();
    watch_ = std::move(watch);
    notifier_ = std::make_unique<QSocketNotifier>(watch_->descriptor(), QSocketNotifier::Read);
    connect(notifier_.get(), &QSocketNotifier::activated, this, [this] {
        if (watch_->drain() && !settle_.isActive()) settle_.start();
    });
}
