// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>

class QMenu;
class QWidget;

/// Fills a menu with how much may be read in a second: no limit, some usual ones, and any other.
/// limit  the one that holds now, in bytes a second; 0: none
void fill_limit_menu(QMenu& menu, std::uint64_t limit, QWidget* parent,
                     const std::function<void(std::uint64_t)>& choose);
