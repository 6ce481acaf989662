// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "models/safe_model.h"
#include "tasks/retirement.h"
#include "tasks/safe_versions.h"

class FaceToFace;
class QLabel;
class QLineEdit;
class QPushButton;
class RowView;

/// The versions that runs set aside: each against what holds its place now; brought back, or, only when
/// somebody says so, removed for good.
class SafePage final : public QWidget {
    Q_OBJECT

public:
    explicit SafePage(SafeVersions& versions, QWidget* parent = nullptr);
    void refresh() { versions_.list(); }
    /// Asks whether versions are to leave by themselves past this age, once it is known how many that would
    /// be now.
    void proposeAge(int days) {
        proposed_days_ = days;
        refresh();
    }
    SafeModel& model() { return *model_; }

signals:
    void restoreRequested(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence);
    void said(const QString& words);

private:
    void buildHead(class QVBoxLayout& column);
    void buildQuestion(class QVBoxLayout& column);
    void buildParts(class QVBoxLayout& column);
    void connectVersions();
    void connectActions();
    void showListing(std::shared_ptr<const SafeListing> listing);
    void showRules(const struct KeepingRules& rules);
    void arrange();
    void showArrangement(std::shared_ptr<const SafeArrangement> arrangement);
    void showCurrent();
    void showQuestion(const QString& words, const QString& yes, const QString& other);
    void leaveQuestion();
    void askRemoval(std::shared_ptr<const SafeChoice> choice);
    void fillEmptyMenu();
    void fillKeepingMenu();
    void askAge(int days);
    void setAge(int days);
    void restore(bool elsewhere);
    std::string current() const;  ///< the id of the one that is selected; empty: none, or several

    SafeVersions& versions_;
    SafeModel* model_;
    std::shared_ptr<const SafeListing> listing_ = std::make_shared<SafeListing>();
    SafeWish wish_;
    QLabel* title_;
    QLabel* rooms_;
    QLineEdit* filter_;
    RowView* list_;
    QLabel* empty_;
    FaceToFace* face_;
    QPushButton* back_;
    QPushButton* elsewhere_;
    QPushButton* remove_;
    QPushButton* age_;
    QPushButton* keeping_;
    int proposed_days_ = 0;  ///< 0: none
    /// what the question is about, if that is the age at which versions go by themselves
    std::optional<int> to_set_;
    QWidget* question_;
    QLabel* question_words_;
    QPushButton* yes_;
    QPushButton* other_;
    QPushButton* no_;
    Retirement retired_;
    std::shared_ptr<const SafeChoice> to_remove_;  ///< what the question is about, if that is removal
    /// entry and folder, if it is a place that is held
    std::optional<std::pair<std::string, std::string>> to_place_;
};
