// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <memory>
#include <string>
#include <vector>

class QMimeData;

/// Files as programs hand them to one another, by the clipboard or by dragging.
struct FileClip {
    std::vector<std::string> paths;
    bool cut = false;   ///< meant to be moved
    int elsewhere = 0;  ///< how many lead to no file of this machine, and were left out
};

/// text/uri-list (RFC 2483), the same as plain text, and what desktops add to say "cut".
std::unique_ptr<QMimeData> to_mime(const FileClip& clip);
/// No paths: it holds no local files.
FileClip from_mime(const QMimeData* mime);
/// Byte by byte: a path need not be text (RFC 8089).
QByteArray uri_of(const std::string& path);
/// A path from a URI (RFC 8089); empty: it leads to no file of this machine.
std::string path_from_uri(const QByteArray& uri);
