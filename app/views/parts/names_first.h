// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <map>
#include <vector>

class QTableView;

/// Keeps room for the names of a list, which stretch: where there is little of it, with large text on a small
/// screen, other columns go, in an order that is given, and come back with it.
class NamesFirst final : public QObject {
public:
    /// going  columns in the order in which they go; once they have their widths
    NamesFirst(QTableView& list, int names, std::vector<int> going);
    void setGoing(std::vector<int> going);
    /// Columns that are hidden for another reason stay so.
    void fit();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QTableView& list_;
    int names_;
    std::vector<int> going_;
    std::map<int, int> gone_;  ///< columns that went, and how wide they were
};
