// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "write.h"

#include <archive.h>
#include <archive_entry.h>
#include <grp.h>
#include <pwd.h>
#include <sys/stat.h>

#include <array>
#include <clocale>
#include <map>
#include <vector>

#include "archive/format.h"
#include "files/types.h"

// Archives are made by libarchive: zip with names in UTF-8; tar as POSIX.1-2001 (pax) has it, for dates to
// the nanosecond, extended attributes and holes. In a locale of UTF-8 it writes names as they stand, also
// those that are none.

namespace {

using tavlo::ArchiveFormat;
using tavlo::FileType;
using tavlo::PackedThing;
using tavlo::Press;
using tavlo::second_ns;

constexpr int block_bytes = 256 * 1024;  // given at a time

std::string level_for(ArchiveFormat format, Press press) {
    static const std::map<ArchiveFormat, std::array<const char*, 3>> levels{
        {ArchiveFormat::zip, {"1", "6", "9"}},
        {ArchiveFormat::tar_gz, {"1", "6", "9"}},
        {ArchiveFormat::tar_xz, {"0", "6", "9"}},
        {ArchiveFormat::tar_zst, {"1", "3", "19"}}};
    return levels.at(format)[static_cast<std::size_t>(press)];
}

}  // namespace

struct Writer::Parts {
    archive* out = ::archive_write_new();
    archive_entry* entry = ::archive_entry_new();
    Give give;
    bool is_zip = false;
    std::uint64_t left = 0;    ///< bytes of the file at hand
    std::uint64_t offset = 0;  ///< in it
    std::map<std::uint32_t, std::string> users{};
    std::map<std::uint32_t, std::string> groups{};

    ~Parts() {
        ::archive_entry_free(entry);
        ::archive_write_free(out);
    }
    void check(int answer) const {
        if (answer >= ARCHIVE_OK) return;
        const char* why = ::archive_error_string(out);
        throw Broken(std::string("cannot be written: ") +
                     (why != nullptr ? why : "libarchive does not say why"));
    }
    void set_owner(const PackedThing& thing) {
        ::archive_entry_set_uid(entry, thing.owner);
        ::archive_entry_set_gid(entry, thing.group);
        const auto [user, new_user] = users.try_emplace(thing.owner);
        if (new_user)
            if (const passwd* known = ::getpwuid(thing.owner)) user->second = known->pw_name;
        const auto [group, new_group] = groups.try_emplace(thing.group);
        if (new_group)
            if (const ::group* known = ::getgrgid(thing.group)) group->second = known->gr_name;
        if (!user->second.empty()) ::archive_entry_set_uname(entry, user->second.c_str());
        if (!group->second.empty()) ::archive_entry_set_gname(entry, group->second.c_str());
    }
    /// Of a date before 1970 pax has the fraction on top of the seconds to it, "-1.5", and libarchive writes
    /// both as they are given: so they are given as that wants them. Only within the last second before it no
    /// fraction can be said.
    void set_date(std::int64_t ns) {
        std::int64_t seconds = ns / second_ns;
        std::int64_t fraction = ns % second_ns;
        if (fraction < 0 && is_zip) --seconds;
        if (fraction < 0 && seconds == 0) --seconds, fraction = 0;
        ::archive_entry_set_mtime(entry, static_cast<time_t>(seconds),
                                  static_cast<long>(fraction < 0 ? -fraction : fraction));
    }
    void write_bytes(std::span<const char> bytes) {
        while (!bytes.empty()) {
            const auto done = ::archive_write_data(out, bytes.data(), bytes.size());
            if (done <= 0) check(done < 0 ? static_cast<int>(done) : ARCHIVE_FATAL);
            bytes = bytes.subspan(static_cast<std::size_t>(done));
            offset += static_cast<std::uint64_t>(done);
            left -= static_cast<std::uint64_t>(done);
        }
    }
    void write_zeros_to(std::uint64_t end) {
        static const std::vector<char> zeros(1024 * 1024);
        while (offset < end)
            write_bytes({zeros.data(),
                         static_cast<std::size_t>(std::min<std::uint64_t>(zeros.size(), end - offset))});
    }
    void end_file() { write_zeros_to(offset + left); }
};

Writer::Writer(ArchiveFormat format, Press press, Give give) : parts_(std::make_unique<Parts>()) {
    std::setlocale(LC_CTYPE, "C.UTF-8");
    archive* out = parts_->out;
    parts_->give = std::move(give);
    parts_->is_zip = format == ArchiveFormat::zip;
    parts_->check(parts_->is_zip ? ::archive_write_set_format_zip(out) : ::archive_write_set_format_pax(out));
    if (!parts_->is_zip)
        parts_->check(::archive_write_set_format_option(out, "pax", "xattrheader", "SCHILY"));
    if (format == ArchiveFormat::tar_gz) parts_->check(::archive_write_add_filter_gzip(out));
    if (format == ArchiveFormat::tar_xz) parts_->check(::archive_write_add_filter_xz(out));
    if (format == ArchiveFormat::tar_zst) parts_->check(::archive_write_add_filter_zstd(out));
    if (parts_->is_zip)
        parts_->check(::archive_write_set_format_option(out, "zip", "compression-level",
                                                        level_for(format, press).c_str()));
    else if (format != ArchiveFormat::tar)
        parts_->check(::archive_write_set_filter_option(out, nullptr, "compression-level",
                                                        level_for(format, press).c_str()));
    ::archive_write_set_bytes_per_block(out, block_bytes);
    ::archive_write_set_bytes_in_last_block(out, 1);
    const auto write = [](archive*, void* self, const void* bytes, std::size_t size) {
        static_cast<Parts*>(self)->give({static_cast<const char*>(bytes), size});
        return static_cast<la_ssize_t>(size);
    };
    parts_->check(::archive_write_open(out, parts_.get(), nullptr, write, nullptr));
}
Writer::~Writer() = default;

void Writer::add(const PackedThing& thing) {
    parts_->end_file();
    archive_entry* entry = ::archive_entry_clear(parts_->entry);
    ::archive_entry_set_pathname(entry, thing.path.c_str());
    ::archive_entry_set_filetype(entry, thing.type == FileType::folder ? AE_IFDIR
                                        : thing.type == FileType::link ? AE_IFLNK
                                                                       : AE_IFREG);
    ::archive_entry_set_perm(entry, thing.mode);
    parts_->set_date(thing.modified_ns);
    parts_->set_owner(thing);
    if (thing.type == FileType::link) ::archive_entry_set_symlink(entry, thing.points_at.c_str());
    if (thing.is_hard_link) ::archive_entry_set_hardlink(entry, thing.points_at.c_str());
    for (const auto& [name, value] : thing.extended)
        ::archive_entry_xattr_add_entry(entry, name.c_str(), value.data(), value.size());
    const bool has_bytes = thing.type == FileType::file && !thing.is_hard_link;
    ::archive_entry_set_size(entry, has_bytes ? static_cast<la_int64_t>(thing.size_bytes) : 0);
    const bool has_holes = has_bytes && thing.stretches != decltype(thing.stretches){{0, thing.size_bytes}} &&
                           thing.size_bytes > 0;
    if (has_holes && !parts_->is_zip)
        for (const auto& [begin, end] : thing.stretches)
            ::archive_entry_sparse_add_entry(entry, static_cast<la_int64_t>(begin),
                                             static_cast<la_int64_t>(end - begin));
    // it warns of a name that is no UTF-8, which it writes as it stands ("hdrcharset=BINARY"); whether it did
    // is seen when it is read back
    const int answer = ::archive_write_header(parts_->out, entry);
    parts_->check(answer == ARCHIVE_WARN ? ARCHIVE_OK : answer);
    parts_->left = has_bytes ? thing.size_bytes : 0;
    parts_->offset = 0;
}

void Writer::add_bytes(std::uint64_t offset, std::span<const char> bytes) {
    if (offset < parts_->offset || offset - parts_->offset > parts_->left ||
        bytes.size() > parts_->left - (offset - parts_->offset))
        throw Broken("is given more bytes than were announced");
    parts_->write_zeros_to(offset);
    parts_->write_bytes(bytes);
}

void Writer::finish() {
    parts_->end_file();
    parts_->check(::archive_write_close(parts_->out));
}
