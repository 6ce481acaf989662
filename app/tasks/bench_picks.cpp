// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QUndoCommand>

#include "files/path.h"
#include "tasks/bench.h"

// Taking in hand, and out of it; each stroke can be undone, and done again.

using namespace tavlo;

/// A change of the batch that was made.
class Bench::Picking final : public QUndoCommand {
public:
    Picking(Bench& bench, std::vector<Change> changes, const QString& words)
        : QUndoCommand(words), bench_(bench), changes_(std::move(changes)) {}

    void undo() override {
        for (auto change = changes_.rbegin(); change != changes_.rend(); ++change)
            bench_.note(change->reversed());
        bench_.lookAgain();
    }
    void redo() override {
        if (std::exchange(done_, true) == false) return;  // when it was made
        for (const Change& change : changes_) bench_.note(change);
        bench_.lookAgain();
    }

private:
    Bench& bench_;
    std::vector<Change> changes_;
    bool done_ = false;
};

/// Keeps the count here and hands the change to the worker.
/// returns  what really changed
Bench::Change Bench::note(const Change& wanted) {
    Change change = picks_.note(wanted);
    if (!change.names->empty()) outlooker_.note(change);
    return change;
}

void Bench::apply(const std::vector<Change>& wanted, const QString& words) {
    std::vector<Change> made;
    for (const Change& change : wanted)
        if (auto real = note(change); !real.names->empty()) made.push_back(std::move(real));
    if (!made.empty()) history_.push(new Picking(*this, std::move(made), words));
    lookAgain();
}

void Bench::pickAll(ByFolder by_folder, const QString& words) {
    std::vector<Change> wanted;
    for (auto& [folder, names] : by_folder) wanted.push_back(Change::of(folder, std::move(names), true));
    apply(wanted, words);
}

void Bench::unpickAll(ByFolder by_folder, const QString& words) {
    std::vector<Change> wanted;
    for (auto& [folder, names] : by_folder) wanted.push_back(Change::of(folder, std::move(names), false));
    apply(wanted, words);
}

void Bench::unpickFolder(const std::string& folder) { unpick(folder, picks_.namesIn(folder)); }

void Bench::replacePicks(const Names& paths) {
    apply(picks_.changesTo(paths), paths.empty() ? tr("Empty the batch") : tr("Take in hand"));
}

void Bench::forget(const NamesByFolder& by_folder) {
    const bool had_some = !picks_.empty();
    for (const auto& [folder, names] : by_folder) note({folder, names, false});
    if (had_some && picks_.empty()) beginAnew();
    lookAgain();
}
