// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/folder_watch.h"

#include <sys/inotify.h>
#include <unistd.h>

#include <cerrno>

namespace tavlo {

Result<FolderWatch> FolderWatch::on(const std::string& folder) {
    Handle events(::inotify_init1(IN_NONBLOCK | IN_CLOEXEC), folder);
    if (!events.is_open()) return failure(system_error(errno, "watch folder", folder));
    FolderWatch watch(std::move(events));
    if (auto added = watch.add(folder); !added) return failure(added.error());
    return watch;
}

Result<void> FolderWatch::add(const std::string& folder) {
    constexpr std::uint32_t what = IN_CREATE | IN_DELETE | IN_MOVED_FROM | IN_MOVED_TO | IN_CLOSE_WRITE |
                                   IN_ATTRIB | IN_DELETE_SELF | IN_MOVE_SELF | IN_UNMOUNT;
    if (::inotify_add_watch(events_.descriptor(), folder.c_str(), what | IN_ONLYDIR) < 0)
        return failure(system_error(errno, "watch folder", folder));
    return {};
}

bool FolderWatch::drain() {
    alignas(inotify_event) char events[16 * 1024];
    bool any = false;
    while (::read(events_.descriptor(), events, sizeof events) > 0) any = true;
    return any;
}

}  // namespace tavlo
