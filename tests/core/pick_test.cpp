// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <rapidcheck.h>

#include "select/numbers.h"
#include "select/pick_index.h"
#include "support/catch.h"

using namespace tavlo;

namespace {

std::vector<std::string> fitting(const std::vector<std::string>& names, const std::string& typed) {
    std::vector<std::string> found;
    for (const auto id : PickIndex(names).fitting(typed)) found.push_back(names[id]);
    return found;
}

using Names = std::vector<std::string>;

}  // namespace

TEST_CASE("a few characters anywhere in the name, without regard to case", "[pick]") {
    const Names names{"Permit-0412-North-Quay.pdf", "permit-0413-fuel-jetty.pdf", "Überfahrt 41.ods",
                      "invoice-9.pdf"};
    CHECK(fitting(names, "quay") == Names{names[0]});
    CHECK(fitting(names, "PERMIT fuel") == Names{names[1]});
    CHECK(fitting(names, "überfahrt") == Names{names[2]});
    CHECK(fitting(names, "nothing").empty());
    CHECK(fitting(names, "").size() == names.size());
    CHECK(fitting(names, "  ").size() == names.size());
}

TEST_CASE("digits match numbers with or without leading zeros, zeros that were typed begin a number",
          "[pick]") {
    const Names names{"permit-0412.pdf", "permit-412.pdf", "permit-1412.pdf", "permit-0041.pdf",
                      "page-10.pdf"};
    CHECK(fitting(names, "412") == Names{names[0], names[1], names[2]});
    CHECK(fitting(names, "0412") == Names{names[0], names[1]});
    CHECK(fitting(names, "00412") == Names{names[0], names[1]});
    CHECK(fitting(names, "41") == Names{names[0], names[1], names[2], names[3]});
    CHECK(fitting(names, "041") == Names{names[0], names[1], names[3]});
    CHECK(fitting(names, "-41.") == Names{names[3]});
    CHECK(fitting(names, "0") == Names{names[0], names[3], names[4]});
}

TEST_CASE("typing on never finds more than a fresh look does, nor less", "[pick]") {
    const bool holds = rc::check("narrowing", [] {
        const auto name =
            rc::gen::container<std::string>(rc::gen::element('0', '1', '4', 'a', 'B', '-', ' '));
        const auto names = *rc::gen::container<Names>(name);
        const auto typed = *rc::gen::container<std::string>(rc::gen::element('0', '1', '4', 'a', 'b', '-'));
        const PickIndex index(names);
        auto among = index.fitting("");
        std::string text;
        for (const char c : typed) {
            const bool continues = text.empty() || text.back() != '0';  // as the list does it
            text += c;
            among = continues ? index.fitting(text, among) : index.fitting(text);
            RC_ASSERT(among == index.fitting(text));
        }
    });
    CHECK(holds);
}

TEST_CASE("what a number is does not depend on how it is written", "[pick]") {
    const bool holds = rc::check("numbers", [] {
        const auto number = *rc::gen::inRange(0, 100'000);
        const auto zeros = static_cast<std::size_t>(*rc::gen::inRange(0, 5));
        const std::string written = "scan-" + std::string(zeros, '0') + std::to_string(number) + ".pdf";
        RC_ASSERT(numbers_in(written).size() == 1U);
        RC_ASSERT(numbers_in(written)[0].value == static_cast<std::uint64_t>(number));
        RC_ASSERT(without_leading_zeros(written) == "scan-" + std::to_string(number) + ".pdf");
        RC_ASSERT(PickIndex({written}).fitting(std::to_string(number)).size() == 1U);
    });
    CHECK(holds);
}
