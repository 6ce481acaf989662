// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include "files/result.h"

namespace tavlo {

/// What is known of a thing, as a pattern writes it.
struct Moment {
    std::int64_t ns = 0;      ///< since 1970-01-01 UTC; written in local time
    bool as_written = false;  ///< what stands in a file, without arithmetic on time zones: `ns` and what is
                              ///< written are as if in UTC
    bool operator==(const Moment&) const = default;
};
/// A date as files have it: year, then what is told of month, day, hour, minute, second, whatever stands
/// between ("2031:05:02 09:14:07", "D:20310502"); what comes behind is not looked at. nullopt: it is none
std::optional<Moment> moment_from(std::string_view text);
/// "2031-05-02T09:14:07"
std::string written(Moment moment);

using Fact = std::variant<std::string, std::uint64_t, Moment>;
/// Gives a fact by its name; nullopt: not known of this one.
using FactOf = std::function<std::optional<Fact>(std::string_view name)>;

struct KnownFact;

/// Text with fields in braces: `{n:3}-{kind|=other}{ext}`; `{{` and `}}` are braces. The first choice of a
/// field that is known stands there; plain text, after '=', always is. Where none is known there stands
/// "unknown".
class Pattern {
public:
    /// errors  refused: there is no such fact or format, a brace is open; `step` says which and where
    /// known   the facts there are
    static Result<Pattern> parse(std::string_view text, std::span<const KnownFact> known);
    static Result<Pattern> parse(std::string_view text);

    /// The same, of folders, one in the other: levels with '/' between.
    /// errors  as parse(); a level is empty
    static Result<Pattern> parse_folders(std::string_view text);

    /// ext_may_be_nothing  as in a name: a file without an extension has the empty one, instead of "unknown"
    std::string fill(const FactOf& fact_of, bool ext_may_be_nothing) const;
    /// A folder for a thing: "2031/Thurso"; levels that come out empty are left out, and none is "." or "..".
    std::string fill_folders(const FactOf& fact_of) const;
    /// As a line of a text: values stand there as they are, but for line feeds, which become spaces.
    std::string fill_line(const FactOf& fact_of) const;
    bool uses(std::string_view fact) const;
    bool uses_file_facts() const;  ///< one that only the file's own bytes tell

private:
    struct Choice {
        std::string fact;  ///< empty: plain text
        std::string text;  ///< the format, or the plain text
    };
    using Part = std::variant<std::string, std::vector<Choice>>;

    static std::optional<std::string> value_of(const Choice& choice, const FactOf& fact_of,
                                               bool ext_may_be_nothing);
    static Result<Choice> choice_from(std::string_view text, std::size_t place,
                                      std::span<const KnownFact> known);

    std::vector<Part> parts_;
};

/// The names of all facts that patterns know, with what each says.
struct KnownFact {
    enum class Kind : std::uint8_t { text, number, moment };
    /// Which files have it; all of them by their name and look, the others by what is in them.
    enum class Of : std::uint8_t { all, pictures, sound, documents };
    std::string_view name;
    Kind kind;
    Of of;
    std::string_view usual_format;  ///< of a moment, strftime(3)
    std::string_view about;
};
const std::vector<KnownFact>& known_facts();
std::string unknown_fact(std::string_view name);  ///< what is said of a name that is none
/// null: there is none of that name
const KnownFact* known_fact(std::string_view name);
/// A fact as it stands in a name where no format is asked for; nullopt: it comes out empty.
std::optional<std::string> as_in_a_name(const KnownFact& known, const Fact& fact);

}  // namespace tavlo
