// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/reader.h"

#include <sys/socket.h>
#include <sys/wait.h>

#include <algorithm>
#include <cerrno>
#include <csignal>
#include <cstring>

namespace tavlo {

namespace {

constexpr int most_deaths = 3;  // then nothing more is asked of the archive: each may have taken seconds

}  // namespace

ArchiveReader::ArchiveReader(Handle archive, std::string program)
    : archive_(std::move(archive)), program_(std::move(program)) {}

Error ArchiveReader::error(Fault fault, std::string why) const {
    return {fault, 0, std::move(why), archive_.path()};
}

Error ArchiveReader::died(HelperProcess& helper) {
    const int status = helper.end();
    ++deaths_;
    constexpr int not_loaded = 127;
    if (WIFEXITED(status) && WEXITSTATUS(status) == not_loaded)
        return {Fault::unsupported, 0, "cannot be started", program_};
    if (WIFSIGNALED(status) && WTERMSIG(status) == SIGPROF)
        return error(Fault::corrupt, "takes far more work than its bytes can need");
    return error(Fault::corrupt, "brings down what reads it, or needs too much memory");
}

Result<Frame> ArchiveReader::receive(HelperProcess& from) {
    const auto have = [&](std::size_t wanted) -> bool {
        while (received_.size() - taken_ < wanted) {
            if (taken_ > heard_.size()) {
                received_.erase(0, taken_);
                taken_ = 0;
            }
            const auto count = ::recv(from.descriptor(), heard_.data(), heard_.size(), 0);
            received_.append(heard_.data(), static_cast<std::size_t>(std::max<ssize_t>(count, 0)));
            if (count < 0 && errno == EINTR) continue;
            if (count <= 0) return false;
        }
        return true;
    };
    if (!have(frame_head_bytes)) return failure(died(from));
    const auto kind = static_cast<Frame>(received_[taken_]);
    std::size_t length = 0;
    for (std::size_t byte = 4; byte > 0; --byte)
        length = length << 8U | static_cast<unsigned char>(received_[taken_ + byte]);
    if (kind > Frame::broken || length > longest_frame_bytes) return failure(died(from));
    if (!have(frame_head_bytes + length)) return failure(died(from));
    payload_.assign(received_, taken_ + frame_head_bytes, length);
    taken_ += frame_head_bytes + length;
    return kind;
}

Result<PackedList> ArchiveReader::list() {
    PackedList list;
    auto end = told(
        "list",
        [&](PackedThing&& thing) -> Result<void> {
            list.things.push_back(std::move(thing));
            return {};
        },
        [](std::uint64_t, std::span<const std::byte>) { return Result<void>{}; });
    if (!end) return failure(end.error());
    list.end = std::move(*end);
    return list;
}

Result<PackedEnd> ArchiveReader::read_through(const TakeThing& thing, const TakeBytes& bytes) {
    return told("all", thing, bytes);
}

Result<PackedEnd> ArchiveReader::told(const char* command, const TakeThing& take_thing,
                                      const TakeBytes& take_bytes) {
    const std::lock_guard lock(mutex_);
    auto helper = HelperProcess::start(program_, {command}, archive_.descriptor());
    if (!helper) return failure(helper.error());
    helper_.reset();
    received_.clear();
    taken_ = 0;
    for (;;) {
        const auto kind = receive(*helper);
        if (!kind) return failure(kind.error());
        if (*kind == Frame::refused) return failure(error(Fault::unsupported, payload_));
        if (*kind == Frame::end) {
            auto end = end_from(payload_);
            if (!end) return failure(error(end.error().fault, end.error().step));
            received_.clear();
            taken_ = 0;
            return end;
        }
        Result<void> taken;
        if (*kind == Frame::thing) {
            auto thing = thing_from(payload_);
            if (!thing) return failure(error(thing.error().fault, thing.error().step));
            taken = take_thing(std::move(*thing));
        } else if (*kind == Frame::bytes && payload_.size() >= 8) {
            taken = take_bytes(number_at(payload_, 0), std::as_bytes(std::span(payload_)).subspan(8));
        } else {
            return failure(died(*helper));
        }
        if (!taken) return failure(taken.error());
    }
}

void ArchiveReader::rest() {
    const std::lock_guard lock(mutex_);
    helper_.reset();
}

Result<void> ArchiveReader::go_to(std::uint64_t number) {
    if (deaths_ >= most_deaths)
        return failure(error(Fault::corrupt, "brought down what reads it, several times"));
    if (!helper_) {
        auto started = HelperProcess::start(program_, {"read"}, archive_.descriptor());
        if (!started) return failure(started.error());
        helper_ = std::move(*started);
        received_.clear();
        taken_ = 0;
    }
    std::string wanted;
    append_number(wanted, number);
    (void)::send(helper_->descriptor(), wanted.data(), wanted.size(),
                 MSG_NOSIGNAL);  // where it is gone, nothing will come
    for (;;) {                   // what it had read ahead
        const auto kind = receive(*helper_);
        if (!kind) {
            helper_.reset();
            return failure(kind.error());
        }
        if (*kind == Frame::at && payload_.size() == 9 && payload_.back() == '\1') break;
    }
    number_ = number;
    bytes_.clear();
    bytes_at_ = 0;
    broken_.clear();
    is_through_ = false;
    return {};
}

/// The next of the file's bytes, or its end.
Result<void> ArchiveReader::go_on() {
    const auto kind = receive(*helper_);
    if (!kind) {
        helper_.reset();
        number_ = UINT64_MAX;
        return failure(kind.error());
    }
    switch (*kind) {
        case Frame::bytes:
            if (payload_.size() < 8) return failure(died(*helper_));
            bytes_at_ = number_at(payload_, 0);
            bytes_.assign(payload_, 8);
            return {};
        case Frame::whole: is_through_ = true; return {};
        case Frame::broken:
            is_through_ = true;
            broken_ = payload_;
            return {};
        case Frame::at:
        case Frame::thing:
        case Frame::end:
        case Frame::refused: break;
    }
    Error why = died(*helper_);
    helper_.reset();
    return failure(std::move(why));
}

Result<std::size_t> ArchiveReader::read(std::uint64_t number, const PackedThing& file, std::uint64_t offset,
                                        std::span<std::byte> into) {
    const std::lock_guard lock(mutex_);
    const bool comes_next = helper_ && number_ < number && is_through_ && broken_.empty();
    if (comes_next && offset == 0) {
        // it may be what is read ahead already
        const auto kind = receive(*helper_);
        if (!kind) {
            helper_.reset();
        } else if (*kind == Frame::at && payload_.size() == 9 && number_at(payload_, 0) == number) {
            number_ = number;
            bytes_.clear();
            bytes_at_ = 0;
            is_through_ = false;
        }
    }
    const bool is_at_it = helper_ && number_ == number && broken_.empty() && offset >= bytes_at_;
    if (!is_at_it && !(number_ == number && !broken_.empty()))
        if (auto gone = go_to(number); !gone) return failure(gone.error());
    std::size_t done = 0;
    while (done < into.size()) {
        const std::uint64_t wanted = offset + done;
        const std::uint64_t bytes_end = bytes_at_ + bytes_.size();
        if (wanted >= bytes_end && !is_through_) {
            if (auto more = go_on(); !more) return failure(more.error());
            continue;
        }
        if (!broken_.empty() && wanted >= bytes_end) return failure(error(Fault::corrupt, broken_));
        // what lies before, between and behind the bytes is holes
        const bool in_hole = wanted < bytes_at_ || wanted >= bytes_end;
        const std::uint64_t end = wanted < bytes_at_ ? bytes_at_ : in_hole ? file.size_bytes : bytes_end;
        if (wanted >= end) break;
        const auto count =
            static_cast<std::size_t>(std::min<std::uint64_t>(into.size() - done, end - wanted));
        if (in_hole)
            std::memset(into.data() + done, 0, count);
        else
            std::memcpy(into.data() + done, bytes_.data() + (wanted - bytes_at_), count);
        done += count;
    }
    // where it was asked for to its end exactly, that end is looked at too
    while (offset + done >= file.size_bytes && !is_through_ && offset + done >= bytes_at_ + bytes_.size())
        if (auto more = go_on(); !more) return failure(more.error());
    if (offset + done >= file.size_bytes && !broken_.empty()) return failure(error(Fault::corrupt, broken_));
    return done;
}

}  // namespace tavlo
