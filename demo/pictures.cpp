// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <QColor>
#include <QImage>
#include <QImageWriter>
#include <QLinearGradient>
#include <QPainter>
#include <QPainterPath>
#include <cmath>
#include <exiv2/exiv2.hpp>
#include <random>
#include <stdexcept>

#include "makers.h"

namespace demo {

namespace {

/// A quay in some weather: sky, sea, a hull with rust spots. Shapes only, so that no machine's fonts get into
/// it.
QImage quay(std::uint64_t seed, int width, int height) {
    std::mt19937_64 random(seed);
    const auto up_to = [&](int most) {
        return static_cast<int>(random() % static_cast<std::uint64_t>(most));
    };
    QImage image(width, height, QImage::Format_RGB32);
    QPainter painter(&image);
    QLinearGradient sky(0, 0, 0, height * 0.6);
    sky.setColorAt(0, QColor::fromHsv(200 + up_to(20), 60 + up_to(80), 200 + up_to(50)));
    sky.setColorAt(1, QColor::fromHsv(30 + up_to(20), 20 + up_to(40), 240));
    painter.fillRect(image.rect(), sky);
    painter.fillRect(QRectF(0, height * 0.6, width, height * 0.4),
                     QColor::fromHsv(195 + up_to(15), 120, 90 + up_to(40)));
    QPainterPath hull;
    const double left = width * 0.1 + up_to(width / 10);
    hull.moveTo(left, height * 0.45);
    hull.lineTo(width * 0.9, height * 0.45);
    hull.lineTo(width * 0.8, height * 0.75);
    hull.lineTo(left + width * 0.08, height * 0.75);
    hull.closeSubpath();
    painter.setPen(Qt::NoPen);
    painter.setBrush(QColor::fromHsv(up_to(360), 90, 120));
    painter.drawPath(hull);
    painter.setClipPath(hull);
    for (int spot = 0; spot < 40; ++spot) {
        painter.setBrush(QColor::fromHsv(15 + up_to(15), 160, 120 + up_to(60), 140));
        painter.drawEllipse(up_to(width), height / 2 + up_to(height / 4), 2 + up_to(width / 40),
                            2 + up_to(height / 40));
    }
    return image;
}

void write(const QImage& image, const std::filesystem::path& path, const char* format, int quality) {
    QImageWriter writer(QString::fromStdString(path.string()), format);
    writer.setQuality(quality);
    if (!writer.write(image))
        throw std::runtime_error(path.string() + ": " + writer.errorString().toStdString());
}

std::string degrees(double value) {
    const auto seconds = static_cast<int>(std::lround(std::abs(value) * 360000));
    return fmt::format("{}/1 {}/1 {}/100", seconds / 360000, seconds / 6000 % 60, seconds % 6000);
}

}  // namespace

void write_png(const std::filesystem::path& path, std::uint64_t seed, int width, int height) {
    write(quay(seed, width, height), path, "png", -1);
}

void write_jpeg(const std::filesystem::path& path, std::uint64_t seed, int width, int height,
                const std::optional<Moment>& taken, const std::optional<std::pair<double, double>>& place) {
    write(quay(seed, width, height), path, "jpeg", 82);
    const auto image = Exiv2::ImageFactory::open(path.string());
    image->readMetadata();
    Exiv2::ExifData& exif = image->exifData();
    exif["Exif.Image.Artist"] = "Ostrel Ferries, Workshop";
    if (taken)
        exif["Exif.Photo.DateTimeOriginal"] =
            fmt::format("{:04}:{:02}:{:02} {:02}:{:02}:{:02}", taken->year, taken->month, taken->day,
                        taken->hour, taken->minute, taken->second);
    if (place) {
        exif["Exif.GPSInfo.GPSLatitudeRef"] = place->first < 0 ? "S" : "N";
        exif["Exif.GPSInfo.GPSLatitude"] = degrees(place->first);
        exif["Exif.GPSInfo.GPSLongitudeRef"] = place->second < 0 ? "W" : "E";
        exif["Exif.GPSInfo.GPSLongitude"] = degrees(place->second);
    }
    image->writeMetadata();
}

}  // namespace demo
