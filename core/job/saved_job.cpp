// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/saved_job.h"

#include <fcntl.h>
#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <filesystem>
#include <map>

#include "files/handle.h"
#include "files/home.h"
#include "files/path.h"
#include "files/small_file.h"
#include "job/job_members.h"
#include "job/objections.h"

namespace tavlo {

namespace {

constexpr std::size_t longest_name = 200;  // with what is put around it still a file's name

const KnownFact fact_now{"now", KnownFact::Kind::moment, KnownFact::Of::all, "%Y-%m-%d",
                         "the start of the run"};
const std::vector<KnownFact> facts_of_place{fact_now};
const std::vector<KnownFact> facts_of_note{
    fact_now,
    {"job", KnownFact::Kind::text, KnownFact::Of::all, {}, "the job's name"},
    {"totals", KnownFact::Kind::text, KnownFact::Of::all, {}, "what came of its items"}};

void check_place(const std::string& place, const std::string& member) {
    if (const auto pattern = Pattern::parse(place, facts_of_place); !pattern)
        unreadable(pattern.error().step, member);
}

/// Paths as they are meant, wherever the document is.
class Places {
public:
    explicit Places(std::string folder) : folder_(std::move(folder)) {}

    enum class As : std::uint8_t { path, pattern };
    std::string whole(const std::string& path, const std::string& member, As as = As::path) const {
        const auto literal = [&](const std::string& folder) {
            return as == As::pattern ? as_pattern(folder) : folder;
        };
        if (path.empty()) unreadable("wants a path, and got nothing", member);
        std::string out = path;
        if (path == "~" || path.starts_with("~/")) {
            const std::string home = home_folder();
            if (home.empty()) unreadable("begins with ~, and there is no home folder", member);
            out = literal(home) + path.substr(1);
        }
        const bool ends_in_slash = out.size() > 1 && out.ends_with('/');
        out = normalised(out, literal(folder_));
        return ends_in_slash && out != "/" ? out + "/" : out;
    }
    void make_whole(Job& job) const {
        for (auto& source : job.what.sources) {
            check_place(source, "sources");
            source = whole(source, "sources", As::pattern);
        }
        if (!job.into.empty()) {
            check_place(job.into, "into");
            if (job.operation == Operation::pack && job.into.ends_with('/'))
                unreadable("is a folder's name, and no file's", "into");
            job.into = whole(job.into, "into", As::pattern);
            if (job.into.size() > 1 && job.into.ends_with('/')) job.into.pop_back();
        }
        if (!job.structure.kept_from.empty())
            job.structure.kept_from = whole(job.structure.kept_from, "keep_from");
        if (job.what.list == "-") unreadable("is standard input, which a job has not", "list");
        if (job.what.list) job.what.list = whole(*job.what.list, "list");
        for (NameStep& step : job.naming.steps)
            if (auto* table = std::get_if<NamesFrom>(&step))
                table->file = whole(table->file, "names.names_from");
    }

private:
    std::string folder_;
};

Note read_note(Members& members, const Places& places) {
    Note note;
    if (members.find("file") == nullptr) unreadable("is missing", "file");
    if (members.find("line") == nullptr) unreadable("is missing", "line");
    members.text("file", note.file);
    members.text("line", note.line);
    check_place(note.file, "file");
    if (note.file.ends_with('/')) unreadable("is a folder's name, and no file's", "file");
    note.file = places.whole(note.file, "file", Places::As::pattern);
    if (const auto line = Pattern::parse(note.line, facts_of_note); !line)
        unreadable(line.error().step, "line");
    return note;
}

JobStep read_step(const Json& json, const Places& places, std::int64_t now_ns) {
    Members members(json);
    JobStep step;
    members.flag("go_on", step.go_on);
    members.flag("off", step.off);
    std::string operation;
    members.text("operation", operation);
    if (operation == "note") {
        step.what = read_note(members, places);
        members.end();
        return step;
    }
    Job job = read_job(members);
    members.end();
    if (!job.name.empty()) unreadable("is not known", "job");
    if (const auto objection = objection_to(job, now_ns)) unreadable(reason(*objection), objection->path);
    places.make_whole(job);
    step.what = std::move(job);
    return step;
}

Schedule read_schedule(const Json& json) {
    Members members(json, "schedule");
    Schedule schedule;
    members.text("calendar", schedule.calendar);
    members.flag("when_changed", schedule.when_changed);
    members.end();
    if (schedule.calendar && schedule.when_changed)
        unreadable("is one of calendar and when_changed", "schedule");
    if (!schedule.calendar && !schedule.when_changed)
        unreadable("wants a calendar, or when_changed", "schedule");
    return schedule;
}

SavedJob read_whole(std::string_view text, const Places& places, std::int64_t now_ns) {
    const Json json = parsed(text);
    Members members(json);
    const Json* version = members.find("tavlo");
    if (version == nullptr || *version != 1) unreadable("is to be 1", "tavlo");
    std::string document;
    members.text("document", document);
    if (document != "job") unreadable("is to be \"job\"", "document");
    SavedJob job;
    if (members.find("name") == nullptr) unreadable("is missing", "name");
    members.text("name", job.name);
    if (const auto why = objection_to_job_name(job.name); !why.empty()) unreadable(why, "name");
    const Json* steps = members.find("steps");
    if (steps == nullptr) unreadable("is missing", "steps");
    if (!steps->is_array()) unreadable("wants a list of steps", "steps");
    if (steps->empty()) unreadable("holds none", "steps");
    if (const Json* schedule = members.find("schedule"); schedule != nullptr && !schedule->is_null())
        job.schedule = read_schedule(*schedule);
    members.end();
    for (std::size_t at = 0; at < steps->size(); ++at) {
        try {
            job.steps.push_back(read_step((*steps)[at], places, now_ns));
        } catch (Unreadable& what) {
            const std::string member = what.error.path.empty() ? "" : ": " + what.error.path;
            unreadable(what.error.step, fmt::format("step {}{}", at + 1, member));
        }
    }
    return job;
}

FactOf facts_at(std::int64_t now_ns, const std::string& job = {}, const std::string& totals = {}) {
    return [=](std::string_view name) -> std::optional<Fact> {
        if (name == "now") return Moment{now_ns};
        if (name == "job") return job;
        if (name == "totals") return totals;
        return std::nullopt;
    };
}

}  // namespace

std::string objection_to_job_name(const std::string& name) {
    if (name.empty()) return "is empty";
    if (name.size() > longest_name) return fmt::format("is longer than {} bytes", longest_name);
    if (!is_utf8(name)) return "is no UTF-8";
    if (name.find('/') != std::string::npos) return "holds a '/'";
    if (name.front() == '.') return "begins with a dot";
    if (name.ends_with(".json")) return "ends in .json, as files of jobs do";
    const auto is_control = [](char c) { return static_cast<unsigned char>(c) < 0x20 || c == 0x7f; };
    if (std::any_of(name.begin(), name.end(), is_control)) return "holds a control character";
    return {};
}

std::string to_json(const SavedJob& job) {
    Json json;
    json["tavlo"] = 1;
    json["document"] = "job";
    json["name"] = job.name;
    json["steps"] = Json::array();
    for (const JobStep& step : job.steps) {
        Json one;
        if (const auto* note = std::get_if<Note>(&step.what)) {
            one["operation"] = "note";
            put_bytes(one, "file", note->file);
            put_bytes(one, "line", note->line);
        } else {
            put_job(one, std::get<Job>(step.what));
        }
        if (step.go_on) one["go_on"] = true;
        if (step.off) one["off"] = true;
        json["steps"].push_back(std::move(one));
    }
    if (job.schedule) {
        Json schedule;
        if (job.schedule->calendar) schedule["calendar"] = *job.schedule->calendar;
        if (job.schedule->when_changed) schedule["when_changed"] = true;
        json["schedule"] = std::move(schedule);
    }
    constexpr int indented = 2;
    return json.dump(indented, ' ', false, Json::error_handler_t::replace) + "\n";
}

Result<SavedJob> saved_job_from_json(std::string_view text, const std::string& file,
                                     const std::string& folder, std::int64_t now_ns) {
    auto job = read_document<SavedJob>([&] { return read_whole(text, Places(folder), now_ns); });
    if (job) return job;
    Error error = job.error();
    if (!error.path.empty()) error.step = error.path + ": " + reason(error);
    return failure(Fault::refused, error.step, file);
}

Result<SavedJob> read_saved_job(const std::string& file, std::int64_t now_ns) {
    const auto text = read_small_file(file);
    if (!text) return failure(text.error());
    return saved_job_from_json(*text, file, std::string(parent_of(file)), now_ns);
}

std::string place_at_time(const std::string& place, std::int64_t now_ns) {
    const auto pattern = Pattern::parse(place, facts_of_place);
    return pattern ? pattern->fill(facts_at(now_ns), false) : place;
}

Job at_time(const Job& step, const std::string& name, std::int64_t now_ns) {
    Job job = step;
    job.name = name;
    for (auto& source : job.what.sources) source = place_at_time(source, now_ns);
    if (!job.into.empty()) job.into = place_at_time(job.into, now_ns);
    return job;
}

std::string as_pattern(const std::string& path) {
    std::string out;
    for (const char c : path) out.append(c == '{' || c == '}' ? 2 : 1, c);
    return out;
}

Job with_patterns_of(const Job& before, Job changed, std::int64_t now_ns) {
    std::map<std::string, std::string> patterns;
    for (const auto& source : before.what.sources) patterns.emplace(place_at_time(source, now_ns), source);
    for (auto& source : changed.what.sources) {
        const auto known = patterns.find(source);
        source = known != patterns.end() ? known->second : as_pattern(source);
    }
    if (!changed.into.empty())
        changed.into =
            place_at_time(before.into, now_ns) == changed.into ? before.into : as_pattern(changed.into);
    changed.name.clear();
    return changed;
}

std::string in_words(const Totals& totals) {
    std::string text;
    for (const auto outcome :
         {Outcome::created, Outcome::overwritten, Outcome::renamed, Outcome::merged, Outcome::skipped,
          Outcome::removed, Outcome::restored, Outcome::undecided, Outcome::failed})
        if (totals.of(outcome) > 0)
            text += fmt::format("{}{} {}", text.empty() ? "" : ", ", totals.of(outcome), to_text(outcome));
    return text.empty() ? "nothing to do" : text;
}

Result<void> write_note(const Note& note, const std::string& job, const Totals& totals, std::int64_t now_ns) {
    const std::string path = place_at_time(note.file, now_ns);
    const auto pattern = Pattern::parse(note.line, facts_of_note);
    if (!pattern) return failure(pattern.error());
    const std::string line = pattern->fill_line(facts_at(now_ns, job, in_words(totals))) + "\n";
    std::error_code made;
    std::filesystem::create_directories(std::string(parent_of(path)), made);
    if (made) return failure(system_error(made.value(), "make the folder", parent_of(path)));
    // never waits for a pipe that nobody reads
    const Handle file(
        ::open(path.c_str(), O_WRONLY | O_APPEND | O_CREAT | O_CLOEXEC | O_NONBLOCK | O_NOCTTY, 0666), path);
    if (!file.is_open()) return failure(system_error(errno, "open", path));
    struct stat status {};
    if (::fstat(file.descriptor(), &status) != 0) return failure(system_error(errno, "look at", path));
    if (!S_ISREG(status.st_mode)) return failure(Fault::refused, "is no text file", path);
    ssize_t written = -1;
    do written = ::write(file.descriptor(), line.data(), line.size());
    while (written < 0 && errno == EINTR);
    if (written < 0) return failure(system_error(errno, "write", path));
    if (static_cast<std::size_t>(written) != line.size())
        return failure(Fault::no_space, "took a part of the line only", path);
    if (::fsync(file.descriptor()) != 0) return failure(system_error(errno, "sync", path));
    return {};
}

}  // namespace tavlo
