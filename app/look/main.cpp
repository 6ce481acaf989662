// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fileref.h>
#include <poppler-document.h>
#include <poppler-page-renderer.h>
#include <poppler-page.h>
#include <pwd.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <unistd.h>

#include <QBuffer>
#include <QGuiApplication>
#include <QImageReader>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <algorithm>
#include <cstdio>
#include <memory>
#include <string>
#include <string_view>

#include "compare.h"
#include "telling.h"
#include "text.h"

// tavlo-look PATH: looks at one file, and writes what it saw as one JSON object on standard output: "picture"
// (PNG, base64), "text", and facts by name ("facts": those that patterns know). tavlo-look --compare LEFT
// RIGHT: where two differ (compare.h). tavlo-look --small SIDE: small pictures, of SIDE pixels at most, of
// the files whose paths come on standard input, each ended by a zero byte; answered one line each, an object
// with "picture", or {} where there is nothing to be seen. Bounded in memory and time by the kernel; whoever
// calls it bounds the time of the clock too.

namespace {

constexpr rlim_t most_memory = rlim_t{1} << 30;
constexpr rlim_t most_seconds = 5;  // of the processor
constexpr int picture_side = 900;   // pixels
constexpr qint64 max_shown_text = 64 * 1024;

void limit(__rlimit_resource_t resource, rlim_t most) {
    const rlimit wanted{most, most};
    ::setrlimit(resource, &wanted);
}

/// From here on, so long and no longer: what is left over of an earlier file's time is not the next one's.
void allow_seconds(rlim_t more) {
    rusage used{};
    ::getrusage(RUSAGE_SELF, &used);
    const rlimit wanted{static_cast<rlim_t>(used.ru_utime.tv_sec + used.ru_stime.tv_sec) + more,
                        RLIM_INFINITY};
    ::setrlimit(RLIMIT_CPU, &wanted);
}

void put_picture(QJsonObject& seen, QImage image, int side) {
    if (image.isNull()) return;
    if (image.width() > side || image.height() > side)
        image = image.scaled(side, side, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    QByteArray png;
    QBuffer buffer(&png);
    if (image.save(&buffer, "PNG")) seen[QStringLiteral("picture")] = QString::fromLatin1(png.toBase64());
}

bool look_at_picture(const QString& path, int side, QJsonObject& seen) {
    QImageReader reader(path);
    reader.setAutoTransform(true);
    reader.setDecideFormatFromContent(true);
    QImageReader::setAllocationLimit(512);  // MiB
    if (!reader.canRead()) return false;
    const QSize size = reader.size();
    if (size.isValid()) {
        seen[QStringLiteral("dimensions")] = QStringLiteral("%1 × %2").arg(size.width()).arg(size.height());
        if (std::max(size.width(), size.height()) >
            2 * side)  // where the format can, not all of it is decoded
            reader.setScaledSize(size.scaled(2 * side, 2 * side, Qt::KeepAspectRatio));
    }
    put_picture(seen, reader.read(), side);
    return true;
}

bool look_at_pdf(const QString& path, int side, QJsonObject& seen) {
    const std::unique_ptr<poppler::document> document(poppler::document::load_from_file(path.toStdString()));
    if (!document || document->is_locked()) return false;
    seen[QStringLiteral("pages")] = document->pages();
    const std::unique_ptr<poppler::page> page(document->pages() > 0 ? document->create_page(0) : nullptr);
    if (!page) return true;
    const auto size = page->page_rect();
    const double longest = std::max({size.width(), size.height(), 1.0});
    poppler::page_renderer renderer;
    renderer.set_render_hint(poppler::page_renderer::antialiasing);
    renderer.set_render_hint(poppler::page_renderer::text_antialiasing);
    const poppler::image image = renderer.render_page(page.get(), std::min(150.0, 72.0 * side / longest));
    if (image.is_valid() && image.format() == poppler::image::format_argb32)
        put_picture(seen,
                    QImage(reinterpret_cast<const uchar*>(image.const_data()), image.width(), image.height(),
                           image.bytes_per_row(), QImage::Format_ARGB32)
                        .copy(),
                    side);
    return true;
}

bool look_at_sound(const QByteArray& path, QJsonObject& seen) {
    const TagLib::FileRef file(path.constData());
    if (file.isNull() || file.audioProperties() == nullptr) return false;
    const auto& sound = *file.audioProperties();
    if (sound.lengthInMilliseconds() <= 0) return false;
    const int seconds = sound.lengthInMilliseconds() / 1000;
    seen[QStringLiteral("length")] =
        QStringLiteral("%1:%2").arg(seconds / 60).arg(seconds % 60, 2, 10, QLatin1Char('0'));
    seen[QStringLiteral("sound")] = QStringLiteral("%1 Hz · %2 channels · %3 kbit/s")
                                        .arg(sound.sampleRate())
                                        .arg(sound.channels())
                                        .arg(sound.bitrate());
    return true;
}

/// What it tells about itself, and what is only shown.
void put_facts(QJsonObject& seen, const std::string& path) {
    seen[QStringLiteral("facts")] =
        QJsonDocument::fromJson(QByteArray::fromStdString(to_json(tell(path)))).object();
    const PictureNotes notes = notes_of(path);
    if (notes.place) seen[QStringLiteral("place")] = QJsonArray{notes.place->first, notes.place->second};
    for (const auto& [name, text] :
         {std::pair{"picture title", notes.title}, {"caption", notes.caption}, {"keywords", notes.keywords}})
        if (!text.empty()) seen[QLatin1String(name)] = QString::fromStdString(text);
}

/// Text, if that is what the first part of it looks like; in UTF-8, UTF-16 by its mark, else Latin-1.
bool look_at_text(const QByteArray& bytes, bool cut, QJsonObject& seen) {
    if (bytes.isEmpty()) return false;
    const auto read = text_of(bytes);
    if (!read) return false;
    seen[QStringLiteral("encoding")] = read->encoding;
    seen[QStringLiteral("lines end")] = read->crlf ? QStringLiteral("CR LF") : QStringLiteral("LF");
    seen[QStringLiteral("text")] = cut ? read->text + QStringLiteral("\n…") : read->text;
    return true;
}

/// A fifo or a device is never opened.
bool is_regular(const char* path, struct stat& status) {
    return ::stat(path, &status) == 0 && S_ISREG(status.st_mode);
}

QByteArray begin_of(const QByteArray& path) {
    const int file = ::open(path.constData(), O_RDONLY | O_CLOEXEC | O_NONBLOCK);
    if (file < 0) return {};
    QByteArray begin(max_shown_text, Qt::Uninitialized);
    begin.resize(std::max<ssize_t>(0, ::read(file, begin.data(), static_cast<std::size_t>(begin.size()))));
    ::close(file);
    return begin;
}

bool look_at_pages_or_picture(const QByteArray& path, const QByteArray& begin, int side, QJsonObject& seen) {
    const QString text_path = QString::fromLocal8Bit(path);
    return begin.startsWith("%PDF-") ? look_at_pdf(text_path, side, seen)
                                     : look_at_picture(text_path, side, seen);
}

int write(const QJsonObject& seen) {
    const QByteArray json = QJsonDocument(seen).toJson(QJsonDocument::Compact);
    return std::fwrite(json.constData(), 1, static_cast<std::size_t>(json.size()), stdout) ==
                   static_cast<std::size_t>(json.size())
               ? 0
               : 1;
}

int serve_small_pictures(int side) {
    QByteArray path;
    for (int c = std::getchar(); c != EOF; c = std::getchar()) {
        if (c != 0) {
            path.append(static_cast<char>(c));
            continue;
        }
        allow_seconds(most_seconds);
        QJsonObject seen;
        struct stat status {};
        if (is_regular(path.constData(), status)) look_at_pages_or_picture(path, begin_of(path), side, seen);
        if (write(seen) != 0 || std::putchar('\n') == EOF || std::fflush(stdout) != 0) return 1;
        path.clear();
    }
    return 0;
}

/// Everything that is to be known of one file.
int look_whole(const QByteArray& path) {
    struct stat status {};
    if (!is_regular(path.constData(), status)) return 1;
    const QByteArray begin = begin_of(path);
    if (begin.isEmpty() && status.st_size > 0) return 1;  // it cannot be read
    QJsonObject seen;
    const bool known = look_at_pages_or_picture(path, begin, picture_side, seen) ||
                       look_at_sound(path, seen) || look_at_text(begin, status.st_size > begin.size(), seen);
    seen[QStringLiteral("known")] = known;
    put_facts(seen, path.toStdString());
    if (const auto* owner = ::getpwuid(status.st_uid))
        seen[QStringLiteral("owner")] = QString::fromLocal8Bit(owner->pw_name);
    return write(seen);
}

}  // namespace

int main(int count, char** words) {
    const std::string_view first = count > 1 ? words[1] : "";
    const bool compares = count == 4 && first == "--compare";
    const bool serves = count == 3 && first == "--small";
    if (count != 2 && !compares && !serves) return 2;
    limit(RLIMIT_AS, most_memory);
    allow_seconds(most_seconds);
    limit(RLIMIT_CORE, 0);
    limit(RLIMIT_FSIZE, 0);  // standard output is a pipe: no file is ever written
    qputenv("QT_QPA_PLATFORM", "minimal");
    struct stat status {};
    if (compares)
        return is_regular(words[2], status) && is_regular(words[3], status)
                   ? write(compare_files(words[2], words[3]))
                   : 1;
    QGuiApplication application(count, words);
    if (serves) return serve_small_pictures(std::clamp(QByteArray(words[2]).toInt(), 16, 1024));
    return look_whole(words[1]);
}
