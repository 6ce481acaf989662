// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QItemSelectionModel>
#include <QLabel>

#include "models/folder_model.h"
#include "tasks/bench.h"
#include "text.h"
#include "views/gathering/filter_bar.h"
#include "views/gathering/gathering_side.h"
#include "views/parts/elided_label.h"
#include "views/parts/row_view.h"

// What the gathering side says below and in place of its list.

using namespace tavlo;

void GatheringSide::refreshTotals() {
    const Listing& listing = model_->listing();
    const auto shown_rows = static_cast<std::uint64_t>(model_->rowCount());
    const auto selected = list_->selectionModel()->selectedRows().size();
    QStringList parts;
    if (listing.below) {
        parts << (listing.complete
                      ? tr("%Ln fit, here and below", nullptr, static_cast<int>(listing.rows.size()))
                      : tr("%Ln fit so far, looking on…", nullptr, static_cast<int>(listing.rows.size())));
    } else {
        parts << (shown_rows == listing.rows.size()
                      ? tr("%Ln here", nullptr, static_cast<int>(listing.rows.size()))
                  : filter_->state().isEmpty()
                      ? tr("%1 here, %2 hidden")
                            .arg(count_text(shown_rows), count_text(listing.rows.size() - shown_rows))
                      : tr("%1 of %2 shown").arg(count_text(shown_rows), count_text(listing.rows.size())));
        if (listing.folder_count > 0)
            parts << tr("%Ln folders", nullptr, static_cast<int>(listing.folder_count));
    }
    parts << size_text(listing.bytes);
    if (selected > 0) parts << tr("%Ln selected", nullptr, static_cast<int>(selected));
    totals_->setText(parts.join(QStringLiteral(" · ")));
    const auto here = bench_.picks().in(listing.path);
    const auto all = bench_.picks().count();
    in_batch_->setText(all == 0   ? QString()
                       : here > 0 ? tr("%Ln picked here", nullptr, static_cast<int>(here))
                                  : tr("%Ln in the batch", nullptr, static_cast<int>(all)));
    refreshEmpty();
}

void GatheringSide::refreshEmpty() {
    const Listing& listing = model_->listing();
    if (!listing.problem.isEmpty() && listing.rows.empty())
        empty_->setText(tr("This folder cannot be read: %1").arg(listing.problem));
    else if (model_->rowCount() > 0)
        empty_->clear();
    else if (model_->isLoading() && (listing.rows.empty() || listing.below))
        empty_->setText(listing.below ? tr("Looking…") : QString());
    else if (listing.rows.empty() && !listing.below)
        empty_->setText(tr("This folder is empty."));
    else if (!filter_->state().isEmpty() || listing.below)
        empty_->setText(tr("Nothing here fits the filter (Esc clears it)."));
    else
        empty_->setText(tr("Everything here is hidden (Ctrl+H shows it)."));
}
