// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <filesystem>
#include <random>

#include "archive/archive_files.h"
#include "files/contents.h"
#include "recover/recover.h"
#include "support/archives.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/rounds.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Archives as folders: what is in them, by Tavlo's own rules, read by a helper that a hostile one may bring
// down.

using namespace tavlo;

namespace {

PackedThing packed_file(const std::string& path, std::uint64_t size = 1) {
    PackedThing thing;
    thing.path = path;
    thing.type = FileType::file;
    thing.size_bytes = size;
    return thing;
}

PackedThing packed(const std::string& path, FileType type) {
    PackedThing thing = packed_file(path, 0);
    thing.type = type;
    return thing;
}

PackedThing other_name(const std::string& path, const std::string& of, std::uint64_t size = 0) {
    PackedThing thing = packed_file(path, size);
    thing.is_hard_link = true;
    thing.points_at = of;
    return thing;
}

MemberTree tree_of(std::vector<PackedThing> things) {
    Status archive;
    archive.id = {7, 8, 9, 10};
    return {{std::move(things), {}}, archive};
}

const Member& at(const MemberTree& tree, const std::string& path) {
    MemberId id = MemberTree::root;
    for (std::size_t from = 0; from <= path.size();) {
        const auto slash = std::min(path.find('/', from), path.size());
        const auto next = tree.find(id, path.substr(from, slash - from));
        if (!next) FAIL(path + " is not there");
        id = *next;
        from = slash + 1;
    }
    return tree.member(id);
}

Job unpack(std::vector<std::string> archives, std::string into) {
    Job job = copy(std::move(archives), std::move(into));
    job.operation = Operation::unpack;
    return job;
}

/// Jobs on a disk with archives.
struct ArchiveJobs : Jobs {
    explicit ArchiveJobs(const TempFolder& temp) : Jobs(temp.path("state")) {
        disk = make_disk_with_archives();
    }
};

}  // namespace

TEST_CASE("folders that only names tell of are there, './' and '//' lead nowhere", "[archive]") {
    const MemberTree tree = tree_of(
        {packed("./", FileType::folder), packed_file("./a//b/./c.txt"), packed("d/", FileType::folder)});
    CHECK(at(tree, "a").status.type == FileType::folder);
    CHECK(at(tree, "a/b/c.txt").status.type == FileType::file);
    CHECK(at(tree, "d").status.type == FileType::folder);
    CHECK(tree.member(MemberTree::root).children.size() == 2);
    CHECK(is_packed(at(tree, "a").status.id));
    CHECK_FALSE(at(tree, "a").status.id.same_thing(at(tree, "a/b").status.id));
}

TEST_CASE("names that lead out of an archive, or through a link, are members with a problem", "[archive]") {
    auto link = packed("out", FileType::link);
    link.points_at = "/tmp";
    const MemberTree tree = tree_of(
        {packed_file("out/early"), link, packed_file("out/late"), packed_file("../x"),
         packed_file("a/../../y"), packed_file("/abs"), packed_file("plain"), packed_file("plain/below"),
         packed_file(std::string(256, 'n')), other_name("l", "/etc/passwd"), other_name("m", "nothing")});
    CHECK(at(tree, "out").status.type == FileType::link);
    CHECK(at(tree, "out").problem.empty());
    CHECK(at(tree, "plain").problem.empty());
    std::size_t failed = 0;
    for (const MemberId child : tree.member(MemberTree::root).children)
        if (!tree.member(child).problem.empty()) ++failed;
    CHECK(failed == 9);
    for (MemberId id = 1; id < tree.size(); ++id)  // nothing lies deeper than its name says, or outside
        if (tree.member(id).problem.empty()) CHECK(tree.member(id).name.find('/') == std::string::npos);
}

TEST_CASE("a name that stands twice is two members of that name", "[archive]") {
    const MemberTree tree = tree_of({packed_file("a", 1), packed_file("a", 2), packed_file("a", 3)});
    REQUIRE(tree.member(MemberTree::root).children.size() == 3);
    std::vector<std::uint64_t> sizes;
    for (const MemberId child : tree.member(MemberTree::root).children) {
        CHECK(plain_name(tree.member(child).name) == "a");
        sizes.push_back(tree.member(child).status.id.size_bytes);
    }
    CHECK(sizes == std::vector<std::uint64_t>{1, 2, 3});
}

TEST_CASE("several names of one file are one thing, in cpio the last of them carries the bytes",
          "[archive]") {
    const MemberTree tar = tree_of({packed_file("a", 5), other_name("b", "a"), other_name("c", "./b")});
    CHECK(at(tar, "c").status.links == 3);
    CHECK(at(tar, "a").status.id.same_thing(at(tar, "c").status.id));
    const MemberTree cpio = tree_of({packed_file("a", 0), other_name("b", "a"), other_name("c", "a", 7)});
    for (const char* name : {"a", "b", "c"}) {
        CHECK(at(cpio, name).status.id.size_bytes == 7);
        CHECK(at(cpio, name).number == 2);
    }
}

TEST_CASE("members are listed, looked at and read in any order, nothing there can be written",
          "[archive][disk]") {
    const TempFolder temp;
    by_python(temp.path(), R"(
with tarfile.open('t.tar.gz', 'w:gz', format=tarfile.PAX_FORMAT) as tar:
    member(tar, 'in/a', b'a' * 700000)
    member(tar, 'in/b', b'bee')
    member(tar, 'in/empty')
    member(tar, 'in/c', b'c' * 300000, mode=0o4711)
)");
    ArchiveFiles disk(make_disk());
    const Handle folder = value(disk.open_folder(temp.path("t.tar.gz/in")));
    CHECK(value(disk.list(folder)).size() == 4);
    const auto read = [&](const std::string& name) {
        const auto opened = value(disk.open_file(folder, name));
        return value(hash_of(disk, opened.file, {}));
    };
    const auto direct = [&](const std::string& bytes) {
        temp.write("same", bytes);
        return value(
            hash_of(disk, value(disk.open_file(value(disk.open_folder(temp.path())), "same")).file, {}));
    };
    for (const char* name : {"c", "a", "empty", "b", "a", "b", "c", "b", "empty"})
        CHECK(read(name) == direct(std::string(name) == "a"   ? std::string(700000, 'a')
                                   : std::string(name) == "b" ? "bee"
                                   : std::string(name) == "c" ? std::string(300000, 'c')
                                                              : ""));
    CHECK(value(disk.status(folder, "c")).mode == 0711);
    CHECK(disk.may_write(folder).error().fault == Fault::unsupported);
    CHECK(disk.remove_file(folder, "b").error().fault == Fault::unsupported);
    CHECK(disk.make_folder(folder, "new", 0755).error().fault == Fault::unsupported);
    CHECK_FALSE(disk.stage(folder, "x", 0600));
    CHECK(disk.open_folder(temp.path("t.tar.gz/in/b")).error().fault == Fault::not_a_folder);
    CHECK(disk.open_folder(temp.path("t.tar.gz/none")).error().fault == Fault::not_found);
    temp.write("plain", "no archive");
    CHECK(disk.open_folder(temp.path("plain")).error().fault == Fault::not_a_folder);
}

TEST_CASE("an archive that changes is another one", "[archive][disk]") {
    const TempFolder temp;
    by_python(temp.path(),
              "with zipfile.ZipFile('z.zip', 'w') as z: z.writestr('a/x', 'one'); z.writestr('b', 'two')\n");
    ArchiveFiles disk(make_disk());
    FolderTree tree;
    const FolderId root = tree.add_root(temp.path("z.zip"));
    const FolderId inner =
        tree.add(root, "a", value(disk.status(value(disk.open_folder(temp.path("z.zip"))), "a")).id);
    CHECK(FolderHandles(disk, tree).open(inner));
    const auto opened = value(disk.open_file(value(disk.open_folder(temp.path("z.zip/a"))), "x"));
    by_python(temp.path(), "with zipfile.ZipFile('z.zip', 'a') as z: z.writestr('c', 'three')\n");
    CHECK(FolderHandles(disk, tree).open(inner).error().fault == Fault::changed_meanwhile);
    CHECK(disk.status(opened.file).error().fault == Fault::changed_meanwhile);
}

TEST_CASE("a helper that dies, says nonsense or is not there costs the archive alone", "[archive][disk]") {
    const TempFolder temp;
    by_python(temp.path(), "with zipfile.ZipFile('z.zip', 'w') as z: z.writestr('a', 'one')\n");
    for (const char* helper : {"/bin/false", "/bin/echo", "/nowhere/tavlo-archive"}) {
        CAPTURE(helper);
        ArchiveFiles disk(make_disk(), helper);
        CHECK_FALSE(disk.open_folder(temp.path("z.zip")));
        CHECK(disk.open_folder(temp.path()));
    }
}

TEST_CASE("what 7z, cpio and iso hold comes out as it went in, each read once through", "[archive][disk]") {
    const std::vector<std::pair<std::string, std::string>> files{
        {"z-first.txt", "first\n"}, {"maps/quay.txt", std::string(200'000, 'q')}, {"a-last.txt", "last"}};
    for (const char* format : {"7zip", "cpio", "iso9660"}) {
        CAPTURE(format);
        const TempFolder temp;
        write_archive(temp.path("year.arc"), format, files);
        ArchiveJobs jobs(temp);
        const auto ran = jobs.run(unpack({temp.path("year.arc")}, temp.path("to")));
        CHECK(ran.of(Outcome::failed) == 0);
        for (const auto& [name, bytes] : files) CHECK(temp.read("to/year/" + name) == bytes);
        CHECK(jobs.undo(ran.head.id).of(Outcome::removed) ==
              ran.items.size() + 1);  // and the folder that they came into
        CHECK_FALSE(temp.has("to"));
    }
}

TEST_CASE("holes of a sparse member stay holes, dates keep their nanoseconds, before 1970 too",
          "[archive][disk]") {
    const TempFolder temp;
    by_python(temp.path(), R"(
with tarfile.open('t.tar', 'w', format=tarfile.PAX_FORMAT) as tar:
    for name, when in (('old', '-1.5'), ('new', '1900000000.123456789')):
        member(tar, name, b'x', pax_headers={'mtime': when})
    body = b'1\n1048576\n3\n' + b'\0' * 500 + b'end'
    member(tar, 'sparse', body, pax_headers={'GNU.sparse.major': '1', 'GNU.sparse.minor': '0', 'GNU.sparse.name': 'sparse',
                                             'GNU.sparse.realsize': '1048579'})
)");
    ArchiveJobs jobs(temp);
    CHECK(jobs.run(unpack({temp.path("t.tar")}, temp.path("to"))).of(Outcome::failed) == 0);
    struct stat status {};
    REQUIRE(::stat(temp.path("to/t/old").c_str(), &status) == 0);
    CHECK(status.st_mtim.tv_sec == -2);
    CHECK(status.st_mtim.tv_nsec == 500'000'000);
    REQUIRE(::stat(temp.path("to/t/new").c_str(), &status) == 0);
    CHECK(status.st_mtim.tv_nsec == 123'456'789);
    REQUIRE(::stat(temp.path("to/t/sparse").c_str(), &status) == 0);
    CHECK(status.st_size == 1'048'579);
    CHECK(status.st_blocks < 100);
    CHECK(temp.read("to/t/sparse").ends_with(std::string(10, '\0') + "end"));
}

TEST_CASE("an interrupted unpacking is finished by recovery, wherever it ended", "[archive][disk]") {
    for (int calls = 0; calls < 120; calls += 7) {
        CAPTURE(calls);
        const TempFolder temp("/dev/shm");
        by_python(temp.path(), R"(
with tarfile.open('t.tar.gz', 'w:gz') as tar:
    for name in ('d/z', 'd/y', 'd/x', 'e/w'): member(tar, name, name.encode() * 9)
    member(tar, 'e/link', type=tarfile.LNKTYPE, linkname='d/z')
)");
        ArchiveJobs jobs(temp);
        const auto plan = value(prepare(*jobs.disk, unpack({temp.path("t.tar.gz")}, temp.path("to")))).plan;
        struct Dies : ArchiveFiles {
            explicit Dies(int calls) : ArchiveFiles(make_disk()), left(calls) {}
            void spend() {
                if (left-- == 0) throw std::runtime_error("the process ends here");
            }
            Result<Staged> stage(const Handle& f, const std::string& n, std::uint32_t m) override {
                return spend(), ArchiveFiles::stage(f, n, m);
            }
            Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
                return spend(), ArchiveFiles::take_free_name(s, f, n);
            }
            Result<void> make_folder(const Handle& f, const std::string& n, std::uint32_t m) override {
                return spend(), ArchiveFiles::make_folder(f, n, m);
            }
            Result<void> link_file(const Handle& a, const std::string& n, const Handle& b,
                                   const std::string& m) override {
                return spend(), ArchiveFiles::link_file(a, n, b, m);
            }
            Result<Status> status(const Handle& f, const std::string& n) override {
                return spend(), ArchiveFiles::status(f, n);
            }
            using ArchiveFiles::status;
            int left;
        };
        try {
            Dies dying(calls);
            RunOptions alone;
            alone.threads = 1;
            (void)carry_out(dying, *jobs.store, *plan, alone);
        } catch (const std::runtime_error&) {
        }
        if (value(jobs.store->receipts()).empty()) continue;
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        for (const char* name : {"d/z", "d/y", "d/x", "e/w"})
            CHECK(temp.read(std::string("to/t/") + name).size() == 27);
        CHECK(temp.inode("to/t/e/link") == temp.inode("to/t/d/z"));
    }
}

TEST_CASE("archives in which anything may be wrong: nothing outside, nothing half, no end but one's own",
          "[archive][disk][fuzz]") {
    const TempFolder temp("/dev/shm");
    by_python(temp.path(), R"(
import random
random.seed(4)
text = [bytes(random.choices(b'abcdefgh \n', k=random.randrange(0, 9000))) for _ in range(12)]
with zipfile.ZipFile('a.zip', 'w', zipfile.ZIP_DEFLATED) as z:
    for i, t in enumerate(text): z.writestr('d%d/f%d' % (i % 3, i), t)
for kind in ('gz', 'xz', 'bz2'):
    with tarfile.open('a.tar.' + kind, 'w:' + kind) as tar:
        for i, t in enumerate(text): member(tar, 'd%d/f%d' % (i % 3, i), t)
)");
    write_archive(temp.path("a.7z"), "7zip", {{"d/f", std::string(5000, 'x')}, {"d/g", "gee"}});
    std::mt19937 random(29);
    for (const char* name : {"a.zip", "a.tar.gz", "a.tar.xz", "a.tar.bz2", "a.7z"}) {
        const std::string whole = temp.read(name);
        ArchiveJobs sound(temp);
        std::filesystem::create_directory(temp.path("sound"));
        CHECK(sound.run(unpack({temp.path(name)}, temp.path("sound"))).of(Outcome::failed) == 0);
        const std::string stem = std::filesystem::path(name).stem().stem();
        for (int round = 0; round < rounds("TAVLO_FUZZ", 40); ++round) {
            CAPTURE(name, round);
            std::string bytes = whole;
            const int flips = 1 + static_cast<int>(random() % 4);
            for (int flip = 0; flip < flips; ++flip)
                bytes[random() % bytes.size()] ^= static_cast<char>(1U << (random() % 8));
            const bool cut = random() % 4 == 0;
            if (cut) bytes.resize(random() % bytes.size() + 1);
            // gzip's one checksum stands at its end: of a stream that is cut, what came before the cut cannot
            // be held against it, which the manual says; nor of one that damage lets run to the file's end
            const bool is_gzip = std::string_view(name) == "a.tar.gz";
            const auto runs_out = [&] {
                by_python(temp.path(), R"(
import zlib
stream = zlib.decompressobj(31)
try:
    stream.decompress(open('broken/a.tar.gz', 'rb').read())
    if not stream.eof: open('runs out', 'w')
except zlib.error: pass
)");
                return std::filesystem::remove(temp.path("runs out"));
            };
            temp.write("broken/" + std::string(name), bytes);
            std::filesystem::create_directories(temp.path("to"));
            ArchiveJobs jobs(temp);
            const auto outlook =
                prepare(*jobs.disk, unpack({temp.path("broken/" + std::string(name))}, temp.path("to")));
            if (outlook && outlook->refusals.empty()) {
                const auto ran = jobs.carry_out(*outlook->plan);
                for (const auto& item : ran.items) {
                    if (!arrives(item.result) || item.type != FileType::file) continue;
                    // under the name that it has, or another that the damage gave it, a file is one of those
                    // that were packed
                    const std::string now = temp.read(item.place().substr(temp.path().size() + 1));
                    bool known = now.empty();
                    for (const auto& entry :
                         std::filesystem::recursive_directory_iterator(temp.path("sound")))
                        known =
                            known || (entry.is_regular_file() &&
                                      temp.read(entry.path().string().substr(temp.path().size() + 1)) == now);
                    CHECK((known || (is_gzip && (cut || runs_out()))));
                }
            }
            for (const auto& entry : std::filesystem::recursive_directory_iterator(temp.path("to")))
                CHECK_FALSE(entry.path().filename().string().starts_with(".tavlo-part"));
            std::filesystem::remove_all(temp.path("to"));
        }
        std::filesystem::remove_all(temp.path("sound"));
        std::vector<std::string> stays;
        for (const auto& entry : std::filesystem::directory_iterator(temp.path()))
            stays.push_back(entry.path().filename());
        for (const auto& one : stays) CHECK((one.starts_with("a.") || one == "state" || one == "broken"));
    }
}
