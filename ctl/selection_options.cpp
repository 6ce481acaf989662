// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "selection_options.h"

#include <algorithm>

#include "facts/fact_wish.h"
#include "files/path.h"
#include "job/choosing.h"
#include "keep/store.h"
#include "paths.h"
#include "select/kinds.h"

namespace {

std::string known_kinds() {
    std::string names;
    if (const auto kinds = tavlo::load_kinds())
        for (const tavlo::Kind& kind : kinds->all()) names += (names.empty() ? "" : ", ") + kind.name;
    return names;
}

}  // namespace

SelectionOptions::SelectionOptions(CommandLine& line) {
    line.group("Which files (folders come along as far as --subfolders says)");
    line.list("--name", files_.name, "GLOB", "only files whose whole name fits, case-sensitive: * ? […]");
    line.list("--not-name", files_.not_name, "GLOB", "no files whose whole name fits");
    line.list("--kind", files_.kind, "KIND", "only files of a kind: " + known_kinds());
    line.value("--larger", files_.larger, "SIZE",
               "only files of more than SIZE: 500, 20K, 1.5M, 2G; powers of 1024");
    line.value("--smaller", files_.smaller, "SIZE", "only files of less than SIZE");
    line.value("--changed-after", files_.changed_after, "WHEN",
               "only files changed after: 2031-05-02, 2031-05-02T09:00 (local time), 30d for 30 days ago, "
               "last-month for its beginning");
    line.value("--changed-before", files_.changed_before, "WHEN", "only files changed before");
    line.value("--filter", files_.filter, "WORDS",
               "only files whose names hold these words, in any case: 'permit -draft *.pdf'");
    line.value("--regex", files_.regex, "RE", "only files with this RE2 expression anywhere in the name");
    line.value(
        "--number", files_.number, "FROM-TO|even|odd",
        "only files with a number in the name that lies in the range: 120-135; even, odd: of the last one");
    line.list(
        "--with", files_.with, "FACT=GLOB",
        "only files of which the fact fits, written as in a folder's name: town=Thurso, 'taken=2031-05-*'");
    line.list("--not-below", not_below_, "GLOB",
              "no folder inside a SOURCE whose whole name fits, nor what is in it");
    line.value("--folders-larger", folders_larger_, "SIZE",
               "not files but folders, each whole: the outermost whose files add up to more than SIZE");
    line.flag("--empty-folders", empty_folders_,
              "not files but folders, each whole: the outermost below which there is no file");
    line.value("--list", list_, "FILE",
               "only files named in FILE, a name a line, in UTF-8, UTF-16 or Latin-1; - reads standard "
               "input. Lines that fit nothing are "
               "reported and make the status 1");
}

void SelectionOptions::read(tavlo::Selection& out) const {
    using namespace tavlo;
    if (const auto meant = criteria_from(files_, now_ns()); !meant) {
        std::string option = "--" + meant.error().path;
        std::replace(option.begin(), option.end(), '_', '-');
        refuse(option + " " + meant.error().step);
    }
    if (const auto wishes = fact_wishes_from(files_.with); !wishes) refuse("--with " + wishes.error().step);
    const bool chooses_folders = folders_larger_ || empty_folders_;
    if (folders_larger_ && empty_folders_) refuse("--folders-larger and --empty-folders exclude each other");
    if (chooses_folders && (!files_.empty() || list_))
        refuse(std::string(empty_folders_ ? "--empty-folders" : "--folders-larger") +
               " goes with no option that chooses files");
    out.folders_larger = folders_larger_;
    out.empty_folders = empty_folders_;
    if (const auto size = folder_size_from(out); !size) refuse("--folders-larger " + size.error().step);
    out.files = files_;
    out.not_below = not_below_;
    if (list_) out.list = *list_ == "-" ? *list_ : absolute(*list_);
}
