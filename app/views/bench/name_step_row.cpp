// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/name_step_row.h"

#include <QComboBox>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSpinBox>

#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/elided_label.h"
#include "views/parts/named_combo.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

constexpr int most_added = 1'000'000'000;

NameStepRow::Kind kind_of(const NameStep& step) {
    using Kind = NameStepRow::Kind;
    struct Of {
        Kind operator()(const Affix& one) const { return one.behind ? Kind::behind : Kind::in_front; }
        Kind operator()(const Replace&) const { return Kind::replace; }
        Kind operator()(const ReplaceRegex&) const { return Kind::expression; }
        Kind operator()(const LetterCase&) const { return Kind::letters; }
        Kind operator()(const AddToNumbers&) const { return Kind::numbers; }
        Kind operator()(const Extension&) const { return Kind::extension; }
        Kind operator()(const NameAs&) const { return Kind::pattern; }
        Kind operator()(const NamesFrom&) const { return Kind::table; }
    };
    return std::visit(Of{}, step);
}

}  // namespace

NameStep NameStepRow::usual(Kind kind) {
    switch (kind) {
        case Kind::in_front: return Affix{};
        case Kind::behind: return Affix{{}, true};
        case Kind::replace: return Replace{};
        case Kind::expression: return ReplaceRegex{};
        case Kind::letters: return LetterCase{};
        case Kind::numbers: return AddToNumbers{1};
        case Kind::extension: return Extension{"lower"};
        case Kind::pattern: return NameAs{"{name}-{n:3}{ext}"};
        case Kind::table: return NamesFrom{};
    }
    return Affix{};
}

QString NameStepRow::words(Kind kind) {
    switch (kind) {
        case Kind::in_front: return tr("In &front");
        case Kind::behind: return tr("&Behind");
        case Kind::replace: return tr("&Instead of");
        case Kind::expression: return tr("Instead of &what fits");
        case Kind::letters: return tr("&Letters");
        case Kind::numbers: return tr("&Numbers");
        case Kind::extension: return tr("&Extension");
        case Kind::pattern: return tr("Named &anew");
        case Kind::table: return tr("By a &table");
    }
    return {};
}

NameStepRow::NameStepRow(const NameStep& step, const Naming& counters, QWidget* parent)
    : EditorRow(tr("Take this step out"), parent), counters_(counters) {
    kind_ = new NamedCombo(tr("What the step does"), this);
    kind_->setObjectName(QStringLiteral("stepKind"));
    for (int at = 0; at < kind_count; ++at)
        kind_->addItem(words(static_cast<Kind>(at)).remove(QLatin1Char('&')));
    kind_->setCurrentIndex(static_cast<int>(kind_of(step)));
    kind_->setFixedWidth(digits(17.5));
    fields().addWidget(kind_);
    example_ = new ElidedLabel(this);
    example_->setObjectName(QStringLiteral("stepExample"));
    example_->setMinimumWidth(0);
    example_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    fields().addWidget(example_, 1);
    build(step);
    connect(kind_, &QComboBox::activated, this, [this] {
        build(usual(kind()));
        emit changed();
    });
}

NameStepRow::Kind NameStepRow::kind() const { return static_cast<Kind>(kind_->currentIndex()); }

QLabel* NameStepRow::addWords(const QString& words) {
    auto* label = new QLabel(words, fields_);
    in_fields_->addWidget(label);
    return label;
}

QLineEdit* NameStepRow::addField(const QString& name, const QString& text, int width) {
    auto* field = new QLineEdit(text, fields_);
    field->setAccessibleName(name);
    field->setPlaceholderText(name);
    field->setFixedWidth(width);
    connect(field, &QLineEdit::textChanged, this, &NameStepRow::changed);
    connect(field, &QLineEdit::returnPressed, this, &NameStepRow::nextRequested);
    in_fields_->addWidget(field);
    return field;
}

QComboBox* NameStepRow::addChoice(const QString& name, const QStringList& words, int current) {
    auto* choice = new NamedCombo(name, fields_);
    choice->addItems(words);
    choice->setCurrentIndex(current);
    connect(choice, &QComboBox::currentIndexChanged, this, &NameStepRow::changed);
    in_fields_->addWidget(choice);
    return choice;
}

QSpinBox* NameStepRow::addNumber(const QString& name, int least, int value) {
    auto* box = new QSpinBox(fields_);
    box->setAccessibleName(name);
    box->setRange(least, most_added);
    box->setValue(value);
    box->setMaximumWidth(digits(9));
    connect(box, &QSpinBox::valueChanged, this, &NameStepRow::changed);
    in_fields_->addWidget(box);
    return box;
}

void NameStepRow::buildExtension(const std::string& text) {
    const int which = text == "lower" ? 0 : text == "upper" ? 1 : text.empty() ? 2 : 3;
    choice_ = addChoice(tr("Extension"), {tr("in lower case"), tr("in capitals"), tr("none"), tr("another:")},
                        which);
    first_ = addField(tr("without its dot"), which == 3 ? shown(text) : QString(), digits(13.5));
    first_->setVisible(which == 3);
    connect(choice_, &QComboBox::currentIndexChanged, first_,
            [this](int now) { first_->setVisible(now == 3); });
}

void NameStepRow::buildPattern(const std::string& pattern) {
    first_ = addField(tr("pattern"), shown(pattern), digits(19.5));
    first_->setToolTip(
        tr("Text with fields in braces: {name} {ext} {n:3} {number} {changed:%Y-%m-%d} {folder} {size} "
           "{kind} {initial}.\n"
           "{a|b} takes the first that is known, {a|=text} text where none is; upper, lower and first "
           "shape it."));
    addWords(tr("from"));
    from_ = addNumber(tr("Counting from"), 0, static_cast<int>(counters_.count_from));
    addWords(tr("by"));
    step_by_ = addNumber(tr("Counting by"), 1, static_cast<int>(counters_.count_by));
}

void NameStepRow::build(const NameStep& step) {
    delete fields_;
    fields_ = new QWidget(this);
    in_fields_ = new QHBoxLayout(fields_);
    space_out(in_fields_, Inset::none, Gap::beside);
    first_ = second_ = nullptr;
    choice_ = nullptr;
    by_ = from_ = step_by_ = nullptr;
    if (const auto* affix = std::get_if<Affix>(&step))
        first_ = addField(tr("text"), shown(affix->text), digits(20.5));
    if (const auto* replace = std::get_if<Replace>(&step)) {
        first_ = addField(tr("old text"), shown(replace->what), digits(14.5));
        addWords(tr("put"));
        second_ = addField(tr("new text, or nothing"), shown(replace->with), digits(17));
    }
    if (const auto* replace = std::get_if<ReplaceRegex>(&step)) {
        first_ = addField(tr("expression (RE2)"), shown(replace->expression), digits(17));
        addWords(tr("put"));
        second_ = addField(tr("new text; \\1 a group"), shown(replace->with), digits(17));
    }
    if (const auto* letters = std::get_if<LetterCase>(&step))
        choice_ = addChoice(tr("Letters"),
                            {tr("all lower case"), tr("all capitals"), tr("a capital for each word")},
                            static_cast<int>(letters->to));
    if (const auto* add = std::get_if<AddToNumbers>(&step)) {
        choice_ = addChoice(tr("Which numbers"), {tr("all of them"), tr("the first"), tr("the last")},
                            static_cast<int>(add->which));
        addWords(tr("grow by"));
        by_ = addNumber(tr("By how much numbers grow"), -most_added, static_cast<int>(add->by));
    }
    if (const auto* extension = std::get_if<Extension>(&step)) buildExtension(extension->text);
    if (const auto* as = std::get_if<NameAs>(&step)) buildPattern(as->pattern);
    if (const auto* table = std::get_if<NamesFrom>(&step)) {
        first_ = addField(tr("a file: old name, tab, new name"), shown(table->file), digits(27.5));
        auto* choose = new QPushButton(tr("Choose…"), fields_);
        connect(choose, &QPushButton::clicked, this, &NameStepRow::chooseTable);
        in_fields_->addWidget(choose);
    }
    fields().insertWidget(1, fields_);
    watchFields();
}

void NameStepRow::chooseTable() {
    const QString file =
        QFileDialog::getOpenFileName(this, tr("A table of names: old name, tab, new name, a line each"));
    if (!file.isEmpty()) first_->setText(file);
}

NameStep NameStepRow::step() const {
    const auto text = [](const QLineEdit* field) {
        return field == nullptr ? std::string() : to_bytes(field->text());
    };
    switch (kind()) {
        case Kind::in_front: return Affix{text(first_)};
        case Kind::behind: return Affix{text(first_), true};
        case Kind::replace: return Replace{text(first_), text(second_)};
        case Kind::expression: return ReplaceRegex{text(first_), text(second_)};
        case Kind::letters: return LetterCase{static_cast<LetterCase::To>(choice_->currentIndex())};
        case Kind::numbers:
            return AddToNumbers{by_->value(), static_cast<AddToNumbers::Which>(choice_->currentIndex())};
        case Kind::extension: {
            static constexpr const char* fixed[] = {"lower", "upper", ""};
            return Extension{choice_->currentIndex() < 3 ? fixed[choice_->currentIndex()] : text(first_)};
        }
        case Kind::pattern: return NameAs{text(first_)};
        case Kind::table: return NamesFrom{text(first_)};
    }
    return Affix{};
}

bool NameStepRow::counts() const { return from_ != nullptr; }
std::uint64_t NameStepRow::countFrom() const { return static_cast<std::uint64_t>(from_->value()); }
std::uint64_t NameStepRow::countBy() const { return static_cast<std::uint64_t>(step_by_->value()); }

void NameStepRow::showExample(const QString& before, const QString& after, const QString& problem) {
    example_->setText(!problem.isEmpty() ? problem
                      : before.isEmpty() ? QString()
                      : before == after  ? tr("changes nothing here")
                                         : tr("→ %1").arg(after));
    example_->setToolTip(before);
    set_tone(*example_, problem.isEmpty() ? "muted" : "amber");
}

QString NameStepRow::words() const { return words(kind()).remove(QLatin1Char('&')); }

void NameStepRow::focusFirstField() {
    QWidget* field = first_ != nullptr ? static_cast<QWidget*>(first_) : choice_;
    if (field == nullptr) field = kind_;
    field->setFocus(Qt::OtherFocusReason);
    if (first_ != nullptr && field == first_) first_->selectAll();
}
