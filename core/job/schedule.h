// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "job/saved_job.h"

namespace tavlo {

/// A systemd unit as a file: systemd.unit(5).
struct UnitFile {
    std::string name;  ///< "tavlo-job-permits.timer"
    std::string text;
};

/// What makes a saved job run by itself: a service, and a timer or a path that starts it.
/// program  tavloctl, absolute; state: its state folder
/// errors   refused: its name is too long for a unit; nothing in it can be watched
Result<std::vector<UnitFile>> units_for(const SavedJob& job, const Schedule& schedule,
                                        const std::string& program, const std::string& state);

/// Asks systemd what a calendar expression means. errors  refused: nothing; unsupported: systemd-analyze(1)
/// is not there to be asked
/// returns  when it comes next, so many times at most, in ns since 1970, soonest first; none: never again
Result<std::vector<std::int64_t>> next_by_calendar(const std::string& expression, int times = 1);

/// A job's unit files, in the user's systemd (systemd.unit(5), "UNIT FILE LOAD PATH").
class JobUnits {
public:
    explicit JobUnits(std::string folder = usual_folder()) : folder_(std::move(folder)) {}
    static std::string usual_folder();  ///< $XDG_CONFIG_HOME/systemd/user

    /// Writes them, in the place of those of before, and switches them on.
    /// returns  why they could not be switched on, in words; empty: they are
    Result<std::string> put(const SavedJob& job, const Schedule& schedule, const std::string& program,
                            const std::string& state) const;
    /// Switches them off, and takes the files away. returns  whether there were any
    Result<bool> take_away(const std::string& job) const;
    bool are_there(const std::string& job) const;
    /// The user's systemd has them switched on. It is asked: this may take its time.
    bool are_on(const std::string& job) const;
    /// The calendar expression of its timer; nullopt: there is none
    std::optional<std::string> calendar(const std::string& job) const;

private:
    std::string file(const std::string& unit) const;
    std::string folder_;
};

}  // namespace tavlo
