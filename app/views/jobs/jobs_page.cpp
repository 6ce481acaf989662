// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/jobs/jobs_page.h"

#include <QFileDialog>
#include <QHeaderView>
#include <QInputDialog>
#include <QLabel>
#include <QListView>
#include <QMenu>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedWidget>
#include <QTreeWidget>
#include <QVBoxLayout>
#include <algorithm>

#include "files/path.h"
#include "job_words.h"
#include "models/jobs_model.h"
#include "tasks/job_runs.h"
#include "text.h"
#include "theme/theme.h"
#include "views/jobs/step_card.h"
#include "views/jobs/step_dialog.h"
#include "views/jobs/when_dialog.h"
#include "views/parts/building.h"
#include "views/parts/spacing.h"
#include "views/parts/three_line_delegate.h"
#include "views/parts/with_focus.h"

using namespace tavlo;

JobsPage::JobsPage(SavedJobs& jobs, JobRuns& runs, QWidget* parent)
    : QWidget(parent), jobs_(jobs), runs_(runs) {
    model_ = new JobsModel(this);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(Inset::none);
    auto* left = ground("jobList");
    buildLeft(*column_on(left));
    auto* right = ground("jobDetail");
    buildRight(*column_on(right));
    row->addWidget(split(Qt::Horizontal, {{left, 380}, {right, 816, true}}));
    connect(&jobs_, &SavedJobs::listed, this, &JobsPage::takeList);
    connect(&jobs_, &SavedJobs::kept, this, &JobsPage::show_);
    connect(&jobs_, &SavedJobs::failed, this,
            [this](const QString& why) { emit said(tr("Not done: %1").arg(why)); });
    connect(&jobs_, &SavedJobs::nameTaken, this, [this](const std::string& name) {
        emit said(tr("There is a job \u201c%1\u201d already; nothing was changed.").arg(shown(name)));
    });
    connect(&jobs_, &SavedJobs::forgotten, this, [this](const std::string& name) {
        emit said(tr("\u201c%1\u201d is forgotten; its receipts stay.").arg(shown(name)));
    });
    connect(&jobs_, &SavedJobs::written, this,
            [this](const QString& file) { emit said(tr("Written to %1.").arg(file)); });
    connect(&jobs_, &SavedJobs::scheduled, this, [this](const std::string& name, const QString& why) {
        emit said(why.isEmpty() ? tr("\u201c%1\u201d: set.").arg(shown(name))
                                : tr("\u201c%1\u201d is set, but not switched on: %2").arg(shown(name), why));
    });
    connect(&runs_, &JobRuns::begun, this, &JobsPage::showCurrent);
    connect(&runs_, &JobRuns::problem, this, [this](const std::string& name, const QString& why) {
        emit said(tr("\u201c%1\u201d: %2").arg(shown(name), why));
        showCurrent();
    });
    connect(&runs_, &JobRuns::ended, this, [this](const std::string& name, Ending ending) {
        emit said(tr("\u201c%1\u201d has ended: %2").arg(shown(name), ending_words(ending)));
        refresh();
    });
    connect(list_->selectionModel(), &QItemSelectionModel::currentChanged, this, &JobsPage::showCurrent);
    showCurrent();
}

void JobsPage::buildLeft(QVBoxLayout& column) {
    list_ = new WithFocus<QListView>;
    list_->setObjectName(QStringLiteral("jobs"));
    list_->setAccessibleName(tr("Saved jobs"));
    list_->setModel(model_);
    list_->setItemDelegate(
        new ThreeLineDelegate({JobsModel::AboutRole, JobsModel::LastRole, JobsModel::NextRole}, list_));
    list_->setFrameShape(QFrame::NoFrame);
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    column.addWidget(list_);
    none_ = named_label("noJobs", "muted");
    none_->setContentsMargins(Inset::page);
    none_->setText(
        tr("No job is kept yet.\n\nWhat is done again and again is put together on the bench as always; then "
           "Batch, Keep as a job…"));
    column.addWidget(none_);
    column.addStretch(0);
    auto* read = named_button("jobReadIn", tr("Read a job from a file…"));
    read->setProperty("plain", true);
    read->setProperty("foot", true);  // its words as far in as those of the list above it
    connect(read, &QPushButton::clicked, this, &JobsPage::readIn);
    column.addWidget(read);
}

void JobsPage::buildRight(QVBoxLayout& column) {
    pages_ = new QStackedWidget;
    column.addWidget(pages_);
    pages_->addWidget(new QWidget);
    auto* page = new QWidget;
    pages_->addWidget(page);
    auto* inside = new QVBoxLayout(page);
    space_out(inside, Inset::page, Gap::beside);
    inside->addLayout(buildHead());
    concerns_ = named_label("jobConcerns", "amber");
    inside->addWidget(concerns_);
    buildQuestion();
    inside->addWidget(question_);
    auto* area = new QScrollArea;
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setFocusPolicy(Qt::NoFocus);
    area->setWidget(buildSteps());
    inside->addWidget(area, 1);
    for (QLabel* label : {title_, when_, concerns_, question_words_, runs_title_})
        label->setTextFormat(Qt::PlainText);
}

QHBoxLayout* JobsPage::buildHead() {
    auto* head = new QHBoxLayout;
    head->setSpacing(Gap::beside);
    auto* title = new QVBoxLayout;
    title_ = named_label("jobTitle");
    when_ = named_label("jobWhen", "muted");
    title->addWidget(title_);
    title->addWidget(when_);
    head->addLayout(title, 1);
    run_ = named_button("jobRun", tr("Run now"),
                        tr("All its steps, one after the other; each leaves a receipt that can be undone"));
    run_->setProperty("role", "primary");
    when_button_ = named_button("jobWhenButton", tr("When…"), tr("Has it run by itself"));
    more_ = named_button("jobMore", tr("More"));
    auto* menu = new QMenu(more_);
    more_->setMenu(menu);
    more_->setProperty("menu", true);
    for (QPushButton* one : {more_, when_button_, run_}) head->addWidget(one, 0, Qt::AlignVCenter);
    connect(menu, &QMenu::aboutToShow, this, &JobsPage::fillMore);
    connect(run_, &QPushButton::clicked, this, [this] {
        const KeptJob* job = current();
        if (job == nullptr || !job->job) return;
        run_->setEnabled(false);
        runs_.run(*job->job);
    });
    connect(when_button_, &QPushButton::clicked, this, &JobsPage::askWhen);
    return head;
}

void JobsPage::buildQuestion() {
    question_ = new QWidget;
    auto* asking = new QHBoxLayout(question_);
    asking->setContentsMargins(Inset::none);
    question_words_ = named_label("jobQuestion", "amber");
    auto* yes = named_button("jobForgetNow", tr("Forget it"));
    auto* no = named_button("jobForgetNot", tr("Keep it"));
    asking->addWidget(question_words_, 1);
    asking->addWidget(yes);
    asking->addWidget(no);
    connect(yes, &QPushButton::clicked, this, [this] {
        if (const KeptJob* job = current()) jobs_.forget(job->name);
    });
    connect(no, &QPushButton::clicked, question_, &QWidget::hide);
}

/// The steps, and the runs that there were.
QWidget* JobsPage::buildSteps() {
    auto* below = new QWidget;
    below->setObjectName(QStringLiteral("jobBelow"));
    auto* rest = column_on(below);
    rest->setSpacing(Gap::beside);
    step_column_ = new QVBoxLayout;
    step_column_->setSpacing(Gap::beside);
    rest->addLayout(step_column_);
    add_ = named_button("jobAddStep", tr("Add a step"));
    auto* add_menu = new QMenu(add_);
    add_->setMenu(add_menu);
    add_->setProperty("menu", true);
    rest->addWidget(add_, 0, Qt::AlignLeft);
    rest->addSpacing(10);
    auto* runs_head = new QHBoxLayout;
    runs_title_ = named_label("jobRunsTitle", "muted");
    runs_head->addWidget(runs_title_, 1);
    settle_ = named_button(
        "jobSettle", tr("Settle what is undecided…"),
        tr("Puts it onto the bench as that run had it; what you decide then is done under its receipt"));
    runs_head->addWidget(settle_);
    rest->addLayout(runs_head);
    buildPast();
    rest->addWidget(past_);
    rest->addStretch(1);
    connect(add_menu, &QMenu::aboutToShow, this, &JobsPage::fillAdd);
    connect(past_, &QTreeWidget::itemActivated, this, [this](const QTreeWidgetItem* item) {
        emit receiptRequested(item->data(0, Qt::UserRole).toString().toStdString());
    });
    connect(settle_, &QPushButton::clicked, this, [this] {
        const KeptJob* job = current();
        if (const ReceiptHead* open = job != nullptr ? run_to_settle(*job) : nullptr)
            emit settleRequested(*open);
    });
    return below;
}

void JobsPage::buildPast() {
    past_ = new WithFocus<QTreeWidget>;
    past_->setObjectName(QStringLiteral("jobRuns"));
    past_->setAccessibleName(tr("Runs of this job, the latest first"));
    past_->setHeaderLabels({tr("When"), tr("Ended"), tr("What came of it"), tr("What it did")});
    past_->setRootIsDecorated(false);
    past_->setUniformRowHeights(true);
    past_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    past_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    past_->header()->setSectionsMovable(false);
    past_->header()->setSectionResizeMode(QHeaderView::ResizeToContents);
    past_->header()->setSectionResizeMode(3, QHeaderView::Stretch);
}

const KeptJob* JobsPage::current() const {
    const QModelIndex at = list_->currentIndex();
    return at.isValid() ? &model_->job(at.row()) : nullptr;
}

void JobsPage::show_(const std::string& name) {
    wanted_ = name;
    jobs_.list();
}

void JobsPage::takeList(std::shared_ptr<const std::vector<KeptJob>> jobs) {
    const KeptJob* now = current();
    const std::string keep = !wanted_.empty() ? wanted_ : now != nullptr ? now->name : std::string();
    wanted_.clear();
    none_->setVisible(jobs->empty());
    list_->setVisible(!jobs->empty());
    model_->setJobs(jobs);
    if (!jobs->empty()) list_->setCurrentIndex(model_->index(std::max(0, model_->rowOf(keep))));
    showCurrent();
}

void JobsPage::showCurrent() {
    const KeptJob* job = current();
    question_->hide();
    pages_->setCurrentIndex(job == nullptr ? 0 : 1);
    if (job == nullptr) return;
    showHead(*job);
    showSteps(*job);
    showRuns(*job);
}

void JobsPage::showHead(const KeptJob& job) {
    title_->setText(shown(job.name));
    const QString when = when_words(job);
    QStringList lines{when.isEmpty() ? tr("Runs when somebody runs it; %1.").arg(last_run_words(job))
                                     : tr("Runs %1; %2.").arg(when, last_run_words(job))};
    if (!job.next.empty()) {
        QStringList times;
        for (const auto one : job.next) times << date_text(one);
        lines << tr("Next: %1").arg(times.join(QStringLiteral(", ")));
    }
    when_->setText(lines.join(QLatin1Char('\n')));
    QStringList concerns;
    if (!job.job) concerns << tr("Its document cannot be read: %1").arg(job.fault) << shown(job.file);
    for (const Concern& one : job.concerns) concerns << concern_words(one);
    concerns_->setText(concerns.join(QLatin1Char('\n')));
    concerns_->setVisible(!concerns.isEmpty());
    const bool running = runs_.isRunning(job.name);
    run_->setText(running ? tr("Running") : tr("Run now"));
    run_->setEnabled(job.job != nullptr && !running);
    for (QPushButton* one : {when_button_, add_}) one->setEnabled(job.job != nullptr);
}

void JobsPage::showSteps(const KeptJob& job) {
    while (QLayoutItem* item = step_column_->takeAt(0)) {
        if (item->widget() != nullptr) {
            item->widget()->hide();
            item->widget()->deleteLater();
        }
        delete item;
    }
    if (!job.job) return;
    const auto of = static_cast<int>(job.job->steps.size());
    for (int at = 0; at < of; ++at) {
        const auto index = static_cast<std::size_t>(at);
        auto* card = new StepCard(job.job->steps[index], at, of);
        step_column_->addWidget(card);
        const auto whole = job.job;
        connect(card, &StepCard::seeRequested, this,
                [this, whole, index] { emit seeRequested(*whole, index); });
        connect(card, &StepCard::changeRequested, this, [this, whole, index] {
            if (std::holds_alternative<Note>(whole->steps[index].what)) return editStep(index);
            emit changeRequested(*whole, index);
        });
        connect(card, &StepCard::placesRequested, this, [this, index] { editStep(index); });
        connect(card, &StepCard::moveRequested, this, [this, whole, index](int by) {
            SavedJob changed = *whole;
            std::swap(changed.steps[index], changed.steps[index + static_cast<std::size_t>(by)]);
            replace(changed);
        });
        connect(card, &StepCard::changed, this, [this, whole, index](const JobStep& step) {
            SavedJob changed = *whole;
            changed.steps[index] = step;
            replace(changed);
        });
        connect(card, &StepCard::removeRequested, this, [this, whole, index] {
            SavedJob changed = *whole;
            changed.steps.erase(changed.steps.begin() + static_cast<std::ptrdiff_t>(index));
            replace(changed);
        });
    }
}

void JobsPage::showRuns(const KeptJob& job) {
    past_->clear();
    runs_title_->setText(job.runs.empty()
                             ? tr("It has left no receipt yet.")
                             : tr("Its last runs, a line for each step. Return opens the receipt."));
    past_->setVisible(!job.runs.empty());
    for (const ReceiptHead& head : job.runs) {
        QString sentence = shown(head.sentence);
        const QString before = shown(job.name) + QStringLiteral(": ");
        if (sentence.startsWith(before)) sentence.remove(0, before.size());
        QString ended = ending_words(ending_of(head));
        if (!head.undone_by.empty()) ended += tr(", undone");
        auto* item = new QTreeWidgetItem(
            past_, {date_text(head.started_ns), ended, shown(in_words(head.totals)), sentence});
        item->setToolTip(3, shown(head.sentence));
        item->setData(0, Qt::UserRole, QString::fromStdString(head.id));
    }
    // all of them are on view: what scrolls is the page
    const int rows = static_cast<int>(job.runs.size());
    if (rows > 0)
        past_->setFixedHeight(past_->header()->sizeHint().height() + rows * past_->sizeHintForRow(0) + 6);
    settle_->setVisible(run_to_settle(job) != nullptr);
}

void JobsPage::replace(const SavedJob& job) { jobs_.keep(job, SavedJobs::IfTaken::replace); }

void JobsPage::editStep(std::size_t at) {
    const KeptJob* job = current();
    if (job == nullptr || !job->job) return;
    SavedJob changed = *job->job;
    StepDialog dialog(changed.steps[at], changed.name, this);
    if (dialog.exec() != QDialog::Accepted) return;
    changed.steps[at] = dialog.step();
    replace(changed);
}

void JobsPage::addNote() {
    const KeptJob* job = current();
    if (job == nullptr || !job->job) return;
    SavedJob changed = *job->job;
    const auto* first = std::get_if<Job>(&changed.steps.front().what);
    const std::string folder =
        first != nullptr && !first->into.empty() ? std::string(parent_of(first->into)) : "~";
    StepDialog dialog({Note{join(folder, "log.txt"), "{now:%F %T} {job}: {totals}"}}, changed.name, this);
    if (dialog.exec() != QDialog::Accepted) return;
    changed.steps.push_back(dialog.step());
    replace(changed);
}

void JobsPage::fillAdd() {
    add_->menu()->clear();
    add_->menu()->addAction(tr("What is on the bench"), this, [this] {
        if (const KeptJob* job = current(); job != nullptr && job->job) emit addFromBenchRequested(*job->job);
    });
    add_->menu()->addAction(tr("A line in a text file…"), this, &JobsPage::addNote);
}

void JobsPage::fillMore() {
    QMenu* menu = more_->menu();
    menu->clear();
    const bool is_whole = current() != nullptr && current()->job != nullptr;
    menu->addAction(tr("Another name…"), this, &JobsPage::askName)->setEnabled(is_whole);
    menu->addAction(tr("Write to a file…"), this, &JobsPage::writeOut);
    menu->addSeparator();
    menu->addAction(tr("Forget…"), this, &JobsPage::askForget);
}

void JobsPage::askWhen() {
    const KeptJob* job = current();
    if (job == nullptr || !job->job) return;
    const auto whole = job->job;
    WhenDialog dialog(jobs_, *job, this);
    if (dialog.exec() == QDialog::Accepted) jobs_.schedule(*whole, dialog.schedule());
}

void JobsPage::askName() {
    const KeptJob* job = current();
    if (job == nullptr || !job->job) return;
    SavedJob changed = *job->job;
    bool ok = false;
    const QString name = QInputDialog::getText(this, tr("Another name"), tr("Name of the job"),
                                               QLineEdit::Normal, shown(changed.name), &ok);
    if (!ok || to_bytes(name.trimmed()) == changed.name) return;
    const std::string before = std::exchange(changed.name, to_bytes(name.trimmed()));
    if (const auto why = objection_to_job_name(changed.name); !why.empty())
        return emit said(tr("The name %1.").arg(shown(why)));
    jobs_.keep(changed, SavedJobs::IfTaken::refuse, before);
}

void JobsPage::askForget() {
    const KeptJob* job = current();
    if (job == nullptr) return;
    question_words_->setText(job->runs_by
                                 ? tr("\u201c%1\u201d would be gone, and would not run by itself any more. "
                                      "What it did stays, with its receipts.")
                                       .arg(shown(job->name))
                                 : tr("\u201c%1\u201d would be gone. What it did stays, with its receipts.")
                                       .arg(shown(job->name)));
    question_->show();
    question_->findChild<QPushButton*>(QStringLiteral("jobForgetNot"))->setFocus();
}

void JobsPage::readIn() {
    const QString file =
        QFileDialog::getOpenFileName(this, tr("Read a job from a file"), {}, tr("Jobs (*.json)"));
    if (!file.isEmpty()) jobs_.readIn(to_bytes(file));
}

void JobsPage::writeOut() {
    const KeptJob* job = current();
    if (job == nullptr) return;
    const std::string name = job->name;
    const QString file = QFileDialog::getSaveFileName(
        this, tr("Write the job to a file"), shown(name) + QStringLiteral(".json"), tr("Jobs (*.json)"));
    if (!file.isEmpty()) jobs_.writeOut(name, to_bytes(file));
}
