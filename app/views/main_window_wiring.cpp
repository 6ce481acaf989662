// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QStackedWidget>

#include "files/path.h"
#include "models/folder_model.h"
#include "tasks/bench.h"
#include "tasks/desktop_notes.h"
#include "tasks/keeping.h"
#include "tasks/runs.h"
#include "tasks/small_jobs.h"
#include "text.h"
#include "views/bench/balance_bar.h"
#include "views/bench/folder_levels_panel.h"
#include "views/bench/instruction_line.h"
#include "views/bench/name_steps_panel.h"
#include "views/collisions/collisions_page.h"
#include "views/gathering/gathering_side.h"
#include "views/jobs/jobs_page.h"
#include "views/main_window.h"
#include "views/outcome/batch_view.h"
#include "views/outcome/outcome_side.h"
#include "views/receipts/receipts_page.h"
#include "views/runs/run_line.h"
#include "views/runs/runs_page.h"
#include "views/safe/safe_page.h"
#include "views/sizes/sizes_page.h"

// How the places of the window hang together: what one asks for, another does.

using namespace tavlo;

void MainWindow::connectBench() {
    connect(strip_, &PlaceStrip::placeChosen, this, &MainWindow::goTo);
    connect(instruction_, &InstructionLine::startRequested, this, &MainWindow::start);
    connect(instruction_, &InstructionLine::namesRequested, names_, &NameStepsPanel::begin);
    connect(instruction_, &InstructionLine::oneNameRequested, outcome_, &OutcomeSide::typeOnlyName);
    connect(names_, &NameStepsPanel::said, run_line_, &RunLine::say);
    connect(instruction_, &InstructionLine::levelsRequested, levels_, &FolderLevelsPanel::begin);
    connect(levels_, &FolderLevelsPanel::said, run_line_, &RunLine::say);
    connect(instruction_, &InstructionLine::folderRequested, gathering_, &GatheringSide::openFolder);
    connect(instruction_, &InstructionLine::batchRequested, outcome_, &OutcomeSide::showInHand);
    connect(outcome_, &OutcomeSide::said, run_line_, &RunLine::say);
    connect(outcome_, &OutcomeSide::destinationChanged, this, [this] {
        if (runs_->isIdle() && !bench_->isWorking())
            bench_->lookAtDestinationAgain();  // what a run changes shows by itself
    });
    connect(&outcome_->batchView(), &BatchView::said, run_line_, &RunLine::say);
    connect(&outcome_->batchView(), &BatchView::folderRequested, gathering_, &GatheringSide::openFolder);
    connect(balance_, &BalanceBar::shareChosen, this, [this](std::optional<Share> share) {
        if (share) goTo(PlaceToBe::bench);
        outcome_->showShare(share);
    });
    connect(collisions_, &CollisionsPage::said, run_line_, &RunLine::say);
    connect(bench_, &Bench::viewChanged, this, [this] {
        const auto& plan = bench_->plan();
        strip_->setCount(PlaceToBe::collisions, plan ? plan->totals.of(Outcome::undecided) : 0);
    });
    connect(bench_, &Bench::missingAtStart, this, [this](int count) {
        run_line_->say(tr("%Ln of the batch are no longer there, and were left out.", nullptr, count));
    });
    connect(bench_, &Bench::keepsNothing, this, [this] {
        run_line_->say(tr("What is in hand is not kept when the window closes: nothing can be written in %1.")
                           .arg(shown(state_folder_)));
    });
}

/// The folder on view: small changes in it, what is pasted and unpacked, what follows it.
void MainWindow::connectFolder() {
    connect(gathering_, &GatheringSide::folderChanged, this, [this] {
        instruction_->setFolderOnView(gathering_->folder());
        setWindowTitle(tr("%1 \u2013 Tavlo").arg(short_path(gathering_->folder(), 1)));
    });
    connect(gathering_, &GatheringSide::pasteRequested, this, [this](bool move) { paste(move); });
    connect(gathering_, &GatheringSide::newFolderRequested, this, &MainWindow::askNewFolder);
    connect(gathering_, &GatheringSide::renameRequested, this, &MainWindow::askRename);
    connect(gathering_, &GatheringSide::unpackRequested, this,
            [this](const std::vector<std::string>& archives) {
                bench_->replacePicks(archives);
                bench_->setOperation(Operation::unpack);
            });
    connect(gathering_, &GatheringSide::said, run_line_, &RunLine::say);
    connect(gathering_, &GatheringSide::trashRequested, small_jobs_, &SmallJobs::trash);
    connect(gathering_, &GatheringSide::otherWindowRequested, this, &MainWindow::openOther);
    connect(small_jobs_, &SmallJobs::changed, this, [this](const QString& words) {
        run_line_->say(words);
        gathering_->model().refresh();
        receipts_->refresh();
        bench_->lookAgain();
    });
    connect(small_jobs_, &SmallJobs::gone, bench_, &Bench::forget);
    connect(small_jobs_, &SmallJobs::problem, this, [this](const QString& why) {
        run_line_->say(tr("Not done: %1").arg(why));
        gathering_->model().refresh();
    });
}

void MainWindow::connectRuns() {
    connect(run_line_, &RunLine::receiptRequested, this, [this](const std::string& id) {
        receipts_->openReceipt(id);
        goTo(PlaceToBe::receipts);
    });
    connect(run_line_, &RunLine::runsRequested, this, [this] { goTo(PlaceToBe::runs); });
    connect(runs_page_, &RunsPage::receiptRequested, run_line_, &RunLine::receiptRequested);
    connect(runs_page_, &RunsPage::said, run_line_, &RunLine::say);
    connect(runs_, &Runs::progressed, this, [this] {
        runs_->isIdle() ? notes_->runsEnded() : notes_->runsBegan();
        notes_->showProgress(runs_->isIdle() ? std::nullopt : std::optional(runs_page_->doneInAll()));
        strip_->setCount(PlaceToBe::runs, runs_page_->needsSomebody());
    });
    connect(runs_, &Runs::itemsSettled, this, [this](const auto& plan, const auto& items) {
        if (plan == outcome_->model().plan()) outcome_->model().setResults(items);
    });
    connect(runs_, &Runs::finished, this, [this](const RunEnd& end) {
        const ReceiptHead& head = *end.head;
        notes_->runEnded(head, isActiveWindow());
        keeping_->lookAtSafe(KeepingRules::load());
        bench_->forget(end.settled);  // what is undecided or failed stays in hand
        gathering_->model().refresh();
        receipts_->refresh();
        if (places_->currentWidget() == safe_) safe_->refresh();
    });
}

/// Receipts and the Safe.
void MainWindow::connectPast() {
    connect(receipts_, &ReceiptsPage::undoRequested, this,
            [this](const auto& plan, const QString& sentence) { runs_->start(plan, sentence); });
    connect(receipts_, &ReceiptsPage::resumeRequested, runs_, &Runs::resume);
    connect(receipts_, &ReceiptsPage::showRequested, past_, &PastRuns::findArrivals);
    connect(run_line_, &RunLine::showRequested, past_, &PastRuns::findArrivals);
    connect(past_, &PastRuns::arrived, this, [this](const auto& arrivals) {
        if (arrivals->count == 0) return run_line_->say(tr("Nothing came in with this run."));
        goTo(PlaceToBe::bench);
        gathering_->showArrivals(arrivals);
    });
    connect(safe_, &SafePage::said, run_line_, &RunLine::say);
    connect(receipts_, &ReceiptsPage::said, run_line_, &RunLine::say);
    connect(safe_, &SafePage::restoreRequested, this,
            [this](const auto& plan, const QString& sentence) { runs_->start(plan, sentence); });
    connect(keeping_, &Keeping::said, run_line_, &RunLine::say);
}

void MainWindow::connectSizes() {
    connect(gathering_, &GatheringSide::sizesRequested, this, [this](const std::string& path) {
        sizes_->weigh(path);
        goTo(PlaceToBe::sizes);
    });
    connect(sizes_, &SizesPage::folderRequested, this, [this](const std::string& path) {
        goTo(PlaceToBe::bench);
        gathering_->openFolder(path);
    });
    connect(sizes_, &SizesPage::pickRequested, this, [this](const std::vector<std::string>& paths) {
        Bench::ByFolder by_folder;
        for (const auto& one : paths) by_folder[std::string(parent_of(one))].emplace_back(name_of(one));
        bench_->pickAll(by_folder, tr("Pick"));
        run_line_->say(
            tr("%Ln picked; they are in hand on the bench.", nullptr, static_cast<int>(paths.size())));
    });
    connect(sizes_, &SizesPage::removeRequested, this, [this](const std::vector<std::string>& paths) {
        bench_->setOperation(Operation::remove);
        bench_->replacePicks(paths);
        goTo(PlaceToBe::bench);
    });
}
