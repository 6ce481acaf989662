// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/check.h"

#include "files/contents.h"

namespace tavlo {

std::string_view to_text(Difference difference) noexcept {
    switch (difference) {
        case Difference::none: return "none";
        case Difference::missing: return "missing";
        case Difference::bytes: return "bytes";
        case Difference::attributes: return "attributes";
        case Difference::unreadable: return "unreadable";
    }
    return {};
}

Checker::Checker(FileSystem& disk, const ReceiptHead& head, std::stop_token stop)
    : look_(disk, head.roots), disk_(disk), stop_(std::move(stop)) {}

Difference Checker::check(const ReceiptItem& item) {
    if (is_packed(item.action)) return Difference::none;  // its archive is compared whole
    if (!arrives(item.result) && item.result != Outcome::merged) return Difference::none;
    const auto now = look_.status(item.place());
    if (!now) return now.error().fault == Fault::not_found ? Difference::missing : Difference::unreadable;
    if (now->type != item.type) return Difference::missing;
    if (item.result == Outcome::merged) return Difference::none;  // its attributes were and are its own
    if (item.type == FileType::file) return check_file(item, *now);
    return item.type == FileType::folder && now->mode != item.after_mode ? Difference::attributes
                                                                         : Difference::none;
}

Difference Checker::check_file(const ReceiptItem& item, const Status& now) {
    if (now.id.size_bytes != item.after.size_bytes) return Difference::bytes;
    const bool dated_otherwise = now.id.modified_ns != item.after.modified_ns;
    const auto but_for_attributes = [&] {
        return now.mode != item.after_mode || dated_otherwise ? Difference::attributes : Difference::none;
    };
    if (!item.hash.empty()) {
        const auto file = look_.open_file(item.place());
        const auto hash =
            file ? hash_of(disk_, file->file, Meter{stop_, {}}) : Result<std::string>(failure(file.error()));
        if (!hash) return Difference::unreadable;
        return *hash != item.hash ? Difference::bytes : but_for_attributes();
    }
    if (item.action == Action::copy) {
        const auto source = look_.status(item.source);
        const bool stands = source && source->type == FileType::file &&
                            source->id.size_bytes == item.size_bytes &&
                            source->id.modified_ns == item.modified_ns;
        if (const auto a =
                stands ? look_.open_file(item.source) : Result<OpenedFile>(failure(Fault::not_found, "", ""));
            a) {
            const auto b = look_.open_file(item.place());
            const auto same =
                b ? same_bytes(disk_, a->file, b->file, Meter{stop_, {}}) : Result<bool>(failure(b.error()));
            if (!same) return Difference::unreadable;
            return *same ? but_for_attributes() : Difference::bytes;
        }
    }
    if (dated_otherwise)
        return Difference::bytes;  // nothing to compare with: another date must count as other bytes
    const bool status_changed = now.links == 1 && now.status_changed_ns != item.after_status_changed_ns;
    return status_changed ? Difference::attributes : but_for_attributes();
}

}  // namespace tavlo
