#include "wording.h"

#include <QCoreApplication>

using namespace tavlo;

namespace {
struct Wording {
    Q_DECLARE_TR_FUNCTIONS(Wording)
};
}  // namespace

QString finding_words(Finding finding) {
    switch (finding) {
        case Finding::same: return Wording::tr("same");
        case Finding::newer: return Wording::tr("newer");
        case Finding::older: return Wording::tr("older");
        case Finding::same_date: return Wording::tr("same date");
        case Finding::type: return Wording::tr("other type");
        case Finding::twin: return Wording::tr("twin");
    }
    return {};
}

QString decision_words(Decision decision) {
    switch (decision) {
        case Decision::undecided: return Wording::tr("undecided");
        case Decision::skip: return Wording::tr("skip");
        case Decision::overwrite: return Wording::tr("overwrite");
        case Decision::rename: return Wording::tr("rename");
    }
    return {};
}

QStringList decision_choices() { return {Wording::tr("Skip"), Wording::tr("Overwrite"), Wording::tr("Rename")}; }

QString outcome_words(const Item& item) {
    switch (item.outcome) {
        case Outcome::created:
        case Outcome::planned:
            return item.collision && item.collision->finding == Finding::twin && !item.collision->shared ? Wording::tr("twin")
                                                                                                         : Wording::tr("new");
        case Outcome::overwritten: return Wording::tr("overwrite");
        case Outcome::renamed: return Wording::tr("rename");
        case Outcome::merged: return Wording::tr("merge");
        case Outcome::failed: return Wording::tr("cannot be done");
        case Outcome::removed: return item.action == Action::remove_folder ? Wording::tr("goes") : Wording::tr("to the Safe");
        case Outcome::restored: return Wording::tr("comes back");
        case Outcome::skipped:
        case Outcome::undecided: break;
    }
    if (!item.collision) return item.outcome == Outcome::skipped ? Wording::tr("skip") : Wording::tr("changed since");
    return item.collision->finding ? finding_words(*item.collision->finding) : Wording::tr("comparing…");
}
