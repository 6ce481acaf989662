// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/look_panel.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QScrollArea>
#include <QStackedWidget>

#include "files/path.h"
#include "models/listing.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {
constexpr int rest_ms = 120;

QString rows_of(const std::vector<std::pair<QString, QString>>& facts) {
    QString html = QStringLiteral("<table cellspacing='0' cellpadding='1'>");
    for (const auto& [name, value] : facts)
        html += QStringLiteral("<tr><td style='color:%1; padding-right:8px'>%2</td><td>%3</td></tr>")
                    .arg(Theme::current().muted.name(), name.toHtmlEscaped(), value.toHtmlEscaped());
    return html + QStringLiteral("</table>");
}

}  // namespace

LookPanel::LookPanel(QWidget* parent) : QFrame(parent) {
    setObjectName(QStringLiteral("lookPanel"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(tr("A look at the file"));
    setMinimumHeight(lines(6));  // where there is little room the list goes first
    setMaximumHeight(lines(12.5));
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Preferred);
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::bar, Gap::apart);
    pages_ = new QStackedWidget;
    picture_ = new QLabel;
    picture_->setObjectName(QStringLiteral("lookPicture"));
    picture_->setAlignment(Qt::AlignCenter);
    picture_->setMinimumSize(1, 1);
    text_ = new QPlainTextEdit;
    text_->setObjectName(QStringLiteral("lookText"));
    text_->setAccessibleName(tr("The file's text"));
    text_->setReadOnly(true);
    text_->setTabChangesFocus(true);
    text_->setLineWrapMode(QPlainTextEdit::NoWrap);
    text_->setFont(text_font(font()));
    note_ = new QLabel;
    note_->setObjectName(QStringLiteral("lookNote"));
    note_->setAlignment(Qt::AlignCenter);
    note_->setWordWrap(true);
    set_tone(*note_, "muted");
    for (QWidget* page :
         {static_cast<QWidget*>(note_), static_cast<QWidget*>(picture_), static_cast<QWidget*>(text_)})
        pages_->addWidget(page);
    facts_ = new QLabel;
    facts_->setObjectName(QStringLiteral("lookFacts"));
    facts_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    facts_->setWordWrap(true);
    facts_->setTextInteractionFlags(Qt::TextBrowserInteraction);
    facts_->setOpenExternalLinks(true);  // a place on the map that the desktop has
    row->addWidget(pages_, 1);
    auto* scroll = new QScrollArea;  // a picture has more to tell than there is room
    scroll->setObjectName(QStringLiteral("lookFactsArea"));
    scroll->setAccessibleName(tr("What the file tells"));
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    scroll->setFixedWidth(digits(28.5));
    scroll->setWidget(facts_);
    for (QWidget* part : {static_cast<QWidget*>(facts_), scroll->viewport()})
        part->setAutoFillBackground(false);
    row->addWidget(scroll);
    wait_.setSingleShot(true);
    wait_.setInterval(rest_ms);
    connect(&wait_, &QTimer::timeout, this, [this] { looker_.lookAt(path_); });
    connect(&looker_, &LookerProcess::looked, this, [this](const std::string& path, const Look& look) {
        if (path == path_) show_(look);
    });
}

void LookPanel::clear() {
    path_.clear();
    wait_.stop();
    looker_.stop();
    facts_->clear();
    note_->setText(tr("Nothing is current in the list."));
    pages_->setCurrentWidget(note_);
}

QSize LookPanel::sizeHint() const { return {QFrame::sizeHint().width(), maximumHeight()}; }

void LookPanel::lookAt(const std::string& path, const Status& status, const QString& kind) {
    if (path == path_) return;  // current already
    path_ = path;
    looker_.stop();
    own_facts_ = {
        {tr("Kind"), kind},
        {tr("Size"),
         tr("%1 (%2 bytes)").arg(size_text(status.id.size_bytes), count_text(status.id.size_bytes))},
        {tr("Changed"), date_text(status.id.modified_ns)}};
    permissions_ = permissions_text(status.mode);
    title_ = QStringLiteral("<b>%1</b>").arg(shown(name_of(path)).toHtmlEscaped());
    inner_facts_.clear();
    geo_.clear();
    showFacts();
    note_->setText(status.type == FileType::file ? QString() : tr("A look is for files."));
    pages_->setCurrentWidget(note_);
    if (status.type == FileType::file)
        wait_.start();
    else
        wait_.stop();
}

void LookPanel::show_(const Look& look) {
    image_ = look.picture;
    inner_facts_ = look.facts;
    geo_ = look.geo;
    place_ = look.place_in_figures;
    showFacts();
    if (!look.picture.isNull()) {
        pages_->setCurrentWidget(picture_);
        fitPicture();
    } else if (!look.text.isEmpty()) {
        text_->setPlainText(look.text);
        pages_->setCurrentWidget(text_);
    } else {
        note_->setText(look.problem);
        pages_->setCurrentWidget(note_);
    }
}

void LookPanel::showFacts() {
    auto facts = own_facts_;
    facts.insert(facts.end(), inner_facts_.begin(), inner_facts_.end());
    facts.emplace_back(tr("Permissions"), permissions_);
    const QString on_map =
        geo_.isEmpty() ? QString()
                       : QStringLiteral("<a href='%1' style='color:%2'>%3</a>")
                             .arg(geo_, Theme::current().accent.name(), tr("%1 on a map").arg(place_));
    facts_->setText(path_.empty()
                        ? QString()
                        : title_ + (on_map.isEmpty() ? QString() : QStringLiteral("<br>") + on_map) +
                              rows_of(facts));
}

void LookPanel::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange) showFacts();  // whose colours are the theme's
    QFrame::changeEvent(event);
}

void LookPanel::fitPicture() {
    if (image_.isNull()) return;
    const QSize room = pages_->size() * devicePixelRatio();
    QPixmap pixmap =
        QPixmap::fromImage(image_.width() > room.width() || image_.height() > room.height()
                               ? image_.scaled(room, Qt::KeepAspectRatio, Qt::SmoothTransformation)
                               : image_);
    pixmap.setDevicePixelRatio(devicePixelRatio());
    picture_->setPixmap(pixmap);
}

void LookPanel::resizeEvent(QResizeEvent* event) {
    QFrame::resizeEvent(event);
    fitPicture();
}
