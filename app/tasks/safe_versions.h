#pragma once

#include <QObject>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "tasks/latest_worker.h"

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

struct SafeListing {
    std::vector<SafeRow> rows;  ///< newest first
    std::vector<SafeRoom> rooms;
};

/// Reads what lies in the Safe, and changes it, off the interface's thread.
class SafeVersions final : public QObject {
    Q_OBJECT

public:
    explicit SafeVersions(std::string state_folder, QObject* parent = nullptr) : QObject(parent), state_folder_(std::move(state_folder)) {}

    void list();
    /// Looks at a version and at what holds its place now; seen() tells.
    void look(const tavlo::SafeEntry& entry);
    /// where_taken  see prepare_restore()
    void planRestore(const std::string& entry, const std::string& into, std::optional<tavlo::Decision> where_taken);
    void remove(const std::vector<std::string>& entries);

signals:
    void listed(std::shared_ptr<const SafeListing> listing);
    void seen(const std::string& entry, const tavlo::Status& version, std::optional<tavlo::Status> held);
    void restorePlanned(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence);
    /// The place that the version is to come back to is held.
    void placeTaken(const std::string& entry, const std::string& into, const QString& why);
    void removed(std::size_t count);
    void failed(const QString& why);

private:
    template <class Signal, class... Arguments>
    void tell(Signal signal, Arguments... arguments) {
        QMetaObject::invokeMethod(
            this, [this, signal, arguments...] { emit(this->*signal)(arguments...); }, Qt::QueuedConnection);
    }

    std::string state_folder_;
    LatestWorker lists_;
    LatestWorker looks_;
    LatestWorker changes_;
};
