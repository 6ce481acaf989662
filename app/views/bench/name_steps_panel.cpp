// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/name_steps_panel.h"

#include <QCheckBox>
#include <QClipboard>
#include <QDateTime>
#include <QFileDialog>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "error_words.h"
#include "files/path.h"
#include "files/small_file.h"
#include "job/document.h"
#include "tasks/bench.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/bench/example_names.h"
#include "views/bench/kept_sets.h"
#include "views/bench/name_step_row.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

constexpr double steps_digits = 80.5;
const auto kept_steps = QStringLiteral("keptSteps");

/// What was kept under a name, as the document of a job that holds it.
std::string set_document(const Naming& naming) {
    Job job;
    job.operation = Operation::rename;
    job.naming = naming;
    return to_json(job);
}

}  // namespace

NameStepsPanel::NameStepsPanel(Bench& bench, std::string state_folder, QWidget* parent)
    : QWidget(parent), bench_(bench), state_folder_(std::move(state_folder)) {
    setObjectName(QStringLiteral("nameSteps"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(tr("New names, step by step"));
    auto* across = new QHBoxLayout(this);
    space_out(across, Inset::across, Gap::apart);
    across->addWidget(buildSteps());
    across->addWidget(buildExamples(), 1);
    connect(&bench_, &Bench::jobChanged, this, &NameStepsPanel::refresh);
    connect(&bench_, &Bench::viewChanged, this, &NameStepsPanel::showExamples);
    refresh();
}

QWidget* NameStepsPanel::buildSteps() {
    auto* side = new QWidget;
    auto* column = new QVBoxLayout(side);
    space_out(column, Inset::none, Gap::tight);
    steps_ = new EditorRows(digits(steps_digits));
    steps_->setAccessibleName(tr("Steps of the new names"));
    connect(steps_, &EditorRows::changed, this, &NameStepsPanel::stepsChanged);
    connect(steps_, &EditorRows::nextRequested, this,
            [this] { add_->menu()->popup(add_->mapToGlobal(QPoint(0, add_->height()))); });
    connect(steps_, &EditorRows::lastTakenOut, this, [this] { add_->setFocus(); });
    column->addWidget(steps_, 1);
    auto* foot = new QHBoxLayout;
    foot->setContentsMargins(Inset::fields);
    foot->setSpacing(Gap::beside);
    add_ = new QPushButton(tr("Add a step"));
    add_->setObjectName(QStringLiteral("addStep"));
    auto* kinds = new QMenu(add_);
    for (int at = 0; at < NameStepRow::kind_count; ++at) {
        const auto kind = static_cast<NameStepRow::Kind>(at);
        kinds->addAction(NameStepRow::words(kind), this, [this, kind] {
            add(NameStepRow::usual(kind));
            stepsChanged();
            steps_->focusLast();
        });
    }
    add_->setMenu(kinds);
    add_->setProperty("menu", true);
    foot->addWidget(add_);
    auto* table = new QPushButton(tr("Table of names"));
    table->setObjectName(QStringLiteral("nameTable"));
    auto* tables = new QMenu(table);
    tables->addAction(tr("Paste one: old name, tab, new name, a line each"), this,
                      &NameStepsPanel::pasteTable);
    tables->addAction(tr("Write the names of now to one…"), this, &NameStepsPanel::writeTable);
    table->setMenu(tables);
    table->setProperty("menu", true);
    foot->addWidget(table);
    auto* kept = new QPushButton(tr("Kept steps"));
    kept->setObjectName(QStringLiteral("keptSteps"));
    sets_ = new QMenu(kept);
    connect(sets_, &QMenu::aboutToShow, this, &NameStepsPanel::fillSets);
    kept->setMenu(sets_);
    kept->setProperty("menu", true);
    foot->addWidget(kept);
    whole_names_ = new QCheckBox(tr("extensions too"));
    whole_names_->setObjectName(QStringLiteral("wholeNames"));
    whole_names_->setToolTip(tr("Steps see the whole name, not only what is before the extension"));
    connect(whole_names_, &QCheckBox::toggled, this, &NameStepsPanel::stepsChanged);
    foot->addWidget(whole_names_);
    foot->addStretch(1);
    column->addLayout(foot);
    return side;
}

QWidget* NameStepsPanel::buildExamples() {
    auto* side = new QWidget;
    auto* column = new QVBoxLayout(side);
    column->setContentsMargins(Inset::heading);
    column->setSpacing(Gap::close);
    misses_ = new QLabel;
    misses_->setObjectName(QStringLiteral("nameMisses"));
    misses_->setTextFormat(Qt::PlainText);
    misses_->setWordWrap(true);
    set_tone(*misses_, "amber");
    column->addWidget(misses_);
    examples_ = new ExampleNames;
    examples_->setObjectName(QStringLiteral("nameExamples"));
    column->addWidget(examples_, 1);
    return side;
}

void NameStepsPanel::begin() {
    asked_for_ = true;
    if (steps_->isEmpty()) add(Affix{});
    refresh();
    steps_->focus(0);
}

void NameStepsPanel::add(const NameStep& step) {
    steps_->add(new NameStepRow(step, shown_, steps_->widget()));
}

/// Steps that say nothing yet are not asked for.
Naming NameStepsPanel::naming() const {
    Naming naming;
    naming.whole_names = whole_names_->isChecked();
    for (const NameStepRow* row : steps_->rows<NameStepRow>()) {
        if (row->counts()) {
            naming.count_from = row->countFrom();
            naming.count_by = row->countBy();
        }
        NameStep step = row->step();
        const auto* affix = std::get_if<Affix>(&step);
        const auto* replace = std::get_if<Replace>(&step);
        const auto* regex = std::get_if<ReplaceRegex>(&step);
        const auto* as = std::get_if<NameAs>(&step);
        const auto* table = std::get_if<NamesFrom>(&step);
        const bool says_nothing =
            (affix != nullptr && affix->text.empty()) || (replace != nullptr && replace->what.empty()) ||
            (regex != nullptr && regex->expression.empty()) || (as != nullptr && as->pattern.empty()) ||
            (table != nullptr && table->file.empty());
        if (!says_nothing) naming.steps.push_back(std::move(step));
    }
    if (naming.steps.empty()) naming.whole_names = false;
    return naming;
}

void NameStepsPanel::stepsChanged() {
    shown_ = naming();
    bench_.setNaming(shown_);
}

/// The first lines that say so already stay, with the keyboard where it was.
void NameStepsPanel::show(const Naming& naming) {
    const bool counts_so = naming.count_from == shown_.count_from && naming.count_by == shown_.count_by;
    const auto rows = steps_->rows<NameStepRow>();
    std::size_t kept = 0;
    while (kept < std::min(rows.size(), naming.steps.size()) && rows[kept]->step() == naming.steps[kept] &&
           (counts_so || !rows[kept]->counts()))
        ++kept;
    steps_->keep(kept);
    shown_ = naming;
    const QSignalBlocker quiet(whole_names_);
    whole_names_->setChecked(naming.whole_names);
    for (std::size_t at = kept; at < naming.steps.size(); ++at) add(naming.steps[at]);
}

/// Steps that came from elsewhere: kept ones, those of the last time.
void NameStepsPanel::refresh() {
    const Job& job = bench_.job();
    if (job.naming != shown_) show(job.naming);
    const bool transfer = goes_elsewhere(job);
    setVisible(job.operation == Operation::rename || (transfer && (asked_for_ || !job.naming.empty())));
    if (job.operation == Operation::remove) asked_for_ = false;
    if (job.operation == Operation::rename && steps_->isEmpty()) add(Affix{});
}

void NameStepsPanel::showExamples() {
    const BenchView& view = bench_.view();
    const int missed = static_cast<int>(view.misses.size());
    misses_->setVisible(missed > 0);
    if (missed > 0) {
        misses_->setText(missed == 1 ? view.misses.front()
                                     : tr("%1 (and %Ln more)", nullptr, missed - 1).arg(view.misses.front()));
        misses_->setToolTip(QStringList(view.misses.begin(), view.misses.begin() + std::min(missed, 40))
                                .join(QLatin1Char('\n')));
    }
    // the first example goes through the steps, the others show what comes of them
    std::size_t said = 0;
    for (NameStepRow* row : steps_->rows<NameStepRow>()) {
        const bool counts = said < shown_.steps.size() && row->step() == shown_.steps[said];
        const bool has = counts && !view.examples.empty() && said <= view.examples.front().after.size();
        if (!has) {
            row->showExample({}, {}, {});
        } else {
            const NameExample& first = view.examples.front();
            const QString before = shown(said == 0 ? first.was : first.after[said - 1]);
            const bool fails = said == first.after.size();
            row->showExample(before, fails ? QString() : shown(first.after[said]),
                             fails ? shown(first.problem) : QString());
        }
        if (counts) ++said;
    }
    std::vector<ExampleNames::Example> examples;
    for (const NameExample& example : view.examples) {
        const std::string& last = example.after.empty() ? example.was : example.after.back();
        using Kind = ExampleNames::Kind;
        const Kind kind = !example.problem.empty() ? Kind::fails
                          : last == example.was    ? Kind::stays
                          : example.collides       ? Kind::collides
                                                   : Kind::changes;
        examples.push_back({shown(example.was),
                            kind == Kind::fails   ? shown(example.problem)
                            : kind == Kind::stays ? tr("stays")
                                                  : shown(last),
                            kind});
    }
    examples_->show_(std::move(examples));
}

void NameStepsPanel::fillSets() {
    sets_->clear();
    offer_kept(*sets_, kept_steps, [this](const QString& kept) -> std::function<void()> {
        const auto job = job_from_json(kept.toStdString());
        if (!job) return nullptr;
        return [this, naming = job->naming] {
            show(naming);
            bench_.setNaming(naming);
        };
    });
    if (!sets_->isEmpty()) sets_->addSeparator();
    sets_->addAction(tr("Keep these under a name…"), this, &NameStepsPanel::keepSet)
        ->setEnabled(!shown_.empty());
}

void NameStepsPanel::keepSet() {
    const QString name = keep_under_a_name(this, tr("Keep these steps"), kept_steps,
                                           QString::fromStdString(set_document(shown_)));
    if (!name.isEmpty()) emit said(tr("Kept as %1.").arg(name));
}

/// What was copied from a sheet becomes a file of the state folder, so that the receipt can say which table
/// it was.
void NameStepsPanel::pasteTable() {
    const std::string text = to_bytes(QGuiApplication::clipboard()->text());
    if (text.find('\t') == std::string::npos)
        return emit said(tr("The clipboard holds no table: lines of old name, tab, new name."));
    const std::string file =
        join(state_folder_,
             "names-" + to_bytes(QDateTime::currentDateTime().toString(QStringLiteral("yyyyMMdd-HHmmss"))) +
                 ".txt");
    worker_.ask(
        this, [text, file](const std::stop_token&) { return write_small_file(file, text); },
        [this, file](const Result<void>& written) {
            if (!written) return emit said(error_words(written.error()));
            add(NamesFrom{file});
            stepsChanged();
        });
}

/// Old name, tab, new name as the steps make it: to be changed in a sheet, and pasted back.
void NameStepsPanel::writeTable() {
    const auto plan = bench_.plan();
    const auto batch = bench_.view().batch;
    if (!batch) return;
    const QString path =
        QFileDialog::getSaveFileName(this, tr("Write the names to a table"), QStringLiteral("names.txt"));
    if (path.isEmpty()) return;
    const auto write = [plan, batch, file = to_bytes(path)](const std::stop_token&) {
        std::string text;
        if (plan)
            for (const Item& item : plan->items)
                text += plan->entry(item).name + '\t' + plan->final_name(item) + '\n';
        else
            for (const Entry& entry : batch->entries)
                if (batch->is_named(entry)) text += entry.name + '\t' + entry.name + '\n';
        return write_small_file(file, text);
    };
    worker_.ask(this, write, [this, file = to_bytes(path)](const Result<void>& written) {
        emit said(written ? tr("Written to %1.").arg(shown(file)) : error_words(written.error()));
    });
}
