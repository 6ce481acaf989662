// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <archive.h>
#include <archive_entry.h>
#include <poppler-document.h>
#include <poppler-global.h>

#include <memory>
#include <pugixml.hpp>
#include <string_view>

#include "telling.h"

using tavlo::FileFacts;

namespace {

constexpr std::size_t most_bytes = 4 << 20;  // of one part
constexpr int most_parts = 100'000;

void put_date(FileFacts& facts, const char* name, std::string_view text) {
    if (const auto moment = tavlo::moment_from(text)) facts.set(name, *moment);
}

std::string trimmed(std::string_view text) {
    const auto first = text.find_first_not_of(" \t\r\n");
    return first == std::string_view::npos
               ? std::string()
               : std::string(text.substr(first, text.find_last_not_of(" \t\r\n") - first + 1));
}

/// Without its prefix: which namespace it stands for is the document's to choose.
std::string_view local_name(const pugi::xml_node& node) {
    const std::string_view name = node.name();
    const auto colon = name.find(':');
    return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

std::string child(const pugi::xml_node& parent, std::string_view name) {
    for (const auto& node : parent.children())
        if (local_name(node) == name) return trimmed(node.child_value());
    return {};
}

void tell_core_properties(const pugi::xml_node& properties, FileFacts& facts) {
    facts.set("author", child(properties, "creator"));
    facts.set("title", child(properties, "title"));
    facts.set("subject", child(properties, "subject"));
    put_date(facts, "created", child(properties, "created"));
}

void tell_open_document(const pugi::xml_node& document, FileFacts& facts) {
    for (const auto& meta : document.children()) {
        if (local_name(meta) != "meta") continue;
        facts.set("author", child(meta, "initial-creator"));
        facts.set("author", child(meta, "creator"));
        facts.set("title", child(meta, "title"));
        facts.set("subject", child(meta, "subject"));
        put_date(facts, "created", child(meta, "creation-date"));
        for (const auto& node :
             meta.children())  // there is no company among the elements that the standard names
            if (const pugi::xml_attribute name = node.find_attribute(
                    [](const auto& one) { return std::string_view(one.name()).ends_with("name"); });
                local_name(node) == "user-defined" && std::string_view(name.value()) == "Company")
                facts.set("company", trimmed(node.child_value()));
    }
}

void tell_part(std::string_view name, const std::string& bytes, FileFacts& facts) {
    pugi::xml_document xml;
    if (!xml.load_buffer(bytes.data(), bytes.size())) return;
    const pugi::xml_node root = xml.document_element();
    if (name == "docProps/core.xml") tell_core_properties(root, facts);
    if (name == "docProps/app.xml") facts.set("company", child(root, "Company"));
    if (name == "meta.xml" && local_name(root) == "document-meta") tell_open_document(root, facts);
}

std::string text_of(archive& zip) {
    std::string bytes;
    std::string piece(64 * 1024, '\0');
    for (;;) {
        const la_ssize_t count = ::archive_read_data(&zip, piece.data(), piece.size());
        if (count <= 0) break;
        bytes.append(piece.data(), static_cast<std::size_t>(count));
        if (bytes.size() > most_bytes) return {};
    }
    return bytes;
}

}  // namespace

void tell_zipped_document(const std::string& path, FileFacts& facts) {
    const std::unique_ptr<archive, decltype(&::archive_read_free)> zip(::archive_read_new(),
                                                                       &::archive_read_free);
    ::archive_read_support_format_zip_seekable(zip.get());
    if (::archive_read_open_filename(zip.get(), path.c_str(), 64 * 1024) != ARCHIVE_OK) return;
    archive_entry* entry = nullptr;
    for (int parts = 0; parts < most_parts && ::archive_read_next_header(zip.get(), &entry) == ARCHIVE_OK;
         ++parts) {
        const char* name = ::archive_entry_pathname(entry);
        const std::string_view part = name == nullptr ? std::string_view() : name;
        if (part == "docProps/core.xml" || part == "docProps/app.xml" || part == "meta.xml")
            tell_part(part, text_of(*zip), facts);
    }
}

void tell_pdf(const std::string& path, FileFacts& facts) {
    poppler::set_debug_error_function([](const std::string&, void*) {}, nullptr);
    const std::unique_ptr<poppler::document> document(poppler::document::load_from_file(path));
    if (!document || document->is_locked()) return;
    const auto info = [&](const char* key) {
        const auto bytes = document->info_key(key).to_utf8();
        return trimmed({bytes.data(), bytes.size()});
    };
    facts.set("author", info("Author"));
    facts.set("company", info("Company"));
    facts.set("title", info("Title"));
    facts.set("subject", info("Subject"));
    put_date(facts, "created", info("CreationDate"));
}
