#include "app/views/cell/CellView.h"

#include "app/views/cell/Section.h"
#include "app/views/cell/Strips.h"

#include <QHBoxLayout>
#include <QMenu>

namespace anodex::app {

CellView::CellView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_section(new Section(bench, theme, this)) {
    setObjectName(QStringLiteral("cellView"));
    auto* strips = new Strips(bench, theme, this);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_section, 5);
    layout->addWidget(strips, 3);
    connect(strips, &Strips::numberAsked, this, &View::numberAsked);
    connect(m_section, &Section::numberAsked, this, &View::numberAsked);
    connect(m_section, &Section::refused, this, &CellView::refused);
    connect(m_section, &Section::partAsked, this, &CellView::choices);
}

void CellView::choices(const QString& part, const QPoint& at) {
    QMenu menu(this);
    const auto addAir = [&](cell::Side side) {
        const std::pair<QString, cell::Air> airs[] = {{tr("No air reaches it"), cell::Air::None},
                                                      {tr("Wetted, still air"), cell::Air::Still},
                                                      {tr("One face open to the air"), cell::Air::Breathing}};
        for (const auto& [words, air] : airs) {
            QAction* action = menu.addAction(words);
            action->setCheckable(true);
            action->setChecked(m_bench.design().electrode(side).air.value_or(cell::Air::Still) == air);
            connect(action, &QAction::triggered, this, [this, side, chosen = air] {
                cell::CellDesign design = m_bench.design();
                design.electrode(side).air = chosen;
                m_bench.edit(design);
            });
        }
    };
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
