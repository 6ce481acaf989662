#include "run/undo_plan.h"

#include <algorithm>
#include <set>
#include <unordered_map>
#include <unordered_set>

#include "files/path.h"

namespace tavlo {

namespace {

constexpr std::uint32_t usual_mode = 0755;

bool took_effect(const ReceiptItem& item) { return arrives(item.result) || item.result == Outcome::removed; }

/// The thing at a place is still what the run left there. A folder's size and time are its entries' affair.
bool is_unchanged(const Identity& now, const Identity& then, FileType type) {
    return type == FileType::folder ? now.could_be(then) : now == then;
}

class UndoPlanner {
public:
    explicit UndoPlanner(const UndoBasis& basis)
        : basis_(basis),
          batch_(std::make_shared<Batch>()),
          roots_(all_roots(basis)),
          sources_(batch_->folders, roots_),
          targets_(plan_.targets, roots_) {
        plan_.operation = Operation::undo;
        plan_.destination = basis.head.destination;
        plan_.undoes = basis.head.id;
        plan_.undoes_some = basis.some;
        targets_.at(basis.head.destination);
    }

    Plan run() && {
        for (const FolderTrace& trace : basis_.folders)
            if (!trace.made && (!basis_.some || something_goes_back_into(trace.path))) removed_.push_back(&trace);
        // parents are shorter than what lies in them
        std::stable_sort(removed_.begin(), removed_.end(), [](const auto* a, const auto* b) { return a->path.size() < b->path.size(); });
        for (const FolderTrace* trace : removed_)
            if (const auto held = at(trace->path); !held || held->status.type == FileType::folder)
                make_again(trace->path, trace->attributes);  // else once what stands there has gone, in its order
        for (const ReceiptItem& item : basis_.items)
            if (item.type == FileType::folder && item.moved_whole && took_effect(item) && !made_room(item) &&
                (counts(item) || (basis_.some && something_goes_back_into(item.source))))
                make_moved_folder_again(item);
        make_missing_folders_again();
        for (const ReceiptItem& item : basis_.items)
            if (counts(item)) ++wanted_[item.place()];
        // folders go last, in one sweep; but where one had taken its place from a twin, or got it from what made room, everything
        // goes in reverse
        const bool in_order = std::any_of(basis_.items.begin(), basis_.items.end(), [&](const ReceiptItem& item) {
            if (counts(item) && made_room(item)) return true;
            return item.type == FileType::folder && counts(item) && wanted_[item.place()] > 1;
        });
        for (auto item = basis_.items.rbegin(); item != basis_.items.rend(); ++item) {
            if (!counts(*item)) continue;
            if (item->type != FileType::folder)
                take_back(*item);
            else if (in_order)
                take_back_folder(*item);
        }
        now_taking_back_.reset();  // with these, what was taken back before is complete
        for (const ReceiptItem* item : waiting_) bring_back(*item, item->set_aside, item->place(), std::nullopt);
        for (auto item = basis_.items.rbegin(); item != basis_.items.rend() && !in_order; ++item)
            if (counts(*item) && item->type == FileType::folder) take_back_folder(*item);
        for (auto trace = basis_.folders.rbegin(); trace != basis_.folders.rend(); ++trace)
            if (now_taking_back_.reset(); trace->made && !basis_.some) remove_made(trace->path, trace->id);
        plan_.batch = batch_;
        plan_.finals = plan_.targets;
        plan_.totals = total(plan_);
        return std::move(plan_);
    }

    static std::vector<std::string> all_roots(const UndoBasis& basis) {
        std::set<std::string> all(basis.head.roots.begin(), basis.head.roots.end());
        // a folder that was tidied away is reached from the nearest one that is still there
        for (const ReceiptItem& item : basis.items) {
            if (!took_effect(item) || item.action != Action::move) continue;
            std::string at(parent_of(item.source));
            if (basis.places.contains(at) || at == "/") continue;
            for (; at != "/" && !basis.places.contains(at); at = std::string(parent_of(at))) all.erase(at);
            all.insert(at);
        }
        std::vector<std::string> roots(all.begin(), all.end());
        for (const auto& [id, entry] : basis.entries) roots.emplace_back(parent_of(entry.stored));
        return roots;
    }

private:
    std::size_t number_of(const ReceiptItem& item) const { return static_cast<std::size_t>(&item - basis_.items.data()); }
    bool counts(const ReceiptItem& item) const { return took_effect(item) && (basis_.chosen.empty() || basis_.chosen[number_of(item)]); }

    /// Only where chosen items are taken back: a folder that is gone by now is needed again where one of them goes back into it.
    bool something_goes_back_into(const std::string& folder) {
        if (needed_.empty())
            for (const ReceiptItem& item : basis_.items) {
                if (!counts(item)) continue;
                for (std::string at(parent_of(item.source)); needed_.insert(at).second && at != "/";) at = std::string(parent_of(at));
            }
        return needed_.contains(folder);
    }

    /// It was in the destination, and got another name there so that an incoming one could have its own; or the undo of that.
    bool made_room(const ReceiptItem& item) const {
        if (item.action != Action::move || !item.brought_back.empty()) return false;
        if (basis_.head.operation == Operation::undo) return item.type == FileType::folder && item.moved_whole;
        return item.source == item.target && !item.final_path.empty();
    }

    struct Standing {
        Status status;
        std::string points_at{};
        bool changed = false;
    };

    /// What holds a place once the items planned so far are through; nullopt: nothing.
    std::optional<Standing> at(const std::string& path) const {
        if (const auto expected = expected_.find(path); expected != expected_.end()) return expected->second;
        const auto seen = basis_.places.find(path);
        if (seen == basis_.places.end()) return std::nullopt;
        return Standing{seen->second.status, seen->second.points_at, seen->second.changed};
    }

    Item& add(const std::string& source, const std::string& target, const Standing& what, Action action, Outcome outcome) {
        Entry entry;
        entry.folder = sources_.at(std::string(parent_of(source)));
        entry.name = std::string(name_of(source));
        entry.status = what.status;
        entry.points_at = what.points_at;
        batch_->entries.push_back(std::move(entry));
        Item& item = plan_.items.emplace_back();
        item.entry = static_cast<EntryId>(batch_->entries.size() - 1);
        item.folder = targets_.at(std::string(parent_of(target)));
        if (name_of(target) != batch_->entries.back().name) item.add_extras().name = std::string(name_of(target));
        item.action = action;
        item.outcome = outcome;
        if (now_taking_back_) item.add_extras().takes_back = *now_taking_back_;
        return item;
    }

    void collide(Item& item, const Status& held, Decision decision) {
        const Status& incoming = batch_->entries[item.entry].status;
        const auto gap = incoming.id.modified_ns - held.id.modified_ns;
        item.collision = std::make_unique<Collision>();
        item.collision->finding = incoming.type != held.type ? Finding::type
                                  : gap > 0                  ? Finding::newer
                                  : gap < 0                  ? Finding::older
                                                             : Finding::same_date;
        item.collision->held = held;
        item.collision->decision = decision;
    }

    void leave(const ReceiptItem& was, const std::string& source, const std::string& target, const std::optional<Standing>& now,
               std::string why) {
        Status status;
        status.type = was.type;
        status.id = was.after;
        Item& item = add(source, target, {status}, Action::move, Outcome::undecided);
        item.problem = std::make_shared<const Error>(Error{Fault::changed_meanwhile, 0, std::move(why), was.place()});
        if (now) collide(item, now->status, Decision::undecided);
    }

    const SafeEntry* entry(const std::string& id) const {
        const auto found = basis_.entries.find(id);
        return found == basis_.entries.end() ? nullptr : &found->second;
    }

    /// A version comes back from the Safe to the place that it held, over what the run put there, if that still holds it.
    void bring_back(const ReceiptItem& was, const std::string& id, const std::string& place, const std::optional<Standing>& over) {
        const SafeEntry* version = entry(id);
        auto stored = version == nullptr ? std::nullopt : at(version->stored);
        // what lies there is looked at before the index is trusted
        if (stored && !expected_.contains(version->stored) &&
            (stored->status.type != version->type || !is_unchanged(stored->status.id, version->identity, version->type)))
            stored.reset();
        if (!stored) {
            Status status;
            status.type = was.type;
            Item& item = add(place, place, {status}, Action::move, Outcome::failed);
            item.problem =
                std::make_shared<const Error>(Error{Fault::not_found, 0, "its version " + id + " is no longer in the Safe", place});
            return;
        }
        Item& item = add(version->stored, place, *stored, Action::move, Outcome::restored);
        item.add_extras().entry_of_safe = id;
        if (over) collide(item, over->status, Decision::overwrite);
        if (stored->status.type == FileType::folder) item.whole = true;
        expected_[version->stored] = std::nullopt;
        expected_[place] = *stored;
        if (stored->status.type == FileType::folder) expect_inside(was, place);
    }

    /// With a folder comes what the run had put into it before it was set aside.
    void expect_inside(const ReceiptItem& was, const std::string& folder) {
        for (const ReceiptItem& item : basis_.items) {
            if (&item == &was) break;
            if (!took_effect(item) || item.place() == folder || !is_within(item.place(), folder)) continue;
            Status status;
            status.type = item.type;
            status.id = item.after;
            expected_[item.place()] = Standing{status};
        }
    }

    void take_back(const ReceiptItem& was) {
        now_taking_back_ = number_of(was);
        if (was.result == Outcome::removed) {  // an undo took it away: it comes back
            if (const auto held = at(was.source)) return leave(was, was.source, was.source, held, "something else is there now");
            return bring_back(was, was.set_aside, was.source, std::nullopt);
        }
        const std::string& place = was.place();
        const auto now = at(place);
        const bool goes_back = was.action == Action::move && was.brought_back.empty();
        const std::string& back_to = goes_back ? was.source : place;
        if (!now) return leave(was, place, back_to, now, "is no longer there");
        if (now->changed || !is_unchanged(now->status.id, was.after, was.type)) return leave(was, place, back_to, now, "was changed since");
        if (!goes_back) {
            if (!was.set_aside.empty()) return bring_back(was, was.set_aside, place, now);
            add(place, place, *now, Action::take_away, Outcome::removed);
            expected_[place] = std::nullopt;
            return;
        }
        if (const auto held = at(was.source)) return leave(was, place, was.source, held, "its old place is taken");
        add(place, was.source, *now, Action::move, Outcome::restored);
        expected_[place] = std::nullopt;
        expected_[was.source] = *now;
        if (was.set_aside.empty()) return;
        // the place is free once the file has left it: between file systems that is when its group is through, so these come
        // after all that leave; but for twins, where the next one to leave is what comes back here
        if (wanted_[place] > 1)
            bring_back(was, was.set_aside, place, std::nullopt);
        else
            waiting_.push_back(&was);
    }

    void take_back_folder(const ReceiptItem& was) {
        now_taking_back_ = number_of(was);
        const std::string& place = was.place();
        if (made_room(was)) {
            const auto now = at(place);
            if (!now || !is_unchanged(now->status.id, was.after, was.type)) return leave(was, place, was.source, now, "was changed since");
            if (const auto held = at(was.source)) return leave(was, place, was.source, held, "its old place is taken");
            add(place, was.source, *now, Action::move, Outcome::restored).whole = true;
            expected_[place] = std::nullopt;
            expected_[was.source] = *now;
            return;
        }
        if (was.result == Outcome::removed) {
            if (was.action != Action::take_away) {  // it is among the removed folders, and made again by now where its place was free
                for (const FolderTrace* trace : removed_)
                    if (trace->path == place && !at(place)) make_again(place, trace->attributes);
                return;
            }
            if (const auto held = at(place)) return leave(was, place, place, held, "something else is there now");
            return bring_back(was, was.set_aside, place, std::nullopt);
        }
        if (was.action == Action::move && !was.brought_back.empty()) {  // a folder brought back from the Safe goes there again
            const auto now = at(place);
            if (!now || !is_unchanged(now->status.id, was.after, was.type)) return leave(was, place, place, now, "was changed since");
            add(place, place, *now, Action::take_away, Outcome::removed);
            expected_[place] = std::nullopt;
        } else {
            remove_made(place, was.after);
        }
        if (!was.set_aside.empty()) bring_back(was, was.set_aside, place, std::nullopt);
    }

    void remove_made(const std::string& path, const Identity& id) {
        const auto now = at(path);
        if (!now || !now->status.id.could_be(id)) return;  // it is not there, or another: nothing that this run left
        add(path, path, *now, Action::remove_folder, Outcome::removed);
        expected_[path] = std::nullopt;
    }

    /// The number of the folder that was there before it moved, so that what it became stays where it cannot be made again.
    void note_what_is_made_again(const std::string& path) {
        if (numbers_by_source_.empty())
            for (const ReceiptItem& item : basis_.items)
                if (item.type == FileType::folder && took_effect(item)) numbers_by_source_.emplace(item.source, number_of(item));
        const auto found = numbers_by_source_.find(path);
        now_taking_back_ = found == numbers_by_source_.end() ? std::nullopt : std::optional(found->second);
    }

    void make_again(const std::string& path, const Attributes& attributes) {
        if (const auto now = at(path); now && now->status.type == FileType::folder) return;  // somebody made it meanwhile
        Status status;
        status.type = FileType::folder;
        status.id.modified_ns = attributes.modified_ns;
        const auto before = now_taking_back_;
        note_what_is_made_again(path);
        Item& item = add(path, path, {status}, Action::make_folder, Outcome::restored);
        now_taking_back_ = before;
        item.inside = targets_.at(path);
        item.add_extras().attributes = std::make_shared<const Attributes>(attributes);
        expected_[path] = Standing{status};
    }

    void make_moved_folder_again(const ReceiptItem& was) {
        if (!was.brought_back.empty()) return;
        Attributes attributes;
        attributes.mode = was.after_mode;
        if (const auto* seen = find_folder(was)) attributes = seen->attributes;
        attributes.modified_ns = was.modified_ns;
        make_again(was.source, attributes);
    }

    /// Folders that somebody has tidied away since, and that something goes back into.
    void make_missing_folders_again() {
        std::set<std::string> missing;
        for (const ReceiptItem& item : basis_.items) {
            if (!counts(item) || item.action != Action::move || !item.brought_back.empty()) continue;
            for (std::string at(parent_of(item.source)); at != "/" && !this->at(at) && missing.insert(at).second;)
                at = std::string(parent_of(at));
        }
        std::unordered_map<std::string, std::uint32_t> modes;  // as far as the run has seen them
        for (const ReceiptItem& item : basis_.items)
            if (item.type == FileType::folder && item.after_mode != 0) modes.emplace(item.source, item.after_mode);
        for (const auto& path : missing) {  // in the order of their paths, what holds others comes first
            Attributes attributes;
            const auto mode = modes.find(path);
            attributes.mode = mode == modes.end() ? usual_mode : mode->second;
            attributes.owner = basis_.user;
            attributes.group = basis_.group;
            attributes.modified_ns = attributes.accessed_ns = basis_.now_ns;
            make_again(path, attributes);
        }
    }

    /// The folder that moved, as it was seen: where it went, or in the Safe, where a twin has replaced it since.
    const UndoBasis::Seen* find_folder(const ReceiptItem& was) const {
        const auto is_it = [&](const std::string& path) -> const UndoBasis::Seen* {
            const auto seen = basis_.places.find(path);
            return seen != basis_.places.end() && seen->second.status.id.could_be(was.after) ? &seen->second : nullptr;
        };
        if (const auto* there = is_it(was.place())) return there;
        for (const auto& [id, version] : basis_.entries)
            if (const auto* in_safe = is_it(version.stored)) return in_safe;
        return nullptr;
    }

    const UndoBasis& basis_;
    Plan plan_;
    std::shared_ptr<Batch> batch_;
    std::vector<std::string> roots_;
    FolderPaths sources_;
    FolderPaths targets_;
    std::vector<const FolderTrace*> removed_;
    std::unordered_map<std::string, int> wanted_;                       ///< items of the receipt by the place they got
    std::unordered_set<std::string> needed_;                            ///< folders that chosen items go back into, and those above them
    std::unordered_map<std::string, std::uint64_t> numbers_by_source_;  ///< of folders
    std::optional<std::uint64_t> now_taking_back_;
    std::vector<const ReceiptItem*> waiting_;  ///< whose old versions come back after all files have left
    std::unordered_map<std::string, std::optional<Standing>> expected_;
};

}  // namespace

namespace {

bool goes_back_to_another_file_system(const ReceiptItem& item) {
    return item.action == Action::move && item.linked_source.inode != 0 && item.linked_source.device != item.after.device;
}
std::string inode_of(const ReceiptItem& item) { return std::to_string(item.after.device) + ':' + std::to_string(item.after.inode); }

}  // namespace

void choose(UndoBasis& basis, const std::vector<std::uint64_t>& numbers, const std::vector<std::uint64_t>& taken_back) {
    basis.some = !numbers.empty();
    basis.chosen.assign(basis.items.size(), !basis.some);
    std::unordered_set<std::string> places;
    std::unordered_set<std::string> folders;
    std::unordered_set<std::string> links;  // names of one file: apart they would come back as two
    std::unordered_map<std::string, int> wanted;
    for (const ReceiptItem& item : basis.items)
        if (took_effect(item)) ++wanted[item.place()];
    const auto take = [&](std::size_t number) {
        const ReceiptItem& item = basis.items[number];
        basis.chosen[number] = true;
        places.insert(item.place());
        if (goes_back_to_another_file_system(item)) links.insert(inode_of(item));
        // a folder above it may have been displaced by a twin since: that one goes first
        for (std::string at(parent_of(item.place())); at != "/" && !at.empty(); at = std::string(parent_of(at)))
            if (const auto several = wanted.find(at); several != wanted.end() && several->second > 1) places.insert(at);
        if (item.type == FileType::folder) folders.insert(item.place());
    };
    const auto hangs_on_chosen = [&](const ReceiptItem& item) {
        if (places.contains(item.place())) return true;
        if (goes_back_to_another_file_system(item) && links.contains(inode_of(item))) return true;
        for (std::string at(parent_of(item.place())); at != "/" && !at.empty(); at = std::string(parent_of(at)))
            if (folders.contains(at)) return true;
        return false;
    };
    for (const auto number : numbers)
        if (number < basis.items.size()) take(static_cast<std::size_t>(number));
    for (bool grew = basis.some; std::exchange(grew, false);)
        for (std::size_t number = 0; number < basis.items.size(); ++number)
            if (!basis.chosen[number] && took_effect(basis.items[number]) && hangs_on_chosen(basis.items[number])) {
                take(number);
                grew = true;
            }
    for (const auto number : taken_back)
        if (number < basis.items.size()) basis.chosen[static_cast<std::size_t>(number)] = false;
}

std::vector<std::string> places_to_look_at(const UndoBasis& basis) {
    std::set<std::string> places;
    for (const ReceiptItem& item : basis.items) {
        if (!took_effect(item)) continue;
        places.insert(item.place());
        places.insert(item.source);
        if (item.action != Action::move) continue;
        for (std::string at(parent_of(item.source)); at != "/" && !at.empty() && places.insert(at).second;) at = std::string(parent_of(at));
    }
    for (const FolderTrace& trace : basis.folders) places.insert(trace.path);
    for (const auto& [id, entry] : basis.entries) places.insert(entry.stored);
    return {places.begin(), places.end()};
}

Plan plan_undo(const UndoBasis& basis) { return UndoPlanner(basis).run(); }

}  // namespace tavlo
