// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <iosfwd>
#include <string>

#include "facts/file_facts.h"
#include "keep/receipt.h"
#include "keep/store.h"
#include "plan/plan.h"

namespace tavlo {

// The JSON documents of the outside contract (docs/contract.md), version 1, written item by item. A name that
// is not valid UTF-8 appears with U+FFFD for each bad byte, and its exact bytes base64-coded in a member
// "…_bytes" beside it.

/// A planned item in the shape of a receipt's: the result is planned, and what cannot be done says so in its
/// error.
ReceiptItem planned_item(const Plan& plan, const Item& item);

void write_plan(std::ostream& out, const Plan& plan);
/// errors   the receipt cannot be read; what was written so far is no document then
/// written  called after each item
Result<void> write_receipt(std::ostream& out, const ReceiptHead& head, Store& store,
                           const std::function<void()>& written = {});
/// What was completed, receipt by receipt.
Result<void> write_recovery(std::ostream& out, const std::vector<ReceiptHead>& completed, Store& store);
/// goes_on  whether some process is carrying it out just now
void write_receipts(std::ostream& out, const std::vector<ReceiptHead>& heads,
                    const std::function<bool(const ReceiptHead&)>& goes_on);
Result<void> write_safe(std::ostream& out, Store& store);

/// What files tell, each with its path.
void write_facts(std::ostream& out, const std::vector<std::pair<std::string, FileFacts>>& files);

/// The items of a check, one after the other: begin, add each, end.
class CheckWriter {
public:
    CheckWriter(std::ostream& out, const std::string& id);
    /// differs  "" where nothing does
    void add(const ReceiptItem& item, std::string_view differs);
    void end();

private:
    std::ostream& out_;
    std::uint64_t items_ = 0;
    std::uint64_t differing_ = 0;
};

/// "2031-05-02T09:14:07.123456789Z"
std::string utc_text(std::int64_t ns);

}  // namespace tavlo
