#include "app/frame/MainWindow.h"

#include "app/frame/Crumbs.h"
#include "app/frame/Drawer.h"
#include "app/frame/FileActions.h"
#include "app/frame/FindEntries.h"
#include "app/frame/FrameDeeds.h"
#include "app/frame/MessageStrip.h"
#include "app/frame/Rail.h"
#include "app/frame/Wire.h"
#include "app/session/Deeds.h"
#include "app/views/ViewList.h"
#include "app/widgets/ExplainPanel.h"
#include "app/widgets/picture/PictureAccessible.h"
#include "app/widgets/picture/PictureScroll.h"
#include "wording/PartText.h"

#include <QApplication>
#include <QCloseEvent>
#include <QDragEnterEvent>
#include <QFileInfo>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QScreen>
#include <QSettings>
#include <QShortcut>
#include <QStackedWidget>
#include <QUrl>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

// Where what a finding advises is done: sizes in one view, everything else in the other.
constexpr const char* kSizes = "cell";
constexpr const char* kRemedies = "couple";
constexpr const char* kNotebookEnding = ".anodex";

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QSize roomOnScreen() {
    // Where there is no monitor, what stands for one is smaller than any.
    constexpr int kNoLimit = 1 << 14;
    return QGuiApplication::platformName() == QLatin1String("offscreen")
               ? QSize(kNoLimit, kNoLimit)
               : QGuiApplication::primaryScreen()->availableSize();
}

} // namespace

MainWindow::MainWindow(Workbench& bench, Theme& theme, QWidget* parent)
    : QMainWindow(parent), m_bench(bench), m_theme(theme), m_views(viewList()),
      m_files(new FileActions(bench, this)), m_wire(new Wire(theme, this)), m_crumbs(new Crumbs(bench, this)),
      m_stage(new QStackedWidget(this)), m_rail(new Rail(bench, theme, this)),
      m_railFrame(new PictureScroll(m_rail, this)), m_strip(new MessageStrip(theme, this)),
      m_explain(new ExplainPanel(this)), m_find(new FindPanel(this)), m_hints(bench.services().settingsFile) {
    installPictureAccessibility();
    m_stage->setObjectName(QStringLiteral("stage"));
    for (const ViewEntry& entry : m_views) {
        addView(entry.make(bench, theme, this));
    }
    layOut();
    connectParts();
    addShortcuts();
    qApp->installEventFilter(this);
    showStation(QString::fromLatin1(m_views.front().id));
    refreshTitle();
    // On a small screen, or one whose scale makes it small, the window is no larger than it.
    const QSize room = roomOnScreen();
    resize(QSize(1280, 800).boundedTo(room));
    setMinimumSize(QSize(900, 600).boundedTo(room));
    setAcceptDrops(true);
}

void MainWindow::layOut() {
    QSizePolicy kept = m_crumbs->sizePolicy();
    kept.setRetainSizeWhenHidden(true); // what is said needs its place without a design too
    m_crumbs->setSizePolicy(kept);
    auto* frame = new QWidget(this);
    frame->setObjectName(QStringLiteral("frame"));
    auto* middle = new QVBoxLayout;
    middle->addWidget(m_crumbs);
    middle->addWidget(m_stage, 1);
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
    m_strip->setParent(frame);
    m_strip->setHome([this] { return m_crumbs->isHidden() ? m_crumbs->geometry() : m_crumbs->freePart(); });
}

void MainWindow::connectParts() {
    connect(m_wire, &Wire::stationChosen, this, &MainWindow::showStation);
    connect(m_wire, &Wire::drawerAsked, this, &MainWindow::showDrawer);
    connect(m_wire, &Wire::findAsked, this, &MainWindow::showFind);
    connect(m_rail, &Rail::numberAsked, this, &MainWindow::explain);
    connect(m_rail, &Rail::folded, this, &MainWindow::placeRail);
    connect(m_rail, &Rail::remedyAsked, this, &MainWindow::goToRemedy);
    connect(m_rail, &Rail::pageAsked, this, [this](const QString& place) { offer(kHandbook + place); });
    connect(m_files, &FileActions::stationAsked, this, &MainWindow::showStation);
    connect(m_strip, &MessageStrip::closed, this, &MainWindow::endHint);
    connect(m_files, &FileActions::refused, m_strip, &MessageStrip::refuse);
    connect(m_files, &FileActions::said, m_strip, &MessageStrip::say);
    connect(&m_bench, &Workbench::said, m_strip, &MessageStrip::say);
    connect(&m_bench, &Workbench::refused, m_strip, &MessageStrip::refuse);
    connect(&m_bench, &Workbench::moved, this, [this](const QString& text) {
        m_strip->offer(text, tr("Write it back"), [this] { m_bench.files().writeBack(); });
    });
    connect(&m_bench, &Workbench::damaged, this, [this](const QString& path, const QString& text) {
        m_strip->offer(text, tr("Rescue what can be read"), [this, path] { m_bench.files().rescue(path); });
    });
    onChange(m_bench, this, Part::Design, &MainWindow::refreshWire);
    onChange(m_bench, this, Part::File | Part::Revisions, &MainWindow::refreshTitle);
}

void MainWindow::addView(View* view) {
    m_stage->addWidget(view);
    connect(view, &View::numberAsked, this, &MainWindow::explain);
    connect(view, &View::explanationAsked, this,
            [this](const QString& title, const explain::Explanation& explanation, const QPoint& at) {
                m_explain->open(title, explanation, mapFromGlobal(at));
            });
    connect(view, &View::stationAsked, this, &MainWindow::showStation);
    connect(view, &View::deedAsked, this, &MainWindow::perform);
    view->setAllDeeds([this] { return deeds(); });
    connect(view, &View::refused, m_strip, &MessageStrip::refuse);
}

std::vector<Deed> MainWindow::deeds() {
    std::vector<Deed> all;
    for (std::size_t i = 0; i < m_views.size(); ++i) {
        const QString id = QString::fromLatin1(m_views[i].id);
        for (Deed& deed : viewAt(i)->deeds()) {
            deed.go = [this, id, go = deed.go] {
                showStation(id);
                go();
            };
            all.push_back(std::move(deed));
        }
    }
    for (Deed& deed : frameDeeds(m_bench, *m_files)) {
        all.push_back(std::move(deed));
    }
    for (const ViewEntry& entry : m_views) {
        QList<QKeySequence> keys;
        if (entry.place > 0) {
            keys << QKeySequence(Qt::ALT | static_cast<Qt::Key>(Qt::Key_0 + entry.place));
        }
        if (!entry.keys.isEmpty()) {
            keys << entry.keys;
        }
        const QString id = QString::fromLatin1(entry.id);
        all.push_back({id, entry.place > 0 ? Deed::Group::Elsewhere : Deed::Group::Place, entry.title, keys,
                       [this, id] { showStation(id); }});
    }
    return all;
}

void MainWindow::perform(const QString& id) {
    for (const Deed& deed : deeds()) {
        if (deed.id == id) {
            deed.go();
            return;
        }
    }
}

void MainWindow::addShortcuts() {
    const auto add = [this](const QKeySequence& keys, auto action) {
        auto* shortcut = new QShortcut(keys, this);
        connect(shortcut, &QShortcut::activated, this, action);
    };
    for (const Deed& deed : deeds()) {
        for (const QKeySequence& keys : deed.keys) {
            add(keys, [this, id = deed.id] { perform(id); });
        }
    }
    add(QKeySequence::Find, [this] { showFind(); });
    add(QKeySequence(Qt::ALT | Qt::Key_D), [this] { showDrawer(); });
}

View* MainWindow::viewAt(std::size_t index) const {
    return static_cast<View*>(m_stage->widget(static_cast<int>(index)));
}

void MainWindow::showStation(const QString& wanted) {
    const auto entryOf = [this](const QString& id) {
        return std::find_if(m_views.begin(), m_views.end(),
                            [&](const ViewEntry& entry) { return id == QLatin1String(entry.id); });
    };
    auto entry = entryOf(wanted);
    if (entry == m_views.end()) {
        return; // remembered by a version that had it
    }
    if (entry->needs == ViewEntry::Needs::Design && m_bench.contents().revisions.empty()) {
        m_strip->say(tr("There is no design yet. Begin with one of these."));
        entry = m_views.begin();
    }
    m_bench.settle();
    const QString before = m_station;
    m_station = QString::fromLatin1(entry->id);
    m_needsDesign = entry->needs == ViewEntry::Needs::Design;
    m_ofBuild = entry->ofBuild;
    m_bench.store().remember(QStringLiteral("station"), m_station);
    m_rail->showBuilt(m_ofBuild);
    const auto index = static_cast<std::size_t>(entry - m_views.begin());
    m_stage->setCurrentIndex(static_cast<int>(index));
    viewAt(index)->arriveFrom(before == m_station ? QString() : before);
    refreshWire();
    showHint();
}

void MainWindow::showHint() {
    if (m_strip->isHinting()) {
        m_strip->hide(); // it was of the view that was left
    }
    const QString hint = m_hints.of(m_station);
    if (m_strip->isHidden() && !hint.isEmpty()) {
        m_strip->hint(hint);
    }
}

/// Whoever uses the view needs no hint any more.
void MainWindow::endHint() {
    if (m_strip->isHinting()) {
        m_hints.used(m_station);
        m_strip->hide();
    }
}

void MainWindow::refreshWire() {
    std::vector<Station> stations;
    const auto& findings = m_bench.draft().outcome().findings;
    const auto dangers =
        std::count_if(findings.begin(), findings.end(), [](const findings::Finding& finding) {
            return finding.severity == findings::Severity::Danger;
        });
    for (const ViewEntry& entry : m_views) {
        if (entry.place > 0) {
            const bool remedied = entry.id == std::string_view(kRemedies);
            stations.push_back({QString::fromLatin1(entry.id), entry.title, entry.place,
                                remedied ? static_cast<int>(dangers) : 0});
        }
    }
    m_wire->setStations(std::move(stations), m_station);
}

void MainWindow::refreshTitle() {
    const QString name =
        m_bench.store().isOpen() ? QFileInfo(m_bench.store().path()).completeBaseName() : QString();
    setWindowTitle(name.isEmpty()             ? QStringLiteral("Anodex")
                   : m_bench.files().look()   ? tr("%1 as it was · Anodex").arg(name)
                   : m_bench.files().isDemo() ? tr("Demo · Anodex")
                                              : name + QStringLiteral(" · Anodex"));
    if (m_needsDesign && m_bench.contents().revisions.empty()) {
        showStation(QString::fromLatin1(m_views.front().id));
    }
    refreshWire();
}

void MainWindow::explain(const explain::QuantityKey& key, const QPoint& at) {
    const Outcome& outcome = m_ofBuild ? m_bench.draft().builtOutcome() : m_bench.draft().outcome();
    if (outcome.usable()) {
        m_explain->open(q(wording::quantityName(key.quantity)),
                        explain::explain(m_bench.catalogue(), *outcome.cell, *outcome.evaluation, key),
                        mapFromGlobal(at));
    }
}

void MainWindow::goToRemedy(const findings::Finding& finding) {
    const bool size = finding.code == findings::FindingCode::TooLittleLiquid ||
                      finding.code == findings::FindingCode::OpenJunction ||
                      finding.code == findings::FindingCode::PressedSeparator;
    showStation(QString::fromLatin1(size ? kSizes : kRemedies));
}

void MainWindow::showDrawer() {
    QMenu menu(this);
    menu.setObjectName(QStringLiteral("drawerMenu"));
    Drawer::fill(
        menu, deeds(), m_theme, [this](ThemeChoice choice) { setTheme(choice); }, [this] { close(); });
    menu.exec(m_wire->mapToGlobal(QPoint(8, m_wire->height())));
}

void MainWindow::setTheme(ThemeChoice choice) {
    m_theme.apply(*qApp, choice);
    if (!m_bench.services().settingsFile.isEmpty()) {
        QSettings settings(m_bench.services().settingsFile, QSettings::IniFormat);
        settings.setValue(QStringLiteral("theme"), static_cast<int>(choice));
    }
}

void MainWindow::showFind() {
    m_find->open(findEntries(m_bench, m_views, deeds(), [this](const QString& where) {
        if (isPlace(where)) {
            offer(where);
        } else {
            showStation(where);
        }
    }));
}

bool MainWindow::openDemo() {
    return m_files->openDemo();
}

bool MainWindow::isNotebook(const QString& path) {
    return path.endsWith(QLatin1String(kNotebookEnding));
}

void MainWindow::openFile(const QString& path) {
    if (isNotebook(path)) {
        m_files->open(path);
    } else if (!offer(path)) {
        m_files->openDesign(path);
    }
}

bool MainWindow::offer(const QString& path) {
    for (std::size_t i = 0; i < m_views.size(); ++i) {
        if (viewAt(i)->takes(path)) {
            showStation(QString::fromLatin1(m_views[i].id));
            viewAt(i)->take(path);
            return true;
        }
    }
    return false;
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    const auto urls = event->mimeData()->urls();
    if (!urls.isEmpty() && urls.front().isLocalFile()) {
        event->acceptProposedAction();
    }
}

void MainWindow::dropEvent(QDropEvent* event) {
    for (const QUrl& url : event->mimeData()->urls()) {
        if (url.isLocalFile()) {
            openFile(url.toLocalFile());
        }
    }
}

void MainWindow::grant(const OneWindow::Wish& wish) {
    if (isMinimized()) {
        showNormal();
    }
    raise();
    activateWindow();
    if (wish.demo) {
        openDemo();
    } else if (!wish.notebook.isEmpty()) {
        openFile(wish.notebook);
    }
}

void MainWindow::resizeEvent(QResizeEvent* event) {
    QMainWindow::resizeEvent(event);
    placeRail();
    for (QWidget* panel : std::initializer_list<QWidget*>{m_find, m_explain}) {
        const QSize size = panel->size().boundedTo(this->size());
        panel->setGeometry(QRect(QPoint(std::clamp(panel->x(), 0, width() - size.width()),
                                        std::clamp(panel->y(), 0, height() - size.height())),
                                 size));
    }
}

/// With a large font the stage needs the room more than the rail does.
void MainWindow::placeRail() {
    const bool narrow = width() < Theme::em(54.0);
    if (narrow != m_isNarrow) {
        m_isNarrow = narrow;
        m_rail->setFolded(narrow);
    }
    m_railFrame->setFixedWidth(m_rail->isFolded()
                                   ? static_cast<int>(Theme::em(5.6))
                                   : std::min(static_cast<int>(Theme::em(15.5)), width() * 27 / 100));
}

bool MainWindow::eventFilter(QObject* watched, QEvent* event) {
    const bool isUse = event->type() == QEvent::MouseButtonPress || event->type() == QEvent::KeyPress;
    if (isUse && m_strip->isHinting() && watched->isWidgetType() &&
        m_stage->currentWidget()->isAncestorOf(static_cast<QWidget*>(watched))) {
        endHint();
    }
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
