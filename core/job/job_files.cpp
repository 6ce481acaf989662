// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/job_files.h"

#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>
#include <xxhash.h>

#include <algorithm>
#include <cerrno>

#include "files/file_system.h"
#include "files/home.h"
#include "files/path.h"
#include "files/small_file.h"

namespace tavlo {

namespace {

constexpr std::string_view extension = ".json";

bool is_there(const std::string& path) {
    struct stat status {};
    return ::lstat(path.c_str(), &status) == 0;
}

tl::unexpected<Error> no_such_job(const std::string& name) {
    return failure(Fault::not_found, "is no saved job; tavloctl jobs lists them", name);
}

}  // namespace

std::string JobFiles::usual_folder() { return join(config_folder(), "tavlo/jobs"); }

std::string JobFiles::file_of(const std::string& name) const {
    return join(folder_, name + std::string(extension));
}

Result<std::vector<JobFiles::Kept>> JobFiles::all(std::int64_t now_ns) const {
    const auto disk = make_disk();
    const auto folder = disk->open_folder(folder_);
    if (!folder && folder.error().fault == Fault::not_found) return std::vector<Kept>{};
    if (!folder) return failure(folder.error());
    const auto names = disk->list(*folder);
    if (!names) return failure(names.error());
    std::vector<Kept> kept;
    for (const Name& name : *names) {
        if (!name.bytes.ends_with(extension) || name.bytes.front() == '.') continue;
        const std::string file = join(folder_, name.bytes);
        kept.push_back(
            {name.bytes.substr(0, name.bytes.size() - extension.size()), file, read_saved_job(file, now_ns)});
    }
    std::sort(kept.begin(), kept.end(),
              [](const Kept& one, const Kept& other) { return one.name < other.name; });
    return kept;
}

Result<SavedJob> JobFiles::read(const std::string& name, std::int64_t now_ns) const {
    if (!objection_to_job_name(name).empty() || !is_there(file_of(name))) return no_such_job(name);
    auto job = read_saved_job(file_of(name), now_ns);
    if (job) job->name = name;  // it is known by its file, which somebody may have renamed
    return job;
}

Result<void> JobFiles::write(const SavedJob& job, bool replaces) const {
    if (auto why = objection_to_job_name(job.name); !why.empty())
        return failure(Fault::refused, "name " + why, job.name);
    if (!replaces && is_there(file_of(job.name)))
        return failure(Fault::name_taken, "is the name of a saved job; --replace replaces it", job.name);
    return write_small_file(file_of(job.name), to_json(job));
}

Result<void> JobFiles::forget(const std::string& name) const {
    if (!objection_to_job_name(name).empty() || !is_there(file_of(name))) return no_such_job(name);
    if (::unlink(file_of(name).c_str()) != 0) return failure(system_error(errno, "remove", file_of(name)));
    return {};
}

std::string lock_of_job(const std::string& name) {
    return fmt::format("job-{:016x}", XXH3_64bits(name.data(), name.size()));
}

}  // namespace tavlo
