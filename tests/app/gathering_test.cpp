// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QDragEnterEvent>
#include <QDropEvent>
#include <QLabel>
#include <QMimeData>
#include <QProcess>
#include <QPushButton>
#include <filesystem>
#include <map>
#include <random>
#include <set>

#include "numbered_desk.h"
#include "support/catch.h"
#include "support/environment.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "tasks/file_clips.h"
#include "tasks/looker_process.h"
#include "tasks/outcome_export.h"
#include "tasks/runs.h"
#include "tasks/small_jobs.h"
#include "views/gathering/filter_bar.h"
#include "views/gathering/gathering_side.h"
#include "window_driver.h"

using namespace tavlo;

TEST_CASE(
    "what is selected stays selected when the list is sorted, filtered and narrowed, as far as it is shown",
    "[window][gathering]") {
    NumberedDesk desk(30);
    const auto& driver = *desk.driver;
    auto* list = driver.find<RowView>("folderList");
    const auto selected = [&] {
        std::set<std::string> names;
        for (const QModelIndex& one : list->selectionModel()->selectedIndexes())
            names.insert(desk.model().row(one.row()).name);
        return names;
    };
    const std::set<std::string> both{"permit-0204-quay.pdf", "permit-0211-quay.pdf"};
    driver.clickRow("folderList", 4);
    driver.clickRow("folderList", 11, 0, Qt::ControlModifier);
    REQUIRE(selected() == both);
    desk.model().setSorting(0, Qt::DescendingOrder);
    REQUIRE(driver.settle());
    CHECK(desk.model().row(0).name == "permit-0229-quay.pdf");
    CHECK(selected() == both);
    CHECK(desk.model().row(list->currentIndex().row()).name == "permit-0211-quay.pdf");
    REQUIRE(WindowDriver::wait([&] { return desk.model().narrow({}).has_value(); }));
    driver.type("pickBox", QStringLiteral("20"));  // 200 to 209, 220
    CHECK(desk.model().rowCount() == 11);
    CHECK(selected() == std::set<std::string>{"permit-0204-quay.pdf"});
    driver.key("pickBox", Qt::Key_Escape);
    CHECK(desk.model().rowCount() == 30);
    CHECK(selected() == std::set<std::string>{"permit-0204-quay.pdf"});
}

TEST_CASE("what another program adds or removes appears by itself, and the place one looks at stays",
          "[window][watch]") {
    NumberedDesk desk(200);
    desk.driver->clickRow("folderList", 150);
    const QString current = desk.driver->find<RowView>("folderList")->currentIndex().data().toString();
    desk.temp.write("desk/aaa.txt", "new");
    REQUIRE(WindowDriver::wait([&] { return desk.driver->rowNamed("folderList", "aaa.txt") >= 0; }));
    CHECK(desk.driver->find<RowView>("folderList")->currentIndex().data().toString() == current);
    std::filesystem::remove(desk.temp.path("desk/aaa.txt"));
    REQUIRE(WindowDriver::wait([&] { return desk.driver->rowNamed("folderList", "aaa.txt") < 0; }));
}

TEST_CASE("chips narrow the list, say what they do, and go by one key", "[window][filter]") {
    NumberedDesk desk(30);
    desk.temp.write("desk/photo-0205.jpg", std::string(5000, 'p'));
    desk.temp.write("desk/sub/photo-0206.jpg", std::string(6000, 'p'));
    auto& filter = desk.window->gathering().filter();
    REQUIRE(WindowDriver::wait([&] { return desk.driver->rowNamed("folderList", "sub") >= 0; }));
    FilterState state;
    state.larger = QStringLiteral("4K");
    filter.setState(state);
    REQUIRE(desk.driver->settle());
    CHECK(desk.model().rowCount() == 1);
    CHECK(desk.driver->find<QPushButton>("chipSize")->text() == QStringLiteral("Size: over 4K"));
    CHECK(desk.driver->find<QPushButton>("filterClear")->isVisible());
    desk.driver->click("filterBelow");
    REQUIRE(desk.driver->settle());
    CHECK(desk.model().rowCount() == 2);
    desk.driver->clickMark(desk.driver->rowNamed("folderList", "photo-0206.jpg"));
    CHECK(desk.window->bench().picks().contain(desk.temp.path("desk/sub"), "photo-0206.jpg"));
    desk.driver->click("filterBelow");
    desk.driver->key("folderList", Qt::Key_Escape);
    REQUIRE(desk.driver->settle());
    CHECK(desk.model().rowCount() == 32);
    state = {};
    state.not_below = QStringLiteral("Drafts, s?b");  // a folder goes out of sight, and what is in it
    filter.setState(state);
    REQUIRE(desk.driver->settle());
    CHECK(desk.model().rowCount() == 31);
    CHECK(desk.driver->find<QPushButton>("chipMore")->text() ==
          QStringLiteral("More: not below Drafts, s?b"));
    CHECK(FilterState::fromText(state.toText()) == state);
    desk.driver->click("filterBelow");
    REQUIRE(desk.driver->settle());
    CHECK(desk.driver->rowNamed("folderList", "photo-0206.jpg") < 0);
    CHECK(desk.driver->rowNamed("folderList", "photo-0205.jpg") >= 0);
    desk.driver->click("filterBelow");
    state = {};
    state.number_from = QStringLiteral("205");
    state.number_to = QStringLiteral("210");
    state.parity = Parity::odd;
    filter.setState(state);
    REQUIRE(desk.driver->settle());
    CHECK(desk.driver->find<QPushButton>("chipNumber")->text() == QStringLiteral("Number: 205 to 210, odd"));
    CHECK(desk.model().rowCount() == 4);  // 205, 207, 209, and the photo
    state = {};
    state.words = QStringLiteral("(quay");
    state.regex = true;
    filter.setState(state);
    CHECK(desk.driver->find<QLabel>("filterProblem")->isVisible());
    CHECK(FilterState::fromText(state.toText()) == state);
    CHECK(FilterState::fromText(QStringLiteral("{damaged")).isEmpty());
}

TEST_CASE("last month is last month", "[filter]") {
    FilterState state;
    state.changed = FilterState::Changed::last_month;
    const Criteria wanted = state.criteria(QDate(2031, 1, 15));
    CHECK(*wanted.changed_from_ns == QDate(2030, 12, 1).startOfDay().toMSecsSinceEpoch() * 1'000'000);
    CHECK(*wanted.changed_before_ns == QDate(2031, 1, 1).startOfDay().toMSecsSinceEpoch() * 1'000'000);
    state.changed = FilterState::Changed::between;
    state.changed_until = QStringLiteral("2031-05-02");  // that day is in it
    CHECK(*state.criteria(QDate(2031, 6, 1)).changed_before_ns ==
          QDate(2031, 5, 3).startOfDay().toMSecsSinceEpoch() * 1'000'000);
    state.changed_until = QStringLiteral("soon");
    CHECK(state.mistakes() == QStringList{QStringLiteral("changed_until")});
}

TEST_CASE("renamed, trashed, made new: each is a run with a receipt, and undone and done again by one key",
          "[window][small]") {
    NumberedDesk desk(3);
    const Environment home("XDG_DATA_HOME", desk.temp.path("data"));
    QUndoStack& history = desk.window->bench().history();
    SmallJobs jobs(desk.temp.path("state"), desk.window->runs(), history);
    QString problem;
    QStringList done;
    QObject::connect(&jobs, &SmallJobs::problem, [&](const QString& why) { problem = why; });
    QObject::connect(&jobs, &SmallJobs::changed, [&](const QString& words) { done << words; });
    jobs.rename(desk.temp.path("desk"), "permit-0200-quay.pdf", "a {b}.pdf");
    jobs.trash({desk.temp.path("desk/a {b}.pdf"),
                desk.temp.path("desk/permit-0201-quay.pdf")});  // once the first is through
    jobs.newFolder(desk.temp.path("desk"), "a/b");
    REQUIRE(WindowDriver::wait([&] { return done.size() == 3; }));
    CHECK(done[0] == QStringLiteral("Rename permit-0200-quay.pdf to a {b}.pdf in desk."));
    CHECK(done[1] == QStringLiteral("Remove 2 items from desk, to the trash."));
    CHECK(done[2] == QStringLiteral("Make the folder a/b in desk."));
    CHECK(history.count() == 3);
    CHECK(desk.temp.has("desk/a/b"));
    CHECK(desk.temp.has("data/Trash/files/a {b}.pdf"));
    CHECK_FALSE(desk.temp.has("desk/permit-0201-quay.pdf"));
    CHECK((*Store::open(desk.temp.path("state")))->receipts()->size() == 3);
    REQUIRE(WindowDriver::wait(
        [&] { return desk.window->runs().lanes().empty(); }));  // nothing of them stays in the way
    for (int i = 0; i < 3; ++i) history.undo();
    REQUIRE(WindowDriver::wait([&] { return done.size() == 6; }));
    CHECK(problem.toStdString() == "");
    CHECK(desk.temp.has("desk/permit-0200-quay.pdf"));
    CHECK(desk.temp.has("desk/permit-0201-quay.pdf"));
    CHECK_FALSE(desk.temp.has("desk/a"));
    CHECK_FALSE(desk.temp.has("data/Trash/info/a {b}.pdf.trashinfo"));
    history.redo();
    history.redo();
    REQUIRE(WindowDriver::wait([&] { return done.size() == 8; }));
    CHECK(desk.temp.has("data/Trash/files/permit-0201-quay.pdf"));
    CHECK_FALSE(desk.temp.has("desk/permit-0200-quay.pdf"));
    history.undo();
    history.undo();
    REQUIRE(WindowDriver::wait([&] { return done.size() == 10; }));
    CHECK(problem.toStdString() == "");
    // what is not possible changes nothing, and leaves nothing to undo
    const auto refused = [&](auto ask) {
        problem.clear();
        ask();
        REQUIRE(WindowDriver::wait([&] { return !problem.isEmpty(); }));
        CHECK(done.size() == 10);
    };
    refused([&] { jobs.rename(desk.temp.path("desk"), "permit-0200-quay.pdf", "permit-0201-quay.pdf"); });
    refused([&] { jobs.rename(desk.temp.path("desk"), "permit-0200-quay.pdf", "x/y"); });
    for (const char* wrong : {"", "..", "a/../b", "/a", "a//b", ".", "permit-0200-quay.pdf"})
        refused([&] { jobs.newFolder(desk.temp.path("desk"), wrong); });
    refused([&] { jobs.trash({desk.temp.path("data/Trash")}); });
    CHECK_FALSE(desk.temp.has("desk/a"));
    CHECK(desk.temp.read("desk/permit-0201-quay.pdf") == "permit");
}

TEST_CASE("a look at a file, and hostile files harm nothing but their own look", "[look]") {
    TempFolder temp;
    REQUIRE(QProcess::execute(QStringLiteral(DEMO_DATA), {QString::fromStdString(temp.path("office"))}) == 0);
    LookerProcess looker;
    std::optional<Look> look;
    QObject::connect(&looker, &LookerProcess::looked,
                     [&](const std::string&, const Look& seen) { look = seen; });
    const auto look_at = [&](const std::string& path) {
        look.reset();
        looker.lookAt(path);
        REQUIRE(WindowDriver::wait([&] { return look.has_value(); }));
        return *look;
    };
    std::map<std::string, std::string> samples;  // one of each extension
    for (const auto& entry : std::filesystem::recursive_directory_iterator(temp.path("office")))
        if (entry.is_regular_file())
            samples.emplace(entry.path().extension().string(), entry.path().string());
    CHECK_FALSE(look_at(samples.at(".jpg")).picture.isNull());
    const Look pdf = look_at(samples.at(".pdf"));
    CHECK_FALSE(pdf.picture.isNull());
    CHECK(std::any_of(pdf.facts.begin(), pdf.facts.end(),
                      [](const auto& fact) { return fact.first == QStringLiteral("Pages"); }));
    CHECK_FALSE(look_at(samples.at(".csv")).text.isEmpty());
    CHECK_FALSE(look_at(temp.path("nothing")).problem.isEmpty());
    const Look utf16 = look_at(temp.write("utf16.txt", std::string("\xff\xfe"
                                                                   "h\0i\0",
                                                                   6)));
    CHECK(utf16.text == QStringLiteral("hi"));
    // damaged in the middle, cut short: each look ends, with something or with a word about it
    std::mt19937 random(11);
    for (const auto& [extension, path] : samples) {
        if (extension != ".jpg" && extension != ".pdf" && extension != ".flac" && extension != ".wav" &&
            extension != ".ogg")
            continue;
        for (int round = 0; round < 3; ++round) {
            std::string bytes = temp.read(path.substr(temp.path().size() + 1));
            for (int hit = 0; hit < 40 && !bytes.empty(); ++hit)
                bytes[random() % bytes.size()] = static_cast<char>(random());
            if (round == 2) bytes.resize(bytes.size() / 2);
            const Look seen = look_at(temp.write("hostile" + extension, bytes));
            CHECK((!seen.problem.isEmpty() || !seen.picture.isNull() || !seen.text.isEmpty() ||
                   !seen.facts.empty()));
        }
    }
}

TEST_CASE("files go from window to window by the clipboard, and what it holds is on view before",
          "[window][clipboard]") {
    NumberedDesk desk(4);
    desk.temp.folder("other");
    desk.driver->clickRow("folderList", 0);
    desk.driver->clickRow("folderList", 1, 0, Qt::ControlModifier);
    QTest::keyClick(&*desk.window, Qt::Key_X, Qt::ControlModifier);
    CHECK(desk.picks() == 2);
    CHECK(desk.window->bench().job().operation == Operation::move);

    TempFolder state;
    MainWindow other(desk.temp.path("other"), state.path());
    other.show();
    const WindowDriver driver(other);
    REQUIRE(driver.settle());
    REQUIRE(driver.find<QWidget>("clipboardLine")->isVisible());
    CHECK(driver.find<QLabel>("clipboardWords")->text().contains(QStringLiteral("2 cut from desk")));
    // copy or move can be changed at either end; nothing runs by itself, and what was cut stays
    driver.click("clipboardCopy");
    REQUIRE(driver.settle());
    CHECK(other.bench().job().operation == Operation::copy);
    CHECK(other.bench().job().into == desk.temp.path("other"));
    CHECK(other.bench().picks().count() == 2);
    driver.click("clipboardMove");
    REQUIRE(driver.settle());
    CHECK(other.bench().job().operation == Operation::move);
    CHECK(desk.temp.has("desk/permit-0200-quay.pdf"));
    driver.click("start");
    REQUIRE(driver.settle());
    CHECK(desk.temp.has("other/permit-0200-quay.pdf"));
    CHECK_FALSE(desk.temp.has("desk/permit-0200-quay.pdf"));

    // yesterday's clipboard: what is no longer there is said
    QApplication::clipboard()->setMimeData(
        to_mime({{desk.temp.path("desk/permit-0200-quay.pdf")}, false}).release());
    REQUIRE(WindowDriver::wait(
        [&] { return driver.find<QLabel>("clipboardWords")->text().contains(QStringLiteral("1 gone")); }));
    CHECK_FALSE(driver.find<QPushButton>("clipboardCopy")->isEnabled());
    QApplication::clipboard()->setText(QStringLiteral("words, no files"));
    CHECK_FALSE(driver.find<QWidget>("clipboardLine")->isVisible());
}

TEST_CASE("what other programs hand over, by clipboard or by dropping, keeps its bytes", "[clipboard]") {
    const FileClip clip{{"/a b/50% \xc3\xbc.pdf", "/odd/\xff\n.txt"}, true};
    const auto mime = to_mime(clip);
    const FileClip back = from_mime(&*mime);
    CHECK(back.paths == clip.paths);
    CHECK(back.cut);
    QMimeData plain;
    plain.setData("text/uri-list",
                  "# a remark\r\nfile:///tmp/a%20b\r\nhttps://example.org/c\r\nfile://localhost/tmp/d\r\n");
    CHECK(from_mime(&plain).paths == std::vector<std::string>{"/tmp/a b", "/tmp/d"});
    CHECK_FALSE(from_mime(&plain).cut);
    CHECK(from_mime(nullptr).paths.empty());

    NumberedDesk desk(2);
    QMimeData dropped;
    dropped.setData("text/uri-list",
                    QByteArray("file://") + desk.temp.path("desk/permit-0201-quay.pdf").c_str());
    auto* outcome = desk.driver->find<QWidget>("outcome");
    QDragEnterEvent over(QPoint(20, 20), Qt::CopyAction | Qt::MoveAction, &dropped, Qt::LeftButton,
                         Qt::NoModifier);
    QApplication::sendEvent(outcome, &over);
    CHECK(over.isAccepted());
    QDropEvent drop(QPointF(20, 20), Qt::CopyAction | Qt::MoveAction, &dropped, Qt::LeftButton,
                    Qt::NoModifier);
    QApplication::sendEvent(outcome, &drop);
    CHECK(desk.picked("permit-0201-quay.pdf"));
    CHECK(drop.dropAction() == Qt::CopyAction);
    QMimeData folder;
    folder.setData("text/uri-list", QByteArray("file://") + desk.temp.path("state").c_str());
    QDragEnterEvent above(QPoint(20, 20), Qt::CopyAction, &folder, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(desk.driver->find<QWidget>("instruction"), &above);
    QDropEvent onto(QPointF(20, 20), Qt::CopyAction, &folder, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(desk.driver->find<QWidget>("instruction"), &onto);
    CHECK(desk.window->bench().job().into == desk.temp.path("state"));
}

TEST_CASE(
    "the destination as it will be: opened where the batch touches nothing, searched, written out, followed",
    "[window][outcome]") {
    NumberedDesk desk(3);
    desk.temp.write("to/old/deep/kept.pdf", "x");
    desk.temp.write("to/permit-0200-quay.pdf", "held");
    desk.window->bench().replacePicks(
        {desk.temp.path("desk/permit-0200-quay.pdf"), desk.temp.path("desk/permit-0201-quay.pdf")});
    desk.window->bench().setDestination(desk.temp.path("to"));
    REQUIRE(desk.driver->settle());
    const auto row_of = [&](const char* name) {
        return desk.driver->rowNamed("outcomeList", QLatin1String(name));
    };
    REQUIRE(row_of("old/") >= 0);
    desk.driver->clickRow("outcomeList", row_of("old/"));
    desk.driver->key("outcomeList", Qt::Key_Right);
    REQUIRE(WindowDriver::wait([&] { return row_of("deep/") > row_of("old/"); }));
    desk.driver->clickRow("outcomeList", row_of("deep/"));
    desk.driver->key("outcomeList", Qt::Key_Right);
    REQUIRE(WindowDriver::wait([&] { return row_of("kept.pdf") > row_of("deep/"); }));
    // followed at any depth that is open
    desk.temp.write("to/old/deep/added.pdf", "x");
    REQUIRE(WindowDriver::wait([&] { return row_of("added.pdf") > row_of("deep/"); }));
    REQUIRE(desk.driver->settle());
    desk.driver->clickRow("outcomeList", row_of("old/"));
    desk.driver->key("outcomeList", Qt::Key_Left);
    CHECK(row_of("deep/") < 0);
    // followed: another program puts something there, and takes what would have collided
    desk.temp.write("to/new from elsewhere.txt", "x");
    std::filesystem::remove(desk.temp.path("to/permit-0200-quay.pdf"));
    REQUIRE(WindowDriver::wait([&] { return row_of("new from elsewhere.txt") >= 0; }));
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().plan()->totals.of(Outcome::created) == 2);
    desk.driver->type("outcomeFilter", QStringLiteral("0201"));
    CHECK(desk.driver->find<RowView>("outcomeList")->model()->rowCount() == 1);
    const auto& tree = *desk.window->bench().view().outcome;
    CHECK(outcome_as_text(tree).find("    permit-0201-quay.pdf  [created]\n") != std::string::npos);
    CHECK(outcome_as_text(tree).find("    old/\n") != std::string::npos);
    CHECK(outcome_as_csv(tree).starts_with("source,target,final,outcome,finding,bytes\r\n\"" +
                                           desk.temp.path("desk/permit-0200-quay.pdf")));
    CHECK(outcome_as_json(tree).find("\"document\":\"plan\"") != std::string::npos);
}
