#pragma once

#include <QFrame>
#include <QStringList>
#include <string>

class Bench;
class QLabel;
class QLineEdit;
class QVBoxLayout;

/// Where the destination is chosen: typed with completion, from the recent ones, or by the folder dialog. A folder that
/// does not exist yet is fine, and is said to be made.
class DestinationPanel final : public QFrame {
    Q_OBJECT

public:
    explicit DestinationPanel(Bench& bench, QWidget* parent = nullptr);
    void openAt(const QPoint& global);

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void accept();
    std::string typedPath() const;
    void fillRecent();
    void addKnown(const QString& path, bool pinned);

    Bench& bench_;
    QLineEdit* path_;
    QLabel* note_;
    QVBoxLayout* recent_;
};

/// The destinations used last, newest first.
QStringList recent_destinations();
void remember_destination(const QString& path);
/// Those that somebody keeps at hand, in their order.
QStringList pinned_destinations();
void pin_destination(const QString& path, bool pinned);
