// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/thumbnail_cache.h"

#include <sys/stat.h>

#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QImageReader>
#include <QSaveFile>
#include <QStandardPaths>
#include <cerrno>

namespace {

const auto address_key = QStringLiteral("Thumb::URI");
const auto date_key = QStringLiteral("Thumb::MTime");
const auto failures =
    QStringLiteral("fail/tavlo-1");  // a number for what Tavlo can look at: more one day, and it tries again
constexpr int largest = 1024;

QString date_of(const ThumbnailCache::Of& file) { return QString::number(file.modified_ns / 1'000'000'000); }

/// The standard wants them for this user's eyes alone: a picture tells what the file shows.
bool make_private_folder(const QString& path) {
    if (QDir(path).exists()) return true;
    const qsizetype above = path.lastIndexOf(QLatin1Char('/'));
    return above > 0 && make_private_folder(path.left(above)) &&
           (::mkdir(QFile::encodeName(path).constData(), 0700) == 0 || errno == EEXIST);
}

QImage read_kept(const QString& name, const ThumbnailCache::Of& file) {
    QImageReader reader(name, "png");
    const QSize size = reader.size();
    if (!size.isValid() || size.width() > largest || size.height() > largest)
        return {};  // whatever lies there, it is none
    QImage picture = reader.read();
    const bool is_of_it = picture.text(address_key).toLatin1() == address_of(file.path) &&
                          picture.text(date_key) == date_of(file);
    return is_of_it ? picture : QImage();
}

}  // namespace

QByteArray address_of(const std::string& path) {
    const auto bytes = QByteArray::fromRawData(path.data(), static_cast<qsizetype>(path.size()));
    return "file://" + bytes.toPercentEncoding("!$&'()*+,/:=@");
}

ThumbnailCache ThumbnailCache::ofThisUser() {
    const QString kept = QStandardPaths::writableLocation(QStandardPaths::GenericCacheLocation);
    return ThumbnailCache(QDir::isAbsolutePath(kept) ? kept + QStringLiteral("/thumbnails") : QString());
}

QString ThumbnailCache::nameIn(const QString& room, const Of& file) const {
    const QByteArray hash = QCryptographicHash::hash(address_of(file.path), QCryptographicHash::Md5).toHex();
    return folder_ + QLatin1Char('/') + room + QLatin1Char('/') + QString::fromLatin1(hash) +
           QStringLiteral(".png");
}

QImage ThumbnailCache::find(const Of& file, Size size) const {
    if (folder_.isEmpty()) return {};
    for (const auto& [room, side] :
         {std::pair{QStringLiteral("large"), 256}, std::pair{QStringLiteral("x-large"), 512},
          std::pair{QStringLiteral("xx-large"), 1024}}) {
        if (side < pixels(size)) continue;
        if (QImage picture = read_kept(nameIn(room, file), file); !picture.isNull()) return picture;
    }
    return {};
}

bool ThumbnailCache::hasFailed(const Of& file) const {
    return !folder_.isEmpty() && !read_kept(nameIn(failures, file), file).isNull();
}

void ThumbnailCache::keep(const Of& file, Size size, QImage picture) const {
    write(size == Size::large ? QStringLiteral("large") : QStringLiteral("x-large"), file,
          std::move(picture));
}

void ThumbnailCache::keepFailure(const Of& file) const {
    QImage nothing(1, 1, QImage::Format_ARGB32);
    nothing.fill(Qt::transparent);
    write(failures, file, nothing);
}

void ThumbnailCache::write(const QString& room, const Of& file, QImage picture) const {
    if (folder_.isEmpty() || QString::fromLocal8Bit(file.path.c_str()).startsWith(folder_ + QLatin1Char('/')))
        return;
    const QString name = nameIn(room, file);
    if (!make_private_folder(folder_ + QLatin1Char('/') + room)) return;
    picture.setText(address_key, QString::fromLatin1(address_of(file.path)));
    picture.setText(date_key, date_of(file));
    picture.setText(QStringLiteral("Software"), QStringLiteral("Tavlo"));
    QSaveFile file_on_disk(name);
    if (!file_on_disk.open(QIODevice::WriteOnly) ||
        !file_on_disk.setPermissions(QFile::ReadOwner | QFile::WriteOwner) ||
        !picture.save(&file_on_disk, "PNG"))
        return;
    file_on_disk.commit();
}
