// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/archive_sink.h"

#include <algorithm>

#include "archive/reader.h"
#include "files/attributes.h"
#include "files/hash.h"
#include "files/path.h"
#include "files/stretches.h"

namespace tavlo {

namespace {

/// A file up to this size is read whole before anything of it is written, so that one that changes meanwhile
/// costs nothing else. Of a larger one that does, the archive is begun anew.
constexpr std::uint64_t held_in_memory_bytes = 1024 * 1024;
constexpr std::size_t piece_bytes = 1024 * 1024;
constexpr std::uint64_t written_out_at_once = 4 * 1024 * 1024;

using Stretches = decltype(PackedThing::stretches);

ArchiveFormat format_of(const std::string& path) {
    return archive_format(name_of(path)).value_or(ArchiveFormat::tar);
}

bool has_bytes(const PackedThing& thing) { return thing.type == FileType::file && !thing.is_hard_link; }

/// The thing that was looked at, as it is now.
Result<void> is_as_agreed(const ToPack& file, const Status& now) {
    const Identity& agreed = file.agreed.id;
    if (now.type == FileType::file &&
        (agreed.inodes_last() ? now.id.same_thing(agreed) : now.id.could_be(agreed)))
        return {};
    return failure(Fault::refused, "is another one than was looked at", file.path);
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

Result<bool> has_hash(FileSystem& disk, const Handle& open, const std::string& hash, const Meter& meter) {
    const auto again = hash_of(disk, open, Meter{meter.stop, {}, meter.pace});
    return again ? Result<bool>(*again == hash) : Result<bool>(failure(again.error()));
}

/// A small file is read whole before anything of it goes in: if it changes meanwhile, it is read again, and
/// the archive is none the worse. nullopt: it is not small
ReadAhead read_small(FileSystem& disk, const ToPack& file, const Meter& meter) {
    if (file.agreed.id.size_bytes > held_in_memory_bytes) return std::nullopt;
    SmallFile out;
    bool has_grown = false;
    const auto read = [&](const Handle& open, const Status& seen) -> Result<void> {
        if (auto same = is_as_agreed(file, seen); !same) return same;
        has_grown = seen.id.size_bytes > held_in_memory_bytes;
        if (has_grown) return failure(Fault::refused, "", file.path);  // heard by nobody
        HoleHasher hasher;
        out.pieces.clear();
        auto done = read_pieces(disk, open, seen, meter,
                                [&](std::uint64_t offset, std::span<const std::byte> piece) -> Result<void> {
                                    hasher.add(offset, piece);
                                    out.pieces.push_back({offset, {piece.begin(), piece.end()}});
                                    return {};
                                });
        out.hash = hasher.text(seen.id.size_bytes);
        return done;
    };
    auto held = read_held_still(disk, *file.folder, file.name, file.leaves, meter, read,
                                [&](const Handle& open) { return has_hash(disk, open, out.hash, meter); });
    if (has_grown) return std::nullopt;
    if (!held) return Result<SmallFile>(failure(held.error()));
    out.held = std::move(*held);
    return Result<SmallFile>(std::move(out));
}

}  // namespace

ArchiveSink::ArchiveSink(FileSystem& disk, std::string path, Staged staged,
                         std::function<void(std::uint64_t)> grown)
    : disk_(disk),
      path_(std::move(path)),
      keeps_(what_it_keeps(format_of(path_))),
      staged_(std::move(staged)),
      grown_(std::move(grown)) {}

Result<std::unique_ptr<ArchiveSink>> ArchiveSink::start(FileSystem& disk, const Handle& into,
                                                        const std::string& part_name, const std::string& path,
                                                        Press press,
                                                        std::function<void(std::uint64_t)> grown) {
    auto staged = disk.stage(into, part_name, mode_of_new_file());
    if (!staged) return failure(staged.error());
    std::unique_ptr<ArchiveSink> sink(new ArchiveSink(disk, path, std::move(*staged), std::move(grown)));
    auto writer =
        ArchiveWriter::start(format_of(path), press,
                             [to = sink.get()](std::span<const std::byte> bytes) { return to->take(bytes); });
    if (!writer) return failure(writer.error());
    sink->writer_ = std::move(*writer);
    return sink;
}

Result<void> ArchiveSink::take(std::span<const std::byte> bytes) {
    const std::uint64_t begin = size_bytes_;
    if (auto written = disk_.write_at(staged_, begin, bytes); !written) return written;
    hasher_.add(bytes);
    const std::uint64_t end = begin + bytes.size();
    size_bytes_ = end;
    if (end - written_out_ < written_out_at_once) return {};
    disk_.start_writing(staged_, written_out_, end - written_out_);
    written_out_ = end;
    return {};
}

void ArchiveSink::say_if_grown() {
    const std::uint64_t now = size_bytes_;
    if (grown_ && std::exchange(said_bytes_, now) != now) grown_(now);
}

PackedThing ArchiveSink::told_of(const ToPack& what, const Attributes& attributes) const {
    PackedThing thing;
    thing.path = what.member;
    thing.type = what.agreed.type;
    thing.mode = attributes.mode;
    thing.owner = attributes.owner;
    thing.group = attributes.group;
    thing.modified_ns = attributes.modified_ns;
    thing.is_dated = true;
    if (keeps_.extended_attributes) thing.extended = attributes.extended;
    return thing;
}

/// Of dates and owners nothing: formats say them each in its own way.
ArchiveSink::Print ArchiveSink::print_of(const PackedThing& thing, std::string_view hash) {
    std::string all = thing.path;
    while (all.ends_with('/')) all.pop_back();
    all += '\0';
    all += static_cast<char>(thing.type);
    all += static_cast<char>(thing.is_hard_link);
    const std::uint64_t size_bytes = has_bytes(thing) ? thing.size_bytes : 0;
    all += has_bytes(thing) ? hash : thing.type == FileType::folder ? std::string_view() : thing.points_at;
    Hasher hasher;
    hasher.add(std::as_bytes(std::span(all)));
    return {hasher.digest(), size_bytes};
}

Result<PackedAs> ArchiveSink::add(const ToPack& what, const Meter& meter, ReadAhead read) {
    PackedThing thing;
    auto packed = what.agreed.type == FileType::file ? add_file(what, meter, std::move(read), thing)
                                                     : add_other(what, thing);
    if (packed) prints_.push_back(print_of(thing, packed->hash));
    say_if_grown();
    return packed;
}

Result<PackedAs> ArchiveSink::add_other(const ToPack& what, PackedThing& thing) {
    const bool is_folder = what.agreed.type == FileType::folder;
    const auto now = disk_.status(*what.folder, what.name);
    if (!now) return failure(now.error());
    const bool is_it = is_folder ? now->id.could_be(what.agreed.id) : now->id == what.agreed.id;
    if (now->type != what.agreed.type || !is_it)
        return failure(Fault::refused, "is another one than was looked at", what.path);
    Attributes attributes{now->mode, now->owner, now->group, now->accessed_ns, now->id.modified_ns, {}};
    if (is_folder) {
        auto read = disk_.attributes(*what.inside);
        if (!read) return failure(read.error());
        attributes = std::move(*read);
    }
    thing = told_of(what, attributes);
    thing.points_at = what.points_at;
    if (auto added = writer_->add(thing); !added) return failure(added.error());
    return PackedAs{*now, {}, keeps_.extended_attributes ? std::string() : names_of(attributes.extended)};
}

Result<PackedAs> ArchiveSink::add_file(const ToPack& file, const Meter& meter, ReadAhead read,
                                       PackedThing& thing) {
    const bool has_names = file.agreed.links > 1 && keeps_.hard_links;
    if (has_names) {
        const auto known = disk_.status(*file.folder, file.name);
        if (!known) return failure(known.error());
        if (auto same = is_as_agreed(file, *known); !same) return failure(same.error());
        const auto first = first_names_.find({known->id.device, known->id.inode});
        if (first != first_names_.end()) return add_further_name(file, *known, first->second, thing);
    }
    if (!read) read = read_small(disk_, file, meter);
    if (read && !*read) return failure(read->error());
    auto packed = read ? add_small(file, std::move(**read), thing) : add_large(file, meter, thing);
    if (!packed) return packed;
    const Identity& id = packed->source.id;
    if (has_names) first_names_[{id.device, id.inode}] = {id, thing.path, packed->hash};
    if (packed->source.links > 1 && !keeps_.hard_links)
        packed->not_kept += packed->not_kept.empty() ? "links" : ",links";
    return packed;
}

/// Another name of a file that is in the archive already.
Result<PackedAs> ArchiveSink::add_further_name(const ToPack& file, const Status& known,
                                               const FirstName& first, PackedThing& thing) {
    if (known.id != first.id)
        return failure(Fault::changed_meanwhile, "changed while it was read", file.path);
    thing =
        told_of(file, {known.mode, known.owner, known.group, known.accessed_ns, known.id.modified_ns, {}});
    thing.is_hard_link = true;
    thing.points_at = first.member;
    if (auto added = writer_->add(thing); !added) return failure(added.error());
    return PackedAs{known, first.hash, {}};
}

Result<void> ArchiveSink::begin_file(const ToPack& file, std::uint64_t size_bytes,
                                     const Attributes& attributes, Stretches stretches, PackedThing& thing) {
    thing = told_of(file, attributes);
    thing.size_bytes = size_bytes;
    thing.stretches = std::move(stretches);
    if (!keeps_.holes && size_bytes > 0) thing.stretches = {{0, size_bytes}};
    return writer_->add(thing);
}

ReadAhead ArchiveSink::read_ahead(const ToPack& what, const Meter& meter) const {
    if (what.agreed.type != FileType::file || what.agreed.links > 1) return std::nullopt;
    return read_small(disk_, what, meter);
}

PackedAs ArchiveSink::packed_as(const HeldStill& held, std::string hash) const {
    return {held.source, std::move(hash),
            keeps_.extended_attributes ? std::string() : names_of(held.attributes.extended)};
}

Result<PackedAs> ArchiveSink::add_small(const ToPack& file, SmallFile read, PackedThing& thing) {
    Stretches stretches;
    for (const auto& [offset, bytes] : read.pieces) stretches.emplace_back(offset, offset + bytes.size());
    auto added =
        begin_file(file, read.held.source.id.size_bytes, read.held.attributes, std::move(stretches), thing);
    for (auto piece = read.pieces.begin(); added && piece != read.pieces.end(); ++piece)
        added = writer_->add_bytes(piece->first, piece->second);
    if (!added) return failure(added.error());
    return packed_as(read.held, std::move(read.hash));
}

/// Its bytes go in as they are read: if it changes meanwhile, the archive is spoilt.
Result<PackedAs> ArchiveSink::add_large(const ToPack& file, const Meter& meter, PackedThing& thing) {
    std::string hash;
    const auto read = [&](const Handle& open, const Status& seen) -> Result<void> {
        if (auto same = is_as_agreed(file, seen); !same) return same;
        const auto attributes = disk_.attributes(open, seen);
        if (!attributes) return failure(attributes.error());
        const auto data = stretches_of(disk_, open, seen);
        if (!data) return failure(data.error());
        Stretches stretches;
        for (const Stretch& one : *data) stretches.emplace_back(one.begin, one.end);
        if (auto begun = begin_file(file, seen.id.size_bytes, *attributes, std::move(stretches), thing);
            !begun)
            return begun;
        HoleHasher hasher;
        auto done = read_pieces(disk_, open, seen, meter,
                                [&](std::uint64_t offset, std::span<const std::byte> piece) {
                                    hasher.add(offset, piece);
                                    say_if_grown();
                                    return writer_->add_bytes(offset, piece);
                                });
        hash = hasher.text(seen.id.size_bytes);
        return done;
    };
    const auto held = read_held_still(disk_, *file.folder, file.name, file.leaves, meter, read,
                                      [&](const Handle& open) { return has_hash(disk_, open, hash, meter); });
    if (!held) return failure(held.error());
    return packed_as(*held, std::move(hash));
}

Result<StagedCopy> ArchiveSink::finish(const Meter& meter) {
    if (auto finished = writer_->finish(); !finished) return failure(finished.error());
    say_if_grown();
    if (auto set = disk_.set_mode(staged_.file(), mode_of_new_file()); !set) return failure(set.error());
    if (auto closed = disk_.close_check(staged_); !closed) return failure(closed.error());
    if (auto synced = disk_.sync(staged_.file()); !synced) return failure(synced.error());
    if (auto forgotten = disk_.forget_cached(staged_.file()); !forgotten) return failure(forgotten.error());
    if (auto same = read_back(meter); !same) return failure(same.error());
    const auto fresh = disk_.status(staged_.file());
    if (!fresh) return failure(fresh.error());
    if (fresh->id.size_bytes != size_bytes_)
        return failure(Fault::corrupt, "was written, and has another size", path_);
    return StagedCopy{std::move(staged_), *fresh, fresh->id, hasher_.text(), {}};
}

/// Everything that was packed, and nothing else, as it was read.
Result<void> ArchiveSink::read_back(const Meter& meter) {
    const auto differs = [&](const std::string& what) {
        return failure(Fault::corrupt, "reads back otherwise than it was packed: " + what, path_);
    };
    std::size_t told = 0;
    std::optional<PackedThing> file;  // whose bytes come
    std::optional<HoleHasher> hasher;
    std::optional<Error> wrong;
    const auto noted = [&](Result<void> result) {
        if (!result) wrong = result.error();
        return result;
    };
    const auto is_to_stop = [&]() -> Result<void> {
        if (!meter.stop.stop_requested()) return {};
        return failure(Fault::cancelled, "stopped", path_);
    };
    const auto check = [&](const PackedThing& thing, std::string_view hash) -> Result<void> {
        const bool same =
            thing.problem.empty() && told < prints_.size() && print_of(thing, hash) == prints_[told];
        ++told;
        return same ? Result<void>{} : differs(printable(thing.path));
    };
    const auto check_file = [&]() -> Result<void> {
        if (!file) return {};
        const PackedThing thing = std::move(*std::exchange(file, std::nullopt));
        if (told == prints_.size() || prints_[told].size_bytes != thing.size_bytes)
            return differs(printable(thing.path));
        return check(thing, hasher->text(thing.size_bytes));
    };
    ArchiveReader reader(staged_.file().duplicate());
    const auto end = reader.read_through(
        [&](PackedThing&& thing) -> Result<void> {
            auto checked = is_to_stop();
            if (checked) checked = check_file();
            if (checked && !has_bytes(thing)) checked = check(thing, {});
            if (checked && has_bytes(thing)) {
                file = std::move(thing);
                hasher.emplace();
            }
            return noted(std::move(checked));
        },
        [&](std::uint64_t offset, std::span<const std::byte> bytes) -> Result<void> {
            if (auto stopped = noted(is_to_stop()); !stopped) return stopped;
            if (!file) return noted(differs("there are bytes of no file"));
            hasher->add(offset, bytes);
            return {};
        });
    if (wrong) return failure(*wrong);
    if (!end) return differs(reason(end.error()));
    if (!end->damage.empty()) return differs(end->damage);
    if (auto checked = check_file(); !checked) return checked;
    return told == prints_.size() ? Result<void>{} : differs("it holds another number of things");
}

}  // namespace tavlo
