#include "select/walk.h"

#include <catch2/catch.hpp>

#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;

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
