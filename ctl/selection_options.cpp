#include "selection_options.h"

#include "files/path.h"
#include "keep/store.h"
#include "paths.h"
#include "select/amounts.h"
#include "select/kinds.h"

namespace {

std::string known_kinds() {
    std::string names;
    if (const auto kinds = tavlo::load_kinds())
        for (const tavlo::Kind& kind : kinds->all()) names += (names.empty() ? "" : ", ") + kind.name;
    return names;
}

/// What an option's words say; nullopt where it was not given.
template <class Parse>
auto meaning(const char* option, const std::optional<std::string>& text, Parse parse, const char* wanted) -> decltype(parse(*text)) {
    if (!text) return std::nullopt;
    auto parsed = parse(*text);
    if (!parsed) refuse(std::string(option) + " wants " + wanted + ", not '" + tavlo::printable(*text) + "'");
    return parsed;
}

}  // namespace

SelectionOptions::SelectionOptions(CommandLine& line) {
    line.group("Which files (folders come along as far as --subfolders says)");
    line.list("--name", names_, "GLOB", "only files whose whole name fits, case-sensitive: * ? […]");
    line.list("--not-name", not_names_, "GLOB", "no files whose whole name fits");
    line.list("--kind", kinds_, "KIND", "only files of a kind: " + known_kinds());
    line.value("--larger", larger_, "SIZE", "only files of more than SIZE: 500, 20K, 1.5M, 2G; powers of 1024");
    line.value("--smaller", smaller_, "SIZE", "only files of less than SIZE");
    line.value("--changed-after", after_, "WHEN",
               "only files changed after: 2031-05-02, 2031-05-02T09:00 (local time), 30d for 30 days ago");
    line.value("--changed-before", before_, "WHEN", "only files changed before");
    line.value("--regex", regex_, "RE", "only files with this RE2 expression anywhere in the name");
    line.value("--number", number_, "FROM-TO", "only files with a number in the name that lies in the range: 120-135");
    line.value("--list", list_, "FILE",
               "only files named in FILE, a name a line, in UTF-8, UTF-16 or Latin-1; - reads standard input. Lines that fit nothing are "
               "reported and make the status 1");
}

void SelectionOptions::read(Arguments& out) const {
    using namespace tavlo;
    const auto size = [](const std::string& text) { return size_from_text(text); };
    const auto when = [now = now_ns()](const std::string& text) { return time_from_text(text, now); };
    const auto range = [](const std::string& text) { return range_from_text(text); };
    constexpr const char* a_size = "a SIZE as 500, 20K, 1.5M";
    constexpr const char* a_date = "a date as 2031-05-02 or 2031-05-02T09:00, or 30d";
    Criteria& wanted = out.criteria;
    wanted.names = names_;
    wanted.not_names = not_names_;
    wanted.kinds = kinds_;
    wanted.larger_than = meaning("--larger", larger_, size, a_size);
    wanted.smaller_than = meaning("--smaller", smaller_, size, a_size);
    wanted.changed_from_ns = meaning("--changed-after", after_, when, a_date);
    wanted.changed_before_ns = meaning("--changed-before", before_, when, a_date);
    wanted.number = meaning("--number", number_, range, "a range as 120-135");
    if (regex_ && regex_->empty()) refuse("--regex wants an expression");
    wanted.regex = regex_.value_or("");
    if (list_) out.list_file = *list_ == "-" ? *list_ : absolute(*list_);
}
