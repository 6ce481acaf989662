// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "command_line.h"

#include <CLI/CLI.hpp>
#include <algorithm>

#include "files/path.h"

namespace {

constexpr std::size_t help_width = 96;
constexpr std::size_t help_from = 28;  // the column at which what an option is for begins

/// Text in lines no wider than the help, from a column on; the first line is begun already, up to `at`.
std::string wrapped(std::string_view text, std::size_t at, std::size_t column) {
    std::string out;
    while (!text.empty()) {
        const auto end = std::min(text.find(' '), text.size());
        const bool begins = out.empty();
        if (!begins && at + 1 + end > help_width) {
            out += '\n' + std::string(column, ' ');
            at = column;
        } else if (!begins) {
            out += ' ';
            ++at;
        }
        out += text.substr(0, end);
        at += end;
        text.remove_prefix(std::min(end + 1, text.size()));
    }
    return out;
}

/// The option that an error of the library is about: the first word in it that looks like one, else the
/// first.
std::string named_in(const std::string& words) {
    const auto dash = words.find("--");
    const auto from = dash == std::string::npos ? 0 : dash;
    return words.substr(from, words.find_first_of(": ", from) - from);
}

}  // namespace

void put_command_first(std::vector<std::string>& words) {
    std::size_t ahead = 0;
    while (ahead < words.size() && (words[ahead] == "--state" || words[ahead].starts_with("--state=")))
        ahead += words[ahead] == "--state" && ahead + 1 < words.size() ? 2U : 1U;
    if (ahead == 0 || ahead >= words.size()) return;
    const bool of_two_words = (words[ahead] == "safe" || words[ahead] == "job") && ahead + 1 < words.size() &&
                              !words[ahead + 1].starts_with("-");
    const auto begin = words.begin();
    std::rotate(begin, begin + static_cast<std::ptrdiff_t>(ahead),
                begin + static_cast<std::ptrdiff_t>(ahead + (of_two_words ? 2 : 1)));
}

void refuse(std::string why) { throw Refusal{std::move(why)}; }

struct CommandLine::Reader {
    CLI::App app;
};

CommandLine::CommandLine(const CommandHelp& help) : help_(help), reader_(std::make_unique<Reader>()) {}
CommandLine::~CommandLine() = default;

void CommandLine::describe(const std::string& left, const std::string& help) {
    described_.push_back({heading_, left, help});
}

void CommandLine::flag(const std::string& name, bool& on, const std::string& help) {
    reader_->app.add_flag(name, on, help)->multi_option_policy(CLI::MultiOptionPolicy::Throw);
    describe(name, help);
}

void CommandLine::value(const std::string& name, std::optional<std::string>& value, const std::string& type,
                        const std::string& help, const std::string& usual) {
    reader_->app.add_option(name, value, help)->type_name(type);
    describe(name + ' ' + type, usual.empty() ? help : help + " (default: " + usual + ")");
}

void CommandLine::list(const std::string& name, std::vector<std::string>& values, const std::string& type,
                       const std::string& help) {
    // as several words of one option "[a,b]" would be cut apart
    reader_->app.add_option(name, values, help)->allow_extra_args(false)->type_name(type);
    describe(name + ' ' + type, help + "; may be repeated");
}

void CommandLine::argument(const std::string& name, std::string& value, const std::string& help) {
    reader_->app.add_option(name, value, help)->required();
    argument_ = {name, &value};
    describe(name, help);
}

void CommandLine::rest(const std::string& name, std::vector<std::string>& words) {
    reader_->app
        .allow_extras();  // as an option of many words a source of the name "[a,b]" would be cut apart
    rest_ = &words;
    rest_name_ = name;
}

std::string CommandLine::type_of(const std::string& name) const {
    for (const OptionHelp& one : described_)
        if (one.left.starts_with(name + ' ')) return one.left.substr(name.size() + 1);
    return "a value";
}

std::string CommandLine::text() const {
    std::string out = "tavloctl " + std::string(help_.usage) + "\n\n" + wrapped(help_.about, 0, 0) + "\n";
    std::vector<std::string> headings;
    for (const OptionHelp& one : described_)
        if (std::find(headings.begin(), headings.end(), one.heading) == headings.end())
            headings.push_back(one.heading);
    for (const auto& heading : headings) {
        out += "\n" + heading + "\n";
        for (const OptionHelp& one : described_) {
            if (one.heading != heading) continue;
            std::string line = "  " + one.left;
            line += line.size() + 2 > help_from ? "\n" + std::string(help_from, ' ')
                                                : std::string(help_from - line.size(), ' ');
            out += line + wrapped(one.help, help_from, help_from) + "\n";
        }
    }
    out += "\nExamples\n";
    for (const auto example : help_.examples) out += "  " + std::string(example) + "\n";
    return out;
}

void CommandLine::parse(std::vector<std::string> words) {
    // the library would look for options in what comes after "--" too
    const auto end_of_options = std::find(words.begin(), words.end(), "--");
    const bool ends = end_of_options != words.end();
    std::vector<std::string> sources(ends ? end_of_options + 1 : words.end(), words.end());
    words.erase(end_of_options, words.end());
    std::reverse(words.begin(), words.end());  // it takes them from the end
    CLI::App& app = reader_->app;
    const bool is_behind =
        rest_ == nullptr && argument_.second != nullptr && sources.size() == 1;  // whatever it begins with
    if (is_behind) app.get_option(argument_.first)->required(false);
    try {
        app.parse(std::move(words));
    } catch (const CLI::CallForHelp&) {
        throw HelpWanted{text(), described_};
    } catch (const CLI::RequiredError& error) {
        refuse(named_in(error.what()) + " is required");
    } catch (const CLI::ArgumentMismatch& error) {
        const std::string words_of_it = error.what();
        const std::string name = named_in(words_of_it);
        if (words_of_it.find("most") != std::string::npos || words_of_it.find("Most") != std::string::npos)
            refuse(name + " may be given once only");
        refuse(name + " wants " + type_of(name));
    } catch (const CLI::ExtrasError& error) {
        const std::string words_left = error.what();
        refuse("there is no use for '" + tavlo::printable(words_left.substr(words_left.rfind(' ') + 1)) +
               "' here; tavloctl " + std::string(help_.name) + " --help says what there is");
    } catch (const CLI::ParseError& error) {
        refuse(tavlo::printable(named_in(error.what())) + " cannot be read as it stands; tavloctl " +
               std::string(help_.name) + " --help says what there is");
    }
    for (const CLI::Option* option : app.get_options())
        if (option->get_expected_max() <= 1 && option->count() > 1)
            refuse(option->get_name() + " may be given once only");
    if (is_behind && app.get_option(argument_.first)->count() == 0)
        *argument_.second = std::exchange(sources, {}).front();
    if (rest_ == nullptr) {
        if (!sources.empty()) refuse("there is no use for '" + tavlo::printable(sources.front()) + "' here");
        return;
    }
    for (const auto& word : app.remaining()) {
        if (word.size() > 1 && word.front() == '-')
            refuse("there is no option '" + tavlo::printable(word) + "'; a " + rest_name_ +
                   " of that name goes after --");
        rest_->push_back(word);
    }
    rest_->insert(rest_->end(), sources.begin(), sources.end());
}
