// src/app/views/couple/Curves.h - voltage and power over current, at first and once settled, with the range
// and the load's own line.
//
// Scale      both curves over one axis of current, in even steps or by decades: voltage above, power below. The
//            pale field joins the ranges of open and short circuit; the line of the load shown goes through zero.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/widgets/picture/Picture.h"
#include "core/load/Load.h"

namespace anodex::app {

class Curves : public Picture {
    Q_OBJECT
public:
    Curves(Workbench& bench, const Theme& theme, QWidget* parent);

    void setLoad(const load::Load& load);
    /// Volts, amperes and watts of the first curve under the pointer; empty beside the curves.
    [[nodiscard]] QString pointedWords() const;

signals:
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;

private:
    struct Lines {
        std::vector<cell::CurvePoint> first;
        std::vector<cell::CurvePoint> settled;
        double loadAmps = 0.0; ///< On the first curve.
        double loadVolts = 0.0;
        double volts = 1.0; ///< The greatest of each, for the scales.
        double amps = 1.0;
        double leastAmps = 1e-4; ///< At the left end of an axis of decades.
        double watts = 1.0;
    };

    void compute();
    [[nodiscard]] std::vector<cell::CurvePoint> pointsOf(const cell::Polarisation& cell,
                                                         double shorted) const;
    void rebuild();
    [[nodiscard]] QRectF voltageField() const;
    [[nodiscard]] QRectF powerField() const;
    [[nodiscard]] QRectF axisSwitch() const;
    [[nodiscard]] QPointF at(const QRectF& field, double amps, double value, double most) const;
    [[nodiscard]] double along(double amps) const;
    [[nodiscard]] double ampsAlong(double share) const;
    [[nodiscard]] std::vector<double> ampsMarked() const;
    void changeAxis();
    void addAxis(std::vector<PictureItem>& items) const;
    void addLoad(std::vector<PictureItem>& items) const;
    void addPeak(std::vector<PictureItem>& items) const;
    void paint(QPainter& painter) const;
    void paintRange(QPainter& painter) const;
    void paintScales(QPainter& painter) const;
    void paintPointer(QPainter& painter) const;

    Workbench& m_bench;
    const Theme& m_theme;
    std::optional<Lines> m_lines;
    bool m_byDecades = false;
    std::optional<double> m_pointed; ///< A under the pointer.
    load::Load m_load{load::Load::Kind::Share, 0.25, {}};
};

} // namespace anodex::app
