// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>

namespace tavlo {

/// How a new name is made for what is to stay beside the one that holds its name.
struct NewNames {
    enum class Scheme : std::uint8_t {
        number,   ///< "report-2.pdf"
        date,     ///< "report 2031-05-02.pdf", by its date of change, local time
        pattern,  ///< as `pattern` says
    };
    Scheme scheme = Scheme::number;
    /// {name} without extension, {ext} with its dot, {date}, {time}, {folder} that it comes from, {n} counted
    /// up from 2
    std::string pattern{};
    bool operator==(const NewNames&) const = default;
};

}  // namespace tavlo
