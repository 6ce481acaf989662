// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/jobs/when_dialog.h"

#include <QComboBox>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QLocale>
#include <QPushButton>
#include <QRadioButton>
#include <QRegularExpression>
#include <QTimeEdit>
#include <QVBoxLayout>

#include "job_words.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/dialog_buttons.h"
#include "views/parts/named_combo.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {
constexpr const char* weekdays[] = {"Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"};  // systemd.time(7)
}

WhenDialog::WhenDialog(SavedJobs& jobs, const KeptJob& job, QWidget* parent) : QDialog(parent), jobs_(jobs) {
    setObjectName(QStringLiteral("whenDialog"));
    setWindowTitle(tr("When \u201c%1\u201d runs").arg(shown(job.name)));
    setMinimumWidth(digits(62.5));
    auto* column = new QVBoxLayout(this);
    column->setSpacing(Gap::beside);
    column->addLayout(buildWays());
    column->addLayout(buildTime());
    next_ = new QLabel;
    next_->setObjectName(QStringLiteral("whenNext"));
    next_->setTextFormat(Qt::PlainText);
    next_->setWordWrap(true);
    next_->setMinimumHeight(next_->fontMetrics().lineSpacing() * 4);
    next_->setAlignment(Qt::AlignTop);
    set_tone(*next_, "muted");
    column->addWidget(next_);
    use_ = add_dialog_buttons(*this, *column, tr("Set it"));
    begin(job.runs_by ? job.runs_by : job.job->schedule);
    for (QRadioButton* way : ways_) connect(way, &QRadioButton::toggled, this, &WhenDialog::refresh);
    connect(time_, &QTimeEdit::timeChanged, this, &WhenDialog::refresh);
    connect(weekday_, &QComboBox::currentIndexChanged, this, &WhenDialog::refresh);
    connect(calendar_, &QLineEdit::textChanged, this, &WhenDialog::refresh);
    connect(&jobs_, &SavedJobs::nextTimes, this, &WhenDialog::showTimes);
    refresh();
}

QGridLayout* WhenDialog::buildWays() {
    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(Gap::beside);
    grid->setVerticalSpacing(Gap::beside);
    add(*grid, Way::never, tr("Only when somebody runs it"), "whenNever");
    add(*grid, Way::working_days, tr("Every working day"), "whenWorkingDays");
    add(*grid, Way::daily, tr("Every day"), "whenDaily");
    add(*grid, Way::weekly, tr("Every week on"), "whenWeekly");
    add(*grid, Way::monthly, tr("The first of each month"), "whenMonthly");
    add(*grid, Way::arrival, tr("When something arrives where it takes from"), "whenArrival");
    add(*grid, Way::calendar, tr("By the calendar, in systemd's words:"), "whenCalendar");
    weekday_ = new NamedCombo(tr("Day of the week"));
    weekday_->setObjectName(QStringLiteral("whenDay"));
    for (int day = 1; day <= 7; ++day) weekday_->addItem(QLocale().dayName(day, QLocale::LongFormat));
    grid->addWidget(weekday_, static_cast<int>(Way::weekly), 1);
    calendar_ = new QLineEdit;
    calendar_->setObjectName(QStringLiteral("whenExpression"));
    calendar_->setAccessibleName(tr("Calendar expression"));
    calendar_->setPlaceholderText(QStringLiteral("Mon..Fri 18:00"));
    grid->addWidget(calendar_, static_cast<int>(Way::calendar), 1);
    return grid;
}

QHBoxLayout* WhenDialog::buildTime() {
    auto* at = new QHBoxLayout;
    auto* label = new QLabel(tr("At &time"));
    time_ = new QTimeEdit(QTime(18, 0));
    time_->setObjectName(QStringLiteral("whenTime"));
    time_->setAccessibleName(tr("At time"));
    time_->setDisplayFormat(QStringLiteral("HH:mm"));
    time_->setLayoutDirection(
        Qt::LeftToRight);  // hours come first in every language; Qt would turn them round
    label->setBuddy(time_);
    at->addWidget(label);
    at->addWidget(time_);
    at->addStretch(1);
    return at;
}

void WhenDialog::showTimes(const std::string& asked, const std::vector<std::int64_t>& times,
                           const QString& why) {
    if (asked != expression()) return;
    use_->setEnabled(why.isEmpty());
    set_tone(*next_, why.isEmpty() ? "muted" : "amber");
    QStringList lines{why.isEmpty() ? times.empty() ? tr("It does not come again.") : tr("Next:") : why};
    for (const auto one : times)
        lines << QLocale().toString(QDateTime::fromMSecsSinceEpoch(one / 1'000'000),
                                    tr("dddd, d MMMM yyyy, HH:mm"));
    next_->setText(lines.join(QLatin1Char('\n')));
}

QRadioButton* WhenDialog::add(QGridLayout& grid, Way way, const QString& words, const char* name) {
    auto* button = new QRadioButton(words);
    button->setObjectName(QLatin1String(name));
    grid.addWidget(button, static_cast<int>(way), 0);
    ways_.push_back(button);
    return button;
}

WhenDialog::Way WhenDialog::way() const {
    for (std::size_t at = 0; at < ways_.size(); ++at)
        if (ways_[at]->isChecked()) return static_cast<Way>(at);
    return Way::never;
}

/// Shows what holds now.
void WhenDialog::begin(const std::optional<Schedule>& now) {
    const auto choose = [this](Way way) { ways_[static_cast<std::size_t>(way)]->setChecked(true); };
    if (!now) return choose(Way::never);
    if (now->when_changed) return choose(Way::arrival);
    const QString text = QString::fromStdString(now->calendar.value_or("")).simplified();
    calendar_->setText(text);
    static const QRegularExpression parts(QStringLiteral("^(?:(\\S+) )?(\\d{1,2}:\\d{2})(?::00)?$"));
    const auto found = parts.match(text);
    if (!found.hasMatch()) return choose(Way::calendar);
    time_->setTime(QTime::fromString(found.captured(2), QStringLiteral("H:mm")));
    const QString days = found.captured(1);
    if (days.isEmpty() || days == QLatin1String("*-*-*")) return choose(Way::daily);
    if (days == QLatin1String("Mon..Fri")) return choose(Way::working_days);
    if (days == QLatin1String("*-*-01")) return choose(Way::monthly);
    for (int day = 0; day < 7; ++day)
        if (days == QLatin1String(weekdays[day])) {
            weekday_->setCurrentIndex(day);
            return choose(Way::weekly);
        }
    choose(Way::calendar);
}

std::string WhenDialog::expression() const {
    const std::string time = time_->time().toString(QStringLiteral("HH:mm")).toStdString();
    switch (way()) {
        case Way::working_days: return "Mon..Fri " + time;
        case Way::daily: return "*-*-* " + time;
        case Way::weekly: return std::string(weekdays[weekday_->currentIndex()]) + " " + time;
        case Way::monthly: return "*-*-01 " + time;
        case Way::calendar: return to_bytes(calendar_->text().simplified());
        case Way::never:
        case Way::arrival: break;
    }
    return {};
}

std::optional<Schedule> WhenDialog::schedule() const {
    if (way() == Way::never) return std::nullopt;
    Schedule schedule;
    if (way() == Way::arrival)
        schedule.when_changed = true;
    else
        schedule.calendar = expression();
    return schedule;
}

void WhenDialog::refresh() {
    const Way now = way();
    weekday_->setEnabled(now == Way::weekly);
    calendar_->setEnabled(now == Way::calendar);
    time_->setEnabled(now != Way::never && now != Way::arrival && now != Way::calendar);
    set_tone(*next_, "muted");
    if (now == Way::never || now == Way::arrival) {
        use_->setEnabled(true);
        return next_->setText(now == Way::never ? QString()
                                                : tr("A minute or so after a file was added, removed or "
                                                     "changed there, while you are logged in."));
    }
    const std::string wanted = expression();
    use_->setEnabled(false);  // until it is known to be one
    if (wanted.empty())
        return next_->setText(tr("Type an expression, as Mon..Fri 18:00 or *-*-15 06:30 (systemd.time(7))."));
    jobs_.askNext(wanted);
}
