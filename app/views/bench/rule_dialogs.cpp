// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/rule_dialogs.h"

#include <QComboBox>
#include <QDateTime>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "names/names.h"
#include "text.h"
#include "theme/theme.h"
#include "views/parts/dialog_buttons.h"
#include "views/parts/spacing.h"

using namespace tavlo;

OwnRuleDialog::OwnRuleDialog(const Policy& rule, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("ownRule"));
    setWindowTitle(tr("My own rule, where a name is taken"));
    auto* column = new QVBoxLayout(this);
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(Gap::beside);
    const QString relations[] = {tr("incoming smaller"), tr("same size"), tr("incoming larger")};
    const QString findings[] = {tr("same bytes"),          tr("incoming newer"),
                                tr("incoming older"),      tr("same date, other bytes"),
                                tr("a file and a folder"), tr("two of the batch")};
    for (int i = 0; i < size_relation_count; ++i) grid->addWidget(new QLabel(relations[i]), 0, i + 1);
    for (std::size_t finding = 0; finding < finding_count; ++finding) {
        const auto which = static_cast<Finding>(finding);
        if (which == Finding::elsewhere) continue;  // which has a clause of its own in the sentence
        const int row = static_cast<int>(finding) + 1;
        grid->addWidget(new QLabel(findings[finding]), row, 0);
        const bool has_sizes =
            which == Finding::newer || which == Finding::older || which == Finding::same_date;
        if (!has_sizes) {
            boxes_[finding][0] = box(findings[finding], rule.when[finding]);
            grid->addWidget(boxes_[finding][0], row, 1, 1, size_relation_count);
            continue;
        }
        for (std::size_t relation = 0; relation < size_relation_count; ++relation) {
            boxes_[finding][relation] = box(findings[finding] + QStringLiteral(", ") + relations[relation],
                                            rule.when_sized[finding][relation]);
            grid->addWidget(boxes_[finding][relation], row, static_cast<int>(relation) + 1);
        }
    }
    column->addLayout(grid);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    buttons->button(QDialogButtonBox::Ok)->setText(tr("Use this rule"));
    column->addWidget(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
}

QComboBox* OwnRuleDialog::box(const QString& what, std::optional<Decision> now) {
    auto* made = new QComboBox;
    made->setAccessibleName(what);
    for (const auto& [words, decision] :
         {std::pair{tr("ask me"), Decision::undecided}, std::pair{tr("skip"), Decision::skip},
          std::pair{tr("overwrite"), Decision::overwrite}, std::pair{tr("rename"), Decision::rename}})
        made->addItem(words, static_cast<int>(decision));
    made->setCurrentIndex(made->findData(static_cast<int>(now.value_or(Decision::undecided))));
    return made;
}

Policy OwnRuleDialog::rule() const {
    Policy rule;
    for (std::size_t finding = 0; finding < finding_count; ++finding) {
        const auto decision = [](const QComboBox* from) {
            return static_cast<Decision>(from->currentData().toInt());
        };
        if (boxes_[finding][0] == nullptr) continue;
        if (boxes_[finding][1] == nullptr)
            rule.when[finding] = decision(boxes_[finding][0]);
        else
            for (std::size_t relation = 0; relation < size_relation_count; ++relation)
                rule.when_sized[finding][relation] = decision(boxes_[finding][relation]);
    }
    return rule;
}

NamePatternDialog::NamePatternDialog(const std::string& pattern, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("namePattern"));
    setWindowTitle(tr("A pattern for new names"));
    resize(460, 0);
    auto* column = new QVBoxLayout(this);
    auto* words =
        new QLabel(tr("{name} and {ext} of the file, {date} and {time} of its change, {folder} it comes "
                      "from, {n} counted up from 2"));
    words->setWordWrap(true);
    column->addWidget(words);
    line_ = new QLineEdit(pattern.empty() ? QStringLiteral("{name} from {folder}{ext}") : shown(pattern));
    line_->setObjectName(QStringLiteral("namePatternLine"));
    line_->setAccessibleName(tr("Pattern"));
    column->addWidget(line_);
    preview_ = new QLabel;
    preview_->setObjectName(QStringLiteral("namePatternPreview"));
    column->addWidget(preview_);
    use_ = add_dialog_buttons(*this, *column, tr("Use it"));
    connect(line_, &QLineEdit::textChanged, this, &NamePatternDialog::refresh);
    refresh();
}

std::string NamePatternDialog::pattern() const { return to_bytes(line_->text()); }

void NamePatternDialog::refresh() {
    const std::string problem = pattern_problem(pattern());
    use_->setEnabled(problem.empty());
    set_tone(*preview_, problem.empty() ? "muted" : "amber");
    if (!problem.empty()) return preview_->setText(shown(problem));
    const NameSource source{QDateTime::currentMSecsSinceEpoch() * 1'000'000, to_bytes(tr("Harbour desk"))};
    const std::string made = free_name("report.pdf", FileType::file, {NewNames::Scheme::pattern, pattern()},
                                       source, [](const std::string& name) { return name == "report.pdf"; });
    preview_->setText(tr("report.pdf becomes %1").arg(shown(made)));
}
