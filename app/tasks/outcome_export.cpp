// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/outcome_export.h"

#include <QCoreApplication>
#include <sstream>

#include "csv.h"
#include "error_words.h"
#include "files/path.h"
#include "keep/documents.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {

void add_folder(std::string& text, const OutcomeTree& tree, FolderId folder, std::size_t depth) {
    for (const OutcomeNode& node : tree.folders[folder]) {
        const std::string indent(depth * 4, ' ');
        if (node.item == no_item) {
            const bool is_folder = node.held->status.type == FileType::folder;
            text += indent + printable(node.held->name) + (is_folder ? "/" : "") + '\n';
            continue;
        }
        const Item& item = tree.plan->items[node.item];
        const bool is_folder = tree.plan->entry(item).status.type == FileType::folder;
        text += indent + printable(tree.plan->final_name(item)) + (is_folder ? "/" : "") + "  [" +
                std::string(to_text(item.outcome)) + "]\n";
        if (node.folder != no_folder) add_folder(text, tree, node.folder, depth + 1);
    }
}

/// The lines of the printed tree, up to a number of them.
class PrintedTree {
public:
    PrintedTree(const OutcomeTree& tree, std::size_t most) : tree_(tree), most_(most) { add(0, 0); }

    QString page() const {
        QString page = QStringLiteral("<h2>%1</h2><table width=\"100%\" cellspacing=\"0\" cellpadding=\"2\">")
                           .arg(shown(tree_.plan->destination).toHtmlEscaped()) +
                       lines_ + QStringLiteral("</table>");
        if (count_ > most_)
            page += QStringLiteral("<p>%1</p>")
                        .arg(QCoreApplication::translate("Printing", "and %Ln more lines, left out here",
                                                         nullptr, static_cast<int>(count_ - most_)));
        return page;
    }

private:
    void add(FolderId folder, int depth) {
        for (const OutcomeNode& node : tree_.folders[folder]) {
            if (node.item == no_item) {
                line(node.held->name, node.held->status, depth, {}, true);
                continue;
            }
            const Item& item = tree_.plan->items[node.item];
            line(tree_.plan->final_name(item), tree_.plan->entry(item).status, depth, outcome_words(item),
                 false);
            if (node.folder != no_folder) add(node.folder, depth + 1);
        }
    }

    void line(const std::string& name, const FileState& status, int depth, const QString& what, bool pale) {
        if (++count_ > most_) return;
        const bool is_folder = status.type == FileType::folder;
        const QString indent = QStringLiteral("&nbsp;").repeated(depth * 4);
        lines_ +=
            QStringLiteral(
                "<tr><td>%1%2%3</td><td align=\"right\">%4</td><td align=\"right\">%5</td><td>%6</td></tr>")
                .arg(
                    indent,
                    (pale ? QStringLiteral("<font color=\"#676357\">%1</font>") : QStringLiteral("<b>%1</b>"))
                        .arg(shown(name).toHtmlEscaped()),
                    is_folder ? QStringLiteral("/") : QString(),
                    status.type == FileType::file ? size_text(status.id.size_bytes) : QString(),
                    is_folder ? QString() : date_text(status.id.modified_ns), what.toHtmlEscaped());
    }

    const OutcomeTree& tree_;
    std::size_t most_;
    std::size_t count_ = 0;
    QString lines_;
};

}  // namespace

QString receipt_as_html(const ReceiptHead& head, const std::vector<ReceiptItem>& items, std::size_t most) {
    QString page =
        QStringLiteral("<h2>%1</h2><p>%2 · %3</p><table width=\"100%\" cellspacing=\"0\" cellpadding=\"2\">")
            .arg(receipt_title(head).toHtmlEscaped(), date_text_full(head.started_ns).toHtmlEscaped(),
                 receipt_state(head).toHtmlEscaped());
    std::size_t lines = 0;
    for (const ReceiptItem& item : items) {
        if (++lines > most) break;
        page += QStringLiteral("<tr><td>%1</td><td align=\"right\">%2</td><td>%3</td><td>%4</td></tr>")
                    .arg(shown(item.source).toHtmlEscaped(),
                         item.type == FileType::file ? size_text(item.size_bytes) : QString(),
                         result_words(item).toHtmlEscaped(),
                         (item.error.empty() ? shown(item.place()) : told_words(item.error)).toHtmlEscaped());
    }
    page += QStringLiteral("</table>");
    if (const auto all = std::max<std::uint64_t>(items.size(), head.totals.items); all > most)
        page += QStringLiteral("<p>%1</p>")
                    .arg(QCoreApplication::translate("Printing", "and %Ln more lines, left out here", nullptr,
                                                     static_cast<int>(all - most)));
    return page;
}

QString outcome_as_html(const OutcomeTree& tree, std::size_t most) { return PrintedTree(tree, most).page(); }

std::string outcome_as_text(const OutcomeTree& tree) {
    std::string text = printable(tree.plan->destination) + "/\n";
    add_folder(text, tree, 0, 1);
    return text;
}

std::string outcome_as_csv(const OutcomeTree& tree) {
    std::string text = "source,target,final,outcome,finding,bytes\r\n";
    for (const Item& item : tree.plan->items) {
        const ReceiptItem planned = planned_item(*tree.plan, item);
        const auto finding = planned.collision && planned.collision->finding
                                 ? to_text(*planned.collision->finding)
                                 : std::string_view();
        text += csv_field(planned.source) + ',' + csv_field(planned.target) + ',' +
                csv_field(planned.place()) + ',' + std::string(to_text(item.outcome)) + ',' +
                std::string(finding) + ',' + std::to_string(planned.size_bytes) + "\r\n";
    }
    return text;
}

std::string outcome_as_json(const OutcomeTree& tree) {
    std::ostringstream out;
    write_plan(out, *tree.plan);
    return out.str();
}
