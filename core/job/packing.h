// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "job/prepare.h"

namespace tavlo {

/// Packing: what is in hand lies in the archive as it would in a folder; the archive itself is an item behind
/// all of it, and where its name is taken a collision like any other. Of an archive that is not made nothing
/// is.
Result<Outlook> look_at_packing(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch,
                                std::stop_token stop = {});

/// The same where only what is done about a taken name has changed.
Outlook pack_again(const Asked& asked, const Outlook& before);

/// Why a file cannot be made as an archive by this path, in words; empty where it can.
std::string objection_to_archive(const std::string& path);

}  // namespace tavlo
