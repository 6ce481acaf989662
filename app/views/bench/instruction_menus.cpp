// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QMenu>
#include <algorithm>

#include "files/path.h"
#include "sentence.h"
#include "tasks/bench.h"
#include "text.h"
#include "views/bench/instruction_line.h"
#include "views/bench/pack_dialog.h"
#include "views/bench/rule_dialogs.h"

// What the underlined parts of the sentence offer.

using namespace tavlo;

namespace {

/// The folder that all of these lie in or are.
std::string common_folder(const std::vector<std::string>& folders) {
    std::string common = folders.front();
    for (const auto& folder : folders)
        while (folder != common && !is_within(folder, common)) common = std::string(parent_of(common));
    return common;
}

QString rule_details(CollisionRule rule) {
    switch (rule) {
        case CollisionRule::ask:
            return InstructionLine::tr(
                "Ask me: nothing happens to either until I decide; same bytes are skipped");
        case CollisionRule::keep: return InstructionLine::tr("Keep what is there: skip the incoming one");
        case CollisionRule::newer_wins:
            return InstructionLine::tr("The newer one wins: older and same are skipped");
        case CollisionRule::incoming_wins:
            return InstructionLine::tr("Overwrite what is there: the old ones go to the Safe");
        case CollisionRule::larger_wins:
            return InstructionLine::tr(
                "The larger one wins: smaller and same are skipped; of one size, ask me");
        case CollisionRule::bring_up_to_date:
            return InstructionLine::tr(
                "Bring up to date: newer overwrites, older and same are skipped, anything else asks me");
        case CollisionRule::own: return InstructionLine::tr("My own rule, by finding and size…");
        case CollisionRule::both_stay:
            return InstructionLine::tr("Keep both: the incoming one gets a new name");
    }
    return {};
}

/// An entry that is ticked where it stands.
template <class Choose>
void add_choice(QMenu& menu, const QString& words, bool stands, QObject* whose, Choose choose) {
    auto* action = menu.addAction(words, whose, choose);
    action->setCheckable(true);
    action->setChecked(stands);
}

}  // namespace

/// What can be done with a batch.
void InstructionLine::fillOperationMenu() {
    const auto add = [&](const QString& words, Operation operation) {
        add_choice(operation_menu_, words, bench_.job().operation == operation, this,
                   [this, operation] { bench_.setOperation(operation); });
    };
    add(tr("&Copy to another folder"), Operation::copy);
    add(tr("&Move to another folder"), Operation::move);
    add(tr("&New names where it is"), Operation::rename);
    add(tr("&Pack into an archive"), Operation::pack);
    if (bench_.picks().areArchivesAlone()) add(tr("&Unpack them"), Operation::unpack);
    add(tr("&Remove, to the Safe or to the trash"), Operation::remove);
    if (!goes_elsewhere(bench_.job())) return;
    operation_menu_.addSeparator();
    operation_menu_.addAction(tr("Ne&w names on the way…"), this, &InstructionLine::namesRequested);
}

void InstructionLine::fillShelfMenu() {
    const auto add = [&](const QString& words, Shelf shelf) {
        add_choice(shelf_menu_, words, bench_.job().shelf == shelf, this,
                   [this, shelf] { bench_.setShelf(shelf); });
    };
    add(tr("To the Safe: out of sight; the undo brings it back, until the Safe is emptied"), Shelf::safe);
    add(tr("To the trash of the desktop: the undo, or any file manager, brings it back, until the trash is "
           "emptied"),
        Shelf::trash);
}

void InstructionLine::fillItemsMenu() {
    items_menu_.addAction(tr("Show the batch as a list"), this, &InstructionLine::batchRequested)
        ->setEnabled(bench_.picks().count() > 0);
    items_menu_.addAction(tr("Empty the batch"), this, [this] { bench_.replacePicks({}); })
        ->setEnabled(bench_.picks().count() > 0);
    if (!goes_elsewhere(bench_.job()) || packs()) return;
    items_menu_.addSeparator();
    items_menu_.addAction(tr("Sort them into folders by what they tell…"), this,
                          &InstructionLine::levelsRequested);
    if (bench_.job().operation != Operation::move) return;
    add_choice(items_menu_, tr("Move also what would lose its notes or access list there"),
               bench_.job().may_lose, this, [this](bool on) { bench_.setMayLose(on); });
}

void InstructionLine::fillFoldersMenu() {
    for (const auto& folder : bench_.picks().folders()) {
        auto* menu =
            folders_menu_.addMenu(tr("%1 (%Ln picked)", nullptr, static_cast<int>(bench_.picks().in(folder)))
                                      .arg(short_path(folder)));
        menu->addAction(tr("Look into it"), this, [this, folder] { emit folderRequested(folder); });
        menu->addAction(tr("Take what is from here out of the batch"), this,
                        [this, folder] { bench_.unpickFolder(folder); });
    }
    if (folders_menu_.isEmpty()) folders_menu_.addAction(tr("Nothing is picked yet"))->setEnabled(false);
}

void InstructionLine::fillShapeMenu() {
    const Structure now = bench_.job().structure;
    if (!goes_elsewhere(bench_.job())) return fillShapeInPlace();
    const auto add = [&](const QString& words, const Structure& shape) {
        add_choice(shape_menu_, words, shape == now, this, [this, shape] { bench_.setStructure(shape); });
    };
    for (const bool contents : {false, true}) {
        if (contents) shape_menu_.addSeparator();
        const QString head = contents ? tr("Only what is in a folder: %1") : tr("The folder itself: %1");
        add(head.arg(tr("keeping subfolders")), {contents, Subfolders::all, false, {}});
        add(head.arg(tr("keeping subfolders with files in them")), {contents, Subfolders::filled, false, {}});
        add(head.arg(tr("without subfolders")), {contents, Subfolders::none, false, {}});
    }
    shape_menu_.addSeparator();
    add(tr("All files in one folder, no subfolders"), {false, Subfolders::all, true, {}});
    if (packs()) return;
    auto* sorted = shape_menu_.addAction(tr("In folders by what files tell: date, place, artist, author…"),
                                         this, &InstructionLine::levelsRequested);
    sorted->setObjectName(QStringLiteral("sortByFacts"));
    sorted->setCheckable(true);
    sorted->setChecked(!now.sort_into.empty());
    fillWayMenu();
    shape_menu_.addSeparator();
    fillClearingMenu(*shape_menu_.addMenu(tr("What else is in the destination")));
}

/// Of what is renamed or removed: folders themselves, or what is in them.
void InstructionLine::fillShapeInPlace() {
    const Structure now = bench_.job().structure;
    const bool renames = bench_.job().operation == Operation::rename;
    const auto add = [&](const QString& words, const Structure& shape) {
        add_choice(shape_menu_, words, shape == now, this, [this, shape] { bench_.setStructure(shape); });
    };
    add(renames ? tr("The folders themselves, not what is in them")
                : tr("The folders, with all that is in them"),
        {});
    if (!renames) return add(tr("Only what is in them; the folders stay"), {.contents = true});
    add(tr("The files in them, also in subfolders"), {.contents = true});
    add(tr("The files directly in them"), {.contents = true, .subfolders = Subfolders::none});
    add(tr("The files and folders in them"), {.contents = true, .folders_too = true});
}

/// From which level on the folders that things come from are kept: the one that holds them all, and some
/// above it.
void InstructionLine::fillWayMenu() {
    constexpr int levels_offered = 3;
    const auto folders = bench_.picks().folders();
    if (folders.empty()) return;
    const Structure now = bench_.job().structure;
    auto* menu = shape_menu_.addMenu(tr("Folders that things come from"));
    const auto add = [&](const QString& words, const std::string& from) {
        Structure shape = now;
        shape.flatten = false;
        shape.kept_from = from;
        add_choice(*menu, words, now.kept_from == from, this, [this, shape] { bench_.setStructure(shape); });
    };
    add(tr("Are not kept: side by side"), {});
    std::string from = common_folder(folders);
    const std::string& example =
        *std::max_element(folders.begin(), folders.end(), [&](const auto& a, const auto& b) {
            return std::count(a.begin(), a.end(), '/') < std::count(b.begin(), b.end(), '/');
        });
    for (int level = 0; level < levels_offered; ++level) {
        if (example != from)
            add(tr("Kept below %1: %2")
                    .arg(short_path(from, 1),
                         short_path(example.substr(from == "/" ? 1 : from.size() + 1), 9)),
                from);
        if (from == "/") break;
        from = std::string(parent_of(from));
    }
}

void InstructionLine::fillClearingMenu(QMenu& menu) {
    const auto add = [&](const QString& words, Clearing clearing) {
        add_choice(menu, words, bench_.job().clearing == clearing, this,
                   [this, clearing] { bench_.setClearing(clearing); });
    };
    add(tr("Stays"), Clearing::none);
    add(tr("Nothing extra: what is not of the batch goes to the Safe"), Clearing::extra);
    add(tr("Empty it first: everything there goes to the Safe"), Clearing::all);
}

void InstructionLine::fillRuleMenu() {
    for (const auto rule : {CollisionRule::ask, CollisionRule::keep, CollisionRule::newer_wins,
                            CollisionRule::larger_wins, CollisionRule::incoming_wins,
                            CollisionRule::both_stay, CollisionRule::bring_up_to_date, CollisionRule::own}) {
        auto* action = rule_menu_.addAction(rule_details(rule), this, [this, rule] {
            if (rule == CollisionRule::own) return askOwnRule();
            bench_.setCollisionRule(rule);
        });
        action->setCheckable(true);
        action->setChecked(rule == bench_.collisionRule());
    }
    if (goes_elsewhere(bench_.job()) && !packs())
        offerElsewhere(*rule_menu_.addMenu(tr("What is already there under another name")));
    rule_menu_.addSeparator();
    const NewNames now = bench_.job().policy.new_names;
    auto* names = rule_menu_.addMenu(tr("New names, where both stay"));
    const auto add = [&](const QString& words, const NewNames& scheme) {
        add_choice(*names, words, scheme.scheme == now.scheme, this,
                   [this, scheme] { bench_.setNewNames(scheme); });
    };
    add(tr("By number: report-2.pdf"), {});
    add(tr("By date of change: report 2031-05-02.pdf"), {NewNames::Scheme::date, {}});
    auto* own = names->addAction(now.scheme == NewNames::Scheme::pattern
                                     ? tr("By my own pattern: %1").arg(shown(now.pattern))
                                     : tr("By my own pattern…"),
                                 this, &InstructionLine::askNamePattern);
    own->setCheckable(true);
    own->setChecked(now.scheme == NewNames::Scheme::pattern);
}

void InstructionLine::fillElsewhereMenu() { offerElsewhere(elsewhere_menu_); }

void InstructionLine::offerElsewhere(QMenu& menu) {
    const auto now = bench_.elsewhere();
    const auto add = [&](const QString& words, std::optional<Decision> decision) {
        add_choice(menu, words, now == decision, this, [this, decision] { bench_.setElsewhere(decision); });
    };
    add(tr("Is not looked for"), std::nullopt);
    add(tr("Is skipped: files of equal size are read, and those with the same bytes stay out"),
        Decision::skip);
    add(tr("Asks me"), Decision::undecided);
    add(tr("Is marked, and comes all the same"), Decision::rename);
}

void InstructionLine::askOwnRule() {
    OwnRuleDialog dialog(bench_.ownRule(), this);
    if (dialog.exec() == QDialog::Accepted) bench_.setOwnRule(dialog.rule());
}

bool InstructionLine::packs() const { return bench_.job().operation == Operation::pack; }

void InstructionLine::askArchive() {
    Job now = bench_.job();
    if (const auto folders = bench_.picks().folders();
        now.into.empty() && !folders.empty())  // beside what it is made of
        now.into =
            join(std::string(parent_of(folders.front())), std::string(name_of(folders.front())) + ".zip");
    PackDialog dialog(now, this);
    if (dialog.exec() == QDialog::Accepted) bench_.setPacking(dialog.job());
}

void InstructionLine::askNamePattern() {
    NamePatternDialog dialog(bench_.job().policy.new_names.pattern, this);
    if (dialog.exec() == QDialog::Accepted) bench_.setNewNames({NewNames::Scheme::pattern, dialog.pattern()});
}
