// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>

#include <filesystem>
#include <map>
#include <set>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// An undo after somebody else was at work: what it does is what its plan said, and nothing of theirs is
// touched.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

enum class Meddling { change, remove, add_beside, take_old_place, tidy_source, redate };

struct Situation {
    bool moves = false;
    bool across = false;
    Decision decision = Decision::overwrite;
    std::set<std::string> from;
    std::set<std::string> to;
    std::vector<std::pair<Meddling, std::size_t>> meddled;
};

std::ostream& operator<<(std::ostream& out, const Situation& s) {
    out << (s.moves ? "move" : "copy") << (s.across ? " across " : " ") << to_text(s.decision) << "\n from";
    for (const auto& path : s.from) out << ' ' << path;
    out << "\n to";
    for (const auto& path : s.to) out << ' ' << path;
    for (const auto& [what, which] : s.meddled)
        out << "\n meddled " << static_cast<int>(what) << " at " << which;
    return out << '\n';
}

rc::Gen<std::set<std::string>> files() {
    return rc::gen::map(
        rc::gen::container<std::vector<std::string>>(
            rc::gen::element<std::string>("a", "b", "one/a", "one/b", "one/deep/a", "two/a", "two/c")),
        [](const std::vector<std::string>& all) { return std::set<std::string>(all.begin(), all.end()); });
}

/// Contents by path, of files.
std::map<std::string, std::string> contents(const TempFolder& temp, const std::string& top) {
    std::map<std::string, std::string> all;
    if (!temp.has(top)) return all;
    for (const auto& entry : fs::recursive_directory_iterator(temp.path(top)))
        if (entry.is_regular_file()) {
            const std::string below = entry.path().string().substr(temp.path().size() + 1);
            all.emplace(below, temp.read(below));
        }
    return all;
}

/// Somebody else does something to one of the items; returns the paths whose bytes are theirs by now.
std::set<std::string> meddle(const TempFolder& temp, const Ran& ran, Meddling what, std::size_t which) {
    const ReceiptItem& item = ran.items[which % ran.items.size()];
    const auto below = [&](const std::string& path) { return path.substr(temp.path().size() + 1); };
    const std::string place = item.place();
    const bool is_file = item.type == FileType::file && fs::is_regular_file(place);
    switch (what) {
        case Meddling::change:
            if (!is_file) return {};
            temp.write(below(place), "somebody else's bytes, " + std::to_string(which));
            return {below(place)};
        case Meddling::remove:
            if (is_file) fs::remove(place);
            return {};
        case Meddling::add_beside: {
            const std::string folder =
                fs::is_directory(place) ? place : fs::path(place).parent_path().string();
            if (!fs::is_directory(folder)) return {};
            const std::string path = below(folder) + "/somebody else's " + std::to_string(which);
            temp.write(path, "added " + std::to_string(which));
            return {path};
        }
        case Meddling::take_old_place:
            if (item.action != Action::move || fs::exists(item.source) ||
                !fs::is_directory(fs::path(item.source).parent_path()))
                return {};
            temp.write(below(item.source), "in the old place, " + std::to_string(which));
            return {below(item.source)};
        case Meddling::tidy_source: {
            std::error_code ignored;
            const auto folder = fs::path(item.source).parent_path();
            if (folder != temp.path("from") && fs::is_directory(folder, ignored) &&
                fs::is_empty(folder, ignored))
                fs::remove(folder, ignored);
            return {};
        }
        case Meddling::redate:
            if (is_file) temp.date(below(place), 1'000'000'000);
            return {};
    }
    return {};
}

void check(const Situation& situation) {
    const TempFolder temp("/dev/shm");
    temp.folder("from");
    temp.folder("to");
    for (const auto& path : situation.from) temp.write("from/box/" + path, "incoming " + path);
    for (const auto& path : situation.to) temp.write("to/box/" + path, "held, and longer " + path);
    RC_PRE(!situation.from.empty());
    std::optional<TempFolder> elsewhere;
    if (situation.across) elsewhere.emplace("/tmp");
    const TempFolder& there = elsewhere ? *elsewhere : temp;
    if (elsewhere)
        for (const auto& path : situation.to) there.write("to/box/" + path, "held, and longer " + path);
    Jobs jobs(temp.path("state"));
    const auto job = situation.moves ? move({temp.path("from/box")}, there.path("to"))
                                     : copy({temp.path("from/box")}, there.path("to"));
    const Ran ran = jobs.run(with(job, situation.decision));
    std::set<std::string> theirs;
    if (!elsewhere)
        for (const auto& [what, which] : situation.meddled) theirs.merge(meddle(temp, ran, what, which));
    std::map<std::string, std::string> their_bytes;
    for (const auto& path : theirs)
        if (temp.has(path)) their_bytes[path] = temp.read(path);
    const auto contents_before = contents(temp, "from");

    const Plan plan = value(prepare_undo(*jobs.disk, *jobs.store, ran.head.id));
    const Ran undone = jobs.carry_out(plan);
    RC_ASSERT(undone.of(Outcome::failed) == 0U);
    for (std::size_t outcome = 0; outcome < outcome_count; ++outcome)
        RC_ASSERT(undone.head.totals.by_outcome[outcome] == plan.totals.by_outcome[outcome]);
    for (const auto& [path, bytes] : their_bytes) RC_ASSERT(temp.read(path) == bytes);
    for (const auto& [path, bytes] : contents_before)
        RC_ASSERT(temp.read(path) == bytes);  // a source that stands is not touched
    if (situation.meddled.empty() || elsewhere) {
        RC_ASSERT(undone.of(Outcome::undecided) + undone.of(Outcome::skipped) == 0U);
        for (const auto& path : situation.to)
            RC_ASSERT(there.read("to/box/" + path) == "held, and longer " + path);
        for (const auto& path : situation.from) {
            RC_ASSERT(temp.read("from/box/" + path) == "incoming " + path);
            RC_ASSERT(situation.to.contains(path) || !there.has("to/box/" + path));
        }
    }
}

}  // namespace

TEST_CASE(
    "an undo does what its plan said, whatever somebody has done meanwhile, and touches nothing of theirs",
    "[disk][undo][model]") {
    const bool holds = rc::check("undo after others", [] {
        Situation situation;
        situation.from = *files();
        situation.to = *files();
        situation.moves = *rc::gen::arbitrary<bool>();
        situation.across = *rc::gen::element(false, false, false, true);
        situation.decision = *rc::gen::element(Decision::skip, Decision::overwrite, Decision::rename);
        situation.meddled = *rc::gen::container<std::vector<std::pair<Meddling, std::size_t>>>(
            rc::gen::pair(rc::gen::element(Meddling::change, Meddling::remove, Meddling::add_beside,
                                           Meddling::take_old_place, Meddling::tidy_source, Meddling::redate),
                          rc::gen::inRange<std::size_t>(0, 32)));
        RC_CLASSIFY(situation.meddled.empty(), "nobody was there");
        RC_LOG() << situation;
        check(situation);
    });
    CHECK(holds);
}

TEST_CASE(
    "files that an undo takes away share a few folders of the Safe, each under its own name and found by its "
    "own id",
    "[disk][undo][safe]") {
    TempFolder temp;
    constexpr int files_in_each = 30;
    for (const char* folder : {"one", "two", "three"})
        for (int number = 0; number < files_in_each; ++number)
            temp.write(std::string("from/") + folder + "/file-" + std::to_string(number),
                       folder + std::to_string(number));
    temp.write("from/one/FILE-1", "a name that a file system may fold");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from")}, temp.path("to")));
    const Ran undone = jobs.undo(ran.head.id);
    CHECK_FALSE(temp.has("to"));
    const auto entries = value(jobs.store->safe_entries());
    REQUIRE(entries.size() == 3 * files_in_each + 1);
    std::set<std::string> ids;
    std::set<std::string> slots;
    std::set<std::string> places;
    for (const SafeEntry& entry : entries) {
        ids.insert(entry.id);
        slots.insert(fs::path(entry.stored).parent_path().string());
        CHECK(places.insert(entry.stored).second);
        CHECK(fs::path(entry.stored).filename() == fs::path(entry.original).filename());
    }
    CHECK(ids.size() == entries.size());
    CHECK(slots.size() <=
          4);  // one for each folder, as their files have the same names, and one for what may be folded
    // one of many is brought back, and the rest goes with the undo of the undo
    const auto one = std::find_if(entries.begin(), entries.end(), [](const SafeEntry& entry) {
        return entry.original.ends_with("two/file-7");
    });
    REQUIRE(one != entries.end());
    const Ran back =
        jobs.carry_out(value(prepare_restore(*jobs.disk, *jobs.store, one->id, temp.path("elsewhere"))));
    CHECK(back.of(Outcome::restored) == 1);
    CHECK(temp.read("elsewhere/file-7") == "two7");
    const Ran again = jobs.undo(undone.head.id);
    CHECK(again.of(Outcome::failed) == 1);  // that one is elsewhere by now
    CHECK(temp.read("to/from/three/file-29") == "three29");
    CHECK(temp.read("to/from/one/FILE-1") == "a name that a file system may fold");
    for (const auto& slot : slots) CHECK_FALSE(fs::exists(slot));  // no empty folder is left
}
