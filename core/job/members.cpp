// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/members.h"

#include "files/base64.h"
#include "files/path.h"

namespace tavlo {

void unreadable(std::string why, std::string member) {
    throw Unreadable{{Fault::refused, 0, std::move(why), std::move(member)}};
}

Json parsed(std::string_view text) {
    std::vector<std::set<std::string>> names;  // of the objects that are open
    const auto heard = [&](int, nlohmann::json::parse_event_t event, const Json& value) {
        using Event = nlohmann::json::parse_event_t;
        if (event == Event::object_start) names.emplace_back();
        if (event == Event::object_end) names.pop_back();
        if (event == Event::key && !names.back().insert(value.get<std::string>()).second)
            unreadable("stands there twice", value.get<std::string>());
        return true;
    };
    return Json::parse(text, heard);
}

void put_list(Json& json, const std::string& member, const std::vector<std::string>& list) {
    if (list.empty()) return;
    Json texts = Json::array();
    Json exact = Json::array();
    bool all_text = true;
    for (const auto& one : list) {
        texts.push_back(to_utf8(one));
        const bool is_text = is_utf8(one);
        exact.push_back(is_text ? Json(nullptr) : Json(to_base64(one)));
        all_text = all_text && is_text;
    }
    json[member] = std::move(texts);
    if (!all_text) json[member + "_bytes"] = std::move(exact);
}

namespace {

std::string bytes_from(const Json& json, const std::string& member) {
    auto bytes = json.is_string() ? from_base64(json.get<std::string>()) : std::nullopt;
    if (!bytes) unreadable("wants bytes in base64", member);
    return std::move(*bytes);
}

/// A path that holds one would mean what stands before it, path_resolution(7).
std::string without_nul(std::string text, const std::string& member) {
    if (text.find('\0') != std::string::npos) unreadable("holds a NUL character", member);
    return text;
}

}  // namespace

Members::Members(const Json& json, std::string where) : json_(json), where_(std::move(where)) {
    if (!json.is_object()) unreadable("wants an object", where_);
}

const Json* Members::find(const std::string& name) {
    taken_.insert(name);
    const auto found = json_.find(name);
    return found == json_.end() ? nullptr : &*found;
}

void Members::text(const std::string& name, std::optional<std::string>& out) {
    const Json* found = find(name);
    const Json* exact = find(name + "_bytes");
    if (found == nullptr && exact == nullptr) return;
    if (found != nullptr && !found->is_string()) unreadable("wants a text", named(name));
    const std::string member = exact != nullptr ? named(name + "_bytes") : named(name);
    out = without_nul(exact != nullptr ? bytes_from(*exact, member) : found->get<std::string>(), member);
}

void Members::text(const std::string& name, std::string& out) {
    std::optional<std::string> given;
    text(name, given);
    if (given) out = std::move(*given);
}

void Members::flag(const std::string& name, bool& out) {
    const Json* found = find(name);
    if (found == nullptr) return;
    if (!found->is_boolean()) unreadable("wants true or false", named(name));
    out = found->get<bool>();
}

void Members::list(const std::string& name, std::vector<std::string>& out) {
    const Json* found = find(name);
    const Json* exact = find(name + "_bytes");
    if (found == nullptr && exact == nullptr) return;
    if (found == nullptr || !found->is_array()) unreadable("wants a list of texts", named(name));
    if (exact != nullptr && (!exact->is_array() || exact->size() != found->size()))
        unreadable("wants as many as there are in " + name, named(name + "_bytes"));
    for (std::size_t at = 0; at < found->size(); ++at) {
        const Json& one = (*found)[at];
        if (!one.is_string()) unreadable("wants a list of texts", named(name));
        const bool is_exact = exact == nullptr || (*exact)[at].is_null();
        const std::string member = named(is_exact ? name : name + "_bytes");
        out.push_back(
            without_nul(is_exact ? one.get<std::string>() : bytes_from((*exact)[at], member), member));
    }
}

void Members::end() const {
    for (const auto& [name, value] : json_.items())
        if (!taken_.contains(name)) unreadable("is not known", named(name));
}

}  // namespace tavlo
