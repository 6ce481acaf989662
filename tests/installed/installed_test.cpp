// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/wait.h>

#include <array>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <sstream>

#include "support/catch.h"
#include "support/temp_folder.h"

// What `cmake --install` lands, and what those say of it that the standards' own programs are.

namespace {

struct Said {
    int status = -1;
    std::string text;  ///< on both outputs
};

Said run(const std::string& line) {
    Said said;
    FILE* pipe = ::popen((line + " 2>&1").c_str(), "r");
    REQUIRE(pipe != nullptr);
    std::array<char, 4096> piece{};
    for (std::size_t got = 0; (got = std::fread(piece.data(), 1, piece.size(), pipe)) > 0;)
        said.text.append(piece.data(), got);
    const int ended = ::pclose(pipe);
    said.status = WIFEXITED(ended) ? WEXITSTATUS(ended) : -1;
    return said;
}

bool is_here(const std::string& program) { return run("command -v " + program).status == 0; }

/// As it is installed below a folder of the test's own, once for all of them.
const std::string& installed() {
    static const TempFolder root;
    static const Said made =
        run("DESTDIR='" + root.path() + "' '" CMAKE_PROGRAM "' --install '" BUILD_FOLDER "'");
    INFO(made.text);
    REQUIRE(made.status == 0);
    static const std::string prefix = root.path() + PREFIX;
    return prefix;
}

/// The program says that all is well; where it is not there, the test says so.
void proves(const std::string& program, const std::string& line) {
    if (!is_here(program)) {
        WARN("skipped: there is no " + program);
        return;
    }
    const Said said = run(line);
    CAPTURE(line, said.text);
    CHECK(said.status == 0);
}

/// What bash would offer for a line that is being typed.
std::vector<std::string> offered(const std::vector<std::string>& words, const std::string& folder = "/") {
    std::string line = "cd '" + folder + "'; . '" + installed() +
                       "/share/bash-completion/completions/tavloctl'; compopt() { :; }; COMP_WORDS=(";
    for (const auto& word : words) line += "'" + word + "' ";
    line += "); COMP_CWORD=" + std::to_string(words.size() - 1) +
            "; _tavloctl; printf '%s\\n' \"${COMPREPLY[@]}\"";
    std::istringstream lines(run("bash -c \"" +
                                 [&] {
                                     std::string escaped;
                                     for (const char c : line) {
                                         if (c == '"' || c == '$' || c == '\\') escaped += '\\';
                                         escaped += c;
                                     }
                                     return escaped;
                                 }() +
                                 "\"")
                                 .text);
    std::vector<std::string> all;
    for (std::string one; std::getline(lines, one);)
        if (!one.empty()) all.push_back(one);
    return all;
}

}  // namespace

TEST_CASE(
    "what is installed is where desktops and shells look for it, and each is what its standard asks for",
    "[installed]") {
    const std::string& prefix = installed();
    const TempFolder temp;
    const auto has = [&](const std::string& path) {
        CAPTURE(path);
        CHECK(run("test -s '" + prefix + path + "'").status == 0);
    };
    has("/bin/tavloctl");
    has("/libexec/tavlo/tavlo-archive");
    has("/libexec/tavlo/tavlo-facts");
    for (const char* page : {"tavloctl.1"}) has(std::string("/share/man/man1/") + page);
    proves("mandoc", "mandoc -Tlint -W warning '" + prefix + "/share/man/man1/tavloctl.1'");
    proves("bash", "bash -n '" + prefix + "/share/bash-completion/completions/tavloctl'");
    proves("zsh", "zsh -n '" + prefix + "/share/zsh/site-functions/_tavloctl'");
    proves("fish", "fish -n '" + prefix + "/share/fish/vendor_completions.d/tavloctl.fish'");
    if (!WITH_APP) return;
    has("/bin/tavlo");
    has("/libexec/tavlo/tavlo-look");
    has("/share/icons/hicolor/scalable/apps/io.github.tavlo.Tavlo.svg");
    has("/share/dbus-1/services/io.github.tavlo.Tavlo.service");
    proves("mandoc", "mandoc -Tlint -W warning '" + prefix + "/share/man/man1/tavlo.1'");
    proves("desktop-file-validate",
           "desktop-file-validate '" + prefix + "/share/applications/io.github.tavlo.Tavlo.desktop'");
    proves("appstreamcli", "appstreamcli validate --no-net --pedantic '" + prefix +
                               "/share/metainfo/io.github.tavlo.Tavlo.metainfo.xml'");
    CHECK(run("grep -c '^Exec=tavlo %U$' '" + prefix + "/share/applications/io.github.tavlo.Tavlo.desktop'")
              .text == "1\n");
    CHECK(run("grep -c '^Exec=/.*/bin/tavlo --service$' '" + prefix +
              "/share/dbus-1/services/io.github.tavlo.Tavlo.service'")
              .text == "1\n");
}

TEST_CASE("the manual page of tavloctl names every option that a command has", "[installed]") {
    const std::string page =
        run("mandoc -Tutf8 '" + installed() + "/share/man/man1/tavloctl.1' | col -bx").text;
    REQUIRE(page.size() > 5000);
    for (const char* command : {"copy", "move", "rename", "remove", "pack", "unpack", "undo", "run",
                                "schedule", "safe empty", "safe restore"}) {
        std::istringstream lines(run("'" + installed() + "/bin/tavloctl' " + command + " --help").text);
        for (std::string line; std::getline(lines, line);) {
            const auto at = line.find("  --");
            if (at != 0) continue;
            const std::string option = line.substr(2, line.find(' ', 2) - 2);
            CAPTURE(command, option);
            CHECK(page.find(option) != std::string::npos);
        }
    }
}

TEST_CASE("bash offers commands, a command's own options, and the values that an option has", "[installed]") {
    using Words = std::vector<std::string>;
    const auto has = [](const Words& all, const std::string& one) {
        return std::find(all.begin(), all.end(), one) != all.end();
    };
    CHECK(offered({"tavloctl", "un"}) == Words{"unpack", "undo"});
    CHECK(offered({"tavloctl", "safe", ""}) == Words{"restore", "empty"});
    CHECK(offered({"tavloctl", "safe", "empty", "--o"}) == Words{"--older-than", "--of"});
    CHECK(offered({"tavloctl", "copy", "--links", ""}) == Words{"keep", "follow"});
    CHECK(offered({"tavloctl", "copy", "x", "--on-collision", "s"}) == Words{"skip"});
    CHECK(has(offered({"tavloctl", "rename", "x", "--c"}), "--case"));
    CHECK_FALSE(has(offered({"tavloctl", "rename", "x", "--"}), "--sort-into"));
    CHECK(has(offered({"tavloctl", "copy", "x", "--"}), "--sort-into"));
    TempFolder temp;
    temp.write("scans/a.pdf", "1");
    temp.write("note.txt", "2");
    CHECK(offered({"tavloctl", "copy", "x", "--into", ""}, temp.path()) == Words{"scans"});
    CHECK(offered({"tavloctl", "copy", "n"}, temp.path()) == Words{"note.txt"});
}

TEST_CASE("the programs run from where they are installed", "[installed]") {
    CHECK(run("'" + installed() + "/bin/tavloctl' --version").text == "tavloctl " VERSION "\n");
    if (WITH_APP)
        CHECK(run("env -u DISPLAY -u WAYLAND_DISPLAY '" + installed() + "/bin/tavlo' --version").text ==
              "tavlo " VERSION "\n");
}

TEST_CASE("each helper starts from where it is installed, below DESTDIR, under another prefix and when moved",
          "[installed]") {
    const TempFolder temp;
    temp.write("note.txt", "one line\n");
    std::string prefix = installed();
    const std::string place = GENERATE("DESTDIR", "another prefix", "moved");
    CAPTURE(place);
    if (place != "DESTDIR") {
        prefix = temp.path("other");
        const Said made = run("'" CMAKE_PROGRAM "' --install '" BUILD_FOLDER "' --prefix '" + prefix + "'");
        INFO(made.text);
        REQUIRE(made.status == 0);
    }
    if (place == "moved") {
        std::filesystem::rename(prefix, temp.path("moved"));
        prefix = temp.path("moved");
    }
    const std::string ctl = "'" + prefix + "/bin/tavloctl' ";
    const std::string state = " --state '" + temp.path("state") + "'";
    const Said facts = run(ctl + "facts '" + temp.path("note.txt") + "' --json" + state);
    CAPTURE(facts.text);
    CHECK(facts.status == 0);
    const Said packed =
        run(ctl + "pack '" + temp.path("note.txt") + "' --into '" + temp.path("a.zip") + "'" + state);
    CAPTURE(packed.text);
    CHECK(packed.status == 0);
    const Said unpacked =
        run(ctl + "unpack '" + temp.path("a.zip") + "' --into '" + temp.path("out") + "'" + state);
    CAPTURE(unpacked.text);
    CHECK(unpacked.status == 0);
    CHECK(temp.read("out/a/note.txt") == "one line\n");
    if (WITH_APP) {
        const Said look = run("'" + prefix + "/libexec/tavlo/tavlo-look' '" + temp.path("note.txt") + "'");
        CAPTURE(look.text);
        CHECK(look.status == 0);
        CHECK(look.text.find("one line") != std::string::npos);
    }
    if (place != "moved") return;
    std::filesystem::remove(prefix + "/libexec/tavlo/tavlo-archive");  // it was that one, and no other
    const Said without =
        run(ctl + "unpack '" + temp.path("a.zip") + "' --into '" + temp.path("again") + "'" + state);
    CAPTURE(without.text);
    CHECK(without.status == 2);
    CHECK(without.text.find("tavlo-archive: is missing: Tavlo is not completely installed") !=
          std::string::npos);
}
