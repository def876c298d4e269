// src/core/cell/Polarisation.h - the cell's voltage at any current, and what follows from that curve.
//
// Law        V(I) = E+(-I) - E-(I) + E_junction - I R, falling in I, so every search below is bracketed. A
//            measured open circuit shifts the whole curve.
// Sign       I > 0 on discharge. A cell labelled the wrong way round has V(0) < 0 and I_sc < 0.
#pragma once
#include "core/cell/CompiledCell.h"
#include "core/electrode/FacedElectrode.h"

namespace anodex::cell {

inline constexpr double kMeterOhm = 0.05; ///< Meter and leads at short circuit, unless given.

/// Refers to the cell and the contents it is made from, which have to live longer.
class Polarisation {
public:
    Polarisation(const CompiledCell& compiled, const state::Contents& contents, electrode::Moment moment);
    Polarisation(CompiledCell&&, const state::Contents&, electrode::Moment) = delete;
    Polarisation(const CompiledCell&, state::Contents&&, electrode::Moment) = delete;
    Polarisation(CompiledCell&&, state::Contents&&, electrode::Moment) = delete;

    /// Of a settled curve: the same cell just after a load came on.
    [[nodiscard]] Polarisation atFirst(const state::Contents& contents) const;

    /// V and V/A; the slope, never above 0, has no end where nothing answers a current.
    [[nodiscard]] base::Sloped at(double amps) const;
    /// The same from where both electrodes sit.
    [[nodiscard]] base::Sloped between(const electrode::Seat& negative, const electrode::Seat& positive,
                                       double amps) const;
    [[nodiscard]] double voltsAt(double amps) const { return at(amps).value; }
    [[nodiscard]] double openCircuitVolts() const { return m_openCircuit; }
    [[nodiscard]] double shortCircuitAmps(double meterOhm = kMeterOhm) const;
    /// At the terminals with a load resistor across them.
    [[nodiscard]] double voltsThrough(double loadOhm) const { return shortCircuitAmps(loadOhm) * loadOhm; }
    [[nodiscard]] const electrode::FacedElectrode& electrode(design::Side side) const {
        return side == design::Side::Negative ? m_negative : m_positive;
    }
    [[nodiscard]] electrode::Seat seatAt(design::Side side, double cellAmps) const {
        return electrode(side).seatAt(side == design::Side::Negative ? cellAmps : -cellAmps);
    }
    [[nodiscard]] double potentialAt(design::Side side, double cellAmps) const {
        return seatAt(side, cellAmps).volts;
    }
    [[nodiscard]] double restVolts(design::Side side) const {
        return side == design::Side::Negative ? m_restNegative.volts : m_restPositive.volts;
    }
    [[nodiscard]] double junctionVolts() const { return m_junction; }
    [[nodiscard]] double ohm() const { return m_ohm; }

private:
    /// Settled.
    Polarisation(const CompiledCell& compiled, const state::Contents& contents);
    Polarisation(const Polarisation& settled, electrode::FacedElectrode negative,
                 electrode::FacedElectrode positive);

    electrode::FacedElectrode m_negative;
    electrode::FacedElectrode m_positive;
    electrode::Seat m_restNegative;
    electrode::Seat m_restPositive;
    double m_junction = 0.0;
    double m_offset = 0.0; ///< What a measured open circuit differs from the computed one.
    double m_ohm = 0.0;
    double m_openCircuit = 0.0;
};

} // namespace anodex::cell
