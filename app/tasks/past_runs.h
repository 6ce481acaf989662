#pragma once

#include <QObject>
#include <QString>
#include <memory>
#include <string>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "tasks/latest_worker.h"

/// Reads what past runs left behind, off the interface's thread.
class PastRuns final : public QObject {
    Q_OBJECT

public:
    explicit PastRuns(std::string state_folder, QObject* parent = nullptr) : QObject(parent), state_folder_(std::move(state_folder)) {}

    void list();
    void open(const std::string& receipt);
    void planUndo(const std::string& receipt);

signals:
    void listed(std::shared_ptr<const std::vector<tavlo::ReceiptHead>> heads);
    void opened(const tavlo::ReceiptHead& head, std::shared_ptr<const std::vector<tavlo::ReceiptItem>> items);
    void undoPlanned(const std::string& receipt, std::shared_ptr<const tavlo::Plan> plan);
    void failed(const QString& why);

private:
    void sorry(const tavlo::Error& error);

    std::string state_folder_;
    LatestWorker lists_;
    LatestWorker details_;
};
