// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <memory>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include "files/result.h"
#include "files/types.h"
#include "names/pattern.h"

namespace tavlo {

// How a name becomes another one: steps, each on what the one before made. They touch the name without its
// extension, unless whole names are meant.

struct Affix {
    std::string text;
    bool behind = false;
    bool operator==(const Affix&) const = default;
};
/// Each `what`, plain text.
struct Replace {
    std::string what;
    std::string with;
    bool operator==(const Replace&) const = default;
};
/// Each match of an RE2 expression; \1 and so on in `with`.
struct ReplaceRegex {
    std::string expression;
    std::string with;
    bool operator==(const ReplaceRegex&) const = default;
};
struct LetterCase {
    enum class To : std::uint8_t { lower, upper, title };
    To to = To::lower;
    bool operator==(const LetterCase&) const = default;
};
/// Numbers keep at least their count of digits: "007" and 1 make "008", "99" makes "100".
struct AddToNumbers {
    enum class Which : std::uint8_t { all, first, last };
    std::int64_t by = 0;
    Which which = Which::all;
    bool operator==(const AddToNumbers&) const = default;
};
/// Without its dot; "lower" and "upper" change the case of the one that is there, the empty one takes it
/// away. A folder has none, and stays.
struct Extension {
    std::string text;
    bool operator==(const Extension&) const = default;
};
/// The whole name anew, by a pattern.
struct NameAs {
    std::string pattern;
    bool operator==(const NameAs&) const = default;
};
/// Whole names by a table: old name, tab, new name, a line each. What it does not name stays.
struct NamesFrom {
    std::string file;
    bool operator==(const NamesFrom&) const = default;
};
using NameStep =
    std::variant<Affix, Replace, ReplaceRegex, LetterCase, AddToNumbers, Extension, NameAs, NamesFrom>;

struct Naming {
    std::vector<NameStep> steps{};
    bool whole_names = false;
    std::uint64_t count_from = 1;  ///< of {n}
    std::uint64_t count_by = 1;
    bool operator==(const Naming&) const = default;
    bool empty() const { return steps.empty(); }
};

/// Naming made ready.
class Namer {
public:
    /// read_file  gives the bytes of a table
    /// errors  refused: a step that means nothing, `path` is its name ("replace_regex"); what the table says
    ///         wrong; as read_file
    static Result<Namer> make(const Naming& naming,
                              const std::function<Result<std::string>(const std::string&)>& read_file);
    ~Namer();
    Namer(Namer&&) noexcept;
    Namer& operator=(Namer&&) noexcept;

    /// A fact of the thing at hand, under the name that the steps so far have made.
    using FactUnder = std::function<std::optional<Fact>(std::string_view fact, std::string_view name)>;
    /// errors  refused: a number would fall below 0
    Result<std::string> name(std::string_view name, FileType type, const FactUnder& fact_of);
    /// Lines of tables that have met no name so far.
    std::vector<Error> misses() const;

private:
    struct Ready;
    explicit Namer(std::unique_ptr<Ready> ready);
    std::unique_ptr<Ready> ready_;
};

}  // namespace tavlo
