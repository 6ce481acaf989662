// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>

#include "job/job.h"
#include "tasks/collision_rule.h"

// A job in words: the parts of the instruction line, and the whole as receipts keep it.

QString structure_words(const tavlo::Structure& structure);
/// Of what is renamed or removed: "the files in them, also in subfolders"; empty for folders themselves
QString inside_words(const tavlo::Job& job);
QString clearing_words(tavlo::Clearing clearing);
/// One step: "numbers + 1"
QString name_step_words(const tavlo::NameStep& step);
/// All of them: "lower case, then numbers + 1"; empty where there is none
QString naming_words(const tavlo::Naming& naming);
QString shelf_words(tavlo::Shelf shelf);
QString rule_words(CollisionRule rule);
/// The same of any: one of one's own is said in full, "skip (newer: overwrite)".
/// nobody_there  to be asked: a saved job runs by itself
QString policy_words(const tavlo::Policy& policy, bool nobody_there = false);
/// What becomes of what is there under another name: "is skipped"
QString elsewhere_words(tavlo::Decision decision);

/// What is in hand, as far as the words for a job hang on it.
struct InHand {
    std::size_t items = 0;
    std::vector<std::string> from{};  ///< the folders that the sources lie in
    bool has_folders = false;
    QString as{};     ///< of a single file that goes under a name that was typed: that name
    QString which{};  ///< of what lies in the sources, which is in hand (selection_words()); empty: all
    QString whole{};  ///< in place of a count and where from: "what is in Inbox"
};

/// "Copy 12 items from Inbox into Archive / 2031, keeping subfolders; where a name is taken, ask me."
QString job_sentence(const tavlo::Job& job, const InHand& batch);
