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

// tavlo-look PATH: looks at one file, and writes what it saw as one JSON object on standard output: "picture" (PNG, base64),
// "text", and facts by name ("facts": those that patterns know). tavlo-look --compare LEFT RIGHT: where two differ (compare.h). Bounded in
// memory and time by the kernel; whoever calls it bounds the time of the clock too.

namespace {

constexpr rlim_t most_memory = rlim_t{1} << 30;
constexpr rlim_t most_seconds = 5;  // of the processor
constexpr int picture_side = 900;   // pixels
constexpr qint64 most_text = 64 * 1024;

void limit(__rlimit_resource_t resource, rlim_t most) {
    const rlimit wanted{most, most};
    ::setrlimit(resource, &wanted);
}

void put_picture(QJsonObject& seen, QImage image) {
    if (image.isNull()) return;
    if (image.width() > picture_side || image.height() > picture_side)
        image = image.scaled(picture_side, picture_side, Qt::KeepAspectRatio, Qt::SmoothTransformation);
    QByteArray png;
    QBuffer buffer(&png);
    if (image.save(&buffer, "PNG")) seen[QStringLiteral("picture")] = QString::fromLatin1(png.toBase64());
}

bool look_at_picture(const QString& path, QJsonObject& seen) {
    QImageReader reader(path);
    reader.setAutoTransform(true);
    reader.setDecideFormatFromContent(true);
    QImageReader::setAllocationLimit(512);  // MiB
    if (!reader.canRead()) return false;
    const QSize size = reader.size();
    if (size.isValid()) {
        seen[QStringLiteral("dimensions")] = QStringLiteral("%1 × %2").arg(size.width()).arg(size.height());
        if (std::max(size.width(), size.height()) > 2 * picture_side)  // where the format can, not all of it is decoded
            reader.setScaledSize(size.scaled(2 * picture_side, 2 * picture_side, Qt::KeepAspectRatio));
    }
    put_picture(seen, reader.read());
    return true;
}

bool look_at_pdf(const QString& path, QJsonObject& seen) {
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
    const poppler::image image = renderer.render_page(page.get(), std::min(150.0, 72.0 * picture_side / longest));
    if (image.is_valid() && image.format() == poppler::image::format_argb32)
        put_picture(seen, QImage(reinterpret_cast<const uchar*>(image.const_data()), image.width(), image.height(), image.bytes_per_row(),
                                 QImage::Format_ARGB32)
                              .copy());
    return true;
}

bool look_at_sound(const QByteArray& path, QJsonObject& seen) {
    const TagLib::FileRef file(path.constData());
    if (file.isNull() || file.audioProperties() == nullptr) return false;
    const auto& sound = *file.audioProperties();
    if (sound.lengthInMilliseconds() <= 0) return false;
    const int seconds = sound.lengthInMilliseconds() / 1000;
    seen[QStringLiteral("length")] = QStringLiteral("%1:%2").arg(seconds / 60).arg(seconds % 60, 2, 10, QLatin1Char('0'));
    seen[QStringLiteral("sound")] =
        QStringLiteral("%1 Hz · %2 channels · %3 kbit/s").arg(sound.sampleRate()).arg(sound.channels()).arg(sound.bitrate());
    return true;
}

/// What it tells about itself, and what is only shown.
void put_facts(QJsonObject& seen, const std::string& path) {
    seen[QStringLiteral("facts")] = QJsonDocument::fromJson(QByteArray::fromStdString(to_json(tell(path)))).object();
    const PictureNotes notes = notes_of(path);
    if (notes.place) seen[QStringLiteral("place")] = QJsonArray{notes.place->first, notes.place->second};
    for (const auto& [name, text] : {std::pair{"picture title", notes.title}, {"caption", notes.caption}, {"keywords", notes.keywords}})
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

bool is_regular(const char* path, struct stat& status) { return ::stat(path, &status) == 0 && S_ISREG(status.st_mode); }

int write(const QJsonObject& seen) {
    const QByteArray json = QJsonDocument(seen).toJson(QJsonDocument::Compact);
    return std::fwrite(json.constData(), 1, static_cast<std::size_t>(json.size()), stdout) == static_cast<std::size_t>(json.size()) ? 0 : 1;
}

}  // namespace

int main(int count, char** words) {
    const bool compares = count == 4 && std::string_view(words[1]) == "--compare";
    if (count != 2 && !compares) return 2;
    limit(RLIMIT_AS, most_memory);
    limit(RLIMIT_CPU, most_seconds);
    limit(RLIMIT_CORE, 0);
    limit(RLIMIT_FSIZE, 0);  // standard output is a pipe: no file is ever written
    qputenv("QT_QPA_PLATFORM", "minimal");
    struct stat status {};
    // a fifo or a device is never opened
    for (int at = compares ? 2 : 1; at < count; ++at)
        if (!is_regular(words[at], status)) return 1;
    if (compares) return write(compare_files(words[2], words[3]));
    const QByteArray path(words[1]);
    QGuiApplication application(count, words);
    const int file = ::open(path.constData(), O_RDONLY | O_CLOEXEC | O_NONBLOCK);
    QByteArray begin(most_text, Qt::Uninitialized);
    const ssize_t got = file < 0 ? -1 : ::read(file, begin.data(), static_cast<std::size_t>(begin.size()));
    if (got < 0) return 1;
    begin.resize(got);
    QJsonObject seen;
    const QString text_path = QString::fromLocal8Bit(path);
    const bool known = begin.startsWith("%PDF-") ? look_at_pdf(text_path, seen)
                                                 : look_at_picture(text_path, seen) || look_at_sound(path, seen) ||
                                                       look_at_text(begin, status.st_size > got, seen);
    seen[QStringLiteral("known")] = known;
    put_facts(seen, path.toStdString());
    if (const auto* owner = ::getpwuid(status.st_uid)) seen[QStringLiteral("owner")] = QString::fromLocal8Bit(owner->pw_name);
    return write(seen);
}
