#pragma once

#include <string_view>

#include "batch/batch.h"
#include "names/pattern.h"
#include "select/kinds.h"

namespace tavlo {

/// What is known of any entry by its name and its look, for patterns.
class EntryFacts {
public:
    /// now_ns  the start of the run
    EntryFacts(const Batch& batch, Kinds kinds, std::int64_t now_ns) : batch_(batch), kinds_(std::move(kinds)), now_ns_(now_ns) {}
    /// name  that it has at the time
    /// n     the counter
    std::optional<Fact> find(EntryId entry, std::string_view name, std::uint64_t n, std::string_view fact) const;

private:
    std::optional<Fact> of_name(std::string_view name, FileType type, std::string_view fact) const;
    std::string folders(const Entry& entry) const;

    const Batch& batch_;
    Kinds kinds_;
    std::int64_t now_ns_;
};

}  // namespace tavlo
