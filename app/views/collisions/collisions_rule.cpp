// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QPushButton>

#include "tasks/bench.h"
#include "text.h"
#include "views/collisions/collisions_page.h"
#include "wording.h"

// The rule that decisions amount to, offered in words.

using namespace tavlo;

namespace {
constexpr std::uint64_t enough_for_a_rule = 3;  // decisions
}

Policy CollisionsPage::ruleOffered() const {
    Policy rule = bench_.job().policy;
    const auto& offered = collisions_.view()->rule;
    if (!offered) return rule;
    for (std::size_t finding = 0; finding < finding_count; ++finding) {
        if (!offered->policy.when[finding]) continue;
        rule.when[finding] = offered->policy.when[finding];
        rule.when_sized[finding] = offered->policy.when_sized[finding];
    }
    return rule;
}

/// What was decided, offered as a rule in words, where it is more than the rule that stands.
void CollisionsPage::showRule() {
    const auto& offered = collisions_.view()->rule;
    const Policy& now = bench_.job().policy;
    const Policy rule = ruleOffered();
    const bool is_news = offered && offered->taken >= enough_for_a_rule &&
                         (rule.when != now.when || rule.when_sized != now.when_sized);
    rule_->setVisible(is_news);
    keep_->setVisible(is_news);
    if (!is_news) return;
    QStringList parts;
    for (std::size_t finding = 0; finding < finding_count; ++finding) {
        if (!offered->policy.when[finding]) continue;
        const QString name = finding_words(static_cast<Finding>(finding));
        bool sized = false;
        for (std::size_t relation = 0; relation < size_relation_count; ++relation)
            if (const auto& decision = offered->policy.when_sized[finding][relation]) {
                const QString size = size_words(static_cast<SizeRelation>(relation));
                parts << tr("%1 and %2: %3").arg(name, size, decision_words(*decision));
                sized = true;
            }
        if (!sized) parts << tr("%1: %2").arg(name, decision_words(*offered->policy.when[finding]));
    }
    rule_->setText(tr("Make it a rule: %1").arg(parts.first()) +
                   (parts.size() > 1 ? QStringLiteral(", …") : QString()));
    rule_->setToolTip(
        tr("From %1 of %2 decisions:\n%3")
            .arg(count_text(offered->covered), count_text(offered->taken), parts.join(QLatin1Char('\n'))));
    rule_->setAccessibleName(tr("Make it a rule: %1").arg(parts.join(QStringLiteral(", "))));
}
