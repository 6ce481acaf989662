// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/new_run.h"

#include <algorithm>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

/// Gives these ids, the last of them from then on.
std::function<std::string(std::int64_t)> one_of(std::vector<std::string> ids, int& asked) {
    return [ids, &asked](std::int64_t) {
        return ids[std::min(static_cast<std::size_t>(asked++), ids.size() - 1)];
    };
}

Result<NewRun> begun(Store& store, const std::function<std::string(std::int64_t)>& make_id) {
    return new_run(store, Operation::copy, "/there", false, {}, make_id);
}

}  // namespace

TEST_CASE("a run has an id that no other has, though chance gives the same one twice in a second",
          "[run][keep]") {
    TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("from/a", "x");
    const Ran earlier = jobs.run(copy({temp.path("from/a")}, temp.path("to")));
    const std::string ended = earlier.head.id;
    const std::string going_on = "20310101-120000-aaaa";
    const std::string free = "20310101-120000-bbbb";
    const RunLock lock = value(jobs.store->lock(going_on));  // and not in the journal yet
    int asked = 0;
    const NewRun run = value(begun(*jobs.store, one_of({ended, ended, going_on, ended, free}, asked)));
    CHECK(asked == 5);
    CHECK(run.head.id == free);
    CHECK(jobs.store->is_alive(free));
    CHECK_FALSE(jobs.store->is_alive(ended));
    CHECK(run.head.destination == "/there");
    CHECK(value(jobs.store->receipt(ended)).totals.of(Outcome::created) == 1);

    // no end of tries where there is none: that is an error, and what is noted stays
    for (const std::string& taken : {ended, going_on}) {
        int tries = 0;
        const auto none = begun(*jobs.store, one_of({taken}, tries));
        REQUIRE_FALSE(none);
        CHECK(none.error().fault == Fault::name_taken);
        CHECK(tries > 10);
        CHECK(tries < 10'000);
    }
    CHECK(value(jobs.store->receipts()).size() == 1);
}
