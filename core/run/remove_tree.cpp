// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/remove_tree.h"

#include <optional>
#include <utility>
#include <vector>

#include "files/path.h"

namespace tavlo {

namespace {

bool is_gone(const Result<void>& removed) { return removed || removed.error().fault == Fault::not_found; }

class TreeRemover {
public:
    TreeRemover(FileSystem& disk, const std::function<void(Error)>& left) : disk_(disk), left_(left) {}

    void remove(const Handle& folder, const std::string& name) {
        if (auto inside = enter(folder, name)) at_ = std::move(*inside);
        while (!levels_.empty()) {
            if (levels_.back().next < levels_.back().names.size())
                step();
            else if (!leave(folder))
                return;
        }
    }

private:
    struct Level {
        std::string name;
        Identity id;
        std::vector<Name> names;
        std::size_t next = 0;
        bool empty = true;
    };

    /// A file goes at once, a folder is gone through first: then it is what is returned.
    std::optional<Handle> enter(const Handle& in, const std::string& name) {
        const auto stays = [&](Error why) -> std::optional<Handle> {
            if (!levels_.empty()) levels_.back().empty = false;
            left_(std::move(why));
            return std::nullopt;
        };
        const auto status = disk_.status(in, name);
        if (!status) return status.error().fault == Fault::not_found ? std::nullopt : stays(status.error());
        if (status->type != FileType::folder) {
            const auto removed = disk_.remove_file(in, name);
            return is_gone(removed) ? std::nullopt : stays(removed.error());
        }
        auto inside = disk_.open_folder_in_mount(in, name);
        const auto id = inside ? disk_.status(*inside) : Result<Status>(failure(inside.error()));
        auto names = id ? disk_.list(*inside) : Result<std::vector<Name>>(failure(id.error()));
        if (!names) return stays(names.error());
        levels_.push_back({name, id->id, std::move(*names)});
        return std::move(*inside);
    }

    void step() {
        Level& level = levels_.back();
        const std::string name = std::move(level.names[level.next++].bytes);
        if (auto inside = enter(at_, name)) at_ = std::move(*inside);
    }

    /// Back to the folder above, which is known by what it is. false: it is another one by now, and nothing
    /// more is touched
    bool leave(const Handle& top) {
        const Level level = std::move(levels_.back());
        levels_.pop_back();
        if (levels_.empty()) {
            at_.close();
            settle(level, top);
            return true;
        }
        auto above = disk_.open_folder_in(at_, "..");
        const auto status = above ? disk_.status(*above) : Result<Status>(failure(above.error()));
        if (!status || !status->id.same_thing(levels_.back().id)) {
            left_(status ? Error{Fault::changed_meanwhile, 0, "was moved while it was emptied", at_.path()}
                         : status.error());
            return false;
        }
        at_ = Handle(above->take(), std::string(parent_of(at_.path())));  // else its path is one of many ".."
        settle(level, at_);
        return true;
    }

    void settle(const Level& level, const Handle& in) {
        bool stays = !level.empty;
        if (!stays)
            if (auto removed = disk_.remove_empty_folder(in, level.name); !is_gone(removed)) {
                left_(removed.error());
                stays = true;
            }
        if (stays && !levels_.empty()) levels_.back().empty = false;
    }

    FileSystem& disk_;
    const std::function<void(Error)>& left_;
    std::vector<Level> levels_;
    Handle at_;  ///< the folder of the last level
};

}  // namespace

void remove_tree(FileSystem& disk, const Handle& folder, const std::string& name,
                 const std::function<void(Error)>& left) {
    TreeRemover(disk, left).remove(folder, name);
}

}  // namespace tavlo
