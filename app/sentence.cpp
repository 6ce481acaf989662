// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "sentence.h"

#include <QCoreApplication>
#include <QStringList>

#include "fact_words.h"
#include "files/path.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {
struct Sentence {
    Q_DECLARE_TR_FUNCTIONS(Sentence)
};
}  // namespace

QString structure_words(const Structure& structure) {
    QString words;
    if (!structure.sort_into.empty())
        return Sentence::tr("in folders by %1").arg(levels_words(structure.sort_into));
    if (structure.flatten) return Sentence::tr("all files in one folder");
    switch (structure.subfolders) {
        case Subfolders::all: words = Sentence::tr("keeping subfolders"); break;
        case Subfolders::filled: words = Sentence::tr("keeping subfolders with files in them"); break;
        case Subfolders::none: words = Sentence::tr("without subfolders"); break;
    }
    if (structure.contents) words = Sentence::tr("only what is in the folders, %1").arg(words);
    if (!structure.kept_from.empty())
        words = Sentence::tr("keeping folders below %1").arg(short_path(structure.kept_from, 1));
    return words;
}

QString inside_words(const Job& job) {
    if (!job.structure.contents) return {};
    if (job.operation == Operation::remove) return Sentence::tr("only what is in them");
    if (job.structure.folders_too) return Sentence::tr("the files and folders in them");
    return job.structure.subfolders == Subfolders::none
               ? Sentence::tr("the files directly in them")
               : Sentence::tr("the files in them, also in subfolders");
}

QString clearing_words(Clearing clearing) {
    switch (clearing) {
        case Clearing::none: return Sentence::tr("leaving what else is there");
        case Clearing::extra: return Sentence::tr("leaving nothing extra there");
        case Clearing::all: return Sentence::tr("emptying it first");
    }
    return {};
}

QString rule_words(CollisionRule rule) {
    switch (rule) {
        case CollisionRule::ask: return Sentence::tr("ask me");
        case CollisionRule::keep: return Sentence::tr("keep what is there");
        case CollisionRule::newer_wins: return Sentence::tr("the newer one wins");
        case CollisionRule::incoming_wins: return Sentence::tr("overwrite what is there");
        case CollisionRule::larger_wins: return Sentence::tr("the larger one wins");
        case CollisionRule::bring_up_to_date: return Sentence::tr("bring it up to date");
        case CollisionRule::own: return Sentence::tr("my own rule");
        case CollisionRule::both_stay: return Sentence::tr("keep both");
    }
    return {};
}

QString policy_words(const Policy& policy, bool nobody_there) {
    const QString ask =
        nobody_there ? Sentence::tr("both stay until you look") : rule_words(CollisionRule::ask);
    const CollisionRule rule = rule_of(policy);
    if (rule == CollisionRule::ask) return ask;
    if (rule != CollisionRule::own) return rule_words(rule);
    const auto said = [&ask](Decision decision) {
        return decision == Decision::undecided ? ask : decision_words(decision);
    };
    QStringList others;
    for (std::size_t at = 0; at < finding_count; ++at) {
        const auto finding = static_cast<Finding>(at);
        if (finding == Finding::elsewhere) continue;  // which the sentence has words of its own for
        const auto& decision = policy.when[at];
        if (decision && *decision != policy.otherwise)
            others << Sentence::tr("%1: %2").arg(finding_words(finding), said(*decision));
        for (std::size_t size = 0; size < size_relation_count; ++size)
            if (const auto& sized = policy.when_sized[at][size];
                sized && *sized != decision.value_or(policy.otherwise))
                others << Sentence::tr("%1 and %2: %3")
                              .arg(finding_words(finding), size_words(static_cast<SizeRelation>(size)),
                                   said(*sized));
    }
    return others.isEmpty()
               ? said(policy.otherwise)
               : Sentence::tr("%1 (%2)").arg(said(policy.otherwise), others.join(QStringLiteral(", ")));
}

namespace {

struct StepWords {
    QString operator()(const Affix& affix) const {
        const bool has_spaces =
            affix.text.starts_with(' ') || affix.text.ends_with(' ');  // which nobody would see
        const QString text =
            has_spaces ? Sentence::tr("\u201c%1\u201d").arg(shown(affix.text)) : shown(affix.text);
        return (affix.behind ? Sentence::tr("%1 behind") : Sentence::tr("%1 in front")).arg(text);
    }
    QString operator()(const Replace& replace) const {
        return replace.with.empty() ? Sentence::tr("without \u201c%1\u201d").arg(shown(replace.what))
                                    : Sentence::tr("\u201c%1\u201d for \u201c%2\u201d")
                                          .arg(shown(replace.with), shown(replace.what));
    }
    QString operator()(const ReplaceRegex& replace) const {
        return Sentence::tr("\u201c%1\u201d for what fits %2")
            .arg(shown(replace.with), shown(replace.expression));
    }
    QString operator()(const LetterCase& letters) const {
        switch (letters.to) {
            case LetterCase::To::lower: return Sentence::tr("lower case");
            case LetterCase::To::upper: return Sentence::tr("capitals");
            case LetterCase::To::title: return Sentence::tr("a capital for each word");
        }
        return {};
    }
    QString operator()(const AddToNumbers& add) const {
        const QString by =
            add.by < 0 ? QStringLiteral("\u2212 %1").arg(-add.by) : QStringLiteral("+ %1").arg(add.by);
        switch (add.which) {
            case AddToNumbers::Which::all: return Sentence::tr("numbers %1").arg(by);
            case AddToNumbers::Which::first: return Sentence::tr("first number %1").arg(by);
            case AddToNumbers::Which::last: return Sentence::tr("last number %1").arg(by);
        }
        return {};
    }
    QString operator()(const Extension& extension) const {
        if (extension.text.empty()) return Sentence::tr("without extension");
        if (extension.text == "lower") return Sentence::tr("extension in lower case");
        if (extension.text == "upper") return Sentence::tr("extension in capitals");
        return Sentence::tr("extension %1").arg(shown(extension.text));
    }
    QString operator()(const NameAs& as) const { return Sentence::tr("named %1").arg(shown(as.pattern)); }
    QString operator()(const NamesFrom& table) const {
        return Sentence::tr("by the table %1").arg(shown(name_of(table.file)));
    }
};

/// "12 items from Inbox"; of what stays where it is, "in Inbox"
QString batch_words(const InHand& batch, bool stays = false) {
    if (!batch.whole.isEmpty()) return batch.whole;
    QString text = Sentence::tr("%Ln items", nullptr, static_cast<int>(batch.items));
    const int folders = static_cast<int>(batch.from.size());
    if (folders == 0) return text;
    const QString where =
        folders == 1 ? short_path(batch.from.front(), 1) : Sentence::tr("%Ln folders", nullptr, folders);
    text += (stays ? Sentence::tr(" in %1") : Sentence::tr(" from %1")).arg(where);
    return batch.which.isEmpty() ? text : Sentence::tr("%1 (%2)").arg(text, batch.which);
}

QString transfer_sentence(const Job& job, const InHand& batch) {
    const bool moves = job.operation == Operation::move;
    const QString verb = moves                                ? Sentence::tr("Move %1")
                         : job.operation == Operation::unpack ? Sentence::tr("Unpack %1")
                                                              : Sentence::tr("Copy %1");
    QString text = verb.arg(batch_words(batch));
    text += Sentence::tr(" into %1").arg(short_path(job.into));
    if (batch.has_folders || batch.from.size() > 1 || job.structure != Structure{})
        text += Sentence::tr(", %1").arg(structure_words(job.structure));
    if (!batch.as.isEmpty()) text += Sentence::tr(", as %1").arg(batch.as);
    if (!job.naming.empty()) text += Sentence::tr(", with new names: %1").arg(naming_words(job.naming));
    if (job.clearing != Clearing::none) text += Sentence::tr(", %1").arg(clearing_words(job.clearing));
    if (moves && job.may_lose)
        text += Sentence::tr(", %1").arg(Sentence::tr("even where attributes are lost"));
    text += Sentence::tr("; where a name is taken, %1").arg(policy_words(job.policy, !batch.whole.isEmpty()));
    if (job.look_elsewhere)
        text +=
            Sentence::tr("; what is already there under another name %1")
                .arg(elsewhere_words(job.policy.when[static_cast<std::size_t>(Finding::elsewhere)].value_or(
                    Decision::rename)));
    return text + Sentence::tr(".");
}

QString packing_sentence(const Job& job, const InHand& batch) {
    QString text = Sentence::tr("Pack %1 into %2").arg(batch_words(batch), short_path(job.into));
    if (batch.has_folders || batch.from.size() > 1 || job.structure != Structure{})
        text += Sentence::tr(", %1").arg(structure_words(job.structure));
    if (!job.naming.empty()) text += Sentence::tr(", with new names: %1").arg(naming_words(job.naming));
    if (job.then_remove) text += Sentence::tr(", then remove them to the Safe");
    return text + Sentence::tr(".");
}

}  // namespace

QString elsewhere_words(Decision decision) {
    switch (decision) {
        case Decision::skip: return Sentence::tr("is skipped");
        case Decision::undecided: return Sentence::tr("is asked about");
        case Decision::overwrite:
        case Decision::rename: break;
    }
    return Sentence::tr("is marked, and comes all the same");
}

QString name_step_words(const NameStep& step) { return std::visit(StepWords{}, step); }

QString naming_words(const Naming& naming) {
    QStringList words;
    for (const NameStep& step : naming.steps) words << name_step_words(step);
    return words.join(Sentence::tr(", then "));
}

QString shelf_words(Shelf shelf) {
    switch (shelf) {
        case Shelf::safe: return Sentence::tr("to the Safe");
        case Shelf::trash: return Sentence::tr("to the trash");
    }
    return {};
}

QString job_sentence(const Job& job, const InHand& batch) {
    const QString inside = job.structure.contents ? Sentence::tr(", %1,").arg(inside_words(job)) : QString();
    switch (job.operation) {
        case Operation::rename:
            return Sentence::tr("Give %1%2 new names: %3; where a name is taken, %4.")
                .arg(batch_words(batch, true), inside, naming_words(job.naming),
                     policy_words(job.policy, !batch.whole.isEmpty()));
        case Operation::remove:
            return Sentence::tr("Remove %1%2, %3.").arg(batch_words(batch), inside, shelf_words(job.shelf));
        case Operation::make:
            return Sentence::tr("Make the folder %1 in %2.")
                .arg(shown(job.make.empty() ? "" : job.make.front()), short_path(job.into, 1));
        case Operation::pack: return packing_sentence(job, batch);
        case Operation::copy:
        case Operation::move:
        case Operation::unpack:
        case Operation::undo:
        case Operation::restore: break;
    }
    return transfer_sentence(job, batch);
}
