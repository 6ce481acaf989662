// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QUrl>
#include <functional>
#include <string>

class QAbstractItemView;
class QMenu;
class QModelIndex;

/// A path as an address, byte for byte (RFC 8089).
QUrl file_address(const std::string& path);
/// In the program that the desktop has for it.
void open_in_its_program(const std::string& path);
/// What can be done with a thing besides: it opens in its own program, its folder does, its path is copied as
/// text.
/// path  where it lies now
void add_opening(QMenu& menu, const std::string& path);
/// path_of  of a row; empty: there is nothing to open
using PathOf = std::function<std::string(const QModelIndex&)>;
/// A list whose rows can be opened so, by its menu.
void offer_opening_menu(QAbstractItemView& list, PathOf path_of);
/// The same, and by double click.
void offer_opening(QAbstractItemView& list, const PathOf& path_of);
