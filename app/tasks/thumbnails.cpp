// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/thumbnails.h"

#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>

#include "tasks/looker_process.h"

using namespace std::chrono_literals;

namespace {

constexpr auto longest = 6s;
constexpr int most_known = 64 << 20;  // bytes of pictures in memory
constexpr std::size_t most_makers = 2;

int bytes_of(const QImage& picture) { return std::max(64, static_cast<int>(picture.sizeInBytes())); }

}  // namespace

ThumbnailMaker::ThumbnailMaker(int side, QObject* parent) : QObject(parent), side_(side) {
    limit_.setSingleShot(true);
    limit_.setInterval(longest);
    connect(&limit_, &QTimer::timeout, this, [this] { end(true); });
}

ThumbnailMaker::~ThumbnailMaker() {
    if (process_) end_without_waiting(std::move(process_), *this);
}

void ThumbnailMaker::make(const std::string& path, Made made) {
    made_ = std::move(made);
    if (!process_) {
        process_ = look_process();
        connect(process_.get(), &QProcess::readyReadStandardOutput, this, &ThumbnailMaker::takeAnswer);
        connect(process_.get(), &QProcess::finished, this, [this] { end(true); });
        connect(process_.get(), &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
            end(error != QProcess::FailedToStart);  // which says nothing about the file
        });
        process_->start(look_program(), {QStringLiteral("--small"), QString::number(side_)});
    }
    process_->write(path.c_str(), static_cast<qint64>(path.size()) + 1);  // with the zero byte that ends it
    limit_.start();
}

void ThumbnailMaker::takeAnswer() {
    if (!process_->canReadLine()) return;
    const QJsonObject seen = QJsonDocument::fromJson(process_->readLine()).object();
    QImage picture;
    picture.loadFromData(QByteArray::fromBase64(seen[QStringLiteral("picture")].toString().toLatin1()),
                         "PNG");
    limit_.stop();
    if (const auto made = std::exchange(made_, nullptr)) made(picture, false);
}

void ThumbnailMaker::end(bool failed) {
    limit_.stop();
    if (process_) end_without_waiting(std::move(process_), *this);
    if (const auto made = std::exchange(made_, nullptr)) made({}, failed);
}

Thumbnails::Thumbnails(ThumbnailCache kept, ThumbnailCache::Size size, QObject* parent)
    : QObject(parent), kept_(std::move(kept)), size_(size), known_(most_known) {}

Thumbnails::~Thumbnails() = default;

QByteArray Thumbnails::key(const ThumbnailCache::Of& file) {
    return QByteArray::number(static_cast<qlonglong>(file.modified_ns)) + '\n' +
           QByteArray::fromStdString(file.path);
}

const QPixmap* Thumbnails::of(const ThumbnailCache::Of& file) const {
    const QPixmap* pixmap = known_.object(key(file));
    return pixmap == nullptr || pixmap->isNull() ? nullptr : pixmap;
}

bool Thumbnails::isDone() const {
    return !looking_ && to_make_.empty() &&
           std::none_of(makers_.begin(), makers_.end(), [](const auto& one) { return one->isBusy(); });
}

void Thumbnails::wish(std::vector<ThumbnailCache::Of> files) {
    if (files == wished_) return;
    wished_ = files;
    std::erase_if(files, [this](const auto& file) { return known_.contains(key(file)); });
    to_make_.clear();
    looking_ = !files.empty();
    if (!looking_) return;
    struct Found {
        std::vector<std::pair<ThumbnailCache::Of, QImage>> pictures;  ///< null: it was tried, and failed
        std::deque<ThumbnailCache::Of> missing;
    };
    const auto find = [files = std::move(files), kept = kept_, size = size_](const std::stop_token& stop) {
        Found found;
        for (const auto& file : files) {
            if (stop.stop_requested()) break;
            QImage picture = kept.find(file, size);
            if (picture.isNull() && !kept.hasFailed(file))
                found.missing.push_back(file);
            else
                found.pictures.emplace_back(file, std::move(picture));
        }
        return found;
    };
    looker_.ask(this, find, [this](Found found) {
        looking_ = false;
        for (const auto& [file, picture] : found.pictures) take(file, picture);
        to_make_ = std::move(found.missing);
        makeNext();
        emit changed();
    });
}

void Thumbnails::take(const ThumbnailCache::Of& file, const QImage& picture) {
    known_.insert(key(file), new QPixmap(QPixmap::fromImage(picture)), bytes_of(picture));
}

void Thumbnails::makeNext() {
    for (std::size_t at = 0; at < most_makers && !to_make_.empty(); ++at) {
        if (at == makers_.size())
            makers_.push_back(std::make_unique<ThumbnailMaker>(ThumbnailCache::pixels(size_)));
        if (makers_[at]->isBusy()) continue;
        const ThumbnailCache::Of file = to_make_.front();
        to_make_.pop_front();
        makers_[at]->make(file.path, [this, file](const QImage& picture, bool failed) {
            take(file, picture);
            if (failed || !picture.isNull())  // what simply is no picture is nobody else's concern
                keeper_.post([kept = kept_, size = size_, file, picture](const std::stop_token&) {
                    picture.isNull() ? kept.keepFailure(file) : kept.keep(file, size, picture);
                });
            emit changed();
            later(this, [this] { makeNext(); });
        });
    }
}
