// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>
#include <sys/resource.h>

#include <filesystem>

#include "files/folder_tree.h"
#include "run/remove_tree.h"
#include "support/catch.h"
#include "support/few_handles.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"

// Removing for good: however deep, never across a mount, never what was put in a folder's place; and the
// handles that such work holds.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

std::vector<Error> remove(FileSystem& disk, const TempFolder& temp, const std::string& below) {
    std::vector<Error> left;
    const Handle folder = value(disk.open_folder(temp.path()));
    remove_tree(disk, folder, below, [&](Error why) { left.push_back(std::move(why)); });
    return left;
}

std::string deep(const TempFolder& temp, const std::string& top, int levels) {
    std::string below = top;
    for (int level = 0; level < levels; ++level) {
        below += "/d";
        temp.write(below + "/before", "x");
        temp.write(below + "/z after", "y");
        temp.link(below + "/link", "/etc");
    }
    return below;
}

}  // namespace

TEST_CASE(
    "a tree goes whole, however deep it is and however few files may be open, what its links point at stays",
    "[disk][removing]") {
    TempFolder temp;
    temp.write("outside/kept", "kept");
    deep(temp, "tree", 150);
    temp.link("tree/d/to the outside", temp.path("outside"));
    temp.write("file", "a file alone");
    const auto disk = make_disk();
    {
        const FewHandles few(open_handles() + 8);
        CHECK(remove(*disk, temp, "tree").empty());
        CHECK(remove(*disk, temp, "file").empty());
        CHECK(remove(*disk, temp, "not there").empty());
    }
    CHECK_FALSE(temp.has("tree"));
    CHECK_FALSE(temp.has("file"));
    CHECK(temp.read("outside/kept") == "kept");
}

TEST_CASE("what is mounted in a tree stays, with the folders around it, and is named, all else goes",
          "[disk][removing][mount]") {
    TempFolder temp;
    const std::string bottom = deep(temp, "tree", 12);
    fs::create_directories(temp.path("tree/d/d/d/mounted"));
    const Mount other = Mount::memory(temp.path("tree/d/d/d/mounted"));
    NEEDS(other);
    temp.write("tree/d/d/d/mounted/somebody else's", "theirs");
    const auto disk = make_disk();
    const auto left = remove(*disk, temp, "tree");
    REQUIRE(left.size() == 1);
    CHECK(left[0].path.find("mounted") != std::string::npos);
    CHECK(temp.read("tree/d/d/d/mounted/somebody else's") == "theirs");
    CHECK_FALSE(temp.has("tree/d/d/d/d"));
    CHECK_FALSE(temp.has("tree/d/before"));
}

TEST_CASE("a folder that is moved away while it is emptied leads nothing astray", "[disk][removing]") {
    /// Moves the folder that is being emptied elsewhere, and puts another in its place, once its first file
    /// has gone.
    class Meddler final : public ForwardingFileSystem {
    public:
        explicit Meddler(const TempFolder& temp) : temp_(temp) {}
        Result<void> remove_file(const Handle& folder, const std::string& name) override {
            if (name == "first" && !std::exchange(done_, true)) {
                fs::rename(temp_.path("tree/inner"), temp_.path("elsewhere/inner"));
                temp_.write("tree/inner/theirs", "put in its place");
            }
            return disk->remove_file(folder, name);
        }

    private:
        const TempFolder& temp_;
        bool done_ = false;
    };
    TempFolder temp;
    temp.folder("elsewhere");
    temp.write("elsewhere/kept", "kept");
    temp.write("tree/inner/first", "1");
    temp.write("tree/z last", "2");
    Meddler disk(temp);
    const auto left = remove(disk, temp, "tree");
    REQUIRE_FALSE(left.empty());
    CHECK(temp.read("elsewhere/kept") == "kept");  // the way up from the folder that was moved leads there
    CHECK(temp.read("tree/inner/theirs") == "put in its place");
    CHECK(temp.has("tree"));
}

TEST_CASE(
    "folders of a tree are opened again where few may be open, and are still the ones that were looked at",
    "[disk][handles]") {
    TempFolder temp;
    constexpr int levels = 60;
    const auto name_of_level = [](int level) { return fmt::format("d{}", level); };
    fs::path below = temp.path("top");
    for (int level = 0; level < levels; ++level) below /= name_of_level(level);
    fs::create_directories(below);
    const auto disk = make_disk();
    FolderTree tree;
    std::vector<FolderId> chain{tree.add_root(temp.path("top"))};
    for (int level = 0; level < levels; ++level)
        chain.push_back(tree.add(chain.back(), name_of_level(level)));
    const FewHandles few(open_handles() + 20);
    FolderHandles handles(*disk, tree);
    for (const FolderId folder : chain) {
        const auto handle = handles.open(folder);
        REQUIRE(handle);
        tree.set_identity(folder, value(disk->status(**handle)).id);
    }
    for (auto folder = chain.rbegin(); folder != chain.rend(); ++folder) REQUIRE(handles.open(*folder));
    CHECK(tree.path(chain[3]) == temp.path("top/d0/d1/d2"));
    tree.rename(chain[0], "renamed");
    CHECK(tree.path(chain[3]) == temp.path("renamed/d0/d1/d2"));  // the top keeps its place
    tree.rename(chain[0], "top");
    fs::rename(temp.path("top/d0"), temp.path("away"));
    fs::create_directories(temp.path("top/d0/d1"));
    FolderHandles again(*disk, tree);
    const auto swapped = again.open(chain[2]);
    REQUIRE_FALSE(swapped);
    CHECK(swapped.error().fault == Fault::changed_meanwhile);
}
