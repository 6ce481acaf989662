// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/saved_job.h"

#include <rapidcheck.h>

#include <ctime>

#include "job/concerns.h"
#include "job/course.h"
#include "job/document.h"
#include "job/last_runs.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

Totals created(std::uint64_t items) {
    Totals totals;
    totals.items = items;
    for (std::uint64_t at = 0; at < items; ++at) totals.count(Outcome::created);
    return totals;
}

SavedJob three_notes() {
    SavedJob job{"three", {}};
    for (const char* line : {"one", "two", "three"}) job.steps.emplace_back().what = Note{"/log", line};
    return job;
}

std::string line_of(const JobCourse& course) { return std::get<Note>(course.step()->what).line; }

std::int64_t noon(int year, int month, int day) {
    std::tm time{};
    time.tm_year = year - 1900;
    time.tm_mon = month - 1;
    time.tm_mday = day;
    time.tm_hour = 12;
    time.tm_isdst = -1;
    return std::int64_t{std::mktime(&time)} * 1'000'000'000;
}

}  // namespace

TEST_CASE("steps follow one another until one does not end well, and what all came to is added up", "[job]") {
    JobCourse course(three_notes());
    CHECK(line_of(course) == "one");
    course.take(Ending::done, created(2));
    course.take(Ending::done, created(3));
    CHECK(line_of(course) == "three");
    CHECK(course.at() == 2);
    CHECK(course.totals().of(Outcome::created) == 5);
    course.take(Ending::done);
    CHECK(course.step() == nullptr);
    CHECK(course.ending() == Ending::done);

    JobCourse fails(three_notes());
    fails.take(Ending::some_undecided, created(1));
    CHECK(fails.step() == nullptr);
    CHECK(fails.ending() == Ending::some_undecided);
    CHECK(fails.totals().items == 1);
}

TEST_CASE("a step that says so is followed whatever comes of it, but not where somebody stopped it",
          "[job]") {
    SavedJob job = three_notes();
    job.steps[0].go_on = true;
    job.steps[1].go_on = true;
    JobCourse course(job);
    course.take(Ending::refused);
    CHECK(line_of(course) == "two");
    course.take(Ending::some_failed);
    CHECK(line_of(course) == "three");
    course.take(Ending::done);
    CHECK(course.ending() == Ending::some_failed);  // of the last that did not end well
    JobCourse stopped(job);
    stopped.take(Ending::stopped);
    CHECK(stopped.step() == nullptr);
    CHECK(stopped.ending() == Ending::stopped);
}

TEST_CASE(
    "steps that are switched off are left out, wherever they stand, and stay off when they are read again",
    "[job]") {
    SavedJob job = three_notes();
    job.steps[0].off = job.steps[2].off = true;
    JobCourse course(job);
    CHECK(line_of(course) == "two");
    CHECK(course.at() == 1);
    course.take(Ending::done);
    CHECK(course.step() == nullptr);
    const SavedJob again = value(saved_job_from_json(to_json(job), "file", "/", 0));
    CHECK(again == job);
}

TEST_CASE("any path is kept as a pattern that makes just that path", "[job]") {
    CHECK(rc::check([](const std::string& name) {
        const std::string path = "/" + name;
        RC_ASSERT(place_at_time(as_pattern(path), 1) == path);
    }));
}

TEST_CASE("a step that comes back from the bench keeps the patterns of the places that were not touched",
          "[job]") {
    Job step = copy({"/in/{now:%Y}", "/other"}, "/archive/{now:%Y}/{now:%m}");
    const std::int64_t now = noon(2031, 5, 14);
    const Job on_the_bench = at_time(step, "job", now);
    CHECK(on_the_bench.what.sources == std::vector<std::string>{"/in/2031", "/other"});
    CHECK(on_the_bench.into == "/archive/2031/05");
    CHECK(with_patterns_of(step, on_the_bench, now) == step);
    Job changed = on_the_bench;
    changed.what.sources = {"/other", "/odd {name}", "/in/2031"};
    changed.into = "/elsewhere/{x}";
    changed.policy.otherwise = Decision::skip;
    const Job kept = with_patterns_of(step, changed, now);
    CHECK(kept.what.sources == std::vector<std::string>{"/other", "/odd {{name}}", "/in/{now:%Y}"});
    CHECK(kept.into == "/elsewhere/{{x}}");
    CHECK(kept.policy.otherwise == Decision::skip);
    CHECK(kept.name.empty());
    CHECK(at_time(kept, "job", noon(2032, 1, 1)).what.sources[2] == "/in/2032");
}

TEST_CASE(
    "what a job would leave undecided, and what it takes from that is not there, is known before it runs",
    "[job]") {
    const TempFolder temp;
    temp.write("in/a", "a");
    SavedJob job{"job", {}};
    job.steps.emplace_back().what = copy({as_pattern(temp.path("in")), as_pattern(temp.path("gone"))}, "/to");
    job.steps.emplace_back().what = with(copy({as_pattern(temp.path("in")) + "/"}, "/to"), Decision::skip);
    job.steps.emplace_back().what = Note{"/log", "line"};
    const auto disk = make_disk();
    const auto concerns = concerns_of(*disk, job, noon(2031, 5, 14));
    REQUIRE(concerns.size() == 2);
    CHECK(concerns[0] == Concern{0, Concern::About::source_is_missing, temp.path("gone"), {}});
    CHECK(concerns[1].about == Concern::About::leaves_undecided);
    CHECK(concerns[1].findings == std::vector{Finding::same, Finding::newer, Finding::older,
                                              Finding::same_date, Finding::type, Finding::twin});
    job.steps[0].off = true;
    CHECK(concerns_of(*disk, job, 0).empty());
}

TEST_CASE("a finding is settled by its own rule, or by one for each size", "[job]") {
    Job job = with(copy({"/a"}, "/b"), Decision::undecided);
    for (const auto finding :
         {Finding::same, Finding::older, Finding::same_date, Finding::type, Finding::twin})
        job.policy.when[static_cast<std::size_t>(finding)] = Decision::skip;
    CHECK(left_undecided(job) == std::vector{Finding::newer});
    auto& newer = job.policy.when_sized[static_cast<std::size_t>(Finding::newer)];
    newer[0] = newer[1] = Decision::overwrite;
    CHECK(left_undecided(job) == std::vector{Finding::newer});
    newer[2] = Decision::skip;
    CHECK(left_undecided(job).empty());
    job.look_elsewhere = true;
    CHECK(left_undecided(job).empty());  // what nobody said comes all the same
    job.policy.when[static_cast<std::size_t>(Finding::elsewhere)] = Decision::undecided;
    CHECK(left_undecided(job) == std::vector{Finding::elsewhere});
    job.operation = Operation::remove;
    CHECK(left_undecided(job).empty());
}

TEST_CASE("of each saved job the latest step counts as its last run, and runs of none are nobody's",
          "[job]") {
    const auto head = [](const char* id, const char* job_name) {
        Job job = copy({"/a"}, "/b");
        job.name = job_name;
        ReceiptHead made;
        made.id = id;
        made.job = to_json(job);
        return made;
    };
    ReceiptHead bare;
    bare.id = "bare";
    const auto last = last_runs({head("4", ""), bare, head("3", "one"), head("2", "two"), head("1", "one")});
    REQUIRE(last.size() == 2);
    CHECK(last.at("one").id == "3");
    CHECK(last.at("two").id == "2");
}
