// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <filesystem>
#include <optional>
#include <string>
#include <utility>
#include <vector>

namespace demo {

/// A moment in UTC, as the sample data's files are dated.
struct Moment {
    int year = 2031, month = 1, day = 1, hour = 9, minute = 0, second = 0;
    int nanosecond = 0;
};

/// One page of text lines under a heading.
struct Page {
    std::string heading;
    std::vector<std::string> lines;
};

// Each writes one real file of its kind; the same arguments give the same bytes. A failure throws
// std::runtime_error.
void write_pdf(const std::filesystem::path& path, const std::string& title, const std::string& author,
               const Moment& made, const std::vector<Page>& pages);
void write_png(const std::filesystem::path& path, std::uint64_t seed, int width, int height);
/// place  latitude and longitude in degrees, north and east positive; written into the picture with the date
///        (Exif 2.3), as far as there are any
void write_jpeg(const std::filesystem::path& path, std::uint64_t seed, int width, int height,
                const std::optional<Moment>& taken, const std::optional<std::pair<double, double>>& place);
/// A chime and a hum of some seconds, WAV or FLAC by the path's extension, with title, artist and, where
/// there is one, album.
void write_sound(const std::filesystem::path& path, std::uint64_t seed, double seconds,
                 const std::string& title, const std::string& artist, const std::string& album = {});
/// Office documents with author, title and company: text (ODF), text (OOXML), sheet (ODF).
struct Writer {
    std::string author;
    std::string company{};
};
void write_odt(const std::filesystem::path& path, const std::string& title, const Writer& writer,
               const Moment& made, const Page& page);
void write_docx(const std::filesystem::path& path, const std::string& title, const Writer& writer,
                const Moment& made, const Page& page);
void write_ods(const std::filesystem::path& path, const std::string& title, const std::string& author,
               const Moment& made, const std::vector<std::vector<std::string>>& rows);
void write_text(const std::filesystem::path& path, const std::string& text);
void set_changed(const std::filesystem::path& path, const Moment& changed);

/// Builds the whole office below `root`, which must not exist yet.
void make_office(const std::filesystem::path& root, std::uint64_t seed);

}  // namespace demo
