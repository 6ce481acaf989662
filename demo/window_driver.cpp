// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "window_driver.h"

#include <QElapsedTimer>
#include <QLineEdit>
#include <QMenu>
#include <algorithm>

#include "models/folder_model.h"
#include "models/outcome_model.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "text.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"
#include "views/parts/button_row.h"
#include "views/parts/mirrored.h"
#include "views/parts/row_delegates.h"
#include "wording.h"

/// Whatever happens in the window meanwhile happens at once, which qWait() would sleep over.
bool WindowDriver::wait(const std::function<bool()>& condition, int longest_ms) {
    constexpr int look_every_ms = 5;
    if (condition()) return true;
    QElapsedTimer clock;
    clock.start();
    QTimer again;
    again.start(look_every_ms);
    const auto go_on = [] {
        QCoreApplication::processEvents(QEventLoop::AllEvents | QEventLoop::WaitForMoreEvents);
        QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    };
    while (!condition()) {
        if (clock.elapsed() > longest_ms) return false;
        go_on();
    }
    for (clock.start(); clock.elapsed() < look_every_ms;) go_on();  // nobody sees it the moment that it is so
    return true;
}

bool WindowDriver::settle() const {
    return wait([this] {
        return !window_.bench().isWorking() && !window_.gathering().model().isLoading() &&
               window_.runs().isIdle();
    });
}

void WindowDriver::click(const char* name) const {
    auto* widget = find<QWidget>(name);
    if (widget == nullptr) qFatal("no widget %s", name);
    QCoreApplication::sendPostedEvents(
        nullptr, QEvent::LayoutRequest);  // a person clicks where it is, not where it was
    QTest::mouseClick(widget, Qt::LeftButton);
}

void WindowDriver::chooseFromMenu(const char* phrase, const QString& text) const {
    click(phrase);
    wait([] { return QApplication::activePopupWidget() != nullptr; });
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    if (menu == nullptr) qFatal("%s opens no menu", phrase);
    const auto click_entry = [&](QMenu* of) {
        for (QAction* action : of->actions())
            if (action->menu() == nullptr && action->text().contains(text)) {
                QTest::mouseClick(of, Qt::LeftButton, Qt::NoModifier, of->actionGeometry(action).center());
                return true;
            }
        return false;
    };
    if (click_entry(menu)) return;
    for (QAction* action : menu->actions()) {  // one menu deeper
        QMenu* inner = action->menu();
        if (inner == nullptr) continue;
        const auto entries = inner->actions();
        if (std::none_of(entries.begin(), entries.end(),
                         [&](const QAction* entry) { return entry->text().contains(text); }))
            continue;
        menu->setActiveAction(action);
        QTest::keyClick(menu, Qt::Key_Right);
        wait([inner] { return inner->isVisible(); });
        if (click_entry(inner)) return;
    }
    qFatal("%s offers no %s", phrase, qPrintable(text));
}

void WindowDriver::type(const char* name, const QString& text) const {
    auto* line = find<QLineEdit>(name);
    line->setFocus();
    QTest::keyClick(line, Qt::Key_A, Qt::ControlModifier);
    if (text.isEmpty())
        QTest::keyClick(line, Qt::Key_Delete);
    else
        QTest::keyClicks(line, text);
}

void WindowDriver::openFolder(const std::string& path) const {
    window_.gathering().editLocation();
    type("location", shown(path));
    key("location", Qt::Key_Return);
    settle();
}

int WindowDriver::rowNamed(const char* list, const QString& name) const {
    const auto* model = find<QAbstractItemView>(list)->model();
    for (int row = 0; row < model->rowCount(); ++row)
        if (model->index(row, 0).data().toString() == name) return row;
    return -1;
}

void WindowDriver::clickRow(const char* list, int row, int column, Qt::KeyboardModifiers keys) const {
    auto* view = find<QAbstractItemView>(list);
    const QModelIndex index = view->model()->index(row, column);
    view->scrollTo(index);
    QTest::mouseClick(view->viewport(), Qt::LeftButton, keys, view->visualRect(index).center());
}

void WindowDriver::clickMark(int row, const char* list) const {
    auto* view = find<QAbstractItemView>(list);
    const QModelIndex index = view->model()->index(row, 0);
    view->scrollTo(index);
    const QRect rect = view->visualRect(index);
    const QRect mark(rect.topLeft(), QSize(FolderDelegate::mark_width, rect.height()));
    QTest::mouseClick(view->viewport(), Qt::LeftButton, Qt::NoModifier, mirrored(rect, mark).center());
}

void WindowDriver::key(const char* name, Qt::Key key, Qt::KeyboardModifiers keys) const {
    auto* widget = find<QWidget>(name);
    widget->setFocus();
    QTest::keyClick(widget, key, keys);
}

void WindowDriver::chooseDestination(const QString& path) const {
    click("phraseDestination");
    type("destinationPath", path);
    QTest::qWait(150);  // the completion comes from another thread
    if (auto* popup = QApplication::activePopupWidget();
        popup != nullptr && popup->inherits("QAbstractItemView"))
        popup->hide();
    key("destinationPath", Qt::Key_Return);
    settle();
}

void WindowDriver::decideByClick(const QString& name, tavlo::Decision decision) const {
    auto* view = find<RowView>("outcomeList");
    const int row = rowNamed("outcomeList", name) + 1;  // what holds the name comes below what wants it
    const QModelIndex cell = view->model()->index(row, OutcomeModel::WhatColumn);
    view->scrollTo(cell);
    const Choices choices{decision_choices(), -1, view->visualRect(cell)};
    const QRect rect = button_rect(choices, view->font(), static_cast<int>(decision) - 1);
    QTest::mouseClick(view->viewport(), Qt::LeftButton, Qt::NoModifier, rect.center());
    settle();
}
