// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

/// From now on the window's lists and tables are told to whoever hears it with each choice in a row (Choosing) as
/// a button in its cell, which can be pressed there.
void install_list_access();
