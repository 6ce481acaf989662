// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

struct NearestPlace {
    std::string country{};  ///< of a place within 300 km; empty: there is none
    std::string town{};     ///< within 50 km
};

/// Towns of the world with more than 15,000 people, by where they are (WGS 84).
class Gazetteer {
public:
    /// The one of libgeonames, read when it is first asked.
    static const Gazetteer& offline();
    /// latitude, longitude  in degrees, north and east positive
    NearestPlace nearest(double latitude, double longitude) const;

private:
    struct Town {
        double latitude;
        double x, y, z;  ///< on a sphere of radius 1
        std::string name;
        std::string country;
    };
    Gazetteer();
    std::vector<Town> towns_;  ///< from south to north
};
