// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>
#include <unistd.h>

#include <atomic>
#include <filesystem>
#include <fstream>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/mounts.h"
#include "support/temp_folder.h"

// Another program that does what it likes in the middle of a run. Whatever that is: no content is lost but
// what the other one itself removed, nothing of its own is replaced, and the receipt has as many items as the
// plan.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// What the other program does, once, to one of the two trees.
enum class Deed { write_new, replace, append, remove, rename_away, swap_folder_for_link, folder_for_file };

struct Interference {
    Deed deed = Deed::write_new;
    bool at_source = false;
    std::string path;  ///< below from/box or to/box
    int before_call = 0;
};

const char* words(Deed deed) {
    switch (deed) {
        case Deed::write_new: return "writes a new";
        case Deed::replace: return "replaces";
        case Deed::append: return "appends to";
        case Deed::remove: return "removes";
        case Deed::rename_away: return "renames away";
        case Deed::swap_folder_for_link: return "swaps the folder of, for a link,";
        case Deed::folder_for_file: return "puts a folder in the place of";
    }
    return "";
}

void put(const fs::path& path, const std::string& bytes) {
    std::error_code ignored;
    fs::create_directories(path.parent_path(), ignored);
    std::ofstream(path) << bytes;
}

/// returns  contents that only the other program has taken away
std::set<std::string> act(const TempFolder& temp, const Interference& what) {
    const fs::path path = temp.path((what.at_source ? "from/box/" : "to/box/") + what.path);
    std::set<std::string> its_own_doing;
    std::error_code ignored;
    const bool is_file = fs::is_regular_file(fs::symlink_status(path, ignored));
    if (is_file) its_own_doing.insert(temp.read((what.at_source ? "from/box/" : "to/box/") + what.path));
    switch (what.deed) {
        case Deed::write_new:
            if (!fs::exists(fs::symlink_status(path, ignored))) put(path, "somebody's new file");
            return {};
        case Deed::replace:
            if (!is_file) return {};
            put(path.string() + ".theirs", "somebody's replacement");
            fs::rename(path.string() + ".theirs", path, ignored);
            return its_own_doing;
        case Deed::append:
            if (!is_file) return {};
            std::ofstream(path, std::ios::app) << " and somebody's words";
            return its_own_doing;
        case Deed::remove:
            if (!is_file) return {};
            fs::remove(path, ignored);
            return its_own_doing;
        case Deed::rename_away: fs::rename(path, path.string() + " away", ignored); return {};
        case Deed::swap_folder_for_link:
            fs::create_directories(temp.path("elsewhere"), ignored);
            if (path.parent_path().filename() == "box" || !fs::is_directory(path.parent_path(), ignored))
                return {};
            fs::rename(path.parent_path(), path.parent_path().string() + " hidden", ignored);
            fs::create_symlink(temp.path("elsewhere"), path.parent_path(), ignored);
            return {};
        case Deed::folder_for_file:
            if (!is_file) return {};
            fs::rename(path, path.string() + " before", ignored);
            fs::create_directory(path, ignored);
            return {};
    }
    return {};
}

class Meddled final : public EveryCall {
public:
    Meddled(int before_call, std::function<void()> act) : before_(before_call), act_(std::move(act)) {}

private:
    std::optional<Error> before_call() override {
        if (calls_++ == before_) act_();
        return std::nullopt;
    }
    int before_;
    std::function<void()> act_;
    std::atomic<int> calls_ = 0;
};

/// volume   a file system of its own, so that its Safe lies on it
void check(const std::string& volume, const Interference& what, bool moves, Decision decision,
           unsigned threads) {
    TempFolder temp(volume);
    TempFolder state("/dev/shm");
    for (const char* name : {"new", "held", "same", "sub/new", "sub/held", "sub/deep/new"})
        temp.write(std::string("from/box/") + name, std::string("incoming ") + name);
    temp.write("from/box/same", "the same");
    temp.write("to/box/same", "the same");
    temp.write("to/box/held", "held, and longer than the other");
    temp.write("to/box/sub/held", "held in sub, and longer");
    Jobs jobs(state.path());
    const auto job = with(moves ? move({temp.path("from/box")}, temp.path("to"))
                                : copy({temp.path("from/box")}, temp.path("to")),
                          decision);
    const Outlook outlook = value(prepare(*jobs.disk, job));
    std::set<std::string> before = contents_of(volume);
    Meddled meddled(what.before_call, [&] {
        for (const auto& content : act(temp, what)) before.erase(content);
        before.merge(contents_of(volume));  // what the other one wrote is not to be lost either
    });
    RunOptions options;
    options.threads = threads;
    const ReceiptHead head = value(carry_out(meddled, *jobs.store, *outlook.plan, options));
    std::uint64_t items = 0;
    RC_ASSERT(jobs.store->each_item(head.id, [&](ReceiptItem&&) { ++items; }).has_value());
    RC_ASSERT(items == outlook.plan->items.size());
    (void)recover(*jobs.disk, *jobs.store);
    const auto after = contents_of(volume);
    for (const auto& content : before) {
        if (!after.contains(content)) RC_LOG() << "lost: " << content.substr(0, 60) << '\n';
        RC_ASSERT(after.contains(content));
    }
    for (const auto& entry : fs::recursive_directory_iterator(temp.path()))
        RC_ASSERT(entry.path().filename().string().find(".tavlo-part-") == std::string::npos);
    if (temp.has("elsewhere")) RC_ASSERT(fs::is_empty(temp.path("elsewhere")));
}

}  // namespace

TEST_CASE("another program may do what it likes in the middle of a run", "[fault][interference]") {
    TempFolder temp("/dev/shm");
    const Mount volume = Mount::memory(temp.path("volume"));
    NEEDS(volume)
    const bool holds = rc::check("interferences", [&] {
        Interference what;
        what.deed = *rc::gen::element(Deed::write_new, Deed::replace, Deed::append, Deed::remove,
                                      Deed::rename_away, Deed::swap_folder_for_link, Deed::folder_for_file);
        what.at_source = *rc::gen::arbitrary<bool>();
        what.path = *rc::gen::element<std::string>("new", "held", "same", "sub/new", "sub/held",
                                                   "sub/deep/new", "sub/fresh");
        what.before_call = *rc::gen::inRange(0, 110);
        const bool moves = *rc::gen::arbitrary<bool>();
        const auto decision =
            *rc::gen::element(Decision::undecided, Decision::skip, Decision::overwrite, Decision::rename);
        const auto threads = *rc::gen::element(1U, 2U);
        RC_LOG() << (moves ? "move, " : "copy, ") << to_text(decision) << ": somebody " << words(what.deed)
                 << ' ' << (what.at_source ? "from/box/" : "to/box/") << what.path << " before call "
                 << what.before_call << '\n';
        check(volume.path, what, moves, decision, threads);
    });
    CHECK(holds);
}
