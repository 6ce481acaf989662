// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/runs/limit_menu.h"

#include <QActionGroup>
#include <QCoreApplication>
#include <QInputDialog>
#include <QMenu>
#include <algorithm>
#include <array>

#include "views/runs/lane_words.h"

namespace {
struct Limit {
    Q_DECLARE_TR_FUNCTIONS(Limit)
};
constexpr std::uint64_t mega = 1024 * 1024;
constexpr int largest_mega = 100'000;
}  // namespace

void fill_limit_menu(QMenu& menu, std::uint64_t limit, QWidget* parent,
                     const std::function<void(std::uint64_t)>& choose) {
    auto* group = new QActionGroup(&menu);
    const auto add = [&](const QString& text, bool on, auto work) {
        auto* action = menu.addAction(text, parent, work);
        action->setCheckable(true);
        action->setChecked(on);
        group->addAction(action);
    };
    add(Limit::tr("As fast as it can"), limit == 0, [choose] { choose(0); });
    constexpr std::array<std::uint64_t, 5> usual{1 * mega, 5 * mega, 20 * mega, 50 * mega, 100 * mega};
    for (const auto one : usual)
        add(rate_words(static_cast<double>(one)), limit == one, [choose, one] { choose(one); });
    const bool another = limit != 0 && std::find(usual.begin(), usual.end(), limit) == usual.end();
    add(another ? Limit::tr("Another: %1…").arg(rate_words(static_cast<double>(limit)))
                : Limit::tr("Another…"),
        another, [=] {
            bool chosen = false;
            const int megabytes = QInputDialog::getInt(
                parent, Limit::tr("Reading limit"), Limit::tr("MB a second, at most:"),
                static_cast<int>(std::max<std::uint64_t>(1, limit / mega)), 1, largest_mega, 1, &chosen);
            if (chosen) choose(static_cast<std::uint64_t>(megabytes) * mega);
        });
}
