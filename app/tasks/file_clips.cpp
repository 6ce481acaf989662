// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/file_clips.h"

#include <QMimeData>
#include <QUrl>

#include "files/path.h"
#include "text.h"

namespace {

// a word on the first line, "cut" or "copy", then a URI a line; and a flag of its own
const auto listed_format = QStringLiteral("x-special/gnome-copied-files");
const auto cut_format = QStringLiteral("application/x-kde-cutselection");

}  // namespace

QByteArray uri_of(const std::string& path) {
    return "file://" + QByteArray(path.data(), static_cast<qsizetype>(path.size())).toPercentEncoding("/");
}

std::string path_from_uri(const QByteArray& given) {
    const QByteArray uri = given.trimmed();
    // RFC 8089: without a host, with an empty one, or on this machine by its name for itself
    const bool names_host =
        uri.startsWith("file://") && !uri.startsWith("file:///") && !uri.startsWith("file://localhost/");
    if (names_host) return {};
    for (const char* begin : {"file://localhost/", "file:///", "file:/"})
        if (uri.startsWith(begin)) {
            const QByteArray path =
                QByteArray::fromPercentEncoding(uri.mid(static_cast<qsizetype>(qstrlen(begin)) - 1));
            return tavlo::normalised(
                std::string_view(path.constData(), static_cast<std::size_t>(path.size())), "/");
        }
    return {};
}

std::unique_ptr<QMimeData> to_mime(const FileClip& clip) {
    auto mime = std::make_unique<QMimeData>();
    QByteArray uris;
    QByteArray listed = clip.cut ? "cut" : "copy";
    QStringList text;
    for (const auto& path : clip.paths) {
        const QByteArray uri = uri_of(path);
        uris += uri + "\r\n";
        listed += "\n" + uri;
        text << shown(path);
    }
    mime->setData(QStringLiteral("text/uri-list"), uris);
    mime->setData(listed_format, listed);
    mime->setData(cut_format, clip.cut ? "1" : "0");
    mime->setText(text.join(QLatin1Char('\n')));
    return mime;
}

FileClip from_mime(const QMimeData* mime) {
    FileClip clip;
    if (mime == nullptr) return clip;
    const bool listed = mime->hasFormat(listed_format);
    const auto lines = mime->data(listed ? listed_format : QStringLiteral("text/uri-list")).split('\n');
    for (qsizetype i = 0; i < lines.size(); ++i) {
        const QByteArray line = lines[i].trimmed();
        if (listed && i == 0) {
            clip.cut = line == "cut";
            continue;
        }
        if (line.isEmpty() || line.startsWith('#')) continue;
        if (auto path = path_from_uri(line); !path.empty())
            clip.paths.push_back(std::move(path));
        else
            ++clip.elsewhere;
    }
    if (mime->data(cut_format) == "1") clip.cut = true;
    return clip;
}
