// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QActionGroup>
#include <QApplication>
#include <QLineEdit>
#include <QMenuBar>
#include <QMessageBox>
#include <QStackedWidget>

#include "files/path.h"
#include "models/folder_model.h"
#include "tasks/bench.h"
#include "tasks/keeping.h"
#include "tasks/runs.h"
#include "tasks/settings.h"
#include "tasks/small_jobs.h"
#include "text.h"
#include "theme/theme.h"
#include "views/bench/balance_bar.h"
#include "views/bench/folder_levels_panel.h"
#include "views/bench/instruction_line.h"
#include "views/bench/name_steps_panel.h"
#include "views/collisions/collisions_page.h"
#include "views/gathering/gathering_side.h"
#include "views/help/action_palette.h"
#include "views/help/manual_window.h"
#include "views/jobs/jobs_page.h"
#include "views/main_window.h"
#include "views/outcome/outcome_side.h"
#include "views/runs/run_line.h"
#include "views/safe/safe_page.h"
#include "views/settings/settings_dialog.h"
#include "views/sizes/sizes_page.h"

// The menus: every action, with its key.

using namespace tavlo;

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
    buildFileMenu();
    buildEditMenu();
    buildBatchMenu();
    buildViewMenu();
    buildHelpMenu();
}

void MainWindow::buildFileMenu() {
    const auto add = adder(*this);
    QMenu* file = menuBar()->addMenu(tr("&File"));
    start_ = add(file, tr("&Start"), QKeySequence(Qt::CTRL | Qt::Key_Return), [this] { start(); });
    add(file, tr("Choose the &destination…"), QKeySequence(Qt::CTRL | Qt::Key_D), [this] {
        goTo(PlaceToBe::bench);
        instruction_->chooseDestination();
    });
    add(file, tr("Put into the folder &shown"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_D),
        [this] { bench_->setDestination(gathering_->folder()); });
    add(file, tr("&Write the outcome to a file…"), QKeySequence(Qt::CTRL | Qt::Key_S),
        [this] { outcome_->exportTo(); });
    add(file, tr("&Print the outcome…"), QKeySequence::Print, [this] { outcome_->print(); });
    file->addSeparator();
    auto* early = add(file, tr("Copies begin while they are &counted"), {}, [] {});
    early->setObjectName(QStringLiteral("withoutWaiting"));
    early->setCheckable(true);
    connect(early, &QAction::toggled, this, [this](bool on) {
        instruction_->setWithoutWaiting(on);
        Settings set = Settings::load();
        set.without_waiting = on;
        set.save();
    });
    early->setChecked(Settings::load().without_waiting);
    early_ = early;
    file->addSeparator();
    add(file, tr("S&ettings…"), QKeySequence(Qt::CTRL | Qt::Key_Comma), [this] {
        askSettings();
    })->setObjectName(QStringLiteral("settings"));
    file->addSeparator();
    add(file, tr("&Quit"), QKeySequence::Quit, [this] { close(); });
}

/// With what they are about in a sentence of its own, whose words stand as each language wants them.
void MainWindow::addHistory(QMenu& menu) {
    QUndoStack& history = bench_->history();
    auto* undo = menu.addAction(tr("Undo"));
    undo->setShortcut(QKeySequence::Undo);
    auto* redo = menu.addAction(tr("Do again"));
    redo->setShortcut(QKeySequence::Redo);
    const auto show = [this, &history, undo, redo] {
        const QString undone = history.undoText();
        const QString redone = history.redoText();
        undo->setText(undone.isEmpty() ? tr("Undo") : tr("Undo: %1").arg(undone));
        redo->setText(redone.isEmpty() ? tr("Do again") : tr("Do again: %1").arg(redone));
        undo->setEnabled(history.canUndo());
        redo->setEnabled(history.canRedo());
    };
    connect(&history, &QUndoStack::indexChanged, this, show);
    connect(undo, &QAction::triggered, &history, &QUndoStack::undo);
    connect(redo, &QAction::triggered, &history, &QUndoStack::redo);
    show();
}

void MainWindow::buildEditMenu() {
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
    QMenu* edit = menuBar()->addMenu(tr("&Edit"));
    addHistory(*edit);
    edit->addSeparator();
    on_bench(edit, tr("C&ut: take in hand to move"), QKeySequence::Cut,
             unless_typing([this] { putInHand(true); }, &QLineEdit::cut));
    on_bench(edit, tr("&Copy: take in hand to copy"), QKeySequence::Copy,
             unless_typing([this] { putInHand(false); }, &QLineEdit::copy));
    on_bench(edit, tr("&Paste: put into the folder shown"), QKeySequence::Paste,
             unless_typing([this] { paste(); }, &QLineEdit::paste));
    edit->addSeparator();
    on_bench(edit, tr("&Select the others instead"), QKeySequence(Qt::CTRL | Qt::Key_I),
             [this] { gathering_->invertSelection(); });
    add(edit, tr("&Filter names here"), QKeySequence::Find, [this] { focusFilter(); });
    edit->addSeparator();
    on_bench(edit, tr("&New folder…"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_N),
             [this] { askNewFolder(); });
    on_bench(edit, tr("&Rename…"), QKeySequence(Qt::Key_F2), [this] {
        if (outcome_->listHasFocus()) return outcome_->typeName();
        const auto paths = gathering_->selectedPaths();
        if (paths.size() == 1 && gathering_->listHasFocus())
            askRename(std::string(parent_of(paths[0])), std::string(name_of(paths[0])));
    });
    on_bench(edit, tr("Move to the &trash"), QKeySequence::Delete,
             unless_typing(
                 [this] {
                     if (gathering_->listHasFocus()) small_jobs_->trash(gathering_->selectedPaths());
                 },
                 &QLineEdit::del));
}

void MainWindow::buildHelpMenu() {
    const auto add = adder(*this);
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
                           tr("Tavlo copies and moves batches of files, and never loses one on the "
                              "way.\n\nGPL-3.0-or-later"));
    });
}

void MainWindow::buildBatchMenu() {
    const auto add = adder(*this);
    const auto on_bench = adder(*this, &bench_actions_);
    QMenu* batch = menuBar()->addMenu(tr("&Batch"));
    auto* pick = on_bench(batch, tr("&Pick or drop the selected rows"), {},
                          [this] { gathering_->togglePickOfSelected(); });
    pick->setText(pick->text() + QStringLiteral("\tSpace"));
    on_bench(batch, tr("Pick all files &shown"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_A),
             [this] { gathering_->pickShown(); });
    on_bench(batch, tr("Pick by &typing"), QKeySequence(Qt::CTRL | Qt::Key_T),
             [this] { gathering_->focusPickBox(); });
    on_bench(batch, tr("Pick what a &list names…"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_V),
             [this] { gathering_->pasteList(); });
    add(batch, tr("&Empty the batch"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_E),
        [this] { bench_->replacePicks({}); });
    batch->addSeparator();
    on_bench(batch, tr("New names &where it is"), QKeySequence(Qt::CTRL | Qt::Key_R), [this] {
        bench_->setOperation(Operation::rename);
        names_->begin();
    });
    on_bench(batch, tr("&Sort into folders by what files tell"),
             QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_S), [this] {
                 const bool has_folders =
                     goes_elsewhere(bench_->job()) && bench_->job().operation != Operation::pack;
                 if (!has_folders) bench_->setOperation(Operation::copy);
                 levels_->begin();
             });
    on_bench(batch, tr("&Pack into an archive"), {}, [this] { bench_->setOperation(Operation::pack); });
    on_bench(batch, tr("&Unpack archives"), {}, [this] {
        if (bench_->picks().areArchivesAlone()) return bench_->setOperation(Operation::unpack);
        run_line_->say(tr("Pick archives first, and nothing else: what lies in them is unpacked."));
    });
    on_bench(batch, tr("&Remove"), QKeySequence(Qt::CTRL | Qt::Key_Delete),
             [this] { bench_->setOperation(Operation::remove); });
    QMenu* others = batch->addMenu(tr("&Hand over to another window"));
    others->setObjectName(QStringLiteral("handOver"));
    connect(others, &QMenu::aboutToShow, this, [this, others] { fillOthers(*others); });
    batch->addSeparator();
    add(batch, tr("&Keep as a job…"), QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_J), [this] {
        keepAsJob(bench_->wholeJob());
    })->setObjectName(QStringLiteral("keepAsJob"));
    batch->addSeparator();
    on_bench(batch, tr("&Find in the destination as it will be"),
             QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_F), [this] { outcome_->focusFilter(); });
    add(batch, tr("&Next undecided"), QKeySequence(Qt::Key_F8), [this] {
        if (below_balance_->currentIndex() == 1)
            collisions_->goToUndecided(false);
        else
            outcome_->goToNextUndecided();
    });
    for (const auto& [words, key, decision] :
         {std::tuple{tr("Skip"), "1", Decision::skip},
          std::tuple{tr("Overwrite, the old one to the Safe"), "2", Decision::overwrite},
          std::tuple{tr("Rename the incoming one"), "3", Decision::rename},
          std::tuple{tr("Leave undecided"), "0", Decision::undecided}}) {
        auto* action = batch->addAction(words + QLatin1Char('\t') + QLatin1String(key));
        connect(action, &QAction::triggered, this,
                [this, decision = decision] { outcome_->decideSelected(decision); });
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
    add(view, tr("Si&zes: what stands out below the folder on view"), QKeySequence(Qt::ALT | Qt::Key_7),
        [this] {
            sizes_->weigh(gathering_->folder());
            goTo(PlaceToBe::sizes);
        });
    view->addSeparator();
    on_bench(view, tr("Folder bac&k"), QKeySequence(Qt::ALT | Qt::Key_Left),
             [this] { gathering_->goBack(); });
    on_bench(view, tr("Folder &forward"), QKeySequence(Qt::ALT | Qt::Key_Right),
             [this] { gathering_->goForward(); });
    on_bench(view, tr("Folder &above"), QKeySequence(Qt::ALT | Qt::Key_Up), [this] { gathering_->goUp(); });
    add(view, tr("Look &again"), QKeySequence::Refresh, [this] {
        gathering_->model().refresh();
        bench_->lookAgain();
    });
    on_bench(view, tr("&Type a folder's path"), QKeySequence(Qt::CTRL | Qt::Key_L),
             [this] { gathering_->editLocation(); });
    add(view, tr("Another &window"), QKeySequence::New, [this] { openOther(gathering_->folder()); });
    auto* look = add(view, tr("L&ook at the current file"), QKeySequence(Qt::Key_F6), [] {});
    look->setObjectName(QStringLiteral("lookAction"));
    look->setCheckable(true);
    connect(look, &QAction::toggled, gathering_, &GatheringSide::setLookShown);
    auto* pictures = add(view, tr("The folder as small &pictures"), QKeySequence(Qt::Key_F9), [] {});
    pictures->setObjectName(QStringLiteral("picturesAction"));
    pictures->setCheckable(true);
    pictures->setChecked(gathering_->showsPictures());
    connect(pictures, &QAction::toggled, gathering_, &GatheringSide::setAsPictures);
    connect(gathering_, &GatheringSide::asPicturesChanged, pictures, &QAction::setChecked);
    auto* hidden = add(view, tr("&Hidden files"), QKeySequence(Qt::CTRL | Qt::Key_H), [] {});
    hidden->setCheckable(true);
    connect(hidden, &QAction::toggled, this, [this](bool on) { gathering_->model().setHiddenShown(on); });
    view->addSeparator();
    addLooks(*view);
}

void MainWindow::addLooks(QMenu& view) {
    QMenu* looks = view.addMenu(tr("&Looks"));
    auto* group = new QActionGroup(this);
    const int chosen = Settings::load().looks;
    int number = 0;
    for (const auto& words : {tr("As the &desktop"), tr("&Light"), tr("D&ark")}) {
        auto* action = looks->addAction(words);
        action->setCheckable(true);
        action->setChecked(number == chosen);
        group->addAction(action);
        looks_ << action;
        connect(action, &QAction::triggered, this, [number] {
            Settings set = Settings::load();
            set.looks = number;
            set.save();
            apply_theme(*qApp, static_cast<ThemeChoice>(number));
        });
        ++number;
    }
}

void MainWindow::askSettings() {
    SettingsDialog dialog(Settings::load(), this);
    if (dialog.exec() != QDialog::Accepted) return;
    Settings wanted = dialog.wanted();
    // what would leave the Safe by itself sooner than now is asked about there, where it is said what that is
    const int before = Settings::load().keeping.safe_days;
    const int days = wanted.keeping.safe_days;
    const bool leaves_sooner = days > 0 && (before == 0 || days < before);
    if (leaves_sooner) wanted.keeping.safe_days = before;
    wanted.save();
    early_->setChecked(wanted.without_waiting);
    looks_[wanted.looks]->setChecked(true);
    apply_theme(*qApp, static_cast<ThemeChoice>(wanted.looks));
    runs_->limitAll(wanted.rate_limit);
    bench_->beginWith(wanted.first_rule, wanted.reads_back);
    keeping_->lookAtSafe(wanted.keeping);  // ages count from the next start on
    if (!leaves_sooner) return safe_->refresh();
    goTo(PlaceToBe::safe);
    safe_->proposeAge(days);
}
