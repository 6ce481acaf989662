// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: how the database's blobs hold items, many at a time.
//
// A blob is the hash of what follows, a byte that says how that is stored, and then that: a version, a number
// of values, and the fields of each in their order (cereal's portable binary archive). Since version 3 it is
// compressed (https://www.rfc-editor.org/rfc/rfc8878). A field that comes later has a version, and is read
// only from blobs of that version on; so what an older version has written, an interrupted run among it, is
// read for ever.

#include <cstdint>
#include <string>
#include <utility>
#include <vector>

#include "keep/journal.h"
#include "keep/receipt.h"

namespace tavlo {

/// An item of a receipt and its number.
using NumberedItem = std::pair<std::uint64_t, ReceiptItem>;

/// What an item was to its plan, as far as receipts from before there were roles tell: what got another name
/// where it is made room.
Role role_before_roles(const ReceiptItem& item);

std::string pack(const std::vector<PendingItem>& items);
std::string pack(const std::vector<Intent>& intents);
std::string pack(const std::vector<NumberedItem>& items);

/// Throw std::exception where the bytes are damaged or of a newer version; the store catches it.
std::vector<PendingItem> unpack_pending(const std::string& bytes);
std::vector<Intent> unpack_intents(const std::string& bytes);
std::vector<NumberedItem> unpack_items(const std::string& bytes);

}  // namespace tavlo
