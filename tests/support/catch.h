// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Catch2 2 and 3 by the same words: the third has its parts in headers of their own, and some in namespaces.

#if __has_include(<catch2/catch_all.hpp>)
#include <catch2/catch_all.hpp>
using Catch::Approx;
using Catch::Matchers::ContainsSubstring;
using ListenerBase = Catch::EventListenerBase;
#else
#define CATCH_CONFIG_EXTERNAL_INTERFACES  // for listeners
#include <catch2/catch.hpp>
using ListenerBase = Catch::TestEventListenerBase;
inline auto ContainsSubstring(const std::string& text) { return Catch::Matchers::Contains(text); }
#endif
