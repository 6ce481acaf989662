// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/listing.h"

#include <pwd.h>
#include <sys/types.h>
#include <unistd.h>

#include <QCoreApplication>
#include <algorithm>
#include <chrono>

#include "archive/archive_files.h"
#include "error_words.h"
#include "files/natural.h"
#include "files/own.h"
#include "files/path.h"
#include "select/name_filter.h"
#include "select/walk.h"
#include "text.h"

using namespace tavlo;

namespace {

struct Words {
    Q_DECLARE_TR_FUNCTIONS(Listing)
};

constexpr std::chrono::milliseconds first_sign{100};  // of a search
constexpr std::chrono::milliseconds first_rows{30};   // of a folder that takes long to read
constexpr double growth = 1.5;  // from one listing that is sent to the next, so that copying stays cheap

QString owner_name(std::uint32_t id) {
    passwd entry{};
    passwd* found = nullptr;
    char memory[4096];
    if (::getpwuid_r(id, &entry, memory, sizeof memory, &found) == 0 && found != nullptr)
        return QString::fromLocal8Bit(entry.pw_name);
    return QString::number(id);
}

void add(Listing& listing, std::string name, const Status& status, std::uint32_t folder) {
    if (status.type == FileType::folder) ++listing.folder_count;
    if (status.type == FileType::file) listing.bytes += status.id.size_bytes;
    if (const auto [owner, fresh] = listing.owners.try_emplace(status.owner); fresh)
        owner->second = owner_name(status.owner);
    listing.rows.push_back({std::move(name), status, folder});
}

}  // namespace

std::string Listing::folder_of(const Row& row) const {
    return row.folder == 0 ? path : join(path, folders[row.folder]);
}
std::string Listing::path_of(const Row& row) const { return join(folder_of(row), row.name); }

QString permissions_text(std::uint32_t mode) {
    QString text = QStringLiteral("rwxrwxrwx");
    for (int bit = 0; bit < 9; ++bit)
        if ((mode & (1U << (8 - bit))) == 0) text[bit] = QLatin1Char('-');
    if ((mode & 04000U) != 0) text[2] = QLatin1Char('s');
    if ((mode & 02000U) != 0) text[5] = QLatin1Char('s');
    if ((mode & 01000U) != 0) text[8] = QLatin1Char('t');
    return text;
}

QString kind_text(const Listing::Row& row, const Kinds& kinds) {
    switch (row.status.type) {
        case FileType::folder: return Words::tr("folder");
        case FileType::link: return Words::tr("link");
        case FileType::other: return Words::tr("special");
        case FileType::file: break;
    }
    const QString extension = QString::fromStdString(to_utf8(extension_of(row.name)));
    const Kind* kind = kinds.of(row.name);
    if (kind == nullptr) return extension.isEmpty() ? Words::tr("file") : Words::tr("%1 file").arg(extension);
    return QStringLiteral("%1 · %2").arg(QString::fromStdString(kind->name), extension);
}

void read_listing(const std::string& path, const std::stop_token& stop,
                  const std::function<void(std::shared_ptr<const Listing>)>& send) {
    auto listing = std::make_shared<Listing>();
    listing->path = path;
    const auto disk = make_disk_with_archives();
    const auto began = std::chrono::steady_clock::now();
    const auto folder = disk->open_folder(path);
    auto names = folder ? disk->list(*folder) : Result<std::vector<Name>>(failure(folder.error()));
    if (!names) {
        listing->problem = reason_words(names.error());
        return send(listing);
    }
    listing->rows.reserve(names->size());
    bool sent = false;
    for (Name& name : *names) {
        if (stop.stop_requested()) return;
        if (is_own(*disk, *folder, name.bytes)) continue;
        if (name.bytes.find('\0') != std::string::npos)
            continue;  // the second of one name in an archive: only taken out with all
        const auto status = disk->status(*folder, name.bytes);
        if (status) add(*listing, std::move(name.bytes), *status, 0);  // else it went away meanwhile
        if (sent || listing->rows.size() % 256 != 0 || std::chrono::steady_clock::now() - began < first_rows)
            continue;
        sent = true;
        auto first = std::make_shared<Listing>(*listing);
        first->complete = false;
        send(first);
    }
    send(listing);
}

void search_listing(const std::string& path, const Selector& selector, bool hidden,
                    const std::stop_token& stop,
                    const std::function<void(std::shared_ptr<const Listing>)>& send) {
    Listing found;
    found.path = path;
    found.below = true;
    found.complete = false;
    const auto disk = make_disk_with_archives();
    const auto began = std::chrono::steady_clock::now();
    std::size_t sent = 0;
    std::size_t looked_at = 0;
    const auto walked = walk_below(*disk, path, stop, [&](const Met& met) {
        const bool in_sight = hidden || met.name.front() != '.';
        if (in_sight && met.status.type != FileType::folder && selector.fits(met.name, met.status)) {
            if (found.folders.back() != met.folder) found.folders.push_back(met.folder);
            add(found, met.name, met.status, static_cast<std::uint32_t>(found.folders.size() - 1));
        }
        const bool grown = static_cast<double>(found.rows.size()) > static_cast<double>(sent) * growth;
        if (++looked_at % 256 == 0 && grown && std::chrono::steady_clock::now() - began > first_sign) {
            sent = found.rows.size();
            send(std::make_shared<const Listing>(found));
        }
        return in_sight && (met.status.type != FileType::folder || selector.may_enter(met.name));
    });
    if (!walked && walked.error().fault == Fault::cancelled) return;
    if (!walked)
        found.problem = reason_words(walked.error());
    else if (walked->unread > 0)
        found.problem = Words::tr("%Ln folders could not be read", nullptr, static_cast<int>(walked->unread));
    found.complete = true;
    send(std::make_shared<const Listing>(std::move(found)));
}

namespace {

/// The numbers of the rows that fit, as they were read.
std::vector<std::uint32_t> fitting(const Listing& listing, const ListOrder& order) {
    std::vector<std::uint32_t> rows;
    const NameFilter words(order.criteria.words, order.criteria.match_case);
    // a folder is shown by its name alone; where something is asked that only a file can have, it is out of
    // the question
    Criteria only_words;
    only_words.words = order.criteria.words;
    only_words.match_case = order.criteria.match_case;
    only_words.not_below = order.criteria.not_below;
    const bool folders_in_question = only_words == order.criteria;
    for (std::uint32_t i = 0; i < listing.rows.size(); ++i) {
        const Listing::Row& row = listing.rows[i];
        if (!order.hidden && row.name.front() == '.') continue;
        if (order.only && !order.only->places.contains(listing.path_of(row))) continue;
        const bool fits =
            row.status.type == FileType::folder
                ? folders_in_question && words.fits(row.name) && order.selector.may_enter(row.name)
                : listing.below || order.selector.fits(row.name, row.status);
        if (fits) rows.push_back(i);
    }
    return rows;
}

}  // namespace

std::vector<std::uint32_t> arrange(
    const Listing& listing, const ListOrder& order, const Kinds& kinds,
    const std::function<std::optional<std::uint64_t>(const std::string& path)>& folder_bytes) {
    std::vector<std::uint32_t> rows = fitting(listing, order);
    std::vector<QString> kind_of;
    std::vector<std::uint64_t> size_of;
    const auto column = static_cast<FolderColumn>(order.column);
    if (column == FolderColumn::kind) {
        kind_of.resize(listing.rows.size());
        for (const auto i : rows) kind_of[i] = kind_text(listing.rows[i], kinds);
    }
    if (column == FolderColumn::size) {
        size_of.resize(listing.rows.size());
        for (const auto i : rows) {
            const Listing::Row& row = listing.rows[i];
            size_of[i] = row.status.type == FileType::folder ? folder_bytes(listing.path_of(row)).value_or(0)
                                                             : row.status.id.size_bytes;
        }
    }
    const auto compared = [&](std::uint32_t a, std::uint32_t b) {  // below 0: a comes first
        const Listing::Row& x = listing.rows[a];
        const Listing::Row& y = listing.rows[b];
        const auto three_way = [](const auto& p, const auto& q) { return p < q ? -1 : q < p ? 1 : 0; };
        switch (column) {
            case FolderColumn::name: return 0;
            case FolderColumn::kind: return three_way(kind_of[a], kind_of[b]);
            case FolderColumn::size: return three_way(size_of[a], size_of[b]);
            case FolderColumn::changed: return three_way(x.status.id.modified_ns, y.status.id.modified_ns);
            case FolderColumn::owner: return three_way(x.status.owner, y.status.owner);
            case FolderColumn::permissions: return three_way(x.status.mode, y.status.mode);
            case FolderColumn::folder: return three_way(listing.folders[x.folder], listing.folders[y.folder]);
        }
        return 0;
    };
    std::sort(rows.begin(), rows.end(), [&](std::uint32_t a, std::uint32_t b) {
        const bool a_folder = listing.rows[a].status.type == FileType::folder;
        if (a_folder != (listing.rows[b].status.type == FileType::folder)) return a_folder;
        if (order.order == Qt::DescendingOrder) std::swap(a, b);
        if (const int first = compared(a, b); first != 0) return first < 0;
        const Listing::Row& x = listing.rows[a];
        const Listing::Row& y = listing.rows[b];
        if (x.name == y.name) return listing.folders[x.folder] < listing.folders[y.folder];
        return natural_less(x.name, y.name);
    });
    return rows;
}
