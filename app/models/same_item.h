// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/plan.h"

/// The item of `plan` for the thing that `item` was for in the plan before it, so that whoever looks at it goes
/// on doing so; no_item: there is none.
tavlo::ItemId same_item(const tavlo::Plan& plan, const tavlo::Plan& before, tavlo::ItemId item);
