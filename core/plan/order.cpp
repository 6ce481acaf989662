#include "plan/order.h"

#include <string_view>
#include <unordered_map>

namespace tavlo {

Rename stays_in_nobodys_way(std::uint32_t which) { return {"-" + std::to_string(which), "=" + std::to_string(which)}; }

Rename by_a_hidden_name(std::string place) { return {place, place}; }

Ordered order(std::span<const Rename> wanted) {
    std::unordered_map<std::string_view, std::uint32_t> leaves;
    for (std::uint32_t which = 0; which < wanted.size(); ++which) leaves.emplace(wanted[which].leaves, which);
    Ordered ordered;
    ordered.steps.reserve(wanted.size());
    std::vector<bool> done(wanted.size());
    std::vector<std::uint32_t> waiting;  // each for the one after it
    for (std::uint32_t first = 0; first < wanted.size(); ++first) {
        bool parked = false;
        for (std::uint32_t at = first; !done[at];) {
            done[at] = true;
            waiting.push_back(at);
            const auto holder = leaves.find(wanted[at].takes);
            if (holder == leaves.end()) break;
            parked = holder->second == first;
            if (parked) ordered.steps.push_back({first, true});
            at = holder->second;
        }
        for (; !waiting.empty(); waiting.pop_back()) ordered.steps.push_back({waiting.back(), false});
    }
    return ordered;
}

}  // namespace tavlo
