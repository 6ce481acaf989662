// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <iterator>

#include "run/runner.h"

namespace tavlo {

// Items are worked on in groups: what one call makes durable for many costs each of them little. While a group
// is made durable and noted in the journal by other threads, the next one is collected and staged; while that
// is read and written, the names of the one before are taken. So three are on their way at most: one that
// takes its names, one behind, whose bytes become durable, and one that is collected.

namespace {

// a group is bounded in files, bytes and time, so that little is at stake and progress stays smooth
constexpr std::size_t usual_in_a_group = 2048;
// with few handles it is smaller: there may be three groups, of files that hold two each where there are no
// nameless ones, and what is left is for folders' and for what is just read
constexpr std::size_t share_of_handles = 8;
constexpr std::size_t kept_for_others = 24;    // besides: the journal's, and the program's own
constexpr std::size_t most_unrecorded = 8192;  // of items that need no note before they are done
constexpr std::uint64_t group_most_bytes = 64 * 1024 * 1024;
constexpr std::chrono::milliseconds group_time{1000};
// so much waits until it is read and written: less than a group where files are larger, so that its time is
// kept, and enough for other threads to be at work while this one gives names
constexpr std::size_t staged_at_once = 2048;
constexpr std::uint64_t staged_at_once_bytes = 8 * 1024 * 1024;

}  // namespace

std::size_t Runner::most_in_a_group(const RunOptions& options) {
    const std::size_t wanted = options.group_files != 0 ? options.group_files : usual_in_a_group;
    const std::size_t limit = handle_limit();
    return std::clamp<std::size_t>((limit - std::min(limit, kept_for_others)) / share_of_handles, 1, wanted);
}

void Runner::Group::add(Work work) {
    if (works.empty()) began = std::chrono::steady_clock::now();
    works.push_back(std::move(work));
}

bool Runner::Group::has_sources_that_leave() const {
    return std::any_of(works.begin(), works.end(), [](const Work& work) { return work.remove_source; });
}

/// A source that is to go once its copy is durable still holds the name that this item wants; and in an undo
/// what an item takes away may have to come back first.
bool Runner::Group::stands_in_the_way(const Plan& plan, const Item& of) const {
    return (!leaving.empty() && leaving.contains(plan.final_path(of))) ||
           (!arriving.empty() && arriving.contains(plan.source_path(of)));
}

/// What a group costs in room beside what it replaces is given back before there is another (promise 4); and
/// where nothing is read, written or looked at there is nothing to wait for.
bool Runner::may_stay_behind() const {
    return !traits_.in_order && !group_.has_sources_that_leave() &&
           std::any_of(group_.works.begin(), group_.works.end(), [](const Work& work) {
               return work.kind == Work::Kind::staged || work.kind == Work::Kind::rename;
           });
}

/// After each item: stages what waits, hands over what is full.
Result<void> Runner::go_on_with_group() {
    if (has_much_to_write()) return hand_over_records();
    const bool full = group_.works.size() >= group_files_ || group_.bytes >= group_most_bytes ||
                      (!group_.works.empty() && std::chrono::steady_clock::now() - group_.began > group_time);
    if (full) return may_stay_behind() ? hand_over() : flush();
    const bool much_waits = group_.waiting >= staged_at_once || group_.waiting_bytes >= staged_at_once_bytes;
    return much_waits ? stage_waiting() : Result<void>{};
}

/// The group is staged, the one before takes its names, and this one stays behind while its bytes become
/// durable.
Result<void> Runner::hand_over() {
    if (auto staged = stage_waiting(); !staged) return staged;
    if (!group_.works.empty()) begin_settling();
    step_again();
    return {};
}

/// What came of very many items that nothing is done for, as they are the same already, say: written while the
/// next ones are gone through.
Result<void> Runner::hand_over_records() {
    if (!group_.works.empty()) return flush();
    if (auto finished = finish_behind(); !finished) return finished;
    if (!durable_.is_settled())
        return flush();  // names that were taken just now are to be made durable first
    ready_.append(std::exchange(records_, {}));
    begin_settling();
    return {};
}

/// All that was begun comes to its end.
Result<void> Runner::flush() {
    while (!group_.works.empty() || settling_) {
        if (auto handed = hand_over(); !handed) return handed;
        if (auto finished = finish_behind(); !finished) return finished;
        step_again();
    }
    return has_much_to_write() ? write_records() : Result<void>{};
}

bool Runner::has_much_to_write() const {
    return records_.items.size() + ready_.items.size() >= most_unrecorded;
}

/// A rename that met another file system comes back as a copy, in another group.
void Runner::step_again() {
    for (const ItemId id : std::exchange(again_, {})) {
        const auto into = targets_.open(item(id).folder);
        if (into)
            step_file(id, *into);
        else
            fail(id, into.error());
    }
}

/// Before anything takes a name: the group's bytes are durable, what is to be verified is read back, and the
/// journal says what is about to happen. The journal is written while the disk works on the bytes; so what it
/// says was done is what was durable before.
void Runner::begin_settling() {
    behind_ = std::exchange(group_, {});
    Settling& settling = settling_.emplace();
    std::vector<Intent> intents = intents_of(behind_);
    forget_recorded(ready_);
    const bool has_news = !intents.empty() || !ready_.is_empty();
    // together with what groups before have done: until it is recorded, their own intentions stand for it
    noted_.insert(noted_.end(), std::make_move_iterator(intents.begin()),
                  std::make_move_iterator(intents.end()));
    settling.done = std::exchange(ready_, {});
    std::vector<const StagedCopy*> files;
    for (Work& work : behind_.works)
        if (work.copy && !work.dropped && results_[work.item] == Outcome::planned) {
            settling.copies.push_back(&work);
            files.push_back(&*work.copy);
        }
    // of renames there are no bytes, and what is to be recorded of them waits until it is much
    const bool much_is_named = records_.items.size() + group_files_ >= most_unrecorded;
    if (!files.empty() || much_is_named) {
        settling.names = std::exchange(records_, {});  // of groups before, durable with this one's bytes
        settling.synced = settlers_.ask<Durable::Synced>(
            [this, &copies = settling.copies, sync = durable_.begin(std::move(files))] {
                Durable::Synced synced = sync();
                read_back(copies, synced.failed);
                return synced;
            });
    }
    settling.noted = settlers_.ask<Result<void>>([this, &settling, has_news]() -> Result<void> {
        if (!has_news) return {};
        return store_.record(head_.id, settling.done, noted_);
    });
}

/// What does not read back as it was written is added to what has failed.
void Runner::read_back(const std::vector<Work*>& copies, std::vector<Durable::Failed>& failed) {
    std::vector<bool> lost(copies.size());
    for (const auto& [at, why] : failed) lost[at] = true;
    std::vector<const StagedCopy*> files;
    std::vector<std::size_t> places;
    for (std::size_t at = 0; at < copies.size(); ++at) {
        if (lost[at] || !reads_back(*copies[at])) continue;
        files.push_back(&*copies[at]->copy);
        places.push_back(at);
    }
    for (auto& [which, why] : verify_staged(disk_, files, meter()))
        failed.push_back({places[which], std::move(why)});
}

/// The group behind cannot take its names yet.
bool Runner::waits_for_behind() const {
    return settling_ &&
           ((settling_->synced && !settling_->synced->is_done()) || !settling_->noted->is_done());
}

/// The group behind takes its names, once its bytes are durable and the journal has it.
Result<void> Runner::finish_behind() {
    if (!settling_) return {};
    const auto synced = settling_->synced ? settling_->synced->take() : Durable::Synced{};
    auto noted = settling_->noted->take();
    if (!noted && noted.error().fault == Fault::locked)
        noted = persist([&] { return store_.record(head_.id, settling_->done, noted_); });
    if (!synced.names) names_are_not_durable(settling_->names, synced.names.error());
    ready_.append(std::move(settling_->names));
    for (const auto& [at, why] : synced.failed) drop(*settling_->copies[at], why);
    settling_.reset();
    Group group = std::exchange(behind_, {});
    if (!noted) return noted;
    for (Work& work : group.works) {
        if (work.dropped || results_[work.item] != Outcome::planned) continue;
        // a wish to stop is heard between two names, but for those of a ring that was begun
        const bool stops = options_.stop.stop_requested() && parked_.empty();
        stops ? leave_for_later(work) : place(work);
    }
    if (!group.has_sources_that_leave()) return {};
    const auto durable = durable_.settle();
    for (Work& work : group.works)
        if (work.remove_source && !work.dropped && results_[work.item] == Outcome::planned)
            durable ? remove_source(work) : take_back(work, durable.error());
    return {};
}

/// Nothing of it takes a name; it stays planned.
void Runner::leave_for_later(Work& work) {
    work.dropped = true;
    if (work.slot) SafeFolder::drop(disk_, *work.slot);
}

void Runner::drop(Work& work, const Error& why) {
    if (work.dropped || results_[work.item] != Outcome::planned) return;
    leave_for_later(work);
    fail(work.item, why);
}

}  // namespace tavlo
