// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/sizes/sizes_page.h"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPushButton>
#include <QStyledItemDelegate>
#include <QTreeView>
#include <QVBoxLayout>
#include <algorithm>
#include <functional>

#include "error_words.h"
#include "files/path.h"
#include "models/sizes_model.h"
#include "select/amounts.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/elided_label.h"
#include "views/parts/mirrored.h"
#include "views/parts/opening.h"
#include "views/parts/segments.h"
#include "views/parts/spacing.h"
#include "views/parts/with_focus.h"

using namespace tavlo;

namespace {

constexpr std::uint64_t usual_over = std::uint64_t{100} << 20;
constexpr std::size_t most_open = 200;  // that are watched, and opened again

/// Rows with room between them; and a size with a bar as long as it is heavy, beside the heaviest of those
/// that lie with it.
class SizeDelegate final : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;

    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        return {QStyledItemDelegate::sizeHint(option, index).width(), lines(1.75)};
    }

    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        QStyledItemDelegate::paint(painter, option, index);
        if (index.column() != SizesModel::SizeColumn) return;
        constexpr int words = 84;
        const QRect room = mirrored(option.rect, option.rect.adjusted(10, 8, -words, -8));
        const int length = static_cast<int>(index.data(SizesModel::ShareRole).toDouble() * room.width());
        if (room.width() <= 0) return;
        painter->fillRect(room, Theme::current().line);
        const bool is_any = index.data(SizesModel::ShareRole).toDouble() > 0;
        const QRect bar(room.left(), room.top(), std::max(length, is_any ? 1 : 0), room.height());
        painter->fillRect(mirrored(room, bar), Theme::current().new_fill);
    }
};

}  // namespace

SizesPage::SizesPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("sizesPage"));
    setAttribute(Qt::WA_StyledBackground);
    model_ = new SizesModel(this);
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::page, Gap::beside);
    buildHead(*column);
    tree_ = new WithFocus<QTreeView>;
    tree_->setObjectName(QStringLiteral("sizes"));
    tree_->setAccessibleName(tr("What lies below this folder, by size"));
    tree_->setModel(model_);
    tree_->setItemDelegate(new SizeDelegate(tree_));
    tree_->setUniformRowHeights(true);
    tree_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    tree_->setFrameShape(QFrame::NoFrame);
    tree_->setExpandsOnDoubleClick(true);
    tree_->header()->setStretchLastSection(false);
    tree_->header()->setSectionsMovable(false);
    tree_->header()->setSectionResizeMode(SizesModel::NameColumn, QHeaderView::Stretch);
    tree_->setColumnWidth(SizesModel::SizeColumn, digits(41));
    tree_->setColumnWidth(SizesModel::FilesColumn, digits(11));
    tree_->setColumnWidth(SizesModel::NewestColumn, digits(18));
    offer_opening_menu(*tree_, [this](const QModelIndex& at) { return model_->path(at); });
    column->addWidget(tree_, 1);
    empty_ = new QLabel;
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    column->addWidget(empty_, 1);
    buildFoot(*column);
    connect(tree_, &QTreeView::expanded, this, &SizesPage::watch);
    connect(tree_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &SizesPage::refreshWords);
    connect(model_, &QAbstractItemModel::modelReset, this, &SizesPage::refreshWords);
    connect(&watched_, &WatchedFolder::changed, this, &SizesPage::work);
    refreshWords();
}

void SizesPage::buildHead(QVBoxLayout& column) {
    auto* head = new QHBoxLayout;
    head->setSpacing(Gap::beside);
    title_ = new ElidedLabel;
    title_->setObjectName(QStringLiteral("sizesTitle"));
    title_->setFont(strong_font(title_->font()));
    head->addWidget(title_);
    up_ = new QPushButton(tr("Up"));
    up_->setObjectName(QStringLiteral("sizesUp"));
    up_->setAccessibleName(tr("The folder above"));
    connect(up_, &QPushButton::clicked, this, [this] { weigh(std::string(parent_of(folder_))); });
    head->addWidget(up_);
    figures_ = new QLabel;
    figures_->setObjectName(QStringLiteral("sizesFigures"));
    set_tone(*figures_, "muted");
    head->addWidget(figures_, 1);
    column.addLayout(head);
    auto* ways = new QHBoxLayout;
    ways->setSpacing(Gap::beside);
    shows_ = new QButtonGroup(this);
    const std::pair<SizesModel::Shows, QString> words[] = {
        {SizesModel::Shows::all, tr("Everything")},
        {SizesModel::Shows::largest_files, tr("Largest files")},
        {SizesModel::Shows::empty_folders, tr("Empty folders")},
        {SizesModel::Shows::large_folders, tr("Folders over")}};
    std::vector<QPushButton*> buttons;
    for (const auto& [way, text] : words) {
        auto* button = new QPushButton(text);
        button->setObjectName(QStringLiteral("sizesShow%1").arg(static_cast<int>(way)));
        shows_->addButton(button, static_cast<int>(way));
        buttons.push_back(button);
    }
    add_segments(*ways, *shows_, buttons);
    buttons.front()->setChecked(true);
    over_ = new QLineEdit(QStringLiteral("100M"));
    over_->setObjectName(QStringLiteral("sizesOver"));
    over_->setAccessibleName(tr("Size from which on folders are listed"));
    over_->setFixedWidth(digits(9.5));
    ways->addWidget(over_);
    ways->addStretch(1);
    column.addLayout(ways);
    connect(shows_, &QButtonGroup::idClicked, this, &SizesPage::choose);
    connect(over_, &QLineEdit::textChanged, this, [this] {
        if (shows_->checkedId() == static_cast<int>(SizesModel::Shows::large_folders)) choose();
    });
}

void SizesPage::buildFoot(QVBoxLayout& column) {
    auto* foot = new QHBoxLayout;
    foot->setSpacing(Gap::beside);
    chosen_ = new QLabel;
    chosen_->setObjectName(QStringLiteral("sizesChosen"));
    foot->addWidget(chosen_, 1);
    auto* look = new QPushButton(tr("Show where it lies"));
    look->setObjectName(QStringLiteral("sizesLook"));
    pick_ = new QPushButton(tr("Pick"));
    pick_->setObjectName(QStringLiteral("sizesPick"));
    pick_->setToolTip(tr("Into the batch, with what is in it already"));
    remove_ = new QPushButton(tr("Remove…"));
    remove_->setObjectName(QStringLiteral("sizesRemove"));
    remove_->setToolTip(tr("They become the batch, to be removed; nothing goes before it is started"));
    for (QPushButton* button : {look, pick_, remove_}) foot->addWidget(button);
    column.addLayout(foot);
    connect(look, &QPushButton::clicked, this, [this] {
        const auto paths = selectedPaths();
        emit folderRequested(paths.empty() ? folder_ : std::string(parent_of(paths.front())));
    });
    connect(pick_, &QPushButton::clicked, this, [this] { emit pickRequested(selectedPaths()); });
    connect(remove_, &QPushButton::clicked, this, [this] { emit removeRequested(selectedPaths()); });
}

void SizesPage::weigh(const std::string& folder) {
    if (folder.empty() || folder == folder_) return;
    folder_ = folder;
    problem_.clear();
    model_->setWeighed(nullptr);
    work();
}

void SizesPage::work() {
    weighing_ = true;
    const auto work = [this, folder = folder_](const std::stop_token& stop) {
        const auto so_far = [&](std::shared_ptr<const Weighed> some) {
            later(this, [this, folder, some = std::move(some)] {
                const bool knows_more =
                    model_->weighed() && model_->weighed()->complete;  // it is weighed again: no step back
                if (weighing_ && folder == folder_ && !knows_more) take(some);
            });
        };
        return weigh_below(*make_disk(), folder, stop, so_far);
    };
    worker_.ask(this, work, [this](const Result<std::shared_ptr<const Weighed>>& result) {
        weighing_ = false;
        problem_ = result ? QString() : error_words(result.error());
        if (result) take(*result);
        watch();
        refreshWords();
        emit weighed();
    });
    refreshWords();
}

/// What was open stays open, and what was selected selected.
void SizesPage::take(std::shared_ptr<const Weighed> weighed) {
    const auto selected = selectedPaths();
    const auto open = openFolders();
    model_->setWeighed(std::move(weighed));
    for (const auto& path : open) tree_->setExpanded(model_->indexOf(path), true);
    for (const auto& path : selected)
        if (const QModelIndex index = model_->indexOf(path); index.isValid())
            tree_->selectionModel()->select(index, QItemSelectionModel::Select | QItemSelectionModel::Rows);
}

void SizesPage::choose() {
    const auto over = size_from_text(to_bytes(over_->text()));
    model_->setShows(static_cast<SizesModel::Shows>(shows_->checkedId()), over.value_or(usual_over));
}

/// The folder and those of it that are open: what another program changes there is weighed again.
void SizesPage::watch() { watched_.watch(problem_.isEmpty() ? folder_ : std::string(), openFolders()); }

/// Those that are open, outer ones before what is in them.
std::vector<std::string> SizesPage::openFolders() const {
    std::vector<std::string> open;
    const std::function<void(const QModelIndex&)> collect = [&](const QModelIndex& parent) {
        for (int row = 0; row < model_->rowCount(parent) && open.size() < most_open; ++row) {
            const QModelIndex index = model_->index(row, 0, parent);
            if (!tree_->isExpanded(index)) continue;
            open.push_back(model_->path(index));
            collect(index);
        }
    };
    collect({});
    return open;
}

std::vector<std::string> SizesPage::selectedPaths() const {
    std::vector<std::string> paths;
    for (const QModelIndex& index : tree_->selectionModel()->selectedRows())
        paths.push_back(model_->path(index));
    std::sort(paths.begin(), paths.end());
    return paths;
}

void SizesPage::refreshWords() {
    title_->setText(folder_.empty() ? tr("What stands out") : short_path(folder_, 3));
    up_->setEnabled(!folder_.empty() && folder_ != "/");
    const auto& weighed = model_->weighed();
    QString figures;
    if (weighed) {
        const Weighed::Thing& all = weighed->things[0];
        figures = tr("%1 in %Ln files", nullptr, static_cast<int>(all.files)).arg(size_text(all.bytes));
        if (weighing_) figures = tr("being weighed: %1 so far").arg(figures);
        if (weighed->unread > 0)
            figures += tr(" · %Ln folders could not be read", nullptr, static_cast<int>(weighed->unread));
    } else if (weighing_) {
        figures = tr("being weighed…");
    }
    figures_->setText(figures);
    const bool nothing = model_->rowCount() == 0;
    tree_->setVisible(!nothing);
    empty_->setVisible(nothing);
    empty_->setText(!problem_.isEmpty()                   ? problem_
                    : folder_.empty()                     ? tr("Go to a folder on the bench, and come back.")
                    : weighing_                           ? tr("being weighed…")
                    : weighed && shows_->checkedId() != 0 ? tr("Nothing stands out by that.")
                                                          : tr("There is nothing in this folder."));
    const auto paths = tree_->selectionModel()->selectedRows();
    std::uint64_t bytes = 0;
    for (const QModelIndex& index : paths) bytes += weighed ? weighed->things[index.internalId()].bytes : 0;
    chosen_->setText(
        paths.isEmpty()
            ? QString()
            : tr("%Ln selected, %1", nullptr, static_cast<int>(paths.size())).arg(size_text(bytes)));
    for (QPushButton* button : {pick_, remove_}) button->setEnabled(!paths.isEmpty());
}
