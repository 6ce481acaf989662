// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/instruction_line.h"

#include <QActionGroup>
#include <QDragEnterEvent>
#include <QHBoxLayout>
#include <QLabel>
#include <QMimeData>
#include <QPushButton>
#include <QStyle>
#include <algorithm>

#include "error_words.h"
#include "files/path.h"
#include "job_words.h"
#include "sentence.h"
#include "tasks/bench.h"
#include "tasks/file_clips.h"
#include "text.h"
#include "theme/theme.h"
#include "views/bench/destination_panel.h"
#include "views/bench/phrase.h"
#include "views/bench/rule_dialogs.h"
#include "views/parts/building.h"
#include "views/parts/spacing.h"

using namespace tavlo;

InstructionLine::InstructionLine(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("instruction"));
    setAttribute(Qt::WA_StyledBackground);
    setAcceptDrops(true);
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::across, Gap::apart);
    auto* words = new QWidget;
    words_ = new SentenceLayout;
    words_->setContentsMargins(Inset::none);
    words->setLayout(words_);
    words->setObjectName(QStringLiteral("sentence"));  // the style sheet sets its size
    QSizePolicy policy(QSizePolicy::Expanding, QSizePolicy::Preferred);
    policy.setHeightForWidth(true);
    words->setSizePolicy(policy);
    buildSentence(*words);
    row->addWidget(words, 1);
    start_ = named_button("start");
    start_->setProperty("role", "primary");
    row->addWidget(start_, 0, Qt::AlignVCenter);
    panel_ = new DestinationPanel(bench_, this);
    connectMenus();
    connectPhrases();
    connect(start_, &QPushButton::clicked, this, &InstructionLine::startRequested);
    connect(&bench_, &Bench::jobChanged, this, &InstructionLine::refresh);
    connect(&bench_, &Bench::viewChanged, this, &InstructionLine::refresh);
    refresh();
}

void InstructionLine::buildSentence(QWidget& words) {
    const auto add_phrase = [&](const char* name) {
        auto* phrase = new Phrase(QLatin1String(name), &words);
        words_->addWidget(phrase);
        return phrase;
    };
    const auto add_words = [&] {
        auto* label = new QLabel(&words);
        label->setContentsMargins(Inset::in_line);
        words_->addWidget(label);
        return label;
    };
    operation_ = add_phrase("phraseOperation");
    add_words()->setText(QStringLiteral(" "));
    items_ = add_phrase("phraseItems");
    from_ = add_words();
    folders_ = add_phrase("phraseFolders");
    before_which_ = add_words();
    before_which_->setText(QStringLiteral(" "));
    which_ = add_phrase("phraseWhich");
    into_ = add_words();
    destination_ = add_phrase("phraseDestination");
    comma_ = add_words();
    shape_ = add_phrase("phraseShape");
    second_comma_ = add_words();
    clearing_ = add_phrase("phraseClearing");
    before_names_ = add_words();
    names_ = add_phrase("phraseNames");
    before_shelf_ = add_words();
    shelf_ = add_phrase("phraseShelf");
    third_comma_ = add_words();
    losing_ = add_phrase("phraseLosing");
    then_ = add_phrase("phraseThen");
    semicolon_ = add_words();
    taken_ = add_words();
    rule_ = add_phrase("phraseRule");
    before_elsewhere_ = add_words();
    elsewhere_ = add_phrase("phraseElsewhere");
    stop_ = add_words();
    stays_ = add_words();
    for (Phrase* phrase : {clearing_, shelf_, losing_}) phrase->setTakesAway(true);
    for (QLabel* mark :
         {comma_, second_comma_, before_shelf_, third_comma_, semicolon_, before_elsewhere_, stop_})
        mark->setProperty("glued", true);
}

void InstructionLine::connectMenus() {
    const auto open = [this](Phrase* phrase, QMenu& menu, void (InstructionLine::*fill)()) {
        connect(phrase, &Phrase::clicked, this, [this, phrase, &menu, fill] {
            menu.clear();
            (this->*fill)();
            menu.popup(phrase->mapToGlobal(QPoint(0, phrase->height())));
        });
    };
    open(operation_, operation_menu_, &InstructionLine::fillOperationMenu);
    open(shelf_, shelf_menu_, &InstructionLine::fillShelfMenu);
    open(items_, items_menu_, &InstructionLine::fillItemsMenu);
    open(folders_, folders_menu_, &InstructionLine::fillFoldersMenu);
    open(rule_, rule_menu_, &InstructionLine::fillRuleMenu);
    open(elsewhere_, elsewhere_menu_, &InstructionLine::fillElsewhereMenu);
    connect(shape_, &Phrase::clicked, this, [this] {
        if (goes_elsewhere(bench_.job()) && !bench_.job().structure.sort_into.empty())
            return emit levelsRequested();
        shape_menu_.clear();
        fillShapeMenu();
        shape_menu_.popup(shape_->mapToGlobal(QPoint(0, shape_->height())));
    });
    connect(clearing_, &Phrase::clicked, this, [this] {
        clearing_menu_.clear();
        fillClearingMenu(clearing_menu_);
        clearing_menu_.popup(clearing_->mapToGlobal(QPoint(0, clearing_->height())));
    });
    for (QMenu* menu : {&operation_menu_, &shelf_menu_, &items_menu_, &folders_menu_, &shape_menu_,
                        &rule_menu_, &elsewhere_menu_, &clearing_menu_})
        menu->setParent(this, menu->windowFlags());
}

void InstructionLine::connectPhrases() {
    connect(names_, &Phrase::clicked, this,
            [this] { is_one_file_ ? emit oneNameRequested() : emit namesRequested(); });
    connect(then_, &Phrase::clicked, this, [this] {
        Job wanted = bench_.job();
        wanted.then_remove = !wanted.then_remove;
        bench_.setPacking(wanted);
    });
    connect(which_, &Phrase::clicked, this, [this] {
        QMenu menu(this);
        menu.addAction(tr("All that is in them"), &bench_, &Bench::takeAll);
        menu.exec(which_->mapToGlobal(QPoint(0, which_->height())));
    });
    connect(losing_, &Phrase::clicked, this, [this] { bench_.setMayLose(false); });
    connect(destination_, &Phrase::clicked, this, &InstructionLine::chooseDestination);
}

void InstructionLine::chooseDestination() {
    if (packs()) return askArchive();
    panel_->openAt(destination_->mapToGlobal(QPoint(0, destination_->height() + 2)));
}

void InstructionLine::setFolderOnView(const std::string& folder) { panel_->setBase(folder); }

void InstructionLine::dragEnterEvent(QDragEnterEvent* event) {
    if (from_mime(event->mimeData()).paths.size() == 1) event->acceptProposedAction();
}

/// One folder dropped onto the sentence is where things go.
void InstructionLine::dropEvent(QDropEvent* event) {
    const auto paths = from_mime(event->mimeData()).paths;
    if (paths.size() != 1) return;
    event->setDropAction(Qt::CopyAction);
    event->accept();
    bench_.setDestination(paths.front());
}

void InstructionLine::setWithoutWaiting(bool on) {
    without_waiting_ = on;
    refresh();
}

QString InstructionLine::sentence() const { return job_sentence(bench_.job(), in_hand_); }

QString InstructionLine::spoken() const {
    QString text;
    for (int at = 0; at < words_->count(); ++at) {
        const QWidget* part = words_->itemAt(at)->widget();
        if (part->isHidden()) continue;
        const auto* label = qobject_cast<const QLabel*>(part);
        text += label != nullptr ? label->text() : qobject_cast<const Phrase*>(part)->text();
    }
    return text;
}

void InstructionLine::refresh() {
    const Job& job = bench_.job();
    const auto& plan = bench_.plan();
    const auto& view = bench_.view();
    const bool fresh = !bench_.isWorking();
    // until the batch has been gone through, what is known is how many were picked
    auto items = plan && fresh                                ? plan->totals.items - plan->leaving.size()
                 : view.batch && fresh && goes_elsewhere(job) ? view.batch->entries.size()
                                                              : bench_.picks().count();
    if (plan && fresh) items -= view.made;  // folders that it makes are not in hand
    const auto folders = bench_.picks().folders();
    in_hand_ = {items, folders, view.has_folders && bench_.picks().count() > 0};
    in_hand_.which = selection_words(job.what);
    which_->setText(tr("(%1)").arg(in_hand_.which));
    which_->setAccessibleName(tr("Which of them: %1").arg(in_hand_.which));
    setShown({before_which_, which_}, !in_hand_.which.isEmpty());
    items_->setText(bench_.picks().empty() ? tr("nothing yet")
                                           : tr("%Ln items", nullptr, static_cast<int>(items)));
    folders_->setText(folders.size() == 1 ? short_path(folders.front(), 1)
                                          : tr("%Ln folders", nullptr, static_cast<int>(folders.size())));
    is_one_file_ = plan && fresh && goes_elsewhere(job) && !packs() && job.naming.empty() && items == 1 &&
                   !plan->items.empty() && plan->entry(plan->items.back()).status.type != FileType::folder;
    if (is_one_file_ && bench_.isTyped(static_cast<ItemId>(plan->items.size() - 1)))
        in_hand_.as = shown(plan->final_name(plan->items.back()));
    const auto stays = plan && fresh ? plan->totals.of(Outcome::undecided) : 0;
    stop_->setText(stays == 0 ? tr(".") : tr("; "));
    stays_->setText(tr("%Ln undecided stay in hand.", nullptr, static_cast<int>(stays)));
    stays_->setVisible(stays > 0);
    for (QLabel* comma : {comma_, second_comma_, third_comma_, before_shelf_}) comma->setText(tr(", "));
    goes_elsewhere(job) ? refreshTransfer() : refreshInPlace();
    from_->setVisible(!folders.empty());
    folders_->setVisible(!folders.empty());

    operation_->setAccessibleName(tr("What is done: %1").arg(operation_->text()));
    items_->setAccessibleName(tr("Batch: %1").arg(items_->text()));
    folders_->setAccessibleName(tr("From: %1").arg(folders_->text()));
    destination_->setAccessibleName(tr("Destination: %1").arg(destination_->text()));
    shape_->setAccessibleName(tr("Subfolders: %1").arg(shape_->text()));
    names_->setAccessibleName(tr("New names: %1").arg(names_->text()));
    shelf_->setAccessibleName(tr("Where it goes: %1").arg(shelf_->text()));
    elsewhere_->setAccessibleName(tr("What is there under another name: %1").arg(elsewhere_->text()));
    rule_->setAccessibleName(tr("Where a name is taken: %1").arg(rule_->text()));
    setAccessibleName(spoken());
    refreshStart(static_cast<int>(items));
    words_->invalidate();
    for (int at = 0; at < words_->count(); ++at) {
        words_->itemAt(at)->widget()->updateGeometry();
        words_->itemAt(at)->widget()->update();
    }
}

/// What a copy or a move says.
void InstructionLine::refreshTransfer() {
    const Job& job = bench_.job();
    const auto& plan = bench_.plan();
    const bool fresh = !bench_.isWorking();
    const bool moves = job.operation == Operation::move;
    operation_->setText(packs()                              ? tr("Pack")
                        : moves                              ? tr("Move")
                        : job.operation == Operation::unpack ? tr("Unpack")
                                                             : tr("Copy"));
    operation_->setTakesAway(false);
    from_->setText(tr(" from "));
    into_->setText(tr(" into "));
    destination_->setText(!job.into.empty() ? short_path(job.into)
                          : packs()         ? tr("an archive to be named")
                                            : tr("a folder to be chosen"));
    destination_->setWaiting(job.into.empty());
    destination_->setToolTip(shown(job.into));
    shape_->setText(structure_words(job.structure));
    // files alone from one folder can only go side by side
    const bool has_shape = in_hand_.has_folders || in_hand_.from.size() > 1 || job.structure != Structure{};
    const auto leaving = plan && fresh ? plan->leaving.size() : 0;
    clearing_->setText(
        leaving == 0
            ? clearing_words(job.clearing)
            : tr("%1 (%Ln go)", nullptr, static_cast<int>(leaving)).arg(clearing_words(job.clearing)));
    clearing_->setAccessibleName(tr("What else is in the destination: %1").arg(clearing_->text()));
    losing_->setText(tr("even where attributes are lost"));
    losing_->setToolTip(
        tr("What people or programs noted about a file, and who may read it, is gone with its source where "
           "the destination "
           "cannot keep it. Change to: such a file stays."));
    losing_->setAccessibleName(tr("Attributes: %1").arg(losing_->text()));
    before_names_->setText(is_one_file_ ? tr(", as ") : tr(", with new names: "));
    names_->setText(is_one_file_ ? shown(plan->final_name(plan->items.back())) : naming_words(job.naming));
    names_->setToolTip(is_one_file_ ? tr("Type another name for it") : QString());
    showRule();
    elsewhere_->setText(elsewhere_words(bench_.elsewhere().value_or(Decision::skip)));
    before_elsewhere_->setText(tr("; what is already there under another name "));
    setShown({before_elsewhere_, elsewhere_}, job.look_elsewhere && !packs());
    setShown({into_, destination_}, true);
    setShown({comma_, shape_}, has_shape);
    setShown({second_comma_, clearing_}, job.clearing != Clearing::none && !packs());
    setShown({before_names_, names_}, is_one_file_ || !job.naming.empty());
    setShown({losing_}, moves && job.may_lose);
    setShown({third_comma_}, (moves && job.may_lose) || packs());
    refreshPacking();
    setShown({before_shelf_, shelf_}, false);
}

/// What becomes of what was packed.
void InstructionLine::refreshPacking() {
    then_->setVisible(packs());
    if (!packs()) return;
    const bool removes = bench_.job().then_remove;
    then_->setText(removes ? tr("then remove them") : tr("and keep them"));
    then_->setTakesAway(removes);
    then_->setToolTip(
        removes
            ? tr("Each file goes to the Safe once it is proved to be in the archive. Change to: they stay.")
            : tr("They stay where they are. Change to: each goes to the Safe once it is proved to be in the "
                 "archive."));
    then_->setAccessibleName(tr("What becomes of them: %1").arg(then_->text()));
}

/// What a removal says, and what new names where things are say.
void InstructionLine::refreshInPlace() {
    const Job& job = bench_.job();
    const bool removes = job.operation == Operation::remove;
    operation_->setText(removes ? tr("Remove") : tr("Give"));
    operation_->setTakesAway(removes);
    from_->setText(removes ? tr(" from ") : tr(" in "));
    shape_->setText(job.structure.contents ? inside_words(job)
                    : removes              ? tr("folders with all that is in them")
                                           : tr("folders themselves"));
    before_names_->setText(job.structure.contents ? tr(", new names: ") : tr(" new names: "));
    names_->setToolTip(QString());
    names_->setText(job.naming.empty() ? tr("steps to be chosen") : naming_words(job.naming));
    names_->setWaiting(job.naming.empty());
    shelf_->setText(shelf_words(job.shelf));
    showRule();
    setShown({into_, destination_, second_comma_, clearing_, third_comma_, losing_, then_, before_elsewhere_,
              elsewhere_},
             false);
    setShown({comma_, shape_}, in_hand_.has_folders || job.structure.contents);
    setShown({before_names_, names_}, !removes);
    setShown({before_shelf_, shelf_}, removes);
    if (removes) setShown({semicolon_, taken_, rule_}, false);
}

void InstructionLine::showRule() {
    const auto& plan = bench_.plan();
    semicolon_->setText(tr("; "));
    taken_->setText(tr("where a name is taken, "));
    const auto overwrites = plan && !bench_.isWorking() ? plan->totals.of(Outcome::overwritten) : 0;
    const bool by_rule =
        bench_.collisionRule() != CollisionRule::ask;  // what was decided one by one, the balance says
    const QString words = policy_words(bench_.job().policy);
    rule_->setText(overwrites == 0 || !by_rule ? words
                                               : tr("%1, overwriting %2").arg(words, count_text(overwrites)));
    const bool undecided = plan && plan->totals.of(Outcome::undecided) > 0;
    rule_->setWaiting(bench_.collisionRule() == CollisionRule::ask && undecided);
    setShown({semicolon_, taken_, rule_}, true);
}

void InstructionLine::setShown(std::initializer_list<QWidget*> parts, bool on) {
    for (QWidget* part : parts) part->setVisible(on);
}

namespace {

/// does  how many items something will be done with, of `count`
QString verb_for(Operation operation, int count, int does) {
    const auto words = [&](const QString& verb, const QString& all, const QString& some) {
        return count == 0      ? verb
               : does == count ? all
                               : some.arg(count_text(static_cast<std::uint64_t>(does)),
                                          count_text(static_cast<std::uint64_t>(count)));
    };
    switch (operation) {
        case Operation::move:
            return words(InstructionLine::tr("Move"), InstructionLine::tr("Move %Ln items", nullptr, count),
                         InstructionLine::tr("Move %1 of %2"));
        case Operation::rename:
            return words(InstructionLine::tr("Rename"),
                         InstructionLine::tr("Rename %Ln items", nullptr, count),
                         InstructionLine::tr("Rename %1 of %2"));
        case Operation::remove:
            return words(InstructionLine::tr("Remove"),
                         InstructionLine::tr("Remove %Ln items", nullptr, count),
                         InstructionLine::tr("Remove %1 of %2"));
        case Operation::pack:
            return words(InstructionLine::tr("Pack"), InstructionLine::tr("Pack %Ln items", nullptr, count),
                         InstructionLine::tr("Pack %1 of %2"));
        case Operation::unpack:
            return words(InstructionLine::tr("Unpack"),
                         InstructionLine::tr("Unpack %Ln items", nullptr, count),
                         InstructionLine::tr("Unpack %1 of %2"));
        case Operation::copy:
        case Operation::undo:
        case Operation::restore:
        case Operation::make: break;
    }
    return words(InstructionLine::tr("Copy"), InstructionLine::tr("Copy %Ln items", nullptr, count),
                 InstructionLine::tr("Copy %1 of %2"));
}

}  // namespace

void InstructionLine::refreshStart(int count) {
    const Job& job = bench_.job();
    const auto& plan = bench_.plan();
    const auto& view = bench_.view();
    const bool fresh = !bench_.isWorking();
    if (const bool removes = job.operation == Operation::remove;
        start_->property("takesAway").toBool() != removes) {
        start_->setProperty("takesAway", removes);
        start_->style()->polish(start_);
    }
    const auto& totals = plan ? plan->totals : Totals{};
    // what is skipped, undecided or not possible stays as it is
    const auto does = static_cast<int>(totals.items - totals.of(Outcome::skipped) -
                                       totals.of(Outcome::undecided) - totals.of(Outcome::failed));
    const int all = bench_.picks().empty() ? 0 : count;
    const bool known = plan && fresh && does > 0 && static_cast<std::uint64_t>(all) == totals.items;
    start_->setText(verb_for(job.operation, all, known ? does : all));
    const bool something = totals.of(Outcome::created) + totals.of(Outcome::overwritten) +
                               totals.of(Outcome::renamed) + totals.of(Outcome::merged) +
                               totals.of(Outcome::removed) >
                           0;
    const bool undecided = totals.of(Outcome::undecided) > 0;
    start_->setEnabled(plan && fresh && something && view.refusals.empty());
    const QString missing = job.operation == Operation::remove ? tr("Pick files first")
                            : job.operation == Operation::rename
                                ? tr("Pick files and say what their names are to be first")
                                : tr("Pick files and choose a destination first");
    start_->setToolTip(!fresh                   ? tr("Not worked out yet")
                       : !plan                  ? missing
                       : !view.refusals.empty() ? view.refusals.front()
                       : !something             ? tr("Nothing would be done")
                       : undecided              ? tr("What is undecided stays as it is")
                                                : QString());
    if (!couldBeginCounting()) return;
    const std::string why = bench_.reasonToWait();
    start_->setEnabled(why.empty());
    if (why.empty()) start_->setText(tr("Copy, while counting"));
    start_->setToolTip(why.empty()
                           ? tr("Begins with what collides with nothing; the rest follows as it is counted")
                           : tr("Everything is counted first: %1").arg(told_words(why)));
}

bool InstructionLine::couldBeginCounting() const {
    const Job& job = bench_.job();
    return without_waiting_ && bench_.isCounting() && !job.into.empty() && goes_elsewhere(job);
}

InstructionLine::Begins InstructionLine::begins() const {
    if (!start_->isEnabled()) return Begins::nothing;
    if (couldBeginCounting()) return Begins::while_counting;
    // where it was being counted it is planned just now, and nobody has been told yet
    return bench_.isWorking() ? Begins::nothing : Begins::plan;
}

QString InstructionLine::aboutStart() const {
    return bench_.isWorking() && !couldBeginCounting() ? tr("Not worked out yet") : start_->toolTip();
}
