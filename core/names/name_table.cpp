// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/name_table.h"

#include <fmt/format.h>

#include <algorithm>

#include "files/encodings.h"
#include "files/path.h"

namespace tavlo {

Result<std::unique_ptr<NameTable>> NameTable::read(std::string_view text, const std::string& path) {
    auto table = std::make_unique<NameTable>();
    table->path_ = path;
    const std::string lines = without_utf16(text);
    std::size_t number = 0;
    for (std::size_t at = 0; at < lines.size();) {
        const auto end = std::min(lines.find('\n', at), lines.size());
        std::string line = lines.substr(at, end - at);
        at = end + 1;
        ++number;
        if (line.ends_with('\r')) line.pop_back();
        if (line.empty()) continue;
        const auto tab = line.find('\t');
        if (tab == std::string::npos)
            return failure(Fault::refused, fmt::format("has no tab in line {}", number), path);
        const auto [found, is_new] =
            table->lines_.try_emplace(line.substr(0, tab), Line{number, line.substr(tab + 1), false});
        if (!is_new && found->second.new_name != line.substr(tab + 1))
            return failure(Fault::refused,
                           fmt::format("gives '{}' two new names, in lines {} and {}",
                                       printable(found->first), found->second.number, number),
                           path);
    }
    return table;
}

const std::string* NameTable::find(std::string_view name) {
    const auto found = lines_.find(std::string(name));
    if (found == lines_.end()) return nullptr;
    found->second.met = true;
    return &found->second.new_name;
}

std::vector<Error> NameTable::misses() const {
    std::vector<std::pair<std::size_t, std::string_view>> unmet;
    for (const auto& [old_name, line] : lines_)
        if (!line.met) unmet.emplace_back(line.number, old_name);
    std::sort(unmet.begin(), unmet.end());
    std::vector<Error> misses;
    for (const auto& [number, old_name] : unmet)
        misses.push_back(
            {Fault::not_found, 0, fmt::format("line {}: nothing is named '{}'", number, old_name), path_});
    return misses;
}

}  // namespace tavlo
