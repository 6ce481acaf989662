// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/writer.h"

#include <sys/socket.h>

#include <algorithm>
#include <cerrno>
#include <system_error>

#include "archive/frames.h"

namespace tavlo {

// One thread speaks to the helper and one listens, as both sides may be full: it could not take in more before
// it was rid of what it has made.

namespace {

constexpr std::size_t sent_at_once = 128 * 1024;
constexpr std::size_t piece_bytes = 1024 * 1024;

Error ended_early() { return {Fault::io, 0, "ended before its time", "tavlo-archive"}; }

/// At its end nobody waits for the other side any more, whoever speaks or listens.
struct HangUp {
    int socket;
    ~HangUp() { ::shutdown(socket, SHUT_RDWR); }
};

}  // namespace

Result<std::unique_ptr<ArchiveWriter>> ArchiveWriter::start(ArchiveFormat format, Press press, Take take,
                                                            const std::string& program) {
    auto helper =
        HelperProcess::start(program, {"write", std::string(to_text(format)), std::string(to_text(press))});
    if (!helper) return failure(helper.error());
    std::unique_ptr<ArchiveWriter> writer(new ArchiveWriter(std::move(*helper), std::move(take)));
    try {
        writer->heard_ = std::async(std::launch::async, [to = writer.get()] {
            const HangUp then{to->helper_.descriptor()};
            return to->hear();
        });
    } catch (const std::system_error& none) {
        return failure(system_error(none.code().value(), "start a thread for", program));
    }
    return writer;
}

/// Who listens is through before anything is gone that it needs.
ArchiveWriter::~ArchiveWriter() {
    ::shutdown(helper_.descriptor(), SHUT_RDWR);
    if (heard_.valid()) heard_.wait();
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
    if (auto sent = send(); !sent) return sent;
    return heard_out();
}

Result<void> ArchiveWriter::send_what_is_much() {
    return out_.size() < sent_at_once ? Result<void>{} : send();
}

Result<void> ArchiveWriter::send() {
    for (std::string_view left = out_; !left.empty();) {
        const auto count = ::send(helper_.descriptor(), left.data(), left.size(), MSG_NOSIGNAL);
        if (count < 0 && errno == EINTR) continue;
        if (count < 0) {  // why it has gone was said before
            auto heard = heard_out();
            if (heard) failed_ = ended_early();
            return failure(*failed_);
        }
        left.remove_prefix(static_cast<std::size_t>(count));
    }
    out_.clear();
    return {};
}

Result<void> ArchiveWriter::heard_out() {
    if (failed_) return failure(*failed_);
    auto heard = heard_.get();
    if (!heard) failed_ = heard.error();
    return heard;
}

Result<void> ArchiveWriter::hear() {
    FrameStream frames(helper_.descriptor());
    while (const auto said = frames.next()) {
        if (said->kind == Frame::whole) return {};
        if (said->kind == Frame::broken) return failure(Fault::io, said->payload, "");
        if (said->kind == Frame::bytes)
            if (auto taken = take_(std::as_bytes(std::span(said->payload))); !taken) return taken;
    }
    auto loaded = helper_.end_and_tell();
    return loaded ? Result<void>(failure(ended_early())) : loaded;
}

}  // namespace tavlo
