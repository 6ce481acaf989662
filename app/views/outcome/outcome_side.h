// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <optional>

#include "models/outcome_model.h"
#include "plan/words.h"
#include "tasks/watched_folder.h"
#include "tasks/worker.h"

class BatchView;
class Bench;
class QLabel;
class QLineEdit;
class QMenu;
class QPushButton;
class QStackedWidget;
class RowView;

/// The destination as it will be: what is there already, what arrives, and where they meet both, with the
/// decision beside them; or the batch as a flat list.
class OutcomeSide final : public QWidget {
    Q_OBJECT

public:
    explicit OutcomeSide(Bench& bench, QWidget* parent = nullptr);
    OutcomeModel& model() { return *model_; }
    BatchView& batchView() { return *batch_view_; }
    void showBatch(bool batch);
    void showInHand();
    void focusFilter();
    void exportTo();
    void print();
    void showShare(std::optional<Share> share);
    void decideSelected(tavlo::Decision decision);
    /// The name of the current row is typed over.
    void typeName();
    /// That of the only item.
    void typeOnlyName();
    bool listHasFocus() const;
    void goToNextUndecided();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void changeEvent(QEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

signals:
    /// Another program changed the destination while one looks at it.
    void destinationChanged();
    void said(const QString& words);

private:
    void buildHead(class QVBoxLayout& column);
    void buildList();
    void buildFoot(class QVBoxLayout& column);
    void connectModel();
    void showPlan();
    void refreshTitle();
    void refreshSummary();
    void refreshEmpty();
    QStringList amounts() const;
    void openMenu(const QPoint& at);
    void offerFacts(QMenu& menu);
    void askFact(const std::vector<tavlo::ItemId>& items, const std::string& fact);
    std::string pathOf(int row) const;
    void refresh();
    QString firstSteps() const;
    QString titleInPlace() const;
    void watchDestination();
    void decide(const std::vector<tavlo::ItemId>& items, tavlo::Decision decision);
    std::vector<tavlo::ItemId> selectedItems() const;

    Bench& bench_;
    OutcomeModel* model_;
    RowView* list_;
    QLabel* title_;
    QLabel* summary_;
    QLabel* to_settle_;
    QLabel* empty_ = nullptr;
    QPushButton* as_destination_;
    QPushButton* as_batch_;
    QPushButton* in_hand_;
    BatchView* batch_view_;
    QStackedWidget* pages_;
    QLineEdit* filter_;
    WatchedFolder watched_;  ///< the destination
    LatestWorker reader_;
    EachWorker exporter_;
    QPushButton* next_;
    QPushButton* adapt_;
};
