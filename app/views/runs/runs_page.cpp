// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/runs/runs_page.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <algorithm>

#include "drawn_text.h"
#include "models/receipt_cells.h"
#include "models/run_models.h"
#include "tasks/runs.h"
#include "tasks/settings.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/building.h"
#include "views/parts/button_row.h"
#include "views/parts/elided_label.h"
#include "views/parts/mirrored.h"
#include "views/parts/row_delegates.h"
#include "views/parts/row_view.h"
#include "views/parts/spacing.h"
#include "views/parts/with_focus.h"
#include "views/runs/lane_view.h"
#include "views/runs/lane_words.h"
#include "views/runs/limit_menu.h"
#include "views/runs/rate_plot.h"

using namespace tavlo;

namespace {

constexpr int lanes_most_lines = 27;

/// One fault in three lines: its name, why, and what can be done.
class FaultDelegate final : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;

    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex&) const override {
        return {200, QFontMetrics(option.font).height() * 4 + 22};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        const Theme& theme = Theme::current();
        painter->save();
        paint_row_ground(*painter, option, {});
        const QFontMetrics metrics(option.font);
        QRect at = option.rect.adjusted(14, 8, -12, 0);
        at.setHeight(metrics.height());
        const QFont bold = strong_font(option.font);
        painter->setFont(bold);
        painter->setPen(theme.ink);
        const QString name =
            QFontMetrics(bold).elidedText(index.data().toString(), Qt::ElideMiddle, at.width());
        painter->drawText(at, Qt::AlignVCenter, name);
        painter->setFont(option.font);
        painter->setPen(theme.muted);
        const QRect beside =
            mirrored(at, at.adjusted(QFontMetrics(bold).horizontalAdvance(name) + 10, 0, 0, 0));
        painter->drawText(beside, Qt::AlignVCenter,
                          metrics.elidedText(index.data(RunFaultsModel::FolderRole).toString(), Qt::ElideLeft,
                                             beside.width()));
        painter->setPen(theme.amber);
        at.translate(0, metrics.height() + 2);
        draw_elided(*painter, at, index.data(RunFaultsModel::WhyRole).toString(), Qt::ElideRight);
        painter->setPen(theme.muted);
        at.translate(0, metrics.height() + 1);
        at.setHeight(2 * metrics.height());
        painter->drawText(at, Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                          index.data(RunFaultsModel::RemedyRole).toString());
        painter->restore();
    }
};

QLabel* heading(const QString& text) {
    auto* label = new QLabel(text);
    label->setFont(strong_font(label->font()));
    return label;
}

}  // namespace

RunsPage::RunsPage(Runs& runs, QWidget* parent) : QWidget(parent), runs_(runs) {
    setObjectName(QStringLiteral("runsPage"));
    setAttribute(Qt::WA_StyledBackground);
    auto* page = column_on(this);
    buildHead(*page);
    buildLanes(*page);
    auto* done = buildDone();
    below_ = split(Qt::Horizontal, {{done, 780, true}, {buildNeeds(), 416}});
    page->addWidget(below_, 1);
    page->addStretch(0);
    connectParts();
    runs_.limitAll(Settings::load().rate_limit);
    showLanes();
}

void RunsPage::buildHead(QVBoxLayout& page) {
    auto* head = inset_row(Inset::across);  // as the lanes
    title_ = heading({});
    title_->setObjectName(QStringLiteral("runsTitle"));
    head->addWidget(title_, 1);
    pause_all_ = named_button("pauseAll", tr("Pause all"));
    clear_ = named_button("clearRuns", tr("Clear what has ended"));
    limit_ = named_button("limitAll");
    for (QPushButton* button : {pause_all_, clear_, limit_}) head->addWidget(button);
    page.addLayout(head);
}

void RunsPage::buildLanes(QVBoxLayout& page) {
    scroll_ = new QScrollArea;
    scroll_->setObjectName(QStringLiteral("lanes"));
    scroll_->setAccessibleName(tr("Runs"));
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setFocusPolicy(Qt::NoFocus);
    auto* lanes = new QWidget;
    lanes->setObjectName(QStringLiteral("laneColumn"));
    column_ = column_on(lanes);
    column_->setAlignment(Qt::AlignTop);
    scroll_->setWidget(lanes);
    page.addWidget(scroll_);
    empty_ = named_label("runsEmpty", "muted",
                         tr("Nothing is going on. What is started on the Bench runs here, and its receipt "
                            "stays under Receipts."));
    empty_->setContentsMargins(Inset::page);
    page.addWidget(empty_);
}

/// What the chosen run has done so far.
QWidget* RunsPage::buildDone() {
    auto* done = ground("runDone");
    auto* column = column_on(done);
    auto* head = inset_row();
    order_ = new ElidedLabel;
    order_->setText(tr("newest first; all of it is in the receipt"));
    set_tone(*order_, "muted");
    filter_ = narrowing_line("runFilter", tr("Only items with"), tr("Name or place"));
    filter_->setMinimumWidth(digits(13.5));
    filter_->setMaximumWidth(digits(23));
    head->addWidget(heading(tr("As it goes")));
    head->addWidget(order_, 1);
    head->addWidget(filter_);
    plot_ = new RatePlot;
    column->addWidget(plot_);
    column->addLayout(head);
    log_ = new RunLogModel(this);
    list_ = new RowView;
    list_->setObjectName(QStringLiteral("runLog"));
    list_->setAccessibleName(tr("What the run has done so far"));
    list_->setModel(log_);
    show_receipt_rows(*list_, digits(29));
    nothing_yet_ = new QLabel(list_->viewport());
    nothing_yet_->setGeometry(14, 14, 560, 24);
    set_tone(*nothing_yet_, "muted");
    column->addWidget(list_, 1);
    return done;
}

QWidget* RunsPage::buildNeeds() {
    needs_ = ground("runNeeds");
    auto* column = column_on(needs_);
    auto* head = inset_row();
    faults_title_ = heading({});
    faults_title_->setObjectName(QStringLiteral("faultsTitle"));
    faults_title_->setMinimumHeight(filter_->sizeHint().height());
    head->addWidget(faults_title_, 1);
    column->addLayout(head);
    faults_model_ = new RunFaultsModel(this);
    faults_ = new WithFocus<QListView>;
    faults_->setObjectName(QStringLiteral("faultList"));
    faults_->setAccessibleName(tr("What failed"));
    faults_->setModel(faults_model_);
    faults_->setItemDelegate(new FaultDelegate(faults_));
    faults_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    faults_->setUniformItemSizes(true);
    faults_->setFrameShape(QFrame::NoFrame);
    column->addWidget(faults_, 1);
    auto* foot = inset_row();
    again_ = named_button("tryAgain", {},
                          tr("Once its cause is mended: under the same receipt, as it was asked for"));
    leave_ = named_button("leaveFault", {}, tr("Counts as skipped; the receipt keeps why"));
    foot->addWidget(again_);
    foot->addWidget(leave_);
    foot->addStretch(1);
    column->addLayout(foot);
    return needs_;
}

void RunsPage::connectParts() {
    connect(&runs_, &Runs::lanesChanged, this, &RunsPage::followLanes);
    connect(&runs_, &Runs::progressed, this, &RunsPage::refresh);
    connect(pause_all_, &QPushButton::clicked, this, [this] {
        for (LaneView* view : views_)
            if (view->lane() != nullptr && view->lane()->isLive()) runs_.pause(*view->lane());
    });
    connect(filter_, &QLineEdit::textChanged, this, [this](const QString& text) {
        log_->setFilter(text);
        showNothingYet();
    });
    connect(clear_, &QPushButton::clicked, this, [this] { runs_.dismiss(nullptr); });
    connect(limit_, &QPushButton::clicked, this, [this] {
        auto* menu = new QMenu(this);
        menu->setAttribute(Qt::WA_DeleteOnClose);
        fill_limit_menu(*menu, runs_.limitOfAll(), this, [this](std::uint64_t limit) {
            Settings set = Settings::load();
            set.rate_limit = limit;
            set.save();
            runs_.limitAll(limit);
        });
        menu->popup(limit_->mapToGlobal(QPoint(0, limit_->height())));
    });
    connect(faults_model_, &QAbstractItemModel::modelReset, this, &RunsPage::showFaults);
    connect(faults_model_, &QAbstractItemModel::rowsInserted, this, &RunsPage::showFaults);
    connect(faults_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &RunsPage::showFaults);
    connect(again_, &QPushButton::clicked, this, [this] { wish(RunFault::Wish::again); });
    connect(leave_, &QPushButton::clicked, this, [this] { wish(RunFault::Wish::leave); });
}

void RunsPage::showEvent(QShowEvent* event) {
    runs_.watchOthers(true);
    if (std::exchange(is_behind_, false)) showLanes();
    QWidget::showEvent(event);
}

void RunsPage::hideEvent(QHideEvent* event) {
    runs_.watchOthers(false);
    QWidget::hideEvent(event);
}

/// While nobody looks, what has come is shown later: a run begins at a click, which is not to wait for that.
void RunsPage::followLanes() {
    const auto stays = [&](LaneView* view) {
        return std::any_of(runs_.lanes().begin(), runs_.lanes().end(),
                           [&](const auto& lane) { return lane.get() == view->lane(); });
    };
    is_behind_ = !isVisible() && std::all_of(views_.begin(), views_.end(), stays);
    if (!is_behind_) showLanes();
}

/// The lanes' views follow the lanes: those that stay are kept, with the focus where it is.
void RunsPage::showLanes() {
    std::vector<LaneView*> views;
    RunLane* begun = nullptr;
    for (const auto& lane : runs_.lanes()) {
        const auto known = std::find_if(views_.begin(), views_.end(),
                                        [&](LaneView* view) { return view->lane() == lane.get(); });
        if (known != views_.end()) {
            views.push_back(*known);
            continue;
        }
        auto* view = new LaneView(runs_, *lane);
        connect(view, &LaneView::chosen, this, [this, view] { choose(view->lane()); });
        connect(view, &LaneView::left, this, [this, view](int by) {
            const auto at = std::find(views_.begin(), views_.end(), view) - views_.begin() + by;
            if (at >= 0 && at < static_cast<std::ptrdiff_t>(views_.size()))
                views_[static_cast<std::size_t>(at)]->setFocus();
        });
        connect(view, &LaneView::receiptRequested, this, &RunsPage::receiptRequested);
        views.push_back(view);
        if (lane->isLive()) begun = lane.get();
    }
    for (LaneView* view : views_)
        if (std::find(views.begin(), views.end(), view) == views.end()) {
            view->hide();
            view->deleteLater();
        }
    for (std::size_t at = 0; at < views.size(); ++at) {
        if (column_->indexOf(views[at]) != static_cast<int>(at))
            column_->insertWidget(static_cast<int>(at), views[at]);
        if (at > 0) setTabOrder(views[at - 1], views[at]);
    }
    views_ = std::move(views);
    const bool current_stays = current_ && std::any_of(views_.begin(), views_.end(), [this](LaneView* view) {
                                   return view->lane() == current_;
                               });
    if (!current_stays) choose(views_.empty() ? nullptr : views_.front()->lane());
    // what was begun last is looked at, but not instead of one that goes on
    if (begun != nullptr && (!current_ || !current_->isLive())) choose(begun);
    empty_->setVisible(views_.empty());
    below_->setVisible(!views_.empty());
    scroll_->setVisible(!views_.empty());
    const int height =
        views_.empty() ? 0 : static_cast<int>(views_.size()) * views_.front()->sizeHint().height();
    scroll_->setFixedHeight(std::min(height, lines(lanes_most_lines)));
    refresh();
}

void RunsPage::refresh() {
    int running = 0;
    int waiting = 0;
    int paused = 0;
    int interrupted = 0;
    bool ended = false;
    for (LaneView* view : views_) {
        view->refresh();
        if (view->lane() == nullptr) continue;
        switch (view->lane()->status().state) {
            case LaneState::running:
            case LaneState::stopping:
            case LaneState::elsewhere: ++running; break;
            case LaneState::waiting: ++waiting; break;
            case LaneState::paused:
            case LaneState::stuck: ++paused; break;
            case LaneState::interrupted: ++interrupted; break;
            case LaneState::stopped:
            case LaneState::done:
            case LaneState::refused: ended = true; break;
        }
    }
    QStringList words;
    if (running > 0) words << tr("%Ln going on", nullptr, running);
    if (waiting > 0) words << tr("%Ln waiting", nullptr, waiting);
    if (paused > 0) words << tr("%Ln paused", nullptr, paused);
    if (interrupted > 0) words << tr("%Ln interrupted", nullptr, interrupted);
    title_->setText(words.isEmpty() ? tr("Nothing is going on") : words.join(QStringLiteral(" · ")));
    clear_->setVisible(ended);
    pause_all_->setVisible(running + waiting > 1);
    plot_->setLane(current_);
    const auto limit = runs_.limitOfAll();
    limit_->setText(limit == 0 ? tr("Reading limit for all: none")
                               : tr("Reading limit for all: %1").arg(rate_words(static_cast<double>(limit))));
    showFaults();
    showNothingYet();
}

/// What the list of the chosen run says where it is empty, and of what is not in it.
void RunsPage::showNothingYet() {
    const bool filtered = !filter_->text().trimmed().isEmpty();
    const bool is_for_good = current_ && current_->isForGood();
    order_->setText(is_for_good ? tr("newest first; this leaves no receipt")
                                : tr("newest first; all of it is in the receipt"));
    nothing_yet_->setText(
        filtered ? tr("Nothing done so far has that in its name or place.")
        : is_for_good
            ? tr("Nothing yet. What has gone shows here.")
            : tr("Nothing yet. What it does shows here as it goes; what it did before is in its receipt."));
    nothing_yet_->setVisible(log_->rowCount() == 0);
}

void RunsPage::choose(RunLane* lane) {
    current_ = lane;
    for (LaneView* view : views_) {
        view->setCurrent(view->lane() == lane);
        if (view->lane() == lane) scroll_->ensureWidgetVisible(view);
    }
    log_->setLane(lane);
    faults_model_->setLane(lane);
    showFaults();
    showNothingYet();
}

void RunsPage::showFaults() {
    const int all = faults_model_->rowCount();
    const int chosen = static_cast<int>(faults_->selectionModel()->selectedRows().size());
    faults_title_->setText(all == 0 ? tr("Nothing needs you") : tr("Needs you: %Ln failed", nullptr, all));
    set_tone(*faults_title_, all == 0 ? "muted" : "amber");
    again_->setText(chosen > 0 ? tr("Try %Ln again", nullptr, chosen) : tr("Try all again"));
    leave_->setText(chosen > 0 ? tr("Leave %Ln", nullptr, chosen) : tr("Leave all"));
    for (QPushButton* button : {again_, leave_}) button->setVisible(all > 0);
    // where nothing needs anybody what is done has the whole width; while it is tried again nothing moves
    if (all > 0) needed_somebody_ = current_;
    needs_->setVisible(all > 0 || (current_ && current_ == needed_somebody_ && current_->isLive()));
}

void RunsPage::wish(RunFault::Wish wish) {
    if (!current_) return;
    std::vector<std::size_t> rows;
    for (const QModelIndex& index : faults_->selectionModel()->selectedRows())
        rows.push_back(static_cast<std::size_t>(index.row()));
    runs_.wish(*current_, wish, rows);
    if (current_->isLive() && wish == RunFault::Wish::again && current_->status().state == LaneState::running)
        emit said(tr("They are tried again when the run is through."));
}

double RunsPage::doneInAll() const {
    double done = 0;
    int count = 0;
    for (const auto& lane : runs_.lanes()) {
        if (!lane->isLive()) continue;
        done += done_part(lane->status());
        ++count;
    }
    return count == 0 ? 1 : done / count;
}

std::uint64_t RunsPage::needsSomebody() const {
    std::uint64_t count = 0;
    for (const auto& lane : runs_.lanes()) {
        if (lane->status().state == LaneState::stuck) ++count;
        for (const RunFault& fault : lane->faults())
            if (fault.wish == RunFault::Wish::none) ++count;
    }
    return count;
}
