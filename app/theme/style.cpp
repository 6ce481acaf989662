// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "theme/style.h"

#include <QPainter>
#include <QStyleFactory>
#include <QStyleOption>
#include <algorithm>

#include "theme/theme.h"

namespace {

constexpr qreal corner = 6;
constexpr int field_height = 28;
constexpr int before_text = 6;

void draw_field(QPainter& painter, const QRect& rect, QStyle::State state) {
    const Theme& theme = Theme::current();
    const bool on = state.testFlag(QStyle::State_Enabled);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(state.testFlag(QStyle::State_HasFocus) ? theme.accent : theme.edge);
    painter.setBrush(!on                                       ? QColor(Qt::transparent)
                     : state.testFlag(QStyle::State_MouseOver) ? theme.selection
                                                               : theme.field);
    painter.drawRoundedRect(QRectF(rect).adjusted(0.5, 0.5, -0.5, -0.5), corner, corner);
}

/// Two strokes that meet at the foot, or at the head.
void draw_arrow(QPainter& painter, const QRectF& rect, bool up, bool enabled) {
    const Theme& theme = Theme::current();
    const qreal half = std::min({rect.width(), rect.height() * 2, qreal{8}}) / 2;
    const qreal tip = up ? -half / 2 : half / 2;
    QColor ink = theme.muted;
    if (!enabled) ink.setAlphaF(0.5F);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(ink, 1.5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    const QPointF middle = rect.center();
    const QPointF points[] = {middle + QPointF(-half, -tip), middle + QPointF(0, tip),
                              middle + QPointF(half, -tip)};
    painter.drawPolyline(points, 3);
    painter.restore();
}

void draw_check_box(const QStyleOption& option, QPainter& painter) {
    const Theme& theme = Theme::current();
    const bool enabled = option.state.testFlag(QStyle::State_Enabled);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const bool on = option.state.testFlag(QStyle::State_On);
    const bool partly = option.state.testFlag(QStyle::State_NoChange);
    const QRectF box = QRectF(option.rect).adjusted(0.5, 0.5, -0.5, -0.5);
    painter.setPen(QPen(
        on || partly || option.state.testFlag(QStyle::State_HasFocus) ? theme.accent : theme.muted, 1.2));
    painter.setBrush(on && enabled ? theme.accent : theme.field);
    painter.drawRoundedRect(box, 3, 3);
    painter.setPen(QPen(on ? (enabled ? theme.on_accent : theme.muted) : theme.accent, 1.6, Qt::SolidLine,
                        Qt::RoundCap, Qt::RoundJoin));
    const qreal unit = box.width() / 10;
    const auto at = [&](qreal x, qreal y) { return box.topLeft() + QPointF(x * unit, y * unit); };
    const QPointF tick[] = {at(2.2, 5.2), at(4.3, 7.3), at(7.9, 3)};
    if (on) painter.drawPolyline(tick, 3);
    if (partly) painter.drawLine(at(2.5, 5), at(7.5, 5));
    painter.restore();
}

void draw_radio_button(const QStyleOption& option, QPainter& painter) {
    const Theme& theme = Theme::current();
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const bool on = option.state.testFlag(QStyle::State_On);
    const QRectF ring = QRectF(option.rect).adjusted(1, 1, -1, -1);
    painter.setPen(
        QPen(on || option.state.testFlag(QStyle::State_HasFocus) ? theme.accent : theme.muted, 1.2));
    painter.setBrush(theme.field);
    painter.drawEllipse(ring);
    if (on) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(theme.accent);
        const qreal inset = ring.width() * 0.27;
        painter.drawEllipse(ring.adjusted(inset, inset, -inset, -inset));
    }
    painter.restore();
}

}  // namespace

TavloStyle::TavloStyle() : QProxyStyle(QStyleFactory::create(QStringLiteral("Fusion"))) {}

void TavloStyle::drawPrimitive(PrimitiveElement element, const QStyleOption* option, QPainter* painter,
                               const QWidget* widget) const {
    const bool enabled = option->state.testFlag(State_Enabled);
    switch (element) {
        case PE_IndicatorArrowDown:
        case PE_IndicatorSpinDown: return draw_arrow(*painter, option->rect, false, enabled);
        case PE_IndicatorArrowUp:
        case PE_IndicatorSpinUp: return draw_arrow(*painter, option->rect, true, enabled);
        case PE_IndicatorBranch:  // of a tree: nothing but whether it is open
            if (option->state.testFlag(State_Children)) {
                const bool open = option->state.testFlag(State_Open);
                painter->save();
                painter->translate(QRectF(option->rect).center());
                if (!open) painter->rotate(option->direction == Qt::RightToLeft ? 90 : -90);
                draw_arrow(*painter, QRectF(-4, -4, 8, 8), false, enabled);
                painter->restore();
            }
            return;
        case PE_IndicatorCheckBox:
        case PE_IndicatorItemViewItemCheck: return draw_check_box(*option, *painter);
        case PE_IndicatorRadioButton: return draw_radio_button(*option, *painter);
        default: QProxyStyle::drawPrimitive(element, option, painter, widget);
    }
}

void TavloStyle::drawComplexControl(ComplexControl control, const QStyleOptionComplex* option,
                                    QPainter* painter, const QWidget* widget) const {
    if (control == CC_ComboBox) {
        painter->save();
        draw_field(*painter, option->rect, option->state);
        draw_arrow(*painter, subControlRect(CC_ComboBox, option, SC_ComboBoxArrow, widget), false,
                   option->state.testFlag(State_Enabled));
        painter->restore();
        return;
    }
    if (control == CC_SpinBox) {
        painter->save();
        draw_field(*painter, option->rect, option->state & ~State_MouseOver);
        draw_arrow(*painter, subControlRect(CC_SpinBox, option, SC_SpinBoxUp, widget), true,
                   option->state.testFlag(State_Enabled));
        draw_arrow(*painter, subControlRect(CC_SpinBox, option, SC_SpinBoxDown, widget), false,
                   option->state.testFlag(State_Enabled));
        painter->restore();
        return;
    }
    QProxyStyle::drawComplexControl(control, option, painter, widget);
}

/// What is written in a box that drops down begins where it does in a line that is typed into.
QRect TavloStyle::subControlRect(ComplexControl control, const QStyleOptionComplex* option, SubControl part,
                                 const QWidget* widget) const {
    const QRect rect = QProxyStyle::subControlRect(control, option, part, widget);
    if (control != CC_ComboBox || part != SC_ComboBoxEditField) return rect;
    return visualRect(option->direction, option->rect, rect.adjusted(before_text, 0, 0, 0));
}

QSize TavloStyle::sizeFromContents(ContentsType type, const QStyleOption* option, const QSize& contents,
                                   const QWidget* widget) const {
    QSize size = QProxyStyle::sizeFromContents(type, option, contents, widget);
    if (type == CT_ComboBox || type == CT_SpinBox)
        size = QSize(size.width() + before_text + 8, std::max(size.height(), field_height));
    return size;
}
