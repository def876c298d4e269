#include "app/frame/MainWindow.h"

#include "app/frame/Crumbs.h"
#include "app/frame/Drawer.h"
#include "app/frame/FileActions.h"
#include "app/frame/MessageStrip.h"
#include "app/frame/Rail.h"
#include "app/frame/Wire.h"
#include "app/views/bench/BenchView.h"
#include "app/views/catalogue/CatalogueView.h"
#include "app/views/cell/CellView.h"
#include "app/views/couple/CoupleView.h"
#include "app/views/judge/JudgeView.h"
#include "app/views/notebook/NotebookView.h"
#include "app/views/shelf/ShelfView.h"
#include "app/widgets/ExplainPanel.h"
#include "app/widgets/picture/PictureAccessible.h"
#include "app/widgets/picture/PictureScroll.h"
#include "wording/PartText.h"

#include <QApplication>
#include <QCloseEvent>
#include <QFileInfo>
#include <QLineEdit>
#include <QMenu>
#include <QSettings>
#include <QShortcut>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

struct StationRow {
    const char* id;
    const char* title;
    int number;
};
// The numbers are fixed for good; stations that are not built yet are absent.
constexpr StationRow kStations[] = {{"notebook", QT_TRANSLATE_NOOP("Station", "Notebook"), 1},
                                    {"couple", QT_TRANSLATE_NOOP("Station", "Couple"), 2},
                                    {"cell", QT_TRANSLATE_NOOP("Station", "Cell"), 3},
                                    {"bench", QT_TRANSLATE_NOOP("Station", "Bench"), 6},
                                    {"judge", QT_TRANSLATE_NOOP("Station", "Judge"), 7}};

/// The notebook, the shelf and the catalogue are there before the first design.
bool needsDesign(const QString& station) {
    return station != QLatin1String("notebook") && station != QLatin1String("shelf") &&
           station != QLatin1String("catalogue");
}

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

MainWindow::MainWindow(Workbench& bench, Theme& theme, QWidget* parent)
    : QMainWindow(parent), m_bench(bench), m_theme(theme), m_files(new FileActions(bench, this)),
      m_wire(new Wire(theme, this)), m_crumbs(new Crumbs(bench, this)), m_stage(new QStackedWidget(this)),
      m_rail(new Rail(bench, theme, this)), m_railFrame(new PictureScroll(m_rail, this)),
      m_strip(new MessageStrip(theme, this)), m_explain(new ExplainPanel(this)), m_find(new FindPanel(this)),
      m_notebook(new NotebookView(bench, theme, this)), m_couple(new CoupleView(bench, theme, this)),
      m_cell(new CellView(bench, theme, this)), m_benchView(new BenchView(bench, theme, this)),
      m_judge(new JudgeView(bench, theme, this)), m_shelf(new ShelfView(bench, theme, this)),
      m_catalogueView(new CatalogueView(bench, this)) {
    installPictureAccessibility();
    m_stage->setObjectName(QStringLiteral("stage"));
    addView(QStringLiteral("notebook"), m_notebook);
    addView(QStringLiteral("couple"), m_couple);
    addView(QStringLiteral("cell"), m_cell);
    addView(QStringLiteral("bench"), m_benchView);
    addView(QStringLiteral("judge"), m_judge);
    addView(QStringLiteral("shelf"), m_shelf);
    addView(QStringLiteral("catalogue"), m_catalogueView);
    auto* frame = new QWidget(this);
    frame->setObjectName(QStringLiteral("frame"));
    auto* middle = new QVBoxLayout;
    middle->addWidget(m_crumbs);
    middle->addWidget(m_stage, 1);
    middle->addWidget(m_strip);
    middle->setContentsMargins(10, 2, 8, 8);
    auto* body = new QHBoxLayout;
    body->setSpacing(0);
    body->addLayout(middle, 1);
    m_railFrame->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    body->addWidget(m_railFrame);
    auto* layout = new QVBoxLayout(frame);
    layout->setContentsMargins(0, 4, 0, 0);
    layout->setSpacing(0);
    layout->addWidget(m_wire);
    layout->addLayout(body, 1);
    setCentralWidget(frame);
    connect(m_wire, &Wire::stationChosen, this, &MainWindow::showStation);
    connect(m_wire, &Wire::drawerAsked, this, &MainWindow::showDrawer);
    connect(m_wire, &Wire::findAsked, this, &MainWindow::showFind);
    connect(m_judge, &JudgeView::explanationAsked, this,
            [this](const QString& title, const explain::Explanation& explanation, const QPoint& at) {
                m_explain->open(title, explanation, mapFromGlobal(at));
            });
    connect(m_rail, &Rail::numberAsked, this, &MainWindow::explain);
    connect(m_rail, &Rail::remedyAsked, this, &MainWindow::goToRemedy);
    connect(m_notebook, &NotebookView::demoAsked, m_files, &FileActions::openDemo);
    connect(m_notebook, &NotebookView::fileAsked, m_files, &FileActions::openDesign);
    connect(m_files, &FileActions::stationAsked, this, &MainWindow::showStation);
    connect(m_files, &FileActions::refused, m_strip, &MessageStrip::refuse);
    connect(m_files, &FileActions::said, m_strip, &MessageStrip::say);
    connect(m_couple, &CoupleView::refused, m_strip, &MessageStrip::refuse);
    connect(m_cell, &CellView::refused, m_strip, &MessageStrip::refuse);
    connect(m_shelf, &ShelfView::refused, m_strip, &MessageStrip::refuse);
    connect(m_catalogueView, &CatalogueView::refused, m_strip, &MessageStrip::refuse);
    connect(m_benchView, &BenchView::refused, m_strip, &MessageStrip::refuse);
    connect(&bench, &Workbench::said, m_strip, &MessageStrip::say);
    connect(&bench, &Workbench::refused, m_strip, &MessageStrip::refuse);
    connect(&bench, &Workbench::moved, this, [this](const QString& text) {
        m_strip->offer(text, tr("Write it back"), [this] { m_bench.writeBack(); });
    });
    connect(&bench, &Workbench::damaged, this, [this](const QString& path, const QString& text) {
        m_strip->offer(text, tr("Rescue what can be read"), [this, path] { m_bench.rescue(path); });
    });
    connect(&bench, &Workbench::designChanged, this, &MainWindow::refreshWire);
    connect(&bench, &Workbench::contentChanged, this, &MainWindow::refreshTitle);
    addShortcuts();
    qApp->installEventFilter(this);
    showStation(QStringLiteral("notebook"));
    refreshTitle();
    resize(1280, 800);
    setMinimumSize(900, 600);
}

void MainWindow::addView(const QString& id, View* view) {
    view->setProperty("station", id);
    m_stage->addWidget(view);
    connect(view, &View::numberAsked, this, &MainWindow::explain);
    connect(view, &View::stationAsked, this, &MainWindow::showStation);
}

void MainWindow::addShortcuts() {
    const auto add = [this](const QKeySequence& keys, auto action) {
        auto* shortcut = new QShortcut(keys, this);
        connect(shortcut, &QShortcut::activated, this, action);
    };
    for (const StationRow& row : kStations) {
        add(QKeySequence(Qt::ALT | static_cast<Qt::Key>(Qt::Key_0 + row.number)),
            [this, id = QString::fromLatin1(row.id)] { showStation(id); });
    }
    add(QKeySequence::Undo, [this] { m_bench.undo(); });
    add(QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_Z), [this] { m_bench.redo(); });
    add(QKeySequence(Qt::CTRL | Qt::Key_Y), [this] { m_bench.redo(); });
    add(QKeySequence(Qt::CTRL | Qt::Key_B), [this] { m_bench.writeDownBuild(); });
    add(QKeySequence(Qt::CTRL | Qt::Key_D), [this] { m_bench.branchDesign(); });
    add(QKeySequence(Qt::CTRL | Qt::Key_I), [this] {
        showStation(QStringLiteral("bench"));
        m_benchView->askImport();
    });
    add(QKeySequence(Qt::CTRL | Qt::Key_L), [this] { showStation(QStringLiteral("catalogue")); });
    add(QKeySequence(Qt::CTRL | Qt::Key_K), [this] { showStation(QStringLiteral("shelf")); });
    add(QKeySequence::Find, [this] { showFind(); });
    add(QKeySequence::Open, [this] { m_files->openNotebook(); });
    add(QKeySequence::New, [this] { m_files->newNotebook(); });
    add(QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_N), [this] { beginAnother(); });
    add(QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_S), [this] { m_files->saveCopy(); });
    add(QKeySequence(Qt::ALT | Qt::Key_D), [this] { showDrawer(); });
    add(QKeySequence(Qt::CTRL | Qt::Key_H), [this] { m_bench.toggleHold(); });
}

void MainWindow::showStation(const QString& wanted) {
    const bool nothingYet = m_bench.revisions().empty() && needsDesign(wanted);
    const QString id = nothingYet ? QStringLiteral("notebook") : wanted;
    if (nothingYet) {
        m_strip->say(tr("There is no design yet: choose a door first"));
    }
    for (int i = 0; i < m_stage->count(); ++i) {
        if (m_stage->widget(i)->property("station").toString() == id) {
            m_bench.settle();
            m_stage->setCurrentIndex(i);
            m_station = id;
            m_bench.remember(QStringLiteral("station"), id);
            m_rail->showBuilt(worksOnBuild());
        }
    }
    if (id == QLatin1String("bench")) {
        m_benchView->entry()->setFocus();
    }
    refreshWire();
}

void MainWindow::refreshWire() {
    std::vector<Station> stations;
    int dangers = 0;
    for (const findings::Finding& finding : m_bench.outcome().findings) {
        dangers += finding.severity == findings::Severity::Danger ? 1 : 0;
    }
    for (const StationRow& row : kStations) {
        const QString id = QString::fromLatin1(row.id);
        stations.push_back({id, QCoreApplication::translate("Station", row.title), row.number,
                            id == QLatin1String("couple") ? dangers : 0});
    }
    m_wire->setStations(std::move(stations), m_station);
}

void MainWindow::refreshTitle() {
    const QString name =
        m_bench.hasNotebook() ? QFileInfo(m_bench.notebookPath()).completeBaseName() : QString();
    setWindowTitle(name.isEmpty()     ? QStringLiteral("Anodex")
                   : m_bench.isDemo() ? tr("Demo · Anodex")
                                      : name + QStringLiteral(" · Anodex"));
    if (m_bench.revisions().empty() && !m_station.isEmpty() && needsDesign(m_station)) {
        showStation(QStringLiteral("notebook"));
    }
    refreshWire();
}

bool MainWindow::worksOnBuild() const {
    return m_station == QLatin1String("bench") || m_station == QLatin1String("judge");
}

void MainWindow::explain(const explain::QuantityKey& key, const QPoint& at) {
    const Outcome& outcome = worksOnBuild() ? m_bench.builtOutcome() : m_bench.outcome();
    if (outcome.usable()) {
        m_explain->open(tr(wording::quantityName(key.quantity)),
                        explain::explain(m_bench.catalogue(), *outcome.cell, *outcome.evaluation, key),
                        mapFromGlobal(at));
    }
}

void MainWindow::goToRemedy(const findings::Finding& finding) {
    const bool size = finding.code == findings::FindingCode::TooLittleLiquid ||
                      finding.code == findings::FindingCode::OpenJunction ||
                      finding.code == findings::FindingCode::PressedSeparator;
    showStation(size ? QStringLiteral("cell") : QStringLiteral("couple"));
}

void MainWindow::showDrawer() {
    QMenu menu(this);
    menu.setObjectName(QStringLiteral("drawerMenu"));
    DrawerActions actions;
    actions.anotherDesign = [this] { beginAnother(); };
    actions.importRun = [this] {
        showStation(QStringLiteral("bench"));
        m_benchView->askImport();
    };
    actions.show = [this](const QString& station) { showStation(station); };
    actions.setTheme = [this](int choice) { setTheme(static_cast<ThemeChoice>(choice)); };
    actions.quit = [this] { close(); };
    Drawer::fill(menu, m_bench, *m_files, m_theme, actions);
    menu.exec(m_wire->mapToGlobal(QPoint(8, m_wire->height())));
}

void MainWindow::setTheme(ThemeChoice choice) {
    m_theme.apply(*qApp, choice);
    if (!m_bench.services().settingsFile.isEmpty()) {
        QSettings settings(m_bench.services().settingsFile, QSettings::IniFormat);
        settings.setValue(QStringLiteral("theme"), static_cast<int>(choice));
    }
}

std::vector<FindEntry> MainWindow::findEntries() {
    std::vector<FindEntry> entries;
    for (const StationRow& row : kStations) {
        const QString id = QString::fromLatin1(row.id);
        entries.push_back({QCoreApplication::translate("Station", row.title), tr("station"),
                           [this, id] { showStation(id); }});
    }
    entries.push_back(
        {tr("What can I make?"), tr("the shelf"), [this] { showStation(QStringLiteral("shelf")); }});
    entries.push_back({tr("Catalogue and sources"), tr("what the numbers stand on"),
                       [this] { showStation(QStringLiteral("catalogue")); }});
    entries.push_back({tr("Write down a build"), tr("action"), [this] { m_bench.writeDownBuild(); }});
    entries.push_back({tr("New line from here"), tr("action"), [this] { m_bench.branchDesign(); }});
    entries.push_back({tr("Begin another design"), tr("action"), [this] { beginAnother(); }});
    entries.push_back({tr("Begin from a cell file"), tr("action"), [this] { m_files->openDesign(); }});
    entries.push_back({tr("Save this design as a file"), tr("action"), [this] { m_files->saveDesign(); }});
    entries.push_back({tr("Save a copy of the notebook"), tr("action"), [this] { m_files->saveCopy(); }});
    entries.push_back({tr("Show the log"), tr("action"), [this] { m_files->showLog(); }});
    entries.push_back({tr("Import a run"), tr("action"), [this] {
                           showStation(QStringLiteral("bench"));
                           m_benchView->askImport();
                       }});
    for (const record::Revision& revision : m_bench.revisions()) {
        entries.push_back({q(revision.name),
                           revision.setAside ? tr("set aside: brings it back") : tr("revision"),
                           [this, id = revision.id, aside = revision.setAside] {
                               if (aside) {
                                   m_bench.setRevisionAside(id, false);
                               }
                               m_bench.selectRevision(id);
                           }});
    }
    for (const BuildSummary& summary : m_bench.builds()) {
        const auto owner =
            std::find_if(m_bench.revisions().begin(), m_bench.revisions().end(),
                         [&](const record::Revision& r) { return r.id == summary.build.revision; });
        const QString of = owner != m_bench.revisions().end() ? q(owner->name) : QString();
        entries.push_back({q(summary.build.name) + QStringLiteral(", ") + of,
                           summary.build.setAside ? tr("set aside: brings it back") : tr("build"),
                           [this, id = summary.build.id, aside = summary.build.setAside] {
                               if (aside) {
                                   m_bench.setBuildAside(id, false);
                               }
                               m_bench.selectBuild(id);
                               showStation(QStringLiteral("bench"));
                           }});
    }
    for (const BuildSummary& summary : m_bench.builds()) {
        for (const record::RunHeader& run : m_bench.allRuns(summary.build.id)) {
            entries.push_back({q(run.name) + QStringLiteral(", ") + q(summary.build.name),
                               run.setAside ? tr("set aside: brings it back") : tr("run"), [this, run] {
                                   if (run.setAside) {
                                       m_bench.setRunAside(run, false);
                                   }
                                   m_bench.selectBuild(run.build);
                                   showStation(QStringLiteral("judge"));
                               }});
        }
    }
    for (const record::Reading& reading : m_bench.readings()) {
        entries.push_back({q(wording::readingSentence(reading)), tr("reading"),
                           [this] { showStation(QStringLiteral("bench")); }});
    }
    for (const record::Event& event : m_bench.events()) {
        entries.push_back({q(event.text), tr("note"), [this] { showStation(QStringLiteral("bench")); }});
    }
    for (const chemistry::Substance& substance : m_bench.catalogue().substances) {
        entries.push_back({q(substance.name) + QStringLiteral("  ") + q(substance.formulaText),
                           tr("substance"), [this] { showStation(QStringLiteral("couple")); }});
    }
    return entries;
}

void MainWindow::showFind() {
    m_find->open(findEntries());
}

bool MainWindow::openDemo() {
    return m_files->openDemo();
}

void MainWindow::beginAnother() {
    showStation(QStringLiteral("notebook"));
    m_notebook->beginAnother();
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    // With a large font the stage needs the room more than the rail does.
    m_railFrame->setFixedWidth(std::min(static_cast<int>(Theme::em(15.5)), width() * 27 / 100));
}

bool MainWindow::eventFilter(QObject* watched, QEvent* event) {
    // A field with nothing of its own to undo leaves the keys to the notebook.
    if (event->type() == QEvent::ShortcutOverride) {
        const auto* field = qobject_cast<QLineEdit*>(watched);
        const auto* keys = static_cast<QKeyEvent*>(event);
        const bool control = keys->modifiers().testFlag(Qt::ControlModifier);
        const bool shift = keys->modifiers().testFlag(Qt::ShiftModifier);
        const bool undo = control && !shift && keys->key() == Qt::Key_Z;
        const bool redo = control && ((shift && keys->key() == Qt::Key_Z) || keys->key() == Qt::Key_Y);
        if (field != nullptr &&
            ((undo && !field->isUndoAvailable()) || (redo && !field->isRedoAvailable()))) {
            event->ignore();
            return true;
        }
    }
    return QMainWindow::eventFilter(watched, event);
}

void MainWindow::closeEvent(QCloseEvent* event) {
    m_bench.settle();
    QMainWindow::closeEvent(event);
}

} // namespace anodex::app
