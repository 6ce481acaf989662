// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fmt/format.h>
#include <linux/fs.h>
#include <sys/ioctl.h>
#include <unistd.h>

#include <algorithm>
#include <atomic>
#include <chrono>
#include <cstdio>
#include <fstream>
#include <mutex>
#include <string>
#include <thread>
#include <vector>

#include "works.h"

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// The bare loop for one large file: its bytes copied, and synced.
double bare_large(const Workplace& place, const std::function<void(int in, int out)>& copy) {
    const double took = seconds([&] {
        const int in = ::open((place.folder / "from/large").c_str(), O_RDONLY);
        const int out = ::open((place.folder / "copy").c_str(), O_WRONLY | O_CREAT, 0600);
        copy(in, out);
        check(::fsync(out) == 0, "fsync");
        ::close(in);
        ::close(out);
    });
    fs::remove(place.folder / "copy");
    return took;
}

}  // namespace

void small_copies(const Workplace& place, int files, int in_each_folder) {
    std::vector<double> bare;
    std::vector<double> synced;
    std::vector<double> ours;
    std::vector<double> planned;
    std::vector<double> read_back;
    make_files(place.folder / "from", files, 4096, in_each_folder);
    const auto paired = [&](std::vector<double>& times, const std::function<void()>& work) {
        times.push_back(seconds(work));
        fs::remove_all(place.folder / "to");
    };
    for (int round = 0; round < rounds(); ++round) {
        paired(bare, [&] { bare_copy(place.folder / "from", place.folder / "to", false); });
        paired(synced, [&] { bare_copy(place.folder / "from", place.folder / "to", true); });
        paired(ours, [&] {
            planned.push_back(
                place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to"));
        });
        RunOptions verifying;
        verifying.verify = Verify::read_back;
        paired(read_back, [&] {
            place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to", verifying);
        });
    }
    row(fmt::format("copy {} files of 4 KiB, {} a folder", files, in_each_folder), median(bare),
        median(ours));
    std::printf("%-44s %41.3f s\n", "  of this until there is a plan", median(planned));
    row("  and read back", median(bare), median(read_back));
    row("  the bare loop with a sync for each file", median(bare), median(synced));
    count_calls(
        files, [&] { bare_copy(place.folder / "from", place.folder / "to", false); },
        [&] { place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to"); },
        [&] { fs::remove_all(place.folder / "to"); });
    fs::remove_all(place.folder / "from");
}

void told(const Workplace& place, int files) {
    make_files(place.folder / "from", files, 4096);
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
        const double all = seconds([&] {
            place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to", options, events);
        });
        shares.push_back(100 * told / all);
        fs::remove_all(place.folder / "to");
    }
    std::printf("%-44s %6.2f %% of the run's time\n", "  being told of every item", median(shares));
    fs::remove_all(place.folder / "from");
}

void pauses(const Workplace& place, std::uint64_t bytes) {
    make_files(place.folder / "from", 1, 1);
    std::ofstream(place.folder / "from/large", std::ios::binary) << std::string(bytes, 'x');
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
        std::jthread run([&] {
            place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to", options, events);
        });
        while (done < bytes / 4) std::this_thread::sleep_for(std::chrono::microseconds(200));
        const auto asked = std::chrono::steady_clock::now();
        pace.hold();
        std::this_thread::sleep_for(std::chrono::milliseconds(500));
        if (done < bytes)
            waits.push_back(std::chrono::duration<double, std::milli>(last.load() - asked).count());
        pace.release();
        run.join();
        fs::remove_all(place.folder / "to");
    }
    if (!waits.empty())
        std::printf("%-44s %6.2f ms at the most\n", "a pause inside a large file",
                    std::max(0.0, *std::max_element(waits.begin(), waits.end())));
    fs::remove_all(place.folder / "from");
}

void large_copy(const Workplace& place, std::uint64_t bytes) {
    fs::create_directories(place.folder / "from");
    write_large(place.folder / "from" / "large", bytes);
    std::vector<double> bare;
    std::vector<double> ours;
    for (int round = 0; round < rounds(); ++round) {
        bare.push_back(bare_large(place, [&](int in, int out) {
            for (std::uint64_t done = 0; done < bytes;) {
                const ssize_t copied = ::copy_file_range(in, nullptr, out, nullptr, bytes - done, 0);
                check(copied > 0, "copy_file_range");
                done += static_cast<std::uint64_t>(copied);
            }
        }));
        ours.push_back(seconds(
            [&] { place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to"); }));
        fs::remove_all(place.folder / "to");
    }
    row("copy one file of " + std::to_string(bytes >> 20) + " MiB", median(bare), median(ours));
    fs::remove_all(place.folder / "from");
}

void shared_copy(const Workplace& place, std::uint64_t bytes) {
    fs::create_directories(place.folder / "from");
    write_large(place.folder / "from" / "large", bytes);
    std::vector<double> bare;
    std::vector<double> ours;
    std::uint64_t used = 0;
    for (int round = 0; round < rounds(); ++round) {
        bare.push_back(
            bare_large(place, [](int in, int out) { check(::ioctl(out, FICLONE, in) == 0, "FICLONE"); }));
        ::sync();
        const auto before = fs::space(place.folder).free;
        ours.push_back(seconds(
            [&] { place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to"); }));
        ::sync();
        used = before - std::min(before, fs::space(place.folder).free);
        fs::remove_all(place.folder / "to");
    }
    row("copy " + std::to_string(bytes >> 20) + " MiB by sharing extents", median(bare), median(ours));
    std::printf("%-48s %llu KiB used, of them data of the file: none\n", "",
                static_cast<unsigned long long>(used >> 10));
    fs::remove_all(place.folder / "from");
}
