// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QStackedWidget>
#include <algorithm>

#include "error_words.h"
#include "files/path.h"
#include "job/document.h"
#include "models/filter_selection.h"
#include "models/jobs_model.h"
#include "tasks/bench.h"
#include "tasks/job_runs.h"
#include "tasks/runs.h"
#include "tasks/saved_jobs.h"
#include "text.h"
#include "views/collisions/collisions_page.h"
#include "views/gathering/filter_bar.h"
#include "views/gathering/gathering_side.h"
#include "views/jobs/job_banner.h"
#include "views/jobs/jobs_page.h"
#include "views/jobs/keep_job_dialog.h"
#include "views/main_window.h"
#include "views/receipts/receipts_page.h"
#include "views/runs/run_line.h"

// Saved jobs in the window: how they come onto the bench, and from it.

using namespace tavlo;

void MainWindow::connectJobs() {
    connect(saved_jobs_, &SavedJobs::listed, this, [this](const auto& jobs) {
        const auto waits = [](const KeptJob& job) { return run_to_settle(job) != nullptr; };
        strip_->setCount(PlaceToBe::jobs,
                         static_cast<std::uint64_t>(std::count_if(jobs->begin(), jobs->end(), waits)));
    });
    connect(jobs_, &JobsPage::said, run_line_, &RunLine::say);
    connect(jobs_, &JobsPage::receiptRequested, run_line_, &RunLine::receiptRequested);
    connect(jobs_, &JobsPage::seeRequested, this, [this](const SavedJob& job, std::size_t step) {
        job_banner_->show(job, step, JobBanner::For::seeing);
        goTo(PlaceToBe::bench);
    });
    connect(jobs_, &JobsPage::changeRequested, this, [this](const SavedJob& job, std::size_t step) {
        job_banner_->show(job, step, JobBanner::For::changing);
        goTo(PlaceToBe::bench);
    });
    connect(jobs_, &JobsPage::addFromBenchRequested, this, [this](const SavedJob& job) {
        if (bench_->picks().empty()) return run_line_->say(tr("There is nothing on the bench."));
        SavedJob longer = job;
        longer.steps.emplace_back().what = with_patterns_of({}, bench_->wholeJob(), now_ns());
        saved_jobs_->keep(longer, SavedJobs::IfTaken::replace);
    });
    connect(jobs_, &JobsPage::settleRequested, this, [this](const ReceiptHead& head) {
        if (takeReceipt(head)) goTo(PlaceToBe::collisions);
    });
    connect(job_banner_, &JobBanner::changed, this,
            [this](const SavedJob& job) { saved_jobs_->keep(job, SavedJobs::IfTaken::replace); });
    connect(job_banner_, &JobBanner::left, this, [this](const std::string& name) {
        goTo(PlaceToBe::jobs);
        jobs_->show_(name);
    });
    connect(collisions_, &CollisionsPage::keepRequested, this, [this](const Policy& rule) {
        Job job = bench_->wholeJob();
        job.policy = rule;
        keepAsJob(job);
    });
    connect(receipts_, &ReceiptsPage::keepRequested, this, [this](const ReceiptHead& head) {
        if (const auto job = job_from_json(head.job))
            KeepJobDialog(*saved_jobs_, *job, std::nullopt, this).exec();
        else
            run_line_->say(tr("Not done: %1").arg(error_words(job.error())));
    });
    connect(receipts_, &ReceiptsPage::againRequested, this, [this](const ReceiptHead& head) {
        if (takeReceipt(head)) goTo(PlaceToBe::bench);
    });
}

/// What a run was asked to do comes onto the bench; where it left something undecided, the next start goes on
/// with it.
bool MainWindow::takeReceipt(const ReceiptHead& head) {
    auto job = job_from_json(head.job);
    if (!job) {
        run_line_->say(tr("Not done: %1").arg(error_words(job.error())));
        return false;
    }
    // nobody was there to be asked; what is the same by now, as it arrived then, is not worth a question
    // either
    auto& same = job->policy.when[static_cast<std::size_t>(Finding::same)];
    if (!same && job->policy.otherwise == Decision::undecided) same = Decision::skip;
    bench_->take(Instruction{std::move(*job)});
    runs_->goOnWith(ending_of(head) == Ending::some_undecided ? head.id : std::string());
    return true;
}

void MainWindow::keepAsJob(const Job& job) {
    if (bench_->picks().empty())
        return run_line_->say(tr("Put something on the bench first: what the job is to take."));
    if (goes_elsewhere(job) && job.into.empty()) return run_line_->say(tr("Say first where it is to go."));
    KeepJobDialog dialog(*saved_jobs_, job, takingWhatFits(job), this);
    if (dialog.exec() != QDialog::Accepted) return;
    run_line_->say(tr("Kept; it is among the saved jobs."));
}

/// The same job, of what is in the folder on view whenever it runs; where files were picked in that folder
/// alone.
std::optional<Job> MainWindow::takingWhatFits(const Job& job) const {
    const auto folders = bench_->picks().folders();
    const auto& picks = bench_->view().picks;
    if (job.what.chooses_files() || job.what.chooses_folders() || !picks)
        return std::nullopt;  // it says already what it takes
    const auto is_folder = [](const PickedRow& row) { return row.type == FileType::folder; };
    if (folders.size() != 1 || folders.front() != gathering_->folder() ||
        std::all_of(picks->rows.begin(), picks->rows.end(), is_folder))
        return std::nullopt;
    auto what = selection_of(gathering_->filter().state());
    if (!what) return std::nullopt;
    Job wanted = job;
    wanted.what = std::move(*what);
    wanted.what.sources = folders;
    wanted.structure.contents = true;
    if (std::none_of(picks->rows.begin(), picks->rows.end(), is_folder))
        wanted.structure.subfolders = Subfolders::none;
    return wanted;
}
