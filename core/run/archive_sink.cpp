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

bool is_the_same(const PackedThing& wanted, const PackedThing& found) {
    std::string path = found.path;
    while (path.ends_with('/')) path.pop_back();
    const bool same_kind =
        path == wanted.path && found.type == wanted.type && found.is_hard_link == wanted.is_hard_link;
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
    auto staged = disk.stage(into, part_name);
    if (!staged) return failure(staged.error());
    std::unique_ptr<ArchiveSink> sink(new ArchiveSink(disk, path, std::move(*staged), std::move(grown)));
    auto writer =
        ArchiveWriter::start(format_of(path), press,
                             [to = sink.get()](std::span<const std::byte> bytes) { return to->take(bytes); });
    if (!writer) return failure(writer.error());
    sink->writer_.emplace(std::move(*writer));
    return sink;
}

Result<void> ArchiveSink::take(std::span<const std::byte> bytes) {
    if (auto written = disk_.write_at(staged_, size_bytes_, bytes); !written) return written;
    hasher_.add(bytes);
    size_bytes_ += bytes.size();
    if (grown_) grown_(size_bytes_);
    if (size_bytes_ - written_out_ < written_out_at_once) return {};
    disk_.start_writing(staged_, written_out_, size_bytes_ - written_out_);
    written_out_ = size_bytes_;
    return {};
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

Result<PackedAs> ArchiveSink::add(const ToPack& what, const Meter& meter) {
    PackedThing thing;
    auto packed = what.agreed.type == FileType::file ? add_file(what, meter, thing) : add_other(what, thing);
    if (!packed) return packed;
    things_.push_back(std::move(thing));
    hashes_.push_back(packed->hash);
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

Result<PackedAs> ArchiveSink::add_file(const ToPack& file, const Meter& meter, PackedThing& thing) {
    const auto known = disk_.status(*file.folder, file.name);
    if (!known) return failure(known.error());
    const Identity& agreed = file.agreed.id;
    if (known->type != FileType::file ||
        !(agreed.inodes_last() ? known->id.same_thing(agreed) : known->id.could_be(agreed)))
        return failure(Fault::refused, "is another one than was looked at", file.path);
    const bool has_names = known->links > 1 && keeps_.hard_links;
    const auto inode = std::pair(known->id.device, known->id.inode);
    if (const auto first = has_names ? first_names_.find(inode) : first_names_.end();
        first != first_names_.end())
        return add_further_name(file, *known, first->second, thing);
    auto packed = add_bytes_of(file, meter, thing);
    if (!packed) return packed;
    if (has_names) first_names_[inode] = {packed->source.id, thing.path, packed->hash};
    if (known->links > 1 && !keeps_.hard_links)
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

/// A small file is read whole before anything of it goes in: if it changes meanwhile, it is read again, and
/// the archive is none the worse.
Result<PackedAs> ArchiveSink::add_bytes_of(const ToPack& file, const Meter& meter, PackedThing& thing) {
    std::string hash;
    std::vector<std::pair<std::uint64_t, std::vector<std::byte>>> pieces;
    const auto read = [&](const Handle& open, const Status& seen) -> Result<void> {
        HoleHasher hasher;
        const bool in_memory = seen.id.size_bytes <= held_in_memory_bytes;
        if (!in_memory) {
            const auto attributes = disk_.attributes(open, seen);
            if (!attributes) return failure(attributes.error());
            const auto data = stretches_of(disk_, open, seen);
            if (!data) return failure(data.error());
            Stretches stretches;
            for (const Stretch& one : *data) stretches.emplace_back(one.begin, one.end);
            if (auto begun = begin_file(file, seen.id.size_bytes, *attributes, std::move(stretches), thing);
                !begun)
                return begun;
        }
        pieces.clear();
        auto done = read_pieces(disk_, open, seen, meter,
                                [&](std::uint64_t offset, std::span<const std::byte> piece) -> Result<void> {
                                    hasher.add(offset, piece);
                                    if (!in_memory) return writer_->add_bytes(offset, piece);
                                    pieces.push_back({offset, {piece.begin(), piece.end()}});
                                    return {};
                                });
        hash = hasher.text(seen.id.size_bytes);
        return done;
    };
    const auto is_the_same = [&](const Handle& open) -> Result<bool> {
        const auto again = hash_of(disk_, open, Meter{meter.stop, {}, meter.pace});
        return again ? Result<bool>(*again == hash) : Result<bool>(failure(again.error()));
    };
    const std::uint64_t begun = writer_->things();
    const auto held = read_held_still(disk_, *file.folder, file.name, file.leaves, meter, read, is_the_same);
    if (!held) return failure(held.error());
    if (writer_->things() == begun) {
        Stretches stretches;
        for (const auto& [offset, bytes] : pieces) stretches.emplace_back(offset, offset + bytes.size());
        auto added =
            begin_file(file, held->source.id.size_bytes, held->attributes, std::move(stretches), thing);
        for (auto piece = pieces.begin(); added && piece != pieces.end(); ++piece)
            added = writer_->add_bytes(piece->first, piece->second);
        if (!added) return failure(added.error());
    }
    return PackedAs{held->source, std::move(hash),
                    keeps_.extended_attributes ? std::string() : names_of(held->attributes.extended)};
}

Result<StagedCopy> ArchiveSink::finish(const Meter& meter) {
    if (auto finished = writer_->finish(); !finished) return failure(finished.error());
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
    ArchiveReader reader(staged_.file().duplicate());
    const auto list = reader.list();
    if (!list) return differs(reason(list.error()));
    if (!list->end.damage.empty()) return differs(list->end.damage);
    if (list->things.size() != things_.size()) return differs("it holds another number of things");
    std::vector<std::byte> piece(piece_bytes);
    for (std::size_t at = 0; at < things_.size(); ++at) {
        if (meter.stop.stop_requested()) return failure(Fault::cancelled, "stopped", path_);
        const PackedThing& found = list->things[at];
        if (!is_the_same(things_[at], found)) return differs(printable(things_[at].path));
        if (found.type != FileType::file || found.is_hard_link) continue;
        Hasher hasher;
        std::size_t got = piece.size();
        for (std::uint64_t offset = 0; got == piece.size(); offset += got) {
            const auto read = reader.read(at, found, offset, piece);
            if (!read) return differs(printable(things_[at].path) + ": " + reason(read.error()));
            got = *read;
            hasher.add(std::span(piece).first(got));
        }
        if (hasher.text() != hashes_[at]) return differs(printable(things_[at].path));
    }
    return {};
}

}  // namespace tavlo
