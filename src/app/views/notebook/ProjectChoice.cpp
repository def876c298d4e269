#include "app/views/notebook/ProjectChoice.h"

#include "app/session/Deeds.h"
#include "app/theme/Theme.h"

#include <QCollator>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

/// As a reader looks for them: "Pot 9" before "Pot 10".
std::vector<record::Project> byName(std::vector<record::Project> projects) {
    QCollator order;
    order.setNumericMode(true);
    order.setCaseSensitivity(Qt::CaseInsensitive);
    std::stable_sort(projects.begin(), projects.end(),
                     [&](const record::Project& a, const record::Project& b) {
                         return order.compare(q(a.name), q(b.name)) < 0;
                     });
    return projects;
}

QString inMenu(const std::string& name) {
    return q(name).replace(QLatin1Char('&'), QStringLiteral("&&"));
}

} // namespace

ProjectChoice::ProjectChoice(Workbench& bench, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_button(new QPushButton(this)), m_name(new QLineEdit(this)) {
    m_button->setObjectName(QStringLiteral("projectChoice"));
    m_button->setProperty("quiet", true);
    m_button->setMenu(new QMenu(m_button));
    m_name->setObjectName(QStringLiteral("projectName"));
    m_name->setAccessibleName(tr("Name of the project"));
    m_name->setPlaceholderText(tr("name of the project"));
    m_name->setMaximumWidth(static_cast<int>(Theme::em(14.0)));
    m_name->installEventFilter(this);
    m_name->hide();
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_button);
    layout->addWidget(m_name);
    connect(m_button->menu(), &QMenu::aboutToShow, this, &ProjectChoice::fill);
    connect(m_name, &QLineEdit::returnPressed, this, &ProjectChoice::take);
    onChange(bench, this, Part::Revisions | Part::Place | Part::File, &ProjectChoice::refresh);
    refresh();
}

void ProjectChoice::refresh() {
    const record::Project* at = m_bench.selection().project();
    const QString name = at != nullptr ? q(at->name) : tr("all projects");
    m_button->setText(m_button->fontMetrics().elidedText(inMenu(name.toStdString()), Qt::ElideMiddle,
                                                         static_cast<int>(Theme::em(12.0))));
    m_button->setToolTip(at != nullptr ? name : tr("Designs of every project are shown."));
    m_button->setAccessibleName(tr("Project: %1").arg(name));
}

void ProjectChoice::fill() {
    QMenu& menu = *m_button->menu();
    menu.clear();
    const record::Project* at = m_bench.selection().project();
    const auto add = [&](const QString& text, const record::Id& id) {
        QAction* action = menu.addAction(text, this, [this, id] { m_bench.selectProject(id); });
        action->setCheckable(true);
        action->setChecked(id == (at != nullptr ? at->id : record::Id()));
    };
    add(tr("All projects"), {});
    for (const record::Project& project : byName(m_bench.contents().projects)) {
        const auto& revisions = m_bench.contents().revisions;
        const auto count = std::count_if(revisions.begin(), revisions.end(), [&](const auto& revision) {
            return revision.project == project.id && !revision.setAside;
        });
        add(tr("%1 (%n designs)", nullptr, static_cast<int>(count)).arg(inMenu(project.name)), project.id);
    }
    menu.addSeparator();
    menu.addAction(tr("New project…"), this, &ProjectChoice::askNew);
    if (at != nullptr) {
        menu.addAction(tr("Rename this project…"), this, &ProjectChoice::askName);
    }
    fillMove(menu);
}

void ProjectChoice::fillMove(QMenu& menu) {
    const record::Revision* revision = m_bench.selection().revision();
    if (revision == nullptr || m_bench.contents().projects.size() < 2) {
        return;
    }
    QMenu* move = menu.addMenu(tr("Move %1 to").arg(inMenu(revision->name)));
    for (const record::Project& project : byName(m_bench.contents().projects)) {
        if (project.id != revision->project) {
            move->addAction(inMenu(project.name), this,
                            [this, id = project.id] { moveToProject(m_bench, id); });
        }
    }
}

void ProjectChoice::askNew() {
    ask({}, {});
}

void ProjectChoice::askName() {
    if (const record::Project* at = m_bench.selection().project()) {
        ask(at->id, q(at->name));
    }
}

void ProjectChoice::ask(const record::Id& project, const QString& name) {
    m_asked = project;
    m_name->setText(name);
    m_name->selectAll();
    m_button->hide();
    m_name->show();
    m_name->setFocus();
}

void ProjectChoice::take() {
    const QString name = m_name->text();
    putAway();
    if (m_asked.empty()) {
        beginProject(m_bench, name);
    } else {
        renameProject(m_bench, m_asked, name);
    }
}

void ProjectChoice::putAway() {
    m_button->show();
    m_button->setFocus();
    m_name->hide();
}

bool ProjectChoice::eventFilter(QObject* watched, QEvent* event) {
    const bool escape =
        event->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape;
    if (watched == m_name && escape) {
        putAway();
        return true;
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace anodex::app
