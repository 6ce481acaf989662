#include "tasks/outcome_export.h"

#include <sstream>

#include "csv.h"
#include "files/path.h"
#include "keep/documents.h"

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
        text +=
            indent + printable(tree.plan->final_name(item)) + (is_folder ? "/" : "") + "  [" + std::string(to_text(item.outcome)) + "]\n";
        if (node.folder != no_folder) add_folder(text, tree, node.folder, depth + 1);
    }
}

}  // namespace

std::string outcome_as_text(const OutcomeTree& tree) {
    std::string text = printable(tree.plan->destination) + "/\n";
    add_folder(text, tree, 0, 1);
    return text;
}

std::string outcome_as_csv(const OutcomeTree& tree) {
    std::string text = "source,target,final,outcome,finding,bytes\r\n";
    for (const Item& item : tree.plan->items) {
        const ReceiptItem planned = planned_item(*tree.plan, item);
        const auto finding = planned.collision && planned.collision->finding ? to_text(*planned.collision->finding) : std::string_view();
        text += csv_field(planned.source) + ',' + csv_field(planned.target) + ',' + csv_field(planned.place()) + ',' +
                std::string(to_text(item.outcome)) + ',' + std::string(finding) + ',' + std::to_string(planned.size_bytes) + "\r\n";
    }
    return text;
}

std::string outcome_as_json(const OutcomeTree& tree) {
    std::ostringstream out;
    write_plan(out, *tree.plan);
    return out.str();
}
