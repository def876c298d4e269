// src/app/widgets/CurvePlot.h - curves over time or current: the one place that knows the plotting library.
//
// Screen readers hear the summary given with the curves. Arrow keys pan, plus and minus zoom, 0 shows all.
#pragma once
#include "app/theme/Theme.h"
#include "app/widgets/FoldedTime.h"
#include "core/run/Thinning.h"
#include <QWidget>
#include <functional>
#include <vector>

class QCPItemStraightLine;
class QCustomPlot;

namespace anodex::app {

struct PlotCurve {
    QString name;
    std::vector<run::CurveSample> points;
    QColor colour;
    bool dashed = false;
    bool dotted = false; ///< Each point is a reading and is marked.
};

/// A stretch of the voltage axis with its name.
struct PlotBand {
    double low = 0.0;
    double high = 0.0;
    QString name;
};

struct PlotFlag {
    double x = 0.0;
    QString text;
};

class CurvePlot : public QWidget {
    Q_OBJECT
public:
    CurvePlot(const Theme& theme, const QString& accessibleName, QWidget* parent = nullptr);

    void setAxes(const QString& x, const QString& y);
    void show(const std::vector<PlotCurve>& curves, const std::vector<PlotFlag>& flags = {},
              const std::optional<PlotBand>& band = {});
    /// From then on x is time, and its long silences take little room; `unit` is what a mark counts, of x. `words` say
    /// how long a silence is.
    void foldTime(FoldedTime time, double unit, std::function<QString(double)> words);
    /// Marks a moment of the x axis, and brings it into sight.
    void markMoment(double x);
    [[nodiscard]] QCustomPlot* plot() const { return m_plot; }

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void dress();
    void replot();
    double addCurves(const std::vector<PlotCurve>& curves);
    void addBand(const PlotBand& band);
    void addFlags(const std::vector<PlotFlag>& flags);
    void addFolds();
    /// In the units of an axis, or as a share of the frame.
    enum class Measure { Data, Frame };
    void addText(const QPointF& at, Measure x, Measure y, Qt::Alignment alignment, const QString& text,
                 const QColor& colour);

    const Theme& m_theme;
    QCustomPlot* m_plot;
    FoldedTime m_time;
    std::function<QString(double)> m_silence;
    QCPItemStraightLine* m_moment = nullptr; ///< The plot's own; none until a moment is marked.
};

} // namespace anodex::app
