// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fmt/format.h>
#include <sys/stat.h>

#include <array>
#include <ctime>
#include <random>
#include <stdexcept>

#include "makers.h"

// The office of Ostrel Ferries, a made-up island ferry line, in the spring of 2031: an inbox by desk, the
// desks' own folders, a share that the scanner writes into, and an archive with years of back copies. Copying
// the Harbour desk's inbox into Archive/2031/Permits meets a collision of every finding.

namespace demo {

namespace fs = std::filesystem;

namespace {

constexpr std::array quays{"north-quay",     "fuel-jetty",      "slipway",     "night-berth",
                           "repairs-dock-2", "visiting-tender", "crane-barge", "south-mole"};
constexpr std::array ships{"Ostrel Star", "Little Tern", "Havnar", "Sund Trader"};
constexpr std::array routes{"Ostrel-Havn", "Havn-Skerry", "Skerry-Sund", "Night mail"};

time_t seconds_of(const Moment& m) {
    std::tm tm{};
    tm.tm_year = m.year - 1900;
    tm.tm_mon = m.month - 1;
    tm.tm_mday = m.day;
    tm.tm_hour = m.hour;
    tm.tm_min = m.minute;
    tm.tm_sec = m.second;
    return timegm(&tm);
}

class Office {
public:
    Office(fs::path root, std::uint64_t seed) : root_(std::move(root)), random_(seed) {}

    void build() {
        if (fs::exists(root_)) throw std::runtime_error(root_.string() + ": exists already");
        permits();
        collisions();
        scans();
        inspections();
        rosters();
        timetables();
        announcements();
        letters();
        quay_photos();
        oddities();
        survey();
        jobs();
        date_folders();
    }

private:
    fs::path folder(const std::string& name) {
        fs::create_directories(root_ / name);
        return root_ / name;
    }

    int up_to(int most) { return static_cast<int>(random_() % static_cast<std::uint64_t>(most)); }
    Moment moment(int year, int month, int day) {
        return {year, month, day, 7 + up_to(10), up_to(60), up_to(60), up_to(1'000'000'000)};
    }

    std::vector<std::string> conditions(int lines) {
        static constexpr std::array sentences{"Mooring lines are doubled above wind force six.",
                                              "The berth is left clear for the night mail.",
                                              "Fuel hoses are stowed by the holder before leaving.",
                                              "Shore power is metered and settled monthly.",
                                              "The harbour desk is told two hours before arrival.",
                                              "Work with open flame needs the fire watch's consent.",
                                              "The gangway is lit from dusk to dawn.",
                                              "Waste is handed over at the slipway only."};
        std::vector<std::string> out;
        for (int i = 0; i < lines; ++i)
            out.push_back(
                fmt::format("{}. {}", i + 1, sentences[static_cast<std::size_t>(up_to(sentences.size()))]));
        return out;
    }

    std::vector<Page> permit_pages(int number, const std::string& quay, int pages) {
        std::vector<Page> out;
        for (int i = 0; i < pages; ++i)
            out.push_back({fmt::format("Berth permit {:04} - {}", number, quay), conditions(20 + up_to(20))});
        return out;
    }

    void permit(const fs::path& path, int number, const Moment& made, int pages) {
        const std::string quay = quays[static_cast<std::size_t>(number) % quays.size()];
        write_pdf(path, fmt::format("Berth permit {:04}", number), "Harbour desk", made,
                  permit_pages(number, quay, pages));
        set_changed(path, made);
    }

    static std::string permit_name(int number) {
        return fmt::format("permit-{:04}-{}.pdf", number,
                           quays[static_cast<std::size_t>(number) % quays.size()]);
    }

    void permits() {
        const fs::path inbox = folder("Inbox/Harbour desk");
        for (int number = 405; number < 450; ++number)
            permit(inbox / permit_name(number), number, moment(2031, 5, 1 + (number - 405) / 4),
                   1 + up_to(6));
        const fs::path attachments = folder("Inbox/Harbour desk/Attachments");
        for (int i = 1; i <= 11; ++i) {
            const fs::path path = attachments / fmt::format("berth-plan-{:02}.png", i);
            write_png(path, random_(), 640, 420);
            set_changed(path, moment(2031, 5, i));
        }
        for (int year = 2028; year <= 2030; ++year) {
            const fs::path back = folder(fmt::format("Archive/2031/Permits/{} back copies", year));
            for (int i = 0; i < 40; ++i) {
                const int number = (year - 2027) * 100 + i;
                permit(back / permit_name(number), number, moment(year, 1 + i / 4, 1 + up_to(28)),
                       1 + up_to(3));
            }
        }
    }

    /// What lies in the archive already under names that the inbox brings again.
    void collisions() {
        const fs::path inbox = root_ / "Inbox/Harbour desk";
        const fs::path archive = folder("Archive/2031/Permits");
        for (const int number : {409, 412, 421}) {  // the same bytes, other dates
            fs::copy_file(inbox / permit_name(number), archive / permit_name(number));
            set_changed(archive / permit_name(number), moment(2031, 4, 29));
        }
        for (const int number : {413, 418, 424, 433})
            permit(archive / permit_name(number), number, moment(2031, 4, 2 + number % 20),
                   2);  // incoming newer
        for (const int number : {416, 428})
            permit(archive / permit_name(number), number, moment(2031, 6, 4), 7);  // incoming older
        const Moment noon{2031, 5, 6, 12, 0, 0, 0};
        for (const auto& place : {inbox, archive}) {  // one date, other bytes
            write_text(place / "quay-rates.csv", place == inbox ? "quay,rate\nnorth-quay,41\nslipway,12\n"
                                                                : "quay,rate\nnorth-quay,40\nslipway,12\n");
            set_changed(place / "quay-rates.csv", noon);
        }
        fs::create_directories(inbox / "Stamped");  // a folder here, a file there
        permit(inbox / "Stamped/permit-0401-stamped.pdf", 401, moment(2031, 5, 2), 1);
        permit(inbox / "Stamped/permit-0402-stamped.pdf", 402, moment(2031, 5, 2), 1);
        write_text(archive / "Stamped",
                   "A list of what was stamped, from before there was a folder for it.\n");
        set_changed(archive / "Stamped", moment(2031, 3, 3));
        const fs::path scanner = folder("Scanner/Permits");  // the same name from two places
        permit(scanner / permit_name(420), 1420, moment(2031, 5, 7), 2);
        permit(scanner / permit_name(426), 1426, moment(2031, 5, 8), 3);
        for (int number = 450; number < 462; ++number)
            permit(scanner / permit_name(number), number, moment(2031, 5, 12), 1);
    }

    void scans() {
        const fs::path scanner = folder("Scanner/Invoices");
        for (int number = 7601; number < 7732; ++number) {
            const fs::path path = scanner / fmt::format("invoice-{}.pdf", number);
            const Moment made = moment(2031, 3 + (number - 7601) / 50, 1 + (number - 7601) % 28);
            write_pdf(path, fmt::format("Invoice {}", number), "Scanner", made,
                      {{fmt::format("Invoice {}", number), conditions(12)}});
            set_changed(path, made);
        }
        const fs::path drafts = folder("Scanner/Drafts");
        for (int i = 1; i <= 12; ++i) {
            const fs::path path = drafts / fmt::format("scan-draft-{}.png", i);
            write_png(path, random_(), 420, 594);
            set_changed(path, moment(2031, 5, 1 + i));
        }
    }

    void inspections() {
        for (std::size_t ship = 0; ship < ships.size(); ++ship) {
            const fs::path place = folder(fmt::format("Desks/Workshop/Hull inspection/{}", ships[ship]));
            for (int i = 1; i <= 18; ++i) {
                const Moment taken = moment(2031, 2 + static_cast<int>(ship), 1 + i);
                const fs::path path = place / fmt::format("hull-{:02}.jpg", i);
                const std::uint64_t seed = random_();
                const double latitude = 59.8 + 0.01 * up_to(20);
                write_jpeg(path, seed, 800, 533, taken, std::pair(latitude, -7.1 + 0.01 * up_to(20)));
                set_changed(path, taken);
            }
        }
    }

    void rosters() {
        const fs::path place = folder("Desks/Crew office/Rosters");
        for (int week = 1; week <= 40; ++week) {
            std::string text = "day,ship,master,deck,engine\n";
            for (const char* day : {"Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"})
                text +=
                    fmt::format("{},{},watch {},crew {},crew {}\n", day,
                                ships[static_cast<std::size_t>(up_to(4))], up_to(3) + 1, up_to(9), up_to(9));
            const fs::path path = place / fmt::format("roster-week-{}.csv", week);
            write_text(path, text);
            set_changed(path, moment(2031, 1 + (week - 1) / 5, 1 + week % 5 * 5));
        }
        for (int year = 2028; year <= 2030; ++year) {
            const fs::path back = folder(fmt::format("Archive/{}/Rosters", year));
            for (int week = 1; week <= 52; ++week) {
                const fs::path path = back / fmt::format("roster-week-{}.csv", week);
                write_text(
                    path, fmt::format("day,ship\nMon,{}\nThu,{}\n", ships[static_cast<std::size_t>(up_to(4))],
                                      ships[static_cast<std::size_t>(up_to(4))]));
                set_changed(path, moment(year, 1 + (week - 1) / 5, 1 + week % 28));
            }
        }
    }

    void timetables() {
        const fs::path place = folder("Desks/Planning/Timetables");
        for (std::size_t route = 0; route < routes.size(); ++route)
            for (int season = 1; season <= 6; ++season) {
                std::vector<std::vector<std::string>> rows{{"departure", "arrival", "ship"}};
                for (int hour = 6; hour < 20; hour += 2)
                    rows.push_back({fmt::format("{:02}:{:02}", hour, up_to(60)),
                                    fmt::format("{:02}:{:02}", hour + 1, up_to(60)), ships[route]});
                const fs::path path = place / fmt::format("{} season {}.ods", routes[route], season);
                const Moment made = moment(2031, season, 3);
                write_ods(path, fmt::format("{}, season {}", routes[route], season), "Planning", made, rows);
                set_changed(path, made);
            }
    }

    void announcements() {
        const fs::path place = folder("Desks/Quay/Announcements");
        for (int i = 1; i <= 16; ++i) {
            const fs::path path = place / fmt::format("quay-call-{:02}.{}", i, i % 2 == 0 ? "flac" : "wav");
            write_sound(path, random_(), 2.0 + 0.25 * up_to(8), fmt::format("Quay call {}", i),
                        "Ostrel Ferries",
                        i % 4 == 0   ? ""
                        : i % 4 == 1 ? "Departures"
                                     : "Arrivals");
            set_changed(path, moment(2031, 4, i));
        }
    }

    void letters() {
        const fs::path place = folder("Inbox/Purser desk");
        for (int i = 1; i <= 30; ++i) {
            const Moment made = moment(2031, 4, i);
            const Page page{fmt::format("To the purser, letter {}", i), conditions(8)};
            const fs::path path = place / fmt::format("letter-{}.{}", i,
                                                      i % 3 == 0   ? "docx"
                                                      : i % 3 == 1 ? "odt"
                                                                   : "txt");
            if (path.extension() == ".docx")
                write_docx(path, page.heading,
                           {"Purser desk", i % 2 == 0 ? "Ostrel Ferries" : "Northskerry Ropeworks"}, made,
                           page);
            else if (path.extension() == ".odt")
                write_odt(path, page.heading,
                          {"Purser desk", i % 2 == 0 ? "Northskerry Ropeworks" : "Ostrel Ferries"}, made,
                          page);
            else
                write_text(path, page.heading + "\n\n" + fmt::format("{}\n", fmt::join(page.lines, "\n")));
            set_changed(path, made);
        }
    }

    /// The workshop's survey, and an earlier state of it in the archive: one of each kind that is set face to
    /// face.
    void survey() {
        const fs::path now = folder("Desks/Workshop/Survey");
        const fs::path then = folder("Archive/2031/Survey");
        const Moment taken = moment(2031, 5, 9);
        for (const auto& [place, cracks] : {std::pair(now, 3), std::pair(then, 2)}) {
            const bool is_now = place == now;
            const Moment made = is_now ? moment(2031, 5, 20) : moment(2031, 5, 11);
            write_jpeg(place / "keel.jpg", 40 + static_cast<std::uint64_t>(cracks), 800, 533, taken,
                       std::pair(59.9, -7.0));
            std::string notes = "Survey of the Little Tern\n\n";
            for (int frame = 1; frame <= 40; ++frame)
                notes += fmt::format("Frame {}: {}\n", frame,
                                     frame == 12 && is_now ? "paint blistered, to be done again" : "sound");
            if (is_now) notes += "Keel: three cracks, two of them old\n";
            write_text(place / "notes.txt", notes);
            write_ods(place / "costs.ods", "Costs of the survey", "Workshop", made,
                      {{"work", "hours", "cost"},
                       {"keel", is_now ? "14" : "11", is_now ? "1,820" : "1,430"},
                       {"paint", "6", "540"}});
            for (const char* name : {"keel.jpg", "notes.txt", "costs.ods"}) set_changed(place / name, made);
        }
        write_sound(now / "hammer test.wav", 7, 3.0, "Hammer test, frame 12", "Workshop");
        write_sound(then / "hammer test.wav", 7, 2.0, "Hammer test", "Workshop");
        set_changed(now / "hammer test.wav", moment(2031, 5, 9));
        set_changed(then / "hammer test.wav", moment(2031, 5, 10));
    }

    /// The quays that the line calls at, over three years; some pictures say nothing of when, some nothing of
    /// where.
    void quay_photos() {
        struct Port {
            double latitude;
            double longitude;
        };
        constexpr std::array<Port, 4> ports{{{57.48, -4.22}, {57.51, -1.79}, {57.65, -3.32}, {62.01, -6.77}}};
        const fs::path place = folder("Desks/Quay/Photos");
        for (int i = 1; i <= 64; ++i) {
            const Port& port = ports[static_cast<std::size_t>(i * 7 % 4)];
            const Moment taken = moment(2029 + i % 3, 1 + i * 7 % 5, 1 + i * 11 % 28);
            const fs::path path = place / fmt::format("quay-{:03}.jpg", i);
            const bool knows_when = i % 13 != 0;
            const bool knows_where = i % 11 != 0;
            write_jpeg(path, static_cast<std::uint64_t>(i) * 977, 480, 320,
                       knows_when ? std::optional(taken) : std::nullopt,
                       knows_where ? std::optional(std::pair(port.latitude + 0.002 * (i % 5), port.longitude))
                                   : std::nullopt);
            set_changed(path, taken);
        }
        const fs::path kept =
            folder("Archive/2031/Quay photos");  // some of them were put away before, by other names
        for (int i = 1; i <= 6; ++i) {
            const fs::path copied = kept / fmt::format("img-{:04}.jpg", 4100 + i);
            fs::copy_file(place / fmt::format("quay-{:03}.jpg", i * 9), copied);
            set_changed(copied, moment(2031, 5, 10 + i));
        }
    }

    void oddities() {
        folder("Inbox/Harbour desk/For the auditor");
        folder("Scanner/Empty tray");
        folder("Archive/2031/Rosters");
        fs::create_symlink("../Archive/2031/Permits", root_ / "Inbox/All permits");
        const fs::path odd = folder("Inbox/Odd names");
        write_text(odd / "-leading dash.txt", "A name that looks like an option.\n");
        write_text(odd / "two\nlines.txt", "A name with a line feed in it.\n");
        write_text(odd /
                       "bad\xff"
                       "byte.txt",
                   "A name that is no valid UTF-8.\n");
        write_text(odd / "Færgeplan Østrel – endelig.txt", "A name with letters from further north.\n");
        write_text(odd / "trailing dot.", "A name that ends in a dot.\n");
        write_text(odd / (std::string(251, 'l') + ".txt"), "A name of 255 bytes.\n");
        write_text(root_ / "Inbox/.desk-notes", "Hidden, and kept.\n");
        write_text(root_ / "Inbox/Harbour desk/.permit-counter", "449\n");
        for (const auto& entry : fs::directory_iterator(odd))
            set_changed(entry.path(), {2031, 5, 9, 8, 30, 0, 0});
        set_changed(root_ / "Inbox/.desk-notes", {2031, 5, 9, 8, 31, 0, 0});
        set_changed(root_ / "Inbox/Harbour desk/.permit-counter", {2031, 5, 9, 8, 32, 0, 0});
    }

    /// What the office does every week, as documents that are read in.
    void jobs() {
        const fs::path place = folder("Jobs");
        write_text(place / "Permits into the archive.json",
                   R"({ "tavlo": 1, "document": "job", "name": "Permits into the archive",
  "steps": [
    { "operation": "copy", "sources": ["../Inbox/Harbour desk"], "contents": true, "name": ["permit-*.pdf"], "subfolders": "none",
      "into": "../Archive/{now:%Y}/Permits", "on_collision": "skip", "when": { "newer": "overwrite" } },
    { "operation": "pack", "sources": ["../Scanner/Invoices"], "into": "../Archive/{now:%Y}/invoices-{now:%Y-%m}.zip",
      "on_collision": "rename", "go_on": true },
    { "operation": "note", "file": "../Archive/log.txt", "line": "{now:%F %T} {job}: {totals}" } ],
  "schedule": { "calendar": "Mon..Fri 18:00" } }
)");
        write_text(place / "Quay photos by place.json",
                   R"({ "tavlo": 1, "document": "job", "name": "Quay photos by place",
  "steps": [
    { "operation": "copy", "sources": ["../Desks/Quay/Photos"], "contents": true, "kind": ["pictures"],
      "sort_into": "{taken:%Y-%m|=undated}/{town|country|=no place}", "into": "../Archive/Photos", "look_elsewhere": true,
      "when": { "elsewhere": "skip", "same": "skip" } } ] }
)");
        for (const auto& entry : fs::directory_iterator(place))
            set_changed(entry.path(), {2031, 4, 30, 17, 0, 0, 0});
    }

    void date_folders() {
        for (const auto& entry : fs::recursive_directory_iterator(root_)) set_folder_date(entry);
        set_changed(root_, {2031, 5, 14, 8, 0, 0, 0});
    }

    void set_folder_date(const fs::directory_entry& entry) {
        if (entry.is_symlink() || entry.is_directory()) set_changed(entry.path(), {2031, 5, 14, 8, 0, 0, 0});
    }

    fs::path root_;
    std::mt19937_64 random_;
};

}  // namespace

void set_changed(const fs::path& path, const Moment& changed) {
    const timespec time{seconds_of(changed), changed.nanosecond};
    const timespec times[2] = {time, time};
    if (::utimensat(AT_FDCWD, path.c_str(), times, AT_SYMLINK_NOFOLLOW) != 0)
        throw std::runtime_error(path.string() + ": cannot be dated");
}

void make_office(const fs::path& root, std::uint64_t seed) { Office(root, seed).build(); }

}  // namespace demo
