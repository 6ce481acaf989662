// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/collisions/face_to_face.h"

#include <QGridLayout>
#include <QLabel>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <algorithm>

#include "files/path.h"
#include "models/listing.h"
#include "text.h"
#include "theme/theme.h"
#include "views/collisions/picture_pair.h"
#include "views/collisions/text_pair.h"
#include "views/parts/building.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

constexpr int rest_ms = 120;

QString bytes_text(const FileState& status) {
    switch (status.type) {
        case FileType::file:
            return FaceToFace::tr("%1 (%2 bytes)")
                .arg(size_text(status.id.size_bytes), count_text(status.id.size_bytes));
        case FileType::folder: return FaceToFace::tr("a folder");
        case FileType::link: return FaceToFace::tr("a link");
        case FileType::other: return FaceToFace::tr("a special file");
    }
    return {};
}

QString chip(const QString& words) {
    const Theme& theme = Theme::current();
    return QStringLiteral("&nbsp;&nbsp;<span style='color:%1; background-color:%2'>&nbsp;%3&nbsp;</span>")
        .arg(theme.accent.name(), theme.accent_wash.name(), words.toHtmlEscaped());
}

}  // namespace

FaceToFace::FaceToFace(QWidget* parent) : QWidget(parent) {
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::panel, Gap::beside);
    column->addLayout(buildHeads());
    in_words_ = new QLabel;
    in_words_->setObjectName(QStringLiteral("pairInWords"));
    set_tone(*in_words_, "muted");
    column->addWidget(in_words_);
    pages_ = new QStackedWidget;
    note_ = named_label("pairNote", "muted");
    note_->setAlignment(Qt::AlignCenter);
    pictures_ = new PicturePair;
    pictures_->setObjectName(QStringLiteral("pairPictures"));
    texts_ = new TextPair;
    for (QWidget* page : std::initializer_list<QWidget*>{note_, pictures_, texts_}) pages_->addWidget(page);
    column->addWidget(pages_, 1);
    connectLookers();
    clear({});
}

/// Titles and facts of the two, side by side.
QGridLayout* FaceToFace::buildHeads() {
    auto* heads = new QGridLayout;
    heads->setHorizontalSpacing(Gap::apart);
    heads->setVerticalSpacing(Gap::beside);
    for (int side = 0; side < 2; ++side) {
        const auto at = static_cast<std::size_t>(side);
        titles_[at] = new QLabel;
        titles_[at]->setObjectName(side == 0 ? QStringLiteral("leftTitle") : QStringLiteral("rightTitle"));
        facts_[at] = new QLabel;
        facts_[at]->setObjectName(side == 0 ? QStringLiteral("leftFacts") : QStringLiteral("rightFacts"));
        facts_[at]->setTextFormat(Qt::RichText);
        facts_[at]->setWordWrap(true);
        facts_[at]->setAlignment(Qt::AlignTop | Qt::AlignLeft);
        facts_[at]->setTextInteractionFlags(Qt::TextSelectableByMouse);
        for (QLabel* label : {titles_[at], facts_[at]})
            label->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
        heads->addWidget(titles_[at], 0, side);
        heads->addWidget(facts_[at], 1, side);
        heads->setColumnStretch(side, 1);
    }
    return heads;
}

void FaceToFace::connectLookers() {
    wait_.setSingleShot(true);
    wait_.setInterval(rest_ms);
    connect(&wait_, &QTimer::timeout, this, [this] {
        const auto path = [&](const Side& side) {
            return side.status.type == FileType::file ? side.path : std::string();
        };
        looker_.lookAt(path(sides_[0]), path(sides_[1]));
    });
    const auto looked = [this](std::size_t side) {
        return [this, side](const Look& look) {
            looks_[side] = look;
            looked_[side] = true;
            showFacts();
            showContents();
        };
    };
    connect(&looker_, &PairLooker::lookedLeft, this, looked(0));
    connect(&looker_, &PairLooker::lookedRight, this, looked(1));
    connect(&looker_, &PairLooker::compared, this, [this](const Differences& differences) {
        differences_ = differences;
        showContents();
    });
}

void FaceToFace::clear(const QString& why) {
    empty_ = true;
    wait_.stop();
    looker_.stop();
    for (const auto& labels : {titles_, facts_})
        for (QLabel* label : labels) label->clear();
    in_words_->clear();
    note_->setText(why);
    pages_->setCurrentWidget(note_);
}

void FaceToFace::setSides(const Side& left, const Side& right) {
    const auto is_shown = [](const Side& one, const Side& other) {
        return one.path == other.path && one.status.id == other.status.id && one.title == other.title;
    };
    if (!empty_ && is_shown(left, sides_[0]) && is_shown(right, sides_[1])) return;
    empty_ = false;
    sides_ = {left, right};
    looks_ = {};
    looked_ = {left.status.type != FileType::file, right.status.type != FileType::file};
    differences_ = {};
    looker_.stop();
    note_->setText(tr("looking…"));
    pages_->setCurrentWidget(note_);
    showTitles();
    showFacts();
    showContents();
    if (left.status.type == FileType::file || right.status.type == FileType::file) wait_.start();
}

void FaceToFace::showTitles() {
    for (std::size_t side = 0; side < 2; ++side)
        titles_[side]->setText(
            QStringLiteral("<b>%1</b>&nbsp;&nbsp;<span style='color:%2'>%3</span>")
                .arg(sides_[side].title.toHtmlEscaped(), Theme::current().muted.name(),
                     short_path(std::string(parent_of(sides_[side].path)), 3).toHtmlEscaped()));
}

FaceToFace::Facts FaceToFace::factsOf(int side) const {
    const auto at = static_cast<std::size_t>(side);
    const FileState& status = sides_[at].status;
    Facts facts{{tr("Changed"), date_text_full(status.id.modified_ns)},
                {tr("Size"), bytes_text(status)},
                {tr("Permissions"), permissions_text(status.mode)}};
    facts.insert(facts.end(), looks_[at].facts.begin(), looks_[at].facts.end());
    return facts;
}

void FaceToFace::showFacts() {
    const auto is_there = [this](std::size_t side) { return sides_[side].status.id.inode != 0; };
    const std::array<Facts, 2> facts{is_there(0) ? factsOf(0) : Facts{}, is_there(1) ? factsOf(1) : Facts{}};
    const auto value_of = [](const Facts& all, const QString& name) {
        const auto found =
            std::find_if(all.begin(), all.end(), [&](const auto& fact) { return fact.first == name; });
        return found == all.end() ? QString() : found->second;
    };
    const auto gap = sides_[0].status.id.modified_ns - sides_[1].status.id.modified_ns;
    for (std::size_t side = 0; side < 2; ++side) {
        QString html = QStringLiteral("<table cellspacing='0' cellpadding='1'>");
        for (const auto& [name, value] : facts[side]) {
            const QString other = value_of(facts[1 - side], name);
            const bool differs = value != other && !other.isEmpty();
            QString note;
            const bool both = is_there(0) && is_there(1);
            if (name == tr("Changed") && both && (side == 0 ? gap > 0 : gap < 0))
                note = chip(tr("%1 newer").arg(duration_text(gap)));
            const auto own_size = sides_[side].status.id.size_bytes;
            const auto other_size = sides_[1 - side].status.id.size_bytes;
            const bool files =
                sides_[0].status.type == FileType::file && sides_[1].status.type == FileType::file;
            if (name == tr("Size") && files && own_size > other_size)
                note = chip(tr("%1 larger").arg(size_text(own_size - other_size)));
            const bool strong = name == tr("Changed") || name == tr("Size") ? !note.isEmpty() : differs;
            html += QStringLiteral("<tr><td style='color:%1; padding-right:12px'>%2</td><td>%3%4</td></tr>")
                        .arg(Theme::current().muted.name(), name.toHtmlEscaped(),
                             strong ? QStringLiteral("<b>%1</b>").arg(value.toHtmlEscaped())
                                    : value.toHtmlEscaped(),
                             note);
        }
        facts_[side]->setText(html + QStringLiteral("</table>"));
    }
}

/// Pictures where there are any, else rows that differ, else what can be said of the bytes.
void FaceToFace::showContents() {
    QString words;
    if (differences_.known && differences_.first < 0)
        words = differences_.cut ? tr("No difference in what was read.") : tr("The same bytes.");
    else if (differences_.known) {
        const auto rows = std::count_if(differences_.rows.begin(), differences_.rows.end(),
                                        [](const auto& row) { return row.how != Differences::How::same; });
        words = rows > 0 && differences_.cells ? tr("%Ln cells differ", nullptr, static_cast<int>(rows))
                : rows > 0 ? tr("%Ln lines differ; F7 goes to the next", nullptr, static_cast<int>(rows))
                           : tr("The bytes differ from byte %1 on.")
                                 .arg(count_text(static_cast<std::uint64_t>(differences_.first) + 1));
        if (rows == 0 && !differences_.rows.empty())
            words = tr("The lines are the same; how they end, or how they are coded, differs.");
    }
    in_words_->setText(words);
    const bool has_pictures = !looks_[0].picture.isNull() || !looks_[1].picture.isNull();
    if (has_pictures) {
        pictures_->setPictures(looks_[0].picture, looks_[1].picture);
        pages_->setCurrentWidget(pictures_);
    } else if (!differences_.rows.empty()) {
        if (pages_->currentWidget() != texts_) texts_->setRows(differences_.rows, differences_.cut);
        pages_->setCurrentWidget(texts_);
    } else {
        const bool one_is_no_file =
            sides_[0].status.type != FileType::file || sides_[1].status.type != FileType::file;
        const bool alone = sides_[1].status.id.inode == 0;
        if (alone && !looks_[0].text.isEmpty()) {
            std::vector<Differences::Row> rows;
            for (const QString& line : looks_[0].text.split(QLatin1Char('\n')))
                rows.push_back({Differences::How::same, line, {}});
            texts_->setRows(rows, false);
            pages_->setCurrentWidget(texts_);
        } else if (alone && !looked_[0])
            note_->setText(tr("looking…"));
        else if (alone)
            note_->clear();
        else if (one_is_no_file)
            note_->setText(tr("One of the two is not a file: there is nothing to set against each other."));
        else if (looked_[0] && looked_[1])
            note_->setText(tr("There is nothing to see of files of this kind."));
    }
}

void FaceToFace::swapPictures() { pictures_->setSwapped(!pictures_->isSwapped()); }
void FaceToFace::zoom(double factor) { pictures_->zoom(factor); }
void FaceToFace::goToNextDifference() { texts_->goToNextDifference(); }

void FaceToFace::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange && !empty_) {
        showTitles();  // whose colours are the theme's
        showFacts();
    }
    QWidget::changeEvent(event);
}
