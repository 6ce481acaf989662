// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <archive.h>
#include <archive_entry.h>
#include <fmt/format.h>

#include <fstream>
#include <memory>
#include <stdexcept>

#include "makers.h"

namespace demo {

namespace {

std::string escaped(const std::string& text) {
    std::string out;
    for (const char c : text) {
        if (c == '&')
            out += "&amp;";
        else if (c == '<')
            out += "&lt;";
        else if (c == '>')
            out += "&gt;";
        else
            out += c;
    }
    return out;
}

std::string iso(const Moment& m) {
    return fmt::format("{:04}-{:02}-{:02}T{:02}:{:02}:{:02}", m.year, m.month, m.day, m.hour, m.minute,
                       m.second);
}

/// A zip whose entries carry no dates of the day it was made.
class Zip {
public:
    explicit Zip(const std::filesystem::path& path)
        : path_(path), archive_(archive_write_new(), &archive_write_free) {
        archive_write_set_format_zip(archive_.get());
        check(archive_write_open_filename(archive_.get(), path.c_str()));
    }
    void add(const std::string& name, const std::string& bytes, bool compressed = true) {
        check(compressed ? archive_write_zip_set_compression_deflate(archive_.get())
                         : archive_write_zip_set_compression_store(archive_.get()));
        const std::unique_ptr<archive_entry, decltype(&archive_entry_free)> entry(archive_entry_new(),
                                                                                  &archive_entry_free);
        archive_entry_set_pathname(entry.get(), name.c_str());
        archive_entry_set_size(entry.get(), static_cast<la_int64_t>(bytes.size()));
        archive_entry_set_filetype(entry.get(), AE_IFREG);
        archive_entry_set_perm(entry.get(), 0644);
        archive_entry_set_mtime(entry.get(), 1'900'000'000, 0);
        check(archive_write_header(archive_.get(), entry.get()));
        if (archive_write_data(archive_.get(), bytes.data(), bytes.size()) < 0) check(ARCHIVE_FATAL);
    }
    void close() { check(archive_write_close(archive_.get())); }

private:
    void check(int status) {
        if (status < ARCHIVE_WARN)
            throw std::runtime_error(path_.string() + ": " + archive_error_string(archive_.get()));
    }
    std::filesystem::path path_;
    std::unique_ptr<archive, decltype(&archive_write_free)> archive_;
};

constexpr const char* xml = "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n";

// OpenDocument 1.2 packages
void write_odf(const std::filesystem::path& path, const std::string& type, const std::string& title,
               const Writer& writer, const Moment& made, const std::string& body) {
    const std::string& author = writer.author;
    const std::string company = writer.company.empty() ? std::string()
                                                       : "<meta:user-defined meta:name=\"Company\">" +
                                                             escaped(writer.company) + "</meta:user-defined>";
    Zip zip(path);
    zip.add("mimetype", type, false);
    zip.add("META-INF/manifest.xml",
            fmt::format(
                "{}<manifest:manifest xmlns:manifest=\"urn:oasis:names:tc:opendocument:xmlns:manifest:1.0\" "
                "manifest:version=\"1.2\">"
                "<manifest:file-entry manifest:full-path=\"/\" manifest:media-type=\"{}\"/>"
                "<manifest:file-entry manifest:full-path=\"content.xml\" manifest:media-type=\"text/xml\"/>"
                "<manifest:file-entry manifest:full-path=\"meta.xml\" "
                "manifest:media-type=\"text/xml\"/></manifest:manifest>",
                xml, type));
    zip.add("meta.xml",
            fmt::format(
                "{}<office:document-meta xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
                "xmlns:dc=\"http://purl.org/dc/elements/1.1/\" "
                "xmlns:meta=\"urn:oasis:names:tc:opendocument:xmlns:meta:1.0\" "
                "office:version=\"1.2\"><office:meta><dc:title>{}</dc:title><meta:initial-creator>{}</"
                "meta:initial-creator>"
                "<dc:creator>{}</dc:creator><meta:creation-date>{}</meta:creation-date>{}</office:meta></"
                "office:document-meta>",
                xml, escaped(title), escaped(author), escaped(author), iso(made), company));
    zip.add(
        "content.xml",
        fmt::format(
            "{}<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\" "
            "xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\" "
            "xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\" office:version=\"1.2\">"
            "<office:body>{}</office:body></office:document-content>",
            xml, body));
    zip.close();
}

}  // namespace

void write_odt(const std::filesystem::path& path, const std::string& title, const Writer& writer,
               const Moment& made, const Page& page) {
    std::string body = "<office:text><text:h text:outline-level=\"1\">" + escaped(page.heading) + "</text:h>";
    for (const auto& line : page.lines) body += "<text:p>" + escaped(line) + "</text:p>";
    write_odf(path, "application/vnd.oasis.opendocument.text", title, writer, made, body + "</office:text>");
}

void write_ods(const std::filesystem::path& path, const std::string& title, const std::string& author,
               const Moment& made, const std::vector<std::vector<std::string>>& rows) {
    std::string body = "<office:spreadsheet><table:table table:name=\"Sheet\">";
    for (const auto& row : rows) {
        body += "<table:table-row>";
        for (const auto& cell : row)
            body += "<table:table-cell office:value-type=\"string\"><text:p>" + escaped(cell) +
                    "</text:p></table:table-cell>";
        body += "</table:table-row>";
    }
    write_odf(path, "application/vnd.oasis.opendocument.spreadsheet", title, {author}, made,
              body + "</table:table></office:spreadsheet>");
}

// Office Open XML (ECMA-376), the least that a word processor opens
void write_docx(const std::filesystem::path& path, const std::string& title, const Writer& writer,
                const Moment& made, const Page& page) {
    const std::string& author = writer.author;
    Zip zip(path);
    zip.add("[Content_Types].xml",
            std::string(xml) +
                "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
                "<Default Extension=\"rels\" "
                "ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
                "<Override PartName=\"/word/document.xml\" "
                "ContentType=\"application/"
                "vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml\"/>"
                "<Override PartName=\"/docProps/core.xml\" "
                "ContentType=\"application/vnd.openxmlformats-package.core-properties+xml\"/>"
                "<Override PartName=\"/docProps/app.xml\" "
                "ContentType=\"application/vnd.openxmlformats-officedocument.extended-properties+xml\"/></"
                "Types>");
    zip.add(
        "_rels/.rels",
        std::string(xml) +
            "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
            "<Relationship Id=\"r1\" "
            "Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument\" "
            "Target=\"word/document.xml\"/><Relationship Id=\"r2\" "
            "Type=\"http://schemas.openxmlformats.org/package/2006/relationships/metadata/core-properties\" "
            "Target=\"docProps/core.xml\"/><Relationship Id=\"r3\" "
            "Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/"
            "extended-properties\" "
            "Target=\"docProps/app.xml\"/></Relationships>");
    zip.add("docProps/app.xml",
            fmt::format("{}<Properties "
                        "xmlns=\"http://schemas.openxmlformats.org/officeDocument/2006/extended-properties\">"
                        "<Company>{}</Company></Properties>",
                        xml, escaped(writer.company)));
    zip.add("docProps/core.xml",
            fmt::format(
                "{}<cp:coreProperties "
                "xmlns:cp=\"http://schemas.openxmlformats.org/package/2006/metadata/core-properties\" "
                "xmlns:dc=\"http://purl.org/dc/elements/1.1/\" xmlns:dcterms=\"http://purl.org/dc/terms/\" "
                "xmlns:xsi=\"http://www.w3.org/2001/XMLSchema-instance\"><dc:title>{}</"
                "dc:title><dc:creator>{}</dc:creator>"
                "<dcterms:created xsi:type=\"dcterms:W3CDTF\">{}Z</dcterms:created></cp:coreProperties>",
                xml, escaped(title), escaped(author), iso(made)));
    std::string body;
    for (const auto& line : page.lines) body += "<w:p><w:r><w:t>" + escaped(line) + "</w:t></w:r></w:p>";
    zip.add(
        "word/document.xml",
        fmt::format(
            "{}<w:document xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\"><w:body>"
            "<w:p><w:r><w:t>{}</w:t></w:r></w:p>{}</w:body></w:document>",
            xml, escaped(page.heading), body));
    zip.close();
}

void write_text(const std::filesystem::path& path, const std::string& text) {
    std::ofstream out(path, std::ios::binary);
    out << text;
    if (!out.flush()) throw std::runtime_error(path.string() + ": cannot be written");
}

}  // namespace demo
