// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "files/result.h"
#include "select/criteria.h"

namespace tavlo {

/// Which files are wanted, in the words of whoever asks; so "30d" stays thirty days before it is asked,
/// whenever that is. Each is named as `tavloctl` names it (docs/contract.md), with '_' for '-'.
struct CriteriaText {
    std::vector<std::string> name{};
    std::vector<std::string> not_name{};
    std::vector<std::string> kind{};
    std::optional<std::string> larger{};
    std::optional<std::string> smaller{};
    std::optional<std::string> changed_after{};
    std::optional<std::string> changed_before{};
    std::optional<std::string> regex{};
    std::optional<std::string> number{};
    std::vector<std::string> with{};      ///< facts, see fact_wishes_from()
    std::optional<std::string> filter{};  ///< a filter line, see NameFilter; case does not matter

    bool operator==(const CriteriaText&) const = default;
    /// Nothing is said.
    bool empty() const { return *this == CriteriaText{}; }
};

/// What the words mean at a time.
/// now_ns  that "30d" is counted from
/// errors  refused: `path` is the name of what cannot be read ("changed_after"), `step` what it wants instead
Result<Criteria> criteria_from(const CriteriaText& text, std::int64_t now_ns);

}  // namespace tavlo
