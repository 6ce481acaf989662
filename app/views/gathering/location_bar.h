// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <string>

class QHBoxLayout;
class QLineEdit;
class QStackedLayout;

/// Where one is: the folders of the path, each a step that can be taken; or, after a click beside them or
/// Ctrl+L, the path to be typed, with completion.
class LocationBar final : public QWidget {
    Q_OBJECT

public:
    explicit LocationBar(QWidget* parent = nullptr);
    void setPath(const std::string& path);
    void edit();

signals:
    void folderChosen(const std::string& path);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void showSteps();

    std::string path_;
    QStackedLayout* pages_;
    QWidget* steps_;
    QHBoxLayout* row_;
    QLineEdit* line_;
};
