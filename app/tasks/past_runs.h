// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>
#include <map>
#include <memory>
#include <string>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "tasks/arrivals.h"
#include "tasks/outcome_tree.h"
#include "tasks/store_worker.h"

/// What is known of a receipt before its items are read.
struct OpenedReceipt {
    tavlo::ReceiptHead head;
    std::uint64_t count = 0;  ///< of items, numbered from 0 on
    bool alive = false;       ///< some program carries it out
    bool has_rest = false;    ///< one more, for what was not counted (rest_number)
    std::vector<std::uint64_t> taken_back;
    tavlo::SafeAmount in_safe{};  ///< of an undo: what it took away, and lies in the Safe
};

/// What a search has found: the newest, where there are very many, so that it answers within a tenth of a
/// second.
struct FoundItems {
    static constexpr std::size_t most = 4'000;
    std::map<std::string, std::vector<std::uint64_t>> by_receipt;  ///< the numbers of the items, in order
    bool there_are_more = false;
};

/// Reads what past runs left behind, off the interface's thread.
class PastRuns final : public QObject {
    Q_OBJECT

public:
    explicit PastRuns(std::string state_folder, QObject* parent = nullptr)
        : QObject(parent), state_folder_(std::move(state_folder)) {}

    void list();
    void open(const std::string& receipt);
    void fetch(const std::string& receipt, std::uint64_t first, std::uint64_t count);
    /// The items that came out so; numbersFound() tells.
    void findNumbers(const std::string& receipt, tavlo::Outcome result);
    /// only  numbers of the items to take back; empty: all
    void planUndo(const std::string& receipt, const std::vector<std::uint64_t>& only);
    /// What the run brought in, and where; arrived() tells.
    void findArrivals(const std::string& receipt);
    /// The first items of a receipt; for a thread that may wait.
    std::vector<tavlo::ReceiptItem> firstItems(const std::string& receipt, std::uint64_t count) const;
    /// Which items of which runs had to do with a file or folder of this name; found() tells.
    void search(const QString& words);
    /// Reads again what a run put in place, and compares it with what its receipt says; checked() tells.
    void check(const std::string& receipt);
    /// Removes from the Safe what this undo took away, as far as its source is seen to hold the same bytes;
    /// freed() tells.
    void freeRoom(const std::string& receipt);
    /// Writes a receipt into a file: JSON (docs/contract.md) or, by its name's end, CSV (RFC 4180) or HTML.
    void exportTo(const std::string& receipt, const std::string& file);

signals:
    void found(const QString& words, std::shared_ptr<const FoundItems> items);
    /// differs  by item: how, in words
    void checked(const std::string& receipt, std::shared_ptr<const std::map<std::uint64_t, QString>> differs);
    void freeing(const std::string& receipt, std::uint64_t done, std::uint64_t of);  ///< now and then
    void freed(const std::string& receipt, std::uint64_t removed, std::uint64_t kept);
    void exported(const QString& file);
    void listed(std::shared_ptr<const std::vector<tavlo::ReceiptHead>> heads);
    void opened(const OpenedReceipt& opened);
    /// So many items could not keep all their attributes.
    void keptLess(const std::string& receipt, std::uint64_t items);
    void fetched(const std::string& receipt, std::uint64_t first,
                 std::shared_ptr<const std::map<std::uint64_t, tavlo::ReceiptItem>> items);
    void numbersFound(const std::string& receipt, tavlo::Outcome result,
                      std::shared_ptr<const std::vector<std::uint64_t>> numbers);
    void arrived(std::shared_ptr<const Arrivals> arrivals);
    void undoPlanned(const std::string& receipt, std::shared_ptr<const PlanList> undo);
    void failed(const QString& why);

private:
    template <class Work, class Then>
    void ask(StoreWorker& worker, Work work, Then then) {
        worker.ask(this, std::move(work), std::move(then),
                   [this](const tavlo::Error& error) { sorry(error); });
    }
    void sorry(const tavlo::Error& error);

    std::string state_folder_;
    StoreWorker lists_{Worker::Serves::newest, state_folder_};
    StoreWorker searches_{Worker::Serves::newest, state_folder_};
    StoreWorker checks_{Worker::Serves::newest, state_folder_};
    StoreWorker exports_{Worker::Serves::each, state_folder_};
    StoreWorker details_{Worker::Serves::newest, state_folder_};
    StoreWorker pages_{Worker::Serves::newest, state_folder_};
    StoreWorker numbers_{Worker::Serves::newest, state_folder_};
    StoreWorker arrivals_{Worker::Serves::newest, state_folder_};
    StoreWorker frees_{Worker::Serves::each, state_folder_};
};
