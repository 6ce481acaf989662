#include "tasks/looker_process.h"

#include <QCoreApplication>
#include <QFileInfo>
#include <QJsonDocument>
#include <QJsonObject>

using namespace std::chrono_literals;

namespace {

constexpr auto longest = 6s;
constexpr qsizetype most_output = 32 << 20;

/// Beside this program, as it is built; or where it is installed.
QString program() {
    const QString beside = QCoreApplication::applicationDirPath() + QStringLiteral("/tavlo-look");
    return QFileInfo::exists(beside) ? beside : QStringLiteral(TAVLO_LOOK_INSTALLED);
}

}  // namespace

LookerProcess::LookerProcess(QObject* parent) : QObject(parent) {
    limit_.setSingleShot(true);
    limit_.setInterval(longest);
    connect(&limit_, &QTimer::timeout, this, [this] { finish(false); });
}

LookerProcess::~LookerProcess() { stop(); }

void LookerProcess::stop() {
    limit_.stop();
    if (!process_) return;
    process_->disconnect(this);
    process_->kill();
    process_.release()->deleteLater();  // ends without the window waiting for it
}

void LookerProcess::lookAt(const std::string& path) {
    stop();
    path_ = path;
    process_ = std::make_unique<QProcess>();
    process_->setProcessChannelMode(QProcess::SeparateChannels);
    process_->setStandardErrorFile(QProcess::nullDevice());
    connect(process_.get(), &QProcess::finished, this,
            [this](int code, QProcess::ExitStatus status) { finish(code == 0 && status == QProcess::NormalExit); });
    connect(process_.get(), &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
        if (error == QProcess::FailedToStart) finish(false);
    });
    process_->start(program(), {QString::fromLocal8Bit(path.data(), static_cast<qsizetype>(path.size()))}, QIODevice::ReadOnly);
    limit_.start();
}

void LookerProcess::finish(bool good) {
    Look look;
    const QByteArray output = good && process_ ? process_->readAllStandardOutput() : QByteArray();
    stop();
    const QJsonObject seen = output.size() <= most_output ? QJsonDocument::fromJson(output).object() : QJsonObject();
    if (!good || !seen[QStringLiteral("known")].toBool()) {
        look.problem = good ? tr("There is no look at files of this kind.") : tr("This file could not be looked at.");
        emit looked(path_, look);
        return;
    }
    look.picture.loadFromData(QByteArray::fromBase64(seen[QStringLiteral("picture")].toString().toLatin1()), "PNG");
    look.text = seen[QStringLiteral("text")].toString();
    const std::pair<const char*, QString> names[] = {
        {"dimensions", tr("Dimensions")}, {"pages", tr("Pages")},       {"length", tr("Length")},
        {"sound", tr("Sound")},           {"title", tr("Title")},       {"artist", tr("Artist")},
        {"album", tr("Album")},           {"encoding", tr("Encoding")}, {"lines end", tr("Lines end with")}};
    for (const auto& [name, words] : names)
        if (const auto value = seen[QLatin1String(name)]; !value.isUndefined())
            look.facts.emplace_back(words, value.isDouble() ? QString::number(value.toInt()) : value.toString());
    if (look.picture.isNull() && look.text.isEmpty()) look.problem = tr("There is nothing to see of this file.");
    emit looked(path_, look);
}
