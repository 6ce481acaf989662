#include "job/removal.h"

#include <algorithm>

#include "files/ancestors.h"
#include "files/own.h"
#include "files/path.h"

namespace tavlo {

namespace {

/// The folders that must stay, and all that they lie in, as things; of a folder that is not there, those above it.
std::vector<Identity> kept_things(FileSystem& disk, const std::vector<std::string>& kept) {
    std::vector<Identity> things;
    for (const auto& path : kept) {
        if (path.empty()) continue;
        std::string at = path;
        auto handle = disk.open_folder(at);
        for (; !handle && at != "/"; handle = disk.open_folder(at)) at = std::string(parent_of(at));
        if (!handle) continue;
        if (const auto above = ancestors(disk, std::move(*handle))) things.insert(things.end(), above->begin(), above->end());
    }
    return things;
}

class Guard {
public:
    Guard(FileSystem& disk, const Batch& batch, const std::vector<std::string>& kept)
        : disk_(disk), batch_(batch), folders_(disk, batch.folders), kept_(kept_things(disk, kept)) {}

    /// Why a folder may not go with all that is in it, in words; empty where it may.
    std::string objection(const Entry& entry) {
        if (entry.status.type != FileType::folder) return {};
        if (entry.status.mount_point) return "is a mount of another file system, and stays";
        const auto is_it = [&](const Identity& one) { return one.same_thing(entry.status.id); };
        if (std::any_of(kept_.begin(), kept_.end(), is_it)) return "is, or holds, the home folder or Tavlo's own records, and stays";
        const auto around = folders_.open(entry.folder);
        const auto inside = around ? disk_.open_folder_in(**around, entry.name) : Result<Handle>(failure(around.error()));
        if (!inside) return {};  // whoever may not look into it may rename it all the same
        const auto mounts = disk_.mounts_below(*inside);
        if (mounts && !mounts->empty()) return "holds a mount of another file system, and stays";
        const bool holds_safe = disk_.status(*inside, safe_folder_name()) && is_own(disk_, *inside, safe_folder_name());
        return holds_safe ? "holds versions that were set aside, and stays" : "";
    }

private:
    FileSystem& disk_;
    const Batch& batch_;
    FolderHandles folders_;
    std::vector<Identity> kept_;
};

}  // namespace

Result<Outlook> look_at_removal(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch, const KnownContents& known) {
    const Job& job = asked.job;
    const auto meant = [&](EntryId id) {
        const Entry& entry = batch->entries[id];
        if (job.what.chooses_files()) return entry.status.type != FileType::folder;
        return job.structure.contents ? !batch->is_named(entry) : true;
    };
    Outlook seen;
    seen.layout = std::make_shared<const Layout>(lay_out_leaving(*batch, meant));
    seen.survey = std::make_shared<const Survey>(Survey{std::vector<Destination>(1)});
    seen.destination = {seen.survey, &seen.survey->roots.front()};
    Guard guard(disk, *batch, asked.kept);
    for (const Arrival& arrival : seen.layout->arrivals) {
        const Entry& entry = batch->entries[arrival.entry];
        if (auto why = guard.objection(entry); !why.empty())
            seen.refusals.push_back({Fault::refused, 0, std::move(why), batch->source_path(entry)});
    }
    seen.plan = std::make_shared<const Plan>(make_plan(wishes_of(asked), batch, *seen.layout, *seen.survey, known));
    seen.batch = std::move(batch);
    return seen;
}

}  // namespace tavlo
