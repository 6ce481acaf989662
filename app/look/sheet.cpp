// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "sheet.h"

#include <archive.h>
#include <archive_entry.h>

#include <QXmlStreamReader>
#include <memory>
#include <vector>

#include "text.h"

namespace {

constexpr std::size_t most_cells = 50'000;
constexpr qsizetype most_part = 16 << 20;  // bytes of one part of a package, unpacked
constexpr int most_repeated = 1000;        // sheets end with a row repeated a million times

std::map<QByteArray, QByteArray> parts_of(const QByteArray& path, const std::vector<QByteArray>& wanted) {
    std::map<QByteArray, QByteArray> parts;
    const std::unique_ptr<archive, decltype(&archive_read_free)> package(archive_read_new(),
                                                                         &archive_read_free);
    archive_read_support_format_zip(package.get());
    if (archive_read_open_filename(package.get(), path.constData(), 64 * 1024) != ARCHIVE_OK) return parts;
    archive_entry* entry = nullptr;
    while (archive_read_next_header(package.get(), &entry) == ARCHIVE_OK) {
        const QByteArray name(archive_entry_pathname(entry));
        const bool is_wanted = std::any_of(wanted.begin(), wanted.end(),
                                           [&](const QByteArray& one) { return name.startsWith(one); });
        if (!is_wanted) continue;
        QByteArray bytes(most_part, Qt::Uninitialized);
        const auto got =
            archive_read_data(package.get(), bytes.data(), static_cast<std::size_t>(bytes.size()));
        if (got < 0) continue;
        bytes.resize(got);
        parts.emplace(name, std::move(bytes));
    }
    return parts;
}

int repeated(const QXmlStreamReader& xml, const char* attribute) {
    const int times = xml.attributes().value(QLatin1String(attribute)).toInt();
    return times < 1 ? 1 : times;
}

std::optional<Cells> open_document_cells(const QByteArray& content) {
    Cells cells;
    QXmlStreamReader xml(content);
    int sheet = -1;
    int row = 0;
    int column = 0;
    int rows = 1;
    while (!xml.atEnd() && cells.size() < most_cells) {
        xml.readNext();
        const auto name = xml.qualifiedName();
        if (xml.isStartElement() && name == QLatin1String("table:table")) {
            ++sheet;
            row = 0;
        } else if (xml.isStartElement() && name == QLatin1String("table:table-row")) {
            rows = repeated(xml, "table:number-rows-repeated");
            column = 0;
        } else if (xml.isEndElement() && name == QLatin1String("table:table-row")) {
            row += rows;
        } else if (xml.isStartElement() && (name == QLatin1String("table:table-cell") ||
                                            name == QLatin1String("table:covered-table-cell"))) {
            const int columns = repeated(xml, "table:number-columns-repeated");
            const QString text = xml.readElementText(QXmlStreamReader::IncludeChildElements);
            if (!text.isEmpty())
                for (int down = 0; down < std::min(rows, most_repeated); ++down)
                    for (int across = 0;
                         across < std::min(columns, most_repeated) && cells.size() < most_cells; ++across)
                        cells.emplace(std::tuple(sheet, row + down, column + across), text);
            column += columns;
        }
    }
    if (xml.hasError() || cells.size() >= most_cells) return std::nullopt;
    return cells;
}

std::vector<QString> shared_strings(const QByteArray& part) {
    std::vector<QString> strings;
    QXmlStreamReader xml(part);
    while (!xml.atEnd()) {
        xml.readNext();
        if (xml.isStartElement() && xml.name() == QLatin1String("si"))
            strings.push_back(xml.readElementText(QXmlStreamReader::IncludeChildElements));
    }
    return strings;
}

/// "B4" as row and column from 0.
std::pair<int, int> place_of(const QString& name) {
    int column = 0;
    qsizetype at = 0;
    for (; at < name.size() && at < 4 && name[at] >= QLatin1Char('A') && name[at] <= QLatin1Char('Z'); ++at)
        column = column * 26 + (name[at].unicode() - 'A') + 1;
    return {name.mid(at).toInt() - 1, column - 1};
}

bool add_office_xml_sheet(const QByteArray& part, int sheet, const std::vector<QString>& strings,
                          Cells& cells) {
    QXmlStreamReader xml(part);
    while (!xml.atEnd() && cells.size() < most_cells) {
        xml.readNext();
        if (!xml.isStartElement() || xml.name() != QLatin1String("c")) continue;
        const auto [row, column] = place_of(xml.attributes().value(QLatin1String("r")).toString());
        const bool is_shared = xml.attributes().value(QLatin1String("t")) == QLatin1String("s");
        QString text;
        while (xml.readNextStartElement()) {
            const bool holds = xml.name() == QLatin1String("v") || xml.name() == QLatin1String("is");
            const QString inner = xml.readElementText(QXmlStreamReader::IncludeChildElements);
            if (holds) text = inner;
        }
        if (is_shared) {
            const auto number = text.toUInt();
            text = number < strings.size() ? strings[number] : QString();
        }
        if (!text.isEmpty()) cells.emplace(std::tuple(sheet, row, column), text);
    }
    return !xml.hasError() && cells.size() < most_cells;
}

std::optional<Cells> separated_cells(const QString& text) {
    const auto first = text.left(text.indexOf(QLatin1Char('\n')));
    const QChar separators[] = {QLatin1Char('\t'), QLatin1Char(';'), QLatin1Char(',')};
    QChar separator = separators[0];
    for (const QChar one : separators)
        if (first.count(one) > first.count(separator)) separator = one;
    Cells cells;
    int row = 0;
    int column = 0;
    QString cell;
    bool quoted = false;
    const auto end_cell = [&] {
        if (!cell.isEmpty()) cells.emplace(std::tuple(0, row, column), std::exchange(cell, {}));
    };
    for (qsizetype at = 0; at < text.size(); ++at) {
        const QChar c = text[at];
        if (quoted) {
            if (c != QLatin1Char('"'))
                cell += c;
            else if (at + 1 < text.size() && text[at + 1] == QLatin1Char('"'))
                cell += text[at++];
            else
                quoted = false;
        } else if (c == QLatin1Char('"') && cell.isEmpty()) {
            quoted = true;
        } else if (c == separator) {
            end_cell();
            ++column;
        } else if (c == QLatin1Char('\n')) {
            end_cell();
            ++row;
            column = 0;
        } else if (c != QLatin1Char('\r')) {
            cell += c;
        }
        if (cells.size() >= most_cells) return std::nullopt;
    }
    end_cell();
    return cells;
}

}  // namespace

std::optional<Cells> cells_of(const QByteArray& path, const QByteArray& bytes) {
    const QByteArray name = path.toLower();
    if (name.endsWith(".csv") || name.endsWith(".tsv")) {
        const auto text = text_of(bytes);
        return text ? separated_cells(text->text) : std::nullopt;
    }
    if (name.endsWith(".ods")) {
        const auto parts = parts_of(path, {"content.xml"});
        const auto content = parts.find("content.xml");
        return content == parts.end() ? std::nullopt : open_document_cells(content->second);
    }
    if (!name.endsWith(".xlsx")) return std::nullopt;
    const auto parts = parts_of(path, {"xl/sharedStrings.xml", "xl/worksheets/sheet"});
    const auto shared = parts.find("xl/sharedStrings.xml");
    const auto strings = shared == parts.end() ? std::vector<QString>{} : shared_strings(shared->second);
    Cells cells;
    int sheet = 0;
    for (const auto& [part, xml] : parts)
        if (part.startsWith("xl/worksheets/sheet") && !add_office_xml_sheet(xml, sheet++, strings, cells))
            return std::nullopt;
    return sheet > 0 ? std::optional(cells) : std::nullopt;
}

QString cell_name(const std::tuple<int, int, int>& place) {
    const auto [sheet, row, column] = place;
    QString letters;
    for (int left = column + 1; left > 0; left = (left - 1) / 26)
        letters.prepend(QChar('A' + (left - 1) % 26));
    return (sheet > 0 ? QString::number(sheet + 1) + QLatin1Char('!') : QString()) + letters +
           QString::number(row + 1);
}
