// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <ctime>
#include <string>
#include <vector>

#include "files/result.h"
#include "files/types.h"

namespace tavlo {

// What a file or folder carries besides its bytes: reading it whole, giving it to another. FileSystem's door
// to it is the disk's.

/// Nanoseconds since 1970 as the system calls take them.
timespec to_timespec(std::int64_t ns);

/// What is there and cannot be read is named in `unread`, never dropped.
Attributes read_attributes(int open, const Status& seen);

/// Gives a file or folder exactly these, times last. returns the names of what could not be kept: "owner",
/// "mode", "times", or an extended attribute's name, those unread among them
/// now   as it is before
std::vector<std::string> give_attributes(int open, const Status& now, const Attributes& wanted);

/// Those of the extended attributes that nothing else would bring back once the source is gone: what people
/// and programs noted (user.*) and access control lists; of these, the ones that `open` cannot hold. It is
/// left as it was.
std::vector<std::string> cannot_hold(int open, const Attributes& wanted);

/// Whether losing it would lose something that a person put there.
bool is_irreplaceable(std::string_view attribute);

/// What a new file that nothing is the model of has: 0666 less this process's mask (umask(2), read from
/// proc(5), /proc/self/status).
std::uint32_t mode_of_new_file();

}  // namespace tavlo
