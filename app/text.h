// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <cstdint>
#include <string>
#include <string_view>

#include "plan/plan.h"

// The very edge, where bytes and numbers become words for people.

/// A name or path for reading: invalid bytes as U+FFFD, control characters escaped.
QString shown(std::string_view bytes);
/// What was typed, as bytes for the file system.
std::string to_bytes(const QString& text);
/// "Archive / 2031 / Permits": the last parts of a path.
QString short_path(const std::string& path, int parts = 3);
QString size_text(std::uint64_t bytes);
/// "2 May 09:14" in this year, "2 May 2031 09:14" in another; local time.
QString date_text(std::int64_t ns);
QString date_text_full(std::int64_t ns);
/// "3 days newer, 12 KB larger": the incoming one against the one that holds the name.
QString difference_text(const tavlo::FileState& incoming, const tavlo::FileState& held);
/// How long, in words: "22 h", "41 days"; of either sign.
QString duration_text(std::int64_t ns);
QString count_text(std::uint64_t count);
