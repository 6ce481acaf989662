// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/opening.h"

#include <QAbstractItemView>
#include <QApplication>
#include <QClipboard>
#include <QCoreApplication>
#include <QDesktopServices>
#include <QMenu>

#include "files/path.h"
#include "text.h"

namespace {
struct Opening {
    Q_DECLARE_TR_FUNCTIONS(Opening)
};
}  // namespace

QUrl file_address(const std::string& path) {
    return QUrl::fromEncoded("file://" + QByteArray::fromStdString(path).toPercentEncoding("/"),
                             QUrl::StrictMode);
}

void open_in_its_program(const std::string& path) { QDesktopServices::openUrl(file_address(path)); }

void add_opening(QMenu& menu, const std::string& path) {
    menu.addAction(Opening::tr("Open in its own program"), &menu, [path] { open_in_its_program(path); })
        ->setObjectName(QStringLiteral("openFile"));
    menu.addAction(Opening::tr("Open the folder it lies in"), &menu,
                   [path] { open_in_its_program(std::string(tavlo::parent_of(path))); });
    menu.addAction(Opening::tr("Copy its path as text"), &menu,
                   [path] { QApplication::clipboard()->setText(shown(path)); })
        ->setObjectName(QStringLiteral("copyPath"));
}

void offer_opening_menu(QAbstractItemView& list, PathOf path_of) {
    list.setContextMenuPolicy(Qt::CustomContextMenu);
    QObject::connect(&list, &QWidget::customContextMenuRequested, &list,
                     [&list, path_of = std::move(path_of)](const QPoint& at) {
                         const QModelIndex index = list.indexAt(at);
                         const std::string path = index.isValid() ? path_of(index) : std::string();
                         if (path.empty()) return;
                         QMenu menu(&list);
                         add_opening(menu, path);
                         menu.exec(list.viewport()->mapToGlobal(at));
                     });
}

void offer_opening(QAbstractItemView& list, const PathOf& path_of) {
    offer_opening_menu(list, path_of);
    QObject::connect(&list, &QAbstractItemView::doubleClicked, &list, [path_of](const QModelIndex& index) {
        if (const std::string path = path_of(index); !path.empty()) open_in_its_program(path);
    });
}
