// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <utility>

#include "facts/file_facts.h"

// What a file tells, told by the library that reads its kind. Each may throw, and may leave what was told
// before it did.

/// Whatever kind it is, seen by its first bytes. Never throws.
tavlo::FileFacts tell(const std::string& path);

/// What is only shown of a picture: where exactly it was taken, and what somebody wrote about it (XMP's
/// Dublin Core, else IPTC-IIM 4.2).
struct PictureNotes {
    /// latitude and longitude in degrees, north and east positive
    std::optional<std::pair<double, double>> place{};
    std::string title{};
    std::string caption{};
    std::string keywords{};
};
/// Never throws; of what is no picture there is nothing.
PictureNotes notes_of(const std::string& path);

/// Exif 2.32 by Exiv2: taken, camera, country, town, width, height.
void tell_picture(const std::string& path, tavlo::FileFacts& facts);
/// QuickTime, ISO base media (ISO/IEC 14496-12), Matroska and AVI by MediaInfo: taken, camera.
void tell_film(const std::string& path, tavlo::FileFacts& facts);
/// Make and model, the make once.
std::string camera_of(const std::string& make, const std::string& model);
/// Any tags that TagLib reads: artist, album, title, genre, year, track.
void tell_sound(const std::string& path, tavlo::FileFacts& facts);
/// The document information dictionary (ISO 32000-1, 14.3.3): author, company, title, subject, created.
void tell_pdf(const std::string& path, tavlo::FileFacts& facts);
/// Office Open XML (ECMA-376 part 2, core properties; part 1, extended properties) and OpenDocument 1.2 (part
/// 1, 4.3): the same.
void tell_zipped_document(const std::string& path, tavlo::FileFacts& facts);
