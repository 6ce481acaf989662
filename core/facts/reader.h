// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <stop_token>
#include <string>
#include <vector>

#include "facts/file_facts.h"

namespace tavlo {

/// Where the helper is that reads facts: beside this program, as it is built; else where it is installed.
std::string facts_program();

/// Reads what files tell about themselves. Processes of their own do it (`tavlo-facts`), bounded in time and
/// memory: whatever a hostile file does to one of them, it costs that file's facts and nothing else.
class FactReader {
public:
    struct Bounds {
        unsigned helpers = 0;                  ///< 0: as many as there are processors, at most 8
        int longest_ms = 5000;                 ///< for one file
        std::size_t longest_answer = 1 << 20;  ///< bytes
    };
    explicit FactReader(std::string program = facts_program()) : FactReader(std::move(program), Bounds{}) {}
    FactReader(std::string program, Bounds bounds);

    /// take  (place in `paths`, its facts), once for each, as they come; on this thread
    /// errors  not_found: the helper is not there; unsupported: it cannot be loaded; cancelled
    Result<void> read(const std::vector<std::string>& paths,
                      const std::function<void(std::size_t, FileFacts&&)>& take,
                      const std::stop_token& stop = {});

private:
    const std::string program_;
    const Bounds bounds_;
};

}  // namespace tavlo
