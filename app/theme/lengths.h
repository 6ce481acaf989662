// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

/// A length in pixels, said in digits of the application's font: as wide as so many of them. What holds text
/// has its width by this, so that larger text has the room it needs.
int digits(double count);

/// The same in lines of text.
int lines(double count);
