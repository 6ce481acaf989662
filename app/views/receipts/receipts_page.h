// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <memory>
#include <string>

#include "keep/receipt.h"
#include "plan/plan.h"
#include "tasks/past_runs.h"

class OutcomeModel;
class QLabel;
class QPushButton;
class QStackedWidget;
class ReceiptItemsModel;
class ReceiptsModel;
class RowView;
class QListView;

/// Past runs, the items of one, and its undo, which is shown as a plan before it is started.
class ReceiptsPage final : public QWidget {
    Q_OBJECT

public:
    explicit ReceiptsPage(PastRuns& past, QWidget* parent = nullptr);
    void refresh();
    void openReceipt(const std::string& id);

signals:
    void said(const QString& words);
    void resumeRequested(const std::string& receipt, const QString& sentence);
    void undoRequested(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence);
    void showRequested(const std::string& receipt);       ///< what it brought in, where that is
    void keepRequested(const tavlo::ReceiptHead& head);   ///< what it did is to be a saved job
    void againRequested(const tavlo::ReceiptHead& head);  ///< the same on the bench again

private:
    QWidget* buildList();
    QWidget* buildDetail();
    void buildActions(class QHBoxLayout& head);
    void connectList();
    void connectItems();
    void connectActions();
    void showList(const std::shared_ptr<const std::vector<tavlo::ReceiptHead>>& listed);
    void show_(const OpenedReceipt& opened);
    void showUndoPlan(const std::shared_ptr<const PlanList>& undo);
    void leaveUndoPlan();
    void askToFree();
    void hideUsual();
    void showResults();
    void offerUndo();
    std::vector<std::uint64_t> chosenNumbers() const;
    int chosenCount() const;  ///< how many; 0 where all are
    void showChosen();
    void fillMoreMenu();
    void fillKeepingMenu();
    void showKeeping();

    PastRuns& past_;
    ReceiptsModel* receipts_;
    ReceiptItemsModel* items_;
    OutcomeModel* undo_items_;
    QListView* list_;
    QLabel* title_;
    QLabel* note_;
    class QLineEdit* search_;
    class QComboBox* results_;
    QPushButton* more_;
    QPushButton* keeping_;
    QPushButton* go_on_;
    QPushButton* undo_;
    QPushButton* undo_now_;
    QPushButton* keep_;
    QPushButton* free_;  ///< asks whether what an undo left in the Safe is to go
    QPushButton* free_now_;
    tavlo::SafeAmount in_safe_;
    QStackedWidget* stack_;
    QLabel* nothing_;
    QLabel* cut_;
    std::shared_ptr<const FoundItems> found_;                        ///< null: nothing is searched for
    std::shared_ptr<const std::vector<std::uint64_t>> with_result_;  ///< null: all results are shown
    RowView* table_;
    EachWorker printer_;
    tavlo::ReceiptHead head_;
    std::shared_ptr<const tavlo::Plan> undo_plan_;
    std::string wanted_;
    std::ptrdiff_t undos_ = 0;  ///< of the receipt on view, of all of it or of some
};
