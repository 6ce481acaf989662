// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QMenuBar>
#include <QRegularExpression>
#include <QTranslator>

#include "desk.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "views/parts/elided_label.h"

// The window in a language that nobody speaks: each text in brackets, and a third longer. What stands outside of
// brackets was never translatable, what has two pairs side by side was put together of pieces, and what does
// not fit would not fit in German.

namespace {

const QChar opens(0x27e6);
const QChar closes(0x27e7);

class Pseudo final : public QTranslator {
public:
    bool isEmpty() const override { return false; }
    QString translate(const char*, const char* source, const char*, int) const override {
        const QString text = QString::fromUtf8(source);
        if (text.trimmed().isEmpty() || !text.contains(QRegularExpression(QStringLiteral("[A-Za-z]{2}"))))
            return text;
        return opens + text + QString(text.size() / 3, QLatin1Char('~')) + closes;
    }
};

struct InPseudo {
    InPseudo() { QCoreApplication::installTranslator(&translator); }
    ~InPseudo() { QCoreApplication::removeTranslator(&translator); }
    Pseudo translator;
};

/// What is outside of all brackets, and how many pairs are side by side.
struct Outside {
    QString text;
    int pairs = 0;
};
Outside outside_of(const QString& text) {
    Outside found;
    int depth = 0;
    for (const QChar letter : text) {
        if (letter == opens && depth++ == 0) ++found.pairs;
        if (depth == 0) found.text += letter;
        if (letter == closes) --depth;
    }
    return found;
}

/// What of a text is wrong; empty: nothing. Names, paths, keys, dates and encodings are nobody's to translate.
QString fault_of(const QString& text) {
    if (text.contains(QLatin1Char('/')) && !text.contains(QLatin1Char('<'))) return {};
    const Outside outside = outside_of(text);
    static const QRegularExpression word(QStringLiteral("[A-Za-z]{3}"));
    static const QRegularExpression no_word(
        QStringLiteral("desk|tavl\\S*|root|Ctrl|Alt|Shift|Jan|Feb|Mar|Apr|May|"
                       "Jun|Jul|Aug|Sep|Oct|Nov|Dec|Name|English|UTF"));
    QString rest = outside.text;
    rest.remove(QRegularExpression(QStringLiteral("<[^>]*>|&[a-z]+;|[r-][w-]x?[rwx-]{6}")));
    rest.remove(QRegularExpression(QStringLiteral("\\S+( / \\S+)+")));  // a path in words
    rest.remove(no_word);
    if (rest.contains(word)) return QStringLiteral("not translated: ") + text;
    // parted by a sign of its own, texts are a list, not a sentence
    static const QRegularExpression signs(QString::fromUtf8("[·:,()|\\n<]"));
    if (outside.pairs > 1 && !outside.text.contains(signs)) return QStringLiteral("glued: ") + text;
    return {};
}

bool is_cut(const QWidget& widget) {
    if (qobject_cast<const ElidedLabel*>(&widget) != nullptr) return false;
    if (const auto* label = qobject_cast<const QLabel*>(&widget))
        return label->wordWrap() ? label->height() < label->heightForWidth(label->width())
                                 : label->width() < label->sizeHint().width();
    if (const auto* button = qobject_cast<const QAbstractButton*>(&widget))
        return !button->text().isEmpty() && button->width() < button->sizeHint().width();
    return false;
}

QStringList texts_of(const QWidget& widget) {
    QStringList texts{widget.toolTip(), widget.accessibleName(), widget.accessibleDescription()};
    if (const auto* label = qobject_cast<const QLabel*>(&widget)) texts << label->text();
    if (const auto* button = qobject_cast<const QAbstractButton*>(&widget)) texts << button->text();
    if (const auto* line = qobject_cast<const QLineEdit*>(&widget)) texts << line->placeholderText();
    if (const auto* box = qobject_cast<const QComboBox*>(&widget))
        for (int at = 0; at < box->count(); ++at) texts << box->itemText(at);
    const auto* view = qobject_cast<const QAbstractItemView*>(&widget);
    if (view == nullptr || view->model() == nullptr) return texts;
    const auto& model = *view->model();
    for (int column = 0; column < model.columnCount(); ++column) {
        texts << model.headerData(column, Qt::Horizontal).toString();
        for (int row = 0; row < std::min(model.rowCount(), 20); ++row)
            for (const int role : {int(Qt::DisplayRole), int(Qt::AccessibleTextRole), int(Qt::ToolTipRole)})
                texts << model.index(row, column).data(role).toString();
    }
    return texts;
}

QStringList faults_below(QWidget& top) {
    QStringList faults;
    for (QWidget* widget : top.findChildren<QWidget*>()) {
        if (!widget->isVisibleTo(&top) || widget->objectName().startsWith(QLatin1String("qt_"))) continue;
        for (const QString& text : texts_of(*widget))
            if (const QString fault = fault_of(text); !fault.isEmpty()) faults << fault;
        if (is_cut(*widget)) faults << QStringLiteral("cut: ") + texts_of(*widget).join(QLatin1Char('|'));
    }
    for (const QAction* action : top.findChildren<QAction*>())
        for (const QString& text : {action->text().section(QLatin1Char('\t'), 0, 0), action->statusTip()})
            if (const QString fault = fault_of(text); !fault.isEmpty()) faults << fault;
    faults.removeDuplicates();
    return faults;
}

}  // namespace

TEST_CASE("in a language that nobody speaks nothing is left in English, put together of pieces, or cut",
          "[languages][looks]") {
    const InPseudo pseudo;
    Desk desk;
    for (const char* name : {"desk/101", "desk/102", "desk/103"}) desk.temp.write(name, "of the desk");
    desk.temp.write("1900/102", "older");
    desk.temp.write("1900/103", "of the desk");
    desk.open();
    desk.window->resize(1280, 800);
    desk.window->bench().pick(desk.temp.path("desk"), {"101", "102", "103"});
    desk.driver->chooseDestination(QString::fromStdString(desk.temp.path("1900")));
    desk.driver->click("start");
    desk.finished();
    for (const char* place : {"placeBench", "placeCollisions", "placeRuns", "placeReceipts", "placeSafe",
                              "placeJobs", "placeSizes"}) {
        desk.driver->click(place);
        desk.driver->settle();
        const QStringList faults = faults_below(*desk.window);
        CAPTURE(place);
        CHECK(faults.join(QLatin1Char('\n')).toStdString() == "");
    }
}
