// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/kinds_dialog.h"

#include <QDialogButtonBox>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "error_words.h"
#include "files/small_file.h"
#include "text.h"
#include "theme/theme.h"

using namespace tavlo;

KindsDialog::KindsDialog(const Kinds& kinds, QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("kindsDialog"));
    setWindowTitle(tr("Kinds of files"));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(640, 420);
    auto* column = new QVBoxLayout(this);
    auto* words =
        new QLabel(tr("One kind a line: its name, a colon, the extensions. A new line makes a new kind; a "
                      "kind without extensions "
                      "is taken out. The command line knows the same kinds."));
    words->setWordWrap(true);
    column->addWidget(words);
    text_ = new QPlainTextEdit(QString::fromStdString(kinds.to_text()));
    text_->setObjectName(QStringLiteral("kindsText"));
    text_->setAccessibleName(tr("Kinds and their extensions"));
    text_->setTabChangesFocus(true);
    column->addWidget(text_, 1);
    problem_ = new QLabel;
    problem_->setWordWrap(true);
    set_tone(*problem_, "amber");
    column->addWidget(problem_);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Save | QDialogButtonBox::Cancel);
    auto* built_in = buttons->addButton(tr("As built in"), QDialogButtonBox::ResetRole);
    column->addWidget(buttons);
    connect(built_in, &QPushButton::clicked, this,
            [this] { text_->setPlainText(QString::fromStdString(Kinds().to_text())); });
    connect(buttons, &QDialogButtonBox::accepted, this, &KindsDialog::save);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::close);
}

void KindsDialog::save() {
    const std::string text = to_bytes(text_->toPlainText());
    if (const auto good = Kinds().change(text, kinds_file()); !good)
        return problem_->setText(error_words(good.error()));
    worker_.ask(
        this, [text](const std::stop_token&) { return write_small_file(kinds_file(), text); },
        [this](const Result<void>& written) {
            if (!written) return problem_->setText(error_words(written.error()));
            emit saved();
            close();
        });
}
