// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/packed.h"

#include <cereal/archives/binary.hpp>
#include <cereal/types/string.hpp>
#include <cereal/types/utility.hpp>
#include <cereal/types/vector.hpp>
#include <sstream>

namespace tavlo {

namespace {

template <class Value, class... Members>
Result<Value> unpacked(const std::string& text, Members... members) {
    Value value;
    try {
        std::istringstream in(text);
        cereal::BinaryInputArchive archive(in);
        (archive(value.*members), ...);
    } catch (const std::exception&) {  // cereal's, and of lengths that nothing stands behind
        return failure(Fault::corrupt, "is told of in words that cannot be read", "");
    }
    return value;
}

template <class Value, class... Members>
std::string packed(const Value& value, Members... members) {
    std::ostringstream out;
    cereal::BinaryOutputArchive archive(out);
    (archive(value.*members), ...);
    return std::move(out).str();
}

}  // namespace

void append_frame(std::string& text, Frame kind, std::string_view first, std::string_view then) {
    text += static_cast<char>(kind);
    for (unsigned shift = 0; shift < 32; shift += 8)
        text += static_cast<char>((first.size() + then.size()) >> shift & 0xFFU);
    text += first;
    text += then;
}

std::optional<std::size_t> frame_length(std::string_view head) {
    std::size_t length = 0;
    for (std::size_t byte = frame_head_bytes - 1; byte > 0; --byte)
        length = length << 8U | static_cast<unsigned char>(head.at(byte));
    return length <= longest_frame_bytes ? std::optional(length) : std::nullopt;
}

void append_bytes(std::string& text, std::uint64_t offset, std::string_view bytes) {
    std::string number;
    append_number(number, offset);
    append_frame(text, Frame::bytes, number, bytes);
}

#define TAVLO_THING                                                                                      \
    &PackedThing::path, &PackedThing::type, &PackedThing::is_hard_link, &PackedThing::points_at,         \
        &PackedThing::size_bytes, &PackedThing::modified_ns, &PackedThing::is_dated, &PackedThing::mode, \
        &PackedThing::owner, &PackedThing::group, &PackedThing::extended, &PackedThing::stretches,       \
        &PackedThing::problem

std::string packed_text(const PackedThing& thing) { return packed(thing, TAVLO_THING); }
Result<PackedThing> thing_from(const std::string& text) { return unpacked<PackedThing>(text, TAVLO_THING); }

#undef TAVLO_THING

std::string packed_text(const PackedEnd& end) {
    return packed(end, &PackedEnd::damage, &PackedEnd::time_step_ns);
}
Result<PackedEnd> end_from(const std::string& text) {
    return unpacked<PackedEnd>(text, &PackedEnd::damage, &PackedEnd::time_step_ns);
}

void append_number(std::string& text, std::uint64_t number) {
    for (unsigned shift = 0; shift < 64; shift += 8) text += static_cast<char>(number >> shift & 0xFFU);
}

std::uint64_t number_at(std::string_view text, std::size_t at) {
    std::uint64_t number = 0;
    for (std::size_t byte = 8; byte-- > 0;)
        number = number << 8U | static_cast<unsigned char>(text.at(at + byte));
    return number;
}

}  // namespace tavlo
