// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "run/run.h"

namespace tavlo {

/// The head of a run that begins now: its id, and all that it is to keep of how it was asked for, so that who
/// goes on with it does it alike.
ReceiptHead new_head(Operation operation, const std::string& destination, bool may_lose,
                     const RunOptions& options);

}  // namespace tavlo
