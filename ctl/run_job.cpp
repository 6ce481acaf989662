#include <fmt/format.h>

#include <iostream>
#include <nlohmann/json.hpp>
#include <sstream>

#include "commands.h"
#include "files/path.h"
#include "job/job_files.h"
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

void add(Totals& all, const Totals& more) {
    all.items += more.items;
    all.bytes += more.bytes;
    for (std::size_t at = 0; at < all.by_outcome.size(); ++at) all.by_outcome[at] += more.by_outcome[at];
}

class JobRunner {
public:
    JobRunner(FileSystem& disk, Store* store, const Arguments& arguments, const SavedJob& job)
        : disk_(disk), store_(store), arguments_(arguments), job_(job) {}

    int run() {
        int status = done;
        for (std::size_t at = 0; at < job_.steps.size(); ++at) {
            const JobStep& step = job_.steps[at];
            const auto* note = std::get_if<Note>(&step.what);
            const int ended = note != nullptr ? run_note(at, *note) : run_step(at, std::get<Job>(step.what));
            if (ended == done) continue;
            status = ended;
            if (ended == stopped || !step.go_on) break;
        }
        if (arguments_.json && (status != refused || !documents_.empty())) print(status);
        return status;
    }

private:
    void head(std::size_t at) const {
        if (!arguments_.json && !arguments_.quiet && job_.steps.size() > 1) std::cout << fmt::format("step {}:\n", at + 1) << std::flush;
    }
    int run_note(std::size_t at, const Note& note) {
        if (arguments_.plan_only) return done;
        const auto written = write_note(note, job_.name, totals_, now_ns());
        if (written) return done;
        say(fmt::format("step {}: {}", at + 1, describe(written.error())));
        return some_failed;
    }
    int run_step(std::size_t at, const Job& wanted) {
        Arguments step = arguments_;
        step.job = at_time(wanted, job_.name, now_ns());
        Totals totals;
        int status = done;
        std::string document;
        {
            std::optional<Caught> caught;
            if (arguments_.json) caught.emplace();
            head(at);
            status = transfer(disk_, store_, step, &totals);
            if (caught) document = caught->text();
        }
        if (status == refused) say(fmt::format("step {} was refused", at + 1));
        if (!document.empty()) documents_.push_back(std::move(document));
        add(totals_, totals);
        return status;
    }
    void print(int status) const {
        std::cout << "{\"tavlo\":1,\"document\":\"job-run\",\n\"job\":" << nlohmann::json(to_utf8(job_.name)).dump() << ",\n\"steps\":[";
        for (std::size_t at = 0; at < documents_.size(); ++at) std::cout << (at == 0 ? "\n" : ",\n") << documents_[at];
        std::cout << "],\n\"status\":" << status << "}\n";
    }

    FileSystem& disk_;
    Store* store_;
    const Arguments& arguments_;
    const SavedJob& job_;
    Totals totals_{};
    std::vector<std::string> documents_;
};

}  // namespace

int run_job(FileSystem& disk, Store* store, const Arguments& arguments) {
    const bool is_file = arguments.saved.starts_with('/');
    const auto job = is_file ? read_saved_job(arguments.saved, now_ns()) : JobFiles().read(arguments.saved, now_ns());
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
