#include "tasks/past_runs.h"

#include "run/take_back.h"
#include "text.h"

using namespace tavlo;

void PastRuns::sorry(const Error& error) {
    QMetaObject::invokeMethod(
        this, [this, why = shown(describe(error))] { emit failed(why); }, Qt::QueuedConnection);
}

void PastRuns::list() {
    lists_.post([this](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        auto heads = (*store)->receipts();
        if (!heads) return sorry(heads.error());
        auto shared = std::make_shared<const std::vector<ReceiptHead>>(std::move(*heads));
        QMetaObject::invokeMethod(
            this, [this, shared] { emit listed(shared); }, Qt::QueuedConnection);
    });
}

void PastRuns::open(const std::string& receipt) {
    details_.post([this, receipt](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        const auto head = (*store)->receipt(receipt);
        if (!head) return sorry(head.error());
        auto items = std::make_shared<std::vector<ReceiptItem>>();
        if (auto read = (*store)->each_item(receipt, [&](ReceiptItem&& item) { items->push_back(std::move(item)); }); !read)
            return sorry(read.error());
        QMetaObject::invokeMethod(
            this, [this, head = *head, shared = std::shared_ptr<const std::vector<ReceiptItem>>(items)] { emit opened(head, shared); },
            Qt::QueuedConnection);
    });
}

void PastRuns::planUndo(const std::string& receipt) {
    details_.post([this, receipt](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        const auto disk = make_disk();
        auto plan = prepare_undo(*disk, **store, receipt);
        if (!plan) return sorry(plan.error());
        auto shared = std::make_shared<const Plan>(std::move(*plan));
        QMetaObject::invokeMethod(
            this, [this, receipt, shared] { emit undoPlanned(receipt, shared); }, Qt::QueuedConnection);
    });
}
