#include "run/in_place.h"

#include <sys/stat.h>

#include <catch2/catch.hpp>
#include <cstdlib>
#include <filesystem>

#include "select/walk.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Small changes in place; the trash by the text of the Desktop Trash Can Specification 1.0.

using namespace tavlo;

namespace {

/// $XDG_DATA_HOME for one test.
class DataHome {
public:
    explicit DataHome(const std::string& path) { ::setenv("XDG_DATA_HOME", path.c_str(), 1); }
    ~DataHome() { ::unsetenv("XDG_DATA_HOME"); }
    DataHome(const DataHome&) = delete;
    DataHome& operator=(const DataHome&) = delete;
};

unsigned mode_of(const std::string& path) {
    struct stat status {};
    return ::lstat(path.c_str(), &status) == 0 ? status.st_mode & 07777U : 0U;
}

}  // namespace

TEST_CASE("new folders, one in the other, and back", "[in_place]") {
    TempFolder temp;
    const auto disk = make_disk();
    temp.folder("there");
    const auto made = value(make_folders(*disk, temp.path(), "there/a/b"));
    CHECK(made == std::vector<std::string>{temp.path("there/a"), temp.path("there/a/b")});
    for (const char* wrong : {"", "..", "a/../b", "/a", "a//b", "."}) {
        const auto refused = make_folders(*disk, temp.path(), wrong);
        REQUIRE_FALSE(refused);
        CHECK(refused.error().fault == Fault::name_not_possible);
    }
    const auto taken = make_folders(*disk, temp.path(), "there/a/b");
    REQUIRE_FALSE(taken);
    CHECK(taken.error().fault == Fault::name_taken);
    temp.write("there/a/b/file", "x");
    CHECK_FALSE(remove_made_folders(*disk, made));  // it holds something by now
    std::filesystem::remove(temp.path("there/a/b/file"));
    CHECK(remove_made_folders(*disk, made));
    CHECK(temp.has("there"));
    CHECK_FALSE(temp.has("there/a"));
}

TEST_CASE("a new name never replaces", "[in_place]") {
    TempFolder temp;
    const auto disk = make_disk();
    temp.write("a", "one");
    temp.write("b", "two");
    const auto refused = rename_one(*disk, temp.path(), "a", "b");
    REQUIRE_FALSE(refused);
    CHECK(refused.error().fault == Fault::name_taken);
    CHECK(temp.read("b") == "two");
    CHECK(rename_one(*disk, temp.path(), "a", "c"));
    CHECK(temp.read("c") == "one");
    CHECK_FALSE(rename_one(*disk, temp.path(), "c", "x/y"));
}

TEST_CASE("the home trash: a file, its note, and back", "[in_place][trash]") {
    TempFolder temp;
    const DataHome home(temp.path("data"));
    const auto disk = make_disk();
    const std::string name = "50% off, \xc3\xbc\x01\xff.pdf";
    temp.write("desk/" + name, "bytes");
    const Trashed trashed = value(move_to_trash(*disk, temp.path("desk/" + name), 1'930'000'000));
    CHECK_FALSE(temp.has("desk/" + name));
    CHECK(temp.read("data/Trash/files/" + name) == "bytes");
    CHECK(trashed.info == temp.path("data/Trash/info/" + name + ".trashinfo"));
    const std::string info = temp.read("data/Trash/info/" + name + ".trashinfo");
    CHECK(info.starts_with("[Trash Info]\nPath=" + std::filesystem::canonical(temp.path("desk")).string()));
    CHECK(info.find("/50%25%20off%2C%20%C3%BC%01%FF.pdf\n") != std::string::npos);
    CHECK(info.find("\nDeletionDate=2031-0") != std::string::npos);
    CHECK(mode_of(temp.path("data/Trash/files")) == 0700);
    // another one of that name gets one of its own
    temp.write("desk/" + name, "other bytes");
    const Trashed second = value(move_to_trash(*disk, temp.path("desk/" + name), 1'930'000'001));
    CHECK(second.file != trashed.file);
    CHECK(take_from_trash(*disk, trashed));
    CHECK(temp.read("desk/" + name) == "bytes");
    CHECK_FALSE(std::filesystem::exists(trashed.info));
    const auto held = take_from_trash(*disk, second);  // its place is taken by now: nothing is replaced
    REQUIRE_FALSE(held);
    CHECK(held.error().fault == Fault::name_taken);
    CHECK(temp.read("desk/" + name) == "bytes");
    CHECK(std::filesystem::exists(second.info));
}

TEST_CASE("the trash of another volume: .Trash-uid, or .Trash where an administrator has made it", "[in_place][trash]") {
    TempFolder temp;
    const DataHome home(temp.path("data"));
    const Mount volume = Mount::memory(temp.path("volume"));
    NEEDS(volume)
    const auto disk = make_disk();
    const std::string user = std::to_string(::geteuid());
    const bool shared = GENERATE(false, true);
    if (shared) {
        temp.folder("volume/.Trash");
        ::chmod(temp.path("volume/.Trash").c_str(), 01777);
    }
    temp.write("volume/sub/folder/file", "bytes");
    const Trashed trashed = value(move_to_trash(*disk, temp.path("volume/sub/folder"), 1'930'000'000));
    const std::string can = shared ? "volume/.Trash/" + user : "volume/.Trash-" + user;
    CHECK(temp.read(can + "/files/folder/file") == "bytes");
    CHECK(temp.read(can + "/info/folder.trashinfo").find("\nPath=sub/folder\n") != std::string::npos);  // from its top folder
    CHECK(mode_of(temp.path(can)) == 0700);
    CHECK(take_from_trash(*disk, trashed));
    CHECK(temp.read("volume/sub/folder/file") == "bytes");
}

TEST_CASE("a .Trash that is a link, or lacks the sticky bit, is not used", "[in_place][trash]") {
    TempFolder temp;
    const DataHome home(temp.path("data"));
    const Mount volume = Mount::memory(temp.path("volume"));
    NEEDS(volume)
    const bool link = GENERATE(false, true);
    if (link)
        temp.link("volume/.Trash", temp.folder("elsewhere"));
    else
        temp.folder("volume/.Trash");
    temp.write("volume/file", "bytes");
    const Trashed trashed = value(move_to_trash(*make_disk(), temp.path("volume/file"), 1'930'000'000));
    CHECK(trashed.file.find("/.Trash-") != std::string::npos);
    CHECK_FALSE(temp.has("elsewhere/" + std::to_string(::geteuid())));
}

TEST_CASE("a folder in figures", "[walk]") {
    TempFolder temp;
    temp.write("top/a", std::string(100, 'a'));
    temp.write("top/sub/b", std::string(3000, 'b'));
    temp.write("top/sub/deep/c", std::string(500, 'c'));
    temp.folder("top/empty");
    temp.link("top/link", "/");
    temp.date("top/a", 1'600'000'000);
    temp.date("top/sub/b", 1'900'000'000);
    temp.date("top/sub/deep/c", 1'700'000'000);
    const FolderFacts facts = value(facts_below(*make_disk(), temp.path("top"), 400));
    CHECK(facts.files == 4);
    CHECK(facts.folders == 3);
    CHECK(facts.bytes == 3600);
    CHECK(facts.largest_files.front().path == "sub/b");
    REQUIRE(facts.large_folders.size() == 2);
    CHECK(facts.large_folders[0].path == "sub");
    CHECK(facts.large_folders[0].bytes == 3500);
    CHECK(facts.empty_folders == std::vector<std::string>{"empty"});
    CHECK_FALSE(facts_below(*make_disk(), temp.path("nothing")));
}
