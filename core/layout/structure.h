// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>

namespace tavlo {

/// Which subfolders come along: all; those in which a file ends up; none, so that only files directly inside
/// do.
enum class Subfolders : std::uint8_t { all, filled, none };

/// How a batch is laid out in the destination.
struct Structure {
    bool contents = false;  ///< what is inside each source folder, not the folder itself
    Subfolders subfolders = Subfolders::all;
    bool flatten = false;  ///< every file directly into the destination
    /// A folder that sources lie below, however deep: those on the way from it to them are kept too. Empty:
    /// none are.
    std::string kept_from{};
    bool folders_too = false;  ///< in a rename of contents: folders get new names as well as files
    /// Each file goes into the folder that this pattern makes for it (names/pattern.h):
    /// "{taken:%Y|=undated}/{town}"; its own folders are kept only where it says so. Empty: they are as
    /// above.
    std::string sort_into{};
    /// The source folders themselves do not arrive.
    bool takes_contents() const { return contents || !sort_into.empty(); }
    bool operator==(const Structure&) const = default;
};

}  // namespace tavlo
