#include <catch2/catch.hpp>
#include <cerrno>
#include <filesystem>
#include <thread>

#include "run/recover.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/renames.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Names given up and taken in rings, where any call fails, and where the program ends before any call.

using namespace tavlo;

namespace {

struct Case {
    std::string words;
    std::vector<std::string> files;
    std::vector<std::pair<std::string, std::string>> names;
};

const std::vector<Case>& cases() {
    static const std::vector<Case> all{
        {"a ring of three files", {"a", "b", "c"}, {{"a", "b"}, {"b", "c"}, {"c", "a"}}},
        {"two folders with what is in them", {"a/1", "a/2", "b/1", "b/x/y"}, {{"a", "b"}, {"b", "a"}}},
        {"a folder and a file", {"a/inside", "b"}, {{"a", "b"}, {"b", "a"}}},
        {"folders, and what is in them too",
         {"a/1", "a/2", "b/1", "b/deep/x"},
         {{"a", "b"}, {"b", "a"}, {"a/1", "2"}, {"a/2", "1"}, {"b/deep", "shallow"}, {"b/deep/x", "y"}}},
        {"a chain", {"a", "b", "c"}, {{"a", "b"}, {"b", "c"}, {"c", "d"}}},
    };
    return all;
}

struct Scene {
    explicit Scene(const Case& given) : what(given) {
        for (const auto& file : what.files) temp.write("in/" + file, file);
        NewNamesByPath by_path;
        for (const auto& [path, name] : what.names) by_path[temp.path("in/" + path)] = name;
        plan = plan_renames({temp.path("in")}, by_path);
        for (const Item& item : plan->items) REQUIRE(item.outcome == Outcome::created);
    }
    const Case& what;
    TempFolder temp{"/dev/shm"};
    std::shared_ptr<const Plan> plan;
};

void check_no_hidden(const TempFolder& temp) {
    for (const auto& entry : std::filesystem::recursive_directory_iterator(temp.path("in")))
        CHECK(entry.path().filename().string().find(".tavlo") == std::string::npos);
}

/// What a run that nothing interferes with leaves.
Tree tree_when_done(const Case& what) {
    Scene scene(what);
    Jobs jobs(scene.temp.path("state"));
    CHECK(jobs.carry_out(*scene.plan).of(Outcome::created) == scene.plan->items.size());
    Tree names;
    for (const auto& [path, attributes] : tree_of(scene.temp.path("in"), {.folder_times = false}))
        names[path] = std::filesystem::is_directory(scene.temp.path("in/" + path)) ? "" : scene.temp.read("in/" + path);
    return names;
}

Tree names_of(const TempFolder& temp) {
    Tree names;
    for (const auto& [path, attributes] : tree_of(temp.path("in"), {.folder_times = false}))
        names[path] = std::filesystem::is_directory(temp.path("in/" + path)) ? "" : temp.read("in/" + path);
    return names;
}

}  // namespace

TEST_CASE("renames that end before any call are recovered to their end, and so is a recovery that ends so", "[fault][rename]") {
    const Case& what = cases()[GENERATE(range(std::size_t{0}, std::size_t{5}))];
    const Tree meant = tree_when_done(what);
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        Scene scene(what);
        CAPTURE(what.words, nth);
        Jobs jobs(scene.temp.path("state"));
        const auto dies = [&](const std::function<void(FileSystem&)>& work) {
            AtCall dying(nth, AtCall::dies);
            try {
                work(dying);
            } catch (const std::runtime_error&) {
            }
            return dying.was_reached();
        };
        reached = dies([&](FileSystem& disk) { (void)carry_out(disk, *jobs.store, *scene.plan, {}); });
        (void)dies([&](FileSystem& disk) { (void)recover(disk, *jobs.store); });
        const auto recovered = value(recover(*jobs.disk, *jobs.store));
        CHECK(recovered.problems.empty());
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;  // it ended before anything was noted
        CHECK(heads[0].state == RunState::done);
        CHECK(heads[0].totals.of(Outcome::created) == scene.plan->items.size());
        check_no_hidden(scene.temp);
        CHECK(names_of(scene.temp) == meant);
        REQUIRE(jobs.store->each_item(heads[0].id, [&](ReceiptItem&& item) { CHECK(std::filesystem::exists(item.place())); }));
    }
}

TEST_CASE("where any call of a rename fails, each thing has its old name or its new one, or one that its receipt tells",
          "[fault][rename]") {
    const Case& what = cases()[GENERATE(range(std::size_t{0}, std::size_t{5}))];
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        Scene scene(what);
        CAPTURE(what.words, nth);
        Jobs jobs(scene.temp.path("state"));
        const auto before = contents_of(scene.temp.path("in"));
        AtCall failing(nth, AtCall::fails);
        const auto head = value(carry_out(failing, *jobs.store, *scene.plan, {}));
        reached = failing.was_reached();
        CHECK(head.state == RunState::done);
        CHECK(contents_of(scene.temp.path("in")) == before);
        check_no_hidden(scene.temp);
        REQUIRE(jobs.store->each_item(head.id, [&](ReceiptItem&& item) {
            CAPTURE(item.source, item.target, item.final_path, to_text(item.result), item.error);
            if (arrives(item.result)) CHECK(std::filesystem::exists(item.place()));
        }));
        if (!reached) CHECK(head.totals.of(Outcome::created) == scene.plan->items.size());
    }
}
