// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <utility>

namespace tavlo {

/// What few of a million things have: the others pay a pointer for it. A value: copies have their own.
template <class Value>
class Rare {
public:
    Rare() = default;
    Rare(const Rare& other) : value_(other.value_ ? std::make_unique<Value>(*other.value_) : nullptr) {}
    Rare(Rare&& other) noexcept = default;
    Rare& operator=(Rare other) noexcept {
        value_ = std::move(other.value_);
        return *this;
    }
    ~Rare() = default;

    /// An empty one where there is none.
    const Value& get() const {
        static const Value none{};
        return value_ ? *value_ : none;
    }
    /// To be written to.
    Value& make() {
        if (!value_) value_ = std::make_unique<Value>();
        return *value_;
    }

private:
    std::unique_ptr<Value> value_{};
};

}  // namespace tavlo
