// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/steps.h"

#include <fmt/format.h>
#include <re2/re2.h>

#include <algorithm>
#include <list>

#include "files/characters.h"
#include "files/path.h"
#include "names/letters.h"
#include "names/name_table.h"
#include "names/names.h"

namespace tavlo {

namespace {

/// A name in its two parts while steps go over it.
struct Parts {
    std::string stem;
    std::string extension;  ///< with its dot

    Parts(std::string_view name, FileType type)
        : stem(name.substr(0, extension_start(name, type))), extension(name.substr(stem.size())) {}
    std::string whole() const { return stem + extension; }
};

/// Decimal digits of any count, and a number added to them; nullopt where that is below 0.
std::optional<std::string> sum(std::string digits, std::int64_t by) {
    const bool takes = by < 0;
    std::uint64_t left =
        takes ? std::uint64_t{0} - static_cast<std::uint64_t>(by) : static_cast<std::uint64_t>(by);
    constexpr unsigned ten = 10;
    unsigned carry = 0;
    for (std::size_t at = digits.size(); at-- > 0 && (left > 0 || carry > 0);) {
        const auto digit = static_cast<unsigned>(digits[at] - '0');
        const auto other = static_cast<unsigned>(left % ten) + carry;
        left /= ten;
        const unsigned result = takes ? ten + digit - other : digit + other;
        carry = takes ? (digit < other ? 1U : 0U) : result / ten;
        digits[at] = static_cast<char>('0' + result % ten);
    }
    if (takes) return left > 0 || carry > 0 ? std::nullopt : std::optional(digits);
    std::string ahead;
    for (left += carry; left > 0; left /= ten) ahead += static_cast<char>('0' + left % ten);
    std::reverse(ahead.begin(), ahead.end());
    return ahead + digits;
}

Result<std::string> with_numbers_changed(std::string_view text, const AddToNumbers& step) {
    std::vector<std::pair<std::size_t, std::size_t>> numbers;  // where they begin and end
    for (std::size_t at = 0; at < text.size();) {
        std::size_t end = at;
        while (end < text.size() && is_digit(text[end])) ++end;
        if (end > at) numbers.emplace_back(at, end);
        at = std::max(end, at + 1);
    }
    std::string out;
    std::size_t done = 0;
    for (const auto& number : numbers) {
        const bool is_meant =
            step.which == AddToNumbers::Which::all ||
            (step.which == AddToNumbers::Which::first ? number == numbers.front() : number == numbers.back());
        if (!is_meant) continue;
        const auto [begin, end] = number;
        const auto changed = sum(std::string(text.substr(begin, end - begin)), step.by);
        if (!changed) return failure(Fault::refused, "a number in its name would fall below 0", "");
        out += text.substr(done, begin - done);
        out += *changed;
        done = end;
    }
    return out += text.substr(done);
}

std::string replaced(std::string_view text, const Replace& step) {
    std::string out;
    for (std::size_t at = 0; at < text.size();) {
        const auto found = std::min(text.find(step.what, at), text.size());
        out += text.substr(at, found - at);
        if (found < text.size()) out += step.with;
        at = found + step.what.size();
    }
    return out;
}

std::string extension_by(const Extension& step, const std::string& before) {
    if (step.text == "lower") return lower_case(before);
    if (step.text == "upper") return upper_case(before);
    return step.text.empty() ? std::string() : "." + step.text;
}

}  // namespace

/// Each step with what it was made ready to.
struct Namer::Ready {
    struct Step {
        NameStep what;
        std::unique_ptr<RE2> expression{};
        std::optional<Pattern> pattern{};
        std::unique_ptr<NameTable> table{};
    };
    std::vector<Step> steps;
    bool whole_names = false;

    static Result<void> prepare(Step& step,
                                const std::function<Result<std::string>(const std::string&)>& read_file);
    Result<void> apply(Step& step, Parts& parts, FileType type, const FactUnder& fact_of) const;
};

Result<void> Namer::Ready::prepare(Step& step,
                                   const std::function<Result<std::string>(const std::string&)>& read_file) {
    if (const auto* replace = std::get_if<Replace>(&step.what); replace != nullptr && replace->what.empty())
        return failure(Fault::refused, "wants something to be replaced", "replace");
    if (const auto* extension = std::get_if<Extension>(&step.what))
        if (extension->text.starts_with('.'))
            return failure(Fault::refused, "wants the extension without its dot", "extension");
    if (const auto* regex = std::get_if<ReplaceRegex>(&step.what)) {
        step.expression = std::make_unique<RE2>(regex->expression, RE2::Quiet);
        std::string why;
        if (!step.expression->ok())
            return failure(Fault::refused, "cannot be read: " + step.expression->error(), "replace_regex");
        if (!step.expression->CheckRewriteString(regex->with, &why))
            return failure(Fault::refused, "cannot be done: " + why, "replace_regex");
    }
    if (const auto* as = std::get_if<NameAs>(&step.what)) {
        auto pattern = Pattern::parse(as->pattern);
        if (!pattern) return failure(Fault::refused, pattern.error().step, "name_as");
        step.pattern.emplace(std::move(*pattern));
    }
    if (const auto* from = std::get_if<NamesFrom>(&step.what)) {
        const auto text = read_file(from->file);
        if (!text) return failure(text.error());
        auto table = NameTable::read(*text, from->file);
        if (!table) return failure(table.error());
        step.table = std::move(*table);
    }
    return {};
}

Result<void> Namer::Ready::apply(Step& step, Parts& parts, FileType type, const FactUnder& fact_of) const {
    if (whole_names) {
        parts.stem += parts.extension;
        parts.extension.clear();
    }
    Result<void> done;
    std::optional<std::string> anew;
    struct Apply {
        Step& step;
        std::string& text;
        Parts& parts;
        FileType type;
        const FactUnder& fact_of;
        Result<void>& done;
        std::optional<std::string>& anew;

        void operator()(const Affix& one) const { text = one.behind ? text + one.text : one.text + text; }
        void operator()(const Replace& one) const { text = replaced(text, one); }
        void operator()(const ReplaceRegex& one) const {
            RE2::GlobalReplace(&text, *step.expression, one.with);
        }
        void operator()(const LetterCase& one) const {
            switch (one.to) {
                case LetterCase::To::lower: text = lower_case(text); break;
                case LetterCase::To::upper: text = upper_case(text); break;
                case LetterCase::To::title: text = title_case(text); break;
            }
        }
        void operator()(const AddToNumbers& one) const {
            auto changed = with_numbers_changed(text, one);
            if (changed)
                text = std::move(*changed);
            else
                done = failure(changed.error());
        }
        void operator()(const Extension& one) const {
            if (type == FileType::folder) return;
            const std::string whole = parts.whole();
            const std::size_t stem = extension_start(whole, type);
            anew = whole.substr(0, stem) + extension_by(one, whole.substr(stem));
        }
        void operator()(const NameAs&) const {
            const std::string whole = parts.whole();
            anew = step.pattern->fill([&](std::string_view fact) { return fact_of(fact, whole); }, true);
        }
        void operator()(const NamesFrom&) const {
            if (const std::string* found = step.table->find(parts.whole())) anew = *found;
        }
    };
    std::visit(Apply{step, parts.stem, parts, type, fact_of, done, anew}, step.what);
    if (!done) return done;
    parts = Parts(anew ? *anew : parts.whole(), type);
    return {};
}

Namer::Namer(std::unique_ptr<Ready> ready) : ready_(std::move(ready)) {}
Namer::~Namer() = default;
Namer::Namer(Namer&&) noexcept = default;
Namer& Namer::operator=(Namer&&) noexcept = default;

Result<Namer> Namer::make(const Naming& naming,
                          const std::function<Result<std::string>(const std::string&)>& read_file) {
    auto ready = std::make_unique<Ready>();
    ready->whole_names = naming.whole_names;
    for (const NameStep& what : naming.steps) {
        Ready::Step& step = ready->steps.emplace_back(Ready::Step{what});
        if (auto prepared = Ready::prepare(step, read_file); !prepared) return failure(prepared.error());
    }
    return Namer(std::move(ready));
}

Result<std::string> Namer::name(std::string_view name, FileType type, const FactUnder& fact_of) {
    Parts parts(name, type);
    for (Ready::Step& step : ready_->steps)
        if (auto applied = ready_->apply(step, parts, type, fact_of); !applied)
            return failure(applied.error());
    return parts.whole();
}

std::vector<Error> Namer::misses() const {
    std::vector<Error> all;
    for (const Ready::Step& step : ready_->steps)
        if (step.table)
            for (Error& miss : step.table->misses()) all.push_back(std::move(miss));
    return all;
}

}  // namespace tavlo
