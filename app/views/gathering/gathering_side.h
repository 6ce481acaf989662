// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <memory>
#include <string>
#include <vector>

#include "tasks/worker.h"

class ArrivalsLine;
class Bench;
class ContactSheet;
struct Arrivals;
class FilterBar;
class FolderModel;
class ListPanel;
class LocationBar;
class LookPanel;
class PickBox;
class QAbstractItemView;
class QLabel;
class QMenu;
class QPushButton;
class QStackedWidget;
class RowView;

/// Where files are picked: one folder at a time (or all below it), its location, the filter, the pick box,
/// its list with marks on what is in the batch, and a look at a file.
class GatheringSide final : public QWidget {
    Q_OBJECT

public:
    explicit GatheringSide(Bench& bench, QWidget* parent = nullptr);
    void openFolder(const std::string& path);
    void openFolderAt(const std::string& path, const std::string& name);  ///< with this one selected
    const std::string& folder() const;
    /// Opens the place where a run brought things in, with those marked for as long as one looks there.
    void showArrivals(const std::shared_ptr<const Arrivals>& arrivals);
    FolderModel& model() { return *model_; }
    FilterBar& filter() { return *filter_; }
    void goUp();
    void goBack();
    void goForward();
    void editLocation();
    void focusFilter();
    void focusPickBox();
    void pasteList();
    void setLookShown(bool shown);
    void setAsPictures(bool on);  ///< the list as a contact sheet
    bool showsPictures() const { return pictures_; }
    void togglePickOfSelected();
    void pickShown();
    void invertSelection();
    std::vector<std::string> selectedPaths() const;
    /// What F2 and Delete are about is what one is looking at.
    bool listHasFocus() const;

signals:
    void folderChanged();
    void pasteRequested(bool move);
    void newFolderRequested();
    void renameRequested(const std::string& folder, const std::string& name);
    void trashRequested(const std::vector<std::string>& paths);
    void sizesRequested(const std::string& folder);
    void unpackRequested(const std::vector<std::string>& archives);
    void otherWindowRequested(const std::string& folder);
    void asPicturesChanged(bool on);
    void said(const QString& words);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void buildHead(class QVBoxLayout& column);
    void buildList();
    void keepShownColumns();
    void buildSheet();
    void buildFoot(class QVBoxLayout& column);
    void wire();
    QAbstractItemView& view() const;  ///< list or contact sheet: what is on view
    void show_(const std::string& path, bool remember);
    void activate(int row);
    void togglePick(const std::vector<int>& rows);
    void afterLoading(bool another);
    void refreshTotals();
    void refreshEmpty();
    void openPlaces();
    void openMenu(const QPoint& at);
    void chooseColumns(const QPoint& at);
    void addSorting(QMenu& menu);
    void lookAtCurrent();
    void keepSelection();

    Bench& bench_;
    FolderModel* model_;
    LocationBar* location_;
    FilterBar* filter_;
    PickBox* pick_box_;
    ListPanel* list_panel_;
    LookPanel* look_;
    ArrivalsLine* arrivals_;
    QStackedWidget* pages_;
    QPushButton* places_;
    RowView* list_;
    ContactSheet* sheet_;
    QPushButton* as_list_;
    QPushButton* as_pictures_;
    QLabel* totals_;
    QLabel* in_batch_;
    QLabel* empty_;
    std::vector<std::string> back_;
    std::vector<std::string> forward_;
    std::vector<std::string> selected_before_;  ///< paths
    std::string current_before_;
    std::string came_from_;  ///< selected once the folder above is shown
    int scrolled_ = 0;
    EachWorker picker_;      ///< puts together the names of what is picked at once
    EachWorker keeper_;      ///< of bookmarks
    bool pictures_ = false;  ///< on view, instead of the list
};
