#include "facts/learn.h"

#include "facts/reader.h"
#include "files/path.h"

namespace tavlo {

namespace {
constexpr std::size_t told_at_a_time = 1024;  // and remembered
}

std::vector<EntryId> files_of(const Batch& batch) {
    std::vector<EntryId> files;
    for (EntryId id = 0; id < batch.entries.size(); ++id)
        if (const Entry& entry = batch.entries[id]; entry.status.type == FileType::file && !entry.problem) files.push_back(id);
    return files;
}

Result<void> learn_facts(const Batch& batch, const std::vector<EntryId>& of, KnownFileFacts& known, FactsMemory* memory,
                         const std::stop_token& stop, const std::function<void(std::size_t, std::size_t)>& told) {
    const auto unknown = [&] {
        std::vector<EntryId> left;
        for (const EntryId id : of)
            if (known.find(batch.entries[id].status) == nullptr) left.push_back(id);
        return left;
    };
    std::vector<EntryId> left = unknown();
    if (left.empty()) return {};
    if (memory != nullptr) {  // what cannot be recalled is read again
        std::vector<Status> asked;
        for (const EntryId id : left)
            if (const Status& status = batch.entries[id].status; status.id.inodes_last()) asked.push_back(status);
        (void)memory->recall_facts(asked, known);
        left = unknown();
    }
    std::vector<std::string> paths;
    for (const EntryId id : left) {
        const Place place = batch.place_of(batch.entries[id]);
        paths.push_back(join(batch.folders.path(place.folder), place.name));
    }
    std::vector<FactsMemory::Told> news;
    const auto remember = [&] {
        if (memory != nullptr && !news.empty()) (void)memory->remember_facts(news);  // a help for next time, no more
        news.clear();
    };
    std::size_t done = of.size() - left.size();
    FactReader reader;
    auto read = reader.read(
        paths,
        [&](std::size_t at, FileFacts&& facts) {
            const Status& status = batch.entries[left[at]].status;
            auto shared = std::make_shared<const FileFacts>(std::move(facts));
            known.learn(status, shared);
            if (status.id.inodes_last()) news.emplace_back(status, std::move(shared));
            if (news.size() >= told_at_a_time) remember();
            if (told) told(++done, of.size());
        },
        stop);
    remember();
    return read;
}

}  // namespace tavlo
