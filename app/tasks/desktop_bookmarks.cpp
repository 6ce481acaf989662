// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/desktop_bookmarks.h"

#include <QDir>
#include <QFile>
#include <QStandardPaths>
#include <QXmlStreamReader>
#include <algorithm>

#include "files/small_file.h"
#include "tasks/thumbnail_cache.h"

using namespace tavlo;

namespace {

std::string file_in(QStandardPaths::StandardLocation place, const QString& name) {
    return QFile::encodeName(QStandardPaths::writableLocation(place) + name).toStdString();
}

std::string gtk_file() {
    return file_in(QStandardPaths::GenericConfigLocation, QStringLiteral("/gtk-3.0/bookmarks"));
}

/// An absolute path of this machine; empty: it is none (RFC 8089).
std::string path_of(const QByteArray& address) {
    if (!address.startsWith("file:///")) return {};
    std::string path = QByteArray::fromPercentEncoding(address.mid(7)).toStdString();
    while (path.size() > 1 && path.ends_with('/')) path.pop_back();
    return path.find('\0') == std::string::npos ? path : std::string();
}

QByteArray address_in(const QByteArray& line) {
    const auto blank = line.indexOf(' ');
    return (blank < 0 ? line : line.left(blank)).trimmed();
}

void add(std::vector<Bookmark>& to, std::string path, const QString& name) {
    const auto is_it = [&](const Bookmark& one) { return one.path == path; };
    if (!path.empty() && std::none_of(to.begin(), to.end(), is_it)) to.push_back({std::move(path), name});
}

}  // namespace

std::vector<Bookmark> desktop_bookmarks() {
    std::vector<Bookmark> all;
    if (const auto gtk = read_small_file(gtk_file()))
        for (const QByteArray& line : QByteArray::fromStdString(*gtk).split('\n')) {
            const auto blank = line.indexOf(' ');
            add(all, path_of(address_in(line)),
                blank < 0 ? QString() : QString::fromUtf8(line.mid(blank + 1).trimmed()));
        }
    const auto places =
        read_small_file(file_in(QStandardPaths::GenericDataLocation, QStringLiteral("/user-places.xbel")));
    if (!places) return all;
    QXmlStreamReader xml(QByteArray::fromStdString(*places));
    std::string path;
    QString name;
    while (!xml.atEnd()) {
        const auto token = xml.readNext();
        if (token == QXmlStreamReader::StartElement && xml.name() == QLatin1String("bookmark")) {
            path = path_of(xml.attributes().value(QLatin1String("href")).toLatin1());
            name.clear();
        } else if (token == QXmlStreamReader::StartElement && xml.name() == QLatin1String("title")) {
            name = xml.readElementText(QXmlStreamReader::SkipChildElements);
        } else if (token == QXmlStreamReader::EndElement && xml.name() == QLatin1String("bookmark")) {
            add(all, std::move(path), name);
            path.clear();
        }
    }
    return all;
}

Result<void> keep_bookmark(const std::string& path, bool kept) {
    const std::string file = gtk_file();
    auto text = read_small_file(file);
    if (!text && text.error().fault != Fault::not_found) return failure(text.error());
    QByteArrayList lines = QByteArray::fromStdString(text ? *text : std::string()).split('\n');
    lines.removeAll(QByteArray());
    lines.erase(std::remove_if(lines.begin(), lines.end(),
                               [&](const QByteArray& line) { return path_of(address_in(line)) == path; }),
                lines.end());
    if (kept) lines.append(address_of(path));
    QDir().mkpath(QFile::decodeName(file.substr(0, file.rfind('/')).c_str()));
    return write_small_file(file, lines.isEmpty() ? std::string() : (lines.join('\n') + '\n').toStdString());
}
