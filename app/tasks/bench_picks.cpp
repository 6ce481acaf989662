#include <QUndoCommand>
#include <algorithm>

#include "files/path.h"
#include "tasks/bench.h"

// What is in hand.

using namespace tavlo;

bool Bench::isPicked(const std::string& folder, const std::string& name) const {
    const auto found = picked_.find(folder);
    return found != picked_.end() && found->second.names.contains(name);
}

std::size_t Bench::pickedIn(const std::string& folder) const {
    const auto found = picked_.find(folder);
    return found == picked_.end() ? 0 : found->second.names.size();
}

Bench::Names Bench::sourceFolders() const {
    Names folders;
    for (const auto& [folder, picked] : picked_) folders.push_back(folder);
    return folders;
}

/// A change of the batch that was made, to be undone and done again.
class Bench::Picking final : public QUndoCommand {
public:
    Picking(Bench& bench, std::vector<Change> changes, const QString& words)
        : QUndoCommand(words), bench_(bench), changes_(std::move(changes)) {}

    void undo() override {
        for (auto change = changes_.rbegin(); change != changes_.rend(); ++change)
            bench_.note({change->folder, change->names, !change->in});
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

/// Keeps the count here and hands the change to the worker, so that no list of all that is picked is ever copied.
/// returns  what really changed
Bench::Change Bench::note(const Change& wanted) {
    Picked& known = picked_[wanted.folder];
    Change change = wanted;
    const auto is_news = [&](const std::string& name) { return known.names.contains(name) != wanted.in; };
    if (!std::all_of(wanted.names->begin(), wanted.names->end(), is_news)) {
        Names news;
        std::copy_if(wanted.names->begin(), wanted.names->end(), std::back_inserter(news), is_news);
        change.names = shared(std::move(news));
    }
    const auto before = known.names.size();
    if (wanted.in) {
        known.names.reserve(before + change.names->size());
        known.names.insert(change.names->begin(), change.names->end());
        known.storage.push_back(change.names);
    } else {
        for (const std::string& name : *change.names) known.names.erase(name);
    }
    picked_count_ += known.names.size();
    picked_count_ -= before;
    if (known.names.empty()) picked_.erase(wanted.folder);
    if (change.names->empty()) return change;
    outlooker_.note(change);
    return change;
}

void Bench::apply(std::vector<Change> wanted, const QString& words) {
    std::vector<Change> made;
    for (const Change& change : wanted)
        if (auto real = note(change); !real.names->empty()) made.push_back(std::move(real));
    if (!made.empty()) history_.push(new Picking(*this, std::move(made), words));
    lookAgain();
}

void Bench::pickAll(ByFolder by_folder, const QString& words) {
    std::vector<Change> wanted;
    for (auto& [folder, names] : by_folder) wanted.push_back({folder, shared(std::move(names)), true});
    apply(std::move(wanted), words);
}

void Bench::unpickAll(ByFolder by_folder, const QString& words) {
    std::vector<Change> wanted;
    for (auto& [folder, names] : by_folder) wanted.push_back({folder, shared(std::move(names)), false});
    apply(std::move(wanted), words);
}

void Bench::unpickFolder(const std::string& folder) {
    if (const auto found = picked_.find(folder); found != picked_.end())
        unpick(folder, {found->second.names.begin(), found->second.names.end()});
}

void Bench::replacePicks(const Names& paths) {
    ByFolder wanted;
    for (const auto& path : paths) wanted[std::string(parent_of(path))].emplace_back(name_of(path));
    std::vector<Change> changes;
    for (const auto& [folder, picked] : picked_) changes.push_back({folder, shared({picked.names.begin(), picked.names.end()}), false});
    for (auto& [folder, names] : wanted) changes.push_back({folder, shared(std::move(names)), true});
    apply(std::move(changes), paths.empty() ? tr("Empty the batch") : tr("Take in hand"));
}

void Bench::forget(const ByFolder& by_folder) {
    for (const auto& [folder, names] : by_folder) note({folder, shared(names), false});
    lookAgain();
}
