// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "completion/completion.h"

#include <fmt/format.h>

#include <algorithm>
#include <vector>

#include "arguments.h"

namespace {

enum class Takes { nothing, words, folder, file, job, receipt, version, any };

struct Option {
    std::string name;              ///< "--links"; of a word that belongs to none: what stands for it
    std::string help;              ///< its first sentence
    Takes takes = Takes::nothing;  ///< behind it
    std::vector<std::string> words{};
};

struct Command {
    std::string name;  ///< "safe empty"
    std::string help;
    std::vector<Option> options{};
    Takes takes = Takes::file;  ///< besides
};

std::string first_sentence(std::string_view text) {
    const auto end = std::min({text.find(". "), text.find("; "), text.find(": "), text.find(" (default")});
    std::string sentence(text.substr(0, end));
    if (sentence.ends_with('.')) sentence.pop_back();
    return sentence;
}

std::vector<std::string> parted(std::string_view text, char by) {
    std::vector<std::string> parts;
    for (std::size_t at = 0; at <= text.size();) {
        const auto end = std::min(text.find(by, at), text.size());
        parts.emplace_back(text.substr(at, end - at));
        at = end + 1;
    }
    return parts;
}

Takes taken(std::string_view type, std::vector<std::string>& words) {
    if (type.empty()) return Takes::nothing;
    if (type == "FOLDER") return Takes::folder;
    if (type == "FILE" || type == "JOB.json" || type == "NAME|JOB.json") return Takes::file;
    if (type.find('|') == std::string_view::npos) return Takes::any;
    for (auto& word : parted(type, '|'))
        if (word.find_first_of("ABCDEFGHIJKLMNOPQRSTUVWXYZ") == std::string::npos)
            words.push_back(std::move(word));
    return Takes::words;
}

std::vector<Command> commands() {
    std::vector<Command> all;
    for (const CommandHelp& of : all_commands()) {
        Command& command = all.emplace_back(Command{std::string(of.name), first_sentence(of.about)});
        for (const OptionHelp& one : options_of(of.name)) {
            const auto end = std::min(one.left.find(' '), one.left.size());
            Option option{one.left.substr(0, end), first_sentence(one.help)};
            option.takes =
                taken(std::string_view(one.left).substr(std::min(end + 1, one.left.size())), option.words);
            if (option.name.starts_with("--"))
                command.options.push_back(std::move(option));
            else if (one.left == "NAME")
                command.takes = Takes::job;
            else if (one.left == "ID")
                command.takes = Takes::receipt;
            else if (one.left == "ENTRY")
                command.takes = Takes::version;
        }
        if (of.usage.find("SOURCE") == of.usage.npos && of.usage.find("FILE") == of.usage.npos &&
            of.usage.find("ARCHIVE") == of.usage.npos && of.usage.find("JOB") == of.usage.npos &&
            command.takes == Takes::file)
            command.takes = Takes::nothing;
    }
    return all;
}

std::string joined(const std::vector<std::string>& words) { return fmt::format("{}", fmt::join(words, " ")); }

/// In single quotes, as shells have them.
std::string quoted(std::string_view text) {
    std::string out = "'";
    for (const char c : text) out += c == '\'' ? std::string("'\\''") : std::string(1, c);
    return out + "'";
}

std::vector<std::string> first_words(const std::vector<Command>& all) {
    std::vector<std::string> words;
    for (const Command& command : all) {
        auto word = parted(command.name, ' ').front();
        if (std::find(words.begin(), words.end(), word) == words.end()) words.push_back(std::move(word));
    }
    return words;
}

std::vector<std::string> second_words(const std::vector<Command>& all, std::string_view first) {
    std::vector<std::string> words;
    for (const Command& command : all)
        if (const auto parts = parted(command.name, ' '); parts.size() > 1 && parts.front() == first)
            words.push_back(parts[1]);
    return words;
}

// names of jobs, receipts and versions, one a line: what the lists say first
constexpr std::string_view listing = R"(2>/dev/null | cut -f1 | cut -d' ' -f1)";

std::string bash_values(Takes takes, const std::vector<std::string>& words) {
    switch (takes) {
        case Takes::nothing: return "";
        case Takes::any: return "COMPREPLY=()";
        case Takes::words:
            return fmt::format("COMPREPLY=($(compgen -W {} -- \"$now\"))", quoted(joined(words)));
        case Takes::folder: return "compopt -o filenames; COMPREPLY=($(compgen -d -- \"$now\"))";
        case Takes::file: return "compopt -o filenames; COMPREPLY=($(compgen -f -- \"$now\"))";
        case Takes::job: return "COMPREPLY=()";
        case Takes::receipt:
            return fmt::format("COMPREPLY=($(compgen -W \"$(tavloctl receipts {})\" -- \"$now\"))", listing);
        case Takes::version:
            return fmt::format("COMPREPLY=($(compgen -W \"$(tavloctl safe {})\" -- \"$now\"))", listing);
    }
    return "";
}

std::string for_bash(const std::vector<Command>& all) {
    std::string out =
        "# what bash offers for tavloctl\n_tavloctl() {\n"
        "    local now=\"${COMP_WORDS[COMP_CWORD]}\" before=\"${COMP_WORDS[COMP_CWORD-1]}\" "
        "command=\"${COMP_WORDS[1]}\"\n"
        "    COMPREPLY=()\n";
    out += fmt::format(
        "    if [ \"$COMP_CWORD\" -eq 1 ]; then COMPREPLY=($(compgen -W {} -- \"$now\")); return; fi\n",
        quoted(joined(first_words(all)) + " --help --version"));
    for (const std::string& first : first_words(all)) {
        const auto second = second_words(all, first);
        if (second.empty()) continue;
        out += fmt::format(
            "    if [ \"$command\" = {0} ] && [ \"$COMP_CWORD\" -eq 2 ] && [ \"${{now#-}}\" = \"$now\" ]; "
            "then "
            "COMPREPLY=($(compgen -W {1} -- \"$now\")); return; fi\n"
            "    case \"$command ${{COMP_WORDS[2]}}\" in {2}) command=\"$command ${{COMP_WORDS[2]}}\";; "
            "esac\n",
            first, quoted(joined(second)),
            fmt::format("{}\\ {}", first, fmt::join(second, fmt::format("|{}\\ ", first))));
    }
    out += "    case \"$command\" in\n";
    for (const Command& command : all) {
        std::vector<std::string> names{"--help"};
        out += fmt::format("    {})\n        case \"$before\" in\n", quoted(command.name));
        for (const Option& option : command.options) {
            names.push_back(option.name);
            if (option.takes != Takes::nothing)
                out += fmt::format("        {}) {}; return;;\n", option.name,
                                   bash_values(option.takes, option.words));
        }
        out += "        esac\n";
        out += fmt::format(
            "        if [ \"${{now#-}}\" != \"$now\" ]; then COMPREPLY=($(compgen -W {} -- \"$now\")); "
            "return; fi\n",
            quoted(joined(names)));
        const auto besides = bash_values(command.takes, {});
        out += "        " + (besides.empty() ? std::string("return") : besides) + ";;\n";
    }
    return out + "    esac\n}\ncomplete -F _tavloctl tavloctl\n";
}

/// In a description of _arguments brackets and colons mean something.
std::string zsh_text(std::string_view text) {
    std::string out;
    for (const char c : text) {
        if (c == '[' || c == ']' || c == ':' || c == '\\') out += '\\';
        out += c;
    }
    return out;
}

std::string zsh_values(Takes takes, const std::vector<std::string>& words) {
    switch (takes) {
        case Takes::nothing: return "";
        case Takes::any: return ":value: ";
        case Takes::words: return fmt::format(":value:({})", joined(words));
        case Takes::folder: return ":folder:_files -/";
        case Takes::file: return ":file:_files";
        case Takes::job: return ":job: ";
        case Takes::receipt: return fmt::format(":receipt:($(tavloctl receipts {}))", listing);
        case Takes::version: return fmt::format(":version:($(tavloctl safe {}))", listing);
    }
    return "";
}

std::string for_zsh(const std::vector<Command>& all) {
    std::string out = "#compdef tavloctl\n# what zsh offers for tavloctl\nlocal -a commands\ncommands=(\n";
    for (const std::string& first : first_words(all)) {
        const auto of = std::find_if(all.begin(), all.end(), [&](const Command& one) {
            return parted(one.name, ' ').front() == first;
        });
        out += "  " + quoted(first + ":" + zsh_text(of->help)) + "\n";
    }
    out +=
        ")\nif (( CURRENT == 2 )); then\n  _describe command commands\n  return\nfi\nlocal "
        "command=\"${words[2]}\"\n";
    for (const std::string& first : first_words(all)) {
        const auto second = second_words(all, first);
        if (second.empty()) continue;
        out += fmt::format(
            "if [[ $command == {0} && $CURRENT == 3 && $PREFIX != -* ]]; then\n  compadd -- {1}\n  "
            "return\nfi\n"
            "if [[ $command == {0} && ${{words[3]}} == ({2}) ]]; then\n"
            "  command=\"{0} ${{words[3]}}\"\n  words=(tavloctl \"${{words[@]:2}}\"); (( CURRENT-- ))\nfi\n",
            first, joined(second), fmt::join(second, "|"));
    }
    out += "words=(\"${words[@]:1}\"); (( CURRENT-- ))\ncase \"$command\" in\n";
    for (const Command& command : all) {
        out += fmt::format("  {})\n    _arguments", quoted(command.name));
        for (const Option& option : command.options)
            out += " \\\n      " + quoted(fmt::format("*{}[{}]{}", option.name, zsh_text(option.help),
                                                      zsh_values(option.takes, option.words)));
        if (const auto besides = zsh_values(command.takes, {}); !besides.empty())
            out += " \\\n      " + quoted("*" + besides);
        out += "\n    ;;\n";
    }
    return out + "esac\n";
}

std::string for_fish(const std::vector<Command>& all) {
    std::string out = "# what fish offers for tavloctl\ncomplete -c tavloctl -f\n";
    const auto firsts = first_words(all);
    for (const std::string& first : firsts) {
        const auto of = std::find_if(all.begin(), all.end(), [&](const Command& one) {
            return parted(one.name, ' ').front() == first;
        });
        out += fmt::format("complete -c tavloctl -n __fish_use_subcommand -a {} -d {}\n", first,
                           quoted(of->help));
        const auto second = second_words(all, first);
        if (!second.empty())
            out += fmt::format(
                "complete -c tavloctl -n '__fish_seen_subcommand_from {}; and not "
                "__fish_seen_subcommand_from {}' -a {}\n",
                first, joined(second), quoted(joined(second)));
    }
    for (const Command& command : all) {
        const auto parts = parted(command.name, ' ');
        std::string where = "__fish_seen_subcommand_from " + parts.front();
        if (parts.size() > 1) where += "; and __fish_seen_subcommand_from " + parts[1];
        const std::string line = "complete -c tavloctl -n " + quoted(where);
        for (const Option& option : command.options) {
            out += line + " -l " + option.name.substr(2);
            if (option.takes == Takes::words) out += " -x -a " + quoted(joined(option.words));
            if (option.takes == Takes::any) out += " -x";
            if (option.takes == Takes::folder) out += " -x -a '(__fish_complete_directories)'";
            if (option.takes == Takes::file) out += " -r -F";
            out += " -d " + quoted(option.help) + "\n";
        }
        if (command.takes == Takes::file) out += line + " -F\n";
        if (command.takes == Takes::receipt)
            out += line + " -a " + quoted(fmt::format("(tavloctl receipts {})", listing)) + "\n";
        if (command.takes == Takes::version)
            out += line + " -a " + quoted(fmt::format("(tavloctl safe {})", listing)) + "\n";
    }
    return out;
}

}  // namespace

std::optional<Shell> shell_from_text(std::string_view text) {
    if (text == "bash") return Shell::bash;
    if (text == "zsh") return Shell::zsh;
    if (text == "fish") return Shell::fish;
    return std::nullopt;
}

std::string completion_for(Shell shell) {
    switch (shell) {
        case Shell::bash: return for_bash(commands());
        case Shell::zsh: return for_zsh(commands());
        case Shell::fish: return for_fish(commands());
    }
    return {};
}
