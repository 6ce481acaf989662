#include "run/safe_folder.h"

#include <unistd.h>

#include <algorithm>

#include "files/path.h"

namespace tavlo {

std::string safe_folder_name() { return ".tavlo-safe-" + std::to_string(::geteuid()); }

SafeFolder::SafeFolder(FileSystem& disk, std::string receipt, std::vector<Identity> sources)
    : disk_(disk), receipt_(std::move(receipt)), sources_(std::move(sources)) {}

Result<Handle> SafeFolder::open_own(const Handle& in, const std::string& name) {
    if (auto made = disk_.make_folder(in, name, 0700); !made && made.error().fault != Fault::name_taken) return failure(made.error());
    auto opened = disk_.open_folder_in(in, name);
    if (!opened) return opened;
    const auto status = disk_.status(*opened);
    if (!status) return failure(status.error());
    if (status->owner != ::geteuid() || (status->mode & 077U) != 0)
        return failure(Fault::no_permission, "is not a private folder of this user", opened->path());
    return opened;
}

Result<SafeFolder::Shelf> SafeFolder::find(const Handle& near) {
    auto at = disk_.open_folder_in(near, ".");
    if (!at) return failure(at.error());
    std::vector<Handle> candidates;  // lowest first
    std::uint64_t device = 0;
    for (Identity below{};;) {
        const auto here = disk_.status(*at);
        if (!here) return failure(here.error());
        if (device == 0) device = here->id.device;
        if (here->id.device != device || here->id.same_thing(below)) break;
        below = here->id;
        // all that was seen so far lies in a source
        if (std::any_of(sources_.begin(), sources_.end(), [&](const Identity& source) { return source.same_thing(here->id); })) {
            candidates.clear();
        } else if (disk_.may_write(*at)) {
            if (auto again = disk_.open_folder_in(*at, ".")) candidates.push_back(std::move(*again));
        }
        if (here->mount_point) break;
        auto above = disk_.open_folder_in(*at, "..");
        if (!above) break;
        at = std::move(above);
    }
    Error last{Fault::no_permission, 0, "there is no folder here that could hold the Safe", near.path()};
    for (auto candidate = candidates.rbegin(); candidate != candidates.rend(); ++candidate) {
        auto safe = open_own(*candidate, safe_folder_name());
        if (!safe) {
            last = safe.error();
            continue;
        }
        auto shelf = open_own(*safe, receipt_);
        if (!shelf) return failure(shelf.error());
        auto path = disk_.real_path(*shelf);
        if (!path) return failure(path.error());
        return Shelf{std::make_shared<const Handle>(std::move(*safe)), std::make_shared<const Handle>(std::move(*shelf)), std::move(*path)};
    }
    return failure(std::move(last));
}

Result<Slot> SafeFolder::slot(const Handle& near) {
    const auto status = disk_.status(near);
    if (!status) return failure(status.error());
    auto shelf = shelves_.find(status->id.device);
    if (shelf == shelves_.end()) {
        auto found = find(near);
        if (!found) return failure(found.error());
        shelf = shelves_.emplace(status->id.device, std::move(*found)).first;
    }
    std::string number = std::to_string(next_++);
    auto made = disk_.make_folder(*shelf->second.folder, number, 0700);
    while (!made && made.error().fault == Fault::name_taken) {  // of the same run, before it was interrupted
        number = std::to_string(next_++);
        made = disk_.make_folder(*shelf->second.folder, number, 0700);
    }
    if (!made) return failure(made.error());
    auto folder = disk_.open_folder_in(*shelf->second.folder, number);
    if (!folder) return failure(folder.error());
    return Slot{shelf->second.folder, std::move(*folder), number, join(shelf->second.path, number), receipt_ + "." + number};
}

void SafeFolder::drop(FileSystem& disk, const Slot& slot) {
    // it fails where the slot holds something, and then it must stay
    (void)disk.remove_empty_folder(*slot.shelf, slot.number);
}

void SafeFolder::tidy() {
    for (const auto& [device, shelf] : shelves_) (void)disk_.remove_empty_folder(*shelf.safe, receipt_);
    shelves_.clear();
}

}  // namespace tavlo
