// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>

#include "job/choosing.h"
#include "job/document.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// A job as a value and as a document.

using namespace tavlo;

namespace {

std::string some_bytes() {
    std::string bytes;
    const auto length = *rc::gen::inRange(0, 6);
    for (int at = 0; at < length; ++at)
        bytes += static_cast<char>(*rc::gen::element(0xff, 0xc3, 0xa4, '"', '\\', '\n', '/', 'a', 0x01));
    return bytes;
}

std::vector<std::string> some_list() {
    std::vector<std::string> list;
    const auto length = *rc::gen::inRange(0, 4);
    for (int at = 0; at < length; ++at) list.push_back(some_bytes());
    return list;
}

std::optional<std::string> perhaps(std::string text) {
    return *rc::gen::arbitrary<bool>() ? std::optional(std::move(text)) : std::nullopt;
}

Decision some_decision() {
    return *rc::gen::element(Decision::undecided, Decision::skip, Decision::overwrite, Decision::rename);
}

NewNames some_names() {
    return {*rc::gen::element(NewNames::Scheme::number, NewNames::Scheme::date, NewNames::Scheme::pattern),
            some_bytes()};
}

Policy some_policy() {
    Policy policy;
    policy.otherwise = some_decision();
    for (auto& one : policy.when)
        if (*rc::gen::arbitrary<bool>()) one = some_decision();
    for (auto& sized : policy.when_sized)
        for (auto& one : sized)
            if (*rc::gen::arbitrary<bool>()) one = some_decision();
    policy.new_names = some_names();
    policy.adapt_names = *rc::gen::arbitrary<bool>();
    return policy;
}

Naming some_naming() {
    Naming naming;
    const auto count = *rc::gen::inRange(0, 5);
    for (int at = 0; at < count; ++at)
        naming.steps.push_back(*rc::gen::element<NameStep>(
            Affix{"\xff-"}, Affix{"", true}, Replace{"a", ""}, ReplaceRegex{"(a)", R"(\1")"},
            LetterCase{LetterCase::To::title}, AddToNumbers{-3, AddToNumbers::Which::last},
            AddToNumbers{INT64_MIN}, Extension{""}, NameAs{"{n:3}"}, NamesFrom{"/t/\xfe"}));
    naming.whole_names = *rc::gen::arbitrary<bool>();
    naming.count_from = *rc::gen::element<std::uint64_t>(0, 1, UINT64_MAX);
    naming.count_by = *rc::gen::element<std::uint64_t>(1, 10);
    return naming;
}

Job some_job() {
    Job job;
    job.operation = *rc::gen::element(Operation::copy, Operation::move, Operation::rename);
    job.what = {some_list(), *rc::gen::arbitrary<bool>(), {}, some_list(), perhaps(some_bytes()), false};
    job.what.files = {some_list(),           some_list(),           some_list(),
                      perhaps(some_bytes()), perhaps(some_bytes()), perhaps(some_bytes()),
                      perhaps(some_bytes()), perhaps(some_bytes()), perhaps(some_bytes())};
    job.into = some_bytes();
    job.structure = {
        *rc::gen::arbitrary<bool>(), *rc::gen::element(Subfolders::all, Subfolders::filled, Subfolders::none),
        *rc::gen::arbitrary<bool>(), some_bytes(),
        *rc::gen::arbitrary<bool>(), some_bytes()};
    job.what.files.with = some_list();
    job.look_elsewhere = *rc::gen::arbitrary<bool>();
    job.what.keeps_empty_folders = job.structure.subfolders == Subfolders::all && *rc::gen::arbitrary<bool>();
    job.policy = some_policy();
    job.naming = some_naming();
    job.clearing = *rc::gen::element(Clearing::none, Clearing::extra, Clearing::all);
    job.may_lose = *rc::gen::arbitrary<bool>();
    job.verify = *rc::gen::element(Verify::automatic, Verify::read_back, Verify::none);
    return job;
}

}  // namespace

TEST_CASE("whatever job, the document that is written of it is read as the same job", "[job]") {
    const bool holds = rc::check("jobs", [] {
        const Job job = some_job();
        const auto back = job_from_json(to_json(job));
        RC_ASSERT(back.has_value());
        RC_ASSERT(*back == job);
        RC_ASSERT(to_json(*back) == to_json(job));
        RC_ASSERT(policy_from_json(to_json(job.policy)).has_value());
    });
    CHECK(holds);
}

TEST_CASE("a document's members are named as the options are, and what is usual is left out", "[job]") {
    Job job;
    job.what.sources = {"/srv/office/Inbox"};
    job.what.files.name = {"*.pdf"};
    job.what.files.changed_after = "30d";
    job.structure.contents = true;
    job.into = "/srv/archive";
    job.policy.otherwise = Decision::skip;
    job.policy.when[static_cast<std::size_t>(Finding::same_date)] = Decision::overwrite;
    CHECK(to_json(job) ==
          R"({"operation":"copy","sources":["/srv/office/Inbox"],"name":["*.pdf"],"changed_after":"30d",)"
          R"("contents":true,"into":"/srv/archive","on_collision":"skip","when":{"same-date":"overwrite"}})");
}

TEST_CASE("what is no job is refused, and the refusal names the member", "[job]") {
    const auto [text, member] = GENERATE(table<std::string, std::string>({
        {R"({"sources":["/a"],"into":"/b"})", "operation"},
        {R"({"operation":"undo","into":"/b"})", "operation"},
        {R"({"operation":"copy","into":"/b","colour":"red"})", "colour"},
        {R"({"operation":"copy","into":["/b"]})", "into"},
        {R"({"operation":"copy","into":"/b","into":"/c"})", "into"},
        {R"({"operation":"copy","sources":"/a"})", "sources"},
        {R"({"operation":"copy","sources":["/a"],"sources_bytes":[null,null]})", "sources_bytes"},
        {R"({"operation":"copy","sources":["/a"],"sources_bytes":["###"]})", "sources_bytes"},
        {R"({"operation":"copy","sources":[1]})", "sources"},
        {R"({"operation":"copy","contents":"yes"})", "contents"},
        {R"({"operation":"copy","subfolders":"some"})", "subfolders"},
        {R"({"operation":"copy","when":{"smaller":"skip"}})", "when.smaller"},
        {R"({"operation":"copy","when":{"newer":"perhaps"}})", "when.newer"},
        {R"({"operation":"copy","when_sized":{"newer":{"huge":"skip"}}})", "when_sized.newer.huge"},
        {R"({"operation":"copy","new_names":{"scheme":"random"}})", "new_names.scheme"},
        {R"([1])", ""},
        {R"({"operation":"copy","names":[{"prefix":"a","suffix":"b"}]})", "names"},
        {R"({"operation":"copy","names":[{}]})", "names"},
        {R"({"operation":"copy","names":[{"replace":["a"]}]})", "names.replace"},
        {R"({"operation":"copy","names":[{"add_to_numbers":1.5}]})", "names.add_to_numbers"},
        {R"({"operation":"copy","names":[{"prefix":"a"},{"which_numbers":"all"}]})", "names.which_numbers"},
        {R"({"operation":"copy","names":[{"case":"random"}]})", "names.case"},
    }));
    CAPTURE(text);
    const auto job = job_from_json(text);
    REQUIRE_FALSE(job);
    CHECK(job.error().fault == Fault::refused);
    CHECK(job.error().path == member);
    CHECK_FALSE(job_from_json(text.substr(0, text.size() - 1)));
}

TEST_CASE("decisions come back as they were, each tied to its pair, and damaged ones not at all", "[job]") {
    Decisions decisions;
    const Pair pair{{1, UINT64_MAX, 3, -4}, {5, 6, 7, 8}, 9, INT64_MIN};
    decisions.add("/from/\xfe",
                  {pair, Decision::rename, NewNames{NewNames::Scheme::date, {}}, "its \"name\"", true});
    decisions.add("/from/b", {pair, Decision::skip});
    const auto back = decisions_from_json(to_json(decisions));
    REQUIRE(back);
    const PairDecision* one = back->find("/from/\xfe", pair);
    REQUIRE(one != nullptr);
    CHECK(one->decision == Decision::rename);
    CHECK(one->new_names == NewNames{NewNames::Scheme::date, {}});
    CHECK(one->name == "its \"name\"");
    CHECK(one->renames_held);
    CHECK(back->find("/from/b", pair) != nullptr);
    CHECK(back->find("/from/b", {}) == nullptr);
    CHECK_FALSE(decisions_from_json(
        R"([{"path":"/a","incoming":["1","2","x","4"],"held":["1","2","3","4"],"decision":"skip"}])"));
    CHECK_FALSE(decisions_from_json("{}"));
}

TEST_CASE("relative dates are counted from when the job is run, and what cannot be read names its member",
          "[job]") {
    TempFolder temp;
    constexpr std::int64_t day_ns = 86'400'000'000'000;
    constexpr std::int64_t then = 1'900'000'000;
    temp.write("from/old", "o");
    temp.write("from/new", "n");
    temp.date("from/old", then - 40 * 86'400);
    temp.date("from/new", then - 10 * 86'400);
    Job job;
    Selection& what = job.what;
    what.sources = {temp.path("from")};
    what.files.changed_after = "30d";
    const auto names_at = [&](std::int64_t now_ns) {
        std::vector<std::string> names;
        for (const Entry& entry : value(gather_chosen(*make_disk(), job, now_ns)).batch.entries)
            if (entry.status.type == FileType::file) names.push_back(entry.name);
        return names;
    };
    CHECK(names_at(then * 1'000'000'000) == std::vector<std::string>{"new"});
    CHECK(names_at(then * 1'000'000'000 - 15 * day_ns) == std::vector<std::string>{"new", "old"});
    CHECK(names_at(then * 1'000'000'000 + 25 * day_ns).empty());
    what.files.larger = "many";
    const auto refused = gather_chosen(*make_disk(), job, 0);
    REQUIRE_FALSE(refused);
    CHECK(refused.error().path == "larger");
}

TEST_CASE("two jobs have the same places if they differ in nothing but what is done where a name is taken",
          "[job]") {
    Job job = copy({"/a"}, "/b");
    Job other = job;
    other.policy.otherwise = Decision::overwrite;
    other.clearing = Clearing::extra;
    other.operation = Operation::move;
    CHECK(same_places(job, other));
    for (const auto& change : std::vector<std::function<void(Job&)>>{
             [](Job& one) { one.into = "/c"; }, [](Job& one) { one.structure.flatten = true; },
             [](Job& one) { one.what.sources.push_back("/d"); },
             [](Job& one) { one.what.files.number = "1-2"; }}) {
        Job changed = job;
        change(changed);
        CHECK_FALSE(same_places(job, changed));
    }
}

TEST_CASE("a receipt holds the job that it came of", "[disk][job]") {
    TempFolder temp;
    temp.write("from/a", "a");
    Jobs jobs(temp.path("state"));
    const Job job = copy({temp.path("from/a")}, temp.path("to"));
    const Ran ran = jobs.run(job, {.job = to_json(job)});
    const auto kept = value(jobs.store->receipt(ran.head.id)).job;
    CHECK(value(job_from_json(kept)) == job);
    CHECK(value(jobs.store->receipt(jobs.undo(ran.head.id).head.id)).job.empty());
}
