// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/jobs/step_dialog.h"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "error_words.h"
#include "files/path.h"
#include "job_words.h"
#include "keep/store.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/dialog_buttons.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {
constexpr std::size_t most_sources = 6;  // that have a line; of more, nobody types each
}

StepDialog::StepDialog(const JobStep& step, const std::string& job, QWidget* parent)
    : QDialog(parent), step_(step), job_(job) {
    setObjectName(QStringLiteral("stepDialog"));
    const auto* note = std::get_if<Note>(&step.what);
    setWindowTitle(note != nullptr ? tr("A line in a text file") : tr("Places"));
    setMinimumWidth(digits(74.5));
    auto* column = new QVBoxLayout(this);
    auto* form = new QFormLayout;
    form->setHorizontalSpacing(Gap::beside);
    form->setVerticalSpacing(Gap::beside);
    column->addLayout(form);
    if (note != nullptr) {
        into_ = line(*form, tr("&File"), place_as_typed(note->file), "stepFile");
        words_ = line(*form, tr("&Line"), place_as_typed(note->line), "stepLine");
    } else {
        const Job& work = std::get<Job>(step.what);
        for (const auto& source : work.what.sources)
            if (sources_.size() < most_sources)
                sources_.push_back(line(*form, tr("Takes from"), place_as_typed(source), "stepSource"));
        if (goes_elsewhere(work)) into_ = line(*form, tr("&Into"), place_as_typed(work.into), "stepInto");
    }
    QString hint =
        tr("These words stand for the date of the run: %1").arg(date_words().join(QStringLiteral(" ")));
    if (note != nullptr)
        hint += QLatin1Char('\n') +
                tr("And in the line: {job} for its name, {totals} for what came of the steps so far.");
    auto* about = new QLabel(hint);
    about->setWordWrap(true);
    set_tone(*about, "muted");
    column->addWidget(about);
    today_ = new QLabel;
    today_->setObjectName(QStringLiteral("stepToday"));
    today_->setTextFormat(Qt::PlainText);
    today_->setWordWrap(true);
    column->addWidget(today_);
    use_ = add_dialog_buttons(*this, *column, tr("Use it"));
    refresh();
}

QLineEdit* StepDialog::line(QFormLayout& form, const QString& label, const QString& text, const char* name) {
    auto* edit = new QLineEdit(text);
    edit->setObjectName(QLatin1String(name));
    edit->setAccessibleName(QString(label).remove(QLatin1Char('&')));
    form.addRow(label, edit);
    connect(edit, &QLineEdit::textChanged, this, &StepDialog::refresh);
    return edit;
}

JobStep StepDialog::typed() const {
    JobStep step = step_;
    if (auto* note = std::get_if<Note>(&step.what)) {
        note->file = place_from_typed(into_->text());
        note->line = place_from_typed(words_->text());
        return step;
    }
    Job& work = std::get<Job>(step.what);
    for (std::size_t at = 0; at < sources_.size(); ++at)
        work.what.sources[at] = place_from_typed(sources_[at]->text());
    if (into_ != nullptr) work.into = place_from_typed(into_->text());
    return step;
}

/// What it comes to today, or what is wrong with it.
void StepDialog::refresh() {
    if (use_ == nullptr) return;
    const std::int64_t now = now_ns();
    const JobStep wanted = typed();
    // as its document will be read
    const auto read = saved_job_from_json(to_json(SavedJob{job_, {wanted}}), job_, "/", now);
    use_->setEnabled(read.has_value());
    set_tone(*today_, read ? "muted" : "amber");
    if (!read) return today_->setText(reason_words(read.error()));
    step_ = read->steps.front();
    if (const auto* note = std::get_if<Note>(&step_.what))
        return today_->setText(tr("Today: %1").arg(shown(place_at_time(note->file, now))));
    const Job today = at_time(std::get<Job>(step_.what), job_, now);
    today_->setText(
        today.into.empty()
            ? tr("Today: %1").arg(shown(today.what.sources.front()))
            : tr("Today: from %1 into %2").arg(shown(today.what.sources.front()), shown(today.into)));
}
