// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/last_runs.h"

#include "job/document.h"

namespace tavlo {

std::string job_of(const ReceiptHead& head) {
    if (head.job.find("\"job\"") == std::string::npos)
        return {};  // most are of none, and a document takes its time to read
    const auto job = job_from_json(head.job);
    return job ? job->name : std::string();
}

std::map<std::string, ReceiptHead> last_runs(const std::vector<ReceiptHead>& heads) {
    std::map<std::string, ReceiptHead> last;
    for (const ReceiptHead& head : heads)
        if (const auto job = job_of(head); !job.empty()) last.try_emplace(job, head);
    return last;
}

}  // namespace tavlo
