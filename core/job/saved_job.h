// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include "job/job.h"
#include "names/pattern.h"
#include "plan/plan.h"

namespace tavlo {

/// A line for a text file: `line` is a pattern of {now}, {job} and {totals}.
struct Note {
    std::string file;  ///< a pattern of {now}
    std::string line;
    bool operator==(const Note&) const = default;
};

struct JobStep {
    std::variant<Job, Note> what;  ///< of a job sources and destination are patterns of {now}
    bool go_on = false;            ///< the steps behind it come, whatever came of it
    bool off = false;              ///< it is kept, and left out
    bool operator==(const JobStep&) const = default;
};

/// When a job runs by itself.
struct Schedule {
    std::optional<std::string> calendar{};  ///< as OnCalendar= has it, systemd.time(7)
    bool when_changed = false;              ///< when something changes in the folders that it takes from
    bool operator==(const Schedule&) const = default;
};

/// What is kept under a name to be done again: steps in their order.
struct SavedJob {
    std::string name;
    std::vector<JobStep> steps;
    std::optional<Schedule> schedule{};
    bool operator==(const SavedJob&) const = default;
};

/// Its document ("document": "job").
std::string to_json(const SavedJob& job);
/// folder  that relative paths are read from; "~" is the home folder. All paths come out absolute
/// errors  refused: `path` is the file, `step` names the step and the member, and says why
Result<SavedJob> saved_job_from_json(std::string_view text, const std::string& file,
                                     const std::string& folder, std::int64_t now_ns);
/// The same, of a file. errors  as read_small_file()
Result<SavedJob> read_saved_job(const std::string& file, std::int64_t now_ns);

/// The path that a place's pattern makes at a time.
std::string place_at_time(const std::string& pattern, std::int64_t now_ns);
/// A step's job, with the places that its patterns make at the time, under the saved job's name.
Job at_time(const Job& step, const std::string& name, std::int64_t now_ns);

/// A path as a pattern that makes just that path.
std::string as_pattern(const std::string& path);
/// A step that somebody has worked on as it is at a time, as a step again: places that are as they were are
/// by their patterns again.
/// before  the step that `changed` came of, by at_time()
Job with_patterns_of(const Job& before, Job changed, std::int64_t now_ns);

/// Appends a note's line, in one write, at the end of its file, which is made when missing, with its folders.
/// totals  of all steps so far
Result<void> write_note(const Note& note, const std::string& job, const Totals& totals, std::int64_t now_ns);

/// "12 created, 3 skipped"
std::string in_words(const Totals& totals);

/// Why nothing can be kept under this name, in words; empty where it can.
std::string objection_to_job_name(const std::string& name);

}  // namespace tavlo
