// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QByteArray>
#include <QString>
#include <map>
#include <optional>
#include <tuple>

/// The cells of a sheet that hold something, by sheet number, row and column, each from 0.
using Cells = std::map<std::tuple<int, int, int>, QString>;

/// Cells of a file of comma-, semicolon- or tab-separated values (RFC 4180), of an OpenDocument sheet
/// (ISO/IEC 26300) or of an Office Open XML sheet (ECMA-376).
/// bytes    the file's, for separated values
/// nullopt  it is none of these, is damaged, or is too large to be compared cell by cell
std::optional<Cells> cells_of(const QByteArray& path, const QByteArray& bytes);

/// "B4"; with several sheets "2!B4".
QString cell_name(const std::tuple<int, int, int>& place);
