// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <sstream>

#include "files/path.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Every way in which a batch can be laid out, on one sample tree, run for real. The page docs/what-arrives.md
// is what this test makes: with TAVLO_WRITE_DOCS set it is written, else compared.

using namespace tavlo;

namespace {

struct Way {
    const char* words;
    const char* options;
    Structure structure;
    bool picked = false;  ///< the two scans and the list instead, from three folders
    Clearing clearing = Clearing::none;
};

void make_sample(const TempFolder& temp) {
    temp.write("Permits/list.ods", "list");
    temp.write("Permits/May/permit-0412.pdf", "412");
    temp.write("Permits/May/Scans/scan-1.pdf", "scan");
    temp.folder("Permits/June");
    temp.write("rates.csv", "rates");
}

std::string as_lines(const TempFolder& temp, const std::string& folder) {
    std::string lines;
    for (const auto& [path, entry] : tree_of(temp.path(folder), {.folder_times = false}))
        lines += path + (std::filesystem::is_directory(temp.path(folder + "/" + path)) ? "/" : "") + "\n";
    return lines;
}

std::string page() {
    const Way ways[] = {
        {"The folder itself, keeping subfolders", "(nothing)", {false, Subfolders::all, false}},
        {"The folder itself, keeping subfolders with files in them",
         "--subfolders filled",
         {false, Subfolders::filled, false}},
        {"The folder itself, without subfolders", "--subfolders none", {false, Subfolders::none, false}},
        {"Only what is in the folder, keeping subfolders", "--contents", {true, Subfolders::all, false}},
        {"Only what is in the folder, keeping subfolders with files in them",
         "--contents --subfolders filled",
         {true, Subfolders::filled, false}},
        {"Only what is in the folder, without subfolders",
         "--contents --subfolders none",
         {true, Subfolders::none, false}},
        {"All files in one folder", "--flatten", {false, Subfolders::all, true}},
        {"Files from several folders, side by side", "(nothing)", {}, true},
        {"Files from several folders, their folders kept", "--keep-from .", {}, true},
        {"Leaving nothing extra there", "--clear extra", {}, false, Clearing::extra},
        {"Emptying the destination first", "--clear all", {}, false, Clearing::all},
    };
    std::ostringstream out;
    out << "# What arrives\n\nThe same batch, a folder and a file, copied into a destination in each of the "
           "ways that the\n"
           "sentence offers. This page is made by a test (`tests/core/structure_test.cpp`), from what really "
           "arrived.\n\n"
           "The batch is `Permits` and `rates.csv`:\n\n```\n";
    TempFolder sample;
    make_sample(sample);
    out << as_lines(sample, "") << "```\n";
    for (const Way& way : ways) {
        TempFolder temp;
        make_sample(temp);
        Jobs jobs(temp.path("state"));
        const std::vector<std::string> sources =
            way.picked ? std::vector<std::string>{"Permits/May/permit-0412.pdf", "rates.csv"}
                       : std::vector<std::string>{"Permits", "rates.csv"};
        Job job = copy({}, temp.path("Destination"));
        std::string words;
        for (const auto& source : sources) {
            job.what.sources.push_back(temp.path(source));
            words += " " + source;
        }
        job.structure = way.structure;
        if (std::string(way.options).starts_with("--keep-from")) job.structure.kept_from = temp.path();
        job.clearing = way.clearing;
        const bool clears = way.clearing != Clearing::none;
        if (clears) {
            temp.write("Destination/Permits/May/old.pdf", "old");
            temp.write("Destination/Permits/list.ods", "list");
            temp.write("Destination/Rosters/week-1.ods", "week");
        }
        const std::string before =
            clears ? "Before:\n\n```\n" + as_lines(temp, "Destination") + "```\n\nAfter:\n\n" : "";
        const Ran ran = jobs.run(job);
        CHECK(ran.of(Outcome::failed) == 0);
        out << "\n## " << way.words << "\n\n`tavloctl copy" << words << " --into Destination`, options: `"
            << way.options << "`\n\n"
            << before << "```\n"
            << as_lines(temp, "Destination") << "```\n";
    }
    return out.str();
}

}  // namespace

TEST_CASE("every way of laying out a batch arrives as the manual says", "[disk][structure]") {
    const std::string path = std::string(DOCS) + "/what-arrives.md";
    const std::string now = page();
    if (std::getenv("TAVLO_WRITE_DOCS") != nullptr) std::ofstream(path) << now;
    std::ifstream in(path);
    std::ostringstream written;
    written << in.rdbuf();
    CHECK(written.str() == now);
}
