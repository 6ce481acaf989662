// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QHeaderView>
#include <QMenu>
#include <QPushButton>

#include "archive/format.h"
#include "error_words.h"
#include "files/path.h"
#include "models/folder_model.h"
#include "tasks/bench.h"
#include "tasks/desktop_bookmarks.h"
#include "views/gathering/contact_sheet.h"
#include "views/gathering/gathering_side.h"
#include "views/gathering/places_menu.h"
#include "views/parts/opening.h"
#include "views/parts/row_view.h"

// The gathering side's menus: places, columns and order, and what can be done with a row.

using namespace tavlo;

void GatheringSide::openPlaces() {
    auto* menu = new PlacesMenu(folder(), bench_.job().into, this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    connect(menu, &PlacesMenu::chosen, this, &GatheringSide::openFolder);
    connect(menu, &PlacesMenu::bookmarkRequested, this, [this](const std::string& path, bool kept) {
        keeper_.ask(
            this, [path, kept](const std::stop_token&) { return keep_bookmark(path, kept); },
            [this](const Result<void>& done) {
                if (!done) emit said(error_words(done.error()));
            });
    });
    menu->popup(places_->mapToGlobal(QPoint(0, places_->height() + 4)));
}

void GatheringSide::chooseColumns(const QPoint& at) {
    QMenu menu(this);
    for (int column = 1; column < number(FolderColumn::folder); ++column) {
        auto* action = menu.addAction(model_->headerData(column, Qt::Horizontal, Qt::DisplayRole).toString());
        action->setCheckable(true);
        action->setChecked(!list_->isColumnHidden(column));
        connect(action, &QAction::toggled, this, [this, column](bool on) {
            list_->setColumnHidden(column, !on);
            keepShownColumns();
        });
    }
    menu.exec(list_->horizontalHeader()->mapToGlobal(at));
}

void GatheringSide::openMenu(const QPoint& at) {
    const QModelIndex index = view().indexAt(at);
    QMenu menu(this);
    if (index.isValid()) {
        const auto& row = model_->row(index.row());
        const std::string path = model_->path(index);
        const bool is_folder = row.status.type == FileType::folder;
        menu.addAction(tr("Pick or drop\tSpace"), this, &GatheringSide::togglePickOfSelected);
        if (is_folder) {
            menu.addAction(tr("Open"), this, [this, path] { openFolder(path); });
            menu.addAction(tr("Open in another window"), this,
                           [this, path] { emit otherWindowRequested(path); });
            menu.addAction(tr("Make it the destination"), this,
                           [this, path] { bench_.setDestination(path); });
            menu.addAction(tr("What stands out below it"), this, [this, path] { emit sizesRequested(path); });
        } else if (looks_like_archive(row.name)) {
            menu.addAction(tr("Look into the archive\tReturn"), this, [this, path] { openFolder(path); });
            menu.addAction(tr("Unpack"), this, [this, path] { emit unpackRequested({path}); });
        }
        if (!is_folder && model_->isBelow()) {
            menu.addAction(tr("Open the folder it lies in"), this,
                           [this, path] { openFolder(std::string(parent_of(path))); });
        }
        menu.addSeparator();
        add_opening(menu, path);
        menu.addSeparator();
        menu.addAction(tr("Rename…\tF2"), this, [this, index, name = row.name] {
            emit renameRequested(model_->folderOf(index.row()), name);
        });
        menu.addAction(tr("Move to the trash\tDel"), this, [this] { emit trashRequested(selectedPaths()); });
        menu.addSeparator();
    }
    menu.addAction(tr("New folder…\tCtrl+Shift+N"), this, &GatheringSide::newFolderRequested);
    menu.addAction(tr("What stands out below this folder"), this, [this] { emit sizesRequested(folder()); });
    if (&view() == sheet_) addSorting(menu);
    menu.exec(view().viewport()->mapToGlobal(at));
}

/// What the list's headings do, where there are none.
void GatheringSide::addSorting(QMenu& menu) {
    auto* by = menu.addMenu(tr("In the order of"));
    for (int column = 0; column < number(FolderColumn::folder); ++column) {
        auto* action = by->addAction(model_->headerData(column, Qt::Horizontal, Qt::DisplayRole).toString());
        action->setCheckable(true);
        action->setChecked(list_->horizontalHeader()->sortIndicatorSection() == column);
        connect(action, &QAction::triggered, this, [this, column] {
            const auto* header = list_->horizontalHeader();
            const bool turns = header->sortIndicatorSection() == column &&
                               header->sortIndicatorOrder() == Qt::AscendingOrder;
            list_->sortByColumn(column, turns ? Qt::DescendingOrder : Qt::AscendingOrder);
        });
    }
}
