// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/list_access.h"

#include <QAccessible>
#include <QAccessibleWidget>
#include <QHeaderView>
#include <QListView>
#include <QPersistentModelIndex>
#include <QPointer>
#include <QTableView>
#include <memory>
#include <unordered_map>
#include <vector>

#include "views/parts/button_row.h"
#include "views/parts/choosing.h"
#include "views/parts/row_view.h"

namespace {

QRect on_screen(const QAbstractItemView& view, const QRect& in_viewport) {
    return {view.viewport()->mapToGlobal(in_viewport.topLeft()), in_viewport.size()};
}

/// What has no object of its own: a cell of a list, a head of a column, a choice in a cell.
class Part : public QAccessibleInterface {
public:
    Part(QAbstractItemView& view, QAccessible::Role role) : view_(&view), role_(role) {}
    bool isValid() const override { return !view_.isNull(); }
    QObject* object() const override { return nullptr; }
    QWindow* window() const override { return view_->window()->windowHandle(); }
    QAccessibleInterface* childAt(int x, int y) const override {
        for (int at = 0; at < childCount(); ++at)
            if (auto* one = child(at); one->rect().contains(x, y)) return one;
        return nullptr;
    }
    QAccessibleInterface* parent() const override { return QAccessible::queryAccessibleInterface(view_); }
    QAccessibleInterface* child(int) const override { return nullptr; }
    int childCount() const override { return 0; }
    int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    void setText(QAccessible::Text, const QString&) override {}
    QAccessible::Role role() const override { return role_; }

protected:
    QAbstractItemView& view() const { return *view_; }

private:
    QPointer<QAbstractItemView> view_;
    QAccessible::Role role_;
};

class Head final : public Part {
public:
    Head(QAbstractItemView& view, Qt::Orientation along, int section)
        : Part(view, along == Qt::Horizontal ? QAccessible::ColumnHeader : QAccessible::RowHeader),
          along_(along),
          section_(section) {}
    QString text(QAccessible::Text which) const override {
        if (which != QAccessible::Name) return {};
        const auto& model = *view().model();
        // a row is called what it says of itself
        if (along_ == Qt::Vertical) return model.index(section_, 0).data(Qt::AccessibleTextRole).toString();
        return model.headerData(section_, along_, Qt::DisplayRole).toString();
    }
    QRect rect() const override {
        const auto* table = qobject_cast<const QTableView*>(&view());
        const QHeaderView* header = table == nullptr           ? nullptr
                                    : along_ == Qt::Horizontal ? table->horizontalHeader()
                                                               : table->verticalHeader();
        if (header == nullptr || !header->isVisible()) return {};
        const int from = header->sectionViewportPosition(section_);
        const int size = header->sectionSize(section_);
        const QRect place = along_ == Qt::Horizontal ? QRect(from, 0, size, header->height())
                                                     : QRect(0, from, header->width(), size);
        return {header->viewport()->mapToGlobal(place.topLeft()), place.size()};
    }
    QAccessible::State state() const override {
        QAccessible::State state;
        state.invisible = rect().isEmpty();
        return state;
    }

private:
    Qt::Orientation along_;
    int section_;
};

class Cell;

/// One of the words in a cell.
class Choice final : public Part, public QAccessibleActionInterface {
public:
    Choice(QAbstractItemView& view, const Cell& cell, int number)
        : Part(view, QAccessible::RadioButton), cell_(cell), number_(number) {}
    QAccessibleInterface* parent() const override;
    QString text(QAccessible::Text which) const override;
    QRect rect() const override;
    QAccessible::State state() const override;
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::ActionInterface ? static_cast<QAccessibleActionInterface*>(this)
                                                    : nullptr;
    }
    QStringList actionNames() const override { return {pressAction()}; }
    void doAction(const QString& name) override;
    QStringList keyBindingsForAction(const QString&) const override { return {}; }

private:
    const Cell& cell_;
    int number_;
};

class Cell final : public Part, public QAccessibleTableCellInterface {
public:
    Cell(QAbstractItemView& view, const QModelIndex& index, bool in_table)
        : Part(view, in_table ? QAccessible::Cell : QAccessible::ListItem), index_(index) {}
    ~Cell() override {
        for (const auto id : made_) QAccessible::deleteAccessibleInterface(id);
    }
    Q_DISABLE_COPY_MOVE(Cell)

    bool isValid() const override { return Part::isValid() && index_.isValid(); }
    const QPersistentModelIndex& index() const { return index_; }
    QRect place() const { return view().visualRect(index_); }
    Choices choices() const {
        const auto* delegate = choosing();
        return delegate == nullptr ? Choices{} : delegate->choicesOf(index_, place());
    }
    Choosing* choosing() const { return dynamic_cast<Choosing*>(view().itemDelegate()); }
    QRect choiceRect(int number) const {
        return on_screen(view(), button_rect(choices(), view().font(), number));
    }

    QAccessibleInterface* child(int number) const override {
        if (number < 0 || number >= childCount()) return nullptr;
        while (made_.size() <= static_cast<std::size_t>(number))
            made_.push_back(QAccessible::registerAccessibleInterface(
                new Choice(view(), *this, static_cast<int>(made_.size()))));
        return QAccessible::accessibleInterface(made_[static_cast<std::size_t>(number)]);
    }
    int childCount() const override { return static_cast<int>(choices().words.size()); }
    int indexOfChild(const QAccessibleInterface* of) const override {
        for (int at = 0; at < childCount(); ++at)
            if (child(at) == of) return at;
        return -1;
    }
    QString text(QAccessible::Text which) const override {
        if (which != QAccessible::Name) return {};
        const QString told = index_.data(Qt::AccessibleTextRole).toString();
        return told.isEmpty() ? index_.data().toString() : told;
    }
    QRect rect() const override { return on_screen(view(), place()); }
    QAccessible::State state() const override {
        QAccessible::State state;
        state.selectable = true;
        state.focusable = true;
        state.selected = isSelected();
        state.focused = view().hasFocus() && view().currentIndex() == index_;
        state.invisible = !view().viewport()->rect().intersects(place());
        return state;
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::TableCellInterface ? static_cast<QAccessibleTableCellInterface*>(this)
                                                       : nullptr;
    }

    bool isSelected() const override { return view().selectionModel()->isSelected(index_); }
    QList<QAccessibleInterface*> columnHeaderCells() const override;
    QList<QAccessibleInterface*> rowHeaderCells() const override { return {}; }
    int columnIndex() const override { return index_.column(); }
    int rowIndex() const override { return index_.row(); }
    int columnExtent() const override { return 1; }
    int rowExtent() const override { return 1; }
    QAccessibleInterface* table() const override { return parent(); }

private:
    QPersistentModelIndex index_;
    mutable std::vector<QAccessible::Id> made_;
};

QAccessibleInterface* Choice::parent() const { return const_cast<Cell*>(&cell_); }
QString Choice::text(QAccessible::Text which) const {
    return which == QAccessible::Name ? cell_.choices().words.value(number_) : QString();
}
QRect Choice::rect() const { return cell_.choiceRect(number_); }
QAccessible::State Choice::state() const {
    QAccessible::State state;
    state.checkable = true;
    state.checked = cell_.choices().chosen == number_;
    state.invisible = cell_.state().invisible;
    return state;
}
void Choice::doAction(const QString& name) {
    const QModelIndex index = cell_.index();  // what comes of it may be another list, without this cell
    if (name == pressAction()) cell_.choosing()->choose(index, number_);
}

/// A list as a table of its cells. They are counted as Qt counts them when it says where the focus is: heads of
/// columns first, and a head before each row, where the list is a table (qtableview.cpp, accessibleTable2Index).
class ListAccess final : public QAccessibleWidget, public QAccessibleTableInterface {
public:
    explicit ListAccess(QAbstractItemView& view)
        : QAccessibleWidget(&view, is_table(view) ? QAccessible::Table : QAccessible::List), view_(view) {}
    ~ListAccess() override { forget(); }
    Q_DISABLE_COPY_MOVE(ListAccess)

    int childCount() const override { return (rowCount() + heads()) * (columnCount() + heads()); }
    QAccessibleInterface* child(int number) const override {
        if (number < 0 || number >= childCount()) return nullptr;
        auto [found, fresh] = made_.try_emplace(number, 0);
        if (!fresh && stands_where_it_was(number, found->second))
            return QAccessible::accessibleInterface(found->second);
        if (!fresh) QAccessible::deleteAccessibleInterface(found->second);
        found->second = QAccessible::registerAccessibleInterface(make(number));
        return QAccessible::accessibleInterface(found->second);
    }
    int indexOfChild(const QAccessibleInterface* of) const override {
        for (const auto& [number, id] : made_)
            if (QAccessible::accessibleInterface(id) == of) return number;
        return -1;
    }
    QAccessibleInterface* childAt(int x, int y) const override {
        const QModelIndex index = view_.indexAt(view_.viewport()->mapFromGlobal(QPoint(x, y)));
        return index.isValid() ? cellAt(index.row(), index.column()) : nullptr;
    }
    QAccessibleInterface* focusChild() const override {
        const QModelIndex index = view_.currentIndex();
        return view_.hasFocus() && index.isValid() ? cellAt(index.row(), index.column()) : nullptr;
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::TableInterface ? static_cast<QAccessibleTableInterface*>(this)
                                                   : QAccessibleWidget::interface_cast(type);
    }

    QAccessibleInterface* caption() const override { return nullptr; }
    QAccessibleInterface* summary() const override { return nullptr; }
    QAccessibleInterface* cellAt(int row, int column) const override {
        return child((row + heads()) * (columnCount() + heads()) + column + heads());
    }
    int selectedCellCount() const override { return selectedRowCount() * columnCount(); }
    QList<QAccessibleInterface*> selectedCells() const override {
        QList<QAccessibleInterface*> cells;
        for (const QModelIndex& index : view_.selectionModel()->selectedIndexes())
            cells << cellAt(index.row(), index.column());
        return cells;
    }
    QString columnDescription(int column) const override {
        return view_.model()->headerData(column, Qt::Horizontal).toString();
    }
    QString rowDescription(int row) const override {
        return view_.model()->index(row, 0).data(Qt::AccessibleTextRole).toString();
    }
    int selectedColumnCount() const override { return 0; }
    int selectedRowCount() const override {
        int count = 0;
        for (const auto& range : view_.selectionModel()->selection()) count += range.height();
        return count;
    }
    int columnCount() const override { return model() == nullptr ? 0 : model()->columnCount(); }
    int rowCount() const override { return model() == nullptr ? 0 : model()->rowCount(); }
    QList<int> selectedColumns() const override { return {}; }
    QList<int> selectedRows() const override {
        QList<int> rows;
        for (const auto& range : view_.selectionModel()->selection())
            for (int row = range.top(); row <= range.bottom(); ++row) rows << row;
        return rows;
    }
    bool isColumnSelected(int) const override { return false; }
    bool isRowSelected(int row) const override { return view_.selectionModel()->isRowSelected(row); }
    bool selectRow(int row) override { return select(row, QItemSelectionModel::Select); }
    bool selectColumn(int) override { return false; }
    bool unselectRow(int row) override { return select(row, QItemSelectionModel::Deselect); }
    bool unselectColumn(int) override { return false; }
    /// Cells are counted from the start, so whatever came or went, they are others now.
    void modelChange(QAccessibleTableModelChangeEvent* event) override {
        if (event->modelChangeType() != QAccessibleTableModelChangeEvent::DataChanged) forget();
    }

private:
    static bool is_table(const QAbstractItemView& view) {
        return qobject_cast<const QTableView*>(&view) != nullptr;
    }
    const QAbstractItemModel* model() const { return view_.model(); }
    int heads() const { return is_table(view_) ? 1 : 0; }
    /// A model may have changed while nobody listened, and so nobody was told.
    bool stands_where_it_was(int number, QAccessible::Id id) const {
        const auto* cell = dynamic_cast<const Cell*>(QAccessible::accessibleInterface(id));
        if (cell == nullptr) return number / (columnCount() + heads()) < heads();  // heads of columns stay
        return cell->isValid() &&
               (cell->rowIndex() + heads()) * (columnCount() + heads()) + cell->columnIndex() + heads() ==
                   number;
    }
    QAccessibleInterface* make(int number) const {
        const int row = number / (columnCount() + heads()) - heads();
        const int column = number % (columnCount() + heads()) - heads();
        if (row < 0) return new Head(view_, Qt::Horizontal, column);
        if (column < 0) return new Head(view_, Qt::Vertical, row);
        return new Cell(view_, model()->index(row, column), is_table(view_));
    }
    bool select(int row, QItemSelectionModel::SelectionFlag how) {
        view_.selectionModel()->select(model()->index(row, 0), how | QItemSelectionModel::Rows);
        return true;
    }
    void forget() {
        for (const auto& [number, id] : std::exchange(made_, {})) QAccessible::deleteAccessibleInterface(id);
    }

    QAbstractItemView& view_;
    mutable std::unordered_map<int, QAccessible::Id> made_;
};

QList<QAccessibleInterface*> Cell::columnHeaderCells() const {
    auto* head = role() == QAccessible::Cell ? parent()->child(columnIndex() + 1) : nullptr;
    return head == nullptr ? QList<QAccessibleInterface*>() : QList<QAccessibleInterface*>{head};
}

QAccessibleInterface* access_of(const QString&, QObject* object) {
    auto* view = qobject_cast<QAbstractItemView*>(object);
    const bool is_plain_list = view != nullptr && view->metaObject() == &QListView::staticMetaObject;
    const bool is_known = is_plain_list || qobject_cast<RowView*>(object) != nullptr;
    return is_known ? new ListAccess(*view) : nullptr;
}

}  // namespace

void install_list_access() { QAccessible::installFactory(&access_of); }
