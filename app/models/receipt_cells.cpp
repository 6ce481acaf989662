// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/receipt_cells.h"

#include <QCoreApplication>

#include "error_words.h"
#include "files/path.h"
#include "sentence.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {
struct Receipts {
    Q_DECLARE_TR_FUNCTIONS(Receipts)
};
}  // namespace

QVariant receipt_cell(const ReceiptItem& item, int column, int role, const std::string& destination) {
    if (role == ReceiptColumns::ToneRole) {
        switch (item.result) {
            case Outcome::failed:
            case Outcome::undecided: return static_cast<int>(Tone::waiting);
            case Outcome::overwritten:
            case Outcome::removed: return static_cast<int>(Tone::takes_away);
            case Outcome::created:
            case Outcome::renamed:
            case Outcome::restored: return static_cast<int>(Tone::fresh);
            case Outcome::planned:
            case Outcome::skipped:
            case Outcome::merged: return static_cast<int>(Tone::plain);
        }
    }
    if (role == Qt::ToolTipRole)
        return Receipts::tr("from %1\nto %2").arg(shown(item.source), shown(item.place()));
    if (role != Qt::DisplayRole) return {};
    switch (column) {
        case ReceiptColumns::Name: {
            const QString name = shown(name_of(item.source));
            return item.type == FileType::folder ? name + QLatin1Char('/') : name;
        }
        case ReceiptColumns::Size:
            return item.type == FileType::file ? size_text(item.size_bytes) : QString();
        case ReceiptColumns::Result: return result_words(item);
        case ReceiptColumns::Where: {
            if (!item.error.empty()) return told_words(item.error);
            if (!item.not_kept.empty()) return Receipts::tr("without: %1").arg(shown(item.not_kept));
            if (item.result == Outcome::overwritten) return Receipts::tr("old one in the Safe");
            if (item.result == Outcome::removed && item.shelf == Shelf::trash) return shelf_words(item.shelf);
            if (item.result == Outcome::removed)
                return item.set_aside.empty() ? Receipts::tr("the folder was empty")
                                              : Receipts::tr("to the Safe");
            if (item.result == Outcome::skipped) {
                const bool same = item.collision && item.collision->finding == Finding::same;
                return same ? Receipts::tr("same bytes") : Receipts::tr("stays as it was");
            }
            if (item.result == Outcome::undecided) return Receipts::tr("left as they were, both");
            if (item.result == Outcome::planned) return Receipts::tr("the run was stopped before it");
            if (item.result == Outcome::renamed || item.role == Role::renamed)
                return Receipts::tr("as %1").arg(shown(name_of(item.place())));
            const std::string folder(parent_of(item.place()));
            return is_within(folder, destination) && folder != destination
                       ? shown(folder.substr(destination.size() + 1))
                       : short_path(folder);
        }
        default: return {};
    }
}

QVariant receipt_header(int section, Qt::Orientation orientation, int role) {
    if (orientation != Qt::Horizontal) return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(section == ReceiptColumns::Size ? Qt::AlignRight | Qt::AlignVCenter
                                                                   : Qt::AlignLeft | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case ReceiptColumns::Name: return Receipts::tr("Name");
        case ReceiptColumns::Size: return Receipts::tr("Size");
        case ReceiptColumns::Result: return Receipts::tr("Result");
        case ReceiptColumns::Where: return Receipts::tr("Where, or why");
        default: return {};
    }
}
