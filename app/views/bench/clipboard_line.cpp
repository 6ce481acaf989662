// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/clipboard_line.h"

#include <sys/stat.h>

#include <QApplication>
#include <QClipboard>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QMimeData>
#include <QPushButton>
#include <QTime>
#include <set>

#include "files/path.h"
#include "text.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"

ClipboardLine::ClipboardLine(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("clipboardLine"));
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::bar, Gap::beside);
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("clipboardWords"));
    words_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    copy_ = new QPushButton(tr("Copy here"));
    copy_->setObjectName(QStringLiteral("clipboardCopy"));
    move_ = new QPushButton(tr("Move here"));
    move_->setObjectName(QStringLiteral("clipboardMove"));
    for (auto* button : {copy_, move_})
        button->setToolTip(tr("Takes them in hand, with the folder shown as destination; nothing runs yet"));
    row->addWidget(words_, 1);
    row->addWidget(copy_);
    row->addWidget(move_);
    connect(copy_, &QPushButton::clicked, this, [this] { emit pasteRequested(false); });
    connect(move_, &QPushButton::clicked, this, [this] { emit pasteRequested(true); });
    connect(QApplication::clipboard(), &QClipboard::dataChanged, this, [this] {
        since_ = QLocale().toString(QTime::currentTime(), QStringLiteral("hh:mm"));
        look();
    });
    look();
}

void ClipboardLine::look() {
    clip_ = from_mime(QApplication::clipboard()->mimeData());
    setVisible(!clip_.paths.empty());
    if (clip_.paths.empty()) return;
    refresh(0);
    const auto count_missing = [paths = clip_.paths](const std::stop_token& stop) {
        std::size_t missing = 0;
        for (const auto& path : paths) {
            struct stat status {};
            if (stop.stop_requested()) break;
            if (::lstat(path.c_str(), &status) != 0) ++missing;
        }
        return missing;
    };
    worker_.ask(this, count_missing, [this](std::size_t missing) {
        if (!clip_.paths.empty()) refresh(missing);
    });
}

void ClipboardLine::refresh(std::size_t missing) {
    std::set<std::string_view> folders;
    for (const auto& path : clip_.paths) folders.insert(tavlo::parent_of(path));
    const int count = static_cast<int>(clip_.paths.size());
    QString text =
        clip_.cut ? tr("Clipboard: %Ln cut", nullptr, count) : tr("Clipboard: %Ln copied", nullptr, count);
    text += folders.size() == 1 ? tr(" from %1").arg(short_path(std::string(*folders.begin()), 1))
                                : tr(" from %Ln folders", nullptr, static_cast<int>(folders.size()));
    if (!since_.isEmpty()) text += tr(" at %1").arg(since_);
    if (missing > 0) text += tr(" · %Ln gone", nullptr, static_cast<int>(missing));
    words_->setText(text);
    words_->setToolTip(text);
    set_tone(*words_, missing > 0 ? "amber" : "muted");
    const bool any = missing < clip_.paths.size();
    copy_->setEnabled(any);
    move_->setEnabled(any);
}
