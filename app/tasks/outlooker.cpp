// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/outlooker.h"

#include <algorithm>
#include <chrono>
#include <mutex>
#include <optional>
#include <set>
#include <utility>

#include "archive/archive_files.h"
#include "error_words.h"
#include "facts/learn.h"
#include "files/path.h"
#include "job/choosing.h"
#include "job/elsewhere.h"
#include "job/sorting.h"
#include "keep/store.h"
#include "tasks/batch_file.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr std::chrono::milliseconds told_every{1500};

std::shared_ptr<const PickedRows> picked_rows(const Batch& batch) {
    auto rows = std::make_shared<PickedRows>();
    std::set<FolderId> folders;
    std::vector<std::uint32_t> row_of(batch.entries.size());  // parents come before children
    for (EntryId id = 0; id < batch.entries.size(); ++id) {
        const Entry& entry = batch.entries[id];
        if (entry.parent == no_entry) {
            row_of[id] = static_cast<std::uint32_t>(rows->rows.size());
            rows->rows.push_back({batch.folders.path(entry.folder), entry.name, entry.status.type, 0, 0,
                                  entry.status.id.modified_ns});
            folders.insert(entry.folder);
        } else {
            row_of[id] = row_of[entry.parent];
        }
        if (entry.status.type == FileType::folder) continue;
        PickedRow& row = rows->rows[row_of[id]];
        ++row.files;
        ++rows->files;
        if (entry.status.type != FileType::file) continue;
        row.bytes += entry.status.id.size_bytes;
        rows->bytes += entry.status.id.size_bytes;
    }
    rows->folders = folders.size();
    return rows;
}

}  // namespace

/// What is kept from one wish to the next.
struct Outlooker::Known {
    std::unique_ptr<FileSystem> disk = make_disk_with_archives();
    std::unique_ptr<Store> store;  ///< opened when pairs are to be compared; null where it cannot be
    /// in the order that the folders were picked from
    std::vector<std::pair<std::string, std::set<std::string>>> picked;
    bool saved = true;              ///< what is picked is in its file
    std::string saved_instruction;  ///< as it is in its file

    std::shared_ptr<const Batch> batch;
    Selection gathered_by;  ///< what it was chosen by, without its sources
    bool unpacked = false;  ///< it is what lies in the archives that were picked
    std::shared_ptr<const PickedRows> rows;
    KnownContents contents;
    std::optional<Outlook> outlook;  ///< the last one, planned again while its places stay the same
    std::shared_ptr<const Batch> planned_batch;
    Job planned;
    TypedNames planned_typed;
    FactsSaid planned_said;
    std::shared_ptr<const KnownFileFacts> told;  ///< what files have told so far; null: nothing
    std::shared_ptr<const KnownFileFacts> planned_told;
    /// the batch, and where, whose files were looked for under other names
    std::shared_ptr<const Batch> looked_for;
    std::string looked_in;
    BenchView shown;  ///< the last one with a plan, and what it was planned by
    Wishes shown_wishes;

    std::mutex mutex;  ///< of what both threads touch
    std::vector<Picks::Change> changes;
    std::vector<BenchView> retired;
    std::optional<KeptDesk> desk;  ///< let go once nothing more is written there

    Picks::Names sources();
    std::optional<std::string> desk_folder() {
        const std::scoped_lock lock(mutex);
        return desk ? std::optional(desk->folder) : std::nullopt;
    }
};

/// What is in hand by now.
Picks::Names Outlooker::Known::sources() {
    std::vector<Picks::Change> news;
    std::vector<BenchView> old;  // goes here
    {
        const std::scoped_lock lock(mutex);
        news.swap(changes);
        old.swap(retired);
    }
    for (const Picks::Change& change : news) {
        auto folder = std::find_if(picked.begin(), picked.end(),
                                   [&](const auto& known) { return known.first == change.folder; });
        if (folder == picked.end()) folder = picked.insert(picked.end(), {change.folder, {}});
        for (const std::string& name : *change.names) {
            if (change.in)
                folder->second.insert(name);
            else
                folder->second.erase(name);
        }
        if (folder->second.empty()) picked.erase(folder);
        saved = false;
    }
    Picks::Names paths;
    for (const auto& [folder, names] : picked)
        for (const auto& name : names) paths.push_back(join(folder, name));
    return paths;
}

/// One wish while it is worked on, on the worker's thread.
class Outlooker::Looking {
public:
    struct Asking {
        std::uint64_t wish;
        bool gather;
        bool look;
        bool facts;
    };

    Looking(Outlooker& owner, Known& known, const Instruction& wanted, const Asking& asking,
            const std::stop_token& stop)
        : owner_(owner),
          known_(known),
          wanted_(wanted),
          asking_(asking),
          stop_(stop),
          asked_(wanted.job, wanted.decisions) {
        asked_.typed = wanted.typed;
        asked_.facts = known.told;
        asked_.said = wanted.said;
        asked_.job.what.sources = known.sources();
        asked_.kept = folders_to_keep(owner.state_folder_);
    }

    void run() {
        save();
        if (const auto gathered = gather_all(); !gathered) return sorry(gathered.error());
        view_.batch = known_.batch;
        view_.picks = known_.rows;
        view_.job = std::make_shared<const Job>(asked_.job);
        view_.has_folders =
            std::any_of(known_.batch->entries.begin(), known_.batch->entries.end(),
                        [](const Entry& entry) { return entry.status.type == FileType::folder; });
        const auto files = files_of(*known_.batch);
        const bool tells = asking_.facts || needs_file_facts(asked_.job);
        if (tells) view_.being_told = untold(files);
        sum_up();
        if (asked_.job.into.empty() && goes_elsewhere(asked_.job)) {
            send(view_, view_.being_told == 0);
            if (view_.being_told > 0 && have_told(files, [&] { send(view_, false); })) send(view_, true);
            return;
        }
        if (asking_.look) {
            known_.outlook.reset();
            known_.looked_for.reset();
        }
        tell_shares();
        auto outlook = plan();
        if (!outlook) return sorry(outlook.error());
        if (asking_.look) served(&Outlooker::look_wanted_);
        look_elsewhere_wanted_ = asked_.job.look_elsewhere && outlook->destination->exists &&
                                 (known_.looked_for != known_.batch || known_.looked_in != asked_.job.into);
        see(*outlook);
        send_plan(!view_.isReading() && !look_elsewhere_wanted_);
        if (view_.being_told > 0) {
            const auto plan_by_it = [&](bool last) {
                if (needs_file_facts(asked_.job)) {
                    outlook = plan();
                    if (!outlook) return;
                    see(*outlook);
                }
                send_plan(last && !view_.isReading() && !look_elsewhere_wanted_);
            };
            if (!have_told(files, [&] { plan_by_it(false); })) return;
            plan_by_it(true);
            if (!outlook) return sorry(outlook.error());
        }
        if (look_elsewhere_wanted_ && !look_elsewhere(*outlook)) return;
        if (view_.comparing) compare(*outlook);
    }

private:
    void save() {
        const auto folder = known_.desk_folder();
        if (!folder) return;
        if (!known_.saved && !stop_.stop_requested())
            known_.saved = save_batch(*folder, asked_.job.what.sources).has_value();
        if (auto text = to_text(wanted_); text != known_.saved_instruction && save_instruction(*folder, text))
            known_.saved_instruction = std::move(text);
    }

    Result<void> gather_all() {
        if (!asking_.gather && known_.batch && known_.gathered_by == wanted_.job.what &&
            known_.unpacked == unpacks())
            return {};
        auto gathered = gather_wanted();
        if (!gathered) return failure(gathered.error());
        known_.batch = std::make_shared<const Batch>(std::move(*gathered));
        known_.gathered_by = wanted_.job.what;
        known_.unpacked = unpacks();
        known_.rows = picked_rows(*known_.batch);
        served(&Outlooker::gather_wanted_);
        return {};
    }

    bool unpacks() const { return traits_of(wanted_.job.operation).opens_archives; }

    Result<Batch> gather_wanted() {
        const Selection& what = asked_.job.what;
        const GatherOptions options{.follow_links = what.follow_links, .archives = unpacks(), .stop = stop_};
        // all of it, whatever is to be done: what goes with a folder is said, and another wish counts nothing
        // anew
        if (!what.chooses_files() && !what.chooses_folders())
            return gather(*known_.disk, what.sources, options);
        auto chosen = gather_chosen(*known_.disk, asked_.job, now_ns(), options, store());
        if (!chosen) return failure(chosen.error());
        return std::move(chosen->batch);
    }

    /// How many of these have not told their facts yet.
    std::uint64_t untold(const std::vector<EntryId>& files) const {
        if (!known_.told) return files.size();
        return static_cast<std::uint64_t>(std::count_if(files.begin(), files.end(), [&](EntryId id) {
            return known_.told->find(known_.batch->entries[id].status) == nullptr;
        }));
    }

    /// Has files tell what they know.
    /// now_and_then  while it goes on, with what is known so far
    /// returns  false: it was stopped, or could not be done, which is said then
    bool have_told(const std::vector<EntryId>& files, const std::function<void()>& now_and_then) {
        auto known =
            known_.told ? std::make_shared<KnownFileFacts>(*known_.told) : std::make_shared<KnownFileFacts>();
        const auto before = files.size() - view_.being_told;
        auto shown_at = std::chrono::steady_clock::now();
        const auto tell = [&](std::size_t done, std::size_t) {
            if (std::chrono::steady_clock::now() - shown_at < told_every) return;
            view_.told = done - before;
            take_told(std::make_shared<const KnownFileFacts>(*known));
            now_and_then();
            shown_at = std::chrono::steady_clock::now();
        };
        const auto learnt = learn_facts(*known_.disk, *known_.batch, files, *known, store(), stop_, tell);
        if (!learnt) {
            sorry(learnt.error());
            return false;
        }
        view_.being_told = view_.told = 0;
        take_told(std::move(known));
        return true;
    }

    void take_told(std::shared_ptr<const KnownFileFacts> told) {
        known_.told = std::move(told);
        asked_.facts = known_.told;
        sum_up();
    }

    /// What is known of the batch, where it is looked at.
    void sum_up() {
        if (!asking_.facts) return;
        auto kinds = load_kinds();
        const EntryFacts facts(*known_.batch, kinds ? std::move(*kinds) : Kinds(), now_ns(), known_.told,
                               wanted_.said);
        view_.facts = std::make_shared<const std::vector<FactSummary>>(summarise(*known_.batch, facts));
        view_.files = static_cast<std::uint64_t>(std::count_if(
            known_.batch->entries.begin(), known_.batch->entries.end(),
            [](const Entry& one) { return one.status.type != FileType::folder && !one.problem(); }));
    }

    /// returns  false: it was stopped
    bool look_elsewhere(Outlook& outlook) {
        auto shown_at = std::chrono::steady_clock::now();
        const auto tell = [&](std::size_t done, std::size_t of) {
            if (std::chrono::steady_clock::now() - shown_at < told_every) return;
            view_.looked_for = of;
            view_.looked_at = done;
            send_plan(false);
            shown_at = std::chrono::steady_clock::now();
        };
        known_.looked_for.reset();  // what was found is forgotten as it begins
        if (!find_elsewhere(*known_.disk, *known_.batch, asked_.job.into, known_.contents, store(), stop_,
                            tell))
            return false;
        known_.looked_for = known_.batch;
        known_.looked_in = asked_.job.into;
        view_.looked_for = view_.looked_at = 0;
        outlook = plan_again(asked_, outlook, known_.contents);
        known_.outlook = outlook;
        see(outlook);
        send_plan(!view_.comparing);
        return true;
    }

    Store* store() {
        if (!known_.store)
            if (auto opened = Store::open(owner_.state_folder_)) known_.store = std::move(*opened);
        return known_.store.get();
    }

    bool is_of_planned_batch() const { return known_.outlook && known_.planned_batch == known_.batch; }
    bool is_in_same_places() const {
        return is_of_planned_batch() && same_places(known_.planned, wanted_.job) &&
               known_.planned_typed == wanted_.typed && known_.planned_said == wanted_.said &&
               (known_.planned_told == asked_.facts || !needs_file_facts(asked_.job));
    }

    /// Where just the rules have changed, the balance is told ahead of the plan.
    void tell_shares() {
        if (!is_in_same_places() || !known_.shown.outcome || known_.shown.isReading()) return;
        const auto shares = known_.shown.outcome->sharesBy(known_.shown_wishes, wishes_of(asked_));
        if (!shares) return;
        BenchView soon = known_.shown;
        soon.shares = *shares;
        send(std::move(soon), false);
    }

    /// Looks at the disk only where it must.
    Result<Outlook> plan() {
        auto outlook = is_in_same_places()
                           ? Result<Outlook>(plan_again(asked_, *known_.outlook, known_.contents))
                       : is_of_planned_batch() && differs_in_names_alone(known_.planned, wanted_.job)
                           ? name_again(asked_, *known_.outlook, known_.contents)
                           : look_ahead(*known_.disk, asked_, known_.batch, known_.contents, store(), stop_);
        if (!outlook) return outlook;
        if (outlook->plan->traits().takes_away)
            if (auto there = survey_in_place(*known_.disk, *outlook->batch, *outlook->layout, stop_))
                around_ = std::make_shared<const Survey>(std::move(*there));
        known_.outlook = *outlook;
        known_.planned_batch = known_.batch;
        known_.planned = wanted_.job;
        known_.planned_typed = wanted_.typed;
        known_.planned_said = wanted_.said;
        known_.planned_told = asked_.facts;
        return outlook;
    }

    void see(const Outlook& outlook) {
        const Plan& plan = *outlook.plan;
        if (goes_elsewhere(asked_.job)) view_.room = room_needed(plan, *outlook.destination);
        view_.refusals.clear();
        for (const Error& refusal : outlook.refusals) view_.refusals.push_back(error_words(refusal));
        view_.misses.clear();
        for (const Error& miss : outlook.misses) view_.misses.push_back(error_words(miss));
        view_.outcome =
            OutcomeTree::make(outlook.plan, plan.traits().takes_away ? around_ : outlook.survey, now_ns());
        view_.examples = name_examples(asked_.job, plan, now_ns());
        view_.shares = view_.outcome->shares;
        view_.comparing = !plan.not_compared.empty();
        view_.made = static_cast<std::uint64_t>(std::count_if(
            plan.items.begin(), plan.items.end(), [](const Item& item) { return item.role == Role::made; }));
        view_.impossible_names = static_cast<std::uint64_t>(
            std::count_if(plan.items.begin(), plan.items.end(), [](const Item& item) {
                return item.problem() && item.problem()->fault == Fault::name_not_possible;
            }));
    }

    void compare(const Outlook& outlook) {
        // what is known so far is shown now and then: many large pairs take their time
        auto shown_at = std::chrono::steady_clock::now();
        const auto tell = [&](std::size_t) {
            if (std::chrono::steady_clock::now() - shown_at < told_every) return;
            see(plan_again(asked_, outlook, known_.contents));
            send_plan(false);
            shown_at = std::chrono::steady_clock::now();
        };
        if (!compare_pairs(*known_.disk, *outlook.plan, known_.contents, store(), stop_, tell)) return;
        see(plan_again(asked_, outlook, known_.contents));
        send_plan(true);
    }

    void send_plan(bool last) {
        known_.shown = view_;
        known_.shown_wishes = wishes_of(asked_);
        send(view_, last);
    }
    void send(BenchView view, bool last) {
        later(&owner_, [&owner = owner_, wish = asking_.wish, view = std::move(view), last]() mutable {
            if (wish == owner.wish_) return emit owner.saw(view, last);
            owner.retire(std::move(view));
        });
    }
    void sorry(const Error& error) {
        if (error.fault == Fault::cancelled) return;
        view_.refusals.push_back(error_words(error));
        send(view_, true);
    }
    void served(bool Outlooker::*wanted) {
        later(&owner_, [&owner = owner_, wish = asking_.wish, wanted] {
            if (wish == owner.wish_) owner.*wanted = false;
        });
    }

    Outlooker& owner_;  // its state folder and, on its own thread, its signals
    Known& known_;
    const Instruction& wanted_;
    const Asking asking_;
    const std::stop_token& stop_;
    Asked asked_;
    std::shared_ptr<const Survey> around_;  ///< of a removal: the folders that things leave
    bool look_elsewhere_wanted_ = false;
    BenchView view_;
};

Outlooker::Outlooker(std::string state_folder, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)), known_(std::make_shared<Known>()) {}
Outlooker::~Outlooker() = default;

void Outlooker::note(const Picks::Change& change) {
    const std::scoped_lock lock(known_->mutex);
    known_->changes.push_back(change);
}

void Outlooker::keepFiles(const KeptDesk& desk) {
    const std::scoped_lock lock(known_->mutex);
    known_->desk = desk;
}

void Outlooker::retire(BenchView view) {
    const std::scoped_lock lock(known_->mutex);
    known_->retired.push_back(std::move(view));
}

void Outlooker::ask(const Instruction& wish) {
    // a wish that is replaced before it is served does not take what it wanted with it: that stays wanted
    // until it was done
    const Looking::Asking asking{++wish_, gather_wanted_, look_wanted_, facts_wanted_};
    worker_.post([this, known = known_, wish, asking](const std::stop_token& stop) {
        Looking(*this, *known, wish, asking, stop).run();
    });
}
