#include "app/views/couple/LiquidPanel.h"

#include "app/widgets/ElidedLabel.h"
#include "core/chemistry/Catalogue.h"
#include "wording/Quantities.h"
#include "wording/pour/PourLine.h"
#include "wording/pour/PouredLiquid.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWheelEvent>
#include <cmath>

namespace anodex::app {
namespace {

constexpr int kBasisRow = -1;

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString basisText(const design::LiquidDesign& liquid) {
    const bool byMass = liquid.basis == design::LiquidBasis::SolventMass;
    return QString::fromStdString(wording::numberText(liquid.basisValue * (byMass ? 1e3 : 1e6), 4)) +
           (byMass ? QStringLiteral("\u00A0g") : QStringLiteral("\u00A0mL"));
}

void clear(QLayout* layout) {
    while (QLayoutItem* item = layout->takeAt(0)) {
        if (item->layout() != nullptr) {
            clear(item->layout());
        }
        if (item->widget() != nullptr) {
            item->widget()->hide();
            item->widget()->deleteLater();
        }
        delete item;
    }
}

} // namespace

LiquidPanel::LiquidPanel(Workbench& bench, const Theme& theme, design::Side side, QWidget* parent)
    : QFrame(parent), m_bench(bench), m_theme(theme), m_side(side), m_title(new ElidedLabel(this)),
      m_rows(new QVBoxLayout), m_pour(new QLineEdit(this)), m_acidity(new QPushButton(this)),
      m_conductivity(new QPushButton(this)) {
    setObjectName(QStringLiteral("card"));
    m_title->setObjectName(QStringLiteral("faint"));
    m_pour->setObjectName(QStringLiteral("pour:%1").arg(static_cast<int>(side)));
    m_pour->setAccessibleName(tr("Pour something in"));
    m_pour->setPlaceholderText(tr("pour: an amount and a name"));
    m_acidity->setObjectName(QStringLiteral("acidity:%1").arg(static_cast<int>(side)));
    m_conductivity->setObjectName(QStringLiteral("conductivity:%1").arg(static_cast<int>(side)));
    for (QPushButton* fact : {m_acidity, m_conductivity}) {
        fact->setProperty("quiet", true);
        fact->setToolTip(tr("How this was found"));
    }
    auto* facts = new QHBoxLayout;
    facts->addWidget(m_acidity);
    facts->addWidget(m_conductivity);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(10, 6, 10, 6);
    layout->setSpacing(3);
    auto* head = new QHBoxLayout;
    head->addWidget(m_title, 1);
    head->addLayout(facts);
    layout->addLayout(head);
    layout->addLayout(m_rows);
    layout->addWidget(m_pour);
    connect(m_pour, &QLineEdit::returnPressed, this, &LiquidPanel::pour);
    connect(m_pour, &QLineEdit::textChanged, this, &LiquidPanel::refreshTitle);
    connect(m_acidity, &QPushButton::clicked, this, [this] {
        emit numberAsked({explain::Quantity::Acidity, m_side, 0}, m_acidity->mapToGlobal(QPoint(0, 0)));
    });
    connect(m_conductivity, &QPushButton::clicked, this, [this] {
        emit numberAsked({explain::Quantity::Conductivity, m_side, 0},
                         m_conductivity->mapToGlobal(QPoint(0, 0)));
    });
}

void LiquidPanel::refresh() {
    refreshTitle();
    QString shape = QString::fromStdString(liquid().ready.written) +
                    QChar::fromLatin1(static_cast<char>('0' + static_cast<int>(liquid().basis)));
    for (const design::SoluteDesign& solute : liquid().solutes) {
        shape += QLatin1Char('|') + QString::fromStdString(solute.substance.written);
    }
    if (shape != m_shape) {
        m_shape = shape;
        rebuildRows();
    }
    for (std::size_t i = 0; i < m_fields.size(); ++i) {
        if (!m_fields[i]->hasFocus()) {
            m_fields[i]->setText(i == 0 ? basisText(liquid())
                                        : q(wording::amountText(liquid().solutes[i - 1].amount)));
        }
    }
    refreshFacts();
}

void LiquidPanel::refreshFacts() {
    const bool usable = m_bench.draft().outcome().usable();
    m_acidity->setVisible(usable);
    m_conductivity->setVisible(usable);
    if (usable) {
        const liquid::Solution& solution = m_bench.draft().outcome().evaluation->solution(m_side);
        m_acidity->setText(tr("pH %1").arg(QString::number(solution.pH, 'f', 1)));
        m_conductivity->setText(QString::fromStdString(
            wording::quantityText(solution.conductivity, explain::Unit::SiemensPerMetre)));
    }
}

void LiquidPanel::rebuildRows() {
    m_fields.clear();
    clear(m_rows);
    addRow(liquid().ready.empty() && liquid().basis == design::LiquidBasis::FinishedVolume
               ? tr("made up to")
               : nameIn(kBasisRow),
           basisText(liquid()), kBasisRow);
    for (std::size_t i = 0; i < liquid().solutes.size(); ++i) {
        const int solute = static_cast<int>(i);
        addRow(nameIn(solute), q(wording::amountText(liquid().solutes[i].amount)), solute);
    }
}

/// What is poured in a row.
QString LiquidPanel::nameIn(int solute) const {
    if (solute != kBasisRow) {
        return q(liquid().solutes[static_cast<std::size_t>(solute)].substance.written);
    }
    const chemistry::Substance* solvent = m_bench.catalogue().solvent();
    return !liquid().ready.empty() ? q(liquid().ready.written)
           : solvent != nullptr    ? q(solvent->name)
                                   : QString();
}

void LiquidPanel::addRow(const QString& name, const QString& amount, int solute) {
    auto* row = new QHBoxLayout;
    row->setSpacing(6);
    auto* label = new ElidedLabel(this);
    label->setWhole(name);
    label->setMinimumWidth(static_cast<int>(Theme::em(4.0)));
    auto* field = new QLineEdit(amount, this);
    field->setObjectName(QStringLiteral("amount:%1:%2").arg(static_cast<int>(m_side)).arg(solute));
    field->setAccessibleName(tr("Amount of %1").arg(name));
    field->setMinimumWidth(static_cast<int>(Theme::em(3.6)));
    field->setMaximumWidth(static_cast<int>(Theme::em(6.0)));
    field->setAlignment(Qt::AlignRight);
    field->setToolTip(tr("Type, or step with the arrow keys and the wheel"));
    field->setProperty("solute", solute);
    field->installEventFilter(this);
    row->addWidget(label, 1);
    row->addWidget(field);
    if (solute != kBasisRow) {
        auto* remove = new QPushButton(QStringLiteral("×"), this);
        remove->setAccessibleName(tr("Leave out %1").arg(name));
        remove->setToolTip(remove->accessibleName());
        remove->setProperty("quiet", true);
        remove->setObjectName(QStringLiteral("remove:%1:%2").arg(static_cast<int>(m_side)).arg(solute));
        remove->setFixedWidth(static_cast<int>(Theme::em(2.0)));
        connect(remove, &QPushButton::clicked, this, [this, solute] { removeSolute(solute); });
        row->addWidget(remove);
    } else {
        row->addSpacing(static_cast<int>(Theme::em(2.0)) + std::max(0, row->spacing()));
    }
    connect(field, &QLineEdit::textEdited, this, [this, field, solute] { typed(field, solute, false); });
    connect(field, &QLineEdit::editingFinished, this, [this, field, solute] { typed(field, solute, true); });
    m_rows->addLayout(row);
    m_fields.push_back(field);
}

void LiquidPanel::typed(QLineEdit* field, int solute, bool settle) {
    design::CellDesign design = m_bench.draft().design();
    design::LiquidDesign& changed = design.liquidAt(m_side);
    const std::string written = field->text().trimmed().toStdString();
    const auto [amount, halfWidth, choices] =
        wording::readAmountOf(m_bench.catalogue(), written, nameIn(solute).toStdString());
    const bool fits = amount && (solute != kBasisRow || amount->unit == design::AmountUnit::VolumeM3 ||
                                 (amount->unit == design::AmountUnit::MassKg && changed.ready.empty()));
    if (!fits) {
        if (settle && field->isModified()) {
            field->setModified(false);
            emit refused(
                choices.empty()
                    ? tr("\"%1\" is no amount; right would be a number and a unit such as %2")
                          .arg(field->text(), solute == kBasisRow ? tr("100 mL") : tr("5 g or 2 mol/L"))
                    : q(wording::whichOf(written, choices)));
            m_bench.draft().drop();
            refresh();
        }
        return;
    }
    if (solute == kBasisRow) {
        if (amount->unit == design::AmountUnit::MassKg) {
            changed.basis = design::LiquidBasis::SolventMass;
        } else if (changed.basis == design::LiquidBasis::SolventMass) {
            changed.basis = design::LiquidBasis::SolventVolume;
        }
        changed.basisValue = amount->value;
    } else {
        changed.solutes[static_cast<std::size_t>(solute)].amount = *amount;
    }
    if (!(design == m_bench.draft().design()) && field->isModified()) {
        m_bench.draft().change(design);
    }
    if (settle) {
        field->setModified(false);
        m_bench.settle();
    }
}

bool LiquidPanel::eventFilter(QObject* watched, QEvent* event) {
    auto* field = qobject_cast<QLineEdit*>(watched);
    int steps = 0;
    if (event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        steps = key == Qt::Key_Up ? 1 : key == Qt::Key_Down ? -1 : 0;
    } else if (event->type() == QEvent::Wheel) {
        const int turned = static_cast<QWheelEvent*>(event)->angleDelta().y();
        steps = turned > 0 ? 1 : turned < 0 ? -1 : 0;
    }
    if (field == nullptr || steps == 0) {
        return QFrame::eventFilter(watched, event);
    }
    step(field, steps);
    return true;
}

/// A twentieth more or less; the rungs move at once, the command is written when the hand rests.
void LiquidPanel::step(QLineEdit* field, int steps) {
    auto amount = wording::readAmount(field->text().toStdString()).amount;
    if (!amount) {
        return;
    }
    constexpr double kStride = 1.05;
    const double wanted = amount->value * std::pow(kStride, steps);
    const double scale = std::pow(10.0, 2 - std::floor(std::log10(wanted)));
    const double rounded = std::round(wanted * scale) / scale;
    // A step is never lost to rounding.
    amount->value = rounded == amount->value ? wanted : rounded;
    field->setText(q(wording::amountText(*amount)));
    field->setModified(true);
    typed(field, field->property("solute").toInt(), false);
}

void LiquidPanel::pour() {
    const std::string written = m_pour->text().trimmed().toStdString();
    if (written.empty()) {
        return;
    }
    const auto result = wording::readPours(m_bench.catalogue(), written);
    if (const auto* fault = std::get_if<wording::PourFault>(&result)) {
        emit refused(q(fault->text));
        return;
    }
    if (const auto* question = std::get_if<wording::Question>(&result)) {
        emit refused(q(question->text));
        return;
    }
    design::CellDesign design = m_bench.draft().design();
    design.liquidAt(m_side) = wording::poured(m_bench.catalogue(), design.liquidAt(m_side),
                                              std::get<std::vector<wording::Pour>>(result));
    m_pour->setText(QString());
    m_bench.edit(design);
}

/// What the line would pour stands in the title's place while it is typed, so that nothing moves.
void LiquidPanel::refreshTitle() {
    const auto result = m_pour->text().isEmpty()
                            ? wording::PourLine{wording::PourFault{}}
                            : wording::readPours(m_bench.catalogue(), m_pour->text().toStdString());
    if (const auto* pours = std::get_if<std::vector<wording::Pour>>(&result)) {
        QStringList texts;
        for (const wording::Pour& pour : *pours) {
            texts.append(q(wording::pourText(pour)));
        }
        m_title->setWhole(texts.join(QStringLiteral(" · ")));
        return;
    }
    const bool two = m_bench.draft().design().positiveLiquid.has_value();
    m_title->setWhole(!two                               ? tr("Liquid")
                      : m_side == design::Side::Negative ? tr("Negative liquid")
                                                         : tr("Positive liquid"));
}

void LiquidPanel::removeSolute(int solute) {
    design::CellDesign design = m_bench.draft().design();
    design::LiquidDesign& changed = design.liquidAt(m_side);
    changed.solutes.erase(changed.solutes.begin() + solute);
    m_bench.edit(design);
}

} // namespace anodex::app
