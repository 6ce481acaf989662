// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/settings.h"

#include <QSettings>
#include <algorithm>

namespace {

const auto looks_key = QStringLiteral("theme");
const auto early_key = QStringLiteral("withoutWaiting");
const auto rule_key = QStringLiteral("firstRule");
const auto reading_key = QStringLiteral("readBack");
const auto limit_key = QStringLiteral("readingLimit");

}  // namespace

Settings Settings::load() {
    const QSettings kept;
    Settings set;
    set.looks = std::clamp(kept.value(looks_key, 0).toInt(), 0, 2);
    set.without_waiting = kept.value(early_key, false).toBool();
    const int rule = kept.value(rule_key, 0).toInt();
    if (rule > 0 && rule < static_cast<int>(CollisionRule::own))
        set.first_rule = static_cast<CollisionRule>(rule);
    set.reads_back = kept.value(reading_key, false).toBool();
    set.rate_limit = kept.value(limit_key, 0).toULongLong();
    set.keeping = KeepingRules::load();
    return set;
}

void Settings::save() const {
    QSettings kept;
    kept.setValue(looks_key, looks);
    kept.setValue(early_key, without_waiting);
    kept.setValue(rule_key, static_cast<int>(first_rule));
    kept.setValue(reading_key, reads_back);
    kept.setValue(limit_key, QVariant::fromValue(static_cast<qulonglong>(rate_limit)));
    keeping.save();
}
