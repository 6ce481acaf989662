// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#define CATCH_CONFIG_RUNNER
#include "support/catch.h"

int main(int count, char** words) { return Catch::Session().run(count, words); }
