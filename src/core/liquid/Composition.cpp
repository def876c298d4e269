#include "core/liquid/Composition.h"

#include "core/base/SolventMass.h"

#include <algorithm>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

namespace {

auto positionOf(const std::vector<SpeciesTerm>& masters, SpeciesIndex master) {
    return std::lower_bound(
        masters.begin(), masters.end(), master,
        [](const SpeciesTerm& term, SpeciesIndex wanted) { return term.species < wanted; });
}

} // namespace

double Composition::moles(SpeciesIndex master) const {
    const auto found = positionOf(masters, master);
    return found != masters.end() && found->species == master ? found->count : 0.0;
}

void Composition::addMaster(SpeciesIndex master, double moles) {
    const auto at = masters.begin() + (positionOf(masters, master) - masters.begin());
    if (at != masters.end() && at->species == master) {
        at->count += moles;
    } else {
        masters.insert(at, {master, moles});
    }
}

void add(const Catalogue& catalogue, Composition& composition, SpeciesIndex species, double moles) {
    const auto& key = catalogue.key;
    const auto addPart = [&](SpeciesIndex part, double count) {
        if (part == key.hydrogenIon) {
            composition.hydrogenMoles += count;
        } else if (part == key.solvent) {
            composition.solventKg += count * base::kSolventKgPerMole;
        } else {
            composition.addMaster(part, count);
        }
    };
    if (const auto& formation = catalogue.species[species].formation) {
        for (const SpeciesTerm& term : formation->terms) {
            addPart(term.species, term.count * moles);
        }
    } else {
        addPart(species, moles);
    }
}

Composition compositionOf(const Catalogue& catalogue, double solventKg,
                          const std::vector<Portion>& portions) {
    Composition composition;
    composition.solventKg = solventKg;
    for (const Portion& portion : portions) {
        for (const SpeciesTerm& ion : catalogue.substances[portion.substance].dissolvesTo) {
            for (const SpeciesTerm& part : chemistry::moietiesOf(catalogue, ion.species)) {
                if (portion.moles > 0.0) {
                    composition.addMaster(part.species, part.count * ion.count * portion.moles);
                }
            }
        }
    }
    composition.hydrogenMoles = -chargeOfMasters(catalogue, composition);
    return composition;
}

double chargeOfMasters(const Catalogue& catalogue, const Composition& composition) {
    double charge = 0.0;
    for (const SpeciesTerm& master : composition.masters) {
        charge += catalogue.species[master.species].formula.charge * master.count;
    }
    return charge;
}

std::vector<SpeciesTerm> shortfalls(const Catalogue& catalogue, const Composition& composition) {
    std::vector<SpeciesTerm> missing;
    for (const SpeciesTerm& master : composition.masters) {
        if (master.count < 0.0) {
            missing.push_back({master.species, -master.count});
        }
    }
    if (composition.solventKg < 0.0) {
        missing.push_back({catalogue.key.solvent, -composition.solventKg / base::kSolventKgPerMole});
    }
    return missing;
}

} // namespace anodex::liquid
