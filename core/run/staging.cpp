#include "run/staging.h"

#include <algorithm>
#include <chrono>
#include <condition_variable>
#include <mutex>

#include "files/attributes.h"

namespace tavlo {

namespace {

constexpr std::uint64_t hashed_anyway_bytes = 64 * 1024;  // such a file's bytes pass through memory in any case
// a change is dated by the kernel's last tick (up to 10 ms ago, CONFIG_HZ=100), or by a file system's own step, if that is coarser
constexpr std::int64_t tick_ns = 10'000'000;
constexpr std::int64_t coarsest_step_ns = 2'000'000'000;         // of any file system: FAT's
constexpr std::int64_t date_given_up_ns = 2 * coarsest_step_ns;  // a date that comes back further off was not kept

bool same_state(const Status& a, const Status& b) { return a.id == b.id && a.status_changed_ns == b.status_changed_ns; }

std::int64_t wall_ns() {
    return std::chrono::duration_cast<std::chrono::nanoseconds>(std::chrono::system_clock::now().time_since_epoch()).count();
}

/// Until this instant a second change of the file might bear the date of the one that was seen; 0 where it is long over.
std::int64_t unsure_until(FileSystem& disk, const Handle& folder, const Status& seen, std::int64_t began_ns) {
    const std::int64_t dated = std::max(seen.id.modified_ns, seen.status_changed_ns);
    if (dated > began_ns || began_ns - dated > coarsest_step_ns) return 0;
    const auto volume = disk.volume(folder);
    // what comes through a server is dated in its own steps, whatever it says
    const std::int64_t own = seen.id.inodes_last() ? (volume ? volume->time_step_ns : 1) : coarsest_step_ns / 2;
    const std::int64_t step = std::max(tick_ns, own);
    // what is changed after this instant may be dated a tick before it
    return began_ns - dated > step + tick_ns ? 0 : dated + step + 2 * tick_ns;
}

/// returns false where it was to stop
bool wait_until(std::int64_t instant_ns, const std::stop_token& stop) {
    std::mutex mutex;
    std::condition_variable_any never;
    std::unique_lock lock(mutex);
    const std::chrono::nanoseconds left(std::clamp<std::int64_t>(instant_ns - wall_ns(), 0, coarsest_step_ns + 3 * tick_ns));
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
    note("mode", fresh.mode != wanted.mode && !(owner_differs && (fresh.mode | 06000U) == (wanted.mode | 06000U)));
    const auto gap = fresh.id.modified_ns - wanted.modified_ns;
    note("times", gap > date_given_up_ns || gap < -date_given_up_ns);
}

Result<StagedCopy> stage_once(FileSystem& disk, const Handle& source_folder, const std::string& name, const Handle& into,
                              const Staging& how, const Meter& meter) {
    const auto from = disk.open_file(source_folder, name);
    if (!from) return failure(from.error());
    const std::int64_t began_ns = wall_ns();
    Status before = from->status;
    const bool is_written = disk.writer(from->file) == Writer::some;
    if (is_written && how.source_leaves) return failure(Fault::refused, "is open for writing elsewhere, and stays", from->file.path());
    if (is_written) {  // through a mapping, perhaps: what it changed is dated once it is written out, and not before
        if (auto synced = disk.sync(from->file); !synced) return failure(synced.error());
        const auto again = disk.status(from->file);
        if (!again) return failure(again.error());
        before = *again;
    }
    auto staged = disk.stage(into, how.part_name);
    if (!staged) return failure(staged.error());
    const auto attributes = disk.attributes(from->file, before);
    if (!attributes) return failure(attributes.error());
    auto copied = copy_bytes(disk, from->file, *staged, before, how.hash || before.id.size_bytes <= hashed_anyway_bytes, meter);
    if (!copied && copied.error().fault == Fault::changed_meanwhile)  // not as it said, or no longer so?
        if (const auto now = disk.status(from->file); now && !same_state(before, *now))
            return failure(Fault::changed_meanwhile, "changed while it was read", from->file.path());
    if (!copied) return failure(copied.error());
    const std::int64_t unsure_ns = unsure_until(disk, source_folder, before, began_ns);
    if (is_written || unsure_ns != 0) {  // its date may say nothing of a change: so it is read once more
        if (unsure_ns != 0 && !wait_until(unsure_ns, meter.stop)) return failure(Fault::cancelled, "stopped", from->file.path());
        const auto same = same_bytes(disk, from->file, staged->file(), Meter{meter.stop, {}, meter.pace});
        if (!same) return failure(same.error());
        if (!*same) return failure(Fault::changed_meanwhile, "changed while it was read", from->file.path());
    }
    const auto after = disk.status(from->file);
    if (!after) return failure(after.error());
    if (!same_state(before, *after)) return failure(Fault::changed_meanwhile, "changed while it was read", from->file.path());
    auto lost = disk.set_attributes(staged->file(), *attributes);
    if (!lost) return failure(lost.error());
    const auto fresh = disk.status(staged->file());
    if (!fresh) return failure(fresh.error());
    if (fresh->id.size_bytes != before.id.size_bytes) return failure(Fault::corrupt, "was written, and has another size", into.path());
    find_silent_losses(*attributes, *fresh, *lost);
    if (how.source_leaves && !how.may_lose)
        if (const auto gone = std::find_if(lost->begin(), lost->end(), is_irreplaceable); gone != lost->end())
            return failure(Fault::unsupported, "would lose " + *gone + ", which the destination cannot keep, and stays", from->file.path());
    return StagedCopy{std::move(*staged), before, fresh->id, std::move(*copied), std::move(*lost)};
}

}  // namespace

Result<StagedCopy> stage_copy(FileSystem& disk, const Handle& source_folder, const std::string& name, const Handle& into,
                              const Staging& how, const Meter& meter) {
    auto first = stage_once(disk, source_folder, name, into, how, meter);
    if (first || first.error().fault != Fault::changed_meanwhile) return first;
    auto second = stage_once(disk, source_folder, name, into, how, meter);
    if (second || second.error().fault != Fault::changed_meanwhile || second.error().code != 0) return second;
    Error error = second.error();
    error.step += ", twice";
    return failure(std::move(error));
}

std::string listed(const std::vector<std::string>& attributes) {
    std::string list;
    for (const auto& name : attributes) list += (list.empty() ? "" : ",") + name;
    return list;
}

Result<void> verify_staged(FileSystem& disk, const StagedCopy& copy, const Meter& meter) {
    if (auto dropped = disk.forget_cached(copy.staged.file()); !dropped) return dropped;
    const auto hash = hash_of(disk, copy.staged.file(), Meter{meter.stop, {}, meter.pace});
    if (!hash && hash.error().fault == Fault::changed_meanwhile)
        return failure(Fault::corrupt, "what was written reads back otherwise", copy.staged.file().path());
    if (!hash) return failure(hash.error());
    if (*hash != copy.hash) return failure(Fault::corrupt, "what was written reads back otherwise", copy.staged.file().path());
    return {};
}

}  // namespace tavlo
