// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/keeping.h"

#include <QSettings>

#include "archive/archive_files.h"
#include "error_words.h"
#include "text.h"
#include "undo/take_back.h"

using namespace tavlo;

namespace {
constexpr std::int64_t day_ns = 86'400'000'000'000;
const QString safe_days_key = QStringLiteral("safeDays");
const QString safe_limit_key = QStringLiteral("safeLimit");
const QString receipt_days_key = QStringLiteral("receiptDays");
}  // namespace

KeepingRules KeepingRules::load() {
    const QSettings settings;
    return {settings.value(safe_days_key, 0).toInt(), settings.value(safe_limit_key, 0).toULongLong(),
            settings.value(receipt_days_key, 0).toInt()};
}

void KeepingRules::save() const {
    QSettings settings;
    settings.setValue(safe_days_key, safe_days);
    settings.setValue(safe_limit_key, QVariant::fromValue(static_cast<qulonglong>(safe_limit)));
    settings.setValue(receipt_days_key, receipt_days);
}

void Keeping::tell(const QString& words) {
    later(this, [this, words] { emit said(words); });
}

void Keeping::apply(const KeepingRules& rules) {
    worker_.post([this, rules](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return;  // the first run will say why
        if (rules.safe_days > 0) {
            const auto disk = make_disk_with_archives();
            const auto emptied = empty_safe(*disk, **store, static_cast<std::uint64_t>(rules.safe_days));
            if (!emptied) tell(error_words(emptied.error()));
            if (emptied && !emptied->removed.empty())
                tell(tr("%Ln versions have left the Safe, past the age that you have set.", nullptr,
                        static_cast<int>(emptied->removed.size())));
            for (const Error& problem : emptied ? emptied->problems : std::vector<Error>())
                if (problem.fault != Fault::unreachable)
                    return tell(error_words(problem));  // one not mounted goes when it is there
        }
        if (rules.receipt_days > 0)
            if (const auto forgotten = (*store)->forget_receipts(now_ns() - rules.receipt_days * day_ns);
                !forgotten)
                tell(error_words(forgotten.error()));
        warn(**store, rules);
    });
}

void Keeping::lookAtSafe(const KeepingRules& rules) {
    if (rules.safe_limit == 0) return;
    worker_.post([this, rules](const std::stop_token&) {
        if (const auto store = Store::open(state_folder_)) warn(**store, rules);
    });
}

void Keeping::warn(Store& store, const KeepingRules& rules) {
    if (rules.safe_limit == 0) return;
    const auto entries = store.safe_entries();
    if (!entries) return tell(error_words(entries.error()));
    std::uint64_t bytes = 0;
    for (const SafeEntry& entry : *entries)
        if (entry.type == FileType::file) bytes += entry.identity.size_bytes;
    const bool over = bytes > rules.safe_limit;
    if (over && !is_over_)
        tell(tr("The Safe takes %1, more than the %2 that you have set: see what can leave it.")
                 .arg(size_text(bytes), size_text(rules.safe_limit)));
    is_over_ = over;
}
