// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/jobs_model.h"

#include <algorithm>
#include <set>
#include <utility>

#include "job_words.h"
#include "text.h"

using namespace tavlo;

QString last_run_words(const KeptJob& job) {
    if (job.runs.empty()) return JobsModel::tr("has not run yet");
    const ReceiptHead& last = job.runs.front();
    return JobsModel::tr("last %1: %2").arg(date_text(last.started_ns), ending_words(ending_of(last)));
}

const ReceiptHead* run_to_settle(const KeptJob& job) {
    std::set<std::pair<Operation, std::string>> since;  // steps by what they do and where to
    for (const ReceiptHead& head : job.runs) {
        const bool is_latest = since.emplace(head.operation, head.destination).second;
        if (is_latest && head.undone_by.empty() && ending_of(head) == Ending::some_undecided) return &head;
    }
    return nullptr;
}

QString when_words(const KeptJob& job) {
    if (!job.runs_by) return {};
    const QString when = schedule_words(*job.runs_by);
    return job.is_on ? when : JobsModel::tr("%1 (not switched on)").arg(when);
}

void JobsModel::setJobs(std::shared_ptr<const std::vector<KeptJob>> jobs) {
    beginResetModel();
    jobs_ = std::move(jobs);
    endResetModel();
}

int JobsModel::rowOf(const std::string& name) const {
    const auto found =
        std::find_if(jobs_->begin(), jobs_->end(), [&](const KeptJob& job) { return job.name == name; });
    return found == jobs_->end() ? -1 : static_cast<int>(found - jobs_->begin());
}

int JobsModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(jobs_->size());
}

QVariant JobsModel::data(const QModelIndex& index, int role) const {
    if (!index.isValid()) return {};
    const KeptJob& job = this->job(index.row());
    const auto about = [&] {
        if (!job.job) return tr("broken: %1").arg(job.fault);
        const int more = static_cast<int>(job.job->steps.size()) - 1;
        const QString first = step_sentence(job.job->steps.front());
        return more == 0 ? first : tr("%1 (and %Ln more steps)", nullptr, more).arg(first);
    };
    switch (role) {
        case Qt::DisplayRole: return shown(job.name);
        case Qt::ToolTipRole: return about();
        case Qt::AccessibleTextRole:
            return tr("%1; %2; %3").arg(shown(job.name), about(), last_run_words(job));
        case AboutRole: return about();
        case LastRole: return last_run_words(job);
        case NextRole: return job.next.empty() ? QString() : tr("next %1").arg(date_text(job.next.front()));
        default: return {};
    }
}
