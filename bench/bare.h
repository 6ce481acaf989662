// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <filesystem>
#include <functional>
#include <string>
#include <vector>

// Loops of bare system calls, which promise nothing: what the engine is measured against; and what measuring
// takes.

/// How long it takes, in seconds, with nothing left to be written from before.
double seconds(const std::function<void()>& work);
double median(std::vector<double> values);
/// Ends the program where something that is measured cannot be done. what: a path, or a call
void check(bool good, const std::string& what);
/// What this process has in memory (proc(5), statm).
std::uint64_t memory_bytes();

/// Files of so many bytes in numbered folders.
void make_files(const std::filesystem::path& folder, int files, std::size_t bytes, int in_each_folder = 1000);
void write_large(const std::filesystem::path& path, std::uint64_t bytes);

/// open, read, create, write, mode, times, close; with a sync for each file where asked.
void bare_copy(const std::filesystem::path& from, const std::filesystem::path& to, bool sync_each);
/// rename, and rmdir of each folder that is empty then
void bare_move(const std::filesystem::path& from, const std::filesystem::path& to);
/// getdents64 and statx over a tree. returns entries; closes the folder
std::uint64_t bare_walk(int folder);
/// Reads the files of one tree and those of the same names in another, and compares.
void bare_read(const std::filesystem::path& from, const std::filesystem::path& to);
