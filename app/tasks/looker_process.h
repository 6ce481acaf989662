// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QImage>
#include <QJsonObject>
#include <QObject>
#include <QProcess>
#include <QStringList>
#include <QTimer>
#include <functional>
#include <memory>
#include <string>
#include <vector>

#include "tasks/member_copies.h"

/// What was seen of a file.
struct Look {
    QImage picture;
    QString text;
    std::vector<std::pair<QString, QString>> facts;  ///< name and value, in words
    QString geo;               ///< where a picture was taken, as an address (RFC 5870); empty: not known
    QString place_in_figures;  ///< the same, to be read
    QString problem;           ///< why there is nothing to see
};

/// Where two files differ.
struct Differences {
    enum class How { same, only_left, only_right, changed };
    struct Row {
        How how;
        QString left;
        QString right;
    };
    bool known = false;  ///< they could be read
    qint64 first = -1;   ///< the first byte that differs, from 0; -1: none was found
    bool cells = false;  ///< the rows are cells of sheets, else lines of text
    std::vector<Row> rows;
    bool cut = false;  ///< there is more than was looked at
};

/// tavlo-look: beside this program, as it is built; or where it is installed.
QString look_program();
/// A process for it, whose complaints nobody reads.
std::unique_ptr<QProcess> look_process();
/// Kills it, if it still runs, and hears no more of it; nobody waits for that.
/// who  it told of itself until now
void end_without_waiting(std::unique_ptr<QProcess> process, const QObject& who);

/// Runs tavlo-look, the program that looks at files, one call at a time, the newest wish only. A file that
/// brings that program down, or keeps it busy, costs nothing but its look. One that lies in an archive is
/// copied out of it first.
class LookProgram final : public QObject {
    Q_OBJECT

public:
    explicit LookProgram(QObject* parent = nullptr);
    ~LookProgram() override;
    /// options  ahead of the paths of the files
    void run(const QStringList& options, const std::vector<std::string>& files,
             std::function<void(bool good, const QJsonObject& seen)> done);
    void stop();

private:
    void start(QStringList words, const std::vector<std::string>& files);
    void finish(bool good);

    MemberCopies copies_;
    std::uint64_t wish_ = 0;
    std::unique_ptr<QProcess> process_;
    std::function<void(bool, const QJsonObject&)> done_;
    QTimer limit_;
};

/// Has files looked at, one at a time.
class LookerProcess final : public QObject {
    Q_OBJECT

public:
    using QObject::QObject;
    void lookAt(const std::string& path);
    void stop() { program_.stop(); }

signals:
    void looked(const std::string& path, const Look& look);

private:
    LookProgram program_;
};

/// Has two files looked at and compared.
class PairLooker final : public QObject {
    Q_OBJECT

public:
    explicit PairLooker(QObject* parent = nullptr);
    /// An empty path: there is nothing on that side to look at.
    void lookAt(const std::string& left, const std::string& right);
    void stop();

signals:
    void lookedLeft(const Look& look);
    void lookedRight(const Look& look);
    void compared(const Differences& differences);

private:
    LookerProcess left_;
    LookerProcess right_;
    LookProgram comparer_;
};
