// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/drive_keeper.h"

using namespace tavlo;

namespace {
constexpr int again_ms = 250;
}

struct DriveKeeper::Turns {
    std::map<std::uint64_t, DriveTurn> held;  ///< by the number of the wish
};

DriveKeeper::DriveKeeper(std::string state_folder, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)), turns_(std::make_shared<Turns>()) {
    again_.setInterval(again_ms);
    connect(&again_, &QTimer::timeout, this, &DriveKeeper::askAgain);
}

bool DriveKeeper::has(Run run) const {
    const auto wish = wishes_.find(run);
    return wish != wishes_.end() && wish->second.granted;
}

void DriveKeeper::want(Run run, const std::set<std::uint64_t>& drives) {
    if (wishes_.contains(run)) return;
    wishes_[run] = {drives, ++number_, false};
    ask(run);
}

void DriveKeeper::ask(Run run) {
    const Wish& wish = wishes_.at(run);
    const auto take = [turns = turns_, state = state_folder_, wish](const std::stop_token&) {
        auto turn = DriveTurn::take(state, wish.drives);
        if (!turn) return turn.error().fault != Fault::name_taken;
        turns->held.emplace(wish.number, std::move(*turn));
        return true;
    };
    worker_.ask(this, take, [this, run, number = wish.number](bool has_it) {
        const auto now = wishes_.find(run);
        if (now == wishes_.end() || now->second.number != number || now->second.granted) return;
        if (!has_it) return again_.start();
        now->second.granted = true;
        emit granted();
    });
}

void DriveKeeper::askAgain() {
    again_.stop();
    for (const auto& [run, wish] : wishes_)
        if (!wish.granted) ask(run);
}

void DriveKeeper::giveUp(Run run) {
    const auto wish = wishes_.find(run);
    if (wish == wishes_.end()) return;
    worker_.post([turns = turns_, number = wish->second.number](const std::stop_token&) {
        turns->held.erase(number);
    });
    wishes_.erase(wish);
}
