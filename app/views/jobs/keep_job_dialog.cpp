// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/jobs/keep_job_dialog.h"

#include <QDialogButtonBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QRadioButton>
#include <QVBoxLayout>

#include "files/path.h"
#include "job/concerns.h"
#include "job_words.h"
#include "tasks/saved_jobs.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/building.h"
#include "views/parts/spacing.h"

using namespace tavlo;

KeepJobDialog::KeepJobDialog(SavedJobs& jobs, const Job& job, const std::optional<Job>& as_now,
                             QWidget* parent)
    : QDialog(parent), jobs_(jobs), job_(job), as_now_(as_now) {
    setObjectName(QStringLiteral("keepJob"));
    setWindowTitle(tr("Keep as a job"));
    setMinimumWidth(digits(67.5));
    auto* column = new QVBoxLayout(this);
    column->setSpacing(Gap::beside);
    auto* label = new QLabel(tr("&Name of the job"));
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("keepJobName"));
    name_->setAccessibleName(tr("Name of the job"));
    label->setBuddy(name_);
    column->addWidget(label);
    column->addWidget(name_);
    if (as_now_) offerWays(*column);
    column->addSpacing(6);
    sentence_ = named_label("keepJobSentence");
    note_ = named_label("keepJobNote", "amber");
    for (QLabel* words : {sentence_, note_}) {
        words->setTextFormat(Qt::PlainText);
        column->addWidget(words);
    }
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    keep_ = buttons->button(QDialogButtonBox::Ok);
    keep_->setObjectName(QStringLiteral("keepJobNow"));
    column->addWidget(buttons);
    connect(keep_, &QPushButton::clicked, this, [this] { keep(is_taken_); });
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(name_, &QLineEdit::textChanged, this, [this] {
        is_taken_ = false;
        refresh();
    });
    connect(&jobs_, &SavedJobs::kept, this, [this](const std::string& name) {
        if (name == wanted().name) accept();
    });
    connect(&jobs_, &SavedJobs::nameTaken, this, [this](const std::string& name) {
        if (name != wanted().name) return;
        is_taken_ = true;
        refresh();
    });
    connect(&jobs_, &SavedJobs::failed, this, [this](const QString& why) { note_->setText(why); });
    refresh();
}

/// What it takes the next time.
void KeepJobDialog::offerWays(QVBoxLayout& column) {
    column.addSpacing(6);
    column.addWidget(new QLabel(tr("Next time it takes")));
    what_fits_ = new QRadioButton(tr("what is there then and fits"));
    what_fits_->setObjectName(QStringLiteral("keepJobFits"));
    these_ = new QRadioButton(
        tr("the same %Ln things, by their names", nullptr, static_cast<int>(job_.what.sources.size())));
    these_->setObjectName(QStringLiteral("keepJobThese"));
    what_fits_->setChecked(true);
    for (QRadioButton* way : {what_fits_, these_}) {
        column.addWidget(way);
        connect(way, &QRadioButton::toggled, this, &KeepJobDialog::refresh);
    }
}

SavedJob KeepJobDialog::wanted() const {
    Job step = what_fits_ != nullptr && what_fits_->isChecked() ? *as_now_ : job_;
    step.name.clear();
    for (auto& source : step.what.sources) source = as_pattern(source);
    if (!step.into.empty()) step.into = as_pattern(step.into);
    return {to_bytes(name_->text().trimmed()), {{std::move(step)}}};
}

void KeepJobDialog::refresh() {
    const SavedJob job = wanted();
    const JobStep& step = job.steps.front();
    sentence_->setText(step_sentence(step));
    const std::string objection = objection_to_job_name(job.name);
    keep_->setEnabled(objection.empty());
    keep_->setText(is_taken_ ? tr("Replace it") : tr("Keep"));
    if (is_taken_) return note_->setText(tr("There is a job of this name."));
    if (!job.name.empty() && !objection.empty())
        return note_->setText(tr("The name %1.").arg(shown(objection)));
    const auto open = left_undecided(std::get<Job>(step.what));
    note_->setText(open.empty() ? QString()
                                : tr("%Ln kinds of collision will stay as they are until you look: nobody is "
                                     "asked while it is running.",
                                     nullptr, static_cast<int>(open.size())));
}

void KeepJobDialog::keep(bool replaces) {
    keep_->setEnabled(false);
    jobs_.keep(wanted(), replaces ? SavedJobs::IfTaken::replace : SavedJobs::IfTaken::refuse);
}
