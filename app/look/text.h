// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QByteArray>
#include <QString>
#include <optional>

/// Text as it was read from a file.
struct ReadText {
    QString text;
    QString encoding;  ///< "UTF-8", "UTF-16", "Latin-1"
    bool crlf = false;
};

/// nullopt  does not look like text
std::optional<ReadText> text_of(const QByteArray& bytes);
