// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "theme/theme.h"

#include <QApplication>
#include <QPalette>
#include <QStyle>

#include "theme/style.h"

namespace {

Theme& in_use() {
    static Theme theme = Theme::light();
    return theme;
}

std::optional<bool>& wish_of_desktop() {
    static std::optional<bool> dark;
    return dark;
}

/// What the desktop asks for; where it says nothing, as the palette was that came with it.
bool desktop_is_dark() {
    static const bool came_dark = QApplication::palette().color(QPalette::Window).lightness() < 128;
    return wish_of_desktop().value_or(came_dark);
}

QPalette palette_for(const Theme& theme) {
    QPalette palette;
    palette.setColor(QPalette::Window, theme.paper);
    palette.setColor(QPalette::WindowText, theme.ink);
    palette.setColor(QPalette::Base, theme.field);
    palette.setColor(QPalette::AlternateBase, theme.ground);
    palette.setColor(QPalette::Text, theme.ink);
    palette.setColor(QPalette::PlaceholderText, theme.muted);
    palette.setColor(QPalette::Button, theme.field);
    palette.setColor(QPalette::ButtonText, theme.ink);
    palette.setColor(QPalette::Highlight, theme.accent);
    palette.setColor(QPalette::HighlightedText, theme.on_accent);
    palette.setColor(QPalette::ToolTipBase, theme.paper);
    palette.setColor(QPalette::ToolTipText, theme.ink);
    palette.setColor(QPalette::Link, theme.accent);
    palette.setColor(QPalette::Mid, theme.line);
    for (const auto role : {QPalette::WindowText, QPalette::Text, QPalette::ButtonText})
        palette.setColor(QPalette::Disabled, role, theme.muted);
    return palette;
}

constexpr const char* sheet = R"(
* { outline: 0; }
QMainWindow, QMenuBar, QWidget#strip, QWidget#runLine { background: @strip; color: @ink; }
QMenuBar { border-bottom: 1px solid @line; padding: 2px 6px; }
QMenuBar::item { padding: 4px 9px; background: transparent; color: @ink; border-radius: 4px; }
QMenuBar::item:selected { background: @selection; }
QMenu { background: @paper; color: @ink; border: 1px solid @line; padding: 4px; }
QMenu::item { padding: 5px 22px 5px 22px; border-radius: 4px; }
QMenu::item:selected { background: @selection; color: @ink; }
QMenu::item:disabled { color: @muted; }
QMenu::separator { height: 1px; background: @line; margin: 4px 8px; }
QToolTip { background: @paper; color: @ink; border: 1px solid @line; padding: 4px; }
QWidget#instruction, QWidget#balance, QWidget#nameSteps, QWidget#folderLevels, QWidget#outcome, QWidget#collisions, QWidget#receiptDetail, QWidget#jobDetail, QWidget#safePage, QWidget#sizesPage, QWidget#runDone, QWidget#runNeeds { background: @paper; }
QWidget#safeQuestion { background: @plum_wash; }
QWidget#groupsSide { background: @ground; border-right: 1px solid @line; }
QWidget#gathering, QWidget#receiptList, QWidget#jobList, QWidget#runsPage, QWidget#laneColumn, QScrollArea#lanes { background: @ground; }
QWidget#runLine { border-top: 1px solid @line; }
QLineEdit { background: @field; border: 1px solid @edge; border-radius: 6px; padding: 5px 9px; selection-background-color: @accent; selection-color: @on_accent; }
QLineEdit:focus { border: 1px solid @accent; }
QLineEdit[own="true"] { border: 1px solid @new_fill; font-weight: 600; }
QPushButton { background: @field; color: @ink; border: 1px solid @edge; border-radius: 12px; padding: 4px 12px; }
QPushButton:hover { background: @selection; }
QPushButton:focus { border: 1px solid @accent; }
QPushButton:disabled { color: @muted; background: transparent; }
QPushButton::menu-indicator { subcontrol-origin: padding; subcontrol-position: right center; right: 9px; }
QPushButton[menu="true"] { padding-right: 16px; }
QDialogButtonBox { dialogbuttonbox-buttons-have-icons: 0; }
QPushButton[chip="true"] { padding: 4px 9px; }
QPushButton[chip="true"][set="true"] { background: @accent_wash; color: @accent; border: 1px solid @accent; }
QPushButton:checked { background: @accent_wash; color: @accent; border: 1px solid @accent; }
QPushButton[plain="true"] { background: transparent; border: 1px solid transparent; border-radius: 6px; text-align: left; padding: 4px 8px; }
QPushButton[plain="true"][foot="true"] { padding: 6px 13px; }
QPushButton[plain="true"]:hover { background: @selection; }
QPushButton[plain="true"]:focus { border: 1px solid @accent; }
QWidget#locationSteps { background: @field; border: 1px solid @edge; border-radius: 6px; }
QPushButton[role="step"] { background: transparent; border: 1px solid transparent; border-radius: 4px; padding: 1px 5px; }
QPushButton[role="step"]:hover { background: @selection; }
QPushButton[role="step"]:focus { border: 1px solid @accent; }
QPlainTextEdit { background: @field; border: 1px solid @edge; border-radius: 6px; padding: 3px 6px; }
QPlainTextEdit:focus { border: 1px solid @accent; }
QComboBox QAbstractItemView { background: @paper; color: @ink; border: 1px solid @edge; }
QFrame#listPanel, QFrame#lookPanel { background: @ground; }
QPushButton[role="primary"] { background: @accent; color: @on_accent; border: 2px solid @accent; border-radius: 8px; padding: 9px 18px; font-weight: 600; }
QPushButton[role="primary"][takesAway="true"] { background: @plum; color: @on_accent; border: 2px solid @plum; }
QPushButton[role="primary"]:focus { border: 2px solid @ink; }
QPushButton[role="primary"]:disabled { background: @line; color: @muted; border: 2px solid @line; }
QPushButton[role="segment"] { border-radius: 0px; padding: 4px 11px; }
QPushButton[role="segment"][end="first"] { border-top-left-radius: 12px; border-bottom-left-radius: 12px; }
QPushButton[role="segment"][end="last"] { border-top-right-radius: 12px; border-bottom-right-radius: 12px; }
QPushButton[role="segment"]:checked { background: @ink; color: @paper; border: 1px solid @ink; }
QPushButton[role="segment"]:checked:focus { border: 1px solid @amber_fill; }
QListView#completions { background: @paper; color: @ink; border: 1px solid @line; }
QTableView, QListView, QTreeView { background: transparent; color: @ink; border: 0; gridline-color: @line; selection-background-color: @selection; selection-color: @ink; }
QTreeWidget#jobRuns::item { padding: 5px 10px 5px 0; }
QTreeWidget#jobRuns QHeaderView::section { padding-left: 4px; }
QHeaderView { background: transparent; }
QHeaderView::section { background: transparent; color: @muted; border: 0; border-bottom: 1px solid @line; padding: 5px 10px 5px 14px; }
QWidget#sentence, QWidget#sentence QLabel, QWidget#sentence Phrase, QLabel#receiptTitle, QLabel#jobTitle { font-size: @large; }
QLabel[tone="amber"] { color: @amber; }
QLabel[tone="plum"] { color: @plum; }
QLabel[tone="accent"] { color: @accent; }
QLabel[tone="muted"] { color: @muted; }
QSplitter::handle { background: @line; }
QScrollBar:vertical { background: transparent; width: 11px; margin: 0; }
QScrollBar::handle:vertical { background: @edge; border-radius: 4px; min-height: 30px; margin: 2px; }
QScrollBar::handle:vertical:hover { background: @muted; }
QScrollBar:horizontal { background: transparent; height: 11px; margin: 0; }
QScrollBar::handle:horizontal { background: @edge; border-radius: 4px; min-width: 30px; margin: 2px; }
QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }
QScrollBar::add-page, QScrollBar::sub-page { background: transparent; }
QProgressBar { background: @line; border: 0; border-radius: 3px; }
QProgressBar::chunk { background: @accent; border-radius: 3px; }
QWidget#jobBelow { background: transparent; }
QFrame[card="true"] { background: @field; border: 1px solid @line; border-radius: 8px; }
QWidget#jobBanner { background: @amber_wash; border-bottom: 1px solid @amber_fill; }
QFrame#popover { background: @paper; border: 1px solid @accent; border-radius: 8px; }
)";

QString sheet_for(const Theme& theme) {
    QString text = QString::fromLatin1(sheet);
    // longer names first, so that "@accent_wash" is not taken for "@accent"
    const std::pair<const char*, QColor> names[] = {{"@amber_fill", theme.amber_fill},
                                                    {"@amber_wash", theme.amber_wash},
                                                    {"@amber", theme.amber},
                                                    {"@plum_wash", theme.plum_wash},
                                                    {"@plum", theme.plum},
                                                    {"@on_accent", theme.on_accent},
                                                    {"@selection", theme.selection},
                                                    {"@accent_wash", theme.accent_wash},
                                                    {"@accent", theme.accent},
                                                    {"@new_fill", theme.new_fill},
                                                    {"@ground", theme.ground},
                                                    {"@muted", theme.muted},
                                                    {"@paper", theme.paper},
                                                    {"@strip", theme.strip},
                                                    {"@field", theme.field},
                                                    {"@line", theme.line},
                                                    {"@edge", theme.edge},
                                                    {"@ink", theme.ink}};
    for (const auto& [name, colour] : names) text.replace(QLatin1String(name), colour.name());
    text.replace(QLatin1String("@large"),
                 QString::number(QApplication::font().pointSizeF() * 1.3, 'f', 1) + QLatin1String("pt"));
    return text;
}

}  // namespace

Theme Theme::light() {
    Theme theme;
    theme.ground = "#f5f0e7";
    theme.paper = "#fcf9f2";
    theme.strip = "#ece5d7";
    theme.field = "#fffefb";
    theme.line = "#dbd3c3";
    theme.edge = "#857e6e";
    theme.ink = "#20262b";
    theme.muted = "#676357";
    theme.accent = "#0d5860";
    theme.on_accent = "#ffffff";
    theme.accent_wash = "#e6f0ee";
    theme.new_fill = "#5e9e9b";
    theme.same_fill = "#b7c2bd";
    theme.overwrite_fill = "#6e2c66";
    theme.renamed_fill = "#24545c";
    theme.merged_fill = "#d8d2c3";
    theme.amber = "#7f5200";
    theme.amber_wash = "#fbf1dc";
    theme.amber_fill = "#d9a441";
    theme.plum = "#6e2c66";
    theme.plum_wash = "#f6e9f4";
    theme.selection = "#d9e6e2";
    return theme;
}

Theme Theme::night() {
    Theme theme;
    theme.ground = "#1f2326";
    theme.paper = "#25292c";
    theme.strip = "#1a1d1f";
    theme.field = "#2c3134";
    theme.line = "#41474a";
    theme.edge = "#828a8d";
    theme.ink = "#ebe6da";
    theme.muted = "#aaa598";
    theme.accent = "#7cc7c6";
    theme.on_accent = "#10292b";
    theme.accent_wash = "#21363a";
    theme.new_fill = "#4d908f";
    theme.same_fill = "#5d6866";
    theme.overwrite_fill = "#b071a8";
    theme.renamed_fill = "#9ccfcf";
    theme.merged_fill = "#4a4f50";
    theme.amber = "#e8ba62";
    theme.amber_wash = "#383023";
    theme.amber_fill = "#c8922f";
    theme.plum = "#dba8d5";
    theme.plum_wash = "#392a37";
    theme.selection = "#2b3e41";
    theme.dark = true;
    return theme;
}

const Theme& Theme::current() { return in_use(); }

void set_tone(QWidget& label, const char* tone) {
    if (label.property("tone").toString() == QLatin1String(tone)) return;
    label.setProperty("tone", tone);
    label.style()->unpolish(&label);
    label.style()->polish(&label);
}

void desktop_wants(std::optional<bool> dark) { wish_of_desktop() = dark; }

void apply_theme(QApplication& application, ThemeChoice choice) {
    const bool dark = choice == ThemeChoice::dark || (choice == ThemeChoice::system && desktop_is_dark());
    in_use() = dark ? Theme::night() : Theme::light();
    if (qobject_cast<TavloStyle*>(application.style()) == nullptr) application.setStyle(new TavloStyle);
    application.setPalette(palette_for(in_use()));
    application.setStyleSheet(sheet_for(in_use()));
}
