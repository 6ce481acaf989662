// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string_view>
#include <vector>

#include "archive/packed.h"

namespace tavlo {

/// What a helper says, a frame at a time.
class FrameStream {
public:
    struct Said {
        Frame kind;
        std::string_view payload;  ///< stands until the next one is asked for
    };

    /// socket  that it says it on; it stays open for as long as this is asked
    explicit FrameStream(int socket) : socket_(socket) {}
    /// Waits for the next one. nullopt: it has ended, or says what is no frame
    std::optional<Said> next();

private:
    bool have(std::size_t bytes);

    int socket_;
    std::vector<char> received_ = std::vector<char>(256 * 1024);
    std::size_t begin_ = 0;  ///< in it, of what was not asked for yet
    std::size_t end_ = 0;
};

}  // namespace tavlo
