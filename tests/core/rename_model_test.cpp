// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>
#include <sys/stat.h>

#include <filesystem>
#include <map>
#include <thread>

#include "files/path.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/renames.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Random names for random things in random places, interrupted or not, against a model: what is renamed has
// the name that was planned, in the folder that it was in; everything else has its own.

using namespace tavlo;

namespace {

/// A thing is known by its inode.
struct Thing {
    std::uint64_t folder = 0;
    std::string name;
    bool operator==(const Thing&) const = default;
};
using Things = std::map<std::uint64_t, Thing>;

std::ostream& operator<<(std::ostream& out, const Thing& thing) {
    return out << thing.name << " in " << thing.folder;
}

std::uint64_t inode_of(const std::string& path) {
    struct stat status {};
    RC_ASSERT(::lstat(path.c_str(), &status) == 0);
    return status.st_ino;
}

Things things_in(const std::string& top) {
    Things things;
    for (const auto& entry : std::filesystem::recursive_directory_iterator(top))
        things[inode_of(entry.path())] = {inode_of(entry.path().parent_path()), entry.path().filename()};
    return things;
}

class Dies final : public EveryCall {
public:
    explicit Dies(int left) : left_(left) {}

private:
    std::optional<Error> before_call() override {
        if (std::this_thread::get_id() == began_ && left_-- == 0)
            throw std::runtime_error("the process ends here");
        return std::nullopt;
    }
    int left_;
    const std::thread::id began_ = std::this_thread::get_id();
};

void work_until_it_ends(int left, const std::function<void(FileSystem&)>& work) {
    Dies dying(left);
    try {
        work(dying);
    } catch (const std::runtime_error&) {
    }
}

/// A tree of a few names, so that they are wanted and held often; some of it is not in hand.
std::vector<std::string> make_tree(const TempFolder& temp) {
    std::vector<std::string> all;
    const auto fill = [&](const std::string& folder, int depth, const auto& into) -> void {
        for (const char* name : {"a", "b", "c", "d"}) {
            const int kind = *rc::gen::inRange(0, 6);
            const std::string path = folder + "/" + name;
            if (kind < 3) all.push_back(temp.write(path, path));
            if (kind == 3 || (kind == 4 && depth < 2)) {
                std::filesystem::create_directories(temp.path(path));
                all.push_back(temp.path(path));
                if (depth < 2) into(path, depth + 1, into);
            }
        }
    };
    std::filesystem::create_directories(temp.path("in"));
    fill("in", 0, fill);
    return all;
}

}  // namespace

TEST_CASE(
    "whatever is renamed to whatever, and wherever it is interrupted, each thing has its old name or its new "
    "one, and an undo the old",
    "[disk][rename][model]") {
    const bool holds = rc::check("random renames", [] {
        const TempFolder temp("/dev/shm");
        const auto all = make_tree(temp);
        NewNamesByPath names;
        for (const auto& path : all)
            if (*rc::gen::inRange(0, 4) != 0)
                names[path] = *rc::gen::element<std::string>("a", "b", "c", "d", "e", "f");
        Policy policy;
        policy.otherwise = *rc::gen::element(Decision::undecided, Decision::skip, Decision::rename);
        const auto plan = plan_renames({temp.path("in")}, names, policy);
        const Things before = things_in(temp.path("in"));
        Things meant = before;
        std::uint64_t renamed = 0;
        for (const Item& item : plan->items) {
            Thing& thing = meant.at(inode_of(plan->source_path(item)));
            if (!arrives(item.outcome)) continue;
            thing.name = plan->final_name(item);
            ++renamed;
            RC_ASSERT(item.outcome != Outcome::created || thing.name == names.at(plan->source_path(item)));
            if (policy.otherwise != Decision::rename) RC_ASSERT(item.outcome == Outcome::created);
        }
        Jobs jobs(temp.path("state"));
        const bool interrupted = *rc::gen::arbitrary<bool>();
        if (interrupted) {
            work_until_it_ends(*rc::gen::inRange(0, 80),
                               [&](FileSystem& disk) { (void)carry_out(disk, *jobs.store, *plan, {}); });
            work_until_it_ends(*rc::gen::inRange(0, 40),
                               [&](FileSystem& disk) { (void)recover(disk, *jobs.store); });
            RC_ASSERT(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        } else {
            RC_ASSERT(carry_out(*jobs.disk, *jobs.store, *plan, {}).has_value());
        }
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) return;  // it ended before anything was noted
        RC_ASSERT(jobs.store
                      ->each_item(heads[0].id,
                                  [](ReceiptItem&& item) {
                                      RC_LOG()
                                          << item.source << " -> " << item.target << " at " << item.place()
                                          << ": " << to_text(item.result) << ' ' << item.error << '\n';
                                  })
                      .has_value());
        RC_ASSERT(things_in(temp.path("in")) == meant);
        const auto& totals = heads[0].totals;
        RC_ASSERT(totals.of(Outcome::created) + totals.of(Outcome::renamed) == renamed);
        if (renamed == 0) return;
        // undone, and that interrupted too
        const Plan undo = value(prepare_undo(*jobs.disk, *jobs.store, heads[0].id));
        if (interrupted) {
            work_until_it_ends(*rc::gen::inRange(0, 80),
                               [&](FileSystem& disk) { (void)carry_out(disk, *jobs.store, undo, {}); });
            work_until_it_ends(*rc::gen::inRange(0, 40),
                               [&](FileSystem& disk) { (void)recover(disk, *jobs.store); });
            RC_ASSERT(value(recover(*jobs.disk, *jobs.store)).problems.empty());
            if (value(jobs.store->receipts()).size() == 1) return;
        } else {
            RC_ASSERT(carry_out(*jobs.disk, *jobs.store, undo, {}).has_value());
        }
        RC_ASSERT(things_in(temp.path("in")) == before);
    });
    CHECK(holds);
}

TEST_CASE("a ring of folders with rings in each, ended at any call, is gone on with to its end",
          "[disk][rename]") {
    std::uint64_t interrupted = 0;
    for (int calls = 0; calls < 200; ++calls) {
        CAPTURE(calls);
        const TempFolder temp("/dev/shm");
        NewNamesByPath names;
        const std::map<std::string, std::string> ring{{"a", "b"}, {"b", "c"}, {"c", "a"}};
        for (const auto& [folder, other] : ring) {
            for (const auto& [name, next] : ring)
                names[temp.write("in/" + folder + "/" + name, folder + name)] = next;
            names[temp.path("in/" + folder)] = other;
        }
        const auto plan = plan_renames({temp.path("in")}, names, {});
        Jobs jobs(temp.path("state"));
        work_until_it_ends(calls, [&](FileSystem& disk) { (void)carry_out(disk, *jobs.store, *plan, {}); });
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;
        if (heads[0].state == RunState::interrupted) ++interrupted;
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        for (const auto& [folder, other] : ring)
            for (const auto& [name, next] : ring)
                CHECK(temp.read("in/" + other + "/" + next) == folder + name);
    }
    CHECK(interrupted > 20);
}
