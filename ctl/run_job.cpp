// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <iostream>
#include <nlohmann/json.hpp>
#include <sstream>

#include "commands.h"
#include "files/helper.h"
#include "files/path.h"
#include "job/course.h"
#include "job/drives_of_job.h"
#include "job/job_files.h"
#include "keep/drive_turn.h"
#include "keep/run_lock.h"
#include "report.h"
#include "streams.h"

// A saved job, step by step: each a run of its own, with its receipt.

using namespace tavlo;

namespace {

/// What is written to standard output while it lasts.
class Caught {
public:
    Caught() : before_(std::cout.rdbuf(text_.rdbuf())) {}
    ~Caught() { std::cout.rdbuf(before_); }
    Caught(const Caught&) = delete;
    Caught& operator=(const Caught&) = delete;
    std::string text() const { return text_.str(); }

private:
    std::ostringstream text_;
    std::streambuf* before_;
};

class JobRunner {
public:
    JobRunner(FileSystem& disk, Store* store, const Arguments& arguments, SavedJob job)
        : disk_(disk), store_(store), arguments_(arguments), course_(std::move(job)) {}

    int run() {
        while (const JobStep* step = course_.step()) {
            if (const auto* note = std::get_if<Note>(&step->what))
                course_.take(static_cast<Ending>(run_note(*note)));
            else
                run_step(std::get<Job>(step->what));
        }
        const int status = static_cast<int>(course_.ending());
        if (arguments_.json && (status != refused || !documents_.empty())) print(status);
        if (arguments_.notify && !arguments_.plan_only) tell_desktop(course_.ending());
        return status;
    }

private:
    void head() const {
        if (!arguments_.json && !arguments_.quiet && course_.job().steps.size() > 1)
            std::cout << fmt::format("step {}:\n", course_.at() + 1) << std::flush;
    }
    int run_note(const Note& note) const {
        if (arguments_.plan_only) return done;
        const auto written = write_note(note, course_.job().name, course_.totals(), now_ns());
        if (written) return done;
        say(fmt::format("step {}: {}", course_.at() + 1, describe(written.error())));
        return some_failed;
    }
    void run_step(const Job& wanted) {
        Arguments step = arguments_;
        step.job = at_time(wanted, course_.job().name, now_ns());
        const auto turn = turn_for(step.job);
        if (!turn && turn.error().fault == Fault::cancelled) return course_.take(Ending::stopped);
        Totals totals;
        int status = done;
        std::string document;
        {
            std::optional<Caught> caught;
            if (arguments_.json) caught.emplace();
            head();
            status = transfer(disk_, store_, step, &totals);
            if (caught) document = caught->text();
        }
        if (status == refused) say(fmt::format("step {} was refused", course_.at() + 1));
        if (!document.empty()) documents_.push_back(std::move(document));
        course_.take(static_cast<Ending>(status), totals);
    }
    /// Nobody is there while it runs by itself; what needs a person is said where that person will see it
    /// (notify-send(1)).
    void tell_desktop(Ending ending) const {
        std::string words;
        switch (ending) {
            case Ending::done: return;
            case Ending::some_undecided:
                words =
                    fmt::format("{} undecided: both stay as they are until you look, among the saved jobs.",
                                course_.totals().of(Outcome::undecided));
                break;
            case Ending::some_failed: words = "Some failed; the receipt says why."; break;
            case Ending::refused: words = "A step was refused, and nothing of it was done."; break;
            case Ending::stopped: words = "It was stopped; the rest can be gone on with."; break;
        }
        (void)ask_program(
            {"notify-send", "--app-name=Tavlo", "--", to_utf8(printable(course_.job().name)), words});
    }
    /// Runs of the window, and other saved jobs, are let through first where they are on the same drives.
    Result<DriveTurn> turn_for(const Job& job) const {
        if (arguments_.plan_only) return DriveTurn();
        const StopOnSignal signal;
        const auto waits = [this] {
            if (!arguments_.quiet)
                say(printable(course_.job().name) + ": waits for another run on its drives");
        };
        return DriveTurn::wait(arguments_.state_folder, drives_of(job), signal.token(), waits);
    }
    void print(int status) const {
        std::cout << "{\"tavlo\":1,\"document\":\"job-run\",\n\"job\":"
                  << nlohmann::json(to_utf8(course_.job().name)).dump() << ",\n\"steps\":[";
        for (std::size_t at = 0; at < documents_.size(); ++at)
            std::cout << (at == 0 ? "\n" : ",\n") << documents_[at];
        std::cout << "],\n\"status\":" << status << "}\n";
    }

    FileSystem& disk_;
    Store* store_;
    const Arguments& arguments_;
    JobCourse course_;
    std::vector<std::string> documents_;
};

}  // namespace

int run_job(FileSystem& disk, Store* store, const Arguments& arguments) {
    const bool is_file = arguments.saved.starts_with('/');
    const auto job =
        is_file ? read_saved_job(arguments.saved, now_ns()) : JobFiles().read(arguments.saved, now_ns());
    if (!job) return refuse_for(job.error());
    if (store == nullptr) return JobRunner(disk, store, arguments, *job).run();
    const auto lock = RunLock::take(arguments.state_folder, lock_of_job(job->name));
    if (!lock && lock.error().fault == Fault::name_taken) {
        say(printable(job->name) + ": is running just now");
        return refused;
    }
    if (!lock) return failed_for(lock.error());
    return JobRunner(disk, store, arguments, *job).run();
}
