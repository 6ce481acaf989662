// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/document.h"

#include <charconv>

#include "job/job_members.h"
#include "job/members.h"
#include "plan/traits.h"

namespace tavlo {

namespace {

// a word for each of an enumeration; what is usual is left out of documents

constexpr std::pair<Subfolders, const char*> subfolder_words[] = {
    {Subfolders::all, "all"}, {Subfolders::filled, "filled"}, {Subfolders::none, "none"}};
constexpr std::pair<Clearing, const char*> clearing_words[] = {
    {Clearing::none, "none"}, {Clearing::extra, "extra"}, {Clearing::all, "all"}};
constexpr std::pair<Verify, const char*> verify_words[] = {
    {Verify::automatic, "automatic"}, {Verify::read_back, "read-back"}, {Verify::none, "none"}};
constexpr std::pair<NewNames::Scheme, const char*> scheme_words[] = {{NewNames::Scheme::number, "number"},
                                                                     {NewNames::Scheme::date, "date"},
                                                                     {NewNames::Scheme::pattern, "pattern"}};
constexpr std::pair<SizeRelation, const char*> size_words[] = {{SizeRelation::smaller, "smaller"},
                                                               {SizeRelation::same_size, "same-size"},
                                                               {SizeRelation::larger, "larger"}};
constexpr std::pair<bool, const char*> link_words[] = {{false, "keep"}, {true, "follow"}};

template <class Word, std::size_t count>
void put_word(Json& json, const char* member, const std::pair<Word, const char*> (&words)[count], Word word,
              Word usual) {
    if (word != usual) json[member] = word_of(words, word);
}

void put_flag(Json& json, const char* member, bool on) {
    if (on) json[member] = true;
}

void put_text(Json& json, const char* member, const std::optional<std::string>& text) {
    if (text) put_bytes(json, member, *text);
}

void put_names(Json& json, const NewNames& names) {
    Json out;
    out["scheme"] = word_of(scheme_words, names.scheme);
    if (!names.pattern.empty()) put_bytes(out, "pattern", names.pattern);
    json["new_names"] = std::move(out);
}

std::optional<NewNames> names_from(Members& members) {
    const Json* found = members.find("new_names");
    if (found == nullptr) return std::nullopt;
    NewNames names;
    Members inner(*found, members.named("new_names"));
    inner.word("scheme", names.scheme, from_words(scheme_words));
    inner.text("pattern", names.pattern);
    inner.end();
    return names;
}

constexpr auto every_finding = {Finding::same, Finding::newer, Finding::older,    Finding::same_date,
                                Finding::type, Finding::twin,  Finding::elsewhere};

void put_policy(Json& json, const Policy& policy) {
    if (policy.otherwise != Decision::undecided) json["on_collision"] = to_text(policy.otherwise);
    Json when;
    Json sized;
    for (const Finding finding : every_finding) {
        const auto at = static_cast<std::size_t>(finding);
        const std::string name(to_text(finding));
        if (policy.when[at]) when[name] = to_text(*policy.when[at]);
        for (const auto& [relation, word] : size_words)
            if (const auto& decision = policy.when_sized[at][static_cast<std::size_t>(relation)])
                sized[name][word] = to_text(*decision);
    }
    if (!when.empty()) json["when"] = std::move(when);
    if (!sized.empty()) json["when_sized"] = std::move(sized);
    if (policy.new_names != NewNames{}) put_names(json, policy.new_names);
    put_flag(json, "adapt_names", policy.adapt_names);
}

void read_decision(Members& members, const std::string& name, std::optional<Decision>& out) {
    Decision decision = Decision::undecided;
    members.word(name, decision, decision_from_text);
    if (members.find(name) != nullptr) out = decision;
}

Policy read_policy(Members& members) {
    Policy policy;
    members.word("on_collision", policy.otherwise, decision_from_text);
    if (const Json* found = members.find("when")) {
        Members when(*found, members.named("when"));
        for (const Finding finding : every_finding)
            read_decision(when, std::string(to_text(finding)),
                          policy.when[static_cast<std::size_t>(finding)]);
        when.end();
    }
    if (const Json* found = members.find("when_sized")) {
        Members when(*found, members.named("when_sized"));
        for (const Finding finding : every_finding) {
            const std::string name(to_text(finding));
            const Json* by_size = when.find(name);
            if (by_size == nullptr) continue;
            Members sized(*by_size, when.named(name));
            for (const auto& [relation, word] : size_words)
                read_decision(
                    sized, word,
                    policy.when_sized[static_cast<std::size_t>(finding)][static_cast<std::size_t>(relation)]);
            sized.end();
        }
        when.end();
    }
    policy.new_names = names_from(members).value_or(NewNames{});
    members.flag("adapt_names", policy.adapt_names);
    return policy;
}

void put_selection(Json& json, const Selection& what) {
    put_list(json, "sources", what.sources);
    put_word(json, "links", link_words, what.follow_links, false);
    put_list(json, "name", what.files.name);
    put_list(json, "not_name", what.files.not_name);
    put_list(json, "kind", what.files.kind);
    put_text(json, "larger", what.files.larger);
    put_text(json, "smaller", what.files.smaller);
    put_text(json, "filter", what.files.filter);
    put_text(json, "changed_after", what.files.changed_after);
    put_text(json, "changed_before", what.files.changed_before);
    put_text(json, "regex", what.files.regex);
    put_text(json, "number", what.files.number);
    put_list(json, "with", what.files.with);
    put_list(json, "not_below", what.not_below);
    put_text(json, "folders_larger", what.folders_larger);
    put_flag(json, "empty_folders", what.empty_folders);
    put_text(json, "list", what.list);
}

Selection read_selection(Members& members) {
    Selection what;
    members.list("sources", what.sources);
    members.word("links", what.follow_links, from_words(link_words));
    members.list("name", what.files.name);
    members.list("not_name", what.files.not_name);
    members.list("kind", what.files.kind);
    members.text("larger", what.files.larger);
    members.text("smaller", what.files.smaller);
    members.text("filter", what.files.filter);
    members.text("changed_after", what.files.changed_after);
    members.text("changed_before", what.files.changed_before);
    members.text("regex", what.files.regex);
    members.text("number", what.files.number);
    members.list("with", what.files.with);
    members.list("not_below", what.not_below);
    members.text("folders_larger", what.folders_larger);
    members.flag("empty_folders", what.empty_folders);
    members.text("list", what.list);
    return what;
}

std::optional<Operation> operation_of_job(const std::string& text) {
    const auto operation = operation_from_text(text);
    return operation && traits_of(*operation).comes_from_batch ? operation : std::nullopt;
}

std::string text_of(const Json& json) { return json.dump(-1, ' ', false, Json::error_handler_t::replace); }

// numbers of 64 bits as text, which not every reader of JSON keeps whole
Json identity_json(const Identity& id) {
    return Json::array({std::to_string(id.device), std::to_string(id.inode), std::to_string(id.size_bytes),
                        std::to_string(id.modified_ns)});
}

template <class Number>
Number number_at(const Json& json, std::size_t at) {
    const auto* text = json.is_array() && json.size() > at ? json[at].get_ptr<const std::string*>() : nullptr;
    Number number{};
    const bool is_read = text != nullptr &&
                         std::from_chars(text->data(), text->data() + text->size(), number).ec == std::errc{};
    if (!is_read) unreadable("wants numbers as texts", "decisions");
    return number;
}

Identity identity_from(const Json& json) {
    using Count = std::uint64_t;
    return {number_at<Count>(json, 0), number_at<Count>(json, 1), number_at<Count>(json, 2),
            number_at<std::int64_t>(json, 3)};
}

std::pair<std::string, PairDecision> decision_from(const Json& json) {
    Members members(json);
    std::string path;
    PairDecision one;
    Decision decision = Decision::undecided;
    members.text("path", path);
    if (const Json* id = members.find("incoming")) one.pair.incoming = identity_from(*id);
    if (const Json* id = members.find("held")) one.pair.held = identity_from(*id);
    if (const Json* times = members.find("status_changed")) {
        one.pair.incoming_changed_ns = number_at<std::int64_t>(*times, 0);
        one.pair.held_changed_ns = number_at<std::int64_t>(*times, 1);
    }
    members.word("decision", decision, decision_from_text);
    one.decision = decision;
    one.new_names = names_from(members);
    members.text("new_name", one.name);
    members.flag("renames_held", one.renames_held);
    members.end();
    return {std::move(path), std::move(one)};
}

}  // namespace

void put_job(Json& json, const Job& job) {
    json["operation"] = to_text(job.operation);
    put_selection(json, job.what);
    put_list(json, "make", job.make);
    put_flag(json, "contents", job.structure.contents);
    if (job.structure.subfolders != Subfolders::all || job.what.keeps_empty_folders)
        json["subfolders"] = word_of(subfolder_words, job.structure.subfolders);
    put_flag(json, "flatten", job.structure.flatten);
    if (!job.structure.sort_into.empty()) put_bytes(json, "sort_into", job.structure.sort_into);
    put_flag(json, "folders", job.structure.folders_too);
    put_naming(json, job.naming);
    if (!job.structure.kept_from.empty()) put_bytes(json, "keep_from", job.structure.kept_from);
    if (!job.into.empty()) put_bytes(json, "into", job.into);
    put_policy(json, job.policy);
    put_flag(json, "look_elsewhere", job.look_elsewhere);
    put_word(json, "clear", clearing_words, job.clearing, Clearing::none);
    if (job.shelf != Shelf::safe) json["to"] = to_text(job.shelf);
    if (!job.name.empty()) put_bytes(json, "job", job.name);
    put_flag(json, "then_remove", job.then_remove);
    if (job.press != Press::normal) json["compression"] = to_text(job.press);
    put_flag(json, "lose_attributes", job.may_lose);
    put_word(json, "verify", verify_words, job.verify, Verify::automatic);
}

std::string to_json(const Job& job) {
    Json json;
    put_job(json, job);
    return text_of(json);
}

Job read_job(Members& members) {
    Job job;
    if (members.find("operation") == nullptr) unreadable("is missing", "operation");
    members.word("operation", job.operation, operation_of_job);
    job.what = read_selection(members);
    members.list("make", job.make);
    members.flag("contents", job.structure.contents);
    members.word("subfolders", job.structure.subfolders, from_words(subfolder_words));
    job.what.keeps_empty_folders =
        members.find("subfolders") != nullptr && job.structure.subfolders == Subfolders::all;
    members.flag("flatten", job.structure.flatten);
    members.text("sort_into", job.structure.sort_into);
    members.flag("folders", job.structure.folders_too);
    job.naming = read_naming(members);
    members.text("keep_from", job.structure.kept_from);
    members.text("into", job.into);
    job.policy = read_policy(members);
    members.flag("look_elsewhere", job.look_elsewhere);
    members.word("clear", job.clearing, from_words(clearing_words));
    members.word("to", job.shelf, shelf_from_text);
    members.text("job", job.name);
    members.flag("then_remove", job.then_remove);
    members.word("compression", job.press, press_from_text);
    members.flag("lose_attributes", job.may_lose);
    members.word("verify", job.verify, from_words(verify_words));
    return job;
}

Result<Job> job_from_json(std::string_view text) {
    return read_document<Job>([&] {
        const Json json = parsed(text);
        Members members(json);
        Job job = read_job(members);
        members.end();
        return job;
    });
}

std::string to_json(const Policy& policy) {
    Json json = Json::object();
    put_policy(json, policy);
    return text_of(json);
}

Result<Policy> policy_from_json(std::string_view text) {
    return read_document<Policy>([&] {
        const Json json = parsed(text);
        Members members(json);
        Policy policy = read_policy(members);
        members.end();
        return policy;
    });
}

std::string to_json(const Decisions& decisions) {
    Json json = Json::array();
    decisions.each([&](const std::string& path, const PairDecision& single) {
        Json one;
        put_bytes(one, "path", path);
        one["incoming"] = identity_json(single.pair.incoming);
        one["held"] = identity_json(single.pair.held);
        one["status_changed"] = Json::array(
            {std::to_string(single.pair.incoming_changed_ns), std::to_string(single.pair.held_changed_ns)});
        one["decision"] = to_text(*single.decision);
        if (single.new_names) put_names(one, *single.new_names);
        if (!single.name.empty()) put_bytes(one, "new_name", single.name);
        put_flag(one, "renames_held", single.renames_held);
        json.push_back(std::move(one));
    });
    return text_of(json);
}

Result<Decisions> decisions_from_json(std::string_view text) {
    return read_document<Decisions>([&] {
        const Json json = parsed(text);
        if (!json.is_array()) unreadable("wants a list", "decisions");
        Decisions::Stroke stroke;
        for (const Json& one : json) {
            auto [path, decision] = decision_from(one);
            stroke.insert_or_assign(std::move(path), std::move(decision));
        }
        Decisions decisions;
        decisions.add(std::move(stroke));
        return decisions;
    });
}

std::string to_json(const TypedNames& typed) {
    Json json = Json::array();
    for (const auto& [path, name] : typed) {
        Json one;
        put_bytes(one, "path", path);
        one["of"] = identity_json(name.of);
        put_bytes(one, "name", name.name);
        json.push_back(std::move(one));
    }
    return text_of(json);
}

Result<TypedNames> typed_names_from_json(std::string_view text) {
    return read_document<TypedNames>([&] {
        const Json json = parsed(text);
        if (!json.is_array()) unreadable("wants a list", "typed");
        TypedNames typed;
        for (const Json& one : json) {
            Members members(one);
            std::string path;
            TypedName name;
            members.text("path", path);
            if (const Json* id = members.find("of")) name.of = identity_from(*id);
            members.text("name", name.name);
            members.end();
            typed.insert_or_assign(std::move(path), std::move(name));
        }
        return typed;
    });
}

std::string to_json(const FactsSaid& said) {
    Json json = Json::array();
    for (const auto& [path, one] : said) {
        Json out;
        put_bytes(out, "path", path);
        out["of"] = identity_json(one.of);
        out["facts"] = Json::parse(to_json(one.facts));
        json.push_back(std::move(out));
    }
    return text_of(json);
}

Result<FactsSaid> facts_said_from_json(std::string_view text) {
    return read_document<FactsSaid>([&] {
        const Json json = parsed(text);
        if (!json.is_array()) unreadable("wants a list", "facts");
        FactsSaid said;
        for (const Json& one : json) {
            Members members(one);
            std::string path;
            SaidFacts facts;
            members.text("path", path);
            if (const Json* id = members.find("of")) facts.of = identity_from(*id);
            const Json* told = members.find("facts");
            auto read = told != nullptr ? facts_from_json(told->dump())
                                        : Result<FileFacts>(failure(Fault::corrupt, "is missing", ""));
            if (!read) unreadable(read.error().step, "facts");
            facts.facts = std::move(*read);
            members.end();
            said.insert_or_assign(std::move(path), std::move(facts));
        }
        return said;
    });
}

}  // namespace tavlo
