// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <QStringList>

#include "keep/receipt.h"
#include "plan/plan.h"

// The words for findings, decisions and outcomes, said the same everywhere in the window.

QString finding_words(tavlo::Finding finding);
QString decision_words(tavlo::Decision decision);
/// "larger": the incoming one
QString size_words(tavlo::SizeRelation relation);
/// Skip, Overwrite, Rename, as on buttons: the n-th is tavlo::Decision(n + 1).
QStringList decision_choices();
inline constexpr int overwrite_choice = 1;  ///< of decision_choices(): takes something away
/// The word in an item's tag: what is to come of it, or, where it is skipped or undecided, what was found.
QString outcome_words(const tavlo::Item& item);

/// What a receipt's head says, for people.
QString receipt_title(const tavlo::ReceiptHead& head);
QString receipt_state(const tavlo::ReceiptHead& head);
/// A result in words: "copied", "overwritten", … for one item, and for all of a run that came out so.
QString result_words(const tavlo::ReceiptItem& item);
QString result_words(tavlo::Outcome outcome, tavlo::Operation operation);
