// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <memory>
#include <string>
#include <vector>

#include "plan/groups.h"
#include "tasks/worker.h"

/// By what groups are cut further, within their findings.
enum class Cut { none, size, folder, kind };

/// The collisions of a plan in groups, worked out on another thread. Never changed.
struct CollisionsView {
    std::shared_ptr<const tavlo::Plan> plan;  ///< null: there is none
    Cut cut = Cut::none;
    std::vector<tavlo::CollisionGroup> groups;
    std::uint64_t taken = 0;      ///< names that are taken, of all groups, whatever the filter
    std::uint64_t undecided = 0;  ///< of them
    std::optional<tavlo::RuleOfDecisions> rule;
};

/// Keeps the groups of the newest plan at hand.
class Collisions final : public QObject {
    Q_OBJECT

public:
    explicit Collisions(QObject* parent = nullptr) : QObject(parent) {}
    void setPlan(std::shared_ptr<const tavlo::Plan> plan);
    void setCut(Cut cut);
    void setNameFilter(const std::string& text);
    const std::shared_ptr<const CollisionsView>& view() const { return view_; }

signals:
    void changed();

private:
    void work();

    std::shared_ptr<const tavlo::Plan> plan_;
    Cut cut_ = Cut::none;
    std::string filter_;
    std::shared_ptr<const CollisionsView> view_ = std::make_shared<CollisionsView>();
    LatestWorker worker_;
};
