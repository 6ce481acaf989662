// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sndfile.h>

#include <cmath>
#include <memory>
#include <numbers>
#include <random>
#include <stdexcept>

#include "makers.h"

namespace demo {

void write_sound(const std::filesystem::path& path, std::uint64_t seed, double seconds,
                 const std::string& title, const std::string& artist, const std::string& album) {
    constexpr int rate = 16000;
    std::mt19937_64 random(seed);
    const double chime = 440.0 + static_cast<double>(random() % 220);
    std::vector<short> samples(static_cast<std::size_t>(seconds * rate));
    for (std::size_t i = 0; i < samples.size(); ++i) {
        const double t = static_cast<double>(i) / rate;
        const double bell = std::exp(-3 * std::fmod(t, 1.5)) * std::sin(2 * std::numbers::pi * chime * t);
        const double hum = 0.1 * std::sin(2 * std::numbers::pi * 110 * t);
        samples[i] = static_cast<short>(12000 * (bell + hum));
    }
    SF_INFO info{};
    info.samplerate = rate;
    info.channels = 1;
    info.format = (path.extension() == ".flac" ? SF_FORMAT_FLAC : SF_FORMAT_WAV) | SF_FORMAT_PCM_16;
    const std::unique_ptr<SNDFILE, decltype(&sf_close)> file(sf_open(path.c_str(), SFM_WRITE, &info),
                                                             &sf_close);
    if (!file) throw std::runtime_error(path.string() + ": " + sf_strerror(nullptr));
    sf_set_string(file.get(), SF_STR_TITLE, title.c_str());
    sf_set_string(file.get(), SF_STR_ARTIST, artist.c_str());
    if (!album.empty()) sf_set_string(file.get(), SF_STR_ALBUM, album.c_str());
    sf_write_short(file.get(), samples.data(), static_cast<sf_count_t>(samples.size()));
}

}  // namespace demo
