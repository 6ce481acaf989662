// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

#include "files/result.h"

namespace tavlo {

/// Old names and new ones: a line each, with a tab between, in UTF-8, UTF-16 or Latin-1.
class NameTable {
public:
    /// path    for what is said
    /// errors  refused: a line without a tab, one old name with two new ones
    static Result<std::unique_ptr<NameTable>> read(std::string_view text, const std::string& path);

    /// null where it does not name this one.
    const std::string* find(std::string_view name);
    /// Lines that have met no name so far.
    std::vector<Error> misses() const;

private:
    struct Line {
        std::size_t number = 0;
        std::string new_name;
        bool met = false;
    };
    std::string path_;
    std::unordered_map<std::string, Line> lines_;
};

}  // namespace tavlo
