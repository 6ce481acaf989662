// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/sorting.h"

#include <sys/stat.h>

#include <filesystem>
#include <map>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/every_call.h"
#include "support/fact_files.h"
#include "support/jobs.h"
#include "support/kill_scene.h"
#include "support/temp_folder.h"

// Files sorted into folders by what they tell.

using namespace tavlo;

namespace {

Job sorting(Job job, const std::string& pattern) {
    job.structure.sort_into = pattern;
    return job;
}

/// The folder that a pattern makes of facts.
std::string folder_by(const std::string& pattern, const std::map<std::string, Fact, std::less<>>& facts) {
    return value(Pattern::parse_folders(pattern)).fill_folders([&](std::string_view name) {
        const auto found = facts.find(name);
        return found == facts.end() ? std::nullopt : std::optional(found->second);
    });
}

constexpr std::pair<double, double> inverness{57.49, -4.22};

}  // namespace

TEST_CASE("a pattern makes folders of facts", "[sort]") {
    const std::map<std::string, Fact, std::less<>> facts{
        {"town", std::string("Ars/en\nRé ")}, {"artist", std::string("  ")},
        {"folders", std::string("a/b")},      {"taken", *moment_from("2031:05:02 23:59:59")},
        {"track", std::uint64_t{7}},          {"album", std::string("..")}};
    CHECK(folder_by("{taken:%Y}/{town}", facts) == "2031/Ars_en_Ré");
    CHECK(folder_by("{taken}/{track:3}", facts) == "2031-05-02/007");
    CHECK(folder_by("{artist}", facts) == "unknown");  // empty by then
    CHECK(folder_by("{genre|artist|=no one's}/x", facts) == "no one's/x");
    CHECK(folder_by("{folders}/{album}", facts) == "a/b/_");
    CHECK(folder_by("../.", facts) == "_/_");
    CHECK(folder_by("by {town:upper}, {town:first}", facts) == "by ARS_EN_RÉ, A");
    CHECK(folder_by("{{{track}}}", facts) == "{7}");
    for (const auto& [month, quarter] :
         {std::pair("01", '1'), std::pair("03", '1'), std::pair("04", '2'), std::pair("12", '4')}) {
        const auto taken = *moment_from("2031:" + std::string(month) + ":02 23:59:59");
        CHECK(folder_by("{taken:%Y-Q%q}", {{"taken", taken}}) == std::string("2031-Q") + quarter);
    }
    CHECK(folder_by("{taken:%%q %%%q %d}", facts) == "%q %2 02");
    const std::map<std::string, Fact, std::less<>> none;
    CHECK(folder_by("{folders}/{ext|=none}", none) == "none");  // directly in SOURCE: that level is left out
    CHECK(folder_by("{folders}", none).empty());
    for (const char* wrong :
         {"", "/a", "a/", "a//b", "{year}//x", "{nothing}", "{taken", "a}", "{track:x}", "{town:%Y}"}) {
        CAPTURE(wrong);
        CHECK_FALSE(Pattern::parse_folders(wrong));
    }
    CHECK(Pattern::parse_folders("{=a/b}/{taken:%Y/%m}"));
}

TEST_CASE("a copy sorts files into folders that it makes, once each, and the undo takes them away",
          "[sort]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/a.jpg", photo_bytes({.taken = "2031:05:02 09:14:07", .place = inverness}));
    temp.write("in/deep/b.jpg", photo_bytes({.taken = "2031:06:02 09:14:07", .place = inverness}));
    temp.write("in/deep/c.txt", "tells nothing");
    temp.link("in/link", "a.jpg");
    temp.folder("in/empty");
    temp.write("to/2031/there", "already");
    const Ran ran =
        jobs.run(sorting(copy({temp.path("in")}, temp.path("to")), "{taken:%Y|=undated}/{town|=no place}"));
    CHECK(temp.has("to/2031/Inverness/a.jpg"));
    CHECK(temp.has("to/2031/Inverness/b.jpg"));
    CHECK(temp.read("to/undated/no place/c.txt") == "tells nothing");
    CHECK(std::filesystem::is_symlink(temp.path("to/undated/no place/link")));
    CHECK(std::distance(std::filesystem::directory_iterator(temp.path("to")), {}) == 2);
    CHECK(ran.items.size() == 8);
    CHECK(ran.of(Outcome::created) == 7);
    CHECK(ran.item(temp.path("to/2031")).result == Outcome::merged);
    CHECK(ran.item(temp.path("to/2031/Inverness")).role == Role::made);
    struct stat made {};
    REQUIRE(::stat(temp.path("to/undated").c_str(), &made) == 0);
    CHECK(made.st_mtim.tv_sec > 1'700'000'000);
    const Ran again = jobs.run(
        with(sorting(copy({temp.path("in")}, temp.path("to")), "{taken:%Y|=undated}/{town|=no place}"),
             Decision::skip));
    CHECK(again.of(Outcome::skipped) == 4);
    CHECK(again.of(Outcome::merged) == 4);
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(temp.read("to/2031/there") == "already");
    CHECK_FALSE(temp.has("to/2031/Inverness"));
    CHECK_FALSE(temp.has("to/undated"));
    jobs.undo(undone.head.id);
    CHECK(temp.has("to/2031/Inverness/b.jpg"));
}

TEST_CASE("a move sorts, and folders that it empties go, what wants one name is a twin", "[sort]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/x/a.pdf", "one");
    temp.write("in/y/a.pdf", "other");
    temp.write("in/y/deep/b.txt", "b");
    temp.write("in/kept/not asked for.odt", "stays");
    Job job = sorting(move({temp.path("in/x"), temp.path("in/y")}, temp.path("to")), "{ext}");
    const Ran ran = jobs.run(job);
    CHECK(ran.of(Outcome::undecided) == 2);
    CHECK(temp.read("to/.txt/b.txt") == "b");
    CHECK_FALSE(temp.has("in/y/deep"));
    const Ran rest = jobs.run(with(job, Decision::rename));
    CHECK(temp.read("to/.pdf/a.pdf") == "one");
    CHECK(temp.read("to/.pdf/a-2.pdf") == "other");
    CHECK(rest.of(Outcome::merged) == 1);
    CHECK(std::filesystem::is_empty(temp.path("in/x")));
    jobs.undo(rest.head.id);
    jobs.undo(ran.head.id);
    CHECK(temp.read("in/x/a.pdf") == "one");
    CHECK(temp.read("in/y/a.pdf") == "other");
    CHECK(temp.read("in/y/deep/b.txt") == "b");
    CHECK_FALSE(temp.has("to"));
}

TEST_CASE("folders that cannot be made, or whose names are held by files, say so of all that goes into them",
          "[sort]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/" + std::string(200, 'n') + ".txt", "long");
    temp.write("in/a.pdf", "a");
    temp.write("in/b.odt", "b");
    temp.write("to/.pdf", "a file of that name");
    const Ran ran = jobs.run(sorting(copy({temp.path("in")}, temp.path("to")), "{ext}/{name}{name}"));
    CHECK(ran.item(temp.path("to/.txt")).result == Outcome::created);
    CHECK(ran.of(Outcome::failed) == 2);     // the folder of 400 bytes, and its file
    CHECK(ran.of(Outcome::undecided) == 3);  // .pdf, aa in it, a.pdf in that
    CHECK(temp.read("to/.pdf") == "a file of that name");
    CHECK(temp.read("to/.odt/bb/b.odt") == "b");
}

TEST_CASE("names that differ in case alone are one folder only where the destination folds case", "[sort]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/one.Pdf", "1");
    temp.write("in/two.pdf", "2");
    CHECK(jobs.run(sorting(copy({temp.path("in")}, temp.path("to")), "{ext}")).of(Outcome::created) == 4);
    Job on_folding = sorting(copy({temp.path("in")}, temp.path("other")), "{ext}");
    const Batch batch = value(gather(*jobs.disk, on_folding.what.sources));
    const Sorted sorted = value(sort_by_facts(on_folding, batch, 0, true));
    CHECK(sorted.batch.entries.size() == batch.entries.size() + 1);
    CHECK(sorted.batch.entries.back().name == ".Pdf");
}

TEST_CASE("a sorting that ends before any call is recovered: every file has its new place", "[sort]") {
    const bool moves = GENERATE(false, true);
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        const TempFolder temp;
        CAPTURE(moves, nth);
        for (const char* file : {"in/a.pdf", "in/deep/b.txt", "in/deep/c.pdf"}) temp.write(file, file);
        Jobs jobs(temp.path("state"));
        const Job plain =
            moves ? move({temp.path("in")}, temp.path("to")) : copy({temp.path("in")}, temp.path("to"));
        const auto plan = value(prepare(*jobs.disk, sorting(plain, "{ext}"))).plan;
        AtCall dying(nth, AtCall::dies);
        carry_out_until_it_dies(dying, *jobs.store, *plan);
        reached = dying.was_reached();
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;
        CHECK(heads[0].totals.of(Outcome::created) == 5);
        CHECK(temp.read("to/.pdf/a.pdf") == "in/a.pdf");
        CHECK(temp.read("to/.pdf/c.pdf") == "in/deep/c.pdf");
        CHECK(temp.read("to/.txt/b.txt") == "in/deep/b.txt");
        CHECK((!temp.has("in/deep") || !moves || std::filesystem::is_empty(temp.path("in/deep"))));
        check_no_litter(temp.path());
        (void)jobs.undo(heads[0].id);
        CHECK((!temp.has("to") || std::filesystem::is_empty(temp.path("to"))));
        CHECK(temp.read("in/deep/c.pdf") == "in/deep/c.pdf");
    }
}
