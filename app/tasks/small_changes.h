#pragma once

#include <QObject>
#include <QThreadPool>
#include <functional>
#include <string>
#include <vector>

#include "files/result.h"

class QUndoStack;

/// New folders, new names and the trash, in the folder that one looks at; each can be undone and done again. Worked on one
/// after the other on a thread of their own.
class SmallChanges final : public QObject {
    Q_OBJECT

public:
    explicit SmallChanges(QUndoStack& history, QObject* parent = nullptr);
    ~SmallChanges() override;
    void newFolder(const std::string& folder, const std::string& names);
    void rename(const std::string& folder, const std::string& from, const std::string& to);
    void trash(const std::vector<std::string>& paths);

signals:
    void changed(const QString& words);  ///< what was done, or undone
    void problem(const QString& why);

private:
    using Work = std::function<tavlo::Result<void>()>;
    class Change;
    void carryOut(const QString& words, Work make, Work take_back);
    void run(const QString& words, const Work& work, std::function<void()> then);

    QUndoStack& history_;
    QThreadPool worker_;
};
