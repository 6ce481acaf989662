#include "tasks/safe_versions.h"

#include <algorithm>
#include <map>

#include "files/path.h"
#include "run/safe_folder.h"
#include "run/take_back.h"
#include "run/volumes.h"
#include "text.h"

using namespace tavlo;

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

void SafeVersions::remove(const std::vector<std::string>& entries) {
    changes_.post([this, entries](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return tell(&SafeVersions::failed, shown(describe(store.error())));
        const auto disk = make_disk();
        const auto emptied = remove_versions(*disk, **store, entries);
        if (!emptied) return tell(&SafeVersions::failed, shown(describe(emptied.error())));
        if (!emptied->problems.empty()) tell(&SafeVersions::failed, shown(describe(emptied->problems.front())));
        tell(&SafeVersions::removed, emptied->removed.size());
    });
}
