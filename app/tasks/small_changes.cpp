#include "tasks/small_changes.h"

#include <QDateTime>
#include <QUndoStack>
#include <memory>

#include "files/path.h"
#include "run/in_place.h"
#include "text.h"

using namespace tavlo;

/// Pushed once it was made; from then on undo and redo have it taken back and made again.
class SmallChanges::Change final : public QUndoCommand {
public:
    Change(SmallChanges& changes, const QString& words, Work make, Work take_back)
        : QUndoCommand(words), changes_(changes), make_(std::move(make)), take_back_(std::move(take_back)) {}

    void undo() override { changes_.run(tr("Undone: %1").arg(text()), take_back_, {}); }
    void redo() override {
        if (std::exchange(made_, true)) changes_.run(text(), make_, {});
    }

private:
    SmallChanges& changes_;
    Work make_;
    Work take_back_;
    bool made_ = false;
};

SmallChanges::SmallChanges(QUndoStack& history, QObject* parent) : QObject(parent), history_(history) {
    worker_.setMaxThreadCount(1);  // in their order
}

SmallChanges::~SmallChanges() { worker_.waitForDone(); }

void SmallChanges::run(const QString& words, const Work& work, std::function<void()> then) {
    worker_.start([this, words, work, then = std::move(then)] {
        const auto done = work();
        QMetaObject::invokeMethod(
            this,
            [this, words, then, why = done ? QString() : shown(describe(done.error()))] {
                if (!why.isEmpty()) return emit problem(why);
                if (then) then();
                emit changed(words);
            },
            Qt::QueuedConnection);
    });
}

void SmallChanges::carryOut(const QString& words, Work make, Work take_back) {
    run(words, make, [this, words, make, take_back] { history_.push(new Change(*this, words, make, take_back)); });
}

void SmallChanges::newFolder(const std::string& folder, const std::string& names) {
    auto made = std::make_shared<std::vector<std::string>>();
    carryOut(
        tr("New folder %1").arg(shown(names)),
        [folder, names, made]() -> Result<void> {
            auto done = make_folders(*make_disk(), folder, names);
            if (!done) return failure(done.error());
            *made = std::move(*done);
            return {};
        },
        [made] { return remove_made_folders(*make_disk(), *made); });
}

void SmallChanges::rename(const std::string& folder, const std::string& from, const std::string& to) {
    if (from == to) return;
    carryOut(
        tr("Rename %1 to %2").arg(shown(from), shown(to)), [folder, from, to] { return rename_one(*make_disk(), folder, from, to); },
        [folder, from, to] { return rename_one(*make_disk(), folder, to, from); });
}

void SmallChanges::trash(const std::vector<std::string>& paths) {
    if (paths.empty()) return;
    auto lying = std::make_shared<std::vector<Trashed>>();
    const QString words = paths.size() == 1 ? tr("%1 to the trash").arg(shown(name_of(paths.front())))
                                            : tr("%Ln to the trash", nullptr, static_cast<int>(paths.size()));
    carryOut(
        words,
        [paths, lying]() -> Result<void> {
            const auto disk = make_disk();
            lying->clear();
            for (const auto& path : paths) {
                auto done = move_to_trash(*disk, path, QDateTime::currentSecsSinceEpoch());
                if (!done) {
                    for (const Trashed& one : *lying) (void)take_from_trash(*disk, one);  // all of them or none
                    return failure(done.error());
                }
                lying->push_back(std::move(*done));
            }
            return {};
        },
        [lying]() -> Result<void> {
            const auto disk = make_disk();
            while (!lying->empty()) {
                if (auto back = take_from_trash(*disk, lying->back()); !back) return back;
                lying->pop_back();
            }
            return {};
        });
}
