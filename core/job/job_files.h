// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "job/saved_job.h"

namespace tavlo {

/// Saved jobs as files: a document each, NAME.json, in a folder of the user's settings.
class JobFiles {
public:
    explicit JobFiles(std::string folder = usual_folder()) : folder_(std::move(folder)) {}
    static std::string usual_folder();  ///< $XDG_CONFIG_HOME/tavlo/jobs

    struct Kept {
        std::string name;
        std::string file;
        Result<SavedJob> job;  ///< or what is wrong with the document
    };
    /// All, by name; broken ones too.
    Result<std::vector<Kept>> all(std::int64_t now_ns) const;
    /// errors  not_found
    Result<SavedJob> read(const std::string& name, std::int64_t now_ns) const;
    /// errors  name_taken: there is one of that name, and it is not to be replaced
    Result<void> write(const SavedJob& job, bool replaces) const;
    /// errors  not_found
    Result<void> forget(const std::string& name) const;
    std::string file_of(const std::string& name) const;

private:
    std::string folder_;
};

/// By what a job that runs is kept from running twice: the name of its lock in the state folder (RunLock).
std::string lock_of_job(const std::string& name);

}  // namespace tavlo
