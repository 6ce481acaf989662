// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "survey/contents.h"
#include "survey/verdicts.h"

namespace tavlo {

/// 128 bits of a hash of all that a pair is (XXH3, https://github.com/Cyan4973/xxHash): of a million pairs two
/// have the same one by a chance of one in 10^26.
HashKey key_of(const Pair& pair);

}  // namespace tavlo
