// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/printing.h"

#include <QPrintDialog>
#include <QPrinter>
#include <QTextDocument>
#include <memory>

#include "tasks/worker.h"

void print_html(QPrinter& printer, const QString& html) {
    QTextDocument document;
    document.setDefaultFont(QFont(document.defaultFont().family(), 8));
    document.setHtml(html);
    document.print(&printer);
}

void print_page(QWidget& parent, Worker& worker, const QString& title, std::function<QString()> html) {
    auto printer = std::make_shared<QPrinter>();
    printer->setDocName(title);
    QPrintDialog dialog(printer.get(), &parent);
    dialog.setWindowTitle(title);
    if (dialog.exec() != QDialog::Accepted) return;
    worker.post([printer, html = std::move(html)](const std::stop_token&) { print_html(*printer, html()); });
}
