// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/past_runs.h"

#include <algorithm>
#include <chrono>
#include <sstream>

#include "archive/archive_files.h"
#include "csv.h"
#include "error_words.h"
#include "files/path.h"
#include "files/small_file.h"
#include "keep/documents.h"
#include "keep/name_search.h"
#include "tasks/outcome_export.h"
#include "text.h"
#include "undo/check.h"
#include "undo/take_back.h"
#include "wording.h"

using namespace tavlo;

namespace {

Result<OpenedReceipt> opened_receipt(Store& store, const std::string& receipt) {
    auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    const auto so_far =
        head->totals.items > 0 ? Result<std::pair<std::uint64_t, std::uint64_t>>() : store.so_far(receipt);
    const auto rest = store.some_items(receipt, rest_number, 1);
    const auto taken_back = store.taken_back(receipt);
    if (!so_far || !rest || !taken_back)
        return failure(!so_far ? so_far.error() : !rest ? rest.error() : taken_back.error());
    const auto count = std::max({head->totals.items, so_far->first, so_far->second});
    OpenedReceipt opened{std::move(*head), count, store.is_alive(receipt), !rest->empty(), *taken_back, {}};
    if (opened.has_rest && opened.count > 0) --opened.count;
    if (!opened.head.undoes.empty()) opened.in_safe = store.safe_amount_of(receipt).value_or(SafeAmount{});
    return opened;
}

}  // namespace

void PastRuns::sorry(const Error& error) { emit failed(error_words(error)); }

void PastRuns::list() {
    ask(
        lists_, [](Store& store, const std::stop_token&) { return store.receipts(); },
        [this](std::vector<ReceiptHead> heads) {
            emit listed(std::make_shared<const std::vector<ReceiptHead>>(std::move(heads)));
        });
}

void PastRuns::open(const std::string& receipt) {
    const auto read = [this, receipt](Store& store, const std::stop_token& stop) -> Result<std::uint64_t> {
        auto found = opened_receipt(store, receipt);
        if (!found) return failure(found.error());
        later(this, [this, found = std::move(*found)] { emit opened(found); });
        std::uint64_t items = 0;
        if (stop.stop_requested()) return items;
        const auto lost = store.not_kept(receipt);  // which takes longer
        for (const auto& [names, count] : lost.value_or(std::vector<std::pair<std::string, std::uint64_t>>()))
            items += count;
        return items;
    };
    ask(details_, read, [this, receipt](std::uint64_t items) {
        if (items > 0) emit keptLess(receipt, items);
    });
}

void PastRuns::fetch(const std::string& receipt, std::uint64_t first, std::uint64_t count) {
    using Items = std::map<std::uint64_t, ReceiptItem>;
    ask(
        pages_, [=](Store& store, const std::stop_token&) { return store.some_items(receipt, first, count); },
        [this, receipt, first](Items items) {
            emit fetched(receipt, first, std::make_shared<const Items>(std::move(items)));
        });
}

void PastRuns::findNumbers(const std::string& receipt, Outcome result) {
    using Numbers = std::vector<std::uint64_t>;
    ask(
        numbers_, [=](Store& store, const std::stop_token&) { return store.numbers_with(receipt, result); },
        [this, receipt, result](Numbers found) {
            emit numbersFound(receipt, result, std::make_shared<const Numbers>(std::move(found)));
        });
}

void PastRuns::findArrivals(const std::string& receipt) {
    using Found = std::shared_ptr<const Arrivals>;
    const auto find = [receipt](Store& store, const std::stop_token&) -> Result<Found> {
        const auto head = store.receipt(receipt);
        if (!head) return failure(head.error());
        auto arrivals = std::make_shared<Arrivals>();
        arrivals->sentence = receipt_title(*head);
        arrivals->folder = head->destination;
        auto read = store.each_item(receipt, [&](ReceiptItem&& item) {
            std::string place = item.place();
            if (!arrives(item.result) || item.action == Action::pack) return;
            if (arrivals->folder.empty()) arrivals->folder = std::string(parent_of(place));
            ++arrivals->count;
            for (; !arrivals->places.contains(place) && is_within(place, arrivals->folder);
                 place = std::string(parent_of(place)))
                arrivals->places.insert(place);
        });
        if (!read) return failure(read.error());
        return arrivals;
    };
    ask(arrivals_, find, [this](const Found& found) { emit arrived(found); });
}

std::vector<ReceiptItem> PastRuns::firstItems(const std::string& receipt, std::uint64_t count) const {
    std::vector<ReceiptItem> first;
    if (const auto store = Store::open(state_folder_))
        if (auto items = (*store)->some_items(receipt, 0, count))
            for (auto& [number, item] : *items) first.push_back(std::move(item));
    return first;
}

void PastRuns::planUndo(const std::string& receipt, const std::vector<std::uint64_t>& only) {
    using Planned = std::shared_ptr<const PlanList>;
    const auto plan = [receipt, only](Store& store, const std::stop_token&) -> Result<Planned> {
        const auto disk = make_disk_with_archives();
        const auto held = settle_before_undo(*disk, store, receipt);
        if (!held) return failure(held.error());
        auto planned = prepare_undo(*disk, store, receipt, only, held->has_value());
        if (!planned) return failure(planned.error());
        auto list = std::make_shared<PlanList>();
        list->plan = std::make_shared<const Plan>(std::move(*planned));
        list->rows = rows_of(*list->plan);
        list->single_rows = are_single(list->rows, false);
        return Planned(std::move(list));
    };
    ask(details_, plan, [this, receipt](const Planned& planned) { emit undoPlanned(receipt, planned); });
}

void PastRuns::freeRoom(const std::string& receipt) {
    using Counts = std::pair<std::size_t, std::size_t>;
    const auto remove = [this, receipt](Store& store, const std::stop_token&) -> Result<Counts> {
        const auto report = [&, next = std::chrono::steady_clock::time_point{}](std::uint64_t done,
                                                                                std::uint64_t of) mutable {
            if (std::chrono::steady_clock::now() < next) return;
            next = std::chrono::steady_clock::now() + std::chrono::milliseconds(100);
            later(this, [this, receipt, done, of] { emit freeing(receipt, done, of); });
        };
        const auto emptied = remove_proved(*make_disk_with_archives(), store, receipt, report);
        if (!emptied) return failure(emptied.error());
        return std::pair(emptied->removed.size(), emptied->problems.size());  // a million names stay here
    };
    ask(frees_, remove,
        [this, receipt](const auto& counts) { emit freed(receipt, counts.first, counts.second); });
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
                std::string(to_text(item.result)) + ',' + std::to_string(item.size_bytes) + ',' +
                csv_field(item.set_aside) + ',' + csv_field(item.hash) + ',' + csv_field(item.error) + "\r\n";
    return text;
}

std::string as_html_page(const ReceiptHead& head, const std::vector<ReceiptItem>& items) {
    return (QStringLiteral("<!DOCTYPE html><meta charset=\"utf-8\">") +
            receipt_as_html(head, items, SIZE_MAX))
        .toStdString();
}

/// A receipt as a file holds it, by its name's end.
Result<std::string> as_file(Store& store, const std::string& receipt, const std::string& file) {
    const auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (!file.ends_with(".csv") && !file.ends_with(".html")) {
        std::ostringstream out;
        if (auto written = write_receipt(out, *head, store); !written) return failure(written.error());
        return out.str();
    }
    std::vector<ReceiptItem> items;
    if (auto read = store.each_item(receipt, [&](ReceiptItem&& item) { items.push_back(std::move(item)); });
        !read)
        return failure(read.error());
    return file.ends_with(".csv") ? as_csv(items) : as_html_page(*head, items);
}

}  // namespace

void PastRuns::search(const QString& words) {
    using Found = std::shared_ptr<const FoundItems>;
    const auto find = [folder = state_folder_, words](Store& store,
                                                      const std::stop_token& stop) -> Result<Found> {
        const auto search = NameSearch::open(folder);
        if (!search) return failure(search.error());
        if (auto followed = (*search)->follow(store, stop); !followed) return failure(followed.error());
        const auto hits = (*search)->find(to_bytes(words), FoundItems::most);
        if (!hits) return failure(hits.error());
        auto by_receipt = std::make_shared<FoundItems>();
        for (const NameHit& hit : *hits) by_receipt->by_receipt[hit.receipt].push_back(hit.number);
        by_receipt->there_are_more = hits->size() == FoundItems::most;
        for (auto& [receipt, numbers] : by_receipt->by_receipt) std::sort(numbers.begin(), numbers.end());
        return by_receipt;
    };
    ask(searches_, find, [this, words](const Found& items) { emit found(words, items); });
}

void PastRuns::check(const std::string& receipt) {
    using DifferencesByItem = std::map<std::uint64_t, QString>;
    const auto compare = [receipt](Store& store, const std::stop_token& stop) -> Result<DifferencesByItem> {
        const auto head = store.receipt(receipt);
        if (!head) return failure(head.error());
        const auto disk = make_disk_with_archives();
        Checker checker(*disk, *head, stop);
        DifferencesByItem differs;
        std::uint64_t number = 0;
        auto read = store.each_item(receipt, [&](ReceiptItem&& item) {
            const QString words = stop.stop_requested() ? QString() : difference_words(checker.check(item));
            if (!words.isEmpty()) differs.emplace(number, words);
            ++number;
        });
        if (!read) return failure(read.error());
        return differs;
    };
    ask(checks_, compare, [this, receipt](DifferencesByItem differs) {
        emit checked(receipt, std::make_shared<const DifferencesByItem>(std::move(differs)));
    });
}

void PastRuns::exportTo(const std::string& receipt, const std::string& file) {
    const auto write = [receipt, file](Store& store, const std::stop_token&) -> Result<std::string> {
        const auto text = as_file(store, receipt, file);
        if (!text) return failure(text.error());
        if (auto written = write_small_file(file, *text); !written) return failure(written.error());
        return file;
    };
    ask(exports_, write, [this](const std::string& written) { emit exported(shown(written)); });
}
