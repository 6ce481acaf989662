// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <filesystem>

#include "keep/name_search.h"
#include "keep/store.h"

// find_names FOLDER [RECEIPTS ITEMS]: so many receipts (1,000) with so many items each (5,000), kept below
// FOLDER; then names are looked for among them. Prints how long the index took to follow, and each search.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

double ms_of(const std::function<void()>& work) {
    const auto began = std::chrono::steady_clock::now();
    work();
    return std::chrono::duration<double, std::milli>(std::chrono::steady_clock::now() - began).count();
}

template <class T>
T value(Result<T> result) {
    if (!result) {
        std::fprintf(stderr, "find_names: %s\n", describe(result.error()).c_str());
        std::exit(1);
    }
    return std::move(*result);
}

void keep_receipt(Store& store, int number, int items) {
    ReceiptHead head;
    head.started_ns = now_ns();
    head.id = "run-" + std::to_string(10'000'000 + number);
    head.destination = "/srv/office/Archive";
    head.state = RunState::done;
    if (!store.begin(head, 0, [](std::uint64_t) { return PendingItem{}; })) std::exit(1);
    RunRecords records;
    const std::string folder = "/Permits " + std::to_string(number) + "/";
    for (int item = 0; item < items; ++item) {
        ReceiptItem one;
        one.source = "/srv/office/Scanner" + folder + "permit-" + std::to_string(number * 7919 + item) +
                     "-north-quay.pdf";
        one.target = "/srv/office/Archive" + folder + "permit-" + std::to_string(number * 7919 + item) +
                     "-north-quay.pdf";
        one.result = Outcome::created;
        records.items.emplace_back(static_cast<std::uint64_t>(item), std::move(one));
    }
    if (!store.record(head.id, records) || !store.finish(head)) std::exit(1);
}

}  // namespace

int main(int count, char** words) {
    if (count < 2) {
        std::fprintf(stderr, "usage: find_names FOLDER [RECEIPTS ITEMS]\n");
        return 2;
    }
    const fs::path place = fs::path(words[1]) / "tavlo-find-names";
    const int receipts = count > 2 ? std::atoi(words[2]) : 1'000;
    const int items = count > 3 ? std::atoi(words[3]) : 5'000;
    {
        const auto store = value(Store::open(place.string()));
        for (int number = 0; number < receipts; ++number) keep_receipt(*store, number, items);
        const auto search = value(NameSearch::open(place.string()));
        std::printf("%d receipts of %d items: the index has followed after %.0f s\n", receipts, items,
                    ms_of([&] {
                        if (!search->follow(*store)) std::exit(1);
                    }) / 1000);
        std::printf("  and once it has, in %.1f ms\n", ms_of([&] { (void)search->follow(*store); }));
        for (const char* wanted : {"permit-3959500", "39595", "north-quay", "Permits 512", "nowhere"}) {
            std::size_t found = 0;
            const double took = ms_of([&] { found = value(search->find(wanted, 4'000)).size(); });
            std::printf("  \"%s\": %zu found in %.1f ms\n", wanted, found, took);
        }
    }
    fs::remove_all(place);
}
