// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <cctype>
#include <exiv2/exiv2.hpp>
#include <exiv2/webpimage.hpp>
#include <stdexcept>

#include "places.h"
#include "telling.h"

using tavlo::FileFacts;

namespace {

std::string text_of(const Exiv2::ExifData& exif, const char* key) {
    const auto found = exif.findKey(Exiv2::ExifKey(key));
    if (found == exif.end()) return {};
    std::string text = found->toString();
    text.erase(std::find(text.begin(), text.end(), '\0'), text.end());
    const auto last = text.find_last_not_of(" \t\r\n");
    return last == std::string::npos ? std::string() : text.substr(0, last + 1);
}

void tell_taken(const Exiv2::ExifData& exif, FileFacts& facts) {
    for (const char* key : {"Exif.Photo.DateTimeOriginal", "Exif.Photo.DateTimeDigitized"})
        if (const auto taken = tavlo::moment_from(text_of(exif, key))) return facts.set("taken", *taken);
}

std::string in_lower(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return text;
}

/// Degrees, minutes and seconds as one number of degrees; nullopt: they are not all there, or mean nothing.
std::optional<double> degrees_of(const Exiv2::ExifData& exif, const char* key, const char* reference,
                                 char negative, double most) {
    const auto found = exif.findKey(Exiv2::ExifKey(key));
    if (found == exif.end() || found->count() < 1) return std::nullopt;
    double degrees = 0;
    double part = 1;
    for (long at = 0; at < std::min<long>(found->count(), 3); ++at, part *= 60) {
        const Exiv2::Rational value = found->toRational(at);
        if (value.second == 0) return std::nullopt;
        degrees += static_cast<double>(value.first) / static_cast<double>(value.second) / part;
    }
    if (degrees < 0 || degrees > most) return std::nullopt;
    const std::string side = text_of(exif, reference);
    if (side.empty()) return std::nullopt;
    return std::toupper(static_cast<unsigned char>(side.front())) == negative ? -degrees : degrees;
}

std::optional<std::pair<double, double>> place_of(const Exiv2::ExifData& exif) {
    const auto latitude =
        degrees_of(exif, "Exif.GPSInfo.GPSLatitude", "Exif.GPSInfo.GPSLatitudeRef", 'S', 90);
    const auto longitude =
        degrees_of(exif, "Exif.GPSInfo.GPSLongitude", "Exif.GPSInfo.GPSLongitudeRef", 'W', 180);
    return latitude && longitude ? std::optional(std::pair(*latitude, *longitude)) : std::nullopt;
}

void tell_place(const Exiv2::ExifData& exif, FileFacts& facts) {
    const auto place = place_of(exif);
    if (!place) return;
    const NearestPlace nearest = Gazetteer::offline().nearest(place->first, place->second);
    facts.set("country", nearest.country);
    facts.set("town", nearest.town);
}

/// Pixels as shown: a picture that lies on its side is turned (Exif 2.32, tag 0x0112).
void tell_size(const Exiv2::Image& image, FileFacts& facts) {
    const auto width = image.pixelWidth();
    const auto height = image.pixelHeight();
    if (width <= 0 || height <= 0) return;
    const auto orientation = image.exifData().findKey(Exiv2::ExifKey("Exif.Image.Orientation"));
    const long turned = orientation == image.exifData().end() ? 1 : orientation->toLong();
    const bool lies = turned >= 5 && turned <= 8;
    facts.set("width", static_cast<std::uint64_t>(lies ? height : width));
    facts.set("height", static_cast<std::uint64_t>(lies ? width : height));
}

/// Its readers of films and of sound write past their buffers where a file is damaged (a broken WAV is
/// enough), and tell no Exif.
bool is_picture(int type) {
    namespace Type = Exiv2::ImageType;
    const auto pictures = {Type::jpeg, Type::tiff, Type::png, Type::webp, Type::bmff, Type::gif,
                           Type::bmp,  Type::psd,  Type::jp2, Type::cr2,  Type::crw,  Type::mrw,
                           Type::orf,  Type::pgf,  Type::raf, Type::rw2,  Type::tga};
    return std::find(pictures.begin(), pictures.end(), type) != pictures.end();
}

Exiv2::Image::AutoPtr read_picture(const std::string& path) {
    static const bool ready = [] {
        Exiv2::LogMsg::setLevel(Exiv2::LogMsg::mute);
        Exiv2::enableBMFF(true);  // HEIC, AVIF, CR3
        return true;
    }();
    (void)ready;
    if (!is_picture(Exiv2::ImageFactory::getType(path))) throw std::runtime_error("is no picture");
    auto image = Exiv2::ImageFactory::open(path);
    image->readMetadata();
    return image;
}

/// All values of a key, ", " between; a text with a language is told without it.
template <class Data, class Key>
std::string note_of(const Data& data, const Key& key) {
    std::string all;
    for (const auto& one : data) {
        if (one.key() != key.key()) continue;
        for (long at = 0; at < std::max(1L, static_cast<long>(one.count())); ++at) {
            std::string text = one.toString(at);
            if (text.starts_with("lang=")) text.erase(0, std::min(text.find(' '), text.size() - 1) + 1);
            if (!text.empty()) all += (all.empty() ? "" : ", ") + text;
        }
    }
    return all;
}

}  // namespace

std::string camera_of(const std::string& make, const std::string& model) {
    const bool names_make = in_lower(model).find(in_lower(make)) != std::string::npos;
    return make.empty() || (names_make && !model.empty()) ? model : model.empty() ? make : make + " " + model;
}

PictureNotes notes_of(const std::string& path) {
    PictureNotes notes;
    try {
        const auto image = read_picture(path);
        notes.place = place_of(image->exifData());
        const auto note = [&](const char* xmp, const char* iptc) {
            std::string text = note_of(image->xmpData(), Exiv2::XmpKey(xmp));
            return text.empty() ? note_of(image->iptcData(), Exiv2::IptcKey(iptc)) : text;
        };
        notes.title = note("Xmp.dc.title", "Iptc.Application2.ObjectName");
        notes.caption = note("Xmp.dc.description", "Iptc.Application2.Caption");
        notes.keywords = note("Xmp.dc.subject", "Iptc.Application2.Keywords");
    } catch (...) {  // no picture, or a damaged one
    }
    return notes;
}

void tell_picture(const std::string& path, FileFacts& facts) {
    const auto image = read_picture(path);
    const Exiv2::ExifData& exif = image->exifData();
    tell_taken(exif, facts);
    facts.set("camera", camera_of(text_of(exif, "Exif.Image.Make"), text_of(exif, "Exif.Image.Model")));
    tell_place(exif, facts);
    tell_size(*image, facts);
}
