// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/new_head.h"

namespace tavlo {

ReceiptHead new_head(Operation operation, const std::string& destination, bool may_lose,
                     const RunOptions& options) {
    ReceiptHead head;
    head.started_ns = now_ns();
    head.id = new_receipt_id(head.started_ns);
    head.operation = operation;
    head.sentence = options.sentence;
    head.job = options.job;
    head.destination = destination;
    head.may_lose = may_lose;
    head.verify = static_cast<std::uint8_t>(options.verify);
    return head;
}

}  // namespace tavlo
