#pragma once

#include <QObject>
#include <QString>
#include <map>
#include <memory>
#include <string>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "tasks/latest_worker.h"

using FoundItems = std::map<std::string, std::vector<std::uint64_t>>;

/// Reads what past runs left behind, off the interface's thread.
class PastRuns final : public QObject {
    Q_OBJECT

public:
    explicit PastRuns(std::string state_folder, QObject* parent = nullptr) : QObject(parent), state_folder_(std::move(state_folder)) {}

    void list();
    void open(const std::string& receipt);
    void planUndo(const std::string& receipt);
    /// Which items of which runs had to do with a file or folder of this name; found() tells.
    void search(const QString& words);
    /// Reads again what a run put in place, and compares it with what its receipt says; checked() tells.
    void check(const std::string& receipt);
    /// Writes a receipt into a file: JSON (docs/contract.md) or, by its name's end, CSV (RFC 4180).
    void exportTo(const std::string& receipt, const std::string& file);

signals:
    /// by receipt: the numbers of its items, in order
    void found(const QString& words, std::shared_ptr<const FoundItems> items);
    /// differs  by item: how, in words
    void checked(const std::string& receipt, std::shared_ptr<const std::map<std::uint64_t, QString>> differs);
    void exported(const QString& file);
    void listed(std::shared_ptr<const std::vector<tavlo::ReceiptHead>> heads);
    void opened(const tavlo::ReceiptHead& head, std::shared_ptr<const std::vector<tavlo::ReceiptItem>> items);
    void undoPlanned(const std::string& receipt, std::shared_ptr<const tavlo::Plan> plan);
    void failed(const QString& why);

private:
    void sorry(const tavlo::Error& error);

    std::string state_folder_;
    LatestWorker lists_;
    LatestWorker searches_;
    LatestWorker reads_;
    LatestWorker details_;
};
