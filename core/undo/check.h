// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <stop_token>
#include <string_view>

#include "files/looker.h"
#include "keep/receipt.h"

namespace tavlo {

/// How a thing that a run put in place compares with what the receipt says.
enum class Difference : std::uint8_t { none, missing, bytes, attributes, unreadable };
std::string_view to_text(Difference difference) noexcept;

/// Reads what a receipt's items put in place again and compares: bytes by the hash noted at the time, or with
/// the source where that still stands; else size, date and time of status change.
class Checker {
public:
    Checker(FileSystem& disk, const ReceiptHead& head, std::stop_token stop = {});
    Difference check(const ReceiptItem& item);

private:
    Difference check_file(const ReceiptItem& item, const Status& now);
    Looker look_;
    FileSystem& disk_;
    std::stop_token stop_;
};

}  // namespace tavlo
