// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFrame>
#include <QWidget>
#include <functional>
#include <map>

#include "models/filter_state.h"

class QLabel;
class QLineEdit;
class QPushButton;
class QVBoxLayout;

/// What opens below a chip: ready answers, and fields for one's own.
class ChipPanel final : public QFrame {
    Q_OBJECT

public:
    explicit ChipPanel(QWidget* parent);
    void addChoice(const QString& words, const char* name, std::function<void()> choose);
    QLineEdit* addField(const QString& label, const QString& example, const char* name,
                        std::function<void(const QString&)> typed);
    void openBelow(const QWidget& chip);

private:
    QVBoxLayout* column_;
};

/// The filter line and its chips. A chip says what it does; what hides something can be seen, and cleared by
/// one key.
class FilterBar final : public QWidget {
    Q_OBJECT

public:
    explicit FilterBar(QWidget* parent = nullptr);
    const FilterState& state() const { return state_; }
    void setState(const FilterState& state);
    void setKinds(const QStringList& kinds) { kinds_ = kinds; }
    /// Owners of what is listed, by name, to choose from.
    void setOwners(const std::map<std::uint32_t, QString>& owners) { owners_ = owners; }
    void setProblem(const QString& problem);
    bool isBelow() const;
    void setBelow(bool below);
    void focusLine();
    void clear() { setState({}); }

signals:
    void stateChanged();
    void belowChanged(bool below);
    void kindsEditRequested();
    void leftDownwards();  ///< Down was pressed in the line: to the list

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void change(const std::function<void(FilterState&)>& change);
    void refresh();
    QPushButton* addChip(const char* name, void (FilterBar::*open)());
    void openKinds();
    void openSize();
    void openChanged();
    void openNumber();
    void openMore();
    void askNotBelow();
    void keepUnderName();

    FilterState state_;
    QStringList kinds_;
    std::map<std::uint32_t, QString> owners_;
    QLineEdit* line_;
    QPushButton* below_;
    QLabel* problem_;
    QPushButton* kind_;
    QPushButton* size_;
    QPushButton* changed_;
    QPushButton* number_;
    QPushButton* more_;
    QPushButton* clear_;
};
