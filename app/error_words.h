// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <string_view>

#include "files/result.h"

// What the core says of errors, in the language of whoever reads it. The core's own words are English, for
// scripts and receipts; here they are looked up, so that a new language is a file of translations like
// everywhere.

/// A reason as the core words it, "would lose user.note, which the destination cannot keep, and stays"; what
/// is not known here (a message of the system, or of a newer Tavlo) stays as it is.
QString told_words(std::string_view reason);
/// Why, without the path.
QString reason_words(const tavlo::Error& error);
/// "PATH: why", on one line.
QString error_words(const tavlo::Error& error);
