#include "app/widgets/CurvePlot.h"

#include <QKeyEvent>
#include <QVBoxLayout>
#include <algorithm>
#include <qcustomplot.h>

namespace anodex::app {
namespace {

/// Out of sight it may be laid out to nothing, on which the library cannot paint. Marks keep apart at any size.
class SizedPlot : public QCustomPlot {
public:
    using QCustomPlot::QCustomPlot;

protected:
    void resizeEvent(QResizeEvent* event) override {
        if (!size().isEmpty()) {
            constexpr int kMost = 7;
            const int mark = fontMetrics().horizontalAdvance(QStringLiteral("0000000"));
            xAxis->ticker()->setTickCount(std::clamp(width() / mark, 3, kMost));
            QCustomPlot::resizeEvent(event);
        }
    }
};

/// Round times, wherever the folds put them.
class FoldedTicker : public QCPAxisTicker {
public:
    FoldedTicker(FoldedTime time, double unit) : m_time(std::move(time)), m_unit(unit) {}

protected:
    void generate(const QCPRange& range, const QLocale& locale, QChar formatChar, int precision,
                  QVector<double>& ticks, QVector<double>* subTicks, QVector<QString>* labels) override {
        ticks.clear();
        if (subTicks != nullptr) {
            subTicks->clear();
        }
        constexpr int kMarks = 7;
        QVector<QString> words;
        for (const double moment : marksOf(m_time, {range.lower, range.upper}, kMarks)) {
            ticks << m_time.at(moment);
            words << locale.toString(moment / m_unit, formatChar.toLatin1(), precision);
        }
        if (labels != nullptr) {
            *labels = words;
        }
    }

private:
    FoldedTime m_time;
    double m_unit;
};

} // namespace

CurvePlot::CurvePlot(const Theme& theme, const QString& accessibleName, QWidget* parent)
    : QWidget(parent), m_theme(theme), m_plot(new SizedPlot(this)) {
    setAccessibleName(accessibleName);
    setFocusPolicy(Qt::StrongFocus);
    m_plot->setFocusPolicy(Qt::NoFocus);
    m_plot->setInteractions(QCP::iRangeDrag | QCP::iRangeZoom);
    m_plot->setNoAntialiasingOnDrag(true);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_plot);
    // Above the frame, where no curve runs under it.
    auto* above = new QCPLayoutGrid;
    m_plot->plotLayout()->insertRow(0);
    m_plot->plotLayout()->addElement(0, 0, above);
    m_plot->plotLayout()->setRowStretchFactor(0, 0.001);
    m_plot->legend->setFillOrder(QCPLegend::foColumnsFirst);
    above->addElement(0, 0, new QCPLayoutElement);
    above->addElement(0, 1, m_plot->legend);
    above->setColumnStretchFactor(1, 0.001);
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
    QCPLegend* legend = m_plot->legend;
    legend->setFont(Theme::font(0.9));
    legend->setTextColor(c.ink);
    legend->setBrush(c.sheet);
    legend->setBorderPen(Qt::NoPen);
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

void CurvePlot::foldTime(FoldedTime time, double unit, std::function<QString(double)> words) {
    m_time = std::move(time);
    m_silence = std::move(words);
    m_plot->xAxis->setTicker(QSharedPointer<QCPAxisTicker>(new FoldedTicker(m_time, unit)));
}

void CurvePlot::show(const std::vector<PlotCurve>& curves, const std::vector<PlotFlag>& flags,
                     const std::optional<PlotBand>& band) {
    m_plot->clearPlottables();
    m_plot->clearItems();
    m_moment = nullptr;
    const double highest = addCurves(curves);
    m_plot->rescaleAxes();
    m_plot->xAxis->scaleRange(1.04); // so that the first and the last point are not cut
    if (band) {
        addBand(*band);
    }
    const double top = band ? std::max(highest, band->high) : highest;
    const double low = std::min(0.0, m_plot->yAxis->range().lower);
    m_plot->yAxis->setRange(low, top > low ? top + 0.16 * (top - low) : low + 1.0);
    if (curves.empty()) {
        m_plot->xAxis->setRange(0.0, 1.0);
    }
    addFolds();
    addFlags(flags);
    replot();
}

double CurvePlot::addCurves(const std::vector<PlotCurve>& curves) {
    QStringList summary;
    QStringList named;
    double top = 0.0;
    m_plot->legend->clearItems();
    for (const PlotCurve& curve : curves) {
        QVector<double> xs;
        QVector<double> ys;
        for (const run::CurveSample& point : curve.points) {
            xs << m_time.at(point.x);
            ys << point.y;
            top = std::max(top, point.y);
        }
        QCPGraph* graph = m_plot->addGraph();
        graph->setData(xs, ys, true);
        graph->setPen(QPen(curve.colour, 2.0, curve.dashed ? Qt::DashLine : Qt::SolidLine));
        graph->setName(curve.name);
        if (curve.dotted) {
            graph->setScatterStyle(
                QCPScatterStyle(QCPScatterStyle::ssDiamond, curve.colour, curve.colour, 8));
        }
        if (named.contains(curve.name)) {
            graph->removeFromLegend(); // several runs of one build share an entry
        } else {
            named << curve.name;
        }
        if (!ys.isEmpty()) {
            summary << tr("%1: from %2 to %3")
                           .arg(curve.name)
                           .arg(ys.front(), 0, 'g', 3)
                           .arg(ys.back(), 0, 'g', 3);
        }
    }
    if (named.size() < 2) {
        m_plot->legend->clearItems(); // one curve needs no name
    }
    m_plot->legend->setVisible(named.size() > 1);
    setAccessibleDescription(summary.join(QStringLiteral("; ")));
    return top;
}

void CurvePlot::addText(const QPointF& at, Measure x, Measure y, Qt::Alignment alignment, const QString& text,
                        const QColor& colour) {
    const auto typeOf = [](Measure measure) {
        return measure == Measure::Data ? QCPItemPosition::ptPlotCoords : QCPItemPosition::ptAxisRectRatio;
    };
    auto* label = new QCPItemText(m_plot);
    label->position->setTypeX(typeOf(x));
    label->position->setTypeY(typeOf(y));
    label->position->setCoords(at);
    label->setPositionAlignment(alignment);
    label->setText(QStringLiteral(" ") + text);
    label->setColor(colour);
    label->setFont(Theme::font(0.85));
}

void CurvePlot::addBand(const PlotBand& band) {
    auto* box = new QCPItemRect(m_plot);
    box->topLeft->setTypeX(QCPItemPosition::ptAxisRectRatio);
    box->topLeft->setTypeY(QCPItemPosition::ptPlotCoords);
    box->topLeft->setCoords(0.0, band.high);
    box->bottomRight->setTypeX(QCPItemPosition::ptAxisRectRatio);
    box->bottomRight->setTypeY(QCPItemPosition::ptPlotCoords);
    box->bottomRight->setCoords(1.0, band.low);
    QColor fill = m_theme.colours().expected;
    fill.setAlpha(90);
    box->setBrush(fill);
    box->setPen(Qt::NoPen);
    box->setLayer(QStringLiteral("background"));
    addText({0.0, band.high}, Measure::Frame, Measure::Data, Qt::AlignLeft | Qt::AlignBottom, band.name,
            m_theme.colours().faint);
}

void CurvePlot::addFlags(const std::vector<PlotFlag>& flags) {
    std::vector<PlotFlag> inOrder = flags;
    for (PlotFlag& flag : inOrder) {
        flag.x = m_time.at(flag.x);
    }
    std::stable_sort(inOrder.begin(), inOrder.end(),
                     [](const PlotFlag& a, const PlotFlag& b) { return a.x < b.x; });
    constexpr double kWords = 0.22; // of the width, that the words of a flag take
    constexpr double kRow = 0.055;
    constexpr int kRows = 6;
    const double wide = kWords * m_plot->xAxis->range().size();
    int row = 0;
    double before = 0.0;
    for (const PlotFlag& flag : inOrder) {
        // Words that would print over those before them stand a row lower.
        row = &flag != &inOrder.front() && flag.x - before < wide ? (row + 1) % kRows : 0;
        before = flag.x;
        auto* line = new QCPItemStraightLine(m_plot);
        line->point1->setCoords(flag.x, 0.0);
        line->point2->setCoords(flag.x, 1.0);
        line->setPen(QPen(m_theme.colours().note, 1.0, Qt::DashLine));
        addText({flag.x, 0.02 + kRow * row}, Measure::Data, Measure::Frame, Qt::AlignLeft | Qt::AlignTop,
                flag.text, m_theme.colours().note);
    }
}

/// How long nothing was recorded, between two lines.
void CurvePlot::addFolds() {
    for (const FoldedTime::Fold& fold : m_time.folds()) {
        for (const double x : {fold.from, fold.to}) {
            auto* line = new QCPItemStraightLine(m_plot);
            line->point1->setCoords(x, 0.0);
            line->point2->setCoords(x, 1.0);
            line->setPen(QPen(m_theme.colours().rule, 1.5));
        }
        auto* words = new QCPItemText(m_plot);
        words->position->setTypeX(QCPItemPosition::ptPlotCoords);
        words->position->setTypeY(QCPItemPosition::ptAxisRectRatio);
        words->position->setCoords(0.5 * (fold.from + fold.to), 0.96);
        words->setPositionAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        words->setRotation(-90.0);
        words->setText(m_silence(fold.silent));
        words->setColor(m_theme.colours().faint);
        words->setFont(Theme::font(0.8));
    }
}

void CurvePlot::markMoment(double moment) {
    const double x = m_time.at(moment);
    if (m_moment == nullptr) {
        m_moment = new QCPItemStraightLine(m_plot);
        m_moment->setPen(QPen(m_theme.colours().focus, 2.0));
    }
    m_moment->point1->setCoords(x, 0.0);
    m_moment->point2->setCoords(x, 1.0);
    QCPAxis* axis = m_plot->xAxis;
    if (!axis->range().contains(x)) {
        axis->moveRange(x - axis->range().center());
    }
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
