// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "error_words.h"

#include <QCoreApplication>
#include <QFile>
#include <QTranslator>
#include <cerrno>
#include <filesystem>
#include <fstream>
#include <regex>
#include <set>
#include <sstream>

#include "support/catch.h"

using namespace tavlo;

namespace {

std::string all_of(const std::filesystem::path& file) {
    std::ifstream in(file);
    std::ostringstream text;
    text << in.rdbuf();
    return text.str();
}

/// The reasons for errors that the core's sources hold, as they stand there; of those that are put together,
/// their begin.
std::set<std::string> reasons_in_sources() {
    const std::regex shapes[] = {
        std::regex("Fault::\\w+,\\s*(?:0,\\s*)?(?:\\w+ \\? "
                   ")?(?:std::string\\()?(?:fmt::format\\()?\"((?:[^\"\\\\]|\\\\.)+)\""),
        std::regex("leave_undecided\\(\\w+,\\s*\"((?:[^\"\\\\]|\\\\.)+)\""),
        std::regex("case E[A-Z]+: return \"([^\"]+)\""),
        std::regex("\\.error = \"([^\"]+)\""),
    };
    std::set<std::string> found;
    for (const auto& entry :
         std::filesystem::recursive_directory_iterator(std::filesystem::path(SOURCE) / "core")) {
        if (entry.path().extension() != ".cpp") continue;
        const std::string text = all_of(entry.path());
        for (const std::regex& shape : shapes)
            for (std::sregex_iterator at(text.begin(), text.end(), shape), end; at != end; ++at)
                found.insert((*at)[1].str());
    }
    return found;
}

/// Steps that stand in brackets beside what the system said, and words that only scripts and files are told.
const std::set<std::string> for_scripts{"copy inside the kernel",
                                        "share blocks",
                                        "exchange names",
                                        "search the receipts",
                                        "search the receipts: ",
                                        "took a part of the line only",
                                        "wants ",
                                        "is no expression that can be used"};

struct German {
    German() {
        REQUIRE(translator.load(QStringLiteral(":/i18n/tavlo_de.qm")));
        QCoreApplication::installTranslator(&translator);
    }
    ~German() { QCoreApplication::removeTranslator(&translator); }
    QTranslator translator;
};

}  // namespace

TEST_CASE("every reason that the core has for an error is worded in other languages too", "[languages]") {
    const German german;
    const auto reasons = reasons_in_sources();
    CHECK(reasons.size() > 120);
    for (const std::string& reason : reasons) {
        if (for_scripts.contains(reason)) continue;
        CAPTURE(reason);
        // what is put together goes on with something
        std::string filled = std::regex_replace(reason, std::regex("\\{\\}"), "17");
        filled = std::regex_replace(filled, std::regex("\\}\\}"), "}");  // as the format has it
        const bool goes_on = filled.ends_with(' ') || filled.ends_with('(') || filled.ends_with('\'');
        QString words = told_words(filled);
        for (const char* rest : {"17", "17'", "17)", "17 is no longer in the Safe",
                                 "17, which the destination cannot keep, and stays", "17 lies in it",
                                 "17 is not NAME: EXTENSION EXTENSION …"})
            if (goes_on && words == QString::fromStdString(filled)) {
                const std::string whole = filled + rest;
                if (const QString told = told_words(whole); told != QString::fromStdString(whole))
                    words = told;
            }
        CHECK(words != QString::fromStdString(filled));
    }
}

TEST_CASE("an error is worded whole, with what varies in it", "[languages]") {
    CHECK(error_words({Fault::not_found, ENOENT, "open", "/quay/a\nb"}) ==
          QStringLiteral("/quay/a\\nb: is not there"));
    CHECK(told_words("of a newer Tavlo") == QStringLiteral("of a newer Tavlo"));
    const German german;
    CHECK(error_words({Fault::not_found, ENOENT, "open", "/quay/a"}) ==
          QStringLiteral("/quay/a: ist nicht da"));
    CHECK(told_words("would lose user.note, which the destination cannot keep, and stays") ==
          QStringLiteral("verlöre user.note, was das Ziel nicht bewahren kann, und bleibt"));
    CHECK(told_words("has no trash, and none can be made (permission denied)") ==
          QStringLiteral("hat keinen Papierkorb, und keiner kann angelegt werden (keine Berechtigung)"));
    CHECK(told_words("has too little room: 12 bytes are needed, 3 are free") ==
          QStringLiteral("hat zu wenig Platz: 12 Bytes werden gebraucht, 3 sind frei"));
    CHECK(told_words("of a newer Tavlo") == QStringLiteral("of a newer Tavlo"));
}
