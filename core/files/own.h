// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

#include "files/file_system.h"

namespace tavlo {

// What is Tavlo's own on a disk is known by what it is; a name that only looks like it is somebody's.

/// The id of a receipt by its form: "20310502-091407-k3f9".
bool is_receipt_id(std::string_view text);

/// The hidden name of a file that a run writes, where there are no nameless files; ours to remove once that
/// run is dead.
std::string part_name(const std::string& receipt, std::uint64_t number);
/// The name that the source of a move between file systems has while it leaves; never ours to remove without
/// a look.
std::string leaving_name(const std::string& receipt, std::uint64_t item);

enum class HiddenName : std::uint8_t { none, part, leaving };
/// What a name is, by its form.
/// receipt   of this run only; empty: of any
HiddenName hidden_name(std::string_view name, std::string_view receipt = {});

/// The name of the Safe's folder: ".tavlo-safe-" and the effective user's number.
std::string safe_folder_name();
/// An open folder is a Safe: it holds nothing but folders of runs; an empty one is, if it is private.
bool is_safe(FileSystem& disk, const Handle& folder);

/// All names of Tavlo's own begin so; most others need no more than this look.
inline bool may_be_own(std::string_view name) { return name.starts_with('.'); }

/// Something in a folder is Tavlo's own, a Safe or a hidden name: listings and runs leave it out.
bool is_own(FileSystem& disk, const Handle& folder, const std::string& name);

}  // namespace tavlo
