// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/job_runs.h"

#include "error_words.h"
#include "files/path.h"
#include "job/job_files.h"
#include "job_words.h"
#include "keep/store.h"
#include "tasks/runs.h"
#include "text.h"

using namespace tavlo;

/// One that is under way; its lock says so to other programs.
struct JobRuns::Running {
    JobCourse course;
    std::optional<RunLock> lock{};
    const std::string& name() const { return course.job().name; }
};

JobRuns::JobRuns(std::string state_folder, Runs& runs, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)), runs_(runs) {}

void JobRuns::run(const SavedJob& job) {
    if (isRunning(job.name)) return emit problem(job.name, tr("it is running just now"));
    const auto running = std::make_shared<Running>(Running{JobCourse(job)});
    running_[job.name] = running;
    worker_.ask(
        this,
        [state = state_folder_, name = job.name](const std::stop_token&) {
            return std::make_shared<Result<RunLock>>(RunLock::take(state, lock_of_job(name)));
        },
        [this, running](const std::shared_ptr<Result<RunLock>>& lock) {
            if (*lock) {
                running->lock.emplace(std::move(**lock));
                emit begun(running->name());
                return goOn(running);
            }
            const bool is_taken = lock->error().fault == Fault::name_taken;
            running_.erase(running->name());
            emit problem(running->name(),
                         is_taken ? tr("another program runs it just now") : error_words(lock->error()));
        });
}

void JobRuns::goOn(const std::shared_ptr<Running>& running) {
    const JobStep* step = running->course.step();
    if (step == nullptr) {
        running_.erase(running->name());
        worker_.post([running](const std::stop_token&) { running->lock.reset(); });  // a file goes with it
        return emit ended(running->name(), running->course.ending());
    }
    if (const auto* note = std::get_if<Note>(&step->what)) return write(running, *note);
    const Job job = at_time(std::get<Job>(step->what), running->name(), now_ns());
    runs_.startJob(job, tr("%1: %2").arg(shown(running->name()), step_sentence({job})),
                   [this, running](const RunEnd& end) { takeEnd(running, end); });
}

void JobRuns::write(const std::shared_ptr<Running>& running, const Note& note) {
    worker_.ask(
        this,
        [note, name = running->name(), totals = running->course.totals()](const std::stop_token&) {
            return write_note(note, name, totals, now_ns());
        },
        [this, running](const Result<void>& written) {
            if (!written) emit problem(running->name(), error_words(written.error()));
            running->course.take(written ? Ending::done : Ending::some_failed);
            goOn(running);
        });
}

void JobRuns::takeEnd(const std::shared_ptr<Running>& running, const RunEnd& end) {
    if (!end.head) emit problem(running->name(), end.why);
    running->course.take(end.head ? ending_of(*end.head) : Ending::refused,
                         end.head ? end.head->totals : Totals{});
    goOn(running);
}
