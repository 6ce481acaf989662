// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <QAbstractItemModelTester>
#include <QLabel>
#include <QListWidget>
#include <QPlainTextEdit>
#include <QPushButton>
#include <cstdlib>
#include <filesystem>

#include "job/prepare.h"
#include "models/batch_model.h"
#include "models/folder_model.h"
#include "models/outcome_model.h"
#include "select/kinds.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/instruction_file.h"
#include "tasks/outcome_export.h"
#include "views/bench/rule_dialogs.h"
#include "views/gathering/kinds_dialog.h"
#include "views/gathering/location_bar.h"
#include "window_driver.h"

using namespace tavlo;

namespace {

bool settled(const FolderModel& model) {
    return WindowDriver::wait([&] { return !model.isLoading(); });
}

std::string names(const QAbstractItemModel& model) {
    std::string text;
    for (int row = 0; row < model.rowCount(); ++row)
        text += model.index(row, 0).data().toString().toStdString() + " ";
    return text;
}

}  // namespace

TEST_CASE("the list sorts by every column, folders first, in natural order", "[model]") {
    TempFolder temp;
    temp.write("desk/invoice-10.pdf", std::string(10, 'x'));
    temp.write("desk/invoice-9.pdf", std::string(3000, 'x'));
    temp.write("desk/b.csv", std::string(20, 'x'));
    temp.write("desk/.hidden", "x");
    temp.write("desk/sub/deep/a.txt", std::string(100, 'x'));
    temp.folder("desk/zz");
    temp.date("desk/invoice-10.pdf", 1'900'000'000);
    temp.date("desk/invoice-9.pdf", 1'700'000'000);
    temp.date("desk/b.csv", 1'800'000'000);
    std::filesystem::permissions(temp.path("desk/b.csv"), std::filesystem::perms::owner_all);
    Bench bench(temp.path("state"));
    FolderModel model(bench);
    const QAbstractItemModelTester tester(&model, QAbstractItemModelTester::FailureReportingMode::Fatal);
    model.openFolder(temp.path("desk"));
    REQUIRE(settled(model));
    const auto sorted = [&](FolderColumn column, Qt::SortOrder order) {
        model.sort(static_cast<int>(column), order);
        REQUIRE(settled(model));
        return names(model);
    };
    CHECK(sorted(FolderColumn::name, Qt::AscendingOrder) == "sub zz b.csv invoice-9.pdf invoice-10.pdf ");
    CHECK(sorted(FolderColumn::name, Qt::DescendingOrder) == "zz sub invoice-10.pdf invoice-9.pdf b.csv ");
    CHECK(sorted(FolderColumn::size, Qt::DescendingOrder).ends_with("invoice-9.pdf b.csv invoice-10.pdf "));
    CHECK(sorted(FolderColumn::changed, Qt::AscendingOrder).ends_with("invoice-9.pdf b.csv invoice-10.pdf "));
    CHECK(sorted(FolderColumn::kind, Qt::DescendingOrder).ends_with("b.csv invoice-10.pdf invoice-9.pdf "));
    CHECK(sorted(FolderColumn::permissions, Qt::DescendingOrder)
              .ends_with("b.csv invoice-10.pdf invoice-9.pdf "));
    sorted(FolderColumn::name, Qt::AscendingOrder);
    const auto cell = [&](int row, FolderColumn column) {
        return model.index(row, static_cast<int>(column)).data().toString();
    };
    CHECK(cell(2, FolderColumn::kind) == "sheets · csv");
    CHECK(cell(2, FolderColumn::permissions) == "rwx------");
    CHECK(cell(0, FolderColumn::kind) == "folder");
    // folders fill in what is below them
    REQUIRE(WindowDriver::wait([&] { return !cell(1, FolderColumn::size).isEmpty(); }));
    CHECK(cell(0, FolderColumn::size) == "1 file, 100 B");
    CHECK(cell(1, FolderColumn::size) == "no files");
    model.setHiddenShown(true);
    REQUIRE(settled(model));
    CHECK(model.rowCount() == 6);
    // all below, as it is found; where each lies
    model.setHiddenShown(false);
    model.setBelow(true);
    REQUIRE(settled(model));
    CHECK(names(model) == "a.txt b.csv invoice-9.pdf invoice-10.pdf ");
    CHECK(cell(0, FolderColumn::folder) == "sub/deep");
    CHECK(cell(1, FolderColumn::folder) == "here");
    CHECK(model.path(model.index(0, 0)) == temp.path("desk/sub/deep/a.txt"));
    model.openFolder(temp.path("nothing"));
    REQUIRE(settled(model));
    CHECK(model.listing().problem == "is not there");
}

TEST_CASE("permissions as people read them", "[text]") {
    CHECK(permissions_text(0644) == "rw-r--r--");
    CHECK(permissions_text(0750) == "rwxr-x---");
    CHECK(permissions_text(04755) == "rwsr-xr-x");
    CHECK(permissions_text(01777) == "rwxrwxrwt");
}

TEST_CASE("what is in hand sorts by name, size, date and folder, and sums up folders", "[model]") {
    TempFolder temp;
    temp.write("a/box/one", std::string(10, 'x'));
    temp.write("a/box/two", std::string(20, 'x'));
    temp.write("b/file-10", std::string(25, 'x'));
    temp.write("b/file-9", std::string(40, 'x'));
    Bench bench(temp.path("state"));
    bench.replacePicks({temp.path("a/box"), temp.path("b/file-10"), temp.path("b/file-9")});
    REQUIRE(WindowDriver::wait([&] { return !bench.isWorking(); }));
    BatchModel model;
    const QAbstractItemModelTester tester(&model, QAbstractItemModelTester::FailureReportingMode::Fatal);
    model.setPicks(bench.view().picks);
    const auto comes = [&](int column, Qt::SortOrder order, const std::string& expected) {
        model.sort(column, order);
        return WindowDriver::wait([&] { return names(model) == expected; });
    };
    CHECK(comes(BatchModel::FromColumn, Qt::AscendingOrder, "box/ file-9 file-10 "));
    CHECK(comes(BatchModel::SizeColumn, Qt::AscendingOrder, "file-10 box/ file-9 "));
    CHECK(comes(BatchModel::NameColumn, Qt::DescendingOrder, "file-10 file-9 box/ "));
    CHECK(model.index(2, BatchModel::SizeColumn).data().toString() == "2 files, 30 B");
    CHECK(model.index(2, BatchModel::FromColumn).data().toString().endsWith("/ a"));
}

TEST_CASE("what the destination cannot hold under its name is shown with the name that it could have",
          "[model][names]") {
    auto batch = std::make_shared<Batch>();
    batch->folders.add_root("/from");
    for (const char* name : {"berth: plan?.pdf", "fine.pdf"}) {
        Entry entry;
        entry.folder = 0;
        entry.name = name;
        entry.status.type = FileType::file;
        entry.status.id = {1, batch->entries.size() + 1, 10, 0};
        batch->entries.push_back(entry);
    }
    auto survey = std::make_shared<Survey>();
    survey->roots.resize(1);
    survey->roots[0].path = "/to";
    survey->roots[0].volume.forbidden_in_names = "\\:*?\"<>|";
    const auto plan_by = [&](bool adapt) {
        Wishes wishes;
        wishes.policy.adapt_names = adapt;
        const Layout layout = lay_out(*batch, "/to", {}, false);
        return std::make_shared<const Plan>(make_plan(wishes, batch, layout, *survey, {}));
    };
    OutcomeModel model;
    model.setTree(OutcomeTree::make(plan_by(false), survey));
    REQUIRE(model.rowCount() == 2);
    CHECK(model.index(0, 0).data(OutcomeModel::TagRole).toString() == "cannot be done");
    CHECK(model.index(0, 0).data(OutcomeModel::WordsRole).toString() == "could be berth_ plan_.pdf");
    model.setTree(OutcomeTree::make(plan_by(true), survey));
    CHECK(model.index(0, 0).data(OutcomeModel::TagRole).toString() == "rename");
    CHECK(model.index(0, 0).data(OutcomeModel::WordsRole).toString() == "as berth_ plan_.pdf");
}

TEST_CASE("the balance by another rule is there before its plan, and is the plan's", "[model][rules]") {
    TempFolder temp;
    std::vector<std::string> sources;
    for (int i = 0; i < 9; ++i) {
        const std::string name = fmt::format("f{}", i);
        sources.push_back(temp.write("from/" + name, std::string(static_cast<std::size_t>(i), 'x')));
        if (i % 3 != 0) temp.write("to/" + name, "held, and longer");
        if (i % 3 != 0) temp.date("to/" + name, i % 2 == 0 ? 1'000'000'000 : 2'500'000'000);
    }
    Job job;
    job.what.sources = sources;
    job.into = temp.path("to");
    const auto disk = make_disk();
    const auto outlook = prepare(*disk, job);
    REQUIRE(outlook);
    const auto tree = OutcomeTree::make(outlook->plan, outlook->survey);
    for (const auto rule :
         {CollisionRule::ask, CollisionRule::keep, CollisionRule::newer_wins, CollisionRule::larger_wins,
          CollisionRule::incoming_wins, CollisionRule::both_stay, CollisionRule::bring_up_to_date}) {
        Job other = job;
        other.policy = policy_for(rule);
        const auto shares = tree->sharesBy(wishes_of(job), wishes_of(other));
        REQUIRE(shares);
        const Outlook then = plan_again(other, *outlook, KnownContents{});
        CHECK(*shares == OutcomeTree::make(then.plan, then.survey)->shares);
    }
    Job emptied = job;
    emptied.clearing = Clearing::all;
    CHECK_FALSE(tree->sharesBy(wishes_of(job), wishes_of(emptied)));
}

TEST_CASE("the rule of one's own comes out as it went in, and an instruction as it was", "[rules]") {
    Policy rule;
    rule.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    rule.when_sized[static_cast<std::size_t>(Finding::newer)]
                   [static_cast<std::size_t>(SizeRelation::larger)] = Decision::overwrite;
    const OwnRuleDialog dialog(rule, nullptr);
    const Policy back = dialog.rule();
    CHECK(back.when[static_cast<std::size_t>(Finding::same)] == Decision::skip);
    CHECK(back.when_sized[static_cast<std::size_t>(Finding::newer)]
                         [static_cast<std::size_t>(SizeRelation::larger)] == Decision::overwrite);
    CHECK(back.when_sized[static_cast<std::size_t>(Finding::older)][0] == Decision::undecided);

    Instruction asked;
    asked.job.operation = Operation::move;
    asked.job.into = "/there/\xff";
    asked.job.structure = {true, Subfolders::filled, false};
    asked.own = back;
    asked.job.policy = back;
    asked.job.policy.new_names = {NewNames::Scheme::pattern, "{name} {folder}{ext}"};
    const Pair pair{{1, UINT64_MAX, 3, -4}, {5, 6, 7, 8}, 9, 10};
    asked.decisions.add("/from/\xfe",
                        {pair, Decision::rename, NewNames{NewNames::Scheme::date, {}}, "its name", true});
    asked.typed["/from/\xfe"] = {{1, 2, 3, 4}, "typed \xfd"};
    asked.job.shelf = Shelf::trash;
    asked.job.what.folders_larger = "4K";
    const auto read = instruction_from_text(to_text(asked), "there");
    REQUIRE(read);
    CHECK(read->typed == asked.typed);
    CHECK(read->job == asked.job);
    CHECK(read->own == back);
    CHECK(rule_of(read->job.policy) == CollisionRule::own);
    const PairDecision* single = read->decisions.find("/from/\xfe", pair);
    REQUIRE(single != nullptr);
    CHECK(single->decision == Decision::rename);
    CHECK(single->new_names->scheme == NewNames::Scheme::date);
    CHECK(single->name == "its name");
    CHECK(single->renames_held);
    std::string newer = to_text(asked);
    newer.replace(newer.find("instruction 2"), 13, "instruction 9");
    CHECK_FALSE(instruction_from_text(newer, "there"));
    CHECK_FALSE(instruction_from_text("no JSON", "there"));
    const std::string text = to_text(asked);  // as it was before names could be typed
    CHECK(instruction_from_text(text.substr(0, text.rfind('\n', text.size() - 2) + 1), "there").has_value());
}

TEST_CASE("a pattern shows what it makes, or why it makes nothing", "[rules]") {
    NamePatternDialog dialog("{name} ({n}){ext}", nullptr);
    CHECK(dialog.findChild<QLabel*>("namePatternPreview")->text() == "report.pdf becomes report (2).pdf");
    dialog.findChild<QLineEdit*>("namePatternLine")->setText("{nome}");
    CHECK(dialog.findChild<QLabel*>("namePatternPreview")->text().contains("{nome}"));
    CHECK(dialog.pattern() == "{nome}");
}

TEST_CASE("kinds are changed in their file, and a line that says nothing is not saved", "[window]") {
    TempFolder temp;
    const QByteArray before = qgetenv("XDG_CONFIG_HOME");
    qputenv("XDG_CONFIG_HOME", temp.path("config").c_str());
    auto* dialog = new KindsDialog(Kinds(), nullptr);
    bool saved = false;
    QObject::connect(dialog, &KindsDialog::saved, [&] { saved = true; });
    dialog->show();
    auto* text = dialog->findChild<QPlainTextEdit*>("kindsText");
    const auto save = [&] {
        for (auto* button : dialog->findChildren<QPushButton*>())
            if (button->text().contains("Save")) button->click();
    };
    text->setPlainText("no colon here");
    save();
    QTest::qWait(50);
    CHECK_FALSE(saved);
    text->setPlainText("scans: pdf tif\nvideo:\n");
    save();
    REQUIRE(WindowDriver::wait([&] { return saved; }));
    const auto kinds = load_kinds();
    REQUIRE(kinds);
    CHECK(kinds->find("scans") != nullptr);
    CHECK(kinds->find("video") == nullptr);
    before.isEmpty() ? qunsetenv("XDG_CONFIG_HOME") : qputenv("XDG_CONFIG_HOME", before);
}

TEST_CASE("the location: each folder is a step, and a typed path is completed and understood", "[window]") {
    TempFolder temp;
    temp.folder("office/Archive");
    temp.folder("office/Accounts");
    LocationBar bar;
    bar.resize(700, 30);
    bar.setPath(temp.path("office"));
    bar.show();
    std::string chosen;
    QObject::connect(&bar, &LocationBar::folderChosen, [&](const std::string& path) { chosen = path; });
    const auto steps = bar.findChildren<QPushButton*>("locationStep");
    REQUIRE(steps.size() >= 2);
    const auto above = std::find_if(steps.begin(), steps.end(),
                                    [&](auto* step) { return step->toolTip().toStdString() == temp.path(); });
    REQUIRE(above != steps.end());
    (*above)->click();
    CHECK(chosen == temp.path());
    bar.edit();
    auto* line = bar.findChild<QLineEdit*>("location");
    const auto typed = [&](const QString& text) {
        bar.edit();
        line->setText(text);
        QTest::keyClick(line, Qt::Key_Return);
        return chosen;
    };
    CHECK(typed("Archive") == temp.path("office/Archive"));
    CHECK(typed("../office/Accounts/") == temp.path("office/Accounts"));
    CHECK(typed("/tmp") == "/tmp");
    CHECK(typed("~").front() == '/');
}

TEST_CASE(
    "the batch is taken up again whatever else is wished for at the start, and a second bench leaves it "
    "alone",
    "[batch]") {
    TempFolder temp;
    temp.write("desk/a", "x");
    temp.write("desk/b", "x");
    const auto settle = [](const Bench& bench) {
        return WindowDriver::wait([&] { return !bench.isWorking(); });
    };
    {
        Bench bench(temp.path("state"));
        bench.restore();
        bench.pick(temp.path("desk"), {"a"});
        REQUIRE(settle(bench));
        Bench second(temp.path("state"));  // of another window, which takes nothing up
        second.pick(temp.path("desk"), {"b"});
        REQUIRE(settle(second));
    }
    Bench bench(temp.path("state"));
    bench.restore();
    for (int wish = 0; wish < 5; ++wish) bench.lookAgain();
    REQUIRE(settle(bench));
    CHECK(bench.picks().count() == 1);
    CHECK(bench.picks().contain(temp.path("desk"), "a"));
}

TEST_CASE(
    "of two that run at once each keeps what is in hand for the next start, and leaves the other's alone",
    "[models]") {
    TempFolder temp;
    temp.write("desk/mine", "1");
    temp.write("desk/theirs", "2");
    const auto ready = [](const Bench& bench) {
        return WindowDriver::wait([&] { return !bench.isWorking(); });
    };
    {
        Bench first(temp.path("state"));
        first.restore();
        REQUIRE(ready(first));
        first.pick(temp.path("desk"), {"mine"});
        REQUIRE(ready(first));
        Bench second(temp.path("state"));
        second.restore();
        REQUIRE(ready(second));
        CHECK(second.picks().empty());
        second.pick(temp.path("desk"), {"theirs"});
        REQUIRE(ready(second));
    }
    Bench next(temp.path("state"));
    next.restore();
    REQUIRE(ready(next));
    CHECK(next.picks().paths() == std::vector<std::string>{temp.path("desk/mine")});
    Bench second(temp.path("state"));
    second.restore();
    REQUIRE(ready(second));
    CHECK(second.picks().paths() == std::vector<std::string>{temp.path("desk/theirs")});
}
