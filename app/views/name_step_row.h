#pragma once

#include <QWidget>

#include "names/steps.h"

class ElidedLabel;
class QComboBox;
class QHBoxLayout;
class QLabel;
class QLineEdit;
class QSpinBox;
class QToolButton;

/// One step of new names: what it does, as a word that can be chosen, its fields, and what becomes of one example by it.
class NameStepRow final : public QWidget {
    Q_OBJECT

public:
    /// What a step can be, in the order in which it is offered.
    enum class Kind { in_front, behind, replace, expression, letters, numbers, extension, pattern, table };
    static QString words(Kind kind);  ///< with its letter for a menu
    static constexpr int kind_count = 9;
    static tavlo::NameStep usual(Kind kind);  ///< as one begins with it

    NameStepRow(const tavlo::NameStep& step, const tavlo::Naming& counters, QWidget* parent = nullptr);
    tavlo::NameStep step() const;
    /// A pattern counts: from and by.
    bool counts() const;
    std::uint64_t countFrom() const;
    std::uint64_t countBy() const;
    /// problem  why the step means nothing, or nothing for this name
    void showExample(const QString& before, const QString& after, const QString& problem);
    void setNumber(int number);
    void focusFirstField();

signals:
    void changed();
    void removeRequested();
    void nextRequested();        ///< Return: another step
    void moveRequested(int by);  ///< rows: up is -1

protected:
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    Kind kind() const;
    void build(const tavlo::NameStep& step);
    QLineEdit* addField(const QString& name, const QString& text, int width);
    QComboBox* addChoice(const QString& name, const QStringList& words, int current);
    QLabel* addWords(const QString& words);
    void chooseTable();

    tavlo::Naming counters_;
    QLabel* grip_;
    QComboBox* kind_;
    QWidget* fields_ = nullptr;
    QHBoxLayout* row_;
    QHBoxLayout* in_fields_ = nullptr;
    QLineEdit* first_ = nullptr;
    QLineEdit* second_ = nullptr;
    QComboBox* choice_ = nullptr;
    QSpinBox* by_ = nullptr;
    QSpinBox* from_ = nullptr;
    QSpinBox* step_by_ = nullptr;
    ElidedLabel* example_;
    int dragged_from_ = 0;
};
