#pragma once

#include <QMainWindow>
#include <string>

#include "views/place_strip.h"

class BalanceBar;
class Bench;
class GatheringSide;
class InstructionLine;
class OutcomeSide;
class PastRuns;
class QStackedWidget;
class ReceiptsPage;
class RunLine;
class Runs;

/// The window: layout and wiring of its parts, no decisions of its own.
class MainWindow final : public QMainWindow {
    Q_OBJECT

public:
    /// folder         where the gathering side opens
    /// state_folder   where receipts and the Safe's index are kept
    MainWindow(const std::string& folder, const std::string& state_folder);
    ~MainWindow() override;

    Bench& bench() { return *bench_; }
    Runs& runs() { return *runs_; }
    GatheringSide& gathering() { return *gathering_; }
    OutcomeSide& outcome() { return *outcome_; }

protected:
    void closeEvent(QCloseEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void buildMenus();
    void goTo(PlaceToBe place);
    void start();
    void putInHand(bool cut);
    void paste();

    Bench* bench_;
    Runs* runs_;
    PastRuns* past_;
    PlaceStrip* strip_;
    InstructionLine* instruction_;
    BalanceBar* balance_;
    GatheringSide* gathering_;
    OutcomeSide* outcome_;
    ReceiptsPage* receipts_;
    RunLine* run_line_;
    QStackedWidget* places_;
};
