// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/fact_files.h"

#include <archive.h>
#include <archive_entry.h>
#include <fmt/format.h>

#include <cmath>
#include <memory>

namespace {

std::string big(std::uint32_t value, int bytes) {
    std::string out;
    while (bytes-- > 0) out += static_cast<char>(value >> (8 * bytes));
    return out;
}

/// One directory of TIFF 6.0, big-endian; values that do not fit stand behind it.
class Directory {
public:
    explicit Directory(std::uint32_t at) : at_(at) {}
    void text(std::uint16_t tag, std::string value) {
        value += '\0';
        add(tag, 2, static_cast<std::uint32_t>(value.size()), value);
    }
    void number(std::uint16_t tag, std::uint16_t value) { add(tag, 3, 1, big(value, 2)); }
    void offset(std::uint16_t tag, std::uint32_t value) { add(tag, 4, 1, big(value, 4)); }
    void degrees(std::uint16_t tag, double value) {
        const auto hundredths = static_cast<std::uint32_t>(std::lround(std::abs(value) * 360000));
        std::string bytes;
        for (const std::uint32_t part :
             {hundredths / 360000, 1U, hundredths / 6000 % 60, 1U, hundredths % 6000, 100U})
            bytes += big(part, 4);
        add(tag, 5, 3, bytes);
    }
    /// count  of entries that it will have, which its values stand behind
    void expect(std::uint32_t count) { values_at_ = at_ + 2 + count * 12 + 4; }
    std::string bytes() const { return big(count_, 2) + entries_ + big(0, 4) + values_; }

private:
    void add(std::uint16_t tag, std::uint16_t type, std::uint32_t count, std::string value) {
        ++count_;
        entries_ += big(tag, 2) + big(type, 2) + big(count, 4);
        if (value.size() <= 4) {
            value.resize(4);
            entries_ += value;
            return;
        }
        entries_ += big(values_at_ + static_cast<std::uint32_t>(values_.size()), 4);
        values_ += value;
        if (values_.size() % 2 == 1) values_ += '\0';
    }
    std::uint32_t at_;
    std::uint32_t values_at_ = 0;
    std::uint32_t count_ = 0;
    std::string entries_;
    std::string values_;
};

std::string exif_bytes(const Photo& photo) {
    constexpr std::uint32_t exif_at = 400;
    constexpr std::uint32_t gps_at = 600;
    Directory first(8);
    first.expect(3 + (photo.make.empty() ? 0U : 1U) + (photo.model.empty() ? 0U : 1U));
    if (!photo.make.empty()) first.text(0x010f, photo.make);
    if (!photo.model.empty()) first.text(0x0110, photo.model);
    first.number(0x0112, static_cast<std::uint16_t>(photo.orientation));
    first.offset(0x8769, exif_at);
    first.offset(0x8825, gps_at);
    Directory exif(exif_at);
    exif.expect((photo.taken.empty() ? 0U : 1U) + (photo.digitized.empty() ? 0U : 1U));
    if (!photo.taken.empty()) exif.text(0x9003, photo.taken);
    if (!photo.digitized.empty()) exif.text(0x9004, photo.digitized);
    Directory gps(gps_at);
    gps.expect(photo.place ? 4 : 0);
    if (photo.place) {
        gps.text(1, photo.place->first < 0 ? "S" : "N");
        gps.degrees(2, photo.place->first);
        gps.text(3, photo.place->second < 0 ? "W" : "E");
        gps.degrees(4, photo.place->second);
    }
    std::string tiff = std::string("MM\0*", 4) + big(8, 4) + first.bytes();
    tiff.resize(exif_at);
    tiff += exif.bytes();
    tiff.resize(gps_at);
    return tiff + gps.bytes();
}

}  // namespace

std::string photo_bytes(const Photo& photo) {
    const std::string exif = std::string("Exif\0\0", 6) + exif_bytes(photo);
    std::string out = "\xff\xd8\xff\xe1" + big(static_cast<std::uint32_t>(exif.size()) + 2, 2) + exif;
    out += "\xff\xc0" + big(11, 2) + '\x08' + big(static_cast<std::uint32_t>(photo.height), 2) +
           big(static_cast<std::uint32_t>(photo.width), 2) + std::string("\x01\x01\x11\x00", 4);
    out += "\xff\xda" + big(8, 2) + std::string("\x01\x01\x00\x00\x3f\x00", 6) + "\xff\xd9";
    return out + photo.behind;
}

namespace {
std::string box(const std::string& kind, const std::string& inside) {
    return big(static_cast<std::uint32_t>(inside.size() + 8), 4) + kind + inside;
}
}  // namespace

std::string film_bytes(std::uint32_t written, const std::vector<std::pair<std::string, std::string>>& keys) {
    std::string matrix;
    for (const std::uint32_t part : {0x10000U, 0U, 0U, 0U, 0x10000U, 0U, 0U, 0U, 0x40000000U})
        matrix += big(part, 4);
    const std::string header = big(0, 4) + big(written, 4) + big(written, 4) + big(1000, 4) + big(5000, 4) +
                               big(0x10000, 4) + big(0x100, 2) + std::string(10, '\0') + matrix +
                               std::string(24, '\0') + big(2, 4);
    std::string names = big(0, 4) + big(static_cast<std::uint32_t>(keys.size()), 4);
    std::string values;
    std::uint32_t number = 0;
    for (const auto& [key, value] : keys) {
        names += big(static_cast<std::uint32_t>(key.size() + 8), 4) + "mdta" + key;
        values += box(big(++number, 4), box("data", big(1, 4) + big(0, 4) + value));
    }
    const std::string handler = box("hdlr", std::string(8, '\0') + "mdta" + std::string(13, '\0'));
    const std::string meta =
        keys.empty() ? "" : box("meta", handler + box("keys", names) + box("ilst", values));
    return box("ftyp", "qt  " + big(0, 4) + "qt  ") + box("mdat", std::string(70'000, 'x')) +
           box("moov", box("mvhd", header) + meta);
}

std::string sound_bytes(const std::vector<std::pair<std::string, std::string>>& frames) {
    std::string body;
    for (const auto& [id, text] : frames)
        body += id + big(static_cast<std::uint32_t>(text.size()) + 1, 4) + std::string(3, '\0') + text;
    const auto size = static_cast<std::uint32_t>(body.size());
    std::string out = std::string("ID3\x03\0\0", 6);
    for (int shift = 21; shift >= 0; shift -= 7) out += static_cast<char>(size >> shift & 0x7f);
    out += body;
    for (int frame = 0; frame < 4; ++frame)
        out += "\xff\xfb\x90\x64" + std::string(413, '\0');  // 417 bytes: MPEG 1 layer III, 128 kbit/s
    return out;
}

std::string zip_bytes(const std::vector<std::pair<std::string, std::string>>& parts) {
    std::string out(1 << 20, '\0');
    std::size_t used = 0;
    const std::unique_ptr<archive, decltype(&archive_write_free)> zip(archive_write_new(),
                                                                      &archive_write_free);
    archive_write_set_format_zip(zip.get());
    archive_write_open_memory(zip.get(), out.data(), out.size(), &used);
    for (const auto& [name, bytes] : parts) {
        const std::unique_ptr<archive_entry, decltype(&archive_entry_free)> entry(archive_entry_new(),
                                                                                  &archive_entry_free);
        archive_entry_set_pathname(entry.get(), name.c_str());
        archive_entry_set_size(entry.get(), static_cast<la_int64_t>(bytes.size()));
        archive_entry_set_filetype(entry.get(), AE_IFREG);
        archive_entry_set_perm(entry.get(), 0644);
        archive_write_header(zip.get(), entry.get());
        archive_write_data(zip.get(), bytes.data(), bytes.size());
    }
    archive_write_close(zip.get());
    out.resize(used);
    return out;
}

std::string open_document_bytes(const std::string& meta) {
    return zip_bytes(
        {{"mimetype", "application/vnd.oasis.opendocument.text"},
         {"content.xml", "<office:document-content xmlns:office=\"o\"/>"},
         {"meta.xml",
          "<office:document-meta xmlns:office=\"o\" xmlns:dc=\"d\" xmlns:meta=\"m\"><office:meta>" + meta +
              "</office:meta></office:document-meta>"}});
}

std::string office_bytes(const std::string& core, const std::string& app) {
    return zip_bytes(
        {{"[Content_Types].xml", "<Types/>"},
         {"docProps/app.xml", "<Properties>" + app + "</Properties>"},
         {"docProps/core.xml", "<cp:coreProperties xmlns:cp=\"c\" xmlns:dc=\"d\" xmlns:dcterms=\"t\">" +
                                   core + "</cp:coreProperties>"}});
}

std::string pdf_bytes(const std::vector<std::pair<std::string, std::string>>& info) {
    std::string out = "%PDF-1.4\n";
    std::vector<std::size_t> places;
    const auto object = [&](const std::string& text) {
        places.push_back(out.size());
        out += fmt::format("{} 0 obj\n{}\nendobj\n", places.size(), text);
    };
    object("<< /Type /Catalog /Pages 2 0 R >>");
    object("<< /Type /Pages /Kids [3 0 R] /Count 1 >>");
    object("<< /Type /Page /Parent 2 0 R /MediaBox [0 0 200 200] >>");
    std::string dictionary = "<<";
    for (const auto& [name, value] : info) dictionary += " /" + name + ' ' + value;
    object(dictionary + " >>");
    const std::size_t table = out.size();
    out += "xref\n0 5\n0000000000 65535 f \n";
    for (const std::size_t place : places) out += fmt::format("{:010} 00000 n \n", place);
    return out + fmt::format("trailer << /Size 5 /Root 1 0 R /Info 4 0 R >>\nstartxref\n{}\n%%EOF\n", table);
}
