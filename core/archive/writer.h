// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>
#include <span>
#include <string>
#include <vector>

#include "archive/format.h"
#include "archive/packed.h"
#include "files/helper.h"

namespace tavlo {

/// Makes one archive: things and their bytes in, the archive's bytes out, in their order. A process of its
/// own lays them out and presses them (`tavlo-archive`); what comes of it goes through `take`, so that
/// whoever asks writes it where it is to be.
class ArchiveWriter {
public:
    /// errors of it end the work
    using Take = std::function<Result<void>(std::span<const std::byte> bytes)>;

    /// errors  the helper cannot be had
    static Result<ArchiveWriter> start(ArchiveFormat format, Press press, Take take,
                                       const std::string& program = helper_program("tavlo-archive"));

    /// The next thing; of a file, as many bytes are to follow as it says.
    Result<void> add(const PackedThing& thing);
    /// The next bytes of the file that was added last. What lies between an offset and the end of those
    /// before is zeros.
    Result<void> add_bytes(std::uint64_t offset, std::span<const std::byte> bytes);
    std::uint64_t things() const { return things_; }  ///< that were added
    /// Why the archive cannot be made; a source that cannot be read is none of its reasons.
    const std::optional<Error>& failed() const { return failed_; }
    /// That was all. Once it answers, every byte was taken.
    Result<void> finish();

private:
    ArchiveWriter(HelperProcess helper, Take take) : helper_(std::move(helper)), take_(std::move(take)) {}
    Result<void> noted(Result<void> result);
    Result<void> send_what_is_much();
    /// may_be_left  so many bytes may wait until the helper takes them: meanwhile there is other work
    Result<void> send(std::size_t may_be_left);
    /// Takes in what the helper has said by now. wait  until it has said something
    Result<void> hear(bool wait);

    HelperProcess helper_;
    Take take_;
    std::string out_{};
    std::size_t sent_ = 0;  ///< of that
    std::string in_{};
    std::vector<char> heard_ = std::vector<char>(256 * 1024);
    bool is_through_ = false;
    std::uint64_t things_ = 0;
    std::optional<Error> failed_{};
};

}  // namespace tavlo
