// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include "help.h"

/// Why a command line is of no use, in words for whoever wrote it. Thrown, and caught where the whole line is
/// read.
struct Refusal {
    std::string why;
};
[[noreturn]] void refuse(std::string why);

/// An option, or a word that belongs to none, as the help lists it.
struct OptionHelp {
    std::string heading;
    std::string left;  ///< "--links keep|follow", "ID"
    std::string help;
};

/// Somebody asked for help, and this is it. Thrown as Refusal is.
struct HelpWanted {
    std::string text;
    std::vector<OptionHelp> options;
};

/// --state may stand before the command too: it is moved behind it.
void put_command_first(std::vector<std::string>& words);

/// One command's own line: what it takes, what that is for, and the words that were given. A library reads
/// the words; everything that is said of them is said here.
class CommandLine {
public:
    explicit CommandLine(const CommandHelp& help);
    ~CommandLine();
    CommandLine(const CommandLine&) = delete;
    CommandLine& operator=(const CommandLine&) = delete;

    /// What is added from here on is listed under this heading.
    void group(std::string_view heading) { heading_ = heading; }
    void flag(const std::string& name, bool& on, const std::string& help);
    /// type    what stands for the value in the help: FOLDER, or the words themselves, "keep|follow"
    /// usual   what holds where the option is not given; empty: nothing
    void value(const std::string& name, std::optional<std::string>& value, const std::string& type,
               const std::string& help, const std::string& usual = {});
    /// May be given again and again; each word is taken as it is.
    void list(const std::string& name, std::vector<std::string>& values, const std::string& type,
              const std::string& help);
    /// A word that belongs to no option, and has to be there.
    void argument(const std::string& name, std::string& value, const std::string& help);
    /// Lists an option in the help that whoever asks takes out of the words before they are read here.
    void describe(const std::string& left, const std::string& help);
    /// Words that belong to no option, as many as there are; after "--" every word is one.
    void rest(const std::string& name, std::vector<std::string>& words);

    /// Reads the words that came after the command. Throws Refusal, HelpWanted.
    void parse(std::vector<std::string> words);

private:
    struct Reader;  // keeps the library out of this header
    std::string type_of(const std::string& name) const;
    std::string text() const;

    const CommandHelp& help_;
    std::unique_ptr<Reader> reader_;
    std::string heading_ = "Options";
    std::vector<OptionHelp> described_;
    std::pair<std::string, std::string*> argument_{};  ///< the one that there is
    std::vector<std::string>* rest_ = nullptr;
    std::string rest_name_;
};
