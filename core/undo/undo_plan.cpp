// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/undo_plan.h"

#include <algorithm>
#include <set>
#include <unordered_map>

#include "files/path.h"
#include "undo/what_was_done.h"

namespace tavlo {

namespace {

constexpr std::uint32_t usual_mode = 0755;

using Order = Store::Order;

/// The thing at a place is still what the run left there. A folder's size and time are its entries' affair.
bool is_unchanged(const Identity& now, const Identity& then, FileType type) {
    return type == FileType::folder ? now.could_be(then) : now == then;
}

Role role_of(Action action) {
    switch (action) {
        case Action::copy:
        case Action::move: return Role::arrives;
        case Action::take_away:
        case Action::remove_folder: return Role::leaves;
        case Action::make_folder: return Role::made;
        case Action::pack:
        case Action::pack_away: break;
    }
    return Role::arrives;
}

class UndoPlanner {
public:
    explicit UndoPlanner(UndoBasis& basis)
        : basis_(basis), done_(basis), batch_(std::make_shared<Batch>()), roots_(done_.roots()) {
        sources_.emplace(batch_->folders, roots_);
        targets_.emplace(plan_.targets, roots_);
        plan_.operation = Operation::undo;
        plan_.destination = basis.head.destination;
        plan_.undoes = basis.head.id;
        plan_.undoes_some = basis.some;
        targets_->at(basis.head.destination);
    }

    Plan run() && {
        for (const FolderTrace& trace : basis_.folders)
            if (!trace.made && (!basis_.some || done_.something_goes_back_into(trace.path)))
                removed_.push_back(&trace);
        // parents are shorter than what lies in them
        std::stable_sort(removed_.begin(), removed_.end(),
                         [](const auto* a, const auto* b) { return a->path.size() < b->path.size(); });
        for (const FolderTrace* trace : removed_)
            if (!note_taken_place(trace->path))
                if (const auto held = at(trace->path); !held || held->status.type == FileType::folder)
                    make_again(trace->path,
                               trace->attributes);  // else once what stands there has gone, in its order
        if (done_.moved_whole())
            basis_.each(Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
                if (item.type == FileType::folder && item.moved_whole && took_effect(item) &&
                    !done_.made_room(item) && !WhatWasDone::came_out_of_trash(item) &&
                    (done_.counts(number, item) ||
                     (basis_.some && done_.something_goes_back_into(item.source))))
                    make_moved_folder_again(item);
            });
        make_missing_folders_again();
        basis_.each(Order::backwards, [&](std::uint64_t number, const ReceiptItem& item) {
            if (!done_.counts(number, item)) return;
            if (item.type != FileType::folder)
                take_back(number, item);
            else if (done_.is_in_order())
                take_back_folder(number, item);
        });
        now_taking_back_ = no_item;  // with these, what was taken back before is complete
        if (!waiting_.empty())
            basis_.each(Order::backwards, [&](std::uint64_t number, const ReceiptItem& item) {
                if (waiting_.contains(number))
                    bring_back(number, item, item.set_aside, item.place(), std::nullopt);
            });
        if (done_.has_folders() && !done_.is_in_order())
            basis_.each(Order::backwards, [&](std::uint64_t number, const ReceiptItem& item) {
                if (done_.counts(number, item) && item.type == FileType::folder)
                    take_back_folder(number, item);
            });
        for (auto trace = basis_.folders.rbegin(); trace != basis_.folders.rend(); ++trace) {
            now_taking_back_ = no_item;
            if (trace->made && !basis_.some) remove_made(trace->path, trace->id);
        }
        plan_.batch = batch_;
        plan_.finals = plan_.targets;
        plan_.totals = total(plan_);
        return std::move(plan_);
    }

private:
    using Standing = UndoBasis::Seen;
    /// What holds a place once the items planned so far are through; nullopt: nothing.
    std::optional<Standing> at(const std::string& path) {
        if (const auto expected = expected_.find(path); expected != expected_.end()) return expected->second;
        auto seen = basis_.look(path);
        if (!seen) return std::nullopt;
        return Standing{seen->status, std::move(seen->points_at)};
    }

    /// What an item that was planned leaves at a place; kept in mind where another one asks for that place.
    void expect(const std::string& path, std::optional<Standing> standing) {
        if (done_.names_often(path)) expected_[path] = std::move(standing);
    }

    Item& add(const std::string& source, const std::string& target, const Standing& what, Action action,
              Outcome outcome) {
        Entry entry;
        entry.folder = sources_->at(std::string(parent_of(source)));
        entry.name = std::string(name_of(source));
        entry.status = what.status;
        if (!what.points_at.empty()) entry.extras.make().points_at = what.points_at;
        batch_->entries.push_back(std::move(entry));
        Item& item = plan_.items.emplace_back();
        item.entry = static_cast<EntryId>(batch_->entries.size() - 1);
        item.folder = targets_->at(std::string(parent_of(target)));
        if (name_of(target) != batch_->entries.back().name)
            item.add_extras().name = std::string(name_of(target));
        item.action = action;
        item.role = role_of(action);
        item.outcome = outcome;
        item.takes_back = now_taking_back_;
        return item;
    }

    /// Keeps account of how many names a folder will hold, for those that go once they are empty.
    void name_goes(const std::string& path) { --change_of_names_[std::string(parent_of(path))]; }
    void name_comes(const std::string& path) { ++change_of_names_[std::string(parent_of(path))]; }

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

    void leave(const ReceiptItem& was, const std::string& source, const std::string& target,
               const std::optional<Standing>& now, std::string why) {
        Status status;
        status.type = was.type;
        status.id = was.after;
        Item& item = add(source, target, {status}, Action::move, Outcome::undecided);
        item.add_extras().problem =
            std::make_shared<const Error>(Error{Fault::changed_meanwhile, 0, std::move(why), was.place()});
        if (now) collide(item, now->status, Decision::undecided);
    }

    /// A version comes back from the Safe to the place that it held, over what the run put there, if that
    /// still holds it.
    void bring_back(std::uint64_t number, const ReceiptItem& was, const std::string& id,
                    const std::string& place, const std::optional<Standing>& over) {
        const auto version = basis_.version(id);
        auto stored = version ? at(version->stored) : std::nullopt;
        // what lies there is looked at before the index is trusted
        if (stored && !expected_.contains(version->stored) &&
            (stored->status.type != version->type ||
             !is_unchanged(stored->status.id, version->identity, version->type)))
            stored.reset();
        if (!stored) {
            Status status;
            status.type = was.type;
            Item& item = add(place, place, {status}, Action::move, Outcome::failed);
            item.add_extras().problem = std::make_shared<const Error>(
                Error{Fault::not_found, 0, "its version " + id + " is no longer in the Safe", place});
            return;
        }
        Item& item = add(version->stored, place, *stored, Action::move, Outcome::restored);
        item.add_extras().entry_of_safe = id;
        if (over)
            collide(item, over->status, Decision::overwrite);
        else
            name_comes(place);
        if (stored->status.type == FileType::folder) {
            item.whole = true;
            expected_[version->stored] = std::nullopt;
            expect_inside(number, place);
        }
        expect(place, *stored);
    }

    void bring_out_of_trash(const ReceiptItem& was) {
        const std::string& lies = was.place();
        const auto now = at(lies);
        if (!now || now->status.type != was.type || !is_unchanged(now->status.id, was.after, was.type)) {
            leave(was, lies, was.source, std::nullopt,
                  now ? "was changed in the trash" : "is no longer in the trash");
            plan_.items.back().outcome = Outcome::failed;
            return;
        }
        Item& item = add(lies, was.source, *now, Action::move, Outcome::restored);
        item.shelf = Shelf::trash;
        item.whole = was.type == FileType::folder;
        name_comes(was.source);
        expect(lies, std::nullopt);
        expect(was.source, *now);
    }

    /// With a folder comes what the run had put into it before it was set aside.
    void expect_inside(std::uint64_t before, const std::string& folder) {
        basis_.each(Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
            if (number >= before || !took_effect(item) || item.place() == folder ||
                !is_within(item.place(), folder))
                return;
            Status status;
            status.type = item.type;
            status.id = item.after;
            expected_[item.place()] = Standing{status};  // it is not there to be looked at yet
        });
    }

    void take_back(std::uint64_t number, const ReceiptItem& was) {
        now_taking_back_ = static_cast<ItemId>(number);
        if (is_packed(was.action)) {  // its source went to the Safe
            if (const auto held = at(was.source))
                return leave(was, was.source, was.source, held, "something else is there now");
            if (lies_in_taken_place(was.source))
                return leave(was, was.source, was.source, std::nullopt,
                             "something else stands where its folder was");
            return bring_back(number, was, was.set_aside, was.source, std::nullopt);
        }
        if (was.result == Outcome::removed) {  // an undo took it away: it comes back
            if (const auto held = at(was.source))
                return leave(was, was.source, was.source, held, "something else is there now");
            if (WhatWasDone::lies_in_trash(was)) return bring_out_of_trash(was);
            return bring_back(number, was, was.set_aside, was.source, std::nullopt);
        }
        const std::string& place = was.place();
        const auto now = at(place);
        const bool goes_back =
            was.action == Action::move && was.brought_back.empty() && !WhatWasDone::came_out_of_trash(was);
        const std::string& back_to = goes_back ? was.source : place;
        if (!now) return leave(was, place, back_to, now, "is no longer there");
        const bool is_expected = expected_.contains(place);
        if (!is_unchanged(now->status.id, was.after, was.type) ||
            (!is_expected && basis_.is_changed(was, now->status)))
            return leave(was, place, back_to, now, "was changed since");
        if (!goes_back) {
            if (!was.set_aside.empty()) return bring_back(number, was, was.set_aside, place, now);
            add(place, place, *now, Action::take_away, Outcome::removed).shelf = was.shelf;
            name_goes(place);
            return expect(place, std::nullopt);
        }
        if (const auto held = at(was.source))
            return leave(was, place, was.source, held, "its old place is taken");
        if (lies_in_taken_place(was.source))
            return leave(was, place, was.source, std::nullopt, "something else stands where its folder was");
        add(place, was.source, *now, Action::move, Outcome::restored).role = was.role;
        name_goes(place);
        name_comes(was.source);
        expect(place, std::nullopt);
        expect(was.source, *now);
        if (was.set_aside.empty()) return;
        // the place is free once the file has left it: between file systems that is when its group is
        // through, so these come after all that leave; but for twins, where the next one to leave is what
        // comes back here
        if (done_.gave_often(place))
            bring_back(number, was, was.set_aside, place, std::nullopt);
        else
            waiting_.insert(number);
    }

    void take_back_folder(std::uint64_t number, const ReceiptItem& was) {
        now_taking_back_ = static_cast<ItemId>(number);
        const std::string& place = was.place();
        if (done_.made_room(was)) {
            const auto now = at(place);
            if (!now || !is_unchanged(now->status.id, was.after, was.type))
                return leave(was, place, was.source, now, "was changed since");
            if (const auto held = at(was.source))
                return leave(was, place, was.source, held, "its old place is taken");
            Item& item = add(place, was.source, *now, Action::move, Outcome::restored);
            item.role = Role::makes_room;
            item.whole = true;
            name_goes(place);
            name_comes(was.source);
            expect(place, std::nullopt);
            return expect(was.source, *now);
        }
        if (was.result == Outcome::removed) {
            if (was.action != Action::take_away) {  // it is among the removed folders, and made again by now
                                                    // where its place was free
                for (const FolderTrace* trace : removed_)
                    if (trace->path == place && !at(place)) make_again(trace->path, trace->attributes);
                return;
            }
            if (const auto held = at(was.source))
                return leave(was, was.source, was.source, held, "something else is there now");
            if (WhatWasDone::lies_in_trash(was)) return bring_out_of_trash(was);
            return bring_back(number, was, was.set_aside, place, std::nullopt);
        }
        // a folder brought back from the Safe, or the trash, goes there again
        if (WhatWasDone::came_out_of_trash(was) ||
            (was.action == Action::move && !was.brought_back.empty())) {
            const auto now = at(place);
            if (!now || !is_unchanged(now->status.id, was.after, was.type))
                return leave(was, place, place, now, "was changed since");
            add(place, place, *now, Action::take_away, Outcome::removed).shelf = was.shelf;
            name_goes(place);
            expect(place, std::nullopt);
        } else {
            remove_made(place, was.after);
        }
        if (!was.set_aside.empty()) bring_back(number, was, was.set_aside, place, std::nullopt);
    }

    void remove_made(const std::string& path, const Identity& id) {
        const auto now = at(path);
        if (!now || !now->status.id.could_be(id))
            return;  // it is not there, or another: nothing that this run left
        const auto names = basis_.names_in(path);
        const auto change = change_of_names_.find(path);
        const bool holds =
            names &&
            static_cast<std::int64_t>(*names) + (change == change_of_names_.end() ? 0 : change->second) > 0;
        if (holds) {
            Item& item = add(path, path, *now, Action::remove_folder, Outcome::skipped);
            item.add_extras().problem = std::make_shared<const Error>(
                Error{Fault::refused, 0, "still holds something, and stays", path});
            return;
        }
        add(path, path, *now, Action::remove_folder, Outcome::removed);
        name_goes(path);
        expect(path, std::nullopt);
    }

    /// The number of the folder that was there before it moved, so that what it became stays where it cannot
    /// be made again.
    void note_what_is_made_again(const std::string& path) {
        if (numbers_by_source_.empty() && done_.has_folders())
            basis_.each(Order::forwards, [&](std::uint64_t number, const ReceiptItem& item) {
                if (item.type == FileType::folder && took_effect(item))
                    numbers_by_source_.emplace(item.source, static_cast<ItemId>(number));
            });
        const auto found = numbers_by_source_.find(path);
        now_taking_back_ = found == numbers_by_source_.end() ? no_item : found->second;
    }

    void make_again(const std::string& path, const Attributes& attributes) {
        if (const auto now = at(path); now && now->status.type == FileType::folder)
            return;  // somebody made it meanwhile
        Status status;
        status.type = FileType::folder;
        status.id.modified_ns = attributes.modified_ns;
        const auto before = now_taking_back_;
        note_what_is_made_again(path);
        Item& item = add(path, path, {status}, Action::make_folder, Outcome::restored);
        now_taking_back_ = before;
        item.inside = targets_->at(path);
        item.add_extras().attributes = std::make_shared<const Attributes>(attributes);
        name_comes(path);
        expected_[path] = Standing{status};
    }

    /// Something else than a folder stands where one was: nothing goes back into it.
    bool lies_in_taken_place(const std::string& path) const {
        if (taken_places_.empty()) return false;
        for (std::string above(parent_of(path)); above != "/"; above = std::string(parent_of(above)))
            if (taken_places_.contains(above)) return true;
        return false;
    }
    bool note_taken_place(const std::string& path) {
        const auto held = at(path);
        const bool is_taken = held && held->status.type != FileType::folder && !done_.put(path);
        if (is_taken) taken_places_.insert(path);
        return is_taken || lies_in_taken_place(path);
    }

    void make_moved_folder_again(const ReceiptItem& was) {
        if (!was.brought_back.empty() || note_taken_place(was.source)) return;
        Attributes attributes;
        attributes.mode = was.after_mode;
        if (auto seen = done_.attributes_of_moved(was)) attributes = std::move(*seen);
        attributes.modified_ns = was.modified_ns;
        make_again(was.source, attributes);
    }

    /// Folders that somebody has tidied away since, and that something goes back into.
    void make_missing_folders_again() {
        std::set<std::string> missing;
        for (const auto& parent : done_.goes_back_into()) {
            if (note_taken_place(parent)) continue;
            for (std::string at = parent; at != "/" && !this->at(at) && missing.insert(at).second;)
                at = std::string(parent_of(at));
        }
        if (missing.empty()) return;
        std::unordered_map<std::string, std::uint32_t> modes;  // as far as the run has seen them
        basis_.each(Order::forwards, [&](std::uint64_t, const ReceiptItem& item) {
            if (item.type == FileType::folder && item.after_mode != 0)
                modes.emplace(item.source, item.after_mode);
        });
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

    UndoBasis& basis_;
    WhatWasDone done_;
    Plan plan_;
    std::shared_ptr<Batch> batch_;
    std::vector<std::string> roots_;
    std::optional<FolderPaths> sources_;
    std::optional<FolderPaths> targets_;

    std::unordered_set<std::string> taken_places_;  ///< of folders that cannot be made again
    std::vector<const FolderTrace*> removed_;
    std::unordered_map<std::string, ItemId> numbers_by_source_;  ///< of folders
    /// by folder: names that come, less those that go
    std::unordered_map<std::string, std::int64_t> change_of_names_;
    ItemId now_taking_back_ = no_item;
    /// items whose old versions come back after all files have left
    std::unordered_set<std::uint64_t> waiting_;
    std::unordered_map<std::string, std::optional<Standing>> expected_;
};

}  // namespace

Plan plan_undo(UndoBasis& basis) { return UndoPlanner(basis).run(); }

}  // namespace tavlo
