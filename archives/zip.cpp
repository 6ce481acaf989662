// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <iconv.h>
#include <sys/stat.h>
#include <unistd.h>
#include <zip.h>

#include <array>
#include <cerrno>
#include <cstring>
#include <vector>

#include "files/path.h"
#include "files/types.h"
#include "members.h"

// zip goes through libzip: it gives names as they stand, and goes by the list at the end, in which each thing
// stands once.

namespace {

using tavlo::FileType;
using tavlo::PackedThing;
using tavlo::second_ns;

constexpr std::uint64_t longest_link = 4096;  // PATH_MAX

std::string from_code_page_437(const std::string& name) {
    const iconv_t converter = ::iconv_open("UTF-8", "CP437");
    if (converter == reinterpret_cast<iconv_t>(-1)) return name;
    std::string out(name.size() * 3, '\0');
    std::string in = name;
    char* from = in.data();
    char* to = out.data();
    std::size_t left = in.size();
    std::size_t room = out.size();
    const auto answer = ::iconv(converter, &from, &left, &to, &room);
    ::iconv_close(converter);
    if (answer == static_cast<std::size_t>(-1)) return name;
    out.resize(out.size() - room);
    return out;
}

/// Where it has two dates, the one in UTC (APPNOTE 4.5, extra field 0x5455 of Info-ZIP): flags, then the date
/// of change.
std::optional<std::int64_t> date_in_utc(zip_t* archive, zip_uint64_t at) {
    constexpr zip_uint16_t extended_timestamp = 0x5455;
    constexpr zip_uint16_t shortest = 5;
    for (const zip_flags_t where : {zip_flags_t{ZIP_FL_CENTRAL}, zip_flags_t{ZIP_FL_LOCAL}}) {
        zip_uint16_t length = 0;
        const zip_uint8_t* field =
            ::zip_file_extra_field_get_by_id(archive, at, extended_timestamp, 0, &length, where);
        if (field == nullptr || length < shortest || (field[0] & 1U) == 0) continue;
        std::uint32_t seconds = 0;
        for (unsigned byte = 0; byte < 4; ++byte)
            seconds |= static_cast<std::uint32_t>(field[1 + byte]) << (8 * byte);
        return static_cast<std::int32_t>(seconds);
    }
    return std::nullopt;
}

class Zip : public Members {
public:
    explicit Zip(const Source& source) : source_(source) {
        // its own offset, which another helper may be moving
        int descriptor =
            ::open(("/proc/self/fd/" + std::to_string(source.descriptor)).c_str(), O_RDONLY | O_CLOEXEC);
        if (descriptor < 0) descriptor = ::dup(source.descriptor);
        int error = 0;
        archive_ = ::zip_fdopen(descriptor, 0, &error);
        if (archive_ == nullptr) {
            zip_error_t why;
            ::zip_error_init_with_code(&why, error);
            const std::string text = ::zip_error_strerror(&why);
            ::zip_error_fini(&why);
            ::close(descriptor);
            throw Broken("is no zip archive that can be read: " + text);
        }
        count_ = static_cast<zip_uint64_t>(::zip_get_num_entries(archive_, 0));
    }
    ~Zip() override { ::zip_discard(archive_); }

    std::optional<PackedThing> next() override {
        if (next_ == count_) return std::nullopt;
        at_ = next_++;
        PackedThing thing;
        const char* name = ::zip_get_name(archive_, at_, ZIP_FL_ENC_RAW);
        if (name == nullptr) throw Broken("has a list that cannot be read");
        thing.path = tavlo::is_utf8(name) ? name : from_code_page_437(name);
        zip_stat_t stat;
        ::zip_stat_init(&stat);
        if (::zip_stat_index(archive_, at_, 0, &stat) != 0) throw Broken("has a list that cannot be read");
        zip_uint8_t system = ZIP_OPSYS_DOS;
        zip_uint32_t attributes = 0;
        ::zip_file_get_external_attributes(archive_, at_, 0, &system, &attributes);
        read_type(thing, system, attributes);
        read_date(thing, stat);
        thing.size_bytes = (stat.valid & ZIP_STAT_SIZE) != 0 ? stat.size : 0;
        if (thing.size_bytes > 0) thing.stretches = {{0, thing.size_bytes}};
        const bool is_encrypted =
            (stat.valid & ZIP_STAT_ENCRYPTION_METHOD) != 0 && stat.encryption_method != ZIP_EM_NONE;
        if (is_encrypted) thing.problem = "is encrypted";
        size_ = thing.size_bytes;
        if (thing.type == FileType::link && thing.problem.empty()) read_link(thing);
        return thing;
    }

    void read(const Take& take) override {
        zip_file_t* file = ::zip_fopen_index(archive_, at_, 0);
        if (file == nullptr) throw Broken(std::string("cannot be read: ") + ::zip_strerror(archive_));
        const std::unique_ptr<zip_file_t, decltype(&::zip_fclose)> closed(file, &::zip_fclose);
        for (std::uint64_t offset = 0;;) {
            const auto got = ::zip_fread(file, piece_.data(), piece_.size());
            if (got < 0) throw Broken(std::string("is damaged: ") + ::zip_file_strerror(file));
            if (got == 0 && offset < size_) throw Broken("holds less than it says");
            if (got == 0) return;
            if (offset + static_cast<std::uint64_t>(got) > size_) throw Broken("holds more than it says");
            if (source_.progress != nullptr) source_.progress->gave(static_cast<std::uint64_t>(got));
            take(offset, {piece_.data(), static_cast<std::size_t>(got)});
            offset += static_cast<std::uint64_t>(got);
        }
    }
    std::int64_t time_step_ns() const override { return step_ns_; }

private:
    static void read_type(PackedThing& thing, zip_uint8_t system, zip_uint32_t attributes) {
        constexpr zip_uint32_t dos_folder = 0x10;
        const mode_t mode = system == ZIP_OPSYS_UNIX || system == ZIP_OPSYS_OS_X ? attributes >> 16U : 0;
        thing.mode = mode & 07777U;
        if (thing.path.ends_with('/') || S_ISDIR(mode) || (mode == 0 && (attributes & dos_folder) != 0))
            thing.type = FileType::folder;
        else if (S_ISLNK(mode))
            thing.type = FileType::link;
        else if ((mode & S_IFMT) == 0 || S_ISREG(mode))
            thing.type = FileType::file;
    }
    void read_date(PackedThing& thing, const zip_stat_t& stat) {
        if (const auto utc = date_in_utc(archive_, at_)) {
            thing.modified_ns = *utc * second_ns;
            thing.is_dated = true;
        } else if ((stat.valid & ZIP_STAT_MTIME) != 0 && stat.mtime > 0) {
            thing.modified_ns = static_cast<std::int64_t>(stat.mtime) * second_ns;
            thing.is_dated = true;
            step_ns_ = 2 * second_ns;  // MS-DOS's
        }
    }
    void read_link(PackedThing& thing) {
        if (size_ > longest_link) {
            thing.problem = "is a link that leads too far";
            return;
        }
        try {
            read([&](std::uint64_t, std::span<const char> bytes) {
                thing.points_at.append(bytes.data(), bytes.size());
            });
        } catch (const Broken& why) {
            thing.problem = why.what();
        }
        if (thing.points_at.find('\0') != std::string::npos)
            thing.problem = "is a link to a name that there cannot be";
    }

    Source source_;
    zip_t* archive_ = nullptr;
    zip_uint64_t count_ = 0;
    zip_uint64_t next_ = 0;
    zip_uint64_t at_ = 0;
    std::uint64_t size_ = 0;
    std::int64_t step_ns_ = second_ns;
    std::vector<char> piece_ =
        std::vector<char>(1024 * 1024);  // for all: clearing it costs more than a small file
};

}  // namespace

bool is_zip(const Source& source) {
    std::array<char, 4> begin{};
    if (read_source(source, 0, begin) < begin.size()) return false;
    // APPNOTE 4.3.7, 4.3.16, 8.5.3: a file, the end of an empty one, the mark of one in parts
    for (const char* mark : {"PK\3\4", "PK\5\6", "PK\7\10"})
        if (std::memcmp(begin.data(), mark, begin.size()) == 0) return true;
    return false;
}

std::unique_ptr<Members> open_zip(const Source& source) { return std::make_unique<Zip>(source); }
