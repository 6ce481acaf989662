// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "drawn_text.h"

#include <QCache>
#include <QCoreApplication>
#include <QFontMetrics>
#include <QStaticText>
#include <QStyle>
#include <algorithm>
#include <array>
#include <list>
#include <vector>

namespace {

QStaticText shaped(const QFont& font, const QString& text) {
    QStaticText out(text);
    out.setTextFormat(Qt::PlainText);
    out.setPerformanceHint(QStaticText::AggressiveCaching);
    out.prepare({}, font);
    return out;
}

struct Measured {
    QStaticText text;
    double width = 0;
    int pixels() const { return qRound(width); }  // as QFontMetrics has it
};

Measured measured(const QFont& font, const QString& text) {
    return {shaped(font, text), QFontMetricsF(font).horizontalAdvance(text)};
}

/// What was shaped in one font.
class InFont {
public:
    explicit InFont(const QFont& which) : font(which) {
        for (int figure = 0; figure < 10; ++figure) {
            Measured& one = figures_[static_cast<std::size_t>(figure)];
            one = measured(font, QString::number(figure));
            figure_width = std::max(figure_width, one.pixels());
        }
    }
    const Measured& figure(char16_t which) const { return figures_[which - u'0']; }
    const Measured& of(const QString& text) {
        if (const Measured* known = texts_.object(text)) return *known;
        auto* made = new Measured(measured(font, text));
        texts_.insert(text, made);
        return *made;
    }
    const Measured& cut_to(const QString& text, int width, Qt::TextElideMode where) {
        const Cut key{text, width, where};
        if (const Measured* known = cut_.object(key)) return *known;
        auto* made = new Measured(measured(font, QFontMetrics(font).elidedText(text, where, width)));
        cut_.insert(key, made);
        return *made;
    }

    const QFont font;
    int figure_width = 0;  ///< that of the widest

private:
    struct Cut {
        QString text;
        int width;
        Qt::TextElideMode where;
        bool operator==(const Cut&) const = default;
        friend std::size_t qHash(const Cut& cut, std::size_t seed = 0) {
            return qHashMulti(seed, cut.text, cut.width, static_cast<int>(cut.where));
        }
    };
    // some screens full of rows
    static constexpr int most_kept = 2000;
    std::array<Measured, 10> figures_;
    QCache<QString, Measured> texts_{most_kept};
    QCache<Cut, Measured> cut_{most_kept};
};

/// The fonts of late, the last one first. What was shaped is gone before what shapes it.
std::list<InFont>& fonts_kept() {
    static std::list<InFont> fonts;
    static const bool is_told = (qAddPostRoutine([] { fonts.clear(); }), true);
    Q_UNUSED(is_told);
    return fonts;
}

InFont& in_font(const QFont& font) {
    constexpr std::size_t most_fonts = 12;
    std::list<InFont>& fonts = fonts_kept();
    const auto known =
        std::find_if(fonts.begin(), fonts.end(), [&](const InFont& one) { return one.font == font; });
    if (known != fonts.end())
        fonts.splice(fonts.begin(), fonts, known);
    else
        fonts.emplace_front(font);
    if (fonts.size() > most_fonts) fonts.pop_back();
    return fonts.front();
}

/// Where a line of figures begins that stands in the middle of the height.
int top_in(const QPainter& painter, const QRect& rect) {
    const QFontMetrics metrics = painter.fontMetrics();
    return rect.top() + (rect.height() + metrics.ascent() - metrics.descent()) / 2 - metrics.ascent();
}

bool is_figure(QChar c) { return c >= u'0' && c <= u'9'; }

}  // namespace

void draw_elided(QPainter& painter, const QRect& rect, const QString& text, Qt::TextElideMode cut,
                 Qt::Alignment alignment) {
    if (text.isEmpty()) return;
    if (text.isRightToLeft() || painter.layoutDirection() == Qt::RightToLeft) {
        painter.drawText(rect, static_cast<int>(alignment | Qt::AlignVCenter),
                         painter.fontMetrics().elidedText(text, cut, rect.width()));
        return;
    }
    const Measured& line = in_font(painter.font()).cut_to(text, rect.width(), cut);
    double x = rect.left();
    if (alignment.testFlag(Qt::AlignRight)) x += rect.width() - line.pixels();
    if (alignment.testFlag(Qt::AlignHCenter)) x += (rect.width() - line.width) / 2;
    const double spare = rect.height() - QFontMetricsF(painter.font(), painter.device()).height();
    painter.drawStaticText(QPointF(x, rect.top() + spare / 2), line.text);  // as drawText() has it
}

void draw_tabular(QPainter& painter, const QRect& rect, Qt::Alignment alignment, const QString& text) {
    if (text.isRightToLeft()) {  // its letters join, and its figures stand among them in their own order
        painter.drawText(rect, static_cast<int>(alignment | Qt::AlignVCenter), text);
        return;
    }
    InFont& font = in_font(painter.font());
    // figures one by one, what stands between them as it is shaped
    struct Piece {
        QStaticText text;
        int own_width;
        int width;
    };
    std::vector<Piece> pieces;
    int width = 0;
    for (qsizetype at = 0; at < text.size();) {
        qsizetype end = at + 1;
        while (!is_figure(text[at]) && end < text.size() && !is_figure(text[end])) ++end;
        const bool figure = is_figure(text[at]);
        const Measured& piece = figure ? font.figure(text[at].unicode()) : font.of(text.mid(at, end - at));
        pieces.push_back({piece.text, piece.pixels(), figure ? font.figure_width : piece.pixels()});
        width += pieces.back().width;
        at = end;
    }
    const bool at_right =
        QStyle::visualAlignment(painter.layoutDirection(), alignment).testFlag(Qt::AlignRight);
    int x = at_right ? rect.right() + 1 - width : rect.left();
    const int top = top_in(painter, rect);
    for (const Piece& piece : pieces) {
        painter.drawStaticText(x + (piece.width - piece.own_width) / 2, top, piece.text);
        x += piece.width;
    }
}

int drawn_width(const QFont& font, const QString& text) { return in_font(font).of(text).pixels(); }
