#include "app/views/couple/Curves.h"

#include "app/widgets/Draw.h"
#include "core/pack/OnLoad.h"
#include "wording/Quantities.h"
#include "wording/TypedLoad.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

constexpr double kDecades = 4.0; // of current below the highest, on an axis of decades
constexpr int kLoadPoints = 60;

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString si(double value, explain::Unit unit) {
    return q(wording::quantityText(value, unit));
}

} // namespace

Curves::Curves(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Voltage and power over current"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("curves"));
    onChange(bench, this, Part::Design | Part::Doubt, &Curves::rebuild);
    connect(&theme, &Theme::changed, this, &Curves::rebuild);
    connect(this, &Picture::resized, this, &Curves::rebuild);
    connect(this, &Picture::shown, this, &Curves::rebuild);
    setBackdrop([this](QPainter& painter) { paint(painter); });
    connect(this, &Picture::activated, this, [this](const QString& id) {
        const PictureItem* hit = item(id);
        if (id == QLatin1String("axis")) {
            changeAxis();
        } else if (hit != nullptr && hit->opens) {
            emit numberAsked(*hit->opens, mapToGlobal(hit->area.center().toPoint()));
        }
    });
}

void Curves::setLoad(const load::Load& load) {
    m_load = load;
    rebuild();
}

/// Where the axis counts decades, so do more points.
std::vector<cell::CurvePoint> Curves::pointsOf(const cell::Polarisation& cell, double shorted) const {
    constexpr int kOfDecades = 48;
    std::vector<cell::CurvePoint> points = cell::SampledCurve(cell, shorted).pointsToDraw();
    for (int i = 0; m_byDecades && i < kOfDecades; ++i) {
        const double amps = shorted * std::pow(10.0, -kDecades * i / kOfDecades);
        points.push_back({amps, cell.voltsAt(amps)});
    }
    return points;
}

void Curves::compute() {
    m_lines.reset();
    const Outcome& outcome = m_bench.draft().outcome();
    if (!outcome.usable() || outcome.evaluation->first.shortCircuitAmps == 0.0) {
        return;
    }
    const auto& catalogue = m_bench.catalogue();
    const cell::Evaluation& e = *outcome.evaluation;
    const cell::CompiledCell compiled = cell::compile(catalogue, *outcome.cell);
    const cell::Polarisation first(compiled, *outcome.evaluation->contents, electrode::Moment::First);
    const cell::Polarisation settled(compiled, *outcome.evaluation->contents, electrode::Moment::Settled);
    Lines lines;
    lines.first = pointsOf(first, e.first.shortCircuitAmps);
    lines.settled = pointsOf(settled, e.settled.shortCircuitAmps);
    const std::optional<double> drawn = pack::ampsOn(first, e.first.shortCircuitAmps, m_load);
    lines.loadAmps = drawn ? *drawn : 0.0;
    lines.loadVolts = first.voltsAt(lines.loadAmps);
    // A cell labelled the wrong way round is drawn the right way up.
    const double sign = e.openCircuitVolts < 0.0 ? -1.0 : 1.0;
    for (auto* curve : {&lines.first, &lines.settled}) {
        for (cell::CurvePoint& point : *curve) {
            point.amps *= sign;
            point.volts *= sign;
        }
        std::sort(curve->begin(), curve->end(),
                  [](const auto& one, const auto& other) { return one.amps < other.amps; });
    }
    lines.loadAmps *= sign;
    lines.loadVolts *= sign;
    lines.volts = 1.12 * std::abs(e.openCircuitVolts);
    lines.amps = 1.05 * std::max(std::abs(e.first.shortCircuitAmps), std::abs(e.settled.shortCircuitAmps));
    lines.watts = 1.15 * std::max(e.first.maximumPower.watts, e.settled.maximumPower.watts);
    lines.leastAmps = lines.amps * std::pow(10.0, -kDecades);
    m_lines = std::move(lines);
}

QRectF Curves::voltageField() const {
    const double left = Theme::em(4.4);
    const double top = Theme::em(1.4);
    const double bottom = 0.62 * height();
    return {left, top, width() - left - Theme::em(6.5), bottom - top};
}

QRectF Curves::powerField() const {
    const QRectF above = voltageField();
    const double top = above.bottom() + Theme::em(1.2);
    return {above.left(), top, above.width(), height() - Theme::em(2.4) - top};
}

/// Between open circuit and short circuit the range is joined, both ends scaled alike.
void Curves::paintRange(QPainter& painter) const {
    const Outcome& outcome = m_bench.draft().outcome();
    if (!outcome.doubt) {
        return;
    }
    const double volts = outcome.evaluation->openCircuitVolts;
    const double amps = outcome.evaluation->first.shortCircuitAmps;
    const base::Interval& v = outcome.doubt->openCircuitVolts;
    const base::Interval& i = outcome.doubt->shortCircuitAmps;
    QPolygonF field;
    const QRectF box = voltageField();
    for (const cell::CurvePoint& point : m_lines->first) {
        field << at(box, point.amps * i.high / amps, point.volts * v.high / volts, m_lines->volts);
    }
    for (auto point = m_lines->first.rbegin(); point != m_lines->first.rend(); ++point) {
        field << at(box, point->amps * i.low / amps, point->volts * v.low / volts, m_lines->volts);
    }
    QColor pale = m_theme.colours().expected;
    pale.setAlpha(90);
    painter.setPen(Qt::NoPen);
    painter.setBrush(pale);
    painter.drawPolygon(field);
}

void Curves::paint(QPainter& painter) const {
    if (!m_lines) {
        painter.setPen(m_theme.colours().faint);
        painter.setFont(Theme::font(1.0));
        painter.drawText(rect(), Qt::AlignCenter, tr("No current: there is no curve to draw."));
        return;
    }
    const Colours& c = m_theme.colours();
    paintScales(painter);
    painter.save();
    painter.setClipRect(rect().adjusted(static_cast<int>(voltageField().left()), 0, 0, 0));
    paintRange(painter);
    painter.restore();
    const auto draw = [&](const QRectF& field, const std::vector<cell::CurvePoint>& curve, bool power,
                          const QPen& pen) {
        QPolygonF line;
        for (const cell::CurvePoint& point : curve) {
            line << at(field, point.amps, power ? point.amps * point.volts : point.volts,
                       power ? m_lines->watts : m_lines->volts);
        }
        painter.setPen(pen);
        painter.setBrush(Qt::NoBrush);
        painter.drawPolyline(line);
    };
    const QPen solid(c.ink, 2.5);
    const QPen dashed(c.ink, 2.0, Qt::DashLine);
    for (const bool power : {false, true}) {
        const QRectF field = power ? powerField() : voltageField();
        draw(field, m_lines->settled, power, dashed);
        draw(field, m_lines->first, power, solid);
    }
    paintPointer(painter);
    // What the two lines are, above them.
    double x = voltageField().right() + Theme::em(6.0);
    const double y = voltageField().top() - Theme::em(1.3);
    painter.setFont(Theme::font(0.9));
    for (const auto& [pen, words] :
         {std::pair{dashed, tr("once settled")}, std::pair{solid, tr("after 5 seconds")}}) {
        const double wide = QFontMetricsF(painter.font()).horizontalAdvance(words) + Theme::em(0.5);
        x -= wide;
        painter.setPen(c.faint);
        drawElided(painter, QRectF(x, y, wide, Theme::em(1.2)), words);
        x -= Theme::em(2.4);
        painter.setPen(pen);
        painter.drawLine(QPointF(x, y + Theme::em(0.6)), QPointF(x + Theme::em(2.0), y + Theme::em(0.6)));
        x -= Theme::em(1.2);
    }
}

void Curves::addLoad(std::vector<PictureItem>& items) const {
    if (m_lines->loadAmps <= 0.0) {
        return;
    }
    const QRectF field = voltageField();
    const QPointF point = at(field, m_lines->loadAmps, m_lines->loadVolts, m_lines->volts);
    const double ohm = m_lines->loadVolts / m_lines->loadAmps;
    PictureItem item;
    item.id = QStringLiteral("load");
    item.area = QRectF(point.x() - 10, point.y() - 10, 20, 20);
    item.role = QAccessible::Button;
    const bool share = m_load.kind == load::Load::Kind::Share;
    const load::Load drawn = share ? load::Load{load::Load::Kind::Resistor, ohm, {}} : m_load;
    item.name = tr("Load of %1").arg(q(wording::loadText(drawn)));
    const QString words =
        tr("%1 at %2, %3")
            .arg(si(m_lines->loadVolts, explain::Unit::Volt), si(m_lines->loadAmps, explain::Unit::Ampere),
                 si(m_lines->loadVolts * m_lines->loadAmps, explain::Unit::Watt));
    item.value = words;
    item.tooltip = item.name + QStringLiteral(": ") + words;
    item.opens = explain::QuantityKey{explain::Quantity::LoadedVoltage,
                                      {},
                                      0,
                                      m_bench.draft().outcome().evaluation->openCircuitVolts < 0.0
                                          ? -m_lines->loadAmps
                                          : m_lines->loadAmps};
    item.paint = [=, this, name = item.name](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.save();
        painter.setClipRect(field);
        painter.setPen(QPen(c.liquid, 1.5));
        QPolygonF line;
        for (int i = 1; i <= kLoadPoints; ++i) {
            const double volts = m_lines->volts * i / kLoadPoints;
            line << at(field, load::ampsAt(drawn, volts), volts, m_lines->volts);
        }
        painter.drawPolyline(line);
        painter.restore();
        painter.setPen(Qt::NoPen);
        painter.setBrush(c.ink);
        painter.drawEllipse(point, Theme::em(0.4), Theme::em(0.4));
        const double wide = Theme::em(17.0);
        const QRectF text(std::min(point.x() + Theme::em(0.8), width() - wide), point.y() - Theme::em(2.5),
                          wide, Theme::em(2.3));
        painter.setFont(Theme::font(0.95, true));
        // No line runs through the words.
        const double said = std::max(painter.fontMetrics().horizontalAdvance(words),
                                     QFontMetrics(Theme::font(0.85)).horizontalAdvance(name));
        painter.fillRect(QRectF(text.left() - 2, text.top(), std::min(said + 4.0, wide), text.height()),
                         c.paper);
        painter.setPen(c.ink);
        drawElided(painter, QRectF(text.left(), text.top(), wide, Theme::em(1.15)), words);
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.85));
        drawElided(painter, QRectF(text.left(), text.center().y(), wide, Theme::em(1.15)), name);
    };
    items.push_back(std::move(item));
}

void Curves::addPeak(std::vector<PictureItem>& items) const {
    const cell::PowerPoint& peak = m_bench.draft().outcome().evaluation->first.maximumPower;
    const QPointF point = at(powerField(), std::abs(peak.amps), peak.watts, m_lines->watts);
    PictureItem item;
    item.id = QStringLiteral("peak");
    item.area = QRectF(point.x() - 10, point.y() - 10, 20, 20);
    item.role = QAccessible::Button;
    item.name = tr("Best power");
    item.value =
        tr("%1 at %2")
            .arg(si(peak.watts, explain::Unit::Watt), si(std::abs(peak.amps), explain::Unit::Ampere));
    item.tooltip = item.name + QStringLiteral(": ") + item.value;
    item.opens = explain::QuantityKey{explain::Quantity::MaximumPower, {}, 0, 0.0};
    item.paint = [=, this, words = item.name + QStringLiteral(" ") + item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.ink, 2.0));
        painter.setBrush(c.paper);
        painter.drawEllipse(point, Theme::em(0.4), Theme::em(0.4));
        painter.setFont(Theme::font(0.9));
        const double wide = std::min(painter.fontMetrics().horizontalAdvance(words) + 4.0, Theme::em(14.0));
        const QRectF label(point.x() - wide / 2.0, point.y() + Theme::em(0.6), wide, Theme::em(1.2));
        painter.fillRect(label, c.paper); // no line runs through the words
        painter.setPen(c.ink);
        drawElided(painter, label, words, Qt::AlignCenter);
    };
    items.push_back(std::move(item));
}

void Curves::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    compute();
    std::vector<PictureItem> items;
    if (m_lines) {
        addPeak(items);
        addLoad(items);
        addAxis(items);
    }
    setItems(std::move(items));
}

} // namespace anodex::app
