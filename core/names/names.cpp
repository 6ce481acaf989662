// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/names.h"

#include <ctime>

#include "files/path.h"

namespace tavlo {

std::size_t extension_start(std::string_view name, FileType type) {
    if (type == FileType::folder) return name.size();
    const auto dot = name.rfind('.');
    if (dot == std::string_view::npos || dot == 0 || dot + 1 == name.size()) return name.size();
    if (name.find(' ', dot) != std::string_view::npos)
        return name.size();  // the end of a sentence, not an extension
    constexpr std::string_view tar = ".tar";
    const auto stem = name.substr(0, dot);
    if (stem.ends_with(tar) && stem.size() > tar.size()) return dot - tar.size();
    return dot;
}

namespace {

std::string_view cut_to(std::string_view stem, std::size_t most) {
    if (stem.size() <= most) return stem;
    std::size_t end = 0;
    while (end < stem.size()) {
        const auto length = code_point_length(stem, end);
        if (end + length > most) break;
        end += length;
    }
    return stem.substr(0, end);
}

}  // namespace

std::string numbered_name(std::string_view name, FileType type, unsigned number, std::size_t most) {
    const std::string suffix = "-" + std::to_string(number);
    auto start = extension_start(name, type);
    if (name.size() - start + suffix.size() >= most) start = name.size();  // no extension is that long
    const auto extension = name.substr(start);
    const auto stem = cut_to(name.substr(0, start), most - extension.size() - suffix.size());
    return std::string(stem) + suffix + std::string(extension);
}

namespace {

std::string local(const char* format, std::int64_t ns) {
    const std::time_t seconds =
        static_cast<std::time_t>(ns / 1'000'000'000 - (ns % 1'000'000'000 < 0 ? 1 : 0));
    std::tm time{};
    ::localtime_r(&seconds, &time);
    char text[32];
    return {text, std::strftime(text, sizeof text, format, &time)};
}

/// The pattern filled in; "" where it makes no name of at most `most` bytes.
std::string from_pattern(std::string_view pattern, std::string_view name, FileType type,
                         const NameSource& source, unsigned number, std::size_t most) {
    const auto start = extension_start(name, type);
    std::string out;
    for (std::size_t at = 0; at < pattern.size();) {
        const auto close = pattern[at] == '{' ? pattern.find('}', at) : std::string_view::npos;
        if (close == std::string_view::npos) {
            out += pattern[at++];
            continue;
        }
        const auto token = pattern.substr(at + 1, close - at - 1);
        at = close + 1;
        if (token == "name") out += name.substr(0, start);
        if (token == "ext") out += name.substr(start);
        if (token == "date") out += local("%Y-%m-%d", source.modified_ns);
        if (token == "time") out += local("%H%M", source.modified_ns);
        if (token == "folder") out += source.folder;
        if (token == "n") out += std::to_string(number);
    }
    const bool good =
        !out.empty() && out != "." && out != ".." && out.size() <= most && out.find('/') == std::string::npos;
    return good ? out : std::string();
}

}  // namespace

std::string pattern_problem(std::string_view pattern) {
    if (pattern.empty()) return "it is empty";
    if (pattern.find('/') != std::string_view::npos) return "a name cannot hold '/'";
    bool varies = false;
    for (auto open = pattern.find('{'); open != std::string_view::npos; open = pattern.find('{', open + 1)) {
        const auto close = pattern.find('}', open);
        if (close == std::string_view::npos) return "a '{' is not closed";
        const auto token = pattern.substr(open + 1, close - open - 1);
        bool known = false;
        for (const std::string_view one : {"name", "ext", "date", "time", "folder", "n"})
            known = known || token == one;
        if (!known) return "{" + std::string(token) + "} is not known";
        varies = varies || token == "name" || token == "n";
    }
    return varies ? std::string() : "without {name} or {n} every name would be the same";
}

std::string free_name(std::string_view name, FileType type, const NewNames& scheme, const NameSource& source,
                      const std::function<bool(const std::string&)>& taken, std::size_t most) {
    std::string base(name);
    if (scheme.scheme != NewNames::Scheme::number) {
        const std::string_view pattern =
            scheme.scheme == NewNames::Scheme::date ? "{name} {date}{ext}" : std::string_view(scheme.pattern);
        const bool counts = pattern.find("{n}") != std::string_view::npos;
        for (unsigned number = 2; pattern_problem(pattern).empty(); ++number) {
            const std::string candidate = from_pattern(pattern, name, type, source, number, most);
            if (candidate.empty()) break;
            if (!taken(candidate)) return candidate;
            base = candidate;
            if (!counts) break;  // then its own name is counted up
        }
    }
    for (unsigned number = 2;; ++number)
        if (auto candidate = numbered_name(base, type, number, most); !taken(candidate)) return candidate;
}

std::string counted_from(const std::string& asked, const std::string& planned, FileType type) {
    constexpr unsigned most_tried = 10'000;
    for (unsigned number = 2; number < most_tried; ++number)
        if (numbered_name(asked, type, number) == planned) return asked;
    return planned;
}

std::string impossible_name(std::string_view name) {
    if (name.empty()) return "would have no name";
    if (name == "." || name == "..") return "would have a name that every folder has";
    if (name.find('/') != std::string_view::npos) return "would have a name with '/', which parts folders";
    if (name.find('\0') != std::string_view::npos) return "would have a name with a NUL, which ends it";
    return {};
}

std::string name_problem(std::string_view name, const Volume& volume) {
    if (name.size() > volume.max_name_bytes)
        return "the name is longer than the " + std::to_string(volume.max_name_bytes) +
               " bytes that the destination can hold";
    if (volume.forbidden_in_names.empty()) return {};
    const auto bad = name.find_first_of(volume.forbidden_in_names);
    if (bad != std::string_view::npos)
        return std::string("the destination cannot hold a name with ") + name[bad];
    for (const char c : name)
        if (static_cast<unsigned char>(c) < 0x20)
            return "the destination cannot hold a name with a control character";
    if (name.ends_with('.') || name.ends_with(' '))
        return "the destination cannot hold a name that ends in a dot or a space";
    if (!is_utf8(name)) return "the destination cannot hold a name that is not valid UTF-8";
    return {};
}

std::string possible_name(std::string_view name, FileType type, const Volume& volume) {
    std::string out;
    const bool strict = !volume.forbidden_in_names.empty();
    for (std::size_t at = 0; at < name.size();) {
        const auto length = code_point_length(name, at);
        const auto point = name.substr(at, length);
        at += length;
        const auto byte = static_cast<unsigned char>(point.front());
        const bool bad =
            volume.forbidden_in_names.find(point) != std::string_view::npos || byte < 0x20 || !is_utf8(point);
        out += strict && bad ? "_" : std::string(point);
    }
    const auto extension = out.substr(extension_start(out, type));
    if (out.size() > volume.max_name_bytes) {
        const bool keeps = extension.size() < volume.max_name_bytes / 2;
        const auto room = volume.max_name_bytes - (keeps ? extension.size() : 0);
        out = std::string(cut_to(std::string_view(out).substr(0, out.size() - (keeps ? extension.size() : 0)),
                                 room)) +
              (keeps ? extension : "");
    }
    if (strict)
        for (auto at = out.size(); at > 0 && (out[at - 1] == '.' || out[at - 1] == ' '); --at)
            out[at - 1] = '_';
    return out;
}

}  // namespace tavlo
