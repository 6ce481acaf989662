// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QTemporaryDir>
#include <functional>
#include <memory>
#include <string>
#include <vector>

#include "tasks/worker.h"

/// Files that lie in archives, for programs that read files by their paths: each is copied to where only this
/// user can read it, until the next ones are wanted.
class MemberCopies {
public:
    using Paths = std::vector<std::string>;
    /// then  the same paths, each leading to a file now; one that cannot be had, or is too large to be copied
    ///       for a look, stays as it was. At once where none of them lies in an archive
    void want(QObject* who, const Paths& paths, std::function<void(const Paths&)> then);

private:
    std::shared_ptr<QTemporaryDir> copies_;
    std::unique_ptr<LatestWorker> worker_;
};
