// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/own.h"

#include <unistd.h>

#include <algorithm>

#include "files/characters.h"

namespace tavlo {

namespace {

constexpr std::string_view part_prefix = ".tavlo-part-";
constexpr std::string_view safe_prefix = ".tavlo-safe-";
constexpr std::string_view of_part = "s";

}  // namespace

bool is_receipt_id(std::string_view text) {
    constexpr std::string_view form = "00000000-000000-";
    constexpr std::size_t least_random = 4;
    if (text.size() < form.size() + least_random || text.size() > form.size() + 16) return false;
    for (std::size_t at = 0; at < form.size(); ++at)
        if (form[at] == '0' ? !is_digit(text[at]) : text[at] != form[at]) return false;
    return std::all_of(text.begin() + form.size(), text.end(),
                       [](char c) { return is_digit(c) || (c >= 'a' && c <= 'z'); });
}

std::string part_name(const std::string& receipt, std::uint64_t number) {
    return std::string(part_prefix) + receipt + "-" + std::string(of_part) + std::to_string(number);
}

std::string leaving_name(const std::string& receipt, std::uint64_t item) {
    return std::string(part_prefix) + receipt + "-" + std::to_string(item);
}

HiddenName hidden_name(std::string_view name, std::string_view receipt) {
    if (!name.starts_with(part_prefix)) return HiddenName::none;
    const std::string_view rest = name.substr(part_prefix.size());
    const auto dash = rest.rfind('-');
    if (dash == std::string_view::npos || !is_receipt_id(rest.substr(0, dash))) return HiddenName::none;
    if (!receipt.empty() && rest.substr(0, dash) != receipt) return HiddenName::none;
    std::string_view number = rest.substr(dash + 1);
    const bool part = number.starts_with(of_part);
    if (part) number.remove_prefix(of_part.size());
    if (!is_number(number)) return HiddenName::none;
    return part ? HiddenName::part : HiddenName::leaving;
}

std::string safe_folder_name() { return std::string(safe_prefix) + std::to_string(::geteuid()); }

bool is_safe(FileSystem& disk, const Handle& folder) {
    const auto names = disk.list(folder);
    if (!names) {  // another user's, which nobody else may look into
        const auto status = disk.status(folder);
        return status && (status->mode & 077U) == 0;
    }
    if (names->empty()) {
        const auto status = disk.status(folder);
        return status && (status->mode & 077U) == 0;
    }
    return std::all_of(names->begin(), names->end(),
                       [](const Name& name) { return is_receipt_id(name.bytes); });
}

bool is_own(FileSystem& disk, const Handle& folder, const std::string& name) {
    if (hidden_name(name) != HiddenName::none) return true;
    if (!name.starts_with(safe_prefix)) return false;
    std::string_view user = std::string_view(name).substr(safe_prefix.size());
    if (const auto dash = user.find('-'); dash != std::string_view::npos && is_number(user.substr(dash + 1)))
        user = user.substr(0, dash);
    if (!is_number(user)) return false;
    const auto inside = disk.open_folder_in(folder, name);
    if (!inside) return inside.error().fault == Fault::no_permission;
    return is_safe(disk, *inside);
}

}  // namespace tavlo
