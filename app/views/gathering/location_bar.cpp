// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/location_bar.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QStackedLayout>
#include <vector>

#include "files/path.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/gathering/folder_completer.h"
#include "views/parts/spacing.h"

using namespace tavlo;

LocationBar::LocationBar(QWidget* parent) : QWidget(parent) {
    pages_ = new QStackedLayout(this);
    pages_->setContentsMargins(Inset::none);
    steps_ = new QWidget;
    steps_->setObjectName(QStringLiteral("locationSteps"));
    steps_->setAttribute(Qt::WA_StyledBackground);
    steps_->setCursor(Qt::IBeamCursor);
    steps_->setToolTip(tr("Click beside the folders to type a path (Ctrl+L)"));
    steps_->installEventFilter(this);
    row_ = new QHBoxLayout(steps_);
    row_->setContentsMargins(Inset::field);
    row_->setSpacing(Gap::none);
    line_ = new QLineEdit;
    line_->setObjectName(QStringLiteral("location"));
    line_->setAccessibleName(tr("Folder shown"));
    line_->installEventFilter(this);
    pages_->addWidget(steps_);
    pages_->addWidget(line_);
    setFixedHeight(line_->sizeHint().height());
    new FolderCompleter(*line_, [this] { return typed_path(line_->text(), path_); });
    connect(line_, &QLineEdit::returnPressed, this, [this] {
        // an unchanged path keeps its bytes, which text cannot always carry
        const std::string path = line_->text() == shown(path_) ? path_ : typed_path(line_->text(), path_);
        pages_->setCurrentWidget(steps_);
        if (!path.empty()) emit folderChosen(path);
    });
}

void LocationBar::setPath(const std::string& path) {
    path_ = path;
    line_->setText(shown(path));
    pages_->setCurrentWidget(steps_);
    showSteps();
}

void LocationBar::edit() {
    line_->setText(shown(path_));
    pages_->setCurrentWidget(line_);
    line_->setFocus();
    line_->selectAll();
}

/// As many of the last folders as there is room for; what is before them is one step "…" up.
void LocationBar::showSteps() {
    while (QLayoutItem* item = row_->takeAt(0)) {
        if (item->widget() != nullptr) {
            item->widget()->hide();  // at once: it may be long before it goes
            item->widget()->deleteLater();
        }
        delete item;
    }
    std::vector<std::string> paths;
    for (std::string at = path_;; at = std::string(parent_of(at))) {
        paths.push_back(at);
        if (at == "/") break;
    }
    int room = width() - 60;
    std::vector<QWidget*> widgets;  // from the right to the left
    for (std::size_t i = 0; i < paths.size(); ++i) {
        const std::string& path = paths[i];
        const bool here = i == 0;
        QString words = path == "/" ? QStringLiteral("/") : shown(name_of(path));
        const QFont bold = strong_font(font(), here);
        const QFontMetrics metrics(bold);
        words = metrics.elidedText(words, Qt::ElideMiddle, std::max(80, room - 20));
        const bool fits = here || metrics.horizontalAdvance(words) + 26 <= room;
        auto* step = new QPushButton(fits ? words.replace(QLatin1Char('&'), QStringLiteral("&&"))
                                          : QStringLiteral("…"));
        step->setObjectName(QStringLiteral("locationStep"));
        step->setProperty("role", "step");
        step->setFont(bold);
        step->setCursor(Qt::ArrowCursor);
        step->setToolTip(shown(path));
        step->setAccessibleName(tr("Open %1").arg(shown(path)));
        connect(step, &QPushButton::clicked, this, [this, path] { emit folderChosen(path); });
        room -= metrics.horizontalAdvance(words) + 26;
        widgets.push_back(step);
        if (!fits) break;
        if (path != "/" && parent_of(path) != "/") {
            auto* slash = new QLabel(QStringLiteral("/"));
            set_tone(*slash, "muted");
            widgets.push_back(slash);
        }
    }
    for (auto widget = widgets.rbegin(); widget != widgets.rend(); ++widget) row_->addWidget(*widget);
    row_->addStretch(1);
}

void LocationBar::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    showSteps();
}

bool LocationBar::eventFilter(QObject* watched, QEvent* event) {
    if (watched == steps_ && event->type() == QEvent::MouseButtonPress) {
        edit();
        return true;
    }
    if (watched == line_ && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        setPath(path_);
        return true;
    }
    return QWidget::eventFilter(watched, event);
}
