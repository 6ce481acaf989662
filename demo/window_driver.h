// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QApplication>
#include <QTest>
#include <functional>
#include <string>

#include "plan/words.h"
#include "views/main_window.h"
#include "views/parts/row_view.h"

/// Works the real window as a person does: by mouse and key events on what is on view. Used by the tour that
/// makes the pictures, and by the window tests.
class WindowDriver {
public:
    explicit WindowDriver(MainWindow& window) : window_(window) {}

    template <class Widget>
    Widget* find(const char* name) const {
        return window_.findChild<Widget*>(QLatin1String(name));
    }

    /// Lets events through until the condition holds. returns whether it came to hold in time
    static bool wait(const std::function<bool()>& condition, int longest_ms = 60'000);
    /// Until the list is read, the plan stands and no run goes on.
    bool settle() const;

    void click(const char* name) const;  ///< a named button or phrase
    void chooseFromMenu(const char* phrase,
                        const QString& text) const;          ///< opens a phrase's menu and takes an entry
    void type(const char* name, const QString& text) const;  ///< replaces what a line holds
    void openFolder(const std::string& path) const;          ///< through the location line
    void clickRow(const char* list, int row, int column = 0,
                  Qt::KeyboardModifiers keys = Qt::NoModifier) const;
    void clickMark(int row,
                   const char* list = "folderList") const;      ///< the edge of a row of the gathering side
    int rowNamed(const char* list, const QString& name) const;  ///< -1: not shown
    void key(const char* name, Qt::Key key, Qt::KeyboardModifiers keys = Qt::NoModifier) const;
    void chooseDestination(const QString& path) const;  ///< through the instruction line's panel
    void decideByClick(const QString& name, tavlo::Decision decision) const;

private:
    MainWindow& window_;
};
