// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <filesystem>
#include <tuple>

#include "files/path.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

using namespace tavlo;

namespace {

/// What the Safe holds of an item, read back.
std::string set_aside_bytes(Jobs& jobs, const ReceiptItem& item) {
    const SafeEntry entry = value(jobs.store->safe_entry(item.set_aside));
    const auto folder = value(jobs.disk->open_folder(std::string(parent_of(entry.stored))));
    const auto file = value(jobs.disk->open_file(folder, std::string(name_of(entry.stored)))).file;
    std::string bytes(1000, '\0');
    bytes.resize(value(jobs.disk->read_at(file, 0, std::as_writable_bytes(std::span(bytes)))));
    return bytes;
}

/// Lets something happen right before a name is taken, once.
class Interfering final : public ForwardingFileSystem {
public:
    std::function<void()> before_taking;
    std::function<void()> before_exchange;
    std::function<void()> after_reading;

    Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
        if (f.path().find(".tavlo-safe-") == std::string::npos) once(before_taking);
        return disk->take_free_name(s, f, n);
    }
    Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                          const std::string& m) override {
        once(before_exchange);
        return disk->exchange(a, n, b, m);
    }
    Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
        auto got = disk->read_at(f, o, into);
        if (after_reading) after_reading();
        return got;
    }

private:
    static void once(std::function<void()>& work) {
        if (work) std::exchange(work, nullptr)();
    }
};

}  // namespace

SCENARIO("each decision does what it says", "[disk][collision]") {
    GIVEN("a name that is held") {
        TempFolder temp;
        temp.write("from/report.pdf", "incoming");
        temp.write("to/report.pdf", "held");
        temp.date("to/report.pdf", 1'000'000'000, 7);
        Jobs jobs(temp.path("state"));
        const Job job = copy({temp.path("from/report.pdf")}, temp.path("to"));
        const ino_t held = temp.inode("to/report.pdf");
        WHEN("it is undecided or skipped") {
            const auto decision = GENERATE(Decision::undecided, Decision::skip);
            const Ran ran = jobs.run(with(job, decision));
            THEN("nothing changes") {
                CHECK(ran.items[0].result ==
                      (decision == Decision::skip ? Outcome::skipped : Outcome::undecided));
                CHECK(temp.read("to/report.pdf") == "held");
                CHECK(temp.inode("to/report.pdf") == held);
                CHECK(value(jobs.store->safe_entries()).empty());
            }
        }
        WHEN("it is overwritten") {
            const Ran ran = jobs.run(with(job, Decision::overwrite));
            THEN("the old one is in the Safe, whole, and comes back by undo") {
                CHECK(temp.read("to/report.pdf") == "incoming");
                CHECK(set_aside_bytes(jobs, ran.items[0]) == "held");
                jobs.undo(ran.head.id);
                CHECK(temp.read("to/report.pdf") == "held");
                CHECK(temp.inode("to/report.pdf") == held);
            }
        }
        WHEN("the incoming one is renamed") {
            const Ran ran = jobs.run(with(job, Decision::rename));
            THEN("both are there") {
                CHECK(temp.read("to/report.pdf") == "held");
                CHECK(temp.read("to/report-2.pdf") == "incoming");
                CHECK(ran.items[0].final_path == temp.path("to/report-2.pdf"));
            }
        }
    }
}

TEST_CASE("same is proved by reading", "[disk][collision]") {
    TempFolder temp;
    temp.write("from/alike", "0123456789");
    temp.write("to/alike", "0123456789");
    temp.write("from/other", "0123456789");
    temp.write("to/other", "012345678X");
    for (const char* name : {"from/alike", "to/alike", "from/other", "to/other"})
        temp.date(name, 1'900'000'000);
    std::filesystem::create_hard_link(temp.path("from/alike"), temp.path("to/twice"));
    std::filesystem::create_hard_link(temp.path("from/alike"), temp.path("from/twice"));
    temp.link("from/link", "x");
    temp.link("to/link", "x");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy(
        {temp.path("from/alike"), temp.path("from/other"), temp.path("from/twice"), temp.path("from/link")},
        temp.path("to")));
    CHECK(ran.items[0].collision->finding == Finding::same);
    CHECK(ran.items[1].collision->finding == Finding::same_date);
    CHECK(ran.items[2].collision->finding == Finding::same);
    CHECK(ran.items[3].collision->finding == Finding::same);
}

TEST_CASE("twins that overwrite leave the last one, the others in the Safe, undo takes it all back",
          "[disk][collision][twin]") {
    TempFolder temp;
    temp.write("one/a", "first");
    temp.write("two/a", "second!");
    temp.write("three/a", "third");
    const bool held = GENERATE(false, true);
    if (held) temp.write("to/a", "what was there");
    temp.folder("to");
    const Tree before = tree_of(temp.path("to"));
    Jobs jobs(temp.path("state"));
    const Ran ran =
        jobs.run(with(copy({temp.path("one/a"), temp.path("two/a"), temp.path("three/a")}, temp.path("to")),
                      Decision::overwrite));
    CHECK(temp.read("to/a") == "third");
    CHECK(value(jobs.store->safe_entries()).size() == (held ? 3 : 2));
    CHECK(set_aside_bytes(jobs, ran.items[2]) == "second!");
    CHECK(set_aside_bytes(jobs, ran.items[1]) == "first");
    jobs.undo(ran.head.id);
    CHECK(tree_of(temp.path("to")) == before);
}

TEST_CASE("a folder and a file that want one name", "[disk][collision]") {
    TempFolder temp;
    temp.write("from/thing/inside", "new");
    temp.write("to/thing", "a file");
    temp.write("from2/box", "a file too");
    temp.write("to/box/old", "a folder's");
    Jobs jobs(temp.path("state"));
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    const auto operation = GENERATE(Operation::copy, Operation::move);
    Job job =
        with(copy({temp.path("from/thing"), temp.path("from2/box")}, temp.path("to")), Decision::overwrite);
    job.operation = operation;
    const Ran ran = jobs.run(job);
    CHECK(temp.read("to/thing/inside") == "new");
    CHECK(temp.read("to/box") == "a file too");
    CHECK(ran.of(Outcome::overwritten) == 2);
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == before);
    CHECK(temp.read("from/thing/inside") == "new");
}

SCENARIO("races lose nobody's bytes", "[disk][race]") {
    TempFolder temp;
    temp.write("from/a", "ours");
    Jobs jobs(temp.path("state"));
    auto hooks = std::make_unique<Interfering>();
    Interfering& disk = *hooks;
    const auto run = [&](const Job& job) {
        const Outlook outlook = value(prepare(*jobs.disk, job));
        jobs.disk = std::move(hooks);
        return jobs.carry_out(*outlook.plan);
    };
    WHEN("somebody takes the name at the last instant") {
        temp.folder("to");
        disk.before_taking = [&] { temp.write("to/a", "theirs"); };
        const Ran ran = run(copy({temp.path("from/a")}, temp.path("to")));
        THEN("it is theirs, and the item is undecided") {
            CHECK(ran.items[0].result == Outcome::undecided);
            CHECK(ran.items[0].collision->finding.has_value());
            CHECK(temp.read("to/a") == "theirs");
        }
    }
    WHEN("what was to be replaced is another one by then") {
        temp.write("to/a", "agreed on");
        disk.before_exchange = [&] {
            std::filesystem::rename(temp.write("other", "somebody's new work"), temp.path("to/a"));
        };
        const Ran ran = run(with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite));
        THEN("it is swapped back and left alone") {
            CHECK(ran.items[0].result == Outcome::undecided);
            CHECK(temp.read("to/a") == "somebody's new work");
            CHECK(value(jobs.store->safe_entries()).empty());
        }
    }
    WHEN("what was to be replaced went away") {
        temp.write("to/a", "agreed on");
        std::filesystem::remove(temp.path("to/a"));
        const Ran ran = run(with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite));
        THEN("the name is free, and taken") {
            CHECK(ran.items[0].result == Outcome::created);
            CHECK(temp.read("to/a") == "ours");
        }
    }
    WHEN("the source changes while it is read, once") {
        int reads = 0;
        disk.after_reading = [&] {
            if (++reads == 1) temp.write("from/a", "ours, longer");
        };
        const Ran ran = run(copy({temp.path("from/a")}, temp.path("to")));
        THEN("it is read again") {
            CHECK(ran.items[0].result == Outcome::created);
            CHECK(temp.read("to/a") == "ours, longer");
        }
    }
    WHEN("the source keeps changing") {
        int reads = 0;
        disk.after_reading = [&] {
            temp.write("from/a", std::string(static_cast<std::size_t>(4 + ++reads), 'x'));
        };
        const Ran ran = run(copy({temp.path("from/a")}, temp.path("to")));
        THEN("it is reported, and no half-copy is left") {
            CHECK(ran.items[0].result == Outcome::failed);
            CHECK(ran.items[0].error.find("changed while it was read") != std::string::npos);
            CHECK(tree_of(temp.path("to")).empty());
        }
    }
}

TEST_CASE("a folder that is swapped for a link does not lead a run astray", "[disk][race]") {
    TempFolder temp;
    temp.write("from/box/a", "ours");
    temp.write("to/box/there", "x");
    temp.write("elsewhere/precious", "y");
    Jobs jobs(temp.path("state"));
    const auto operation = GENERATE(Operation::copy, Operation::move);
    const bool swap_source = GENERATE(false, true);
    Job job = copy({temp.path("from/box")}, temp.path("to"));
    job.operation = operation;
    const Ran ran = jobs.run_after(job, [&] {
        const std::string victim = temp.path(swap_source ? "from/box" : "to/box");
        std::filesystem::rename(victim, temp.path("put away"));
        std::filesystem::create_directory_symlink(temp.path("elsewhere"), victim);
    });
    CHECK(ran.of(Outcome::created) == 0);
    const Outcome result = ran.item(temp.path("to/box/a")).result;
    CHECK((result == Outcome::failed || result == Outcome::undecided));
    CHECK(tree_of(temp.path("elsewhere")).size() == 1);
    CHECK(temp.read("elsewhere/precious") == "y");
}

TEST_CASE("a decision holds only for the pair it was made about", "[disk][collision]") {
    TempFolder temp;
    temp.write("from/a", "incoming");
    temp.write("to/a", "held");
    Jobs jobs(temp.path("state"));
    const bool change_source = GENERATE(false, true);
    const Ran ran =
        jobs.run_after(with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite), [&] {
            change_source ? temp.write("from/a", "incoming, newer still")
                          : temp.write("to/a", "somebody went on writing");
        });
    CHECK(ran.items[0].result == Outcome::undecided);
    CHECK(temp.read("to/a") == (change_source ? "held" : "somebody went on writing"));
}

TEST_CASE("what reading found out is remembered, until one of the two is touched", "[disk][same]") {
    class Counting final : public ForwardingFileSystem {
    public:
        Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
            ++reads;
            return disk->read_at(f, o, into);
        }
        int reads = 0;
    };
    TempFolder temp;
    temp.write("from/a", "equal");
    temp.write("to/a", "equal");
    temp.date("from/a", 1'900'000'000);
    const auto job = with(copy({temp.path("from/a")}, temp.path("to")), Decision::skip);
    const auto store = value(Store::open(temp.path("state")));
    const auto finding_after_reads = [&] {
        Counting disk;
        const Outlook outlook = value(prepare(disk, job, store.get()));
        return std::pair(*outlook.plan->items[0].collision->finding, disk.reads > 0);
    };
    CHECK(finding_after_reads() == std::pair(Finding::same, true));
    CHECK(finding_after_reads() == std::pair(Finding::same, false));
    // other bytes of the same size and date: what was remembered does not hold
    temp.write("from/a", "other");
    temp.date("from/a", 1'900'000'000);
    CHECK(finding_after_reads().second);
    CHECK(finding_after_reads().first != Finding::same);
}

TEST_CASE("a rule by finding and size: the larger one wins, and what it does not say is left to the rest",
          "[disk][collision]") {
    TempFolder temp;
    for (const auto& [name, from, to] : {std::tuple{"larger", "incoming, large", "held"},
                                         {"smaller", "in", "held, large"},
                                         {"even", "one", "two"}}) {
        temp.write(std::string("from/") + name, from);
        temp.write(std::string("to/") + name, to);
    }
    temp.write("to/larger-2", "somebody else's");
    Job job = copy({temp.path("from")}, temp.path("to"));
    job.structure.contents = true;
    for (auto& sized : job.policy.when_sized) {
        sized[static_cast<std::size_t>(SizeRelation::larger)] = Decision::overwrite;
        sized[static_cast<std::size_t>(SizeRelation::smaller)] = Decision::skip;
    }
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(job);
    CHECK(ran.item(temp.path("to/larger")).result == Outcome::overwritten);
    CHECK(ran.item(temp.path("to/smaller")).result == Outcome::skipped);
    CHECK(ran.item(temp.path("to/even")).result == Outcome::undecided);
}

TEST_CASE("a planned new name that is taken at the last instant is counted up from the one asked for",
          "[disk][collision]") {
    TempFolder temp;
    temp.write("from/report.pdf", "incoming");
    temp.write("to/report.pdf", "held");
    Jobs jobs(temp.path("state"));
    const Ran ran =
        jobs.run_after(with(copy({temp.path("from/report.pdf")}, temp.path("to")), Decision::rename),
                       [&] { temp.write("to/report-2.pdf", "somebody's"); });
    CHECK(ran.items[0].result == Outcome::renamed);
    CHECK(ran.items[0].final_path == temp.path("to/report-3.pdf"));
    CHECK(temp.read("to/report-2.pdf") == "somebody's");
}
