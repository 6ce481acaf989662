// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdlib>
#include <optional>
#include <string>

/// A variable of the environment for one test.
class Environment {
public:
    Environment(std::string name, const std::string& value) : name_(std::move(name)) {
        if (const char* given = std::getenv(name_.c_str())) before_ = given;
        ::setenv(name_.c_str(), value.c_str(), 1);
    }
    ~Environment() {
        if (before_)
            ::setenv(name_.c_str(), before_->c_str(), 1);
        else
            ::unsetenv(name_.c_str());
    }
    Environment(const Environment&) = delete;
    Environment& operator=(const Environment&) = delete;

private:
    std::string name_;
    std::optional<std::string> before_;
};
