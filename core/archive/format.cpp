// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/format.h"

#include <strings.h>

#include <array>

namespace tavlo {

namespace {

constexpr std::array<std::pair<std::string_view, ArchiveFormat>, 6> extensions{
    {{".zip", ArchiveFormat::zip},
     {".tar", ArchiveFormat::tar},
     {".tar.gz", ArchiveFormat::tar_gz},
     {".tgz", ArchiveFormat::tar_gz},
     {".tar.xz", ArchiveFormat::tar_xz},
     {".tar.zst", ArchiveFormat::tar_zst}}};

template <class Word>
std::optional<Word> word_from(std::string_view text, std::initializer_list<Word> words) {
    for (const Word word : words)
        if (to_text(word) == text) return word;
    return std::nullopt;
}

}  // namespace

std::optional<ArchiveFormat> archive_format(std::string_view name) {
    for (const auto& [extension, format] : extensions) {
        if (name.size() <= extension.size()) continue;
        const std::string_view end = name.substr(name.size() - extension.size());
        if (::strncasecmp(end.data(), extension.data(), extension.size()) == 0) return format;
    }
    return std::nullopt;
}

bool looks_like_archive(std::string_view name) {
    constexpr std::string_view endings[] = {".zip",  ".tar", ".tgz", ".tbz",  ".tbz2", ".txz",
                                            ".tzst", ".7z",  ".iso", ".cpio", ".cab",  ".lha",
                                            ".lzh",  ".rar", ".gz",  ".bz2",  ".xz",   ".zst"};
    const auto ends_so = [](std::string_view text, std::string_view ending) {
        return text.size() > ending.size() &&
               ::strncasecmp(text.data() + text.size() - ending.size(), ending.data(), ending.size()) == 0;
    };
    for (const auto ending : endings) {
        if (!ends_so(name, ending)) continue;
        const bool presses = ending == ".gz" || ending == ".bz2" || ending == ".xz" || ending == ".zst";
        return !presses || ends_so(name.substr(0, name.size() - ending.size()), ".tar");
    }
    return false;
}

FormatKeeps what_it_keeps(ArchiveFormat format) {
    if (format == ArchiveFormat::zip) return {};
    return {.owner = true, .extended_attributes = true, .hard_links = true, .holes = true, .any_name = true};
}

std::string_view to_text(ArchiveFormat format) noexcept {
    switch (format) {
        case ArchiveFormat::zip: return "zip";
        case ArchiveFormat::tar: return "tar";
        case ArchiveFormat::tar_gz: return "tar.gz";
        case ArchiveFormat::tar_xz: return "tar.xz";
        case ArchiveFormat::tar_zst: return "tar.zst";
    }
    return {};
}

std::string_view to_text(Press press) noexcept {
    switch (press) {
        case Press::fast: return "fast";
        case Press::normal: return "normal";
        case Press::small: return "small";
    }
    return {};
}

std::optional<ArchiveFormat> archive_format_from_text(std::string_view text) noexcept {
    return word_from(text, {ArchiveFormat::zip, ArchiveFormat::tar, ArchiveFormat::tar_gz,
                            ArchiveFormat::tar_xz, ArchiveFormat::tar_zst});
}

std::optional<Press> press_from_text(std::string_view text) noexcept {
    return word_from(text, {Press::fast, Press::normal, Press::small});
}

}  // namespace tavlo
