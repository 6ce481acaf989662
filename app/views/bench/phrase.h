// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractButton>
#include <QLayout>
#include <QList>

/// An underlined part of a sentence that is a control: a click, Space or Return opens what it offers.
class Phrase final : public QAbstractButton {
    Q_OBJECT

public:
    explicit Phrase(const QString& name, QWidget* parent = nullptr);
    void setWaiting(bool waiting);       ///< needs a decision: amber
    void setTakesAway(bool takes_away);  ///< something leaves by it: plum
    QSize sizeHint() const override;
    QSize minimumSizeHint() const override { return sizeHint(); }

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    bool waiting_ = false;
    bool takes_away_ = false;
};

/// Sets the parts of a sentence one after the other, in as many lines as they need.
class SentenceLayout final : public QLayout {
public:
    using QLayout::QLayout;
    ~SentenceLayout() override;
    void addItem(QLayoutItem* item) override { items_.append(item); }
    int count() const override { return static_cast<int>(items_.size()); }
    QLayoutItem* itemAt(int index) const override { return items_.value(index); }
    QLayoutItem* takeAt(int index) override {
        return index >= 0 && index < items_.size() ? items_.takeAt(index) : nullptr;
    }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override { return arrange(QRect(0, 0, width, 0), false); }
    void setGeometry(const QRect& rect) override;
    QSize sizeHint() const override { return minimumSize(); }
    QSize minimumSize() const override;
    Qt::Orientations expandingDirections() const override { return Qt::Horizontal; }

private:
    int arrange(const QRect& rect, bool apply) const;
    QList<QLayoutItem*> items_;
};
