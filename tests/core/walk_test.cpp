// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/weigh.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

std::vector<std::string> paths(const Weighed& weighed, const std::vector<std::uint32_t>& things) {
    std::vector<std::string> out;
    for (const std::uint32_t id : things) out.push_back(weighed.path(id).substr(weighed.folder.size() + 1));
    return out;
}

}  // namespace

TEST_CASE("a folder is weighed: sums at every depth, what is heaviest first, and what stands out", "[walk]") {
    const TempFolder temp;
    temp.write("top/a", std::string(100, 'a'));
    temp.write("top/sub/b", std::string(3000, 'b'));
    temp.write("top/sub/deep/c", std::string(500, 'c'));
    temp.folder("top/empty/in it/nothing");
    temp.folder("top/sub/bare");
    temp.link("top/link", "/");
    temp.date("top/a", 1'600'000'000);
    temp.date("top/sub/b", 1'900'000'000);
    temp.date("top/sub/deep/c", 1'700'000'000);
    const auto weighed = value(weigh_below(*make_disk(), temp.path("top")));
    const Weighed& all = *weighed;
    CHECK(all.complete);
    CHECK(all.things[0].bytes == 3600);
    CHECK(all.things[0].files == 4);
    CHECK(all.folders() == 6);
    const auto inside = [&](std::uint32_t id) {
        return paths(all, {all.inside(id).begin(), all.inside(id).end()});
    };
    CHECK(inside(0) == std::vector<std::string>{"sub", "a", "empty", "link"});
    const std::uint32_t sub = all.inside(0)[0];
    CHECK(all.things[sub].bytes == 3500);
    CHECK(all.things[sub].files == 2);
    CHECK(all.things[sub].newest_ns == 1'900'000'000'000'000'000);
    CHECK(inside(sub) == std::vector<std::string>{"sub/b", "sub/deep", "sub/bare"});
    CHECK(paths(all, all.largest_files) == std::vector<std::string>{"sub/b", "sub/deep/c", "a"});
    CHECK(paths(all, all.folders_over(499)) == std::vector<std::string>{"sub", "sub/deep"});
    CHECK(paths(all, all.folders_over(500)) == std::vector<std::string>{"sub"});
    CHECK(paths(all, all.empty_folders) == std::vector<std::string>{"empty", "sub/bare"});
    CHECK_FALSE(weigh_below(*make_disk(), temp.path("nothing")));
}

TEST_CASE(
    "while a folder is being weighed, what lies directly in it is there already, with what was met so far",
    "[walk]") {
    const TempFolder temp;
    for (int at = 0; at < 1200; ++at)
        temp.write("top/" + std::to_string(at % 3) + "/deep/" + std::to_string(at), "1234567890");
    std::vector<std::uint64_t> sums;
    const auto so_far = [&](const std::shared_ptr<const Weighed>& some) {
        CHECK_FALSE(some->complete);
        CHECK(some->inside(0).size() <= 3);
        std::uint64_t sum = 0;
        for (const std::uint32_t id : some->inside(0)) sum += some->things[id].bytes;
        CHECK(sum == some->things[0].bytes);
        sums.push_back(sum);
    };
    const auto all =
        value(weigh_below(*make_disk(), temp.path("top"), {}, so_far, std::chrono::milliseconds(0)));
    REQUIRE(sums.size() >= 3);
    CHECK(std::is_sorted(sums.begin(), sums.end()));
    CHECK(sums.back() <= all->things[0].bytes);
    CHECK(all->things[0].bytes == 12'000);
    std::stop_source stop;
    stop.request_stop();
    CHECK(weigh_below(*make_disk(), temp.path("top"), stop.get_token()).error().fault == Fault::cancelled);
}
