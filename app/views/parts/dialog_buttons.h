// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QDialog>
#include <QDialogButtonBox>
#include <QPushButton>
#include <QVBoxLayout>

/// The two buttons at the foot of a dialog; returns the one that accepts it, with these words.
inline QPushButton* add_dialog_buttons(QDialog& dialog, QVBoxLayout& column, const QString& accept) {
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    column.addWidget(buttons);
    QObject::connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    QObject::connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    QPushButton* use = buttons->button(QDialogButtonBox::Ok);
    use->setText(accept);
    return use;
}
