// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/path.h"

#include <utf8proc.h>

#include <cstdlib>
#include <memory>
#include <vector>

namespace tavlo {

std::string join(std::string_view folder, std::string_view name) {
    if (folder.empty()) return std::string(name);
    if (name.empty()) return std::string(folder);
    std::string path;
    path.reserve(folder.size() + 1 + name.size());
    path += folder;
    if (path.back() != '/') path += '/';
    path += name;
    return path;
}

std::string_view parent_of(std::string_view path) {
    const auto slash = path.rfind('/');
    if (slash == std::string_view::npos) return {};
    return slash == 0 ? path.substr(0, 1) : path.substr(0, slash);
}

std::string_view name_of(std::string_view path) {
    const auto slash = path.rfind('/');
    return slash == std::string_view::npos ? path : path.substr(slash + 1);
}

std::string normalised(std::string_view path, std::string_view base) {
    const std::string whole = path.starts_with('/') ? std::string(path) : join(base, path);
    std::vector<std::string_view> parts;
    std::string_view rest = whole;
    while (!rest.empty()) {
        const auto slash = rest.find('/');
        const auto part = rest.substr(0, slash);
        rest = slash == std::string_view::npos ? std::string_view{} : rest.substr(slash + 1);
        if (part.empty() || part == ".") continue;
        if (part == "..") {
            if (!parts.empty()) parts.pop_back();
        } else {
            parts.push_back(part);
        }
    }
    std::string out;
    for (const auto part : parts) {
        out += '/';
        out += part;
    }
    return out.empty() ? "/" : out;
}

bool is_within(std::string_view path, std::string_view folder) {
    if (folder == "/") return path.starts_with('/');
    return path.starts_with(folder) && (path.size() == folder.size() || path[folder.size()] == '/');
}

std::string printable(std::string_view bytes) {
    static constexpr char digits[] = "0123456789abcdef";
    std::string out;
    out.reserve(bytes.size());
    for (const char c : bytes) {
        const auto byte = static_cast<unsigned char>(c);
        if (c == '\n') {
            out += "\\n";
        } else if (c == '\t') {
            out += "\\t";
        } else if (byte < 0x20 || byte == 0x7f) {
            out += "\\x";
            out += digits[byte >> 4];
            out += digits[byte & 15];
        } else {
            out += c;
        }
    }
    return out;
}

namespace {

/// Length of the valid code point at `at`, or 0.
std::size_t valid_length(std::string_view bytes, std::size_t at) {
    if (static_cast<unsigned char>(bytes[at]) < 0x80) return 1;  // as nearly all are
    utf8proc_int32_t point = 0;
    const auto* data = reinterpret_cast<const utf8proc_uint8_t*>(bytes.data()) + at;
    const auto length = utf8proc_iterate(data, static_cast<utf8proc_ssize_t>(bytes.size() - at), &point);
    return length > 0 ? static_cast<std::size_t>(length) : 0;
}

}  // namespace

std::size_t code_point_length(std::string_view bytes, std::size_t at) {
    const auto length = valid_length(bytes, at);
    return length == 0 ? 1 : length;
}

bool is_utf8(std::string_view bytes) {
    for (std::size_t at = 0; at < bytes.size();) {
        const auto length = valid_length(bytes, at);
        if (length == 0) return false;
        at += length;
    }
    return true;
}

std::string to_utf8(std::string_view bytes) {
    if (is_utf8(bytes)) return std::string(bytes);
    std::string out;
    out.reserve(bytes.size());
    for (std::size_t at = 0; at < bytes.size();) {
        const auto length = valid_length(bytes, at);
        if (length == 0) {
            out += "\xEF\xBF\xBD";
            ++at;
        } else {
            out += bytes.substr(at, length);
            at += length;
        }
    }
    return out;
}

std::string folded(std::string_view name) {
    utf8proc_uint8_t* mapped = nullptr;
    const auto length = utf8proc_map(
        reinterpret_cast<const utf8proc_uint8_t*>(name.data()), static_cast<utf8proc_ssize_t>(name.size()),
        &mapped, static_cast<utf8proc_option_t>(UTF8PROC_STABLE | UTF8PROC_DECOMPOSE | UTF8PROC_CASEFOLD));
    const std::unique_ptr<utf8proc_uint8_t, decltype(&std::free)> owner(mapped, &std::free);
    if (length < 0) return std::string(name);
    return {reinterpret_cast<const char*>(mapped), static_cast<std::size_t>(length)};
}

}  // namespace tavlo
