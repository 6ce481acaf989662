// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QCache>
#include <QObject>
#include <QPixmap>
#include <QProcess>
#include <QTimer>
#include <deque>
#include <functional>
#include <memory>
#include <string>
#include <vector>

#include "tasks/thumbnail_cache.h"
#include "tasks/worker.h"

/// One tavlo-look that makes small pictures, one file after the other. A file that brings it down, or keeps
/// it too busy, has none; the next file has a new one.
class ThumbnailMaker final : public QObject {
    Q_OBJECT

public:
    /// failed  it came to no answer; else a null picture says that there is nothing to be seen of it
    using Made = std::function<void(QImage picture, bool failed)>;
    explicit ThumbnailMaker(int side, QObject* parent = nullptr);
    ~ThumbnailMaker() override;
    bool isBusy() const { return made_ != nullptr; }
    void make(const std::string& path, Made made);

private:
    void takeAnswer();
    void end(bool failed);

    const int side_;
    std::unique_ptr<QProcess> process_;
    QTimer limit_;
    Made made_;
};

/// Small pictures for what is on view: from memory, else as the desktop has kept them, else made, the newest
/// wishes first.
class Thumbnails final : public QObject {
    Q_OBJECT

public:
    Thumbnails(ThumbnailCache kept, ThumbnailCache::Size size, QObject* parent = nullptr);
    ~Thumbnails() override;
    /// Of files on view, in this order; earlier wishes that are not among them are forgotten.
    void wish(std::vector<ThumbnailCache::Of> files);
    /// What is at hand by now; null: not yet, or there is none.
    const QPixmap* of(const ThumbnailCache::Of& file) const;
    /// Nothing is being looked for or made.
    bool isDone() const;

signals:
    void changed();

private:
    static QByteArray key(const ThumbnailCache::Of& file);
    void take(const ThumbnailCache::Of& file, const QImage& picture);
    void makeNext();

    ThumbnailCache kept_;
    ThumbnailCache::Size size_;
    QCache<QByteArray, QPixmap> known_;  ///< a null one: there is nothing to be seen
    std::vector<ThumbnailCache::Of> wished_;
    std::deque<ThumbnailCache::Of> to_make_;
    bool looking_ = false;
    std::vector<std::unique_ptr<ThumbnailMaker>> makers_;
    LatestWorker looker_;
    EachWorker keeper_;
};
