// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <functional>

class Worker;
class QPrinter;
class QWidget;

/// Asks where to print, to paper or into a PDF file, and prints a page of rich text, which is made and set on
/// `worker`.
void print_page(QWidget& parent, Worker& worker, const QString& title, std::function<QString()> html);

/// Sets rich text on the pages of a printer, each with its number.
void print_html(QPrinter& printer, const QString& html);
