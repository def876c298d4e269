#include "app/widgets/CurvePlot.h"

#include <QKeyEvent>
#include <QVBoxLayout>
#include <qcustomplot.h>

namespace anodex::app {

CurvePlot::CurvePlot(const Theme& theme, const QString& accessibleName, QWidget* parent)
    : QWidget(parent), m_theme(theme), m_plot(new QCustomPlot(this)) {
    setAccessibleName(accessibleName);
    setFocusPolicy(Qt::StrongFocus);
    m_plot->setFocusPolicy(Qt::NoFocus);
    m_plot->setInteractions(QCP::iRangeDrag | QCP::iRangeZoom);
    m_plot->setNoAntialiasingOnDrag(true);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_plot);
    connect(&theme, &Theme::changed, this, &CurvePlot::dress);
    dress();
}

void CurvePlot::dress() {
    const Colours& c = m_theme.colours();
    m_plot->setBackground(c.sheet);
    for (QCPAxis* axis : {m_plot->xAxis, m_plot->yAxis}) {
        axis->setBasePen(QPen(c.rule));
        axis->setTickPen(QPen(c.rule));
        axis->setSubTickPen(Qt::NoPen);
        axis->setTickLabelColor(c.faint);
        axis->setLabelColor(c.faint);
        axis->setTickLabelFont(Theme::font(0.9));
        axis->setLabelFont(Theme::font(0.9));
        axis->grid()->setPen(QPen(c.rule, 1, Qt::DotLine));
        axis->grid()->setZeroLinePen(Qt::NoPen);
        axis->setNumberFormat(QStringLiteral("gb"));
        axis->setNumberPrecision(4);
    }
    replot();
}

void CurvePlot::replot() {
    // Before it has a size there is nothing to paint on; showing it paints it.
    if (m_plot->isVisible() && m_plot->width() > 0 && m_plot->height() > 0) {
        m_plot->replot(QCustomPlot::rpQueuedReplot);
    }
}

void CurvePlot::setAxes(const QString& x, const QString& y) {
    m_plot->xAxis->setLabel(x);
    m_plot->yAxis->setLabel(y);
}

void CurvePlot::show(const std::vector<PlotCurve>& curves, const std::vector<PlotFlag>& flags,
                     const std::optional<PlotBand>& band) {
    const Colours& c = m_theme.colours();
    m_plot->clearPlottables();
    m_plot->clearItems();
    QStringList summary;
    double top = 0.0;
    for (const PlotCurve& curve : curves) {
        QVector<double> xs;
        QVector<double> ys;
        for (const bench::CurveSample& point : curve.points) {
            xs << point.seconds;
            ys << point.value;
            top = std::max(top, point.value);
        }
        QCPGraph* graph = m_plot->addGraph();
        graph->setData(xs, ys, true);
        graph->setPen(QPen(curve.colour, 2.0, curve.dashed ? Qt::DashLine : Qt::SolidLine));
        graph->setName(curve.name);
        if (!ys.isEmpty()) {
            summary << tr("%1: from %2 to %3")
                           .arg(curve.name)
                           .arg(ys.front(), 0, 'g', 3)
                           .arg(ys.back(), 0, 'g', 3);
        }
    }
    m_plot->rescaleAxes();
    if (band) {
        top = std::max(top, band->high);
        auto* box = new QCPItemRect(m_plot);
        box->topLeft->setTypeX(QCPItemPosition::ptAxisRectRatio);
        box->topLeft->setTypeY(QCPItemPosition::ptPlotCoords);
        box->topLeft->setCoords(0.0, band->high);
        box->bottomRight->setTypeX(QCPItemPosition::ptAxisRectRatio);
        box->bottomRight->setTypeY(QCPItemPosition::ptPlotCoords);
        box->bottomRight->setCoords(1.0, band->low);
        QColor fill = c.expected;
        fill.setAlpha(90);
        box->setBrush(fill);
        box->setPen(Qt::NoPen);
        box->setLayer(QStringLiteral("background"));
    }
    const double low = std::min(0.0, m_plot->yAxis->range().lower);
    m_plot->yAxis->setRange(low, top > low ? top + 0.08 * (top - low) : low + 1.0);
    if (curves.empty()) {
        m_plot->xAxis->setRange(0.0, 1.0);
    }
    for (const PlotFlag& flag : flags) {
        auto* line = new QCPItemStraightLine(m_plot);
        line->point1->setCoords(flag.x, 0.0);
        line->point2->setCoords(flag.x, 1.0);
        line->setPen(QPen(c.note, 1.0, Qt::DashLine));
        auto* label = new QCPItemText(m_plot);
        label->position->setTypeY(QCPItemPosition::ptAxisRectRatio);
        label->position->setCoords(flag.x, 0.02);
        label->setPositionAlignment(Qt::AlignLeft | Qt::AlignTop);
        label->setText(QStringLiteral(" ") + flag.text);
        label->setColor(c.note);
        label->setFont(Theme::font(0.85));
    }
    setAccessibleDescription(summary.join(QStringLiteral("; ")));
    replot();
}

void CurvePlot::keyPressEvent(QKeyEvent* event) {
    QCPAxis* axis = m_plot->xAxis;
    const double step = axis->range().size() * 0.2;
    switch (event->key()) {
    case Qt::Key_Left:
        axis->moveRange(-step);
        break;
    case Qt::Key_Right:
        axis->moveRange(step);
        break;
    case Qt::Key_Plus:
        axis->scaleRange(0.7);
        break;
    case Qt::Key_Minus:
        axis->scaleRange(1.4);
        break;
    case Qt::Key_0:
        m_plot->rescaleAxes();
        break;
    default:
        QWidget::keyPressEvent(event);
        return;
    }
    replot();
}

} // namespace anodex::app
