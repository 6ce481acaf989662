// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "places.h"

#include <geonames/geonames.h>

#include <algorithm>
#include <cmath>
#include <memory>
#include <numbers>

namespace {

constexpr double earth_km = 6371.0088;  // mean radius (IUGG)
constexpr double country_within_km = 300;
constexpr double town_within_km = 50;

double radians(double degrees) { return degrees * std::numbers::pi / 180; }

}  // namespace

const Gazetteer& Gazetteer::offline() {
    static const Gazetteer all;
    return all;
}

Gazetteer::Gazetteer() {
    const int count = ::geonames_get_n_cities();
    towns_.reserve(static_cast<std::size_t>(std::max(count, 0)));
    for (int at = 0; at < count; ++at) {
        const std::unique_ptr<GeonamesCity, decltype(&::geonames_city_free)> city(::geonames_get_city(at),
                                                                                  &::geonames_city_free);
        if (!city) continue;
        const char* name = ::geonames_city_get_name(city.get());
        const char* country = ::geonames_city_get_country(city.get());
        if (name == nullptr || country == nullptr) continue;
        const double latitude = ::geonames_city_get_latitude(city.get());
        const double phi = radians(latitude);
        const double lambda = radians(::geonames_city_get_longitude(city.get()));
        towns_.push_back({latitude, std::cos(phi) * std::cos(lambda), std::cos(phi) * std::sin(lambda),
                          std::sin(phi), name, country});
    }
    std::sort(towns_.begin(), towns_.end(),
              [](const Town& one, const Town& other) { return one.latitude < other.latitude; });
}

NearestPlace Gazetteer::nearest(double latitude, double longitude) const {
    const double phi = radians(latitude);
    const double lambda = radians(longitude);
    const double x = std::cos(phi) * std::cos(lambda);
    const double y = std::cos(phi) * std::sin(lambda);
    const double z = std::sin(phi);
    // nothing beyond this belt is near enough
    const double belt = country_within_km / earth_km * 180 / std::numbers::pi;
    const auto first =
        std::lower_bound(towns_.begin(), towns_.end(), latitude - belt,
                         [](const Town& town, double southmost) { return town.latitude < southmost; });
    const Town* best = nullptr;
    double shortest = 5;  // squares of chords: 4 is the other side of the world
    for (auto town = first; town != towns_.end() && town->latitude <= latitude + belt; ++town) {
        const double dx = town->x - x;
        const double dy = town->y - y;
        const double dz = town->z - z;
        const double chord = dx * dx + dy * dy + dz * dz;
        if (chord >= shortest) continue;
        shortest = chord;
        best = &*town;
    }
    if (best == nullptr) return {};
    const double km = 2 * earth_km * std::asin(std::min(1.0, std::sqrt(shortest) / 2));
    return {km <= country_within_km ? best->country : "", km <= town_within_km ? best->name : ""};
}
