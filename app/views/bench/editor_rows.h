// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QScrollArea>
#include <QWidget>
#include <vector>

class QHBoxLayout;
class QLabel;
class QVBoxLayout;

/// One line of an editor in which lines have an order: moved by drag, or by Alt+Up and Alt+Down anywhere in
/// it, and taken out by its button.
class EditorRow : public QWidget {
    Q_OBJECT

public:
    void setNumber(int number);
    virtual void focusFirstField() = 0;

signals:
    void changed();
    void removeRequested();
    void nextRequested();        ///< Return: another line
    void moveRequested(int by);  ///< lines: up is -1

protected:
    /// take_out  the accessible name of its button
    /// parent    EditorRows::widget(): what gets its parent afterwards has its looks worked out twice
    EditorRow(const QString& take_out, QWidget* parent);
    virtual QString words() const = 0;  ///< what the line is, for whoever hears it
    /// Between its number and its button.
    QHBoxLayout& fields() { return *fields_; }
    /// To be called once fields have been made: Alt+Up and Alt+Down in them are the line's.
    void watchFields();
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    QLabel* grip_;
    QHBoxLayout* fields_;
    int dragged_from_ = 0;
};

/// Such lines, a few of them on view.
class EditorRows final : public QScrollArea {
    Q_OBJECT

public:
    EditorRows(int width, QWidget* parent = nullptr);
    void add(EditorRow* row);
    /// Takes out all but the first ones.
    void keep(std::size_t count);
    void clear() { keep(0); }
    bool isEmpty() const { return rows_.empty(); }
    void focus(std::size_t place) { rows_[place]->focusFirstField(); }
    void focusLast() { rows_.back()->focusFirstField(); }
    template <class Row>
    std::vector<Row*> rows() const {
        std::vector<Row*> out;
        for (EditorRow* row : rows_) out.push_back(static_cast<Row*>(row));
        return out;
    }

signals:
    void changed();
    void nextRequested();
    void lastTakenOut();

private:
    void number();
    void move(EditorRow& row, int by);
    void takeOut(EditorRow& row);

    QVBoxLayout* lines_;
    std::vector<EditorRow*> rows_;
};
