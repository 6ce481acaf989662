// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "arguments.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <iterator>
#include <sstream>

#include "command_line.h"
#include "common_options.h"
#include "files/path.h"
#include "help.h"
#include "job/growing.h"
#include "job/packing.h"
#include "name_steps.h"
#include "paths.h"
#include "selection_options.h"

using tavlo::Decision;
using tavlo::Finding;

namespace {

void read_sources(const std::vector<std::string>& sources, tavlo::Job& job) {
    if (sources.empty()) refuse("SOURCE is required");
    if (std::find(sources.begin(), sources.end(), "") != sources.end()) refuse("a SOURCE is empty");
    for (const auto& source : sources) job.what.sources.push_back(source_path(source));
}

void read_subfolders(const std::optional<std::string>& subfolders, tavlo::Job& job) {
    using tavlo::Subfolders;
    job.structure.subfolders = one_of<Subfolders>(
        "--subfolders", subfolders, job.structure.subfolders,
        {{"all", Subfolders::all}, {"filled", Subfolders::filled}, {"none", Subfolders::none}});
    job.what.keeps_empty_folders = subfolders == "all";
}

/// The options of a copy or a move, but for those that choose files.
struct TransferOptions {
    std::vector<std::string> sources;
    std::optional<std::string> into;
    std::optional<std::string> subfolders;
    std::optional<std::string> links;
    std::optional<std::string> keep_from;
    std::optional<std::string> sort_into;
    std::optional<std::string> clear;
    std::optional<std::string> verify;
    const bool unpacks;

    TransferOptions(CommandLine& line, Arguments& out) : unpacks(out.command == Arguments::Command::unpack) {
        line.rest(unpacks ? "ARCHIVE" : "SOURCE", sources);
        line.group("Where to, and in which folders");
        line.value("--into", into, "FOLDER",
                   "the destination folder; made, with its parents, when missing; required");
        line.flag("--contents", out.job.structure.contents,
                  unpacks ? "what is inside each archive, not in a folder of its name"
                          : "what is inside each source folder, not the folder itself");
        line.value("--subfolders", subfolders, "all|filled|none",
                   "all of them; only those in which a file ends up; only the files directly inside", "all");
        line.flag("--flatten", out.job.structure.flatten, "every file directly into FOLDER");
        line.value("--sort-into", sort_into, "PATTERN",
                   "each file into the folder that this makes for it: '{taken:%Y|=undated}/{town|country}'; "
                   "docs/sorting.md");
        if (unpacks) return;
        line.value("--keep-from", keep_from, "FOLDER",
                   "keep the folders between FOLDER and the sources that lie below it");
        line.value("--links", links, "keep|follow",
                   "a symbolic link stays a link, or what it points at is taken", "keep");
        line.value(
            "--clear", clear, "none|extra|all",
            "extra: what is there and not in the batch goes to the Safe; all: everything there does, first",
            "none");
    }

    void read_places(Arguments& out) const {
        if (sources.empty()) refuse(unpacks ? "ARCHIVE is required" : "SOURCE is required");
        if (!into) refuse("--into is required");
        if (into->empty()) refuse("--into wants a folder, and got nothing");
        read_sources(sources, out.job);
        out.job.into = absolute(*into);
    }

    void read_structure(Arguments& out) const {
        tavlo::Structure& structure = out.job.structure;
        if (subfolders && structure.flatten) refuse("--flatten and --subfolders exclude each other");
        read_subfolders(subfolders, out.job);
        if (sort_into) {
            if (structure.flatten || subfolders || keep_from)
                refuse(std::string("--sort-into and ") +
                       (structure.flatten ? "--flatten"
                        : subfolders      ? "--subfolders"
                                          : "--keep-from") +
                       " exclude each other");
            if (const auto pattern = tavlo::Pattern::parse_folders(*sort_into); !pattern)
                refuse("--sort-into " + pattern.error().step);
            structure.sort_into = *sort_into;
        }
        if (!keep_from) return;
        structure.kept_from = folder_that_is_there("--keep-from", *keep_from);
        if (structure.flatten) refuse("--flatten and --keep-from exclude each other");
    }

    void read_clearing(Arguments& out) const {
        using tavlo::Clearing;
        out.job.clearing =
            one_of<Clearing>("--clear", clear, Clearing::none,
                             {{"none", Clearing::none}, {"extra", Clearing::extra}, {"all", Clearing::all}});
    }
};

void read_transfer(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    TransferOptions options(line, out);
    const CollisionOptions collisions(line);
    if (!options.unpacks)
        line.flag("--look-elsewhere", out.job.look_elsewhere,
                  "find files whose bytes are somewhere in FOLDER already, whatever they are called there: "
                  "the finding elsewhere, which is "
                  "skipped where names that are taken are, and else arrives");
    const SelectionOptions selection(line);
    NameStepOptions names(line);
    line.group("How");
    line.flag("--plan", out.plan_only, "print the plan and change nothing");
    line.value("--verify", options.verify, "read-back|none",
               "read again from the disk what was written, and compare",
               options.unpacks ? "none" : "read-back for a move between file systems, else none");
    if (!options.unpacks) {
        line.flag(
            "--lose-attributes", out.job.may_lose,
            "a move goes on where the destination cannot keep extended attributes or an ACL of the source");
        line.flag("--while-counting", out.while_counting,
                  "a copy begins while its files are still being counted");
    }
    const CommonOptions common(line, out,
                               CommonOptions::json | CommonOptions::verbose | CommonOptions::progress);
    line.parse(names.take(words));
    common.read(out);
    using tavlo::Operation;
    out.job.operation = options.unpacks                           ? Operation::unpack
                        : out.command == Arguments::Command::move ? Operation::move
                                                                  : Operation::copy;
    options.read_places(out);
    options.read_structure(out);
    options.read_clearing(out);
    collisions.read(out.job.policy);
    out.job.naming = names.read();
    selection.read(out.job.what);
    out.job.what.follow_links =
        one_of<bool>("--links", options.links, false, {{"keep", false}, {"follow", true}});
    using tavlo::Verify;
    out.job.verify = one_of<Verify>("--verify", options.verify, Verify::automatic,
                                    {{"read-back", Verify::read_back}, {"none", Verify::none}});
    if (!out.while_counting) return;
    const bool chooses = out.job.what.chooses_files();
    if (chooses || out.plan_only)
        refuse("--while-counting goes neither with --plan nor with options that choose files");
    if (const auto why = tavlo::reason_to_wait(out.job); !why.empty())
        refuse("--while-counting is not possible: " + why);
}

void read_pack(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::vector<std::string> sources;
    std::optional<std::string> into;
    std::optional<std::string> subfolders;
    std::optional<std::string> links;
    std::optional<std::string> press;
    line.rest("SOURCE", sources);
    line.group("Where to, and in which folders");
    line.value("--into", into, "FILE",
               "the archive: .zip, .tar, .tar.gz, .tgz, .tar.xz or .tar.zst; its folder is made when "
               "missing; required");
    line.flag("--contents", out.job.structure.contents,
              "what is inside each source folder, not the folder itself");
    line.value("--subfolders", subfolders, "all|filled|none",
               "all of them; only those in which a file ends up; only the files directly inside", "all");
    line.flag("--flatten", out.job.structure.flatten, "every file directly into the archive");
    line.value("--links", links, "keep|follow", "a symbolic link stays a link, or what it points at is taken",
               "keep");
    const CollisionOptions collisions(line);
    const SelectionOptions selection(line);
    NameStepOptions names(line);
    line.group("How");
    line.flag("--then-remove", out.job.then_remove,
              "what is proved to be in the archive goes to the Safe once that has its name");
    line.value("--compression", press, "fast|normal|small",
               "how small it becomes, against the time that takes", "normal");
    line.flag("--plan", out.plan_only, "print the plan and change nothing");
    const CommonOptions common(line, out,
                               CommonOptions::json | CommonOptions::verbose | CommonOptions::progress);
    line.parse(names.take(words));
    common.read(out);
    out.job.operation = tavlo::Operation::pack;
    if (!into) refuse("--into is required");
    if (into->empty()) refuse("--into wants a file, and got nothing");
    read_sources(sources, out.job);
    out.job.into = absolute(*into);
    if (const auto why = tavlo::objection_to_archive(out.job.into); into->ends_with('/') || !why.empty())
        refuse(tavlo::printable(*into) + ": " + (why.empty() ? "is a folder's name, and no file's" : why));
    if (subfolders && out.job.structure.flatten) refuse("--flatten and --subfolders exclude each other");
    read_subfolders(subfolders, out.job);
    collisions.read(out.job.policy);
    out.job.naming = names.read();
    selection.read(out.job.what);
    out.job.what.follow_links = one_of<bool>("--links", links, false, {{"keep", false}, {"follow", true}});
    using tavlo::Press;
    out.job.press =
        one_of<Press>("--compression", press, Press::normal,
                      {{"fast", Press::fast}, {"normal", Press::normal}, {"small", Press::small}});
}

void read_rename(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::vector<std::string> sources;
    std::optional<std::string> subfolders;
    line.rest("SOURCE", sources);
    NameStepOptions names(line);
    line.group("What gets them");
    line.flag("--contents", out.job.structure.contents,
              "the files in each source folder, instead of what is named");
    line.value("--subfolders", subfolders, "all|filled|none",
               "with --contents: in all of them, or only directly inside", "all");
    line.flag("--folders", out.job.structure.folders_too, "with --contents: folders as well as files");
    const CollisionOptions collisions(line);
    const SelectionOptions selection(line);
    line.group("How");
    line.flag("--plan", out.plan_only, "print the plan and change nothing");
    const CommonOptions common(line, out,
                               CommonOptions::json | CommonOptions::verbose | CommonOptions::progress);
    line.parse(names.take(words));
    common.read(out);
    out.job.operation = tavlo::Operation::rename;
    read_sources(sources, out.job);
    read_subfolders(subfolders, out.job);
    collisions.read(out.job.policy);
    selection.read(out.job.what);
    out.job.naming = names.read();
    if (out.job.naming.empty()) refuse("a new name wants a step; tavloctl rename --help lists them");
}

void read_remove(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::vector<std::string> sources;
    std::optional<std::string> to;
    line.rest("SOURCE", sources);
    line.group("What goes, and where to");
    line.flag("--contents", out.job.structure.contents,
              "what is in each source folder, not the folder itself");
    line.value("--to", to, "safe|trash",
               "where it can be brought back from: the Safe, or the trash of the desktop", "safe");
    const SelectionOptions selection(line);
    line.group("How");
    line.flag("--plan", out.plan_only, "print the plan and change nothing");
    const CommonOptions common(line, out,
                               CommonOptions::json | CommonOptions::verbose | CommonOptions::progress);
    line.parse(words);
    common.read(out);
    out.job.operation = tavlo::Operation::remove;
    read_sources(sources, out.job);
    out.job.shelf = one_of<tavlo::Shelf>("--to", to, tavlo::Shelf::safe,
                                         {{"safe", tavlo::Shelf::safe}, {"trash", tavlo::Shelf::trash}});
    selection.read(out.job.what);
}

void read_facts(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::vector<std::string> sources;
    line.rest("FILE", sources);
    const CommonOptions common(line, out, CommonOptions::json);
    line.parse(words);
    common.read(out);
    if (sources.empty()) refuse("FILE is required");
    read_sources(sources, out.job);
}

void read_job_name(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    line.group("Which");
    line.argument("NAME", out.saved, "the job, as `tavloctl jobs` lists it");
    const CommonOptions common(line, out, 0U);
    line.parse(words);
    common.read(out);
}

void read_job_save(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    line.group("Which");
    line.argument("JOB.json", out.saved, "the document; its name is the job's");
    line.flag("--replace", out.replaces, "a job of that name goes");
    const CommonOptions common(line, out, 0U);
    line.parse(words);
    common.read(out);
    out.saved = absolute(out.saved);
}

void read_run(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    line.group("Which");
    line.argument("NAME|JOB.json", out.saved, "a saved job; what ends in .json or has a '/' is a file");
    line.group("How");
    line.flag("--plan", out.plan_only, "print what each step would do now, and change nothing");
    line.flag("--notify", out.notify,
              "have the desktop say so, if there is one, where something needs a person");
    const CommonOptions common(line, out,
                               CommonOptions::json | CommonOptions::verbose | CommonOptions::progress);
    line.parse(words);
    common.read(out);
    if (out.saved.ends_with(".json") || out.saved.find('/') != std::string::npos)
        out.saved = absolute(out.saved);
}

void read_schedule(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    line.group("Which");
    line.argument("NAME", out.saved, "the job, as `tavloctl jobs` lists it");
    line.group("When; without any, as the job's document says");
    line.value("--calendar", out.schedule.calendar, "WHEN",
               "by the calendar: 'Mon..Fri 18:00', as systemd.time(7) has it");
    line.flag("--when-changed", out.schedule.when_changed,
              "when something changes in the folders that it takes from");
    line.flag("--never", out.never, "not by itself any more");
    const CommonOptions common(line, out, 0U);
    line.parse(words);
    common.read(out);
    const int given =
        (out.schedule.calendar ? 1 : 0) + (out.schedule.when_changed ? 1 : 0) + (out.never ? 1 : 0);
    if (given > 1) refuse("--calendar, --when-changed and --never exclude one another");
}

void read_by_id(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    line.group("Which");
    line.argument("ID", out.id, "the receipt, as `tavloctl receipts` lists it");
    const bool is_undo = out.command == Arguments::Command::undo;
    line.group("How");
    if (is_undo) line.flag("--plan", out.plan_only, "print the plan and change nothing");
    const CommonOptions common(
        line, out, CommonOptions::json | CommonOptions::progress | (is_undo ? CommonOptions::verbose : 0U));
    line.parse(words);
    common.read(out);
}

void read_list(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    const bool recovers = out.command == Arguments::Command::recover;
    const CommonOptions common(
        line, out, CommonOptions::json | (recovers ? CommonOptions::verbose | CommonOptions::progress : 0U));
    line.parse(words);
    common.read(out);
}

void read_restore(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::optional<std::string> into;
    line.group("Which, and where to");
    line.argument("ENTRY", out.id, "the version, as `tavloctl safe` lists it");
    line.value("--into", into, "FOLDER", "a folder other than where it was");
    const CommonOptions common(line, out, CommonOptions::json | CommonOptions::progress);
    line.parse(words);
    common.read(out);
    if (into && into->empty()) refuse("--into wants a folder, and got nothing");
    if (into) out.into = absolute(*into);
}

void read_empty(CommandLine& line, const std::vector<std::string>& words, Arguments& out) {
    std::optional<std::string> days;
    std::optional<std::string> of;
    line.group("Which; without either, all");
    line.value("--older-than", days, "DAYS", "only what was set aside so many days ago, or more");
    line.value("--of", of, "UNDO",
               "only what this undo took away, as far as its bytes stand in the source still");
    const CommonOptions common(line, out, CommonOptions::json | CommonOptions::progress);
    line.parse(words);
    common.read(out);
    if (of && of->empty()) refuse("--of wants the receipt of an undo, and got nothing");
    out.id = of.value_or("");
    if (of && days) refuse("--of and --older-than exclude each other");
    if (!days) return;
    std::uint64_t number = 0;
    const auto [end, error] = std::from_chars(days->data(), days->data() + days->size(), number);
    if (error != std::errc{} || end != days->data() + days->size() || days->empty())
        refuse("--older-than wants a number of days, not '" + tavlo::printable(*days) + "'");
    out.older_than_days = number;
}

using Read = void (*)(CommandLine&, const std::vector<std::string>&, Arguments&);

struct KnownCommand {
    std::string_view name;
    Arguments::Command command;
    Read read;
};
using Command = Arguments::Command;
constexpr KnownCommand known_commands[] = {
    {"copy", Command::copy, read_transfer},
    {"move", Command::move, read_transfer},
    {"rename", Command::rename, read_rename},
    {"remove", Command::remove, read_remove},
    {"pack", Command::pack, read_pack},
    {"unpack", Command::unpack, read_transfer},
    {"facts", Command::facts, read_facts},
    {"jobs", Command::jobs, read_list},
    {"job save", Command::job_save, read_job_save},
    {"job show", Command::job_show, read_job_name},
    {"job forget", Command::job_forget, read_job_name},
    {"run", Command::run, read_run},
    {"schedule", Command::schedule, read_schedule},
    {"receipts", Command::receipts, read_list},
    {"receipt", Command::receipt, read_by_id},
    {"check", Command::check, read_by_id},
    {"undo", Command::undo, read_by_id},
    {"recover", Command::recover, read_list},
    {"safe", Command::safe_list, read_list},
    {"safe restore", Command::safe_restore, read_restore},
    {"safe empty", Command::safe_empty, read_empty},
};

/// words  after the program's name; what belongs to the command's own name is taken off
Arguments read(std::vector<std::string> words) {
    std::string name = words.front();
    words.erase(words.begin());
    if ((name == "safe" || name == "job") && !words.empty() && !words.front().starts_with("-")) {
        name += ' ' + words.front();
        words.erase(words.begin());
    }
    const auto* known = std::find_if(std::begin(known_commands), std::end(known_commands),
                                     [&](const KnownCommand& one) { return one.name == name; });
    if (known == std::end(known_commands))
        refuse("there is no command '" + tavlo::printable(name) + "'; tavloctl --help names them");
    Arguments out;
    out.command = known->command;
    CommandLine line(help_for(name));
    known->read(line, words, out);
    return out;
}

}  // namespace

tl::expected<Arguments, NotToRun> read_arguments(int count, char** given) {
    std::vector<std::string> words(given + 1, given + count);
    put_command_first(words);
    if (words.empty()) return tl::unexpected(NotToRun{2, "no command; tavloctl --help names them"});
    if (words.front() == "--help" || words.front() == "-h") return tl::unexpected(NotToRun{0, overview()});
    if (words.front() == "--version") return tl::unexpected(NotToRun{0, "tavloctl " TAVLO_VERSION "\n"});
    try {
        return read(std::move(words));
    } catch (const HelpWanted& help) {
        return tl::unexpected(NotToRun{0, help.text});
    } catch (const Refusal& refusal) {
        return tl::unexpected(NotToRun{2, refusal.why});
    }
}

std::vector<OptionHelp> options_of(std::string_view command) {
    std::istringstream parts{std::string(command)};
    std::vector<std::string> words{std::istream_iterator<std::string>(parts), {}};
    words.emplace_back("--help");
    try {
        read(std::move(words));
    } catch (HelpWanted& help) {
        return std::move(help.options);
    }
    return {};
}
