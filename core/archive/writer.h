// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <future>
#include <memory>
#include <optional>
#include <span>
#include <string>

#include "archive/format.h"
#include "archive/packed.h"
#include "files/helper.h"

namespace tavlo {

/// Makes one archive: things and their bytes in, the archive's bytes out, in their order. A process of its
/// own lays them out and presses them (`tavlo-archive`); what comes of it goes through `take`, so that
/// whoever asks writes it where it is to be.
class ArchiveWriter {
public:
    /// Called on a thread of its own, while the next things go in; never after finish() or the destructor has
    /// returned. Its errors end the work.
    using Take = std::function<Result<void>(std::span<const std::byte> bytes)>;

    /// errors  the helper, or a thread, cannot be had
    static Result<std::unique_ptr<ArchiveWriter>> start(
        ArchiveFormat format, Press press, Take take,
        const std::string& program = helper_program("tavlo-archive"));
    ~ArchiveWriter();
    ArchiveWriter(const ArchiveWriter&) = delete;
    ArchiveWriter& operator=(const ArchiveWriter&) = delete;

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
    Result<void> send();
    Result<void> send_what_is_much();
    /// What came of hearing it to its end, which is what the work came to; the same whenever it is asked.
    Result<void> heard_out();
    /// For the other thread: takes what the helper says, until it is through.
    Result<void> hear();

    HelperProcess helper_;
    const Take take_;
    std::string out_{};  ///< that is to be sent
    std::uint64_t things_ = 0;
    std::optional<Error> failed_{};
    std::shared_future<Result<void>> heard_{};
};

}  // namespace tavlo
