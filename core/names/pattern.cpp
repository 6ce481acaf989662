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

const KnownFact* known(std::string_view name) {
    const auto& all = known_facts();
    const auto found = std::find_if(all.begin(), all.end(), [&](const KnownFact& one) { return one.name == name; });
    return found == all.end() ? nullptr : &*found;
}

std::string names_of_facts() {
    std::string names;
    for (const KnownFact& one : known_facts()) names += (names.empty() ? "" : ", ") + std::string(one.name);
    return names;
}

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

std::string in_local_time(std::string_view format, std::int64_t ns) {
    constexpr std::int64_t second = 1'000'000'000;
    const auto seconds = static_cast<std::time_t>(ns / second - (ns % second < 0 ? 1 : 0));
    std::tm time{};
    ::localtime_r(&seconds, &time);
    std::string text(512, '\0');
    text.resize(std::strftime(text.data(), text.size(), std::string(format).c_str(), &time));
    return text;
}

std::string formatted(const std::string& text, std::string_view format) {
    if (format == "upper") return upper_case(text);
    if (format == "lower") return lower_case(text);
    if (format == "first") return text.substr(0, code_point_length(text, 0));
    return text;
}

/// What a value may not bring into a name: control characters and '/', but for the one fact that makes levels.
std::string cleaned(std::string value, bool makes_levels) {
    for (char& c : value)
        if (static_cast<unsigned char>(c) < ' ' || c == '\x7f' || (c == '/' && !makes_levels)) c = '_';
    const auto first = value.find_first_not_of(' ');
    if (first == std::string::npos) return {};
    return value.substr(first, value.find_last_not_of(' ') - first + 1);
}

}  // namespace

const std::vector<KnownFact>& known_facts() {
    static const std::vector<KnownFact> all{
        {"name", Kind::text, {}, "without its extension"},
        {"ext", Kind::text, {}, "the extension with its dot"},
        {"initial", Kind::text, {}, "the first character: a letter as capital without its marks, a digit as 0-9, anything else as #"},
        {"kind", Kind::text, {}, "the word of the kind filter: pictures, ..."},
        {"folder", Kind::text, {}, "the folder it lies in"},
        {"folders", Kind::text, {}, "the folders between SOURCE and it"},
        {"changed", Kind::moment, "%Y-%m-%d", "date of change"},
        {"date", Kind::moment, "%Y-%m-%d", "the same"},
        {"time", Kind::moment, "%H-%M-%S", "time of change"},
        {"owner", Kind::text, {}, "user name"},
        {"size", Kind::number, {}, "bytes"},
        {"number", Kind::number, {}, "the last number in the name"},
        {"n", Kind::number, {}, "counter in the batch's order"},
        {"now", Kind::moment, "%Y-%m-%d", "the start of the run"},
    };
    return all;
}

Result<Pattern::Choice> Pattern::choice_from(std::string_view text, std::size_t place) {
    if (text.starts_with('=')) return Choice{{}, std::string(text.substr(1))};
    const auto colon = text.find(':');
    const auto name = text.substr(0, colon);
    const KnownFact* fact = known(name);
    if (fact == nullptr)
        return failure(Fault::refused,
                       fmt::format("knows no fact '{}', at character {}; there are {}", printable(name), place + 1, names_of_facts()), "");
    if (colon == std::string_view::npos) return Choice{std::string(name), std::string(fact->usual_format)};
    const auto format = text.substr(colon + 1);
    if (!is_format(fact->kind, format))
        return failure(Fault::refused,
                       fmt::format("knows no format '{}' of {}, at character {}", printable(format), name, place + name.size() + 2), "");
    return Choice{std::string(name), std::string(format)};
}

Result<Pattern> Pattern::parse(std::string_view text) {
    Pattern pattern;
    std::string plain;
    for (std::size_t at = 0; at < text.size(); ++at) {
        const bool is_doubled = at + 1 < text.size() && text[at + 1] == text[at];
        if (text[at] != '{' && text[at] != '}') {
            plain += text[at];
        } else if (is_doubled) {
            plain += text[at++];
        } else if (text[at] == '}') {
            return failure(Fault::refused, fmt::format("has a '}}' that closes nothing, at character {}", at + 1), "");
        } else {
            const auto close = text.find('}', at);
            if (close == std::string_view::npos)
                return failure(Fault::refused, fmt::format("has an open brace, at character {}", at + 1), "");
            if (!plain.empty()) pattern.parts_.emplace_back(std::exchange(plain, {}));
            std::vector<Choice> choices;
            for (std::size_t from = at + 1; from <= close;) {
                const auto end = std::min(text.find('|', from), close);
                auto choice = choice_from(text.substr(from, end - from), from);
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

std::optional<std::string> Pattern::written(const Choice& choice, const FactOf& fact_of, bool ext_may_be_nothing) {
    if (choice.fact.empty()) return choice.text;
    const auto fact = fact_of(choice.fact);
    const bool is_nothing = ext_may_be_nothing && choice.fact == "ext";
    if (!fact) return is_nothing ? std::optional(std::string()) : std::nullopt;
    std::string value;
    if (const auto* text = std::get_if<std::string>(&*fact)) value = formatted(*text, choice.text);
    if (const auto* number = std::get_if<std::uint64_t>(&*fact))
        value = fmt::format("{:0{}}", *number, digits_from(choice.text).value_or(1));
    if (const auto* moment = std::get_if<Moment>(&*fact)) value = in_local_time(choice.text, moment->ns);
    value = cleaned(std::move(value), choice.fact == "folders");
    return value.empty() && !is_nothing ? std::nullopt : std::optional(std::move(value));
}

std::string Pattern::fill(const FactOf& fact_of, bool ext_may_be_nothing) const {
    std::string out;
    for (const Part& part : parts_) {
        if (const auto* plain = std::get_if<std::string>(&part)) {
            out += *plain;
            continue;
        }
        std::optional<std::string> value;
        for (const Choice& choice : std::get<std::vector<Choice>>(part)) {
            value = written(choice, fact_of, ext_may_be_nothing);
            if (value) break;
        }
        out += value.value_or("unknown");
    }
    return out;
}

bool Pattern::uses(std::string_view fact) const {
    return std::any_of(parts_.begin(), parts_.end(), [&](const Part& part) {
        const auto* choices = std::get_if<std::vector<Choice>>(&part);
        return choices != nullptr && std::any_of(choices->begin(), choices->end(), [&](const Choice& one) { return one.fact == fact; });
    });
}

}  // namespace tavlo
