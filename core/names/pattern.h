#pragma once

#include <cstdint>
#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include "files/result.h"

namespace tavlo {

/// What is known of a thing, as a pattern writes it.
struct Moment {
    std::int64_t ns = 0;  ///< since 1970-01-01 UTC; written in local time
};
using Fact = std::variant<std::string, std::uint64_t, Moment>;
/// Gives a fact by its name; nullopt: not known of this one.
using FactOf = std::function<std::optional<Fact>(std::string_view name)>;

/// Text with fields in braces: `{n:3}-{kind|=other}{ext}`; `{{` and `}}` are braces. The first choice of a field that is known stands
/// there; plain text, after '=', always is. Where none is known there stands "unknown".
class Pattern {
public:
    /// errors  refused: there is no such fact or format, a brace is open; `step` says which and where
    static Result<Pattern> parse(std::string_view text);

    /// ext_may_be_nothing  as in a name: a file without an extension has the empty one, instead of "unknown"
    std::string fill(const FactOf& fact_of, bool ext_may_be_nothing) const;
    bool uses(std::string_view fact) const;

private:
    struct Choice {
        std::string fact;  ///< empty: plain text
        std::string text;  ///< the format, or the plain text
    };
    using Part = std::variant<std::string, std::vector<Choice>>;

    static std::optional<std::string> written(const Choice& choice, const FactOf& fact_of, bool ext_may_be_nothing);
    static Result<Choice> choice_from(std::string_view text, std::size_t place);

    std::vector<Part> parts_;
};

/// The names of all facts that patterns know, with what each says.
struct KnownFact {
    enum class Kind : std::uint8_t { text, number, moment };
    std::string_view name;
    Kind kind;
    std::string_view usual_format;  ///< of a moment, strftime(3)
    std::string_view about;
};
const std::vector<KnownFact>& known_facts();

}  // namespace tavlo
