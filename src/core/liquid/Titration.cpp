#include "core/liquid/Titration.h"

#include "core/base/Fault.h"
#include "core/liquid/SolveSolution.h"

#include <algorithm>
#include <cmath>

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

Titration::Titration(const chemistry::Catalogue& catalogue, const Solution& bulk)
    : m_catalogue(catalogue), m_bulk{bulk, 0.0} {
    if (bulk.mixture.hasPhScale) {
        m_lowest = -static_cast<int>(std::max(1.0, std::floor((bulk.pH - kMostAcid) / kStep)));
        m_highest = static_cast<int>(std::max(1.0, std::floor((kMostAlkaline - bulk.pH) / kStep)));
    }
    m_bulkDrive = driveOf(bulk);
}

Titration::Titration(const chemistry::Catalogue& catalogue, std::unique_ptr<LiquidSolver> solver)
    : Titration(catalogue, solver->solution()) {
    m_idle.push_back(std::move(solver));
}

Titration::~Titration() = default;

const Titration::Point& Titration::at(int step) const {
    if (step == 0) {
        return m_bulk;
    }
    Place& place = placeOf(step);
    // It waits for nearer acidities only, so no two wait for each other.
    std::call_once(place.solved, [&] {
        place.point = solved(step);
        if (!place.point) {
            place.point = last(step);
        }
    });
    return *place.point;
}

Titration::Place& Titration::placeOf(int step) const {
    const std::lock_guard lock(m_mutex);
    return m_places[step];
}

/// None where no activities are found.
std::optional<Titration::Point> Titration::solved(int step) const {
    const Point& from = at(nearerOf(step));
    if (std::abs(from.drive) >= kEndless) {
        return std::nullopt;
    }
    std::unique_ptr<LiquidSolver> solver = takeSolver();
    try {
        Point point{solver->titrate(from.solution, m_bulk.solution.pH + kStep * step), 0.0};
        giveBack(std::move(solver));
        point.drive = driveOf(point.solution) - m_bulkDrive;
        return (step > 0) == (point.drive > 0.0) && point.drive != 0.0 ? std::optional(std::move(point))
                                                                       : std::nullopt;
    } catch (const base::Fault&) {
        return std::nullopt; // and what the solver was left with is not used again
    }
}

/// As far as activities are found, and there the face stays.
Titration::Point Titration::last(int step) const {
    const int towards = step > 0 ? 1 : -1;
    Point point = at(step - towards);
    point.drive += towards * kEndless;
    return point;
}

std::unique_ptr<LiquidSolver> Titration::takeSolver() const {
    {
        const std::lock_guard lock(m_mutex);
        if (!m_idle.empty()) {
            std::unique_ptr<LiquidSolver> solver = std::move(m_idle.back());
            m_idle.pop_back();
            return solver;
        }
    }
    auto solver = std::make_unique<LiquidSolver>(m_catalogue);
    solver->beginWith(m_bulk.solution);
    return solver;
}

void Titration::giveBack(std::unique_ptr<LiquidSolver> solver) const {
    const std::lock_guard lock(m_mutex);
    m_idle.push_back(std::move(solver));
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
