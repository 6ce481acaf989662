#include "views/run_line.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <utility>

#include "tasks/runs.h"
#include "text.h"

using namespace tavlo;

RunLine::RunLine(Runs& runs, QWidget* parent) : QWidget(parent), runs_(runs) {
    setObjectName(QStringLiteral("runLine"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(tr("Run"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(16, 5, 16, 5);
    row->setSpacing(12);
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("runWords"));
    words_->setTextFormat(Qt::PlainText);
    bar_ = new QProgressBar;
    bar_->setTextVisible(false);
    bar_->setFixedSize(210, 6);
    bar_->setRange(0, 1000);
    bar_->setAccessibleName(tr("Progress"));
    amounts_ = new QLabel;
    amounts_->setObjectName(QStringLiteral("runAmounts"));
    stop_ = new QPushButton(tr("Stop"));
    stop_->setObjectName(QStringLiteral("stopRun"));
    stop_->setToolTip(tr("Stops between two items; what is done stays done and can be undone"));
    details_ = new QPushButton(tr("Receipt"));
    details_->setObjectName(QStringLiteral("runReceipt"));
    go_on_ = new QPushButton(tr("Go on"));
    go_on_->setObjectName(QStringLiteral("goOn"));
    close_ = new QPushButton(tr("Close"));
    close_->setObjectName(QStringLiteral("closeRun"));
    row->addWidget(words_);
    row->addWidget(bar_);
    row->addWidget(amounts_, 1);
    for (QPushButton* button : {stop_, go_on_, details_, close_}) row->addWidget(button);
    hide();
    connect(&runs_, &Runs::progressed, this, &RunLine::refresh);
    connect(&runs_, &Runs::finished, this, [this](const auto&, const ReceiptHead& head, const auto&) { showEnd(head); });
    connect(&runs_, &Runs::failed, this, &RunLine::showProblem);
    connect(stop_, &QPushButton::clicked, &runs_, &Runs::stop);
    connect(details_, &QPushButton::clicked, this, [this] { emit receiptRequested(receipt_); });
    connect(&runs_, &Runs::interruptedFound, this, &RunLine::offer);
    connect(go_on_, &QPushButton::clicked, this, &RunLine::goOn);
    connect(close_, &QPushButton::clicked, this, &QWidget::hide);
}

void RunLine::refresh() {
    if (runs_.isIdle()) return;  // what came of the last one stays on view
    const RunStatus& status = runs_.status();
    const Totals planned = status.plan ? status.plan->totals : Totals{};
    words_->setText(status.sentence);
    go_on_->hide();
    const double part = planned.bytes > 0
                            ? static_cast<double>(status.bytes_done) / static_cast<double>(planned.bytes)
                            : static_cast<double>(status.items_done) / static_cast<double>(std::max<std::uint64_t>(1, planned.items));
    bar_->setValue(static_cast<int>(std::min(1.0, part) * 1000));
    const auto counted = [&](const Counted& so_far) {
        const QString done = tr("%1 of %2").arg(count_text(status.items_done), count_text(so_far.items));
        return so_far.all ? done : tr("%1 so far, still counting").arg(done);
    };
    if (status.counted && status.counted->items > 0)
        bar_->setValue(static_cast<int>(std::min<std::uint64_t>(1000, status.items_done * 1000 / status.counted->items)));
    QStringList amounts{status.counted ? counted(*status.counted)
                        : status.plan  ? tr("%1 of %2").arg(count_text(status.items_done), count_text(planned.items))
                                       : count_text(status.items_done)};
    if (status.bytes_per_second > 0 && status.plan) {
        amounts << tr("%1/s").arg(size_text(static_cast<std::uint64_t>(status.bytes_per_second)));
        const auto left = static_cast<double>(planned.bytes - std::min(planned.bytes, status.bytes_done)) / status.bytes_per_second;
        amounts << tr("%Ln s left", nullptr, static_cast<int>(left) + 1);
    }
    if (status.waiting > 0) amounts << tr("%Ln waiting", nullptr, status.waiting);
    amounts_->setText(amounts.join(QStringLiteral(" · ")));
    for (QWidget* part_of_it : {static_cast<QWidget*>(bar_), static_cast<QWidget*>(stop_)}) part_of_it->show();
    for (QWidget* later : {details_, close_}) later->hide();
    show();
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
    add(Outcome::created, head.operation == Operation::move ? tr("%Ln moved", nullptr, number(Outcome::created))
                                                            : tr("%Ln copied", nullptr, number(Outcome::created)));
    add(Outcome::overwritten, tr("%Ln overwritten, old ones in the Safe", nullptr, number(Outcome::overwritten)));
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
    go_on_->setVisible(stopped);
    QString state = stopped ? tr("Stopped") : tr("Done");
    if (!head.waits_for.empty()) state = tr("Paused, %1").arg(shown(head.waits_for));
    words_->setText(tr("%1: %2").arg(state, parts.isEmpty() ? tr("nothing to do") : parts.join(QStringLiteral(" · "))));
    amounts_->clear();
    bar_->hide();
    stop_->hide();
    details_->show();
    close_->show();
    show();
}

/// What was under way when the program or the machine went down, and one click to finish it.
void RunLine::offer(const std::vector<ReceiptHead>& heads) {
    if (!runs_.isIdle()) return;
    to_go_on_.clear();
    for (const ReceiptHead& head : heads) to_go_on_.emplace_back(head.id, shown(head.sentence));
    receipt_ = heads.front().id;
    words_->setText(
        heads.size() == 1
            ? tr("Interrupted: %1 Nothing is lost; going on finishes or takes back what was open.").arg(shown(heads.front().sentence))
            : tr("%Ln runs were interrupted. Nothing is lost; going on finishes or takes back what was open.", nullptr,
                 static_cast<int>(heads.size())));
    amounts_->clear();
    bar_->hide();
    stop_->hide();
    for (QWidget* offered : {go_on_, details_, close_}) offered->show();
    show();
}

void RunLine::goOn() {
    for (const auto& [receipt, sentence] : std::exchange(to_go_on_, {})) runs_.resume(receipt, sentence);
}

void RunLine::showProblem(const QString& why) { say(tr("The run could not go on: %1").arg(why)); }

void RunLine::say(const QString& words) {
    if (!runs_.isIdle() || !to_go_on_.empty()) return;  // what is on offer there matters more
    go_on_->hide();
    words_->setText(words);
    amounts_->clear();
    bar_->hide();
    stop_->hide();
    details_->hide();
    close_->show();
    show();
}
