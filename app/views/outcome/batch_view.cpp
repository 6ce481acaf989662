// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/outcome/batch_view.h"

#include <sys/stat.h>

#include <QFileDialog>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QMimeData>
#include <QPushButton>
#include <QVBoxLayout>

#include "csv.h"
#include "error_words.h"
#include "files/path.h"
#include "files/small_file.h"
#include "models/batch_model.h"
#include "tasks/file_clips.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/flow_layout.h"
#include "views/parts/names_first.h"
#include "views/parts/row_delegates.h"
#include "views/parts/row_view.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

std::string as_csv(const std::vector<PickedRow>& picks) {
    std::string text = "path,bytes,changed\r\n";  // RFC 4180
    for (const PickedRow& picked : picks) {
        const auto changed = QDateTime::fromMSecsSinceEpoch(picked.modified_ns / 1'000'000)
                                 .toString(Qt::ISODate)
                                 .toStdString();
        text += csv_field(join(picked.folder, picked.name)) + ',' + std::to_string(picked.bytes) + ',' +
                changed + "\r\n";
    }
    return text;
}

std::string as_text(const std::vector<PickedRow>& picks) {
    std::string text;
    for (const PickedRow& picked : picks) text += join(picked.folder, picked.name) + '\n';
    return text;
}

/// The first field of a line, if it is a path: of a text or of a table that was written here.
std::string path_in(std::string_view line) {
    while (!line.empty() && line.back() == '\r') line.remove_suffix(1);
    if (!line.starts_with('"')) return line.starts_with('/') ? std::string(line) : std::string();
    std::string path;
    for (std::size_t at = 1; at < line.size(); ++at) {
        if (line[at] != '"')
            path += line[at];
        else if (at + 1 < line.size() && line[at + 1] == '"')
            path += line[at++];
        else
            break;
    }
    return path.starts_with('/') ? path : std::string();
}

}  // namespace

BatchView::BatchView(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    model_ = new BatchModel(this);
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::none, Gap::none);
    list_ = new RowView;
    list_->setObjectName(QStringLiteral("batchList"));
    list_->setAccessibleName(tr("What is in hand"));
    list_->setModel(model_);
    list_->setItemDelegate(new PlainRowDelegate(list_));
    list_->setRowHeight(lines(1.6));
    list_->setSortingEnabled(true);
    list_->sortByColumn(BatchModel::FromColumn, Qt::AscendingOrder);
    list_->horizontalHeader()->setSectionResizeMode(BatchModel::NameColumn, QHeaderView::Stretch);
    list_->setColumnWidth(BatchModel::SizeColumn, digits(14));
    list_->setColumnWidth(BatchModel::ChangedColumn, digits(16));
    list_->setColumnWidth(BatchModel::FromColumn, digits(23));
    new NamesFirst(*list_, BatchModel::NameColumn,
                   {BatchModel::ChangedColumn, BatchModel::SizeColumn, BatchModel::FromColumn});
    list_->installEventFilter(this);
    list_->viewport()->installEventFilter(
        this);  // not the list: that is told before its viewport has its new size
    list_->setDragSource([this] { return to_mime({selectedPaths(), false}).release(); });
    column->addWidget(list_, 1);
    empty_ =
        new QLabel(tr("Nothing is in hand. Pick files on the left: Space, or a click at the edge of a row."),
                   list_->viewport());
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    totals_ = new QLabel;
    totals_->setObjectName(QStringLiteral("batchTotals"));
    auto* foot = new FlowLayout(Gap::beside);
    foot->setContentsMargins(Inset::bar);
    foot->addWidget(totals_);
    const auto button = [&](const QString& words, const char* name, auto work) {
        auto* made = new QPushButton(words);
        made->setObjectName(QLatin1String(name));
        connect(made, &QPushButton::clicked, this, work);
        foot->addWidget(made);
        return made;
    };
    take_out_ = button(tr("Take out"), "batchTakeOut", &BatchView::takeOut);
    clear_ = button(tr("Empty"), "batchEmpty", [this] { bench_.replacePicks({}); });
    export_ = button(tr("Write to a file…"), "batchExport", &BatchView::exportTo);
    button(tr("Read a file…"), "batchLoad", &BatchView::load);
    column->addLayout(foot);
    connect(&bench_, &Bench::viewChanged, this, &BatchView::refresh);
    connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            [this] { take_out_->setEnabled(list_->selectionModel()->hasSelection()); });
    connect(list_, &RowView::doubleClicked, this,
            [this](const QModelIndex& index) { emit folderRequested(model_->row(index.row()).folder); });
    refresh();
}

void BatchView::refresh() {
    const auto& picks = bench_.view().picks;
    model_->setPicks(picks);
    const bool any = picks && !picks->rows.empty();
    totals_->setText(any ? tr("%Ln files", nullptr, static_cast<int>(picks->files)) + QStringLiteral(" · ") +
                               size_text(picks->bytes) + QStringLiteral(" · ") +
                               tr("from %Ln folders", nullptr, static_cast<int>(picks->folders))
                         : QString());
    empty_->setVisible(!any);
    for (auto* button : {clear_, export_}) button->setEnabled(any);
    take_out_->setEnabled(list_->selectionModel()->hasSelection());
}

std::vector<std::string> BatchView::selectedPaths() const {
    std::vector<std::string> paths;
    for (const int row : list_->selectedRowNumbers())
        paths.push_back(join(model_->row(row).folder, model_->row(row).name));
    return paths;
}

void BatchView::takeOut() {
    Bench::ByFolder out;
    for (const int row : list_->selectedRowNumbers())
        out[model_->row(row).folder].push_back(model_->row(row).name);
    bench_.unpickAll(out, tr("Take out of the batch"));
}

void BatchView::exportTo() {
    const QString path =
        QFileDialog::getSaveFileName(this, tr("Write the batch to a file"), QStringLiteral("batch.txt"),
                                     tr("Paths, one a line (*.txt);;Table with sizes and dates (*.csv)"));
    if (path.isEmpty()) return;
    const auto write = [file = to_bytes(path), picks = bench_.view().picks](const std::stop_token&) {
        return write_small_file(file, file.ends_with(".csv") ? as_csv(picks->rows) : as_text(picks->rows));
    };
    worker_.ask(this, write, [this, path](const Result<void>& written) {
        emit said(written ? tr("The batch is written to %1.").arg(path) : error_words(written.error()));
    });
}

void BatchView::load() {
    const QString path = QFileDialog::getOpenFileName(this, tr("Read a batch from a file"));
    if (path.isEmpty()) return;
    struct Found {
        Bench::ByFolder paths{};
        int missing = 0;
        QString problem{};
    };
    const auto read = [file = to_bytes(path)](const std::stop_token&) {
        const auto text = read_small_file(file, std::size_t{256} << 20);
        Found found;
        if (!text) found.problem = error_words(text.error());
        for (std::string_view rest = text ? std::string_view(*text) : std::string_view(); !rest.empty();) {
            const auto end = rest.find('\n');
            const std::string one = path_in(rest.substr(0, end));
            rest = end == std::string_view::npos ? std::string_view{} : rest.substr(end + 1);
            struct stat status {};
            if (one.empty()) continue;
            const std::string known = normalised(one, "/");
            if (::lstat(known.c_str(), &status) == 0)
                found.paths[std::string(parent_of(known))].emplace_back(name_of(known));
            else
                ++found.missing;
        }
        return found;
    };
    worker_.ask(this, read, [this](const Found& found) {
        if (!found.problem.isEmpty()) return emit said(found.problem);
        bench_.pickAll(found.paths, tr("Read a batch"));
        if (found.missing > 0)
            emit said(
                tr("%Ln of the paths in the file are not there, and were left out.", nullptr, found.missing));
        if (found.paths.empty() && found.missing == 0)
            emit said(tr("The file names no path: a path begins with “/”, one a line."));
    });
}

bool BatchView::eventFilter(QObject* watched, QEvent* event) {
    if (watched == list_->viewport() && event->type() == QEvent::Resize)
        empty_->setGeometry(QRect(QPoint(0, 0), list_->viewport()->size()).adjusted(30, 20, -30, -20));
    // before the window's own shortcut, which is for the files themselves
    const bool key = event->type() == QEvent::KeyPress || event->type() == QEvent::ShortcutOverride;
    if (watched == list_ && key && static_cast<QKeyEvent*>(event)->key() == Qt::Key_Delete) {
        event->accept();
        if (event->type() == QEvent::KeyPress) takeOut();
        return true;
    }
    return QWidget::eventFilter(watched, event);
}
