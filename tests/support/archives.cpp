// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/archives.h"

#include <archive.h>
#include <archive_entry.h>

#include <cstdio>
#include <fstream>
#include <memory>

#include "support/catch.h"

std::string by_python(const std::string& folder, std::string_view script) {
    const std::string file = folder + "/.script.py";
    {
        std::ofstream out(file);
        out << "import io, os, struct, sys, tarfile, warnings, "
               "zipfile\nwarnings.simplefilter('ignore')\nos.chdir(os.path.dirname(sys.argv[0]))\n"
            << "def member(tar, name, data=b'', **more):\n"
            << "    info = tarfile.TarInfo(name); info.size = len(data); info.mtime = 1900000000\n"
            << "    for key, value in more.items(): setattr(info, key, value)\n"
            << "    tar.addfile(info, io.BytesIO(data))\n"
            << script;
    }
    const std::string command = "python3 '" + file + "' 2>&1";
    const std::unique_ptr<FILE, decltype(&::pclose)> pipe(::popen(command.c_str(), "r"), &::pclose);
    std::string said;
    for (int c = std::fgetc(pipe.get()); c != EOF; c = std::fgetc(pipe.get())) said += static_cast<char>(c);
    std::remove(file.c_str());
    if (said.find("Traceback") != std::string::npos) FAIL(said);
    return said;
}

void write_archive(const std::string& path, const char* format,
                   const std::vector<std::pair<std::string, std::string>>& files) {
    const std::unique_ptr<archive, decltype(&::archive_write_free)> out(::archive_write_new(),
                                                                        &::archive_write_free);
    REQUIRE(::archive_write_set_format_by_name(out.get(), format) == ARCHIVE_OK);
    REQUIRE(::archive_write_open_filename(out.get(), path.c_str()) == ARCHIVE_OK);
    for (const auto& [name, bytes] : files) {
        const std::unique_ptr<archive_entry, decltype(&::archive_entry_free)> entry(::archive_entry_new(),
                                                                                    &::archive_entry_free);
        ::archive_entry_set_pathname(entry.get(), name.c_str());
        ::archive_entry_set_filetype(entry.get(), AE_IFREG);
        ::archive_entry_set_perm(entry.get(), 0640);
        ::archive_entry_set_size(entry.get(), static_cast<la_int64_t>(bytes.size()));
        ::archive_entry_set_mtime(entry.get(), 1'900'000'000, 0);
        REQUIRE(::archive_write_header(out.get(), entry.get()) == ARCHIVE_OK);
        REQUIRE(::archive_write_data(out.get(), bytes.data(), bytes.size()) ==
                static_cast<la_ssize_t>(bytes.size()));
    }
    REQUIRE(::archive_write_close(out.get()) == ARCHIVE_OK);
}
