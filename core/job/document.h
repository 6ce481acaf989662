// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

#include "job/job.h"

namespace tavlo {

// A job as JSON: one object, whose members are named as the options of `tavloctl`, with '_' for '-'. Bytes
// that are no UTF-8 stand beside their text in a member of their own, NAME_bytes, in base64; so do those of a
// list, null where the text is exact.

std::string to_json(const Job& job);
/// errors  corrupt: it is no JSON; refused: a member is unknown, there twice, missing, or says nothing of its
///         kind. `path` names the member
Result<Job> job_from_json(std::string_view text);

/// Decisions about single pairs, for the bench from one start of a program to the next: as they are tied to
/// identities on this machine's disks, no part of a job.
std::string to_json(const Decisions& decisions);
/// errors  corrupt
Result<Decisions> decisions_from_json(std::string_view text);

/// Names that were typed for single things, for the same.
std::string to_json(const TypedNames& typed);
/// errors  corrupt, refused
Result<TypedNames> typed_names_from_json(std::string_view text);
std::string to_json(const FactsSaid& said);
Result<FactsSaid> facts_said_from_json(std::string_view text);

/// A policy alone.
std::string to_json(const Policy& policy);
Result<Policy> policy_from_json(std::string_view text);

}  // namespace tavlo
