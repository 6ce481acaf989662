#include "views/destination_panel.h"

#include <QCompleter>
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

#include "batch/gather.h"
#include "files/file_system.h"
#include "files/natural.h"
#include "files/path.h"
#include "tasks/bench.h"
#include "text.h"

using namespace tavlo;

namespace {
constexpr int most_recent = 6;
const auto recent_key = QStringLiteral("recentDestinations");
}  // namespace

QStringList recent_destinations() { return QSettings().value(recent_key).toStringList(); }

void remember_destination(const QString& path) {
    QStringList recent = recent_destinations();
    recent.removeAll(path);
    recent.prepend(path);
    QSettings().setValue(recent_key, recent.mid(0, most_recent));
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
    completer_ = new QCompleter(&folders_, this);
    completer_->setCompletionMode(QCompleter::PopupCompletion);
    completer_->setCaseSensitivity(Qt::CaseSensitive);
    path_->setCompleter(completer_);
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

    connect(path_, &QLineEdit::textEdited, this, &DestinationPanel::complete);
    connect(path_, &QLineEdit::returnPressed, this, &DestinationPanel::accept);
    connect(use, &QPushButton::clicked, this, &DestinationPanel::accept);
    connect(choose, &QPushButton::clicked, this, [this] {
        hide();
        const QString chosen = QFileDialog::getExistingDirectory(parentWidget(), tr("Destination"), shown(bench_.request().destination));
        if (chosen.isEmpty()) return;
        remember_destination(chosen);
        bench_.setDestination(to_bytes(chosen));
    });
}

void DestinationPanel::openAt(const QPoint& global) {
    path_->setText(shown(bench_.request().destination));
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
        if (item->widget() != nullptr) item->widget()->deleteLater();
        delete item;
    }
    const QStringList recent = recent_destinations();
    if (!recent.isEmpty()) recent_->addWidget(new QLabel(tr("Used before")));
    for (const QString& path : recent) {
        auto* button = new QPushButton(path);
        button->setStyleSheet(QStringLiteral("text-align: left; border: 0;"));
        connect(button, &QPushButton::clicked, this, [this, path] {
            path_->setText(path);
            accept();
        });
        recent_->addWidget(button);
    }
}

std::string DestinationPanel::typedPath() const {
    const QString text = path_->text().trimmed();
    if (text.isEmpty()) return {};
    if (text == QStringLiteral("~") || text.startsWith(QStringLiteral("~/")))
        return normalised(to_bytes(QDir::homePath() + text.mid(1)), "/");
    // an unchanged path keeps its bytes, which text cannot always carry
    if (text == shown(bench_.request().destination)) return bench_.request().destination;
    const std::string base = bench_.request().destination.empty() ? to_bytes(QDir::homePath()) : bench_.request().destination;
    return normalised(to_bytes(text), base);
}

void DestinationPanel::accept() {
    const std::string path = typedPath();
    if (path.empty()) return;
    remember_destination(shown(path));
    bench_.setDestination(path);
    hide();
}

/// Offers the folders that begin with what was typed; read on another thread.
void DestinationPanel::complete(const QString& text) {
    const std::string path = typedPath();
    const bool inside = text.endsWith(QLatin1Char('/'));
    worker_.post([this, text, path, inside](const std::stop_token& stop) {
        const auto disk = make_disk();
        const std::string folder = inside ? path : std::string(parent_of(path));
        const std::string begin = inside ? std::string() : std::string(name_of(path));
        std::vector<std::string> found;
        bool exists = false;
        if (const auto handle = disk->open_folder(folder)) {
            if (const auto names = disk->list(*handle))
                for (const Name& name : *names) {
                    if (stop.stop_requested()) return;
                    if (name.hint != FileType::folder || is_own_name(name.bytes)) continue;
                    exists |= name.bytes == begin;
                    if (name.bytes.starts_with(begin)) found.push_back(name.bytes);
                }
            exists |= inside;
        }
        std::sort(found.begin(), found.end(), natural_less);
        QStringList list;
        const QString head = inside ? text : text.left(text.lastIndexOf(QLatin1Char('/')) + 1);
        for (const auto& name : found) list << head + shown(name);
        QMetaObject::invokeMethod(
            this,
            [this, text, list, exists] {
                if (path_->text() != text) return;
                folders_.setStringList(list);
                note_->setVisible(!exists);
                note_->setText(exists ? QString() : tr("This folder is not there yet; the run will make it."));
                adjustSize();
                if (isVisible() && !list.isEmpty()) completer_->complete();
            },
            Qt::QueuedConnection);
    });
}

void DestinationPanel::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return hide();
    QFrame::keyPressEvent(event);
}
