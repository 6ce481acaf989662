// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/trash.h"

#include <fmt/chrono.h>
#include <fmt/format.h>
#include <unistd.h>

#include <algorithm>
#include <cstdlib>

#include "files/home.h"
#include "files/own.h"
#include "files/path.h"
#include "run/placing.h"
#include "select/walk.h"

namespace tavlo {

namespace {

constexpr std::size_t most_name_bytes = 230;  // room for a number and ".trashinfo"
constexpr std::string_view note_head = "[Trash Info]";
constexpr unsigned max_trash_names_tried = 100'000;  // counted up, where names are taken in the trash
constexpr std::uint64_t first_part = std::uint64_t{1} << 32;  // beside the run's own hidden names
constexpr std::size_t most_note_bytes = 1 << 16;
constexpr std::size_t most_sizes_bytes = std::size_t{16} << 20;
constexpr std::uint32_t note_mode = 0600;
const std::string sizes_name = "directorysizes";
constexpr std::string_view run_key = "X-Tavlo-Receipt";

/// Escaped as in a URL (RFC 2396), '/' left as it is.
std::string escaped(std::string_view path) {
    static constexpr std::string_view plain =
        "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789/-_.!~*'()";
    std::string out;
    for (const char c : path) {
        if (plain.find(c) != std::string_view::npos)
            out += c;
        else
            out += fmt::format("%{:02X}", static_cast<unsigned char>(c));
    }
    return out;
}

std::string home_trash() {
    const char* data = std::getenv("XDG_DATA_HOME");
    if (data != nullptr && data[0] == '/') return join(data, "Trash");
    return join(home_folder().empty() ? "/" : home_folder(), ".local/share/Trash");
}

/// The names that a thing may have in the trash, in the order in which they are tried.
std::string kept_name(const std::string& name, unsigned number) {
    std::size_t bytes = 0;
    while (bytes < name.size() && bytes + code_point_length(name, bytes) <= most_name_bytes)
        bytes += code_point_length(name, bytes);
    std::string kept = name.substr(0, bytes);
    if (number > 1) kept += fmt::format(".{}", number);
    return kept;
}

std::string note_name(const std::string& kept) { return kept + ".trashinfo"; }

std::string date_of(std::int64_t ns) {
    return fmt::format("{:%Y-%m-%dT%H:%M:%S}", fmt::localtime(static_cast<std::time_t>(ns / 1'000'000'000)));
}

bool is_missing(const Result<Status>& status) { return !status && status.error().fault == Fault::not_found; }

/// Makes a folder and those above it, private, where they are missing.
Result<Handle> open_or_make(FileSystem& disk, const std::string& path) {
    auto opened = disk.open_folder(path);
    if (opened || opened.error().fault != Fault::not_found || path == "/") return opened;
    const auto above = open_or_make(disk, std::string(parent_of(path)));
    if (!above) return failure(above.error());
    if (auto made = disk.make_folder(*above, std::string(name_of(path)), 0700);
        !made && made.error().fault != Fault::name_taken)
        return failure(made.error());
    return disk.open_folder(path);
}

/// A folder of this user's in an open one, no link; made where it is missing.
Result<Handle> own_folder(FileSystem& disk, const Handle& in, const std::string& name) {
    if (auto made = disk.make_folder(in, name, 0700); !made && made.error().fault != Fault::name_taken)
        return failure(made.error());
    auto opened = disk.open_folder_in(in, name);
    const auto status = opened ? disk.status(*opened) : Result<Status>(failure(opened.error()));
    if (!status) return failure(status.error());
    if (status->owner != ::geteuid())
        return failure(Fault::no_permission, "is no trash of this user", opened->path());
    return opened;
}

/// The top of the mount that a folder lies on.
Result<Handle> top_of(FileSystem& disk, const Handle& folder, std::uint64_t device, std::uint64_t mount) {
    auto at = disk.open_folder_in(folder, ".");
    while (at) {
        auto higher = disk.open_folder_in(*at, "..");
        const auto here = disk.status(*at);
        const auto there = higher ? disk.status(*higher) : Result<Status>(failure(higher.error()));
        const auto mounted = higher ? disk.mount(*higher) : Result<std::uint64_t>(failure(higher.error()));
        if (!here) return failure(here.error());
        if (!there || !mounted || there->id.device != device || *mounted != mount ||
            there->id.same_thing(here->id))
            break;
        at = std::move(higher);
    }
    if (!at) return at;
    auto path = disk.real_path(*at);
    return path ? Handle(at->take(), std::move(*path)) : Result<Handle>(failure(path.error()));
}

/// $topdir/.Trash as an administrator makes it: a folder, no link, with the sticky bit.
Result<Handle> shared_trash(FileSystem& disk, const Handle& top) {
    auto shared = disk.open_folder_in(top, ".Trash");
    const auto status = shared ? disk.status(*shared) : Result<Status>(failure(shared.error()));
    if (!status) return failure(status.error());
    if ((status->mode & 01000U) == 0) return failure(Fault::refused, "has no sticky bit", shared->path());
    return shared;
}

std::string trash_of_user() { return ".Trash-" + std::to_string(::geteuid()); }

/// All of a file that should be small.
Result<std::string> bytes_of(FileSystem& disk, const Handle& folder, const std::string& name,
                             std::size_t most) {
    const auto file = disk.open_file(folder, name);
    if (!file) return failure(file.error());
    if (file->status.id.size_bytes > most)
        return failure(Fault::refused, "is larger than it should be", join(folder.path(), name));
    std::string bytes(file->status.id.size_bytes + 1, '\0');
    const auto got = disk.read_at(file->file, 0, std::as_writable_bytes(std::span(bytes)));
    if (!got) return failure(got.error());
    bytes.resize(*got);
    return bytes;
}

/// On the disk, as du(1) counts it: blocks of folders too, a file of several names once.
std::uint64_t size_on_disk(FileSystem& disk, const Handle& in, const std::string& name) {
    const auto own = disk.status(in, name);
    std::uint64_t bytes = own ? own->allocated_bytes : 0;
    std::unordered_set<std::uint64_t> seen;
    (void)walk_below(disk, join(in.path(), name), {}, [&](const Met& met) {
        const bool counts = met.status.type == FileType::folder || met.status.links <= 1 ||
                            seen.insert(met.status.id.inode).second;
        if (counts) bytes += met.status.allocated_bytes;
        return true;
    });
    return bytes;
}

}  // namespace

Trash::Trash(FileSystem& disk, std::string receipt, std::int64_t started_ns)
    : disk_(disk), receipt_(std::move(receipt)), date_(date_of(started_ns)), parts_(first_part) {}

std::string Trash::part() { return part_name(receipt_, parts_++); }

Result<Trash::Can> Trash::opened(Handle folder, std::string top) {
    auto files = own_folder(disk_, folder, "files");
    if (!files) return failure(files.error());
    auto info = own_folder(disk_, folder, "info");
    if (!info) return failure(info.error());
    const auto status = disk_.status(*files);
    if (!status) return failure(status.error());
    auto path = disk_.real_path(folder);
    if (!path) return failure(path.error());
    const auto volume = disk_.volume(*files);
    if (!volume) return failure(volume.error());
    Can can;
    can.files = std::make_shared<const Handle>(Handle(files->take(), join(*path, "files")));
    can.info = std::make_shared<const Handle>(Handle(info->take(), join(*path, "info")));
    can.folder = std::make_shared<const Handle>(std::move(folder));
    can.path = std::move(*path);
    can.top = std::move(top);
    can.device = status->id.device;
    can.syncs_whole = volume->syncs_whole;
    return can;
}

/// The home trash lies there, or would once it is made.
bool Trash::is_beside_home_trash(const Mounted& place) {
    std::string path = home_trash();
    auto nearest = disk_.open_folder(path);
    for (; !nearest && path != "/"; nearest = disk_.open_folder(path)) path = std::string(parent_of(path));
    const auto status = nearest ? disk_.status(*nearest) : Result<Status>(failure(nearest.error()));
    const auto mount = nearest ? disk_.mount(*nearest) : Result<std::uint64_t>(failure(nearest.error()));
    return status && mount && Mounted(status->id.device, *mount) == place;
}

Result<Trash::Can> Trash::find(const Handle& folder, const Mounted& place) {
    if (is_beside_home_trash(place))
        if (auto home = open_or_make(disk_, home_trash())) return opened(std::move(*home), {});
    const auto top = top_of(disk_, folder, place.first, place.second);
    if (!top) return failure(top.error());
    if (const auto shared = shared_trash(disk_, *top))
        if (auto own = own_folder(disk_, *shared, std::to_string(::geteuid())))
            return opened(std::move(*own), top->path());
    auto own = own_folder(disk_, *top, trash_of_user());
    if (!own)
        return failure(Fault::no_permission,
                       "has no trash, and none can be made (" + reason(own.error()) + ")", top->path());
    return opened(std::move(*own), top->path());
}

Result<Trash::Can*> Trash::can_for(const Handle& folder) {
    const auto status = disk_.status(folder);
    if (!status) return failure(status.error());
    const auto mount = disk_.mount(folder);
    if (!mount) return failure(mount.error());
    const Mounted place(status->id.device, *mount);
    if (const auto known = cans_.find(place); known != cans_.end()) return known->second.get();
    auto found = find(folder, place);
    if (!found) return failure(found.error());
    return cans_.emplace(place, std::make_unique<Can>(std::move(*found))).first->second.get();
}

/// The trash whose files these are, which something was put into or comes out of.
Result<Trash::Can*> Trash::can_of(const Handle& files) {
    for (const auto& [place, can] : cans_)
        if (can->files.get() == &files) return can.get();
    const auto status = disk_.status(files);
    if (!status) return failure(status.error());
    for (const auto& [place, can] : cans_)
        if (const auto known = disk_.status(*can->files); known && known->id.same_thing(status->id))
            return can.get();
    auto folder = disk_.open_folder_in(files, "..");
    const auto mount = disk_.mount(files);
    if (!folder || !mount) return failure(folder ? mount.error() : folder.error());
    auto path = disk_.real_path(*folder);
    if (!path) return failure(path.error());
    std::string top;
    const auto home = disk_.open_folder(home_trash());
    const auto home_status = home ? disk_.status(*home) : Result<Status>(failure(home.error()));
    const auto own_status = disk_.status(*folder);
    if (!home_status || !own_status || !home_status->id.same_thing(own_status->id)) {
        top = std::string(parent_of(*path));
        if (name_of(*path) != trash_of_user()) top = std::string(parent_of(top));  // .Trash/$uid
    }
    auto can = opened(Handle(folder->take(), std::move(*path)), std::move(top));
    if (!can) return failure(can.error());
    return cans_.emplace(Mounted(status->id.device, *mount), std::make_unique<Can>(std::move(*can)))
        .first->second.get();
}

Result<void> Trash::possible(const Handle& folder) {
    const auto status = disk_.status(folder);
    const auto mount = disk_.mount(folder);
    if (!status || !mount) return failure(status ? mount.error() : status.error());
    if (is_beside_home_trash({status->id.device, *mount})) return {};
    const auto top = top_of(disk_, folder, status->id.device, *mount);
    if (!top) return failure(top.error());
    if (shared_trash(disk_, *top)) return {};
    const auto own = disk_.open_folder_in(*top, trash_of_user());
    const auto owner = own ? disk_.status(*own) : Result<Status>(failure(own.error()));
    const bool is_own = owner && owner->owner == ::geteuid();
    const bool can_be_made = !own && own.error().fault == Fault::not_found && disk_.may_write(*top);
    if (is_own || can_be_made) return {};
    return failure(Fault::no_permission, "has no trash, and none can be made", top->path());
}

std::vector<std::string> Trash::places_for(const Handle& folder) {
    std::vector<std::string> places;
    const auto home = disk_.open_folder(home_trash());
    if (auto at = home ? disk_.real_path(*home) : Result<std::string>(failure(home.error())))
        places.push_back(std::move(*at));
    const auto status = disk_.status(folder);
    const auto mount = disk_.mount(folder);
    if (!status || !mount) return places;
    if (const auto top = top_of(disk_, folder, status->id.device, *mount))
        for (const std::string& name : {trash_of_user(), std::string(".Trash")})
            places.push_back(join(top->path(), name));
    return places;
}

Result<Slot> Trash::slot_for(const Handle& folder, const std::string& name, FileType) {
    const auto can = can_for(folder);
    if (!can) return failure(can.error());
    Can& in = **can;
    for (unsigned number = 1; number < max_trash_names_tried; ++number) {
        std::string kept = kept_name(name, number);
        if (in.given.contains(kept)) continue;
        if (!is_missing(disk_.status(*in.info, note_name(kept))) ||
            !is_missing(disk_.status(*in.files, kept)))
            continue;
        in.given.insert(kept);
        return Slot{in.info, in.files, {}, in.files->path(), {}, in.device, true, std::move(kept)};
    }
    return failure(Fault::name_taken, "its names are taken in the trash", join(in.path, name));
}

std::string Trash::note_for(const Can& can, const std::string& original) const {
    const bool is_below = !can.top.empty() && original != can.top && is_within(original, can.top);
    const std::string path = is_below ? original.substr(can.top == "/" ? 1 : can.top.size() + 1) : original;
    return fmt::format("{}\nPath={}\nDeletionDate={}\n", note_head, escaped(path), date_);
}

/// Which run has put it there: a line that others pass over, as the specification tells them to.
std::string Trash::of_run() const { return fmt::format("{}={}\n", run_key, receipt_); }

/// errors   name_taken: there is such a note, which may be of somebody else's thing
Result<void> Trash::write_note(const Can& can, const std::string& kept, const std::string& original) {
    auto staged = disk_.stage(*can.info, part(), note_mode);
    if (!staged) return failure(staged.error());
    const std::string text = note_for(can, original) + of_run();
    if (auto written = disk_.write_at(*staged, 0, std::as_bytes(std::span(text))); !written) return written;
    if (!can.syncs_whole)
        if (auto synced = disk_.sync(staged->file()); !synced) return synced;
    auto named = disk_.take_free_name(*staged, *can.info, note_name(kept));
    if (named || named.error().fault == Fault::name_taken) return named;
    const auto there = bytes_of(disk_, *can.info, note_name(kept),
                                most_note_bytes);  // a call that failed may have been carried out
    return there && *there == text ? Result<void>{} : named;
}

Result<Kept> Trash::keep(const Slot& slot, const Handle& folder, const std::string& name,
                         const Identity& expected) {
    const auto can = can_of(*slot.folder);
    if (!can) return failure(can.error());
    const auto real = disk_.real_path(folder);
    if (!real) return failure(real.error());
    const auto now = disk_.status(folder, name);
    if (!now) return failure(now.error());
    const Error another{Fault::changed_meanwhile, 0, "is not the one that the decision was made about",
                        join(*real, name)};
    if (!is_expected(*now, expected)) return failure(another);
    std::string kept = slot.name;
    for (unsigned number = 2;; kept = kept_name(name, number++)) {
        auto noted = write_note(**can, kept, join(*real, name));
        if (!noted && noted.error().fault == Fault::name_taken && number < max_trash_names_tried) continue;
        if (!noted) return failure(noted.error());
        auto moved = move_seen(disk_, folder, name, *(*can)->files, kept, now->id);
        if (moved) break;
        (void)remove_seen(disk_, *(*can)->info, note_name(kept));
        if (moved.error().fault != Fault::name_taken || number >= max_trash_names_tried)
            return failure(moved.error());
    }
    const auto out = disk_.status(*(*can)->files, kept);
    if (out && !is_expected(*out, expected)) {
        if (auto back = move_seen(disk_, *(*can)->files, kept, folder, name, out->id); !back) {
            Error error = back.error();
            error.step += "; what stood there lies in the trash as " + kept;
            return failure(std::move(error));
        }
        (void)remove_seen(disk_, *(*can)->info, note_name(kept));
        return failure(another);
    }
    if (now->type == FileType::folder) (*can)->came.push_back(kept);
    return Kept{join((*can)->files->path(), kept), out ? out->id : now->id};
}

void Trash::gave_back(const Handle& folder, const std::string& name) {
    const auto can = can_of(folder);
    if (!can || !is_missing(disk_.status(folder, name))) return;
    (void)remove_seen(disk_, *(*can)->info, note_name(name));
    (*can)->went.push_back(name);
}

std::string Trash::settle(const std::string& files, const std::string& name, const std::string& original,
                          const Identity& expected) {
    const auto folder = disk_.open_folder(files);
    const auto can = folder ? can_of(*folder) : Result<Can*>(failure(folder.error()));
    if (!can) return {};
    // its note has the place with links resolved, as it was when it was written
    const auto around = disk_.open_folder(std::string(parent_of(original)));
    const auto real = around ? disk_.real_path(*around) : Result<std::string>(failure(around.error()));
    const std::string place = real ? join(*real, name_of(original)) : original;
    const std::string text = note_for(**can, place);
    std::string kept = name;
    for (unsigned number = 2; number < max_trash_names_tried;
         kept = kept_name(std::string(name_of(original)), number++)) {
        const auto there = disk_.status(*folder, kept);
        const auto note = bytes_of(disk_, *(*can)->info, note_name(kept), most_note_bytes);
        const bool has_no_note = !note && note.error().fault == Fault::not_found;
        // after a power cut a note's name may be there, and its bytes not
        const bool says_nothing = note && !note->starts_with(note_head);
        if (there && is_expected(*there, expected)) {
            if (says_nothing) (void)remove_seen(disk_, *(*can)->info, note_name(kept));
            if (has_no_note || says_nothing) (void)write_note(**can, kept, place);
            if (there->type == FileType::folder) (*can)->came.push_back(kept);
            return kept;
        }
        if (is_missing(there) && note && (*note == text + of_run() || *note == text || note->empty()))
            (void)remove_seen(disk_, *(*can)->info, note_name(kept));
        if (is_missing(there) && has_no_note) break;
    }
    return {};
}

/// A line for each folder: its size on the disk, when its note was made, its name; others' lines stay as they
/// are.
void Trash::update_sizes(Can& can) {
    if (can.came.empty() && can.went.empty()) return;
    const auto known = bytes_of(disk_, *can.folder, sizes_name, most_sizes_bytes);
    if (!known && known.error().fault != Fault::not_found) return;
    std::unordered_set<std::string> stale;
    for (const auto* names : {&can.came, &can.went})
        for (const auto& name : *names) stale.insert(escaped(name));
    std::string text;
    const std::string before = known.value_or("");
    for (std::size_t at = 0; at < before.size();) {
        const auto end = std::min(before.find('\n', at), before.size());
        const std::string line = before.substr(at, end - at);
        const auto name = line.rfind(' ');
        if (name != std::string::npos && !stale.contains(line.substr(name + 1))) text += line + '\n';
        at = end + 1;
    }
    for (const auto& name : can.came) {
        const auto note = disk_.status(*can.info, note_name(name));
        if (!note || !disk_.status(*can.files, name)) continue;
        text += fmt::format("{} {} {}\n", size_on_disk(disk_, *can.files, name),
                            note->id.modified_ns / 1'000'000'000, escaped(name));
    }
    can.came.clear();
    can.went.clear();
    if (text == before) return;
    auto staged = disk_.stage(*can.folder, part(), note_mode);
    if (!staged || !disk_.write_at(*staged, 0, std::as_bytes(std::span(text)))) return;
    if (!can.syncs_whole) (void)disk_.sync(staged->file());
    if (disk_.take_free_name(*staged, *can.folder, sizes_name)) return;
    const std::string fresh = part();
    if (!disk_.take_free_name(*staged, *can.folder, fresh)) return;
    (void)disk_.exchange(*can.folder, fresh, *can.folder, sizes_name);
    (void)disk_.remove_file(*can.folder, fresh);
}

void Trash::tidy() {
    for (auto& [place, can] : cans_) update_sizes(*can);
}

}  // namespace tavlo
