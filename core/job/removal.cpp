// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/removal.h"

#include <algorithm>
#include <unordered_map>

#include "files/ancestors.h"
#include "files/own.h"
#include "files/path.h"
#include "run/trash.h"

namespace tavlo {

namespace {

/// The folders that must stay, and all that they lie in, as things; of a folder that is not there, those
/// above it.
std::vector<Identity> kept_things(FileSystem& disk, const std::vector<std::string>& kept) {
    std::vector<Identity> things;
    for (const auto& path : kept) {
        if (path.empty()) continue;
        std::string at = path;
        auto handle = disk.open_folder(at);
        for (; !handle && at != "/"; handle = disk.open_folder(at)) at = std::string(parent_of(at));
        if (!handle) continue;
        if (const auto above = ancestors(disk, std::move(*handle)))
            things.insert(things.end(), above->begin(), above->end());
    }
    return things;
}

class Guard {
public:
    Guard(FileSystem& disk, const Batch& batch, const std::vector<std::string>& kept, Shelf shelf)
        : disk_(disk),
          batch_(batch),
          folders_(disk, batch.folders),
          kept_(kept_things(disk, kept)),
          shelf_(shelf),
          trash_(disk, {}, 0) {}

    /// Why a folder may not go with all that is in it, in words; empty where it may.
    std::string objection(const Entry& entry) {
        if (shelf_ == Shelf::trash)
            if (auto why = trash_near(entry.folder).objection(entry); !why.empty()) return why;
        if (entry.status.type != FileType::folder) return {};
        if (entry.status.mount_point) return "is a mount of another file system, and stays";
        const auto is_it = [&](const Identity& one) { return one.same_thing(entry.status.id); };
        if (std::any_of(kept_.begin(), kept_.end(), is_it))
            return "is, or holds, the home folder or Tavlo's own records, and stays";
        const auto around = folders_.open(entry.folder);
        const auto inside =
            around ? disk_.open_folder_in(**around, entry.name) : Result<Handle>(failure(around.error()));
        if (!inside) return {};  // whoever may not look into it may rename it all the same
        const auto mounts = disk_.mounts_below(*inside);
        if (mounts && !mounts->empty()) return "holds a mount of another file system, and stays";
        const bool holds_safe =
            disk_.status(*inside, safe_folder_name()) && is_own(disk_, *inside, safe_folder_name());
        return holds_safe ? "holds versions that were set aside, and stays" : "";
    }

    /// Where nothing that lies in the folder of a thing can go to a trash: why not.
    std::shared_ptr<const Error> has_no_trash(const Entry& entry) {
        return shelf_ == Shelf::trash ? trash_near(entry.folder).missing : nullptr;
    }

private:
    struct TrashNear {
        std::string folder{};  ///< links resolved
        std::vector<std::string> places{};
        std::shared_ptr<const Error> missing{};

        std::string objection(const Entry& entry) const {
            const std::string path = join(folder, entry.name);
            for (const auto& place : places) {
                if (is_within(place, path)) return "is, or holds, the trash, and stays";
                if (is_within(path, place)) return "lies in the trash already";
            }
            return {};
        }
    };

    const TrashNear& trash_near(FolderId folder) {
        const auto [found, fresh] = trashes_.try_emplace(folder);
        TrashNear& near = found->second;
        const auto open = fresh ? folders_.open(folder)
                                : Result<std::shared_ptr<const Handle>>(failure(Fault::not_found, "", ""));
        if (!open) return near;
        near.folder = disk_.real_path(**open).value_or(batch_.folders.path(folder));
        near.places = trash_.places_for(**open);
        if (auto possible = trash_.possible(**open); !possible)
            near.missing = std::make_shared<const Error>(possible.error());
        return near;
    }

    FileSystem& disk_;
    const Batch& batch_;
    FolderHandles folders_;
    std::vector<Identity> kept_;
    Shelf shelf_;
    Trash trash_;
    std::unordered_map<FolderId, TrashNear> trashes_;
};

}  // namespace

Result<Outlook> look_at_removal(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch,
                                const KnownContents& known) {
    const Job& job = asked.job;
    const auto meant = [&](EntryId id) {
        const Entry& entry = batch->entries[id];
        if (job.structure.contents && batch->is_named(entry)) return false;
        if (job.what.chooses_folders()) return entry.picked;
        if (job.what.chooses_files()) return entry.status.type != FileType::folder;
        return true;
    };
    Outlook seen;
    auto layout = std::make_shared<Layout>(lay_out_leaving(*batch, meant));
    seen.survey = std::make_shared<const Survey>(Survey{std::vector<Destination>(1)});
    seen.destination = {seen.survey, &seen.survey->roots.front()};
    Guard guard(disk, *batch, asked.kept, job.shelf);
    for (std::uint32_t at = 0; at < layout->arrivals.size(); ++at) {
        const Entry& entry = batch->entries[layout->arrivals[at].entry];
        if (auto none = guard.has_no_trash(entry)) layout->problems.emplace(at, std::move(none));
        if (auto why = guard.objection(entry); !why.empty())
            seen.refusals.push_back({Fault::refused, 0, std::move(why), batch->source_path(entry)});
    }
    seen.layout = std::move(layout);
    seen.plan =
        std::make_shared<const Plan>(make_plan(wishes_of(asked), batch, *seen.layout, *seen.survey, known));
    seen.batch = std::move(batch);
    return seen;
}

}  // namespace tavlo
