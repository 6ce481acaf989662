// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "text.h"

#include <QStringDecoder>
#include <algorithm>

std::optional<ReadText> text_of(const QByteArray& bytes) {
    const bool utf16 = bytes.startsWith("\xff\xfe") || bytes.startsWith("\xfe\xff");
    if (!utf16 && bytes.contains('\0')) return std::nullopt;
    ReadText out;
    out.encoding = utf16 ? QStringLiteral("UTF-16") : QStringLiteral("UTF-8");
    out.crlf = bytes.contains("\r\n");
    QStringDecoder decoder(utf16 ? QStringDecoder::Utf16 : QStringDecoder::Utf8);
    out.text = decoder.decode(bytes);
    if (!decoder.hasError() || utf16) return out;
    const auto odd = std::count_if(bytes.begin(), bytes.end(), [](char c) {
        return static_cast<unsigned char>(c) < 32 && c != '\n' && c != '\r' && c != '\t' && c != '\f';
    });
    if (odd * 20 > bytes.size()) return std::nullopt;
    out.text = QString::fromLatin1(bytes);
    out.encoding = QStringLiteral("Latin-1");
    return out;
}
