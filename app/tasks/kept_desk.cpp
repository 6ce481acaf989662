// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/kept_desk.h"

#include <QDir>
#include <QFile>
#include <QLockFile>

#include "files/path.h"
#include "tasks/batch_file.h"

namespace {
constexpr int most_windows = 64;
}

std::optional<KeptDesk> take_desk(const std::string& state_folder) {
    for (int number = 1; number <= most_windows; ++number) {
        const std::string folder =
            number == 1 ? state_folder
                        : tavlo::join(tavlo::join(state_folder, "windows"), std::to_string(number));
        if (!QDir().mkpath(QFile::decodeName(folder.c_str()))) return std::nullopt;
        auto lock = std::make_shared<QLockFile>(QFile::decodeName(batch_file(folder).c_str()) +
                                                QStringLiteral(".lock"));
        lock->setStaleLockTime(0);  // whoever lives has it, for as long as it takes
        if (lock->tryLock(0)) return KeptDesk{folder, std::move(lock)};
        if (lock->error() != QLockFile::LockFailedError) return std::nullopt;  // nothing can be written there
    }
    return std::nullopt;
}
