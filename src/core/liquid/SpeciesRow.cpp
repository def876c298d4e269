#include "core/liquid/SpeciesRow.h"

#include <algorithm>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

std::optional<SpeciesRow> rowOf(const Catalogue& catalogue, SpeciesIndex species,
                                const std::vector<SpeciesTerm>& masters, bool chargeFree) {
    SpeciesRow row;
    row.species = species;
    row.charge = species == catalogue.key.hydrogenIon ? 1.0 : 0.0;
    for (const SpeciesTerm& part : chemistry::moietiesOf(catalogue, species)) {
        const auto found = std::find_if(masters.begin(), masters.end(), [&](const SpeciesTerm& total) {
            return total.species == part.species;
        });
        if (found == masters.end()) {
            return std::nullopt;
        }
        row.counts.emplace_back(found - masters.begin(), part.count);
        row.charge += part.count * catalogue.species[part.species].formula.charge;
    }
    if (const auto& formation = catalogue.species[species].formation) {
        for (const SpeciesTerm& term : formation->terms) {
            row.solventCount += term.species == catalogue.key.solvent ? term.count : 0.0;
            row.charge += term.species == catalogue.key.hydrogenIon ? term.count : 0.0;
        }
    }
    std::sort(row.counts.begin(), row.counts.end());
    if (chargeFree && row.charge != 0.0) {
        row.counts.emplace_back(masters.size(), row.charge);
    }
    return row;
}

double fixedOffsetOf(const Catalogue& catalogue, const SpeciesRow& row, double temperatureKelvin,
                     std::optional<double> lnHydrogenActivity) {
    const auto& formation = catalogue.species[row.species].formation;
    return (formation ? chemistry::lnFormationConstant(*formation, temperatureKelvin) : 0.0) +
           row.charge * lnHydrogenActivity.value_or(0.0);
}

} // namespace anodex::liquid
