#include "keep/packing.h"

#include <cereal/archives/portable_binary.hpp>
#include <cereal/types/optional.hpp>
#include <cereal/types/string.hpp>
#include <cereal/types/utility.hpp>
#include <cereal/types/vector.hpp>
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
    archive(attributes.mode, attributes.owner, attributes.group, attributes.accessed_ns, attributes.modified_ns, attributes.extended);
}

template <class Archive>
void serialize(Archive& archive, PendingItem& item) {
    archive(item.number, item.parent, item.source, item.real, item.target, item.final_path, item.type, item.identity, item.mode, item.links,
            item.points_at, item.action, item.outcome, item.whole, item.along, item.collides, item.finding, item.decision, item.held_type,
            item.held, item.held_by_batch, item.shared, item.entry_of_safe, item.problem, item.attributes, item.takes_back);
}

template <class Archive>
void serialize(Archive& archive, Intent& intent) {
    archive(intent.number, intent.kind, intent.fresh, intent.expected, intent.slot, intent.entry, intent.removes_source, intent.hash);
}

namespace {

constexpr std::uint8_t version = 2;

std::string hash_of(std::string_view bytes) {
    Hasher hasher;
    hasher.add(std::as_bytes(std::span(bytes)));
    return hasher.text();
}

template <class Value>
std::string packed(const std::vector<Value>& values) {
    std::ostringstream out(std::ios::binary);
    {
        cereal::PortableBinaryOutputArchive archive(out);
        archive(version, values);
    }
    const std::string bytes = std::move(out).str();
    return hash_of(bytes) + bytes;
}

/// The hash is looked at first: nothing of a damaged blob is believed, the lengths in it least of all.
template <class Value>
std::vector<Value> unpacked(const std::string& blob) {
    static const std::size_t hash_bytes = hash_of({}).size();
    if (blob.size() < hash_bytes || hash_of(std::string_view(blob).substr(hash_bytes)) != blob.substr(0, hash_bytes))
        throw std::runtime_error("the journal is damaged");
    std::istringstream in(blob.substr(hash_bytes), std::ios::binary);
    cereal::PortableBinaryInputArchive archive(in);
    std::uint8_t written_by = 0;
    archive(written_by);
    if (written_by != version) throw std::runtime_error("the journal is of another version");
    std::vector<Value> values;
    archive(values);
    return values;
}

}  // namespace

std::string pack(const std::vector<PendingItem>& items) { return packed(items); }
std::string pack(const std::vector<Intent>& intents) { return packed(intents); }
std::vector<PendingItem> unpack_pending(const std::string& bytes) { return unpacked<PendingItem>(bytes); }
std::vector<Intent> unpack_intents(const std::string& bytes) { return unpacked<Intent>(bytes); }

}  // namespace tavlo
