// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/runs/lane_words.h"

#include <QCoreApplication>
#include <algorithm>
#include <cmath>

#include "text.h"

using namespace tavlo;

namespace {
struct Lane {
    Q_DECLARE_TR_FUNCTIONS(Lane)
};
constexpr std::int64_t minute = 60;
constexpr std::int64_t hour = 60 * minute;
}  // namespace

double done_part(const LaneStatus& status) {
    const auto part = [](std::uint64_t done, std::uint64_t all) {
        return all == 0 ? 0.0 : static_cast<double>(done) / static_cast<double>(all);
    };
    if (status.state == LaneState::done) return 1;
    if (status.still_counting || status.all.bytes == 0)
        return std::min(1.0, part(status.done.items, status.all.items));
    // a file is done once it has its name, some time after its bytes are there
    return std::min(1.0, 0.9 * part(status.done.bytes, status.all.bytes) +
                             0.1 * part(status.done.items, status.all.items));
}

QString amounts_words(const LaneStatus& status) {
    QString words =
        Lane::tr("%1 of %2 items").arg(count_text(status.done.items), count_text(status.all.items));
    if (status.state == LaneState::done)
        words = Lane::tr("%Ln items", nullptr, static_cast<int>(status.done.items));
    if (status.all.bytes > 0 && status.state == LaneState::done)
        words += QStringLiteral(" · ") + size_text(status.all.bytes);
    else if (status.all.bytes > 0)
        words += QStringLiteral(" · ") +
                 Lane::tr("%1 of %2").arg(size_text(status.done.bytes), size_text(status.all.bytes));
    if (status.archive_bytes > 0 && status.done.bytes > 0)
        words +=
            QStringLiteral(" · ") + Lane::tr("archive %1, %2 % of it")
                                        .arg(size_text(status.archive_bytes),
                                             QString::number(status.archive_bytes * 100 / status.done.bytes));
    return status.still_counting ? Lane::tr("%1, still counting").arg(words) : words;
}

QString rate_words(double bytes_per_second) {
    return Lane::tr("%1/s").arg(size_text(static_cast<std::uint64_t>(bytes_per_second)));
}

QString left_words(std::chrono::seconds left) {
    const auto seconds = left.count();
    if (seconds < minute) return Lane::tr("%Ln s left", nullptr, static_cast<int>(seconds));
    if (seconds < hour)
        return Lane::tr("about %Ln min left", nullptr, static_cast<int>((seconds + minute / 2) / minute));
    const auto quarters = (seconds + hour / 8) / (hour / 4);
    return Lane::tr("about %1 h left").arg(static_cast<double>(quarters) / 4);
}

QString state_words(LaneState state) {
    switch (state) {
        case LaneState::waiting: return Lane::tr("waiting");
        case LaneState::running: return Lane::tr("going on");
        case LaneState::paused: return Lane::tr("paused");
        case LaneState::stopping: return Lane::tr("stopping");
        case LaneState::stuck: return Lane::tr("paused");
        case LaneState::stopped: return Lane::tr("stopped");
        case LaneState::interrupted: return Lane::tr("interrupted");
        case LaneState::elsewhere: return Lane::tr("in another program");
        case LaneState::done: return Lane::tr("done");
        case LaneState::refused: return Lane::tr("not possible");
    }
    return {};
}

QString remedy_words(std::optional<Fault> fault) {
    if (!fault) return {};
    switch (*fault) {
        case Fault::not_found:
            return Lane::tr(
                "It may have been moved or removed meanwhile: put it back and try again, or leave it.");
        case Fault::no_permission:
            return Lane::tr("Ask whoever owns it for the right to it, then try again.");
        case Fault::changed_meanwhile:
            return Lane::tr("Some program is writing it: close it there, then try again.");
        case Fault::no_space: return Lane::tr("Make room on the disk, then try again.");
        case Fault::unreachable:
            return Lane::tr("Connect the disk or the network share again, then try again.");
        case Fault::io:
        case Fault::corrupt:
            return Lane::tr(
                "Look at the disk and its cable, and keep what can still be read; then try again.");
        case Fault::name_not_possible:
            return Lane::tr("Give it a name that the destination can hold, and copy it anew.");
        case Fault::name_taken:
        case Fault::not_a_folder:
        case Fault::unsupported:
        case Fault::other_file_system:
        case Fault::cancelled:
        case Fault::refused:
        case Fault::locked: break;
    }
    return {};
}
