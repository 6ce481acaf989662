// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/new_run.h"

#include <utility>

namespace tavlo {

Result<NewRun> new_run(Store& store, Operation operation, const std::string& destination, bool may_lose,
                       const RunOptions& options, const std::function<std::string(std::int64_t)>& make_id) {
    constexpr int most_tried = 100;
    ReceiptHead head;
    head.started_ns = now_ns();
    head.operation = operation;
    head.sentence = options.sentence;
    head.job = options.job;
    head.destination = destination;
    head.may_lose = may_lose;
    head.verify = static_cast<std::uint8_t>(options.verify);
    for (int tried = 1;; ++tried) {
        head.id = make_id(head.started_ns);
        // the lock first: whoever had the id before has either noted it by then, or begun nothing
        auto lock = store.lock(head.id);
        if (!lock && (lock.error().fault != Fault::name_taken || tried == most_tried))
            return failure(lock.error());
        if (!lock) continue;
        const auto other = store.receipt(head.id);
        if (!other && other.error().fault == Fault::not_found)
            return NewRun{std::move(head), std::move(*lock)};
        if (!other) return failure(other.error());
        if (tried == most_tried)
            return failure(Fault::name_taken, "has no id left for a run", store.folder());
    }
}

}  // namespace tavlo
