// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/instruction_file.h"

#include <vector>

#include "files/path.h"
#include "files/small_file.h"
#include "job/document.h"

using namespace tavlo;

namespace {

constexpr std::string_view head = "tavlo instruction 2";
constexpr std::size_t most_bytes = std::size_t{256} << 20;

std::vector<std::string_view> lines_of(std::string_view text) {
    std::vector<std::string_view> lines;
    while (!text.empty()) {
        const auto end = std::min(text.find('\n'), text.size());
        lines.push_back(text.substr(0, end));
        text.remove_prefix(std::min(end + 1, text.size()));
    }
    return lines;
}

}  // namespace

/// A line that says what it is, and then a document a line.
std::string to_text(const Instruction& instruction) {
    std::string text(head);
    for (const auto& document :
         {to_json(instruction.job), to_json(instruction.own), to_json(instruction.decisions),
          to_json(instruction.typed), to_json(instruction.said)})
        (text += '\n') += document;
    return text += '\n';
}

Result<Instruction> instruction_from_text(const std::string& text, const std::string& path) {
    const auto lines = lines_of(text);
    // the last two lines came later
    const bool knows_typed = lines.size() >= 5;
    const bool knows_said = lines.size() == 6;
    if (lines.size() < 4 || lines.size() > 6 || lines.front() != head)
        return failure(Fault::corrupt, "is no instruction that this version knows", path);
    auto job = job_from_json(lines[1]);
    auto own = policy_from_json(lines[2]);
    auto decisions = decisions_from_json(lines[3]);
    auto typed = knows_typed ? typed_names_from_json(lines[4]) : Result<TypedNames>(TypedNames{});
    auto said = knows_said ? facts_said_from_json(lines[5]) : Result<FactsSaid>(FactsSaid{});
    if (!job || !own || !decisions || !typed || !said)
        return failure(Fault::corrupt, "is an instruction that cannot be read", path);
    return Instruction{std::move(*job), std::move(*decisions), std::move(*own), std::move(*typed),
                       std::move(*said)};
}

Result<void> save_instruction(const std::string& state_folder, const std::string& text) {
    return write_small_file(join(state_folder, "instruction"), text);
}

Result<Instruction> load_instruction(const std::string& state_folder) {
    const std::string path = join(state_folder, "instruction");
    const auto text = read_small_file(path, most_bytes);
    if (!text) return failure(text.error());
    return instruction_from_text(*text, path);
}
