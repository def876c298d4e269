#include "app/views/cell/CellView.h"

#include "app/views/ViewList.h"
#include "app/views/cell/Advice.h"
#include "app/views/cell/PartChoices.h"
#include "app/views/cell/Section.h"
#include "app/views/cell/Strips.h"
#include "app/views/cell/Whole.h"

#include <QHBoxLayout>
#include <QMenu>
#include <QVBoxLayout>

namespace anodex::app {

CellView::CellView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_section(new Section(bench, theme, this)) {
    setObjectName(QStringLiteral("cellView"));
    auto* strips = new Strips(bench, theme, this);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    auto* drawings = new QVBoxLayout;
    drawings->setSpacing(0);
    drawings->addWidget(new Whole(bench, theme, this), 2);
    drawings->addWidget(m_section, 3);
    layout->addLayout(drawings, 5);
    auto* beside = new QVBoxLayout;
    beside->setSpacing(0);
    beside->addWidget(strips, 5);
    beside->addWidget(new Advice(bench, theme, this), 3);
    layout->addLayout(beside, 3);
    connect(strips, &Strips::numberAsked, this, &View::numberAsked);
    connect(m_section, &Section::numberAsked, this, &View::numberAsked);
    connect(m_section, &Section::refused, this, &CellView::refused);
    connect(m_section, &Section::partAsked, this, &CellView::choices);
}

void CellView::choices(const QString& part, const QPoint& at) {
    if (!m_bench.draft().outcome().cell) {
        return;
    }
    QMenu menu(this);
    if (part == QLatin1String("negative")) {
        addElectrodeChoices(menu, m_bench, design::Side::Negative);
    } else if (part == QLatin1String("positive")) {
        addElectrodeChoices(menu, m_bench, design::Side::Positive);
    } else {
        addSeparatorChoices(menu, m_bench);
    }
    menu.exec(at);
}

ViewEntry cellEntry() {
    return {"cell",
            CellView::tr("Cell"),
            CellView::tr("sizes, and what limits it"),
            3,
            {},
            ViewEntry::Needs::Design,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new CellView(bench, theme, parent);
            }};
}

} // namespace anodex::app
