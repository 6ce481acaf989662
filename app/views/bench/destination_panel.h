// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFrame>
#include <string>
#include <vector>

class Bench;
class FolderCompleter;
struct BegunFolders;
class QLabel;
class QLineEdit;
class QVBoxLayout;

/// Where the destination is chosen: typed with completion, from the recent ones, or by the folder dialog. A
/// folder that does not exist yet is fine, and is said to be made.
class DestinationPanel final : public QFrame {
    Q_OBJECT

public:
    explicit DestinationPanel(Bench& bench, QWidget* parent = nullptr);
    void openAt(const QPoint& global);
    /// The folder that a relative path is read from: the one on view.
    void setBase(const std::string& folder) { base_ = folder; }

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void accept();
    std::string typedPath() const;
    void fillRecent();
    void addKnown(const std::string& path, bool pinned);
    void use(const std::string& path);
    void showWhereTo(const BegunFolders& found);

    Bench& bench_;
    std::string base_ = "/";
    FolderCompleter* completer_;
    QLineEdit* path_;
    QLabel* note_;
    QVBoxLayout* recent_;
};

/// The destinations used last, newest first.
std::vector<std::string> recent_destinations();
void remember_destination(const std::string& path);
/// Those that somebody keeps at hand, in their order.
std::vector<std::string> pinned_destinations();
void pin_destination(const std::string& path, bool pinned);
