// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fmt/format.h>
#include <linux/fs.h>
#include <sys/ioctl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <atomic>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <functional>
#include <mutex>
#include <optional>
#include <string>
#include <thread>
#include <vector>

#include "bare.h"
#include "files/memory.h"
#include "job/choosing.h"
#include "job/prepare.h"
#include "keep/store.h"
#include "run/run.h"
#include "system_calls.h"
#include "undo/empty_safe.h"
#include "undo/take_back.h"

// engine FOLDER [SHARING_FOLDER]: each work of the engine against a bare single-threaded loop of system calls
// doing the same without a promise, paired in one run, the median of several rounds. FOLDER should lie on a
// file system in memory, SHARING_FOLDER on one that shares extents.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// Of each work, paired; what is printed is their median.
int rounds() {
    const char* wanted = std::getenv("TAVLO_ROUNDS");
    return wanted != nullptr ? std::max(1, std::atoi(wanted)) : 3;
}

class Bench {
public:
    explicit Bench(fs::path place) : place_(std::move(place)) {
        fs::remove_all(place_);
        fs::create_directories(place_);
    }
    ~Bench() { fs::remove_all(place_); }

    /// returns  how long it took until there was a plan, in seconds
    double engine(Operation operation, const fs::path& from, const fs::path& to,
                  const RunOptions& options = {}, const RunEvents& events = {},
                  Subfolders subfolders = Subfolders::all) {
        const auto disk = make_disk();
        const auto store = Store::open(place_ / "state");
        check(store.has_value(), "state");
        Job job;
        job.operation = operation;
        job.what.sources = {from};
        job.into = to;
        job.structure = {true, subfolders, false};
        job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
        const auto began = std::chrono::steady_clock::now();
        const auto outlook = prepare(*disk, job, store->get());
        check(outlook && outlook->refusals.empty(), "prepare");
        const std::chrono::duration<double> planned = std::chrono::steady_clock::now() - began;
        const auto head = carry_out(*disk, **store, *outlook->plan, options, events);
        check(head && head->totals.of(Outcome::failed) == 0, "run");
        return planned.count();
    }

    /// In folders of so many each, as usual and read back; against a loop that promises nothing, and one that
    /// syncs each file. In phases: until there is a plan, and from there on.
    void small_copies(int files, int in_each_folder) {
        std::vector<double> bare;
        std::vector<double> synced;
        std::vector<double> ours;
        std::vector<double> planned;
        std::vector<double> read_back;
        make_files(place_ / "from", files, 4096, in_each_folder);
        const auto paired = [&](std::vector<double>& times, const std::function<void()>& work) {
            times.push_back(seconds(work));
            fs::remove_all(place_ / "to");
        };
        for (int round = 0; round < rounds(); ++round) {
            paired(bare, [&] { bare_copy(place_ / "from", place_ / "to", false); });
            paired(synced, [&] { bare_copy(place_ / "from", place_ / "to", true); });
            paired(ours, [&] { planned.push_back(engine(Operation::copy, place_ / "from", place_ / "to")); });
            RunOptions verifying;
            verifying.verify = Verify::read_back;
            paired(read_back, [&] { engine(Operation::copy, place_ / "from", place_ / "to", verifying); });
        }
        row(fmt::format("copy {} files of 4 KiB, {} a folder", files, in_each_folder), median(bare),
            median(ours));
        std::printf("%-44s %41.3f s\n", "  of this until there is a plan", median(planned));
        row("  and read back", median(bare), median(read_back));
        row("  the bare loop with a sync for each file", median(bare), median(synced));
        count_calls(
            files, [&] { bare_copy(place_ / "from", place_ / "to", false); },
            [&] { engine(Operation::copy, place_ / "from", place_ / "to"); },
            [&] { fs::remove_all(place_ / "to"); });
        fs::remove_all(place_ / "from");
    }

    /// What it costs to be told of every item, as the window is: each taken over, the last ten thousand kept;
    /// and to be asked for the pace.
    void told(int files) {
        make_files(place_ / "from", files, 4096);
        std::vector<double> shares;
        for (int round = 0; round < rounds(); ++round) {
            std::mutex mutex;
            struct Told {  // as the window keeps it
                std::string source;
                std::string place;
                std::string error;
                std::uint64_t size_bytes;
                Outcome result;
            };
            std::vector<Told> log;
            std::uint64_t bytes = 0;
            double told = 0;
            const auto timed = [&](auto work) {
                const auto began = std::chrono::steady_clock::now();
                const std::scoped_lock lock(mutex);
                work();
                told += std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
            };
            RunEvents events;
            events.item = [&](ItemId, const ReceiptItem& item) {
                timed([&] {
                    log.push_back({item.source, item.place(), item.error, item.size_bytes, item.result});
                    if (log.size() > 2'000) log.clear();  // taken a few times a second
                });
            };
            events.bytes = [&](std::uint64_t more) { timed([&] { bytes += more; }); };
            events.at_hand = [&](const std::string&) {};
            Pace pace;
            RunOptions options;
            options.pace = &pace;
            const double all =
                seconds([&] { engine(Operation::copy, place_ / "from", place_ / "to", options, events); });
            shares.push_back(100 * told / all);
            fs::remove_all(place_ / "to");
        }
        std::printf("%-44s %6.2f %% of the run's time\n", "  being told of every item", median(shares));
        fs::remove_all(place_ / "from");
    }

    /// From the call that holds a run to the last byte that it still reads, inside a large file.
    void pauses(std::uint64_t bytes) {
        make_files(place_ / "from", 1, 1);
        std::ofstream(place_ / "from/large", std::ios::binary) << std::string(bytes, 'x');
        std::vector<double> waits;
        for (int round = 0; round < rounds(); ++round) {
            Pace pace;
            std::atomic<std::uint64_t> done{0};
            std::atomic<std::chrono::steady_clock::time_point> last{std::chrono::steady_clock::now()};
            RunEvents events;
            events.bytes = [&](std::uint64_t more) {
                done += more;
                last = std::chrono::steady_clock::now();
            };
            RunOptions options;
            options.pace = &pace;
            std::jthread run(
                [&] { engine(Operation::copy, place_ / "from", place_ / "to", options, events); });
            while (done < bytes / 4) std::this_thread::sleep_for(std::chrono::microseconds(200));
            const auto asked = std::chrono::steady_clock::now();
            pace.hold();
            std::this_thread::sleep_for(std::chrono::milliseconds(500));
            if (done < bytes)
                waits.push_back(std::chrono::duration<double, std::milli>(last.load() - asked).count());
            pace.release();
            run.join();
            fs::remove_all(place_ / "to");
        }
        if (!waits.empty())
            std::printf("%-44s %6.2f ms at the most\n", "a pause inside a large file",
                        std::max(0.0, *std::max_element(waits.begin(), waits.end())));
        fs::remove_all(place_ / "from");
    }

    void moves(int files) {
        std::vector<double> bare;
        std::vector<double> ours;
        const auto anew = [&] {
            fs::remove_all(place_ / "from");
            fs::remove_all(place_ / "to");
            make_files(place_ / "from", files, 10);
            for (const auto& folder :
                 fs::directory_iterator(place_ / "from"))  // to merge with, so that each file is renamed
                fs::create_directories(place_ / "to" / folder.path().filename());
        };
        const auto loop = [&] { bare_move(place_ / "from", place_ / "to"); };
        const auto run = [&] { engine(Operation::move, place_ / "from", place_ / "to"); };
        for (int round = 0; round < rounds(); ++round) {
            anew();
            bare.push_back(seconds(loop));
            anew();
            ours.push_back(seconds(run));
        }
        row("move " + std::to_string(files) + " files on one file system", median(bare), median(ours));
        anew();
        count_calls(files, loop, run, anew);
        fs::remove_all(place_ / "from");
        fs::remove_all(place_ / "to");
    }

    /// Every number one up, so that each takes the name of the next; the bare loop goes from the last to the
    /// first. And a removal, to another folder.
    void names(int files) {
        const auto name = [&](int number) { return place_ / "in" / fmt::format("img-{:07}", number); };
        std::vector<double> bare;
        std::vector<double> ours;
        std::vector<double> removed;
        std::vector<double> moved;
        std::vector<double> back;
        std::vector<double> noted;
        std::vector<double> trashed;
        std::vector<double> out_of_trash;
        ::setenv("XDG_DATA_HOME", (place_ / "data").c_str(), 1);
        for (int round = 0; round < rounds(); ++round) {
            fs::create_directories(place_ / "in");
            fs::create_directories(place_ / "out");
            for (int at = 0; at < files; ++at) std::ofstream(name(at)).put('x');
            bare.push_back(seconds([&] {
                for (int at = files; at-- > 0;)
                    check(::renameat2(AT_FDCWD, name(at).c_str(), AT_FDCWD, name(at + 1).c_str(),
                                      RENAME_NOREPLACE) == 0,
                          "rename");
            }));
            Job job;
            job.what.sources = {place_ / "in"};
            job.structure.contents = true;
            job.operation = Operation::rename;
            job.naming.steps = {AddToNumbers{1}};
            ours.push_back(seconds([&] { carried_out(job); }));
            moved.push_back(seconds([&] {
                for (int at = 0; at < files; ++at)
                    check(::renameat2(AT_FDCWD, name(at + 2).c_str(), AT_FDCWD,
                                      (place_ / "out" / name(at).filename()).c_str(), RENAME_NOREPLACE) == 0,
                          "rename");
            }));
            fs::rename(place_ / "out", place_ / "again");
            fs::remove_all(place_ / "in");
            fs::rename(place_ / "again", place_ / "in");
            fs::create_directories(place_ / "out");
            fs::create_directories(place_ / "info");
            noted.push_back(seconds([&] { moved_with_notes(files); }));
            for (const char* folder : {"info", "in"}) fs::remove_all(place_ / folder);
            fs::rename(place_ / "out", place_ / "in");
            job.operation = Operation::remove;
            job.naming = {};
            for (const Shelf shelf : {Shelf::safe, Shelf::trash}) {
                job.shelf = shelf;
                std::string receipt;
                (shelf == Shelf::safe ? removed : trashed).push_back(seconds([&] {
                    receipt = carried_out(job);
                }));
                (shelf == Shelf::safe ? back : out_of_trash).push_back(seconds([&] { undone(receipt); }));
            }
            for (const char* folder : {"in", "out", "state", "data"}) fs::remove_all(place_ / folder);
        }
        row(fmt::format("rename {} files, each to the next one's name", files), median(bare), median(ours));
        row(fmt::format("remove {} files, to the Safe", files), median(moved), median(removed));
        row("  and back", median(moved), median(back));
        row(fmt::format("remove {} files, to the trash", files), median(moved), median(trashed));
        row("  against a loop that writes a note for each", median(noted), median(trashed));
        row("  and back", median(moved), median(out_of_trash));
    }

    /// What the Trash specification asks for besides the rename: a note of its own for each, written first.
    void moved_with_notes(int files) {
        const auto name = [](int number) { return fmt::format("img-{:07}", number); };
        for (int at = 0; at < files; ++at) {
            const std::string text = fmt::format("[Trash Info]\nPath={}\nDeletionDate=2031-05-02T09:14:07\n",
                                                 (place_ / "in" / name(at)).string());
            const int note = ::open((place_ / "info" / (name(at) + ".trashinfo")).c_str(),
                                    O_CREAT | O_EXCL | O_WRONLY | O_CLOEXEC, 0600);
            check(::write(note, text.data(), text.size()) == static_cast<ssize_t>(text.size()), "note");
            ::close(note);
            check(::renameat2(AT_FDCWD, (place_ / "in" / name(at)).c_str(), AT_FDCWD,
                              (place_ / "out" / name(at)).c_str(), RENAME_NOREPLACE) == 0,
                  "rename");
        }
    }

    void undone(const std::string& receipt) {
        const auto disk = make_disk();
        const auto store = Store::open(place_ / "state");
        check(store.has_value(), "state");
        const auto plan = prepare_undo(*disk, **store, receipt);
        check(plan.has_value(), "undo");
        const auto head = carry_out(*disk, **store, *plan, {});
        check(head && head->totals.of(Outcome::restored) == head->totals.items, "undo");
    }

    std::string carried_out(const Job& job) {
        const auto disk = make_disk();
        const auto store = Store::open(place_ / "state");
        check(store.has_value(), "state");
        const auto batch = gather_chosen(*disk, job, now_ns());
        check(batch.has_value(), "gather");
        const auto outlook = prepare(*disk, job, std::make_shared<const Batch>(batch->batch), store->get());
        check(outlook && outlook->refusals.empty(), "prepare");
        const auto head = carry_out(*disk, **store, *outlook->plan, {});
        check(head && head->totals.of(Outcome::failed) + head->totals.of(Outcome::undecided) == 0, "run");
        return head->id;
    }

    void large_copy(std::uint64_t bytes) {
        fs::create_directories(place_ / "from");
        write_large(place_ / "from" / "large", bytes);
        std::vector<double> bare;
        std::vector<double> ours;
        for (int round = 0; round < rounds(); ++round) {
            bare.push_back(seconds([&] {
                const int in = ::open((place_ / "from/large").c_str(), O_RDONLY);
                const int out = ::open((place_ / "copy").c_str(), O_WRONLY | O_CREAT, 0600);
                for (std::uint64_t done = 0; done < bytes;) {
                    const ssize_t copied = ::copy_file_range(in, nullptr, out, nullptr, bytes - done, 0);
                    check(copied > 0, "copy_file_range");
                    done += static_cast<std::uint64_t>(copied);
                }
                check(::fsync(out) == 0, "fsync");
                ::close(in);
                ::close(out);
            }));
            fs::remove(place_ / "copy");
            ours.push_back(seconds([&] { engine(Operation::copy, place_ / "from", place_ / "to"); }));
            fs::remove_all(place_ / "to");
        }
        row("copy one file of " + std::to_string(bytes >> 20) + " MiB", median(bare), median(ours));
        fs::remove_all(place_ / "from");
    }

    /// The plan alone: no collisions, nothing is carried out.
    void plans(int files) {
        for (int folder = 0; folder < files / 1000; ++folder) {
            const fs::path place = place_ / "from" / std::to_string(folder / 100) / std::to_string(folder);
            fs::create_directories(place);
            for (int i = 0; i < 1000; ++i)
                ::close(
                    ::open((place / ("invoice-" + std::to_string(folder) + "-" + std::to_string(i) + ".pdf"))
                               .c_str(),
                           O_CREAT | O_WRONLY, 0644));
        }
        Job job;
        job.what.sources = {place_ / "from"};
        job.into = place_ / "to";
        std::vector<double> bare;
        std::vector<double> ours;
        std::uint64_t entries = 0;
        std::uint64_t bytes = 0;
        for (int round = 0; round < rounds(); ++round) {
            bare.push_back(
                seconds([&] { entries = bare_walk(::open(place_.c_str(), O_RDONLY | O_DIRECTORY)); }));
            const std::uint64_t before = memory_bytes();
            const auto disk = make_disk();
            std::optional<Outlook> outlook;
            ours.push_back(seconds([&] {
                auto planned = prepare(*disk, job);
                check(planned.has_value(), "plan");
                outlook = std::move(*planned);
            }));
            if (round == 0) bytes = (memory_bytes() - before) / outlook->plan->items.size();
        }
        row("plan " + std::to_string(entries) + " entries", median(bare), median(ours));
        std::printf("%-48s %llu bytes of memory for each entry\n", "",
                    static_cast<unsigned long long>(bytes));
        fs::remove_all(place_ / "from");
    }

    /// Pairs of one size: read the first time, remembered the second; and a whole job over them, where asked.
    void same(int files, std::size_t bytes, bool as_a_job) {
        make_files(place_ / "from", files, bytes);
        fs::copy(place_ / "from", place_ / "to", fs::copy_options::recursive);
        for (const auto& entry : fs::recursive_directory_iterator(place_ / "from"))
            if (entry.is_regular_file())
                fs::last_write_time(place_ / "to" / fs::relative(entry.path(), place_ / "from"),
                                    entry.last_write_time());
        std::vector<double> reading;
        std::vector<double> comparing;
        std::vector<double> looking;
        std::vector<double> remembering;
        const auto disk = make_disk();
        Job job;
        job.what.sources = {place_ / "from"};
        job.into = place_ / "to";
        job.structure.contents = true;
        job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
        for (int round = 0; round < rounds(); ++round) {
            reading.push_back(seconds([&] { bare_read(place_ / "from", place_ / "to"); }));
            KnownContents known;
            const auto batch = gather(*disk, job.what.sources);
            check(batch.has_value(), "gather");
            const auto outlook =
                look_ahead(*disk, job, std::make_shared<const Batch>(std::move(*batch)), known);
            check(outlook.has_value(), "plan");
            comparing.push_back(seconds(
                [&] { check(compare_pairs(*disk, *outlook->plan, known, nullptr).has_value(), "compare"); }));
        }
        engine(Operation::copy, place_ / "from", place_ / "to");
        for (int round = 0; round < rounds(); ++round) {
            looking.push_back(seconds([&] {
                bare_walk(::open((place_ / "from").c_str(), O_RDONLY | O_DIRECTORY));
                bare_walk(::open((place_ / "to").c_str(), O_RDONLY | O_DIRECTORY));
            }));
            const auto store = Store::open(place_ / "state");
            remembering.push_back(seconds([&] {
                const auto outlook = prepare(*disk, job, store->get());
                check(outlook &&
                          outlook->plan->totals.of(Outcome::skipped) == static_cast<std::uint64_t>(files),
                      "all the same");
            }));
        }
        row("compare " + std::to_string(files) + " pairs of " + std::to_string(bytes) + " bytes",
            median(reading), median(comparing));
        row("plan " + std::to_string(files) + " that are the same already", median(looking),
            median(remembering));
        if (as_a_job) again(files);
        fs::remove_all(place_ / "from");
        fs::remove_all(place_ / "to");
    }

    /// A whole job over what is nearly all the same already; against a walk that looks at both sides.
    void again(int files) {
        constexpr int fresh = 12;
        std::vector<fs::path> there;
        for (const auto& entry : fs::recursive_directory_iterator(place_ / "to"))
            if (entry.is_regular_file()) there.push_back(entry.path());
        const auto some_are_gone = [&] {
            for (std::size_t at = 0; at < fresh; ++at) fs::remove(there[at * there.size() / fresh]);
        };
        const auto look = [&] {
            bare_walk(::open((place_ / "from").c_str(), O_RDONLY | O_DIRECTORY));
            bare_walk(::open((place_ / "to").c_str(), O_RDONLY | O_DIRECTORY));
        };
        std::vector<double> looking;
        std::vector<double> planned;
        std::vector<double> doing;
        for (int round = 0; round < rounds(); ++round) {
            some_are_gone();
            looking.push_back(seconds(look));
            doing.push_back(
                seconds([&] { planned.push_back(engine(Operation::copy, place_ / "from", place_ / "to")); }));
        }
        row(fmt::format("  copy all of them, of which {} are new", fresh), median(looking), median(doing));
        std::printf("%-44s %41.3f s\n", "  of this until there is a plan", median(planned));
        count_calls(
            files, look, [&] { engine(Operation::copy, place_ / "from", place_ / "to"); }, some_are_gone);
    }

    /// On a file system that shares extents.
    void shared_copy(std::uint64_t bytes) {
        fs::create_directories(place_ / "from");
        write_large(place_ / "from" / "large", bytes);
        std::vector<double> bare;
        std::vector<double> ours;
        std::uint64_t used = 0;
        for (int round = 0; round < rounds(); ++round) {
            bare.push_back(seconds([&] {
                const int in = ::open((place_ / "from/large").c_str(), O_RDONLY);
                const int out = ::open((place_ / "copy").c_str(), O_WRONLY | O_CREAT, 0600);
                check(::ioctl(out, FICLONE, in) == 0 && ::fsync(out) == 0, "FICLONE");
                ::close(in);
                ::close(out);
            }));
            fs::remove(place_ / "copy");
            ::sync();
            const auto before = fs::space(place_).free;
            ours.push_back(seconds([&] { engine(Operation::copy, place_ / "from", place_ / "to"); }));
            ::sync();
            used = before - std::min(before, fs::space(place_).free);
            fs::remove_all(place_ / "to");
        }
        row("copy " + std::to_string(bytes >> 20) + " MiB by sharing extents", median(bare), median(ours));
        std::printf("%-48s %llu KiB used, of them data of the file: none\n", "",
                    static_cast<unsigned long long>(used >> 10));
        fs::remove_all(place_ / "from");
    }

private:
    static void count_calls(int files, const std::function<void()>& bare, const std::function<void()>& ours,
                            const std::function<void()>& between) {
        const auto loop = system_calls(bare);
        between();
        const auto run = system_calls(ours);
        if (loop && run)
            std::printf("%-48s bare %7.1f     ours %7.1f\n", "  system calls a file", *loop / files,
                        *run / files);
        between();
    }
    static void row(const std::string& work, double bare, double ours) {
        std::printf("%-48s bare %7.3f s   ours %7.3f s   %5.2f times\n", work.c_str(), bare, ours,
                    ours / bare);
        std::fflush(stdout);
    }
    fs::path place_;
};

}  // namespace

int main(int count, char** words) {
    raise_handle_limit();
    give_large_memory_back();  // as the programs do
    if (count < 2 || count > 3) {
        std::fprintf(stderr, "usage: engine FOLDER [SHARING_FOLDER]\n");
        return 2;
    }
    {
        Bench bench(fs::path(words[1]) / "tavlo-bench");
        const char* only = std::getenv("TAVLO_BENCH");  // one group of rows
        const auto wanted = [only](std::string_view group) { return only == nullptr || group == only; };
        if (wanted("plans")) bench.plans(1'000'000);  // first, while this process holds little memory
        if (wanted("small")) bench.small_copies(20'000, 1000);
        if (wanted("folders")) bench.small_copies(20'000, 10);
        if (wanted("told")) bench.told(20'000);
        if (wanted("moves")) bench.moves(20'000);
        if (wanted("names")) bench.names(100'000);
        if (wanted("large")) bench.large_copy(std::uint64_t{1} << 30);
        if (wanted("pauses")) bench.pauses(std::uint64_t{1} << 30);
        if (wanted("same")) bench.same(10'000, 16 * 1024, false);
        if (wanted("same")) bench.same(100'000, 100, true);
    }
    if (count < 3) return 0;
    Bench sharing(fs::path(words[2]) / "tavlo-bench");
    sharing.shared_copy(std::uint64_t{1} << 30);
}
