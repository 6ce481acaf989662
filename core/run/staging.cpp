#include "run/staging.h"

namespace tavlo {

namespace {

constexpr std::uint64_t hashed_anyway_bytes = 64 * 1024;  // such a file's bytes pass through memory in any case

bool same_state(const Status& a, const Status& b) { return a.id == b.id && a.status_changed_ns == b.status_changed_ns; }

Result<StagedCopy> stage_once(FileSystem& disk, const Handle& source_folder, const std::string& name, const Handle& into, bool hash,
                              const Meter& meter) {
    const auto from = disk.open_file(source_folder, name);
    if (!from) return failure(from.error());
    const Status& before = from->status;
    auto staged = disk.stage(into);
    if (!staged) return failure(staged.error());
    const auto attributes = disk.attributes(from->file, before);
    if (!attributes) return failure(attributes.error());
    auto copied = copy_bytes(disk, from->file, *staged, before.id.size_bytes, hash || before.id.size_bytes <= hashed_anyway_bytes, meter);
    if (!copied) return failure(copied.error());
    const auto after = disk.status(from->file);
    if (!after) return failure(after.error());
    if (!same_state(before, *after)) return failure(Fault::changed_meanwhile, "changed while it was read", from->file.path());
    auto lost = disk.set_attributes(staged->file(), *attributes);
    if (!lost) return failure(lost.error());
    const auto fresh = disk.status(staged->file());
    if (!fresh) return failure(fresh.error());
    return StagedCopy{std::move(*staged), before, fresh->id, std::move(*copied), std::move(*lost)};
}

}  // namespace

Result<StagedCopy> stage_copy(FileSystem& disk, const Handle& source_folder, const std::string& name, const Handle& into, bool hash,
                              const Meter& meter) {
    auto first = stage_once(disk, source_folder, name, into, hash, meter);
    if (first || first.error().fault != Fault::changed_meanwhile) return first;
    auto second = stage_once(disk, source_folder, name, into, hash, meter);
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
    if (!hash) return failure(hash.error());
    if (*hash != copy.hash) return failure(Fault::corrupt, "what was written reads back otherwise", copy.staged.file().path());
    return {};
}

}  // namespace tavlo
