// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "compare.h"

#include <fcntl.h>
#include <unistd.h>

#include <QJsonArray>
#include <QStringList>
#include <algorithm>
#include <array>
#include <cstring>
#include <dtl/dtl.hpp>
#include <unordered_map>

#include "sheet.h"
#include "text.h"

namespace {

constexpr qsizetype max_compared_text = 1 << 20;  // bytes of each that are looked at as text
constexpr qsizetype most_lines = 4000;            // of each
constexpr qsizetype most_rows = 6000;             // that are told of
constexpr qint64 most_read = 1LL << 30;           // bytes of each that are read for the first difference
constexpr qsizetype longest_line = 2000;          // characters

class File {
public:
    explicit File(const QByteArray& path)
        : descriptor_(::open(path.constData(), O_RDONLY | O_CLOEXEC | O_NONBLOCK)) {}
    ~File() {
        if (descriptor_ >= 0) ::close(descriptor_);
    }
    File(const File&) = delete;
    File& operator=(const File&) = delete;
    qsizetype read(char* into, qsizetype most, qint64 from) const {
        qsizetype got = 0;
        while (got < most) {
            const auto now =
                ::pread(descriptor_, into + got, static_cast<std::size_t>(most - got), from + got);
            if (now <= 0) break;
            got += now;
        }
        return got;
    }
    QByteArray beginning() const {
        QByteArray bytes(max_compared_text, Qt::Uninitialized);
        bytes.resize(read(bytes.data(), bytes.size(), 0));
        return bytes;
    }

private:
    int descriptor_;
};

/// returns  -1 where none was found
qint64 first_difference(const File& left, const File& right, bool& cut) {
    std::array<char, 256 * 1024> a{};
    std::array<char, 256 * 1024> b{};
    for (qint64 at = 0; at < most_read;) {
        const auto in_left = left.read(a.data(), a.size(), at);
        const auto in_right = right.read(b.data(), b.size(), at);
        const auto both = std::min(in_left, in_right);
        const auto* differs = std::mismatch(a.data(), a.data() + both, b.data()).first;
        if (differs != a.data() + both) return at + (differs - a.data());
        if (in_left != in_right) return at + both;
        if (both < static_cast<qsizetype>(a.size())) return -1;
        at += both;
    }
    cut = true;
    return -1;
}

QStringList lines_of(QString text, bool& cut) {
    text.remove(QLatin1Char('\r'));
    QStringList lines = text.split(QLatin1Char('\n'));
    if (!lines.isEmpty() && lines.last().isEmpty()) lines.removeLast();
    if (lines.size() > most_lines) {
        lines = lines.mid(0, most_lines);
        cut = true;
    }
    return lines;
}

void add_row(QJsonArray& rows, const char* how, const QString& left, const QString& right) {
    rows.append(QJsonArray{QLatin1String(how), left.left(longest_line), right.left(longest_line)});
}

/// Lines that only one has stand beside those that only the other has in their place.
QJsonArray text_rows(const QStringList& left, const QStringList& right) {
    std::unordered_map<std::string, int> known;
    const auto numbers = [&](const QStringList& lines) {
        std::vector<int> out;
        for (const QString& line : lines)
            out.push_back(
                known.try_emplace(line.toStdString(), static_cast<int>(known.size())).first->second);
        return out;
    };
    dtl::Diff<int> diff(numbers(left), numbers(right));
    diff.onHuge();
    diff.compose();
    QJsonArray rows;
    QStringList only_left;
    QStringList only_right;
    const auto put = [&] {
        for (qsizetype at = 0; at < std::max(only_left.size(), only_right.size()); ++at) {
            const bool both = at < only_left.size() && at < only_right.size();
            add_row(rows,
                    both                    ? "~"
                    : at < only_left.size() ? "<"
                                            : ">",
                    only_left.value(at), only_right.value(at));
        }
        only_left.clear();
        only_right.clear();
    };
    qsizetype at_left = 0;
    qsizetype at_right = 0;
    for (const auto& [number, info] : diff.getSes().getSequence()) {
        if (rows.size() >= most_rows) break;
        if (info.type == dtl::SES_DELETE) {
            only_left << left.value(at_left++);
        } else if (info.type == dtl::SES_ADD) {
            only_right << right.value(at_right++);
        } else {
            put();
            add_row(rows, "=", left.value(at_left++), right.value(at_right++));
        }
    }
    put();
    return rows;
}

QJsonArray cell_rows(const Cells& left, const Cells& right) {
    QJsonArray rows;
    Cells all = left;
    all.insert(right.begin(), right.end());
    for (const auto& [place, text] : all) {
        const auto a = left.find(place);
        const auto b = right.find(place);
        const bool in_left = a != left.end();
        const bool in_right = b != right.end();
        if (in_left && in_right && a->second == b->second) continue;
        if (rows.size() >= most_rows) break;
        const auto named = [place = place](const QString& cell) {
            return cell_name(place) + QStringLiteral("   ") + cell;
        };
        add_row(rows,
                in_left && in_right ? "~"
                : in_left           ? "<"
                                    : ">",
                in_left ? named(a->second) : QString(), in_right ? named(b->second) : QString());
    }
    return rows;
}

}  // namespace

QJsonObject compare_files(const QByteArray& left, const QByteArray& right) {
    QJsonObject seen;
    const File a(left);
    const File b(right);
    bool cut = false;
    seen[QStringLiteral("first")] = first_difference(a, b, cut);
    const QByteArray a_bytes = a.beginning();
    const QByteArray b_bytes = b.beginning();
    seen[QStringLiteral("kind")] = QStringLiteral("bytes");
    const auto a_cells = cells_of(left, a_bytes);
    const auto b_cells = a_cells ? cells_of(right, b_bytes) : std::nullopt;
    if (a_cells && b_cells && a_bytes.size() < max_compared_text && b_bytes.size() < max_compared_text) {
        seen[QStringLiteral("kind")] = QStringLiteral("cells");
        seen[QStringLiteral("rows")] = cell_rows(*a_cells, *b_cells);
    } else if (const auto a_text = text_of(a_bytes), b_text = text_of(b_bytes);
               a_text && b_text && !a_bytes.isEmpty() && !b_bytes.isEmpty()) {
        cut = cut || a_bytes.size() == max_compared_text || b_bytes.size() == max_compared_text;
        seen[QStringLiteral("kind")] = QStringLiteral("text");
        seen[QStringLiteral("rows")] = text_rows(lines_of(a_text->text, cut), lines_of(b_text->text, cut));
    }
    if (cut) seen[QStringLiteral("cut")] = true;
    return seen;
}
