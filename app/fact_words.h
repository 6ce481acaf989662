// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <string_view>
#include <vector>

#include "names/folder_levels.h"
#include "names/pattern.h"

// Facts in words.

/// "town", "when taken"
QString fact_words(std::string_view fact);
/// Of what files: "Pictures"
QString fact_group_words(tavlo::KnownFact::Of of);
/// A level of folders: "year taken", "town, or else country"
QString level_words(const tavlo::FolderLevel& level);
/// All of them: "year taken, then town"
QString levels_words(std::string_view pattern);

/// The ways in which a date can be written as a folder, the usual one first.
struct DateFormat {
    const char* format;
    QString words;  ///< "year and month"
};
std::vector<DateFormat> date_formats();
