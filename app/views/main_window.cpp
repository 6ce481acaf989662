// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/main_window.h"

#include <QApplication>
#include <QCloseEvent>
#include <QInputDialog>
#include <QLineEdit>
#include <QMessageBox>
#include <QPointer>
#include <QSettings>
#include <QTimer>
#include <QVBoxLayout>

#include "models/folder_model.h"
#include "tasks/bench.h"
#include "tasks/desktop_notes.h"
#include "tasks/file_clips.h"
#include "tasks/found_place.h"
#include "tasks/job_runs.h"
#include "tasks/keeping.h"
#include "tasks/past_runs.h"
#include "tasks/runs.h"
#include "tasks/safe_versions.h"
#include "tasks/saved_jobs.h"
#include "tasks/settings.h"
#include "tasks/small_jobs.h"
#include "text.h"
#include "views/bench/balance_bar.h"
#include "views/bench/folder_levels_panel.h"
#include "views/bench/instruction_line.h"
#include "views/bench/name_steps_panel.h"
#include "views/collisions/collisions_page.h"
#include "views/gathering/gathering_side.h"
#include "views/jobs/job_banner.h"
#include "views/jobs/jobs_page.h"
#include "views/outcome/outcome_side.h"
#include "views/parts/building.h"
#include "views/parts/list_access.h"
#include "views/parts/pages.h"
#include "views/parts/spacing.h"
#include "views/receipts/receipts_page.h"
#include "views/runs/run_line.h"
#include "views/runs/runs_page.h"
#include "views/safe/safe_page.h"
#include "views/sizes/sizes_page.h"

using namespace tavlo;

namespace {
const auto geometry_key = QStringLiteral("geometry");
}

/// What the window works with, its pages, and how they hang together; then it looks at the folder, and takes
/// up what was left.
MainWindow::MainWindow(const std::string& folder, const std::string& state_folder)
    : state_folder_(state_folder) {
    resize(1280, 800);
    bench_ = new Bench(state_folder, this);
    runs_ = new Runs(state_folder, this);
    past_ = new PastRuns(state_folder, this);
    notes_ = new DesktopNotes(DesktopNotes::sessionBus(), QDBusConnection::systemBus(), this);
    small_jobs_ = new SmallJobs(state_folder, *runs_, bench_->history(), this);
    versions_ = new SafeVersions(state_folder, *runs_, this);
    keeping_ = new Keeping(state_folder, this);
    saved_jobs_ = new SavedJobs(state_folder, this);
    job_runs_ = new JobRuns(state_folder, *runs_, this);
    install_list_access();
    buildFrame();
    buildBenchPage();
    buildOtherPages();
    buildMenus();
    connectBench();
    connectFolder();
    connectRuns();
    connectPast();
    connectSizes();
    connectJobs();
    gathering_->openFolder(folder);
    const Settings set = Settings::load();
    bench_->beginWith(set.first_rule, set.reads_back);
    bench_->restore();
    runs_->lookForOthers();
    keeping_->apply(set.keeping);
    saved_jobs_->list();
}

void MainWindow::buildFrame() {
    auto* middle = new QWidget;
    auto* across = new QHBoxLayout;
    auto* down = new QVBoxLayout(middle);
    space_out(down, Inset::none, Gap::none);
    space_out(across, Inset::none, Gap::none);
    strip_ = new PlaceStrip;
    across->addWidget(strip_);
    places_ = new Pages;
    across->addWidget(places_, 1);
    down->addLayout(across, 1);
    run_line_ = new RunLine(*runs_);
    down->addWidget(run_line_);
    setCentralWidget(middle);
}

void MainWindow::buildBenchPage() {
    bench_page_ = new QWidget;
    auto* column = new QVBoxLayout(bench_page_);
    space_out(column, Inset::none, Gap::line);
    instruction_ = new InstructionLine(*bench_);
    balance_ = new BalanceBar(*bench_);
    gathering_ = new GatheringSide(*bench_);
    outcome_ = new OutcomeSide(*bench_);
    auto* sides = split(Qt::Horizontal, {{gathering_, 510}, {outcome_, 686}});
    job_banner_ = new JobBanner(*bench_);
    column->addWidget(job_banner_);
    column->addWidget(instruction_);
    column->addWidget(balance_);
    names_ = new NameStepsPanel(*bench_, state_folder_);
    column->addWidget(names_);
    levels_ = new FolderLevelsPanel(*bench_);
    column->addWidget(levels_);
    collisions_ = new CollisionsPage(*bench_);
    below_balance_ = new Pages;
    below_balance_->addWidget(sides);
    below_balance_->addWidget(collisions_);
    column->addWidget(below_balance_, 1);
    places_->addWidget(bench_page_);
}

void MainWindow::buildOtherPages() {
    runs_page_ = new RunsPage(*runs_);
    receipts_ = new ReceiptsPage(*past_);
    safe_ = new SafePage(*versions_);
    sizes_ = new SizesPage;
    jobs_ = new JobsPage(*saved_jobs_, *job_runs_);
    for (QWidget* page : std::initializer_list<QWidget*>{runs_page_, receipts_, safe_, sizes_, jobs_})
        places_->addWidget(page);
}

MainWindow::~MainWindow() = default;

void MainWindow::goTo(PlaceToBe place) {
    strip_->setPlace(place);
    // the sentence and its balance stand above the collisions too: what is decided there shows in them
    QWidget* page = bench_page_;
    if (place == PlaceToBe::receipts) page = receipts_;
    if (place == PlaceToBe::safe) page = safe_;
    if (place == PlaceToBe::runs) page = runs_page_;
    if (place == PlaceToBe::sizes) page = sizes_;
    if (place == PlaceToBe::jobs) page = jobs_;
    places_->setCurrentWidget(page);
    below_balance_->setCurrentIndex(place == PlaceToBe::collisions ? 1 : 0);
    // what is not on view is not changed by a key, nor started
    for (QAction* action : bench_actions_) action->setEnabled(place == PlaceToBe::bench);
    start_->setEnabled(place == PlaceToBe::bench || place == PlaceToBe::collisions);
    if (place == PlaceToBe::receipts) receipts_->refresh();
    if (place == PlaceToBe::safe) safe_->refresh();
    if (place == PlaceToBe::jobs) jobs_->refresh();
    if (place == PlaceToBe::collisions) collisions_->focus();
    if (place == PlaceToBe::sizes && sizes_->folder().empty()) sizes_->weigh(gathering_->folder());
}

/// The line that narrows what is on view.
void MainWindow::focusFilter() {
    if (places_->currentWidget() == bench_page_) return gathering_->focusFilter();
    for (const char* name : {"runFilter", "receiptSearch", "safeFilter"})
        if (auto* line = places_->currentWidget()->findChild<QLineEdit*>(QLatin1String(name)))
            line->setFocus(Qt::ShortcutFocusReason);
}

void MainWindow::start() {
    switch (instruction_->begins()) {
        case InstructionLine::Begins::nothing: return run_line_->say(instruction_->aboutStart());
        case InstructionLine::Begins::while_counting:
            runs_->startCounting({bench_->wholeJob(), bench_->decisions()}, instruction_->sentence());
            break;
        case InstructionLine::Begins::plan:
            runs_->start(bench_->plan(), instruction_->sentence(), bench_->view().job);
            break;
    }
    bench_->runStarted();
}

/// The selected rows become the batch, and the clipboard holds them for other programs.
void MainWindow::putInHand(bool cut) {
    const auto paths = gathering_->selectedPaths();
    if (paths.empty()) return;
    bench_->setOperation(cut ? Operation::move : Operation::copy);
    bench_->replacePicks(paths);
    QApplication::clipboard()->setMimeData(to_mime({paths, cut}).release());
}

/// The folder shown becomes the destination; what another program, or another window, put on the clipboard
/// becomes the batch.
void MainWindow::paste(std::optional<bool> move) {
    const FileClip clip = from_mime(QApplication::clipboard()->mimeData());
    if (!clip.paths.empty()) {
        bench_->setOperation(move.value_or(clip.cut) ? Operation::move : Operation::copy);
        bench_->replacePicks(clip.paths);
    }
    if (clip.elsewhere > 0)
        run_line_->say(
            tr("%Ln were left out: they lie on no disk of this machine.", nullptr, clip.elsewhere));
    bench_->setDestination(gathering_->folder());
}

void MainWindow::askNewFolder() {
    const QString name =
        QInputDialog::getText(this, tr("New folder"), tr("Name; a/b/c makes one in the other:")).trimmed();
    if (!name.isEmpty()) small_jobs_->newFolder(gathering_->folder(), to_bytes(name));
}

/// The extension is left unselected: it is seldom what is meant.
void MainWindow::askRename(const std::string& folder, const std::string& name) {
    QInputDialog dialog(this);
    dialog.setWindowTitle(tr("Rename"));
    dialog.setLabelText(tr("New name of %1:").arg(shown(name)));
    dialog.setTextValue(shown(name));
    auto* line = dialog.findChild<QLineEdit*>();
    const auto dot = shown(name).lastIndexOf(QLatin1Char('.'));
    if (line != nullptr && dot > 0)
        QTimer::singleShot(0, line, [line, dot] { line->setSelection(0, static_cast<int>(dot)); });
    if (dialog.exec() != QDialog::Accepted || dialog.textValue() == shown(name)) return;
    small_jobs_->rename(folder, name, to_bytes(dialog.textValue()));
}

void MainWindow::reportMissing(const std::vector<std::string>& helpers) {
    if (helpers.empty()) return;
    QStringList names;
    for (const auto& name : helpers) names.push_back(shown(name));
    run_line_->say(tr("Tavlo is not completely installed. Missing: %1. Install it again.")
                       .arg(QLocale().createSeparatedList(names)));
}

void MainWindow::openPlace(const std::string& path) {
    finder_.ask(
        this, [path](const std::stop_token&) { return found_place(path); },
        [this](const FoundPlace& found) {
            found.name.empty() ? gathering_->openFolder(found.folder)
                               : gathering_->openFolderAt(found.folder, found.name);
            if (!found.missing.empty()) run_line_->say(tr("%1 is not there.").arg(shown(found.missing)));
        });
}

void MainWindow::openOther(const std::string& path) {
    auto* other = new MainWindow(gathering_->folder(), state_folder_);
    other->setAttribute(Qt::WA_DeleteOnClose);
    other->show();
    other->openPlace(path);
}

/// What is in hand here is in hand there; the way back is an undo in each.
void MainWindow::handOver(MainWindow& other) {
    Bench::ByFolder by_folder;
    for (const auto& folder : bench_->picks().folders()) by_folder[folder] = bench_->picks().namesIn(folder);
    const int count = static_cast<int>(bench_->picks().count());
    if (count == 0) return run_line_->say(tr("There is nothing on the bench."));
    bench_->replacePicks({});
    run_line_->say(tr("%Ln are in hand in the other window now.", nullptr, count));
    other.bench_->pickAll(std::move(by_folder), tr("Take over"));
    other.run_line_->say(tr("%Ln came from the other window.", nullptr, count));
    other.goTo(PlaceToBe::bench);
    other.raise();
    other.activateWindow();
}

void MainWindow::fillOthers(QMenu& menu) {
    menu.clear();
    for (QWidget* widget : QApplication::topLevelWidgets()) {
        auto* other = qobject_cast<MainWindow*>(widget);
        if (other == nullptr || other == this || !other->isVisible()) continue;
        menu.addAction(other->windowTitle(), this, [this, to = QPointer(other)] {
            if (to) handOver(*to);
        });
    }
    if (menu.isEmpty()) menu.addAction(tr("There is no other window (Ctrl+N opens one)"))->setEnabled(false);
}

void MainWindow::endNow() {
    ending_ = true;
    runs_->pauseAllForLater();
    close();
}

void MainWindow::changeEvent(QEvent* event) {
    // another program may have changed something while this window was not looked at
    if (event->type() == QEvent::ActivationChange && isActiveWindow() && runs_->isIdle()) {
        gathering_->model().refresh();
        bench_->lookAgain();
        if (places_->currentWidget() != jobs_) saved_jobs_->list();  // one may have run by itself
    }
    QMainWindow::changeEvent(event);
}

void MainWindow::keepPlace() {
    keeps_place_ = true;
    restoreGeometry(QSettings()
                        .value(geometry_key)
                        .toByteArray());  // moved onto a screen that is there, where the old one is not
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (keeps_place_) QSettings().setValue(geometry_key, saveGeometry());
    if (ending_ || !runs_->isLive()) return event->accept();
    const auto answer = QMessageBox::question(this, tr("Runs are not through"),
                                              tr("Pause them and close? What is done stays done; at the next "
                                                 "start they are there, and go on when you say so."));
    if (answer != QMessageBox::Yes) return event->ignore();
    runs_->pauseAllForLater();
    event->accept();
}
