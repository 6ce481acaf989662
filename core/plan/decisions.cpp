// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/decisions.h"

#include <mutex>
#include <utility>

namespace tavlo {

/// Put together once it is asked for, with those before it that went into it.
class Decisions::Kept {
public:
    Kept(std::size_t most, std::function<Stroke()> made, std::vector<std::shared_ptr<const Kept>> older)
        : most_(most), made_(std::move(made)), older_(std::move(older)) {}

    std::size_t most() const { return most_; }
    const Stroke& all() const {
        std::call_once(once_, [this] {
            all_ = std::exchange(made_, nullptr)();
            for (const auto& one : older_)  // the newest first: what is there already is newer
                all_.insert(one->all().begin(), one->all().end());
            older_.clear();
        });
        return all_;
    }

private:
    std::size_t most_;
    mutable std::once_flag once_;
    mutable std::function<Stroke()> made_;
    mutable std::vector<std::shared_ptr<const Kept>> older_;
    mutable Stroke all_;
};

void Decisions::add(Stroke stroke) {
    const auto size = stroke.size();
    add(size, [made = std::make_shared<Stroke>(std::move(stroke))] { return std::move(*made); });
}

/// Strokes that are not much larger than the new one go into it, so that there are never more than a few to
/// look through.
void Decisions::add(std::size_t most, std::function<Stroke()> made) {
    if (most == 0) return;
    std::vector<std::shared_ptr<const Kept>> older;
    std::size_t together = most;
    while (!strokes_.empty() && strokes_.back()->most() <= 2 * together) {
        together += strokes_.back()->most();
        older.push_back(std::move(strokes_.back()));
        strokes_.pop_back();
    }
    strokes_.push_back(std::make_shared<const Kept>(together, std::move(made), std::move(older)));
}

const PairDecision* Decisions::find(const std::string& source_path, const Pair& pair) const {
    for (auto stroke = strokes_.rbegin(); stroke != strokes_.rend(); ++stroke)
        if (const auto found = (*stroke)->all().find(source_path); found != (*stroke)->all().end())
            return found->second.decision && found->second.pair == pair ? &found->second : nullptr;
    return nullptr;
}

void Decisions::each(const std::function<void(const std::string&, const PairDecision&)>& take) const {
    for (std::size_t at = strokes_.size(); at-- > 0;)
        for (const auto& [path, decision] : strokes_[at]->all()) {
            bool newer = false;
            for (std::size_t later = at + 1; later < strokes_.size() && !newer; ++later)
                newer = strokes_[later]->all().contains(path);
            if (!newer && decision.decision) take(path, decision);
        }
}

}  // namespace tavlo
