// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/collisions.h"

#include <algorithm>

#include "files/path.h"
#include "select/kinds.h"
#include "select/name_filter.h"

using namespace tavlo;

void Collisions::setPlan(std::shared_ptr<const Plan> plan) {
    if (plan == plan_) return;
    plan_ = std::move(plan);
    work();
}

void Collisions::setCut(Cut cut) {
    cut_ = cut;
    work();
}

void Collisions::setNameFilter(const std::string& text) {
    filter_ = text;
    work();
}

namespace {

std::function<std::string(const Item&)> part_by(Cut cut, const Plan& plan,
                                                const std::shared_ptr<const Kinds>& kinds) {
    switch (cut) {
        case Cut::none: break;
        case Cut::size:
            return [&plan](const Item& item) {
                const auto relation = size_relation(plan, item);
                return relation ? std::to_string(static_cast<int>(*relation)) : std::string();
            };
        case Cut::folder:
            return [&plan](const Item& item) { return plan.batch->folders.path(plan.entry(item).folder); };
        case Cut::kind:
            return [&plan, kinds](const Item& item) {
                const Kind* kind = kinds->of(plan.name(item));
                return kind == nullptr ? std::string() : kind->name;
            };
    }
    return {};
}

void fill(CollisionsView& view, const std::string& filter) {
    const Plan& plan = *view.plan;
    auto loaded = view.cut == Cut::kind ? load_kinds() : Result<Kinds>(Kinds());
    const auto kinds = std::make_shared<const Kinds>(loaded ? std::move(*loaded) : Kinds());
    const NameFilter names(filter);
    view.groups = collision_groups(plan, part_by(view.cut, plan, kinds), [&](const Item& item) {
        return names.empty() || names.fits(plan.name(item));
    });
    for (CollisionGroup& group : view.groups)  // those that want one name stand together
        if (group.finding == Finding::twin)
            std::stable_sort(group.items.begin(), group.items.end(), [&](ItemId a, ItemId b) {
                return plan.target_path(plan.items[a]) < plan.target_path(plan.items[b]);
            });
    for (const ItemId id : plan.colliding) {
        const Item& item = plan.items[id];
        if (!is_own_collision(item)) continue;
        ++view.taken;
        if (item.outcome == Outcome::undecided) ++view.undecided;
    }
    view.rule = rule_of_decisions(plan);
}

}  // namespace

void Collisions::work() {
    const auto look = [plan = plan_, cut = cut_, filter = filter_](const std::stop_token&) {
        auto view = std::make_shared<CollisionsView>();
        view->plan = plan;
        view->cut = cut;
        if (plan) fill(*view, filter);
        return std::shared_ptr<const CollisionsView>(std::move(view));
    };
    worker_.ask(this, look, [this](std::shared_ptr<const CollisionsView> view) {
        view_ = std::move(view);
        emit changed();
    });
}
