// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <nlohmann/json.hpp>
#include <optional>
#include <string>
#include <vector>

#include "support/temp_folder.h"

struct Answer {
    int status = -1;
    std::string out;
    std::string err;
    nlohmann::json json() const { return nlohmann::json::parse(out); }
    nlohmann::json items() const { return json().at("items"); }
};

/// tavloctl as a script runs it: with arguments as they are, and a state folder of the test's own.
class Script {
public:
    explicit Script(const TempFolder& temp) : temp_(temp) {}
    ~Script() { run({"safe", "empty"}); }  // of what this test set aside
    Script(const Script&) = delete;
    Script& operator=(const Script&) = delete;

    /// input  what it reads from standard input; nullopt: the test's own
    Answer run(std::vector<std::string> words, const std::optional<std::string>& input = std::nullopt) const;
    /// So many files may be open at a time (setrlimit(2)); 0: as many as usual.
    void limit_handles(unsigned most) { most_handles_ = most; }

private:
    const TempFolder& temp_;
    unsigned most_handles_ = 0;
};
