// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <string>

#include "files/handle.h"
#include "files/result.h"

namespace tavlo {

/// Says when something is added to a folder, goes from it or changes in it (inotify(7)); one or several of
/// them.
class FolderWatch {
public:
    /// May wait for the disk.
    /// errors   not_found, no_permission, no_space (too many watches), unsupported
    static Result<FolderWatch> on(const std::string& folder);
    /// One more; errors as on().
    Result<void> add(const std::string& folder);
    /// Readable when there is something to say.
    int descriptor() const noexcept { return events_.descriptor(); }
    /// Takes what has gathered; never waits. returns whether anything happened
    bool drain();

private:
    explicit FolderWatch(Handle events) : events_(std::move(events)) {}
    Handle events_;
};

}  // namespace tavlo
