// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "job/saved_job.h"
#include "keep/receipt.h"

namespace tavlo {

/// How a saved job goes on from step to step, whoever carries them out: which one is next, and what all so
/// far came to. A step that does not end well ends the job, unless it says that the others go on; one that is
/// stopped ends it in any case.
class JobCourse {
public:
    explicit JobCourse(SavedJob job);

    const SavedJob& job() const { return job_; }
    /// The step to be done now; null: there is none any more.
    const JobStep* step() const { return at_ < job_.steps.size() ? &job_.steps[at_] : nullptr; }
    std::size_t at() const { return at_; }  ///< its number, from 0
    /// It has ended so; the next one stands there.
    void take(Ending ended, const Totals& totals = {});

    const Totals& totals() const { return totals_; }  ///< of all steps so far
    Ending ending() const { return ending_; }         ///< of the last step that did not end well

private:
    void leave_out_what_is_off();

    SavedJob job_;
    std::size_t at_ = 0;
    Totals totals_{};
    Ending ending_ = Ending::done;
};

}  // namespace tavlo
