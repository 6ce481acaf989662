// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDate>
#include <QString>
#include <QStringList>
#include <optional>

#include "select/criteria.h"

/// A filter as a person has set it: in words, so that "last month" stays last month when it is used again.
struct FilterState {
    enum class Changed {
        any,
        today,
        yesterday,
        this_week,
        last_week,
        this_month,
        last_month,
        this_year,
        between
    };

    QString words;  ///< the filter line
    bool regex = false;
    bool match_case = false;
    QStringList kinds;
    QString larger, smaller;  ///< as typed: "20K"
    bool only_empty = false;
    Changed changed = Changed::any;
    QString changed_from, changed_until;  ///< as typed: "2031-05-02"; with Changed::between
    QString number_from, number_to;
    tavlo::Parity parity = tavlo::Parity::any;
    std::optional<std::uint32_t> owner;
    QString not_below;  ///< names of folders that are left out, as typed: "Drafts, old*"

    bool operator==(const FilterState&) const = default;
    bool isEmpty() const;
    /// today   that the words are meant from
    tavlo::Criteria criteria(const QDate& today) const;
    /// Fields that cannot be read as what they should be: "larger", "changed_from", …
    QStringList mistakes() const;

    // what the chips say; empty where they say nothing
    QString kindText() const;
    QString sizeText() const;
    QString changedText() const;
    QString numberText() const;

    /// For settings. fromText() of what is damaged is an empty state.
    QString toText() const;
    static FilterState fromText(const QString& text);
};

QString changed_words(FilterState::Changed when);
