#include "app/views/shelf/ShelfView.h"

#include "app/session/ChosenFile.h"
#include "app/session/ShelfBook.h"
#include "app/views/ViewList.h"
#include "app/views/shelf/Boards.h"
#include "app/views/shelf/CupboardBoards.h"
#include "app/views/shelf/Ranking.h"
#include "app/widgets/picture/PictureScroll.h"
#include "formats/ShelfFile.h"
#include "wording/ErrorText.h"

#include <QFile>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QProgressBar>
#include <QPushButton>
#include <QSaveFile>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

constexpr shelf::RankBy kFigures[] = {shelf::RankBy::Voltage, shelf::RankBy::Power, shelf::RankBy::Life,
                                      shelf::RankBy::Cost, shelf::RankBy::Safety};
const char* const kShelfFiles = QT_TRANSLATE_NOOP("ShelfView", "Shelves (*.shelf.json)");

bool hasPrice(const shelf::Shelf& shelf) {
    const auto any = [](const auto& list) {
        return std::any_of(list.begin(), list.end(), [](const auto& one) { return one.price.has_value(); });
    };
    return any(shelf.materials) || any(shelf.substances) || any(shelf.liquids) || any(shelf.separators);
}

} // namespace

ShelfView::ShelfView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_theme(theme), m_layout(new QBoxLayout(QBoxLayout::LeftToRight, this)) {
    setObjectName(QStringLiteral("shelfView"));
    m_layout->setContentsMargins(0, 0, 0, 0);
    m_layout->addWidget(makeShelf(), 3);
    m_layout->addWidget(makeRanking(), 5);
    connect(&m_worker, &ScreenWorker::stateChanged, this, &ShelfView::takeState);
    onChange(bench, this, Part::Documents | Part::File, &ShelfView::rank);
}

QWidget* ShelfView::makeShelf() {
    auto* side = new QWidget(this);
    auto* layout = new QVBoxLayout(side);
    auto* head = new QHBoxLayout;
    auto* title = new QLabel(tr("What I own"), side);
    title->setObjectName(QStringLiteral("heading"));
    auto* open = new QPushButton(tr("Open…"), side);
    open->setProperty("quiet", true);
    open->setToolTip(tr("Take a shelf from a file"));
    auto* save = new QPushButton(tr("Save…"), side);
    save->setProperty("quiet", true);
    save->setToolTip(tr("Write the shelf into a file"));
    m_cupboard = new QPushButton(tr("Cupboard"), side);
    m_cupboard->setObjectName(QStringLiteral("showCupboard"));
    m_cupboard->setCheckable(true);
    m_cupboard->setToolTip(tr("What lies about in a house, to be ticked"));
    head->addWidget(m_cupboard);
    head->addWidget(open);
    head->addWidget(save);
    head->addStretch(1);
    m_boards = new Boards(m_bench, m_theme, side);
    auto* ticks = new CupboardBoards(m_bench, m_theme, side);
    m_sides = new QStackedWidget(side);
    for (Picture* picture : std::initializer_list<Picture*>{m_boards, ticks}) {
        auto* scroll = new PictureScroll(picture, side);
        scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        m_sides->addWidget(scroll);
    }
    connect(m_cupboard, &QPushButton::toggled, m_sides,
            [this](bool on) { m_sides->setCurrentIndex(on ? 1 : 0); });
    connect(ticks, &CupboardBoards::toggled, this, &ShelfView::toggle);
    m_entry = new QLineEdit(side);
    m_entry->setObjectName(QStringLiteral("ownedEntry"));
    m_entry->setAccessibleName(tr("Put on the shelf"));
    m_entry->setPlaceholderText(ownedExamples(m_bench.catalogue()).join(QStringLiteral(", ")));
    layout->addWidget(title);
    layout->addLayout(head);
    layout->addWidget(m_sides, 1);
    layout->addWidget(m_entry);
    connect(open, &QPushButton::clicked, this, &ShelfView::openFile);
    connect(save, &QPushButton::clicked, this, &ShelfView::saveFile);
    connect(m_boards, &Boards::takenOff, this, &ShelfView::takeOff);
    connect(m_entry, &QLineEdit::returnPressed, this, &ShelfView::add);
    return side;
}

QWidget* ShelfView::makeRanking() {
    auto* side = new QWidget(this);
    auto* layout = new QVBoxLayout(side);
    auto* head = new QHBoxLayout;
    head->setSpacing(3);
    const QString words[] = {tr("Voltage"), tr("Power"), tr("Life"), tr("Cost"), tr("Safety")};
    for (std::size_t i = 0; i < m_by.size(); ++i) {
        m_by[i] = new QPushButton(words[i], side);
        m_by[i]->setObjectName(QStringLiteral("rankBy%1").arg(i));
        m_by[i]->setCheckable(true);
        m_by[i]->setSizePolicy(QSizePolicy::MinimumExpanding, QSizePolicy::Fixed);
        m_by[i]->setChecked(i == m_chosen);
        head->addWidget(m_by[i]);
        connect(m_by[i], &QPushButton::clicked, this, [this, i] {
            m_chosen = i;
            for (std::size_t k = 0; k < m_by.size(); ++k) {
                m_by[k]->setChecked(k == i);
            }
            m_ranked = {};
            rank();
        });
    }
    m_ranking = new Ranking(m_bench, m_theme, side);
    auto* scroll = new PictureScroll(m_ranking, side);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* below = new QHBoxLayout;
    m_state = new QLabel(side);
    m_state->setObjectName(QStringLiteral("faint"));
    m_state->setWordWrap(true);
    m_progress = new QProgressBar(side);
    m_progress->setTextVisible(false);
    m_progress->setMaximumHeight(static_cast<int>(Theme::em(0.8)));
    m_progress->setAccessibleName(tr("Cells tried"));
    m_stop = new QPushButton(tr("Stop"), side);
    m_stop->setObjectName(QStringLiteral("stopScreening"));
    below->addWidget(m_state, 2);
    below->addWidget(m_progress, 1);
    below->addWidget(m_stop);
    layout->addLayout(head);
    layout->addLayout(below);
    layout->addWidget(scroll, 1);
    m_progress->hide();
    m_stop->hide();
    connect(m_stop, &QPushButton::clicked, this, &ShelfView::stop);
    connect(m_ranking, &Ranking::chosen, this, &ShelfView::choose);
    return side;
}

void ShelfView::resizeEvent(QResizeEvent* event) {
    View::resizeEvent(event);
    // Where a large font leaves no room beside each other, the shelf stands above what can be made of it.
    constexpr double kBesideEachOther = 42.0;
    m_layout->setDirection(width() < Theme::em(kBesideEachOther) ? QBoxLayout::TopToBottom
                                                                 : QBoxLayout::LeftToRight);
}

void ShelfView::showEvent(QShowEvent* event) {
    View::showEvent(event);
    m_entry->setFocus();
    if (shelfIn(m_bench).empty()) {
        m_cupboard->setChecked(true); // nothing to look at otherwise
    }
    rank();
}

void ShelfView::hideEvent(QHideEvent* event) {
    View::hideEvent(event);
    stop();
}

void ShelfView::add() {
    const QString typed = m_entry->text().trimmed();
    if (typed.isEmpty()) {
        return;
    }
    QString problem;
    const auto shelf = withOwned(m_bench.catalogue(), shelfIn(m_bench), typed.toStdString(), problem);
    if (!shelf) {
        emit refused(problem);
        return;
    }
    if (keepShelf(m_bench, *shelf, base::Said("command.shelf-on", {{"name", typed.toStdString()}}))) {
        m_entry->clear();
        m_cupboard->setChecked(false); // what was typed is seen where it stands
    }
}

void ShelfView::toggle(const CupboardThing& thing) {
    const shelf::Shelf shelf = shelfIn(m_bench);
    const std::string name = thing.name.toStdString();
    if (stands(shelf, thing)) {
        keepShelf(m_bench, without(shelf, thing), base::Said("command.shelf-off", {{"name", name}}));
        return;
    }
    QString problem;
    if (const auto more = withOwned(m_bench.catalogue(), shelf, thing.put, problem)) {
        keepShelf(m_bench, *more, base::Said("command.shelf-on", {{"name", name}}));
    }
}

void ShelfView::takeOff(std::size_t thing) {
    const auto& things = m_boards->things();
    if (thing < things.size()) {
        const OwnedThing gone = things[thing];
        keepShelf(m_bench, without(shelfIn(m_bench), gone),
                  base::Said("command.shelf-off", {{"name", gone.name.toStdString()}}));
    }
}

void ShelfView::openFile() {
    const QString path = m_bench.services().chooseOpen(tr("Open a shelf"), tr(kShelfFiles));
    if (!path.isEmpty()) {
        take(path);
    }
}

bool ShelfView::takes(const QString& path) const {
    return path.endsWith(QLatin1String(".shelf.json"));
}

void ShelfView::take(const QString& path) {
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) {
        emit refused(tr("%1 cannot be read; choose a file that can").arg(path));
        return;
    }
    const auto shelf = formats::readShelfFile(file.readAll().toStdString());
    if (!shelf) {
        emit refused(path + QStringLiteral(": ") + QString::fromStdString(wording::errorText(shelf.error())));
        return;
    }
    keepShelf(m_bench, *shelf,
              base::Said("command.shelf-from", {{"file", path.section(QLatin1Char('/'), -1).toStdString()}}));
}

void ShelfView::saveFile() {
    const QString path =
        chosenToSave(m_bench.services(), tr("Save the shelf"), QStringLiteral("mine.shelf.json"));
    if (path.isEmpty()) {
        return;
    }
    QSaveFile file(path);
    const QByteArray text = QByteArray::fromStdString(formats::writeShelfFile(shelfIn(m_bench)));
    if (!file.open(QIODevice::WriteOnly) || file.write(text) != text.size() || !file.commit()) {
        emit refused(tr("%1 cannot be written; choose a folder that can").arg(path));
    }
}

void ShelfView::rank() {
    const shelf::Shelf shelf = shelfIn(m_bench);
    if (!isVisible() || (shelf == m_ranked && !shelf.empty())) {
        return;
    }
    m_ranked = shelf;
    m_worker.cancel();
    m_progress->hide();
    m_stop->hide();
    m_ranking->show({}, kFigures[m_chosen]);
    if (shelf.materials.size() < 2 || (shelf.substances.empty() && shelf.liquids.empty())) {
        m_state->setText(tr("Two metals or carbons and something to dissolve or pour make a cell."));
        return;
    }
    if (kFigures[m_chosen] == shelf::RankBy::Cost && !hasPrice(shelf)) {
        m_state->setText(tr("Nothing on the shelf has a price: type \"%1\".")
                             .arg(ownedExamples(m_bench.catalogue()).value(0)));
        return;
    }
    m_state->setText(tr("Trying every pair in every liquid …"));
    m_progress->setRange(0, 0);
    m_progress->show();
    m_stop->show();
    m_worker.request(m_bench.catalogueHandle(), shelf, kFigures[m_chosen]);
}

void ShelfView::stop() {
    if (m_stop->isVisible() || !isVisible()) {
        m_worker.cancel();
        m_ranked = {};
        m_progress->hide();
        m_stop->hide();
        m_state->setText(tr("Stopped after %1 cells.").arg(m_ranking->state().tried));
    }
}

void ShelfView::takeState(const ScreenState& state) {
    if (!isVisible() || m_ranked.empty()) {
        return; // of a search that was stopped
    }
    m_ranking->show(state, kFigures[m_chosen]);
    m_progress->setRange(0, static_cast<int>(state.all));
    m_progress->setValue(static_cast<int>(state.tried));
    if (!state.problem.isEmpty()) {
        m_state->setText(state.problem);
    } else if (state.finished) {
        m_state->setText(
            state.possible > state.tried
                ? tr("%1 of %2 possible cells tried, the likeliest. Click one to make it a design.")
                      .arg(state.tried)
                      .arg(state.possible)
                : tr("%1 cells tried. Click one to make it a design.").arg(state.tried));
    } else {
        m_state->setText(tr("%1 of %2 cells tried …").arg(state.tried).arg(state.all));
    }
    m_progress->setVisible(!state.finished);
    m_stop->setVisible(!state.finished);
}

void ShelfView::choose(design::CellDesign design) {
    design.name = design.negative.material.written + " and " + design.positive.material.written;
    m_bench.startDesign(design);
    emit stationAsked(QStringLiteral("couple"));
}

ViewEntry shelfEntry() {
    return {"shelf",
            ShelfView::tr("What can I make?"),
            ShelfView::tr("the shelf"),
            0,
            QKeySequence(Qt::CTRL | Qt::Key_K),
            ViewEntry::Needs::Nothing,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new ShelfView(bench, theme, parent);
            }};
}

} // namespace anodex::app
