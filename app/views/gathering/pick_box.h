// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <deque>
#include <functional>
#include <string>
#include <vector>

class FolderModel;
class FlowLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class RowView;

/// Picks by typing: a few characters narrow the list, and when one name is left Return puts it into the batch
/// and empties the box for the next. Made for reading names off paper at full speed: Return adds nothing
/// unless it is certain which.
class PickBox final : public QWidget {
    Q_OBJECT

public:
    PickBox(FolderModel& model, RowView& list, QWidget* parent = nullptr);
    void focusBox();
    /// Another folder: nothing of this one is left over.
    void reset();
    /// Of what was added last, what has left the batch since needs no way back any more.
    void keepAdded(const std::function<bool(const std::string& folder, const std::string& name)>& in_batch);

signals:
    void picked(const std::string& folder, const std::string& name);
    void taken(const std::string& folder, const std::string& name);  ///< back out of the batch

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    struct Added {
        std::string folder;  ///< empty: nothing was found, and `name` is what was typed
        std::string name;
    };
    void narrow();
    void say(const QString& words, bool warning);
    void add();
    void choose(int step);
    void showAdded();

    FolderModel& model_;
    RowView& list_;
    QLineEdit* box_;
    QLabel* state_;
    FlowLayout* added_row_;
    bool chosen_ = false;      ///< by an arrow, among several
    std::deque<Added> added_;  ///< the last few, newest first
};
