// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/staging.h"

#include <algorithm>
#include <array>
#include <chrono>
#include <condition_variable>
#include <mutex>

#include "archive/members.h"
#include "files/attributes.h"
#include "files/path.h"

namespace tavlo {

namespace {

constexpr std::uint64_t hashed_anyway_bytes =
    64 * 1024;  // such a file's bytes pass through memory in any case
// a change is dated by the kernel's last tick (up to 10 ms ago, CONFIG_HZ=100), or by a file system's own
// step, if that is coarser
constexpr std::int64_t tick_ns = 10'000'000;
constexpr std::int64_t coarsest_step_ns = 2'000'000'000;  // of any file system: FAT's
constexpr std::int64_t date_given_up_ns =
    2 * coarsest_step_ns;  // a date that comes back further off was not kept
// so many files are asked of the disk before the first of them is read: it has something to do meanwhile
constexpr std::size_t read_ahead_files = 64;
constexpr std::uint64_t read_ahead_bytes = 1024 * 1024;

bool same_state(const Status& a, const Status& b) {
    return a.id == b.id && a.status_changed_ns == b.status_changed_ns;
}

std::int64_t wall_ns() {
    return std::chrono::duration_cast<std::chrono::nanoseconds>(
               std::chrono::system_clock::now().time_since_epoch())
        .count();
}

/// Until this instant a second change of the file might bear the date of the one that was seen; 0 where it is
/// long over.
std::int64_t unsure_until(FileSystem& disk, const Handle& folder, const Status& seen, std::int64_t began_ns) {
    const std::int64_t dated = std::max(seen.id.modified_ns, seen.status_changed_ns);
    if (dated > began_ns || began_ns - dated > coarsest_step_ns) return 0;
    const auto volume = disk.volume(folder);
    // what comes through a server is dated in its own steps, whatever it says
    const std::int64_t own = is_packed(seen.id)      ? 1
                             : seen.id.inodes_last() ? (volume ? volume->time_step_ns : 1)
                                                     : coarsest_step_ns / 2;
    const std::int64_t step = std::max(tick_ns, own);
    // what is changed after this instant may be dated a tick before it
    return began_ns - dated > step + tick_ns ? 0 : dated + step + 2 * tick_ns;
}

/// returns false where it was to stop
bool wait_until(std::int64_t instant_ns, const std::stop_token& stop) {
    std::mutex mutex;
    std::condition_variable_any never;
    std::unique_lock lock(mutex);
    const std::chrono::nanoseconds left(
        std::clamp<std::int64_t>(instant_ns - wall_ns(), 0, coarsest_step_ns + 3 * tick_ns));
    never.wait_for(lock, stop, left, [] { return false; });
    return !stop.stop_requested();
}

/// What was asked of the target, and is not so although it said yes.
void find_silent_losses(const Attributes& wanted, const Status& fresh, std::vector<std::string>& lost) {
    const auto note = [&](const char* name, bool differs) {
        if (differs && std::find(lost.begin(), lost.end(), name) == lost.end()) lost.emplace_back(name);
    };
    const bool owner_differs = fresh.owner != wanted.owner || fresh.group != wanted.group;
    note("owner", owner_differs);
    note("mode",
         fresh.mode != wanted.mode && !(owner_differs && (fresh.mode | 06000U) == (wanted.mode | 06000U)));
    const auto gap = fresh.id.modified_ns - wanted.modified_ns;
    note("times", gap > date_given_up_ns || gap < -date_given_up_ns);
}

Result<StagedCopy> stage_once(FileSystem& disk, const Handle& source_folder, const std::string& name,
                              const Handle& into, const Staging& how, const Meter& meter) {
    std::optional<Staged> staged;
    std::string hash;
    const auto read = [&](const Handle& file, const Status& seen) -> Result<void> {
        auto fresh = disk.stage(into, how.part_name, seen.mode);
        if (!fresh) return failure(fresh.error());
        staged.emplace(std::move(*fresh));
        if (how.order != nullptr) how.order->wait_for(how.place);
        auto copied = copy_bytes(disk, file, *staged, seen,
                                 how.hash || seen.id.size_bytes <= hashed_anyway_bytes, meter);
        if (how.order != nullptr) how.order->pass(how.place);
        if (!copied) return failure(copied.error());
        hash = std::move(*copied);
        return {};
    };
    const auto is_the_same = [&](const Handle& file) {
        return same_bytes(disk, file, staged->file(), Meter{meter.stop, {}, meter.pace});
    };
    const auto held = read_held_still(disk, source_folder, name, how.source_leaves, meter, read, is_the_same);
    if (!held) return failure(held.error());
    auto lost = disk.set_attributes(staged->file(), held->attributes);
    if (!lost) return failure(lost.error());
    const auto fresh = disk.status(staged->file());
    if (!fresh) return failure(fresh.error());
    if (fresh->id.size_bytes != held->source.id.size_bytes)
        return failure(Fault::corrupt, "was written, and has another size", into.path());
    find_silent_losses(held->attributes, *fresh, *lost);
    if (how.source_leaves && !how.may_lose)
        if (const auto gone = std::find_if(lost->begin(), lost->end(), is_irreplaceable); gone != lost->end())
            return failure(Fault::unsupported,
                           "would lose " + *gone + ", which the destination cannot keep, and stays",
                           join(source_folder.path(), name));
    return StagedCopy{std::move(*staged), held->source, fresh->id, std::move(hash), std::move(*lost)};
}

}  // namespace

Result<StagedCopy> stage_copy(FileSystem& disk, const Handle& source_folder, const std::string& name,
                              const Handle& into, const Staging& how, const Meter& meter) {
    auto first = stage_once(disk, source_folder, name, into, how, meter);
    if (first || first.error().fault != Fault::changed_meanwhile) return first;
    auto second = stage_once(disk, source_folder, name, into, how, meter);
    if (second || second.error().fault != Fault::changed_meanwhile || second.error().code != 0) return second;
    Error error = second.error();
    error.step += ", twice";
    return failure(std::move(error));
}

Result<HeldStill> read_held_still(FileSystem& disk, const Handle& source_folder, const std::string& name,
                                  bool source_leaves, const Meter& meter,
                                  const std::function<Result<void>(const Handle&, const Status&)>& read,
                                  const std::function<Result<bool>(const Handle&)>& is_the_same) {
    const auto from = disk.open_file(source_folder, name);
    if (!from) return failure(from.error());
    const std::string& path = from->file.path();
    const std::int64_t began_ns = wall_ns();
    Status before = from->status;
    const bool is_written = disk.writer(from->file) == Writer::some;
    if (is_written && source_leaves)
        return failure(Fault::refused, "is open for writing elsewhere, and stays", path);
    if (is_written) {  // through a mapping, perhaps: what it changed is dated once it is written out, and not
                       // before
        if (auto synced = disk.sync(from->file); !synced) return failure(synced.error());
        const auto again = disk.status(from->file);
        if (!again) return failure(again.error());
        before = *again;
    }
    auto attributes = disk.attributes(from->file, before);
    if (!attributes) return failure(attributes.error());
    auto done = read(from->file, before);
    if (!done && done.error().fault == Fault::changed_meanwhile)  // not as it said, or no longer so?
        if (const auto now = disk.status(from->file); now && !same_state(before, *now))
            return failure(Fault::changed_meanwhile, "changed while it was read", path);
    if (!done) return failure(done.error());
    const std::int64_t unsure_ns = unsure_until(disk, source_folder, before, began_ns);
    if (is_written || unsure_ns != 0) {  // its date may say nothing of a change: so it is read once more
        if (unsure_ns != 0 && !wait_until(unsure_ns, meter.stop))
            return failure(Fault::cancelled, "stopped", path);
        const auto same = is_the_same(from->file);
        if (!same) return failure(same.error());
        if (!*same) return failure(Fault::changed_meanwhile, "changed while it was read", path);
    }
    const auto after = disk.status(from->file);
    if (!after) return failure(after.error());
    if (!same_state(before, *after))
        return failure(Fault::changed_meanwhile, "changed while it was read", path);
    return HeldStill{before, std::move(*attributes)};
}

std::string listed(const std::vector<std::string>& attributes) {
    std::string list;
    for (const auto& name : attributes) list += (list.empty() ? "" : ",") + name;
    return list;
}

namespace {

/// What memory held of it is dropped already.
Result<void> verify(FileSystem& disk, const StagedCopy& copy, const Meter& meter) {
    const auto hash = hash_of(disk, copy.staged.file(), Meter{meter.stop, {}, meter.pace});
    if (!hash && hash.error().fault == Fault::changed_meanwhile)
        return failure(Fault::corrupt, "what was written reads back otherwise", copy.staged.file().path());
    if (!hash) return failure(hash.error());
    if (*hash != copy.hash)
        return failure(Fault::corrupt, "what was written reads back otherwise", copy.staged.file().path());
    return {};
}

}  // namespace

std::vector<std::pair<std::size_t, Error>> verify_staged(FileSystem& disk,
                                                         const std::vector<const StagedCopy*>& copies,
                                                         const Meter& meter) {
    std::vector<std::pair<std::size_t, Error>> wrong;
    for (std::size_t begin = 0; begin < copies.size(); begin += read_ahead_files) {
        const std::size_t end = std::min(copies.size(), begin + read_ahead_files);
        std::array<Result<void>, read_ahead_files> dropped;
        for (std::size_t at = begin; at < end; ++at) {
            const StagedCopy& copy = *copies[at];
            dropped[at - begin] = disk.forget_cached(copy.staged.file());
            disk.read_ahead(copy.staged.file(), std::min(copy.fresh.size_bytes, read_ahead_bytes));
        }
        for (std::size_t at = begin; at < end; ++at) {
            auto verified = dropped[at - begin];
            if (verified) verified = verify(disk, *copies[at], meter);
            if (!verified) wrong.emplace_back(at, verified.error());
        }
    }
    return wrong;
}

}  // namespace tavlo
