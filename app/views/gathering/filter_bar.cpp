// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/filter_bar.h"

#include <unistd.h>

#include <QGuiApplication>
#include <QHBoxLayout>
#include <QInputDialog>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QScreen>
#include <QSettings>
#include <QVBoxLayout>

#include "theme/theme.h"
#include "views/parts/flow_layout.h"
#include "views/parts/spacing.h"

using tavlo::Parity;

namespace {

const auto kept_key = QStringLiteral("filters");

void set_property_shown(QWidget& widget, const char* property, bool on) {
    if (widget.property(property).toBool() == on) return;
    widget.setProperty(property, on);
    set_tone(widget, on ? "accent" : "");  // has the style sheet looked at again
}

}  // namespace

ChipPanel::ChipPanel(QWidget* parent) : QFrame(parent, Qt::Popup) {
    setObjectName(QStringLiteral("popover"));
    setAttribute(Qt::WA_DeleteOnClose);
    column_ = new QVBoxLayout(this);
    space_out(column_, Inset::panel, Gap::tight);
}

void ChipPanel::addChoice(const QString& words, const char* name, std::function<void()> choose) {
    auto* button = new QPushButton(words);
    button->setObjectName(QLatin1String(name));
    button->setProperty("plain", true);
    connect(button, &QPushButton::clicked, this, [this, choose = std::move(choose)] {
        choose();
        close();
    });
    column_->addWidget(button);
}

QLineEdit* ChipPanel::addField(const QString& label, const QString& example, const char* name,
                               std::function<void(const QString&)> typed) {
    auto* row = new QHBoxLayout;
    row->setContentsMargins(Inset::field);
    auto* words = new QLabel(label);
    auto* field = new QLineEdit;
    field->setObjectName(QLatin1String(name));
    field->setAccessibleName(label);
    field->setPlaceholderText(example);
    words->setBuddy(field);
    row->addWidget(words, 1);
    row->addWidget(field);
    column_->addLayout(row);
    connect(field, &QLineEdit::textEdited, this, typed);
    connect(field, &QLineEdit::returnPressed, this, &ChipPanel::close);
    return field;
}

void ChipPanel::openBelow(const QWidget& chip) {
    adjustSize();
    QPoint at = chip.mapToGlobal(QPoint(0, chip.height() + 4));
    if (const QScreen* screen = QGuiApplication::screenAt(at))
        at.setX(std::min(at.x(), screen->availableGeometry().right() - width() - 8));
    move(at);
    show();
    if (auto* first = findChild<QPushButton*>()) first->setFocus();
}

FilterBar::FilterBar(QWidget* parent) : QWidget(parent) {
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::none, Gap::beside);
    auto* row = new QHBoxLayout;
    row->setSpacing(Gap::beside);
    line_ = new QLineEdit;
    line_->setObjectName(QStringLiteral("filter"));
    line_->setAccessibleName(tr("Name filter"));
    line_->setClearButtonEnabled(true);
    line_->installEventFilter(this);
    below_ = new QPushButton(tr("Also below"));
    below_->setObjectName(QStringLiteral("filterBelow"));
    below_->setCheckable(true);
    below_->setProperty("chip", true);
    below_->setToolTip(tr("List all that fits in the folders below this one, too"));
    row->addWidget(line_, 1);
    column->addLayout(row);
    auto* chips = new FlowLayout(Gap::beside);
    kind_ = addChip("chipKind", &FilterBar::openKinds);
    size_ = addChip("chipSize", &FilterBar::openSize);
    changed_ = addChip("chipChanged", &FilterBar::openChanged);
    number_ = addChip("chipNumber", &FilterBar::openNumber);
    more_ = addChip("chipMore", &FilterBar::openMore);
    clear_ = new QPushButton(tr("Clear"));
    clear_->setToolTip(tr("Shows everything again (Esc)"));
    clear_->setAccessibleName(tr("Clear the filter"));
    clear_->setObjectName(QStringLiteral("filterClear"));
    clear_->setProperty("plain", true);
    for (auto* chip : {kind_, size_, changed_, number_, more_, below_, clear_}) chips->addWidget(chip);
    column->addLayout(chips);
    problem_ = new QLabel;
    problem_->setObjectName(QStringLiteral("filterProblem"));
    problem_->setWordWrap(true);
    set_tone(*problem_, "amber");
    column->addWidget(problem_);
    problem_->hide();
    connect(line_, &QLineEdit::textChanged, this, [this](const QString& text) {
        if (text != state_.words) change([&](FilterState& state) { state.words = text; });
    });
    connect(below_, &QPushButton::toggled, this, &FilterBar::belowChanged);
    connect(clear_, &QPushButton::clicked, this, &FilterBar::clear);
    refresh();
}

QPushButton* FilterBar::addChip(const char* name, void (FilterBar::*open)()) {
    auto* chip = new QPushButton;
    chip->setObjectName(QLatin1String(name));
    chip->setProperty("chip", true);
    connect(chip, &QPushButton::clicked, this, open);
    return chip;
}

void FilterBar::setState(const FilterState& state) {
    if (state == state_) return;
    state_ = state;
    if (line_->text() != state.words) line_->setText(state.words);
    refresh();
    emit stateChanged();
}

void FilterBar::change(const std::function<void(FilterState&)>& change) {
    FilterState state = state_;
    change(state);
    setState(state);
}

void FilterBar::setProblem(const QString& problem) {
    const QString own = state_.mistakes().isEmpty()
                            ? QString()
                            : tr("One part of the filter cannot be read, and is left out for now.");
    problem_->setText(problem.isEmpty() ? own : problem);
    problem_->setVisible(!problem_->text().isEmpty());
}

bool FilterBar::isBelow() const { return below_->isChecked(); }
void FilterBar::setBelow(bool below) { below_->setChecked(below); }

void FilterBar::focusLine() {
    line_->setFocus();
    line_->selectAll();
}

void FilterBar::refresh() {
    const auto say = [](QPushButton& chip, const QString& name, const QString& value) {
        chip.setText(value.isEmpty() ? name : tr("%1: %2").arg(name, value));
        set_property_shown(chip, "set", !value.isEmpty());
    };
    say(*kind_, tr("Kind"), state_.kindText());
    say(*size_, tr("Size"), state_.sizeText());
    say(*changed_, tr("Changed"), state_.changedText());
    say(*number_, tr("Number"), state_.numberText());
    QStringList ways;
    if (state_.regex) ways << tr("expression");
    if (state_.match_case) ways << tr("case counts");
    if (state_.owner)
        ways << (*state_.owner == ::geteuid()      ? tr("my own")
                 : owners_.contains(*state_.owner) ? tr("owner %1").arg(owners_.at(*state_.owner))
                                                   : tr("owner %1").arg(*state_.owner));
    if (!state_.not_below.isEmpty()) ways << tr("not below %1").arg(state_.not_below);
    say(*more_, tr("More"), ways.join(QStringLiteral(", ")));
    clear_->setVisible(!state_.isEmpty());
    line_->setPlaceholderText(state_.regex ? tr("Expression, as ^permit-\\d+ (RE2)")
                                           : tr("Show names with… (words, *.pdf, -draft leaves out)"));
    setProblem({});
}

void FilterBar::openKinds() {
    QMenu menu(this);
    for (const QString& kind : kinds_) {
        auto* action = menu.addAction(kind);
        action->setCheckable(true);
        action->setChecked(state_.kinds.contains(kind));
        connect(action, &QAction::toggled, this, [this, kind](bool on) {
            change([&](FilterState& state) {
                state.kinds.removeAll(kind);
                if (on) state.kinds << kind;
            });
        });
    }
    menu.addSeparator();
    menu.addAction(tr("Any kind"), this, [this] { change([](FilterState& state) { state.kinds.clear(); }); });
    menu.addAction(tr("Which extensions make which kind…"), this, &FilterBar::kindsEditRequested);
    menu.exec(kind_->mapToGlobal(QPoint(0, kind_->height() + 4)));
}

void FilterBar::openSize() {
    auto* panel = new ChipPanel(this);
    const auto set = [this](const QString& larger, const QString& smaller, bool empty) {
        return [this, larger, smaller, empty] {
            change([&](FilterState& state) {
                state.larger = larger;
                state.smaller = smaller;
                state.only_empty = empty;
            });
        };
    };
    panel->addChoice(tr("Any size"), "sizeAny", set({}, {}, false));
    panel->addChoice(tr("Empty files"), "sizeEmpty", set({}, {}, true));
    panel->addChoice(tr("Over 1 MB"), "sizeOver1M", set(QStringLiteral("1M"), {}, false));
    panel->addChoice(tr("Over 100 MB"), "sizeOver100M", set(QStringLiteral("100M"), {}, false));
    auto* larger =
        panel->addField(tr("More than"), tr("20K, 1.5M, 2G"), "sizeLarger", [this](const QString& text) {
            change([&](FilterState& state) {
                state.larger = text.trimmed();
                state.only_empty = false;
            });
        });
    auto* smaller =
        panel->addField(tr("Less than"), tr("20K, 1.5M, 2G"), "sizeSmaller", [this](const QString& text) {
            change([&](FilterState& state) {
                state.smaller = text.trimmed();
                state.only_empty = false;
            });
        });
    larger->setText(state_.larger);
    smaller->setText(state_.smaller);
    panel->openBelow(*size_);
}

void FilterBar::openChanged() {
    using Changed = FilterState::Changed;
    auto* panel = new ChipPanel(this);
    for (const auto when :
         {Changed::any, Changed::today, Changed::yesterday, Changed::this_week, Changed::last_week,
          Changed::this_month, Changed::last_month, Changed::this_year}) {
        QString words = changed_words(when);
        words[0] = words[0].toUpper();
        panel->addChoice(words, "changedChoice", [this, when] {
            change([&](FilterState& state) {
                state.changed = when;
                state.changed_from.clear();
                state.changed_until.clear();
            });
        });
    }
    const auto between = [this](QString FilterState::*field) {
        return [this, field](const QString& text) {
            change([&](FilterState& state) {
                state.*field = text.trimmed();
                state.changed = Changed::between;
                if (state.changed_from.isEmpty() && state.changed_until.isEmpty())
                    state.changed = Changed::any;
            });
        };
    };
    auto* from = panel->addField(tr("Since"), tr("2031-05-02, or 30d"), "changedFrom",
                                 between(&FilterState::changed_from));
    auto* until =
        panel->addField(tr("Until"), tr("2031-05-31"), "changedUntil", between(&FilterState::changed_until));
    from->setText(state_.changed_from);
    until->setText(state_.changed_until);
    panel->openBelow(*changed_);
}

void FilterBar::openNumber() {
    auto* panel = new ChipPanel(this);
    panel->addChoice(tr("Any name"), "numberAny", [this] {
        change([](FilterState& state) {
            state.number_from.clear();
            state.number_to.clear();
            state.parity = Parity::any;
        });
    });
    for (const auto& [words, parity] : {std::pair{tr("Odd: the last number in the name"), Parity::odd},
                                        std::pair{tr("Even: the last number in the name"), Parity::even}})
        panel->addChoice(words, parity == Parity::odd ? "numberOdd" : "numberEven", [this, parity = parity] {
            change([&](FilterState& state) { state.parity = parity; });
        });
    const auto set = [this](QString FilterState::*field) {
        return [this, field](const QString& text) {
            change([&](FilterState& state) { state.*field = text.trimmed(); });
        };
    };
    auto* from =
        panel->addField(tr("A number from"), tr("120"), "numberFrom", set(&FilterState::number_from));
    auto* to = panel->addField(tr("up to"), tr("135"), "numberTo", set(&FilterState::number_to));
    from->setText(state_.number_from);
    to->setText(state_.number_to);
    panel->openBelow(*number_);
}

/// Folders that are left out by their names, with all that is in them.
void FilterBar::askNotBelow() {
    bool said = false;
    const QString names = QInputDialog::getText(
        this, tr("Leave out folders"), tr("Names of folders, with commas between (* and ? fit anything):"),
        QLineEdit::Normal, state_.not_below, &said);
    if (said) change([&](FilterState& state) { state.not_below = names.trimmed(); });
}

void FilterBar::openMore() {
    QMenu menu(this);
    const auto check = [&](const QString& words, bool on, auto set) {
        auto* action = menu.addAction(words);
        action->setCheckable(true);
        action->setChecked(on);
        connect(action, &QAction::toggled, this,
                [this, set](bool now) { change([&](FilterState& state) { set(state, now); }); });
    };
    check(tr("Upper and lower case count"), state_.match_case,
          [](FilterState& state, bool on) { state.match_case = on; });
    check(tr("Read the line as an expression (RE2)"), state_.regex,
          [](FilterState& state, bool on) { state.regex = on; });
    menu.addAction(tr("Nothing below folders named…"), this, &FilterBar::askNotBelow);
    auto* owners = menu.addMenu(tr("Owner"));
    const auto by = [&](const QString& words, std::optional<std::uint32_t> owner) {
        auto* action = owners->addAction(
            words, this, [this, owner] { change([&](FilterState& state) { state.owner = owner; }); });
        action->setCheckable(true);
        action->setChecked(state_.owner == owner);
    };
    by(tr("Anybody"), std::nullopt);
    by(tr("My own"), ::geteuid());
    for (const auto& [owner, name] : owners_)
        if (owner != ::geteuid()) by(name, owner);
    menu.addSeparator();
    QSettings settings;
    settings.beginGroup(kept_key);
    const QStringList kept = settings.childKeys();
    for (const QString& name : kept)
        menu.addAction(tr("Use “%1”").arg(name), this, [this, text = settings.value(name).toString()] {
            setState(FilterState::fromText(text));
        });
    auto* keep = menu.addAction(tr("Keep this filter under a name…"), this, &FilterBar::keepUnderName);
    keep->setEnabled(!state_.isEmpty());
    if (!kept.isEmpty()) {
        auto* forget = menu.addMenu(tr("Forget"));
        for (const QString& name : kept)
            forget->addAction(name, this, [name] { QSettings().remove(kept_key + QLatin1Char('/') + name); });
    }
    menu.exec(more_->mapToGlobal(QPoint(0, more_->height() + 4)));
}

void FilterBar::keepUnderName() {
    QString name = QInputDialog::getText(this, tr("Keep this filter"), tr("Name:")).trimmed();
    name.replace(QLatin1Char('/'), QLatin1Char('-'));  // which settings would read as a group
    if (!name.isEmpty()) QSettings().setValue(kept_key + QLatin1Char('/') + name, state_.toText());
}

bool FilterBar::eventFilter(QObject* watched, QEvent* event) {
    if (watched == line_ && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Escape && !state_.isEmpty()) {
            clear();
            return true;
        }
        if (key == Qt::Key_Down || key == Qt::Key_Return || key == Qt::Key_Enter) {
            emit leftDownwards();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}
