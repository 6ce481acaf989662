// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "facts/fact_wish.h"

#include <fmt/format.h>

#include "files/path.h"
#include "select/name_filter.h"

namespace tavlo {

bool FactWish::fits(const std::optional<Fact>& found) const {
    const auto text = found ? as_in_a_name(*fact, *found) : std::nullopt;
    return text && glob_matches(glob, *text);
}

Result<std::vector<FactWish>> fact_wishes_from(const std::vector<std::string>& texts) {
    std::vector<FactWish> wishes;
    for (const auto& text : texts) {
        const auto equals = text.find('=');
        if (equals == std::string::npos)
            return failure(Fault::refused, fmt::format("wants FACT=GLOB, not '{}'", printable(text)), "with");
        const std::string name = text.substr(0, equals);
        const KnownFact* fact = known_fact(name);
        if (fact == nullptr) return failure(Fault::refused, unknown_fact(name), "with");
        if (name == "n" || name == "now")
            return failure(Fault::refused, fmt::format("'{}' is no fact of a file", name), "with");
        wishes.push_back({fact, text.substr(equals + 1)});
    }
    return wishes;
}

}  // namespace tavlo
