// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/settings/settings_dialog.h"

#include <QCheckBox>
#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QSpinBox>
#include <algorithm>

#include "sentence.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/dialog_buttons.h"
#include "views/parts/spacing.h"
#include "views/safe/safe_page.h"

namespace {

constexpr std::uint64_t mib = 1024 * 1024;
constexpr std::uint64_t gib = 1024 * mib;

/// The next one up, so that a limit of a few bytes does not read as none.
int units(std::uint64_t bytes, std::uint64_t unit) {
    return static_cast<int>(std::min<std::uint64_t>((bytes + unit - 1) / unit, 100'000));
}

}  // namespace

SettingsDialog::SettingsDialog(const Settings& now, QWidget* parent) : QDialog(parent), before_(now) {
    setObjectName(QStringLiteral("settingsDialog"));
    setWindowTitle(tr("Settings"));
    setMinimumWidth(digits(62));
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::page, Gap::beside);
    buildLooks();
    buildBatch();
    buildRuns();
    buildKeeping();
    // one edge for the fields of all sections
    int widest = 0;
    const auto labels = findChildren<QLabel*>();
    for (const QLabel* label : labels)
        if (label->buddy() != nullptr) widest = std::max(widest, label->sizeHint().width());
    for (QLabel* label : labels)
        if (label->buddy() != nullptr) label->setMinimumWidth(widest);
    column->addSpacing(10);
    add_dialog_buttons(*this, *column, tr("Use these"));
}

QFormLayout* SettingsDialog::section(const QString& heading) {
    auto* title = new QLabel(heading);
    title->setFont(strong_font(title->font()));
    title->setContentsMargins(Inset::heading);
    layout()->addWidget(title);
    auto* holder = new QWidget;
    auto* rows = new QFormLayout(holder);
    rows->setContentsMargins(Inset::none);
    rows->setHorizontalSpacing(Gap::beside);
    rows->setFieldGrowthPolicy(QFormLayout::FieldsStayAtSizeHint);
    layout()->addWidget(holder);
    return rows;
}

void SettingsDialog::buildLooks() {
    looks_ = new QComboBox;
    looks_->setObjectName(QStringLiteral("settingLooks"));
    looks_->addItems({tr("as the desktop"), tr("light"), tr("dark")});
    looks_->setCurrentIndex(before_.looks);
    section(tr("The window"))->addRow(tr("&Looks"), looks_);
}

void SettingsDialog::buildBatch() {
    auto* rows = section(tr("A new batch"));
    rule_ = new QComboBox;
    rule_->setObjectName(QStringLiteral("settingRule"));
    for (int rule = 0; rule < static_cast<int>(CollisionRule::own); ++rule)
        rule_->addItem(rule_words(static_cast<CollisionRule>(rule)));
    rule_->setCurrentIndex(static_cast<int>(before_.first_rule));
    rows->addRow(tr("Where a &name is taken, begin with"), rule_);
    early_ = new QCheckBox(tr("Copies begin while they are &counted"));
    early_->setObjectName(QStringLiteral("settingEarly"));
    early_->setChecked(before_.without_waiting);
    rows->addRow(early_);
}

void SettingsDialog::buildRuns() {
    auto* rows = section(tr("Runs"));
    reads_back_ =
        new QCheckBox(tr("&Read everything back from the disk and compare it, also what stays on one disk"));
    reads_back_->setObjectName(QStringLiteral("settingReadsBack"));
    reads_back_->setChecked(before_.reads_back);
    rows->addRow(reads_back_);
    limit_ = addNumber(*rows, tr("All runs &together, at most"), tr(" MiB/s"), tr("as fast as they can"),
                       100'000, "settingLimit");
    limit_->setValue(units(before_.rate_limit, mib));
}

void SettingsDialog::buildKeeping() {
    auto* rows = section(tr("What is kept"));
    safe_days_ = new QComboBox;  // the ages of which the Safe can say beforehand what would go
    safe_days_->setObjectName(QStringLiteral("settingSafeDays"));
    safe_days_->addItem(SafePage::tr("Versions stay until I empty the Safe"), 0);
    safe_days_->addItem(SafePage::tr("They leave by themselves after a year"), 365);
    safe_days_->addItem(SafePage::tr("They leave by themselves after 90 days"), 90);
    safe_days_->addItem(SafePage::tr("They leave by themselves after 30 days"), 30);
    if (safe_days_->findData(before_.keeping.safe_days) < 0)
        safe_days_->addItem(SafePage::tr("Kept %Ln days", nullptr, before_.keeping.safe_days),
                            before_.keeping.safe_days);
    safe_days_->setCurrentIndex(safe_days_->findData(before_.keeping.safe_days));
    rows->addRow(tr("&Versions in the Safe"), safe_days_);
    safe_limit_ = addNumber(*rows, tr("&Say so where the Safe takes more than"), tr(" GiB"), tr("never"),
                            100'000, "settingSafeLimit");
    safe_limit_->setValue(units(before_.keeping.safe_limit, gib));
    receipt_days_ = addNumber(*rows, tr("Rece&ipts that nothing in the Safe hangs on"), tr(" days"),
                              tr("for good"), 3650, "settingReceiptDays");
    receipt_days_->setValue(before_.keeping.receipt_days);
}

QSpinBox* SettingsDialog::addNumber(QFormLayout& rows, const QString& words, const QString& unit,
                                    const QString& none, int most, const char* name) {
    auto* box = new QSpinBox;
    box->setObjectName(QLatin1String(name));
    box->setRange(0, most);
    box->setSuffix(unit);
    box->setSpecialValueText(none);  // at 0
    box->setMinimumWidth(digits(22));
    rows.addRow(words, box);
    return box;
}

Settings SettingsDialog::wanted() const {
    Settings set = before_;
    set.looks = looks_->currentIndex();
    set.first_rule = static_cast<CollisionRule>(rule_->currentIndex());
    set.without_waiting = early_->isChecked();
    set.reads_back = reads_back_->isChecked();
    // what the boxes cannot show exactly stays as it is, as long as nobody changes it
    const auto bytes = [](const QSpinBox& box, std::uint64_t unit, std::uint64_t before) {
        return box.value() == units(before, unit) ? before : static_cast<std::uint64_t>(box.value()) * unit;
    };
    set.rate_limit = bytes(*limit_, mib, before_.rate_limit);
    set.keeping.safe_days = safe_days_->currentData().toInt();
    set.keeping.safe_limit = bytes(*safe_limit_, gib, before_.keeping.safe_limit);
    set.keeping.receipt_days = receipt_days_->value();
    return set;
}
