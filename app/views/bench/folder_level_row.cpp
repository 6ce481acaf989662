// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/folder_level_row.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>

#include "fact_words.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/elided_label.h"
#include "views/parts/named_combo.h"

using namespace tavlo;

FolderLevelRow::FolderLevelRow(const FolderLevel& level, QWidget* parent)
    : EditorRow(tr("Take this level out"), parent) {
    if (level.fact.empty()) {
        text_ = new QLineEdit(shown(level.text));
        text_->setObjectName(QStringLiteral("levelText"));
        text_->setAccessibleName(tr("Text with facts in braces"));
        text_->setPlaceholderText(tr("text with facts in braces: {kind}-{taken:%Y}"));
        connect(text_, &QLineEdit::textChanged, this, &FolderLevelRow::changed);
        connect(text_, &QLineEdit::returnPressed, this, &FolderLevelRow::nextRequested);
        fields().addWidget(text_, 1);
    } else {
        fact_ = new NamedCombo(tr("What the folder is named by"), this);
        fact_->setObjectName(QStringLiteral("levelFact"));
        fact_->setFixedWidth(digits(17.5));
        addFacts(*fact_);
        fact_->setCurrentIndex(fact_->findData(QString::fromStdString(level.fact)));
        fields().addWidget(fact_);
        format_ = new NamedCombo(tr("How the date is written"), this);
        format_->setObjectName(QStringLiteral("levelFormat"));
        format_->setEditable(true);
        format_->setFixedWidth(digits(16));
        fields().addWidget(format_);
        or_else_ = new NamedCombo(tr("The fact that stands in where that one is not known"), this);
        or_else_->addItem(tr("nothing else"), QString());
        addFacts(*or_else_);
        or_else_->setCurrentIndex(std::max(0, or_else_->findData(QString::fromStdString(level.or_else))));
        or_else_->setVisible(!level.or_else.empty());
        or_else_->setFixedWidth(digits(16));
        fields().addWidget(or_else_);
        auto* words = new QLabel(tr("or else"));
        set_tone(*words, "muted");
        fields().addWidget(words);
        otherwise_ = new QLineEdit(shown(level.otherwise));
        otherwise_->setObjectName(QStringLiteral("levelOtherwise"));
        otherwise_->setAccessibleName(tr("The folder where it is not known"));
        otherwise_->setPlaceholderText(QStringLiteral("unknown"));
        otherwise_->setFixedWidth(digits(12.5));
        fields().addWidget(otherwise_);
        fillFormats(level.format);
        connect(fact_, &QComboBox::activated, this, [this] {
            fillFormats({});
            emit changed();
        });
        connect(format_, &QComboBox::currentTextChanged, this, &FolderLevelRow::changed);
        connect(or_else_, &QComboBox::activated, this, &FolderLevelRow::changed);
        connect(otherwise_, &QLineEdit::textChanged, this, &FolderLevelRow::changed);
        connect(otherwise_, &QLineEdit::returnPressed, this, &FolderLevelRow::nextRequested);
    }
    known_ = new ElidedLabel;
    known_->setObjectName(QStringLiteral("levelKnown"));
    known_->setMinimumWidth(0);
    known_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    fields().addWidget(known_, fact_ == nullptr ? 0 : 1);
    watchFields();
}

void FolderLevelRow::addFacts(QComboBox& box) const {
    for (const KnownFact& known : known_facts()) {
        if (known.name == "date") continue;  // the same as another
        box.addItem(fact_words(known.name),
                    QString::fromUtf8(known.name.data(), static_cast<qsizetype>(known.name.size())));
    }
}

/// A date is written in one of some ways, or in a way of one's own (strftime(3)).
void FolderLevelRow::fillFormats(const std::string& format) {
    const KnownFact* known = known_fact(fact_->currentData().toString().toStdString());
    const bool is_date = known != nullptr && known->kind == KnownFact::Kind::moment && known->name != "time";
    format_->setVisible(is_date);
    const QSignalBlocker quiet(format_);
    format_->clear();
    if (!is_date) {
        if (!format.empty()) format_->setEditText(shown(format));
        return;
    }
    for (const DateFormat& one : date_formats()) format_->addItem(one.words, QLatin1String(one.format));
    const int found = format.empty() ? 0 : format_->findData(QString::fromStdString(format));
    if (found >= 0)
        format_->setCurrentIndex(found);
    else
        format_->setEditText(shown(format));
}

FolderLevel FolderLevelRow::level() const {
    FolderLevel level;
    if (text_ != nullptr) {
        level.text = to_bytes(text_->text());
        return level;
    }
    level.fact = fact_->currentData().toString().toStdString();
    const int known = format_->findText(format_->currentText());
    level.format =
        known >= 0 ? format_->itemData(known).toString().toStdString() : to_bytes(format_->currentText());
    level.or_else = or_else_->currentData().toString().toStdString();
    level.otherwise = to_bytes(otherwise_->text());
    return level;
}

QString FolderLevelRow::words() const { return level_words(level()); }

void FolderLevelRow::showKnown(std::uint64_t known_of, std::uint64_t files, const QString& values) {
    const bool says = files > 0 && fact_ != nullptr;
    known_->setText(says ? tr("%1 of %2: %3").arg(count_text(known_of), count_text(files), values)
                         : QString());
    if (says && known_of == 0) known_->setText(tr("none knows it"));
    known_->setToolTip(known_->text());
    set_tone(*known_, says && known_of < files ? "amber" : "muted");
}

void FolderLevelRow::focusFirstField() {
    if (text_ != nullptr) text_->setFocus(Qt::OtherFocusReason);
    if (fact_ != nullptr) fact_->setFocus(Qt::OtherFocusReason);
}
