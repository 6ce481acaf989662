// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "name_steps.h"

#include <algorithm>
#include <charconv>

#include "files/path.h"
#include "files/small_file.h"
#include "paths.h"

using namespace tavlo;

namespace {

struct KnownStep {
    const char* name;
    std::size_t values;
    const char* left;
    const char* help;
};
constexpr KnownStep steps[] = {
    {"--prefix", 1, "--prefix TEXT", "put in front"},
    {"--suffix", 1, "--suffix TEXT", "put behind"},
    {"--replace", 2, "--replace OLD NEW", "each OLD, plain text"},
    {"--replace-regex", 2, "--replace-regex RE NEW",
     "each match of an RE2 expression; \\1 in NEW is its first group"},
    {"--case", 1, "--case lower|upper|title", "title: the first letter of each word"},
    {"--add-to-numbers", 1, "--add-to-numbers N",
     "each number in the name grows by N, and keeps at least its digits"},
    {"--which-numbers", 1, "--which-numbers all|first|last", "of the step before it (default: all)"},
    {"--extension", 1, "--extension TEXT",
     "the new extension, without its dot; lower and upper change its case; empty takes it away"},
    {"--name-as", 1, "--name-as PATTERN",
     "the whole name anew: '{n:3}-{name}{ext}'; docs/names.md has the facts"},
    {"--names-from", 1, "--names-from FILE", "whole names by a table: old name, tab, new name, a line each"},
};

template <class Number>
Number number_from(const std::string& option, const std::string& text) {
    Number number{};
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), number);
    if (error != std::errc{} || end != text.data() + text.size() || text.empty())
        refuse(option + " wants a whole number, not '" + printable(text) + "'");
    return number;
}

template <class Word>
Word word_from(const std::string& option, const std::string& text,
               std::initializer_list<std::pair<const char*, Word>> words) {
    std::string known;
    for (const auto& [one, word] : words) {
        if (text == one) return word;
        known += (known.empty() ? "" : ", ") + std::string(one);
    }
    refuse(option + " does not know '" + printable(text) + "'; there are " + known);
}

std::string option_of(std::string member) {
    std::replace(member.begin(), member.end(), '_', '-');
    return "--" + member;
}

}  // namespace

NameStepOptions::NameStepOptions(CommandLine& line) {
    line.group("New names: steps, in this order or any other, each on what the one before made");
    for (const KnownStep& step : steps) line.describe(step.left, step.help);
    line.flag("--whole-names", naming_.whole_names,
              "steps change the extension too, which else they leave as it is");
    line.value("--count-from", count_from_, "N", "where {n} begins", "1");
    line.value("--count-by", count_by_, "N", "how {n} grows", "1");
}

std::vector<std::string> NameStepOptions::take(std::vector<std::string> words) {
    std::vector<std::string> others;
    for (std::size_t at = 0; at < words.size(); ++at) {
        if (words[at] == "--") {
            others.insert(others.end(), words.begin() + static_cast<std::ptrdiff_t>(at), words.end());
            break;
        }
        const auto equals = words[at].find('=');
        const std::string name = words[at].substr(0, equals);
        const auto* known = std::find_if(std::begin(steps), std::end(steps),
                                         [&](const KnownStep& one) { return name == one.name; });
        if (known == std::end(steps)) {
            others.push_back(words[at]);
            continue;
        }
        std::vector<std::string> values;
        if (equals != std::string::npos) values.push_back(words[at].substr(equals + 1));
        while (values.size() < known->values) {
            if (at + 1 == words.size())
                refuse(name + " wants " + std::string(known->left).substr(name.size() + 1));
            values.push_back(words[++at]);
        }
        add(name, values);
    }
    return others;
}

void NameStepOptions::add(const std::string& name, const std::vector<std::string>& values) {
    using To = LetterCase::To;
    using Which = AddToNumbers::Which;
    auto& all = naming_.steps;
    if (name == "--prefix" || name == "--suffix") all.emplace_back(Affix{values[0], name == "--suffix"});
    if (name == "--replace") all.emplace_back(Replace{values[0], values[1]});
    if (name == "--replace-regex") all.emplace_back(ReplaceRegex{values[0], values[1]});
    if (name == "--case")
        all.emplace_back(LetterCase{word_from<To>(
            name, values[0], {{"lower", To::lower}, {"upper", To::upper}, {"title", To::title}})});
    if (name == "--add-to-numbers")
        all.emplace_back(AddToNumbers{number_from<std::int64_t>(name, values[0]), Which::all});
    if (name == "--extension") all.emplace_back(Extension{values[0]});
    if (name == "--name-as") all.emplace_back(NameAs{values[0]});
    if (name == "--names-from") all.emplace_back(NamesFrom{absolute(values[0])});
    if (name != "--which-numbers") return;
    auto* before = all.empty() ? nullptr : std::get_if<AddToNumbers>(&all.back());
    if (before == nullptr) refuse(name + " belongs behind --add-to-numbers");
    before->which = word_from<Which>(name, values[0],
                                     {{"all", Which::all}, {"first", Which::first}, {"last", Which::last}});
}

Naming NameStepOptions::read() const {
    Naming naming = naming_;
    if (count_from_) naming.count_from = number_from<std::uint64_t>("--count-from", *count_from_);
    if (count_by_) naming.count_by = number_from<std::uint64_t>("--count-by", *count_by_);
    const auto made = Namer::make(naming, [](const std::string& path) { return read_small_file(path); });
    if (made) return naming;
    const Error& why = made.error();
    const bool is_table = std::any_of(naming.steps.begin(), naming.steps.end(), [&](const NameStep& step) {
        const auto* from = std::get_if<NamesFrom>(&step);
        return from != nullptr && from->file == why.path;
    });
    refuse(is_table ? "--names-from: " + describe(why) : option_of(why.path) + ' ' + why.step);
}
