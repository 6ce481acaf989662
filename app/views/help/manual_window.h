// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <QStringList>

class QLineEdit;
class QListWidget;
class QTextBrowser;

/// The manual inside the program: the pages of docs/, as they stand there, and a search through all of them.
class ManualWindow final : public QDialog {
    Q_OBJECT

public:
    explicit ManualWindow(QWidget* parent);
    /// A page by the name of its file: "keys".
    void openPage(const QString& name);

private:
    void search();
    void show_(int row);

    QStringList names_;
    QStringList texts_;
    QLineEdit* line_;
    QListWidget* pages_;
    QTextBrowser* page_;
};
