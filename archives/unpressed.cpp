// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <archive.h>
#include <unistd.h>
#include <zlib.h>

#include <array>
#include <cerrno>
#include <cstring>
#include <vector>

#include "members.h"

// gzip goes through zlib itself, which holds a stream against the checksum at its end; libarchive 3.6 does
// not. The others go through libarchive's filters, of which those that start programs are left out.

namespace {

constexpr std::size_t unpack_piece_bytes = 256 * 1024;

class Gunzipped : public Unpressed {
public:
    explicit Gunzipped(const Source& source)
        : source_(source), in_(unpack_piece_bytes), out_(unpack_piece_bytes) {
        begin();
    }
    ~Gunzipped() override { ::inflateEnd(&stream_); }

    std::span<const char> next() override {
        while (!ended_) {
            if (stream_.avail_in == 0) refill();
            if (stream_.avail_in == 0) {
                cut_short_ = true;
                throw Broken(
                    "ends before its end, so that nothing before it could be held against its checksum");
            }
            stream_.next_out = reinterpret_cast<Bytef*>(out_.data());
            stream_.avail_out = static_cast<uInt>(out_.size());
            const int answer = ::inflate(&stream_, Z_NO_FLUSH);
            if (answer != Z_OK && answer != Z_STREAM_END)
                throw Broken("is damaged: its checksum, or what it holds, is wrong");
            const std::size_t got = out_.size() - stream_.avail_out;
            if (answer == Z_STREAM_END) begin_another();
            if (got > 0) return {out_.data(), got};
        }
        return {};
    }
    bool was_cut_short() const override { return cut_short_; }

private:
    void begin() {
        stream_ = {};
        constexpr int with_gzip_head = 16 + MAX_WBITS;
        if (::inflateInit2(&stream_, with_gzip_head) != Z_OK) throw Broken("needs more memory than there is");
    }
    void refill() {
        const std::size_t got = read_source(source_, offset_, in_);
        offset_ += got;
        stream_.next_in = reinterpret_cast<Bytef*>(in_.data());
        stream_.avail_in = static_cast<uInt>(got);
    }
    /// RFC 1952, 2.2: one member may follow another; zeros behind the last one are padding.
    void begin_another() {
        for (;;) {
            if (stream_.avail_in == 0) refill();
            if (stream_.avail_in == 0) break;
            if (*stream_.next_in != 0) break;
            ++stream_.next_in;
            --stream_.avail_in;
        }
        constexpr Bytef first_of_gzip = 0x1F;
        if (stream_.avail_in == 0 ||
            *stream_.next_in != first_of_gzip) {  // others take what follows for rubbish, too
            ended_ = true;
            return;
        }
        if (::inflateReset(&stream_) != Z_OK) throw Broken("is damaged");
    }

    Source source_;
    std::vector<char> in_;
    std::vector<char> out_;
    z_stream stream_{};
    std::uint64_t offset_ = 0;
    bool ended_ = false;
    bool cut_short_ = false;
};

class Filtered : public Unpressed {
public:
    explicit Filtered(const Source& source)
        : source_(source), in_(unpack_piece_bytes), archive_(::archive_read_new()) {
        if (archive_ == nullptr) throw Broken("needs more memory than there is");
        ::archive_read_support_filter_bzip2(archive_);
        ::archive_read_support_filter_compress(archive_);
        ::archive_read_support_filter_lz4(archive_);
        ::archive_read_support_filter_lzip(archive_);
        ::archive_read_support_filter_lzma(archive_);
        ::archive_read_support_filter_xz(archive_);
        ::archive_read_support_filter_zstd(archive_);
        ::archive_read_support_format_raw(archive_);
        ::archive_read_support_format_empty(archive_);
    }
    ~Filtered() override { ::archive_read_free(archive_); }

    /// returns  it is pressed
    bool open() {
        const auto read = [](archive*, void* self, const void** bytes) {
            return static_cast<Filtered*>(self)->refill(bytes);
        };
        if (::archive_read_open(archive_, this, nullptr, read, nullptr) != ARCHIVE_OK) fail();
        if (::archive_filter_code(archive_, 0) == ARCHIVE_FILTER_NONE) return false;
        archive_entry* entry = nullptr;
        const int answer = ::archive_read_next_header(archive_, &entry);
        if (answer == ARCHIVE_EOF) ended_ = true;
        if (answer < ARCHIVE_WARN) fail();
        return true;
    }
    std::span<const char> next() override {
        if (ended_) return {};
        const void* bytes = nullptr;
        std::size_t size = 0;
        la_int64_t offset = 0;
        const int answer = ::archive_read_data_block(archive_, &bytes, &size, &offset);
        if (answer == ARCHIVE_EOF) {
            ended_ = true;
            return {};
        }
        if (answer != ARCHIVE_OK) fail();
        if (size == 0) return next();
        return {static_cast<const char*>(bytes), size};
    }
    bool was_cut_short() const override { return cut_short_; }

private:
    la_ssize_t refill(const void** bytes) {
        std::size_t got = 0;
        try {
            got = read_source(source_, offset_, in_);
        } catch (const Broken& why) {
            ::archive_set_error(archive_, EIO, "%s", why.what());
            return ARCHIVE_FATAL;
        }
        offset_ += got;
        at_end_ = got == 0;
        *bytes = in_.data();
        return static_cast<la_ssize_t>(got);
    }
    [[noreturn]] void fail() {
        cut_short_ = at_end_;
        if (at_end_) throw Broken("ends before its end");
        const char* why = ::archive_error_string(archive_);
        throw Broken(std::string("is damaged: ") + (why != nullptr ? why : "it does not unpack"));
    }

    Source source_;
    std::vector<char> in_;
    archive* archive_;
    std::uint64_t offset_ = 0;
    bool at_end_ = false;
    bool ended_ = false;
    bool cut_short_ = false;
};

}  // namespace

std::size_t read_source(const Source& source, std::uint64_t offset, std::span<char> into) {
    std::size_t got = 0;
    while (got < into.size()) {
        const auto count = ::pread(source.descriptor, into.data() + got, into.size() - got,
                                   static_cast<off_t>(offset + got));
        if (count < 0 && errno == EINTR) continue;
        if (count < 0) throw Broken(std::string("cannot be read: ") + std::strerror(errno));
        if (count == 0) break;
        got += static_cast<std::size_t>(count);
    }
    if (source.progress != nullptr) source.progress->read_up_to(offset + got);
    return got;
}

std::unique_ptr<Unpressed> open_unpressed(const Source& source) {
    std::array<char, 3> begin{};
    const std::size_t got = read_source(source, 0, begin);
    // RFC 1952, 2.3.1: two bytes that tell gzip, and the one way to press that there is
    if (got == begin.size() && begin == std::array<char, 3>{'\x1f', '\x8b', 8})
        return std::make_unique<Gunzipped>(source);
    auto filtered = std::make_unique<Filtered>(source);
    return filtered->open() ? std::move(filtered) : nullptr;
}
