#pragma once

#include <QWidget>
#include <string>
#include <vector>

class Bench;
class FolderModel;
class QLabel;
class QLineEdit;
class QPushButton;
class RowView;

/// Where files are picked: one folder at a time, its location, a name filter, its list with marks on what is in the batch.
class GatheringSide final : public QWidget {
    Q_OBJECT

public:
    explicit GatheringSide(Bench& bench, QWidget* parent = nullptr);
    void openFolder(const std::string& path);
    const std::string& folder() const;
    FolderModel& model() { return *model_; }
    void goUp();
    void goBack();
    void goForward();
    void focusFilter();
    void togglePickOfSelected();
    void pickShown();
    std::vector<std::string> selectedNames() const;

signals:
    void folderChanged();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void show_(const std::string& path, bool remember);
    void activate(int row);
    void togglePick(const std::vector<std::string>& names);
    void refreshTotals();
    void fillPlaces();

    Bench& bench_;
    FolderModel* model_;
    QLineEdit* location_;
    QLineEdit* filter_;
    QPushButton* up_;
    QPushButton* places_;
    RowView* list_;
    QLabel* totals_;
    QLabel* in_batch_;
    QLabel* empty_;
    std::vector<std::string> back_;
    std::vector<std::string> forward_;
    void keepSelection();
    std::vector<std::string> selected_before_;
    std::string current_before_;
    std::string came_from_;  ///< selected once the folder above is shown
};
