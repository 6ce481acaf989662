// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "batch/gather.h"

#include <algorithm>
#include <cstdlib>
#include <set>
#include <unordered_map>

#include "archive/archive_files.h"
#include "batch/folder_reader.h"
#include "files/ancestors.h"
#include "files/own.h"
#include "files/path.h"

namespace tavlo {

std::string Batch::source_path(const Entry& entry) const { return folders.path_of(entry.folder, entry.name); }

namespace {

constexpr std::uint64_t progress_step = 1024;
constexpr std::size_t least_room = 256;  // entries

class Gatherer {
public:
    Gatherer(FileSystem& disk, GatherOptions options)
        : disk_(disk),
          options_(std::move(options)),
          handles_(disk, batch_.folders),
          reader_(disk, handles_) {}

    /// at  of the sources: the one that is taken now
    Result<void> take(const std::vector<std::string>& sources, std::size_t at) {
        std::string path = sources[at];
        bool through_link = options_.follow_links;
        if (path.size() > 1 && path.back() == '/') {
            path.pop_back();
            through_link = true;
        }
        if (path == "/") return failure(Fault::refused, "a whole file system cannot be taken", path);
        const EntryId parent = named_above(path);
        const FolderId folder = parent == no_entry ? root(std::string(parent_of(path)))
                                                   : node_at(std::string(parent_of(path)), parent);
        const auto handle = handles_.open(folder);
        if (!handle) return failure(handle.error());
        const std::string name(name_of(path));
        const auto status = disk_.status(**handle, name);
        if (!status) return failure(status.error());
        if (options_.archives) return take_archive(path, *status);
        reader_.come_to(name);
        if (status->type == FileType::folder) expect(*handle, folder, sources, at + 1);
        const EntryId entry = add(folder, parent, name, *status, through_link, true);
        if (auto& problem = batch_.entries[entry].problem()) return failure(*problem);
        return check_readable(batch_.entries[entry]);
    }

    /// Reads on below what was taken, until there are so many entries in all. returns whether that was all
    Result<bool> walk_to(std::size_t entries) {
        while (!levels_.empty() && batch_.entries.size() < entries)
            if (auto walked = walk(); !walked) return failure(walked.error());
        return levels_.empty();
    }

    const Batch& batch() const { return batch_; }

    Batch finish() && { return std::move(batch_); }

private:
    /// After a folder others are likely: those of the next sources that lie where it does.
    void expect(const std::shared_ptr<const Handle>& around, FolderId folder,
                const std::vector<std::string>& sources, std::size_t next) {
        const bool reads_folders = !options_.depth || *options_.depth > 0;
        if (!reads_folders || is_packed(batch_.folders.identity(folder))) return;
        const std::string path = batch_.folders.path(folder);
        for (expected_ = std::max(expected_, next); expected_ < sources.size() && reader_.may_expect();
             ++expected_) {
            const std::string& source = sources[expected_];
            if (parent_of(source) != path || source.back() == '/') return;
            reader_.expect(around, std::string(name_of(source)));
        }
    }

    /// The named folder that a source lies in, where sources alone are taken.
    EntryId named_above(const std::string& path) const {
        if (named_folders_.empty()) return no_entry;
        for (std::string at(parent_of(path)); at != "/"; at = std::string(parent_of(at)))
            if (const auto found = named_folders_.find(at); found != named_folders_.end())
                return found->second;
        return no_entry;
    }

    /// A folder in a named one, or that itself, by its path.
    FolderId node_at(const std::string& path, EntryId named) {
        if (path == batch_.source_path(batch_.entries[named])) return batch_.entries[named].inside;
        const auto known = roots_.find(path);
        if (known != roots_.end()) return known->second;
        const FolderId node =
            batch_.folders.add(node_at(std::string(parent_of(path)), named), std::string(name_of(path)));
        roots_.emplace(path, node);
        return node;
    }

    FolderId root(std::string path) {
        if (const auto found = roots_.find(path); found != roots_.end()) return found->second;
        const FolderId id = batch_.folders.add_root(path);
        if (const auto handle = handles_.open(id)) {
            if (const auto status = disk_.status(**handle)) batch_.folders.set_identity(id, status->id);
            if (const auto volume = disk_.volume(**handle))
                batch_.time_step_ns = std::max(batch_.time_step_ns, volume->time_step_ns);
            if (auto again = disk_.open_folder(path))
                if (const auto above = ancestors(disk_, std::move(*again)))
                    for (const Identity& one : *above)
                        if (above_.emplace(one.device, one.inode).second) batch_.above.push_back(one);
        }
        roots_.emplace(std::move(path), id);
        return id;
    }

    /// What is in an archive: below the folder that all of it lies in, if there is one, else below the
    /// archive itself.
    Result<void> take_archive(const std::string& source, const Status& status) {
        std::string path = source;
        if (status.type == FileType::link) {
            const std::unique_ptr<char, decltype(&std::free)> resolved(::realpath(path.c_str(), nullptr),
                                                                       &std::free);
            if (!resolved) return failure(Fault::not_found, "is a link that leads nowhere", path);
            path = resolved.get();
        }
        const auto opened = status.type == FileType::folder
                                ? failure(Fault::refused, "is a folder, and no archive", path)
                                : disk_.open_folder(path);
        if (!opened) return failure(opened.error());
        const auto inside = disk_.status(*opened);
        if (!inside) return failure(inside.error());
        const FolderId node = root(path);
        if (const std::string name = standing_for(disk_, *opened); !name.empty()) {
            const auto standing = disk_.status(*opened, name);
            if (!standing) return failure(standing.error());
            add(node, no_entry, name, *standing, false, true);
            return {};
        }
        Entry entry;
        entry.folder = root(std::string(parent_of(path)));
        entry.inside = node;
        entry.name = std::string(name_of(path));
        entry.status = *inside;
        entry.archive = true;
        const auto id = static_cast<EntryId>(batch_.entries.size());
        batch_.entries.push_back(std::move(entry));
        enter(id, batch_.entries[id].name);
        return {};
    }

    /// A source that may not be read is refused before anything is touched; special files are never opened.
    Result<void> check_readable(const Entry& entry) {
        if (entry.status.type != FileType::file || options_.depth == 0U) return {};
        const Place place = batch_.place_of(entry);
        const auto folder = handles_.open(place.folder);
        if (!folder) return failure(folder.error());
        const auto file = disk_.open_file(**folder, place.name);
        if (!file) return failure(file.error());
        return {};
    }

    EntryId add(FolderId folder, EntryId parent, const std::string& name, const Status& status,
                bool through_link, bool named) {
        Entry entry;
        entry.folder = folder;
        entry.parent = parent;
        entry.name = std::string(plain_name(name));
        if (entry.name.size() != name.size()) entry.extras.make().real = Place{folder, name};
        entry.status = status;
        if (status.type == FileType::link) {
            const auto handle = handles_.open(folder);
            auto points_at =
                handle ? disk_.read_link(**handle, name) : Result<std::string>(failure(handle.error()));
            if (!points_at)
                entry.extras.make().problem = std::make_shared<const Error>(points_at.error());
            else
                entry.extras.make().points_at = std::move(*points_at);
            if (through_link) follow(entry);
        }
        if (status.mount_point && !named)
            entry.extras.make().problem = std::make_shared<const Error>(
                Error{Fault::refused, 0, "is a mount of another file system, which is not crossed",
                      batch_.folders.path_of(folder, name)});
        const auto id = static_cast<EntryId>(batch_.entries.size());
        if (batch_.entries.size() == batch_.entries.capacity())  // what lies there unused costs nothing
            batch_.entries.reserve(std::max(least_room, 4 * batch_.entries.size()));
        batch_.entries.push_back(std::move(entry));
        if (batch_.entries[id].status.type == FileType::folder && !batch_.entries[id].problem())
            enter(id, name);
        if (id % progress_step == 0 && options_.on_progress) options_.on_progress(id);
        return id;
    }

    /// Takes what the link points at in its place.
    void follow(Entry& entry) {
        const std::string path = batch_.source_path(entry);
        const auto problem = [&](std::string why) {
            entry.extras.make().problem =
                std::make_shared<const Error>(Error{Fault::not_found, 0, std::move(why), path});
        };
        const std::unique_ptr<char, decltype(&std::free)> resolved(::realpath(path.c_str(), nullptr),
                                                                   &std::free);
        if (!resolved) return problem("is a link that leads nowhere");
        const std::string real = resolved.get();
        if (real == "/") return problem("is a link to a whole file system");
        const FolderId folder = root(std::string(parent_of(real)));
        const auto handle = handles_.open(folder);
        const auto status = handle ? disk_.status(**handle, std::string(name_of(real)))
                                   : Result<Status>(failure(handle.error()));
        if (!status) return problem("is a link to something that cannot be read");
        entry.status = *status;
        entry.status.mount_point = false;
        entry.extras.make().points_at.clear();
        if (status->type == FileType::folder)
            entry.inside = batch_.folders.add_root(path, status->id);
        else
            entry.extras.make().real = Place{folder, std::string(name_of(real))};
    }

    void enter(EntryId id, const std::string& name) {
        Entry& entry = batch_.entries[id];
        if (options_.follow_links)
            for (EntryId above = entry.parent; above != no_entry; above = batch_.entries[above].parent)
                if (batch_.entries[above].status.id.same_thing(entry.status.id)) {
                    entry.extras.make().problem = std::make_shared<const Error>(
                        Error{Fault::refused, 0, "is a link that leads back to a folder it lies in",
                              batch_.source_path(entry)});
                    return;
                }
        if (entry.inside == no_folder) entry.inside = batch_.folders.add(entry.folder, name, entry.status.id);
        if (options_.depth == 0U) named_folders_.emplace(batch_.source_path(entry), id);
        if (options_.depth && levels_.size() >= *options_.depth) return;
        const bool goes_deeper = !options_.depth || levels_.size() + 1 < *options_.depth;
        if (auto entered = reader_.enter(entry.inside, entry.status.id, goes_deeper); !entered)
            entry.extras.make().problem = std::make_shared<const Error>(entered.error());
        else
            levels_.push_back(id);
    }

    /// One more thing.
    Result<void> walk() {
        if (options_.stop.stop_requested()) return failure(Fault::cancelled, "stopped", "");
        if (reader_.at_end()) {
            reader_.leave();
            levels_.pop_back();
            return {};
        }
        const EntryId above = levels_.back();
        const FolderId folder = reader_.folder();
        const auto& [name, status] = reader_.next();
        if (may_be_own(name.bytes))
            if (const auto handle = handles_.open(folder); handle && is_own(disk_, **handle, name.bytes)) {
                mark_incomplete(above);
                return {};
            }
        if (!status) {
            if (status.error().fault == Fault::not_found)
                return {};  // went away between the listing and the look
            Entry entry;
            entry.folder = folder;
            entry.parent = above;
            entry.name = std::string(plain_name(name.bytes));
            entry.status.type = name.hint;
            entry.extras.make().problem = std::make_shared<const Error>(status.error());
            batch_.entries.push_back(std::move(entry));
        } else {
            add(folder, above, name.bytes, *status, options_.follow_links, false);
        }
        if (batch_.entries.back().problem()) mark_incomplete(batch_.entries.back().parent);
        return {};
    }

    void mark_incomplete(EntryId entry) {
        for (; entry != no_entry && batch_.entries[entry].complete; entry = batch_.entries[entry].parent)
            batch_.entries[entry].complete = false;
    }

    FileSystem& disk_;
    GatherOptions options_;
    Batch batch_;
    FolderHandles handles_;
    std::unordered_map<std::string, FolderId> roots_;
    std::set<std::pair<std::uint64_t, std::uint64_t>> above_;
    FolderReader reader_;
    std::vector<EntryId> levels_;  ///< the folders that it is in
    std::size_t expected_ = 0;     ///< sources before it: the reader knows of those, or is not to
    /// where sources alone are taken: one may lie in another
    std::unordered_map<std::string, EntryId> named_folders_;
};

}  // namespace

struct Gathering::Parts {
    Parts(FileSystem& disk, std::vector<std::string> wanted, const GatherOptions& options)
        : gatherer(disk, options), sources(std::move(wanted)) {
        if (options.depth == 0U) put_outer_ones_first();
    }

    /// Of sources in one another; else they keep their order.
    void put_outer_ones_first() {
        const std::set<std::string> all(sources.begin(), sources.end());
        const bool some_lie_in_others =
            std::any_of(sources.begin(), sources.end(), [&](const std::string& source) {
                for (std::string at(parent_of(source)); at != "/"; at = std::string(parent_of(at)))
                    if (all.contains(at)) return true;
                return false;
            });
        if (some_lie_in_others)
            std::stable_sort(sources.begin(), sources.end(),
                             [](const auto& a, const auto& b) { return a.size() < b.size(); });
    }

    Gatherer gatherer;
    std::vector<std::string> sources;
    std::size_t next = 0;
    std::set<std::string> seen;
};

Gathering::Gathering(FileSystem& disk, std::vector<std::string> sources, const GatherOptions& options)
    : parts_(std::make_unique<Parts>(disk, std::move(sources), options)) {}
Gathering::~Gathering() = default;

Result<bool> Gathering::read_on(std::size_t more) {
    const std::size_t size = parts_->gatherer.batch().entries.size();
    const std::size_t wanted = more > SIZE_MAX - size ? SIZE_MAX : size + more;
    for (;;) {
        const auto walked = parts_->gatherer.walk_to(wanted);
        if (!walked) return walked;
        if (!*walked) return false;
        if (parts_->next == parts_->sources.size()) return true;
        const std::size_t at = parts_->next++;
        if (!parts_->seen.insert(parts_->sources[at]).second) continue;
        if (auto taken = parts_->gatherer.take(parts_->sources, at); !taken) return failure(taken.error());
    }
}

const Batch& Gathering::batch() const { return parts_->gatherer.batch(); }
Batch Gathering::finish() && { return std::move(parts_->gatherer).finish(); }

Result<Batch> gather(FileSystem& disk, const std::vector<std::string>& sources,
                     const GatherOptions& options) {
    Gathering gathering(disk, sources, options);
    if (auto read = gathering.read_on(SIZE_MAX); !read) return failure(read.error());
    return std::move(gathering).finish();
}

}  // namespace tavlo
