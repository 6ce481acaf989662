// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QPointer>
#include <array>
#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "row_ranges.h"
#include "tasks/retirement.h"
#include "tasks/run_lane.h"
#include "tasks/store_worker.h"

class Runs;

/// One version in the Safe, as it is listed.
struct SafeRow {
    tavlo::SafeEntry entry;
    QString run;        ///< the sentence of the run that set it aside
    std::string safe;   ///< the Safe's folder that it lies in
    bool there = true;  ///< that folder can be reached now: its volume is mounted
};

/// How much room one Safe takes.
struct SafeRoom {
    std::string safe;
    std::uint64_t versions = 0;
    std::uint64_t bytes = 0;  ///< of files that lie in it by themselves; what is in folders is not counted
    bool there = true;
};

/// Versions that can be chosen together, as rows of the listing: those that can be reached.
struct SafeGroup {
    std::vector<std::uint32_t> rows;
    std::uint64_t versions = 0;  ///< those that cannot be reached among them
    std::uint64_t bytes = 0;     ///< of files among the rows
};

/// There may be a million versions: whatever goes through all of them is done where they are listed, not on
/// the interface's thread.
struct SafeListing {
    static constexpr std::array<int, 3> ages_in_days{365, 90, 30};
    static constexpr std::uint64_t large_bytes = std::uint64_t{100} << 20;

    std::vector<SafeRow> rows;  ///< newest first
    std::vector<SafeRoom> rooms;
    std::array<SafeGroup, ages_in_days.size()> older;
    SafeGroup large;
    SafeGroup all;
};

enum class SafeColumn { name, place, size, when, run };

/// Which versions are shown, and in which order.
struct SafeWish {
    QString words;  ///< in the place that it held; empty: all
    SafeColumn by = SafeColumn::when;
    bool descending = true;
};

/// The rows of a listing as somebody wants to see them.
struct SafeArrangement {
    std::shared_ptr<const SafeListing> listing = std::make_shared<SafeListing>();
    std::vector<std::uint32_t> order;  ///< rows of the listing
    int kept = -1;                     ///< where the version is by now that was asked about

    const SafeRow& row(int at) const { return listing->rows[order[static_cast<std::size_t>(at)]]; }
};

/// Versions that somebody thinks of removing, and what that would mean.
struct SafeChoice {
    std::vector<std::string> ids;
    std::size_t runs = 0;  ///< that could no longer be undone in full
};

/// Reads what lies in the Safe, and changes it, off the interface's thread.
class SafeVersions final : public QObject {
    Q_OBJECT

public:
    SafeVersions(std::string state_folder, Runs& runs, QObject* parent = nullptr);

    void list();
    /// arranged() tells; `keep` is the id of a version that is to be found again.
    void arrange(std::shared_ptr<const SafeListing> listing, const SafeWish& wish, const std::string& keep);
    /// Gathers what is in some rows, or in a group of that listing; chosen() tells.
    void choose(std::shared_ptr<const SafeArrangement> arrangement, RowRanges rows);
    void choose(std::shared_ptr<const SafeListing> listing, const SafeGroup& group);
    /// Looks at a version and at what holds its place now; seen() tells.
    void look(const tavlo::SafeEntry& entry);
    /// where_taken  see prepare_restore()
    void planRestore(const std::string& entry, const std::string& into,
                     std::optional<tavlo::Decision> where_taken);
    /// In a lane of its own, where it can be paused and stopped.
    void remove(std::shared_ptr<const SafeChoice> choice);

signals:
    void listed(std::shared_ptr<const SafeListing> listing);
    void arranged(std::shared_ptr<const SafeArrangement> arrangement);
    void chosen(std::shared_ptr<const SafeChoice> choice);
    void seen(const std::string& entry, const tavlo::Status& version, std::optional<tavlo::Status> held);
    void restorePlanned(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence);
    /// The place that the version is to come back to is held.
    void placeTaken(const std::string& entry, const std::string& into, const QString& why);
    /// So many of those have gone; now and then.
    void removing(std::uint64_t done, std::uint64_t of);
    void removed(std::size_t count);
    void failed(const QString& why);

private:
    template <class Work, class Then>
    void ask(StoreWorker& worker, Work work, Then then) {
        worker.ask(this, std::move(work), std::move(then),
                   [this](const tavlo::Error& error) { sorry(error); });
    }
    void sorry(const tavlo::Error& error);
    /// rows_of  calls back with each row that is chosen; on another thread
    void collect(std::function<void(const std::function<void(const SafeRow&)>& take)> rows_of);

    std::string state_folder_;
    Runs& runs_;
    QPointer<RunLane> removing_;
    Retirement retired_;
    StoreWorker lists_{Worker::Serves::newest, state_folder_};
    StoreWorker looks_{Worker::Serves::newest, state_folder_};
    StoreWorker changes_{Worker::Serves::each, state_folder_};
    LatestWorker orders_;
    LatestWorker choices_;
};
