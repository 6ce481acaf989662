// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "models/collision_models.h"
#include "tasks/collisions.h"

class Bench;
class FaceToFace;
class GroupDelegate;
class PairDelegate;
class QComboBox;
class QLabel;
class QLineEdit;
class QListView;
class QPushButton;
class RowView;

/// All names that are taken at once: groups with one decision for all in them, the pairs of a group with
/// single ones, and the two of a pair face to face.
class CollisionsPage final : public QWidget {
    Q_OBJECT

public:
    explicit CollisionsPage(Bench& bench, QWidget* parent = nullptr);
    Collisions& collisions() { return collisions_; }
    PairModel& pairs() { return *pairs_; }
    void goToUndecided(bool backwards);
    void focus();

signals:
    void said(const QString& words);
    /// What was decided is to be the rule of a saved job.
    void keepRequested(const tavlo::Policy& rule);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void buildLeft(class QVBoxLayout& column);
    void buildRight(class QVBoxLayout& column);
    void buildLeftFoot(class QVBoxLayout& column);
    void buildPairs();
    void refresh();
    void showGroup();
    void showPair();
    void showNames();
    void fitColumns();
    void showRule();
    void decideGroup(int row, int choice);
    void decideTwins(const tavlo::CollisionGroup& group, int choice);
    void decidePairs(std::optional<tavlo::Decision> decision, bool go_on);
    void applyNames(const std::optional<tavlo::NewNames>& scheme, bool of_held);
    void applyTypedName();
    void fillNamesMenu();
    bool groupKey(int key);
    bool pairKey(int key, Qt::KeyboardModifiers modifiers);
    std::vector<tavlo::ItemId> selectedItems() const;
    const tavlo::CollisionGroup* currentGroup() const;
    tavlo::Policy ruleOffered() const;

    Bench& bench_;
    Collisions collisions_;
    GroupModel* groups_;
    PairModel* pairs_;
    GroupDelegate* group_delegate_;
    PairDelegate* pair_delegate_;
    QListView* group_list_;
    RowView* pair_list_;
    class NamesFirst* names_first_;
    FaceToFace* face_;
    QLabel* taken_;
    QLabel* settled_;
    QLabel* empty_;
    QLabel* others_;
    QComboBox* cut_;
    QLineEdit* filter_;
    QLabel* name_words_;
    QLineEdit* name_;
    QPushButton* names_;
    QPushButton* rule_;
    QPushButton* keep_;
    bool renames_held_ = false;  ///< what is typed into the name is for the one that is there
};
