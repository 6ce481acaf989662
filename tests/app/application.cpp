// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QApplication>
#include <QTemporaryDir>
#include <memory>

#include "support/catch.h"
#include "theme/theme.h"
#include "translations.h"

// The application that all tests of the window share, for as long as tests run.

namespace {

class ApplicationForTests final : public ListenerBase {
public:
    using ListenerBase::ListenerBase;

    void testRunStarting(const Catch::TestRunInfo& /*run*/) override {
        // neither reads nor writes anybody's settings, nor anybody's small pictures
        qputenv("XDG_CONFIG_HOME", own_.filePath(QStringLiteral("config")).toUtf8());
        qputenv("XDG_CACHE_HOME", own_.filePath(QStringLiteral("cache")).toUtf8());
        if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
        application_ = std::make_unique<QApplication>(count_, words_);
        QApplication::setApplicationName(QStringLiteral("tavlo-tests"));
        install_translations(*application_);
        apply_theme(*application_, ThemeChoice::light);
    }
    void testRunEnded(const Catch::TestRunStats& /*stats*/) override { application_.reset(); }

private:
    QTemporaryDir own_;
    int count_ = 1;
    char name_[sizeof "tavlo-tests"] = "tavlo-tests";
    char* words_[2] = {name_, nullptr};
    std::unique_ptr<QApplication> application_;
};
CATCH_REGISTER_LISTENER(ApplicationForTests)

}  // namespace
