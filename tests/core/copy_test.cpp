// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>
#include <sys/stat.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <filesystem>

#include "files/path.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "undo/check.h"

using namespace tavlo;

TEST_CASE("a real tree arrives with types, bytes, modes, times, links and hard-link groups", "[disk][copy]") {
    const std::string tree = GENERATE(as<std::string>(), "/usr/share/zoneinfo", "/usr/include");
    if (!std::filesystem::exists(tree)) {
        WARN("skipped: " << tree << " is not here");
        return;
    }
    TempFolder temp;
    Jobs jobs(temp.path("state"));
    std::string from = tree;
    if (::geteuid() != 0) {  // whoever is not root keeps no owner but himself
        from = temp.folder("own") + "/" + std::string(name_of(tree));
        std::filesystem::copy(
            tree, from,
            std::filesystem::copy_options::recursive | std::filesystem::copy_options::copy_symlinks);
    }
    const Ran ran = jobs.run(copy({from}, temp.path("to")));
    CHECK(ran.of(Outcome::failed) == 0);
    CHECK(tree_of(temp.path("to") + "/" + std::string(name_of(tree))) == tree_of(from));
}

TEST_CASE("attributes arrive whole", "[disk][copy]") {
    TempFolder temp;
    temp.write("from/box/suid", "x");
    temp.write("from/box/tagged", "y");
    REQUIRE(::chmod(temp.path("from/box/suid").c_str(), 04751) == 0);
    temp.date("from/box/suid", -5, 123'456'789);  // before 1970, to the nanosecond
    const bool tags = ::setxattr(temp.path("from/box/tagged").c_str(), "user.origin", "quay", 4, 0) == 0;
    if (!tags) WARN("extended attributes cannot be set here: " << temp.path());
    std::filesystem::create_hard_link(temp.path("from/box/suid"), temp.path("from/box/second name"));
    temp.link("from/box/dangling", "nowhere/at all");
    temp.date("from/box/dangling", 1'000'000'000, 1);
    REQUIRE(::chmod(temp.path("from/box").c_str(), 0500) == 0);
    temp.date("from/box", 1'900'000'000, 42);
    Jobs jobs(temp.path("state"));
    jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    CHECK(tree_of(temp.path("to")) == tree_of(temp.path("from")));
}

TEST_CASE("a sparse file stays sparse, and its hash is that of its bytes", "[disk][copy]") {
    TempFolder temp;
    temp.write("from/sparse", "begin");
    REQUIRE(::truncate(temp.path("from/sparse").c_str(), 64 * 1024 * 1024) == 0);
    const auto verify = GENERATE(Verify::none, Verify::read_back);
    Jobs jobs(temp.path("state"));
    RunOptions options;
    options.verify = verify;
    const Ran ran = jobs.run(copy({temp.path("from/sparse")}, temp.path("to")), options);
    struct stat s {};
    REQUIRE(::stat(temp.path("to/sparse").c_str(), &s) == 0);
    CHECK(s.st_size == 64 * 1024 * 1024);
    CHECK(s.st_blocks * 512 < 1024 * 1024);
    CHECK(temp.read("to/sparse").substr(0, 6) == std::string("begin\0", 6));
    CHECK(ran.items[0].hash.empty() == (verify == Verify::none));
    CHECK(Checker(*jobs.disk, ran.head).check(ran.items[0]) == Difference::none);
}

TEST_CASE("names are bytes", "[disk][copy]") {
    TempFolder temp;
    for (const std::string& name :
         {std::string("two\nlines"), std::string("bad\xff\xfe"), std::string("-rf"), std::string("dot."),
          std::string("[a,b]"), std::string(255, 'l'), std::string(" ")})
        temp.write("from/" + name, name);
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from")}, temp.path("to")));
    CHECK(ran.of(Outcome::created) == 8);
    CHECK(tree_of(temp.path("to/from")) == tree_of(temp.path("from")));
    jobs.undo(ran.head.id);
    CHECK_FALSE(temp.has("to"));
}

TEST_CASE("paths longer than 4096 bytes are reached through folder handles", "[disk][copy]") {
    TempFolder temp;
    const std::string deep(250, 'd');
    const auto disk = make_disk();
    Handle at = value(disk->open_folder(temp.folder("from")));
    for (int level = 0; level < 20; ++level) {
        REQUIRE(disk->make_folder(at, deep, 0755));
        at = value(disk->open_folder_in(at, deep));
    }
    Staged staged = value(disk->stage(at, ".part", 0600));
    REQUIRE(disk->take_free_name(staged, at, "bottom"));
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from")}, temp.path("to")));
    CHECK(ran.of(Outcome::created) == 22);
    CHECK(ran.of(Outcome::failed) == 0);
    CHECK(jobs.undo(ran.head.id).of(Outcome::removed) == 23);  // and the destination that was made
    std::system(("rm -rf '" + temp.path() + "'").c_str());
}

TEST_CASE("permissions arrive whatever the umask is, with those that hang on the owner", "[disk][copy]") {
    TempFolder temp;
    const bool root = ::geteuid() == 0;
    std::vector<std::pair<mode_t, bool>> all;  // with whether it belongs to somebody else
    for (const mode_t mode :
         {0000U, 0400U, 0600U, 0640U, 0644U, 0666U, 0755U, 0777U, 04755U, 02755U, 06711U, 01644U})
        for (const bool others : {false, true})
            if (root || (!others && (mode & 0400U) != 0)) all.emplace_back(mode, others);
    for (const auto& [mode, others] : all) {
        const auto path = temp.write(fmt::format("from/box/{:o}-{}", mode, others), "x");
        if (others) REQUIRE(::chown(path.c_str(), 12345, 54321) == 0);
        REQUIRE(::chmod(path.c_str(), mode) == 0);
    }
    // under the last of them nobody but root could enter the destination that is made
    const mode_t mask = GENERATE(0000U, 0022U, 0077U, 0777U);
    if (!root && mask == 0777U) return;
    Jobs jobs(temp.path("state"));
    const mode_t before = ::umask(mask);
    const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    ::umask(before);
    CHECK(ran.of(Outcome::created) == all.size() + 1);
    for (const ReceiptItem& item : ran.items) CHECK(item.not_kept.empty());
    CHECK(tree_of(temp.path("to/box")) == tree_of(temp.path("from/box")));
}

TEST_CASE("a target's default access control list does not change what arrives", "[disk][copy][acl]") {
    TempFolder temp;
    temp.write("from/box/file", "x");
    temp.folder("to");
    if (std::system(("setfacl -d -m u:65534:rwx '" + temp.path("to") + "' 2>/dev/null").c_str()) != 0) {
        WARN("skipped: access control lists cannot be set here");
        return;
    }
    Jobs jobs(temp.path("state"));
    jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    CHECK(tree_of(temp.path("to/box")) == tree_of(temp.path("from/box")));
    CHECK(::lgetxattr(temp.path("to/box").c_str(), "system.posix_acl_default", nullptr, 0) < 0);
}

TEST_CASE("fifos are named and never opened, and mounts are not crossed", "[disk][gather]") {
    TempFolder temp;
    temp.write("from/file", "x");
    REQUIRE(::mkfifo(temp.path("from/pipe").c_str(), 0600) == 0);
    const Mount inner = Mount::memory(temp.path("from/mounted"));
    NEEDS(inner)
    temp.write("from/mounted/not mine", "y");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from")}, temp.path("to")));
    CHECK(ran.item(temp.path("to/from/file")).result == Outcome::created);
    CHECK(ran.item(temp.path("to/from/pipe")).result == Outcome::failed);
    CHECK(ran.item(temp.path("to/from/mounted")).result == Outcome::failed);
    CHECK(ran.item(temp.path("to/from/mounted")).error.find("mount") != std::string::npos);
    CHECK(ran.items.size() == 4);
}

TEST_CASE("links stay links, or are followed when asked", "[disk][gather]") {
    TempFolder temp;
    temp.write("real/box/file", "bytes");
    temp.link("real/box/loop", ".");
    temp.link("from/to-file", "../real/box/file");
    temp.link("from/to-folder", "../real/box");
    temp.link("from/nowhere", "gone");
    Jobs jobs(temp.path("state"));
    Job job = copy({temp.path("from")}, temp.path("to"));
    jobs.run(job);
    CHECK(std::filesystem::is_symlink(temp.path("to/from/to-file")));
    job.what.follow_links = true;
    job.into = temp.path("followed");
    const Ran ran = jobs.run(job);
    CHECK(temp.read("followed/from/to-file") == "bytes");
    CHECK(temp.read("followed/from/to-folder/file") == "bytes");
    CHECK(ran.item(temp.path("followed/from/nowhere")).result == Outcome::failed);
    CHECK(ran.item(temp.path("followed/from/to-folder/loop")).result == Outcome::failed);
}

TEST_CASE("file systems without nameless files, exchange or flagged renames keep the promises too",
          "[disk][collision]") {
    /// Answers as such a file system does.
    class Plain final : public ForwardingFileSystem {
        Result<void> exchange(const Handle&, const std::string&, const Handle& b,
                              const std::string& name) override {
            return failure(Fault::unsupported, "exchange names", join(b.path(), name));
        }
    };
    TempFolder temp;
    temp.write("from/a", "new");
    temp.write("to/a", "old bytes");
    Jobs jobs(temp.path("state"));
    jobs.disk = std::make_unique<Plain>();
    const Ran ran = jobs.run(with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite));
    CHECK(temp.read("to/a") == "new");
    const SafeEntry entry = value(jobs.store->safe_entry(ran.items[0].set_aside));
    CHECK(std::filesystem::exists(entry.stored));
    jobs.undo(ran.head.id);
    CHECK(temp.read("to/a") == "old bytes");
    CHECK_FALSE(std::filesystem::exists(entry.stored));
}

TEST_CASE("too little room, a thing onto itself or into itself are refused before anything is touched",
          "[disk][refused]") {
    TempFolder temp;
    temp.write("box/inner/file", std::string(300'000, 'x'));
    temp.link("way in", "box/inner");
    const auto disk = make_disk();
    const auto refusals = [&](const Job& job) {
        const auto outlook = prepare(*disk, job);
        return outlook ? outlook->refusals.size() : std::size_t{1};
    };
    const Tree before = tree_of(temp.path());
    CHECK(refusals(copy({temp.path("box/inner/file")}, temp.path("box/inner"))) == 1);
    CHECK(refusals(copy({temp.path("box/inner/file")}, temp.path("way in"))) == 1);
    CHECK(refusals(copy({temp.path("box")}, temp.path("box/inner/new/folder"))) == 1);
    CHECK(refusals(copy({temp.path("box")}, temp.path("way in"))) == 1);
    CHECK(refusals(copy({temp.path("nothing")}, temp.path("to"))) == 1);
    CHECK(refusals(copy({temp.path("box")}, temp.path("box/inner/file"))) == 1);
    CHECK(refusals(copy({temp.path("box")}, temp.path())) == 1);
    Job inside = copy({temp.path("box")}, temp.path("box/inner"));
    inside.structure = {true, Subfolders::none, false};
    CHECK(refusals(inside) == 0);  // only the files directly in it: the destination is not among them
    CHECK(tree_of(temp.path()) == before);
    const Mount small = Mount::memory(temp.path("small"), "size=128k");
    NEEDS(small)
    CHECK(refusals(copy({temp.path("box")}, temp.path("small"))) == 1);
    CHECK(tree_of(temp.path("small")).empty());
}
