// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/runs/lane_view.h"

#include <QHBoxLayout>
#include <QInputDialog>
#include <QKeyEvent>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <algorithm>

#include "drawn_text.h"
#include "files/path.h"
#include "tasks/runs.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"
#include "views/runs/lane_words.h"
#include "views/runs/limit_menu.h"
#include "views/runs/rate_plot.h"

using namespace tavlo;

namespace {

constexpr int edge = 18;
constexpr int plot_width = 150;
constexpr int gap = 16;
int words_wide() { return digits(15); }  // of the rate and the time left
constexpr int reserved_buttons_width =
    274;  // of the most that are shown at once, so that the lanes' columns stand below each other

bool goes(LaneState state) { return state == LaneState::running || state == LaneState::stopping; }
bool rests(LaneState state) {
    return state == LaneState::stuck || state == LaneState::interrupted || state == LaneState::stopped;
}

}  // namespace

LaneView::LaneView(Runs& runs, RunLane& lane, QWidget* parent) : QWidget(parent), runs_(runs), lane_(&lane) {
    setObjectName(QStringLiteral("lane"));
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    buttons_ = new QWidget(this);
    buttons_->setObjectName(QStringLiteral("laneButtons"));
    auto* row = new QHBoxLayout(buttons_);
    space_out(row, Inset::none, Gap::beside);
    const auto add = [&](const QString& text, const char* name, auto work) {
        auto* button = new QPushButton(text);
        button->setObjectName(QLatin1String(name));
        button->installEventFilter(this);
        connect(button, &QPushButton::clicked, this, work);
        row->addWidget(button);
        return button;
    };
    pause_ = add({}, "lanePause", [this] { pauseOrGoOn(); });
    first_ = add(tr("First"), "laneFirst", [this] { runs_.putFirst(*lane_); });
    first_->setToolTip(tr("Goes on now; the others on its drives wait until it is through"));
    receipt_ = add(tr("Receipt"), "laneReceipt", [this] { emit receiptRequested(lane_->status().receipt); });
    stop_ = add(tr("Stop…"), "laneStop", [this] { askStop(); });
    more_ = add(tr("More…"), "laneMore", [this] { showMore(); });
    close_ = add(tr("Close"), "laneClose", [this] { runs_.dismiss(lane_); });
    refresh();
}

QSize LaneView::sizeHint() const { return {600, 2 * fontMetrics().height() + 54}; }

void LaneView::setCurrent(bool current) {
    current_ = current;
    update();
}

void LaneView::refresh() {
    if (!lane_) return;
    const LaneStatus& status = lane_->status();
    const bool live = lane_->isLive();
    const bool ended = status.state == LaneState::done || status.state == LaneState::refused ||
                       status.state == LaneState::stopped;
    const bool resting = rests(status.state) || (status.state == LaneState::paused && !live);
    const bool can_go_on = status.state == LaneState::paused || resting;
    pause_->setText(can_go_on ? tr("Go on") : tr("Pause"));
    pause_->setVisible(can_go_on || status.state == LaneState::running);
    first_->setVisible(live && !lane_->isForGood() &&
                       (status.state == LaneState::waiting || status.state == LaneState::paused));
    receipt_->setVisible((ended || resting) && !status.receipt.empty());
    stop_->setVisible((live && status.state != LaneState::stopping) || (resting && !ended));
    more_->setVisible(live && status.state != LaneState::stopping && !lane_->isForGood());
    close_->setVisible(ended);
    if (told_ != status.state) {  // not with every file: it would be read out
        told_ = status.state;
        setAccessibleName(tr("%1 %2").arg(status.sentence, state_words(status.state)));
        setAccessibleDescription(details());
        setToolTip(status.sentence);
    }
    placeButtons();
    update();
}

void LaneView::placeButtons() {
    buttons_->adjustSize();
    const QPoint at(width() - edge - buttons_->width(), (height() - buttons_->height()) / 2);
    buttons_->setGeometry(mirrored(QRect(at, buttons_->size())));
}

void LaneView::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    placeButtons();
}

/// The third line: amounts, and the file at hand or why nothing goes.
QString LaneView::details() const {
    const LaneStatus& status = lane_->status();
    QStringList parts;
    if (status.state != LaneState::refused && status.all.items > 0) parts << amounts_words(status);
    switch (status.state) {
        case LaneState::running:
            if (!status.at_hand.empty()) parts << tr("now %1").arg(shown(name_of(status.at_hand)));
            break;
        case LaneState::waiting:
            parts << (lane_->drives() ? tr("waits for the drive") : tr("looks at its drives"));
            break;
        case LaneState::paused:
            parts << (lane_->isLive() ? tr("paused by you") : tr("paused when Tavlo was closed"));
            break;
        case LaneState::stuck: parts << tr("waits: %1").arg(status.why); break;
        case LaneState::interrupted:
            parts << tr("Nothing is lost; going on finishes or takes back what was open");
            break;
        case LaneState::stopping: parts << tr("what is begun is brought to an end"); break;
        case LaneState::refused: parts << status.why; break;
        case LaneState::done:
            for (const auto& [outcome, words] :
                 {std::pair(Outcome::failed,
                            tr("%Ln failed", nullptr, static_cast<int>(lane_->faults().size()))),
                  std::pair(Outcome::undecided, tr("%Ln undecided", nullptr,
                                                   static_cast<int>(status.totals.of(Outcome::undecided))))})
                if (status.totals.of(outcome) > 0) parts << words;
            if (!status.why.isEmpty()) parts << status.why;
            break;
        case LaneState::stopped:
        case LaneState::elsewhere: break;
    }
    if (status.limit > 0 && lane_->isLive())
        parts << tr("at most %1").arg(rate_words(static_cast<double>(status.limit)));
    return parts.join(QStringLiteral(" · "));
}

void LaneView::paintEvent(QPaintEvent*) {
    if (!lane_) return;
    const Theme& theme = Theme::current();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), current_ ? theme.paper : theme.ground);
    if (current_) painter.fillRect(mirrored(QRect(0, 0, 4, height())), theme.accent);
    painter.setPen(theme.line);
    painter.drawLine(rect().bottomLeft(), rect().bottomRight());
    if (hasFocus()) {
        painter.setPen(theme.accent);
        painter.drawRect(QRectF(rect()).adjusted(6.5, 4.5, -6.5, -5.5));
    }
    const int right = width() - edge - std::max(reserved_buttons_width, buttons_->width()) - gap;
    const QRect words(right - words_wide(), 0, words_wide(), height());
    const QRect plot(words.left() - gap - plot_width, 16, plot_width, height() - 34);
    paintSentence(painter, QRect(edge, 12, plot.left() - gap - edge, fontMetrics().height() + 2));
    if (!lane_->status().rates.empty())
        paint_rates(painter, mirrored(plot), lane_->status().rates, Scale::none);
    paintState(painter, words);
}

QRect LaneView::mirrored(const QRect& part) const {
    return QStyle::visualRect(layoutDirection(), rect(), part);
}

bool LaneView::needsSomebody() const {
    const LaneState state = lane_->status().state;
    return state == LaneState::stuck || state == LaneState::refused || state == LaneState::interrupted;
}

/// What it does, how far it is, and what there is to say of that.
void LaneView::paintSentence(QPainter& painter, const QRect& text) const {
    const Theme& theme = Theme::current();
    const LaneStatus& status = lane_->status();
    const QFont bold = strong_font(font());
    painter.setFont(bold);
    painter.setPen(theme.ink);
    painter.drawText(mirrored(text), Qt::AlignVCenter,
                     QFontMetrics(bold).elidedText(status.sentence, Qt::ElideRight, text.width()));
    const QRect bar(edge, text.bottom() + 9, text.width(), 7);
    painter.setPen(Qt::NoPen);
    painter.setBrush(theme.line);
    painter.drawRoundedRect(mirrored(bar), 3, 3);
    QRect done = bar;
    done.setWidth(static_cast<int>(bar.width() * done_part(status)));
    painter.setBrush(goes(status.state) || status.state == LaneState::elsewhere ? theme.accent
                     : status.state == LaneState::done                          ? theme.new_fill
                                                                                : theme.muted);
    if (done.width() >= 1) painter.drawRoundedRect(mirrored(done), 3, 3);
    painter.setFont(font());
    painter.setPen(needsSomebody() ? theme.amber : theme.muted);
    const QRect below(edge, bar.bottom() + 9, text.width(), text.height());
    painter.drawText(mirrored(below), Qt::AlignVCenter,
                     fontMetrics().elidedText(details(), Qt::ElideRight, below.width()));
}

/// How fast it goes and how long it takes, or how it stands.
void LaneView::paintState(QPainter& painter, const QRect& words) const {
    const Theme& theme = Theme::current();
    const LaneStatus& status = lane_->status();
    const int line = fontMetrics().height();
    painter.setFont(strong_font(font()));
    painter.setPen(needsSomebody() ? theme.amber : theme.ink);
    const bool runs = status.state == LaneState::running;
    const bool counting = runs && status.still_counting;
    const int above = status.left || counting ? 16 : (height() - line - 2) / 2;
    const QRect upper(words.left(), above, words.width(), line + 2);
    if (runs && status.bytes_per_second > 0)
        draw_tabular(painter, mirrored(upper), Qt::AlignRight, rate_words(status.bytes_per_second));
    else
        painter.drawText(mirrored(upper), Qt::AlignVCenter | Qt::AlignRight, state_words(status.state));
    painter.setFont(font());
    painter.setPen(theme.muted);
    const QRect lower = mirrored(upper.translated(0, line + 5));
    if (status.left)
        painter.drawText(lower, Qt::AlignVCenter | Qt::AlignRight, left_words(*status.left));
    else if (counting)
        painter.drawText(lower, Qt::AlignVCenter | Qt::AlignRight, tr("still counting"));
}

void LaneView::pauseOrGoOn() {
    if (!lane_) return;
    if (lane_->status().state == LaneState::running || lane_->status().state == LaneState::waiting)
        runs_.pause(*lane_);
    else if (lane_->status().state == LaneState::paused || rests(lane_->status().state))
        runs_.goOn(*lane_);
}

void LaneView::askStop() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->setToolTipsVisible(true);
    menu->addAction(tr("Stop, and keep what is done"), this,
                    [this] { runs_.stop(*lane_, RunLane::After::keep); });
    if (!lane_->isForGood())
        menu->addAction(tr("Stop, and take back what is done"), this,
                        [this] { runs_.stop(*lane_, RunLane::After::take_back); });
    menu->popup(stop_->mapToGlobal(QPoint(0, stop_->height())));
}

void LaneView::showMore() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->addAction(tr("Behind the next one"), this, [this] { runs_.putBehindNext(*lane_); });
    fill_limit_menu(*menu->addMenu(tr("Reads at most…")), lane_->status().limit, this,
                    [this](std::uint64_t limit) {
                        if (lane_) lane_->limit(limit);
                        refresh();
                    });
    auto* receipt = menu->addAction(tr("Its receipt so far"), this,
                                    [this] { emit receiptRequested(lane_->status().receipt); });
    receipt->setEnabled(!lane_->status().receipt.empty());
    menu->popup(more_->mapToGlobal(QPoint(0, more_->height())));
}

void LaneView::focusInEvent(QFocusEvent* event) {
    emit chosen();
    if (lane_) setAccessibleDescription(details());
    QWidget::focusInEvent(event);
}

void LaneView::mousePressEvent(QMouseEvent*) {
    setFocus(Qt::MouseFocusReason);
    emit chosen();
}

bool LaneView::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::FocusIn) emit chosen();  // by one of its buttons
    return QWidget::eventFilter(watched, event);
}

void LaneView::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
        case Qt::Key_Space: return pauseOrGoOn();
        case Qt::Key_Up: emit left(-1); return;
        case Qt::Key_Down: emit left(1); return;
        case Qt::Key_Delete:
            if (stop_->isVisible()) return askStop();
            break;
        default: break;
    }
    QWidget::keyPressEvent(event);
}
