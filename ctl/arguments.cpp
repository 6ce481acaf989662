#include "arguments.h"

#include <pwd.h>
#include <sys/stat.h>
#include <unistd.h>

#include <CLI/CLI.hpp>
#include <array>
#include <cstdlib>
#include <functional>
#include <memory>
#include <string_view>
#include <tuple>

#include "files/path.h"
#include "keep/store.h"
#include "run/growing.h"
#include "select/amounts.h"

using tavlo::Decision;
using tavlo::Finding;

namespace {

constexpr const char* overview = R"(tavloctl copies and moves batches of files, and never loses one on the way.

  tavloctl copy SOURCE... --into FOLDER [options]
  tavloctl move SOURCE... --into FOLDER [options]
  tavloctl receipts [--json]              past runs, newest first
  tavloctl receipt ID [--json]            one run, item by item
  tavloctl check ID [--json]              read again and compare with what the receipt says
  tavloctl undo ID [--plan] [--json]      put things back as they were before that run
  tavloctl recover [--json]               finish what an interrupted run left; safe to repeat
  tavloctl safe [--json]                  the versions that were set aside
  tavloctl safe restore ENTRY [--into FOLDER]
  tavloctl safe empty [--older-than DAYS | --of UNDO]

tavloctl COMMAND --help says more.
)";

struct Refusal {
    std::string why;
};

[[noreturn]] void refuse(std::string why) { throw Refusal{std::move(why)}; }

std::string current_folder() {
    const std::unique_ptr<char, decltype(&std::free)> path(::getcwd(nullptr, 0), &std::free);
    if (!path) refuse("the current folder cannot be found");
    return path.get();
}

/// Absolute. Where ".." comes after a link, what it means is asked of the disk and not guessed from the text.
std::string absolute(const std::string& path) {
    if (path.empty()) refuse("an empty path names nothing");
    const std::string whole = tavlo::join(path.front() == '/' ? "" : current_folder(), path);
    if ((whole + '/').find("/../") == std::string::npos) return tavlo::normalised(whole, "/");
    std::string known = "/";
    std::string_view rest = whole;
    while (!rest.empty()) {
        const auto slash = rest.find('/');
        const auto part = rest.substr(0, slash);
        rest = slash == std::string_view::npos ? std::string_view{} : rest.substr(slash + 1);
        if (part != "..") {
            known = tavlo::normalised(part.empty() ? "." : part, known);
            continue;
        }
        const std::unique_ptr<char, decltype(&std::free)> real(::realpath(known.c_str(), nullptr), &std::free);
        known = std::string(tavlo::parent_of(real ? std::string(real.get()) : known));
    }
    return known;
}

/// "path/" takes the folder that a link points at, so the '/' at the end is kept for gather().
std::string source_path(const std::string& path) {
    std::string whole = absolute(path);
    if (path.back() == '/' && whole != "/") whole += '/';
    return whole;
}

/// Where the state is kept when nobody says: never below a home that is not there, nor below the root for want of one.
std::string usual_state_folder() {
    const char* state = std::getenv("XDG_STATE_HOME");
    if (state != nullptr && state[0] == '/') return tavlo::join(state, "tavlo");
    const char* given = std::getenv("HOME");
    std::string home = given != nullptr && given[0] == '/' ? given : "";
    if (home.empty())
        if (const passwd* user = ::getpwuid(::geteuid()); user != nullptr && user->pw_dir != nullptr) home = user->pw_dir;
    struct stat status {};
    const bool is_there = home.size() > 1 && ::stat(home.c_str(), &status) == 0 && S_ISDIR(status.st_mode);
    if (!is_there)
        refuse("there is no home folder to keep the state in (HOME" +
               (home.empty() ? std::string(" is not set") : ": " + tavlo::printable(home)) +
               "): set HOME or XDG_STATE_HOME, or give --state FOLDER");
    return tavlo::join(home, ".local/state/tavlo");
}

Decision decision(const std::string& word, bool may_stay_open) {
    const auto known = tavlo::decision_from_text(word);
    if (!known || (*known == Decision::undecided && !may_stay_open))
        refuse("'" + tavlo::printable(word) + "' is no decision; there are " + (may_stay_open ? "undecided, " : "") +
               "skip, overwrite and rename");
    return *known;
}

void read_when(const std::vector<std::string>& rules, tavlo::Rules& into) {
    for (const auto& rule : rules) {
        const auto equals = rule.find('=');
        if (equals == std::string::npos) refuse("--when wants FINDING=DECISION, not '" + tavlo::printable(rule) + "'");
        const auto finding = tavlo::finding_from_text(rule.substr(0, equals));
        if (!finding)
            refuse("'" + tavlo::printable(rule.substr(0, equals)) +
                   "' is no finding; there are same, newer, older, same-date, type and twin");
        auto& slot = into.when[static_cast<std::size_t>(*finding)];
        if (slot) refuse("--when says twice what happens when " + rule.substr(0, equals));
        slot = decision(rule.substr(equals + 1), false);
    }
}

template <class Word>
Word one_of(const std::string& option, const std::string& given, std::initializer_list<std::pair<const char*, Word>> words) {
    for (const auto& [text, word] : words)
        if (given == text) return word;
    std::string known;
    for (const auto& [text, word] : words) known += (known.empty() ? "" : ", ") + std::string(text);
    refuse(option + " does not know '" + tavlo::printable(given) + "'; there are " + known);
}

/// One command's own line. CLI11 reads the words; what they mean is decided above.
class CommandLine {
public:
    explicit CommandLine(const std::string& command) : app_("", "tavloctl " + command) {
        app_.add_option("--state", state_, "where journal, receipts and the Safe's index are kept")->type_name("FOLDER");
    }

    CLI::App& app() { return app_; }

    void flag(const std::string& name, bool& value, const std::string& help) {
        app_.add_flag(name, value, help)->multi_option_policy(CLI::MultiOptionPolicy::Throw);
    }

    /// A list of words, taken as they are: CLI11 would else cut "[a,b]" apart.
    CLI::Option* list(const std::string& name, std::vector<std::string>& values, const std::string& help) {
        return app_.add_option(name, values, help)->allow_extra_args(false);
    }

    void parse(std::vector<std::string> words, Arguments& into) {
        std::reverse(words.begin(), words.end());  // CLI11 takes them from the end
        app_.parse(std::move(words));
        for (const CLI::Option* option : app_.get_options())
            if (option->get_expected_max() <= 1 && option->count() > 1) refuse(option->get_name() + " may be given once only");
        if (state_ && state_->empty()) refuse("--state wants a folder, and got nothing");
        into.state_folder = state_ ? absolute(*state_) : usual_state_folder();
    }

private:
    CLI::App app_;
    std::optional<std::string> state_;
};

/// The options that choose files, as words; what they mean is worked out once the line is read.
class SelectionOptions {
public:
    explicit SelectionOptions(CommandLine& line) {
        line.list("--name", names_, "only files whose whole name fits: * ? […]")->type_name("GLOB");
        line.list("--not-name", not_names_, "no files whose whole name fits")->type_name("GLOB");
        line.list("--kind", kinds_, "only files of a kind: documents, sheets, pictures, audio, video, archives, …")->type_name("KIND");
        const std::tuple<const char*, std::optional<std::string>*, const char*, const char*> single[] = {
            {"--larger", &larger_, "SIZE", "only files of more than SIZE: 500, 20K, 1.5M, 2G"},
            {"--smaller", &smaller_, "SIZE", "only files of less than SIZE"},
            {"--changed-after", &after_, "WHEN", "only files changed after: 2031-05-02, 2031-05-02T09:00, 30d for 30 days ago"},
            {"--changed-before", &before_, "WHEN", "only files changed before"},
            {"--regex", &regex_, "RE", "only files with this RE2 expression anywhere in the name"},
            {"--number", &number_, "FROM-TO", "only files with a number in the name that lies in the range"},
            {"--list", &list_, "FILE", "only files named in FILE"}};
        for (const auto& [name, value, type, help] : single) line.app().add_option(name, *value, help)->type_name(type);
    }

    void read(Arguments& out) const {
        using namespace tavlo;
        const auto value = [](const char* option, const std::optional<std::string>& text, auto parse, const char* wanted) {
            using Value = decltype(parse(*text));
            if (!text) return Value{};
            const auto parsed = parse(*text);
            if (!parsed) refuse(std::string(option) + " wants " + wanted + ", not '" + printable(*text) + "'");
            return Value{parsed};
        };
        const auto size = [](const std::string& text) { return size_from_text(text); };
        const auto when = [now = now_ns()](const std::string& text) { return time_from_text(text, now); };
        const auto range = [](const std::string& text) { return range_from_text(text); };
        Criteria& wanted = out.criteria;
        wanted.names = names_;
        wanted.not_names = not_names_;
        wanted.kinds = kinds_;
        wanted.larger_than = value("--larger", larger_, size, "a SIZE as 500, 20K, 1.5M");
        wanted.smaller_than = value("--smaller", smaller_, size, "a SIZE as 500, 20K, 1.5M");
        wanted.changed_from_ns = value("--changed-after", after_, when, "a date as 2031-05-02 or 2031-05-02T09:00, or 30d");
        wanted.changed_before_ns = value("--changed-before", before_, when, "a date as 2031-05-02 or 2031-05-02T09:00, or 30d");
        wanted.number = value("--number", number_, range, "a range as 120-135");
        if (regex_ && regex_->empty()) refuse("--regex wants an expression");
        wanted.regex = regex_.value_or("");
        if (list_) out.list_file = absolute(*list_);
    }

private:
    std::vector<std::string> names_;
    std::vector<std::string> not_names_;
    std::vector<std::string> kinds_;
    std::optional<std::string> larger_;
    std::optional<std::string> smaller_;
    std::optional<std::string> after_;
    std::optional<std::string> before_;
    std::optional<std::string> regex_;
    std::optional<std::string> number_;
    std::optional<std::string> list_;
};

void read_transfer(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::vector<std::string> sources;
    std::vector<std::string> when;
    std::string into;
    std::string subfolders;
    std::string links = "keep";
    std::string keep_from;
    std::string clear = "none";
    std::string otherwise = "undecided";
    std::string verify;
    // after "--" every word is a source; CLI11 would still look for options in them
    const auto end_of_options = std::find(words.begin(), words.end(), "--");
    // what belongs to no option is a source; as an option of many words CLI11 would cut a source of the name "[a,b]" apart
    line.app().allow_extras();
    line.app().add_option("--into", into, "the destination folder; made, with its parents, when missing")->type_name("FOLDER")->required();
    line.flag("--contents", out.request.shape.contents, "what is inside each source folder, not the folder itself");
    line.app().add_option("--subfolders", subfolders, "all, filled (only those in which a file ends up) or none")->type_name("WHICH");
    line.flag("--flatten", out.request.shape.flatten, "every file directly into FOLDER");
    line.app()
        .add_option("--keep-from", keep_from, "keep the folders between FOLDER and the sources that lie below it")
        ->type_name("FOLDER");
    line.app()
        .add_option("--clear", clear, "extra: what is there and not in the batch goes to the Safe; all: everything there does, first")
        ->type_name("none|extra|all");
    line.app().add_option("--links", links, "keep: a link stays a link; follow: what it points at")->type_name("keep|follow");
    line.app()
        .add_option("--on-collision", otherwise, "undecided, skip, overwrite or rename, where a name is taken")
        ->type_name("DECISION");
    line.list("--when", when, "the decision for one finding: same, newer, older, same-date, type or twin")->type_name("FINDING=DECISION");
    const SelectionOptions selection(line);
    line.app().add_option("--verify", verify, "read-back: read again what was written, and compare; none")->type_name("HOW");
    line.flag("--lose-attributes", out.request.rules.may_lose,
              "a move goes on where the destination cannot keep extended attributes or an ACL of the source");
    line.flag("--plan", out.plan_only, "print the plan and change nothing");
    line.flag("--json", out.json, "one JSON document on standard output");
    line.flag("--while-counting", out.while_counting, "a copy begins while its files are still being counted");
    line.flag("--verbose", out.verbose, "a line for each item");
    std::string progress = "auto";
    line.app().add_option("--progress", progress, "how far it is, on standard error")->type_name("auto|always|never");
    line.flag("--quiet", out.quiet, "nothing on standard error but errors");
    line.parse({words.begin(), end_of_options}, out);
    using Show = Arguments::ShowProgress;
    out.progress = one_of<Show>("--progress", progress, {{"auto", Show::automatic}, {"always", Show::always}, {"never", Show::never}});

    for (const auto& word : line.app().remaining()) {
        if (word.size() > 1 && word.front() == '-')
            refuse("there is no option '" + tavlo::printable(word) + "'; a SOURCE of that name goes after --");
        sources.push_back(word);
    }
    if (end_of_options != words.end()) sources.insert(sources.end(), end_of_options + 1, words.end());
    if (sources.empty()) refuse("SOURCE is required");
    if (std::find(sources.begin(), sources.end(), "") != sources.end()) refuse("a SOURCE is empty");
    if (into.empty()) refuse("--into wants a folder, and got nothing");
    for (const auto& source : sources) out.request.sources.push_back(source_path(source));
    out.request.destination = absolute(into);
    out.request.operation = out.command == Arguments::Command::move ? tavlo::Operation::move : tavlo::Operation::copy;
    if (!subfolders.empty()) {
        if (out.request.shape.flatten) refuse("--flatten and --subfolders exclude each other");
        using tavlo::Subfolders;
        out.request.shape.subfolders = one_of<Subfolders>(
            "--subfolders", subfolders, {{"all", Subfolders::all}, {"filled", Subfolders::filled}, {"none", Subfolders::none}});
    }
    if (!keep_from.empty()) {
        struct stat status {};
        if (::stat(absolute(keep_from).c_str(), &status) != 0 || !S_ISDIR(status.st_mode))
            refuse("--keep-from: " + tavlo::printable(absolute(keep_from)) + " is no folder that is there");
        if (out.request.shape.flatten) refuse("--flatten and --keep-from exclude each other");
        out.request.shape.kept_from = absolute(keep_from);
    }
    using tavlo::Clearing;
    out.request.rules.clearing =
        one_of<Clearing>("--clear", clear, {{"none", Clearing::none}, {"extra", Clearing::extra}, {"all", Clearing::all}});
    selection.read(out);
    out.keep_empty_folders = subfolders == "all";
    out.request.follow_links = one_of<bool>("--links", links, {{"keep", false}, {"follow", true}});
    out.request.rules.otherwise = decision(otherwise, true);
    read_when(when, out.request.rules);
    if (out.while_counting) {
        const bool chooses = out.list_file || !out.criteria.lets_all_through();
        if (chooses || out.plan_only) refuse("--while-counting goes neither with --plan nor with options that choose files");
        if (const auto why = tavlo::reason_to_wait(out.request); !why.empty()) refuse("--while-counting is not possible: " + why);
    }
    using tavlo::Verify;
    if (!verify.empty()) out.verify = one_of<Verify>("--verify", verify, {{"read-back", Verify::read_back}, {"none", Verify::none}});
}

void read_by_id(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    line.app().add_option("ID", out.id, "the receipt")->required();
    if (out.command == Arguments::Command::undo) {
        line.flag("--plan", out.plan_only, "print the plan and change nothing");
        line.flag("--verbose", out.verbose, "a line for each item");
    }
    line.flag("--json", out.json, "one JSON document on standard output");
    line.parse(words, out);
}

void read_safe(std::vector<std::string> words, Arguments& out) {
    const std::string what = words.empty() || words.front().starts_with("-") ? "" : words.front();
    if (!what.empty()) words.erase(words.begin());
    CommandLine line(what.empty() ? "safe" : "safe " + what);
    line.flag("--json", out.json, "one JSON document on standard output");
    if (what.empty()) {
        out.command = Arguments::Command::safe_list;
        line.parse(words, out);
    } else if (what == "restore") {
        out.command = Arguments::Command::safe_restore;
        line.app().add_option("ENTRY", out.id, "the version")->required();
        std::optional<std::string> into;
        line.app().add_option("--into", into, "a folder other than where it was")->type_name("FOLDER");
        line.parse(words, out);
        if (into && into->empty()) refuse("--into wants a folder, and got nothing");
        if (into) out.into = absolute(*into);
    } else if (what == "empty") {
        out.command = Arguments::Command::safe_empty;
        line.app().add_option("--older-than", out.older_than_days, "only what was set aside longer ago")->type_name("DAYS");
        line.app()
            .add_option("--of", out.id, "only what this undo took away, as far as its bytes stand in the source still")
            ->type_name("UNDO");
        line.parse(words, out);
        if (!out.id.empty() && out.older_than_days) refuse("--of and --older-than exclude each other");
    } else {
        refuse("'safe' does not know '" + tavlo::printable(what) + "'");
    }
}

Arguments read(const std::string& command, const std::vector<std::string>& words) {
    using Command = Arguments::Command;
    static constexpr std::array<std::pair<std::string_view, Command>, 7> commands{{{"copy", Command::copy},
                                                                                   {"move", Command::move},
                                                                                   {"receipts", Command::receipts},
                                                                                   {"receipt", Command::receipt},
                                                                                   {"check", Command::check},
                                                                                   {"undo", Command::undo},
                                                                                   {"recover", Command::recover}}};
    Arguments out;
    if (command == "safe") {
        read_safe(words, out);
        return out;
    }
    if (command == "run") refuse("'" + command + "' is not there yet");
    const auto* known = std::find_if(commands.begin(), commands.end(), [&](const auto& pair) { return pair.first == command; });
    if (known == commands.end()) refuse("there is no command '" + tavlo::printable(command) + "'; tavloctl --help names them");
    out.command = known->second;
    CommandLine line(command);
    if (out.command == Command::copy || out.command == Command::move) {
        read_transfer(line, words, out);
    } else if (out.command == Command::receipts || out.command == Command::recover) {
        if (out.command == Command::recover) line.flag("--verbose", out.verbose, "a line for each item");
        line.flag("--json", out.json, "one JSON document on standard output");
        line.parse(words, out);
    } else {
        read_by_id(line, words, out);
    }
    return out;
}

}  // namespace

tl::expected<Arguments, NotToRun> read_arguments(int count, char** words) {
    std::vector<std::string> all(words + 1, words + count);
    // --state may stand before the command too
    std::vector<std::string> ahead;
    while (!all.empty() && (all.front() == "--state" || all.front().starts_with("--state="))) {
        const bool apart = all.front() == "--state" && all.size() > 1;
        ahead.insert(ahead.end(), all.begin(), all.begin() + (apart ? 2 : 1));
        all.erase(all.begin(), all.begin() + (apart ? 2 : 1));
    }
    if (!all.empty()) {
        const bool of_two_words = all.front() == "safe" && all.size() > 1 && !all[1].starts_with("-");
        all.insert(all.begin() + (of_two_words ? 2 : 1), ahead.begin(), ahead.end());
    }
    if (all.empty()) return tl::unexpected(NotToRun{2, "no command; tavloctl --help names them"});
    if (all.front() == "--help" || all.front() == "-h") return tl::unexpected(NotToRun{0, overview});
    if (all.front() == "--version") return tl::unexpected(NotToRun{0, "tavloctl " TAVLO_VERSION "\n"});
    const std::vector<std::string> rest(all.begin() + 1, all.end());
    try {
        return read(all.front(), rest);
    } catch (const Refusal& refusal) {
        return tl::unexpected(NotToRun{2, refusal.why});
    } catch (const CLI::CallForHelp&) {
        return tl::unexpected(NotToRun{0, overview});
    } catch (const CLI::ParseError& error) {
        return tl::unexpected(NotToRun{2, tavlo::printable(error.what())});
    }
}
