// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "files/result.h"

namespace tavlo {

/// What people call a sort of files, by the extensions of their names.
struct Kind {
    std::string name;                     ///< one word: "pictures"
    std::vector<std::string> extensions;  ///< lower case, without the dot; "tar.gz" too
    bool operator==(const Kind&) const = default;
};

/// The kinds that there are, in the order in which they are offered. A person may have changed them, in a
/// file of lines "NAME: EXTENSION EXTENSION …"; '#' begins a remark. What the file does not name stays as it
/// is built in; a name without extensions is taken out.
class Kinds {
public:
    /// The built-in ones.
    Kinds();
    /// errors   not_found, no_permission, io; corrupt: a line that says nothing of the kind
    static Result<Kinds> load(const std::string& path);
    /// The text of such a file for these kinds.
    std::string to_text() const;

    const std::vector<Kind>& all() const noexcept { return kinds_; }
    const Kind* find(std::string_view name) const;
    /// The kind that a name has; null where it has none.
    const Kind* of(std::string_view name) const;
    static bool has(const Kind& kind, std::string_view name);
    /// errors   corrupt: which line, and why
    Result<void> change(std::string_view text, const std::string& path);

private:
    std::vector<Kind> kinds_;
};

/// The part after the last dot, lower case (ASCII); "" for ".profile", "README".
std::string extension_of(std::string_view name);

/// `$XDG_CONFIG_HOME/tavlo/kinds`, or its default (XDG Base Directory Specification).
std::string kinds_file();

/// Those of kinds_file(), or the built-in ones where there is no such file.
Result<Kinds> load_kinds();

}  // namespace tavlo
