#pragma once

#include <QImage>
#include <QObject>
#include <QProcess>
#include <QTimer>
#include <memory>
#include <optional>
#include <string>
#include <vector>

/// What was seen of a file.
struct Look {
    QImage picture;
    QString text;
    std::vector<std::pair<QString, QString>> facts;  ///< name and value, in words
    QString problem;                                 ///< why there is nothing to see
};

/// Has files looked at by a process of its own (tavlo-look), one at a time, the newest wish only. A file that brings that
/// process down, or keeps it busy, costs nothing but its look.
class LookerProcess final : public QObject {
    Q_OBJECT

public:
    explicit LookerProcess(QObject* parent = nullptr);
    ~LookerProcess() override;
    void lookAt(const std::string& path);
    void stop();

signals:
    void looked(const std::string& path, const Look& look);

private:
    void finish(bool good);

    std::unique_ptr<QProcess> process_;
    QTimer limit_;
    std::string path_;
};
