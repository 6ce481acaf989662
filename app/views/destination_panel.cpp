#include "views/destination_panel.h"

#include <QDir>
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
#include "theme/theme.h"
#include "views/folder_completer.h"

using namespace tavlo;

namespace {
constexpr int most_recent = 6;
const auto recent_key = QStringLiteral("recentDestinations");
const auto pinned_key = QStringLiteral("pinnedDestinations");
}  // namespace

QStringList recent_destinations() { return QSettings().value(recent_key).toStringList(); }

void remember_destination(const QString& path) {
    QStringList recent = recent_destinations();
    recent.removeAll(path);
    recent.prepend(path);
    QSettings().setValue(recent_key, recent.mid(0, most_recent));
}

QStringList pinned_destinations() { return QSettings().value(pinned_key).toStringList(); }

void pin_destination(const QString& path, bool pinned) {
    QStringList all = pinned_destinations();
    all.removeAll(path);
    if (pinned) all.append(path);
    QSettings().setValue(pinned_key, all);
}

DestinationPanel::DestinationPanel(Bench& bench, QWidget* parent) : QFrame(parent, Qt::Popup), bench_(bench) {
    setObjectName(QStringLiteral("popover"));
    setAccessibleName(tr("Choose the destination"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(14, 12, 14, 12);
    auto* row = new QHBoxLayout;
    path_ = new QLineEdit;
    path_->setObjectName(QStringLiteral("destinationPath"));
    path_->setAccessibleName(tr("Destination folder"));
    path_->setPlaceholderText(tr("Type a folder; one that is not there yet will be made"));
    path_->setMinimumWidth(460);
    auto* use = new QPushButton(tr("Put here"));
    use->setObjectName(QStringLiteral("destinationUse"));
    row->addWidget(path_, 1);
    row->addWidget(use);
    column->addLayout(row);
    note_ = new QLabel;
    note_->setObjectName(QStringLiteral("destinationNote"));
    column->addWidget(note_);
    recent_ = new QVBoxLayout;
    recent_->setSpacing(2);
    column->addLayout(recent_);
    auto* choose = new QPushButton(tr("Choose in a dialog…"));
    column->addWidget(choose, 0, Qt::AlignLeft);

    auto* completer = new FolderCompleter(*path_, [this] { return typedPath(); });
    connect(completer, &FolderCompleter::looked, this, [this](bool exists) {
        note_->setVisible(!exists);
        note_->setText(exists ? QString() : tr("This folder is not there yet; the run will make it."));
        adjustSize();
    });
    connect(path_, &QLineEdit::returnPressed, this, &DestinationPanel::accept);
    connect(use, &QPushButton::clicked, this, &DestinationPanel::accept);
    connect(choose, &QPushButton::clicked, this, [this] {
        hide();
        const QString chosen = QFileDialog::getExistingDirectory(parentWidget(), tr("Destination"), shown(bench_.job().into));
        if (chosen.isEmpty()) return;
        remember_destination(chosen);
        bench_.setDestination(to_bytes(chosen));
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
    const QStringList pinned = pinned_destinations();
    if (!pinned.isEmpty()) head(tr("Kept at hand"));
    for (const QString& path : pinned) addKnown(path, true);
    QStringList recent = recent_destinations();
    for (const QString& path : pinned) recent.removeAll(path);
    if (!recent.isEmpty()) head(tr("Used before"));
    for (const QString& path : recent) addKnown(path, false);
}

/// One line: the folder, and whether it is kept at hand.
void DestinationPanel::addKnown(const QString& path, bool pinned) {
    auto* line = new QWidget;
    auto* row = new QHBoxLayout(line);
    row->setContentsMargins(0, 0, 0, 0);
    auto* use = new QPushButton(path);
    use->setProperty("plain", true);
    connect(use, &QPushButton::clicked, this, [this, path] {
        path_->setText(path);
        accept();
    });
    auto* keep = new QPushButton(pinned ? tr("Let go") : tr("Keep at hand"));
    keep->setProperty("plain", true);
    keep->setAccessibleName(pinned ? tr("No longer keep %1 at hand").arg(path) : tr("Keep %1 at hand").arg(path));
    connect(keep, &QPushButton::clicked, this, [this, path, pinned] {
        pin_destination(path, !pinned);
        fillRecent();
        adjustSize();
    });
    row->addWidget(use, 1);
    row->addWidget(keep);
    recent_->addWidget(line);
}

std::string DestinationPanel::typedPath() const {
    // an unchanged path keeps its bytes, which text cannot always carry
    const auto& now = bench_.job().into;
    if (path_->text() == shown(now)) return now;
    return typed_path(path_->text(), now.empty() ? to_bytes(QDir::homePath()) : now);
}

void DestinationPanel::accept() {
    const std::string path = typedPath();
    if (path.empty()) return;
    remember_destination(shown(path));
    bench_.setDestination(path);
    hide();
}

void DestinationPanel::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return hide();
    QFrame::keyPressEvent(event);
}
