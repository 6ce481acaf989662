// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/past_run.h"

#include <unistd.h>

#include "files/contents.h"
#include "files/path.h"

namespace tavlo {

namespace {

std::vector<std::string> with(std::vector<std::string> roots, const std::vector<std::string>& more) {
    roots.insert(roots.end(), more.begin(), more.end());
    return roots;
}

}  // namespace

PastRun::PastRun(FileSystem& disk, Store& store, ReceiptHead of, const std::vector<VolumeRecord>& volumes,
                 std::vector<std::string> shelves)
    : disk_(disk),
      store_(store),
      volumes_(disk, volumes),
      shelves_(std::move(shelves)),
      look_(disk, with(of.roots, shelves_)),
      slots_(disk, store) {
    head = std::move(of);
    user = ::geteuid();
    group = ::getegid();
    now_ns = tavlo::now_ns();
}

Result<std::unique_ptr<PastRun>> PastRun::read(FileSystem& disk, Store& store, ReceiptHead head) {
    const auto volumes = store.volumes(head.id);
    if (!volumes) return failure(volumes.error());
    auto shelves = store.shelves_of(head.id);
    if (!shelves) return failure(shelves.error());
    auto folders = store.folders(head.id);
    if (!folders) return failure(folders.error());
    std::unique_ptr<PastRun> run(new PastRun(disk, store, std::move(head), *volumes, std::move(*shelves)));
    run->folders = std::move(*folders);
    for (FolderTrace& trace : run->folders) run->volumes_.bring_up_to_date(trace.id);
    return run;
}

Result<void> PastRun::choose(const std::vector<std::uint64_t>& only) {
    const auto taken_back = store_.taken_back(head.id);
    if (!taken_back) return failure(taken_back.error());
    some = !only.empty();
    if (!some) {
        if (taken_back->empty()) return {};
        const auto count = store_.so_far(head.id);
        if (!count) return failure(count.error());
        chosen.assign(std::max<std::size_t>(count->first, taken_back->back() + 1), true);
        for (const auto number : *taken_back) chosen[number] = false;
        return {};
    }
    std::vector<ReceiptItem> items;
    auto read =
        store_.each_settled(head.id, Store::Order::forwards, [&](std::uint64_t number, ReceiptItem&& item) {
            items.resize(number);
            items.push_back(std::move(item));
        });
    if (read) chosen = tavlo::choose(items, only, *taken_back);
    return read;
}

void PastRun::each(Store::Order order, const std::function<void(std::uint64_t, const ReceiptItem&)>& take) {
    auto read = store_.each_settled(head.id, order, [&](std::uint64_t number, ReceiptItem&& item) {
        volumes_.bring_up_to_date(item);
        take(number, item);
    });
    if (!read && trouble_) trouble_ = std::move(read);
}

std::optional<UndoBasis::Seen> PastRun::look(const std::string& path) {
    const auto status = look_.status(path);
    if (!status) return std::nullopt;
    Seen seen{*status};
    if (status->type == FileType::link)
        if (auto points_at = look_.read_link(path)) seen.points_at = std::move(*points_at);
    return seen;
}

/// The bytes, by the hash of the run, or by the source where that stands; nullopt where neither can tell.
std::optional<bool> PastRun::holds_the_same(const ReceiptItem& item) {
    const auto place = look_.open_file(item.place());
    if (!place) return true;  // the run will say what is wrong with it
    if (!item.hash.empty()) {
        const auto hash = hash_of(disk_, place->file, Meter{});
        return hash ? std::optional(*hash == item.hash) : std::nullopt;
    }
    if (item.action != Action::copy) return std::nullopt;
    const auto source = look_.open_file(item.source);
    const bool stands = source && source->status.id.size_bytes == item.size_bytes &&
                        source->status.id.modified_ns == item.modified_ns;
    if (!stands) return std::nullopt;
    const auto equal = same_bytes(disk_, source->file, place->file, Meter{});
    return equal ? std::optional(*equal) : std::nullopt;
}

/// Size and date alone do not tell that a thing is as the run left it: somebody may have put the date back.
/// Where its status has changed since, the bytes must tell.
bool PastRun::is_changed(const ReceiptItem& item, const Status& now) {
    if (looked_at_) looked_at_(++looked_, head.totals.items);
    if (!arrives(item.result) || item.type != FileType::file || item.after_status_changed_ns == 0)
        return false;
    if (now.status_changed_ns == item.after_status_changed_ns && (now.id.inodes_last() || item.hash.empty()))
        return false;
    if (const auto same = holds_the_same(item)) return !*same;
    // another name of the same file changes its status too, and that is no change of the file
    return now.links <= 1 && now.id.inodes_last() && item.linked_source.inode == 0 &&
           !was_left_so_by_later_run(now);
}

/// A later run has had it in hand, and this is how that left it: as after two renames of which the second was
/// undone.
bool PastRun::was_left_so_by_later_run(const Status& now) {
    if (!left_later_) {
        left_later_.emplace();
        const auto heads = store_.receipts();  // newest first
        for (const ReceiptHead& later : heads.value_or(std::vector<ReceiptHead>{})) {
            if (later.id == head.id) break;
            const auto take = [&](std::uint64_t, ReceiptItem&& item) {
                if (arrives(item.result) && item.type == FileType::file)
                    left_later_->emplace(item.after.inode, item.after_status_changed_ns);
            };
            if (auto read = store_.each_settled(later.id, Store::Order::forwards, take); !read && trouble_)
                trouble_ = std::move(read);
        }
    }
    return left_later_->contains({now.id.inode, now.status_changed_ns});
}

std::optional<Attributes> PastRun::attributes(const std::string& path) {
    auto read = look_.folder_attributes(path);
    return read ? std::optional(std::move(*read)) : std::nullopt;
}

std::optional<std::size_t> PastRun::names_in(const std::string& path) {
    const auto names = look_.list(path);
    return names ? std::optional(names->size()) : std::nullopt;
}

std::optional<SafeEntry> PastRun::version(const std::string& id) {
    auto noted = store_.safe_entry(id);
    if (!noted && noted.error().fault != Fault::not_found && trouble_) trouble_ = failure(noted.error());
    if (!noted) return std::nullopt;
    const SafeEntry entry = slots_.now(std::move(*noted));
    // something else lies there, or on a volume that is not there: it is as if it were gone
    if (const auto slot = slots_.open(entry); !slot && slot.error().fault != Fault::not_found)
        return std::nullopt;
    return entry;
}

std::vector<SafeEntry> PastRun::folder_versions() {
    std::vector<SafeEntry> found;
    auto read = store_.each_safe_entry_of(head.id, [&](SafeEntry&& entry) {
        if (entry.type == FileType::folder) found.push_back(slots_.now(std::move(entry)));
    });
    if (!read && trouble_) trouble_ = std::move(read);
    return found;
}

}  // namespace tavlo
