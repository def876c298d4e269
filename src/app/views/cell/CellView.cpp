#include "app/views/cell/CellView.h"

#include "app/views/cell/Advice.h"
#include "app/views/cell/AirChoices.h"
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
    QMenu menu(this);
    const auto addAir = [&](cell::Side side) {
        const cell::Electrode& electrode = m_bench.outcome().cell->electrode(side);
        for (const std::vector<AirChoice>& group : airChoices(m_bench.catalogue(), electrode)) {
            menu.addSeparator();
            for (const AirChoice& choice : group) {
                QAction* action = menu.addAction(choice.words);
                action->setCheckable(true);
                action->setChecked(choice.taken);
                connect(action, &QAction::triggered, this, [this, side, apply = choice.apply] {
                    cell::CellDesign design = m_bench.design();
                    apply(design.electrode(side));
                    m_bench.edit(design);
                });
            }
        }
    };
    if (!m_bench.outcome().cell) {
        return;
    }
    if (part == QLatin1String("negative")) {
        addAir(cell::Side::Negative);
    } else if (part == QLatin1String("positive")) {
        addAir(cell::Side::Positive);
    } else {
        QAction* none = menu.addAction(tr("Nothing between"));
        connect(none, &QAction::triggered, this, [this] {
            cell::CellDesign design = m_bench.design();
            design.separator.reset();
            m_bench.edit(design);
        });
        for (const chemistry::SeparatorMaterial& separator : m_bench.catalogue().separators) {
            QAction* action = menu.addAction(QString::fromStdString(separator.name));
            connect(action, &QAction::triggered, this, [this, name = separator.name] {
                cell::CellDesign design = m_bench.design();
                design.separator = cell::SeparatorDesign{name, {}, {}};
                m_bench.edit(design);
            });
        }
    }
    menu.exec(at);
}

} // namespace anodex::app
