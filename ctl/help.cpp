// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "help.h"

#include <fmt/format.h>

#include <algorithm>

namespace {

constexpr CommandHelp commands[] = {
    {"copy",
     "copy SOURCE... --into FOLDER [options]",
     "Copies files and folders into a folder. Nothing that is there is destroyed: where a name is taken, the "
     "item stays undecided "
     "until you say what happens, and what is overwritten goes to the Safe.",
     {"tavloctl copy ~/Permits --into /mnt/archive",
      "tavloctl copy in/ --contents --into out --when same=skip --when newer=overwrite",
      "tavloctl copy ~/Scans --into /mnt/archive --name '*.pdf' --changed-after 30d --plan"}},
    {"move",
     "move SOURCE... --into FOLDER [options]",
     "Moves files and folders into a folder. Between file systems a source goes only once its copy is "
     "durable and was read back.",
     {"tavloctl move ~/Inbox/2031 --into /mnt/archive",
      "tavloctl move ~/Inbox --contents --into ~/Cases --on-collision rename",
      "tavloctl move ~/Scans --into /mnt/archive --list wanted.txt"}},
    {"rename",
     "rename SOURCE... NAME-STEPS [options]",
     "Gives new names to files and folders where they are. A name that is given up in the same run is free "
     "for another, in chains and "
     "rings "
     "too; where something else holds it, the item stays undecided until you say what happens.",
     {"tavloctl rename scan-*.pdf --prefix permit- --case lower",
      "tavloctl rename ~/Scans --contents --add-to-numbers 1 --plan",
      "tavloctl rename ~/Scans --contents --name-as '{n:3} {name}{ext}' --count-from 10"}},
    {"remove",
     "remove SOURCE... [options]",
     "Takes files and folders away, to the Safe: they come back with the undo, for as long as they lie "
     "there. A folder goes with all that "
     "is "
     "in it, unless files in it are chosen; then folders stay.",
     {"tavloctl remove ~/Scans/2029", "tavloctl remove ~/Scanner --contents --changed-before 90d --plan",
      "tavloctl remove ~/Inbox --name '*.tmp'"}},
    {"pack",
     "pack SOURCE... --into FILE [options]",
     "Packs files and folders into one archive. It has its name once everything was read back out of it and "
     "compared; sources go only if "
     "you "
     "say so, and only then.",
     {"tavloctl pack ~/Permits --into ~/Mail/permits.zip",
      "tavloctl pack ~/Cases/2030 --into /mnt/archive/2030.tar.xz --compression small --then-remove",
      "tavloctl pack ~/Scans --contents --into scans.tar.gz --changed-after 30d --plan"}},
    {"unpack",
     "unpack ARCHIVE... --into FOLDER [options]",
     "Takes files out of archives: zip, tar however pressed, 7z, iso, cpio and more. Each comes in a folder "
     "of its name, or in the one "
     "that "
     "all it holds lies in. What is damaged, encrypted or leads out of FOLDER fails by itself, and nothing "
     "of it gets a name.",
     {"tavloctl unpack ~/Mail/permits.zip --into ~/Cases",
      "tavloctl unpack year-2030.tar.gz --contents --into ~/Archive --name '*.pdf'",
      "tavloctl unpack in.7z --into ~/Inbox --when same=skip --plan"}},
    {"facts",
     "facts FILE... [--json]",
     "Shows what files tell about themselves: what patterns and --with know of them. Changes nothing.",
     {"tavloctl facts quay-003.jpg", "tavloctl facts ~/Photos/*.jpg --json",
      "tavloctl facts notice.odt | grep author"}},
    {"jobs",
     "jobs [--json]",
     "Lists saved jobs, with how their last run ended and when the next one comes; one whose document is "
     "broken with its fault.",
     {"tavloctl jobs", "tavloctl jobs --json", "tavloctl jobs --state /var/lib/office/tavlo"}},
    {"job save",
     "job save JOB.json [--replace]",
     "Keeps a job under the name that its document says. Paths in it mean what they mean where the document "
     "is.",
     {"tavloctl job save permits.json", "tavloctl job save permits.json --replace",
      "tavloctl job save /srv/office/jobs/clear-scanner.json"}},
    {"job show",
     "job show NAME",
     "Prints a saved job's document.",
     {"tavloctl job show 'Permits of the month'", "tavloctl job show scans > scans.json",
      "tavloctl job show scans | less"}},
    {"job forget",
     "job forget NAME",
     "Takes a saved job away, and what runs it by itself. Its receipts stay.",
     {"tavloctl job forget scans", "tavloctl job forget 'Permits of the month'",
      "tavloctl job forget -- -old-"}},
    {"run",
     "run NAME | JOB.json [--plan] [--json]",
     "Runs a job, step by step, with a receipt for each. The first step that does not end well ends it, "
     "unless that step says to go on. "
     "Nothing is asked: what its rules leave open stays undecided.",
     {"tavloctl run 'Permits of the month'", "tavloctl run ./permits.json --plan",
      "tavloctl run scans --json"}},
    {"schedule",
     "schedule NAME [--calendar WHEN | --when-changed | --never]",
     "Has a saved job run by itself, by a timer or a path of your systemd; or not any more.",
     {"tavloctl schedule scans --calendar 'Mon..Fri 18:00'", "tavloctl schedule scans --when-changed",
      "tavloctl schedule scans --never"}},
    {"receipts",
     "receipts [--json]",
     "Lists past runs, newest first, each with the id that the other commands take.",
     {"tavloctl receipts", "tavloctl receipts --json", "tavloctl receipts --state /var/lib/office/tavlo"}},
    {"receipt",
     "receipt ID [--json]",
     "Shows one run, item by item: what was done, where it ended up, and what failed for which reason.",
     {"tavloctl receipt 20310502-091407-k3f9", "tavloctl receipt 20310502-091407-k3f9 --json",
      "tavloctl receipt 20310502-091407-k3f9 | grep ^failed"}},
    {"check",
     "check ID [--json]",
     "Reads again what a run put in place and compares it with what its receipt says. Answers 1 where "
     "something differs.",
     {"tavloctl check 20310502-091407-k3f9", "tavloctl check 20310502-091407-k3f9 --json",
      "tavloctl check 20310502-091407-k3f9 --progress never"}},
    {"undo",
     "undo ID [--plan] [--json]",
     "Puts things back as they were before a run. What an undo takes away goes to the Safe; what was changed "
     "since stays undecided "
     "(3). An undo has a receipt of its own and can be undone.",
     {"tavloctl undo 20310502-091407-k3f9 --plan", "tavloctl undo 20310502-091407-k3f9",
      "tavloctl undo 20310502-091407-k3f9 --json"}},
    {"recover",
     "recover [--json]",
     "Finishes or takes back what interrupted runs left. Safe to repeat; a run that is still alive is left "
     "alone.",
     {"tavloctl recover", "tavloctl recover --verbose", "tavloctl recover --json"}},
    {"safe",
     "safe [--json]",
     "Lists the versions that were set aside: what was overwritten, cleared away, or taken back by an undo.",
     {"tavloctl safe", "tavloctl safe --json", "tavloctl safe | sort -k4 -n"}},
    {"safe restore",
     "safe restore ENTRY [--into FOLDER] [--json]",
     "Brings one version back to the place that it held, or into another folder. A name that is held is "
     "refused (3).",
     {"tavloctl safe restore 20310502-091407-k3f9.17",
      "tavloctl safe restore 20310502-091407-k3f9.17 --into ~/Found",
      "tavloctl safe restore 20310502-091407-k3f9.17 --json"}},
    {"safe empty",
     "safe empty [--older-than DAYS | --of UNDO] [--json]",
     "Removes versions from the Safe for good. This is the one command that destroys anything.",
     {"tavloctl safe empty --older-than 90", "tavloctl safe empty --of 20310502-101500-p2m7",
      "tavloctl safe empty"}},
};

}  // namespace

std::span<const CommandHelp> all_commands() { return commands; }

const CommandHelp& help_for(std::string_view command) {
    return *std::find_if(std::begin(commands), std::end(commands),
                         [&](const CommandHelp& one) { return one.name == command; });
}

std::string overview() {
    std::string text = "tavloctl copies and moves batches of files, and never loses one on the way.\n\n";
    for (const CommandHelp& one : commands) {
        const auto first_sentence = std::min(one.about.find(". "), one.about.size() - 1) + 1;
        text += fmt::format("  tavloctl {}\n      {}\n", one.usage, one.about.substr(0, first_sentence));
    }
    return text + "\ntavloctl COMMAND --help says more.\n";
}
