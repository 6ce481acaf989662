#include <algorithm>

#include "archive/reader.h"
#include "files/attributes.h"
#include "files/hash.h"
#include "files/own.h"
#include "files/path.h"
#include "files/stretches.h"
#include "run/runner.h"

namespace tavlo {

// What is in hand goes into one archive. Its bytes are written out of sight; before it takes its name every member is read back out of it
// and compared with what was read of its source. Only then do sources go that are to go.

namespace {

/// A file up to this size is read whole before anything of it is written, so that one that changes meanwhile costs nothing else. Of a
/// larger one that does, the archive is begun anew.
constexpr std::uint64_t held_in_memory_bytes = 1024 * 1024;
constexpr int most_changes = 2;  // while it is read; then it is reported, and left out
constexpr std::size_t piece_bytes = 1024 * 1024;
constexpr std::uint64_t written_out_at_once = 4 * 1024 * 1024;

using Stretches = decltype(PackedThing::stretches);

bool is_the_same(const PackedThing& wanted, const PackedThing& found) {
    std::string path = found.path;
    while (path.ends_with('/')) path.pop_back();
    const bool same_kind = path == wanted.path && found.type == wanted.type && found.is_hard_link == wanted.is_hard_link;
    const bool has_bytes = wanted.type == FileType::file && !wanted.is_hard_link;
    return found.problem.empty() && same_kind && (!has_bytes || found.size_bytes == wanted.size_bytes) &&
           (has_bytes || wanted.type == FileType::folder || found.points_at == wanted.points_at);
}

std::string names_of(const std::vector<std::pair<std::string, std::string>>& attributes) {
    std::vector<std::string> names;
    for (const auto& [name, value] : attributes) names.push_back(name);
    return listed(names);
}

/// Hashes a file of which holes are left out.
class HoleHasher {
public:
    void add(std::uint64_t offset, std::span<const std::byte> bytes) {
        add_zeros_to(offset);
        hasher_.add(bytes);
        hashed_ += bytes.size();
    }
    std::string text(std::uint64_t size) {
        add_zeros_to(size);
        return hasher_.text();
    }

private:
    void add_zeros_to(std::uint64_t end) {
        static const std::vector<std::byte> zeros(piece_bytes);
        while (hashed_ < end) {
            const auto count = static_cast<std::size_t>(std::min<std::uint64_t>(zeros.size(), end - hashed_));
            hasher_.add(std::span(zeros).first(count));
            hashed_ += count;
        }
    }
    Hasher hasher_;
    std::uint64_t hashed_ = 0;
};

}  // namespace

FormatKeeps Runner::keeps() const { return what_it_keeps(archive_format(name_of(plan_.destination)).value_or(ArchiveFormat::tar)); }

std::string Runner::member_path(ItemId id) const {
    const std::string folder = plan_.finals.path_in_root(item(id).folder);
    return folder.empty() ? plan_.final_name(item(id)) : folder + '/' + plan_.final_name(item(id));
}

Identity Runner::leaving_as(ItemId id) const {
    const auto packed = packed_as_.find(id);
    return packed == packed_as_.end() ? entry(id).status.id : packed->second;
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
    const auto touched = status ? durable_.touch(status->id.device, **into) : Result<void>(failure(status.error()));
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
    group_.push_back(std::move(work));
    if (auto flushed = flush(); !flushed) return flushed;
    return settle_packed();
}

/// Until no large file in it was found to have changed while it was read.
Result<StagedCopy> Runner::make_archive(const Handle& into) {
    for (;;) {
        std::vector<ItemId> members;
        for (const ItemId id : packed_)
            if (results_[id] == Outcome::planned) members.push_back(id);
        auto made = write_archive(into, members);
        if (!made) return failure(made.error());
        if (*made) return std::move(**made);
        if (stuck_) return failure(*stuck_);
    }
}

Result<std::optional<StagedCopy>> Runner::write_archive(const Handle& into, const std::vector<ItemId>& members) {
    const std::string& path = plan_.destination;
    auto staged = disk_.stage(into, part_name(head_.id, parts_++));
    if (!staged) return failure(staged.error());
    Hasher hasher;
    std::uint64_t size = 0;
    std::uint64_t written_out = 0;
    const auto take = [&](std::span<const std::byte> bytes) -> Result<void> {
        if (auto written = disk_.write_at(*staged, size, bytes); !written) return written;
        hasher.add(bytes);
        size += bytes.size();
        if (events_.archived) events_.archived(size);
        if (size - written_out < written_out_at_once) return {};
        disk_.start_writing(*staged, written_out, size - written_out);
        written_out = size;
        return {};
    };
    auto writer = ArchiveWriter::start(archive_format(name_of(path)).value_or(ArchiveFormat::tar), options_.press, take);
    if (!writer) return failure(writer.error());
    std::vector<PackedThing> things;
    std::vector<std::string> hashes;
    first_of_links_.clear();
    for (const ItemId id : members) {
        wait_while_held();
        if (should_stop()) return failure(Fault::cancelled, "stopped", path);
        if (item(id).outcome == Outcome::merged) continue;  // its like is in it
        if (item(id).parent != no_item && results_[item(id).parent] == Outcome::failed) {
            fail(id, {Fault::not_found, 0, "the folder it comes in could not be packed", plan_.source_path(item(id))});
            continue;
        }
        say_at_hand(id);
        std::string hash;
        auto thing = pack(id, *writer, hash);
        while (!thing) {
            if (writer->failed()) return failure(*writer->failed());
            Error why = thing.error();
            if (why.fault == Fault::cancelled) return failure(why);
            const bool changed = why.fault == Fault::changed_meanwhile;
            const bool again = changed && ++changes_[id] < most_changes;
            if (changed && !again) why.step += ", twice";
            if (!again) fail(id, why);
            if (writer->things() > things.size()) return std::optional<StagedCopy>();  // it holds a part of this one by now
            if (!again) break;
            thing = pack(id, *writer, hash);
        }
        if (!thing) continue;
        if (thing->type == FileType::file) receipt_item(id).hash = hash;
        things.push_back(std::move(*thing));
        hashes.push_back(std::move(hash));
    }
    if (stuck_) return failure(*stuck_);  // what could not be reached is to be in it, once it can be
    if (things.empty()) return failure(Fault::not_found, "has nothing in it: nothing could be packed", path);
    if (auto finished = writer->finish(); !finished) return failure(finished.error());
    if (auto set = disk_.set_mode(staged->file(), mode_of_new_file()); !set) return failure(set.error());
    if (auto closed = disk_.close_check(*staged); !closed) return failure(closed.error());
    if (auto synced = disk_.sync(staged->file()); !synced) return failure(synced.error());
    if (auto forgotten = disk_.forget_cached(staged->file()); !forgotten) return failure(forgotten.error());
    if (auto same = read_back(*staged, things, hashes); !same) return failure(same.error());
    const auto fresh = disk_.status(staged->file());
    if (!fresh) return failure(fresh.error());
    if (fresh->id.size_bytes != size) return failure(Fault::corrupt, "was written, and has another size", path);
    return std::optional<StagedCopy>(StagedCopy{std::move(*staged), *fresh, fresh->id, hasher.text(), {}});
}

PackedThing Runner::told_of(ItemId id, const Attributes& attributes) const {
    PackedThing thing;
    thing.path = member_path(id);
    thing.type = entry(id).status.type;
    thing.mode = attributes.mode;
    thing.owner = attributes.owner;
    thing.group = attributes.group;
    thing.modified_ns = attributes.modified_ns;
    thing.is_dated = true;
    if (keeps().extended_attributes) thing.extended = attributes.extended;
    return thing;
}

/// errors  of the source, or of the archive (ArchiveWriter::failed())
Result<PackedThing> Runner::pack(ItemId id, ArchiveWriter& writer, std::string& hash) {
    const Entry& source = entry(id);
    if (source.status.type == FileType::file) return pack_file(id, writer, hash);
    const auto from = source_folder(id);
    if (!from) return failure(from.error());
    const auto now = disk_.status(**from, source_name(id));
    if (!now) return failure(now.error());
    const bool is_it = source.status.type == FileType::folder ? now->id.could_be(source.status.id) : now->id == source.status.id;
    if (now->type != source.status.type || !is_it)
        return failure(Fault::refused, "is another one than was looked at", plan_.source_path(item(id)));
    Attributes attributes{now->mode, now->owner, now->group, now->accessed_ns, now->id.modified_ns, {}};
    if (source.status.type == FileType::folder) {
        const auto inside = sources_.open(source.inside);
        auto read = inside ? disk_.attributes(**inside) : Result<Attributes>(failure(inside.error()));
        if (!read) return failure(read.error());
        attributes = std::move(*read);
    }
    PackedThing thing = told_of(id, attributes);
    thing.points_at = source.points_at;
    if (!keeps().extended_attributes) receipt_item(id).not_kept = names_of(attributes.extended);
    if (auto added = writer.add(thing); !added) return failure(added.error());
    packed_as_[id] = now->id;
    return thing;
}

Result<PackedThing> Runner::pack_file(ItemId id, ArchiveWriter& writer, std::string& hash) {
    const auto from = source_folder(id);
    if (!from) return failure(from.error());
    const FormatKeeps keeps = this->keeps();
    PackedThing thing;
    const auto begin = [&](const Status& seen, const Attributes& attributes, Stretches stretches) {
        thing = told_of(id, attributes);
        thing.size_bytes = seen.id.size_bytes;
        thing.stretches = std::move(stretches);
        if (!keeps.holes && thing.size_bytes > 0) thing.stretches = {{0, thing.size_bytes}};
        return writer.add(thing);
    };
    const auto known = disk_.status(**from, source_name(id));
    if (!known) return failure(known.error());
    const Identity& agreed = entry(id).status.id;
    if (known->type != FileType::file || !(agreed.inodes_last() ? known->id.same_thing(agreed) : known->id.could_be(agreed)))
        return failure(Fault::refused, "is another one than was looked at", plan_.source_path(item(id)));
    const bool has_names = known->links > 1 && keeps.hard_links;
    if (const auto first = has_names ? first_of_links_.find(link_key(known->id)) : first_of_links_.end(); first != first_of_links_.end()) {
        if (known->id != first->second.id)
            return failure(Fault::changed_meanwhile, "changed while it was read", plan_.source_path(item(id)));
        thing = told_of(id, {known->mode, known->owner, known->group, known->accessed_ns, known->id.modified_ns, {}});
        thing.is_hard_link = true;
        thing.points_at = first->second.name;
        hash = first->second.hash;
        packed_as_[id] = known->id;
        if (auto added = writer.add(thing); !added) return failure(added.error());
        return thing;
    }
    std::vector<std::pair<std::uint64_t, std::vector<std::byte>>> pieces;
    const auto read = [&](const Handle& file, const Status& seen) -> Result<void> {
        HoleHasher hasher;
        const bool in_memory = seen.id.size_bytes <= held_in_memory_bytes;
        if (!in_memory) {
            const auto attributes = disk_.attributes(file, seen);
            if (!attributes) return failure(attributes.error());
            const auto data = stretches_of(disk_, file, seen);
            if (!data) return failure(data.error());
            Stretches stretches;
            for (const Stretch& one : *data) stretches.emplace_back(one.begin, one.end);
            if (auto begun = begin(seen, *attributes, std::move(stretches)); !begun) return begun;
        }
        pieces.clear();
        auto done = read_pieces(disk_, file, seen, meter(), [&](std::uint64_t offset, std::span<const std::byte> piece) -> Result<void> {
            hasher.add(offset, piece);
            if (!in_memory) return writer.add_bytes(offset, piece);
            pieces.push_back({offset, {piece.begin(), piece.end()}});
            return {};
        });
        hash = hasher.text(seen.id.size_bytes);
        return done;
    };
    const auto is_the_same = [&](const Handle& file) -> Result<bool> {
        const auto again = hash_of(disk_, file, Meter{options_.stop, {}, options_.pace});
        return again ? Result<bool>(*again == hash) : Result<bool>(failure(again.error()));
    };
    const std::uint64_t begun = writer.things();
    const bool leaves = item(id).action == Action::pack_away;
    const auto held = read_held_still(disk_, **from, source_name(id), leaves, meter(), read, is_the_same);
    if (!held) return failure(held.error());
    if (writer.things() == begun) {
        Stretches stretches;
        for (const auto& [offset, bytes] : pieces) stretches.emplace_back(offset, offset + bytes.size());
        if (auto added = begin(held->source, held->attributes, std::move(stretches)); !added) return failure(added.error());
        for (const auto& [offset, bytes] : pieces)
            if (auto added = writer.add_bytes(offset, bytes); !added) return failure(added.error());
    }
    packed_as_[id] = held->source.id;
    if (has_names) first_of_links_[link_key(held->source.id)] = {no_folder, thing.path, held->source.id, hash};
    ReceiptItem& out = receipt_item(id);
    out.size_bytes = held->source.id.size_bytes;
    out.modified_ns = held->source.id.modified_ns;
    if (!keeps.extended_attributes) out.not_kept = names_of(held->attributes.extended);
    if (known->links > 1 && !keeps.hard_links) out.not_kept += out.not_kept.empty() ? "links" : ",links";
    return thing;
}

/// Everything that was packed, and nothing else, as it was read.
Result<void> Runner::read_back(const Staged& archive, const std::vector<PackedThing>& things, const std::vector<std::string>& hashes) {
    const auto differs = [&](const std::string& what) {
        return failure(Fault::corrupt, "reads back otherwise than it was packed: " + what, plan_.destination);
    };
    ArchiveReader reader(archive.file().duplicate());
    const auto list = reader.list();
    if (!list) return differs(reason(list.error()));
    if (!list->end.damage.empty()) return differs(list->end.damage);
    if (list->things.size() != things.size()) return differs("it holds another number of things");
    std::vector<std::byte> piece(piece_bytes);
    for (std::size_t at = 0; at < things.size(); ++at) {
        if (should_stop()) return failure(Fault::cancelled, "stopped", plan_.destination);
        const PackedThing& found = list->things[at];
        if (!is_the_same(things[at], found)) return differs(printable(things[at].path));
        if (found.type != FileType::file || found.is_hard_link) continue;
        Hasher hasher;
        std::size_t got = piece.size();
        for (std::uint64_t offset = 0; got == piece.size(); offset += got) {
            const auto read = reader.read(at, found, offset, piece);
            if (!read) return differs(printable(things[at].path) + ": " + reason(read.error()));
            got = *read;
            hasher.add(std::span(piece).first(got));
        }
        if (hasher.text() != hashes[at]) return differs(printable(things[at].path));
    }
    return {};
}

/// What came of the archive came of what is in it; what was to leave leaves now.
Result<void> Runner::settle_packed() {
    const Outcome came_of_it = outcome_of_archive();
    if (came_of_it == Outcome::planned) return {};  // stopped: all is as before
    const std::string& archive = archive_place_.empty() && resumption_ != nullptr ? resumption_->archive_place : archive_place_;
    const auto is_folder = [&](ItemId id) { return entry(id).status.type == FileType::folder; };
    if (arrives(came_of_it))
        for (const ItemId id : packed_)
            if (item(id).action == Action::pack_away && is_folder(id)) {
                remember_source_folder(item(id).entry);
                took_from_[entry(id).inside] = true;
            }
    for (const ItemId id : std::exchange(packed_, {})) {
        if (results_[id] != Outcome::planned) continue;
        const bool is_in = archive_ == no_item || item(id).outcome == Outcome::merged || packed_as_.contains(id);
        if (arrives(came_of_it) && !is_in) continue;  // of what is not known to be in it nothing is said, and nothing goes
        if (!arrives(came_of_it)) {
            if (came_of_it == Outcome::failed) {
                fail(id, {Fault::not_found, 0, "the archive that it goes into could not be made", plan_.source_path(item(id))});
            } else {
                receipt_item(id).error = "the archive that it goes into is " + std::string(to_text(came_of_it));
                settle(id, came_of_it);
            }
            continue;
        }
        if (std::string place = join(archive, member_path(id)); place != receipt_item(id).target)
            receipt_item(id).final_path = std::move(place);
        if (item(id).action == Action::pack || is_folder(id)) {
            settle(id, item(id).outcome == Outcome::merged ? Outcome::merged : Outcome::created);
            continue;
        }
        if (should_stop()) continue;
        group_.push_back({id, Work::Kind::take_away});
        if (group_.size() < group_files_) continue;
        if (auto flushed = flush(); !flushed) return flushed;
    }
    return flush();
}

}  // namespace tavlo
