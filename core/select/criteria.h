// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include "files/result.h"
#include "files/types.h"
#include "select/kinds.h"

namespace tavlo {

enum class Parity : std::uint8_t { any, odd, even };

/// Which files are wanted, as somebody says it; what is not said lets everything through, all that is said
/// must hold.
struct Criteria {
    std::string words{};     ///< a filter line, see NameFilter
    std::string regex{};     ///< RE2 expression, found anywhere in the name
    bool match_case = true;  ///< of words and regex
    /// patterns (glob(7)) on the whole name, case-sensitive: one of them fits
    std::vector<std::string> names{};
    std::vector<std::string> not_names{};             ///< none of them fits
    std::vector<std::string> kinds{};                 ///< one of them
    std::optional<std::uint64_t> larger_than{};       ///< bytes, itself not
    std::optional<std::uint64_t> smaller_than{};      ///< bytes, itself not
    std::optional<std::int64_t> changed_from_ns{};    ///< itself too
    std::optional<std::int64_t> changed_before_ns{};  ///< itself not
    /// a number in the name, its extension left out, lies between, both ends in it
    std::optional<std::pair<std::uint64_t, std::uint64_t>> number{};
    Parity parity = Parity::any;  ///< of the last number in the name, its extension left out
    std::optional<std::uint32_t> owner{};
    bool only_empty = false;  ///< files of no bytes
    /// patterns (glob(7)): nothing in a folder whose whole name fits one of them
    std::vector<std::string> not_below{};

    bool operator==(const Criteria&) const = default;
    /// Nothing is said.
    bool lets_all_through() const;
};

/// Criteria made ready. Immutable, and cheap to copy.
class Selector {
public:
    /// Lets everything through.
    Selector();
    /// errors   refused: an expression that RE2 cannot read, a kind that is not there; `step` says why
    static Result<Selector> make(const Criteria& criteria, const Kinds& kinds);
    bool fits(std::string_view name, const Status& status) const;
    bool may_enter(std::string_view folder) const;  ///< whether what is in a folder of this name is wanted
    bool lets_all_through() const;

private:
    struct Ready;
    std::shared_ptr<const Ready> ready_;
};

}  // namespace tavlo
