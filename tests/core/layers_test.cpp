// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>
#include <fstream>
#include <map>
#include <regex>
#include <set>
#include <sstream>

#include "support/catch.h"

// What may rest on what (ARCHITECTURE.md), read off the includes.

namespace {

std::map<std::string, std::set<std::string>> includes_of(const std::filesystem::path& folder) {
    const std::regex include("#include \"([^\"]+)\"");
    std::map<std::string, std::set<std::string>> found;
    for (const auto& entry : std::filesystem::recursive_directory_iterator(folder)) {
        const auto kind = entry.path().extension();
        if (kind != ".h" && kind != ".cpp") continue;
        std::ifstream in(entry.path());
        std::ostringstream text;
        text << in.rdbuf();
        const std::string all = text.str();
        for (std::sregex_iterator at(all.begin(), all.end(), include), end; at != end; ++at)
            found[entry.path().lexically_relative(folder).string()].insert((*at)[1].str());
    }
    return found;
}

std::string folder_of(const std::string& path) { return path.substr(0, path.find('/')); }

}  // namespace

TEST_CASE("each folder of the core rests on those before it alone", "[layers]") {
    const std::vector<std::string> order{"files",  "archive", "names", "select", "batch",   "facts", "layout",
                                         "survey", "plan",    "keep",  "run",    "recover", "undo",  "job"};
    const auto place = [&](const std::string& folder) {
        return std::find(order.begin(), order.end(), folder) - order.begin();
    };
    const auto all = includes_of(std::filesystem::path(SOURCE) / "core");
    CHECK(all.size() > 100);
    for (const auto& [file, includes] : all) {
        REQUIRE(place(folder_of(file)) < static_cast<std::ptrdiff_t>(order.size()));
        for (const auto& include : includes) {
            CAPTURE(file, include);
            CHECK(place(folder_of(include)) <= place(folder_of(file)));
        }
    }
}

TEST_CASE("the core includes nothing of Qt, and no public header of it SQLite or JSON", "[layers]") {
    const std::regex of_qt("#include <Q[A-Z]");
    const std::regex of_a_library("#include <(SQLiteCpp|nlohmann|sqlite3)");
    const std::set<std::string> inside{"sqlite_rows.h", "json_bytes.h", "members.h", "job_members.h",
                                       "remembering_store.h"};
    for (const auto& entry :
         std::filesystem::recursive_directory_iterator(std::filesystem::path(SOURCE) / "core")) {
        if (!entry.is_regular_file()) continue;
        std::ifstream in(entry.path());
        std::ostringstream text;
        text << in.rdbuf();
        const std::string name = entry.path().filename();
        CAPTURE(entry.path().string());
        CHECK_FALSE(std::regex_search(text.str(), of_qt));
        const bool is_public = name.ends_with(".h") && !name.ends_with("_rows.h") && name != "schema.h" &&
                               !inside.contains(name);
        if (is_public) CHECK_FALSE(std::regex_search(text.str(), of_a_library));
    }
}

TEST_CASE("views and models make no call to a disk: tasks do", "[layers]") {
    for (const char* folder : {"app/views", "app/models"})
        for (const auto& [file, includes] : includes_of(std::filesystem::path(SOURCE) / folder))
            for (const auto& include : includes) {
                CAPTURE(folder, file, include);
                CHECK(include != "files/file_system.h");
                CHECK(folder_of(include) != "run");
            }
}

TEST_CASE("pages have no lengths and no kinds of text of their own", "[layers]") {
    const std::regex by_hand(
        "setContentsMargins\\([0-9a-z]|set(Horizontal|Vertical)?Spacing\\([0-9]|setPointSize|setPixelSize|"
        "setWeight\\(|setBold\\(");
    const auto folder = std::filesystem::path(SOURCE) / "app/views";
    for (const auto& entry : std::filesystem::recursive_directory_iterator(folder)) {
        if (!entry.is_regular_file()) continue;
        std::ifstream in(entry.path());
        std::string line;
        for (int number = 1; std::getline(in, line); ++number) {
            CAPTURE(entry.path(), number, line);
            CHECK((entry.path().filename() == "spacing.h" || !std::regex_search(line, by_hand)));
        }
    }
}

TEST_CASE("every source says whose it is, and by which licence it may be used", "[layers]") {
    int sources = 0;
    for (const char* folder : {"core", "ctl", "app", "archives", "facts", "demo", "bench", "tests"})
        for (const auto& entry :
             std::filesystem::recursive_directory_iterator(std::filesystem::path(SOURCE) / folder)) {
            if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
            std::ifstream in(entry.path());
            std::string first;
            std::string second;
            std::getline(in, first);
            std::getline(in, second);
            CAPTURE(entry.path());
            CHECK(first.starts_with("// SPDX-FileCopyrightText: "));
            CHECK(second == "// SPDX-License-Identifier: GPL-3.0-or-later");
            ++sources;
        }
    CHECK(sources > 500);
}

TEST_CASE("no file is longer than 500 lines, and no function than a screen", "[layers]") {
    constexpr int longest_file = 500;
    constexpr int longest_function = 60;
    for (const char* folder : {"core", "ctl", "app", "archives", "facts"})
        for (const auto& entry :
             std::filesystem::recursive_directory_iterator(std::filesystem::path(SOURCE) / folder)) {
            if (entry.path().extension() != ".h" && entry.path().extension() != ".cpp") continue;
            std::ifstream in(entry.path());
            int number = 0;
            int begun = 0;  // by how the sources are laid out: what ends with a brace alone began on a line
                            // that is not indented
            for (std::string line; std::getline(in, line);) {
                ++number;
                if (line == "}" && begun > 0) {
                    CAPTURE(entry.path(), begun);
                    CHECK(number - begun < longest_function);
                }
                if (!line.empty() && line.front() != ' ' && line.front() != '}' && line.front() != '/')
                    begun = number;
            }
            CAPTURE(entry.path());
            CHECK(number <= longest_file);
        }
}

TEST_CASE("no test has a name that would be parted, and so never be run by itself", "[layers]") {
    const std::regex parted("TEST_CASE\\(\\s*\"[^\"]*;");  // CMake's lists
    for (const auto& entry :
         std::filesystem::recursive_directory_iterator(std::filesystem::path(SOURCE) / "tests")) {
        if (entry.path().extension() != ".cpp") continue;
        std::ifstream in(entry.path());
        std::ostringstream text;
        text << in.rdbuf();
        CAPTURE(entry.path().string());
        CHECK_FALSE(std::regex_search(text.str(), parted));
    }
}
