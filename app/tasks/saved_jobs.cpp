// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/saved_jobs.h"

#include <QCoreApplication>

#include "archive/archive_files.h"
#include "error_words.h"
#include "files/path.h"
#include "files/small_file.h"
#include "job/job_files.h"
#include "job/last_runs.h"
#include "job/schedule.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr std::size_t most_runs = 12;  // of a job, that are shown with it
constexpr int times_shown = 3;

/// tavloctl, which lies beside this program.
std::string program() { return join(to_bytes(QCoreApplication::applicationDirPath()), "tavloctl"); }

KeptJob looked_at(const JobFiles::Kept& kept, FileSystem& disk, const JobUnits& units) {
    KeptJob job{kept.name, kept.file};
    if (kept.job) {
        SavedJob whole = *kept.job;
        whole.name = kept.name;  // it is known by its file
        job.concerns = concerns_of(disk, whole, now_ns());
        job.job = std::make_shared<const SavedJob>(std::move(whole));
    } else {
        job.fault = shown(kept.job.error().step);
    }
    if (!units.are_there(kept.name)) return job;
    job.runs_by = Schedule{units.calendar(kept.name)};
    job.runs_by->when_changed = !job.runs_by->calendar;
    job.is_on = units.are_on(kept.name);
    if (job.runs_by->calendar)
        if (auto next = next_by_calendar(*job.runs_by->calendar, times_shown)) job.next = std::move(*next);
    return job;
}

}  // namespace

SavedJobs::SavedJobs(std::string state_folder, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)) {}

void SavedJobs::sorry(const Error& error) { emit failed(error_words(error)); }

void SavedJobs::list() {
    using Jobs = std::shared_ptr<const std::vector<KeptJob>>;
    lists_.ask(
        this,
        [](Store& store, const std::stop_token& stop) -> Result<Jobs> {
            const auto files = JobFiles().all(now_ns());
            if (!files) return failure(files.error());
            const auto disk = make_disk_with_archives();
            const JobUnits units;
            auto jobs = std::make_shared<std::vector<KeptJob>>();
            for (const JobFiles::Kept& one : *files) {
                if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", one.file);
                jobs->push_back(looked_at(one, *disk, units));
            }
            const auto heads = store.receipts();
            if (!heads) return failure(heads.error());
            for (const ReceiptHead& head : *heads) {
                const std::string name = job_of(head);
                for (KeptJob& job : *jobs)
                    if (job.name == name && job.runs.size() < most_runs) job.runs.push_back(head);
            }
            return Jobs(jobs);
        },
        [this](const Jobs& jobs) { emit listed(jobs); }, [this](const Error& error) { sorry(error); });
}

/// work  () -> Result<…>, off this thread; then (what is in it), on it, and the list is read again
template <class Work, class Then>
void SavedJobs::change(Work work, Then then) {
    changes_.ask(
        this, [work = std::move(work)](const std::stop_token&) { return work(); },
        [this, then = std::move(then)](auto done) {
            if (!done)
                sorry(done.error());
            else
                then(*done);
            list();
        });
}

void SavedJobs::keep(const SavedJob& job, IfTaken if_taken, const std::string& instead_of) {
    const auto work = [job, if_taken, instead_of, state = state_folder_]() -> Result<bool> {
        const JobFiles files;
        const bool replaces = if_taken == IfTaken::replace || instead_of == job.name;
        if (auto written = files.write(job, replaces); !written) {
            if (written.error().fault == Fault::name_taken) return false;
            return failure(written.error());
        }
        const JobUnits units;
        const std::string before = instead_of.empty() ? job.name : instead_of;
        const bool ran_by_itself = units.are_there(before);
        if (before != job.name) {
            if (auto gone = files.forget(before); !gone) return failure(gone.error());
            if (auto gone = units.take_away(before); !gone) return failure(gone.error());
        }
        if (!ran_by_itself || !job.schedule) return true;
        // its name, or what it takes from, may be another by now
        if (auto put = units.put(job, *job.schedule, program(), state); !put) return failure(put.error());
        return true;
    };
    change(work, [this, name = job.name](bool is_kept) { is_kept ? emit kept(name) : emit nameTaken(name); });
}

void SavedJobs::forget(const std::string& name) {
    const auto work = [name]() -> Result<bool> {
        if (auto gone = JobFiles().forget(name); !gone) return failure(gone.error());
        return JobUnits().take_away(name);
    };
    change(work, [this, name](bool) { emit forgotten(name); });
}

void SavedJobs::schedule(const SavedJob& job, const std::optional<Schedule>& schedule) {
    const auto work = [job, schedule, state = state_folder_]() -> Result<std::string> {
        SavedJob changed = job;
        changed.schedule = schedule;
        if (auto written = JobFiles().write(changed, true); !written) return failure(written.error());
        const JobUnits units;
        if (schedule) return units.put(changed, *schedule, program(), state);
        if (auto gone = units.take_away(job.name); !gone) return failure(gone.error());
        return std::string();
    };
    change(work, [this, name = job.name](const std::string& why) { emit scheduled(name, shown(why)); });
}

void SavedJobs::askNext(const std::string& expression) {
    calendar_.ask(
        this, [expression](const std::stop_token&) { return next_by_calendar(expression, times_shown); },
        [this, expression](const Result<std::vector<std::int64_t>>& next) {
            if (next)
                emit nextTimes(expression, *next, {});
            else
                emit nextTimes(expression, {}, shown(next.error().step));
        });
}

void SavedJobs::readIn(const std::string& file) {
    const auto work = [file]() -> Result<std::pair<std::string, bool>> {
        auto job = read_saved_job(file, now_ns());
        if (!job) return failure(job.error());
        const auto written = JobFiles().write(*job, false);
        if (!written && written.error().fault != Fault::name_taken) return failure(written.error());
        return std::pair(job->name, written.has_value());
    };
    change(work, [this](const std::pair<std::string, bool>& read) {
        read.second ? emit kept(read.first) : emit nameTaken(read.first);
    });
}

void SavedJobs::writeOut(const std::string& name, const std::string& file) {
    const auto work = [name, file]() -> Result<bool> {
        const auto text = read_small_file(JobFiles().file_of(name));
        if (!text) return failure(text.error());
        if (auto done = write_small_file(file, *text); !done) return failure(done.error());
        return true;
    };
    change(work, [this, file](bool) { emit written(shown(file)); });
}
