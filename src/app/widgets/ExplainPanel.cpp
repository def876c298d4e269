#include "app/widgets/ExplainPanel.h"

#include "app/theme/Theme.h"
#include "wording/ExplainText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <QApplication>
#include <QHeaderView>
#include <QKeyEvent>
#include <QLabel>
#include <QPushButton>
#include <QTreeWidget>
#include <QVBoxLayout>

namespace anodex::app {
namespace {

QString valueText(const explain::Explanation& explanation) {
    if (explanation.unit == explain::Unit::Coulomb && std::abs(explanation.value) != 96485.33212) {
        return QString::fromStdString(wording::chargeText(explanation.value));
    }
    if (explanation.unit == explain::Unit::Volt) {
        return QString::fromStdString(wording::numberText(explanation.value, 4)) + QStringLiteral("\u00A0V");
    }
    if (explanation.unit == explain::Unit::None && explanation.value != 0.0 &&
        (std::abs(explanation.value) < 1e-3 || std::abs(explanation.value) >= 1e5)) {
        return QString::number(explanation.value, 'e', 2);
    }
    return QString::fromStdString(wording::quantityText(explanation.value, explanation.unit));
}

QString prettySymbol(const std::string& symbol) {
    const std::size_t open = symbol.find('(');
    const std::size_t close = symbol.rfind(')');
    if (open == std::string::npos || close == std::string::npos || close < open || symbol[0] == 'z' ||
        symbol[0] == 'u') {
        return QString::fromStdString(symbol);
    }
    return QString::fromStdString(symbol.substr(0, open + 1) +
                                  wording::prettyEquation(symbol.substr(open + 1, close - open - 1)) + ")");
}

} // namespace

ExplainPanel::ExplainPanel(QWidget* parent)
    : QFrame(parent), m_title(new QLabel(this)), m_formula(new QLabel(this)), m_tree(new QTreeWidget(this)) {
    setObjectName(QStringLiteral("card"));
    setAccessibleName(tr("How this number was found"));
    m_title->setFont(Theme::font(1.1, true));
    m_formula->setWordWrap(true);
    m_tree->setObjectName(QStringLiteral("explainTree"));
    m_tree->setAccessibleName(tr("Inputs and sources"));
    m_tree->setHeaderLabels({tr("what"), tr("value"), tr("how, and where it comes from")});
    m_tree->setRootIsDecorated(true);
    m_tree->setWordWrap(true);
    m_tree->setUniformRowHeights(false);
    m_tree->header()->setStretchLastSection(true);
    auto* close = new QPushButton(tr("Close"), this);
    close->setObjectName(QStringLiteral("explainClose"));
    connect(close, &QPushButton::clicked, this, [this] {
        hide();
        if (m_back != nullptr) {
            m_back->setFocus();
        }
    });
    auto* layout = new QVBoxLayout(this);
    layout->addWidget(m_title);
    layout->addWidget(m_formula);
    layout->addWidget(m_tree, 1);
    layout->addWidget(close, 0, Qt::AlignRight);
    hide();
}

void ExplainPanel::fill(QTreeWidgetItem* parent, const explain::Explanation& explanation, int depth) {
    QStringList how;
    if (!explanation.formula.empty()) {
        how << QString::fromStdString(wording::explained(explanation.formula));
    }
    for (const std::string& source : explanation.sources) {
        how << QString::fromStdString(wording::explained(source));
    }
    auto* row = parent != nullptr ? new QTreeWidgetItem(parent) : new QTreeWidgetItem(m_tree);
    row->setText(0, prettySymbol(wording::explained(explanation.symbol)));
    row->setText(1, valueText(explanation));
    row->setText(2, how.join(QStringLiteral("\n")));
    row->setToolTip(2, how.join(QStringLiteral("\n")));
    row->setExpanded(depth < 1);
    for (const explain::Explanation& input : explanation.inputs) {
        fill(row, input, depth + 1);
    }
}

void ExplainPanel::open(const QString& title, const explain::Explanation& explanation, const QPoint& near) {
    m_back = QApplication::focusWidget();
    m_title->setText(title + QStringLiteral("  ") + valueText(explanation));
    m_formula->setText(QString::fromStdString(wording::explained(explanation.formula)));
    m_formula->setVisible(!explanation.formula.empty());
    m_tree->clear();
    for (const std::string& source : explanation.sources) {
        auto* row = new QTreeWidgetItem(m_tree);
        row->setText(0, tr("source"));
        row->setText(2, QString::fromStdString(wording::explained(source)));
    }
    for (const explain::Explanation& input : explanation.inputs) {
        fill(nullptr, input, 0);
    }
    const QSize wanted(std::min(static_cast<int>(Theme::em(38.0)), parentWidget()->width() - 20),
                       std::min(static_cast<int>(Theme::em(22.0)), parentWidget()->height() - 20));
    resize(wanted);
    m_tree->setColumnWidth(0, wanted.width() * 36 / 100);
    m_tree->setColumnWidth(1, wanted.width() * 16 / 100);
    const int x =
        std::clamp(near.x() - wanted.width() / 2, 10, parentWidget()->width() - wanted.width() - 10);
    const int y = std::clamp(near.y() + 12, 10, parentWidget()->height() - wanted.height() - 10);
    move(x, y);
    show();
    raise();
    m_tree->setFocus();
    if (m_tree->topLevelItemCount() > 0) {
        m_tree->setCurrentItem(m_tree->topLevelItem(0));
    }
}

void ExplainPanel::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        hide();
        if (m_back != nullptr) {
            m_back->setFocus();
        }
        return;
    }
    QFrame::keyPressEvent(event);
}

} // namespace anodex::app
