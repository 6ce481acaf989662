// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <optional>

#include "job/job_members.h"

namespace tavlo {

namespace {

constexpr std::pair<LetterCase::To, const char*> case_words[] = {
    {LetterCase::To::lower, "lower"}, {LetterCase::To::upper, "upper"}, {LetterCase::To::title, "title"}};
constexpr std::pair<AddToNumbers::Which, const char*> which_words[] = {{AddToNumbers::Which::all, "all"},
                                                                       {AddToNumbers::Which::first, "first"},
                                                                       {AddToNumbers::Which::last, "last"}};

void put_pair(Json& json, const char* member, const std::string& first, const std::string& second) {
    put_list(json, member, {first, second});
}

struct Put {
    Json& out;

    void operator()(const Affix& step) const { put_bytes(out, step.behind ? "suffix" : "prefix", step.text); }
    void operator()(const Replace& step) const { put_pair(out, "replace", step.what, step.with); }
    void operator()(const ReplaceRegex& step) const {
        put_pair(out, "replace_regex", step.expression, step.with);
    }
    void operator()(const LetterCase& step) const { out["case"] = word_of(case_words, step.to); }
    void operator()(const AddToNumbers& step) const {
        out["add_to_numbers"] = step.by;
        if (step.which != AddToNumbers::Which::all) out["which_numbers"] = word_of(which_words, step.which);
    }
    void operator()(const Extension& step) const { put_bytes(out, "extension", step.text); }
    void operator()(const NameAs& step) const { put_bytes(out, "name_as", step.pattern); }
    void operator()(const NamesFrom& step) const { put_bytes(out, "names_from", step.file); }
};

/// Two texts, where there is such a member.
std::optional<std::pair<std::string, std::string>> pair_in(Members& members, const char* member) {
    std::vector<std::string> texts;
    members.list(member, texts);
    if (texts.empty() && members.find(member) == nullptr) return std::nullopt;
    if (texts.size() != 2) unreadable("wants two texts", members.named(member));
    return std::pair(texts[0], texts[1]);
}

template <class Number>
bool number_in(Members& members, const char* member, Number& out) {
    const Json* found = members.find(member);
    if (found == nullptr) return false;
    const bool fits = found->is_number_integer() && (std::is_signed_v<Number> || found->is_number_unsigned());
    if (!fits) unreadable("wants a whole number", members.named(member));
    out = found->get<Number>();
    return true;
}

NameStep step_from(Members& members) {
    std::vector<NameStep> found;
    std::optional<std::string> text;
    const auto has = [&](const char* member) {
        text.reset();
        members.text(member, text);
        return text.has_value();
    };
    if (has("prefix")) found.emplace_back(Affix{*text, false});
    if (has("suffix")) found.emplace_back(Affix{*text, true});
    if (const auto texts = pair_in(members, "replace"))
        found.emplace_back(Replace{texts->first, texts->second});
    if (const auto texts = pair_in(members, "replace_regex"))
        found.emplace_back(ReplaceRegex{texts->first, texts->second});
    if (members.find("case") != nullptr) {
        LetterCase step;
        members.word("case", step.to, from_words(case_words));
        found.emplace_back(step);
    }
    AddToNumbers numbers;
    if (number_in(members, "add_to_numbers", numbers.by)) {
        members.word("which_numbers", numbers.which, from_words(which_words));
        found.emplace_back(numbers);
    }
    if (has("extension")) found.emplace_back(Extension{*text});
    if (has("name_as")) found.emplace_back(NameAs{*text});
    if (has("names_from")) found.emplace_back(NamesFrom{*text});
    members.end();
    if (found.size() != 1) unreadable("wants one step in each of its objects", "names");
    return found.front();
}

}  // namespace

void put_naming(Json& json, const Naming& naming) {
    for (const NameStep& step : naming.steps) {
        Json one;
        std::visit(Put{one}, step);
        json["names"].push_back(std::move(one));
    }
    if (naming.whole_names) json["whole_names"] = true;
    if (naming.count_from != 1) json["count_from"] = naming.count_from;
    if (naming.count_by != 1) json["count_by"] = naming.count_by;
}

Naming read_naming(Members& members) {
    Naming naming;
    if (const Json* found = members.find("names")) {
        if (!found->is_array()) unreadable("wants a list of steps", members.named("names"));
        for (const Json& one : *found) {
            Members step(one, members.named("names"));
            // what says which numbers may stand behind its step too
            const bool is_behind = one.size() == 1 && one.contains("which_numbers");
            auto* before = naming.steps.empty() ? nullptr : std::get_if<AddToNumbers>(&naming.steps.back());
            if (is_behind && before == nullptr)
                unreadable("stands behind no add_to_numbers", step.named("which_numbers"));
            if (is_behind)
                step.word("which_numbers", before->which, from_words(which_words));
            else
                naming.steps.push_back(step_from(step));
        }
    }
    members.flag("whole_names", naming.whole_names);
    number_in(members, "count_from", naming.count_from);
    number_in(members, "count_by", naming.count_by);
    return naming;
}

}  // namespace tavlo
