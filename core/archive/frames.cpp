// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/frames.h"

#include <sys/socket.h>

#include <cerrno>
#include <cstring>
#include <utility>

namespace tavlo {

/// Whether so many bytes stand at the beginning, once they have come.
bool FrameStream::have(std::size_t bytes) {
    while (end_ - begin_ < bytes) {
        if (begin_ > received_.size() / 2 || received_.size() - begin_ < bytes) {
            end_ -= begin_;
            std::memmove(received_.data(), received_.data() + std::exchange(begin_, 0), end_);
        }
        if (received_.size() < bytes) received_.resize(bytes);
        const auto count = ::recv(socket_, received_.data() + end_, received_.size() - end_, 0);
        if (count < 0 && errno == EINTR) continue;
        if (count <= 0) return false;
        end_ += static_cast<std::size_t>(count);
    }
    return true;
}

std::optional<FrameStream::Said> FrameStream::next() {
    if (begin_ == end_) begin_ = end_ = 0;
    if (!have(frame_head_bytes)) return std::nullopt;
    const auto kind = static_cast<Frame>(received_[begin_]);
    const auto length = frame_length({received_.data() + begin_, frame_head_bytes});
    if (kind > Frame::broken || !length || !have(frame_head_bytes + *length)) return std::nullopt;
    const Said said{kind, {received_.data() + begin_ + frame_head_bytes, *length}};
    begin_ += frame_head_bytes + *length;
    return said;
}

}  // namespace tavlo
