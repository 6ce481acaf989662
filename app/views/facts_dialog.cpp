#include "views/facts_dialog.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QVBoxLayout>

#include "files/path.h"
#include "select/amounts.h"
#include "text.h"
#include "theme/theme.h"

using namespace tavlo;

namespace {
constexpr std::uint64_t default_large = std::uint64_t{100} << 20;
}

FactsDialog::FactsDialog(const std::string& folder, QWidget* parent) : QDialog(parent), folder_(folder) {
    setObjectName(QStringLiteral("facts"));
    setWindowTitle(tr("%1 in figures").arg(short_path(folder, 1)));
    setAttribute(Qt::WA_DeleteOnClose);
    resize(560, 520);
    auto* column = new QVBoxLayout(this);
    column->setSpacing(10);
    figures_ = new QLabel;
    figures_->setObjectName(QStringLiteral("factsFigures"));
    figures_->setWordWrap(true);
    figures_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    column->addWidget(figures_);
    auto* row = new QHBoxLayout;
    auto* words = new QLabel(tr("Largest files, empty folders, and folders over"));
    size_ = new QLineEdit(QStringLiteral("100M"));
    size_->setObjectName(QStringLiteral("factsSize"));
    size_->setAccessibleName(tr("Size from which on folders are listed"));
    size_->setFixedWidth(90);
    words->setBuddy(size_);
    row->addWidget(words);
    row->addWidget(size_);
    row->addStretch(1);
    column->addLayout(row);
    list_ = new QListWidget;
    list_->setObjectName(QStringLiteral("factsList"));
    list_->setAccessibleName(tr("What stands out below this folder"));
    list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    column->addWidget(list_, 1);
    auto* foot = new QHBoxLayout;
    pick_ = new QPushButton(tr("Pick the selected ones"));
    pick_->setObjectName(QStringLiteral("factsPick"));
    pick_->setEnabled(false);
    auto* close = new QPushButton(tr("Close"));
    foot->addStretch(1);
    foot->addWidget(pick_);
    foot->addWidget(close);
    column->addLayout(foot);
    const auto path_of = [this](const QListWidgetItem& item) { return join(folder_, item.data(Qt::UserRole).toByteArray().toStdString()); };
    connect(size_, &QLineEdit::editingFinished, this, &FactsDialog::measure);
    connect(close, &QPushButton::clicked, this, &QDialog::close);
    connect(list_, &QListWidget::itemSelectionChanged, this, [this] { pick_->setEnabled(!list_->selectedItems().isEmpty()); });
    connect(list_, &QListWidget::itemActivated, this,
            [this, path_of](const QListWidgetItem* item) { emit folderRequested(std::string(parent_of(path_of(*item)))); });
    connect(pick_, &QPushButton::clicked, this, [this, path_of] {
        std::vector<std::string> paths;
        for (const auto* item : list_->selectedItems()) paths.push_back(path_of(*item));
        emit pickRequested(paths);
    });
    measure();
}

void FactsDialog::measure() {
    const auto large = size_from_text(size_->text().toStdString()).value_or(default_large);
    figures_->setText(tr("Counting…"));
    worker_.post([this, large, folder = folder_](const std::stop_token& stop) {
        const auto send = [this](const Result<FolderFacts>& facts, bool last) {
            later(this, [this, facts, last] {
                if (facts) return show_(*facts, last);
                figures_->setText(shown(describe(facts.error())));
            });
        };
        const auto facts = facts_below(*make_disk(), folder, large, stop, [&](const FolderFacts& so_far) { send(so_far, false); });
        if (facts || facts.error().fault != Fault::cancelled) send(facts, true);
    });
}

void FactsDialog::show_(const FolderFacts& facts, bool last) {
    QStringList lines{tr("<b>%1</b> in %Ln files", nullptr, static_cast<int>(facts.files)).arg(size_text(facts.bytes)) +
                      tr(" and %Ln folders", nullptr, static_cast<int>(facts.folders)) + (last ? QString() : tr(" so far, counting on…"))};
    if (!facts.newest.empty()) lines << tr("Newest: %1, %2").arg(shown(facts.newest).toHtmlEscaped(), date_text_full(facts.newest_ns));
    if (facts.unread > 0)
        lines << tr("%Ln folders could not be read; the figures are without them.", nullptr, static_cast<int>(facts.unread));
    figures_->setText(lines.join(QStringLiteral("<br>")));
    if (!last) return;
    list_->clear();
    const auto add = [this](const QString& words, const std::string& path) {
        auto* item = new QListWidgetItem(words + shown(path));
        item->setData(Qt::UserRole, QByteArray(path.data(), static_cast<qsizetype>(path.size())));
        list_->addItem(item);
    };
    for (const auto& thing : facts.large_folders) add(tr("folder · %1 · ").arg(size_text(thing.bytes)), thing.path);
    for (const auto& thing : facts.largest_files) add(tr("file · %1 · ").arg(size_text(thing.bytes)), thing.path);
    for (const auto& path : facts.empty_folders) add(tr("empty folder · "), path);
}
