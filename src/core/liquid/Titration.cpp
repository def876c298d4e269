#include "core/liquid/Titration.h"

#include "core/base/Fault.h"
#include "core/liquid/SolveSolution.h"

#include <algorithm>
#include <cmath>
#include <optional>

namespace anodex::liquid {
namespace {

constexpr double kEndless = 1e-3;            // mol/(m s): more than any electrode makes
constexpr double kMostAcid = 0.5;            // pH; a more acid liquid has one step beyond itself
constexpr double kMostAlkaline = 14.5;       // the same
constexpr double kSolidDiffusivity = 0.7e-9; // m²/s: of the metal ion that comes to fall out

/// From which a step is found, so that it is the same whatever was asked before: without its last binary 1, or half of
/// a power of two. A search that doubles its strides and then halves them has been there.
int nearerOf(int step) {
    const int far = std::abs(step);
    const int without = far & (far - 1);
    return (step > 0 ? 1 : -1) * (without != 0 ? without : far / 2);
}

/// Hydroxide that one of it carries over the masters it is made of.
double hydroxideOf(const chemistry::Catalogue& catalogue, chemistry::SpeciesIndex species) {
    const auto& formation = catalogue.species[species].formation;
    double protons = species == catalogue.key.hydrogenIon ? 1.0 : 0.0;
    if (formation) {
        for (const chemistry::SpeciesTerm& term : formation->terms) {
            protons += term.species == catalogue.key.hydrogenIon ? term.count : 0.0;
        }
    }
    return -protons;
}

} // namespace

Titration::Titration(const chemistry::Catalogue& catalogue, const Solution& bulk) : m_catalogue(catalogue) {
    if (bulk.mixture.hasPhScale) {
        m_lowest = -static_cast<int>(std::max(1.0, std::floor((bulk.pH - kMostAcid) / kStep)));
        m_highest = static_cast<int>(std::max(1.0, std::floor((kMostAlkaline - bulk.pH) / kStep)));
    }
    m_points.emplace(0, Point{bulk, 0.0});
    m_bulkDrive = driveOf(bulk);
}

Titration::~Titration() = default;

const Titration::Point& Titration::at(int step) const {
    const std::lock_guard lock(m_mutex);
    return found(step);
}

const Titration::Point& Titration::found(int step) const {
    const auto known = m_points.find(step);
    if (known != m_points.end()) {
        return known->second;
    }
    const int towards = step > 0 ? 1 : -1;
    const auto solved = [&]() -> std::optional<Point> {
        const Point& from = found(nearerOf(step));
        if (std::abs(from.drive) >= kEndless) {
            return std::nullopt;
        }
        if (!m_solver) {
            m_solver = std::make_unique<LiquidSolver>(m_catalogue);
            m_solver->beginWith(m_points.at(0).solution);
        }
        try {
            Point point{m_solver->titrate(from.solution, m_points.at(0).solution.pH + kStep * step), 0.0};
            point.drive = driveOf(point.solution) - m_bulkDrive;
            return towards * point.drive > 0.0 ? std::optional(std::move(point)) : std::nullopt;
        } catch (const base::Fault&) {
            return std::nullopt;
        }
    };
    if (auto point = solved()) {
        return m_points.emplace(step, *std::move(point)).first->second;
    }
    // As far as activities are found, and there the face stays.
    m_solver.reset();
    Point last = found(step - towards);
    last.drive += towards * kEndless;
    return m_points.emplace(step, std::move(last)).first->second;
}

double Titration::driveOf(const Solution& solution) const {
    double drive = 0.0;
    for (chemistry::SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        if (solution.molality[s] > 0.0) {
            drive +=
                hydroxideOf(m_catalogue, s) * m_catalogue.species[s].diffusivity * solution.concentration(s);
        }
    }
    for (const Precipitate& solid : solution.precipitates) {
        drive +=
            hydroxideOf(m_catalogue, solid.species) * kSolidDiffusivity * solid.moles / solution.volumeM3;
    }
    return drive;
}

} // namespace anodex::liquid
