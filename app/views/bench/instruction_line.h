// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QMenu>
#include <QWidget>
#include <initializer_list>

#include "sentence.h"

class Bench;
class DestinationPanel;
class Phrase;
class QLabel;
class QPushButton;
class SentenceLayout;

/// The sentence that says what is about to happen; each underlined part is a control, and the button at its
/// end starts it.
class InstructionLine final : public QWidget {
    Q_OBJECT

public:
    explicit InstructionLine(Bench& bench, QWidget* parent = nullptr);
    /// Lets a copy begin while its batch is still being counted.
    void setWithoutWaiting(bool on);
    /// The job in words, as its receipt is headed.
    QString sentence() const;
    void chooseDestination();
    /// A destination that is typed relative is meant from there.
    void setFolderOnView(const std::string& folder);
    /// What a start would begin just now, by the button or its key: the plan, or a copy whose batch is still being
    /// counted.
    enum class Begins { nothing, plan, while_counting };
    Begins begins() const;
    QString aboutStart() const;  ///< why nothing, or what to know about it

signals:
    void startRequested();
    void folderRequested(const std::string& path);  ///< one of the source folders, to be looked at
    void batchRequested();                          ///< the batch as a list
    void namesRequested();                          ///< the steps that make new names
    void levelsRequested();                         ///< the folders to sort into
    void oneNameRequested();                        ///< another name for the one file in hand

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void buildSentence(QWidget& words);
    void connectMenus();
    void connectPhrases();
    QString spoken() const;  ///< what stands in the line
    void refresh();
    void fillOperationMenu();
    void fillItemsMenu();
    void fillShelfMenu();
    void refreshTransfer();
    void refreshInPlace();
    void refreshStart(int count);
    bool couldBeginCounting() const;
    void showRule();
    static void setShown(std::initializer_list<QWidget*> parts, bool on);
    void fillFoldersMenu();
    void fillShapeMenu();
    void fillShapeInPlace();
    void fillRuleMenu();
    void fillClearingMenu(QMenu& menu);
    void fillWayMenu();
    void fillElsewhereMenu();
    void offerElsewhere(QMenu& menu);
    void askOwnRule();
    void askNamePattern();
    void askArchive();
    bool packs() const;
    void refreshPacking();

    Bench& bench_;
    SentenceLayout* words_;
    Phrase* operation_;
    Phrase* items_;
    QLabel* from_;
    Phrase* folders_;
    QLabel* before_which_;
    Phrase* which_;
    QLabel* into_;
    Phrase* destination_;
    QLabel* comma_;
    Phrase* shape_;
    QLabel* second_comma_;
    Phrase* clearing_;
    QLabel* before_names_;
    Phrase* names_;
    QLabel* before_shelf_;
    Phrase* shelf_;
    QLabel* third_comma_;
    Phrase* losing_;
    Phrase* then_;
    QLabel* semicolon_;
    QLabel* taken_;
    Phrase* rule_;
    QLabel* before_elsewhere_;
    Phrase* elsewhere_;
    QLabel* stop_;
    QLabel* stays_;  ///< what the start leaves in hand
    QPushButton* start_;
    QMenu operation_menu_;
    QMenu shelf_menu_;
    QMenu items_menu_;
    QMenu folders_menu_;
    QMenu shape_menu_;
    QMenu clearing_menu_;
    QMenu rule_menu_;
    QMenu elsewhere_menu_;
    DestinationPanel* panel_;
    InHand in_hand_;
    bool without_waiting_ = false;
    bool is_one_file_ = false;  ///< that is copied or moved: the sentence says under which name
};
