// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/weigh.h"

#include <algorithm>
#include <unordered_map>

#include "files/path.h"
#include "select/walk.h"

namespace tavlo {

namespace {

using Clock = std::chrono::steady_clock;

/// What lies in each thing, the heaviest first.
void put_in_order(Weighed& weighed) {
    const auto count = weighed.things.size();
    weighed.first_in.assign(count + 1, 0);
    for (std::size_t id = 1; id < count; ++id) ++weighed.first_in[weighed.things[id].parent + 1];
    for (std::size_t id = 0; id < count; ++id) weighed.first_in[id + 1] += weighed.first_in[id];
    weighed.by_parent.resize(count - 1);
    std::vector<std::uint32_t> next(weighed.first_in.begin(), weighed.first_in.end() - 1);
    for (std::uint32_t id = 1; id < count; ++id) weighed.by_parent[next[weighed.things[id].parent]++] = id;
    const auto is_heavier = [&](std::uint32_t one, std::uint32_t other) {
        const auto& a = weighed.things[one];
        const auto& b = weighed.things[other];
        return a.bytes != b.bytes ? a.bytes > b.bytes : a.name < b.name;
    };
    for (std::size_t id = 0; id < count; ++id)
        std::sort(weighed.by_parent.begin() + weighed.first_in[id],
                  weighed.by_parent.begin() + weighed.first_in[id + 1], is_heavier);
    weighed.place_in_parent.resize(count);
    for (std::uint32_t at = 0; at + 1 < count; ++at) {
        const std::uint32_t id = weighed.by_parent[at];
        weighed.place_in_parent[id] = at - weighed.first_in[weighed.things[id].parent];
    }
}

/// Sorts numbers of things, the heaviest first, as far as `most`; the others go.
void keep_heaviest(const Weighed& weighed, std::vector<std::uint32_t>& some, std::size_t most) {
    const auto kept = std::min(most, some.size());
    std::partial_sort(some.begin(), some.begin() + static_cast<std::ptrdiff_t>(kept), some.end(),
                      [&](std::uint32_t a, std::uint32_t b) {
                          const auto& one = weighed.things[a];
                          const auto& other = weighed.things[b];
                          return one.bytes != other.bytes ? one.bytes > other.bytes : a < b;
                      });
    some.resize(kept);
}

std::vector<std::uint32_t> largest_files_of(const Weighed& weighed) {
    std::vector<std::uint32_t> files;
    for (std::uint32_t id = 1; id < weighed.things.size(); ++id)
        if (weighed.things[id].type == FileType::file) files.push_back(id);
    keep_heaviest(weighed, files, Weighed::most_files);
    return files;
}

std::vector<std::uint32_t> empty_folders_of(const Weighed& weighed) {
    const auto& things = weighed.things;
    const auto is_empty = [&](std::uint32_t id) {
        return things[id].type == FileType::folder && things[id].files == 0;
    };
    std::vector<std::pair<std::string, std::uint32_t>> empty;
    for (std::uint32_t id = 1; id < things.size(); ++id)
        if (is_empty(id) && (things[id].parent == 0 || !is_empty(things[id].parent)))
            empty.emplace_back(weighed.path(id), id);
    std::sort(empty.begin(), empty.end());
    std::vector<std::uint32_t> folders;
    for (const auto& [path, id] : empty) folders.push_back(id);
    return folders;
}

class Weigher {
public:
    explicit Weigher(const std::string& folder) {
        weighed_.folder = folder;
        weighed_.things.emplace_back();
        top_of_.push_back(0);
        known_.emplace("", 0);
    }

    void meet(const Met& met) {
        if (met.folder != at_path_ || at_ == 0) {  // which goes on folder by folder
            at_path_ = met.folder;
            at_ = known_.at(met.folder);
        }
        const auto id = static_cast<std::uint32_t>(weighed_.things.size());
        const bool is_folder = met.status.type == FileType::folder;
        Weighed::Thing& thing = weighed_.things.emplace_back();
        thing.parent = at_;
        thing.type = met.status.type;
        thing.name = met.name;
        top_of_.push_back(at_ == 0 ? id : top_of_[at_]);
        if (is_folder) {
            known_.emplace(join(met.folder, met.name), id);
            return;
        }
        thing.bytes = met.status.type == FileType::file ? met.status.id.size_bytes : 0;
        thing.newest_ns = met.status.id.modified_ns;
        if (top_of_[id] != id) add(so_far_[top_of_[id]], thing);
    }

    /// What lies directly in the folder, with what has been met below.
    std::shared_ptr<const Weighed> so_far() const {
        auto some = std::make_shared<Weighed>();
        some->folder = weighed_.folder;
        some->things.emplace_back();
        for (std::uint32_t id = 1; id < weighed_.things.size(); ++id) {
            if (weighed_.things[id].parent != 0) continue;
            Weighed::Thing thing = weighed_.things[id];
            if (const auto below = so_far_.find(id); below != so_far_.end()) {
                thing.bytes = below->second.bytes;
                thing.files = below->second.files;
                thing.newest_ns = below->second.newest_ns;
            }
            add(some->things[0], thing);
            some->things.push_back(std::move(thing));
        }
        put_in_order(*some);
        return some;
    }

    std::shared_ptr<const Weighed> finish(std::uint64_t unread) && {
        auto all = std::make_shared<Weighed>(std::move(weighed_));
        for (auto id = static_cast<std::uint32_t>(all->things.size()); --id > 0;)
            add(all->things[all->things[id].parent], all->things[id]);
        all->unread = unread;
        all->complete = true;
        put_in_order(*all);
        all->largest_files = largest_files_of(*all);
        all->empty_folders = empty_folders_of(*all);
        return all;
    }

private:
    static void add(Weighed::Thing& folder, const Weighed::Thing& thing) {
        folder.bytes += thing.bytes;
        folder.files += thing.type == FileType::folder ? thing.files : 1;
        folder.newest_ns = std::max(folder.newest_ns, thing.newest_ns);
    }

    Weighed weighed_;
    std::vector<std::uint32_t> top_of_;  ///< by thing: the one directly in the folder that it lies in, or is
    std::unordered_map<std::uint32_t, Weighed::Thing> so_far_;  ///< by those
    std::unordered_map<std::string, std::uint32_t> known_;      ///< folders, by path from the folder
    std::string at_path_;
    std::uint32_t at_ = 0;
};

}  // namespace

std::span<const std::uint32_t> Weighed::inside(std::uint32_t thing) const {
    return std::span(by_parent).subspan(first_in[thing], first_in[thing + 1] - first_in[thing]);
}

std::string Weighed::path(std::uint32_t thing) const {
    if (thing == 0) return folder;
    return join(path(things[thing].parent), things[thing].name);
}

std::uint64_t Weighed::folders() const {
    return static_cast<std::uint64_t>(std::count_if(
        things.begin() + 1, things.end(), [](const Thing& one) { return one.type == FileType::folder; }));
}

std::vector<std::uint32_t> Weighed::folders_over(std::uint64_t bytes) const {
    std::vector<std::uint32_t> folders;
    for (std::uint32_t id = 1; id < things.size(); ++id)
        if (things[id].type == FileType::folder && things[id].bytes > bytes) folders.push_back(id);
    keep_heaviest(*this, folders, folders.size());
    return folders;
}

Result<std::shared_ptr<const Weighed>> weigh_below(
    FileSystem& disk, const std::string& folder, std::stop_token stop,
    const std::function<void(std::shared_ptr<const Weighed>)>& so_far, std::chrono::milliseconds so_often) {
    constexpr std::uint64_t asked_every =
        256;  // looking at the clock for each thing would cost more than the thing
    Weigher weigher(folder);
    std::uint64_t met_so_far = 0;
    auto told = Clock::now();
    const auto walked = walk_below(disk, folder, std::move(stop), [&](const Met& met) {
        weigher.meet(met);
        if (so_far && ++met_so_far % asked_every == 0 && Clock::now() - told >= so_often) {
            so_far(weigher.so_far());
            told = Clock::now();
        }
        return true;
    });
    if (!walked) return failure(walked.error());
    return std::move(weigher).finish(walked->unread);
}

}  // namespace tavlo
