// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QImage>
#include <QString>
#include <cstdint>
#include <optional>
#include <string>

/// The small pictures that the programs of one desktop share, by the Thumbnail Managing Standard of
/// freedesktop.org (0.9.0): PNG files named after the MD5 of the file's address, which carry that address and
/// the file's date, so that an old one is known for what it is. Every call reads or writes a disk.
class ThumbnailCache {
public:
    /// Whose small picture: the whole path, and its date of change as it was before the file was looked at.
    struct Of {
        std::string path;
        std::int64_t modified_ns = 0;
        bool operator==(const Of&) const = default;
    };
    /// As the standard names them: large is of 256 pixels, x_large of 512.
    enum class Size { large, x_large };
    static int pixels(Size size) { return size == Size::large ? 256 : 512; }

    /// folder  "thumbnails" in what the user's programs keep for later ($XDG_CACHE_HOME, else ~/.cache);
    /// empty: nothing is kept
    explicit ThumbnailCache(QString folder) : folder_(std::move(folder)) {}
    static ThumbnailCache ofThisUser();

    /// A picture of this size or a larger one, made of the file as it is; null where there is none.
    QImage find(const Of& file, Size size) const;
    /// Whether Tavlo has tried, and could not make one of the file as it is.
    bool hasFailed(const Of& file) const;
    /// Whole or not at all: others may read it at any time. What cannot be written is not kept, and made
    /// again the next time.
    void keep(const Of& file, Size size, QImage picture) const;
    void keepFailure(const Of& file) const;

private:
    QString nameIn(const QString& room, const Of& file) const;
    void write(const QString& room, const Of& file, QImage picture) const;

    QString folder_;
};

/// A file's address as the standard wants it (RFC 8089): every byte beside letters, digits and what a path
/// may hold is written "%XX".
QByteArray address_of(const std::string& path);
