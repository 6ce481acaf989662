// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/runs/run_line.h"

#include <QAccessible>
#include <QHBoxLayout>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <algorithm>
#include <utility>

#include "tasks/runs.h"
#include "text.h"
#include "theme/theme.h"
#include "views/parts/elided_label.h"
#include "views/parts/spacing.h"
#include "views/runs/lane_words.h"

using namespace tavlo;

RunLine::RunLine(Runs& runs, QWidget* parent) : QWidget(parent), runs_(runs) {
    setObjectName(QStringLiteral("runLine"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(tr("Run"));
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::bar, Gap::apart);
    words_ = new ElidedLabel;
    words_->setObjectName(QStringLiteral("runWords"));
    bar_ = new QProgressBar;
    bar_->setTextVisible(false);
    bar_->setFixedSize(140, 6);
    bar_->setRange(0, 1000);
    bar_->setAccessibleName(tr("Progress"));
    amounts_ = new ElidedLabel;
    amounts_->setObjectName(QStringLiteral("runAmounts"));
    stop_ = new QPushButton(tr("Stop"));
    stop_->setObjectName(QStringLiteral("stopRun"));
    stop_->setToolTip(tr("Stops between two items; what is done stays done and can be undone"));
    pause_ = new QPushButton(tr("Pause"));
    pause_->setObjectName(QStringLiteral("pauseRun"));
    all_ = new QPushButton(tr("Runs"));
    all_->setObjectName(QStringLiteral("showRuns"));
    all_->setToolTip(tr("All runs, with what was done so far"));
    details_ = new QPushButton(tr("Receipt"));
    details_->setObjectName(QStringLiteral("runReceipt"));
    there_ = new QPushButton(tr("Show it there"));
    there_->setObjectName(QStringLiteral("runShow"));
    there_->setToolTip(tr("Opens the place where it went, with what came in marked"));
    connect(there_, &QPushButton::clicked, this, [this] { emit showRequested(receipt_); });
    go_on_ = new QPushButton(tr("Go on"));
    go_on_->setObjectName(QStringLiteral("goOn"));
    close_ = new QPushButton(tr("Close"));
    close_->setObjectName(QStringLiteral("closeRun"));
    row->addWidget(words_, 1);
    row->addWidget(bar_);
    row->addWidget(amounts_);
    row->addStretch(0);
    for (QPushButton* button : {all_, pause_, stop_, go_on_, there_, details_, close_})
        row->addWidget(button);
    rest();
    connect(&runs_, &Runs::progressed, this, &RunLine::refresh);
    connect(&runs_, &Runs::finished, this, [this](const RunEnd& end) { showEnd(*end.head); });
    connect(&runs_, &Runs::failed, this, &RunLine::showProblem);
    connect(stop_, &QPushButton::clicked, this, [this] {
        if (RunLane* lane = laneAtHand()) runs_.stop(*lane, RunLane::After::keep);
    });
    connect(pause_, &QPushButton::clicked, this, [this] {
        if (RunLane* lane = laneAtHand()) runs_.pause(*lane);
        refresh();
    });
    connect(all_, &QPushButton::clicked, this, &RunLine::runsRequested);
    connect(details_, &QPushButton::clicked, this, [this] { emit receiptRequested(receipt_); });
    connect(&runs_, &Runs::interruptedFound, this, &RunLine::offer);
    connect(go_on_, &QPushButton::clicked, this, &RunLine::goOn);
    connect(close_, &QPushButton::clicked, this, &RunLine::rest);
}

QSize RunLine::withRoomForButtons(const QSize& size) const {
    const QMargins around = layout()->contentsMargins();
    return {size.width(),
            std::max(size.height(), close_->sizeHint().height() + around.top() + around.bottom())};
}

void RunLine::rest() {
    words_->setText(tr("Nothing is going on"));
    words_->setAccessibleName(QString());
    set_tone(*words_, "muted");
    amounts_->clear();
    showOnly({});
}

/// The first that goes, else the first that waits.
RunLane* RunLine::laneAtHand() const {
    for (const auto state : {LaneState::running, LaneState::stopping, LaneState::waiting})
        for (const auto& lane : runs_.lanes())
            if (lane->status().state == state) return lane.get();
    return nullptr;
}

void RunLine::refresh() {
    RunLane* lane = laneAtHand();
    if (lane == nullptr) {
        if (!bar_->isHidden()) rest();  // all are paused; what came of the last one stays on view
        return;
    }
    const LaneStatus& status = lane->status();
    words_->setText(status.sentence);
    bar_->setValue(static_cast<int>(done_part(status) * 1000));
    QStringList amounts{amounts_words(status)};
    if (status.bytes_per_second > 0) amounts << rate_words(status.bytes_per_second);
    if (status.left) amounts << left_words(*status.left);
    int running = 0;
    int waiting = 0;
    for (const auto& other : runs_.lanes()) {
        if (other.get() == lane) continue;
        running += other->status().state == LaneState::running ? 1 : 0;
        waiting += other->status().state == LaneState::waiting ? 1 : 0;
    }
    if (running > 0) amounts << tr("%Ln more going on", nullptr, running);
    if (waiting > 0) amounts << tr("%Ln waiting", nullptr, waiting);
    amounts_->setText(amounts.join(QStringLiteral(" · ")));
    pause_->setEnabled(status.state != LaneState::stopping);
    stop_->setEnabled(status.state != LaneState::stopping);
    showOnly({bar_, pause_, stop_, all_});
}

/// Said to whoever does not see it, without anybody looking for it.
void RunLine::announce() {
    words_->setAccessibleName(words_->text());
    QAccessibleEvent alert(words_, QAccessible::Alert);
    QAccessible::updateAccessibility(&alert);
}

/// Of what stands beside the words, these and nothing else.
void RunLine::showOnly(std::initializer_list<QWidget*> wanted) {
    for (QWidget* part :
         std::initializer_list<QWidget*>{bar_, all_, pause_, stop_, go_on_, there_, details_, close_})
        part->setVisible(std::find(wanted.begin(), wanted.end(), part) != wanted.end());
    if (wanted.size() > 0) set_tone(*words_, "ink");
}

void RunLine::showEnd(const ReceiptHead& head) {
    if (!runs_.isIdle()) return;
    receipt_ = head.id;
    const Totals& totals = head.totals;
    QStringList parts;
    const auto add = [&](Outcome outcome, const QString& words) {
        if (totals.of(outcome) > 0) parts << words;
    };
    const auto number = [&](Outcome outcome) { return static_cast<int>(totals.of(outcome)); };
    add(Outcome::created,
        head.operation == Operation::move   ? tr("%Ln moved", nullptr, number(Outcome::created))
        : head.operation == Operation::pack ? tr("%Ln packed", nullptr, number(Outcome::created))
                                            : tr("%Ln copied", nullptr, number(Outcome::created)));
    add(Outcome::overwritten,
        tr("%Ln overwritten, old ones in the Safe", nullptr, number(Outcome::overwritten)));
    add(Outcome::renamed, tr("%Ln renamed", nullptr, number(Outcome::renamed)));
    add(Outcome::merged, tr("%Ln folders merged", nullptr, number(Outcome::merged)));
    add(Outcome::restored, tr("%Ln put back", nullptr, number(Outcome::restored)));
    add(Outcome::removed, tr("%Ln taken away", nullptr, number(Outcome::removed)));
    add(Outcome::skipped, tr("%Ln skipped", nullptr, number(Outcome::skipped)));
    add(Outcome::undecided, tr("%Ln undecided", nullptr, number(Outcome::undecided)));
    add(Outcome::failed, tr("%Ln failed", nullptr, number(Outcome::failed)));
    const bool stopped = head.state == RunState::stopped;
    to_go_on_.clear();
    if (stopped) to_go_on_.emplace_back(head.id, shown(head.sentence));
    QString state = stopped ? tr("Stopped") : tr("Done");
    if (!head.waits_for.empty()) state = tr("Paused, %1").arg(shown(head.waits_for));
    words_->setText(
        tr("%1: %2").arg(state, parts.isEmpty() ? tr("nothing to do") : parts.join(QStringLiteral(" · "))));
    amounts_->clear();
    const bool brought_in =
        number(Outcome::created) + number(Outcome::overwritten) + number(Outcome::renamed) > 0;
    showOnly({details_, close_});
    go_on_->setVisible(stopped);
    there_->setVisible(brought_in && head.operation != Operation::pack);
    announce();
}

/// What was under way when the program or the machine went down, and one click to finish it.
void RunLine::offer(const std::vector<ReceiptHead>& heads) {
    if (!runs_.isIdle()) return;
    to_go_on_.clear();
    for (const ReceiptHead& head : heads) to_go_on_.emplace_back(head.id, shown(head.sentence));
    receipt_ = heads.front().id;
    const bool paused =
        std::all_of(heads.begin(), heads.end(), [](const ReceiptHead& head) { return head.paused; });
    const int count = static_cast<int>(heads.size());
    if (paused && count == 1)
        words_->setText(tr("Paused since the last time: %1").arg(shown(heads.front().sentence)));
    else if (paused)
        words_->setText(tr("%Ln runs are paused since the last time.", nullptr, count));
    else
        words_->setText(
            heads.size() == 1
                ? tr("Interrupted: %1 Nothing is lost; going on finishes or takes back what was open.")
                      .arg(shown(heads.front().sentence))
                : tr("%Ln runs were interrupted. Nothing is lost; going on finishes or takes back what was "
                     "open.",
                     nullptr, count));
    amounts_->clear();
    showOnly({go_on_, details_, close_});
    announce();
}

void RunLine::goOn() {
    for (const auto& [receipt, sentence] : std::exchange(to_go_on_, {})) runs_.resume(receipt, sentence);
}

void RunLine::showProblem(const QString& why) { say(tr("The run could not go on: %1").arg(why)); }

void RunLine::say(const QString& words) {
    if (!runs_.isIdle() || !to_go_on_.empty()) return;  // what is on offer there matters more
    words_->setText(words);
    amounts_->clear();
    showOnly({close_});
    announce();
}
