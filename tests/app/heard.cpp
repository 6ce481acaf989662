// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heard.h"

#include <QAccessible>
#include <QComboBox>
#include <QMetaEnum>
#include <QWidget>

namespace {

constexpr int most_children = 200;  // of a list: enough for any test's

QString role_words(QAccessible::Role role) {
    const char* key = QMetaEnum::fromType<QAccessible::Role>().valueToKey(role);
    QString words;
    for (const QChar letter : QString::fromLatin1(key)) {
        if (letter.isUpper() && !words.isEmpty()) words += QLatin1Char(' ');
        words += letter.toLower();
    }
    return words;
}

QString state_words(const QAccessible::State& state) {
    QStringList words;
    if (state.checked) words << QStringLiteral("checked");
    if (state.disabled) words << QStringLiteral("disabled");
    if (state.selected) words << QStringLiteral("selected");
    return words.isEmpty() ? QString() : QStringLiteral(" (%1)").arg(words.join(QStringLiteral(", ")));
}

QString name_of(QAccessibleInterface& one) {
    auto* widget = qobject_cast<QWidget*>(one.object());
    return widget != nullptr ? heard(*widget) : one.text(QAccessible::Name);
}

void tell(QAccessibleInterface& one, int depth, QStringList& lines) {
    if (one.state().invisible) return;
    const QAccessible::Role role = one.role();
    const bool only_holds = role == QAccessible::Client || role == QAccessible::Window ||
                            role == QAccessible::Pane || role == QAccessible::Splitter ||
                            role == QAccessible::LayeredPane || role == QAccessible::ScrollBar;
    const QString name = name_of(one).trimmed();
    const QString value = one.text(QAccessible::Value).trimmed();
    const bool says = !(name.isEmpty() && (value.isEmpty() || only_holds)) && role != QAccessible::Window;
    if (role == QAccessible::ScrollBar || role == QAccessible::Grip) return;
    if (says) {
        QString line =
            QString(2 * depth, QLatin1Char(' ')) + (only_holds ? QStringLiteral("part") : role_words(role));
        if (!name.isEmpty()) line += QLatin1Char(' ') + name;
        if (!value.isEmpty() && value != name) line += QStringLiteral(": ") + value;
        line += state_words(one.state());
        lines << line.replace(QLatin1Char('\n'), QStringLiteral(" / "));
    }
    if (role == QAccessible::ComboBox || role == QAccessible::SpinBox) return;  // what is in it is its value
    for (int at = 0; at < std::min(one.childCount(), most_children); ++at)
        if (auto* child = one.child(at)) tell(*child, says ? depth + 1 : depth, lines);
}

}  // namespace

QString heard(QWidget& widget) {
    auto* interface = QAccessible::queryAccessibleInterface(&widget);
    if (interface == nullptr) return {};
    if (qobject_cast<QComboBox*>(&widget) == nullptr) return interface->text(QAccessible::Name);
    const auto labels = interface->relations(QAccessible::Label);
    return labels.isEmpty() ? QString() : labels.front().first->text(QAccessible::Name);
}

QStringList heard_tree(QWidget& window) {
    QStringList lines;
    if (auto* top = QAccessible::queryAccessibleInterface(&window)) tell(*top, 0, lines);
    return lines;
}
