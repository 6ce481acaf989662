// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFrame>
#include <string>

#include "files/types.h"
#include "tasks/looker_process.h"

class QLabel;
class QPlainTextEdit;
class QStackedWidget;

/// A look at the file that is current in the list, without leaving it: picture, text, first page, and its
/// facts.
class LookPanel final : public QFrame {
    Q_OBJECT

public:
    explicit LookPanel(QWidget* parent = nullptr);
    void lookAt(const std::string& path, const tavlo::Status& status, const QString& kind);
    void clear();
    QSize sizeHint() const override;

protected:
    void resizeEvent(QResizeEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    void show_(const Look& look);
    void fitPicture();
    void showFacts();

    LookerProcess looker_;
    QTimer wait_;  ///< for the arrow keys to come to rest
    std::string path_;
    QString title_;
    std::vector<std::pair<QString, QString>> own_facts_;
    std::vector<std::pair<QString, QString>> inner_facts_;
    QString permissions_;
    QString geo_;    ///< where the picture was taken, to be opened; empty: not known
    QString place_;  ///< the same in figures
    QImage image_;
    QStackedWidget* pages_;
    QLabel* picture_;
    QPlainTextEdit* text_;
    QLabel* note_;
    QLabel* facts_;
};
