// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

class QApplication;

/// The interface's texts in the user's language; English has one for its plurals.
void install_translations(QApplication& application);
