// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/pattern.h"

#include <fmt/format.h>

#include <algorithm>
#include <ctime>

#include "files/path.h"
#include "names/letters.h"

namespace tavlo {

namespace {

using Kind = KnownFact::Kind;
constexpr std::size_t most_digits = 255;  // no name has more

std::optional<std::size_t> digits_from(std::string_view text) {
    std::size_t digits = 0;
    for (const char c : text) {
        if (c < '0' || c > '9') return std::nullopt;
        digits = digits * 10 + static_cast<std::size_t>(c - '0');
        if (digits > most_digits) return std::nullopt;
    }
    return text.empty() ? std::nullopt : std::optional(digits);
}

bool is_format(Kind kind, std::string_view format) {
    switch (kind) {
        case Kind::text: return format == "upper" || format == "lower" || format == "first";
        case Kind::number: return digits_from(format).has_value();
        case Kind::moment: return format.find('%') != std::string_view::npos;
    }
    return false;
}

constexpr std::int64_t second = 1'000'000'000;

/// strftime(3) knows no quarter; date(1) calls it %q.
std::string with_quarter(std::string_view format, const std::tm& time) {
    std::string out;
    for (std::size_t at = 0; at < format.size(); ++at) {
        const std::string_view two = format.substr(at, 2);
        if (two == "%q")
            out += std::to_string(time.tm_mon / 3 + 1);
        else
            out += two.front() == '%' ? two : two.substr(0, 1);
        if (two.size() == 2 && two.front() == '%') ++at;
    }
    return out;
}

std::string formatted(Moment moment, std::string_view format) {
    const auto seconds = static_cast<std::time_t>(moment.ns / second - (moment.ns % second < 0 ? 1 : 0));
    std::tm time{};
    moment.as_written ? ::gmtime_r(&seconds, &time) : ::localtime_r(&seconds, &time);
    std::string text(512, '\0');
    text.resize(std::strftime(text.data(), text.size(), with_quarter(format, time).c_str(), &time));
    return text;
}

std::string formatted(const std::string& text, std::string_view format) {
    if (format == "upper") return upper_case(text);
    if (format == "lower") return lower_case(text);
    if (format == "first") return text.substr(0, code_point_length(text, 0));
    return text;
}

/// What a value may not bring into a name: control characters and '/', but for the one fact that makes
/// levels.
std::string cleaned(std::string value, bool makes_levels) {
    for (char& c : value)
        if (static_cast<unsigned char>(c) < ' ' || c == '\x7f' || (c == '/' && !makes_levels)) c = '_';
    const auto first = value.find_first_not_of(' ');
    if (first == std::string::npos) return {};
    return value.substr(first, value.find_last_not_of(' ') - first + 1);
}

std::string formatted(const Fact& fact, std::string_view format) {
    if (const auto* text = std::get_if<std::string>(&fact)) return formatted(*text, format);
    if (const auto* number = std::get_if<std::uint64_t>(&fact))
        return fmt::format("{:0{}}", *number, digits_from(format).value_or(1));
    return formatted(std::get<Moment>(fact), format);
}

constexpr std::string_view makes_levels = "folders";

}  // namespace

std::optional<Moment> moment_from(std::string_view text) {
    const auto digit = [&](std::size_t at) { return at < text.size() && text[at] >= '0' && text[at] <= '9'; };
    std::size_t at = std::min(text.find_first_of("0123456789"), text.size());
    const auto field = [&](std::size_t digits, int usual) -> std::optional<int> {
        if (at < text.size() && !digit(at) &&
            std::string_view(":-/.T ").find(text[at]) != std::string_view::npos)
            ++at;
        if (!digit(at)) return usual;
        int value = 0;
        for (std::size_t end = at + digits; at < end; ++at) {
            if (!digit(at)) return std::nullopt;
            value = value * 10 + (text[at] - '0');
        }
        return value;
    };
    std::tm time{};
    const auto year = field(4, 0);
    const auto month = field(2, 1);
    const auto day = field(2, 1);
    const auto hour = field(2, 0);
    const auto minute = field(2, 0);
    const auto seconds = field(2, 0);
    if (!year || !month || !day || !hour || !minute || !seconds || *year == 0 || *month == 0)
        return std::nullopt;
    if (*hour > 23 || *minute > 59 || *seconds > 60) return std::nullopt;
    time.tm_year = *year - 1900;
    time.tm_mon = *month - 1;
    time.tm_mday = *day;
    time.tm_hour = *hour;
    time.tm_min = *minute;
    time.tm_sec = std::min(*seconds, 59);
    const std::time_t since = ::timegm(&time);  // which puts the 31st of April into May
    if (time.tm_mon != *month - 1 || time.tm_mday != *day) return std::nullopt;
    constexpr std::time_t farthest = INT64_MAX / second;
    if (since > farthest || since < -farthest) return std::nullopt;
    return Moment{static_cast<std::int64_t>(since) * second, true};
}

std::string written(Moment moment) { return formatted(moment, "%Y-%m-%dT%H:%M:%S"); }

namespace {

std::string unknown_among(std::string_view name, std::span<const KnownFact> known) {
    std::string names;
    for (const KnownFact& one : known) names += (names.empty() ? "" : ", ") + std::string(one.name);
    return fmt::format("knows no fact '{}'; there are {}", printable(name), names);
}

}  // namespace

std::string unknown_fact(std::string_view name) { return unknown_among(name, known_facts()); }

const KnownFact* known_fact(std::string_view name) {
    const auto& all = known_facts();
    const auto found =
        std::find_if(all.begin(), all.end(), [&](const KnownFact& one) { return one.name == name; });
    return found == all.end() ? nullptr : &*found;
}

std::optional<std::string> as_in_a_name(const KnownFact& known, const Fact& fact) {
    auto value = cleaned(formatted(fact, known.usual_format), known.name == makes_levels);
    return value.empty() ? std::nullopt : std::optional(std::move(value));
}

const std::vector<KnownFact>& known_facts() {
    using Of = KnownFact::Of;
    static const std::vector<KnownFact> all{
        {"name", Kind::text, Of::all, {}, "without its extension"},
        {"ext", Kind::text, Of::all, {}, "the extension with its dot"},
        {"initial",
         Kind::text,
         Of::all,
         {},
         "the first character: a letter as capital without its marks, a digit as 0-9, anything else as #"},
        {"kind", Kind::text, Of::all, {}, "the word of the kind filter: pictures, ..."},
        {"folder", Kind::text, Of::all, {}, "the folder it lies in"},
        {"folders", Kind::text, Of::all, {}, "the folders between SOURCE and it"},
        {"changed", Kind::moment, Of::all, "%Y-%m-%d", "date of change"},
        {"date", Kind::moment, Of::all, "%Y-%m-%d", "the same"},
        {"time", Kind::moment, Of::all, "%H-%M-%S", "time of change"},
        {"owner", Kind::text, Of::all, {}, "user name"},
        {"size", Kind::number, Of::all, {}, "bytes"},
        {"number", Kind::number, Of::all, {}, "the last number in the name"},
        {"n", Kind::number, Of::all, {}, "counter in the batch's order"},
        {"now", Kind::moment, Of::all, "%Y-%m-%d", "the start of the run"},
        {"taken", Kind::moment, Of::pictures, "%Y-%m-%d", "when a picture was taken, as written in it"},
        {"camera", Kind::text, Of::pictures, {}, "make and model"},
        {"country",
         Kind::text,
         Of::pictures,
         {},
         "of the nearest place to where it was taken, within 300 km"},
        {"town", Kind::text, Of::pictures, {}, "the nearest place, within 50 km"},
        {"width", Kind::number, Of::pictures, {}, "pixels, as shown"},
        {"height", Kind::number, Of::pictures, {}, "pixels, as shown"},
        {"artist", Kind::text, Of::sound, {}, "of a piece of sound"},
        {"album", Kind::text, Of::sound, {}, "that it is of"},
        {"title", Kind::text, Of::sound, {}, "of a piece of sound, or of a document"},
        {"genre", Kind::text, Of::sound, {}, "of a piece of sound"},
        {"year", Kind::number, Of::sound, {}, "of a piece of sound"},
        {"track", Kind::number, Of::sound, {}, "its number on the album"},
        {"author", Kind::text, Of::documents, {}, "of a document"},
        {"company", Kind::text, Of::documents, {}, "of a document"},
        {"subject", Kind::text, Of::documents, {}, "of a document"},
        {"created", Kind::moment, Of::documents, "%Y-%m-%d", "when a document was begun, as written in it"},
    };
    return all;
}

Result<Pattern::Choice> Pattern::choice_from(std::string_view text, std::size_t place,
                                             std::span<const KnownFact> known) {
    if (text.starts_with('=')) return Choice{{}, std::string(text.substr(1))};
    const auto colon = text.find(':');
    const auto name = text.substr(0, colon);
    const auto fact =
        std::find_if(known.begin(), known.end(), [&](const KnownFact& one) { return one.name == name; });
    if (fact == known.end())
        return failure(Fault::refused,
                       fmt::format("{} (at character {})", unknown_among(name, known), place + 1), "");
    if (colon == std::string_view::npos) return Choice{std::string(name), std::string(fact->usual_format)};
    const auto format = text.substr(colon + 1);
    if (!is_format(fact->kind, format))
        return failure(Fault::refused,
                       fmt::format("knows no format '{}' of {}, at character {}", printable(format), name,
                                   place + name.size() + 2),
                       "");
    return Choice{std::string(name), std::string(format)};
}

Result<Pattern> Pattern::parse(std::string_view text) { return parse(text, known_facts()); }

Result<Pattern> Pattern::parse(std::string_view text, std::span<const KnownFact> known) {
    Pattern pattern;
    std::string plain;
    for (std::size_t at = 0; at < text.size(); ++at) {
        const bool is_doubled = at + 1 < text.size() && text[at + 1] == text[at];
        if (text[at] != '{' && text[at] != '}') {
            plain += text[at];
        } else if (is_doubled) {
            plain += text[at++];
        } else if (text[at] == '}') {
            return failure(Fault::refused,
                           fmt::format("has a '}}' that closes nothing, at character {}", at + 1), "");
        } else {
            const auto close = text.find('}', at);
            if (close == std::string_view::npos)
                return failure(Fault::refused, fmt::format("has an open brace, at character {}", at + 1), "");
            if (!plain.empty()) pattern.parts_.emplace_back(std::exchange(plain, {}));
            std::vector<Choice> choices;
            for (std::size_t from = at + 1; from <= close;) {
                const auto end = std::min(text.find('|', from), close);
                auto choice = choice_from(text.substr(from, end - from), from, known);
                if (!choice) return failure(choice.error());
                choices.push_back(std::move(*choice));
                from = end + 1;
            }
            pattern.parts_.emplace_back(std::move(choices));
            at = close;
        }
    }
    if (!plain.empty()) pattern.parts_.emplace_back(std::move(plain));
    return pattern;
}

namespace {

/// Where a level of a text of folders is empty; npos: none is.
std::size_t empty_level(std::string_view text) {
    for (std::size_t from = 0; from <= text.size();) {
        const auto end = std::min(text.find('/', from), text.size());
        if (end == from) return from;
        from = end + 1;
    }
    return std::string_view::npos;
}

}  // namespace

Result<Pattern> Pattern::parse_folders(std::string_view text) {
    auto pattern = parse(text);
    if (!pattern) return pattern;
    std::string outline;  // with something in the place of each field; as long as the text where it is plain
    bool in_field = false;
    for (const char c : text) {
        if (c == '{' || c == '}') in_field = c == '{';
        outline += in_field ? 'x' : c;
    }
    if (const auto at = empty_level(outline); at != std::string_view::npos)
        return failure(Fault::refused, fmt::format("has an empty level, at character {}", at + 1), "");
    return pattern;
}

std::optional<std::string> Pattern::value_of(const Choice& choice, const FactOf& fact_of,
                                             bool ext_may_be_nothing) {
    if (choice.fact.empty()) return choice.text;
    const auto fact = fact_of(choice.fact);
    const bool is_nothing = ext_may_be_nothing && choice.fact == "ext";
    if (!fact) return is_nothing ? std::optional(std::string()) : std::nullopt;
    std::string value = cleaned(formatted(*fact, choice.text), choice.fact == makes_levels);
    return value.empty() && !is_nothing ? std::nullopt : std::optional(std::move(value));
}

namespace {

/// value_of  what a choice comes to; the first that comes to something stands there
/// unknown   what stands there where none does
template <class Parts, class ValueOf, class Unknown>
std::string filled(const Parts& parts, ValueOf value_of, Unknown unknown) {
    std::string out;
    for (const auto& part : parts) {
        if (const auto* plain = std::get_if<0>(&part)) {
            out += *plain;
            continue;
        }
        const auto& choices = std::get<1>(part);
        std::optional<std::string> value;
        for (auto choice = choices.begin(); choice != choices.end() && !value; ++choice)
            value = value_of(*choice);
        out += value ? *value : unknown(choices);
    }
    return out;
}

}  // namespace

std::string Pattern::fill(const FactOf& fact_of, bool ext_may_be_nothing) const {
    const auto value = [&](const Choice& choice) { return value_of(choice, fact_of, ext_may_be_nothing); };
    // a thing that lies in no folder is not one of which the folder is unknown
    const auto unknown = [](const std::vector<Choice>& choices) {
        const auto is_folders = [](const Choice& choice) { return choice.fact == makes_levels; };
        return std::any_of(choices.begin(), choices.end(), is_folders) ? "" : "unknown";
    };
    return filled(parts_, value, unknown);
}

std::string Pattern::fill_line(const FactOf& fact_of) const {
    const auto value = [&](const Choice& choice) -> std::optional<std::string> {
        if (choice.fact.empty()) return choice.text;
        const auto fact = fact_of(choice.fact);
        return fact ? std::optional(formatted(*fact, choice.text)) : std::nullopt;
    };
    std::string out = filled(parts_, value, [](const std::vector<Choice>&) { return "unknown"; });
    std::replace(out.begin(), out.end(), '\n', ' ');
    return out;
}

std::string Pattern::fill_folders(const FactOf& fact_of) const {
    const std::string filled = fill(fact_of, false);
    std::string out;
    for (std::size_t from = 0; from <= filled.size();) {
        const auto end = std::min(filled.find('/', from), filled.size());
        const std::string level = filled.substr(from, end - from);
        from = end + 1;
        if (level.empty()) continue;
        if (!out.empty()) out += '/';
        out += level == "." || level == ".." ? "_" : level;
    }
    return out;
}

bool Pattern::uses_file_facts() const {
    const auto& all = known_facts();
    return std::any_of(all.begin(), all.end(),
                       [&](const KnownFact& one) { return one.of != KnownFact::Of::all && uses(one.name); });
}

bool Pattern::uses(std::string_view fact) const {
    return std::any_of(parts_.begin(), parts_.end(), [&](const Part& part) {
        const auto* choices = std::get_if<std::vector<Choice>>(&part);
        return choices != nullptr && std::any_of(choices->begin(), choices->end(),
                                                 [&](const Choice& one) { return one.fact == fact; });
    });
}

}  // namespace tavlo
