// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <vector>

class QAction;
class QLineEdit;
class QMenuBar;
class QTreeWidget;

/// Any action of the menus by typing a few letters of its words; beside each stands its key.
class ActionPalette final : public QDialog {
    Q_OBJECT

public:
    ActionPalette(const QMenuBar& menus, QWidget* parent);
    /// What was chosen; null: nothing.
    QAction* chosen() const { return chosen_; }

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void narrow();
    void choose();

    std::vector<std::pair<QString, QAction*>> actions_;  ///< where it is found and what it is called
    QLineEdit* line_;
    QTreeWidget* list_;
    QAction* chosen_ = nullptr;
};
