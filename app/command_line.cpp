// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "command_line.h"

#include <QByteArray>

#include "files/path.h"
#include "tasks/file_clips.h"

CommandLine read_command_line(const std::vector<std::string>& words, const std::string& here) {
    CommandLine read;
    bool options = true;
    for (const auto& word : words) {
        if (options && word == "--") {
            options = false;
        } else if (options && (word == "--help" || word == "-h")) {
            read.help = true;
        } else if (options && word == "--version") {
            read.version = true;
        } else if (options && word == "--service") {
            read.service = true;
        } else if (options && word.starts_with('-') && word.size() > 1) {
            read.wrong = word + " is no option; tavlo --help lists them";
        } else if (word.empty()) {
            read.wrong = "an empty word is no path";
        } else if (word.find("://") != std::string::npos && word.find('/') == word.find("://") + 1) {
            const std::string path = path_from_uri(QByteArray::fromStdString(word));
            if (path.empty())
                read.wrong = word + " leads to no file of this machine";
            else
                read.places.push_back(path);
        } else {
            read.places.push_back(tavlo::normalised(word, here));
        }
    }
    return read;
}

std::string usage() {
    return "tavlo [FOLDER | FILE]...\n"
           "\n"
           "Opens a window on each folder, or on the folder of each file, with the file selected; without "
           "any, on the home folder.\n"
           "A place may be a path or a file:// address.\n"
           "\n"
           "  --help     this\n"
           "  --version  the version\n"
           "  --         what follows is a place, whatever it begins with\n"
           "\n"
           "tavloctl does the same work from scripts; tavloctl --help tells how.\n";
}
