// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/jobs/job_banner.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>

#include "keep/store.h"
#include "tasks/bench.h"
#include "text.h"
#include "views/parts/spacing.h"

using namespace tavlo;

JobBanner::JobBanner(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("jobBanner"));
    setAttribute(Qt::WA_StyledBackground);
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::across, Gap::beside);
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("jobBannerWords"));
    words_->setTextFormat(Qt::PlainText);
    words_->setWordWrap(true);
    row->addWidget(words_, 1);
    put_back_ = new QPushButton(tr("Put back into the job"));
    put_back_->setObjectName(QStringLiteral("jobPutBack"));
    leave_ = new QPushButton;
    leave_->setObjectName(QStringLiteral("jobLeave"));
    row->addWidget(put_back_);
    row->addWidget(leave_);
    connect(put_back_, &QPushButton::clicked, this, &JobBanner::putBack);
    connect(leave_, &QPushButton::clicked, this, &JobBanner::leave);
    connect(&bench_, &Bench::jobChanged, this, [this] { put_back_->setEnabled(bench_.picks().count() > 0); });
    hide();
}

void JobBanner::show(const SavedJob& job, std::size_t step, For what) {
    const std::int64_t now = now_ns();
    Instruction before = shown_ ? std::move(shown_->before) : bench_.whole();
    shown_ = Shown{job, step, now, std::move(before)};
    Instruction wanted;
    wanted.job = at_time(std::get<Job>(job.steps[step].what), job.name, now);
    bench_.take(wanted);
    const QString which = tr("Step %1 of \u201c%2\u201d").arg(step + 1).arg(::shown(job.name));
    const bool changes = what == For::changing;
    words_->setText(
        changes ? tr("%1 is on the bench. Change what you want, and put it back.").arg(which)
                : tr("%1: this is what it would do now. Nothing is done until you start it.").arg(which));
    put_back_->setVisible(changes);
    leave_->setText(changes ? tr("Leave the job as it was") : tr("Back to what was on the bench"));
    setVisible(true);
}

void JobBanner::putBack() {
    if (!shown_) return;
    SavedJob job = shown_->job;
    auto& what = job.steps[shown_->step].what;
    what = with_patterns_of(std::get<Job>(what), bench_.wholeJob(), shown_->at_ns);
    emit changed(job);
    leave();
}

void JobBanner::leave() {
    if (!shown_) return;
    const Shown done = std::move(*shown_);
    shown_.reset();
    hide();
    bench_.take(done.before);
    emit left(done.job.name);
}
