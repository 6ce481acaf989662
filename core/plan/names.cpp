#include "plan/names.h"

#include "files/path.h"

namespace tavlo {

namespace {

/// Where the extension begins; name.size() where there is none.
std::size_t extension_start(std::string_view name, FileType type) {
    if (type == FileType::folder) return name.size();
    const auto dot = name.rfind('.');
    if (dot == std::string_view::npos || dot == 0 || dot + 1 == name.size()) return name.size();
    if (name.find(' ', dot) != std::string_view::npos) return name.size();  // the end of a sentence, not an extension
    constexpr std::string_view tar = ".tar";
    const auto stem = name.substr(0, dot);
    if (stem.ends_with(tar) && stem.size() > tar.size()) return dot - tar.size();
    return dot;
}

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

std::string free_name(std::string_view name, FileType type, const std::function<bool(const std::string&)>& taken, std::size_t most) {
    for (unsigned number = 2;; ++number)
        if (auto candidate = numbered_name(name, type, number, most); !taken(candidate)) return candidate;
}

std::string name_problem(std::string_view name, const Volume& volume) {
    if (name.size() > volume.max_name_bytes)
        return "the name is longer than the " + std::to_string(volume.max_name_bytes) + " bytes that the destination can hold";
    if (volume.forbidden_in_names.empty()) return {};
    const auto bad = name.find_first_of(volume.forbidden_in_names);
    if (bad != std::string_view::npos) return std::string("the destination cannot hold a name with ") + name[bad];
    for (const char c : name)
        if (static_cast<unsigned char>(c) < 0x20) return "the destination cannot hold a name with a control character";
    if (name.ends_with('.') || name.ends_with(' ')) return "the destination cannot hold a name that ends in a dot or a space";
    if (!is_utf8(name)) return "the destination cannot hold a name that is not valid UTF-8";
    return {};
}

}  // namespace tavlo
