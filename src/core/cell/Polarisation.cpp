#include "core/cell/Polarisation.h"

#include "core/base/RootFinding.h"
#include "core/cell/Junction.h"
#include "core/cell/Resistance.h"

#include <cmath>

namespace anodex::cell {
namespace {

electrode::FacedElectrode settledOf(const CompiledCell& compiled, const state::Contents& contents,
                                    design::Side side) {
    return {compiled.at(side, contents), electrode::secondsOf(electrode::Moment::Settled)};
}

electrode::FacedElectrode justLoaded(const electrode::FacedElectrode& settled, const electrode::Seat& rest,
                                     const state::ElectrodeState& state) {
    return settled.loaded(electrode::kFirstMomentSeconds, rest, state.doubleLayerVolts.value_or(rest.volts));
}

} // namespace

Polarisation::Polarisation(const CompiledCell& compiled, const state::Contents& contents)
    : m_negative(settledOf(compiled, contents, design::Side::Negative)),
      m_positive(settledOf(compiled, contents, design::Side::Positive)),
      m_restNegative(m_negative.seatAt(0.0)), m_restPositive(m_positive.seatAt(0.0)),
      m_junction(cell::junctionVolts(compiled, contents)),
      m_ohm(resistanceBudget(compiled, contents).totalOhm) {
    const design::Cell& cell = compiled.cell;
    m_openCircuit = m_restPositive.volts - m_restNegative.volts + m_junction;
    constexpr double kRounding = 1e-9; // V: what the searches for two resting potentials leave
    if (std::abs(m_openCircuit) < kRounding) {
        m_offset = -m_openCircuit;
        m_openCircuit = 0.0;
    }
    if (cell.measuredOpenCircuitVolts) {
        m_offset += *cell.measuredOpenCircuitVolts - m_openCircuit;
        m_openCircuit = *cell.measuredOpenCircuitVolts;
    }
}

Polarisation::Polarisation(const CompiledCell& compiled, const state::Contents& contents,
                           electrode::Moment moment)
    : Polarisation(moment == electrode::Moment::Settled
                       ? Polarisation(compiled, contents)
                       : Polarisation(compiled, contents).atFirst(contents)) {}

Polarisation::Polarisation(const Polarisation& settled, electrode::FacedElectrode negative,
                           electrode::FacedElectrode positive)
    : m_negative(std::move(negative)), m_positive(std::move(positive)),
      m_restNegative(settled.m_restNegative), m_restPositive(settled.m_restPositive),
      m_junction(settled.m_junction), m_offset(settled.m_offset), m_ohm(settled.m_ohm),
      m_openCircuit(settled.m_openCircuit) {}

Polarisation Polarisation::atFirst(const state::Contents& contents) const {
    return {*this, justLoaded(m_negative, m_restNegative, contents.state.electrodes[0]),
            justLoaded(m_positive, m_restPositive, contents.state.electrodes[1])};
}

base::Sloped Polarisation::at(double amps) const {
    return between(m_negative.seatAt(amps), m_positive.seatAt(-amps), amps);
}

base::Sloped Polarisation::between(const electrode::Seat& negative, const electrode::Seat& positive,
                                   double amps) const {
    return {positive.volts - negative.volts + m_junction + m_offset - amps * m_ohm,
            -positive.voltsPerAmp - negative.voltsPerAmp - m_ohm};
}

double Polarisation::shortCircuitAmps(double meterOhm) const {
    if (m_openCircuit == 0.0) {
        return 0.0;
    }
    const double most = std::abs(m_openCircuit) / (m_ohm + meterOhm);
    const double sign = m_openCircuit > 0.0 ? 1.0 : -1.0;
    base::RootOptions options;
    options.lowest = 0.0;
    options.highest = most;
    options.step = most;
    const auto searched = [&](double guess, double tolerance, const auto& voltsAt) {
        options.tolerance = tolerance;
        options.nearlyZero = 1e-7 * std::abs(m_openCircuit);
        const auto shortfall = [&](double amps) {
            const base::Sloped here = voltsAt(sign * amps);
            return base::Sloped{amps * meterOhm - sign * here.value, meterOhm - here.slope};
        };
        return base::rootOfRisingBySlope(shortfall, guess, options);
    };
    // Faces that stay as they were cost nothing and bring it most of the way.
    const double near = searched(most, 1e-3 * most, [&](double amps) {
        return between(m_negative.heldSeatAt(amps), m_positive.heldSeatAt(-amps), amps);
    });
    options.step = std::max(1e-2 * near, 1e-6 * most);
    constexpr double kLeastAmps = 1e-18; // nothing that flows is smaller
    return sign * searched(near, std::max(1e-13 * near, kLeastAmps), [&](double amps) { return at(amps); });
}

} // namespace anodex::cell
