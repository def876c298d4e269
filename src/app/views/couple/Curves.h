// src/app/views/couple/Curves.h - voltage and power over current, at first and once settled, with the range
// and the load's own line.
//
// Scale      both curves over one axis of current: voltage above, power below. The pale field joins the
//            ranges of open and short circuit; the line of the load shown goes through zero.
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

signals:
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);

private:
    struct Lines {
        std::vector<cell::CurvePoint> first;
        std::vector<cell::CurvePoint> settled;
        double loadAmps = 0.0; ///< On the first curve.
        double loadVolts = 0.0;
        double volts = 1.0; ///< The greatest of each, for the scales.
        double amps = 1.0;
        double watts = 1.0;
    };

    void compute();
    void rebuild();
    [[nodiscard]] QRectF voltageField() const;
    [[nodiscard]] QRectF powerField() const;
    [[nodiscard]] QPointF at(const QRectF& field, double amps, double value, double most) const;
    void addLoad(std::vector<PictureItem>& items) const;
    void addPeak(std::vector<PictureItem>& items) const;
    void paint(QPainter& painter) const;
    void paintRange(QPainter& painter) const;
    void paintScales(QPainter& painter) const;

    Workbench& m_bench;
    const Theme& m_theme;
    std::optional<Lines> m_lines;
    load::Load m_load{load::Load::Kind::Share, 0.25, {}};
};

} // namespace anodex::app
