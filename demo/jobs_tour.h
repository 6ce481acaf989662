// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

#include "camera.h"
#include "window_driver.h"

/// The saved jobs of the sample office: looked at, changed, kept anew, run.
class JobsTour {
public:
    JobsTour(MainWindow& window, std::string office, const QString& pictures)
        : window_(window), driver_(window), camera_(window, pictures), office_(std::move(office)) {}
    /// Reads the office's documents in, as somebody did once.
    static void keepJobs(const std::string& office);
    bool run();

private:
    /// A dialog that waits for an answer is photographed above the window, and left.
    void takeDialog(const char* button, const char* name);

    MainWindow& window_;
    WindowDriver driver_;
    Camera camera_;
    const std::string office_;
};
