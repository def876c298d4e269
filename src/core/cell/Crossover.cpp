#include "core/cell/Crossover.h"

#include "core/base/Constants.h"
#include "core/cell/Membrane.h"
#include "core/electrode/Transport.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::SpeciesIndex;
using design::Side;

/// The way from one liquid to the other.
class Way {
public:
    Way(const CompiledCell& compiled, const state::Contents& contents)
        : m_catalogue(compiled.catalogue), m_cell(compiled.cell), m_contents(contents),
          m_path(compiled.cell.gapMetres) {
        if (!m_cell.barrier) {
            return;
        }
        const chemistry::SeparatorMaterial& separator = m_catalogue.separators[m_cell.barrier->separator];
        m_path += m_cell.barrier->thicknessMetres * (separator.macMullin.value - 1.0);
        m_leak = separator.leak;
        if (separator.fixedCharge != 0.0) {
            constexpr double kWaterShare =
                0.35; // of a swollen membrane, where its charge stands (from memory)
            m_donnan = donnanPotential(m_catalogue, ionsOf(m_catalogue, contents.solution(Side::Positive)),
                                       separator.fixedCharge / kWaterShare);
        }
    }

    /// mol/s of one form towards the negative side; never below zero.
    [[nodiscard]] double molesPerSecond(SpeciesIndex form) const {
        const double difference = m_contents.solution(Side::Positive).concentration(form) -
                                  m_contents.solution(Side::Negative).concentration(form);
        return std::max(difference, 0.0) * m_leak *
               partition(m_catalogue.species[form].formula.charge, m_donnan) * design::currentArea(m_cell) *
               electrode::diffusivity(m_catalogue.species[form], m_contents.state.temperatureKelvin) / m_path;
    }

private:
    const chemistry::Catalogue& m_catalogue;
    const design::Cell& m_cell;
    const state::Contents& m_contents;
    double m_path;
    double m_leak = 1.0;
    double m_donnan = 0.0; ///< RT/F
};

/// mol/s of all forms that turn into the reagent as it is used up, as that reagent.
double wandering(const chemistry::Catalogue& catalogue, const state::Contents& contents, const Way& way,
                 SpeciesIndex reagent) {
    const auto& own = chemistry::moietiesOf(catalogue, reagent);
    if (own.empty()) {
        return way.molesPerSecond(reagent);
    }
    double moles = 0.0;
    for (SpeciesIndex form = 0; form < catalogue.species.size(); ++form) {
        if (contents.solution(Side::Positive).molality[form] <= 0.0) {
            continue;
        }
        for (const chemistry::SpeciesTerm& part : chemistry::moietiesOf(catalogue, form)) {
            if (part.species == own.front().species) {
                moles += part.count / own.front().count * way.molesPerSecond(form);
            }
        }
    }
    return moles;
}

} // namespace

double crossoverAmps(const CompiledCell& compiled, const state::Contents& contents,
                     const chemistry::Reaction& positive) {
    const chemistry::Catalogue& catalogue = compiled.catalogue;
    if (!compiled.cell.twoLiquids) {
        return 0.0;
    }
    const Way way(compiled, contents);
    double amps = base::kFaraday * way.molesPerSecond(catalogue.key.hydrogenIon);
    for (const chemistry::SpeciesTerm& term : positive.terms) {
        const bool wanders = term.count < 0.0 && catalogue.species[term.species].isDissolved() &&
                             term.species != catalogue.key.hydrogenIon;
        if (wanders) {
            amps += positive.electrons / std::abs(term.count) * base::kFaraday *
                    wandering(catalogue, contents, way, term.species);
        }
    }
    return amps;
}

} // namespace anodex::cell
