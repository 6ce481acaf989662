// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <algorithm>
#include <initializer_list>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "arguments.h"
#include "command_line.h"
#include "files/path.h"
#include "paths.h"

// Options that several commands have, and the words that they take.

inline tavlo::Decision decision(const std::string& word, bool may_stay_open) {
    const auto known = tavlo::decision_from_text(word);
    if (!known || (*known == tavlo::Decision::undecided && !may_stay_open))
        refuse("'" + tavlo::printable(word) + "' is no decision; there are " +
               (may_stay_open ? "undecided, " : "") + "skip, overwrite and rename");
    return *known;
}

inline void read_when(const std::vector<std::string>& rules, tavlo::Policy& into) {
    for (const auto& rule : rules) {
        const auto equals = rule.find('=');
        if (equals == std::string::npos)
            refuse("--when wants FINDING=DECISION, not '" + tavlo::printable(rule) + "'");
        const auto finding = tavlo::finding_from_text(rule.substr(0, equals));
        if (!finding)
            refuse("'" + tavlo::printable(rule.substr(0, equals)) +
                   "' is no finding; there are same, newer, older, same-date, type, twin and elsewhere");
        auto& slot = into.when[static_cast<std::size_t>(*finding)];
        if (slot) refuse("--when says twice what happens when " + rule.substr(0, equals));
        slot = decision(rule.substr(equals + 1), false);
    }
}

/// usual  what holds where nothing was given
template <class Word>
Word one_of(const std::string& option, const std::optional<std::string>& given, Word usual,
            std::initializer_list<std::pair<const char*, Word>> words) {
    if (!given) return usual;
    for (const auto& [text, word] : words)
        if (*given == text) return word;
    std::string known;
    for (const auto& [text, word] : words) known += (known.empty() ? "" : ", ") + std::string(text);
    refuse(option + " does not know '" + tavlo::printable(*given) + "'; there are " + known);
}

/// Options that every command has, or many; read once the line is.
class CommonOptions {
public:
    enum With : unsigned { json = 1, verbose = 2, progress = 4 };

    CommonOptions(CommandLine& line, Arguments& out, unsigned with) {
        line.group("What is said");
        if ((with & json) != 0)
            line.flag("--json", out.json, "one JSON document on standard output, nothing else there");
        if ((with & verbose) != 0)
            line.flag("--verbose", out.verbose, "a line for each item, and every undecided one by name");
        if ((with & progress) != 0) {
            line.value("--progress", progress_, "auto|always|never", "how far it is, on standard error",
                       "auto, where that is a terminal");
            line.flag("--quiet", out.quiet, "nothing on standard error but errors");
        }
        line.group("Where it is kept");
        line.value("--state", state_, "FOLDER", "journal, receipts and the Safe's index",
                   "$XDG_STATE_HOME/tavlo, else ~/.local/state/tavlo");
    }

    void read(Arguments& out) const {
        using Show = Arguments::ShowProgress;
        if (state_ && state_->empty()) refuse("--state wants a folder, and got nothing");
        out.state_folder = state_ ? absolute(*state_) : usual_state_folder();
        out.progress =
            one_of<Show>("--progress", progress_, Show::automatic,
                         {{"auto", Show::automatic}, {"always", Show::always}, {"never", Show::never}});
    }

private:
    std::optional<std::string> state_;
    std::optional<std::string> progress_;
};

/// What happens where a name is taken.
struct CollisionOptions {
    std::vector<std::string> when;
    std::optional<std::string> otherwise;

    explicit CollisionOptions(CommandLine& line) {
        line.group("Where a name is taken");
        line.value("--on-collision", otherwise, "undecided|skip|overwrite|rename",
                   "what happens where no --when says otherwise", "undecided");
        line.list("--when", when, "FINDING=DECISION",
                  "the decision for one finding, said of the incoming file: same, newer, older, same-date, "
                  "type, twin, elsewhere");
    }

    void read(tavlo::Policy& policy) const {
        policy.otherwise = decision(otherwise.value_or("undecided"), true);
        read_when(when, policy);
    }
};
