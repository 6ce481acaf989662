// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <malloc.h>
#include <poll.h>
#include <sys/prctl.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/time.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <cerrno>
#include <csignal>
#include <string>
#include <vector>

#include "members.h"
#include "write.h"

// tavlo-archive: reads the archive that is open as descriptor 3, in a process of its own. `list` tells what
// is in it, `all` its bytes too; `read` takes numbers of files from standard input, and gives their bytes, and those of the files
// behind, until another is asked for; `write FORMAT PRESS` takes things and their bytes, and gives an archive
// (core/archive/packed.h). Bounded: so much memory, and so much of a processor's time without getting on;
// whoever bounds more ends it.

namespace {

using tavlo::FileType;
using tavlo::Frame;
using tavlo::PackedThing;

constexpr int archive_descriptor = 3;
constexpr rlim_t most_memory = rlim_t{512} << 20;
constexpr time_t most_seconds = 10;  // of a processor, without getting on
constexpr std::uint64_t worth_noting_bytes = 1024 * 1024;
constexpr std::size_t flushed_at = 64 * 1024;
constexpr std::size_t frame_piece_bytes = 512 * 1024;

void limit(__rlimit_resource_t resource, rlim_t most) {
    const rlimit wanted{most, most};
    ::setrlimit(resource, &wanted);
}

/// A timer of the processor's time (setitimer(2), ITIMER_PROF), which ends the process unless it is wound up
/// again.
class Watch : public Progress {
public:
    Watch() { wind(); }
    void read_up_to(std::uint64_t offset) override {
        if (offset <= read_) return;
        read_ = offset;
        wind();
    }
    void gave(std::uint64_t bytes) override {
        given_ += bytes;
        if (given_ < worth_noting_bytes) return;
        given_ = 0;
        wind();
    }

private:
    static void wind() {
        const itimerval time{{0, 0}, {most_seconds, 0}};
        ::setitimer(ITIMER_PROF, &time, nullptr);
    }
    std::uint64_t read_ = 0;
    std::uint64_t given_ = 0;
};

/// What is said, in pieces.
class Out {
public:
    void say(Frame kind, std::string_view payload) {
        tavlo::append_frame(text_, kind, payload);
        note(payload.size());
    }
    void say_bytes(std::uint64_t offset, std::span<const char> bytes) {
        tavlo::append_bytes(text_, offset, {bytes.data(), bytes.size()});
        note(bytes.size());
    }
    void flush() {
        std::size_t done = 0;
        while (done < text_.size()) {
            const auto count = ::write(STDOUT_FILENO, text_.data() + done, text_.size() - done);
            if (count < 0 && errno == EINTR) continue;
            if (count < 0) ::_exit(1);  // nobody listens any more
            done += static_cast<std::size_t>(count);
        }
        text_.clear();
    }

    std::uint64_t said() const { return said_; }  ///< bytes so far

private:
    void note(std::size_t bytes) {
        said_ += bytes + tavlo::frame_head_bytes;
        if (text_.size() >= flushed_at) flush();
    }
    std::string text_;
    std::uint64_t said_ = 0;
};

/// So many bytes of standard input, which is read in pieces. returns  false: it has ended
bool read_all(std::span<char> into) {
    static std::vector<char> piece(frame_piece_bytes);
    static std::span<const char> left;
    while (!into.empty()) {
        if (left.empty()) {
            const auto count = ::read(STDIN_FILENO, piece.data(), piece.size());
            if (count < 0 && errno == EINTR) continue;
            if (count <= 0) return false;
            left = std::span<const char>(piece).first(static_cast<std::size_t>(count));
        }
        const std::size_t taken = std::min(into.size(), left.size());
        std::copy_n(left.begin(), taken, into.begin());
        left = left.subspan(taken);
        into = into.subspan(taken);
    }
    return true;
}

bool has_bytes(const PackedThing& thing) {
    return thing.type == FileType::file && thing.problem.empty() &&
           (!thing.is_hard_link || thing.size_bytes > 0);
}

/// What a header may tell of one thing; what is more costs that thing.
void bound(PackedThing& thing) {
    constexpr std::size_t longest_text = 64 * 1024;
    constexpr std::size_t most_attributes = 1024 * 1024;
    std::size_t attributes = 0;
    for (const auto& [name, value] : thing.extended) attributes += name.size() + value.size();
    if (thing.path.size() > longest_text || thing.points_at.size() > longest_text)
        thing.problem = "has a name of more than 64 KiB";
    if (attributes > most_attributes) thing.problem = "has attributes of more than 1 MiB";
    if (thing.path.size() > longest_text)
        thing.path = "a name of " + std::to_string(thing.path.size()) + " bytes";
    if (thing.points_at.size() > longest_text) thing.points_at.clear();
    if (attributes > most_attributes) thing.extended.clear();
    if (thing.stretches.size() > most_attributes) {
        thing.problem = "has more holes than can be told of";
        thing.stretches.clear();
    }
}

/// What is in it, and, where that is wanted, behind each file its bytes.
void tell(const Source& source, bool with_bytes, Out& out) {
    constexpr std::uint64_t most_told_bytes = std::uint64_t{1} << 30;  // who listens holds all of it
    // more things than so many bytes can tell of: a reader that goes round in circles
    constexpr std::uint64_t told_by_a_byte = 100;
    constexpr std::uint64_t told_anyway = 10'000;
    std::unique_ptr<Members> members;
    tavlo::PackedEnd end;
    std::uint64_t told = 0;
    std::uint64_t told_bytes = 0;
    const auto say = [&](std::uint64_t offset, std::span<const char> bytes) {
        for (; !bytes.empty(); bytes = bytes.subspan(std::min(bytes.size(), frame_piece_bytes))) {
            out.say_bytes(offset, bytes.first(std::min(bytes.size(), frame_piece_bytes)));
            offset += frame_piece_bytes;
        }
    };
    try {
        members = open_members(source);
        while (auto thing = members->next()) {
            bound(*thing);
            if (++told > told_anyway + told_by_a_byte * source.size_bytes)
                throw Broken("is damaged: it has no end");
            const std::string text = packed_text(*thing);
            told_bytes += text.size();
            if (told_bytes > most_told_bytes) throw Broken("tells of more than can be held");
            out.say(Frame::thing, text);
            if (with_bytes && has_bytes(*thing)) members->read(say);
        }
        members->check_end();
    } catch (const Broken& why) {
        if (!members || told == 0 || members->nothing_holds()) return out.say(Frame::refused, why.what());
        end.damage = why.what();
    }
    end.time_step_ns = members->time_step_ns();
    out.say(Frame::end, packed_text(end));
}

/// Gives the bytes of files on request.
class Server {
public:
    Server(const Source& source, Out& out) : source_(source), out_(out) {}

    void run() {
        while (read_request()) {
            asked_ = false;
            const std::uint64_t wanted = wanted_;
            std::string number;
            tavlo::append_number(number, wanted);
            out_.say(Frame::at, number + '\1');
            try {
                if (!go_to(wanted)) throw Broken("is not there any more");
                give();
                while (!asked() && go_on()) give();
            } catch (const Broken& why) {
                out_.say(Frame::broken, why.what());
                members_.reset();
            }
        }
    }

private:
    bool go_to(std::uint64_t wanted) {
        if (!members_ || wanted < next_) {
            members_ = open_members(source_);
            next_ = 0;
        }
        while (next_ <= wanted) {
            if (!(thing_ = members_->next())) return false;
            ++next_;
        }
        return has_bytes(*thing_);
    }
    /// The next file that has bytes.
    bool go_on() {
        do {
            if (!(thing_ = members_->next())) {
                members_.reset();
                return false;
            }
            ++next_;
        } while (!has_bytes(*thing_));
        std::string number;
        tavlo::append_number(number, next_ - 1);
        out_.say(Frame::at, number + '\0');
        return true;
    }
    struct LeftFor {};  ///< another file, in the middle of one
    void give() {
        const auto say = [&](std::uint64_t offset, std::span<const char> bytes) {
            while (!bytes.empty()) {
                const auto piece = bytes.first(std::min(bytes.size(), frame_piece_bytes));
                out_.say_bytes(offset, piece);
                offset += piece.size();
                bytes = bytes.subspan(piece.size());
                if (asked()) throw LeftFor();
            }
        };
        try {
            members_->read(say);
            out_.say(Frame::whole, {});
        } catch (const LeftFor&) {
        }
    }
    /// Another file is wanted by now.
    bool asked() {
        if (asked_) return true;
        if (out_.said() - said_when_looked_ < flushed_at)
            return false;  // a look costs more than a small file does
        said_when_looked_ = out_.said();
        pollfd waits{STDIN_FILENO, POLLIN, 0};
        asked_ = ::poll(&waits, 1, 0) > 0;
        return asked_;
    }
    bool read_request() {
        out_.flush();
        std::array<char, 8> number{};
        if (!read_all(number)) return false;
        wanted_ = tavlo::number_at({number.data(), number.size()}, 0);
        return true;
    }

    Source source_;
    Out& out_;
    std::unique_ptr<Members> members_;
    std::optional<PackedThing> thing_;
    std::uint64_t next_ = 0;  ///< number of the thing that next() gives
    std::uint64_t wanted_ = 0;
    bool asked_ = false;
    std::uint64_t said_when_looked_ = 0;
};

/// Takes things and bytes until the end is said.
void write(tavlo::ArchiveFormat format, tavlo::Press press, Out& out) {
    std::string payload;
    try {
        Writer writer(format, press, [&](std::span<const char> bytes) {
            for (; !bytes.empty(); bytes = bytes.subspan(std::min(bytes.size(), frame_piece_bytes)))
                out.say(Frame::bytes, {bytes.data(), std::min(bytes.size(), frame_piece_bytes)});
        });
        for (std::array<char, tavlo::frame_head_bytes> head{}; read_all(head);) {
            const auto length = tavlo::frame_length({head.data(), head.size()});
            if (!length) throw Broken("is asked for in words that cannot be read");
            payload.resize(*length);
            if (!read_all(payload)) return;
            const auto kind = static_cast<Frame>(head[0]);
            if (kind == Frame::thing) {
                const auto thing = tavlo::thing_from(payload);
                if (!thing) throw Broken(thing.error().step);
                writer.add(*thing);
            } else if (kind == Frame::bytes) {
                writer.add_bytes(tavlo::number_at(payload, 0), std::span<const char>(payload).subspan(8));
            } else if (kind == Frame::end) {
                writer.finish();
                return out.say(Frame::whole, {});
            }
        }
    } catch (const Broken& why) {
        out.say(Frame::broken, why.what());
    }
}

}  // namespace

int main(int count, char** words) {
    ::prctl(PR_SET_NO_NEW_PRIVS, 1, 0, 0, 0);
    limit(RLIMIT_CORE, 0);
    limit(RLIMIT_FSIZE, 0);  // no file is ever written
    std::signal(SIGPIPE, SIG_DFL);
    // what pressed or unpressed one file is there for the next one: given back and asked for anew each time it
    // costs as much as the work
    constexpr int kept_bytes = 64 * 1024 * 1024;
    ::mallopt(M_TRIM_THRESHOLD, kept_bytes);
    ::mallopt(M_MMAP_THRESHOLD, kept_bytes / 2);
    Out out;
    if (count == 4 && std::string(words[1]) == "write") {
        const auto format = tavlo::archive_format_from_text(words[2]);
        const auto press = tavlo::press_from_text(words[3]);
        if (!format || !press) return 2;
        write(*format, *press, out);
        out.flush();
        return 0;
    }
#ifndef __SANITIZE_ADDRESS__  // which maps more than there is, and touches little of it
    limit(RLIMIT_AS, most_memory);
#endif
    struct stat stat {};
    if (count != 2 || ::fstat(archive_descriptor, &stat) != 0) return 2;
    Watch watch;
    const Source source{archive_descriptor, static_cast<std::uint64_t>(stat.st_size), &watch};
    const std::string command = words[1];
    if (command == "list" || command == "all")
        tell(source, command == "all", out);
    else
        Server(source, out).run();
    out.flush();
    return 0;
}
