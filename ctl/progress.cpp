#include "progress.h"

#include <fmt/format.h>

#include <cstdio>

#include "streams.h"

namespace {
constexpr std::chrono::milliseconds interval{100};
constexpr double mebibyte = 1024.0 * 1024.0;
}  // namespace

void Progress::add_item() {
    ++items_;
    show();
}

void Progress::add_bytes(std::uint64_t bytes) {
    bytes_ += bytes;
    show();
}

void Progress::show() {
    if (!shown_ || std::chrono::steady_clock::now() < next_) return;
    next_ = std::chrono::steady_clock::now() + interval;
    put(stderr, fmt::format("\r\033[K{} of {} items, {:.1f} of {:.1f} MiB", items_, planned_.items, static_cast<double>(bytes_) / mebibyte,
                            static_cast<double>(planned_.bytes) / mebibyte));
    std::fflush(stderr);
    on_line_ = true;
}

void Progress::clear() {
    if (!on_line_) return;
    put(stderr, "\r\033[K");
    on_line_ = false;
}
