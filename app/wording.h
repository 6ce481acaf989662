#pragma once

#include <QString>

#include "plan/plan.h"

// The words for findings, decisions and outcomes, said the same everywhere in the window.

QString finding_words(tavlo::Finding finding);
QString decision_words(tavlo::Decision decision);
/// The word in an item's tag: what is to come of it, or, where it is skipped or undecided, what was found.
QString outcome_words(const tavlo::Item& item);
