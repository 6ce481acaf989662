// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does.

#include <SQLiteCpp/SQLiteCpp.h>

#include <string>
#include <string_view>

#include "keep/store.h"

namespace tavlo {

/// The store's database, opened, with what reading has found out. What else is kept builds on it (store.cpp).
class RememberingStore : public Store {
public:
    Result<bool> recall_all(KnownContents& known, std::size_t pairs) final;
    Result<void> recall(const std::vector<Pair>& pairs, KnownContents& known) final;
    Result<void> remember(const std::vector<std::pair<Pair, bool>>& found) final;
    Result<void> recall_facts(const std::vector<Status>& of, KnownFileFacts& known) final;
    Result<void> remember_facts(const std::vector<Told>& told) final;
    Result<void> recall_hashes(const std::vector<Status>& of,
                               const std::function<void(std::size_t, std::string&&)>& take) final;
    Result<void> remember_hashes(const std::vector<std::pair<Status, std::string>>& hashes) final;

    static Error translated(const SQLite::Exception& exception, std::string_view step,
                            const std::string& path);

protected:
    /// busy_ms  how long a call waits for another program that writes
    RememberingStore(const std::string& path, int busy_ms);

    /// The library's exceptions end here (SQLiteCpp throws on every failure; CBOR, JSON and the journal's
    /// blobs on damaged bytes).
    template <class Work>
    Result<void> guarded(std::string_view step, Work work) {
        try {
            work();
            return {};
        } catch (const SQLite::Exception& exception) {
            return failure(translated(exception, step, path_));
        } catch (const std::exception&) {
            return failure(Fault::corrupt, std::string(step) + ": the database is damaged", path_);
        }
    }

    const std::string path_;
    SQLite::Database database_;
};

}  // namespace tavlo
