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

void WatchedFolder::watch(const std::string& path) {
    if (path == path_ && (path.empty() || watch_)) return;
    path_ = path;
    notifier_.reset();
    watch_.reset();
    if (path.empty()) return;
    worker_.post([this, path](const std::stop_token&) {
        auto opened = FolderWatch::on(path);
        if (!opened) return;
        QMetaObject::invokeMethod(
            this,
            [this, path, watch = std::make_shared<FolderWatch>(std::move(*opened))] {
                if (path == path_) take(watch);
            },
            Qt::QueuedConnection);
    });
}

void WatchedFolder::take(std::shared_ptr<FolderWatch> watch) {
    watch_ = std::move(watch);
    notifier_ = std::make_unique<QSocketNotifier>(watch_->descriptor(), QSocketNotifier::Read);
    connect(notifier_.get(), &QSocketNotifier::activated, this, [this] {
        if (watch_->drain() && !settle_.isActive()) settle_.start();
    });
}
