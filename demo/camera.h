// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>

class QWidget;

/// Takes pictures of a window, with what is open above it.
class Camera {
public:
    /// folder  where the pictures go
    Camera(QWidget& window, const QString& folder) : window_(window), folder_(folder) {}
    void take(const char* name);
    void takeBoth(const char* name);  ///< in the light and in the dark
    /// What a page is there for has to hold, or the tour fails; it is named on standard error.
    void expect(bool holds, const char* what);
    bool isGood() const { return good_; }

private:
    QWidget& window_;
    const QString folder_;
    bool good_ = true;
};
