// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/kinds.h"

#include <algorithm>
#include <sstream>

#include "files/home.h"
#include "files/path.h"
#include "files/small_file.h"

namespace tavlo {

namespace {

std::string lower(std::string_view text) {
    std::string out(text);
    for (char& c : out)
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
    return out;
}

std::vector<std::string> words(std::string_view text) {
    std::vector<std::string> found;
    std::istringstream in{std::string(text)};
    for (std::string word; in >> word;) found.push_back(lower(word.front() == '.' ? word.substr(1) : word));
    return found;
}

}  // namespace

Kinds::Kinds() {
    static constexpr std::pair<const char*, const char*> built_in[] = {
        {"documents", "pdf doc docx odt rtf txt md tex epub pages wpd xps"},
        {"sheets", "xls xlsx ods csv tsv numbers"},
        {"slides", "ppt pptx odp key"},
        {"pictures", "jpg jpeg png gif bmp tif tiff webp heic heif avif svg raw cr2 nef arw dng psd xcf ico"},
        {"audio", "mp3 wav flac ogg oga opus m4a aac wma aif aiff mid"},
        {"video", "mp4 m4v mov avi mkv webm mpg mpeg wmv ogv 3gp"},
        {"archives", "zip tar gz tgz bz2 xz zst 7z rar iso tar.gz tar.xz tar.bz2 tar.zst"},
        {"mail", "eml msg mbox vcf ics"},
        {"drawings", "dwg dxf odg vsd vsdx step stl"},
        {"programs", "exe msi deb rpm appimage sh bat ps1 py js jar"},
        {"data", "json xml yaml yml sql sqlite db log ini conf toml"},
    };
    for (const auto& [name, extensions] : built_in) kinds_.push_back({name, words(extensions)});
}

Result<void> Kinds::change(std::string_view text, const std::string& path) {
    std::size_t number = 0;
    while (!text.empty()) {
        const auto end = text.find('\n');
        std::string_view line = text.substr(0, end);
        text = end == std::string_view::npos ? std::string_view{} : text.substr(end + 1);
        ++number;
        line = line.substr(0, line.find('#'));
        if (line.find_first_not_of(" \t\r") == std::string_view::npos) continue;
        const auto colon = line.find(':');
        const auto name =
            colon == std::string_view::npos ? std::vector<std::string>{} : words(line.substr(0, colon));
        if (name.size() != 1)
            return failure(Fault::corrupt,
                           "line " + std::to_string(number) + " is not NAME: EXTENSION EXTENSION …", path);
        auto extensions = words(line.substr(colon + 1));
        const auto known = std::find_if(kinds_.begin(), kinds_.end(),
                                        [&](const Kind& kind) { return kind.name == name.front(); });
        if (known == kinds_.end())
            kinds_.push_back({name.front(), std::move(extensions)});
        else if (extensions.empty())
            kinds_.erase(known);
        else
            known->extensions = std::move(extensions);
    }
    return {};
}

Result<Kinds> Kinds::load(const std::string& path) {
    const auto text = read_small_file(path);
    if (!text) return failure(text.error());
    Kinds kinds;
    if (auto changed = kinds.change(*text, path); !changed) return failure(changed.error());
    return kinds;
}

std::string Kinds::to_text() const {
    std::string text = "# Which extensions make which kind: NAME: EXTENSION EXTENSION …\n";
    for (const Kind& kind : kinds_) {
        text += kind.name + ":";
        for (const auto& extension : kind.extensions) text += ' ' + extension;
        text += '\n';
    }
    for (const Kind& built_in : Kinds().kinds_)
        if (find(built_in.name) == nullptr) text += built_in.name + ":\n";
    return text;
}

const Kind* Kinds::find(std::string_view name) const {
    const auto found =
        std::find_if(kinds_.begin(), kinds_.end(), [&](const Kind& kind) { return kind.name == name; });
    return found == kinds_.end() ? nullptr : &*found;
}

bool Kinds::has(const Kind& kind, std::string_view name) {
    const std::string key = lower(name);
    return std::any_of(kind.extensions.begin(), kind.extensions.end(), [&](const std::string& extension) {
        return key.size() > extension.size() + 1 && key.ends_with(extension) &&
               key[key.size() - extension.size() - 1] == '.';
    });
}

const Kind* Kinds::of(std::string_view name) const {
    const auto found =
        std::find_if(kinds_.begin(), kinds_.end(), [&](const Kind& kind) { return has(kind, name); });
    return found == kinds_.end() ? nullptr : &*found;
}

std::string extension_of(std::string_view name) {
    const auto dot = name.rfind('.');
    return dot == std::string_view::npos || dot == 0 ? std::string() : lower(name.substr(dot + 1));
}

std::string kinds_file() { return join(config_folder(), "tavlo/kinds"); }

Result<Kinds> load_kinds() {
    auto kinds = Kinds::load(kinds_file());
    if (!kinds && kinds.error().fault == Fault::not_found) return Kinds();
    return kinds;
}

}  // namespace tavlo
