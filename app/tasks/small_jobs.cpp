// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/small_jobs.h"

#include <QPointer>
#include <QUndoStack>
#include <algorithm>

#include "archive/archive_files.h"
#include "error_words.h"
#include "files/path.h"
#include "keep/store.h"
#include "sentence.h"
#include "tasks/runs.h"
#include "text.h"

using namespace tavlo;

namespace {

/// Why it cannot be done, for people; empty where it can. Of many that are to go, those go that can.
QString objection(const Outlook& outlook) {
    if (!outlook.refusals.empty()) return error_words(outlook.refusals.front());
    const Plan& plan = *outlook.plan;
    const auto is_done = [](const Item& item) {
        return arrives(item.outcome) || item.outcome == Outcome::removed;
    };
    const bool some_can = std::any_of(plan.items.begin(), plan.items.end(), is_done);
    const bool all_are_wanted = !plan.traits().takes_away;
    for (const Item& item : plan.items)
        if (item.problem() && (all_are_wanted || !some_can)) return error_words(*item.problem());
    if (some_can) return {};
    return plan.items.empty() ? SmallJobs::tr("there is no name in it")
                              : SmallJobs::tr("%1 is there already").arg(shown(plan.name(plan.items.back())));
}

/// A name as a pattern that means just it.
std::string literal(const std::string& name) {
    std::string pattern;
    for (const char c : name) {
        pattern += c;
        if (c == '{' || c == '}') pattern += c;
    }
    return pattern;
}

}  // namespace

/// Pushed once it was done; from then on undo takes the last receipt of it back, and redo the receipt of
/// that.
class SmallJobs::Done final : public QUndoCommand {
public:
    Done(SmallJobs& jobs, const QString& words, std::string receipt)
        : QUndoCommand(words), jobs_(jobs), receipt_(std::make_shared<std::string>(std::move(receipt))) {}

    void undo() override { jobs_.takeBack(receipt_, tr("Undone: %1").arg(text())); }
    void redo() override {
        if (std::exchange(done_, true)) jobs_.takeBack(receipt_, text());
    }

private:
    SmallJobs& jobs_;
    std::shared_ptr<std::string> receipt_;  ///< of what was done last
    bool done_ = false;
};

SmallJobs::SmallJobs(std::string state_folder, Runs& runs, QUndoStack& history, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)), runs_(runs), history_(history) {}

void SmallJobs::enqueue(std::function<void()> work) {
    waiting_.push_back(std::move(work));
    if (!busy_) next();
}

void SmallJobs::next() {
    busy_ = !waiting_.empty();
    if (!busy_) return;
    const auto work = std::move(waiting_.front());
    waiting_.pop_front();
    work();
}

void SmallJobs::ask(const Job& job, const QString& sentence) {
    const auto look = [job, state_folder = state_folder_](const std::stop_token&) {
        Asked asked = job;
        asked.kept = folders_to_keep(state_folder);
        return std::make_shared<const Result<Outlook>>(prepare(*make_disk_with_archives(), asked));
    };
    enqueue([this, job, sentence, look] {
        worker_.ask(this, look,
                    [this, job, sentence](const Looked& looked) { begin(job, sentence, looked); });
    });
}

void SmallJobs::begin(const Job& job, const QString& sentence, const Looked& looked) {
    const QString why = *looked ? objection(**looked) : error_words(looked->error());
    if (!why.isEmpty()) {
        emit problem(why);
        return next();
    }
    runs_.startAtOnce((*looked)->plan, sentence, std::make_shared<const Job>(job),
                      [this, here = QPointer(this), sentence](const RunEnd& end) {
                          if (!here) return;
                          const bool did_something =
                              end.head && end.head->totals.items > end.head->totals.of(Outcome::failed);
                          emit gone(end.settled);
                          if (did_something) history_.push(new Done(*this, sentence, end.head->id));
                          tell(sentence, end);
                      });
}

void SmallJobs::takeBack(const std::shared_ptr<std::string>& receipt, const QString& words) {
    enqueue([this, receipt, words] {
        runs_.undoAtOnce(*receipt, words, [this, here = QPointer(this), receipt, words](const RunEnd& end) {
            if (!here) return;
            if (end.head) *receipt = end.head->id;
            tell(words, end);
        });
    });
}

void SmallJobs::tell(const QString& words, const RunEnd& end) {
    if (!end.head) {
        emit problem(end.why);
    } else {
        const auto& totals = end.head->totals;
        const auto open =
            totals.of(Outcome::failed) + totals.of(Outcome::undecided) + totals.of(Outcome::planned);
        if (open > 0) emit problem(tr("%Ln of it; the receipt says why", nullptr, static_cast<int>(open)));
        emit changed(words, end.head->id);
    }
    next();
}

void SmallJobs::newFolder(const std::string& folder, const std::string& names) {
    Job job;
    job.operation = Operation::make;
    job.into = folder;
    job.make = {names.ends_with('/') ? names.substr(0, names.size() - 1) : names};
    ask(job, job_sentence(job, {}));
}

void SmallJobs::rename(const std::string& folder, const std::string& from, const std::string& to) {
    Job job;
    job.operation = Operation::rename;
    job.what.sources = {join(folder, from)};
    job.naming.steps = {NameAs{literal(to)}};
    job.naming.whole_names = true;
    ask(job, tr("Rename %1 to %2 in %3.").arg(shown(from), shown(to), short_path(folder, 1)));
}

void SmallJobs::trash(const std::vector<std::string>& paths) {
    if (paths.empty()) return;
    Job job;
    job.operation = Operation::remove;
    job.shelf = Shelf::trash;
    job.what.sources = paths;
    ask(job, job_sentence(job, {paths.size(), {std::string(parent_of(paths.front()))}, false}));
}
