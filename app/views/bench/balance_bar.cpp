// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/balance_bar.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QMouseEvent>
#include <QPainter>
#include <QPixmap>
#include <QPushButton>

#include "tasks/bench.h"
#include "text.h"
#include "theme/theme.h"
#include "views/parts/mirrored.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

constexpr int bar_height = 9;

QString share_words(Share share, int count, const Job& job) {
    const bool in_place = job.operation == Operation::rename;
    switch (share) {
        case Share::created:
            return in_place ? BalanceBar::tr("%Ln get new names", nullptr, count)
                            : BalanceBar::tr("%Ln new", nullptr, count);
        case Share::overwrite: return BalanceBar::tr("%Ln overwrite, old ones to the Safe", nullptr, count);
        case Share::rename:
            return in_place ? BalanceBar::tr("%Ln get the nearest free name", nullptr, count)
                            : BalanceBar::tr("%Ln renamed", nullptr, count);
        case Share::same: return BalanceBar::tr("%Ln same, skipped", nullptr, count);
        case Share::skip:
            return in_place ? BalanceBar::tr("%Ln keep their names", nullptr, count)
                            : BalanceBar::tr("%Ln skipped", nullptr, count);
        case Share::merge: return BalanceBar::tr("%Ln folders merge", nullptr, count);
        case Share::undecided: return BalanceBar::tr("%Ln undecided", nullptr, count);
        case Share::failed: return BalanceBar::tr("%Ln cannot be done", nullptr, count);
        case Share::leave:
            return job.operation == Operation::remove && job.shelf == Shelf::trash
                       ? BalanceBar::tr("%Ln leave, to the trash", nullptr, count)
                       : BalanceBar::tr("%Ln leave, to the Safe", nullptr, count);
    }
    return {};
}

}  // namespace

QColor share_colour(Share share) {
    const Theme& theme = Theme::current();
    switch (share) {
        case Share::created: return theme.new_fill;
        case Share::overwrite: return theme.overwrite_fill;
        case Share::rename: return theme.renamed_fill;
        case Share::same:
        case Share::skip: return theme.same_fill;
        case Share::merge: return theme.merged_fill;
        case Share::undecided: return theme.amber_fill;
        case Share::failed: return theme.amber;
        case Share::leave: return theme.plum;
    }
    return {};
}

BalanceBar::BalanceBar(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("balance"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(tr("Balance"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(Inset::across + QMargins(0, bar_height + Gap::close, 0, 0));
    row->setSpacing(Gap::tight);
    for (int i = 0; i < share_count; ++i) {
        auto* button = new QPushButton;
        button->setObjectName(QStringLiteral("share%1").arg(i));
        button->setFlat(true);
        button->setCheckable(true);
        button->setStyleSheet(
            QStringLiteral("QPushButton { border: 1px solid transparent; border-radius: 5px; padding: 2px "
                           "7px 2px 3px; background: transparent; }"
                           "QPushButton:focus, QPushButton:checked { border: 1px solid palette(link); }"));
        connect(button, &QPushButton::clicked, this,
                [this, i](bool on) { choose(on ? std::optional(static_cast<Share>(i)) : std::nullopt); });
        legend_[static_cast<std::size_t>(i)] = button;
        row->addWidget(button);
    }
    note_ = new QLabel;
    note_->setObjectName(QStringLiteral("balanceNote"));
    note_->setTextFormat(Qt::PlainText);
    row->addWidget(note_, 1);
    room_ = new QLabel;
    room_->setObjectName(QStringLiteral("room"));
    room_->setMinimumHeight(26);  // as high as the legend, so that nothing jumps when it comes
    row->addWidget(room_);
    connect(&bench_, &Bench::viewChanged, this, &BalanceBar::refresh);
    connect(&bench_, &Bench::jobChanged, this, &BalanceBar::refresh);
    refresh();
}

void BalanceBar::choose(std::optional<Share> share) {
    chosen_ = share;
    for (int i = 0; i < share_count; ++i)
        legend_[static_cast<std::size_t>(i)]->setChecked(share && static_cast<int>(*share) == i);
    emit shareChosen(share);
    update();
}

void BalanceBar::refresh() {
    counts_ = bench_.view().shares;
    for (int i = 0; i < share_count; ++i) {
        QPushButton* button = legend_[static_cast<std::size_t>(i)];
        const auto count = counts_[static_cast<std::size_t>(i)];
        QPixmap dot(11, 11);
        dot.fill(share_colour(static_cast<Share>(i)));
        button->setIcon(dot);
        button->setVisible(count > 0);
    }
    if (chosen_ && counts_[static_cast<std::size_t>(*chosen_)] == 0) choose(std::nullopt);
    const bool refused = !bench_.view().refusals.empty();
    const QString note = noteWords();
    note_->setText(note);
    note_->setWordWrap(refused);
    note_->setToolTip(refused ? note : QString());
    set_tone(*note_, refused ? "amber" : "muted");
    refreshRoom();
    fitLegend();
    update();
}

/// What stands in the way, what is to be said next, or what is still being found out.
QString BalanceBar::noteWords() const {
    const auto& view = bench_.view();
    const Job& job = bench_.job();
    if (!view.refusals.empty()) {
        const QString& first = view.refusals.front();
        const int more = static_cast<int>(view.refusals.size()) - 1;
        return more == 0 ? tr("Not possible: %1").arg(first)
                         : tr("Not possible: %1 (and %Ln more)", nullptr, more).arg(first);
    }
    if (bench_.picks().empty())
        return tr("Pick files on the left: click at the edge of a row, or select rows and press Space.");
    if (job.operation == Operation::rename && job.naming.empty())
        return tr("Say what the new names are: add a step below.");
    if (job.into.empty() && goes_elsewhere(job))
        return tr(
            "Say where they go: click the destination above, or go there on the left and press "
            "“Put here”.");
    if (view.being_told > 0)
        return tr("facts: %1 of %2").arg(count_text(view.told), count_text(view.being_told));
    if (view.looked_for > 0)
        return tr("reading what may be there already: %1 of %2 files")
            .arg(count_text(view.looked_at), count_text(view.looked_for));
    if (view.comparing) return tr("reading files of one size to see which are the same…");
    return bench_.isWorking() ? tr("working it out…") : QString();
}

/// What it takes, and what there is.
void BalanceBar::refreshRoom() {
    const auto& plan = bench_.plan();
    const auto& view = bench_.view();
    room_->clear();
    room_->setToolTip(QString());
    if (plan && bench_.job().operation == Operation::remove && plan->totals.of(Outcome::removed) > 0) {
        const Weight& leaving = view.outcome->leaving;
        room_->setText(tr("<b>%1</b> in %Ln files leave; the undo brings them back", nullptr,
                          static_cast<int>(leaving.files))
                           .arg(size_text(leaving.bytes)));
        return;
    }
    if (!plan || !view.outcome->destination) return;
    const auto free = size_text(view.outcome->destination->volume.free_bytes);
    const auto bytes = size_text(view.room.bytes);
    const bool packs = bench_.job().operation == Operation::pack;
    room_->setText(packs                 ? tr("<b>%1</b> to pack · %2 free there").arg(bytes, free)
                   : view.room.bytes > 0 ? tr("needs <b>%1</b> · %2 free there").arg(bytes, free)
                                         : tr("%1 free there").arg(free));
    if (view.outcome->destination->volume.keeps_attributes) return;
    room_->setToolTip(tr("The destination cannot keep owners, permissions and extended attributes."));
    room_->setText(room_->text() + tr(" · without owners and permissions"));
}

/// The legend in full where there is room for it, else as short as it can be.
void BalanceBar::fitLegend() {
    for (const bool in_short : {false, true}) {
        int wide = 60 + room_->sizeHint().width();
        for (int i = 0; i < share_count; ++i) {
            QPushButton* button = legend_[static_cast<std::size_t>(i)];
            const QString words = share_words(
                static_cast<Share>(i), static_cast<int>(counts_[static_cast<std::size_t>(i)]), bench_.job());
            button->setText(QLatin1Char(' ') + (in_short ? words.section(QLatin1Char(','), 0, 0) : words));
            button->setToolTip(words);
            if (counts_[static_cast<std::size_t>(i)] > 0) wide += button->sizeHint().width() + 2;
        }
        if (wide <= width()) return;
    }
}

void BalanceBar::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    fitLegend();
}

QRect BalanceBar::barRect() const { return {18, 8, width() - 36, bar_height}; }

std::vector<std::pair<Share, QRect>> BalanceBar::parts() const {
    std::uint64_t all = 0;
    for (const auto count : counts_) all += count;
    std::vector<std::pair<Share, QRect>> out;
    if (all == 0) return out;
    const QRect bar = barRect();
    std::uint64_t before = 0;
    for (int i = 0; i < share_count; ++i) {
        const auto count = counts_[static_cast<std::size_t>(i)];
        if (count == 0) continue;
        const auto at = [&](std::uint64_t items) {
            return bar.left() +
                   static_cast<int>(static_cast<double>(items) / static_cast<double>(all) * bar.width());
        };
        out.emplace_back(static_cast<Share>(i),
                         mirrored(bar, QRect(at(before), bar.top(),
                                             std::max(3, at(before + count) - at(before)), bar.height())));
        before += count;
    }
    return out;
}

void BalanceBar::paintEvent(QPaintEvent* event) {
    QWidget::paintEvent(event);
    QPainter painter(this);
    painter.fillRect(barRect(), Theme::current().line);
    for (const auto& [share, rect] : parts()) {
        QColor colour = share_colour(share);
        if (chosen_ && share != *chosen_) colour.setAlpha(90);
        painter.fillRect(rect.adjusted(0, 0, -1, 0), colour);
    }
}

void BalanceBar::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange) refresh();
    QWidget::changeEvent(event);
}

void BalanceBar::mousePressEvent(QMouseEvent* event) {
    for (const auto& [share, rect] : parts())
        if (rect.adjusted(0, -4, 0, 4).contains(event->position().toPoint()))
            return choose(chosen_ == share ? std::nullopt : std::optional(share));
}
