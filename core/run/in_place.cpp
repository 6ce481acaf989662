#include "run/in_place.h"

#include <fcntl.h>
#include <fmt/chrono.h>
#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <cstdlib>

#include "files/path.h"

namespace tavlo {

namespace {

Result<void> check_name(const std::string& name, const std::string& folder) {
    const bool good =
        !name.empty() && name != "." && name != ".." && name.find('/') == std::string::npos && name.find('\0') == std::string::npos;
    if (good) return {};
    return failure(Fault::name_not_possible, "'" + printable(name) + "' can be no name", folder);
}

/// The bytes of a path as the specification wants them: escaped as in a URL (RFC 2396), '/' left as it is.
std::string escaped(std::string_view path) {
    static constexpr std::string_view plain = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789/-_.!~*'()";
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
    const char* home = std::getenv("HOME");
    return join(home != nullptr && home[0] == '/' ? home : "/", ".local/share/Trash");
}

/// Makes a folder and those above it, private, where they are missing.
Result<Handle> open_private(FileSystem& disk, const std::string& path) {
    auto opened = disk.open_folder(path);
    if (opened || opened.error().fault != Fault::not_found || path == "/") return opened;
    const auto above = open_private(disk, std::string(parent_of(path)));
    if (!above) return failure(above.error());
    if (auto made = disk.make_folder(*above, std::string(name_of(path)), 0700); !made && made.error().fault != Fault::name_taken)
        return failure(made.error());
    return disk.open_folder(path);
}

/// Where a trash may be, and how a path is said in it.
struct Can {
    Handle folder;
    std::string path;
    std::string path_in_info;
};

/// The highest folder on the same file system, on the way up from `folder`.
Result<std::string> top_of(FileSystem& disk, const Handle& folder, std::uint64_t device) {
    auto real = disk.real_path(folder);
    if (!real) return real;
    std::string top = *real;
    while (top != "/") {
        const std::string above(parent_of(top));
        const auto opened = disk.open_folder(above);
        const auto status = opened ? disk.status(*opened) : Result<Status>(failure(opened.error()));
        if (!status || status->id.device != device) break;
        top = above;
    }
    return top;
}

/// $topdir/.Trash/$uid where an administrator has made .Trash, a real folder with the sticky bit; else $topdir/.Trash-$uid.
Result<Can> can_on_volume(FileSystem& disk, const std::string& top, const std::string& real) {
    const std::string user = std::to_string(::geteuid());
    const std::string relative = real.substr(top == "/" ? 1 : top.size() + 1);
    const auto folder = disk.open_folder(top);
    if (!folder) return failure(folder.error());
    if (const auto shared = disk.status(*folder, ".Trash"); shared && shared->type == FileType::folder && (shared->mode & 01000U) != 0)
        if (auto own = open_private(disk, join(top, ".Trash/" + user))) return Can{std::move(*own), join(top, ".Trash/" + user), relative};
    const std::string path = join(top, ".Trash-" + user);
    auto own = open_private(disk, path);
    if (!own) return failure(own.error());
    const auto seen = disk.status(*folder, ".Trash-" + user);
    if (!seen || seen->type != FileType::folder || seen->owner != ::geteuid())
        return failure(Fault::no_permission, "is no trash of this user", path);
    return Can{std::move(*own), path, relative};
}

Result<Can> can_for(FileSystem& disk, const Handle& folder, const std::string& name, std::uint64_t device) {
    const auto real_folder = disk.real_path(folder);
    if (!real_folder) return failure(real_folder.error());
    const std::string real = join(*real_folder, name);
    const std::string home = home_trash();
    if (auto own = open_private(disk, home)) {
        const auto status = disk.status(*own);
        if (status && status->id.device == device) return Can{std::move(*own), home, real};
    }
    const auto top = top_of(disk, folder, device);
    if (!top) return failure(top.error());
    return can_on_volume(disk, *top, real);
}

/// The .trashinfo, made so that it cannot replace another one: it reserves the name.
Result<void> write_info(const Handle& info, const std::string& name, const std::string& text) {
    const Handle file(::openat(info.descriptor(), name.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_CLOEXEC | O_NOFOLLOW, 0600), name);
    if (!file.is_open()) return failure(system_error(errno, "note in the trash", join(info.path(), name)));
    if (::write(file.descriptor(), text.data(), text.size()) == static_cast<ssize_t>(text.size())) return {};
    const int code = errno;
    ::unlinkat(info.descriptor(), name.c_str(), 0);
    return failure(system_error(code, "note in the trash", join(info.path(), name)));
}

}  // namespace

Result<std::vector<std::string>> make_folders(FileSystem& disk, const std::string& folder, const std::string& names) {
    std::vector<std::string> parts;
    for (std::size_t at = 0; at <= names.size();) {
        const auto end = std::min(names.find('/', at), names.size());
        parts.push_back(names.substr(at, end - at));
        at = end + 1;
    }
    if (parts.size() > 1 && parts.back().empty()) parts.pop_back();  // "a/b/"
    for (const auto& part : parts)
        if (auto good = check_name(part, folder); !good) return failure(good.error());
    std::vector<std::string> made;
    const auto give_up = [&](const Error& error) {
        (void)remove_made_folders(disk, made);
        return failure(error);
    };
    auto at = disk.open_folder(folder);
    if (!at) return failure(at.error());
    for (std::size_t i = 0; i < parts.size(); ++i) {
        const auto done = disk.make_folder(*at, parts[i], 0777);
        const bool stands = !done && done.error().fault == Fault::name_taken && i + 1 < parts.size();  // "there already/new"
        if (!done && !stands) return give_up(done.error());
        if (done) made.push_back(join(at->path(), parts[i]));
        auto next = disk.open_folder_in(*at, parts[i]);
        if (!next) return give_up(next.error());
        at = std::move(next);
    }
    return made;
}

Result<void> remove_made_folders(FileSystem& disk, const std::vector<std::string>& paths) {
    for (auto path = paths.rbegin(); path != paths.rend(); ++path) {
        const auto folder = disk.open_folder(std::string(parent_of(*path)));
        if (!folder) return failure(folder.error());
        if (auto removed = disk.remove_empty_folder(*folder, std::string(name_of(*path))); !removed) return removed;
    }
    return {};
}

Result<void> rename_one(FileSystem& disk, const std::string& folder, const std::string& from, const std::string& to) {
    if (auto good = check_name(to, folder); !good) return good;
    const auto handle = disk.open_folder(folder);
    if (!handle) return failure(handle.error());
    return disk.move_to_free_name(*handle, from, *handle, to);
}

Result<Trashed> move_to_trash(FileSystem& disk, const std::string& path, std::int64_t now_s) {
    const auto folder = disk.open_folder(std::string(parent_of(path)));
    if (!folder) return failure(folder.error());
    const std::string name(name_of(path));
    const auto status = disk.status(*folder, name);
    if (!status) return failure(status.error());
    const auto can = can_for(disk, *folder, name, status->id.device);
    if (!can) return failure(can.error());
    const auto files = open_private(disk, join(can->path, "files"));
    if (!files) return failure(files.error());
    const auto infos = open_private(disk, join(can->path, "info"));
    if (!infos) return failure(infos.error());
    const std::string text = fmt::format("[Trash Info]\nPath={}\nDeletionDate={:%Y-%m-%dT%H:%M:%S}\n", escaped(can->path_in_info),
                                         fmt::localtime(static_cast<std::time_t>(now_s)));
    const std::string short_name = name.substr(0, 230);  // room for a number and ".trashinfo"
    for (unsigned number = 1;; ++number) {
        const std::string kept = number == 1 ? short_name : fmt::format("{}.{}", short_name, number);
        const std::string note = kept + ".trashinfo";
        const auto noted = write_info(*infos, note, text);
        if (!noted && noted.error().fault == Fault::name_taken) continue;
        if (!noted) return failure(noted.error());
        const auto moved = disk.move_to_free_name(*folder, name, *files, kept);
        if (moved) return Trashed{path, join(files->path(), kept), join(infos->path(), note)};
        (void)disk.remove_file(*infos, note);
        if (moved.error().fault != Fault::name_taken) return failure(moved.error());
    }
}

Result<void> take_from_trash(FileSystem& disk, const Trashed& trashed) {
    const auto files = disk.open_folder(std::string(parent_of(trashed.file)));
    if (!files) return failure(files.error());
    const auto back = disk.open_folder(std::string(parent_of(trashed.original)));
    if (!back) return failure(back.error());
    if (auto moved = disk.move_to_free_name(*files, std::string(name_of(trashed.file)), *back, std::string(name_of(trashed.original)));
        !moved)
        return moved;
    const auto infos = disk.open_folder(std::string(parent_of(trashed.info)));
    if (infos) (void)disk.remove_file(*infos, std::string(name_of(trashed.info)));
    return {};
}

}  // namespace tavlo
