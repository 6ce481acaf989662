// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/destination_panel.h"

#include <QFileDialog>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScreen>
#include <QSettings>
#include <QVBoxLayout>
#include <algorithm>

#include "tasks/bench.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/gathering/folder_completer.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {
constexpr std::size_t most_recent = 6;
const auto recent_key = QStringLiteral("recentDestinations");
const auto pinned_key = QStringLiteral("pinnedDestinations");
}  // namespace

namespace {

/// Paths as their bytes, which text cannot always carry.
std::vector<std::string> load(const QString& key) {
    std::vector<std::string> paths;
    for (const QVariant& one : QSettings().value(key).toList())
        paths.push_back(one.toByteArray().toStdString());
    return paths;
}

void save(const QString& key, const std::vector<std::string>& paths) {
    QVariantList list;
    for (const auto& path : paths) list << QByteArray::fromStdString(path);
    QSettings().setValue(key, list);
}

}  // namespace

std::vector<std::string> recent_destinations() { return load(recent_key); }

void remember_destination(const std::string& path) {
    auto recent = recent_destinations();
    std::erase(recent, path);
    recent.insert(recent.begin(), path);
    if (recent.size() > most_recent) recent.resize(most_recent);
    save(recent_key, recent);
}

std::vector<std::string> pinned_destinations() { return load(pinned_key); }

void pin_destination(const std::string& path, bool pinned) {
    auto all = pinned_destinations();
    std::erase(all, path);
    if (pinned) all.push_back(path);
    save(pinned_key, all);
}

DestinationPanel::DestinationPanel(Bench& bench, QWidget* parent) : QFrame(parent, Qt::Popup), bench_(bench) {
    setObjectName(QStringLiteral("popover"));
    setAccessibleName(tr("Choose the destination"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(Inset::panel);
    auto* row = new QHBoxLayout;
    path_ = new QLineEdit;
    path_->setObjectName(QStringLiteral("destinationPath"));
    path_->setAccessibleName(tr("Destination folder"));
    path_->setPlaceholderText(tr("Type a folder; one that is not there yet will be made"));
    path_->setMinimumWidth(digits(55.5));
    auto* put = new QPushButton(tr("Put here"));
    put->setObjectName(QStringLiteral("destinationUse"));
    row->addWidget(path_, 1);
    row->addWidget(put);
    column->addLayout(row);
    note_ = new QLabel;
    note_->setObjectName(QStringLiteral("destinationNote"));
    note_->setTextFormat(Qt::PlainText);
    note_->setWordWrap(true);
    column->addWidget(note_);
    recent_ = new QVBoxLayout;
    recent_->setSpacing(Gap::tight);
    column->addLayout(recent_);
    auto* choose = new QPushButton(tr("Choose in a dialog…"));
    column->addWidget(choose, 0, Qt::AlignLeft);

    completer_ = new FolderCompleter(*path_, [this] { return typedPath(); });
    connect(completer_, &FolderCompleter::looked, this, &DestinationPanel::showWhereTo);
    connect(path_, &QLineEdit::returnPressed, this, &DestinationPanel::accept);
    connect(put, &QPushButton::clicked, this, &DestinationPanel::accept);
    connect(choose, &QPushButton::clicked, this, [this] {
        hide();
        const QString chosen =
            QFileDialog::getExistingDirectory(parentWidget(), tr("Destination"), shown(bench_.job().into));
        if (chosen.isEmpty()) return;
        use(to_bytes(chosen));
    });
}

void DestinationPanel::openAt(const QPoint& global) {
    path_->setText(shown(bench_.job().into));
    note_->hide();
    fillRecent();
    adjustSize();
    QPoint at = global;
    if (const QScreen* screen = QGuiApplication::screenAt(global))
        at.setX(std::min(at.x(), screen->availableGeometry().right() - width() - 8));
    move(at);
    show();
    path_->setFocus();
    path_->selectAll();
    if (!path_->text().isEmpty()) completer_->look();
}

void DestinationPanel::fillRecent() {
    while (QLayoutItem* item = recent_->takeAt(0)) {
        if (item->widget() != nullptr) {
            item->widget()->hide();
            item->widget()->deleteLater();
        }
        delete item;
    }
    const auto head = [this](const QString& words) {
        auto* label = new QLabel(words);
        set_tone(*label, "muted");
        recent_->addWidget(label);
    };
    const auto pinned = pinned_destinations();
    if (!pinned.empty()) head(tr("Kept at hand"));
    for (const auto& path : pinned) addKnown(path, true);
    auto recent = recent_destinations();
    for (const auto& path : pinned) std::erase(recent, path);
    if (!recent.empty()) head(tr("Used before"));
    for (const auto& path : recent) addKnown(path, false);
}

/// One line: the folder, and whether it is kept at hand.
void DestinationPanel::addKnown(const std::string& path, bool pinned) {
    auto* line = new QWidget;
    auto* row = new QHBoxLayout(line);
    row->setContentsMargins(Inset::none);
    auto* known = new QPushButton(shown(path).replace(QLatin1Char('&'), QStringLiteral("&&")));
    known->setProperty("plain", true);
    connect(known, &QPushButton::clicked, this, [this, path] { use(path); });
    auto* keep = new QPushButton(pinned ? tr("Let go") : tr("Keep at hand"));
    keep->setProperty("plain", true);
    keep->setAccessibleName(pinned ? tr("No longer keep %1 at hand").arg(shown(path))
                                   : tr("Keep %1 at hand").arg(shown(path)));
    connect(keep, &QPushButton::clicked, this, [this, path, pinned] {
        pin_destination(path, !pinned);
        fillRecent();
        adjustSize();
    });
    row->addWidget(known, 1);
    row->addWidget(keep);
    recent_->addWidget(line);
}

std::string DestinationPanel::typedPath() const {
    // an unchanged path keeps its bytes, which text cannot always carry
    const auto& now = bench_.job().into;
    if (path_->text() == shown(now)) return now;
    return typed_path(path_->text(), base_);
}

/// The whole path that what is typed comes to, and how much of it is there.
void DestinationPanel::showWhereTo(const BegunFolders& found) {
    const QString whole = shown(typedPath());
    note_->setText(
        found.exists ? tr("%1 is there.").arg(whole)
        : found.missing <= 1
            ? tr("%1: the run will make its last folder.").arg(whole)
            : tr("%1: the run will make the last %Ln folders of it.", nullptr, found.missing).arg(whole));
    note_->show();
    adjustSize();
}

void DestinationPanel::accept() {
    if (const std::string path = typedPath(); !path.empty()) use(path);
}

void DestinationPanel::use(const std::string& path) {
    remember_destination(path);
    bench_.setDestination(path);
    hide();
}

void DestinationPanel::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return hide();
    QFrame::keyPressEvent(event);
}
