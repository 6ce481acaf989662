// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/packing.h"

#include <zstd.h>

#include <algorithm>
#include <cereal/archives/portable_binary.hpp>
#include <cereal/types/optional.hpp>
#include <cereal/types/string.hpp>
#include <cereal/types/utility.hpp>
#include <cereal/types/vector.hpp>
#include <cstring>
#include <memory>
#include <new>
#include <sstream>
#include <stdexcept>

#include "files/hash.h"

namespace tavlo {

template <class Archive>
void serialize(Archive& archive, Identity& id) {
    archive(id.device, id.inode, id.size_bytes, id.modified_ns);
}

template <class Archive>
void serialize(Archive& archive, Attributes& attributes) {
    archive(attributes.mode, attributes.owner, attributes.group, attributes.accessed_ns,
            attributes.modified_ns, attributes.extended);
}

template <class Archive>
void serialize(Archive& archive, ReceiptCollision& collision) {
    archive(collision.finding, collision.size_bytes, collision.modified_ns, collision.decision);
}

namespace {

// 2: as schema 3 and 4 wrote it, not compressed; 3: compressed; 4: with what each item is to its plan; 5:
// with where what is removed goes; 6: with where the bytes of an item were already
constexpr std::uint8_t version_now = 6;
constexpr std::uint8_t with_roles = 4;
constexpr std::uint8_t with_shelves = 5;
constexpr std::uint8_t with_elsewhere = 6;
constexpr std::uint8_t oldest_version = 2;

constexpr char is_compressed = 'z';  // an archive that is not begins with 0 or 1, the order of its bytes
constexpr int quick = 1;             // more takes longer than the disk

Role role_by_action(Action action, bool is_renamed_in_place) {
    switch (action) {
        case Action::copy: return Role::arrives;
        case Action::move: return is_renamed_in_place ? Role::makes_room : Role::arrives;
        case Action::take_away:
        case Action::remove_folder: return Role::leaves;
        case Action::make_folder: return Role::made;
        case Action::pack:
        case Action::pack_away: break;  // which are younger than roles
    }
    throw std::runtime_error("holds an action that is not known");
}

template <class Archive>
void fields(Archive& archive, PendingItem& item, std::uint8_t version) {
    archive(item.number, item.parent, item.source, item.real, item.target, item.final_path, item.type,
            item.identity, item.mode, item.links, item.points_at, item.action, item.outcome, item.whole,
            item.along, item.collides, item.finding, item.decision, item.held_type, item.held,
            item.held_by_batch, item.shared, item.entry_of_safe, item.problem, item.attributes,
            item.takes_back);
    if (version >= with_roles)
        archive(item.role, item.parks);
    else
        item.role = role_by_action(item.action, item.source == item.target && item.final_path != item.target);
    if (version >= with_shelves) archive(item.shelf);
    if (version >= with_elsewhere) archive(item.elsewhere);
}

template <class Archive>
void fields(Archive& archive, Intent& intent, std::uint8_t version) {
    archive(intent.number, intent.kind, intent.fresh, intent.expected, intent.slot, intent.entry,
            intent.removes_source, intent.hash);
    if (version >= with_shelves) archive(intent.name);
}

template <class Archive>
void fields(Archive& archive, NumberedItem& numbered, std::uint8_t version) {
    ReceiptItem& item = numbered.second;
    archive(numbered.first, item.source, item.target, item.final_path, item.type, item.size_bytes,
            item.modified_ns, item.collision, item.result, item.set_aside, item.brought_back, item.hash,
            item.error, item.fault, item.action, item.moved_whole, item.not_kept, item.linked_source,
            item.after, item.after_status_changed_ns, item.after_mode);
    if (version >= with_roles)
        archive(item.role);
    else
        item.role = role_before_roles(item);
    if (version >= with_shelves) archive(item.shelf);
    if (version >= with_elsewhere && item.collision) archive(item.collision->elsewhere);
}

std::string hash_of(std::string_view bytes) {
    Hasher hasher;
    hasher.add(std::as_bytes(std::span(bytes)));
    return hasher.text();
}

std::string compressed(std::string_view bytes) {
    // one for each thread that packs: made anew each time it would take as long as the packing
    thread_local const std::unique_ptr<ZSTD_CCtx, decltype(&ZSTD_freeCCtx)> context(ZSTD_createCCtx(),
                                                                                    &ZSTD_freeCCtx);
    if (!context) throw std::bad_alloc();
    std::string out(1 + ZSTD_compressBound(bytes.size()), is_compressed);
    const auto size =
        ZSTD_compressCCtx(context.get(), out.data() + 1, out.size() - 1, bytes.data(), bytes.size(), quick);
    if (ZSTD_isError(size) != 0) throw std::runtime_error("cannot be compressed");
    out.resize(1 + size);
    return out;
}

std::string uncompressed(std::string_view bytes) {
    const auto size = ZSTD_getFrameContentSize(bytes.data(), bytes.size());
    if (size == ZSTD_CONTENTSIZE_UNKNOWN || size == ZSTD_CONTENTSIZE_ERROR)
        throw std::runtime_error("is damaged");
    std::string out(size, '\0');
    if (ZSTD_decompress(out.data(), out.size(), bytes.data(), bytes.size()) != size)
        throw std::runtime_error("is damaged");
    return out;
}

/// What is written to it lies in one string. (That of an ostringstream looks for room byte by byte.) Most are
/// numbers: there are some thirty of them in an item.
class Bytes : public std::streambuf {
public:
    std::string_view written() const { return {bytes_.data(), size_}; }

protected:
    std::streamsize xsputn(const char* from, std::streamsize count) override {
        const auto more = static_cast<std::size_t>(count);
        if (bytes_.size() - size_ < more) bytes_.resize(std::max(2 * bytes_.size(), size_ + more));
        char* const to = bytes_.data() + size_;
        if (more == sizeof(std::uint64_t))
            std::memcpy(to, from, sizeof(std::uint64_t));
        else if (more == 1)
            *to = *from;
        else
            std::memcpy(to, from, more);
        size_ += more;
        return count;
    }
    int_type overflow(int_type byte) override {
        if (traits_type::eq_int_type(byte, traits_type::eof())) return traits_type::not_eof(byte);
        const char one = traits_type::to_char_type(byte);
        xsputn(&one, 1);
        return byte;
    }

private:
    static constexpr std::size_t room_at_first = 65536;
    std::string bytes_ = std::string(room_at_first, '\0');
    std::size_t size_ = 0;
};

template <class Value>
std::string packed(const std::vector<Value>& values) {
    Bytes bytes;
    {
        std::ostream out(&bytes);
        cereal::PortableBinaryOutputArchive archive(out);
        archive(version_now, cereal::make_size_tag(static_cast<cereal::size_type>(values.size())));
        for (const Value& value : values)
            fields(archive, const_cast<Value&>(value), version_now);  // an output archive only reads
    }
    const std::string blob = compressed(bytes.written());
    return hash_of(blob) + blob;
}

/// The hash is looked at first: nothing of a damaged blob is believed, the lengths in it least of all.
template <class Value>
std::vector<Value> unpacked(const std::string& blob) {
    static const std::size_t hash_bytes = hash_of({}).size();
    if (blob.size() <= hash_bytes) throw std::runtime_error("is damaged");
    const auto bytes = std::string_view(blob).substr(hash_bytes);
    if (hash_of(bytes) != std::string_view(blob).substr(0, hash_bytes))
        throw std::runtime_error("is damaged");
    std::istringstream in(bytes.front() == is_compressed ? uncompressed(bytes.substr(1)) : std::string(bytes),
                          std::ios::binary);
    cereal::PortableBinaryInputArchive archive(in);
    std::uint8_t version = 0;
    cereal::size_type count = 0;
    archive(version);
    if (version < oldest_version || version > version_now) throw std::runtime_error("is of another version");
    archive(cereal::make_size_tag(count));
    std::vector<Value> values(count);
    for (Value& value : values) fields(archive, value, version);
    return values;
}

}  // namespace

Role role_before_roles(const ReceiptItem& item) {
    return role_by_action(
        item.action, item.brought_back.empty() && item.source == item.target && !item.final_path.empty());
}

std::string pack(const std::vector<PendingItem>& items) { return packed(items); }
std::string pack(const std::vector<Intent>& intents) { return packed(intents); }
std::string pack(const std::vector<NumberedItem>& items) { return packed(items); }
std::vector<PendingItem> unpack_pending(const std::string& bytes) { return unpacked<PendingItem>(bytes); }
std::vector<Intent> unpack_intents(const std::string& bytes) { return unpacked<Intent>(bytes); }
std::vector<NumberedItem> unpack_items(const std::string& bytes) { return unpacked<NumberedItem>(bytes); }

}  // namespace tavlo
