// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside job/ only: this header shows nlohmann, which no public one does.

#include <optional>
#include <set>
#include <string>
#include <string_view>
#include <vector>

#include "files/json_bytes.h"
#include "files/result.h"

namespace tavlo {

/// What is wrong with a document. Thrown inside job/, and caught where the whole text is read.
struct Unreadable {
    Error error;
};
[[noreturn]] void unreadable(std::string why, std::string member);

/// The text of a whole document; a member that stands twice in one object is refused.
Json parsed(std::string_view text);

void put_list(Json& json, const std::string& member, const std::vector<std::string>& list);

/// One object's members, each taken once; what is left over is unknown.
class Members {
public:
    /// where  the path of names that leads here, for what is said
    Members(const Json& json, std::string where = {});
    const Json* find(const std::string& name);
    void text(const std::string& name, std::optional<std::string>& out);
    void text(const std::string& name, std::string& out);
    void flag(const std::string& name, bool& out);
    void list(const std::string& name, std::vector<std::string>& out);
    template <class Word, class FromText>
    void word(const std::string& name, Word& out, FromText from_text) {
        std::optional<std::string> given;
        text(name, given);
        if (!given) return;
        const std::optional<Word> known = from_text(*given);
        if (!known) unreadable("does not know '" + *given + "'", named(name));
        out = *known;
    }
    std::string named(const std::string& name) const { return where_.empty() ? name : where_ + "." + name; }
    /// Throws where there is one that was not asked for.
    void end() const;

private:
    const Json& json_;
    std::string where_;
    std::set<std::string> taken_;
};

/// The word for one of an enumeration, and back.
template <class Word, std::size_t count>
const char* word_of(const std::pair<Word, const char*> (&words)[count], Word word) {
    for (const auto& [one, text] : words)
        if (one == word) return text;
    return "";
}

template <class Word, std::size_t count>
auto from_words(const std::pair<Word, const char*> (&words)[count]) {
    return [&words](const std::string& text) -> std::optional<Word> {
        for (const auto& [one, word] : words)
            if (text == word) return one;
        return std::nullopt;
    };
}

/// Runs a reader, and turns what it throws into an error.
template <class Value, class Read>
Result<Value> read_document(Read read) {
    try {
        return read();
    } catch (const Unreadable& what) {
        return failure(what.error);
    } catch (const nlohmann::json::exception& error) {
        return failure(Fault::corrupt, error.what(), "");
    }
}

}  // namespace tavlo
