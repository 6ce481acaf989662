// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/looker_process.h"

#include <QJsonArray>
#include <QJsonDocument>

#include "fact_words.h"
#include "files/helper.h"
#include "names/pattern.h"
#include "text.h"

using namespace std::chrono_literals;

namespace {

constexpr auto longest = 6s;
constexpr qsizetype most_output = 32 << 20;

/// What patterns know of it, in words. The size of a picture is told by who has shown it.
void add_facts(const QJsonObject& told, Look& look) {
    for (const tavlo::KnownFact& known : tavlo::known_facts()) {
        if (known.name == "width" || known.name == "height") continue;
        const QJsonValue value = told[QLatin1String(known.name.data(), static_cast<int>(known.name.size()))];
        if (value.isUndefined()) continue;
        QString text = value.isDouble() ? QString::number(value.toInt()) : value.toString();
        if (known.kind == tavlo::KnownFact::Kind::moment)
            if (const QDateTime moment = QDateTime::fromString(text, Qt::ISODate); moment.isValid())
                text = date_text_full(moment.toMSecsSinceEpoch() * 1'000'000);
        QString name = fact_words(known.name);
        name[0] = name[0].toUpper();
        look.facts.emplace_back(name, text);
    }
}

void add_place(const QJsonArray& place, Look& look) {
    if (place.size() != 2) return;
    const double latitude = place[0].toDouble();
    const double longitude = place[1].toDouble();
    look.geo = QStringLiteral("geo:%1,%2").arg(latitude, 0, 'f', 6).arg(longitude, 0, 'f', 6);
    look.place_in_figures = QStringLiteral("%1\u00b0 %2, %3\u00b0 %4")
                                .arg(std::abs(latitude), 0, 'f', 4)
                                .arg(latitude < 0 ? LookerProcess::tr("S") : LookerProcess::tr("N"))
                                .arg(std::abs(longitude), 0, 'f', 4)
                                .arg(longitude < 0 ? LookerProcess::tr("W") : LookerProcess::tr("E"));
}

Differences differences_from(const QJsonObject& seen) {
    Differences out;
    out.known = true;
    out.first = static_cast<qint64>(seen[QStringLiteral("first")].toDouble(-1));
    out.cells = seen[QStringLiteral("kind")] == QStringLiteral("cells");
    out.cut = seen[QStringLiteral("cut")].toBool();
    const QJsonArray rows = seen[QStringLiteral("rows")].toArray();
    for (const auto& value : rows) {
        const QJsonArray row = value.toArray();
        const QString how = row.at(0).toString();
        out.rows.push_back({how == QStringLiteral("=")   ? Differences::How::same
                            : how == QStringLiteral("<") ? Differences::How::only_left
                            : how == QStringLiteral(">") ? Differences::How::only_right
                                                         : Differences::How::changed,
                            row.at(1).toString(), row.at(2).toString()});
    }
    return out;
}

}  // namespace

QString look_program() { return QString::fromStdString(tavlo::helper_program("tavlo-look")); }

std::unique_ptr<QProcess> look_process() {
    auto process = std::make_unique<QProcess>();
    process->setProcessChannelMode(QProcess::SeparateChannels);
    process->setStandardErrorFile(QProcess::nullDevice());
    return process;
}

void end_without_waiting(std::unique_ptr<QProcess> process, const QObject& who) {
    QProcess* ending = process.release();
    ending->disconnect(&who);
    if (ending->state() == QProcess::NotRunning) return ending->deleteLater();
    QObject::connect(ending, &QProcess::finished, ending, &QObject::deleteLater);
    ending->kill();
}

LookProgram::LookProgram(QObject* parent) : QObject(parent) {
    limit_.setSingleShot(true);
    limit_.setInterval(longest);
    connect(&limit_, &QTimer::timeout, this, [this] { finish(false); });
}

LookProgram::~LookProgram() { stop(); }

void LookProgram::stop() {
    ++wish_;
    limit_.stop();
    if (process_) end_without_waiting(std::move(process_), *this);
}

void LookProgram::run(const QStringList& options, const std::vector<std::string>& files,
                      std::function<void(bool, const QJsonObject&)> done) {
    stop();
    done_ = std::move(done);
    copies_.want(this, files, [this, options, wish = wish_](const std::vector<std::string>& found) {
        if (wish == wish_) start(options, found);
    });
}

void LookProgram::start(QStringList words, const std::vector<std::string>& files) {
    process_ = look_process();
    connect(process_.get(), &QProcess::finished, this, [this](int code, QProcess::ExitStatus status) {
        finish(code == 0 && status == QProcess::NormalExit);
    });
    connect(process_.get(), &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
        if (error == QProcess::FailedToStart) finish(false);
    });
    for (const auto& argument : files)
        words << QString::fromLocal8Bit(argument.data(), static_cast<qsizetype>(argument.size()));
    process_->start(look_program(), words, QIODevice::ReadOnly);
    limit_.start();
}

void LookProgram::finish(bool good) {
    const QByteArray output = good && process_ ? process_->readAllStandardOutput() : QByteArray();
    stop();
    const QJsonObject seen =
        output.size() <= most_output ? QJsonDocument::fromJson(output).object() : QJsonObject();
    const auto done = std::exchange(done_, nullptr);
    if (done) done(good, seen);
}

void LookerProcess::lookAt(const std::string& path) {
    program_.run({}, {path}, [this, path](bool good, const QJsonObject& seen) {
        Look look;
        if (!good || !seen[QStringLiteral("known")].toBool()) {
            look.problem = good ? tr("There is no look at files of this kind.")
                                : tr("This file could not be looked at.");
            emit looked(path, look);
            return;
        }
        look.picture.loadFromData(
            QByteArray::fromBase64(seen[QStringLiteral("picture")].toString().toLatin1()), "PNG");
        look.text = seen[QStringLiteral("text")].toString();
        const std::pair<const char*, QString> names[] = {
            {"dimensions", tr("Dimensions")},   {"pages", tr("Pages")},
            {"length", tr("Length")},           {"sound", tr("Sound")},
            {"picture title", tr("Title")},     {"caption", tr("Caption")},
            {"keywords", tr("Keywords")},       {"encoding", tr("Encoding")},
            {"lines end", tr("Lines end with")}};
        for (const auto& [name, words] : names)
            if (const auto value = seen[QLatin1String(name)]; !value.isUndefined())
                look.facts.emplace_back(words,
                                        value.isDouble() ? QString::number(value.toInt()) : value.toString());
        add_facts(seen[QStringLiteral("facts")].toObject(), look);
        if (const QString owner = seen[QStringLiteral("owner")].toString(); !owner.isEmpty())
            look.facts.emplace_back(tr("Owner"), owner);
        add_place(seen[QStringLiteral("place")].toArray(), look);
        if (look.picture.isNull() && look.text.isEmpty())
            look.problem = tr("There is nothing to see of this file.");
        emit looked(path, look);
    });
}

PairLooker::PairLooker(QObject* parent) : QObject(parent) {
    connect(&left_, &LookerProcess::looked, this,
            [this](const std::string&, const Look& look) { emit lookedLeft(look); });
    connect(&right_, &LookerProcess::looked, this,
            [this](const std::string&, const Look& look) { emit lookedRight(look); });
}

void PairLooker::lookAt(const std::string& left, const std::string& right) {
    stop();
    if (!left.empty()) left_.lookAt(left);
    if (!right.empty()) right_.lookAt(right);
    if (left.empty() || right.empty()) return;
    comparer_.run({QStringLiteral("--compare")}, {left, right}, [this](bool good, const QJsonObject& seen) {
        emit compared(good ? differences_from(seen) : Differences{});
    });
}

void PairLooker::stop() {
    left_.stop();
    right_.stop();
    comparer_.stop();
}
