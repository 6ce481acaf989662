#pragma once

// Inside keep/ only: how the journal's blobs hold what is still to be done.

#include <string>
#include <vector>

#include "keep/journal.h"

namespace tavlo {

/// Some items, or a group's intentions, as bytes: their hash, a version, then the fields in their order.
std::string pack(const std::vector<PendingItem>& items);
std::string pack(const std::vector<Intent>& intents);

/// Throw std::exception where the bytes are damaged or of another version; the store catches it.
std::vector<PendingItem> unpack_pending(const std::string& bytes);
std::vector<Intent> unpack_intents(const std::string& bytes);

}  // namespace tavlo
