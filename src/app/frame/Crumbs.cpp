#include "app/frame/Crumbs.h"

#include "app/session/Deeds.h"
#include "app/theme/Theme.h"

#include <QHBoxLayout>
#include <QIcon>
#include <QMenu>
#include <QPushButton>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString elided(const QString& text) {
    return QFontMetrics(Theme::font()).elidedText(text, Qt::ElideMiddle, static_cast<int>(Theme::em(20.0)));
}

} // namespace

Crumbs::Crumbs(Workbench& bench, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_revision(new QPushButton(this)), m_build(new QPushButton(this)),
      m_undo(new QPushButton(tr("Undo"), this)), m_redo(new QPushButton(tr("Redo"), this)),
      m_along(new QPushButton(tr("Take this design along"), this)),
      m_back(new QPushButton(tr("Back to now"), this)) {
    setObjectName(QStringLiteral("crumbs"));
    m_revision->setObjectName(QStringLiteral("revisionCrumb"));
    m_revision->setMenu(new QMenu(m_revision));
    m_build->setObjectName(QStringLiteral("buildCrumb"));
    m_build->setMenu(new QMenu(m_build));
    m_undo->setObjectName(QStringLiteral("undo"));
    m_undo->setIcon(QIcon(QStringLiteral(":/icons/undo.svg")));
    m_undo->setToolTip(tr("Ctrl+Z"));
    m_redo->setObjectName(QStringLiteral("redo"));
    m_redo->setIcon(QIcon(QStringLiteral(":/icons/redo.svg")));
    m_redo->setToolTip(tr("Ctrl+Shift+Z"));
    m_along->setObjectName(QStringLiteral("takeAlong"));
    m_along->setToolTip(tr("It begins a line of its own in the notebook as it is now."));
    m_back->setObjectName(QStringLiteral("backToNow"));
    for (QPushButton* button : {m_revision, m_build, m_undo, m_redo}) {
        button->setProperty("quiet", true);
    }
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_revision);
    layout->addWidget(m_build);
    layout->addStretch(1);
    layout->addWidget(m_undo);
    layout->addWidget(m_redo);
    layout->addWidget(m_along);
    layout->addWidget(m_back);
    connect(m_undo, &QPushButton::clicked, &m_bench, &Workbench::undo);
    connect(m_redo, &QPushButton::clicked, &m_bench, &Workbench::redo);
    connect(m_along, &QPushButton::clicked, this, [this] { takeAlong(m_bench); });
    connect(m_back, &QPushButton::clicked, this, [this] { m_bench.files().back(); });
    connect(m_revision->menu(), &QMenu::aboutToShow, this, &Crumbs::fillRevisions);
    connect(m_build->menu(), &QMenu::aboutToShow, this, &Crumbs::fillBuilds);
    onChange(bench, this, kContent, &Crumbs::refresh);
    refresh();
}

/// Beside each other and Undo and Redo, each name gets what the bar has room for.
QString Crumbs::shortened(const QString& name) const {
    double others = Theme::em(4.0);
    for (const QPushButton* button : {m_undo, m_redo, m_along, m_back}) {
        others += button->isHidden() ? 0 : button->sizeHint().width();
    }
    const double room =
        std::clamp((width() - others) / 2.0 - Theme::em(3.0), Theme::em(3.0), Theme::em(20.0));
    return m_revision->fontMetrics().elidedText(name, Qt::ElideMiddle, static_cast<int>(room));
}

QRect Crumbs::freePart() const {
    constexpr int kApart = 6;
    const int end = (m_back->isHidden() ? m_undo : m_along->isHidden() ? m_back : m_along)->x() - kApart;
    const int free = m_build->geometry().right() + kApart;
    const int begin = end - free < static_cast<int>(Theme::em(22.0)) ? 0 : free;
    return {pos() + QPoint(begin, 0), QSize(end - begin, height())};
}

void Crumbs::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    refresh();
}

void Crumbs::refresh() {
    const record::Revision* revision = m_bench.selection().revision();
    const BuildSummary* build = m_bench.selection().build();
    showLook();
    setVisible(revision != nullptr || m_bench.files().look());
    if (revision == nullptr) {
        return;
    }
    m_revision->setText(shortened(q(revision->name)));
    m_revision->setToolTip(q(revision->name));
    m_revision->setAccessibleName(tr("Revision: %1").arg(q(revision->name)));
    m_build->setText(build != nullptr ? shortened(q(build->build.name)) : tr("no build"));
    m_build->setToolTip(build != nullptr ? q(build->build.name) : QString());
    m_build->setAccessibleName(tr("Build: %1").arg(m_build->text()));
    const notebook::StepsLeft left = m_bench.store().stepsLeft();
    m_undo->setEnabled(left.back);
    m_redo->setEnabled(left.forward);
}

void Crumbs::showLook() {
    const bool looking = m_bench.files().look().has_value();
    for (QPushButton* button : {m_undo, m_redo}) {
        button->setVisible(!looking);
    }
    m_along->setVisible(looking && m_bench.selection().revision() != nullptr);
    m_back->setVisible(looking);
}

void Crumbs::fillRevisions() {
    QMenu* menu = m_revision->menu();
    menu->clear();
    for (const record::Revision& revision : m_bench.contents().revisions) {
        if (!revision.setAside) {
            menu->addAction(elided(q(revision.name)), this,
                            [this, id = revision.id] { m_bench.selectRevision(id); });
        }
    }
    menu->addSeparator();
    menu->addAction(tr("New line from here\tCtrl+D"), this, [this] { branchDesign(m_bench); });
    menu->addAction(tr("Set aside"), this, [this] {
        if (m_bench.selection().revision() != nullptr) {
            setRevisionAside(m_bench, m_bench.selection().revision()->id, true);
        }
    });
    for (const record::Revision& revision : m_bench.contents().revisions) {
        if (revision.setAside) {
            menu->addAction(tr("Bring back %1").arg(elided(q(revision.name))), this,
                            [this, id = revision.id] { setRevisionAside(m_bench, id, false); });
        }
    }
}

void Crumbs::fillBuilds() {
    QMenu* menu = m_build->menu();
    menu->clear();
    if (m_bench.selection().revision() == nullptr) {
        return;
    }
    for (const BuildSummary* summary : m_bench.contents().buildsOf(m_bench.selection().revision()->id)) {
        menu->addAction(elided(q(summary->build.name)), this,
                        [this, id = summary->build.id] { m_bench.selectBuild(id); });
    }
    menu->addSeparator();
    menu->addAction(tr("Write down a build\tCtrl+B"), &m_bench, &Workbench::writeDownBuild);
    if (m_bench.selection().build() != nullptr) {
        menu->addAction(tr("Set aside"), this,
                        [this] { setBuildAside(m_bench, m_bench.selection().build()->build.id, true); });
    }
    for (const BuildSummary& summary : m_bench.contents().builds) {
        if (summary.build.setAside && summary.build.revision == m_bench.selection().revision()->id) {
            menu->addAction(tr("Bring back %1").arg(elided(q(summary.build.name))), this,
                            [this, id = summary.build.id] { setBuildAside(m_bench, id, false); });
        }
    }
}

} // namespace anodex::app
