// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/kept_sets.h"

#include <QCoreApplication>
#include <QInputDialog>
#include <QMenu>
#include <QSettings>

namespace {
struct Kept {
    Q_DECLARE_TR_FUNCTIONS(Kept)
};
}  // namespace

void offer_kept(QMenu& menu, const QString& group, const UseKept& use) {
    QSettings settings;
    settings.beginGroup(group);
    for (const QString& name : settings.childKeys()) {
        auto used = use(settings.value(name).toString());
        if (!used) continue;
        QMenu* set = menu.addMenu(name);
        set->addAction(Kept::tr("Use"), set, std::move(used));
        set->addAction(Kept::tr("Forget"), set,
                       [group, name] { QSettings().remove(group + QLatin1Char('/') + name); });
    }
}

QString keep_under_a_name(QWidget* parent, const QString& title, const QString& group, const QString& value) {
    QString name = QInputDialog::getText(parent, title, Kept::tr("Name:")).trimmed();
    name.replace(QLatin1Char('/'), QLatin1Char('-'));  // which would be a group in the settings
    if (!name.isEmpty()) QSettings().setValue(group + QLatin1Char('/') + name, value);
    return name;
}
