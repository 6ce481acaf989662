// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/schedule.h"

#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <ctime>
#include <set>
#include <sstream>

#include "files/helper.h"
#include "files/home.h"
#include "files/path.h"
#include "files/small_file.h"
#include "files/types.h"
#include "names/pattern.h"

namespace tavlo {

namespace {

constexpr std::size_t longest_unit = 255;  // UNIT_NAME_MAX, systemd.unit(5): with the kind behind

/// As systemd-escape(1) does: '/' is '-', what is no letter, digit, ':', '_' or '.' is "\xHH", a dot at the
/// begin too.
std::string escaped(const std::string& text) {
    std::string out;
    for (const char c : text) {
        const bool is_plain = (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') ||
                              c == ':' || c == '_' || (c == '.' && !out.empty());
        if (c == '/')
            out += '-';
        else if (is_plain)
            out += c;
        else
            out += fmt::format("\\x{:02x}", static_cast<unsigned char>(c));
    }
    return out;
}

std::string unit_of(const std::string& job) { return "tavlo-job-" + escaped(job); }

/// systemd.unit(5): '%' begins a specifier.
std::string without_specifiers(const std::string& text) {
    std::string out;
    for (const char c : text) out.append(c == '%' ? 2 : 1, c);
    return out;
}

/// A word of a command line, systemd.service(5), "COMMAND LINES": in quotes, with '$' doubled and C escapes.
std::string word(const std::string& text) {
    std::string out = "\"";
    for (const char c : text) {
        if (c == '"' || c == '\\')
            out += std::string("\\") + c;
        else if (c == '$' || c == '%')
            out.append(2, c);
        else if (static_cast<unsigned char>(c) < 0x20 || c == 0x7f)
            out += fmt::format("\\x{:02x}", static_cast<unsigned char>(c));
        else
            out += c;
    }
    return out + "\"";
}

/// The folders that a job takes from, as far as they are the same whenever it runs.
std::set<std::string> watched(const SavedJob& job) {
    std::set<std::string> folders;
    for (const JobStep& step : job.steps) {
        const auto* work = std::get_if<Job>(&step.what);
        if (work == nullptr) continue;
        for (const auto& source : work->what.sources) {
            const auto pattern = Pattern::parse(source);
            if (!pattern || pattern->uses("now")) continue;
            std::string path =
                at_time(*work, job.name, 0)
                    .what.sources[static_cast<std::size_t>(&source - work->what.sources.data())];
            if (path.size() > 1 && path.ends_with('/')) path.pop_back();
            folders.insert(std::move(path));
        }
    }
    return folders;
}

/// Whatever systemd has to say of it; empty: it is done
std::string systemctl(const std::vector<std::string>& words) {
    std::vector<std::string> line{"systemctl", "--user"};
    line.insert(line.end(), words.begin(), words.end());
    const auto answer = ask_program(line);
    if (!answer) return "systemctl cannot be started";
    if (answer->status == 0) return {};
    const std::string said = answer->text.substr(0, answer->text.find('\n'));
    return said.empty() ? "systemctl answered " + fmt::format("{}", answer->status) : said;
}

std::optional<std::int64_t> moment_in(const std::string& text) {
    const auto zone = text.rfind(" UTC");
    if (zone == std::string::npos) return std::nullopt;
    std::tm time{};
    // "Fri 2031-05-02 18:00:00 UTC"
    const char* end = ::strptime(text.c_str(), " %a %Y-%m-%d %H:%M:%S", &time);
    if (end == nullptr) return std::nullopt;
    return static_cast<std::int64_t>(::timegm(&time)) * second_ns;
}

}  // namespace

Result<std::vector<std::int64_t>> next_by_calendar(const std::string& expression, int times) {
    const auto answer =
        ask_program({"systemd-analyze", "calendar", fmt::format("--iterations={}", times), "--", expression});
    if (!answer)
        return failure(Fault::unsupported, "cannot be checked: systemd-analyze is not there", expression);
    if (answer->status != 0)
        return failure(Fault::refused, "is no calendar expression that systemd knows (systemd.time(7))",
                       expression);
    std::istringstream lines(answer->text);
    std::vector<std::int64_t> next;
    // "Next elapse: Fri … UTC", then "Iter. #2: …"; where local time is another, "(in UTC): …" below each
    for (std::string line; std::getline(lines, line);)
        for (const std::string_view heading : {"Next elapse: ", "(in UTC): ", "Iter. #"})
            if (const auto at = line.find(heading); at != std::string::npos)
                if (const auto colon = line.find(": ", at); colon != std::string::npos)
                    if (const auto found = moment_in(line.substr(colon + 1))) next.push_back(*found);
    return next;
}

Result<std::vector<UnitFile>> units_for(const SavedJob& job, const Schedule& schedule,
                                        const std::string& program, const std::string& state) {
    const std::string unit = unit_of(job.name);
    if (unit.size() + std::string_view(".service").size() > longest_unit)
        return failure(Fault::refused, "is a name too long for a unit of systemd", job.name);
    const std::string about = without_specifiers(job.name);
    std::vector<UnitFile> units;
    units.push_back({unit + ".service", fmt::format("[Unit]\n"
                                                    "Description=Tavlo: {}\n"
                                                    "\n"
                                                    "[Service]\n"
                                                    "Type=oneshot\n"
                                                    "Environment={}\n"
                                                    "ExecStart={} run --quiet --notify --state {} -- {}\n",
                                                    about, word("XDG_CONFIG_HOME=" + config_folder()),
                                                    word(program), word(state), word(job.name))});
    if (schedule.calendar) {
        units.push_back({unit + ".timer", fmt::format("[Unit]\n"
                                                      "Description=Tavlo: when {}\n"
                                                      "\n"
                                                      "[Timer]\n"
                                                      "OnCalendar={}\n"
                                                      "Persistent=true\n"
                                                      "\n"
                                                      "[Install]\n"
                                                      "WantedBy=timers.target\n",
                                                      about, without_specifiers(*schedule.calendar))});
        return units;
    }
    const auto folders = watched(job);
    if (folders.empty())
        return failure(Fault::refused, "takes from no folder that could be watched", job.name);
    std::string paths;
    for (const auto& folder : folders) {
        if (folder.find('\n') != std::string::npos)
            return failure(Fault::refused, "takes from a folder that no unit can name", job.name);
        paths += "PathChanged=" + without_specifiers(folder) + "\n";
    }
    units.push_back({unit + ".path", fmt::format("[Unit]\n"
                                                 "Description=Tavlo: when something arrives for {}\n"
                                                 "\n"
                                                 "[Path]\n"
                                                 "{}"
                                                 "\n"
                                                 "[Install]\n"
                                                 "WantedBy=default.target\n",
                                                 about, paths)});
    return units;
}

std::string JobUnits::usual_folder() { return join(config_folder(), "systemd/user"); }

std::string JobUnits::file(const std::string& unit) const { return join(folder_, unit); }

bool JobUnits::are_there(const std::string& job) const {
    for (const char* kind : {".timer", ".path"})
        if (::access(file(unit_of(job) + kind).c_str(), F_OK) == 0) return true;
    return false;
}

bool JobUnits::are_on(const std::string& job) const {
    for (const char* kind : {".timer", ".path"}) {
        const std::string unit = unit_of(job) + kind;
        if (::access(file(unit).c_str(), F_OK) == 0) return systemctl({"is-active", "--quiet", unit}).empty();
    }
    return false;
}

std::optional<std::string> JobUnits::calendar(const std::string& job) const {
    const auto text = read_small_file(file(unit_of(job) + ".timer"));
    if (!text) return std::nullopt;
    constexpr std::string_view key = "OnCalendar=";
    std::istringstream lines(*text);
    for (std::string line; std::getline(lines, line);) {
        if (!line.starts_with(key)) continue;
        std::string expression;
        for (std::size_t at = key.size(); at < line.size(); ++at) {
            expression += line[at];
            if (line[at] == '%') ++at;
        }
        return expression;
    }
    return std::nullopt;
}

Result<std::string> JobUnits::put(const SavedJob& job, const Schedule& schedule, const std::string& program,
                                  const std::string& state) const {
    const auto units = units_for(job, schedule, program, state);
    if (!units) return failure(units.error());
    if (auto gone = take_away(job.name); !gone) return failure(gone.error());
    for (const UnitFile& unit : *units)
        if (auto written = write_small_file(file(unit.name), unit.text); !written)
            return failure(written.error());
    if (auto why = systemctl({"daemon-reload"}); !why.empty()) return why;
    return systemctl({"enable", "--now", units->back().name});
}

Result<bool> JobUnits::take_away(const std::string& job) const {
    const std::string unit = unit_of(job);
    if (unit.size() + std::string_view(".service").size() > longest_unit) return false;
    const bool were_there = are_there(job);
    if (were_there)
        for (const char* kind : {".timer", ".path"})
            if (::access(file(unit + kind).c_str(), F_OK) == 0)
                (void)systemctl({"disable", "--now", unit + kind});
    bool any = false;
    for (const char* kind : {".timer", ".path", ".service"}) {
        if (::unlink(file(unit + kind).c_str()) == 0)
            any = true;
        else if (errno != ENOENT)
            return failure(system_error(errno, "remove", file(unit + kind)));
    }
    if (any) (void)systemctl({"daemon-reload"});
    return any;
}

}  // namespace tavlo
