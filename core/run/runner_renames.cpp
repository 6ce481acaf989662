// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/own.h"
#include "files/path.h"
#include "names/names.h"
#include "run/runner.h"

namespace tavlo {

// Names that are given up and taken in a ring: one waits under a hidden name until the one that it wants is
// free. The journal says of which item that is before anything is touched, and the hidden name follows from
// its number, so that recovery finds it.

namespace {
constexpr unsigned max_names_for_parked = 1000;  // counted up, where somebody has both its names
}

/// In a run that is gone on with it may wait already.
bool Runner::is_parked(ItemId id) {
    if (parked_.contains(id)) return true;
    if (!item(id).parks || resumption_ == nullptr) return false;
    const auto folder = source_folder(id);
    const std::string hidden = leaving_name(head_.id, number(id));
    const auto waiting = folder ? disk_.status(**folder, hidden) : Result<Status>(failure(folder.error()));
    if (!waiting || !is_still_it(*waiting, entry(id).status.id)) return false;
    parked_[id] = hidden;
    return true;
}

Result<void> Runner::park(ItemId id) {
    if (auto flushed = flush(); !flushed) return flushed;
    if (results_[id] != Outcome::planned || is_parked(id)) return {};
    const auto folder = source_folder(id);
    if (!folder) return fail(id, folder.error()), Result<void>{};
    if (auto touched = durable_.touch(entry(id).status.id.device, **folder); !touched)
        return fail(id, touched.error()), Result<void>{};
    if (!still_the_agreed_source(id, **folder)) return {};
    const std::string hidden = leaving_name(head_.id, number(id));
    if (auto away = move_seen(disk_, **folder, entry(id).name, **folder, hidden, entry(id).status.id); !away)
        return fail(id, away.error()), Result<void>{};
    changed_in(entry(id).status.id.device, *folder);
    parked_[id] = hidden;
    return {};
}

/// It does not get the name that it waited for: it has its own again or, where another has taken that by
/// then, one counted up.
/// returns  what it comes to, where it is not what it was to be
std::optional<Outcome> Runner::unpark(ItemId id) {
    const std::string hidden = parked_.at(id);
    parked_.erase(id);
    const auto folder = source_folder(id);
    if (!folder) {
        receipt_item(id).error += "; it stands at " + finals_.path_of(item(id).folder, hidden);
        return std::nullopt;
    }
    std::string name = entry(id).name;
    auto back = move_seen(disk_, **folder, hidden, **folder, name, entry(id).status.id);
    for (unsigned count = 2; !back && back.error().fault == Fault::name_taken && count < max_names_for_parked;
         ++count) {
        name = numbered_name(plan_.name(item(id)), entry(id).status.type, count);
        back = move_seen(disk_, **folder, hidden, **folder, name, entry(id).status.id);
    }
    changed_in(entry(id).status.id.device, *folder);
    ReceiptItem& out = receipt_item(id);
    if (!back) {
        out.error += "; it stands at " + join((*folder)->path(), hidden);
        return std::nullopt;
    }
    if (name == entry(id).name) return std::nullopt;
    const auto status = disk_.status(**folder, name);
    if (!status) return std::nullopt;
    out.final_path = finals_.path_of(item(id).folder, name);
    out.after = status->id;
    out.after_mode = status->mode;
    out.after_status_changed_ns = status->status_changed_ns;
    if (item(id).inside != no_folder) finals_.rename(item(id).inside, name);
    return Outcome::renamed;
}

}  // namespace tavlo
