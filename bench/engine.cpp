#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <fstream>
#include <functional>
#include <string>
#include <vector>

#include "keep/store.h"
#include "run/prepare.h"
#include "run/run.h"

// engine FOLDER [FILES]: each work of the engine against a bare single-threaded loop of system calls doing the same without a
// promise, paired in one run, the median of several rounds. FOLDER should lie on a file system in memory.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

constexpr int rounds = 3;

double seconds(const std::function<void()>& work) {
    ::sync();
    const auto began = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
}

double median(std::vector<double> values) {
    std::sort(values.begin(), values.end());
    return values[values.size() / 2];
}

void check(bool good, const std::string& what) {
    if (good) return;
    std::perror(what.c_str());
    std::exit(1);
}

void make_files(const fs::path& folder, int files, std::size_t bytes) {
    const std::string content(bytes, 'x');
    for (int i = 0; i < files; ++i) {
        const fs::path place = folder / std::to_string(i / 1000);
        if (i % 1000 == 0) fs::create_directories(place);
        std::ofstream(place / ("file-" + std::to_string(i))) << content;
    }
}

/// open, read, create, write, mode, times, close; with a sync for each file where asked.
void bare_copy(const fs::path& from, const fs::path& to, bool sync_each) {
    std::vector<char> buffer(1 << 20);
    for (const auto& folder : fs::directory_iterator(from)) {
        const fs::path into = to / folder.path().filename();
        fs::create_directories(into);
        for (const auto& entry : fs::directory_iterator(folder.path())) {
            const int in = ::open(entry.path().c_str(), O_RDONLY);
            struct stat s {};
            check(in >= 0 && ::fstat(in, &s) == 0, entry.path());
            const int out = ::open((into / entry.path().filename()).c_str(), O_WRONLY | O_CREAT | O_EXCL, 0600);
            for (ssize_t got = 0; (got = ::read(in, buffer.data(), buffer.size())) > 0;)
                check(::write(out, buffer.data(), static_cast<std::size_t>(got)) == got, "write");
            const timespec times[2] = {s.st_atim, s.st_mtim};
            check(::fchmod(out, s.st_mode & 07777U) == 0 && ::futimens(out, times) == 0, "attributes");
            if (sync_each) check(::fsync(out) == 0, "fsync");
            ::close(out);
            ::close(in);
        }
    }
}

void bare_move(const fs::path& from, const fs::path& to) {
    for (const auto& folder : fs::directory_iterator(from)) {
        const fs::path into = to / folder.path().filename();
        fs::create_directories(into);
        for (const auto& entry : fs::directory_iterator(folder.path()))
            check(::renameat2(AT_FDCWD, entry.path().c_str(), AT_FDCWD, (into / entry.path().filename()).c_str(), RENAME_NOREPLACE) == 0,
                  "rename");
    }
}

class Bench {
public:
    explicit Bench(fs::path place) : place_(std::move(place)) {
        fs::remove_all(place_);
        fs::create_directories(place_);
    }
    ~Bench() { fs::remove_all(place_); }

    void engine(Operation operation, const fs::path& from, const fs::path& to, Subfolders subfolders = Subfolders::all) {
        const auto disk = make_disk();
        const auto store = Store::open(place_ / "state");
        check(store.has_value(), "state");
        Request request;
        request.operation = operation;
        request.sources = {from};
        request.destination = to;
        request.shape = {true, subfolders, false};
        const auto outlook = prepare(*disk, request);
        check(outlook && outlook->refusals.empty(), "prepare");
        const auto head = carry_out(*disk, **store, *outlook->plan, {});
        check(head && head->totals.of(Outcome::failed) == 0, "run");
    }

    void small_copies(int files) {
        std::vector<double> bare;
        std::vector<double> synced;
        std::vector<double> ours;
        make_files(place_ / "from", files, 4096);
        for (int round = 0; round < rounds; ++round) {
            bare.push_back(seconds([&] { bare_copy(place_ / "from", place_ / "to", false); }));
            fs::remove_all(place_ / "to");
            synced.push_back(seconds([&] { bare_copy(place_ / "from", place_ / "to", true); }));
            fs::remove_all(place_ / "to");
            ours.push_back(seconds([&] { engine(Operation::copy, place_ / "from", place_ / "to"); }));
            fs::remove_all(place_ / "to");
        }
        row("copy " + std::to_string(files) + " files of 4 KiB", median(bare), median(ours));
        row("  the bare loop with a sync for each file", median(bare), median(synced));
        fs::remove_all(place_ / "from");
    }

    void moves(int files) {
        std::vector<double> bare;
        std::vector<double> ours;
        for (int round = 0; round < rounds; ++round) {
            make_files(place_ / "from", files, 10);
            bare.push_back(seconds([&] { bare_move(place_ / "from", place_ / "to"); }));
            fs::remove_all(place_ / "from");
            fs::remove_all(place_ / "to");
            make_files(place_ / "from", files, 10);
            for (const auto& folder : fs::directory_iterator(place_ / "from")) {  // to merge with, so that each file is renamed
                fs::create_directories(place_ / "to" / folder.path().filename());
            }
            ours.push_back(seconds([&] { engine(Operation::move, place_ / "from", place_ / "to"); }));
            fs::remove_all(place_ / "from");
            fs::remove_all(place_ / "to");
        }
        row("move " + std::to_string(files) + " files on one file system", median(bare), median(ours));
    }

    void large_copy(std::uint64_t bytes) {
        fs::create_directories(place_ / "from");
        {
            std::ofstream out(place_ / "from" / "large");
            const std::string piece(1 << 20, 'y');
            for (std::uint64_t done = 0; done < bytes; done += piece.size()) out << piece;
        }
        std::vector<double> bare;
        std::vector<double> ours;
        for (int round = 0; round < rounds; ++round) {
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

private:
    static void row(const std::string& work, double bare, double ours) {
        std::printf("%-48s bare %7.3f s   ours %7.3f s   %5.2f times\n", work.c_str(), bare, ours, ours / bare);
        std::fflush(stdout);
    }
    fs::path place_;
};

}  // namespace

int main(int count, char** words) {
    if (count < 2) {
        std::fprintf(stderr, "usage: engine FOLDER [FILES]\n");
        return 2;
    }
    const int files = count > 2 ? std::atoi(words[2]) : 20'000;
    Bench bench(fs::path(words[1]) / "tavlo-bench");
    bench.small_copies(files);
    bench.moves(files);
    bench.large_copy(std::uint64_t{512} << 20);
}
