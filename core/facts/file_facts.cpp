// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "facts/file_facts.h"

#include <algorithm>
#include <charconv>

#include "files/json_bytes.h"
#include "files/path.h"

namespace tavlo {

namespace {

std::optional<Fact> fact_from(const KnownFact& known, const Json& json) {
    if (json.is_number_unsigned() && known.kind == KnownFact::Kind::number) return json.get<std::uint64_t>();
    const auto* text = json.get_ptr<const std::string*>();
    if (text == nullptr || known.kind == KnownFact::Kind::number) return std::nullopt;
    if (known.kind == KnownFact::Kind::text) return *text;
    const auto moment = moment_from(*text);
    return moment ? std::optional<Fact>(*moment) : std::nullopt;
}

}  // namespace

void FileFacts::set(std::string_view name, Fact fact) {
    const auto* text = std::get_if<std::string>(&fact);
    if ((text != nullptr && text->empty()) || find(name) != nullptr || known_fact(name) == nullptr) return;
    all_.emplace_back(name, std::move(fact));
}

void FileFacts::correct(std::string_view name, Fact fact) {
    forget(name);
    set(name, std::move(fact));
}

void FileFacts::forget(std::string_view name) {
    std::erase_if(all_, [&](const auto& one) { return one.first == name; });
}

Result<Fact> fact_from_text(const KnownFact& known, std::string_view text) {
    if (text.empty()) return failure(Fault::refused, "is empty", "");
    switch (known.kind) {
        case KnownFact::Kind::text: return Fact(std::string(text));
        case KnownFact::Kind::number: {
            std::uint64_t number = 0;
            const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), number);
            if (error == std::errc{} && end == text.data() + text.size()) return Fact(number);
            return failure(Fault::refused, "wants a number, not '" + printable(text) + "'", "");
        }
        case KnownFact::Kind::moment:
            if (const auto moment = moment_from(text)) return Fact(*moment);
            return failure(Fault::refused,
                           "wants a date as 2031-05-02, or 2031, not '" + printable(text) + "'", "");
    }
    return failure(Fault::refused, "is not known", "");
}

const Fact* FileFacts::find(std::string_view name) const {
    const auto found =
        std::find_if(all_.begin(), all_.end(), [&](const auto& one) { return one.first == name; });
    return found == all_.end() ? nullptr : &found->second;
}

std::string to_json(const FileFacts& facts) {
    Json json = Json::object();
    for (const auto& [name, fact] : facts.all()) {
        if (const auto* text = std::get_if<std::string>(&fact)) json[name] = *text;
        if (const auto* number = std::get_if<std::uint64_t>(&fact)) json[name] = *number;
        if (const auto* moment = std::get_if<Moment>(&fact)) json[name] = written(*moment);
    }
    return json.dump(-1, ' ', false, Json::error_handler_t::replace);
}

Result<FileFacts> facts_from_json(std::string_view text) {
    const Json json = Json::parse(text.begin(), text.end(), nullptr, false);
    if (!json.is_object()) return failure(Fault::corrupt, "are no facts", "");
    FileFacts facts;
    for (const auto& [name, value] : json.items())
        if (const KnownFact* known = known_fact(name))
            if (auto fact = fact_from(*known, value)) facts.set(name, std::move(*fact));
    return facts;
}

}  // namespace tavlo
