// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/packing.h"

#include "archive/format.h"
#include "files/path.h"
#include "job/naming.h"
#include "job/refusals.h"
#include "names/names.h"

namespace tavlo {

namespace {

/// Nothing is there that could leave, or hold the bytes of another.
Wishes wishes_for_members(const Asked& asked) {
    Wishes wishes = wishes_of(asked);
    wishes.clearing = Clearing::none;
    wishes.look_elsewhere = false;
    return wishes;
}

/// The plan, with the archive as its last item.
class ArchivePlanner {
public:
    ArchivePlanner(const Asked& asked, const Outlook& seen)
        : asked_(asked),
          path_(asked.job.into),
          folder_(seen.survey->roots.back()),
          plan_(make_plan(wishes_for_members(asked), seen.batch, *seen.layout, *seen.survey, {})) {}

    Plan run(const Batch& batch) && {
        auto with_archive = std::make_shared<Batch>(batch);
        Entry entry;
        entry.folder = with_archive->folders.add_root(std::string(parent_of(path_)));
        entry.name = std::string(name_of(path_));
        entry.made = true;
        entry.status.type = FileType::file;
        entry.status.id.modified_ns = now_ns();
        with_archive->entries.push_back(std::move(entry));
        plan_.batch = std::move(with_archive);
        Item item;
        item.entry = static_cast<EntryId>(plan_.batch->entries.size() - 1);
        item.folder = plan_.targets.add_root(std::string(parent_of(path_)),
                                             folder_.exists ? folder_.ancestors.front() : Identity{});
        (void)plan_.finals.add_root(std::string(parent_of(path_)),
                                    folder_.exists ? folder_.ancestors.front() : Identity{});
        item.role = Role::archive;
        const HeldFolder* there = folder_.folder("");
        if (const Held* held = there == nullptr ? nullptr : there->find(name_of(path_)))
            meet(item, *held, *there);
        if (!arrives(item.outcome)) {
            for (Item& member : plan_.items)
                if (arrives(member.outcome) || member.outcome == Outcome::merged)
                    member.outcome = item.outcome;
        } else if (item.outcome == Outcome::renamed) {
            plan_.finals.rename(0, plan_.final_path(item));
        }
        if (item.collision) plan_.colliding.push_back(static_cast<ItemId>(plan_.items.size()));
        plan_.items.push_back(std::move(item));
        if (!plan_.steps.empty()) plan_.steps.push_back({static_cast<ItemId>(plan_.items.size() - 1), false});
        plan_.totals = total(plan_);
        return std::move(plan_);
    }

private:
    void meet(Item& item, const Held& held, const HeldFolder& there) {
        const Status& incoming = plan_.entry(item).status;
        const auto gap = incoming.id.modified_ns - held.status.id.modified_ns;
        item.collision = std::make_unique<Collision>();
        item.collision->finding = held.status.type != FileType::file ? Finding::type
                                  : gap > 0                          ? Finding::newer
                                  : gap < 0                          ? Finding::older
                                                                     : Finding::same_date;
        item.collision->held = held.status;
        // what is decided about the pair by hand is tied to what is there; the archive is not, yet
        item.collision->extras.make().decided_on =
            std::make_shared<const Pair>(Pair{{}, held.status.id, 0, held.status.status_changed_ns});
        const PairDecision* single = asked_.decisions.find(path_, *item.collision->decided_on());
        item.collision->by_hand = single != nullptr;
        item.collision->decision = single != nullptr && single->decision
                                       ? *single->decision
                                       : asked_.job.policy.decide(plan_.pair(item), item.collision->finding);
        switch (item.collision->decision) {
            case Decision::undecided: item.outcome = Outcome::undecided; return;
            case Decision::skip: item.outcome = Outcome::skipped; return;
            case Decision::overwrite: item.outcome = Outcome::overwritten; return;
            case Decision::rename: break;
        }
        item.outcome = Outcome::renamed;
        const auto taken = [&](const std::string& name) { return there.find(name) != nullptr; };
        item.add_extras().final_name =
            free_name(name_of(path_), FileType::file, asked_.job.policy.new_names,
                      {incoming.id.modified_ns, std::string(name_of(parent_of(path_)))}, taken);
    }

    const Asked& asked_;
    const std::string& path_;
    const Destination& folder_;
    Plan plan_;
};

void refuse_itself(const Plan& plan, const Destination& folder, std::vector<Error>& refusals) {
    const HeldFolder* there = folder.folder("");
    const Held* held = there == nullptr ? nullptr : there->find(name_of(plan.destination));
    if (held == nullptr) return;
    for (const Item& item : plan.items)
        if (item.role != Role::archive && plan.entry(item).status.id.same_thing(held->status.id))
            refusals.push_back({Fault::refused, 0, "would go into itself", plan.source_path(item)});
}

}  // namespace

std::string objection_to_archive(const std::string& path) {
    if (archive_format(name_of(path))) return {};
    return "names no archive that can be made: a name and .zip, .tar, .tar.gz, .tgz, .tar.xz or .tar.zst";
}

Result<Outlook> look_at_packing(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch,
                                std::stop_token stop) {
    const std::string& path = asked.job.into;
    if (auto why = objection_to_archive(path); !why.empty()) return failure(Fault::refused, why, path);
    auto looked = look_at_destination(disk, std::string(parent_of(path)));
    if (!looked) return failure(looked.error());
    auto given = give_names(asked, *batch, now_ns());
    if (!given) return failure(given.error());
    Outlook seen;
    seen.misses = std::move(given->misses);
    auto layout = std::make_shared<Layout>(lay_out(*batch, path, asked.job.structure, false, given->wanted));
    const FormatKeeps keeps = what_it_keeps(*archive_format(name_of(path)));
    for (std::uint32_t at = 0; at < layout->arrivals.size() && !keeps.any_name; ++at)
        if (const std::string& name = layout->name(*batch, layout->arrivals[at]); !is_utf8(name))
            layout->problems.emplace(
                at,
                std::make_shared<const Error>(Error{
                    Fault::name_not_possible, 0, "has a name that is no UTF-8, as names in a zip archive are",
                    batch->source_path(batch->entries[layout->arrivals[at].entry])}));
    seen.layout = std::move(layout);
    FolderTree folder;
    folder.add_root(std::string(parent_of(path)));
    std::vector<Destination> roots;
    roots.push_back(std::move(*looked));
    auto around = survey(disk, std::move(roots), folder, std::move(stop));
    if (!around) return failure(around.error());
    auto surveyed = std::make_shared<Survey>();
    Destination inside;  // nothing stands in it, and nothing that a file system cannot hold cannot go there
    inside.path = path;
    inside.volume.device = around->roots.front().volume.device;
    surveyed->roots.push_back(std::move(inside));
    surveyed->roots.push_back(std::move(around->roots.front()));
    surveyed->root_of.assign(seen.layout->targets.size(), 0);
    surveyed->root_of.push_back(
        1);  // the folder that the archive lies in, which the plan has behind all others
    seen.survey = std::move(surveyed);
    seen.destination = {seen.survey, &seen.survey->roots.back()};
    seen.batch = std::move(batch);
    return pack_again(asked, seen);
}

Outlook pack_again(const Asked& asked, const Outlook& before) {
    Outlook seen = before;
    seen.refusals.clear();
    auto plan = std::make_shared<const Plan>(ArchivePlanner(asked, before).run(*before.batch));
    refuse_into_itself(*plan, asked.job.structure, *seen.destination, seen.refusals);
    refuse_itself(*plan, *seen.destination, seen.refusals);
    // how small it will be nobody knows beforehand, but for what is not pressed
    if (archive_format(name_of(asked.job.into)) == ArchiveFormat::tar)
        refuse_without_room(*plan, *seen.destination, seen.refusals);
    seen.plan = std::move(plan);
    return seen;
}

}  // namespace tavlo
