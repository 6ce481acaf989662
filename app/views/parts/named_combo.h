// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QComboBox>
#include <QEvent>
#include <QLabel>
#include <QPointer>

/// A box of choices that says what it is about to whoever does not see it. Of a box of choices Qt tells the
/// choice, and for its name refers to the label beside it: where there is none on view, this has one that
/// nobody sees.
class NamedCombo final : public QComboBox {
public:
    explicit NamedCombo(const QString& name, QWidget* parent = nullptr)
        : QComboBox(parent), label_(new QLabel(name, parent)) {
        setAccessibleName(name);
        label_->setBuddy(this);
        label_->hide();
    }
    ~NamedCombo() override {
        delete label_;  // beside it, and about it alone
    }

protected:
    bool event(QEvent* event) override {
        if (event->type() == QEvent::ParentChange && label_) {
            label_->setParent(parentWidget());
            label_->hide();
        }
        return QComboBox::event(event);
    }

private:
    QPointer<QLabel> label_;
};
