// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include "facts/fact_wish.h"
#include "facts/learn.h"
#include "facts/reader.h"
#include "job/choosing.h"
#include "support/catch.h"
#include "support/fact_files.h"
#include "support/jobs.h"
#include "support/rounds.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

std::vector<FileFacts> told_by(FactReader& reader, const std::vector<std::string>& paths) {
    std::vector<FileFacts> facts(paths.size());
    std::vector<int> times(paths.size());
    const auto take = [&](std::size_t at, FileFacts&& one) {
        facts[at] = std::move(one);
        ++times[at];
    };
    REQUIRE(reader.read(paths, take));
    CHECK(times == std::vector<int>(paths.size(), 1));
    return facts;
}

/// As a document has it.
std::string told_by(const TempFolder& temp, const std::string& name, const std::string& bytes) {
    temp.write(name, bytes);
    FactReader reader;
    return to_json(told_by(reader, {temp.path(name)}).front());
}

// in the gazetteer: Inverness at 57.479 N 4.224 W
constexpr std::pair<double, double> inverness{57.49, -4.22};

}  // namespace

TEST_CASE("dates are read as files have them", "[facts]") {
    const auto read = [](std::string_view text) {
        const auto moment = moment_from(text);
        return moment ? written(*moment) : std::string("none");
    };
    CHECK(read("2031:05:02 09:14:07") == "2031-05-02T09:14:07");
    CHECK(read("D:20310502091407+02'00'") == "2031-05-02T09:14:07");
    CHECK(read("2031-05-02T09:14:07.123456Z") == "2031-05-02T09:14:07");
    CHECK(read("D:2031") == "2031-01-01T00:00:00");
    CHECK(read("2031-05") == "2031-05-01T00:00:00");
    CHECK(read("1889:12:31 23:59:59") == "1889-12-31T23:59:59");
    for (const char* none : {"", "0000:00:00 00:00:00", "    :  :     :  :  ", "2031:13:01 00:00:00",
                             "2031:02:29 00:00:00", "2031:05:02 24:00:00", "203", "soon"})
        CHECK(read(none) == "none");
    CHECK(read("2032:02:29 00:00:00") == "2032-02-29T00:00:00");
}

TEST_CASE("pictures tell when, with what and where they were taken", "[facts]") {
    const TempFolder temp;
    CHECK(
        told_by(temp, "a.jpg",
                photo_bytes(
                    {.taken = "2031:05:02 09:14:07", .make = "Ostrel", .model = "Q7", .place = inverness})) ==
        R"({"taken":"2031-05-02T09:14:07","camera":"Ostrel Q7","country":"United Kingdom","town":"Inverness","width":40,"height":30})");
    // the make once; the second date where the first is none; turned as it is shown; a name that says nothing
    CHECK(told_by(temp, "b",
                  photo_bytes({.taken = "0000:00:00 00:00:00",
                               .digitized = "2030:01:02 03:04:05",
                               .make = "OSTREL",
                               .model = "Ostrel Q7",
                               .orientation = 6})) ==
          R"({"taken":"2030-01-02T03:04:05","camera":"Ostrel Q7","width":30,"height":40})");
    // some 90 km out at sea there is a country and no town; in the middle of an ocean nothing
    const std::string sea = told_by(temp, "c.jpg", photo_bytes({.place = std::pair(59.4, -3.5)}));
    CHECK(sea.find("\"country\":\"United Kingdom\"") != std::string::npos);
    CHECK(told_by(temp, "d.jpg", photo_bytes({.place = std::pair(-48.9, -123.4)})) ==
          R"({"width":40,"height":30})");
    CHECK(told_by(temp, "e.jpg", photo_bytes({.place = std::pair(-36.85, 174.76)})).find("New Zealand") !=
          std::string::npos);
}

TEST_CASE("films tell when and with what they were taken", "[facts]") {
    const TempFolder temp;
    constexpr std::uint32_t written = 4'017'978'847;  // 2031-04-28 09:14:07 UTC
    CHECK(told_by(temp, "\xff a.mov",
                  film_bytes(written, {{"com.apple.quicktime.make", "Ostrel"},
                                       {"com.apple.quicktime.model", "Q7"},
                                       {"com.apple.quicktime.creationdate", "2031-05-02T11:14:07+0200"}})) ==
          R"({"taken":"2031-05-02T11:14:07","camera":"Ostrel Q7"})");
    CHECK(told_by(temp, "b", film_bytes(written, {})) == R"({"taken":"2031-04-28T09:14:07"})");
    CHECK(told_by(temp, "c.mov", film_bytes(0, {})) == "{}");  // nobody has set its clock
    CHECK(told_by(temp, "d.mov", film_bytes(written, {}).substr(0, 70'010)) == "{}");
}

TEST_CASE("sound and documents tell what their makers wrote", "[facts]") {
    const TempFolder temp;
    CHECK(told_by(temp, "a.mp3",
                  sound_bytes({{"TPE1", "Quay Choir"},
                               {"TALB", "Tide"},
                               {"TIT2", "Bell"},
                               {"TYER", "2031"},
                               {"TRCK", "3/12"}})) ==
          R"({"artist":"Quay Choir","album":"Tide","title":"Bell","year":2031,"track":3})");
    CHECK(told_by(temp, "b.odt",
                  open_document_bytes(
                      "<meta:initial-creator>M. Harn</meta:initial-creator><dc:creator>Other</dc:creator>"
                      "<dc:title> Permit &amp; plan </dc:title><dc:subject>Quay</dc:subject>"
                      "<meta:creation-date>2031-05-02T09:14:07.5</meta:creation-date>")) ==
          R"({"author":"M. Harn","title":"Permit & plan","subject":"Quay","created":"2031-05-02T09:14:07"})");
    CHECK(told_by(temp, "c.odt", open_document_bytes("<dc:creator>Only</dc:creator>")) ==
          R"({"author":"Only"})");
    CHECK(
        told_by(temp, "d.docx",
                office_bytes(
                    "<dc:creator>M. Harn</dc:creator><dcterms:created>2031-05-02T09:14:07Z</dcterms:created>",
                    "<Company>Ostrel Ferries</Company>")) ==
        R"({"company":"Ostrel Ferries","author":"M. Harn","created":"2031-05-02T09:14:07"})");
    CHECK(told_by(temp, "e.pdf",
                  pdf_bytes({{"Author", "(M. Harn)"},
                             {"Title", "(Notice)"},
                             {"CreationDate", "(D:20310502091407+02'00')"}})) ==
          R"({"author":"M. Harn","title":"Notice","created":"2031-05-02T09:14:07"})");
    // RIFF INFO (its chunks are as long as an even number of bytes), which no reader of pictures or films
    // gets to see
    const std::string info = std::string("INFOINAM\x06\0\0\0Bell 1IART\x06\0\0\0Quay\0\0", 32);
    const std::string format =
        std::string("fmt \x10\0\0\0\x01\0\x01\0\x80\x3e\0\0\0\x7d\0\0\x02\0\x10\0", 24);
    const std::string chunks =
        "WAVE" + format + std::string("LIST\x20\0\0\0", 8) + info + std::string("data\x04\0\0\0\0\0\0\0", 12);
    const std::string wave =
        std::string("RIFF") + static_cast<char>(chunks.size()) + std::string(3, '\0') + chunks;
    CHECK(told_by(temp, "a.wav", wave) == R"({"artist":"Quay","title":"Bell 1"})");
    CHECK(told_by(temp, "plain.txt", "nothing to tell") == "{}");
    CHECK(told_by(temp, "empty.jpg", "") == "{}");
    CHECK(told_by(temp, "some.zip", zip_bytes({{"meta.xml", "<other><office:meta/></other>"}})) == "{}");
}

TEST_CASE("a file that is damaged, or no file, costs its own facts alone", "[facts][fuzz]") {
    const TempFolder temp;
    const std::string whole = photo_bytes({.taken = "2031:05:02 09:14:07", .place = inverness});
    const std::string film = film_bytes(1, {{"com.apple.quicktime.make", "Ostrel"}});
    const std::string sheet = office_bytes("<dc:creator>M. Harn</dc:creator>", "");
    std::vector<std::string> paths;
    std::uint32_t noise = 1;
    const int damaged = rounds("TAVLO_FUZZ", 60);
    for (int at = 0; at < damaged; ++at) {
        std::string bytes = at % 4 == 0   ? whole
                            : at % 4 == 1 ? sheet
                            : at % 4 == 2 ? film
                                          : pdf_bytes({{"Author", "(M. Harn)"}});
        for (int hit = 0; hit < 8; ++hit) {
            noise = noise * 1664525 + 1013904223;
            const std::size_t from = at % 4 == 2 && hit > 0 ? bytes.size() - 300 : 0;  // where a film tells
            bytes[from + noise % (bytes.size() - from)] = static_cast<char>(noise >> 24);
        }
        if (at % 5 == 0) bytes.resize(bytes.size() / 2);
        paths.push_back(temp.path("damaged" + std::to_string(at)));
        temp.write("damaged" + std::to_string(at), bytes);
    }
    temp.write("whole.jpg", whole);
    REQUIRE(::mkfifo(temp.path("pipe").c_str(), 0600) == 0);
    for (const char* name : {"pipe", "not there", "whole.jpg"}) paths.push_back(temp.path(name));
    FactReader reader;
    const auto facts = told_by(reader, paths);
    CHECK(facts.back().find("town") != nullptr);
    CHECK(facts[static_cast<std::size_t>(damaged)].all().empty());
    CHECK(facts[static_cast<std::size_t>(damaged) + 1].all().empty());
}

TEST_CASE("a helper that dies, waits or babbles costs the file that it was at", "[facts]") {
    const TempFolder temp;
    temp.write("helper", R"(#!/bin/bash
while IFS= read -r -d '' path; do
  case "$path" in
    *dies*) kill -9 $$ ;;
    *waits*) sleep 60 ;;
    *babbles*) while :; do printf 'xxxxxxxxxxxxxxxx'; done ;;
    *nonsense*) echo 'no json' ;;
    *) echo "{\"title\":\"${path##*/}\",\"width\":\"wide\",\"n\":-1,\"unheard\":1}" ;;
  esac
done
)");
    REQUIRE(::chmod(temp.path("helper").c_str(), 0755) == 0);
    std::vector<std::string> paths;
    for (int at = 0; at < 50; ++at) paths.push_back("/in/plain" + std::to_string(at));
    for (const char* name : {"dies", "waits", "nonsense", "babbles", "dies too"})
        paths.insert(paths.begin() + static_cast<std::ptrdiff_t>(paths.size() / 2),
                     std::string("/in/") + name);
    FactReader::Bounds bounds;
    bounds.helpers = 2;
    bounds.longest_ms = 300;
    FactReader reader(temp.path("helper"), bounds);
    const auto facts = told_by(reader, paths);
    for (std::size_t at = 0; at < paths.size(); ++at) {
        CAPTURE(paths[at]);
        const bool plain = paths[at].find("plain") != std::string::npos;
        CHECK(facts[at].all().size() == (plain ? 1U : 0U));
        if (plain) CHECK(std::get<std::string>(*facts[at].find("title")) == paths[at].substr(4));
    }
    temp.write("unloadable", "#!/bin/sh\nexit 127\n");
    REQUIRE(::chmod(temp.path("unloadable").c_str(), 0755) == 0);
    FactReader unloadable(temp.path("unloadable"), bounds);  // not a thousand files that tell nothing
    CHECK(unloadable.read({"/in/a", "/in/b"}, [](std::size_t, FileFacts&&) {}).error().fault ==
          Fault::unsupported);
    FactReader none(temp.path("no helper"), bounds);
    const auto refused = none.read({"/in/a"}, [](std::size_t, FileFacts&&) {});
    REQUIRE_FALSE(refused);
    CHECK(refused.error().path == temp.path("no helper"));
    std::stop_source stop;
    stop.request_stop();
    CHECK(reader
              .read(
                  {"/in/a"}, [](std::size_t, FileFacts&&) {}, stop.get_token())
              .error()
              .fault == Fault::cancelled);
}

TEST_CASE("what a file has told is remembered until it changes", "[facts]") {
    const TempFolder temp;
    temp.write("in/a.jpg", photo_bytes({.taken = "2031:05:02 09:14:07"}));
    temp.write("in/b.jpg", photo_bytes({.taken = "2030:05:02 09:14:07"}));
    const auto disk = make_disk();
    const auto store = value(Store::open(temp.path("state")));
    const auto learn = [&] {
        const Batch batch = value(gather(*disk, {temp.path("in")}));
        KnownFileFacts known;
        std::size_t told = 0;
        REQUIRE(learn_facts(*disk, batch, files_of(batch), known, store.get(), {},
                            [&](std::size_t, std::size_t) { ++told; }));
        CHECK(known.size() == 2);
        CHECK(known.find(batch.entries[1].status)->find("taken") != nullptr);
        return told;
    };
    CHECK(learn() == 2);
    CHECK(learn() == 0);
    temp.write("in/b.jpg", photo_bytes({.taken = "2029:05:02 09:14:07"}));
    CHECK(learn() == 1);
}

TEST_CASE("files are chosen by what they tell", "[facts]") {
    const TempFolder temp;
    temp.write("in/inverness.jpg", photo_bytes({.taken = "2031:05:02 09:14:07", .place = inverness}));
    temp.write("in/elsewhere.jpg",
               photo_bytes({.taken = "2031:05:20 09:14:07", .place = std::pair(-36.85, 174.76)}));
    temp.write("in/deep/old.jpg", photo_bytes({.taken = "2029:05:02 09:14:07", .place = inverness}));
    temp.write("in/notes.txt", "no facts");
    const auto chosen_by = [&](std::vector<std::string> with) {
        Job job;
        job.what.sources = {temp.path("in")};
        job.what.files.with = std::move(with);
        std::string names;
        for (const Entry& entry : value(gather_chosen(*make_disk(), job, 0)).batch.entries)
            if (entry.status.type == FileType::file) names += entry.name + " ";
        return names;
    };
    CHECK(chosen_by({"town=Inverness"}) == "old.jpg inverness.jpg ");
    CHECK(chosen_by({"town=Inverness", "taken=2031-05-*"}) == "inverness.jpg ");
    CHECK(chosen_by({"taken=*"}) == "old.jpg elsewhere.jpg inverness.jpg ");
    CHECK(chosen_by({"kind=pictures", "folder=deep"}) == "old.jpg ");
    CHECK(chosen_by({"country=New*"}) == "elsewhere.jpg ");
    CHECK(chosen_by({"town=inverness"}).empty());
    for (const char* wrong : {"town", "twon=x", "n=1", "now=2031"}) CHECK_FALSE(fact_wishes_from({wrong}));
}
