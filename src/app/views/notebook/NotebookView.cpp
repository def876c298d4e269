#include "app/views/notebook/NotebookView.h"

#include "app/session/Deeds.h"
#include "app/session/OtherNotebook.h"
#include "app/views/ViewList.h"
#include "app/views/notebook/Doors.h"
#include "app/views/notebook/FamilyChoice.h"
#include "app/views/notebook/ProjectChoice.h"
#include "app/views/notebook/Timeline.h"
#include "app/widgets/picture/PictureScroll.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <memory>

namespace anodex::app {

NotebookView::NotebookView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_stack(new QStackedWidget(this)), m_doors(new Doors(bench, theme, this)),
      m_timeline(new Timeline(bench, theme, this)), m_rename(new QLineEdit(this)) {
    setObjectName(QStringLiteral("notebookView"));
    m_scroll = new PictureScroll(m_timeline, this);
    auto* page = new QWidget(this);
    auto* pageLayout = new QVBoxLayout(page);
    pageLayout->setContentsMargins(0, 0, 0, 0);
    pageLayout->addWidget(makeHead());
    pageLayout->addWidget(m_scroll, 1);
    m_stack->addWidget(m_doors);
    m_stack->addWidget(page);
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_stack);
    m_rename->setObjectName(QStringLiteral("renameField"));
    m_rename->setAccessibleName(tr("New name"));
    m_rename->hide();
    connect(m_rename, &QLineEdit::returnPressed, this, [this] {
        renameRevision(m_bench, m_rename->text());
        m_rename->hide();
        m_timeline->setFocus();
    });
    connect(m_timeline, &Timeline::revisionChosen, this,
            [this](const QString& id) { m_bench.selectRevision(id.toStdString()); });
    connect(m_timeline, &Timeline::buildChosen, this,
            [this](const QString& id) { m_bench.selectBuild(id.toStdString()); });
    connect(m_timeline, &Timeline::beginAsked, this, &NotebookView::beginAnother);
    connect(m_timeline, &Timeline::opened, this, [this](const QString& id) {
        if (id.startsWith(QLatin1String("rev:"))) {
            m_bench.selectRevision(id.mid(4).toStdString());
            renameCurrent();
        } else if (id.startsWith(QLatin1String("build:"))) {
            emit stationAsked(QStringLiteral("bench"));
        }
    });
    connect(m_doors, &Doors::starterAsked, this, &NotebookView::begin);
    connect(m_doors, &Doors::copyAsked, this, [this] { beginCopy(); });
    connect(m_doors, &Doors::demoAsked, this, [this] { emit deedAsked(QStringLiteral("openDemo")); });
    connect(m_doors, &Doors::fileAsked, this, [this] { emit deedAsked(QStringLiteral("openDesign")); });
    connect(m_doors, &Doors::notebookAsked, this, &NotebookView::showOthers);
    connect(m_doors, &Doors::backAsked, this, &NotebookView::arrive);
    onChange(bench, this, kContent & ~Parts(Part::Documents), &NotebookView::refresh);
    // What scrolls it learns of its new size only after it.
    connect(m_timeline, &Picture::resized, this, &NotebookView::showCurrent, Qt::QueuedConnection);
    connect(m_timeline, &Picture::shown, this, &NotebookView::showCurrent);
    refresh();
}

QWidget* NotebookView::makeHead() {
    auto* head = new QWidget(this);
    auto* rows = new QVBoxLayout(head);
    rows->setContentsMargins(0, 0, 0, 0);
    auto* layout = new QHBoxLayout;
    rows->addLayout(layout);
    // Not an exclusive group: Tab stops at each.
    auto buttons = std::make_shared<std::vector<QPushButton*>>();
    const std::pair<QString, Figure> figures[] = {{tr("short circuit"), Figure::ShortCircuit},
                                                  {tr("open circuit"), Figure::OpenCircuit},
                                                  {tr("best power"), Figure::BestPower},
                                                  {tr("capacity"), Figure::Capacity}};
    for (const auto& [title, figure] : figures) {
        auto* button = new QPushButton(title, head);
        button->setCheckable(true);
        button->setProperty("quiet", true);
        button->setObjectName(QStringLiteral("figure:") + title);
        button->setChecked(figure == Figure::ShortCircuit);
        buttons->push_back(button);
        connect(button, &QPushButton::clicked, this, [this, chosen = figure, buttons, button] {
            for (QPushButton* other : *buttons) {
                other->setChecked(other == button);
            }
            m_timeline->setFigure(chosen);
        });
        layout->addWidget(button);
    }
    auto* legend =
        new QLabel(tr("bar: expected range · line: expected · diamond: measured, hollow: at least"), head);
    legend->setObjectName(QStringLiteral("faint"));
    legend->setWordWrap(true);
    layout->addStretch(1);
    auto* filter = new QLineEdit(head);
    filter->setObjectName(QStringLiteral("notebookFilter"));
    filter->setAccessibleName(tr("Show only designs that hold these words"));
    filter->setPlaceholderText(tr("show only…"));
    filter->setClearButtonEnabled(true);
    filter->setMaximumWidth(static_cast<int>(Theme::em(12.0)));
    connect(filter, &QLineEdit::textChanged, m_timeline, &Timeline::setFilter);
    auto* compare = new QPushButton(tr("Compare"), head);
    compare->setObjectName(QStringLiteral("compareVersions"));
    compare->setToolTip(tr("The version at hand beside the one before it"));
    connect(compare, &QPushButton::clicked, this, [this] { emit stationAsked(QStringLiteral("compare")); });
    m_project = new ProjectChoice(m_bench, head);
    auto* family = new FamilyChoice(m_bench, head);
    connect(family, &FamilyChoice::chosen, m_timeline, &Timeline::setFamily);
    auto* below = new QHBoxLayout;
    below->addWidget(m_project);
    below->addWidget(family);
    below->addWidget(filter);
    below->addWidget(compare);
    below->addWidget(legend, 1);
    rows->addLayout(below);
    return head;
}

void NotebookView::renameCurrent() {
    const record::Revision* at = m_bench.selection().revision();
    if (at == nullptr) {
        return;
    }
    m_rename->setText(QString::fromStdString(at->name));
    const PictureItem* item = m_timeline->item(QStringLiteral("rev:") + QString::fromStdString(at->id));
    const QPoint corner =
        item != nullptr ? m_timeline->mapTo(this, item->area.topLeft().toPoint()) : QPoint(20, 20);
    m_rename->setGeometry(
        QRect(corner, QSize(static_cast<int>(Theme::em(16.0)), static_cast<int>(Theme::em(2.2)))));
    m_rename->show();
    m_rename->raise();
    m_rename->setFocus();
    m_rename->selectAll();
}

void NotebookView::begin(const design::CellDesign& design) {
    m_beginning = false;
    m_bench.startDesign(design);
    emit stationAsked(QStringLiteral("couple"));
}

void NotebookView::beginCopy() {
    m_bench.settle();
    if (const record::Revision* at = m_bench.selection().revision()) {
        design::CellDesign copy = at->design;
        copy.name = m_bench.contents().freshName(at->name);
        begin(copy);
    }
}

void NotebookView::showCurrent() {
    const record::Revision* at = m_bench.selection().revision();
    const PictureItem* item =
        at != nullptr ? m_timeline->item(QStringLiteral("rev:") + QString::fromStdString(at->id)) : nullptr;
    if (item != nullptr) {
        if (!m_timeline->hasFocus()) {
            m_timeline->setKeysBeginAt(item->id);
        }
        const QPoint middle = item->area.center().toPoint();
        m_scroll->ensureVisible(middle.x(), middle.y(), static_cast<int>(Theme::em(6.0)), 0);
    }
}

void NotebookView::showOthers() {
    const QString path = m_bench.services().chooseOpen(tr("Begin from a design of another notebook"),
                                                       tr("Notebooks (*.anodex)"));
    if (path.isEmpty()) {
        return;
    }
    auto designs = designsIn(path);
    if (!designs) {
        emit refused(designs.error());
        return;
    }
    m_doors->showOthers(QFileInfo(path).completeBaseName(), std::move(*designs));
}

void NotebookView::beginAnother() {
    m_beginning = true;
    refresh();
    m_doors->begin();
}

std::vector<Deed> NotebookView::deeds() {
    return {{QStringLiteral("beginAnother"),
             Deed::Group::Work,
             tr("New design…"),
             {QKeySequence(Qt::CTRL | Qt::SHIFT | Qt::Key_N)},
             [this] { beginAnother(); }},
            {QStringLiteral("newProject"), Deed::Group::Work, tr("New project…"), {}, [this] {
                 emit stationAsked(QStringLiteral("notebook"));
                 m_stack->setCurrentIndex(1);
                 m_project->askNew();
             }}};
}

void NotebookView::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape && m_stack->currentWidget() == m_doors) {
        arrive();
        return;
    }
    View::keyPressEvent(event);
}

void NotebookView::arrive() {
    m_beginning = false;
    m_doors->showStarters();
    refresh();
}

void NotebookView::refresh() {
    const bool empty = m_bench.contents().revisions.empty();
    m_doors->setAnother(!empty);
    m_stack->setCurrentIndex(empty || m_beginning ? 0 : 1);
}

ViewEntry notebookEntry() {
    return {"notebook",
            NotebookView::tr("Notebook"),
            NotebookView::tr("every design and what came of it"),
            1,
            {},
            ViewEntry::Needs::Nothing,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new NotebookView(bench, theme, parent);
            }};
}

} // namespace anodex::app
