#include "files/handle.h"

#include <fcntl.h>
#include <unistd.h>

#include "files/file_system.h"

namespace tavlo {

std::string_view to_text(FileType type) noexcept {
    switch (type) {
        case FileType::file: return "file";
        case FileType::folder: return "folder";
        case FileType::link: return "link";
        case FileType::other: return "other";
    }
    return {};
}

Handle& Handle::operator=(Handle&& other) noexcept {
    if (this != &other) {
        close();
        descriptor_ = std::exchange(other.descriptor_, -1);
        path_ = std::move(other.path_);
    }
    return *this;
}

void Handle::close() noexcept {
    if (descriptor_ >= 0) ::close(std::exchange(descriptor_, -1));
}

Staged::~Staged() {
    if (!part_name_.empty() && folder_.is_open()) ::unlinkat(folder_.descriptor(), part_name_.c_str(), 0);
}

}  // namespace tavlo
