// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace tavlo {

/// What went wrong, as far as a caller can act on it. Receipts keep it by its number: new ones go to the end.
enum class Fault {
    not_found,
    name_taken,
    changed_meanwhile,
    no_space,
    no_permission,
    not_a_folder,
    unsupported,
    other_file_system,
    unreachable,  ///< the device or server behind it has gone away
    name_not_possible,
    corrupt,
    cancelled,
    refused,
    io,
    locked,  ///< another program keeps it locked just now
};

/// One failure: what it means, what the system said, at which step and where.
struct Error {
    Fault fault = Fault::io;
    int code = 0;        ///< errno; 0 where no system call failed
    std::string step{};  ///< "take free name": for people, never for decisions
    std::string path{};  ///< exact bytes; made printable where they are shown
};

/// The reason alone, in words: "no permission", "disk full", or the step where the fault speaks for itself.
std::string reason(const Error& error);

/// The same, with the step at which it happened: "permission denied (open)".
std::string reason_and_step(const Error& error);

/// "PATH: reason", on one line, with control characters escaped.
std::string describe(const Error& error);

/// The fault that stands for an errno value.
Fault fault_from_errno(int code) noexcept;

/// An error from the errno of the system call that has just failed.
Error system_error(int code, std::string_view step, std::string_view path);

/// A value or an Error. Unlike bare tl::expected it can't be dropped unseen.
template <class T>
struct [[nodiscard]] Result : tl::expected<T, Error> {
    using tl::expected<T, Error>::expected;
    Result(tl::expected<T, Error> other) : tl::expected<T, Error>(std::move(other)) {}
};

inline tl::unexpected<Error> failure(Fault fault, std::string_view step, std::string_view path) {
    return tl::unexpected<Error>(Error{fault, 0, std::string(step), std::string(path)});
}

inline tl::unexpected<Error> failure(Error error) { return tl::unexpected<Error>(std::move(error)); }

}  // namespace tavlo
