// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/retry.h"

#include <algorithm>
#include <map>
#include <set>
#include <unordered_map>

#include "files/looker.h"
#include "files/path.h"
#include "job/document.h"
#include "names/names.h"

namespace tavlo {

namespace {

Result<ReceiptHead> ended_transfer(Store& store, const std::string& receipt) {
    auto head = store.receipt(receipt);
    if (!head) return head;
    if (!traits_of(head->operation).can_be_retried)
        return failure(Fault::refused, "takes something back, which is tried again by undoing it again",
                       receipt);
    if (!head->undone_by.empty()) return failure(Fault::refused, "was undone by " + head->undone_by, receipt);
    if (head->state != RunState::done) return failure(Fault::refused, "has not ended", receipt);
    return head;
}

bool is_as_it_was(const Status& now, std::uint64_t size_bytes, std::int64_t modified_ns) {
    return now.type != FileType::file ||
           (now.id.size_bytes == size_bytes && now.id.modified_ns == modified_ns);
}

class Retrier {
public:
    Retrier(FileSystem& disk, const ReceiptHead& head, NewNames new_names)
        : look_(disk, head.roots), new_names_(std::move(new_names)) {}

    Again run(Store& store, const std::string& receipt, const std::vector<std::uint64_t>& only,
              Result<void>& read) {
        std::set<std::uint64_t> wanted(only.begin(), only.end());
        std::uint64_t number = 0;
        read = store.each_item(receipt, [&](ReceiptItem&& item) {
            if (item.type == FileType::folder) folder_at_.emplace(item.source, number);
            if (item.type == FileType::folder && item.result != Outcome::failed)
                place_of_[number] = item.place();
            if (item.result == Outcome::failed) failed_.emplace(number, std::move(item));
            ++number;
        });
        for (const auto one : only)  // and the failed folders that they lie in
            for (auto parent = parent_number(one); parent && failed_.contains(*parent);
                 parent = parent_number(*parent))
                wanted.insert(*parent);
        for (const auto& [one, item] : failed_)
            if (only.empty() || wanted.contains(one)) take(one, item);
        again_.settlement.complete = true;
        return std::move(again_);
    }

private:
    std::optional<std::uint64_t> parent_number(std::uint64_t number) const {
        const auto item = failed_.find(number);
        if (item == failed_.end()) return std::nullopt;
        const auto folder = folder_at_.find(std::string(parent_of(item->second.source)));
        return folder == folder_at_.end() ? std::nullopt : std::optional(folder->second);
    }

    void take(std::uint64_t number, const ReceiptItem& was) {
        const auto impossible = [&](std::string why) {
            again_.not_possible.emplace_back(number, std::move(why));
        };
        const auto now = look_.status(was.source);
        if (!now) return impossible(reason(now.error()));
        if (now->type != was.type) return impossible("is another type of thing by now");
        if (was.role == Role::makes_room)
            return impossible("makes room for another, and comes again with it");
        PendingItem item;
        item.number = number;
        item.parent = parent_number(number);
        item.source = was.source;
        item.target = was.target;
        item.final_path = was.target;
        if (item.parent)
            if (const auto place = place_of_.find(*item.parent); place != place_of_.end())
                item.final_path = join(place->second, name_of(was.target));
        item.type = now->type;
        item.identity = now->id;
        item.mode = now->mode;
        item.links = now->links;
        item.action = was.action;
        item.role = was.role;
        if (now->type == FileType::link) {
            auto points_at = look_.read_link(was.source);
            if (!points_at) return impossible(reason(points_at.error()));
            item.points_at = std::move(*points_at);
        }
        if (was.action == Action::take_away) {
            if (!is_as_it_was(*now, was.size_bytes, was.modified_ns)) return impossible("was changed since");
            item.outcome = Outcome::removed;
        } else {
            decide(item, was, *now);
        }
        if (item.type == FileType::folder) place_of_[number] = item.final_path;
        again_.settlement.items.push_back(std::move(item));
    }

    /// The name it wants may be held: by what the decision was about, by a folder to merge with, or by
    /// something new.
    void decide(PendingItem& item, const ReceiptItem& was, const Status& now) {
        const auto held = look_.status(item.final_path);
        if (!held) return;  // free: it arrives under its own name
        if (held->type == FileType::folder && now.type == FileType::folder) {
            item.outcome = Outcome::merged;
            return;
        }
        item.collides = true;
        item.held_type = held->type;
        item.held = held->id;
        item.finding = was.collision ? was.collision->finding : std::nullopt;
        const bool stands = was.collision &&
                            is_as_it_was(*held, was.collision->size_bytes, was.collision->modified_ns) &&
                            is_as_it_was(now, was.size_bytes, was.modified_ns);
        item.decision = stands ? was.collision->decision : Decision::undecided;
        switch (item.decision) {
            case Decision::overwrite: item.outcome = Outcome::overwritten; break;
            case Decision::rename:
                item.outcome = Outcome::renamed;
                item.final_path = new_place(item, now);
                break;
            case Decision::skip: item.outcome = Outcome::skipped; break;
            case Decision::undecided: item.outcome = Outcome::undecided; break;
        }
    }

    /// Beside what holds the name, by the scheme that was chosen then.
    std::string new_place(const PendingItem& item, const Status& now) {
        const std::string folder(parent_of(item.final_path));
        const auto taken = [&](const std::string& name) {
            const std::string place = join(folder, name);
            return given_.contains(place) || look_.status(place).has_value();
        };
        const NameSource source{now.id.modified_ns, std::string(name_of(parent_of(item.source)))};
        const std::string place =
            join(folder, free_name(name_of(item.target), item.type, new_names_, source, taken));
        given_.insert(place);
        return place;
    }

    Looker look_;
    NewNames new_names_;
    std::set<std::string> given_;  ///< new names
    std::map<std::uint64_t, ReceiptItem> failed_;
    std::unordered_map<std::string, std::uint64_t> folder_at_;  ///< folders of the batch, by their source
    std::unordered_map<std::uint64_t, std::string> place_of_;   ///< where they stand, or will
    Again again_;
};

}  // namespace

Result<Again> failed_again(FileSystem& disk, Store& store, const std::string& receipt,
                           const std::vector<std::uint64_t>& only) {
    const auto head = ended_transfer(store, receipt);
    if (!head) return failure(head.error());
    Result<void> read;
    const auto job =
        head->job.empty() ? Result<Job>(Job{}) : job_from_json(head->job);  // older receipts hold none
    if (!job)
        return failure(Fault::corrupt, "holds a job that cannot be read: " + describe(job.error()), receipt);
    Again again = Retrier(disk, *head, job->policy.new_names).run(store, receipt, only, read);
    if (!read) return failure(read.error());
    return again;
}

Result<ReceiptHead> leave_failed(Store& store, const std::string& receipt,
                                 const std::vector<std::uint64_t>& only) {
    auto head = ended_transfer(store, receipt);
    if (!head) return head;
    const auto lock = store.lock(receipt);
    if (!lock) return failure(lock.error());
    RunRecords records;
    const std::set<std::uint64_t> wanted(only.begin(), only.end());
    const auto failed = store.numbers_with(receipt, Outcome::failed);
    if (!failed) return failure(failed.error());
    for (const auto number : *failed) {
        if (!only.empty() && !wanted.contains(number)) continue;
        auto items = store.some_items(receipt, number, 1);
        if (!items) return failure(items.error());
        ReceiptItem& item = items->at(number);
        item.result = Outcome::skipped;
        records.items.emplace_back(number, std::move(item));
    }
    if (auto recorded = store.record(receipt, records); !recorded) return failure(recorded.error());
    return store.finish(*head);
}

}  // namespace tavlo
