// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFrame>
#include <QTimer>
#include <array>
#include <memory>
#include <string>
#include <utility>
#include <vector>

#include "plan/plan.h"
#include "tasks/looker_process.h"

class PicturePair;
class QLabel;
class QStackedWidget;
class TextPair;

/// One of the two that are set against each other.
struct Side {
    QString title;
    std::string path;
    tavlo::FileState status;
};

/// Two files, or whatever wants one name, face to face: their facts with what differs set off, and what is in
/// them: pictures at one scale, texts by their lines, first pages, or the first byte that differs.
class FaceToFace final : public QWidget {
    Q_OBJECT

public:
    explicit FaceToFace(QWidget* parent = nullptr);
    void setSides(const Side& left, const Side& right);
    void clear(const QString& why);
    void swapPictures();
    void zoom(double factor);
    void goToNextDifference();

protected:
    void changeEvent(QEvent* event) override;

private:
    class QGridLayout* buildHeads();
    void connectLookers();
    using Facts = std::vector<std::pair<QString, QString>>;
    Facts factsOf(int side) const;
    void showTitles();
    void showFacts();
    void showContents();

    std::array<Side, 2> sides_;
    std::array<Look, 2> looks_;
    std::array<bool, 2> looked_{};  ///< or there is nothing to look at
    Differences differences_;
    bool empty_ = true;
    PairLooker looker_;
    QTimer wait_;  ///< for the arrow keys to come to rest
    std::array<QLabel*, 2> titles_{};
    std::array<QLabel*, 2> facts_{};
    QLabel* note_;
    QLabel* in_words_;
    QStackedWidget* pages_;
    PicturePair* pictures_;
    TextPair* texts_;
};
