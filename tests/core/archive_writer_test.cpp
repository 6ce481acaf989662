// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/socket.h>

#include <atomic>
#include <random>
#include <thread>

#include "archive/frames.h"
#include "archive/writer.h"
#include "support/catch.h"
#include "support/jobs.h"

// What is said to a helper and what it says, as neither side may wait for ever on the other.

using namespace tavlo;

namespace {

const std::vector<std::byte> mebibyte(1024 * 1024, std::byte{'m'});

/// A file of so many MiB goes in. returns  what came of it; until something fails
Result<void> add_mebibytes(ArchiveWriter& to, int count) {
    PackedThing file;
    file.path = "large";
    file.type = FileType::file;
    file.size_bytes = static_cast<std::uint64_t>(count) * mebibyte.size();
    file.stretches = {{0, file.size_bytes}};
    auto added = to.add(file);
    for (int done = 0; added && done < count; ++done)
        added = to.add_bytes(static_cast<std::uint64_t>(done) * mebibyte.size(), mebibyte);
    return added;
}

std::unique_ptr<ArchiveWriter> tar(ArchiveWriter::Take take) {
    return value(ArchiveWriter::start(ArchiveFormat::tar, Press::fast, std::move(take)));
}

struct Line {
    Line() {
        std::array<int, 2> ends{};
        REQUIRE(::socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends.data()) == 0);
        ours = Handle(ends[0], "ours");
        theirs = Handle(ends[1], "theirs");
    }
    /// On any thread. What is not said for an error is missed by who listens.
    void say(std::string_view text) const {
        while (!text.empty()) {
            const auto count = ::send(theirs.descriptor(), text.data(), text.size(), MSG_NOSIGNAL);
            if (count < 0) return;
            text.remove_prefix(static_cast<std::size_t>(count));
        }
    }
    Handle ours;
    Handle theirs;
};

}  // namespace

TEST_CASE("what an archive is made of is taken while more goes in, and by the end all of it", "[archive]") {
    constexpr int count = 20;  // far more than waits between the two
    std::uint64_t taken = 0;
    std::string end;
    const auto writer = tar([&](std::span<const std::byte> bytes) -> Result<void> {
        taken += bytes.size();
        end.append(reinterpret_cast<const char*>(bytes.data()), bytes.size());
        if (end.size() > 4096) end.erase(0, end.size() - 4096);
        return {};
    });
    REQUIRE(add_mebibytes(*writer, count));
    REQUIRE(writer->finish());
    CHECK(writer->things() == 1);
    CHECK(taken > count * mebibyte.size() + 1024);
    CHECK(end.ends_with(std::string(1024, '\0')));  // as tar(5) has its end
    CHECK(end.find('m') != std::string::npos);
}

TEST_CASE("an archive that cannot be taken ends the packing with that reason, however much was to go in",
          "[archive]") {
    std::atomic<int> asked = 0;
    const auto writer = tar([&](std::span<const std::byte>) -> Result<void> {
        if (++asked < 3) return {};
        return failure(Fault::no_space, "write to", "/mail/permits.tar");
    });
    const auto added = add_mebibytes(*writer, 10'000);
    REQUIRE_FALSE(added);
    CHECK(added.error().fault == Fault::no_space);
    CHECK(added.error().path == "/mail/permits.tar");
    REQUIRE(writer->failed());
    CHECK(writer->failed()->fault == Fault::no_space);
    CHECK(asked == 3);
    const auto later = writer->finish();
    REQUIRE_FALSE(later);
    CHECK(later.error().fault == Fault::no_space);
    CHECK(asked == 3);
}

TEST_CASE("what cannot be taken at the very end fails the end", "[archive]") {
    const auto writer = tar([&](std::span<const std::byte>) -> Result<void> {
        return failure(Fault::no_space, "write to", "/mail/permits.tar");
    });
    PackedThing folder;
    folder.path = "permits";
    folder.type = FileType::folder;
    REQUIRE(writer->add(folder));  // too little to be given before the end
    const auto finished = writer->finish();
    REQUIRE_FALSE(finished);
    CHECK(finished.error().fault == Fault::no_space);
    CHECK(writer->failed().has_value());
}

TEST_CASE("where there is no memory to take an archive with, it is said each time", "[archive]") {
    const auto writer = tar([](std::span<const std::byte>) -> Result<void> { throw std::bad_alloc(); });
    CHECK_THROWS_AS(add_mebibytes(*writer, 10'000), std::bad_alloc);
    CHECK_THROWS_AS(writer->finish(), std::bad_alloc);
}

TEST_CASE("an archive that is given up takes nothing once it is gone, whatever it is at", "[archive]") {
    std::atomic<bool> is_taking = false;
    std::atomic<bool> may_go_on = false;
    std::atomic<bool> is_gone = false;
    std::atomic<bool> took_late = false;
    auto writer = tar([&](std::span<const std::byte>) -> Result<void> {
        is_taking = true;
        is_taking.notify_all();
        may_go_on.wait(false);
        if (is_gone) took_late = true;
        return {};
    });
    REQUIRE(add_mebibytes(*writer, 1));
    is_taking.wait(false);
    const std::jthread lets([&] {
        may_go_on = true;
        may_go_on.notify_all();
    });
    writer.reset();
    is_gone = true;
    CHECK_FALSE(took_late);
}

TEST_CASE("a helper that ends before its time, or is not there, is said to", "[archive]") {
    const auto take = [](std::span<const std::byte>) { return Result<void>{}; };
    const auto gone = value(ArchiveWriter::start(ArchiveFormat::tar, Press::fast, take, "/bin/true"));
    const auto added = add_mebibytes(*gone, 100);
    REQUIRE_FALSE(added);
    CHECK(added.error().step == "ended before its time");
    CHECK_FALSE(gone->finish());
    const auto at_its_end = value(ArchiveWriter::start(ArchiveFormat::tar, Press::fast, take, "/bin/true"));
    CHECK_FALSE(at_its_end->finish());
    const auto none = ArchiveWriter::start(ArchiveFormat::tar, Press::fast, take, "/nowhere/tavlo-archive");
    REQUIRE_FALSE(none);
    CHECK(none.error().fault == Fault::not_found);
}

TEST_CASE("frames come out as they went in, wherever they are cut and however long they are", "[archive]") {
    std::mt19937 random(0x7a61);
    std::vector<std::string> payloads{"", std::string(longest_frame_bytes, 'l'), std::string(300'000, 'p')};
    for (int more = 0; more < 400; ++more)
        payloads.emplace_back(random() % (more % 9 == 0 ? 200'000 : 300), static_cast<char>('a' + more % 26));
    std::shuffle(payloads.begin(), payloads.end(), random);
    std::string all;
    for (const std::string& payload : payloads) append_frame(all, Frame::bytes, payload);
    const Line line;
    const std::jthread speaker([&] {
        for (std::string_view left = all; !left.empty();) {
            const auto piece = left.substr(0, 1 + random() % (random() % 2 == 0 ? 9 : 200'000));
            line.say(piece);
            left.remove_prefix(piece.size());
        }
        ::shutdown(line.theirs.descriptor(), SHUT_WR);
    });
    FrameStream frames(line.ours.descriptor());
    for (const std::string& payload : payloads) {
        const auto said = frames.next();
        REQUIRE(said);
        CHECK(said->kind == Frame::bytes);
        REQUIRE(said->payload.size() == payload.size());
        CHECK((said->payload == payload));
    }
    CHECK_FALSE(frames.next());
}

TEST_CASE("what is no frame, or not the whole of one, ends what is heard", "[archive]") {
    std::string whole;
    append_frame(whole, Frame::thing, "something");
    std::string longer;
    append_frame(longer, Frame::bytes, std::string(longest_frame_bytes + 1, 'x'));
    const std::string said = GENERATE_COPY(std::string(), whole.substr(0, 3),
                                           whole.substr(0, whole.size() - 1), std::string("\x2a\1\0\0\0x", 6),
                                           std::string("\4\xff\xff\xff\xff", 5), longer.substr(0, 100));
    const Line line;
    line.say(whole + said);
    ::shutdown(line.theirs.descriptor(), SHUT_WR);
    FrameStream frames(line.ours.descriptor());
    const auto first = frames.next();
    REQUIRE(first);
    CHECK(first->payload == "something");
    CHECK_FALSE(frames.next());
}
