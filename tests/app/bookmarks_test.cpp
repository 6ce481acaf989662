// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAction>
#include <QMenu>
#include <QSettings>

#include "desk.h"
#include "models/folder_model.h"
#include "support/catch.h"
#include "support/environment.h"
#include "tasks/desktop_bookmarks.h"
#include "views/gathering/gathering_side.h"
#include "views/gathering/places_menu.h"

TEST_CASE("bookmarks are those that the desktop's programs keep", "[desktop]") {
    TempFolder temp;
    const Environment config("XDG_CONFIG_HOME", temp.path("config"));
    const Environment data("XDG_DATA_HOME", temp.path("data"));
    CHECK(desktop_bookmarks().empty());
    temp.write(
        "config/gtk-3.0/bookmarks",
        "file:///quay/a%20b The quay\nfile:///quay/%FFold\nsftp://elsewhere/x Far\n\nfile:///quay/c/ \n");
    temp.write("data/user-places.xbel",
               "<?xml version=\"1.0\"?><xbel version=\"1.0\"><bookmark "
               "href=\"file:///home/desk\"><title>Desk</title>"
               "<info/></bookmark><bookmark href=\"trash:/\"><title>Trash</title></bookmark>"
               "<bookmark href=\"file:///quay/c\"><title>Twice</title></bookmark></xbel>");
    const std::vector<Bookmark> wanted{{"/quay/a b", QStringLiteral("The quay")},
                                       {"/quay/\xffold", {}},
                                       {"/quay/c", {}},
                                       {"/home/desk", QStringLiteral("Desk")}};
    CHECK(desktop_bookmarks() == wanted);
    // what is damaged costs what comes after it, and nothing else
    temp.write("data/user-places.xbel", "<xbel><bookmark href=\"file:///one\"></bookmark><bookmark href=");
    CHECK(desktop_bookmarks().back().path == "/one");
}

TEST_CASE("a folder is put among the bookmarks and taken out, and the other lines stay as they are",
          "[desktop]") {
    TempFolder temp;
    const Environment config("XDG_CONFIG_HOME", temp.path("config"));
    const Environment data("XDG_DATA_HOME", temp.path("data"));
    REQUIRE(keep_bookmark("/quay/new; 1", true));
    CHECK(temp.read("config/gtk-3.0/bookmarks") == "file:///quay/new%3B%201\n");
    temp.write("config/gtk-3.0/bookmarks", "sftp://elsewhere/x Far\nfile:///quay/a The quay\n");
    REQUIRE(keep_bookmark("/quay/b", true));
    REQUIRE(keep_bookmark("/quay/b", true));  // once
    CHECK(temp.read("config/gtk-3.0/bookmarks") ==
          "sftp://elsewhere/x Far\nfile:///quay/a The quay\nfile:///quay/b\n");
    REQUIRE(keep_bookmark("/quay/a", false));
    CHECK(temp.read("config/gtk-3.0/bookmarks") == "sftp://elsewhere/x Far\nfile:///quay/b\n");
}

TEST_CASE(
    "places offer the user's folders that are there, and the bookmarks and one key keeps the folder on view",
    "[desktop]") {
    Desk desk;
    const Environment config("XDG_CONFIG_HOME", desk.temp.path("config"));
    const Environment data("XDG_DATA_HOME", desk.temp.path("data"));
    const Environment home("HOME", desk.temp.path("home"));
    desk.temp.folder("home/Pictures");
    desk.temp.folder("quay");
    desk.temp.write("config/gtk-3.0/bookmarks", "file://" + desk.temp.path("quay") + " The quay\n");
    desk.open();
    const auto entry = [](PlacesMenu& menu, const QString& text) -> QAction* {
        for (QAction* action : menu.actions())
            if (action->text() == text) return action;
        return nullptr;
    };
    {
        PlacesMenu menu(desk.window->gathering().folder(), {}, &*desk.window);
        REQUIRE(WindowDriver::wait([&] { return entry(menu, QStringLiteral("The quay")) != nullptr; }));
        CHECK(entry(menu, QStringLiteral("Pictures")) != nullptr);
        CHECK(entry(menu, QStringLiteral("Documents")) == nullptr);  // it is not there
        CHECK(entry(menu, QStringLiteral("Bookmark this folder")) != nullptr);
        std::string chosen;
        QObject::connect(&menu, &PlacesMenu::chosen, [&](const std::string& path) { chosen = path; });
        entry(menu, QStringLiteral("The quay"))->trigger();
        CHECK(chosen == desk.temp.path("quay"));
    }
    // those that were kept by Tavlo alone are among the others from now on
    QSettings().setValue(QStringLiteral("bookmarks"), QStringList{QStringLiteral("/quay/kept")});
    {
        PlacesMenu menu(desk.window->gathering().folder(), {}, &*desk.window);
        REQUIRE(WindowDriver::wait([&] { return entry(menu, QStringLiteral("quay / kept")) != nullptr; }));
        CHECK(desk.temp.read("config/gtk-3.0/bookmarks").ends_with("file:///quay/kept\n"));
        CHECK_FALSE(QSettings().contains(QStringLiteral("bookmarks")));
    }
    desk.driver->click("places");
    auto* menu = desk.window->findChild<PlacesMenu*>();
    REQUIRE(menu != nullptr);
    REQUIRE(
        WindowDriver::wait([&] { return entry(*menu, QStringLiteral("Bookmark this folder")) != nullptr; }));
    entry(*menu, QStringLiteral("Bookmark this folder"))->trigger();
    menu->close();
    CHECK(WindowDriver::wait(
        [&] { return desk.temp.read("config/gtk-3.0/bookmarks").find("/desk\n") != std::string::npos; }));
}
