// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/documents.h"

#include <fmt/compile.h>
#include <fmt/format.h>

#include <chrono>
#include <nlohmann/json.hpp>
#include <ostream>

#include "files/ahead.h"
#include "files/base64.h"
#include "files/json_bytes.h"
#include "files/parallel.h"
#include "files/path.h"

namespace tavlo {

namespace {

/// Never throws on bytes that are no UTF-8, as a damaged database may hold where there are words.
std::string text(const Json& json) { return json.dump(-1, ' ', false, Json::error_handler_t::replace); }

Json totals_json(const Totals& totals) {
    Json json;
    json["items"] = totals.items;
    json["bytes"] = totals.bytes;
    for (const auto outcome :
         {Outcome::created, Outcome::overwritten, Outcome::renamed, Outcome::skipped, Outcome::merged,
          Outcome::undecided, Outcome::failed, Outcome::removed, Outcome::restored})
        json[std::string(to_text(outcome))] = totals.of(outcome);
    return json;
}

/// operation  of its run: what that makes new has no source
Json item_json(const ReceiptItem& item, Operation operation) {
    Json json;
    if (item.role == Role::made && traits_of(operation).comes_from_batch)
        json["source"] = nullptr;
    else
        put_bytes(json, "source", item.source);
    put_bytes(json, "target", item.target);
    json["type"] = to_text(item.type);
    json["size"] = item.type == FileType::folder ? 0 : item.size_bytes;
    json["modified"] = utc_text(item.modified_ns);
    json["collision"] = nullptr;
    if (item.collision) {
        Json collision;
        collision["finding"] = nullptr;
        if (item.collision->finding) collision["finding"] = to_text(*item.collision->finding);
        collision["size"] = item.collision->size_bytes;
        collision["modified"] = utc_text(item.collision->modified_ns);
        collision["decision"] = to_text(item.collision->decision);
        if (!item.collision->elsewhere.empty()) put_bytes(collision, "held", item.collision->elsewhere);
        json["collision"] = std::move(collision);
    }
    json["result"] = to_text(item.result);
    if (!item.final_path.empty()) put_bytes(json, "final", item.final_path);
    if (!item.set_aside.empty()) json["set_aside"] = item.set_aside;
    if (!item.hash.empty()) json["hash"] = item.hash;
    if (!item.not_kept.empty()) json["not_kept"] = to_utf8(item.not_kept);
    if (!item.error.empty()) json["error"] = to_utf8(printable(item.error));
    return json;
}

/// The archive that the items are packed into stands beside them.
Json archive_json(const ReceiptItem& item) {
    const Json whole = item_json(item, Operation::pack);
    Json json;
    for (const auto& [name, value] : whole.items()) {
        if (name == "source" || name == "source_bytes" || name == "type" || name == "modified") continue;
        json[name == "target" ? "path" : name == "target_bytes" ? "path_bytes" : name] = value;
    }
    return json;
}

/// What goes nowhere else has none: an undo, new names, a removal.
bool has_destination(Operation operation) { return traits_of(operation).makes_destination; }

Json head_json(const ReceiptHead& head) {
    Json json;
    json["id"] = head.id;
    json["operation"] = to_text(head.operation);
    if (has_destination(head.operation)) put_bytes(json, "destination", head.destination);
    if (!head.sentence.empty()) json["sentence"] = to_utf8(head.sentence);
    json["started"] = utc_text(head.started_ns);
    json["finished"] = nullptr;
    if (head.finished_ns != 0) json["finished"] = utc_text(head.finished_ns);
    json["state"] = to_text(head.state);
    if (!head.problem.empty()) json["error"] = to_utf8(head.problem);
    if (!head.undoes.empty()) json["undoes"] = head.undoes;
    if (!head.undone_by.empty()) json["undone_by"] = head.undone_by;
    return json;
}

/// A document is an object whose list of items is written one by one between its first and its last members.
class DocumentWriter {
public:
    DocumentWriter(std::ostream& out, std::string_view document, const Json& first_members,
                   std::string_view list)
        : out_(out) {
        out_ << "{\"tavlo\":1,\"document\":\"" << document << '"';
        for (const auto& [name, value] : first_members.items())
            out_ << ",\n" << text(name) << ':' << text(value);
        out_ << ",\n\"" << list << "\":[";
    }
    void add(const Json& item) { add_text(text(item)); }
    /// One item or several, with commas between them.
    void add_text(std::string_view items) {
        out_ << (first_ ? "\n" : ",\n") << items;
        first_ = false;
    }
    void end(const Json& last_members) {
        out_ << "]";
        for (const auto& [name, value] : last_members.items())
            out_ << ",\n" << text(name) << ':' << text(value);
        out_ << "}\n";
    }

private:
    std::ostream& out_;
    bool first_ = true;
};

/// The items of a run, put into words by several threads: a million take more time than reading them does.
class ItemTexts {
public:
    ItemTexts(DocumentWriter& document, Operation operation)
        : document_(document), operation_(operation), threads_(useful_threads() - 1) {}
    void add(ReceiptItem&& item) {
        waiting_.push_back(std::move(item));
        if (waiting_.size() == at_a_time) ask();
    }
    void end() {
        if (!waiting_.empty()) ask();
        while (!blocks_.is_empty()) document_.add_text(blocks_.take());
    }

private:
    static constexpr std::size_t at_a_time = 256;

    void ask() {
        if (blocks_.is_full()) document_.add_text(blocks_.take());
        auto items = std::make_shared<const std::vector<ReceiptItem>>(std::exchange(waiting_, {}));
        blocks_.ask([items = std::move(items), operation = operation_] {
            std::string words;
            for (const ReceiptItem& item : *items) {
                if (!words.empty()) words += ",\n";
                words += text(item_json(item, operation));
            }
            return words;
        });
    }

    DocumentWriter& document_;
    Operation operation_;
    std::vector<ReceiptItem> waiting_;
    AheadThreads threads_;
    InTurn<std::string> blocks_{threads_};
};

}  // namespace

std::string utc_text(std::int64_t ns) {
    using namespace std::chrono;
    constexpr std::int64_t second = 1'000'000'000;
    const sys_seconds at{floor<seconds>(nanoseconds(ns))};
    const auto day = floor<days>(at);
    const year_month_day date(day);
    const hh_mm_ss time(at - day);
    return fmt::format(FMT_COMPILE("{:04}-{:02}-{:02}T{:02}:{:02}:{:02}.{:09}Z"),
                       static_cast<int>(date.year()), static_cast<unsigned>(date.month()),
                       static_cast<unsigned>(date.day()), time.hours().count(), time.minutes().count(),
                       time.seconds().count(), (ns % second + second) % second);
}

ReceiptItem planned_item(const Plan& plan, const Item& item) {
    const Entry& entry = plan.entry(item);
    ReceiptItem out;
    out.source = plan.source_path(item);
    out.target = plan.target_path(item);
    const bool comes = arrives(item.outcome) || item.outcome == Outcome::merged;
    if (auto place = plan.final_path(item); comes && place != out.target) out.final_path = std::move(place);
    out.role = item.role;
    out.type = entry.status.type;
    out.size_bytes = entry.status.id.size_bytes;
    out.modified_ns = entry.status.id.modified_ns;
    if (item.collision) out.collision = receipt_collision(*item.collision);
    if (item.problem()) out.error = reason(*item.problem());
    return out;
}

void write_plan(std::ostream& out, const Plan& plan) {
    Json first;
    first["operation"] = to_text(plan.operation);
    if (has_destination(plan.operation)) put_bytes(first, "destination", plan.destination);
    if (!plan.undoes.empty()) first["undoes"] = plan.undoes;
    DocumentWriter document(out, "plan", first, "items");
    ItemTexts items(document, plan.operation);
    Json last;
    for (const Item& item : plan.items) {
        if (item.role == Role::archive)
            last["archive"] = archive_json(planned_item(plan, item));
        else
            items.add(planned_item(plan, item));
    }
    items.end();
    last["totals"] = totals_json(plan.totals);
    document.end(last);
}

Result<void> write_receipt(std::ostream& out, const ReceiptHead& head, Store& store,
                           const std::function<void()>& written) {
    DocumentWriter document(out, "receipt", head_json(head), "items");
    ItemTexts items(document, head.operation);
    Json last;
    auto read = store.each_item(head.id, [&](ReceiptItem&& item) {
        if (item.role == Role::archive)
            last["archive"] = archive_json(item);
        else
            items.add(std::move(item));
        if (written) written();
    });
    items.end();
    last["totals"] = totals_json(head.totals);
    document.end(last);
    return read;
}

Result<void> write_recovery(std::ostream& out, const std::vector<ReceiptHead>& completed, Store& store) {
    out << "{\"tavlo\":1,\"document\":\"recovery\",\n\"receipts\":[";
    for (std::size_t i = 0; i < completed.size(); ++i) {
        out << (i == 0 ? "\n" : ",\n");
        if (auto written = write_receipt(out, completed[i], store); !written) return written;
    }
    out << "]}\n";
    return {};
}

void write_receipts(std::ostream& out, const std::vector<ReceiptHead>& heads,
                    const std::function<bool(const ReceiptHead&)>& goes_on) {
    DocumentWriter document(out, "receipts", Json::object(), "receipts");
    for (const ReceiptHead& head : heads) {
        Json json = head_json(head);
        if (goes_on(head)) json["goes_on"] = true;
        json["totals"] = totals_json(head.totals);
        document.add(json);
    }
    document.end(Json::object());
}

Result<void> write_safe(std::ostream& out, Store& store) {
    DocumentWriter document(out, "safe", Json::object(), "entries");
    auto read = store.each_safe_entry([&](SafeEntry&& entry) {
        Json json;
        json["id"] = entry.id;
        put_bytes(json, "original", entry.original);
        json["type"] = to_text(entry.type);
        json["size"] = entry.type == FileType::folder ? 0 : entry.identity.size_bytes;
        json["modified"] = utc_text(entry.identity.modified_ns);
        json["set_aside"] = utc_text(entry.set_aside_ns);
        json["receipt"] = entry.receipt;
        put_bytes(json, "stored", entry.stored);
        document.add(json);
    });
    document.end(Json::object());
    return read;
}

void write_facts(std::ostream& out, const std::vector<std::pair<std::string, FileFacts>>& files) {
    DocumentWriter document(out, "facts", Json::object(), "files");
    for (const auto& [path, facts] : files) {
        Json json;
        put_bytes(json, "path", path);
        json["facts"] = Json::parse(to_json(facts));
        document.add(json);
    }
    document.end(Json::object());
}

CheckWriter::CheckWriter(std::ostream& out, const std::string& id) : out_(out) {
    out_ << "{\"tavlo\":1,\"document\":\"check\",\n\"id\":" << text(id) << ",\n\"items\":[";
}

void CheckWriter::add(const ReceiptItem& item, std::string_view differs) {
    Json json;
    put_bytes(json, "source", item.source);
    put_bytes(json, "target", item.target);
    if (!item.final_path.empty()) put_bytes(json, "final", item.final_path);
    json["differs"] = nullptr;
    if (!differs.empty()) {
        json["differs"] = differs;
        ++differing_;
    }
    out_ << (items_++ == 0 ? "\n" : ",\n") << text(json);
}

void CheckWriter::end() {
    const Json totals{{"items", items_}, {"differs", differing_}};
    out_ << "],\n\"totals\":" << text(totals) << "}\n";
}

}  // namespace tavlo
