// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cstdio>

#include "completion/completion.h"

/// tavloctl-completion bash|zsh|fish: for the build.
int main(int count, char** words) {
    const auto shell = count == 2 ? shell_from_text(words[1]) : std::nullopt;
    if (!shell) {
        std::fputs("tavloctl-completion bash|zsh|fish\n", stderr);
        return 2;
    }
    return std::fputs(completion_for(*shell).c_str(), stdout) < 0 ? 1 : 0;
}
