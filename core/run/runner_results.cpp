// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/path.h"
#include "run/runner.h"

namespace tavlo {

namespace {
constexpr std::chrono::milliseconds said_at_most_every{50};  // of the file at hand
}  // namespace

// What came of each item.

Meter Runner::meter() {
    return {options_.stop, [this](std::uint64_t bytes) { say_bytes(bytes); }, options_.pace};
}

void Runner::say_bytes(std::uint64_t bytes) {
    const std::lock_guard lock(reporting_);
    if (events_.bytes) events_.bytes(bytes);
}

void Runner::say_at_hand(ItemId id) {
    if (!events_.at_hand) return;
    const std::lock_guard lock(reporting_);
    const auto now = std::chrono::steady_clock::now();
    if (now - said_at_hand_ < said_at_most_every) return;
    said_at_hand_ = now;
    events_.at_hand(plan_.source_path(item(id)));
}

ReceiptItem& Runner::receipt_item(ItemId id) {
    const auto found = open_.find(id);
    return found != open_.end() ? found->second : open_.emplace(id, as_planned(id)).first->second;
}

ReceiptItem Runner::as_planned(ItemId id) const {
    ReceiptItem out;
    const Item& it = item(id);
    const Entry& source = entry(id);
    out.source = plan_.source_path(it);
    out.target = plan_.target_path(it);
    out.type = source.status.type;
    out.size_bytes = source.status.id.size_bytes;
    out.modified_ns = source.status.id.modified_ns;
    out.action = it.action;
    out.role = it.role;
    out.shelf = it.shelf;
    if (source.status.type == FileType::file && source.status.links > 1) out.linked_source = source.status.id;
    if (it.collision) out.collision = receipt_collision(*it.collision);
    if (leaves_alone(it) && it.problem()) out.error = reason(*it.problem());
    return out;
}

/// A folder of a copy that stands there already: nothing is done for it but for what comes in it.
bool Runner::merges_with_what_stands(ItemId id) const {
    const Item& it = item(id);
    if (it.outcome != Outcome::merged || it.action != Action::copy || it.inside == no_folder) return false;
    const Identity& there = finals_.identity(it.inside);
    return there.inode != 0 && there.inodes_last();
}

/// Where nothing is done for any of those that are kept together, and nothing that is done for others touches
/// them, what comes of them stands before the run begins, and is noted then.
std::vector<bool> Runner::rows_left_alone() const {
    if (resumption_ != nullptr || plan_.standing || !plan_.steps.empty()) return {};
    std::vector<bool> rows(plan_.items.size() / kept_together + 1, true);
    std::vector<bool> something_comes_in(plan_.items.size());
    for (auto id = static_cast<ItemId>(plan_.items.size());
         id-- > 0;) {  // what is in a folder comes before it so
        const Item& it = item(id);
        const bool alone = leaves_alone(it) || (merges_with_what_stands(id) && !something_comes_in[id]);
        if (alone && it.takes_back == no_item) continue;
        rows[id / kept_together] = false;
        if (it.parent != no_item) something_comes_in[it.parent] = true;
    }
    return rows;
}

bool Runner::stays_as_it_is(ItemId id) const {
    return !rows_left_alone_.empty() && rows_left_alone_[id / kept_together];
}

ReceiptItem Runner::left_alone(ItemId id) const {
    ReceiptItem out = as_planned(id);
    out.result = item(id).outcome;
    if (out.result == Outcome::merged) out.after = finals_.identity(item(id).inside);
    return out;
}

void Runner::settle_at_once(ItemId id) {
    if (!events_.skipped || item(id).outcome != Outcome::skipped) return tell(id, left_alone(id));
    results_[id] = Outcome::skipped;
    head_.totals.count(Outcome::skipped);
    const std::lock_guard lock(reporting_);
    events_.skipped(id);
}

/// What went is "removed"; what an undo put back is "restored".
Outcome Runner::wording(ItemId id, Outcome result) const {
    if (result != Outcome::created && result != Outcome::overwritten && result != Outcome::renamed)
        return result;
    const Action action = item(id).action;
    if (action == Action::take_away || action == Action::remove_folder) return Outcome::removed;
    return traits_.puts_back ? Outcome::restored : result;
}

void Runner::tell(ItemId id, const ReceiptItem& out) {
    results_[id] = out.result;
    if (out.role != Role::archive) head_.totals.count(out.result);
    if (out.role != Role::archive && arrives(out.result) && out.type == FileType::file)
        head_.totals.bytes += out.size_bytes;
    if (!events_.item) return;
    const std::lock_guard lock(reporting_);
    events_.item(id, out);
}

void Runner::settle(ItemId id, Outcome result) {
    if (parked_.contains(id) && !arrives(result)) result = unpark(id).value_or(result);
    if (is_renamed(id) && !arrives(result)) {
        // with a folder that has another name by now it lies there
        const std::string place = finals_.path_of(item(id).folder, entry(id).name);
        if (place != receipt_item(id).target) receipt_item(id).final_path = place;
    }
    ReceiptItem out = std::move(receipt_item(id));
    open_.erase(id);
    out.result = wording(id, result);
    tell(id, out);
    if (const ItemId number_there = item(id).takes_back; number_there != no_item) {
        // a folder that is made again is taken back once what it became is gone
        const bool took_back = out.result == Outcome::removed ||
                               (out.result == Outcome::restored && out.action != Action::make_folder);
        if (took_back) records_.taken_back.push_back(number_there);
        const bool missing = out.result == Outcome::failed || out.result == Outcome::undecided;
        if (out.action == Action::make_folder && missing) not_made_again_.insert(number_there);
    }
    records_.items.emplace_back(number(id), std::move(out));
}

void Runner::settle_placed(ItemId id, const Placed& placed) {
    const Item& it = item(id);
    ReceiptItem& out = receipt_item(id);
    const std::string place = finals_.path_of(it.folder, placed.name);
    if (place != out.target) out.final_path = place;
    if (it.role == Role::archive) archive_place_ = place;
    out.after = placed.status.id;
    out.after_mode = placed.status.mode;
    out.after_status_changed_ns = placed.status.status_changed_ns;
    if (placed.set_aside) {
        out.set_aside = placed.set_aside->id;
        records_.set_aside.push_back(*placed.set_aside);
    }
    if (!it.extras().entry_of_safe.empty()) {
        out.brought_back = it.extras().entry_of_safe;
        records_.used_up.push_back(it.extras().entry_of_safe);
    }
    if (it.shelf == Shelf::trash)
        if (const auto from = source_folder(id)) trash_->gave_back(**from, source_name(id));
    parked_.erase(id);
    Outcome result = placed.name == plan_.name(it) ? Outcome::created : Outcome::renamed;
    if (placed.set_aside) result = Outcome::overwritten;
    settle(id, result);
}

/// A disk that is full or gone may have room, or be back, by the time that the run is gone on with.
bool Runner::is_stuck_by(const Error& error) {
    const bool can_wait = error.fault == Fault::no_space || error.fault == Fault::unreachable;
    if (!can_wait || !options_.pause_when_stuck) return false;
    if (!stuck_) stuck_ = error;
    return true;
}

void Runner::fail(ItemId id, const Error& error) {
    if (error.fault == Fault::cancelled) return;  // it stays planned: as before
    if (item(id).outcome != Outcome::failed && is_stuck_by(error)) return;
    ReceiptItem& out = receipt_item(id);
    out.error = reason_and_step(error);
    out.fault = error.fault;
    if (!error.path.empty() && error.path != out.source) out.error += ": " + error.path;
    settle(id, Outcome::failed);
}

std::optional<Finding> Runner::fresh_finding(ItemId id, const Held& held) {
    KnownContents known;
    auto finding = compare(entry(id), held, known, plan_.batch->time_step_ns);
    if (finding) return finding;
    const auto source = source_folder(id);
    const auto target = targets_.open(item(id).folder);
    if (!source || !target) return std::nullopt;
    const auto a = disk_.open_file(**source, source_name(id));
    const auto b = disk_.open_file(**target, held.name);
    if (!a || !b) return std::nullopt;
    const auto same = same_bytes(disk_, a->file, b->file, Meter{options_.stop, {}});
    if (!same) return std::nullopt;
    known.learn(pair_of(entry(id).status, held.status), *same);
    return compare(entry(id), held, known, plan_.batch->time_step_ns);
}

void Runner::leave_undecided(ItemId id, const std::string& why) {
    ReceiptItem& out = receipt_item(id);
    out.error = why;
    const auto folder = targets_.open(item(id).folder);
    const auto& name = plan_.final_name(item(id));
    if (folder) {
        if (const auto status = disk_.status(**folder, name)) {
            Held held{name, *status, {}};
            if (status->type == FileType::link)
                if (auto points_at = disk_.read_link(**folder, name))
                    held.points_at.make() = std::move(*points_at);
            const auto finding = item(id).collision && item(id).collision->finding == Finding::twin
                                     ? std::optional(Finding::twin)
                                     : fresh_finding(id, held);
            out.collision = ReceiptCollision{
                finding, status->id.size_bytes, status->id.modified_ns, Decision::undecided, {}};
        }
    }
    if (out.collision) out.collision->decision = Decision::undecided;
    settle(id, Outcome::undecided);
}

}  // namespace tavlo
