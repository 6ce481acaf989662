// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QMainWindow>
#include <optional>
#include <string>
#include <vector>

#include "job/job.h"
#include "keep/receipt.h"
#include "tasks/worker.h"
#include "views/place_strip.h"

class BalanceBar;
class CollisionsPage;
class DesktopNotes;
class SafePage;
class SizesPage;
class SafeVersions;
class Bench;
class GatheringSide;
class Keeping;
class ManualWindow;
class FolderLevelsPanel;
class NameStepsPanel;
class InstructionLine;
class OutcomeSide;
class PastRuns;
class QStackedWidget;
class ReceiptsPage;
class RunLine;
class JobBanner;
class JobRuns;
class JobsPage;
class RunsPage;
class SavedJobs;
class Runs;
class SmallJobs;

/// The window: layout and wiring of its parts, no decisions of its own.
class MainWindow final : public QMainWindow {
    Q_OBJECT

public:
    /// folder         where the gathering side opens
    /// state_folder   where receipts and the Safe's index are kept
    /// take_up        begins with the batch as it was when the last window was closed
    MainWindow(const std::string& folder, const std::string& state_folder);
    ~MainWindow() override;

    /// Opens a folder, or the folder of a file with that selected; what is not there is said, and the nearest
    /// folder opened.
    void openPlace(const std::string& path);
    /// The same in another window.
    void openOther(const std::string& path);
    /// Says that programs of Tavlo's own cannot be started (missing_helpers()); nothing where there are none.
    void reportMissing(const std::vector<std::string>& helpers);
    void handOver(MainWindow& other);  ///< what is in hand
    /// Closes without asking anybody: runs pause, and are there at the next start.
    void endNow();
    /// Stands where it stood, as large as it was, when it was closed last.
    void keepPlace();

    Bench& bench() { return *bench_; }
    Runs& runs() { return *runs_; }
    GatheringSide& gathering() { return *gathering_; }
    CollisionsPage& collisions() { return *collisions_; }
    OutcomeSide& outcome() { return *outcome_; }
    RunsPage& runsPage() { return *runs_page_; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void buildFrame();
    void buildBenchPage();
    void buildOtherPages();
    void buildMenus();
    void askSettings();
    void connectBench();
    void connectFolder();
    void connectRuns();
    void connectPast();
    void connectSizes();
    void connectJobs();
    bool takeReceipt(const tavlo::ReceiptHead& head);
    void keepAsJob(const tavlo::Job& job);
    std::optional<tavlo::Job> takingWhatFits(const tavlo::Job& job) const;
    void goTo(PlaceToBe place);
    void start();
    void focusFilter();
    void buildFileMenu();
    void fillOthers(class QMenu& menu);
    void addLooks(class QMenu& view);
    void buildEditMenu();
    void addHistory(QMenu& menu);
    void buildBatchMenu();
    void buildHelpMenu();
    void buildViewMenu();
    void askNewFolder();
    void askRename(const std::string& folder, const std::string& name);
    void putInHand(bool cut);
    void paste(std::optional<bool> move = std::nullopt);  ///< nullopt: as the clipboard says

    Bench* bench_;
    Runs* runs_;
    PastRuns* past_;
    SmallJobs* small_jobs_;
    std::string state_folder_;
    LatestWorker finder_;
    bool ending_ = false;
    bool keeps_place_ = false;
    PlaceStrip* strip_;
    InstructionLine* instruction_;
    BalanceBar* balance_;
    NameStepsPanel* names_;
    FolderLevelsPanel* levels_;
    SizesPage* sizes_;
    SavedJobs* saved_jobs_;
    JobRuns* job_runs_;
    JobsPage* jobs_;
    JobBanner* job_banner_;
    ManualWindow* manual_ = nullptr;  ///< made when somebody opens it
    DesktopNotes* notes_;
    SafeVersions* versions_;
    Keeping* keeping_;
    SafePage* safe_;
    CollisionsPage* collisions_;
    QStackedWidget* below_balance_;  ///< the two sides, or the collisions
    GatheringSide* gathering_;
    OutcomeSide* outcome_;
    QWidget* bench_page_;
    RunsPage* runs_page_;
    ReceiptsPage* receipts_;
    RunLine* run_line_;
    QStackedWidget* places_;
    QAction* start_;
    QAction* early_;  ///< copies begin while they are counted
    QList<QAction*> looks_;
    std::vector<QAction*> bench_actions_;  ///< about the two sides: not while another place is on view
};
