// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fmt/format.h>
#include <unistd.h>

#include <cstdio>
#include <cstdlib>
#include <fstream>
#include <string>
#include <vector>

#include "job/choosing.h"
#include "job/prepare.h"
#include "keep/store.h"
#include "undo/take_back.h"
#include "works.h"

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// What the Trash specification asks for besides the rename: a note of its own for each, written first.
void moved_with_notes(const Workplace& place, int files) {
    const auto name = [](int number) { return fmt::format("img-{:07}", number); };
    for (int at = 0; at < files; ++at) {
        const std::string text = fmt::format("[Trash Info]\nPath={}\nDeletionDate=2031-05-02T09:14:07\n",
                                             (place.folder / "in" / name(at)).string());
        const int note = ::open((place.folder / "info" / (name(at) + ".trashinfo")).c_str(),
                                O_CREAT | O_EXCL | O_WRONLY | O_CLOEXEC, 0600);
        check(::write(note, text.data(), text.size()) == static_cast<ssize_t>(text.size()), "note");
        ::close(note);
        check(::renameat2(AT_FDCWD, (place.folder / "in" / name(at)).c_str(), AT_FDCWD,
                          (place.folder / "out" / name(at)).c_str(), RENAME_NOREPLACE) == 0,
              "rename");
    }
}

void undone(const Workplace& place, const std::string& receipt) {
    const auto disk = make_disk();
    const auto store = Store::open(place.folder / "state");
    check(store.has_value(), "state");
    const auto plan = prepare_undo(*disk, **store, receipt);
    check(plan.has_value(), "undo");
    const auto head = carry_out(*disk, **store, *plan, {});
    check(head && head->totals.of(Outcome::restored) == head->totals.items, "undo");
}

std::string carried_out(const Workplace& place, const Job& job) {
    const auto disk = make_disk();
    const auto store = Store::open(place.folder / "state");
    check(store.has_value(), "state");
    const auto batch = gather_chosen(*disk, job, now_ns());
    check(batch.has_value(), "gather");
    const auto outlook = prepare(*disk, job, std::make_shared<const Batch>(batch->batch), store->get());
    check(outlook && outlook->refusals.empty(), "prepare");
    const auto head = carry_out(*disk, **store, *outlook->plan, {});
    check(head && head->totals.of(Outcome::failed) + head->totals.of(Outcome::undecided) == 0, "run");
    return head->id;
}

}  // namespace

void moves(const Workplace& place, int files) {
    std::vector<double> bare;
    std::vector<double> ours;
    const auto anew = [&] {
        fs::remove_all(place.folder / "from");
        fs::remove_all(place.folder / "to");
        make_files(place.folder / "from", files, 10);
        for (const auto& folder :
             fs::directory_iterator(place.folder / "from"))  // to merge with, so that each file is renamed
            fs::create_directories(place.folder / "to" / folder.path().filename());
    };
    const auto loop = [&] { bare_move(place.folder / "from", place.folder / "to"); };
    const auto run = [&] {
        place.carry_out_job(Operation::move, place.folder / "from", place.folder / "to");
    };
    for (int round = 0; round < rounds(); ++round) {
        anew();
        bare.push_back(seconds(loop));
        anew();
        ours.push_back(seconds(run));
    }
    row("move " + std::to_string(files) + " files on one file system", median(bare), median(ours));
    anew();
    count_calls(files, loop, run, anew);
    fs::remove_all(place.folder / "from");
    fs::remove_all(place.folder / "to");
}

void names(const Workplace& place, int files) {
    const auto name = [&](int number) { return place.folder / "in" / fmt::format("img-{:07}", number); };
    std::vector<double> bare;
    std::vector<double> ours;
    std::vector<double> removed;
    std::vector<double> moved;
    std::vector<double> back;
    std::vector<double> noted;
    std::vector<double> trashed;
    std::vector<double> out_of_trash;
    ::setenv("XDG_DATA_HOME", (place.folder / "data").c_str(), 1);
    for (int round = 0; round < rounds(); ++round) {
        fs::create_directories(place.folder / "in");
        fs::create_directories(place.folder / "out");
        for (int at = 0; at < files; ++at) std::ofstream(name(at)).put('x');
        bare.push_back(seconds([&] {
            for (int at = files; at-- > 0;)
                check(::renameat2(AT_FDCWD, name(at).c_str(), AT_FDCWD, name(at + 1).c_str(),
                                  RENAME_NOREPLACE) == 0,
                      "rename");
        }));
        Job job;
        job.what.sources = {place.folder / "in"};
        job.structure.contents = true;
        job.operation = Operation::rename;
        job.naming.steps = {AddToNumbers{1}};
        ours.push_back(seconds([&] { carried_out(place, job); }));
        moved.push_back(seconds([&] {
            for (int at = 0; at < files; ++at)
                check(
                    ::renameat2(AT_FDCWD, name(at + 2).c_str(), AT_FDCWD,
                                (place.folder / "out" / name(at).filename()).c_str(), RENAME_NOREPLACE) == 0,
                    "rename");
        }));
        fs::rename(place.folder / "out", place.folder / "again");
        fs::remove_all(place.folder / "in");
        fs::rename(place.folder / "again", place.folder / "in");
        fs::create_directories(place.folder / "out");
        fs::create_directories(place.folder / "info");
        noted.push_back(seconds([&] { moved_with_notes(place, files); }));
        for (const char* folder : {"info", "in"}) fs::remove_all(place.folder / folder);
        fs::rename(place.folder / "out", place.folder / "in");
        job.operation = Operation::remove;
        job.naming = {};
        for (const Shelf shelf : {Shelf::safe, Shelf::trash}) {
            job.shelf = shelf;
            std::string receipt;
            (shelf == Shelf::safe ? removed : trashed).push_back(seconds([&] {
                receipt = carried_out(place, job);
            }));
            (shelf == Shelf::safe ? back : out_of_trash).push_back(seconds([&] { undone(place, receipt); }));
        }
        for (const char* folder : {"in", "out", "state", "data"}) fs::remove_all(place.folder / folder);
    }
    row(fmt::format("rename {} files, each to the next one's name", files), median(bare), median(ours));
    row(fmt::format("remove {} files, to the Safe", files), median(moved), median(removed));
    row("  and back", median(moved), median(back));
    row(fmt::format("remove {} files, to the trash", files), median(moved), median(trashed));
    row("  against a loop that writes a note for each", median(noted), median(trashed));
    row("  and back", median(moved), median(out_of_trash));
}
