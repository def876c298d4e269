#include "app/views/couple/CoupleView.h"

#include "app/views/ViewList.h"
#include "app/views/couple/ChargeLadder.h"
#include "app/views/couple/Curves.h"
#include "app/views/couple/Ladder.h"
#include "app/views/couple/LiquidPanel.h"
#include "app/views/couple/MaterialPicker.h"
#include "core/design/Identify.h"
#include "wording/Quantities.h"
#include "wording/TypedLoad.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSlider>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

// From no load over a thousandth of the short circuit, by equal ratios, to the whole of it.
constexpr int kSliderSteps = 120;
constexpr double kLeastShare = 1e-3;

double shareAt(int step) {
    return step == 0 ? 0.0
                     : kLeastShare * std::pow(1.0 / kLeastShare, static_cast<double>(step) / kSliderSteps);
}

int sliderAt(double share) {
    const double steps = kSliderSteps * (1.0 - std::log(share) / std::log(kLeastShare));
    return share <= kLeastShare ? (share > 0.0 ? 1 : 0)
                                : std::min(kSliderSteps, static_cast<int>(std::lround(steps)));
}

} // namespace

CoupleView::CoupleView(Workbench& bench, const Theme& theme, QWidget* parent)
    : View(parent), m_bench(bench), m_ladder(new Ladder(bench, theme, this)),
      m_curves(new Curves(bench, theme, this)), m_chargeLadder(new ChargeLadder(bench, theme, this)),
      m_pictures(new QStackedWidget(this)), m_picker(new MaterialPicker(bench, theme, this)),
      m_left(new LiquidPanel(bench, theme, design::Side::Negative, this)),
      m_right(new LiquidPanel(bench, theme, design::Side::Positive, this)), m_split(new QPushButton(this)) {
    setObjectName(QStringLiteral("coupleView"));
    m_split->setObjectName(QStringLiteral("splitLiquid"));
    m_split->setProperty("quiet", true);
    auto* liquids = new QHBoxLayout;
    liquids->addWidget(m_left, 1);
    liquids->addWidget(m_split);
    liquids->addWidget(m_right, 1);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(4);
    m_pictures->addWidget(m_ladder);
    m_pictures->addWidget(m_curves);
    m_pictures->addWidget(m_chargeLadder);
    layout->addWidget(m_pictures, 1);
    layout->addLayout(liquids);
    layout->addWidget(makeLoadRow());
    connect(m_ladder, &Ladder::numberAsked, this, &View::numberAsked);
    connect(m_curves, &Curves::numberAsked, this, &View::numberAsked);
    connect(m_ladder, &Ladder::materialAsked, this,
            [this](design::Side side, const QPoint& at) { m_picker->open(side, at); });
    for (LiquidPanel* panel : {m_left, m_right}) {
        connect(panel, &LiquidPanel::numberAsked, this, &View::numberAsked);
        connect(panel, &LiquidPanel::refused, this, &CoupleView::refused);
    }
    connect(m_split, &QPushButton::clicked, this, &CoupleView::splitOrJoin);
    onChange(bench, this, Part::Design, &CoupleView::refresh);
    refresh();
}

QWidget* CoupleView::makeLoadRow() {
    auto* row = new QWidget(this);
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(4, 4, 4, 4);
    m_load = new QSlider(Qt::Horizontal, row);
    m_load->setObjectName(QStringLiteral("loadSlider"));
    m_load->setAccessibleName(tr("Load current"));
    m_load->setRange(0, kSliderSteps);
    m_load->setValue(m_loadValue);
    m_load->setMinimumHeight(static_cast<int>(Theme::em(1.8)));
    m_loadText = new QPushButton(row);
    m_loadText->setObjectName(QStringLiteral("loadText"));
    m_loadText->setProperty("quiet", true);
    m_loadText->setToolTip(tr("How the short circuit was found"));
    connect(m_loadText, &QPushButton::clicked, this, [this] {
        const bool charge = m_face == Face::Charge;
        emit numberAsked(
            charge ? explain::QuantityKey{explain::Quantity::ChargeVoltage, {}, 0, m_chargeLadder->amps()}
                   : explain::QuantityKey{explain::Quantity::ShortCircuitCurrent, {}, 0, 0.0},
            m_loadText->mapToGlobal(QPoint(0, 0)));
    });
    m_loadField = new QLineEdit(row);
    m_loadField->setObjectName(QStringLiteral("loadField"));
    m_loadField->setAccessibleName(tr("Load, as ohms, amperes, watts or by its name"));
    m_loadField->setToolTip(tr("What hangs on the cell: 1 kΩ, 5 mA, 20 mW, red LED, buzzer"));
    m_loadField->setPlaceholderText(tr("1 kΩ, red LED"));
    connect(m_loadField, &QLineEdit::returnPressed, this, &CoupleView::takeTypedLoad);
    m_least = new QLabel(row);
    m_least->setObjectName(QStringLiteral("faint"));
    const std::pair<QString, const char*> faces[] = {
        {tr("Ladder"), "faceLadder"}, {tr("Curves"), "faceCurves"}, {tr("Charge"), "faceCharge"}};
    for (std::size_t i = 0; i < m_faces.size(); ++i) {
        m_faces[i] = new QPushButton(faces[i].first, row);
        m_faces[i]->setObjectName(QString::fromLatin1(faces[i].second));
        m_faces[i]->setCheckable(true);
        m_faces[i]->setToolTip(tr("The same couple: its potentials, its voltage and power, or its charge"));
        layout->addWidget(m_faces[i]);
        connect(m_faces[i], &QPushButton::clicked, this, [this, i] { showFace(static_cast<Face>(i)); });
    }
    m_plan = new QPushButton(row);
    m_plan->setObjectName(QStringLiteral("planCharge"));
    m_plan->setProperty("quiet", true);
    m_moment = new QPushButton(tr("after 5 s"), row);
    m_moment->setObjectName(QStringLiteral("loadMoment"));
    m_moment->setProperty("quiet", true);
    m_moment->setToolTip(tr("Losses five seconds after closing, or once everything has settled"));
    layout->addWidget(m_least);
    layout->addWidget(m_load, 1);
    layout->addWidget(m_moment);
    layout->addWidget(m_loadField);
    layout->addWidget(m_loadText);
    layout->addWidget(m_plan);
    connect(m_moment, &QPushButton::clicked, this, [this] {
        const bool settled = m_ladder->moment() == electrode::Moment::First;
        m_moment->setText(settled ? tr("settled") : tr("after 5 s"));
        m_ladder->setMoment(settled ? electrode::Moment::Settled : electrode::Moment::First);
    });
    connect(m_plan, &QPushButton::clicked, this, &CoupleView::planCharge);
    connect(m_load, &QSlider::valueChanged, this, &CoupleView::slide);
    connect(m_ladder, &Ladder::rebuilt, this, &CoupleView::sayLoad);
    connect(m_chargeLadder, &ChargeLadder::rebuilt, this, &CoupleView::sayCharge);
    showFace(Face::Ladder);
    return row;
}

void CoupleView::showFace(Face face) {
    m_face = face;
    const bool charge = face == Face::Charge;
    m_pictures->setCurrentIndex(static_cast<int>(face));
    for (std::size_t i = 0; i < m_faces.size(); ++i) {
        m_faces[i]->setChecked(i == static_cast<std::size_t>(face));
    }
    m_least->setText(charge ? tr("slow") : tr("no load"));
    m_load->setAccessibleName(charge ? tr("Charging current") : tr("Load current"));
    m_plan->setVisible(charge);
    m_loadField->setVisible(!charge);
    m_moment->setVisible(face == Face::Ladder);
    if (charge) {
        m_chargeLadder->startAnew();
        sayCharge();
    } else {
        const QSignalBlocker quiet(m_load);
        m_load->setValue(m_loadValue);
        sayLoad();
    }
}

void CoupleView::slide(int value) {
    if (m_face == Face::Charge) {
        m_chargeLadder->setShare(static_cast<double>(value) / kSliderSteps);
        return;
    }
    m_loadValue = value;
    m_loadField->clear();
    setLoad({load::Load::Kind::Share, shareAt(value), {}});
}

void CoupleView::setLoad(const load::Load& load) {
    m_shown = load;
    m_ladder->setLoad(load);
    m_curves->setLoad(load);
    sayLoad();
}

void CoupleView::takeTypedLoad() {
    const std::string typed = m_loadField->text().trimmed().toStdString();
    if (typed.empty()) {
        setLoad({load::Load::Kind::Share, shareAt(m_loadValue), {}});
        return;
    }
    const wording::TypedLoad read = wording::typedLoad(typed, m_bench.catalogue().loads);
    if (!read.load) {
        emit refused(QString::fromStdString(read.question->text));
        return;
    }
    setLoad(*read.load);
    if (!m_ladder->loadAmps() && m_bench.draft().outcome().usable()) {
        const auto& first = m_bench.draft().outcome().evaluation->first;
        emit refused(tr("%1 is more than this cell can carry: %2 shorted, %3 at best")
                         .arg(QString::fromStdString(wording::loadText(*read.load)),
                              QString::fromStdString(wording::quantityText(std::abs(first.shortCircuitAmps),
                                                                           explain::Unit::Ampere)),
                              QString::fromStdString(
                                  wording::quantityText(first.maximumPower.watts, explain::Unit::Watt))));
    }
}

/// With a large font the row has room for bare numbers only.
bool CoupleView::isNarrow() const {
    constexpr double kWords = 52.0; // ems
    return width() < Theme::em(kWords);
}

void CoupleView::resizeEvent(QResizeEvent* event) {
    View::resizeEvent(event);
    m_least->setVisible(!isNarrow());
    m_loadField->setFixedWidth(static_cast<int>(Theme::em(isNarrow() ? 5.0 : 8.0)));
    sayLoad();
    sayCharge();
}

void CoupleView::sayLoad() {
    if (m_face == Face::Charge) {
        return;
    }
    const Outcome& outcome = m_bench.draft().outcome();
    const double shorted = outcome.usable() ? outcome.evaluation->first.shortCircuitAmps : 0.0;
    const std::optional<double> drawn = m_ladder->loadAmps();
    const double amps = drawn ? *drawn : 0.0;
    const QString shown = QString::fromStdString(wording::quantityText(amps, explain::Unit::Ampere));
    const double share = shorted != 0.0 ? amps / shorted : 0.0;
    const QString percent = QString::fromStdString(wording::numberText(100.0 * share, 2));
    m_loadText->setText(!drawn       ? tr("more than it can carry")
                        : isNarrow() ? shown
                                     : tr("load %1, %2 % of short circuit").arg(shown, percent));
    m_load->setToolTip(m_loadText->text());
    if (m_shown.kind != load::Load::Kind::Share) {
        const QSignalBlocker quiet(m_load); // follows what was typed
        m_load->setValue(sliderAt(drawn ? share : 1.0));
    }
}

void CoupleView::sayCharge() {
    if (m_face != Face::Charge) {
        return;
    }
    const QSignalBlocker quiet(m_load);
    m_load->setValue(static_cast<int>(std::lround(kSliderSteps * m_chargeLadder->share())));
    const QString amps =
        QString::fromStdString(wording::quantityText(m_chargeLadder->amps(), explain::Unit::Ampere));
    m_loadText->setText(isNarrow() ? amps : tr("charge with %1").arg(amps));
    m_load->setToolTip(m_loadText->text());
    m_plan->setText(m_bench.draft().design().charge ? tr("Plan none") : tr("Plan it"));
    m_plan->setToolTip(m_bench.draft().design().charge
                           ? tr("Take the charge out of the design")
                           : tr("Write the charge into the design: gas, room and limits are then watched"));
}

void CoupleView::planCharge() {
    design::CellDesign design = m_bench.draft().design();
    if (design.charge) {
        design.charge.reset();
    } else {
        design.charge = design::ChargeDesign{m_chargeLadder->amps(), std::nullopt};
    }
    m_bench.edit(design);
}

void CoupleView::showEvent(QShowEvent* event) {
    View::showEvent(event);
    refresh();
}

void CoupleView::refresh() {
    if (!isVisible()) {
        return;
    }
    const bool any = m_bench.selection().revision() != nullptr || m_bench.draft().outcome().usable();
    const bool two = m_bench.draft().design().positiveLiquid.has_value();
    m_left->setVisible(any);
    m_right->setVisible(any && two);
    m_split->setVisible(any);
    m_split->setText(two ? tr("One liquid") : tr("Two liquids"));
    m_split->setToolTip(two ? tr("Keep only the negative side's liquid")
                            : tr("Give each electrode a liquid of its own, with a bridge between"));
    if (any) {
        m_left->refresh();
        if (two) {
            m_right->refresh();
        }
    }
}

void CoupleView::splitOrJoin() {
    design::CellDesign design = m_bench.draft().design();
    if (design.positiveLiquid) {
        design.positiveLiquid.reset();
        design.separator.reset();
    } else {
        design.positiveLiquid = design.liquid;
        const auto& separators = m_bench.catalogue().separators;
        const auto divider = std::find_if(separators.begin(), separators.end(),
                                          [](const chemistry::SeparatorMaterial& s) { return s.divides; });
        if (!design.separator && divider != separators.end()) {
            design.separator = design::SeparatorDesign{design::namedAs(*divider), {}, {}};
        }
    }
    m_bench.edit(design);
}

ViewEntry coupleEntry() {
    return {"couple",
            CoupleView::tr("Couple"),
            CoupleView::tr("what reacts, and the voltage"),
            2,
            {},
            ViewEntry::Needs::Design,
            false,
            [](Workbench& bench, const Theme& theme, QWidget* parent) -> View* {
                return new CoupleView(bench, theme, parent);
            }};
}

} // namespace anodex::app
