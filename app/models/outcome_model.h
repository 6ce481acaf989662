// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <QString>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <set>
#include <vector>

#include "select/name_filter.h"
#include "tasks/outcome_tree.h"
#include "tasks/retirement.h"

/// How a tag is coloured; what it means is said by its word.
enum class Tone { plain, fresh, waiting, takes_away };

/// The outcome side's rows: the destination as it will be, or the batch as a flat list. An item whose name is
/// held has a second row for what holds it. A thin view of an OutcomeTree; decisions go out as wishes and
/// come back in a new tree.
class OutcomeModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, SizeColumn, ChangedColumn, WhatColumn, ColumnCount };
    enum Role {
        KindRole = Qt::UserRole + 1,  ///< Kind
        DepthRole,
        OpenableRole,  ///< a folder that can be opened or closed
        OpenRole,
        TagRole,       ///< QString
        ToneRole,      ///< Tone
        WordsRole,     ///< QString beside the tag
        DecisionRole,  ///< int of tavlo::Decision, of the pair's second row
        StrongerRole,  ///< in Size and Changed: this one of the two is larger, or later
        ItemRole,      ///< tavlo::ItemId, no_item for what is there already
        WaitingRole    ///< needs a decision
    };
    using enum OutcomeRow::Kind;

    explicit OutcomeModel(QObject* parent = nullptr) : QAbstractTableModel(parent) {}

    void setTree(std::shared_ptr<const OutcomeTree> tree);
    /// A flat list of a plan without a destination; null: of nothing.
    void setList(std::shared_ptr<const PlanList> list);
    void setFlat(bool flat);
    bool isFlat() const { return flat_; }
    /// Shows just one share of the balance, as a flat list.
    void setShare(std::optional<Share> share);
    std::optional<Share> share() const { return share_; }
    /// Shows just what has these words in its name, of what arrives and of what is there, as a flat list;
    /// empty: all.
    void setNameFilter(const QString& text);
    bool isFiltered() const { return !names_.empty(); }
    /// Opens or closes a folder; one that the batch does not touch must be read first (foldersWanted).
    void toggleFolder(int row);
    /// The folders that are open, by path.
    std::vector<std::string> openFolders() const { return {open_.begin(), open_.end()}; }
    /// What a folder holds that was wanted.
    void setExisting(const std::string& place, std::shared_ptr<const tavlo::HeldFolder> held);
    /// Marks what a run has settled so far.
    void setResults(const std::vector<std::pair<tavlo::ItemId, tavlo::Outcome>>& results);
    const std::shared_ptr<const tavlo::Plan>& plan() const { return plan_; }
    tavlo::ItemId itemAt(int row) const;
    int rowOfItem(tavlo::ItemId item) const;
    /// The next row after `row` that needs a decision, from the top again; -1 where none does.
    int nextUndecided(int row) const;

    /// Which items have names that somebody typed; their rows say so.
    void setTyped(std::function<bool(tavlo::ItemId)> is_typed) { is_typed_ = std::move(is_typed); }
    Qt::ItemFlags flags(const QModelIndex& index) const override;
    bool setData(const QModelIndex& index, const QVariant& value,
                 int role) override;  ///< a new name: nameTyped()

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

signals:
    void openFoldersChanged();
    void nameTyped(tavlo::ItemId item, const QString& name);
    void foldersWanted(const std::vector<std::string>& places);

private:
    static constexpr std::uint32_t no_place = OutcomeRow::no_place;  ///< places are numbers in `places_`
    using Row = OutcomeRow;
    const std::vector<Row>& shownRows() const { return as_made_ ? tree_->first_rows : rows_; }
    /// Of the list as it is shown.
    std::size_t lines() const { return is_whole_ ? plan_->items.size() : shownRows().size(); }
    Row line(int at) const {
        if (is_whole_) return {Arriving, 0, {static_cast<tavlo::ItemId>(at), tavlo::no_folder, nullptr}};
        return shownRows()[static_cast<std::size_t>(at)];
    }
    /// Before single ones of them are put in, or taken out.
    void takeRows() {
        if (std::exchange(as_made_, false)) rows_ = tree_->first_rows;
    }
    void rebuild();
    void addFolder(tavlo::FolderId folder, int depth);
    void addExisting(const tavlo::Held& held, const std::string& folder, int depth, bool goes);
    void addRowsOf(std::uint32_t place, int depth, bool goes);
    std::uint32_t numberOf(std::string place);
    bool isOpen(std::uint32_t place) const { return place != no_place && open_.contains(places_[place]); }
    bool goes(const Row& row) const;
    void insertBelow(int row, std::vector<Row> inside);
    std::string placeOf(const Row& row) const;
    void addItem(const OutcomeNode& node, int depth);
    const ItemRows& rowsOf(tavlo::ItemId id) const;
    QVariant itemData(const Row& row, int column, int role) const;
    QVariant heldData(const Row& row, int column, int role) const;
    QVariant existingData(const Row& row, int column, int role) const;
    QString tagText(const tavlo::Item& item, tavlo::ItemId id) const;
    QString wordsText(const tavlo::Item& item, tavlo::ItemId id) const;
    Tone tone(const tavlo::Item& item, tavlo::ItemId id) const;
    std::optional<tavlo::Outcome> result(tavlo::ItemId id) const;

    std::shared_ptr<const OutcomeTree> tree_;
    std::shared_ptr<const tavlo::Plan> plan_;
    std::shared_ptr<const PlanList> list_;  ///< of a plan without a tree
    std::vector<Row> rows_;
    bool as_made_ = false;   ///< the tree's own rows are shown, which were made elsewhere
    bool is_whole_ = false;  ///< a line for each item, and nothing else: so there are no rows to be made
    std::vector<std::string> places_;
    std::set<std::string> open_;  ///< folders that are open, by path
    std::set<std::string> tops_;  ///< that were opened when they came, by path
    std::map<std::string, std::shared_ptr<const tavlo::HeldFolder>> existing_;  ///< read since, by path
    std::vector<tavlo::Outcome> results_;  ///< by item, of the run that is on; none: nothing has come of one
    std::optional<Share> share_;
    tavlo::NameFilter names_;
    std::function<bool(tavlo::ItemId)> is_typed_;
    bool flat_ = false;
    Retirement retired_;
};
