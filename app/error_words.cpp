// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "error_words.h"

#include <QCoreApplication>
#include <QHash>
#include <QRegularExpression>
#include <vector>

#include "text.h"

namespace {

// %1 and %2 stand for what varies. A test holds that nothing of the core's is missing.
constexpr const char* known_words[] = {
    QT_TRANSLATE_NOOP("ErrorWords", "is not there"),
    QT_TRANSLATE_NOOP("ErrorWords", "permission denied"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not a folder"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no folder"),
    QT_TRANSLATE_NOOP("ErrorWords", "the disk is full"),
    QT_TRANSLATE_NOOP("ErrorWords", "the quota is used up"),
    QT_TRANSLATE_NOOP("ErrorWords", "the file system is read-only"),
    QT_TRANSLATE_NOOP("ErrorWords", "is larger than a file can be there"),
    QT_TRANSLATE_NOOP("ErrorWords", "the name is too long"),
    QT_TRANSLATE_NOOP("ErrorWords", "a number in its name would fall below 0"),
    QT_TRANSLATE_NOOP("ErrorWords", "a whole file system cannot be taken"),
    QT_TRANSLATE_NOOP("ErrorWords", "another folder stands here now"),
    QT_TRANSLATE_NOOP("ErrorWords", "are no facts"),
    QT_TRANSLATE_NOOP("ErrorWords", "brings down what reads it, or needs too much memory"),
    QT_TRANSLATE_NOOP("ErrorWords", "brought down what reads it, several times"),
    QT_TRANSLATE_NOOP("ErrorWords", "cannot be checked: systemd-analyze is not there"),
    QT_TRANSLATE_NOOP("ErrorWords", "cannot be done: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "cannot be read: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "cannot be loaded: a library of it is missing"),
    QT_TRANSLATE_NOOP("ErrorWords", "cannot be started"),
    QT_TRANSLATE_NOOP("ErrorWords", "cannot hold two names of a file"),
    QT_TRANSLATE_NOOP("ErrorWords", "changed after it was read"),
    QT_TRANSLATE_NOOP("ErrorWords", "changed after the decision was taken"),
    QT_TRANSLATE_NOOP("ErrorWords", "changed while it was moved"),
    QT_TRANSLATE_NOOP("ErrorWords", "changed while it was read"),
    QT_TRANSLATE_NOOP("ErrorWords", "ended before its time"),
    QT_TRANSLATE_NOOP("ErrorWords", "folds case, so everything is counted first"),
    QT_TRANSLATE_NOOP("ErrorWords", "has no id left for a run"),
    QT_TRANSLATE_NOOP("ErrorWords", "has a name that is no UTF-8, as names in a zip archive are"),
    QT_TRANSLATE_NOOP("ErrorWords", "has no sticky bit"),
    QT_TRANSLATE_NOOP("ErrorWords", "has no trash, and none can be made"),
    QT_TRANSLATE_NOOP("ErrorWords", "has no trash, and none can be made (%1)"),
    QT_TRANSLATE_NOOP("ErrorWords", "has not come to its end, so it is undone whole or gone on with first"),
    QT_TRANSLATE_NOOP("ErrorWords", "has not ended"),
    QT_TRANSLATE_NOOP("ErrorWords", "has nothing in it: nothing could be packed"),
    QT_TRANSLATE_NOOP("ErrorWords", "holds a job that cannot be read: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "holds Tavlo's own records, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "holds versions that were set aside, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "holds a mount of another file system, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a fifo, socket or device, which is left alone"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a folder into itself: %1 lies in it"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a folder, and no archive"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a link that leads back to a folder it lies in"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a link that leads nowhere"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a link, which the destination cannot hold"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a mount of another file system, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a mount of another file system, which is not crossed"),
    QT_TRANSLATE_NOOP("ErrorWords", "is a name too long for a unit of systemd"),
    QT_TRANSLATE_NOOP("ErrorWords", "is another folder than the one that was looked at"),
    QT_TRANSLATE_NOOP("ErrorWords", "is another one than was looked at"),
    QT_TRANSLATE_NOOP("ErrorWords", "is another one than was made"),
    QT_TRANSLATE_NOOP("ErrorWords", "is being read or written by another run, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "is empty"),
    QT_TRANSLATE_NOOP("ErrorWords", "is larger than a file can be in the destination"),
    QT_TRANSLATE_NOOP("ErrorWords", "is larger than it should be"),
    QT_TRANSLATE_NOOP("ErrorWords", "is longer than it says"),
    QT_TRANSLATE_NOOP("ErrorWords", "is shorter than it says"),
    QT_TRANSLATE_NOOP("ErrorWords", "is missing"),
    QT_TRANSLATE_NOOP("ErrorWords", "is missing: Tavlo is not completely installed"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no archive: it is empty"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no calendar expression that systemd knows (systemd.time(7))"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no expression that can be used: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no file"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no kind; there are %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no longer a regular file"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no longer in the trash"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no longer the Safe's own folder"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no longer the folder that was looked at"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no longer there"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no regular file"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no saved job; tavloctl jobs lists them"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no text file"),
    QT_TRANSLATE_NOOP("ErrorWords", "is no trash of this user"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not a private folder of this user"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not in the archive"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not known"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not the one that the decision was made about"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not the receipt of an undo"),
    QT_TRANSLATE_NOOP("ErrorWords", "is not the version that was set aside"),
    QT_TRANSLATE_NOOP("ErrorWords", "is open for writing elsewhere, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "is somebody's own folder"),
    QT_TRANSLATE_NOOP("ErrorWords", "is still going on"),
    QT_TRANSLATE_NOOP("ErrorWords", "is the name of a saved job; --replace replaces it"),
    QT_TRANSLATE_NOOP("ErrorWords", "is the root of the whole system, which is not emptied"),
    QT_TRANSLATE_NOOP("ErrorWords", "is to be counted first: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "is told of in words that cannot be read"),
    QT_TRANSLATE_NOOP("ErrorWords", "is too large to be read at once"),
    QT_TRANSLATE_NOOP("ErrorWords", "its names are taken in the trash"),
    QT_TRANSLATE_NOOP("ErrorWords", "its old name is taken"),
    QT_TRANSLATE_NOOP("ErrorWords", "its old place is taken"),
    QT_TRANSLATE_NOOP("ErrorWords", "its other name did not arrive"),
    QT_TRANSLATE_NOOP("ErrorWords", "its other name is gone"),
    QT_TRANSLATE_NOOP("ErrorWords", "its version %1 is no longer in the Safe"),
    QT_TRANSLATE_NOOP("ErrorWords", "lies in an archive that was changed meanwhile"),
    QT_TRANSLATE_NOOP("ErrorWords", "lies in an archive, which is only read"),
    QT_TRANSLATE_NOOP("ErrorWords", "lies on a file system that is read-only"),
    QT_TRANSLATE_NOOP("ErrorWords", "lies on a volume that is not there now"),
    QT_TRANSLATE_NOOP("ErrorWords", "line %1 is not NAME: EXTENSION EXTENSION …"),
    QT_TRANSLATE_NOOP("ErrorWords", "may not have reached the disk: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "name %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "no random number could be had"),
    QT_TRANSLATE_NOOP("ErrorWords", "nothing was asked for"),
    QT_TRANSLATE_NOOP("ErrorWords", "reads back otherwise than it was packed: %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "something else is there now"),
    QT_TRANSLATE_NOOP("ErrorWords", "something else stands where its folder was"),
    QT_TRANSLATE_NOOP("ErrorWords", "something else than a folder stands here now"),
    QT_TRANSLATE_NOOP("ErrorWords", "stays in the Safe, as its source does not hold the same bytes now"),
    QT_TRANSLATE_NOOP("ErrorWords",
                      "stays, as its age cannot be told: the clock has been put on or back since"),
    QT_TRANSLATE_NOOP("ErrorWords", "stays, as the folder that it was could not be made again"),
    QT_TRANSLATE_NOOP("ErrorWords", "still holds something, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "stopped"),
    QT_TRANSLATE_NOOP("ErrorWords", "takes far more work than its bytes can need"),
    QT_TRANSLATE_NOOP("ErrorWords", "takes from a folder that no unit can name"),
    QT_TRANSLATE_NOOP("ErrorWords", "takes from no folder that could be watched"),
    QT_TRANSLATE_NOOP("ErrorWords", "takes something back, which is tried again by undoing it again"),
    QT_TRANSLATE_NOOP("ErrorWords", "the archive that it goes into could not be made"),
    QT_TRANSLATE_NOOP("ErrorWords", "the archive that it goes into is %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "the folder it comes in could not be made"),
    QT_TRANSLATE_NOOP("ErrorWords", "the folder it comes in could not be packed"),
    QT_TRANSLATE_NOOP("ErrorWords", "the folder it comes in is undecided"),
    QT_TRANSLATE_NOOP("ErrorWords", "the list names nothing"),
    QT_TRANSLATE_NOOP("ErrorWords", "the name is held"),
    QT_TRANSLATE_NOOP("ErrorWords", "the name that it was to have did not come free"),
    QT_TRANSLATE_NOOP("ErrorWords", "the name was taken meanwhile"),
    QT_TRANSLATE_NOOP("ErrorWords", "there is no folder here that could hold the Safe"),
    QT_TRANSLATE_NOOP("ErrorWords", "there is no such receipt"),
    QT_TRANSLATE_NOOP("ErrorWords", "there is no such version in the Safe"),
    QT_TRANSLATE_NOOP("ErrorWords", "took a part of the line only"),
    QT_TRANSLATE_NOOP("ErrorWords", "waits for its volume, which is not there now (%1)"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants an expression"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants something to be replaced"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants the extension without its dot"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants a size such as 500, 20K, 1.5M or 2G, not '%1'"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants a number, not '%1'"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants a date as 2031-05-02, or 2031, not '%1'"),
    QT_TRANSLATE_NOOP("ErrorWords", "wants FACT=GLOB, not '%1'"),
    QT_TRANSLATE_NOOP("ErrorWords", "was changed in the trash"),
    QT_TRANSLATE_NOOP("ErrorWords", "was changed since"),
    QT_TRANSLATE_NOOP("ErrorWords", "was moved while it was emptied"),
    QT_TRANSLATE_NOOP("ErrorWords", "was taken away while its folder moved"),
    QT_TRANSLATE_NOOP("ErrorWords", "was undone"),
    QT_TRANSLATE_NOOP("ErrorWords", "was undone already, by %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "was undone by %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "was written, and has another size"),
    QT_TRANSLATE_NOOP("ErrorWords", "what was written reads back otherwise"),
    QT_TRANSLATE_NOOP("ErrorWords", "would go into itself"),
    QT_TRANSLATE_NOOP("ErrorWords", "would go onto itself"),
    QT_TRANSLATE_NOOP("ErrorWords", "would leave the destination, and is of the batch itself"),
    QT_TRANSLATE_NOOP("ErrorWords", "would leave the destination, and the batch comes out of it"),
    QT_TRANSLATE_NOOP("ErrorWords", "would lose %1, which the destination cannot keep, and stays"),
    QT_TRANSLATE_NOOP("ErrorWords", "would only be emptied: nothing of the batch goes there"),
    QT_TRANSLATE_NOOP("ErrorWords", "would overwrite a mount of another file system, or what holds one"),
    QT_TRANSLATE_NOOP("ErrorWords", "would overwrite what holds a mount of another file system"),
    QT_TRANSLATE_NOOP("ErrorWords", "would have no name"),
    QT_TRANSLATE_NOOP("ErrorWords", "would have a name that every folder has"),
    QT_TRANSLATE_NOOP("ErrorWords", "would have a name with '/', which parts folders"),
    QT_TRANSLATE_NOOP("ErrorWords", "would have a name with a NUL, which ends it"),
    QT_TRANSLATE_NOOP("ErrorWords", "the name is longer than the %1 bytes that the destination can hold"),
    QT_TRANSLATE_NOOP("ErrorWords", "the destination cannot hold a name with %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "the destination cannot hold a name with a control character"),
    QT_TRANSLATE_NOOP("ErrorWords", "the destination cannot hold a name that ends in a dot or a space"),
    QT_TRANSLATE_NOOP("ErrorWords", "the destination cannot hold a name that is not valid UTF-8"),
    QT_TRANSLATE_NOOP("ErrorWords", "has too little room: %1 bytes are needed, %2 are free"),
    QT_TRANSLATE_NOOP("ErrorWords", "has too little room: %1 new entries are needed, %2 are free"),
    QT_TRANSLATE_NOOP("ErrorWords", "knows no fact '%1'; there are %2"),
    QT_TRANSLATE_NOOP("ErrorWords", "has no tab in line %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "gives '%1' two new names, in lines %2"),
    QT_TRANSLATE_NOOP("ErrorWords", "line %1: nothing is named '%2'"),
    QT_TRANSLATE_NOOP("ErrorWords", "line %1: nothing fits '%2'"),
    QT_TRANSLATE_NOOP(
        "ErrorWords",
        "names no archive that can be made: a name and .zip, .tar, .tar.gz, .tgz, .tar.xz or .tar.zst"),
    QT_TRANSLATE_NOOP("ErrorWords", "a move is planned whole"),
    QT_TRANSLATE_NOOP("ErrorWords", "folders are chosen by what is in them"),
    QT_TRANSLATE_NOOP("ErrorWords", "links are followed"),
    QT_TRANSLATE_NOOP("ErrorWords", "a link is followed"),
    QT_TRANSLATE_NOOP("ErrorWords", "something is to leave the destination"),
    QT_TRANSLATE_NOOP("ErrorWords", "new names are given"),
    QT_TRANSLATE_NOOP("ErrorWords", "what is there under other names is looked for"),
    QT_TRANSLATE_NOOP("ErrorWords", "files are sorted by what they tell"),
    QT_TRANSLATE_NOOP("ErrorWords", "several could want one name"),
    QT_TRANSLATE_NOOP("ErrorWords", "subfolders are left out by what is in them"),
    QT_TRANSLATE_NOOP("ErrorWords", "folders on the way are kept"),
    QT_TRANSLATE_NOOP("ErrorWords", "many things were picked one by one"),
    QT_TRANSLATE_NOOP("ErrorWords", "'%1' is no fact of a file"),
    QT_TRANSLATE_NOOP("ErrorWords", "has a '}' that closes nothing, at character %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "has an empty level, at character %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "has an open brace, at character %1"),
    QT_TRANSLATE_NOOP("ErrorWords", "knows no format '%1' of %2"),
    QT_TRANSLATE_NOOP("ErrorWords", "%1 (at character %2)"),
};

struct Pattern {
    const char* words;
    QRegularExpression fits;
};

QString translated(const char* words) { return QCoreApplication::translate("ErrorWords", words); }

/// Those in which something varies.
const std::vector<Pattern>& patterns() {
    static const auto made = [] {
        std::vector<Pattern> all;
        for (const char* words : known_words) {
            QString text = QString::fromUtf8(words);
            if (!text.contains(QLatin1String("%1"))) continue;
            text = QRegularExpression::escape(text);
            for (const char* place : {"\\%1", "\\%2"})
                text.replace(QLatin1String(place), QLatin1String("(.*)"));
            all.push_back({words, QRegularExpression(QRegularExpression::anchoredPattern(text),
                                                     QRegularExpression::DotMatchesEverythingOption)});
        }
        return all;
    }();
    return made;
}

const char* whole(const QString& reason) {
    static const auto known = [] {
        QHash<QString, const char*> all;
        for (const char* words : known_words) all.insert(QString::fromUtf8(words), words);
        return all;
    }();
    return known.value(reason, nullptr);
}

}  // namespace

QString told_words(std::string_view reason) {
    const QString text = shown(reason);
    if (const char* words = whole(text)) return translated(words);
    for (const Pattern& one : patterns()) {
        const auto match = one.fits.match(text);
        if (!match.hasMatch()) continue;
        QString out = translated(one.words);
        // what varies may be a reason in turn
        const QString first = told_words(match.captured(1).toStdString());
        return match.lastCapturedIndex() == 2 ? out.arg(first, match.captured(2)) : out.arg(first);
    }
    return text;
}

QString reason_words(const tavlo::Error& error) { return told_words(tavlo::reason(error)); }

QString error_words(const tavlo::Error& error) {
    return error.path.empty() ? reason_words(error)
                              : QStringLiteral("%1: %2").arg(shown(error.path), reason_words(error));
}
