#include "sentence.h"

#include <QCoreApplication>

#include "text.h"

using namespace tavlo;

namespace {
struct Sentence {
    Q_DECLARE_TR_FUNCTIONS(Sentence)
};
}  // namespace

QString structure_words(const Structure& structure) {
    QString words;
    if (structure.flatten) return Sentence::tr("all files in one folder");
    switch (structure.subfolders) {
        case Subfolders::all: words = Sentence::tr("keeping subfolders"); break;
        case Subfolders::filled: words = Sentence::tr("keeping subfolders with files in them"); break;
        case Subfolders::none: words = Sentence::tr("without subfolders"); break;
    }
    if (structure.contents) words = Sentence::tr("only what is in the folders, %1").arg(words);
    if (!structure.kept_from.empty()) words = Sentence::tr("keeping folders below %1").arg(short_path(structure.kept_from, 1));
    return words;
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

QString job_sentence(const Job& job, const InHand& batch) {
    const auto& folders = batch.from;
    const bool copies = job.operation == Operation::copy;
    const int items = static_cast<int>(batch.items);
    QString text = copies ? Sentence::tr("Copy %Ln items", nullptr, items) : Sentence::tr("Move %Ln items", nullptr, items);
    if (folders.size() == 1) text += Sentence::tr(" from %1").arg(short_path(folders.front(), 1));
    if (folders.size() > 1) text += Sentence::tr(" from %Ln folders", nullptr, static_cast<int>(folders.size()));
    text += Sentence::tr(" into %1").arg(short_path(job.into));
    if (batch.has_folders || folders.size() > 1 || job.structure != Structure{})
        text += Sentence::tr(", %1").arg(structure_words(job.structure));
    if (job.clearing != Clearing::none) text += Sentence::tr(", %1").arg(clearing_words(job.clearing));
    if (!copies && job.may_lose) text += Sentence::tr(", %1").arg(Sentence::tr("even where attributes are lost"));
    return text + Sentence::tr("; where a name is taken, %1.").arg(rule_words(rule_of(job.policy)));
}
