// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <archive.h>
#include <archive_entry.h>

#include <algorithm>
#include <clocale>
#include <vector>

#include "files/types.h"
#include "members.h"

// Everything but zip, by libarchive: of its formats those that hold things alone, which leaves out mtree (it
// copies in files of this machine), and none of its filters (unpressed.cpp). Names are not to be composed, as
// it does where the locale is of UTF-8: in that of C it gives them as they stand. Formats that keep names in
// UTF-16 need one of UTF-8.

namespace {

using tavlo::FileType;
using tavlo::PackedThing;
using tavlo::second_ns;

constexpr std::size_t read_piece_bytes = 256 * 1024;

bool keeps_wide_names(int format) {
    const int base = format & ARCHIVE_FORMAT_BASE_MASK;
    return base == ARCHIVE_FORMAT_7ZIP || base == ARCHIVE_FORMAT_ISO9660 || base == ARCHIVE_FORMAT_CAB ||
           base == ARCHIVE_FORMAT_LHA || base == ARCHIVE_FORMAT_RAR || base == ARCHIVE_FORMAT_RAR_V5;
}

FileType type_of(archive_entry* entry) {
    switch (::archive_entry_filetype(entry)) {
        case AE_IFREG: return FileType::file;
        case AE_IFDIR: return FileType::folder;
        case AE_IFLNK: return FileType::link;
        default: return FileType::other;
    }
}

std::string text_or_nothing(const char* text) { return text != nullptr ? text : ""; }

class Streamed : public Members {
public:
    explicit Streamed(const Source& source) : source_(source) {
        begin("C");
        first_ = header();
        if (!first_ || !keeps_wide_names(::archive_format(archive_))) return;
        begin("C.UTF-8");
        first_ = header();
    }
    ~Streamed() override { ::archive_read_free(archive_); }

    std::optional<PackedThing> next() override {
        archive_entry* entry = std::exchange(has_first_, false) ? first_ : header();
        if (entry == nullptr) return std::nullopt;
        PackedThing thing = told_of(entry);
        size_ = thing.size_bytes;
        is_sparse_ = thing.stretches != std::vector<std::pair<std::uint64_t, std::uint64_t>>{{0, size_}};
        return thing;
    }

    void read(const Take& take) override {
        std::uint64_t given = 0;
        for (;;) {
            const void* bytes = nullptr;
            std::size_t count = 0;
            la_int64_t offset = 0;
            const int answer = ::archive_read_data_block(archive_, &bytes, &count, &offset);
            if (answer == ARCHIVE_EOF) break;
            if (answer != ARCHIVE_OK) fail("is damaged");  // a warning is about a checksum
            const auto begin = static_cast<std::uint64_t>(offset);
            if (offset < 0 || begin > size_ || count > size_ - begin) throw Broken("holds more than it says");
            if (count == 0) continue;
            if (source_.progress != nullptr) source_.progress->gave(count);
            take(begin, {static_cast<const char*>(bytes), count});
            given += count;
        }
        if (given < size_ && !is_sparse_) throw Broken("holds less than it says");
    }
    void check_end() override {
        if (!unpressed_) return;
        try {
            while (!unpressed_->next().empty()) {
            }
        } catch (const Broken& why) {
            below_ = why.what();
            throw;
        }
    }
    bool nothing_holds() const override {
        return unpressed_ && !below_.empty() && !unpressed_->was_cut_short();
    }
    std::int64_t time_step_ns() const override { return step_ns_; }

private:
    void begin(const char* locale) {
        std::setlocale(LC_CTYPE, locale);
        if (archive_ != nullptr) ::archive_read_free(archive_);
        archive_ = ::archive_read_new();
        if (archive_ == nullptr) throw Broken("needs more memory than there is");
        ::archive_read_support_format_7zip(archive_);
        ::archive_read_support_format_ar(archive_);
        ::archive_read_support_format_cab(archive_);
        ::archive_read_support_format_cpio(archive_);
        ::archive_read_support_format_iso9660(archive_);
        ::archive_read_support_format_lha(archive_);
        ::archive_read_support_format_rar(archive_);
        ::archive_read_support_format_rar5(archive_);
        ::archive_read_support_format_tar(archive_);
        offset_ = 0;
        unpressed_ = open_unpressed(source_);
        has_first_ = true;
        ::archive_read_set_callback_data(archive_, this);
        ::archive_read_set_read_callback(archive_, [](archive*, void* self, const void** bytes) {
            return static_cast<Streamed*>(self)->refill(bytes);
        });
        if (unpressed_) {
            in_.clear();
        } else {
            in_.resize(read_piece_bytes);
            ::archive_read_set_skip_callback(archive_, [](archive*, void* self, la_int64_t by) {
                return static_cast<Streamed*>(self)->skip(by);
            });
            ::archive_read_set_seek_callback(archive_, [](archive*, void* self, la_int64_t to, int from) {
                return static_cast<Streamed*>(self)->seek(to, from);
            });
        }
        if (::archive_read_open1(archive_) != ARCHIVE_OK) fail("is no archive that can be read");
    }
    la_ssize_t refill(const void** bytes) {
        try {
            if (unpressed_) {
                const auto piece = unpressed_->next();
                *bytes = piece.data();
                return static_cast<la_ssize_t>(piece.size());
            }
            const std::size_t got = read_source(source_, offset_, in_);
            offset_ += got;
            *bytes = in_.data();
            return static_cast<la_ssize_t>(got);
        } catch (const Broken& why) {
            below_ = why.what();
            ::archive_set_error(archive_, EIO, "%s", why.what());
            return ARCHIVE_FATAL;
        }
    }
    la_int64_t skip(la_int64_t by) {
        const auto left = static_cast<la_int64_t>(source_.size_bytes - std::min(source_.size_bytes, offset_));
        const la_int64_t skipped = std::clamp<la_int64_t>(by, 0, left);
        offset_ += static_cast<std::uint64_t>(skipped);
        if (source_.progress != nullptr) source_.progress->read_up_to(offset_);
        return skipped;
    }
    la_int64_t seek(la_int64_t to, int from) {
        const la_int64_t base = from == SEEK_SET   ? 0
                                : from == SEEK_CUR ? static_cast<la_int64_t>(offset_)
                                                   : static_cast<la_int64_t>(source_.size_bytes);
        offset_ = static_cast<std::uint64_t>(
            std::clamp<la_int64_t>(base + to, 0, static_cast<la_int64_t>(source_.size_bytes)));
        return static_cast<la_int64_t>(offset_);
    }

    /// null at the end
    archive_entry* header() {
        archive_entry* entry = nullptr;
        const int answer = ::archive_read_next_header(archive_, &entry);
        if (answer == ARCHIVE_EOF) return nullptr;
        if (answer < ARCHIVE_WARN && ::archive_read_has_encrypted_entries(archive_) == 1)
            throw Broken("is encrypted, the names in it too");
        if (answer < ARCHIVE_WARN) fail("is damaged, or no archive that can be read");
        return entry;
    }

    PackedThing told_of(archive_entry* entry) {
        PackedThing thing;
        const char* path = ::archive_entry_pathname(entry);
        thing.path = text_or_nothing(path);
        if (path == nullptr) thing.problem = "has a name that cannot be read";
        thing.type = type_of(entry);
        if (const char* other = ::archive_entry_hardlink(entry)) {
            thing.type = FileType::file;
            thing.is_hard_link = true;
            thing.points_at = other;
        } else if (thing.type == FileType::link) {
            thing.points_at = text_or_nothing(::archive_entry_symlink(entry));
            if (thing.points_at.empty()) thing.problem = "is a link to a name that cannot be read";
        }
        thing.mode = ::archive_entry_perm(entry);
        read_date(thing, entry);
        if (thing.type == FileType::file) read_size(thing, entry);
        read_extended(thing, entry);
        if (::archive_entry_is_data_encrypted(entry) == 1) thing.problem = "is encrypted";
        return thing;
    }
    void read_date(PackedThing& thing, archive_entry* entry) {
        if (::archive_entry_mtime_is_set(entry) == 0) return;
        const std::int64_t seconds = ::archive_entry_mtime(entry);
        std::int64_t fraction = ::archive_entry_mtime_nsec(entry);
        constexpr std::int64_t most = INT64_MAX / second_ns - 1;
        if (seconds < -most || seconds > most) return;
        if (fraction != 0) step_ns_ = 1;
        // of "-1.5" it makes a second too many, less a half (archive_read_support_format_tar.c, pax_time())
        const bool is_pax = ::archive_format(archive_) == ARCHIVE_FORMAT_TAR_PAX_INTERCHANGE;
        if (is_pax && seconds < 0) fraction = -fraction;
        thing.modified_ns = seconds * second_ns + fraction;
        thing.is_dated = true;
    }
    static void read_size(PackedThing& thing, archive_entry* entry) {
        const bool says = ::archive_entry_size_is_set(entry) != 0 && ::archive_entry_size(entry) >= 0;
        if (!says && !thing.is_hard_link) thing.problem = "does not say how large it is";
        if (!says) return;
        thing.size_bytes = static_cast<std::uint64_t>(::archive_entry_size(entry));
        if (::archive_entry_sparse_reset(entry) == 0) {
            if (thing.size_bytes > 0) thing.stretches = {{0, thing.size_bytes}};
            return;
        }
        la_int64_t begin = 0;
        la_int64_t length = 0;
        std::uint64_t end = 0;
        while (::archive_entry_sparse_next(entry, &begin, &length) == ARCHIVE_OK) {
            if (length == 0) continue;
            if (begin < 0 || length < 0 || static_cast<std::uint64_t>(begin) < end) {
                thing.problem = "has holes that cannot be";
                return;
            }
            end = static_cast<std::uint64_t>(begin) + static_cast<std::uint64_t>(length);
            thing.stretches.emplace_back(begin, end);
        }
        if (end > thing.size_bytes) thing.problem = "has holes that cannot be";
    }
    static void read_extended(PackedThing& thing, archive_entry* entry) {
        const char* name = nullptr;
        const void* value = nullptr;
        std::size_t size = 0;
        ::archive_entry_xattr_reset(entry);
        while (::archive_entry_xattr_next(entry, &name, &value, &size) == ARCHIVE_OK)
            if (std::string_view(name).starts_with("user."))  // of the others none is a stranger's to give
                thing.extended.emplace_back(name, std::string(static_cast<const char*>(value), size));
    }
    [[noreturn]] void fail(const std::string& what) {
        if (!below_.empty()) throw Broken(below_);
        const char* why = ::archive_error_string(archive_);
        throw Broken(what + (why != nullptr ? std::string(": ") + why : ""));
    }

    Source source_;
    archive* archive_ = nullptr;
    std::unique_ptr<Unpressed> unpressed_;
    std::vector<char> in_;
    std::uint64_t offset_ = 0;
    archive_entry* first_ = nullptr;
    bool has_first_ = false;
    std::uint64_t size_ = 0;
    bool is_sparse_ = false;
    std::int64_t step_ns_ = second_ns;
    std::string below_;
};

}  // namespace

std::unique_ptr<Members> open_stream(const Source& source) { return std::make_unique<Streamed>(source); }

std::unique_ptr<Members> open_members(const Source& source) {
    return is_zip(source) ? open_zip(source) : open_stream(source);
}
