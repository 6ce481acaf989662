// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/result.h"

#include <cerrno>
#include <system_error>

#include "files/path.h"

namespace tavlo {

Fault fault_from_errno(int code) noexcept {
    switch (code) {
        case ENOENT: return Fault::not_found;
        case ENOTDIR: return Fault::not_a_folder;
        case EEXIST:
        case ENOTEMPTY: return Fault::name_taken;
        case ENOSPC:
        case EDQUOT: return Fault::no_space;
        case EACCES:
        case EPERM:
        case EROFS: return Fault::no_permission;
        case EOPNOTSUPP:
        case ENOSYS: return Fault::unsupported;
        case EXDEV: return Fault::other_file_system;
        case ENAMETOOLONG:
        case EILSEQ: return Fault::name_not_possible;
        case ELOOP:
        case ESTALE: return Fault::changed_meanwhile;
        case ENODEV:
        case ENXIO:
        case ENOTCONN:
        case EHOSTDOWN:
        case EHOSTUNREACH:
        case ENETDOWN:
        case ENETUNREACH:
        case ETIMEDOUT:
        case ESHUTDOWN:
        case ENOMEDIUM: return Fault::unreachable;
        default: return Fault::io;
    }
}

Error system_error(int code, std::string_view step, std::string_view path) {
    return Error{fault_from_errno(code), code, std::string(step), std::string(path)};
}

namespace {

/// What people meet often, in words that need no step beside them.
std::string_view plain_words(int code) {
    switch (code) {
        case ENOENT: return "is not there";
        case EACCES:
        case EPERM: return "permission denied";
        case ENOTDIR: return "is not a folder";
        case ENOSPC: return "the disk is full";
        case EDQUOT: return "the quota is used up";
        case EROFS: return "the file system is read-only";
        case EFBIG: return "is larger than a file can be there";
        case ENAMETOOLONG: return "the name is too long";
        default: return {};
    }
}

}  // namespace

std::string reason(const Error& error) {
    if (error.code == 0) return error.step;
    if (const auto words = plain_words(error.code); !words.empty()) return std::string(words);
    std::string text = std::generic_category().message(error.code);  // strerror, safe with threads
    if (!error.step.empty()) text += " (" + error.step + ")";
    return text;
}

std::string reason_and_step(const Error& error) {
    const bool says_no_step = error.code != 0 && !plain_words(error.code).empty() && !error.step.empty();
    return says_no_step ? reason(error) + " (" + error.step + ")" : reason(error);
}

std::string describe(const Error& error) {
    if (error.path.empty()) return printable(reason(error));
    return printable(error.path) + ": " + printable(reason(error));
}

}  // namespace tavlo
