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

Error ArchiveReader::died(Helper& helper) {
    const int status = helper.process.end();
    ++deaths_;
    constexpr int not_loaded = 127;
    if (WIFEXITED(status) && WEXITSTATUS(status) == not_loaded)
        return {Fault::unsupported, 0, "cannot be started", program_};
    if (WIFSIGNALED(status) && WTERMSIG(status) == SIGPROF)
        return error(Fault::corrupt, "takes far more work than its bytes can need");
    return error(Fault::corrupt, "brings down what reads it, or needs too much memory");
}

Result<FrameStream::Said> ArchiveReader::receive(Helper& from) {
    const auto said = from.frames.next();
    if (!said) return failure(died(from));
    return *said;
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
    helper_.reset();
    auto helper = start(command);
    if (!helper) return failure(helper.error());
    for (;;) {
        const auto said = receive(*helper);
        if (!said) return failure(said.error());
        const auto& [kind, payload] = *said;
        if (kind == Frame::refused) return failure(error(Fault::unsupported, std::string(payload)));
        if (kind == Frame::end) {
            auto end = end_from(std::string(payload));
            if (!end) return failure(error(end.error().fault, end.error().step));
            return end;
        }
        Result<void> taken;
        if (kind == Frame::thing) {
            auto thing = thing_from(std::string(payload));
            if (!thing) return failure(error(thing.error().fault, thing.error().step));
            taken = take_thing(std::move(*thing));
        } else if (kind == Frame::bytes && payload.size() >= 8) {
            taken = take_bytes(number_at(payload, 0), std::as_bytes(std::span(payload)).subspan(8));
        } else {
            return failure(died(*helper));
        }
        if (!taken) return failure(taken.error());
    }
}

Result<ArchiveReader::Helper> ArchiveReader::start(const char* command) {
    auto started = HelperProcess::start(program_, {command}, archive_.descriptor());
    if (!started) return failure(started.error());
    FrameStream frames(started->descriptor());
    return Helper{std::move(*started), std::move(frames)};
}

void ArchiveReader::rest() {
    const std::lock_guard lock(mutex_);
    helper_.reset();
}

Result<void> ArchiveReader::go_to(std::uint64_t number) {
    if (deaths_ >= most_deaths)
        return failure(error(Fault::corrupt, "brought down what reads it, several times"));
    if (!helper_) {
        auto started = start("read");
        if (!started) return failure(started.error());
        helper_.emplace(std::move(*started));
    }
    std::string wanted;
    append_number(wanted, number);
    (void)::send(helper_->process.descriptor(), wanted.data(), wanted.size(),
                 MSG_NOSIGNAL);  // where it is gone, nothing will come
    for (;;) {                   // what it had read ahead
        const auto said = receive(*helper_);
        if (!said) {
            helper_.reset();
            return failure(said.error());
        }
        if (said->kind == Frame::at && said->payload.size() == 9 && said->payload.back() == '\1') break;
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
    const auto said = receive(*helper_);
    if (!said) {
        helper_.reset();
        number_ = UINT64_MAX;
        return failure(said.error());
    }
    switch (said->kind) {
        case Frame::bytes:
            if (said->payload.size() < 8) break;
            bytes_at_ = number_at(said->payload, 0);
            bytes_.assign(said->payload, 8);
            return {};
        case Frame::whole: is_through_ = true; return {};
        case Frame::broken:
            is_through_ = true;
            broken_ = said->payload;
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
        const auto said = receive(*helper_);
        if (!said) {
            helper_.reset();
        } else if (said->kind == Frame::at && said->payload.size() == 9 &&
                   number_at(said->payload, 0) == number) {
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
