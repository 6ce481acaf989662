#pragma once

#include <QWidget>

#include "keep/receipt.h"

class QLabel;
class QProgressBar;
class QPushButton;
class Runs;

/// The bottom line: the run that goes on, with progress and stop; after it what came of it; nothing when idle.
class RunLine final : public QWidget {
    Q_OBJECT

public:
    explicit RunLine(Runs& runs, QWidget* parent = nullptr);

signals:
    void receiptRequested(const std::string& receipt);

private:
    void refresh();
    void showEnd(const tavlo::ReceiptHead& head);
    void showProblem(const QString& why);

    Runs& runs_;
    QLabel* words_;
    QProgressBar* bar_;
    QLabel* amounts_;
    QPushButton* stop_;
    QPushButton* details_;
    QPushButton* close_;
    std::string receipt_;
};
