// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>

#include "files/own.h"
#include "files/path.h"
#include "run/runner.h"

namespace tavlo {

// What is in hand goes into one archive. Its bytes are written out of sight; before it takes its name every
// member is read back out of it and compared with what was read of its source. Only then do sources go that
// are to go.

namespace {
constexpr int most_changes = 2;  // while it is read; then it is reported, and left out
}

std::string Runner::member_path(ItemId id) const {
    const std::string folder = plan_.finals.path_in_root(item(id).folder);
    return folder.empty() ? plan_.final_name(item(id)) : folder + '/' + plan_.final_name(item(id));
}

Identity Runner::leaving_as(ItemId id) const {
    const auto packed = packed_as_.find(id);
    return packed == packed_as_.end() ? entry(id).status.id : packed->second.source;
}

Outcome Runner::outcome_of_archive() const {
    if (archive_ != no_item) return results_[archive_];
    return resumption_ != nullptr ? resumption_->archive.value_or(Outcome::planned) : Outcome::planned;
}

Result<void> Runner::step_archive(ItemId id) {
    archive_ = id;
    if (should_stop()) return {};
    const auto into = targets_.open(item(id).folder);
    const auto status = into ? disk_.status(**into) : Result<Status>(failure(into.error()));
    const auto touched =
        status ? durable_.touch(status->id.device, **into) : Result<void>(failure(status.error()));
    auto made = touched ? make_archive(**into) : Result<StagedCopy>(failure(touched.error()));
    if (!made) {
        fail(id, made.error());
        return settle_packed();
    }
    // what was left out is on record before the archive that lacks it has its name
    if (auto written = write_records(); !written) return written;
    ReceiptItem& out = receipt_item(id);
    out.size_bytes = made->fresh.size_bytes;
    out.modified_ns = made->fresh.modified_ns;
    out.hash = made->hash;
    Work work{id};
    work.copy.emplace(std::move(*made));
    group_.add(std::move(work));
    if (auto flushed = flush(); !flushed) return flushed;
    return settle_packed();
}

/// Until no large file in it was found to have changed while it was read.
Result<StagedCopy> Runner::make_archive(const Handle& into) {
    for (;;) {
        std::vector<ItemId> members;
        for (const ItemId id : packed_)
            if (results_[id] == Outcome::planned && item(id).outcome != Outcome::merged)
                members.push_back(id);  // of one that is merged its like is in it
        auto made = write_archive(into, members);
        if (!made) return failure(made.error());
        if (*made) return std::move(**made);
        if (stuck_) return failure(*stuck_);
    }
}

Result<std::optional<StagedCopy>> Runner::write_archive(const Handle& into,
                                                        const std::vector<ItemId>& members) {
    const std::string& path = plan_.destination;
    auto started = ArchiveSink::start(disk_, into, part_name(head_.id, parts_++), path, options_.press,
                                      events_.archived);
    if (!started) return failure(started.error());
    ArchiveSink& sink = **started;
    // small files are read ahead by other threads, some at a time; all go in by this one, in their order
    InTurn<Sources> sources(stagers_);
    Sources at_hand;
    std::size_t used = 0;
    auto next = members.begin();
    for (const ItemId id : members) {
        while (next != members.end() && !sources.is_full())
            next = read_ahead(next, members.end(), sink, sources);
        if (used == at_hand.size()) {
            at_hand = sources.take();
            used = 0;
        }
        std::optional<Source> source = std::move(at_hand[used++]);
        wait_while_held();
        if (should_stop()) return failure(Fault::cancelled, "stopped", path);
        if (item(id).parent != no_item && results_[item(id).parent] == Outcome::failed) {
            fail(id, {Fault::not_found, 0, "the folder it comes in could not be packed",
                      plan_.source_path(item(id))});
            continue;
        }
        say_at_hand(id);
        for (auto packed = pack(id, sink, source); !packed; packed = pack(id, sink, source)) {
            if (sink.failed()) return failure(*sink.failed());
            Error why = packed.error();
            if (why.fault == Fault::cancelled) return failure(why);
            const bool changed = why.fault == Fault::changed_meanwhile;
            const bool again = changed && ++changes_[id] < most_changes;
            if (changed && !again) why.step += ", twice";
            if (!again) fail(id, why);
            if (sink.is_spoilt()) return std::optional<StagedCopy>();
            if (!again) break;
        }
    }
    if (stuck_) return failure(*stuck_);  // what could not be reached is to be in it, once it can be
    if (sink.is_empty()) return failure(Fault::not_found, "has nothing in it: nothing could be packed", path);
    auto made = sink.finish(Meter{options_.stop, {}, options_.pace});
    if (!made) return failure(made.error());
    return std::optional<StagedCopy>(std::move(*made));
}

Result<Runner::Source> Runner::source_of(ItemId id) {
    const Entry& source = entry(id);
    auto from = source_folder(id);
    if (!from) return failure(from.error());
    Source out{std::move(*from), {}, {}};
    if (source.status.type == FileType::folder) {
        auto inside = sources_.open(source.inside);
        if (!inside) return failure(inside.error());
        out.inside = std::move(*inside);
    }
    out.thing = {member_path(id),    plan_.source_path(item(id)),
                 out.folder.get(),   source_name(id),
                 out.inside.get(),   source.status,
                 source.points_at(), item(id).action == Action::pack_away};
    return out;
}

/// So many that handing them over costs little beside reading them. What cannot be read ahead is seen to when
/// it is its turn; what lies in an archive is read by one thread.
/// returns  where the next ones begin
Runner::Members::const_iterator Runner::read_ahead(Members::const_iterator begin, Members::const_iterator end,
                                                   const ArchiveSink& sink, InTurn<Sources>& sources) {
    constexpr std::size_t most_files = 16;
    constexpr std::uint64_t most_bytes = 256 * 1024;
    const auto some = std::make_shared<Sources>();
    std::uint64_t bytes = 0;
    for (; begin != end && some->size() < most_files && bytes < most_bytes; ++begin) {
        const Status& seen = entry(*begin).status;
        const bool is_file = seen.type == FileType::file && !reads_in_order_;
        auto source = is_file ? source_of(*begin) : Result<Source>(failure(Fault::unsupported, "", ""));
        some->emplace_back(source ? std::optional(std::move(*source)) : std::nullopt);
        bytes += seen.id.size_bytes;
    }
    sources.ask([this, &sink, some] {
        for (auto& source : *some)
            if (source) source->read = sink.read_ahead(source->thing, meter());
        return std::move(*some);
    });
    return begin;
}

/// source  if it is not there yet, it is made
/// errors  of the source, or of the archive (ArchiveSink::failed())
Result<void> Runner::pack(ItemId id, ArchiveSink& sink, std::optional<Source>& source) {
    if (!source) {
        auto made = source_of(id);
        if (!made) return failure(made.error());
        source = std::move(*made);
    }
    const auto packed = sink.add(source->thing, meter(), std::exchange(source->read, {}));
    if (!packed) return failure(packed.error());
    packed_as_[id] = {packed->source.id, packed->hash, packed->not_kept};
    return {};
}

/// What its receipt says of how it was packed.
void Runner::note_packed(ItemId id) {
    const auto packed = packed_as_.find(id);
    if (packed == packed_as_.end()) return;
    ReceiptItem& out = receipt_item(id);
    out.not_kept = packed->second.not_kept;
    if (entry(id).status.type != FileType::file) return;
    out.hash = packed->second.hash;
    out.size_bytes = packed->second.source.size_bytes;
    out.modified_ns = packed->second.source.modified_ns;
}

/// What came of the archive came of what is in it; what was to leave leaves now.
Result<void> Runner::settle_packed() {
    const Outcome came_of_it = outcome_of_archive();
    if (came_of_it == Outcome::planned) return {};  // stopped: all is as before
    const std::string& archive =
        archive_place_.empty() && resumption_ != nullptr ? resumption_->archive_place : archive_place_;
    const auto is_folder = [&](ItemId id) { return entry(id).status.type == FileType::folder; };
    if (arrives(came_of_it))
        for (const ItemId id : packed_)
            if (item(id).action == Action::pack_away && is_folder(id)) {
                remember_source_folder(item(id).entry);
                took_from_[entry(id).inside] = true;
            }
    for (const ItemId id : std::exchange(packed_, {})) {
        if (results_[id] != Outcome::planned) continue;
        const bool is_in =
            archive_ == no_item || item(id).outcome == Outcome::merged || packed_as_.contains(id);
        if (arrives(came_of_it) && !is_in)
            continue;  // of what is not known to be in it nothing is said, and nothing goes
        if (!arrives(came_of_it)) {
            if (came_of_it == Outcome::failed) {
                fail(id, {Fault::not_found, 0, "the archive that it goes into could not be made",
                          plan_.source_path(item(id))});
            } else {
                receipt_item(id).error =
                    "the archive that it goes into is " + std::string(to_text(came_of_it));
                settle(id, came_of_it);
            }
            continue;
        }
        note_packed(id);
        if (std::string place = join(archive, member_path(id)); place != receipt_item(id).target)
            receipt_item(id).final_path = std::move(place);
        if (item(id).action == Action::pack || is_folder(id))
            settle(id, item(id).outcome == Outcome::merged ? Outcome::merged : Outcome::created);
        else if (should_stop())
            continue;
        else
            group_.add({id, Work::Kind::take_away});
        if (auto gone_on = go_on_with_group(); !gone_on) return gone_on;
    }
    return flush();
}

}  // namespace tavlo
