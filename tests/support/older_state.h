// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

/// Makes a state folder's database what an older version of Tavlo would have left, with the interrupted runs
/// in it: schema 2 to 6. From schema 5 on items are packed, in 6 with their roles; before, each was a row,
/// and the journal was not compressed.
void make_older(const std::string& state_folder, int schema);
