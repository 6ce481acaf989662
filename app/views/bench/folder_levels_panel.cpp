// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/folder_levels_panel.h"

#include <QApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "fact_words.h"
#include "select/kinds.h"
#include "tasks/bench.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/bench/folder_level_row.h"
#include "views/bench/kept_sets.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

constexpr double levels_digits = 88;
constexpr std::size_t looked_at = 500;  // files, to see what a batch is
const auto kept_levels = QStringLiteral("keptLevels");

struct Ready {
    KnownFact::Of of;
    QString words;
    const char* pattern;
};

std::vector<Ready> ready_ones() {
    using Of = KnownFact::Of;
    return {{Of::pictures, FolderLevelsPanel::tr("Pictures: year, then town"),
             "{taken:%Y|=undated}/{town|country|=no place}"},
            {Of::pictures, FolderLevelsPanel::tr("Pictures: year, then day"),
             "{taken:%Y|=undated}/{taken:%Y-%m-%d|=undated}"},
            {Of::sound, FolderLevelsPanel::tr("Sound: artist, then album"),
             "{artist|=no artist}/{album|=no album}"},
            {Of::documents, FolderLevelsPanel::tr("Documents: company, then author"),
             "{company|=no company}/{author|=no author}"},
            {Of::all, FolderLevelsPanel::tr("Anything: kind, then first letter"), "{kind|=other}/{initial}"},
            {Of::all, FolderLevelsPanel::tr("Anything: year and month of change"), "{changed:%Y-%m}"}};
}

/// The ready one for what most of a batch is, by its first files' names: nothing of them has been read yet.
std::string usual_for(const BenchView& view) {
    const Kinds kinds;
    std::size_t files = 0;
    std::size_t pictures = 0;
    std::size_t sounds = 0;
    for (std::size_t at = 0; view.batch && at < view.batch->entries.size() && files < looked_at; ++at) {
        const Entry& entry = view.batch->entries[at];
        if (entry.status.type == FileType::folder) continue;
        ++files;
        const Kind* kind = kinds.of(entry.name);
        pictures += kind != nullptr && kind->name == "pictures" ? 1U : 0U;
        sounds += kind != nullptr && kind->name == "audio" ? 1U : 0U;
    }
    const auto of = 2 * pictures > files ? KnownFact::Of::pictures
                    : 2 * sounds > files ? KnownFact::Of::sound
                                         : KnownFact::Of::all;
    const auto ready = ready_ones();
    return std::find_if(ready.begin(), ready.end(), [&](const Ready& one) { return one.of == of; })->pattern;
}

QString values_of(const FactSummary& summary) {
    QStringList values;
    for (const auto& value : summary.values) values << shown(value);
    return values.join(QStringLiteral(", "));
}

}  // namespace

FolderLevelsPanel::FolderLevelsPanel(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("folderLevels"));
    setAttribute(Qt::WA_StyledBackground);
    setAccessibleName(tr("Folders by what files tell, level by level"));
    auto* across = new QHBoxLayout(this);
    space_out(across, Inset::across, Gap::apart);
    across->addWidget(buildLevels());
    words_ = new QLabel;
    words_->setObjectName(QStringLiteral("levelsNote"));
    words_->setTextFormat(Qt::PlainText);
    words_->setWordWrap(true);
    words_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    words_->setContentsMargins(Inset::heading);
    set_tone(*words_, "muted");
    across->addWidget(words_, 1);
    connect(&bench_, &Bench::jobChanged, this, &FolderLevelsPanel::refresh);
    connect(&bench_, &Bench::viewChanged, this, &FolderLevelsPanel::showFacts);
    hide();
}

QWidget* FolderLevelsPanel::buildLevels() {
    auto* side = new QWidget;
    auto* column = new QVBoxLayout(side);
    space_out(column, Inset::none, Gap::tight);
    rows_ = new EditorRows(digits(levels_digits));
    rows_->setAccessibleName(tr("Levels of folders"));
    connect(rows_, &EditorRows::changed, this, &FolderLevelsPanel::levelsChanged);
    connect(rows_, &EditorRows::nextRequested, this,
            [this] { add_->menu()->popup(add_->mapToGlobal(QPoint(0, add_->height()))); });
    connect(rows_, &EditorRows::lastTakenOut, this, [this] { add_->setFocus(); });
    column->addWidget(rows_, 1);
    auto* foot = new QHBoxLayout;
    foot->setContentsMargins(Inset::fields);
    foot->setSpacing(Gap::beside);
    add_ = new QPushButton(tr("Add a level"));
    add_->setObjectName(QStringLiteral("addLevel"));
    facts_ = new QMenu(add_);
    facts_->setToolTipsVisible(true);
    connect(facts_, &QMenu::aboutToShow, this, &FolderLevelsPanel::fillFacts);
    add_->setMenu(facts_);
    add_->setProperty("menu", true);
    foot->addWidget(add_);
    auto* sets = new QPushButton(tr("Ready and kept ones"));
    sets->setObjectName(QStringLiteral("levelSets"));
    sets_ = new QMenu(sets);
    connect(sets_, &QMenu::aboutToShow, this, &FolderLevelsPanel::fillSets);
    sets->setMenu(sets_);
    sets->setProperty("menu", true);
    foot->addWidget(sets);
    auto* none = new QPushButton(tr("Do not sort"));
    none->setObjectName(QStringLiteral("noLevels"));
    connect(none, &QPushButton::clicked, this, [this] { use({}); });
    foot->addWidget(none);
    foot->addStretch(1);
    column->addLayout(foot);
    return side;
}

void FolderLevelsPanel::begin() {
    bench_.wantFacts(true);
    if (bench_.job().structure.sort_into.empty()) use(usual_for(bench_.view()));
    refresh();
    if (!rows_->isEmpty()) rows_->focus(0);
}

void FolderLevelsPanel::add(const FolderLevel& level) {
    rows_->add(new FolderLevelRow(level, rows_->widget()));
}

void FolderLevelsPanel::show(const std::string& pattern) {
    const bool had_keys = isAncestorOf(QApplication::focusWidget());
    rows_->clear();
    shown_ = pattern;
    for (const FolderLevel& level : folder_levels(pattern)) add(level);
    if (had_keys && !rows_->isEmpty()) rows_->focus(0);
    showFacts();
}

/// Sorting takes the place of every other shape.
void FolderLevelsPanel::use(const std::string& pattern) {
    Structure structure;
    structure.sort_into = pattern;
    show(pattern);
    if (pattern.empty()) bench_.wantFacts(false);
    bench_.setStructure(structure);
    refresh();
}

std::vector<FolderLevel> FolderLevelsPanel::levels() const {
    std::vector<FolderLevel> levels;
    for (const FolderLevelRow* row : rows_->rows<FolderLevelRow>()) levels.push_back(row->level());
    return levels;
}

/// What means nothing yet, as somebody is typing it, is not asked for.
void FolderLevelsPanel::levelsChanged() {
    const std::string pattern = pattern_of(levels());
    const auto made = Pattern::parse_folders(pattern);
    words_->setText(made || pattern.empty() ? QString() : shown(made.error().step));
    set_tone(*words_, made || pattern.empty() ? "muted" : "amber");
    if (!made) return;
    shown_ = pattern;
    Structure structure;
    structure.sort_into = pattern;
    bench_.setStructure(structure);
    showFacts();
}

/// Levels that came from elsewhere: kept ones, those of the last time.
void FolderLevelsPanel::refresh() {
    const Job& job = bench_.job();
    const std::string& pattern = job.structure.sort_into;
    if (pattern != shown_) show(pattern);
    const bool on_view = goes_elsewhere(job) && !pattern.empty();
    setVisible(on_view);
    if (on_view) bench_.wantFacts(true);
}

void FolderLevelsPanel::showFacts() {
    if (!isVisible()) return;
    const BenchView& view = bench_.view();
    for (FolderLevelRow* row : rows_->rows<FolderLevelRow>()) {
        const FolderLevel level = row->level();
        if (!view.facts) {
            row->showKnown(0, 0, {});
            continue;
        }
        const auto found = std::find_if(view.facts->begin(), view.facts->end(),
                                        [&](const FactSummary& one) { return one.name == level.fact; });
        const bool known = found != view.facts->end();
        row->showKnown(known ? found->known_of : 0, view.files, known ? values_of(*found) : QString());
    }
    if (!Pattern::parse_folders(pattern_of(levels()))) return;  // which is said
    words_->setText(
        view.being_told > 0
            ? tr("Files are being read: %1 of %2").arg(count_text(view.told), count_text(view.being_told))
            : QString());
}

/// The facts in groups, what the batch knows first, each with how many know it and some of what they know.
void FolderLevelsPanel::fillFacts() {
    facts_->clear();
    const BenchView& view = bench_.view();
    const auto summary_of = [&](std::string_view name) -> const FactSummary* {
        if (!view.facts) return nullptr;
        const auto found = std::find_if(view.facts->begin(), view.facts->end(),
                                        [&](const FactSummary& one) { return one.name == name; });
        return found == view.facts->end() ? nullptr : &*found;
    };
    for (const auto of :
         {KnownFact::Of::pictures, KnownFact::Of::sound, KnownFact::Of::documents, KnownFact::Of::all}) {
        QMenu* group = facts_->addMenu(fact_group_words(of));
        bool any = of == KnownFact::Of::all || !view.facts;
        for (const KnownFact& known : known_facts()) {
            if (known.of != of || known.name == "date" || known.name == "name") continue;
            const FactSummary* summary = summary_of(known.name);
            QString words = fact_words(known.name);
            if (summary != nullptr)
                words += tr("  ·  %1 of %2: %3")
                             .arg(count_text(summary->known_of), count_text(view.files), values_of(*summary));
            auto* action =
                group->addAction(words.replace(QLatin1Char('&'), QStringLiteral("&&")), this,
                                 [this, name = std::string(known.name)] {
                                     FolderLevel level{name};
                                     if (known_fact(name)->kind == KnownFact::Kind::moment && name != "time")
                                         level.format = "%Y";
                                     add(level);
                                     levelsChanged();
                                     rows_->focusLast();
                                 });
            action->setEnabled(of == KnownFact::Of::all || !view.facts || summary != nullptr);
            any = any || summary != nullptr;
        }
        group->setEnabled(any);
    }
    facts_->addSeparator();
    facts_->addAction(tr("Text with facts in braces"), this, [this] {
        add({});
        rows_->focusLast();
    });
}

void FolderLevelsPanel::fillSets() {
    sets_->clear();
    for (const Ready& one : ready_ones())
        sets_->addAction(one.words, this, [this, pattern = std::string(one.pattern)] { use(pattern); });
    sets_->addSeparator();
    offer_kept(*sets_, kept_levels, [this](const QString& kept) -> std::function<void()> {
        if (!Pattern::parse_folders(kept.toStdString())) return nullptr;
        return [this, pattern = kept.toStdString()] { use(pattern); };
    });
    sets_->addAction(tr("Keep these under a name…"), this, &FolderLevelsPanel::keepSet)
        ->setEnabled(!shown_.empty());
}

void FolderLevelsPanel::keepSet() {
    const QString name =
        keep_under_a_name(this, tr("Keep these levels"), kept_levels, QString::fromStdString(shown_));
    if (!name.isEmpty()) emit said(tr("Kept as %1.").arg(name));
}
