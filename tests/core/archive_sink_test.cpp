// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/archive_sink.h"

#include <filesystem>

#include "archive/archive_files.h"
#include "archive/reader.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

/// A disk on which what was written can be spoilt, or a source be changed while it is read.
class Meddled final : public ArchiveFiles {
public:
    Meddled() : ArchiveFiles(make_disk()) {}
    Result<void> write_at(const Staged& to, std::uint64_t offset, std::span<const std::byte> bytes) override {
        if (!spoils) return ArchiveFiles::write_at(to, offset, bytes);
        std::vector<std::byte> other(bytes.begin(), bytes.end());
        for (std::size_t at = 600; at < other.size(); at += 700) other[at] ^= std::byte{1};
        return ArchiveFiles::write_at(to, offset, other);
    }
    Result<std::size_t> read_at(const Handle& file, std::uint64_t offset,
                                std::span<std::byte> into) override {
        if (meanwhile) std::exchange(meanwhile, {})();
        return ArchiveFiles::read_at(file, offset, into);
    }
    bool spoils = false;
    std::function<void()> meanwhile{};
};

struct Yard {
    TempFolder temp;
    Meddled disk;
    Handle from = value(disk.open_folder(temp.folder("from")));
    Handle to = value(disk.open_folder(temp.folder("to")));

    std::unique_ptr<ArchiveSink> sink(const std::string& name) {
        return value(ArchiveSink::start(disk, to, ".part", temp.path("to/" + name), Press::fast, {}));
    }
    ToPack thing(const std::string& name) {
        ToPack what;
        what.member = "scans/" + name;
        what.path = temp.path("from/" + name);
        what.folder = &from;
        what.name = name;
        what.agreed = value(disk.status(from, name));
        return what;
    }
    /// What of it can be read again, by name.
    PackedList list(const StagedCopy& made) {
        return value(ArchiveReader(made.staged.file().duplicate()).list());
    }
};

}  // namespace

TEST_CASE(
    "an archive holds what was put in, is complete before anybody sees it, and says what it could not keep",
    "[archive][sink]") {
    Yard yard;
    yard.temp.write("from/a.pdf", std::string(70'000, 'a'));
    yard.temp.write("from/empty", "");
    std::filesystem::create_hard_link(yard.temp.path("from/a.pdf"), yard.temp.path("from/b.pdf"));
    const auto format = GENERATE(as<std::string>(), "year.zip", "year.tar", "year.tar.gz");
    auto sink = yard.sink(format);
    CHECK(sink->is_empty());
    const auto first = sink->add(yard.thing("a.pdf"), {});
    REQUIRE(first);
    CHECK(first->source.id.size_bytes == 70'000);
    const auto other = sink->add(yard.thing("b.pdf"), {});
    REQUIRE(other);
    CHECK(other->hash == first->hash);
    const bool keeps_names = format != "year.zip";
    CHECK(other->not_kept == (keeps_names ? "" : "links"));
    REQUIRE(sink->add(yard.thing("empty"), {}));
    CHECK(std::filesystem::is_empty(yard.temp.path("to")));
    const auto made = sink->finish({});
    REQUIRE(made);
    CHECK(std::filesystem::is_empty(yard.temp.path("to")));  // the name is the run's affair
    const PackedList list = yard.list(*made);
    REQUIRE(list.things.size() == 3);
    CHECK(list.things[0].path == "scans/a.pdf");
    CHECK(list.things[1].is_hard_link == keeps_names);
    CHECK(list.things[2].size_bytes == 0);
}

TEST_CASE("an archive that does not read back as it was packed is none", "[archive][sink]") {
    Yard yard;
    yard.temp.write("from/a.pdf", std::string(40'000, 'a'));
    auto sink = yard.sink("year.tar");
    yard.disk.spoils = true;
    REQUIRE(sink->add(yard.thing("a.pdf"), {}));
    const auto made = sink->finish({});
    REQUIRE_FALSE(made);
    CHECK(made.error().fault == Fault::corrupt);
    CHECK(made.error().path == yard.temp.path("to/year.tar"));
}

TEST_CASE("another file than was looked at is refused, and costs the archive nothing", "[archive][sink]") {
    Yard yard;
    yard.temp.write("from/a.pdf", "one");
    yard.temp.write("from/b.pdf", "two");
    auto sink = yard.sink("year.zip");
    ToPack swapped = yard.thing("a.pdf");
    std::filesystem::rename(yard.temp.path("from/b.pdf"), yard.temp.path("from/a.pdf"));
    const auto refused = sink->add(swapped, {});
    REQUIRE_FALSE(refused);
    CHECK(refused.error().fault == Fault::refused);
    CHECK(refused.error().path == yard.temp.path("from/a.pdf"));
    CHECK_FALSE(sink->failed());
    CHECK_FALSE(sink->is_spoilt());
    REQUIRE(sink->add(yard.thing("a.pdf"), {}));
    CHECK(yard.list(value(sink->finish({}))).things.size() == 1);
}

TEST_CASE(
    "a small file that changes while it is read leaves the archive whole, a large one means that it is begun "
    "anew",
    "[archive][sink]") {
    Yard yard;
    const bool large = GENERATE(false, true);
    CAPTURE(large);
    yard.temp.write("from/a.pdf", std::string(large ? 3'000'000 : 3'000, 'a'));
    yard.temp.write("from/b.pdf", "two");
    auto sink = yard.sink("year.tar");
    const ToPack changing = yard.thing("a.pdf");
    yard.disk.meanwhile = [&] { yard.temp.write("from/a.pdf", std::string(large ? 3'000'000 : 3'000, 'b')); };
    const auto changed = sink->add(changing, {});
    REQUIRE_FALSE(changed);
    CHECK(changed.error().fault == Fault::changed_meanwhile);
    CHECK_FALSE(sink->failed());
    CHECK(sink->is_spoilt() == large);
    if (large) return;
    REQUIRE(sink->add(yard.thing("b.pdf"), {}));
    CHECK(yard.list(value(sink->finish({}))).things.size() == 1);
}

TEST_CASE("whoever stops while an archive is made has none", "[archive][sink]") {
    Yard yard;
    yard.temp.write("from/a.pdf", std::string(2'000'000, 'a'));
    auto sink = yard.sink("year.zip");
    std::stop_source stop;
    stop.request_stop();
    const auto packed = sink->add(yard.thing("a.pdf"), {stop.get_token(), {}});
    REQUIRE_FALSE(packed);
    CHECK(packed.error().fault == Fault::cancelled);
    sink.reset();
    CHECK(std::filesystem::is_empty(yard.temp.path("to")));
}

TEST_CASE("a small file may be read before its turn, and goes in as it was then", "[archive][sink]") {
    Yard yard;
    yard.temp.write("from/a.pdf", "as it was");
    yard.temp.write("from/large", std::string(3 << 20, 'x'));
    yard.temp.folder("from/box");
    yard.temp.write("from/named", "twice");
    std::filesystem::create_hard_link(yard.temp.path("from/named"), yard.temp.path("from/other"));
    auto sink = yard.sink("year.tar");
    CHECK_FALSE(sink->read_ahead(yard.thing("large"), {}));
    CHECK_FALSE(sink->read_ahead(yard.thing("named"), {}));
    CHECK_FALSE(sink->read_ahead(yard.thing("box"), {}));
    const ToPack thing = yard.thing("a.pdf");
    auto read = sink->read_ahead(thing, {});
    REQUIRE(read);
    yard.temp.write("from/a.pdf", "as it is by now");
    CHECK(sink->is_empty());
    const auto packed = sink->add(thing, {}, std::move(read));
    REQUIRE(packed);
    CHECK(packed->source.id.size_bytes == 9);
    CHECK(packed->source.id != value(yard.disk.status(yard.from, "a.pdf")).id);  // so it may not leave
    ToPack other = yard.thing("a.pdf");
    other.agreed.id.inode += 1;
    auto refused = sink->read_ahead(other, {});
    REQUIRE(refused);
    REQUIRE_FALSE(*refused);
    CHECK(refused->error().fault == Fault::refused);
    CHECK_FALSE(sink->add(other, {}, std::move(refused)));
    CHECK_FALSE(sink->failed());
    const auto made = value(sink->finish({}));
    CHECK(yard.list(made).things.size() == 1);
}
