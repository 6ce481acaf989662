// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/criteria.h"

#include <re2/re2.h>

#include <algorithm>

#include "names/names.h"
#include "select/name_filter.h"
#include "select/numbers.h"

namespace tavlo {

bool Criteria::lets_all_through() const {
    Criteria nothing;
    nothing.match_case = match_case;
    return *this == nothing;
}

struct Selector::Ready {
    Criteria criteria;
    NameFilter words{};
    std::unique_ptr<RE2> regex{};
    std::vector<Kind> kinds{};
    bool all = true;
};

Selector::Selector() : ready_(std::make_shared<const Ready>()) {}

bool Selector::lets_all_through() const { return ready_->all; }

Result<Selector> Selector::make(const Criteria& criteria, const Kinds& kinds) {
    auto ready = std::make_shared<Ready>();
    ready->criteria = criteria;
    ready->words = NameFilter(criteria.words, criteria.match_case);
    ready->all = criteria.lets_all_through();
    if (!criteria.regex.empty()) {
        RE2::Options options(RE2::Quiet);
        options.set_case_sensitive(criteria.match_case);
        ready->regex = std::make_unique<RE2>(criteria.regex, options);
        if (!ready->regex->ok())
            return failure(Fault::refused, "is no expression that can be used: " + ready->regex->error(),
                           criteria.regex);
    }
    for (const auto& name : criteria.kinds) {
        const Kind* kind = kinds.find(name);
        if (kind == nullptr) {
            std::string known;
            for (const Kind& one : kinds.all()) known += (known.empty() ? "" : ", ") + one.name;
            return failure(Fault::refused, "is no kind; there are " + known, name);
        }
        ready->kinds.push_back(*kind);
    }
    Selector selector;
    selector.ready_ = std::move(ready);
    return selector;
}

bool Selector::may_enter(std::string_view folder) const {
    const auto& left_out = ready_->criteria.not_below;
    return std::none_of(left_out.begin(), left_out.end(),
                        [&](const std::string& pattern) { return glob_matches(pattern, folder); });
}

bool Selector::fits(std::string_view name, const Status& status) const {
    if (ready_->all) return true;
    const Criteria& wanted = ready_->criteria;
    const auto size = status.id.size_bytes;
    const auto changed = status.id.modified_ns;
    if (wanted.larger_than && size <= *wanted.larger_than) return false;
    if (wanted.smaller_than && size >= *wanted.smaller_than) return false;
    if (wanted.changed_from_ns && changed < *wanted.changed_from_ns) return false;
    if (wanted.changed_before_ns && changed >= *wanted.changed_before_ns) return false;
    if (wanted.owner && status.owner != *wanted.owner) return false;
    if (wanted.only_empty && size != 0) return false;
    const auto fits_name = [&](const std::string& pattern) { return glob_matches(pattern, name); };
    if (!wanted.names.empty() && std::none_of(wanted.names.begin(), wanted.names.end(), fits_name))
        return false;
    if (std::any_of(wanted.not_names.begin(), wanted.not_names.end(), fits_name)) return false;
    const auto of_kind = [&](const Kind& kind) { return Kinds::has(kind, name); };
    if (!ready_->kinds.empty() && std::none_of(ready_->kinds.begin(), ready_->kinds.end(), of_kind))
        return false;
    if (wanted.number || wanted.parity != Parity::any) {
        const auto stem = name.substr(0, extension_start(name, FileType::file));  // "5 x.mp3" has 5, not 3
        const auto numbers = numbers_in(stem);
        if (numbers.empty()) return false;
        const auto in_range = [&](const NumberInName& n) {
            return wanted.number->first <= n.value && n.value <= wanted.number->second;
        };
        if (wanted.number && std::none_of(numbers.begin(), numbers.end(), in_range)) return false;
        const char last_digit = stem[numbers.back().at + numbers.back().length - 1];
        const bool odd = (last_digit - '0') % 2 == 1;
        if (wanted.parity != Parity::any && odd != (wanted.parity == Parity::odd)) return false;
    }
    if (!ready_->words.fits(name)) return false;
    return !ready_->regex || RE2::PartialMatch(re2::StringPiece(name.data(), name.size()), *ready_->regex);
}

}  // namespace tavlo
