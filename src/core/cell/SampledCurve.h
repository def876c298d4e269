// src/core/cell/SampledCurve.h - the voltage from rest to short circuit, known where it bends and drawn between.
//
// Law        cubics through points with their slopes, no steeper at an end than three times the chord, so that nothing
//            rises (Fritsch & Carlson, SIAM J. Numer. Anal. 17, 238 (1980)); halved until the next point is met.
// Units      A, V, W.
#pragma once
#include "core/cell/Polarisation.h"
#include <vector>

namespace anodex::cell {

struct CurvePoint {
    double amps = 0.0;
    double volts = 0.0;
    bool operator==(const CurvePoint&) const = default;
};

struct PowerPoint {
    double watts = 0.0;
    double amps = 0.0;
};

/// Refers to the curve it is made from, which has to live longer.
class SampledCurve {
public:
    static constexpr double kToDraw =
        1e-4; ///< V from the curve itself, proportionally less below half a volt.
    static constexpr double kToFindPower = 4e-3; ///< The same: power depends on the square of it.

    SampledCurve(const Polarisation& curve, double shortCircuitAmps, double nearVolts = kToDraw);

    /// Between rest and short circuit.
    [[nodiscard]] double voltsAt(double amps) const;
    /// Largest V·I; never negative.
    [[nodiscard]] PowerPoint maximumPower() const;
    /// As many as asked, evenly from the lower current to the higher; none without a short circuit.
    [[nodiscard]] std::vector<CurvePoint> points(int count) const;
    /// From the lower current to the higher, closer where it bends, so that straight lines between them are the
    /// curve to the eye; none without a short circuit.
    [[nodiscard]] std::vector<CurvePoint> pointsToDraw() const;

private:
    /// One point of the curve.
    struct Knot {
        double amps = 0.0;
        double volts = 0.0;
        double slope = 0.0; ///< V/A, <= 0
    };

    [[nodiscard]] Knot knotAt(double amps) const;
    [[nodiscard]] static double between(const Knot& low, const Knot& high, double amps);
    void refine(const Knot& low, const Knot& high, double nearVolts, int halvings);

    const Polarisation& m_curve;
    std::vector<Knot> m_knots; ///< By rising current.
};

} // namespace anodex::cell
