// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include "files/result.h"
#include "names/pattern.h"

namespace tavlo {

/// What a file's own bytes tell about it, by the names that patterns know.
class FileFacts {
public:
    /// The first one told of a name counts; a text that is empty, and a name that is not known, are not
    /// taken.
    void set(std::string_view name, Fact fact);
    /// In the place of what was told.
    void correct(std::string_view name, Fact fact);
    void forget(std::string_view name);
    const Fact* find(std::string_view name) const;
    const std::vector<std::pair<std::string, Fact>>& all() const noexcept { return all_; }
    bool operator==(const FileFacts&) const = default;

private:
    std::vector<std::pair<std::string, Fact>> all_;
};

/// One line: a JSON object, dates as "2031-05-02T09:14:07". Bytes that are no UTF-8 are replaced.
std::string to_json(const FileFacts& facts);
/// A fact as somebody types it: a date with what is known of it, a number, a text.
/// errors  refused: it is none of that kind
Result<Fact> fact_from_text(const KnownFact& known, std::string_view text);
/// errors  corrupt
Result<FileFacts> facts_from_json(std::string_view text);

}  // namespace tavlo
