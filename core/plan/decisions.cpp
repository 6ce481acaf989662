// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/decisions.h"

namespace tavlo {

/// Strokes that are not much larger than the new one go into it, so that there are never more than a few to
/// look through.
void Decisions::add(Stroke stroke) {
    while (!strokes_.empty() && strokes_.back()->size() <= 2 * stroke.size()) {
        stroke.insert(strokes_.back()->begin(), strokes_.back()->end());  // what is there already is newer
        strokes_.pop_back();
    }
    if (!stroke.empty()) strokes_.push_back(std::make_shared<const Stroke>(std::move(stroke)));
}

const PairDecision* Decisions::find(const std::string& source_path, const Pair& pair) const {
    for (auto stroke = strokes_.rbegin(); stroke != strokes_.rend(); ++stroke)
        if (const auto found = (*stroke)->find(source_path); found != (*stroke)->end())
            return found->second.decision && found->second.pair == pair ? &found->second : nullptr;
    return nullptr;
}

void Decisions::each(const std::function<void(const std::string&, const PairDecision&)>& take) const {
    for (std::size_t at = strokes_.size(); at-- > 0;)
        for (const auto& [path, decision] : *strokes_[at]) {
            bool newer = false;
            for (std::size_t later = at + 1; later < strokes_.size() && !newer; ++later)
                newer = strokes_[later]->contains(path);
            if (!newer && decision.decision) take(path, decision);
        }
}

}  // namespace tavlo
