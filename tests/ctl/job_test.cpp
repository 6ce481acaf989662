// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>
#include <sys/wait.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <optional>
#include <random>
#include <regex>
#include <thread>

#include "job/drives_of_job.h"
#include "job/job_files.h"
#include "keep/drive_turn.h"
#include "keep/run_lock.h"
#include "script.h"
#include "support/catch.h"
#include "support/environment.h"
#include "support/rounds.h"
#include "support/temp_folder.h"

// Saved jobs, as a script and a timer use them.

namespace {

struct Office {
    Office() : config("XDG_CONFIG_HOME", temp.path("config")), script(temp) {}
    std::string save(const std::string& name, const std::string& steps, const std::string& more = {}) const {
        const std::string file = temp.write("documents/" + name + ".json", document(name, steps, more));
        const auto saved = script.run({"job", "save", file});
        CAPTURE(saved.err);
        CHECK(saved.status == 0);
        return file;
    }
    static std::string document(const std::string& name, const std::string& steps,
                                const std::string& more = {}) {
        return R"({"tavlo":1,"document":"job","name":")" + name + R"(","steps":[)" + steps + "]" + more + "}";
    }
    TempFolder temp;
    Environment config;
    Script script;
};

const char* copy_step =
    R"({"operation":"copy","sources":["../in"],"contents":true,"name":["*.pdf"],"into":"../to/{now:%Y}","on_collision":"skip"})";

std::string this_year() {
    const std::time_t now = std::time(nullptr);
    char text[8];
    std::strftime(text, sizeof text, "%Y", std::localtime(&now));
    return text;
}

}  // namespace

TEST_CASE("a job is kept, shown, run with a receipt a step, listed and forgotten", "[job]") {
    const Office office;
    office.temp.write("in/a.pdf", "a");
    office.temp.write("in/old.txt", "old");
    office.temp.date("in/old.txt", 1'000'000'000);
    office.save("Permits of the month",
                std::string(copy_step) +
                    R"(,{"operation":"remove","sources":["../in"],"contents":true,"changed_before":"90d"},)" +
                    R"({"operation":"note","file":"../log/{now:%Y}.txt","line":"{job}: {totals}"})");
    const auto shown = office.script.run({"job", "show", "Permits of the month"});
    CHECK(shown.status == 0);
    CHECK(shown.json()["name"] == "Permits of the month");
    CHECK(shown.json()["steps"][0]["sources"][0] ==
          office.temp.path("in"));  // what it meant beside the document
    const auto planned = office.script.run({"run", "Permits of the month", "--plan", "--json"});
    CHECK(planned.status == 0);
    CHECK(planned.json()["document"] == "job-run");
    CHECK(planned.json()["steps"].size() == 2);
    CHECK(planned.json()["steps"][0]["document"] == "plan");
    CHECK_FALSE(office.temp.has("to"));
    CHECK_FALSE(office.temp.has("log"));
    const auto ran = office.script.run({"run", "Permits of the month", "--json"});
    CAPTURE(ran.err);
    CHECK(ran.status == 0);
    CHECK(ran.json()["job"] == "Permits of the month");
    CHECK(ran.json()["status"] == 0);
    REQUIRE(ran.json()["steps"].size() == 2);
    CHECK(ran.json()["steps"][0]["document"] == "receipt");
    CHECK(ran.json()["steps"][0]["sentence"].get<std::string>().starts_with("Permits of the month"));
    CHECK(ran.json()["steps"][1]["totals"]["removed"] == 1);
    CHECK(office.temp.read("to/" + this_year() + "/a.pdf") == "a");
    CHECK_FALSE(office.temp.has("in/old.txt"));
    CHECK(office.temp.read("log/" + this_year() + ".txt") == "Permits of the month: 1 created, 1 removed\n");
    CHECK(office.script.run({"run", "Permits of the month"}).status == 0);
    CHECK(office.temp.read("log/" + this_year() + ".txt") ==
          "Permits of the month: 1 created, 1 removed\nPermits of the month: 1 skipped\n");
    const auto listed = office.script.run({"jobs", "--json"}).json()["jobs"];
    REQUIRE(listed.size() == 1);
    CHECK(listed[0]["name"] == "Permits of the month");
    CHECK(listed[0]["last"]["status"] == 0);
    CHECK(listed[0]["next"].is_null());
    CHECK(office.script.run({"undo", ran.json()["steps"][1]["id"]}).status == 0);
    CHECK(office.temp.read("in/old.txt") == "old");
    CHECK(office.script.run({"job", "forget", "Permits of the month"}).status == 0);
    CHECK(office.script.run({"jobs", "--json"}).json()["jobs"].empty());
    for (const char* command : {"show", "forget"})
        CHECK(office.script.run({"job", command, "Permits of the month"}).status == 2);
    CHECK(office.script.run({"run", "Permits of the month"}).status == 2);
}

TEST_CASE("a name that is taken is replaced only where that is said, a broken document is listed, not lost",
          "[job]") {
    const Office office;
    const std::string file = office.save("scans", copy_step);
    CHECK(office.script.run({"job", "save", file}).status == 2);
    office.temp.write(
        "documents/scans.json",
        Office::document("scans", R"({"operation":"note","file":"/tmp/x","line":"{{{totals}}}"})"));
    CHECK(office.script.run({"job", "save", file, "--replace"}).status == 0);
    CHECK(office.script.run({"job", "show", "scans"}).json()["steps"][0]["operation"] == "note");
    office.temp.write("config/tavlo/jobs/broken.json", "{ \"tavlo\": 1,");
    const auto listed = office.script.run({"jobs", "--json"});
    CHECK(listed.status == 0);
    REQUIRE(listed.json()["jobs"].size() == 2);
    CHECK(listed.json()["jobs"][0]["name"] == "broken");
    CHECK(listed.json()["jobs"][0].contains("error"));
    CHECK(office.script.run({"run", "broken"}).status == 2);
    CHECK(office.temp.read("config/tavlo/jobs/broken.json") == "{ \"tavlo\": 1,");
}

TEST_CASE("what means nothing is refused when the job is read, naming file, step and member", "[job]") {
    const Office office;
    office.temp.write("in/a", "a");
    const auto refused = [&](const std::string& text, const std::string& says) {
        office.temp.write("bad.json", text);
        for (const auto& words : {std::vector<std::string>{"job", "save", office.temp.path("bad.json")},
                                  std::vector<std::string>{"run", office.temp.path("bad.json"), "--json"}}) {
            const auto answer = office.script.run(words);
            CAPTURE(text, answer.err);
            CHECK(answer.status == 2);
            CHECK(answer.out.empty());
            CHECK(answer.err.find("bad.json") != std::string::npos);
            CHECK(answer.err.find(says) != std::string::npos);
        }
    };
    const auto step = [](const std::string& members) { return Office::document("x", members); };
    const std::string good = R"({"operation":"copy","sources":["in"],"into":"to"})";
    refused("", "bad.json");
    refused("[]", "bad.json");
    refused(R"({"tavlo":2,"document":"job","name":"x","steps":[]})", "tavlo");
    refused(R"({"tavlo":1,"document":"plan","name":"x","steps":[]})", "document");
    refused(R"({"tavlo":1,"document":"job","steps":[]})", "name");
    refused(R"({"tavlo":1,"document":"job","name":"a/b","steps":[]})", "name");
    refused(step(""), "steps");
    // a NUL would cut the path short: what stands before it is another file
    refused(step(R"({"operation":"remove","sources":["in\u0000junk"]})"), "sources");
    refused(step(R"({"operation":"remove","sources":["in"],"sources_bytes":["aW4Aag=="]})"), "sources_bytes");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to\u0000x"})"), "into");
    refused(step(R"({"operation":"note","file":"log\u0000","line":"x"})"), "file");
    CHECK(office.temp.has("in/a"));
    refused(Office::document("x", good, R"(,"colour":1)"), "colour");
    refused(Office::document("x", good, R"(,"schedule":{})"), "schedule");
    refused(Office::document("x", good, R"(,"schedule":{"calendar":"monday","when_changed":true})"),
            "schedule");
    refused(step(good + R"(,{"operation":"copy","sources":["in"],"into":"to","colour":1})"),
            "step 2: colour");
    refused(step(good + R"(,{"operation":"copy","sources":["in"],"into":"to","into":"tu"})"), "into");
    refused(step(R"({"sources":["in"],"into":"to"})"), "step 1: operation");
    refused(step(R"({"operation":"dance"})"), "step 1: operation");
    refused(step(R"({"operation":"copy","into":"to"})"), "step 1: sources");
    refused(step(R"({"operation":"copy","sources":"in","into":"to"})"), "step 1: sources");
    refused(step(R"({"operation":"copy","sources":["in"]})"), "step 1: into");
    refused(step(R"({"operation":"copy","sources":["in"],"into":7})"), "step 1: into");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"{size}"})"), "step 1: into");
    refused(step(R"({"operation":"copy","sources":["{now"],"into":"to"})"), "step 1: sources");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","when":{"nearer":"skip"}})"),
            "step 1: when.nearer");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","on_collision":"maybe"})"),
            "step 1: on_collision");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","regex":"("})"), "step 1: regex");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","larger":"big"})"), "step 1: larger");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","kind":["shoes"]})"), "step 1: kind");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","flatten":true,"subfolders":"filled"})"),
            "step 1: flatten");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","sort_into":"{nothing}"})"),
            "step 1: sort_into");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","list":"-"})"), "step 1: list");
    refused(step(R"({"operation":"copy","sources":["in"],"into":"to","go_on":1})"), "step 1: go_on");
    refused(step(R"({"operation":"remove","sources":["in"],"into":"to"})"), "step 1: into");
    refused(step(R"({"operation":"remove","sources":["in"],"to":"moon"})"), "step 1: to");
    refused(step(R"({"operation":"rename","sources":["in"]})"), "step 1: names");
    refused(step(R"({"operation":"rename","sources":["in"],"names":[{"replace":["","x"]}]})"),
            "step 1: names");
    refused(step(R"({"operation":"pack","sources":["in"],"into":"x.rar"})"), "step 1: into");
    refused(step(R"({"operation":"pack","sources":["in"],"into":"x.zip","compression":"hard"})"),
            "step 1: compression");
    refused(step(R"({"operation":"note","file":"x"})"), "step 1: line");
    refused(step(R"({"operation":"note","file":"x","line":"{size}"})"), "step 1: line");
    refused(step(R"({"operation":"note","file":"x","line":"y","sources":["in"]})"), "step 1: sources");
    CHECK_FALSE(office.temp.has("to"));
    CHECK(office.script.run({"job", "save", office.temp.path("none.json")}).status == 2);
}

TEST_CASE("the first step that does not end well ends the job, unless it says to go on", "[job]") {
    const Office office;
    office.temp.write("in/a.pdf", "new");
    office.temp.write("to/a.pdf", "older and longer");
    const auto run = [&](const std::string& go_on) {
        const std::string file = office.temp.write(
            "go.json",
            Office::document("go", R"({"operation":"copy","sources":["in"],"contents":true,"into":"to")" +
                                       go_on + "}," +
                                       R"({"operation":"copy","sources":["missing"],"into":"to")" + go_on +
                                       "}," + R"({"operation":"note","file":"log","line":"{totals}"})"));
        return office.script.run({"run", file, "--json"});
    };
    const auto ended = run("");
    CHECK(ended.status == 3);
    CHECK(ended.json()["steps"].size() == 1);
    CHECK(ended.json()["status"] == 3);
    CHECK_FALSE(office.temp.has("log"));
    const auto went_on = run(R"(,"go_on":true)");
    CHECK(went_on.status == 2);
    CHECK(went_on.err.find("step 2") != std::string::npos);
    CHECK(office.temp.read("log") == "1 undecided\n");
    CHECK(office.temp.read("to/a.pdf") == "older and longer");
    // a note that cannot be written is a step that failed
    office.temp.write("bad.json", Office::document("bad", R"({"operation":"note","file":"in","line":"x"})"));
    CHECK(office.script.run({"run", office.temp.path("bad.json")}).status == 1);
}

TEST_CASE("a job is not run twice at once", "[job]") {
    const Office office;
    office.save("scans", copy_step);
    office.temp.write("in/a.pdf", "a");
    REQUIRE(office.script.run({"run", "scans"}).status == 0);
    // whoever holds its lock runs it: the name of the file says of which job
    std::string lock;
    {
        office.temp.write("slow.json",
                          Office::document("scans", R"({"operation":"note","file":"pipe","line":"x"})"));
        const std::string state = office.temp.path("xdg/tavlo");
        const auto held = tavlo::RunLock::take(state, tavlo::lock_of_job("scans"));
        REQUIRE(held);
        const auto refused = office.script.run({"run", "scans"});
        CHECK(refused.status == 2);
        CHECK(refused.err.find("running") != std::string::npos);
        CHECK(office.script.run({"run", "scans", "--plan"}).status == 0);
    }
    CHECK(office.script.run({"run", "scans"}).status == 0);
}

TEST_CASE("the units of a job are what systemd takes, and their command runs in a bare environment",
          "[job]") {
    const Office office;
    const std::string name = "100% \\\"$HOME\\\" ü";
    office.temp.write("in/a.pdf", "a");
    office.save(name, copy_step, R"(,"schedule":{"calendar":"Mon..Fri 18:00"})");
    const std::string saved = "100% \"$HOME\" ü";
    const auto units = office.temp.path("config/systemd/user");
    const auto verified = [&] {
        std::string files;
        for (const auto& entry : std::filesystem::directory_iterator(units))
            files += " '" + entry.path().string() + "'";
        const std::string command = "XDG_RUNTIME_DIR='" + office.temp.path() +
                                    "' systemd-analyze --user --man=no verify" + files + " > '" +
                                    office.temp.path("said") + "' 2>&1";
        const int status = std::system(command.c_str());
        CAPTURE(office.temp.read("said"));
        CHECK(status == 0);
    };
    const int status = office.script.run({"schedule", saved}).status;
    CHECK((status == 0 || status == 1));  // where no systemd of the user's runs
    std::string service;
    int files = 0;
    for (const auto& entry : std::filesystem::directory_iterator(units)) {
        ++files;
        CHECK(entry.path().filename().string().starts_with("tavlo-job-100\\x25\\x20"));
        if (entry.path().extension() == ".service")
            service = office.temp.read(std::filesystem::relative(entry.path(), office.temp.path()));
        if (entry.path().extension() == ".timer") {
            const std::string text =
                office.temp.read(std::filesystem::relative(entry.path(), office.temp.path()));
            CHECK(text.find("OnCalendar=Mon..Fri 18:00\nPersistent=true\n") != std::string::npos);
        }
    }
    CHECK(files == 2);
    verified();
    const auto listed = office.script.run({"jobs", "--json"}).json()["jobs"];
    CHECK(listed[0]["scheduled"] == true);
    CHECK_FALSE(listed[0]["next"].is_null());
    // the command line as it stands there, unescaped as systemd does
    std::smatch found;
    REQUIRE(std::regex_search(service, found, std::regex("Environment=(.*)\nExecStart=(.*)\n")));
    const auto unescaped = [](std::string text) {
        text = std::regex_replace(text, std::regex("%%"), "%");
        text = std::regex_replace(text, std::regex("\\$\\$"), "\\$$");
        return text;
    };
    const std::string command = "env -i " + unescaped(found[1]) + " " + unescaped(found[2]);
    CAPTURE(command);
    CHECK(WEXITSTATUS(std::system(command.c_str())) == 0);
    CHECK(office.temp.read("to/" + this_year() + "/a.pdf") == "a");
    CHECK(office.script.run({"schedule", saved, "--when-changed"}).status <= 1);
    for (const auto& entry : std::filesystem::directory_iterator(units))
        CHECK(entry.path().extension() != ".timer");
    verified();
    CHECK(office.script.run({"schedule", saved, "--never"}).status == 0);
    CHECK(std::filesystem::is_empty(units));
    CHECK(office.script.run({"schedule", saved, "--calendar", "no such day"}).status == 2);
    CHECK(office.script.run({"schedule", saved, "--calendar", "daily", "--never"}).status == 2);
    CHECK(office.script.run({"schedule", "unknown"}).status == 2);
    CHECK(std::filesystem::is_empty(units));
    CHECK(office.script.run({"schedule", saved, "--calendar", "daily"}).status <= 1);
    CHECK(office.script.run({"job", "forget", saved}).status == 0);
    CHECK(std::filesystem::is_empty(units));
    office.temp.write("long.json", Office::document(std::string(190, '%'), copy_step));
    CHECK(office.script.run({"job", "save", office.temp.path("long.json")}).status == 0);
    CHECK(office.script.run({"schedule", std::string(190, '%'), "--calendar", "daily"}).status == 2);
    office.temp.write("bad.json",
                      Office::document("bad", copy_step, R"(,"schedule":{"calendar":"no such day"})"));
    CHECK(office.script.run({"job", "save", office.temp.path("bad.json")}).status == 2);
}

TEST_CASE("documents of jobs in which anything may be wrong are read or refused, never more", "[job][fuzz]") {
    const std::string whole = Office::document(
        "x", std::string(copy_step) + R"(,{"operation":"note","file":"l","line":"{now:%F} {totals}"})",
        R"(,"schedule":{"calendar":"daily"})");
    std::mt19937 random(31);
    int read = 0;
    for (int round = 0; round < rounds("TAVLO_FUZZ", 3000); ++round) {
        std::string text = whole;
        for (unsigned change = 0; change < 1 + random() % 3; ++change) {
            if (text.empty()) break;
            const std::size_t at = random() % text.size();
            switch (random() % 4) {
                case 0: text[at] = static_cast<char>(random()); break;
                case 1: text.erase(at, random() % 9); break;
                case 2: text.insert(at, text.substr(random() % text.size(), random() % 30)); break;
                default: text.resize(at + 1); break;
            }
        }
        const auto job = tavlo::saved_job_from_json(text, "/f.json", "/folder", 0);
        if (!job) {
            CHECK(job.error().path == "/f.json");
            CHECK_FALSE(job.error().step.empty());
            continue;
        }
        ++read;
        const auto again = tavlo::saved_job_from_json(tavlo::to_json(*job), "/g.json", "/elsewhere", 0);
        REQUIRE(again);
        CHECK(*again == *job);
    }
    CHECK(read > 10);
}

TEST_CASE("a saved job waits for whoever has its drives, and goes on once they are free", "[job]") {
    const Office office;
    office.temp.write("in/a.pdf", "a");
    const std::string file = office.save("waits", copy_step);
    const tavlo::Job step =
        std::get<tavlo::Job>(tavlo::read_saved_job(file, tavlo::now_ns())->steps.front().what);
    const auto drives = tavlo::drives_of(tavlo::at_time(step, "waits", tavlo::now_ns()));
    REQUIRE_FALSE(drives.empty());
    const std::string state = office.temp.path("xdg/tavlo");  // the script's
    std::filesystem::create_directories(state);
    std::optional<tavlo::DriveTurn> turn(std::move(*tavlo::DriveTurn::take(state, drives)));
    CHECK(tavlo::DriveTurn::take(state, drives).error().fault == tavlo::Fault::name_taken);
    bool waited = false;
    std::jthread frees([&] {
        // while it waits it holds the job's own lock
        const auto latest = std::chrono::steady_clock::now() + std::chrono::seconds(20);
        while (!waited && std::chrono::steady_clock::now() < latest)
            waited = tavlo::RunLock::is_held(state, tavlo::lock_of_job("waits"));
        waited = waited && !office.temp.has("to");
        turn.reset();
    });
    const auto ran = office.script.run({"run", "waits"});
    CAPTURE(ran.err);
    CHECK(ran.status == 0);
    frees.join();
    CHECK(waited);
    CHECK(office.temp.has("to/" + this_year() + "/a.pdf"));
}

TEST_CASE("what a filter line lets through is chosen, and months and weeks are meant as they begin",
          "[job]") {
    const Office office;
    for (const char* name : {"in/Permit one.pdf", "in/permit draft.pdf", "in/other.pdf"})
        office.temp.write(name, name);
    const auto copied = office.script.run({"copy", office.temp.path("in"), "--contents", "--into",
                                           office.temp.path("to"), "--filter", "permit -draft"});
    CAPTURE(copied.err);
    CHECK(copied.status == 0);
    CHECK(office.temp.has("to/Permit one.pdf"));
    CHECK_FALSE(office.temp.has("to/permit draft.pdf"));
    CHECK_FALSE(office.temp.has("to/other.pdf"));
    office.temp.date("in/other.pdf", 1'000'000'000);
    const auto recent = office.script.run({"copy", office.temp.path("in"), "--contents", "--into",
                                           office.temp.path("recent"), "--changed-after", "this-year"});
    CHECK(recent.status == 0);
    CHECK_FALSE(office.temp.has("recent/other.pdf"));
    CHECK(office.temp.has("recent/permit draft.pdf"));
    // in a job a step that is switched off is left out
    office.save(
        "half",
        R"({"operation":"note","file":"../log/off.txt","line":"x","off":true},{"operation":"note","file":"../log/on.txt","line":"x"})");
    CHECK(office.script.run({"run", "half"}).status == 0);
    CHECK_FALSE(office.temp.has("log/off.txt"));
    CHECK(office.temp.has("log/on.txt"));
}

TEST_CASE("the desktop is told of what needs a person, and of nothing else", "[job]") {
    const Office office;
    office.temp.write("bin/notify-send",
                      "#!/bin/sh\nprintf '%s\\n' \"$@\" >> \"" + office.temp.path("said") + "\"\n");
    std::filesystem::permissions(office.temp.path("bin/notify-send"), std::filesystem::perms::owner_all);
    const char* usual = std::getenv("PATH");
    const Environment path("PATH",
                           office.temp.path("bin") + ":" + (usual != nullptr ? usual : "/usr/bin:/bin"));
    office.temp.write("in/a.pdf", "a");
    office.save("asks", R"({"operation":"copy","sources":["../in"],"contents":true,"into":"../to"})");
    CHECK(office.script.run({"run", "--notify", "asks"}).status == 0);
    CHECK_FALSE(office.temp.has("said"));
    office.temp.write("in/a.pdf", "another one");
    CHECK(office.script.run({"run", "asks"}).status == 3);
    CHECK(office.script.run({"run", "--notify", "--plan", "asks"}).status == 3);
    CHECK_FALSE(office.temp.has("said"));
    CHECK(office.script.run({"run", "--notify", "asks"}).status == 3);
    CHECK(office.temp.read("said").find("asks\n1 undecided") != std::string::npos);
}
