#include "tasks/past_runs.h"

#include <algorithm>
#include <chrono>
#include <sstream>

#include "csv.h"
#include "files/small_file.h"
#include "keep/documents.h"
#include "keep/name_search.h"
#include "run/take_back.h"
#include "tasks/outcome_export.h"
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
    details_.post([this, receipt](const std::stop_token& stop) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        auto head = (*store)->receipt(receipt);
        if (!head) return sorry(head.error());
        const auto so_far = head->totals.items > 0 ? Result<std::pair<std::uint64_t, std::uint64_t>>() : (*store)->so_far(receipt);
        const auto rest = (*store)->some_items(receipt, rest_number, 1);
        const auto taken_back = (*store)->taken_back(receipt);
        if (!so_far || !rest || !taken_back) return sorry(!so_far ? so_far.error() : !rest ? rest.error() : taken_back.error());
        OpenedReceipt opened{
            *head, std::max({head->totals.items, so_far->first, so_far->second}), (*store)->is_alive(receipt), !rest->empty(), *taken_back,
            {}};
        if (opened.has_rest && opened.count > 0) --opened.count;
        if (!head->undoes.empty()) opened.in_safe = (*store)->safe_amount_of(receipt).value_or(SafeAmount{});
        QMetaObject::invokeMethod(
            this, [this, opened = std::move(opened)] { emit this->opened(opened); }, Qt::QueuedConnection);
        if (stop.stop_requested()) return;
        const auto lost = (*store)->not_kept(receipt);
        std::uint64_t items = 0;
        for (const auto& [names, count] : lost.value_or(std::vector<std::pair<std::string, std::uint64_t>>())) items += count;
        if (items > 0)
            QMetaObject::invokeMethod(
                this, [this, receipt, items] { emit keptLess(receipt, items); }, Qt::QueuedConnection);
    });
}

void PastRuns::fetch(const std::string& receipt, std::uint64_t first, std::uint64_t count) {
    pages_.post([this, receipt, first, count](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        auto items = (*store)->some_items(receipt, first, count);
        if (!items) return sorry(items.error());
        auto shared = std::make_shared<const std::map<std::uint64_t, ReceiptItem>>(std::move(*items));
        QMetaObject::invokeMethod(
            this, [this, receipt, first, shared] { emit fetched(receipt, first, shared); }, Qt::QueuedConnection);
    });
}

void PastRuns::findNumbers(const std::string& receipt, Outcome result) {
    numbers_.post([this, receipt, result](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        auto numbers = (*store)->numbers_with(receipt, result);
        if (!numbers) return sorry(numbers.error());
        auto shared = std::make_shared<const std::vector<std::uint64_t>>(std::move(*numbers));
        QMetaObject::invokeMethod(
            this, [this, receipt, result, shared] { emit numbersFound(receipt, result, shared); }, Qt::QueuedConnection);
    });
}

std::vector<ReceiptItem> PastRuns::firstItems(const std::string& receipt, std::uint64_t count) const {
    std::vector<ReceiptItem> first;
    if (const auto store = Store::open(state_folder_))
        if (auto items = (*store)->some_items(receipt, 0, count))
            for (auto& [number, item] : *items) first.push_back(std::move(item));
    return first;
}

void PastRuns::planUndo(const std::string& receipt, const std::vector<std::uint64_t>& only) {
    details_.post([this, receipt, only](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        const auto disk = make_disk();
        const auto held = settle_before_undo(*disk, **store, receipt);
        if (!held) return sorry(held.error());
        auto plan = prepare_undo(*disk, **store, receipt, only, held->has_value());
        if (!plan) return sorry(plan.error());
        auto shared = std::make_shared<const Plan>(std::move(*plan));
        QMetaObject::invokeMethod(
            this, [this, receipt, shared] { emit undoPlanned(receipt, shared); }, Qt::QueuedConnection);
    });
}

void PastRuns::freeRoom(const std::string& receipt) {
    frees_.post([this, receipt](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        const auto disk = make_disk();
        const auto report = [&, next = std::chrono::steady_clock::time_point{}](std::uint64_t done, std::uint64_t of) mutable {
            if (std::chrono::steady_clock::now() < next) return;
            next = std::chrono::steady_clock::now() + std::chrono::milliseconds(100);
            QMetaObject::invokeMethod(
                this, [this, receipt, done, of] { emit freeing(receipt, done, of); }, Qt::QueuedConnection);
        };
        const auto emptied = remove_proved(*disk, **store, receipt, report);
        if (!emptied) return sorry(emptied.error());
        QMetaObject::invokeMethod(
            this,
            [this, receipt, removed = emptied->removed.size(), kept = emptied->problems.size()] { emit freed(receipt, removed, kept); },
            Qt::QueuedConnection);
    });
}

namespace {

QString difference_words(Difference difference) {
    switch (difference) {
        case Difference::none: return {};
        case Difference::missing: return PastRuns::tr("no longer there");
        case Difference::bytes: return PastRuns::tr("other bytes now");
        case Difference::attributes: return PastRuns::tr("other attributes now");
        case Difference::unreadable: return PastRuns::tr("cannot be read now");
    }
    return {};
}

std::string as_csv(const std::vector<ReceiptItem>& items) {
    std::string text = "source,target,final,result,bytes,set aside,hash,error\r\n";
    for (const ReceiptItem& item : items)
        text += csv_field(item.source) + ',' + csv_field(item.target) + ',' + csv_field(item.place()) + ',' +
                std::string(to_text(item.result)) + ',' + std::to_string(item.size_bytes) + ',' + csv_field(item.set_aside) + ',' +
                csv_field(item.hash) + ',' + csv_field(item.error) + "\r\n";
    return text;
}

}  // namespace

void PastRuns::search(const QString& words) {
    searches_.post([this, words](const std::stop_token& stop) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        const auto search = NameSearch::open(state_folder_);
        if (!search) return sorry(search.error());
        if (auto followed = (*search)->follow(**store, stop); !followed) {
            if (followed.error().fault != Fault::cancelled) sorry(followed.error());
            return;
        }
        const auto hits = (*search)->find(to_bytes(words), FoundItems::most);
        if (!hits) return sorry(hits.error());
        auto by_receipt = std::make_shared<FoundItems>();
        for (const NameHit& hit : *hits) by_receipt->by_receipt[hit.receipt].push_back(hit.number);
        by_receipt->there_are_more = hits->size() == FoundItems::most;
        for (auto& [receipt, numbers] : by_receipt->by_receipt) std::sort(numbers.begin(), numbers.end());
        QMetaObject::invokeMethod(
            this, [this, words, by_receipt = std::shared_ptr<const FoundItems>(by_receipt)] { emit found(words, by_receipt); },
            Qt::QueuedConnection);
    });
}

void PastRuns::check(const std::string& receipt) {
    reads_.post([this, receipt](const std::stop_token& stop) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        const auto head = (*store)->receipt(receipt);
        if (!head) return sorry(head.error());
        const auto disk = make_disk();
        Checker checker(*disk, *head, stop);
        auto differs = std::make_shared<std::map<std::uint64_t, QString>>();
        std::uint64_t number = 0;
        auto read = (*store)->each_item(receipt, [&](ReceiptItem&& item) {
            const QString words = stop.stop_requested() ? QString() : difference_words(checker.check(item));
            if (!words.isEmpty()) differs->emplace(number, words);
            ++number;
        });
        if (!read) return sorry(read.error());
        if (stop.stop_requested()) return;
        QMetaObject::invokeMethod(
            this,
            [this, receipt, differs = std::shared_ptr<const std::map<std::uint64_t, QString>>(differs)] { emit checked(receipt, differs); },
            Qt::QueuedConnection);
    });
}

void PastRuns::exportTo(const std::string& receipt, const std::string& file) {
    reads_.post([this, receipt, file](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return sorry(store.error());
        std::string text;
        if (file.ends_with(".csv")) {
            std::vector<ReceiptItem> items;
            if (auto read = (*store)->each_item(receipt, [&](ReceiptItem&& item) { items.push_back(std::move(item)); }); !read)
                return sorry(read.error());
            text = as_csv(items);
        } else {
            const auto head = (*store)->receipt(receipt);
            if (!head) return sorry(head.error());
            if (file.ends_with(".html")) {
                const auto page = QStringLiteral("<!DOCTYPE html><meta charset=\"utf-8\">") +
                                  receipt_as_html(*head, firstItems(receipt, UINT32_MAX), SIZE_MAX);
                if (auto written = write_small_file(file, page.toStdString()); !written) return sorry(written.error());
                return tellExported(file);
            }
            std::ostringstream out;
            if (auto written = write_receipt(out, *head, **store); !written) return sorry(written.error());
            text = out.str();
        }
        if (auto written = write_small_file(file, text); !written) return sorry(written.error());
        tellExported(file);
    });
}

void PastRuns::tellExported(const std::string& file) {
    QMetaObject::invokeMethod(
        this, [this, file] { emit exported(shown(file)); }, Qt::QueuedConnection);
}
