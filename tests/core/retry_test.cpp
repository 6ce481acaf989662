// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/retry.h"

#include <filesystem>

#include "job/document.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// What failed is tried again under the same receipt, or left; chosen items of a receipt are taken back.

using namespace tavlo;

namespace {

/// Refuses to read files of some name, as a disk does that has gone bad there.
class Refusing : public ForwardingFileSystem {
public:
    Result<tavlo::OpenedFile> open_file(const Handle& folder, const std::string& name) override {
        if (name.starts_with("bad")) return failure(Fault::io, "read", folder.path() + "/" + name);
        return disk->open_file(folder, name);
    }
    Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) override {
        if (name.starts_with("bad") || name == "closed")
            return failure(Fault::io, "rename", from.path() + "/" + name);
        return disk->move_to_free_name(from, name, to, new_name);
    }
    Result<void> make_folder(const Handle& folder, const std::string& name, std::uint32_t mode) override {
        if (name == "closed")
            return failure(Fault::no_permission, "make the folder", folder.path() + "/" + name);
        return disk->make_folder(folder, name, mode);
    }
};

struct Failed {
    explicit Failed(bool moves) : jobs(temp.path("state")) {
        temp.write("from/box/bad", "b");
        temp.write("from/box/bad-over", "incoming");
        temp.write("from/box/good", "g");
        temp.write("from/box/closed/deep/inside", "i");
        temp.write("to/box/bad-over", "held");
        from = tree_of(temp.path("from"), {.folder_times = false});
        to = tree_of(temp.path("to"), {.folder_times = false});
        const auto job = with(moves ? move({temp.path("from/box")}, temp.path("to"))
                                    : copy({temp.path("from/box")}, temp.path("to")),
                              Decision::overwrite);
        const auto plan = value(prepare(*jobs.disk, job)).plan;
        Refusing refusing;
        head = value(carry_out(refusing, *jobs.store, *plan, {}));
    }
    std::uint64_t number_of(const std::string& source) const {
        std::uint64_t found = 0;
        std::uint64_t number = 0;
        REQUIRE(jobs.store->each_item(head.id, [&](ReceiptItem&& item) {
            if (item.source == temp.path("from/box/" + source)) found = number;
            ++number;
        }));
        return found;
    }
    ReceiptHead again(const std::vector<std::uint64_t>& only = {}) {
        const Again found = value(failed_again(*jobs.disk, *jobs.store, head.id, only));
        CHECK(found.not_possible.empty());
        return value(carry_on_settled(*jobs.disk, *jobs.store, head.id, found.settlement));
    }

    TempFolder temp;
    Jobs jobs;
    Tree from;
    Tree to;
    ReceiptHead head;
};

}  // namespace

TEST_CASE("all that failed is tried again under the same receipt, and one undo takes all of it back",
          "[disk][retry]") {
    const bool moves = GENERATE(false, true);
    Failed failed(moves);
    REQUIRE(failed.head.totals.of(Outcome::failed) == 5);
    const auto head = failed.again();
    CHECK(head.id == failed.head.id);
    CHECK(head.state == RunState::done);
    CHECK(head.totals.of(Outcome::failed) == 0);
    CHECK(head.totals.items == failed.head.totals.items);
    CHECK(failed.temp.read("to/box/bad-over") == "incoming");
    CHECK(failed.temp.read("to/box/closed/deep/inside") == "i");
    CHECK(failed.temp.has("from/box") == !moves);
    const Ran undone = failed.jobs.undo(head.id);
    CHECK(undone.of(Outcome::undecided) + undone.of(Outcome::failed) == 0);
    CHECK(tree_of(failed.temp.path("from"), {.folder_times = false}) == failed.from);
    CHECK(tree_of(failed.temp.path("to"), {.folder_times = false}) == failed.to);
}

TEST_CASE("one that failed is tried again with the folders it lies in, the others stay failed or are left",
          "[disk][retry]") {
    Failed failed(false);
    auto head = failed.again({failed.number_of("closed/deep/inside")});
    CHECK(head.totals.of(Outcome::failed) == 2);
    CHECK(failed.temp.read("to/box/closed/deep/inside") == "i");
    head = value(leave_failed(*failed.jobs.store, head.id, {failed.number_of("bad")}));
    CHECK(head.totals.of(Outcome::failed) == 1);
    CHECK(head.totals.of(Outcome::skipped) == 1);
    const auto left = value(failed.jobs.store->some_items(head.id, failed.number_of("bad"), 1));
    CHECK(left.begin()->second.error == "read");
    CHECK_FALSE(failed.temp.has("to/box/bad"));
}

TEST_CASE(
    "trying again takes no name that something else holds by now, and no decision beyond what it was about",
    "[disk][retry]") {
    Failed failed(false);
    failed.temp.write("to/box/bad", "somebody else's");
    failed.temp.write("to/box/bad-over", "held, and a day's work");
    std::filesystem::remove_all(failed.temp.path("from/box/closed/deep"));
    const Again again = value(failed_again(*failed.jobs.disk, *failed.jobs.store, failed.head.id, {}));
    CHECK(again.not_possible.size() == 2);
    const auto head =
        value(carry_on_settled(*failed.jobs.disk, *failed.jobs.store, failed.head.id, again.settlement));
    CHECK(head.totals.of(Outcome::undecided) == 2);
    CHECK(head.totals.of(Outcome::failed) == 2);  // they are no longer there
    CHECK(failed.temp.read("to/box/bad") == "somebody else's");
    CHECK(failed.temp.read("to/box/bad-over") == "held, and a day's work");
}

TEST_CASE("trying again makes new names by the scheme that was chosen, and gives none of them to two",
          "[disk][retry]") {
    TempFolder temp;
    for (const char* name : {"bad.txt", "bad2.txt"}) {
        temp.write(std::string("from/") + name, "incoming");
        temp.write(std::string("to/") + name, "held");
    }
    temp.write("to/copy of bad2.txt", "somebody's");
    Job job = with(copy({temp.path("from/bad.txt"), temp.path("from/bad2.txt")}, temp.path("to")),
                   Decision::rename);
    job.policy.new_names = {NewNames::Scheme::pattern, "copy of {name}{ext}"};
    Jobs jobs(temp.path("state"));
    Refusing refusing;
    const auto plan = value(prepare(*jobs.disk, job)).plan;
    const auto failed = value(carry_out(refusing, *jobs.store, *plan, {.job = to_json(job)}));
    REQUIRE(failed.totals.of(Outcome::failed) == 2);
    const Again again = value(failed_again(*jobs.disk, *jobs.store, failed.id, {}));
    CHECK(value(carry_on_settled(*jobs.disk, *jobs.store, failed.id, again.settlement))
              .totals.of(Outcome::renamed) == 2);
    CHECK(temp.read("to/copy of bad.txt") == "incoming");
    CHECK(temp.read("to/copy of bad2.txt") == "somebody's");
    CHECK(temp.read("to/copy of bad2-2.txt") == "incoming");
}

TEST_CASE("chosen items are taken back, what hangs on them too, and the rest later", "[disk][undo]") {
    const bool moves = GENERATE(false, true);
    TempFolder temp;
    for (const char* name : {"a", "b", "sub/c", "sub/d", "sub/deeper/e"})
        temp.write(std::string("from/box/") + name, name);
    temp.write("to/box/b", "held");
    Jobs jobs(temp.path("state"));
    const Tree from = tree_of(temp.path("from"), {.folder_times = false});
    const Tree to = tree_of(temp.path("to"), {.folder_times = false});
    const auto job = moves ? move({temp.path("from/box")}, temp.path("to"))
                           : copy({temp.path("from/box")}, temp.path("to"));
    const Ran ran = jobs.run(with(job, Decision::overwrite));
    const auto number_of = [&](const std::string& name) {
        for (std::uint64_t number = 0; number < ran.items.size(); ++number)
            if (ran.items[number].source == temp.path("from/box/" + name)) return number;
        FAIL(name);
        return std::uint64_t{0};
    };
    const auto take_back = [&](const std::vector<std::uint64_t>& only) {
        return jobs.carry_out(value(prepare_undo(*jobs.disk, *jobs.store, ran.head.id, only)));
    };
    const Ran one = take_back({number_of("b"), number_of("sub/d")});
    CHECK(one.of(Outcome::undecided) + one.of(Outcome::failed) == 0);
    CHECK(temp.read("to/box/b") == "held");
    CHECK(temp.read("from/box/b") == "b");
    CHECK(temp.read("from/box/sub/d") == "sub/d");
    CHECK_FALSE(temp.has("to/box/sub/d"));
    CHECK(temp.read("to/box/sub/c") == "sub/c");
    CHECK(temp.read("to/box/a") == "a");
    CHECK(value(jobs.store->receipt(ran.head.id)).undone_by.empty());
    CHECK(value(jobs.store->taken_back(ran.head.id)).size() == 2);
    const Ran folder = take_back({number_of("sub")});
    CHECK(folder.of(Outcome::undecided) + folder.of(Outcome::failed) == 0);
    CHECK_FALSE(temp.has("to/box/sub"));
    CHECK(temp.read("from/box/sub/deeper/e") == "sub/deeper/e");
    const Ran rest = take_back({});
    CHECK(rest.of(Outcome::undecided) + rest.of(Outcome::failed) == 0);
    CHECK(value(jobs.store->receipt(ran.head.id)).undone_by == rest.head.id);
    CHECK_FALSE(prepare_undo(*jobs.disk, *jobs.store, ran.head.id, {number_of("a")}));
    CHECK(tree_of(temp.path("from"), {.folder_times = false}) == from);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == to);
}

TEST_CASE("old receipts are forgotten, but not those that the Safe still hangs on, or that have not ended",
          "[store]") {
    TempFolder temp;
    temp.write("from/a", "a");
    temp.write("from/b", "b");
    temp.write("to/b", "held");
    Jobs jobs(temp.path("state"));
    const Ran plain = jobs.run(copy({temp.path("from/a")}, temp.path("to")));
    const Ran replaced = jobs.run(with(copy({temp.path("from/b")}, temp.path("to")), Decision::overwrite));
    CHECK(value(jobs.store->forget_receipts(plain.head.started_ns)) == 0);
    CHECK(value(jobs.store->forget_receipts(now_ns())) == 1);
    CHECK_FALSE(jobs.store->receipt(plain.head.id));
    CHECK(jobs.store->receipt(replaced.head.id));
    CHECK(jobs.undo(replaced.head.id).of(Outcome::restored) == 1);
}
