#include "core/liquid/Equilibrium.h"

#include "core/base/Fault.h"

#include <algorithm>
#include <cmath>

namespace anodex::liquid {

using chemistry::Catalogue;

namespace {

constexpr double kTrace = 1e-12;       // mol/kg
constexpr double kSettled = 1e-7;      // change of ln γ between two rounds
constexpr double kGoodEnough = 1e-5;   // of the coefficients' last change, in ln
constexpr int kMostRounds = 600;       // of both in turn
constexpr double kLargestLnGamma = 40; // beyond it no coefficient has a meaning
// From where the strides shrink steadily, and their sum is foreseen (Irons & Tuck, Int. J. Numer. Methods Eng. 1, 275
// (1969), from memory).
constexpr double kNear = 0.01;
constexpr double kLeastRelaxation = 0.1;
constexpr double kMostRelaxation = 2.0;

} // namespace

Equilibrium::Equilibrium(const Catalogue& catalogue) : m_catalogue(catalogue), m_speciation(catalogue) {}

void Equilibrium::beginWith(Start start) {
    m_start = std::move(start);
    m_startsAnew = true;
}

void Equilibrium::takeSpecies() {
    const auto& species = m_speciation.species();
    m_interactions = std::make_unique<IonInteractions>(m_catalogue, species, species.size());
    m_lnGamma.assign(species.size(), 0.0);
    m_lnSolvent = 0.0;
}

void Equilibrium::takeStart() {
    const auto& species = m_speciation.species();
    std::transform(species.begin(), species.end(), m_lnGamma.begin(),
                   [this](chemistry::SpeciesIndex s) { return m_start->lnGamma[s]; });
    m_lnSolvent = m_start->lnSolventActivity;
    m_speciation.beginWith(m_start->lnActivity, m_start->solids);
}

/// One round; how much the coefficients wanted to move.
double Equilibrium::stride() {
    const SpeciationResult& result = *m_result;
    m_activities = &m_interactions->at(result.molality, m_temperatureKelvin);
    double change = std::abs(m_activities->lnSolventActivity - m_lnSolvent);
    double before = 0.0;
    double along = 0.0;
    double now = 0.0;
    for (std::size_t i = 0; i < m_lnGamma.size(); ++i) {
        const double wanted = std::clamp(m_activities->lnGamma[i], -kLargestLnGamma, kLargestLnGamma);
        const double stride = wanted - m_lnGamma[i];
        // What is hardly there may wait for its coefficient; it moves nothing else.
        if (result.molality[i] > kTrace) {
            change = std::max(change, std::abs(stride));
            before += m_lastStride[i] * m_lastStride[i];
            along += stride * m_lastStride[i];
            now += stride * stride;
        }
        m_lastStride[i] = stride;
    }
    const double bend = before - 2.0 * along + now;
    if (change < kNear && before > 0.0 && bend > 0.0) {
        m_relaxation = std::clamp(m_relaxation * (before - along) / bend, kLeastRelaxation, kMostRelaxation);
    } else {
        m_relaxation = m_damping;
    }
    for (std::size_t i = 0; i < m_lnGamma.size(); ++i) {
        m_lnGamma[i] += m_relaxation * m_lastStride[i];
    }
    m_lnSolvent += m_relaxation * (m_activities->lnSolventActivity - m_lnSolvent);
    // Going back and forth calls for shorter strides, going on the same way for longer ones.
    m_damping = along < 0.0 ? std::max(0.6 * m_damping, 0.02) : std::min(1.2 * m_damping, 1.0);
    return change;
}

void Equilibrium::settle(const SpeciationSetting& setting) {
    const bool newRows = !m_speciation.setUp(setting);
    m_changedSpecies = newRows && (!m_interactions || m_interactions->species() != m_speciation.species());
    if (m_changedSpecies) {
        takeSpecies();
    }
    if (m_start && (newRows || m_startsAnew)) {
        takeStart();
    }
    m_startsAnew = false;
    m_temperatureKelvin = setting.temperatureKelvin;
    m_lastStride.assign(m_lnGamma.size(), 0.0);
    m_damping = 1.0;
    m_relaxation = 1.0;
    // While the coefficients still move, what a step leaves may be a hundredth of that.
    const auto lastStep = [](double moved) { return 0.1 * std::sqrt(std::min(moved, 1.0)); };
    double change = 1.0;
    m_result = &m_speciation.solve(m_lnGamma, m_lnSolvent, lastStep(change));
    for (int round = 0; round < kMostRounds && change > kSettled; ++round) {
        change = stride();
        m_result = &m_speciation.solve(m_lnGamma, m_lnSolvent, lastStep(change));
    }
    if (!m_result->converged || !(change < kGoodEnough)) {
        throw base::Fault(base::Fault::Kind::DidNotEnd, "composition of a liquid", change);
    }
}

} // namespace anodex::liquid
