// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <QStringList>
#include <string>
#include <vector>

#include "job/concerns.h"
#include "job/saved_job.h"
#include "keep/receipt.h"

// Saved jobs in words: their places, their steps, when they run.

/// A place with the date of the run in it, as it is read and typed: "/srv/archive/{year}/{month}".
QString place_as_typed(const std::string& pattern);
/// The same as the pattern that jobs keep. What is no word for a part of a date stays as it is.
std::string place_from_typed(const QString& typed);
/// The words that stand for parts of the date: "{year}", …
QStringList date_words();

/// Which files: "PDFs, changed in the last 30 days"; empty where all are meant.
QString selection_words(const tavlo::Selection& what);

/// "Copy what is in Inbox (*.pdf) into archive / {year}, keeping subfolders; where a name is taken, …"
QString step_sentence(const tavlo::JobStep& step);

QString concern_words(const tavlo::Concern& concern);
/// "done", "some failed"
QString ending_words(tavlo::Ending ending);
/// "every working day at 18:00", as far as there are words for it
QString calendar_words(const std::string& expression);
QString schedule_words(const tavlo::Schedule& schedule);
