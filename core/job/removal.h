// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "job/prepare.h"

namespace tavlo {

/// The outlook of a job that removes: what goes to the Safe. A folder is one item with all that is in it,
/// unless files were chosen; then folders stay. Refused is what would take a mount, a Safe, or a folder that
/// must stay (Asked::kept) with it.
Result<Outlook> look_at_removal(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch,
                                const KnownContents& known);

}  // namespace tavlo
