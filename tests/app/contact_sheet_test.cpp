// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/contact_sheet.h"

#include <sys/stat.h>

#include <QAction>
#include <QImage>
#include <QPushButton>
#include <QSettings>
#include <filesystem>

#include "desk.h"
#include "models/folder_model.h"
#include "support/catch.h"
#include "support/environment.h"
#include "tasks/bench.h"
#include "tasks/thumbnails.h"
#include "views/gathering/gathering_side.h"

using Size = ThumbnailCache::Size;

namespace {

void write_picture(const std::string& path, const QColor& colour, int width = 640, int height = 400) {
    QImage picture(width, height, QImage::Format_RGB32);
    picture.fill(colour);
    REQUIRE(picture.save(QString::fromStdString(path)));
}

ThumbnailCache::Of file_at(const std::string& path) {
    struct stat status {};
    REQUIRE(::stat(path.c_str(), &status) == 0);
    return {path, status.st_mtim.tv_sec * 1'000'000'000LL + status.st_mtim.tv_nsec};
}

mode_t mode_of(const std::string& path) {
    struct stat status {};
    return ::stat(path.c_str(), &status) == 0 ? status.st_mode & 07777 : 0;
}

ThumbnailCache cache_in(const TempFolder& temp) {
    return ThumbnailCache(QString::fromStdString(temp.path("cache/thumbnails")));
}

/// Until all is found or made that was wished for. returns whether it came to that
bool settle(const Thumbnails& pictures) {
    return WindowDriver::wait([&] { return pictures.isDone(); });
}

}  // namespace

TEST_CASE("a file's address is what the standard names small pictures after", "[sheet]") {
    // the example of the Thumbnail Managing Standard, and bytes that are no letters
    CHECK(address_of("/home/jens/photos/me.png") == "file:///home/jens/photos/me.png");
    CHECK(address_of("/quay/a b#1;\xff.png") == "file:///quay/a%20b%231%3B%FF.png");
    CHECK(address_of("/quay/100%/it's(1)&@=$!*,+~.png") == "file:///quay/100%25/it's(1)&@=$!*,+~.png");
}

TEST_CASE("small pictures are kept as the standard says, and only for the file as it was", "[sheet]") {
    TempFolder temp;
    const auto cache = cache_in(temp);
    const std::string path = "/home/jens/photos/me.png";
    QImage small(256, 160, QImage::Format_RGB32);
    small.fill(Qt::red);
    const ThumbnailCache::Of file{path, 1'900'000'000'123'456'789};
    CHECK(cache.find(file, Size::large).isNull());
    cache.keep(file, Size::large, small);
    // the name that the standard gives for this address
    const std::string kept = "cache/thumbnails/large/c6ee772d9e49320e97ec29a7eb5b1697.png";
    REQUIRE(temp.has(kept));
    CHECK(mode_of(temp.path(kept)) == 0600);
    CHECK(mode_of(temp.path("cache/thumbnails")) == 0700);
    CHECK(mode_of(temp.path("cache/thumbnails/large")) == 0700);
    const QImage raw(QString::fromStdString(temp.path(kept)));
    CHECK(raw.text(QStringLiteral("Thumb::URI")) == QStringLiteral("file:///home/jens/photos/me.png"));
    CHECK(raw.text(QStringLiteral("Thumb::MTime")) == QStringLiteral("1900000000"));

    CHECK(cache.find(file, Size::large).size() == QSize(256, 160));
    CHECK(cache.find(file, Size::x_large).isNull());                             // too small for that
    CHECK(cache.find({path, 1'900'000'001'000'000'000}, Size::large).isNull());  // the file has changed since
    CHECK(cache.find({path, 1'900'000'000'999'999'999}, Size::large).size() ==
          QSize(256, 160));  // seconds are what is kept
    // a larger one serves as well
    cache.keep({"/b.png", 5'000'000'000}, Size::x_large, QImage(512, 300, QImage::Format_RGB32));
    CHECK(cache.find({"/b.png", 5'000'000'000}, Size::large).size() == QSize(512, 300));

    CHECK_FALSE(cache.hasFailed(file));
    cache.keepFailure(file);
    CHECK(cache.hasFailed(file));
    CHECK_FALSE(cache.hasFailed({path, 1}));

    // what lies there under the name of another is not believed, nor what is no small picture
    temp.write(kept, "nothing that is a picture");
    CHECK(cache.find(file, Size::large).isNull());
    QImage huge(1200, 1200, QImage::Format_RGB32);
    huge.setText(QStringLiteral("Thumb::URI"), QStringLiteral("file:///home/jens/photos/me.png"));
    huge.setText(QStringLiteral("Thumb::MTime"), QStringLiteral("1900000000"));
    REQUIRE(huge.save(QString::fromStdString(temp.path(kept))));
    CHECK(cache.find(file, Size::large).isNull());

    const ThumbnailCache nowhere{QString()};
    nowhere.keep(file, Size::large, small);
    CHECK(nowhere.find(file, Size::large).isNull());
    // none of its own pictures has one
    cache.keep({temp.path(kept), 1}, Size::large, small);
    CHECK(cache.find({temp.path(kept), 1}, Size::large).isNull());
}

TEST_CASE(
    "small pictures are made once, of what is a picture, and taken from where the desktop keeps them after "
    "that",
    "[sheet]") {
    TempFolder temp;
    write_picture(temp.folder("quay") + "/red.png", Qt::red, 1200, 600);
    write_picture(temp.path("quay/tall.jpg"), Qt::blue, 100, 50);
    temp.write("quay/notes.txt", "no picture");
    temp.write("quay/broken.jpg", "\xff\xd8\xff\xe0 and no more");
    ::mkfifo(temp.path("quay/pipe").c_str(), 0600);
    std::vector<ThumbnailCache::Of> files;
    for (const char* name : {"red.png", "tall.jpg", "notes.txt", "broken.jpg", "pipe", "red.png"})
        files.push_back(file_at(temp.path("quay/") + name));
    {
        Thumbnails made(cache_in(temp), Size::large);
        made.wish(files);
        REQUIRE(settle(made));
        REQUIRE(made.of(files[0]) != nullptr);
        CHECK(made.of(files[0])->size() == QSize(256, 128));
        CHECK(made.of(files[1])->size() == QSize(100, 50));  // none is made larger than it is
        for (const std::size_t none : {2U, 3U, 4U}) CHECK(made.of(files[none]) == nullptr);
        CHECK(made.of({files[0].path, 1}) == nullptr);
    }  // what is still to be kept is kept before it goes
    CHECK(cache_in(temp).find(files[0], Size::large).size() == QSize(256, 128));
    CHECK_FALSE(cache_in(temp).hasFailed(files[2]));  // there simply is nothing to be seen: no failure
    // another picture in its place in the cache is what is shown: nothing is made again
    QImage other(40, 30, QImage::Format_RGB32);
    other.fill(Qt::green);
    cache_in(temp).keep(files[0], Size::large, other);
    Thumbnails again(cache_in(temp), Size::large);
    again.wish({files[0]});
    REQUIRE(settle(again));
    REQUIRE(again.of(files[0]) != nullptr);
    CHECK(again.of(files[0])->size() == QSize(40, 30));
    // what was tried and failed is not tried again
    cache_in(temp).keepFailure(files[1]);
    std::filesystem::remove_all(temp.path("cache/thumbnails/large"));
    Thumbnails third(cache_in(temp), Size::large);
    third.wish({files[1]});
    REQUIRE(settle(third));
    CHECK(third.of(files[1]) == nullptr);
}

TEST_CASE("a folder's pictures are gathered by eye: marks, keys, filter and selection as in the list",
          "[sheet]") {
    Desk desk;
    const Environment cache("XDG_CACHE_HOME", desk.temp.path("cache"));
    const struct AsItWas {
        ~AsItWas() { QSettings().remove(QStringLiteral("folderAsPictures")); }
    } as_it_was;
    desk.temp.folder("desk/older");
    for (int i = 0; i < 6; ++i)
        write_picture(desk.temp.path("desk/quay-" + std::to_string(i) + ".png"),
                      QColor::fromHsv(60 * i, 200, 200));
    desk.temp.write("desk/list.txt", "no picture");
    desk.open();
    auto& model = desk.window->gathering().model();
    auto* sheet = desk.driver->find<ContactSheet>("contactSheet");
    CHECK_FALSE(sheet->isVisible());
    desk.driver->find<QWidget>("folderList")->setFocus();
    desk.stroke(Qt::Key_F9);
    REQUIRE(sheet->isVisible());
    CHECK(sheet->hasFocus());  // the keyboard stays where it was
    CHECK(desk.window->findChild<QAction*>(QStringLiteral("picturesAction"))->isChecked());
    REQUIRE(WindowDriver::wait(
        [&] { return sheet->thumbnails().of(sheet->fileAt(model.rowOf("quay-3.png"))) != nullptr; }));
    REQUIRE(settle(sheet->thumbnails()));
    CHECK(sheet->thumbnails().of(sheet->fileAt(model.rowOf("list.txt"))) == nullptr);
    CHECK(desk.temp.has("cache/thumbnails/large"));

    // several to a row; what is drawn in its cell is the picture
    const QRect first = sheet->visualRect(model.index(0, 0));
    const QRect second = sheet->visualRect(model.index(1, 0));
    CHECK(second.left() >= first.right());
    CHECK(second.top() == first.top());
    const QRect green = sheet->visualRect(model.index(model.rowOf("quay-2.png"), 0));
    const QImage drawn = sheet->viewport()->grab().toImage();
    const QColor there = drawn.pixelColor(green.center().x(), green.top() + green.height() / 3);
    CHECK(there.hsvHue() == Approx(120).margin(3));

    // by keys: to the right, and into the batch
    sheet->setCurrentIndex(model.index(model.rowOf("quay-0.png"), 0));
    desk.stroke(Qt::Key_Space);
    desk.stroke(Qt::Key_Right);
    desk.stroke(Qt::Key_Space);
    const std::string at = desk.temp.path("desk");
    auto& picks = desk.window->bench().picks();
    CHECK(picks.contain(at, "quay-0.png"));
    CHECK(picks.contain(at, "quay-1.png"));
    CHECK(picks.count() == 2);
    // by the mouse at the edge of a picture
    desk.driver->clickMark(model.rowOf("quay-4.png"), "contactSheet");
    CHECK(picks.contain(at, "quay-4.png"));
    // by typing
    desk.driver->type("pickBox", QStringLiteral("quay-5"));
    desk.driver->key("pickBox", Qt::Key_Return);
    CHECK(picks.contain(at, "quay-5.png"));
    // one selection for both
    desk.driver->clickRow("contactSheet", model.rowOf("quay-2.png"));
    CHECK(desk.window->gathering().selectedPaths() == std::vector<std::string>{at + "/quay-2.png"});
    desk.driver->click("asList");
    CHECK_FALSE(sheet->isVisible());
    CHECK(desk.window->gathering().selectedPaths() == std::vector<std::string>{at + "/quay-2.png"});
    desk.driver->click("asPictures");
    // folders open, and one comes out of them again
    sheet->setFocus();
    sheet->setCurrentIndex(model.index(model.rowOf("older"), 0));
    desk.stroke(Qt::Key_Return);
    REQUIRE(WindowDriver::wait([&] { return model.folder() == at + "/older" && !model.isLoading(); }));
    CHECK(sheet->isVisible());
    desk.stroke(Qt::Key_Backspace);
    REQUIRE(WindowDriver::wait([&] { return model.folder() == at && model.rowCount() == 8; }));
    CHECK(model.row(sheet->currentIndex().row()).name == "older");
}
