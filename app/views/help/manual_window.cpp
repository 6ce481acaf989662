// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/help/manual_window.h"

#include <QDir>
#include <QFile>
#include <QLineEdit>
#include <QListWidget>
#include <QTextBrowser>
#include <QVBoxLayout>

#include "views/parts/building.h"
#include "views/parts/with_focus.h"

namespace {

/// The first heading of a page.
QString title_of(const QString& text) {
    for (const QString& line : text.split(QLatin1Char('\n')))
        if (line.startsWith(QLatin1String("# "))) return line.mid(2).trimmed();
    return {};
}

}  // namespace

ManualWindow::ManualWindow(QWidget* parent) : QDialog(parent) {
    setObjectName(QStringLiteral("manual"));
    setWindowTitle(tr("Manual"));
    resize(980, 680);
    auto* column = new QVBoxLayout(this);
    line_ = new QLineEdit;
    line_->setObjectName(QStringLiteral("manualSearch"));
    line_->setPlaceholderText(tr("Search all pages"));
    line_->setAccessibleName(tr("Search all pages"));
    line_->setClearButtonEnabled(true);
    column->addWidget(line_);
    pages_ = new WithFocus<QListWidget>;
    pages_->setObjectName(QStringLiteral("manualPages"));
    pages_->setAccessibleName(tr("Pages"));
    pages_->setFrameShape(QFrame::NoFrame);
    page_ = new QTextBrowser;
    page_->setObjectName(QStringLiteral("manualPage"));
    page_->setAccessibleName(tr("Page"));
    page_->setOpenLinks(false);
    page_->setFrameShape(QFrame::NoFrame);
    page_->document()->setDocumentMargin(18);
    column->addWidget(split(Qt::Horizontal, {{pages_, 220}, {page_, 740, true}}), 1);
    const QDir folder(QStringLiteral(":/manual"));
    for (const QString& name : folder.entryList({QStringLiteral("*.md")}, QDir::Files, QDir::Name)) {
        QFile file(folder.filePath(name));
        if (!file.open(QIODevice::ReadOnly)) continue;
        const QString text = QString::fromUtf8(file.readAll());
        names_ << name.chopped(3);
        texts_ << text;
        const QString title = title_of(text);
        pages_->addItem(title.isEmpty() ? names_.last() : title);
    }
    connect(pages_, &QListWidget::currentRowChanged, this, &ManualWindow::show_);
    connect(line_, &QLineEdit::textChanged, this, &ManualWindow::search);
    connect(page_, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& link) { openPage(link.path().section(QLatin1Char('.'), 0, 0)); });
}

void ManualWindow::openPage(const QString& name) {
    if (const auto row = names_.indexOf(name); row >= 0) pages_->setCurrentRow(static_cast<int>(row));
}

void ManualWindow::show_(int row) {
    if (row < 0) return page_->clear();
    page_->setMarkdown(texts_[row]);
    if (!line_->text().isEmpty()) page_->find(line_->text());
}

/// The pages that hold what is searched for; in the one on view, its first place.
void ManualWindow::search() {
    const QString wanted = line_->text();
    int first = -1;
    for (int row = 0; row < pages_->count(); ++row) {
        const bool holds = wanted.isEmpty() || texts_[row].contains(wanted, Qt::CaseInsensitive);
        pages_->item(row)->setHidden(!holds);
        if (holds && first < 0) first = row;
    }
    const int now = pages_->currentRow();
    const bool stays = now >= 0 && !pages_->item(now)->isHidden();
    pages_->setCurrentRow(stays ? now : first);
    show_(stays ? now : first);
}
