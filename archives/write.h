// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <span>

#include "archive/format.h"
#include "members.h"

/// Makes an archive. Functions throw Broken.
class Writer {
public:
    using Give = std::function<void(std::span<const char> bytes)>;
    Writer(tavlo::ArchiveFormat format, tavlo::Press press, Give give);
    ~Writer();

    void add(const tavlo::PackedThing& thing);
    /// Of the file that was added last, in order; what lies between is zeros.
    void add_bytes(std::uint64_t offset, std::span<const char> bytes);
    void finish();

private:
    struct Parts;
    std::unique_ptr<Parts> parts_;
};
