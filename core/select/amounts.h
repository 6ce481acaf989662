// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string_view>
#include <utility>

namespace tavlo {

/// "500", "20K", "1.5M", "2G", "1T": bytes, by powers of 1024; a 'B' after it is allowed. nullopt: not a size
std::optional<std::uint64_t> size_from_text(std::string_view text);

/// "2031-05-02", "2031-05-02T09:00", "2031-05-02T09:00:30" (a space for the T), local time; or "30d", so many
/// days before `now_ns`; or "this-day", "last-day", "this-week", "last-week", "this-month", "last-month",
/// "this-year": the beginning of it. Dates that the calendar does not have are none.
/// returns  ns since 1970-01-01 UTC
std::optional<std::int64_t> time_from_text(std::string_view text, std::int64_t now_ns);

/// "120-135", "120": a range of numbers, both ends in it. nullopt: none, or the first is larger
std::optional<std::pair<std::uint64_t, std::uint64_t>> range_from_text(std::string_view text);

}  // namespace tavlo
