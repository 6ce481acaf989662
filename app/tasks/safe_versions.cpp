#include "tasks/safe_versions.h"

#include <algorithm>
#include <chrono>
#include <map>
#include <unordered_set>

#include "files/natural.h"
#include "files/path.h"
#include "run/safe_folder.h"
#include "run/take_back.h"
#include "run/volumes.h"
#include "select/name_filter.h"
#include "text.h"

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
            if (entry.set_aside_ns < now_ns - SafeListing::ages_in_days[age] * day_ns) add(listing.older[age], at);
        if (entry.type == FileType::file && entry.identity.size_bytes > SafeListing::large_bytes) add(listing.large, at);
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

}  // namespace

void SafeVersions::list() {
    lists_.post([this](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return tell(&SafeVersions::failed, shown(describe(store.error())));
        auto entries = (*store)->safe_entries();
        const auto heads = (*store)->receipts();
        if (!entries || !heads) return tell(&SafeVersions::failed, shown(describe(entries ? heads.error() : entries.error())));
        std::map<std::string, QString> sentences;
        for (const ReceiptHead& head : *heads)
            sentences.emplace(head.id, head.sentence.empty() ? QString::fromStdString(head.id) : shown(head.sentence));
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
        tell(&SafeVersions::listed, std::shared_ptr<const SafeListing>(listing));
    });
}

void SafeVersions::look(const SafeEntry& entry) {
    looks_.post([this, entry](const std::stop_token&) {
        const auto disk = make_disk();
        const auto status_of = [&](const std::string& path) -> Result<Status> {
            const auto folder = disk->open_folder(std::string(parent_of(path)));
            if (!folder) return failure(folder.error());
            return disk->status(*folder, std::string(name_of(path)));
        };
        const auto store = Store::open(state_folder_);
        if (!store) return tell(&SafeVersions::failed, shown(describe(store.error())));
        const auto slot = open_slot(*disk, entry_now(*disk, **store, entry));
        const auto version = slot ? disk->status(*slot, std::string(name_of(entry.stored))) : Result<Status>(failure(slot.error()));
        if (!version) return tell(&SafeVersions::failed, shown(describe(version.error())));
        const auto held = status_of(entry.original);
        tell(&SafeVersions::seen, entry.id, *version, held ? std::optional(*held) : std::nullopt);
    });
}

void SafeVersions::planRestore(const std::string& entry, const std::string& into, std::optional<Decision> where_taken) {
    changes_.post([this, entry, into, where_taken](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return tell(&SafeVersions::failed, shown(describe(store.error())));
        const auto disk = make_disk();
        auto plan = prepare_restore(*disk, **store, entry, into, where_taken);
        if (!plan && plan.error().fault == Fault::name_taken)
            return tell(&SafeVersions::placeTaken, entry, into, shown(describe(plan.error())));
        if (!plan) return tell(&SafeVersions::failed, shown(describe(plan.error())));
        const QString place = shown(plan->final_path(plan->items.front()));
        tell(&SafeVersions::restorePlanned, std::make_shared<const Plan>(std::move(*plan)), tr("Bring back %1.").arg(place));
    });
}

void SafeVersions::arrange(std::shared_ptr<const SafeListing> listing, const SafeWish& wish, const std::string& keep) {
    orders_.post([this, listing = std::move(listing), wish, keep](const std::stop_token& stop) {
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
        if (stop.stop_requested()) return;  // another wish has come
        const auto kept = std::find_if(order.begin(), order.end(), [&](std::uint32_t at) { return listing->rows[at].entry.id == keep; });
        if (kept != order.end()) arrangement->kept = static_cast<int>(kept - order.begin());
        tell(&SafeVersions::arranged, std::shared_ptr<const SafeArrangement>(arrangement));
    });
}

void SafeVersions::choose(std::shared_ptr<const SafeListing> listing, std::vector<std::uint32_t> rows) {
    choices_.post([this, listing = std::move(listing), rows = std::move(rows)](const std::stop_token&) {
        auto choice = std::make_shared<SafeChoice>();
        std::unordered_set<std::string_view> runs;
        for (const std::uint32_t at : rows) {
            choice->ids.push_back(listing->rows[at].entry.id);
            runs.insert(listing->rows[at].entry.receipt);
        }
        choice->runs = runs.size();
        tell(&SafeVersions::chosen, std::shared_ptr<const SafeChoice>(choice));
    });
}

void SafeVersions::remove(std::shared_ptr<const SafeChoice> choice) {
    changes_.post([this, choice = std::move(choice)](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return tell(&SafeVersions::failed, shown(describe(store.error())));
        const auto disk = make_disk();
        const auto report = [&, next = std::chrono::steady_clock::time_point{}](std::uint64_t done, std::uint64_t of) mutable {
            if (std::chrono::steady_clock::now() < next) return;
            next = std::chrono::steady_clock::now() + between_reports;
            tell(&SafeVersions::removing, done, of);
        };
        const auto emptied = remove_versions(*disk, **store, choice->ids, report);
        if (!emptied) return tell(&SafeVersions::failed, shown(describe(emptied.error())));
        if (!emptied->problems.empty()) tell(&SafeVersions::failed, shown(describe(emptied->problems.front())));
        tell(&SafeVersions::removed, emptied->removed.size());
    });
}
