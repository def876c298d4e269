#include "app/views/couple/MaterialPicker.h"

#include "core/design/Identify.h"
#include "core/electrode/PorousLayer.h"
#include "wording/FindingText.h"
#include "wording/Quantities.h"

#include <QApplication>
#include <QKeyEvent>
#include <QLineEdit>
#include <QListWidget>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

std::optional<design::Air> usualAir(const chemistry::Material& material) {
    return electrode::breathesByNature(material) ? std::optional(design::Air::Breathing) : std::nullopt;
}

} // namespace

MaterialPicker::MaterialPicker(Workbench& bench, const Theme& theme, QWidget* parent)
    : QFrame(parent), m_bench(bench), m_theme(theme), m_filter(new QLineEdit(this)),
      m_list(new QListWidget(this)) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("Choose an electrode"));
    m_filter->setObjectName(QStringLiteral("materialFilter"));
    m_filter->setAccessibleName(tr("Type to filter"));
    m_filter->setPlaceholderText(tr("Type to filter"));
    m_list->setObjectName(QStringLiteral("materialList"));
    m_list->setAccessibleName(tr("Electrodes and the voltage each would give"));
    m_list->setFocusPolicy(Qt::NoFocus);
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_filter);
    layout->addWidget(m_list, 1);
    m_filter->installEventFilter(this);
    connect(m_filter, &QLineEdit::textChanged, this, &MaterialPicker::filter);
    connect(m_filter, &QLineEdit::returnPressed, this, &MaterialPicker::choose);
    connect(&m_foretelling, &QTimer::timeout, this, &MaterialPicker::foretellNext);
    connect(m_list, &QListWidget::itemClicked, this, &MaterialPicker::choose);
    hide();
}

void MaterialPicker::open(design::Side side, const QPoint& at) {
    m_side = side;
    m_back = QApplication::focusWidget();
    m_filter->clear();
    list();
    const QSize size(static_cast<int>(Theme::em(26.0)), static_cast<int>(Theme::em(18.0)));
    const QPoint local = parentWidget()->mapFromGlobal(at);
    const int x =
        std::clamp(local.x() - size.width() / 2, 4, std::max(4, parentWidget()->width() - size.width() - 4));
    const int y = std::clamp(local.y() - size.height() - 10, 4,
                             std::max(4, parentWidget()->height() - size.height() - 4));
    setGeometry(QRect(QPoint(x, y), size));
    show();
    raise();
    m_filter->setFocus();
}

void MaterialPicker::list() {
    m_list->clear();
    for (const chemistry::Material& material : m_bench.catalogue().materials) {
        auto* row = new QListWidgetItem(QString::fromStdString(material.name), m_list);
        row->setData(Qt::UserRole, QString::fromStdString(material.name));
        QStringList words{QString::fromStdString(material.name),
                          QString::fromStdString(material.formulaText)};
        for (const std::string& alias : material.aliases) {
            words << QString::fromStdString(alias);
        }
        row->setData(Qt::UserRole + 2, words.join(QLatin1Char(' ')).toLower());
        if (material.id == m_bench.draft().design().electrode(m_side).material.id) {
            m_list->setCurrentItem(row);
        }
    }
    if (m_list->currentItem() == nullptr) {
        m_list->setCurrentRow(0);
    }
    m_foretold = 0;
    m_foretelling.start();
}

void MaterialPicker::foretellNext() {
    if (m_foretold >= m_list->count() || !isVisible()) {
        m_foretelling.stop();
        return;
    }
    foretell(*m_list->item(m_foretold), static_cast<std::size_t>(m_foretold));
    ++m_foretold;
}

void MaterialPicker::foretell(QListWidgetItem& row, std::size_t index) {
    const chemistry::Material& material = m_bench.catalogue().materials[index];
    design::CellDesign candidate = m_bench.draft().design();
    design::ElectrodeDesign& electrode = candidate.electrode(m_side);
    design::makeOf(electrode, design::namedAs(material));
    electrode.air = usualAir(material);
    const Outcome outcome = outcomeOf(m_bench.catalogueHandle(), candidate);
    if (!outcome.usable()) {
        return;
    }
    QString line = QString::fromStdString(material.name) + QStringLiteral("   ") +
                   QString::fromStdString(wording::quantityText(
                       outcome.evaluation->openCircuitVolts, explain::Unit::Volt, base::Interval{0.0, 0.05}));
    if (!outcome.findings.empty() && outcome.findings.front().severity != findings::Severity::Note) {
        line += QStringLiteral("   · ") +
                QString::fromStdString(wording::findingText(outcome.findings.front()).title);
    }
    row.setText(line);
}

void MaterialPicker::filter(const QString& text) {
    QListWidgetItem* first = nullptr;
    for (int i = 0; i < m_list->count(); ++i) {
        QListWidgetItem* row = m_list->item(i);
        row->setHidden(!row->data(Qt::UserRole + 2).toString().contains(text.trimmed().toLower()));
        if (!row->isHidden() && first == nullptr) {
            first = row;
        }
    }
    m_list->setCurrentItem(first);
}

void MaterialPicker::choose() {
    const QListWidgetItem* row = m_list->currentItem();
    if (row == nullptr || row->isHidden()) {
        return;
    }
    design::CellDesign design = m_bench.draft().design();
    design::ElectrodeDesign& electrode = design.electrode(m_side);
    const chemistry::Material& chosen =
        m_bench.catalogue().materials[static_cast<std::size_t>(m_list->row(row))];
    if (electrode.material.id != chosen.id) {
        design::makeOf(electrode, design::namedAs(chosen));
        const auto index = static_cast<std::size_t>(m_list->row(row));
        electrode.air = usualAir(m_bench.catalogue().materials[index]);
        m_bench.edit(design);
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
            int row = m_list->currentRow();
            do {
                row += key == Qt::Key_Down ? 1 : -1;
            } while (row >= 0 && row < m_list->count() && m_list->item(row)->isHidden());
            if (row >= 0 && row < m_list->count()) {
                m_list->setCurrentRow(row);
            }
            return true;
        }
    }
    if (event->type() == QEvent::FocusOut && isVisible() && !isAncestorOf(QApplication::focusWidget())) {
        hide();
    }
    return QFrame::eventFilter(watched, event);
}

} // namespace anodex::app
