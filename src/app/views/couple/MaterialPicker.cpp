#include "app/views/couple/MaterialPicker.h"

#include "app/session/ShelfBook.h"
#include "app/views/couple/MaterialRows.h"
#include "app/widgets/RowList.h"
#include "core/chemistry/MaterialGroup.h"

#include <QApplication>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QVBoxLayout>
#include <map>

namespace anodex::app {
namespace {

using chemistry::MaterialGroup;

constexpr MaterialGroup kGroups[] = {MaterialGroup::Metal, MaterialGroup::Coated, MaterialGroup::Carbon,
                                     MaterialGroup::Compound, MaterialGroup::Powder};

QString nameOf(MaterialGroup group) {
    switch (group) {
    case MaterialGroup::Metal:
        return MaterialPicker::tr("Metals and alloys");
    case MaterialGroup::Coated:
        return MaterialPicker::tr("Plated and coated");
    case MaterialGroup::Carbon:
        return MaterialPicker::tr("Carbons");
    case MaterialGroup::Compound:
        return MaterialPicker::tr("Oxides and salts");
    case MaterialGroup::Powder:
        return MaterialPicker::tr("Powders and pastes");
    }
    return {};
}

} // namespace

MaterialPicker::MaterialPicker(Workbench& bench, const Theme& theme, QWidget* parent)
    : QFrame(parent), m_bench(bench), m_filter(new QLineEdit(this)), m_list(new RowList(this)),
      m_rows(new MaterialRows(theme, this)), m_compared(new QLabel(this)) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("Choose an electrode"));
    m_filter->setObjectName(QStringLiteral("materialFilter"));
    m_filter->setAccessibleName(tr("Type to filter"));
    m_filter->setPlaceholderText(tr("Type to filter"));
    m_list->setObjectName(QStringLiteral("materialList"));
    m_list->setAccessibleName(tr("Electrodes and the voltage each would give"));
    m_list->setFocusPolicy(Qt::NoFocus);
    m_list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list->setItemDelegate(m_rows);
    m_compared->setObjectName(QStringLiteral("materialCompared"));
    m_compared->setTextFormat(Qt::PlainText);
    m_compared->setWordWrap(true);
    m_compared->setAlignment(Qt::AlignLeft | Qt::AlignTop);
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_filter);
    layout->addWidget(m_list, 1);
    layout->addWidget(m_compared);
    m_filter->installEventFilter(this);
    connect(m_filter, &QLineEdit::textChanged, this, &MaterialPicker::filter);
    connect(m_filter, &QLineEdit::returnPressed, this, &MaterialPicker::choose);
    connect(&m_foretelling, &QTimer::timeout, this, &MaterialPicker::foretellNext);
    connect(m_list, &QListWidget::itemClicked, this, &MaterialPicker::choose);
    connect(m_list, &QListWidget::currentItemChanged, this, &MaterialPicker::compare);
    hide();
}

void MaterialPicker::open(design::Side side, const QPoint& at) {
    m_side = side;
    m_back = QApplication::focusWidget();
    m_filter->clear();
    constexpr double kComparedLines = 4.2;
    m_compared->setFixedHeight(static_cast<int>(Theme::em(kComparedLines)));
    const QSize room = parentWidget()->size() - QSize(8, 8);
    const QSize size =
        QSize(static_cast<int>(Theme::em(44.0)), static_cast<int>(Theme::em(30.0))).boundedTo(room);
    const QPoint local = parentWidget()->mapFromGlobal(at);
    const int x =
        std::clamp(local.x() - size.width() / 2, 4, std::max(4, parentWidget()->width() - size.width() - 4));
    const int y = std::clamp(local.y() - size.height() - 10, 4,
                             std::max(4, parentWidget()->height() - size.height() - 4));
    setGeometry(QRect(QPoint(x, y), size));
    list();
    show();
    raise();
    m_filter->setFocus();
    m_list->scrollToTop();
    if (m_list->currentItem() != nullptr) {
        m_list->scrollToItem(m_list->currentItem());
    }
}

void MaterialPicker::list() {
    m_list->clear();
    m_catalogue = m_bench.catalogueHandle();
    m_rows->use(m_catalogue);
    const shelf::Shelf shelf = shelfIn(m_bench);
    std::vector<std::size_t> owned;
    std::map<MaterialGroup, std::vector<std::size_t>> others;
    for (std::size_t i = 0; i < m_catalogue->materials.size(); ++i) {
        const chemistry::Material& material = m_catalogue->materials[i];
        const bool isOwned = std::any_of(shelf.materials.begin(), shelf.materials.end(),
                                         [&](const auto& one) { return one.material.id == material.id; });
        (isOwned ? owned : others[groupOf(*m_catalogue, material)]).push_back(i);
    }
    add(tr("On your shelf"), owned);
    for (const MaterialGroup group : kGroups) {
        add(nameOf(group), others[group]);
    }
    m_foretold = 0;
    m_foretelling.start();
}

void MaterialPicker::add(const QString& heading, const std::vector<std::size_t>& materials) {
    if (materials.empty()) {
        return;
    }
    m_list->addItem(MaterialRows::heading(heading));
    for (const std::size_t material : materials) {
        auto* row = m_rows->row(material);
        m_list->addItem(row);
        if (m_catalogue->materials[material].id == m_bench.draft().design().electrode(m_side).material.id) {
            m_list->setCurrentItem(row);
        }
    }
}

Outcome MaterialPicker::with(const QListWidgetItem& row) const {
    const chemistry::Material& material = m_catalogue->materials[*MaterialRows::materialOf(row)];
    const design::CellDesign& now = m_bench.draft().design();
    return now.electrode(m_side).material.id == material.id
               ? m_bench.draft().outcome()
               : outcomeOf(m_catalogue, exchanged(now, m_side, material));
}

void MaterialPicker::foretellNext() {
    if (m_foretold >= m_list->count() || !isVisible()) {
        m_foretelling.stop();
        return;
    }
    QListWidgetItem& row = *m_list->item(m_foretold);
    if (MaterialRows::materialOf(row)) {
        m_rows->tell(row, foretold(with(row), m_side));
    }
    ++m_foretold;
}

void MaterialPicker::compare() {
    const QListWidgetItem* row = m_list->currentItem();
    m_compared->setText(row != nullptr && MaterialRows::materialOf(*row)
                            ? compared(m_bench.draft().outcome(), with(*row), m_side)
                            : tr("Nothing of this name. An own material is made in the catalogue."));
}

void MaterialPicker::filter(const QString& text) {
    QListWidgetItem* heading = nullptr;
    QListWidgetItem* first = nullptr;
    for (int i = 0; i < m_list->count(); ++i) {
        QListWidgetItem* row = m_list->item(i);
        const auto material = MaterialRows::materialOf(*row);
        if (!material) {
            heading = row;
            heading->setHidden(true);
            continue;
        }
        row->setHidden(!m_rows->matches(*material, text));
        if (!row->isHidden()) {
            heading->setHidden(false);
            first = first == nullptr ? row : first;
        }
    }
    m_list->setCurrentItem(first);
}

void MaterialPicker::step(int by) {
    int row = m_list->currentRow();
    do {
        row += by;
    } while (row >= 0 && row < m_list->count() &&
             (m_list->item(row)->isHidden() || !MaterialRows::materialOf(*m_list->item(row))));
    if (row >= 0 && row < m_list->count()) {
        m_list->setCurrentRow(row);
    }
}

void MaterialPicker::choose() {
    const QListWidgetItem* row = m_list->currentItem();
    const auto material = row == nullptr || row->isHidden() ? std::nullopt : MaterialRows::materialOf(*row);
    if (!material) {
        return;
    }
    const chemistry::Material& chosen = m_catalogue->materials[*material];
    const design::CellDesign& now = m_bench.draft().design();
    if (now.electrode(m_side).material.id != chosen.id) {
        m_bench.edit(exchanged(now, m_side, chosen));
    }
    close();
}

void MaterialPicker::close() {
    hide();
    if (m_back != nullptr) {
        m_back->setFocus();
    }
}

bool MaterialPicker::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Escape) {
            close();
            return true;
        }
        if (key == Qt::Key_Up || key == Qt::Key_Down) {
            step(key == Qt::Key_Down ? 1 : -1);
            return true;
        }
    }
    if (event->type() == QEvent::FocusOut && isVisible() && !isAncestorOf(QApplication::focusWidget())) {
        hide();
    }
    return QFrame::eventFilter(watched, event);
}

} // namespace anodex::app
