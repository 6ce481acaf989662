// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/pack_dialog.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "files/path.h"
#include "names/names.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/building.h"
#include "views/parts/dialog_buttons.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

QString format_words(ArchiveFormat format) {
    switch (format) {
        case ArchiveFormat::zip: return PackDialog::tr("zip: to send; everybody can open it");
        case ArchiveFormat::tar: return PackDialog::tr("tar: without compression");
        case ArchiveFormat::tar_gz: return PackDialog::tr("tar.gz: for other Unix machines");
        case ArchiveFormat::tar_xz: return PackDialog::tr("tar.xz: to put away; smallest, slowest");
        case ArchiveFormat::tar_zst: return PackDialog::tr("tar.zst: to put away in a hurry");
    }
    return {};
}

QString what_is_kept(ArchiveFormat format) {
    if (format == ArchiveFormat::zip)
        return PackDialog::tr(
            "Keeps permissions, links, empty folders and dates to the second. Not owners, notes of programs "
            "(extended "
            "attributes), or that two names are one file.");
    return PackDialog::tr("Keeps everything: owners, permissions, dates, links, notes of programs, holes.");
}

QString press_words(Press press) {
    switch (press) {
        case Press::fast: return PackDialog::tr("little: fast");
        case Press::normal: return PackDialog::tr("as usual");
        case Press::small: return PackDialog::tr("much: small, and slow");
    }
    return {};
}

constexpr ArchiveFormat every_format[] = {ArchiveFormat::zip, ArchiveFormat::tar, ArchiveFormat::tar_gz,
                                          ArchiveFormat::tar_xz, ArchiveFormat::tar_zst};

}  // namespace

PackDialog::PackDialog(const Job& job, QWidget* parent) : QDialog(parent), job_(job) {
    setObjectName(QStringLiteral("pack"));
    setWindowTitle(tr("Pack into an archive"));
    setMinimumWidth(digits(67.5));
    auto* column = new QVBoxLayout(this);
    column->addLayout(buildForm());
    column->addSpacing(6);
    removes_ =
        new QCheckBox(tr("Then remove them, to the Safe: each file once it is proved to be in the archive"));
    removes_->setObjectName(QStringLiteral("packRemoves"));
    removes_->setChecked(job.then_remove);
    note_ = named_label("packNote");
    column->addWidget(removes_);
    column->addWidget(note_);
    use_ = add_dialog_buttons(*this, *column, tr("Use it"));
    for (QLineEdit* line : {folder_, name_})
        connect(line, &QLineEdit::textChanged, this, &PackDialog::refresh);
    connect(format_, &QComboBox::currentIndexChanged, this, &PackDialog::refresh);
    name_->setFocus();
    name_->selectAll();
    refresh();
}

QFormLayout* PackDialog::buildForm() {
    auto* form = new QFormLayout;
    form->setHorizontalSpacing(Gap::beside);
    form->setVerticalSpacing(Gap::beside);
    const std::string file(name_of(job_.into));
    auto* folder_row = new QHBoxLayout;
    folder_row->setSpacing(Gap::beside);
    folder_ = new QLineEdit(job_.into.empty() ? QString() : shown(std::string(parent_of(job_.into))));
    folder_->setObjectName(QStringLiteral("packFolder"));
    auto* browse = named_button("packBrowse", tr("Choose…"));
    folder_row->addWidget(folder_, 1);
    folder_row->addWidget(browse);
    name_ = new QLineEdit(shown(file.substr(0, extension_start(file, FileType::file))));
    name_->setObjectName(QStringLiteral("packName"));
    format_ = new QComboBox;
    format_->setObjectName(QStringLiteral("packFormat"));
    for (const auto one : every_format) format_->addItem(format_words(one), static_cast<int>(one));
    format_->setCurrentIndex(
        format_->findData(static_cast<int>(archive_format(file).value_or(ArchiveFormat::zip))));
    about_ = named_label("packAbout", "muted");
    press_ = new QComboBox;
    press_->setObjectName(QStringLiteral("packPress"));
    for (const auto one : {Press::fast, Press::normal, Press::small})
        press_->addItem(press_words(one), static_cast<int>(one));
    press_->setCurrentIndex(press_->findData(static_cast<int>(job_.press)));
    const auto label = [&](const QString& words, QWidget* field) {
        auto* made = new QLabel(words);
        made->setBuddy(field);
        field->setAccessibleName(QString(words).remove(QLatin1Char('&')));
        return made;
    };
    form->addRow(label(tr("&Folder"), folder_), folder_row);
    form->addRow(label(tr("&Name"), name_), name_);
    form->addRow(label(tr("F&ormat"), format_), format_);
    form->addRow(QString(), about_);
    form->addRow(label(tr("&Compression"), press_), press_);
    connect(browse, &QPushButton::clicked, this, [this] {
        const QString chosen =
            QFileDialog::getExistingDirectory(this, tr("Where the archive is to be"), folder_->text());
        if (!chosen.isEmpty()) folder_->setText(chosen);
    });
    return form;
}

std::string PackDialog::path() const {
    const auto format = static_cast<ArchiveFormat>(format_->currentData().toInt());
    return join(to_bytes(folder_->text()), to_bytes(name_->text()) + "." + std::string(to_text(format)));
}

void PackDialog::refresh() {
    const auto format = static_cast<ArchiveFormat>(format_->currentData().toInt());
    about_->setText(what_is_kept(format));
    press_->setEnabled(format != ArchiveFormat::tar);
    const std::string name = to_bytes(name_->text());
    const QString problem =
        !folder_->text().startsWith(QLatin1Char('/'))         ? tr("The folder is a path that begins with /.")
        : name.empty()                                        ? tr("The archive wants a name.")
        : !impossible_name(name).empty() || name.size() > 240 ? tr("No file can have this name.")
                                                              : QString();
    use_->setEnabled(problem.isEmpty());
    set_tone(*note_, problem.isEmpty() ? "muted" : "amber");
    note_->setText(problem.isEmpty()
                       ? tr("It has its name once everything was read back out of it and compared.")
                       : problem);
}

Job PackDialog::job() const {
    Job wanted = job_;
    wanted.into = normalised(path(), "/");
    wanted.press = static_cast<Press>(press_->currentData().toInt());
    wanted.then_remove = removes_->isChecked();
    return wanted;
}
