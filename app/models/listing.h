// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <Qt>
#include <cstdint>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "select/criteria.h"
#include "select/pick_index.h"
#include "tasks/arrivals.h"

/// A folder's entries, or all that fits below it, as they were read: an immutable snapshot.
struct Listing {
    struct Row {
        std::string name;
        tavlo::Status status;
        std::uint32_t folder = 0;  ///< in `folders`: where it lies
    };
    std::string path;
    bool below = false;                    ///< everything below the folder, not only what lies in it
    bool complete = true;                  ///< false while a search goes on
    std::vector<std::string> folders{{}};  ///< from `path`; "" is itself
    std::vector<Row> rows;
    std::uint64_t bytes = 0;  ///< of the files
    std::size_t folder_count = 0;
    std::map<std::uint32_t, QString> owners;
    QString problem;  ///< why it could not be read

    std::string folder_of(const Row& row) const;
    std::string path_of(const Row& row) const;
};

/// What of a listing is shown, and in which order.
struct ListOrder {
    tavlo::Selector selector{};
    tavlo::Criteria criteria{};
    bool hidden = false;
    std::shared_ptr<const Arrivals> only{};  ///< what came in with a run, and nothing else; null: all
    int column = 0;
    Qt::SortOrder order = Qt::AscendingOrder;
};

enum class FolderColumn { name, kind, size, changed, owner, permissions, folder };
inline constexpr int folder_column_count = 7;
constexpr int number(FolderColumn column) { return static_cast<int>(column); }

/// "rwxr-x---", as ls(1) writes it.
QString permissions_text(std::uint32_t mode);
/// What sort of thing a row is, in words.
QString kind_text(const Listing::Row& row, const tavlo::Kinds& kinds);

// On another thread:

/// Where reading takes long, sends the first rows before the whole.
void read_listing(const std::string& path, const std::stop_token& stop,
                  const std::function<void(std::shared_ptr<const Listing>)>& send);
/// Sends growing listings while the search goes on, and the whole one at the end.
void search_listing(const std::string& path, const tavlo::Selector& selector, bool hidden,
                    const std::stop_token& stop,
                    const std::function<void(std::shared_ptr<const Listing>)>& send);
/// The numbers of the rows that are shown, sorted.
std::vector<std::uint32_t> arrange(
    const Listing& listing, const ListOrder& order, const tavlo::Kinds& kinds,
    const std::function<std::optional<std::uint64_t>(const std::string& path)>& folder_bytes);
