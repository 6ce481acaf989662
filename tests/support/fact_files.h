// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <utility>
#include <vector>

// Files that tell facts, put together byte by byte, so that no library that reads them has written them.

/// A JPEG picture (no pixels in it) with Exif 2.32.
struct Photo {
    std::string taken{};      ///< "2031:05:02 09:14:07"; empty: the tag is not there
    std::string digitized{};  ///< the same, of the other tag
    std::string make{};
    std::string model{};
    std::optional<std::pair<double, double>> place{};  ///< degrees, north and east positive
    int orientation = 1;
    int width = 40;
    int height = 30;
    std::string behind{};  ///< after its end, so that two differ
};
std::string photo_bytes(const Photo& photo);

/// A QuickTime film (no pictures in it): its header, behind what a camera would have filmed.
/// written  seconds since 1904-01-01 UTC, of the movie header
/// keys     metadata by its key: {"com.apple.quicktime.make", "Ostrel"}
std::string film_bytes(std::uint32_t written, const std::vector<std::pair<std::string, std::string>>& keys);

/// ID3v2.3 frames: {"TPE1", "Quay Choir"}.
std::string sound_bytes(const std::vector<std::pair<std::string, std::string>>& frames);

/// A zip with these parts.
std::string zip_bytes(const std::vector<std::pair<std::string, std::string>>& parts);
std::string open_document_bytes(const std::string& meta);  ///< what stands in <office:meta>
std::string office_bytes(const std::string& core, const std::string& app);

/// PDF 1.4 with an information dictionary: {"Author", "(M. Harnsund)"}.
std::string pdf_bytes(const std::vector<std::pair<std::string, std::string>>& info);
