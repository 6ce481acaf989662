#include "views/main_window.h"

#include <QActionGroup>
#include <QApplication>
#include <QClipboard>
#include <QCloseEvent>
#include <QInputDialog>
#include <QLineEdit>
#include <QMenuBar>
#include <QMessageBox>
#include <QMimeData>
#include <QSettings>
#include <QSplitter>
#include <QStackedWidget>
#include <QTimer>
#include <QVBoxLayout>

#include "files/path.h"
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
#include "tasks/small_jobs.h"
#include "text.h"
#include "theme/theme.h"
#include "views/balance_bar.h"
#include "views/batch_view.h"
#include "views/collisions_page.h"
#include "views/folder_levels_panel.h"
#include "views/gathering_side.h"
#include "views/help/action_palette.h"
#include "views/help/manual_window.h"
#include "views/instruction_line.h"
#include "views/jobs/job_banner.h"
#include "views/jobs/jobs_page.h"
#include "views/name_steps_panel.h"
#include "views/outcome_side.h"
#include "views/receipts_page.h"
#include "views/run_line.h"
#include "views/runs_page.h"
#include "views/safe_page.h"
#include "views/sizes_page.h"

using namespace tavlo;

namespace {
const auto geometry_key = QStringLiteral("geometry");
}

MainWindow::MainWindow(const std::string& folder, const std::string& state_folder, bool take_up) : state_folder_(state_folder) {
    resize(1280, 800);
    bench_ = new Bench(state_folder, this);
    runs_ = new Runs(state_folder, this);
    past_ = new PastRuns(state_folder, this);
    notes_ = new DesktopNotes(DesktopNotes::sessionBus(), QDBusConnection::systemBus(), this);
    small_jobs_ = new SmallJobs(state_folder, *runs_, bench_->history(), this);

    auto* middle = new QWidget;
    auto* across = new QHBoxLayout;
    auto* down = new QVBoxLayout(middle);
    down->setContentsMargins(0, 0, 0, 0);
    down->setSpacing(0);
    across->setContentsMargins(0, 0, 0, 0);
    across->setSpacing(0);
    strip_ = new PlaceStrip;
    across->addWidget(strip_);
    places_ = new QStackedWidget;
    across->addWidget(places_, 1);
    down->addLayout(across, 1);
    run_line_ = new RunLine(*runs_);
    down->addWidget(run_line_);
    setCentralWidget(middle);

    bench_page_ = new QWidget;
    auto* column = new QVBoxLayout(bench_page_);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(1);
    instruction_ = new InstructionLine(*bench_);
    balance_ = new BalanceBar(*bench_);
    gathering_ = new GatheringSide(*bench_);
    outcome_ = new OutcomeSide(*bench_);
    auto* sides = new QSplitter;
    sides->setHandleWidth(1);
    sides->setChildrenCollapsible(false);
    sides->addWidget(gathering_);
    sides->addWidget(outcome_);
    sides->setSizes({510, 686});
    job_banner_ = new JobBanner(*bench_);
    column->addWidget(job_banner_);
    column->addWidget(instruction_);
    column->addWidget(balance_);
    names_ = new NameStepsPanel(*bench_, state_folder);
    column->addWidget(names_);
    levels_ = new FolderLevelsPanel(*bench_);
    column->addWidget(levels_);
    collisions_ = new CollisionsPage(*bench_);
    below_balance_ = new QStackedWidget;
    below_balance_->addWidget(sides);
    below_balance_->addWidget(collisions_);
    column->addWidget(below_balance_, 1);
    receipts_ = new ReceiptsPage(*past_);
    places_->addWidget(bench_page_);
    runs_page_ = new RunsPage(*runs_);
    places_->addWidget(runs_page_);
    places_->addWidget(receipts_);
    versions_ = new SafeVersions(state_folder, this);
    safe_ = new SafePage(*versions_);
    keeping_ = new Keeping(state_folder, this);
    connect(keeping_, &Keeping::said, run_line_, &RunLine::say);
    places_->addWidget(safe_);
    sizes_ = new SizesPage;
    places_->addWidget(sizes_);
    saved_jobs_ = new SavedJobs(state_folder, this);
    job_runs_ = new JobRuns(state_folder, *runs_, this);
    jobs_ = new JobsPage(*saved_jobs_, *job_runs_);
    places_->addWidget(jobs_);
    buildMenus();

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
        if (runs_->isIdle() && !bench_->isWorking()) bench_->lookAtDestinationAgain();  // what a run changes shows by itself
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
    connect(run_line_, &RunLine::receiptRequested, this, [this](const std::string& id) {
        receipts_->openReceipt(id);
        goTo(PlaceToBe::receipts);
    });
    connect(run_line_, &RunLine::runsRequested, this, [this] { goTo(PlaceToBe::runs); });
    connect(runs_page_, &RunsPage::receiptRequested, run_line_, &RunLine::receiptRequested);
    connect(runs_page_, &RunsPage::said, run_line_, &RunLine::say);
    connect(receipts_, &ReceiptsPage::undoRequested, this,
            [this](const auto& plan, const QString& sentence) { runs_->start(plan, sentence); });
    connect(receipts_, &ReceiptsPage::resumeRequested, runs_, &Runs::resume);
    connect(receipts_, &ReceiptsPage::folderRequested, this, [this](const std::string& path) {
        goTo(PlaceToBe::bench);
        gathering_->openFolder(path);
    });
    connect(safe_, &SafePage::said, run_line_, &RunLine::say);
    connect(receipts_, &ReceiptsPage::said, run_line_, &RunLine::say);
    connect(safe_, &SafePage::restoreRequested, this, [this](const auto& plan, const QString& sentence) { runs_->start(plan, sentence); });
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
    connect(gathering_, &GatheringSide::folderChanged, this, [this] {
        instruction_->setFolderOnView(gathering_->folder());
        setWindowTitle(tr("%1 \u2013 Tavlo").arg(short_path(gathering_->folder(), 1)));
    });
    gathering_->openFolder(folder);
    connect(gathering_, &GatheringSide::pasteRequested, this, [this](bool move) { paste(move); });
    connect(gathering_, &GatheringSide::newFolderRequested, this, &MainWindow::askNewFolder);
    connect(gathering_, &GatheringSide::renameRequested, this, &MainWindow::askRename);
    connect(gathering_, &GatheringSide::unpackRequested, this, [this](const std::vector<std::string>& archives) {
        bench_->replacePicks(archives);
        bench_->setOperation(Operation::unpack);
    });
    connect(gathering_, &GatheringSide::trashRequested, small_jobs_, &SmallJobs::trash);
    connect(gathering_, &GatheringSide::otherWindowRequested, this, &MainWindow::openOther);
    connectSizes();
    connectJobs();
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
    connect(bench_, &Bench::missingAtStart, this,
            [this](int count) { run_line_->say(tr("%Ln of the batch are no longer there, and were left out.", nullptr, count)); });
    if (take_up)
        bench_->restore();
    else
        bench_->lookAgain();
    runs_->lookForOthers();
    keeping_->apply(KeepingRules::load());
    saved_jobs_->list();
}

MainWindow::~MainWindow() = default;

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
        run_line_->say(tr("%Ln picked; they are in hand on the bench.", nullptr, static_cast<int>(paths.size())));
    });
    connect(sizes_, &SizesPage::removeRequested, this, [this](const std::vector<std::string>& paths) {
        bench_->setOperation(Operation::remove);
        bench_->replacePicks(paths);
        goTo(PlaceToBe::bench);
    });
}

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
        if (auto* line = places_->currentWidget()->findChild<QLineEdit*>(QLatin1String(name))) line->setFocus(Qt::ShortcutFocusReason);
}

void MainWindow::start() {
    const auto plan = bench_->plan();
    const bool can_begin = without_waiting_ && bench_->isCounting() && goes_elsewhere(bench_->job()) && !bench_->job().into.empty() &&
                           bench_->reasonToWait().empty();
    if (can_begin) return runs_->startCounting({bench_->wholeJob(), bench_->decisions()}, instruction_->sentence());
    if (!plan || bench_->isWorking()) return;
    runs_->start(plan, instruction_->sentence(), bench_->view().job);
}

/// The selected rows become the batch, and the clipboard holds them for other programs.
void MainWindow::putInHand(bool cut) {
    const auto paths = gathering_->selectedPaths();
    if (paths.empty()) return;
    bench_->setOperation(cut ? Operation::move : Operation::copy);
    bench_->replacePicks(paths);
    QApplication::clipboard()->setMimeData(to_mime({paths, cut}).release());
}

/// The folder shown becomes the destination; what another program, or another window, put on the clipboard becomes the batch.
void MainWindow::paste(std::optional<bool> move) {
    const FileClip clip = from_mime(QApplication::clipboard()->mimeData());
    if (!clip.paths.empty()) {
        bench_->setOperation(move.value_or(clip.cut) ? Operation::move : Operation::copy);
        bench_->replacePicks(clip.paths);
    }
    if (clip.elsewhere > 0) run_line_->say(tr("%Ln were left out: they lie on no disk of this machine.", nullptr, clip.elsewhere));
    bench_->setDestination(gathering_->folder());
}

namespace {

/// Adds an entry with its keys and its work to a menu.
/// also  gets the entry too
auto adder(QMainWindow& window, std::vector<QAction*>* also = nullptr) {
    return [&window, also](QMenu* menu, const QString& text, const QKeySequence& keys, auto work) {
        auto* action = menu->addAction(text);
        action->setShortcut(keys);
        QObject::connect(action, &QAction::triggered, &window, work);
        if (also != nullptr) also->push_back(action);
        return action;
    };
}

}  // namespace

void MainWindow::buildMenus() {
    const auto add = adder(*this);
    const auto on_bench = adder(*this, &bench_actions_);
    // in a line of text these keys are the text's own
    const auto unless_typing = [](auto work, auto instead) {
        return [work, instead] {
            if (auto* line = qobject_cast<QLineEdit*>(QApplication::focusWidget()))
                (line->*instead)();
            else
                work();
        };
    };
    QMenu* file = menuBar()->addMenu(tr("&File"));
    start_ = add(file, tr("&Start"), QKeySequence(Qt::CTRL | Qt::Key_Return), [this] { start(); });
    add(file, tr("Choose the &destination…"), QKeySequence(Qt::CTRL | Qt::Key_D), [this] {
        goTo(PlaceToBe::bench);
        instruction_->chooseDestination();
    });
    add(file, tr("Put into the folder &shown"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_D),
        [this] { bench_->setDestination(gathering_->folder()); });
    add(file, tr("&Write the outcome to a file…"), QKeySequence(Qt::CTRL | Qt::Key_S), [this] { outcome_->exportTo(); });
    add(file, tr("&Print the outcome…"), QKeySequence::Print, [this] { outcome_->print(); });
    file->addSeparator();
    auto* early = add(file, tr("Copies begin while they are &counted"), {}, [] {});
    early->setObjectName(QStringLiteral("withoutWaiting"));
    early->setCheckable(true);
    connect(early, &QAction::toggled, this, [this](bool on) {
        without_waiting_ = on;
        instruction_->setWithoutWaiting(on);
        QSettings().setValue(QStringLiteral("withoutWaiting"), on);
    });
    early->setChecked(QSettings().value(QStringLiteral("withoutWaiting"), false).toBool());
    file->addSeparator();
    add(file, tr("&Quit"), QKeySequence::Quit, [this] { close(); });

    QMenu* edit = menuBar()->addMenu(tr("&Edit"));
    auto* undo = bench_->history().createUndoAction(this, tr("Undo"));
    undo->setShortcut(QKeySequence::Undo);
    auto* redo = bench_->history().createRedoAction(this, tr("Do again"));
    redo->setShortcut(QKeySequence::Redo);
    edit->addAction(undo);
    edit->addAction(redo);
    edit->addSeparator();
    on_bench(edit, tr("C&ut: take in hand to move"), QKeySequence::Cut, unless_typing([this] { putInHand(true); }, &QLineEdit::cut));
    on_bench(edit, tr("&Copy: take in hand to copy"), QKeySequence::Copy, unless_typing([this] { putInHand(false); }, &QLineEdit::copy));
    on_bench(edit, tr("&Paste: put into the folder shown"), QKeySequence::Paste, unless_typing([this] { paste(); }, &QLineEdit::paste));
    edit->addSeparator();
    on_bench(edit, tr("&Select the others instead"), QKeySequence(Qt::CTRL | Qt::Key_I), [this] { gathering_->invertSelection(); });
    add(edit, tr("&Filter names here"), QKeySequence::Find, [this] { focusFilter(); });
    edit->addSeparator();
    on_bench(edit, tr("&New folder…"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_N), [this] { askNewFolder(); });
    on_bench(edit, tr("&Rename…"), QKeySequence(Qt::Key_F2), [this] {
        if (outcome_->listHasFocus()) return outcome_->typeName();
        const auto paths = gathering_->selectedPaths();
        if (paths.size() == 1 && gathering_->listHasFocus()) askRename(std::string(parent_of(paths[0])), std::string(name_of(paths[0])));
    });
    on_bench(edit, tr("Move to the &trash"), QKeySequence::Delete,
             unless_typing(
                 [this] {
                     if (gathering_->listHasFocus()) small_jobs_->trash(gathering_->selectedPaths());
                 },
                 &QLineEdit::del));
    buildBatchMenu();
    buildViewMenu();

    QMenu* help = menuBar()->addMenu(tr("&Help"));
    const auto open_manual = [this](const QString& page) {
        if (manual_ == nullptr) manual_ = new ManualWindow(this);
        manual_->openPage(page);
        manual_->show();
        manual_->raise();
        manual_->activateWindow();
    };
    add(help, tr("&Keys"), QKeySequence::HelpContents, [open_manual] {
        open_manual(QStringLiteral("keys"));
    })->setObjectName(QStringLiteral("helpKeys"));
    add(help, tr("&Manual"), {}, [open_manual] { open_manual(QStringLiteral("collisions")); });
    add(help, tr("&Find an action…"), QKeySequence(Qt::CTRL | Qt::Key_J), [this] {
        ActionPalette palette(*menuBar(), this);
        if (palette.exec() == QDialog::Accepted && palette.chosen() != nullptr) palette.chosen()->trigger();
    })->setObjectName(QStringLiteral("findAction"));
    add(help, tr("&About Tavlo"), {}, [this] {
        QMessageBox::about(this, tr("About Tavlo"),
                           tr("Tavlo copies and moves batches of files, and never loses one on the way.\n\nGPL-3.0-or-later"));
    });
}

void MainWindow::buildBatchMenu() {
    const auto add = adder(*this);
    const auto on_bench = adder(*this, &bench_actions_);
    QMenu* batch = menuBar()->addMenu(tr("&Batch"));
    auto* pick = on_bench(batch, tr("&Pick or drop the selected rows"), {}, [this] { gathering_->togglePickOfSelected(); });
    pick->setText(pick->text() + QStringLiteral("\tSpace"));
    on_bench(batch, tr("Pick all files &shown"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_A), [this] { gathering_->pickShown(); });
    on_bench(batch, tr("Pick by &typing"), QKeySequence(Qt::CTRL | Qt::Key_T), [this] { gathering_->focusPickBox(); });
    on_bench(batch, tr("Pick what a &list names…"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_V), [this] { gathering_->pasteList(); });
    add(batch, tr("&Empty the batch"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_E), [this] { bench_->replacePicks({}); });
    batch->addSeparator();
    on_bench(batch, tr("New names &where it is"), QKeySequence(Qt::CTRL | Qt::Key_R), [this] {
        bench_->setOperation(Operation::rename);
        names_->begin();
    });
    on_bench(batch, tr("&Sort into folders by what files tell"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_S), [this] {
        const bool has_folders = goes_elsewhere(bench_->job()) && bench_->job().operation != Operation::pack;
        if (!has_folders) bench_->setOperation(Operation::copy);
        levels_->begin();
    });
    on_bench(batch, tr("&Pack into an archive"), {}, [this] { bench_->setOperation(Operation::pack); });
    on_bench(batch, tr("&Unpack archives"), {}, [this] {
        if (bench_->holdsArchivesAlone()) return bench_->setOperation(Operation::unpack);
        run_line_->say(tr("Pick archives first, and nothing else: what lies in them is unpacked."));
    });
    on_bench(batch, tr("&Remove"), QKeySequence(Qt::CTRL | Qt::Key_Delete), [this] { bench_->setOperation(Operation::remove); });
    batch->addSeparator();
    add(batch, tr("&Keep as a job…"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_J), [this] {
        keepAsJob(bench_->wholeJob());
    })->setObjectName(QStringLiteral("keepAsJob"));
    batch->addSeparator();
    on_bench(batch, tr("&Find in the destination as it will be"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_F),
             [this] { outcome_->focusFilter(); });
    add(batch, tr("&Next undecided"), QKeySequence(Qt::Key_F8), [this] {
        if (below_balance_->currentIndex() == 1)
            collisions_->goToUndecided(false);
        else
            outcome_->goToNextUndecided();
    });
    for (const auto& [words, key, decision] :
         {std::tuple{tr("Skip"), "1", Decision::skip}, std::tuple{tr("Overwrite, the old one to the Safe"), "2", Decision::overwrite},
          std::tuple{tr("Rename the incoming one"), "3", Decision::rename}, std::tuple{tr("Leave undecided"), "0", Decision::undecided}}) {
        auto* action = batch->addAction(words + QLatin1Char('\t') + QLatin1String(key));
        connect(action, &QAction::triggered, this, [this, decision = decision] { outcome_->decideSelected(decision); });
    }
}

void MainWindow::buildViewMenu() {
    const auto add = adder(*this);
    const auto on_bench = adder(*this, &bench_actions_);
    QMenu* view = menuBar()->addMenu(tr("&View"));
    add(view, tr("&Bench"), QKeySequence(Qt::ALT | Qt::Key_1), [this] { goTo(PlaceToBe::bench); });
    add(view, tr("&Collisions"), QKeySequence(Qt::ALT | Qt::Key_2), [this] { goTo(PlaceToBe::collisions); });
    add(view, tr("R&uns"), QKeySequence(Qt::ALT | Qt::Key_3), [this] { goTo(PlaceToBe::runs); });
    add(view, tr("&Receipts"), QKeySequence(Qt::ALT | Qt::Key_4), [this] { goTo(PlaceToBe::receipts); });
    add(view, tr("&Safe"), QKeySequence(Qt::ALT | Qt::Key_5), [this] { goTo(PlaceToBe::safe); });
    add(view, tr("Saved &jobs"), QKeySequence(Qt::ALT | Qt::Key_6), [this] { goTo(PlaceToBe::jobs); });
    add(view, tr("Si&zes: what stands out below the folder on view"), QKeySequence(Qt::ALT | Qt::Key_7), [this] {
        sizes_->weigh(gathering_->folder());
        goTo(PlaceToBe::sizes);
    });
    view->addSeparator();
    on_bench(view, tr("Folder bac&k"), QKeySequence(Qt::ALT | Qt::Key_Left), [this] { gathering_->goBack(); });
    on_bench(view, tr("Folder &forward"), QKeySequence(Qt::ALT | Qt::Key_Right), [this] { gathering_->goForward(); });
    on_bench(view, tr("Folder &above"), QKeySequence(Qt::ALT | Qt::Key_Up), [this] { gathering_->goUp(); });
    add(view, tr("Look &again"), QKeySequence::Refresh, [this] {
        gathering_->model().refresh();
        bench_->lookAgain();
    });
    on_bench(view, tr("&Type a folder's path"), QKeySequence(Qt::CTRL | Qt::Key_L), [this] { gathering_->editLocation(); });
    add(view, tr("Another &window"), QKeySequence::New, [this] { openOther(gathering_->folder()); });
    auto* look = add(view, tr("L&ook at the current file"), QKeySequence(Qt::Key_F6), [] {});
    look->setObjectName(QStringLiteral("lookAction"));
    look->setCheckable(true);
    connect(look, &QAction::toggled, gathering_, &GatheringSide::setLookShown);
    auto* hidden = add(view, tr("&Hidden files"), QKeySequence(Qt::CTRL | Qt::Key_H), [] {});
    hidden->setCheckable(true);
    connect(hidden, &QAction::toggled, this, [this](bool on) { gathering_->model().setHiddenShown(on); });
    view->addSeparator();
    QMenu* looks = view->addMenu(tr("&Looks"));
    auto* group = new QActionGroup(this);
    const int chosen = QSettings().value(QStringLiteral("theme"), 0).toInt();
    int number = 0;
    for (const auto& words : {tr("As the &desktop"), tr("&Light"), tr("D&ark")}) {
        auto* action = looks->addAction(words);
        action->setCheckable(true);
        action->setChecked(number == chosen);
        group->addAction(action);
        connect(action, &QAction::triggered, this, [number] {
            QSettings().setValue(QStringLiteral("theme"), number);
            apply_theme(*qApp, static_cast<ThemeChoice>(number));
        });
        ++number;
    }
}

void MainWindow::askNewFolder() {
    const QString name = QInputDialog::getText(this, tr("New folder"), tr("Name; a/b/c makes one in the other:")).trimmed();
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
    if (line != nullptr && dot > 0) QTimer::singleShot(0, line, [line, dot] { line->setSelection(0, static_cast<int>(dot)); });
    if (dialog.exec() != QDialog::Accepted || dialog.textValue() == shown(name)) return;
    small_jobs_->rename(folder, name, to_bytes(dialog.textValue()));
}

void MainWindow::openPlace(const std::string& path) {
    finder_.ask(
        this, [path](const std::stop_token&) { return found_place(path); },
        [this](const FoundPlace& found) {
            found.name.empty() ? gathering_->openFolder(found.folder) : gathering_->openFolderAt(found.folder, found.name);
            if (!found.missing.empty()) run_line_->say(tr("%1 is not there.").arg(shown(found.missing)));
        });
}

void MainWindow::openOther(const std::string& path) {
    auto* other = new MainWindow(gathering_->folder(), state_folder_, false);
    other->setAttribute(Qt::WA_DeleteOnClose);
    other->show();
    other->openPlace(path);
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
    }
    QMainWindow::changeEvent(event);
}

void MainWindow::keepPlace() {
    keeps_place_ = true;
    restoreGeometry(QSettings().value(geometry_key).toByteArray());  // moved onto a screen that is there, where the old one is not
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (keeps_place_) QSettings().setValue(geometry_key, saveGeometry());
    if (ending_ || !runs_->isLive()) return event->accept();
    const auto answer = QMessageBox::question(
        this, tr("Runs are not through"),
        tr("Pause them and close? What is done stays done; at the next start they are there, and go on when you say so."));
    if (answer != QMessageBox::Yes) return event->ignore();
    runs_->pauseAllForLater();
    event->accept();
}
