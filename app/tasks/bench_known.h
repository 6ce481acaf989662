#pragma once

// Inside tasks/ only: the bench's own.

#include <algorithm>
#include <memory>
#include <mutex>
#include <optional>
#include <set>
#include <string>
#include <utility>
#include <vector>

#include "files/path.h"
#include "keep/store.h"
#include "tasks/bench.h"

/// What the worker keeps from one plan to the next.
struct Bench::Known {
    std::unique_ptr<tavlo::FileSystem> disk = tavlo::make_disk();
    std::shared_ptr<const tavlo::Batch> batch;
    std::shared_ptr<const std::vector<PickedRow>> rows;
    tavlo::KnownContents contents;
    std::string state_folder;
    std::string saved_instruction;          ///< as it is in its file
    std::optional<tavlo::Outlook> outlook;  ///< the last one, planned again while its places stay the same
    std::shared_ptr<const tavlo::Batch> planned_batch;
    tavlo::Job planned;
    tavlo::TypedNames planned_typed;
    BenchView shown;  ///< the last one with a plan, and what it was planned by
    tavlo::Wishes shown_wishes;
    std::unique_ptr<tavlo::Store> store;                                ///< opened when pairs are to be compared; null where it cannot be
    std::vector<std::pair<std::string, std::set<std::string>>> picked;  ///< in the order that the folders were picked from
    bool saved = true;                                                  ///< what is picked is in its file

    std::mutex mutex;  ///< of what both threads touch
    std::vector<Change> changes;
    std::vector<BenchView> retired;  ///< views that are no longer shown: large, so they are taken down on this side

    Names sources() {
        std::vector<Change> news;
        std::vector<BenchView> old;
        {
            const std::scoped_lock lock(mutex);
            news.swap(changes);
            old.swap(retired);
        }
        for (Change& change : news) {
            auto folder = std::find_if(picked.begin(), picked.end(), [&](const auto& known) { return known.first == change.folder; });
            if (folder == picked.end()) folder = picked.insert(picked.end(), {change.folder, {}});
            for (const std::string& name : *change.names) {
                if (change.in)
                    folder->second.insert(name);
                else
                    folder->second.erase(name);
            }
            if (folder->second.empty()) picked.erase(folder);
            saved = false;
        }
        Names paths;
        for (const auto& [folder, names] : picked)
            for (const auto& name : names) paths.push_back(tavlo::join(folder, name));
        return paths;
    }
};
