// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <string_view>

#include "files/handle.h"
#include "files/memory.h"
#include "works.h"

// engine FOLDER [SHARING_FOLDER]: each work of the engine against a bare single-threaded loop of system calls
// doing the same without a promise, paired in one run, the median of several rounds. FOLDER should lie on a
// file system in memory, SHARING_FOLDER on one that shares extents. TAVLO_BENCH: some of the groups of rows,
// "small,moves" say.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

bool wanted(std::string_view group) {
    const char* some = std::getenv("TAVLO_BENCH");
    if (some == nullptr) return true;
    for (std::string_view left = some; !left.empty();) {
        const auto end = std::min(left.find(','), left.size());
        if (left.substr(0, end) == group) return true;
        left.remove_prefix(std::min(end + 1, left.size()));
    }
    return false;
}

}  // namespace

int main(int count, char** words) {
    raise_handle_limit();
    give_large_memory_back();  // as the programs do
    if (count < 2 || count > 3) {
        std::fprintf(stderr, "usage: engine FOLDER [SHARING_FOLDER]\n");
        return 2;
    }
    {
        const Workplace place(fs::path(words[1]) / "tavlo-bench");
        if (wanted("plans")) plans(place, 1'000'000);  // first, while this process holds little memory
        if (wanted("small")) small_copies(place, 20'000, 1000);
        if (wanted("folders")) small_copies(place, 20'000, 10);
        if (wanted("told")) told(place, 20'000);
        if (wanted("moves")) moves(place, 20'000);
        if (wanted("names")) names(place, 100'000);
        if (wanted("large")) large_copy(place, std::uint64_t{1} << 30);
        if (wanted("pauses")) pauses(place, std::uint64_t{1} << 30);
        if (wanted("same")) same(place, 10'000, 16 * 1024, false);
        if (wanted("same")) same(place, 100'000, 100, true);
    }
    if (count < 3) return 0;
    const Workplace sharing(fs::path(words[2]) / "tavlo-bench");
    shared_copy(sharing, std::uint64_t{1} << 30);
}
