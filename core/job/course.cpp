// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/course.h"

namespace tavlo {

JobCourse::JobCourse(SavedJob job) : job_(std::move(job)) { leave_out_what_is_off(); }

void JobCourse::leave_out_what_is_off() {
    while (at_ < job_.steps.size() && job_.steps[at_].off) ++at_;
}

void JobCourse::take(Ending ended, const Totals& totals) {
    totals_ += totals;
    const bool goes_on = ended == Ending::done || (job_.steps[at_].go_on && ended != Ending::stopped);
    if (ended != Ending::done) ending_ = ended;
    at_ = goes_on ? at_ + 1 : job_.steps.size();
    leave_out_what_is_off();
}

}  // namespace tavlo
