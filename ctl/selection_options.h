#pragma once

#include "arguments.h"
#include "command_line.h"

/// The options that choose files, as words; what they mean is worked out once the line is read.
class SelectionOptions {
public:
    explicit SelectionOptions(CommandLine& line);
    void read(Arguments& out) const;

private:
    std::vector<std::string> names_;
    std::vector<std::string> not_names_;
    std::vector<std::string> kinds_;
    std::optional<std::string> larger_;
    std::optional<std::string> smaller_;
    std::optional<std::string> after_;
    std::optional<std::string> before_;
    std::optional<std::string> regex_;
    std::optional<std::string> number_;
    std::optional<std::string> list_;
};
