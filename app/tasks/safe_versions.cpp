// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/safe_versions.h"

#include <algorithm>
#include <chrono>
#include <map>
#include <unordered_set>

#include "error_words.h"
#include "files/natural.h"
#include "files/path.h"
#include "run/safe_folder.h"
#include "run/volumes.h"
#include "select/name_filter.h"
#include "tasks/runs.h"
#include "text.h"
#include "undo/take_back.h"

using namespace tavlo;

namespace {

constexpr std::int64_t day_ns = 86'400'000'000'000;
constexpr std::chrono::milliseconds between_reports{100};

void group(SafeListing& listing, std::int64_t now_ns) {
    const auto add = [&](SafeGroup& group, std::uint32_t at) {
        const SafeRow& row = listing.rows[at];
        ++group.versions;
        if (!row.there) return;
        group.rows.push_back(at);
        if (row.entry.type == FileType::file) group.bytes += row.entry.identity.size_bytes;
    };
    for (std::uint32_t at = 0; at < listing.rows.size(); ++at) {
        const SafeEntry& entry = listing.rows[at].entry;
        for (std::size_t age = 0; age < SafeListing::ages_in_days.size(); ++age)
            if (entry.set_aside_ns < now_ns - SafeListing::ages_in_days[age] * day_ns)
                add(listing.older[age], at);
        if (entry.type == FileType::file && entry.identity.size_bytes > SafeListing::large_bytes)
            add(listing.large, at);
        add(listing.all, at);
    }
}

bool comes_before(const SafeEntry& a, const SafeEntry& b, SafeColumn by) {
    switch (by) {
        case SafeColumn::name: return natural_less(name_of(a.original), name_of(b.original));
        case SafeColumn::place: return natural_less(a.original, b.original);
        case SafeColumn::size: return a.identity.size_bytes < b.identity.size_bytes;
        case SafeColumn::run: return a.receipt < b.receipt;
        case SafeColumn::when: return a.set_aside_ns < b.set_aside_ns;
    }
    return false;
}

using Listed = std::shared_ptr<const SafeListing>;

Result<Listed> list_safes(Store& store) {
    auto entries = store.safe_entries();
    if (!entries) return failure(entries.error());
    const auto heads = store.receipts();
    if (!heads) return failure(heads.error());
    std::map<std::string, QString> sentences;
    for (const ReceiptHead& head : *heads)
        sentences.emplace(head.id,
                          head.sentence.empty() ? QString::fromStdString(head.id) : shown(head.sentence));
    const auto disk = make_disk();
    auto listing = std::make_shared<SafeListing>();
    std::map<std::string, SafeRoom> rooms;
    for (SafeEntry& entry : *entries) {
        // SAFE/RECEIPT/NUMBER/NAME
        const std::string safe(parent_of(parent_of(parent_of(entry.stored))));
        const auto [room, fresh] = rooms.try_emplace(safe);
        if (fresh) {
            room->second.safe = safe;
            room->second.there = disk->open_folder(safe).has_value();
        }
        ++room->second.versions;
        if (entry.type == FileType::file) room->second.bytes += entry.identity.size_bytes;
        const QString run = sentences[entry.receipt];
        listing->rows.push_back({std::move(entry), run, safe, room->second.there});
    }
    for (auto& [path, room] : rooms) listing->rooms.push_back(std::move(room));
    group(*listing, now_ns());
    return listing;
}

struct Seen {
    Status version;
    std::optional<Status> held;
};

Result<Seen> look_at(Store& store, const SafeEntry& entry) {
    const auto disk = make_disk();
    const auto slot = open_slot(*disk, entry_now(*disk, store, entry));
    if (!slot) return failure(slot.error());
    const auto version = disk->status(*slot, std::string(name_of(entry.stored)));
    if (!version) return failure(version.error());
    const auto folder = disk->open_folder(std::string(parent_of(entry.original)));
    const auto held = folder ? disk->status(*folder, std::string(name_of(entry.original)))
                             : Result<Status>(failure(folder.error()));
    return Seen{*version, held ? std::optional(*held) : std::nullopt};
}

}  // namespace

void SafeVersions::sorry(const Error& error) { emit failed(error_words(error)); }

SafeVersions::SafeVersions(std::string state_folder, Runs& runs, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)), runs_(runs) {
    connect(&runs_, &Runs::progressed, this, [this] {
        if (removing_ && removing_->isLive())
            emit removing(removing_->status().done.items, removing_->status().all.items);
    });
}

void SafeVersions::list() {
    ask(
        lists_, [](Store& store, const std::stop_token&) { return list_safes(store); },
        [this](const Listed& listing) { emit listed(listing); });
}

void SafeVersions::look(const SafeEntry& entry) {
    ask(
        looks_, [entry](Store& store, const std::stop_token&) { return look_at(store, entry); },
        [this, id = entry.id](const Seen& found) { emit seen(id, found.version, found.held); });
}

void SafeVersions::planRestore(const std::string& entry, const std::string& into,
                               std::optional<Decision> where_taken) {
    struct Planned {
        std::shared_ptr<const Plan> plan{};  ///< null where the place is held
        QString taken{};
    };
    const auto prepare = [entry, into, where_taken](Store& store, const std::stop_token&) -> Result<Planned> {
        auto plan = prepare_restore(*make_disk(), store, entry, into, where_taken);
        if (plan) return Planned{std::make_shared<const Plan>(std::move(*plan))};
        if (plan.error().fault != Fault::name_taken) return failure(plan.error());
        return Planned{nullptr, error_words(plan.error())};
    };
    ask(changes_, prepare, [this, entry, into](const Planned& planned) {
        if (!planned.plan) return emit placeTaken(entry, into, planned.taken);
        const QString place = shown(planned.plan->final_path(planned.plan->items.front()));
        emit restorePlanned(planned.plan, tr("Bring back %1.").arg(place));
    });
}

void SafeVersions::arrange(std::shared_ptr<const SafeListing> listing, const SafeWish& wish,
                           const std::string& keep) {
    using Arranged = std::shared_ptr<const SafeArrangement>;
    const auto put_in_order = [listing = std::move(listing), wish, keep](const std::stop_token&) -> Arranged {
        auto arrangement = std::make_shared<SafeArrangement>();
        arrangement->listing = listing;
        const NameFilter wanted(to_bytes(wish.words));
        auto& order = arrangement->order;
        for (std::uint32_t at = 0; at < listing->rows.size(); ++at)
            if (wanted.empty() || wanted.fits(listing->rows[at].entry.original)) order.push_back(at);
        std::stable_sort(order.begin(), order.end(), [&](std::uint32_t one, std::uint32_t other) {
            if (wish.descending) std::swap(one, other);
            return comes_before(listing->rows[one].entry, listing->rows[other].entry, wish.by);
        });
        const auto kept = std::find_if(order.begin(), order.end(),
                                       [&](std::uint32_t at) { return listing->rows[at].entry.id == keep; });
        if (kept != order.end()) arrangement->kept = static_cast<int>(kept - order.begin());
        return arrangement;
    };
    orders_.ask(this, put_in_order, [this](const Arranged& arrangement) { emit arranged(arrangement); });
}

void SafeVersions::choose(std::shared_ptr<const SafeArrangement> arrangement, RowRanges rows) {
    collect([arrangement = std::move(arrangement), rows = std::move(rows)](const auto& take) {
        rows.each([&](int row) { take(arrangement->row(row)); });
    });
}

void SafeVersions::choose(std::shared_ptr<const SafeListing> listing, const SafeGroup& group) {
    collect([listing = std::move(listing), &group](const auto& take) {
        for (const std::uint32_t row : group.rows) take(listing->rows[row]);
    });
}

void SafeVersions::collect(std::function<void(const std::function<void(const SafeRow&)>& take)> rows_of) {
    using Chosen = std::shared_ptr<const SafeChoice>;
    const auto gather = [rows_of = std::move(rows_of)](const std::stop_token&) -> Chosen {
        auto choice = std::make_shared<SafeChoice>();
        std::unordered_set<std::string_view> runs;
        rows_of([&](const SafeRow& row) {
            choice->ids.push_back(row.entry.id);
            runs.insert(row.entry.receipt);
        });
        choice->runs = runs.size();
        return choice;
    };
    choices_.ask(this, gather, [this](const Chosen& choice) { emit chosen(choice); });
}

void SafeVersions::remove(std::shared_ptr<const SafeChoice> choice) {
    const auto count = static_cast<int>(choice->ids.size());
    removing_ = &runs_.removeForGood({choice, &choice->ids},
                                     tr("Remove %Ln versions from the Safe for good", nullptr, count),
                                     [here = QPointer(this), choice](const RunEnd& end) mutable {
                                         if (!here) return;
                                         // the names of a million that went are not for the interface's thread to let go of
                                         here->retired_.take(std::move(choice));
                                         if (end.head)
                                             emit here->removed(end.head->totals.of(Outcome::removed));
                                         if (!end.why.isEmpty())
                                             emit here->failed(end.why);  // last: it is what stays to be read
                                     });
}
