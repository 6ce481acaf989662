// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/writer.h"

#include <poll.h>
#include <sys/socket.h>

#include <algorithm>
#include <cerrno>

namespace tavlo {

namespace {
constexpr std::size_t sent_at_once = 128 * 1024;
constexpr std::size_t most_left = 2 * 1024 * 1024;
constexpr std::size_t piece_bytes = 1024 * 1024;
}  // namespace

Result<ArchiveWriter> ArchiveWriter::start(ArchiveFormat format, Press press, Take take,
                                           const std::string& program) {
    auto helper =
        HelperProcess::start(program, {"write", std::string(to_text(format)), std::string(to_text(press))});
    if (!helper) return failure(helper.error());
    return ArchiveWriter(std::move(*helper), std::move(take));
}

Result<void> ArchiveWriter::noted(Result<void> result) {
    if (!result && !failed_) failed_ = result.error();
    return result;
}

Result<void> ArchiveWriter::add(const PackedThing& thing) {
    ++things_;
    append_frame(out_, Frame::thing, packed_text(thing));
    return send_what_is_much();
}

Result<void> ArchiveWriter::add_bytes(std::uint64_t offset, std::span<const std::byte> bytes) {
    while (!bytes.empty()) {
        const auto piece = bytes.first(std::min(bytes.size(), piece_bytes));
        append_bytes(out_, offset, {reinterpret_cast<const char*>(piece.data()), piece.size()});
        if (auto said = send_what_is_much(); !said) return said;
        offset += piece.size();
        bytes = bytes.subspan(piece.size());
    }
    return {};
}

Result<void> ArchiveWriter::finish() {
    append_frame(out_, Frame::end, {});
    if (auto sent = noted(send(0)); !sent) return sent;
    while (!is_through_)
        if (auto heard = noted(hear(true)); !heard) return heard;
    return {};
}

Result<void> ArchiveWriter::send_what_is_much() {
    return out_.size() - sent_ < sent_at_once ? Result<void>{} : noted(send(most_left));
}

/// Both sides may be full: so it listens while it cannot speak.
Result<void> ArchiveWriter::send(std::size_t may_be_left) {
    while (sent_ < out_.size()) {
        const auto count = ::send(helper_.descriptor(), out_.data() + sent_, out_.size() - sent_,
                                  MSG_NOSIGNAL | MSG_DONTWAIT);
        if (count > 0) {
            sent_ += static_cast<std::size_t>(count);
            continue;
        }
        if (errno == EINTR) continue;
        if (errno != EAGAIN && errno != EWOULDBLOCK) {
            while (!is_through_)  // why it has gone
                if (auto heard = hear(true); !heard) return heard;
            return failure(Fault::io, "ended before its time", "tavlo-archive");
        }
        if (out_.size() - sent_ <= may_be_left) break;
        pollfd waits{helper_.descriptor(), POLLIN | POLLOUT, 0};
        ::poll(&waits, 1, -1);
        if ((waits.revents & POLLIN) != 0)
            if (auto heard = hear(false); !heard) return heard;
    }
    if (sent_ == out_.size() || sent_ > most_left) {
        out_.erase(0, sent_);
        sent_ = 0;
    }
    return hear(false);
}

Result<void> ArchiveWriter::hear(bool wait) {
    for (;;) {
        const auto count =
            ::recv(helper_.descriptor(), heard_.data(), heard_.size(), wait ? 0 : MSG_DONTWAIT);
        in_.append(heard_.data(), static_cast<std::size_t>(std::max<ssize_t>(count, 0)));
        if (count < 0 && errno == EINTR) continue;
        if (count < 0 && !wait && (errno == EAGAIN || errno == EWOULDBLOCK)) return {};
        if (count == 0 && is_through_) return {};  // it has said all, and gone
        if (count <= 0) {
            if (auto loaded = helper_.end_and_tell(); !loaded) return loaded;
            return failure(Fault::io, "ended before its time", "tavlo-archive");
        }
        std::size_t taken = 0;
        while (in_.size() - taken >= frame_head_bytes) {
            std::size_t length = 0;
            for (std::size_t byte = 4; byte > 0; --byte)
                length = length << 8U | static_cast<unsigned char>(in_[taken + byte]);
            if (length > longest_frame_bytes)
                return failure(Fault::io, "speaks in words that cannot be read", "tavlo-archive");
            if (in_.size() - taken < frame_head_bytes + length) break;
            const auto kind = static_cast<Frame>(in_[taken]);
            const std::string_view payload = std::string_view(in_).substr(taken + frame_head_bytes, length);
            taken += frame_head_bytes + length;
            if (kind == Frame::whole) is_through_ = true;
            if (kind == Frame::broken) return failure(Fault::io, payload, "");
            if (kind == Frame::bytes)
                if (auto given = take_(std::as_bytes(std::span(payload))); !given) return given;
        }
        in_.erase(0, taken);
        if (wait) return {};
    }
}

}  // namespace tavlo
