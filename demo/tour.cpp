// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAction>
#include <QDir>
#include <QFontDatabase>
#include <QLabel>
#include <QListView>
#include <QMenu>
#include <QPainter>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTreeView>
#include <cstdio>

#include "camera.h"
#include "job/prepare.h"
#include "jobs_tour.h"
#include "keep/journal.h"
#include "keep/store.h"
#include "models/outcome_model.h"
#include "models/sizes_model.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "theme/theme.h"
#include "translations.h"
#include "views/bench/folder_levels_panel.h"
#include "views/bench/pack_dialog.h"
#include "views/gathering/contact_sheet.h"
#include "views/gathering/filter_bar.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"
#include "views/sizes/sizes_page.h"
#include "window_driver.h"

namespace {

/// The window worked through the main job, with a picture of each main view.
class Tour {
public:
    Tour(MainWindow& window, std::string office, const QString& pictures)
        : window_(window), driver_(window), camera_(window, pictures), office_(std::move(office)) {}

    bool startAfterACrash() {
        window_.show();
        driver_.settle();
        WindowDriver::wait([this] { return driver_.find<QWidget>("goOn")->isVisible(); });
        driver_.click("placeRuns");
        QTest::qWait(200);
        takeBoth("runs-interrupted");
        return camera_.isGood();
    }

    /// New names where things are, and what leaves: part of the whole tour, and by itself.
    bool inPlace() {
        window_.show();
        driver_.settle();
        names();
        removes();
        return camera_.isGood();
    }

    bool run() {
        window_.show();
        driver_.settle();
        take("bench-empty");
        find();
        gather();
        take("bench");
        decide();
        take("bench-decided");
        driver_.click("asInHand");
        QTest::qWait(150);
        takeBoth("in-hand");
        driver_.click("asDestination");
        for (const auto choice : {ThemeChoice::dark, ThemeChoice::light}) {
            apply_theme(*qApp, choice);
            QTest::qWait(50);
            if (choice == ThemeChoice::dark) take("bench-dark");
        }
        driver_.click("phraseDestination");
        take("destination");
        driver_.key("destinationPath", Qt::Key_Escape);
        leave();
        settleCollisions();
        driver_.click("start");
        expect(driver_.settle(), "the end of the run");
        QTest::qWait(200);
        take("bench-done");
        driver_.click("runShow");
        WindowDriver::wait([this] { return driver_.find<QWidget>("arrivalsLine")->isVisible(); });
        QTest::qWait(300);
        take("bench-came-in");
        driver_.openFolder(office_ + "/Inbox/Harbour desk");
        QTest::qWait(300);
        if (QWidget* popup = QApplication::activePopupWidget()) popup->close();
        driver_.click("placeSafe");
        QTest::qWait(900);
        takeBoth("safe");
        driver_.click("safeRemove");
        WindowDriver::wait([this] { return driver_.find<QWidget>("safeQuestion")->isVisible(); });
        take("safe-remove");
        driver_.click("safeNo");
        driver_.click("placeBench");
        driver_.click("runReceipt");
        QTest::qWait(400);
        driver_.type("receiptSearch", QStringLiteral("permit-0416"));
        QTest::qWait(700);
        take("receipts-search");
        driver_.type("receiptSearch", {});
        QTest::qWait(400);
        take("receipts");
        driver_.click("undo");
        WindowDriver::wait([this] { return driver_.find<QWidget>("undoNow")->isVisible(); });
        take("undo-plan");
        apply_theme(*qApp, ThemeChoice::dark);
        QTest::qWait(50);
        take("undo-plan-dark");
        apply_theme(*qApp, ThemeChoice::light);
        undone();
        runs();
        names();
        removes();
        sorts();
        sizes();
        packs();
        return camera_.isGood();
    }

    bool packing() {
        window_.show();
        driver_.settle();
        packs();
        return camera_.isGood();
    }

    bool sorting() {
        window_.show();
        driver_.settle();
        eye();
        sorts();
        sizes();
        return camera_.isGood();
    }

private:
    /// A folder of photos, picked by eye.
    void eye() {
        driver_.openFolder(office_ + "/Desks/Quay/Photos");
        QTest::qWait(300);
        if (QWidget* popup = QApplication::activePopupWidget()) popup->close();
        driver_.click("asPictures");
        auto* sheet = driver_.find<ContactSheet>("contactSheet");
        QTest::qWait(200);
        expect(WindowDriver::wait([&] { return sheet->thumbnails().isDone(); }), "small pictures");
        for (const int row : {1, 2, 5}) driver_.clickMark(row, "contactSheet");
        driver_.clickRow("contactSheet", 6);
        driver_.settle();
        takeBoth("contact-sheet");
        driver_.click("asList");
        window_.bench().replacePicks({});
        driver_.settle();
    }

    /// A year of permits put away in an archive, and a look into it.
    void packs() {
        Bench& bench = window_.bench();
        bench.setOperation(tavlo::Operation::copy);
        bench.setStructure({});
        bench.replacePicks({office_ + "/Archive/2031", office_ + "/Scanner/Permits"});
        bench.setDestination(office_ + "/Archive");
        bench.setOperation(tavlo::Operation::pack);
        driver_.settle();
        takeBoth("packing");
        tavlo::Job job = bench.job();
        job.into = office_ + "/Archive/permits-2031.zip";
        PackDialog dialog(job, &window_);
        dialog.show();
        QTest::qWait(60);
        take("packing-how");
        dialog.close();
        bench.setPacking(job);
        driver_.settle();
        driver_.click("start");
        expect(driver_.settle() && QFile::exists(QString::fromStdString(job.into)),
               "the archive that was packed");
        driver_.openFolder(job.into + "/Permits");
        QTest::qWait(500);
        expect(driver_.find<QAbstractItemView>("folderList")->model()->rowCount() > 5,
               "what is in the archive");
        if (QWidget* popup = QApplication::activePopupWidget()) popup->close();
        bench.replacePicks({});
        bench.setOperation(tavlo::Operation::copy);
        driver_.settle();
        takeBoth("packing-inside");
    }

    /// Every number one up, as a page was put in between, where one that stays has the last name; then names
    /// from a table, two of which are traded.
    void names() {
        driver_.click("placeBench");
        driver_.openFolder(office_ + "/Inbox/Harbour desk");
        QTest::qWait(300);
        if (QWidget* popup = QApplication::activePopupWidget())
            popup->close();  // what the location line proposed
        std::vector<std::string> permits;
        for (const char* name :
             {"permit-0411-night-berth.pdf", "permit-0412-repairs-dock-2.pdf",
              "permit-0413-visiting-tender.pdf", "permit-0414-crane-barge.pdf", "quay-rates.csv"})
            permits.push_back(office_ + "/Inbox/Harbour desk/" + name);
        QFile(QString::fromStdString(office_ + "/Inbox/Harbour desk/permit-0415-crane-barge.pdf"))
            .open(QIODevice::WriteOnly);
        window_.bench().replacePicks(permits);
        window_.bench().setOperation(tavlo::Operation::rename);
        tavlo::Naming naming;
        naming.steps = {tavlo::AddToNumbers{1, tavlo::AddToNumbers::Which::first}};
        window_.bench().setNaming(naming);
        driver_.settle();
        takeBoth("names");
        const std::string table = office_ + "/Inbox/names of the auditor.txt";
        QFile file(QString::fromStdString(table));
        if (file.open(QIODevice::WriteOnly))
            file.write(
                "permit-0411-night-berth.pdf\tpermit-0412-repairs-dock-2.pdf\npermit-0412-repairs-dock-2."
                "pdf\tpermit-0411-night-berth.pdf\n"
                "permit-0413-visiting-tender.pdf\tTender, "
                "visiting.pdf\npermit-0499-slipway.pdf\tSlipway.pdf\n");
        file.close();
        naming.steps = {tavlo::NamesFrom{table}, tavlo::LetterCase{tavlo::LetterCase::To::title}};
        window_.bench().setNaming(naming);
        driver_.settle();
        takeBoth("names-table");
        driver_.click("phraseOperation");
        take("operation");
        QApplication::activePopupWidget()->close();
        naming.steps = {tavlo::Affix{"2031 "}, tavlo::NameAs{"{name}-{n:3}{ext}"}};
        window_.bench().setNaming(naming);
        window_.bench().setOperation(tavlo::Operation::copy);
        window_.bench().setDestination(office_ + "/Archive/2031/Permits");
        driver_.settle();
        takeBoth("names-on-the-way");
        window_.bench().setNaming({});
        window_.bench().replacePicks({});
        driver_.settle();
    }

    void removes() {
        window_.bench().setOperation(tavlo::Operation::remove);
        window_.bench().replacePicks({office_ + "/Inbox/Harbour desk/Stamped",
                                      office_ + "/Inbox/Harbour desk/permit-0411-night-berth.pdf",
                                      office_ + "/Inbox/Harbour desk/permit-0445-visiting-tender.pdf"});
        driver_.settle();
        const int row = driver_.rowNamed("outcomeList", QStringLiteral("Stamped/"));
        if (row >= 0) window_.outcome().model().toggleFolder(row);
        QTest::qWait(300);
        takeBoth("removal");
        window_.bench().replacePicks(
            {office_ + "/Inbox/Harbour desk/Stamped", office_ + "/Scanner/Invoices"});
        window_.bench().setShelf(tavlo::Shelf::trash);
        driver_.settle();
        take("removal-trash");
        window_.bench().setShelf(tavlo::Shelf::safe);
        driver_.settle();
        driver_.click("start");
        driver_.settle();
        window_.bench().replacePicks({office_ + "/Inbox/Harbour desk/permit-0411-night-berth.pdf"});
        window_.bench().setOperation(tavlo::Operation::rename);
        tavlo::Naming naming;
        naming.steps = {tavlo::LetterCase{tavlo::LetterCase::To::upper}};
        window_.bench().setNaming(naming);
        driver_.settle();
        driver_.click("start");
        driver_.settle();
        driver_.click("placeReceipts");
        QTest::qWait(500);
        take("receipt-names");
        auto* receipts = driver_.find<QListView>("receipts");
        receipts->setCurrentIndex(receipts->model()->index(1, 0));
        QTest::qWait(500);
        take("receipt-removal");
        driver_.click("placeBench");
        window_.bench().setOperation(tavlo::Operation::copy);
        window_.bench().setNaming({});
        window_.bench().replacePicks({});
        driver_.settle();
    }

    /// Photos of four towns by year and town; then what of them was put away before under other names.
    void sorts() {
        driver_.click("placeBench");
        driver_.openFolder(office_ + "/Desks/Quay");
        QTest::qWait(300);
        if (QWidget* popup = QApplication::activePopupWidget())
            popup->close();  // what the location line proposed
        Bench& bench = window_.bench();
        bench.setOperation(tavlo::Operation::copy);
        bench.setStructure({});
        bench.replacePicks({office_ + "/Desks/Quay/Photos"});
        bench.setDestination(office_ + "/Archive/2031/Quay photos");
        driver_.settle();
        driver_.find<FolderLevelsPanel>("folderLevels")->begin();
        tavlo::Structure sorted;
        sorted.sort_into = "{taken:%Y|=undated}/{town|country|=no place}";
        bench.setStructure(sorted);
        driver_.settle();
        for (const char* year : {"2029/", "2030/", "2031/"})
            if (const int row = driver_.rowNamed("outcomeList", QLatin1String(year)); row >= 0)
                window_.outcome().model().toggleFolder(row);
        QTest::qWait(200);
        expect(driver_.rowNamed("outcomeList", QStringLiteral("2031/")) >= 0, "photos sorted by year");
        takeBoth("sorting");
        auto* add = driver_.find<QPushButton>("addLevel");
        add->menu()->popup(add->mapToGlobal(QPoint(0, add->height())));
        take("sorting-facts");
        QApplication::activePopupWidget()->close();
        bench.setElsewhere(tavlo::Decision::undecided);
        driver_.settle();
        driver_.click("placeCollisions");
        QTest::qWait(1500);
        expect(driver_.find<QListView>("groupList")->model()->rowCount() > 0,
               "what is there under another name");
        takeBoth("elsewhere");
        driver_.click("placeBench");
        bench.setElsewhere(std::nullopt);
        bench.setStructure({});
        bench.replacePicks({});
        driver_.settle();
    }

    /// The whole office by weight; then a look at a photo.
    void sizes() {
        auto* page = driver_.find<SizesPage>("sizesPage");
        driver_.click("placeSizes");
        page->weigh(office_);
        WindowDriver::wait([&] { return !page->isWeighing(); });
        auto* tree = driver_.find<QTreeView>("sizes");
        for (const char* folder : {"/Desks", "/Desks/Workshop", "/Scanner"})
            tree->expand(page->model().indexOf(office_ + folder));
        tree->selectionModel()->select(page->model().indexOf(office_ + "/Desks/Workshop/Mooring camera"),
                                       QItemSelectionModel::ClearAndSelect | QItemSelectionModel::Rows);
        takeBoth("sizes");
        driver_.click("sizesShow1");
        take("sizes-largest");
        driver_.click("sizesShow0");
        driver_.click("placeBench");
        driver_.openFolder(office_ + "/Desks/Quay/Photos");
        QTest::qWait(300);
        if (QWidget* popup = QApplication::activePopupWidget())
            popup->close();  // what the location line proposed
        driver_.clickRow("folderList", 3);
        window_.findChild<GatheringSide*>()->setLookShown(true);
        QTest::qWait(1200);
        take("look-facts");
        window_.findChild<GatheringSide*>()->setLookShown(false);
    }

    /// What an undo has left in the Safe, and that it can go.
    void undone() {
        driver_.click("undoNow");
        driver_.settle();
        auto* receipts = driver_.find<QListView>("receipts");
        WindowDriver::wait([&] { return receipts->model()->rowCount() > 1; });
        receipts->setCurrentIndex(receipts->model()->index(0, 0));
        WindowDriver::wait([this] { return driver_.find<QWidget>("freeRoom")->isVisible(); });
        takeBoth("undone");
        driver_.click("freeRoom");
        take("undone-free");
        driver_.click("leaveUndo");
    }

    /// Three runs on one drive, one that goes, one that is paused, one that waits; then what failed.
    void runs() {
        const std::string footage = office_ + "/Desks/Workshop/Mooring camera";
        QDir().mkpath(QString::fromStdString(footage));
        QByteArray bytes(3'000'000, '\0');
        for (int number = 1; number <= 48; ++number) {
            for (qsizetype at = 0; at < bytes.size(); at += 512)
                bytes[at] = static_cast<char>((at * number) >> 9);
            QFile file(QString::fromStdString(footage) +
                       QStringLiteral("/mooring-%1.raw").arg(number, 3, 10, QLatin1Char('0')));
            if (file.open(QIODevice::WriteOnly)) file.write(bytes);
        }
        window_.runs().limitAll(12 * 1024 * 1024);
        driver_.click("placeBench");
        start({footage}, office_ + "/Archive/2031/Survey footage");
        start({office_ + "/Scanner/Invoices"}, office_ + "/Archive/2031/Invoices");
        start({office_ + "/Inbox/Odd names", office_ + "/Inbox/All permits"},
              office_ + "/Archive/2031/From the inbox");
        driver_.click("placeRuns");
        QTest::qWait(300);
        window_.runs().pause(*window_.runs().lanes()[1]);
        QTest::qWait(5200);
        takeBoth("runs");
        window_.runs().limitAll(0);
        window_.runs().goOn(*window_.runs().lanes()[1]);
        driver_.settle();
        driver_.click("clearRuns");
        // two of the batch go away between the plan and the start
        driver_.click("placeBench");
        plan({office_ + "/Desks/Workshop/Hull inspection"}, office_ + "/Archive/2031/Inspections");
        for (const char* name : {"Little Tern", "Havnar"}) {
            QDir boat(QString::fromStdString(office_ + "/Desks/Workshop/Hull inspection/") +
                      QLatin1String(name));
            const auto pictures = boat.entryList({QStringLiteral("*.jpg")}, QDir::Files, QDir::Name);
            if (!pictures.isEmpty()) boat.remove(pictures.first());
        }
        driver_.click("start");
        driver_.click("placeRuns");
        driver_.settle();
        QTest::qWait(300);
        takeBoth("runs-faults");
    }

    void plan(const std::vector<std::string>& sources, const std::string& destination) {
        window_.bench().replacePicks(sources);
        window_.bench().setDestination(destination);
        WindowDriver::wait(
            [this] { return !window_.bench().isWorking() && driver_.find<QWidget>("start")->isEnabled(); });
    }
    void start(const std::vector<std::string>& sources, const std::string& destination) {
        plan(sources, destination);
        driver_.click("start");
    }

    /// The gathering side at work: filter, pick box, a pasted list, a look at a file.
    void find() {
        driver_.type("filter", QStringLiteral("*.pdf"));
        auto filter = window_.gathering().filter().state();
        filter.changed = FilterState::Changed::between;
        filter.changed_from = QStringLiteral("2031-05-02");
        filter.larger = QStringLiteral("2K");
        window_.gathering().filter().setState(filter);
        driver_.settle();
        driver_.type("pickBox", QStringLiteral("413"));
        driver_.key("pickBox", Qt::Key_Return);
        driver_.type("pickBox", QStringLiteral("999"));
        driver_.key("pickBox", Qt::Key_Return);
        driver_.type("pickBox", QStringLiteral("42"));
        driver_.settle();
        takeBoth("gathering-filter");
        driver_.key("pickBox", Qt::Key_Escape);
        window_.gathering().filter().clear();
        driver_.settle();
        driver_.click("pasteList");
        driver_.find<QPlainTextEdit>("listText")
            ->setPlainText(QStringLiteral(
                "permit-0411\n\"quay-rates.csv\"\n415, 416\n418-420\nslipway\npermit-0700.pdf\n"));
        QTest::qWait(200);
        takeBoth("gathering-list");
        driver_.click("listClose");
        driver_.openFolder(office_ + "/Desks/Workshop/Hull inspection/Little Tern");
        window_.findChild<QAction*>(QStringLiteral("lookAction"))->setChecked(true);
        driver_.clickRow("folderList", 3);
        expect(WindowDriver::wait([this] { return !driver_.find<QLabel>("lookPicture")->pixmap().isNull(); }),
               "the preview of a picture");
        takeBoth("gathering-look");
        window_.findChild<QAction*>(QStringLiteral("lookAction"))->setChecked(false);
        window_.bench().replacePicks({});
        driver_.settle();
    }

    /// The groups, and the two of a pair face to face.
    void settleCollisions() {
        driver_.click("placeCollisions");
        QTest::qWait(900);
        expect(driver_.find<QListView>("groupList")->model()->rowCount() > 3, "collisions in groups");
        takeBoth("collisions");
        const auto look_at = [&](const char* group, const char* name) {
            const auto* groups = driver_.find<QListView>("groupList");
            for (int row = 0; row < groups->model()->rowCount(); ++row)
                if (groups->model()->index(row, 0).data().toString().startsWith(QLatin1String(group)))
                    driver_.find<QListView>("groupList")->setCurrentIndex(groups->model()->index(row, 0));
            const int row = driver_.rowNamed("pairList", QLatin1String(name));
            if (row >= 0) driver_.clickRow("pairList", row);
            QTest::qWait(1200);
        };
        look_at("Several of the batch", "permit-0426-fuel-jetty.pdf");
        take("collisions-twins");
        look_at("Same date", "quay-rates.csv");
        take("collisions-cells");
        // another batch: a picture and a text that meet earlier states of themselves
        driver_.click("placeBench");
        const auto before = window_.bench().picks().folders();
        window_.bench().replacePicks({office_ + "/Desks/Workshop/Survey/keel.jpg",
                                      office_ + "/Desks/Workshop/Survey/notes.txt",
                                      office_ + "/Desks/Workshop/Survey/costs.ods",
                                      office_ + "/Desks/Workshop/Survey/hammer test.wav"});
        window_.bench().setDestination(office_ + "/Archive/2031/Survey");
        driver_.settle();
        driver_.click("placeCollisions");
        QTest::qWait(200);
        look_at("Incoming newer", "keel.jpg");
        take("collisions-picture");
        look_at("Incoming newer", "notes.txt");
        takeBoth("collisions-text");
        driver_.click("newNames");
        take("collisions-names");
        QApplication::activePopupWidget()->close();
        look_at("Incoming older", "hammer test.wav");
        take("collisions-sound");
        driver_.click("placeBench");
        window_.bench().history().undo();  // back to the permits
        window_.bench().setDestination(office_ + "/Archive/2031/Permits");
        driver_.settle();
    }

    /// What else is in the destination leaves it; and the ways of laying out a batch.
    void leave() {
        driver_.chooseFromMenu(
            "phraseShape",
            QCoreApplication::translate("InstructionLine",
                                        "Nothing extra: what is not of the batch goes to the Safe"));
        driver_.settle();
        takeBoth("leaving");
        driver_.chooseFromMenu("phraseClearing", QCoreApplication::translate("InstructionLine", "Stays"));
        driver_.settle();
        driver_.click("phraseShape");
        take("structure");
        QApplication::activePopupWidget()->close();
    }

    void expect(bool holds, const char* what) { camera_.expect(holds, what); }
    void take(const char* name) { camera_.take(name); }
    void takeBoth(const char* name) { camera_.takeBoth(name); }

    void gather() {
        driver_.openFolder(office_ + "/Scanner/Permits");
        pickWhatFits("042");
        driver_.openFolder(office_ + "/Inbox/Harbour desk");
        for (const char* name : {"Attachments", "Stamped"})
            driver_.clickMark(driver_.rowNamed("folderList", QLatin1String(name)));
        pickWhatFits("0409");
        pickWhatFits("041");
        pickWhatFits("042");
        pickWhatFits("quay-rates");
        driver_.chooseDestination(QString::fromStdString(office_ + "/Archive/2031/Permits"));
    }

    void pickWhatFits(const char* text) {
        driver_.type("filter", QLatin1String(text));
        driver_.settle();
        driver_.key("folderList", Qt::Key_A, Qt::ControlModifier);
        driver_.key("folderList", Qt::Key_Space);
        driver_.type("filter", {});
        driver_.settle();
    }

    void decide() {
        using tavlo::Decision;
        driver_.decideByClick(QStringLiteral("permit-0413-visiting-tender.pdf"), Decision::overwrite);
        driver_.decideByClick(QStringLiteral("permit-0416-north-quay.pdf"), Decision::skip);
        driver_.decideByClick(QStringLiteral("permit-0418-slipway.pdf"), Decision::rename);
    }

    MainWindow& window_;
    WindowDriver driver_;
    Camera camera_;
    std::string office_;
};

}  // namespace

/// What a program leaves that was killed in the middle: a run in the journal, a part of it done, and nobody
/// who carries it out.
void leave_half_done(const std::string& office, const std::string& state) {
    using namespace tavlo;
    const auto disk = make_disk();
    const auto store = Store::open(state);
    Job job;
    job.operation = Operation::move;
    job.what.sources = {office + "/Scanner/Permits"};
    job.into = office + "/Archive/2031/Scanned permits";
    const auto outlook = store ? prepare(*disk, job) : Result<Outlook>(failure(store.error()));
    if (!outlook) return;
    const Plan& plan = *outlook->plan;
    ReceiptHead head;
    head.started_ns = now_ns();
    head.id = new_receipt_id(head.started_ns);
    head.operation = job.operation;
    head.sentence = "Move " + std::to_string(plan.items.size()) +
                    " items from Scanner into Archive / 2031 / Scanned permits.";
    head.destination = job.into;
    head.roots = {office + "/Scanner", job.into};
    (void)(*store)->begin(head, plan.items.size(),
                          [&](std::uint64_t item) { return pending_item(plan, static_cast<ItemId>(item)); });
}

/// tavlo-tour OFFICE PICTURES: works the window on sample data that was just made, and leaves a PNG of each
/// main view; with --in-place only those of new names and of removing, with --packing, --sorting and --jobs
/// those of these.
int main(int count, char** words) {
    const bool in_place = count == 4 && std::string_view(words[3]) == "--in-place";
    const bool packing = count == 4 && std::string_view(words[3]) == "--packing";
    const bool sorting = count == 4 && std::string_view(words[3]) == "--sorting";
    const bool jobs = count == 4 && std::string_view(words[3]) == "--jobs";
    if (count != 3 && !in_place && !packing && !sorting && !jobs) {
        std::fprintf(stderr,
                     "usage: tavlo-tour OFFICE PICTURES [--in-place | --packing | --sorting | --jobs]\n");
        return 2;
    }
    QTemporaryDir state;
    qputenv("XDG_CONFIG_HOME", state.path().toUtf8());
    qputenv("XDG_CACHE_HOME", (state.path() + QStringLiteral("/cache")).toUtf8());
    QApplication application(count, words);
    QApplication::setOrganizationName(QStringLiteral("tavlo"));
    QApplication::setApplicationName(QStringLiteral("tavlo-tour"));
    const int points = qEnvironmentVariableIntValue("TAVLO_TOUR_POINTS");  // larger text, to see what it does
    if (QFontDatabase::families().contains(QStringLiteral("Inter")))
        QApplication::setFont(QFont(QStringLiteral("Inter"), points > 0 ? points : 10));
    if (qEnvironmentVariableIsSet("TAVLO_TOUR_FROM_RIGHT")) QApplication::setLayoutDirection(Qt::RightToLeft);
    install_translations(application);
    apply_theme(application, ThemeChoice::light);
    QDir().mkpath(QString::fromLocal8Bit(words[2]));
    const std::string office = QDir(QString::fromLocal8Bit(words[1])).absolutePath().toStdString();
    const QString pictures = QString::fromLocal8Bit(words[2]);
    const std::string state_folder = state.path().toStdString() + "/state";
    JobsTour::keepJobs(office);
    {
        MainWindow window(office + "/Inbox/Harbour desk", state_folder);
        if (jobs) return JobsTour(window, office, pictures).run() ? 0 : 1;
        Tour tour(window, office, pictures);
        if (in_place) return tour.inPlace() ? 0 : 1;
        if (packing) return tour.packing() ? 0 : 1;
        if (sorting) return tour.sorting() ? 0 : 1;
        if (!tour.run() || !JobsTour(window, office, pictures).run()) return 1;
    }
    leave_half_done(office, state_folder);
    apply_theme(application, ThemeChoice::light);
    MainWindow window(office + "/Inbox/Harbour desk", state_folder);
    return Tour(window, office, pictures).startAfterACrash() ? 0 : 1;
}
