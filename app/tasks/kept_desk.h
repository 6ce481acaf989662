// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <optional>
#include <string>

class QLockFile;

/// Where one window keeps what is in hand and what is asked for, from one start of the program to the next.
/// Nobody else has it while this lives, be it in this program or in another.
struct KeptDesk {
    std::string folder;
    std::shared_ptr<QLockFile> lock;
};

/// The first that nobody has: the state folder itself, then a folder in it for each further window. So a
/// second window takes up what the last second window had. Reads and writes a disk. returns  nullopt: nothing
/// can be kept there
std::optional<KeptDesk> take_desk(const std::string& state_folder);
