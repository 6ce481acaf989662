// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/records.h"

#include <iterator>

namespace tavlo {

bool RunRecords::is_empty() const {
    return items.empty() && folders.empty() && set_aside.empty() && used_up.empty() && taken_back.empty() &&
           not_kept.empty() && volumes.empty();
}

void RunRecords::append(RunRecords&& more) {
    const auto move_all = [](auto& into, auto& from) {
        into.insert(into.end(), std::make_move_iterator(from.begin()), std::make_move_iterator(from.end()));
    };
    move_all(items, more.items);
    move_all(folders, more.folders);
    move_all(set_aside, more.set_aside);
    move_all(used_up, more.used_up);
    move_all(taken_back, more.taken_back);
    move_all(not_kept, more.not_kept);
    move_all(volumes, more.volumes);
    more = {};
}

}  // namespace tavlo
