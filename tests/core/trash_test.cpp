// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/trash.h"

#include <sys/stat.h>
#include <unistd.h>

#include <filesystem>
#include <set>

#include "files/forwarding.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/environment.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Removing to the trash of the desktop, by the text of the Trash specification 1.0.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

Job to_trash(const std::vector<std::string>& sources) {
    Job job;
    job.operation = Operation::remove;
    job.shelf = Shelf::trash;
    job.what.sources = sources;
    return job;
}

/// A volume that is not the home trash's.
struct OtherVolume {
    TempFolder temp;
    Environment home{"XDG_DATA_HOME", temp.path("data")};
    Mount volume = Mount::memory(temp.path("volume"));
};

unsigned mode_of(const std::string& path) {
    struct stat status {};
    return ::lstat(path.c_str(), &status) == 0 ? status.st_mode & 07777U : 0U;
}

std::set<std::string> lines_of(const std::string& text) {
    std::set<std::string> lines;
    for (std::size_t at = 0; at < text.size();) {
        const auto end = std::min(text.find('\n', at), text.size());
        lines.insert(text.substr(at, end - at));
        at = end + 1;
    }
    return lines;
}

}  // namespace

TEST_CASE("the home trash: a file, its note, and back, also after another took its place",
          "[trash][remove]") {
    TempFolder temp;
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    Jobs jobs(temp.path("state"));
    const std::string name = "50% off, \xc3\xbc\x01\xff.pdf";
    temp.write("desk/" + name, "bytes");
    const Tree before = tree_of(temp.path("desk"), {.folder_times = false});
    const Ran first = jobs.run(to_trash({temp.path("desk/" + name)}));
    REQUIRE(first.of(Outcome::removed) == 1);
    CHECK(first.items[0].final_path == fs::canonical(temp.path("data")).string() + "/Trash/files/" + name);
    CHECK(first.items[0].set_aside.empty());
    CHECK(temp.read("data/Trash/files/" + name) == "bytes");
    const std::string info = temp.read("data/Trash/info/" + name + ".trashinfo");
    CHECK(info.starts_with("[Trash Info]\nPath=" + fs::canonical(temp.path("desk")).string()));
    CHECK(info.find("/50%25%20off%2C%20%C3%BC%01%FF.pdf\nDeletionDate=") != std::string::npos);
    CHECK(info.ends_with("\nX-Tavlo-Receipt=" + first.head.id + "\n"));
    CHECK(mode_of(temp.path("data/Trash/files")) == 0700);
    CHECK(mode_of(temp.path("data/Trash/info/" + name + ".trashinfo")) == 0600);
    // another one of that name gets a place of its own, and nothing of the trash's is replaced
    temp.write("desk/" + name, "other bytes");
    const Ran second = jobs.run(to_trash({temp.path("desk/" + name)}));
    CHECK(second.items[0].final_path != first.items[0].final_path);
    CHECK(jobs.undo(first.head.id).of(Outcome::restored) == 1);
    CHECK(tree_of(temp.path("desk"), {.folder_times = false}) == before);
    CHECK_FALSE(temp.has("data/Trash/info/" + name + ".trashinfo"));
    const Ran held = jobs.undo(second.head.id);
    CHECK(held.of(Outcome::undecided) == 1);
    CHECK(temp.read("desk/" + name) == "bytes");
    CHECK(fs::exists(second.items[0].final_path));
}

TEST_CASE("notes whose bytes did not outlast a power cut are written again by recovery", "[trash][remove]") {
    struct PowerIsGone {};
    /// One thing gets into the trash; before the next one does, with its note there already, it is over.
    class Cut final : public ForwardingFileSystem {
    public:
        Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                       const std::string& new_name) override {
            if (++moves_ == 2) throw PowerIsGone();
            return disk->move_to_free_name(from, name, to, new_name);
        }

    private:
        int moves_ = 0;
    };
    TempFolder temp;
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    for (const char* name : {"desk/a", "desk/b", "desk/c"}) temp.write(name, name);
    Jobs jobs(temp.path("state"));
    const auto plan =
        value(prepare(*jobs.disk, to_trash({temp.path("desk/a"), temp.path("desk/b"), temp.path("desk/c")})))
            .plan;
    Cut cut;
    CHECK_THROWS_AS(carry_out(cut, *jobs.store, *plan, {}), PowerIsGone);
    REQUIRE(temp.has("data/Trash/files/a"));
    for (const char* note : {"data/Trash/info/a.trashinfo", "data/Trash/info/b.trashinfo"}) {
        REQUIRE(temp.has(note));
        fs::resize_file(temp.path(note), 0);
    }
    const auto recovered = value(recover(*jobs.disk, *jobs.store));
    REQUIRE(recovered.completed.size() == 1);
    CHECK(recovered.completed[0].totals.of(Outcome::removed) == 3);
    check_trash_is_whole(temp.path("data/Trash"));
    for (const std::string name : {"a", "b", "c"}) {
        const std::string place = fs::canonical(temp.path("desk")).string() + "/" + name;
        CHECK(temp.read("data/Trash/info/" + name + ".trashinfo")
                  .starts_with("[Trash Info]\nPath=" + place + "\n"));
    }
    CHECK(jobs.undo(recovered.completed[0].id).of(Outcome::restored) == 3);
}

TEST_CASE("what was emptied out of the trash is missed by name, what was changed in it stays there",
          "[trash][remove]") {
    TempFolder temp;
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    Jobs jobs(temp.path("state"));
    for (const char* file : {"desk/a", "desk/b", "desk/c"}) temp.write(file, file);
    const Ran ran = jobs.run(to_trash({temp.path("desk/a"), temp.path("desk/b"), temp.path("desk/c")}));
    fs::remove(temp.path("data/Trash/files/a"));
    fs::remove(temp.path("data/Trash/info/a.trashinfo"));
    temp.write("data/Trash/files/b", "written since");
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::restored) == 1);
    CHECK(undone.of(Outcome::failed) == 2);
    CHECK(temp.read("desk/c") == "desk/c");
    CHECK(temp.read("data/Trash/files/b") == "written since");
    for (const ReceiptItem& item : undone.items)
        if (item.result == Outcome::failed) CHECK(item.error.find("in the trash") != std::string::npos);
}

TEST_CASE("the sizes of folders in the trash are kept up, others' lines left alone", "[trash][remove]") {
    TempFolder temp;
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    Jobs jobs(temp.path("state"));
    temp.write("desk/old scans/a", std::string(100'000, 'a'));
    fs::create_hard_link(temp.path("desk/old scans/a"), temp.path("desk/old scans/b"));
    temp.write("data/Trash/directorysizes", "4096 1900000000 somebody%20else\n");
    const Ran ran = jobs.run(to_trash({temp.path("desk/old scans")}));
    const auto lines = lines_of(temp.read("data/Trash/directorysizes"));
    REQUIRE(lines.size() == 2);
    CHECK(lines.contains("4096 1900000000 somebody%20else"));
    struct stat note {};
    REQUIRE(::stat(temp.path("data/Trash/info/old scans.trashinfo").c_str(), &note) == 0);
    struct stat file {};
    struct stat folder {};
    REQUIRE(::stat(temp.path("data/Trash/files/old scans/a").c_str(), &file) == 0);
    REQUIRE(::stat(temp.path("data/Trash/files/old scans").c_str(), &folder) == 0);
    const auto on_disk =
        512 * (file.st_blocks + folder.st_blocks);  // as `du -B1` has it: the link counts once
    CHECK(
        lines.contains(std::to_string(on_disk) + " " + std::to_string(note.st_mtim.tv_sec) + " old%20scans"));
    CHECK(jobs.undo(ran.head.id).of(Outcome::restored) == 1);
    CHECK(temp.read("data/Trash/directorysizes") == "4096 1900000000 somebody%20else\n");
}

TEST_CASE("the trash of another volume: .Trash-uid, or .Trash where an administrator has made it",
          "[trash][remove]") {
    const OtherVolume other;
    NEEDS(other.volume)
    const TempFolder& temp = other.temp;
    Jobs jobs(temp.path("state"));
    const std::string user = std::to_string(::geteuid());
    const bool shared = GENERATE(false, true);
    if (shared) {
        temp.folder("volume/.Trash");
        ::chmod(temp.path("volume/.Trash").c_str(), 01777);
    }
    temp.write("volume/sub/folder/file", "bytes");
    const Ran ran = jobs.run(to_trash({temp.path("volume/sub/folder")}));
    const std::string can = shared ? "volume/.Trash/" + user : "volume/.Trash-" + user;
    CHECK(temp.read(can + "/files/folder/file") == "bytes");
    CHECK(temp.read(can + "/info/folder.trashinfo").find("\nPath=sub/folder\n") !=
          std::string::npos);  // from its top folder
    CHECK(mode_of(temp.path(can)) == 0700);
    CHECK_FALSE(temp.has("data"));
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(temp.read("volume/sub/folder/file") == "bytes");
    CHECK(fs::is_empty(temp.path(can + "/info")));
    CHECK(jobs.undo(undone.head.id).of(Outcome::removed) == 1);  // and to the trash again
    CHECK(temp.read(can + "/files/folder/file") == "bytes");
    CHECK(temp.read(can + "/info/folder.trashinfo").find("\nPath=sub/folder\n") != std::string::npos);
}

TEST_CASE(
    "a .Trash that is a link, or lacks the sticky bit, is not used, nor is one inside it that is a link",
    "[trash][remove]") {
    const OtherVolume other;
    NEEDS(other.volume)
    const TempFolder& temp = other.temp;
    Jobs jobs(temp.path("state"));
    const std::string user = std::to_string(::geteuid());
    switch (GENERATE(0, 1, 2)) {
        case 0: temp.link("volume/.Trash", temp.folder("elsewhere")); break;
        case 1: temp.folder("volume/.Trash"); break;
        default:
            temp.folder("volume/.Trash");
            ::chmod(temp.path("volume/.Trash").c_str(), 01777);
            temp.link("volume/.Trash/" + user, temp.folder("elsewhere"));
    }
    temp.write("volume/file", "bytes");
    const Ran ran = jobs.run(to_trash({temp.path("volume/file")}));
    CHECK(ran.items[0].final_path.find("/.Trash-") != std::string::npos);
    if (temp.has("elsewhere")) CHECK(fs::is_empty(temp.path("elsewhere")));
}

TEST_CASE("where a volume can have no trash the item fails, in the plan too, and goes to no other volume's",
          "[trash][remove]") {
    const OtherVolume other;
    NEEDS(other.volume)
    const TempFolder& temp = other.temp;
    Jobs jobs(temp.path("state"));
    temp.write("volume/sub/file", "bytes");
    temp.write("volume/.Trash-" + std::to_string(::geteuid()), "somebody's own file");
    const auto outlook = value(prepare(*jobs.disk, to_trash({temp.path("volume/sub/file")})));
    REQUIRE(outlook.plan->totals.of(Outcome::failed) == 1);
    CHECK(outlook.plan->items[0].problem()->step.find("no trash") != std::string::npos);
    CHECK(jobs.carry_out(*outlook.plan).of(Outcome::failed) == 1);
    CHECK(temp.read("volume/sub/file") == "bytes");
    CHECK_FALSE(temp.has("data/Trash/files/file"));
}

TEST_CASE("what is or holds the trash is refused, and so is what lies in it already", "[trash][remove]") {
    TempFolder temp;
    const Environment home("XDG_DATA_HOME", temp.path("home/data"));
    Jobs jobs(temp.path("state"));
    temp.write("home/data/Trash/files/old", "old");
    temp.folder("home/data/Trash/info");
    for (const char* what :
         {"home", "home/data", "home/data/Trash", "home/data/Trash/files", "home/data/Trash/files/old"})
        CHECK(value(prepare(*jobs.disk, to_trash({temp.path(what)}))).refusals.size() == 1);
    CHECK(temp.read("home/data/Trash/files/old") == "old");
}

TEST_CASE("things whose folder was tidied away since come back into it all the same", "[trash][remove]") {
    TempFolder temp;
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    Jobs jobs(temp.path("state"));
    temp.write("desk/old/deep/a", "a");
    Job job = to_trash({temp.path("desk/old/deep/a")});
    job.shelf = GENERATE(Shelf::safe, Shelf::trash);
    const Ran ran = jobs.run(job);
    fs::remove_all(temp.path("desk/old"));
    CHECK(jobs.undo(ran.head.id).of(Outcome::restored) >= 1);
    CHECK(temp.read("desk/old/deep/a") == "a");
}
