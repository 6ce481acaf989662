// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QColor>
#include <QString>
#include <optional>

class QApplication;
class QWidget;

/// The colours by what they mean. An outcome is always said by its word too, never by colour alone.
struct Theme {
    QColor ground;  ///< the gathering side
    QColor paper;   ///< the outcome side, the instruction line
    QColor strip;   ///< the frame: menu, places, run line
    QColor field;   ///< what can be typed into
    QColor line;    ///< what parts one thing from another
    QColor edge;    ///< of what can be worked: fields, buttons, scroll handles; at least 3:1 on every ground
    QColor ink;
    QColor muted;   ///< secondary text, and what is there already: at least 4.5:1 on every ground
    QColor accent;  ///< Tavlo's own: marks, primary button, links
    QColor on_accent;
    QColor accent_wash;  ///< ground of marked rows
    QColor new_fill;     ///< the balance's parts
    QColor same_fill;
    QColor overwrite_fill;
    QColor renamed_fill;
    QColor merged_fill;
    QColor amber;  ///< needs a decision
    QColor amber_wash;
    QColor amber_fill;
    QColor plum;  ///< takes something away
    QColor plum_wash;
    QColor selection;
    bool dark = false;

    static Theme light();
    static Theme night();
    /// The one in use.
    static const Theme& current();
};

enum class ThemeChoice { system, light, dark };

/// What `system` comes to from the next apply_theme() on; nullopt: as the palette was that the application
/// came with.
void desktop_wants(std::optional<bool> dark);

/// A label's colour by meaning, which follows a change of theme: "amber", "plum", "accent", "muted", or ""
/// for ink.
void set_tone(QWidget& label, const char* tone);

/// Puts a theme on the whole application: palette, style sheet, Theme::current().
void apply_theme(QApplication& application, ThemeChoice choice);
